package ungula.core.log;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import ungula.core.cast.Made.Result;
import ungula.core.log.LogLine.Kind;
import ungula.core.quantity.Length;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Share;
import ungula.core.quantity.Temperature;
import ungula.core.quantity.Timespan;
import ungula.core.run.Entry;
import ungula.core.run.Entry.Ingredient;
import ungula.core.run.Level;
import ungula.core.run.Progress;
import ungula.core.run.RunPlan;
import ungula.core.run.RunPlan.Batch;
import ungula.core.run.RunPlan.Task;
import ungula.core.run.RunState;
import ungula.core.run.Told;

/**
 * What happened in a run at the bench, held against its plan. A part that was poured in several
 * goes is one line, with what it came to; what was corrected stands where it stood, struck. Pure.
 */
public final class RunLog {

  /** A room that is warmer or colder by so much is another than was planned, °C. */
  static final double ROOM_OFF_C = 3;

  /** A wait that was cut short by less was not, minutes. */
  private static final double EARLY_MIN = 1;

  /** What came after a longer time was something else in between. */
  private static final Duration NEXT = Duration.ofHours(4);

  /** Work that took so many times what was planned, and so much longer, took long. */
  private static final double LONG_TIMES = 2;

  private static final double LONG_MIN = 10;

  private final RunPlan plan;
  private final List<Entry> entries;
  private final List<String> who;
  private final RunState state;
  private final Map<Integer, String> wrong = new HashMap<>();
  private final Map<String, Map<Ingredient, Double>> cups = new HashMap<>();
  private final Map<String, Double> shared = new HashMap<>();
  private final Map<String, Instant> met = new HashMap<>();

  private RunLog(RunPlan plan, List<Entry> entries, List<String> who) {
    this.plan = plan;
    this.entries = entries;
    this.who = who;
    this.state = RunState.of(plan, entries);
    for (Entry e : entries) {
      if (e instanceof Entry.Corrected c) {
        wrong.put(c.number(), c.why());
      }
    }
  }

  /**
   * In the order it was heard of.
   *
   * @param who made each entry
   */
  public static List<LogLine> of(RunPlan plan, List<Entry> entries, List<String> who) {
    return new RunLog(plan, entries, who).lines();
  }

  private List<LogLine> lines() {
    List<LogLine> all = new ArrayList<>();
    Instant before = null;
    for (int i = 0; i < entries.size(); i++) {
      Entry e = entries.get(i);
      String struck = wrong.get(i + 1);
      if (struck == null && e instanceof Entry.Weighed w && pouredOn(i, w)) {
        weighed(w);
        continue;
      }
      LogLine line = line(e, who.get(i), before);
      all.add(struck == null ? line : line.struck(struck));
      before = e.at();
    }
    return List.copyOf(all);
  }

  /** Whether more of the same went into the same cup. */
  private boolean pouredOn(int at, Entry.Weighed w) {
    for (int i = at + 1; i < entries.size(); i++) {
      Entry e = entries.get(i);
      if (e instanceof Entry.StartedOver s && s.batch().equals(w.batch())) {
        return false;
      }
      if (e instanceof Entry.Weighed more && more.batch().equals(w.batch()) && counts(i)) {
        return more.part() == w.part() && more.which() == w.which();
      }
    }
    return false;
  }

  private boolean counts(int at) {
    return !wrong.containsKey(at + 1);
  }

