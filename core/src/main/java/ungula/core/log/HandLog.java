package ungula.core.log;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import ungula.core.cast.Made;
import ungula.core.cast.Made.Result;
import ungula.core.log.LogLine.Kind;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Units;
import ungula.core.rubber.Mix;
import ungula.core.rubber.Parts;

/** What was recorded by hand, as lines of a job's log. Pure. */
public final class HandLog {

  /** So many changes of one decision are told. */
  private static final int MOST_CHANGES = 4;

  private HandLog() {}

  /** Casts, those of the bench as well; what was struck stands where it stood. */
  public static List<LogLine> casts(Made made, Units units) {
    List<LogLine> all = new ArrayList<>();
    for (Made.Cast c : made.casts()) {
      if (c.result() == Result.STRUCK) {
        all.add(line(c.at(), c.who(), Kind.NOTED, "Cast " + c.strikes() + " does not count", ""));
        continue;
      }
      String grams = c.grams() == null ? "" : Mass.format(c.grams(), units);
      String off =
          switch (c.result()) {
            case SCRAP -> "scrap: " + c.why();
            case REPAIR -> "to repair: " + c.why();
            default -> "";
          };
      String what =
          c.result() == Result.CLEANING
              ? "Clean-out of mould " + c.mould()
              : "Cast " + c.number() + " out of mould " + c.mould();
      LogLine line = new LogLine(c.at(), c.who(), Kind.CAST, "Casts", what, "", grams, off, "", "");
      all.add(made.strike(c).map(s -> line.struck(s.why())).orElse(line));
    }
    return List.copyOf(all);
  }

  /**
   * A batch that was put down by hand.
   *
   * @param planned of it; null where that was not kept
   */
  public static LogLine batch(Instant at, String name, Parts planned, Parts mixed, Units units) {
    String off = "";
    if (planned != null && planned.firstG() > 0) {
      double first = mixed.firstG() / planned.firstG() - 1;
      double asked = mixed.firstG() * planned.secondG() / planned.firstG();
      double second = asked > 0 ? mixed.secondG() / asked - 1 : 0;
      off =
          Math.abs(second) > Mix.TOLERANCE
              ? LogLine.beyond(second, " of the second part than the ratio asks for")
              : Math.abs(first) > Mix.TOLERANCE ? LogLine.beyond(first, " than planned") : "";
    }
    return new LogLine(
        at,
        "",
        Kind.WEIGHED,
        "Batches",
        name + ", put down by hand",
        planned == null ? "" : both(planned, units),
        both(mixed, units),
        off,
        "",
        "");
  }

  private static String both(Parts p, Units units) {
    return p.secondG() > 0
        ? Mass.format(p.firstG(), units) + " + " + Mass.format(p.secondG(), units)
        : Mass.format(p.firstG(), units);
  }

  /** What was decided before anything happened. */
  public static LogLine planned(Instant last, int decisions) {
    String many = decisions == 1 ? "one decision" : decisions + " decisions";
    return line(last, "", Kind.DECIDED, "Planned, in " + many, "");
  }

  /**
   * What was decided while it was made or cast from.
   *
   * @param changes what is another by it, in words
   */
  public static LogLine decided(Instant at, List<String> changes) {
    String what =
        changes.size() > MOST_CHANGES
            ? String.join("; ", changes.subList(0, MOST_CHANGES))
                + " and "
                + (changes.size() - MOST_CHANGES)
                + " more"
            : changes.isEmpty() ? "something else" : String.join("; ", changes);
    return line(at, "", Kind.DECIDED, "Decided: " + what, "");
  }

  /** Anything else that was recorded. */
  public static LogLine noted(Instant at, String what, String actual) {
    return line(at, "", Kind.NOTED, what, actual);
  }

  private static LogLine line(Instant at, String who, Kind kind, String what, String actual) {
    return new LogLine(at, who, kind, "", what, "", actual, "", "", "");
  }
}
