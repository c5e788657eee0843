package ungula.core.run;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ungula.core.run.Entry.Ingredient;
import ungula.core.run.Entry.Part;
import ungula.core.run.Progress.Still;
import ungula.core.run.RunState.Alarm;

/**
 * A run gone through with what a script says happens, by the same rules as at the bench.
 *
 * @param targets each when it is known
 * @param still what could be done when too much of the second part was last poured; null: it was
 *     not
 * @param level as it was last read; null when it was not
 */
public record Rehearsal(
    List<Target> targets,
    List<Alarm> alarms,
    Still still,
    Level level,
    List<Entry> entries,
    List<Refusal> refused) {

  /** What of a part is to be in the cup. */
  public record Target(Instant at, String batch, Part part, double grams) {}

  public record Refusal(Instant at, String why) {}

  /** Something that happens. */
  public sealed interface Event {
    Instant at();

    record Line(Instant at, String line) implements Event {}

    record Tick(Instant at, String key) implements Event {}

    record Gate(Instant at, String key, boolean skipped) implements Event {}

    record Tare(Instant at) implements Event {}

    record Typed(Instant at, double grams) implements Event {}

    record ReadLevel(Instant at, double mm) implements Event {}

    record Correct(Instant at, int number, String why) implements Event {}

    record Lost(Instant at, String device) implements Event {}

    /** Everything but the entries is forgotten. */
    record Kill(Instant at) implements Event {}
  }

  /**
   * @param events in the order they happen
   */
  public static Rehearsal of(RunPlan plan, List<Event> events) {
    Going going = new Going(plan);
    events.forEach(going::event);
    RunState end = going.bench.state();
    return new Rehearsal(
        List.copyOf(going.targets),
        end.alarms(),
        going.still,
        end.level().orElse(null),
        going.bench.entries(),
        List.copyOf(going.refused));
  }

  private static final class Going {
    private final RunPlan plan;
    private final List<Target> targets = new ArrayList<>();
    private final Map<String, Double> told = new HashMap<>();
    private final List<Refusal> refused = new ArrayList<>();
    private Bench bench;
    private Still still;

    Going(RunPlan plan) {
      this.plan = plan;
      this.bench = new Bench(plan, List.of());
    }

    void event(Event e) {
      target(e.at());
      try {
        happens(e);
      } catch (Bench.Refused no) {
        refused.add(new Refusal(e.at(), no.getMessage()));
      }
      target(e.at());
      bench.state().current().flatMap(Progress::still).ifPresent(s -> still = s);
    }

    private void happens(Event e) throws Bench.Refused {
      if (e instanceof Event.Line l) {
        bench.line(l.at(), l.line());
      } else if (e instanceof Event.Tick t) {
        bench.tick(t.at(), t.key());
      } else if (e instanceof Event.Gate g) {
        bench.gate(g.at(), g.key(), g.skipped());
      } else if (e instanceof Event.Tare t) {
        bench.tared(t.at());
      } else if (e instanceof Event.Typed t) {
        bench.typed(t.at(), t.grams());
      } else if (e instanceof Event.ReadLevel r) {
        bench.level(r.at(), r.mm());
      } else if (e instanceof Event.Correct c) {
        bench.correct(c.at(), c.number(), c.why());
      } else if (e instanceof Event.Lost l) {
        bench.lost(l.at(), l.device());
      } else if (e instanceof Event.Kill) {
        bench = new Bench(plan, bench.entries());
      }
    }

    /** What is to be poured now, where that is new. */
    private void target(Instant at) {
      Optional<Progress> now = bench.state().current();
      Optional<Ingredient> part = bench.state().pouring();
      if (now.isEmpty() || part.isEmpty() || now.get().still().isPresent()) {
        return;
      }
      String key = now.get().batch().key();
      double grams = now.get().targetG(part.get());
      Double before = told.put(key + " " + part.get(), grams);
      if (before == null || before != grams) {
        targets.add(new Target(at, key, part.get().part(), grams));
      }
    }
  }
}