  private LogLine line(Entry e, String by, Instant before) {
    if (e instanceof Entry.Weighed w) {
      return weighing(w, by);
    } else if (e instanceof Entry.Met m) {
      return room(m, by);
    } else if (e instanceof Entry.Done d) {
      return done(d, by, before);
    } else if (e instanceof Entry.LevelRead l) {
      return level(l, by);
    } else if (e instanceof Entry.Came c) {
      boolean good = c.result() == Result.GOOD || c.result() == Result.CLEANING;
      return said(e, by, Kind.CAST, good ? "" : c.why());
    } else if (e instanceof Entry.LeftOut l) {
      return said(e, by, Kind.DONE, "left out: " + l.why());
    } else if (e instanceof Entry.Gated g) {
      return said(e, by, Kind.CHECKED, g.skipped() ? "not answered" : "");
    } else if (e instanceof Entry.Judged j) {
      return said(e, by, Kind.CHECKED, j.good() ? "" : "not as it should be");
    } else if (e instanceof Entry.Foamed f) {
      boolean over = f.foam() == Entry.Foam.OVER_THE_RIM;
      return said(e, by, Kind.CHECKED, over ? "some of it was lost" : "");
    } else if (e instanceof Entry.StartedOver s) {
      cups.remove(s.batch());
      return said(e, by, Kind.WEIGHED, "thrown away");
    } else if (e instanceof Entry.Shared s) {
      shared.merge(s.batch(), s.firstG(), Double::sum);
      return said(e, by, Kind.WEIGHED, "");
    } else if (e instanceof Entry.FedBy || e instanceof Entry.Picked) {
      return said(e, by, Kind.WEIGHED, "");
    } else if (e instanceof Entry.Heard
        || e instanceof Entry.ZeroLost
        || e instanceof Entry.Tared) {
      return said(e, by, Kind.DEVICE, "");
    }
    return said(e, by, Kind.NOTED, "");
  }

  private LogLine said(Entry e, String by, Kind kind, String off) {
    return line(e, by, kind, Told.of(plan, e), "", "", off);
  }

  private LogLine line(
      Entry e, String by, Kind kind, String what, String planned, String actual, String off) {
    String picture = e instanceof Entry.Pictured p ? p.picture() : "";
    return new LogLine(e.at(), by, kind, part(e), what, planned, actual, off, "", picture);
  }

  private String part(Entry e) {
    return plan.task(plan.taskOf(e)).map(Task::part).orElse("");
  }

  private void weighed(Entry.Weighed w) {
    cups.computeIfAbsent(w.batch(), b -> new HashMap<>())
        .put(new Ingredient(w.part(), w.which()), w.grams());
  }

  /** Held against what had to follow from what was in the cup before it. */
  private LogLine weighing(Entry.Weighed w, String by) {
    Optional<Batch> of = plan.batch(w.batch());
    if (of.isEmpty()) {
      return said(w, by, Kind.WEIGHED, "");
    }
    Batch b = of.get();
    Ingredient what = new Ingredient(w.part(), w.which());
    Map<Ingredient, Double> cup = cups.computeIfAbsent(w.batch(), k -> new HashMap<>());
    double first = b.firstG() + shared.getOrDefault(w.batch(), 0.0);
    double planned = target(b, what, first, first * b.secondPerFirst());
    Ingredient one = Ingredient.of(b.first());
    Ingredient two = Ingredient.of(b.second());
    double target =
        what.equals(one)
            ? planned
            : target(b, what, cup.getOrDefault(one, first), cup.getOrDefault(two, 0.0));
    double share = target > 0 ? w.grams() / target - 1 : 0;
    weighed(w);
    String off =
        Math.abs(share) > b.tolerance()
            ? LogLine.beyond(share, what.equals(one) ? " than planned" : " than the ratio asks for")
            : "";
    return line(
        w,
        by,
        Kind.WEIGHED,
        b.title() + ": " + plan.called(b, what),
        g(planned),
        g(w.grams()),
        off);
  }

  private static double target(Batch b, Ingredient what, double first, double second) {
    if (what.part() == b.first()) {
      return first;
    }
    return what.part() == b.second()
        ? first * b.secondPerFirst()
        : (first + second) * b.stirred().get(what.which()).share();
  }

  private String g(double grams) {
    return Mass.format(grams, plan.units());
  }

