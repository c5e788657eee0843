package ungula.core.run;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import ungula.core.quantity.Timespan;
import ungula.core.run.RunPlan.Batch;
import ungula.core.run.RunPlan.Task;

/**
 * Something that runs at the bench.
 *
 * @param key of what it belongs to
 * @param label what is counted
 * @param from when it began
 * @param until when it is over
 * @param rings when it calls, and what it says then
 */
public record Clock(
    String key, What what, String label, Instant from, Instant until, List<Ring> rings) {

  public enum What {
    POT_LIFE,
    WAIT,
    /** A coat may go on until then. */
    WINDOW
  }

  public record Ring(Instant at, String says) {}

  /** Of a window this is left when it calls the last time. */
  private static final double LAST_CALL = 0.2;

  /** A window that is missed is told of for so long. */
  private static final Duration TOLD = Duration.ofHours(1);

  /**
   * All that run, the one that ends first in front.
   *
   * @param now decides which windows are missed
   */
  public static List<Clock> of(RunPlan plan, RunState state, Instant now) {
    List<Clock> all = new ArrayList<>();
    for (Progress p : state.batches()) {
      state.by(p).ifPresent(by -> all.add(potLife(p, by, state)));
    }
    for (Task wait : state.running(now)) {
      all.add(wait(wait, state));
    }
    for (Task t : plan.tasks()) {
      boolean begun = plan.batch(t.batch()).filter(b -> state.progress(b).grams() > 0).isPresent();
      if (state.open(t) && !begun && t.after().stream().anyMatch(a -> a.mostMin() != null)) {
        window(plan, t, state, now).ifPresent(all::add);
      }
    }
    all.sort(Comparator.comparing(Clock::until));
    return List.copyOf(all);
  }

  /** What presses, in a few words: the pot life that ends first, else what is next. */
  public static String presses(RunPlan plan, RunState state, Instant now) {
    Optional<Progress> first =
        state.batches().stream()
            .filter(p -> state.by(p).isPresent())
            .min(Comparator.comparing(p -> state.by(p).get()));
    if (first.isPresent()) {
      Progress p = first.get();
      Duration left = Duration.between(now, state.by(p).get());
      String name = p.batch().name();
      return left.isNegative()
          ? name + ": its pot life is over"
          : name
              + (p.batch().rise() == null ? ": use within " : ": pour within ")
              + Timespan.formatMin(Math.floor(left.toSeconds() / 60.0));
    }
    return state
        .next(now)
        .map(Task::label)
        .orElse(plan.casts().isEmpty() ? "the mould is made" : "the cast is out");
  }

  private static Clock potLife(Progress p, Instant by, RunState state) {
    String name = p.batch().title();
    double min = p.potLifeMin().orElseThrow();
    List<Ring> rings = new ArrayList<>();
    for (RunState.Alarm a : state.alarms()) {
      if (a.batch().equals(p.batch().key())) {
        String left = Timespan.formatMin(Math.rint(min * (1 - a.share())));
        rings.add(
            new Ring(
                a.at(),
                a.share() < 1
                    ? name + ": use it within " + left + "."
                    : name + ": its pot life is over. Use no more of it."));
      }
    }
    return new Clock(p.batch().key(), What.POT_LIFE, name + " stays workable", p.met(), by, rings);
  }

  private static Clock wait(Task t, RunState state) {
    Instant over = state.over(t).orElseThrow();
    Instant from = over.minusMillis(Math.round(60_000 * t.minutes()));
    return new Clock(
        t.key(),
        What.WAIT,
        t.what(),
        from,
        over,
        List.of(new Ring(over, "The wait is over, " + t.label() + ": come back.")));
  }

  /** From when a coat may go on until it is too late. */
  private static Optional<Clock> window(RunPlan plan, Task t, RunState state, Instant now) {
    RunState.Window w = state.window(t, now);
    String coat = plan.batch(t.batch()).map(Batch::title).orElse(t.label());
    if (w.closes() != null && w.opens() != null) {
      Duration open = Duration.between(w.opens(), w.closes());
      Instant last = w.closes().minusMillis(Math.round(LAST_CALL * open.toMillis()));
      return Optional.of(
          new Clock(
              t.key(),
              What.WINDOW,
              coat + " may go on",
              w.opens(),
              w.closes(),
              List.of(
                  new Ring(
                      w.opens(),
                      coat
                          + " may go on once the coat before leaves no rubber on"
                          + " the glove: touch it."),
                  new Ring(last, coat + ": touch it again. Brush now, or leave it to set."),
                  new Ring(w.closes(), coat + ": the coat before no longer sticks."))));
    }
    if (w.missed() && w.opens() != null && now.isBefore(w.opens().plus(TOLD))) {
      return Optional.of(
          new Clock(
              t.key(),
              What.WINDOW,
              coat + ": its window was missed. Once the coat before has set, wipe and brush",
              now.isBefore(w.opens()) ? now : w.opens(),
              w.opens(),
              List.of(
                  new Ring(w.opens(), coat + ": the coat before has set. Wipe it, then brush."))));
    }
    return Optional.empty();
  }
}
