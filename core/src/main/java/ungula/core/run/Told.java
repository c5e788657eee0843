package ungula.core.run;

import java.util.List;
import ungula.core.cast.Made.Result;
import ungula.core.quantity.Length;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Temperature;
import ungula.core.quantity.Units;
import ungula.core.run.RunPlan.Batch;
import ungula.core.run.RunPlan.Kind;
import ungula.core.run.RunPlan.Task;

/** What happened at the bench, in words. */
public final class Told {

  private Told() {}

  /** What an entry says, one line. */
  public static String of(RunPlan plan, Entry e) {
    if (e instanceof Entry.Gated g) {
      return (g.skipped() ? "Skipped: " : "Seen to: ") + label(plan, g.gate());
    } else if (e instanceof Entry.Tared) {
      return "Scale set to zero";
    } else if (e instanceof Entry.Weighed w) {
      return title(plan, w.batch())
          + ": "
          + Weighing.grams(w.grams(), plan.units())
          + " of "
          + part(plan, w)
          + (w.shownG() == null ? ", typed" : ", from the scale");
    } else if (e instanceof Entry.Shared s) {
      return title(plan, s.batch()) + ": weighed for " + s.mould() + " as well";
    } else if (e instanceof Entry.FedBy f) {
      return title(plan, f.batch()) + ": mixed in one cup with " + f.mould();
    } else if (e instanceof Entry.Met m) {
      String room = m.roomC() == null ? "" : " at " + Temperature.format(m.roomC(), plan.units());
      return title(plan, m.batch()) + ": the parts met, its pot life begins" + room;
    } else if (e instanceof Entry.StartedOver s) {
      return title(plan, s.batch()) + ": thrown away, started again in a clean cup";
    } else if (e instanceof Entry.Done d) {
      boolean wait = plan.task(d.step()).filter(t -> t.kind() == Kind.WAIT).isPresent();
      return (wait ? "Over: " : "Done: ") + label(plan, d.step());
    } else if (e instanceof Entry.LeftOut l) {
      return "Left out: " + label(plan, l.step()) + ". " + l.why();
    } else if (e instanceof Entry.Judged j) {
      return (j.good() ? "Good: " : "Not yet: ") + label(plan, j.step());
    } else if (e instanceof Entry.Came c) {
      return "Mould "
          + c.mould()
          + ": "
          + came(c.result())
          + (c.grams() == null ? "" : ", " + Mass.format(c.grams(), plan.units()))
          + (c.why().isEmpty() ? "" : ". " + c.why());
    } else if (e instanceof Entry.LevelRead l) {
      return "Level after " + name(plan, l.batch()) + ": " + Length.format(l.mm(), plan.units());
    } else if (e instanceof Entry.Foamed f) {
      return title(plan, f.batch()) + ": " + foam(f.foam());
    } else if (e instanceof Entry.Pictured p) {
      return "Picture: " + label(plan, p.step());
    } else if (e instanceof Entry.Picked p) {
      return "Rubber is taken from "
          + (p.number().isEmpty() ? "a pack without a number" : "lot " + p.number());
    } else if (e instanceof Entry.ZeroLost z) {
      return z.scale().isEmpty()
          ? "The scale was set to zero for another mould"
          : "Another scale is read: " + z.scale();
    } else if (e instanceof Entry.Heard h) {
      return "The " + h.device() + (h.heard() ? " is heard again" : " is not heard");
    } else if (e instanceof Entry.Replanned r) {
      return "Gone on by the new plan. " + String.join(" ", r.says());
    } else if (e instanceof Entry.Corrected c) {
      return "Entry " + c.number() + " does not count: " + c.why();
    }
    throw new IllegalArgumentException(e.toString());
  }

  private static String came(Result result) {
    return switch (result) {
      case GOOD -> "a good cast";
      case REPAIR -> "a cast to repair";
      case SCRAP -> "scrap";
      default -> "its clean-out";
    };
  }

  private static String foam(Entry.Foam foam) {
    return switch (foam) {
      case RISES -> "the foam rises";
      case FALLEN -> "the foam has fallen";
      case OVER_THE_RIM -> "it foamed over the rim";
    };
  }

  private static String label(RunPlan plan, String key) {
    if (key.endsWith(".base")) {
      String first =
          plan.batches().stream()
              .filter(b -> b.base().equals(key))
              .findFirst()
              .map(plan::first)
              .orElse(plan.role().first());
      return RunPlan.the(first) + " is taken as it is";
    }
    return plan.task(key).map(Task::label).orElse(key);
  }

  private static String title(RunPlan plan, String batch) {
    return plan.batch(batch).map(Batch::title).orElse(batch);
  }

  private static String name(RunPlan plan, String batch) {
    return plan.batch(batch).map(Batch::name).orElse(batch);
  }

  private static String part(RunPlan plan, Entry.Weighed w) {
    return plan.batch(w.batch()).map(b -> plan.called(b, w.what())).orElse("something");
  }

  /** What a level says, one sentence. */
  public static String of(Level level, Units units) {
    String read =
        "Read "
            + Length.format(level.readMm(), units)
            + ", expected "
            + Length.format(level.expectedMm(), units)
            + " for what was poured: ";
    String pct = Numbers.fixed(100 * Math.abs(level.shortShare()), 1) + " % ";
    return switch (level.verdict()) {
      case WITHIN -> read + "that is right.";
      case SHORT -> read + pct + "of the rubber is missing.";
      case LONG -> read + pct + "too much rubber.";
    };
  }

  /** What to look at, in this order; empty where a level is right. */
  public static List<String> lookAt(Level level) {
    return switch (level.verdict()) {
      case WITHIN -> List.of();
      case SHORT ->
          List.of(
              "Look under the box and along its joints for rubber: close a leak with clay from"
                  + " outside, and hold it.",
              "Push the master: if it floats up, press it down and weigh it, or stop and start"
                  + " again.",
              "Look for a pocket that filled late: a cup, or a hollow of the master.",
              "Read the level again, at three corners. If the box stands level and all is tight,"
                  + " mix what is missing before this batch is tacky.");
      case LONG ->
          List.of(
              "Look whether the walls bow inwards, or the master has sunk.",
              "Was more poured than weighed, such as the rest of another batch?",
              "Read the level again, at three corners.");
    };
  }
}
