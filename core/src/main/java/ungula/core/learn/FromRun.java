package ungula.core.learn;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import ungula.core.run.Bench;
import ungula.core.run.Level;
import ungula.core.run.Progress;
import ungula.core.run.RunPlan.Batch;

/** What one mould that was made at the bench teaches. Pure. */
public final class FromRun {

  private FromRun() {}

  /** Empty where its record does not say it. */
  public static Optional<Double> of(Lesson lesson, Bench run) {
    return lesson == Lesson.ALLOWANCE ? overPct(run) : roomC(run);
  }

  /**
   * What it took over what was computed, %: all that was weighed, less what stood over the line it
   * was to reach, or with what was missing to it, against the rubber below that line. Of a mould
   * that was poured at once, and whose level was read at the end.
   */
  private static Optional<Double> overPct(Bench run) {
    List<Batch> batches = run.plan().batches();
    Double line = run.plan().pourLineMm();
    if (batches.isEmpty()
        || line == null
        || !run.plan().casts().isEmpty()
        || batches.stream().mapToInt(Batch::pour).distinct().count() != 1) {
      return Optional.empty();
    }
    Batch last = batches.get(batches.size() - 1);
    Optional<Level> read = run.state().level(last);
    Optional<Double> mixed = run.state().pouredMm3(last);
    if (read.isEmpty() || mixed.isEmpty() || last.rise() == null) {
      return Optional.empty();
    }
    double below = last.rise().mm3(line);
    double over = last.rise().mm3(read.get().readMm()) - below;
    return Optional.of(100 * ((mixed.get() - over) / below - 1));
  }

  /** The middle of how warm it was as its batches met. */
  private static Optional<Double> roomC(Bench run) {
    List<Double> all =
        run.state().batches().stream()
            .map(Progress::metC)
            .filter(Objects::nonNull)
            .sorted()
            .toList();
    return all.isEmpty() ? Optional.empty() : Optional.of(all.get(all.size() / 2));
  }
}