  private LogLine room(Entry.Met m, String by) {
    met.putIfAbsent(m.batch(), m.at());
    String what = title(m.batch()) + ": the parts met, its pot life begins";
    Optional<Batch> b = plan.batch(m.batch());
    if (m.roomC() == null || b.isEmpty()) {
      return line(m, by, Kind.DONE, what, "", "", "");
    }
    double warmer = m.roomC() - b.get().roomC();
    String off =
        Math.abs(warmer) > ROOM_OFF_C
            ? "a room "
                + Temperature.difference(Math.abs(warmer), plan.units())
                + (warmer > 0 ? " warmer" : " colder")
            : "";
    return line(m, by, Kind.DONE, what, c(b.get().roomC()), c(m.roomC()), off);
  }

  private String c(double degrees) {
    return Temperature.format(degrees, plan.units());
  }

  private String title(String batch) {
    return plan.batch(batch).map(Batch::title).orElse(batch);
  }

  private LogLine done(Entry.Done d, String by, Instant before) {
    Optional<Task> task = plan.task(d.step());
    if (task.isEmpty()) {
      return said(d, by, Kind.DONE, "");
    }
    Task t = task.get();
    String planned = Timespan.formatMin(t.minutes());
    if (t.kind() == RunPlan.Kind.WAIT) {
      Optional<Double> took =
          state.over(t).map(end -> minutes(end, d.at()) + t.minutes()).filter(m -> m >= 0);
      String off =
          took.filter(m -> m < t.minutes() - EARLY_MIN)
              .map(m -> Timespan.formatMin(t.minutes() - m) + " too early")
              .orElse("");
      return line(
          d,
          by,
          Kind.DONE,
          begun(t.label()),
          planned,
          took.map(Timespan::formatMin).orElse(""),
          off);
    }
    String used = potLife(t, d.at());
    Optional<Double> took =
        Optional.ofNullable(before)
            .filter(b -> Duration.between(b, d.at()).compareTo(NEXT) < 0)
            .map(b -> minutes(b, d.at()));
    boolean slow =
        took.filter(m -> m > LONG_TIMES * t.minutes() && m > t.minutes() + LONG_MIN).isPresent();
    return line(
        d,
        by,
        Kind.DONE,
        begun(t.label()),
        planned,
        took.map(Timespan::formatMin).orElse(""),
        used.isEmpty() && slow ? "it took long" : used);
  }

  /** How long after its pot life a batch left the cup; empty where it did within. */
  private String potLife(Task t, Instant at) {
    for (Progress p : state.batches()) {
      Instant from = met.get(p.batch().key());
      if (p.batch().used().equals(t.key()) && from != null && p.potLifeMin().isPresent()) {
        double late = minutes(from, at) - p.potLifeMin().get();
        return late > 0 ? Timespan.formatMin(late) + " after its pot life" : "";
      }
    }
    return "";
  }

  /** As a line begins. */
  private static String begun(String label) {
    return label.substring(0, 1).toUpperCase(Locale.ROOT) + label.substring(1);
  }

  private static double minutes(Instant from, Instant to) {
    return Duration.between(from, to).toMillis() / 60_000.0;
  }

  private LogLine level(Entry.LevelRead l, String by) {
    Optional<Batch> b = plan.batch(l.batch()).filter(x -> x.rise() != null);
    Optional<Double> poured = b.flatMap(state::pouredMm3);
    String what = "Level after " + b.map(Batch::name).orElse(l.batch());
    String read = Length.format(l.mm(), plan.units());
    if (poured.isEmpty() || !(poured.get() > 0)) {
      return line(l, by, Kind.CHECKED, what, "", read, "");
    }
    Level level = Level.of(l.at(), l.mm(), b.get().rise(), poured.get());
    String share = Share.format(Math.abs(level.shortShare()), 1);
    String off =
        switch (level.verdict()) {
          case WITHIN -> "";
          case SHORT -> share + " short";
          case LONG -> share + " too much";
        };
    return line(
        l, by, Kind.CHECKED, what, Length.format(level.expectedMm(), plan.units()), read, off);
  }
}
