package ungula.core.run;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import ungula.core.quantity.Timespan;
import ungula.core.rubber.Parts;
import ungula.core.run.RunPlan.Batch;
import ungula.core.run.RunPlan.Task;

/**
 * How well a run went, by what is written down of it and nothing else: a hundred points, less what
 * went wrong.
 *
 * @param points from 0 to 100
 * @param marks what went wrong, in the order of work
 */
public record Score(int points, List<Mark> marks) {

  public enum Subject {
    GATE,
    RATIO,
    POT_LIFE,
    LEVEL,
    WINDOW
  }

  /**
   * @param lost points
   * @param says what went wrong, in one sentence
   */
  public record Mark(Subject subject, int lost, String says) {}

  private static final int ALL = 100;

  /** A question before a pour costs a look. */
  private static final int GATE_SKIPPED = 5;

  /** Opened without knowing whether it has cured. */
  private static final int VERDICT_SKIPPED = 10;

  /** It was put right, and cost rubber. */
  private static final int SAVED = 5;

  private static final int THROWN_AWAY = 10;

  /** Poured when it hardly flows any more. */
  private static final int LATE = 10;

  /** The mould is spoilt. */
  private static final int TOO_LATE = 25;

  private static final int LEVEL_OFF = 10;

  /** Coats that peel apart. */
  private static final int OUT_OF_WINDOW = 15;

  private static final double LATE_SHARE = 0.8;

  public Score {
    marks = List.copyOf(marks);
  }

  /**
   * @param now what is not used by now and past its pot life is lost
   */
  public static Score of(RunPlan plan, List<Entry> entries, Instant now) {
    List<Mark> marks = new Marking(plan, entries, now).marks();
    int lost = marks.stream().mapToInt(Mark::lost).sum();
    return new Score(Math.max(0, ALL - lost), marks);
  }

  private static final class Marking {
    private final RunPlan plan;
    private final Instant now;
    private final RunState state;
    private final Set<String> saved = new HashSet<>();
    private final List<Mark> marks = new ArrayList<>();

    Marking(RunPlan plan, List<Entry> entries, Instant now) {
      this.plan = plan;
      this.now = now;
      this.state = RunState.of(plan, entries);
      for (int i = 1; i <= entries.size(); i++) {
        if (entries.get(i - 1) instanceof Entry.Weighed w) {
          Progress then =
              RunState.of(plan, entries.subList(0, i))
                  .progress(plan.batch(w.batch()).orElseThrow());
          if (then.phase() == Progress.Phase.SAVE) {
            saved.add(w.batch());
          }
        }
      }
    }

    List<Mark> marks() {
      for (Task t : plan.tasks()) {
        boolean skipped = state.ended(t).filter(RunState.Ended::skipped).isPresent();
        switch (t.kind()) {
          case GATE -> gate(t, skipped, GATE_SKIPPED);
          case VERDICT -> gate(t, skipped, VERDICT_SKIPPED);
          case LEVEL -> level(t, skipped);
          case WEIGH -> weighed(t);
          default -> {
            // done, or left out for a reason
          }
        }
      }
      return marks;
    }

    private void gate(Task t, boolean skipped, int lost) {
      if (skipped) {
        add(Subject.GATE, lost, "Skipped: " + t.label() + ".");
      }
    }

    private void level(Task t, boolean skipped) {
      if (!skipped) {
        return;
      }
      Level read = plan.batch(t.batch()).flatMap(state::level).orElse(null);
      add(
          Subject.LEVEL,
          read == null ? GATE_SKIPPED : LEVEL_OFF,
          read == null
              ? "The level was not read after " + name(t) + "."
              : "After " + name(t) + " the level was off, and it went on all the same.");
    }

    private void weighed(Task t) {
      Batch b = plan.batch(t.batch()).orElseThrow();
      Progress p = state.progress(b);
      Parts thrown = state.thrownAway(b);
      if (thrown.totalG() > 0) {
        String grams = Weighing.grams(thrown.totalG(), plan.units());
        add(Subject.RATIO, THROWN_AWAY, b.title() + " was thrown away: " + grams + ".");
      } else if (saved.contains(b.key())) {
        add(
            Subject.RATIO,
            SAVED,
            b.title() + " got too much " + plan.second(b) + ", and was saved.");
      }
      potLife(b, p);
      window(t, b, p);
    }

    private void potLife(Batch b, Progress p) {
      if (p.met() == null || p.potLifeMin().isEmpty()) {
        return;
      }
      double min = p.potLifeMin().get();
      Instant used = p.used() == null ? now : p.used();
      double share = Duration.between(p.met(), used).toMillis() / (60_000 * min);
      String after = Timespan.formatMin(Math.rint(share * min));
      String of = " of its " + Timespan.formatMin(Math.rint(min)) + ".";
      if (share > 1) {
        String how = p.used() == null ? " stands mixed since " : " was used after ";
        add(Subject.POT_LIFE, TOO_LATE, b.title() + how + after + of);
      } else if (share > LATE_SHARE && p.used() != null) {
        add(Subject.POT_LIFE, LATE, b.title() + " was used late, after " + after + of);
      }
    }

    private void window(Task t, Batch b, Progress p) {
      if (p.met() == null || t.after().stream().noneMatch(a -> a.mostMin() != null)) {
        return;
      }
      RunState.Window w = state.window(t, p.met());
      boolean early = w.opens() != null && p.met().isBefore(w.opens());
      if (early) {
        add(
            Subject.WINDOW,
            OUT_OF_WINDOW,
            b.title()
                + (w.missed()
                    ? " went on after its window, before the coat under it had set."
                    : " went on before its window opened."));
      } else if (w.missed()) {
        add(Subject.WINDOW, SAVED, b.title() + " missed its window and had to wait.");
      }
    }

    private String name(Task t) {
      return plan.batch(t.batch()).map(Batch::name).orElse(t.label());
    }

    private void add(Subject subject, int lost, String says) {
      marks.add(new Mark(subject, lost, says));
    }
  }
}
