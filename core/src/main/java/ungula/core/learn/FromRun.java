package ungula.core.learn;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import ungula.core.run.Bench;
import ungula.core.run.Entry;
import ungula.core.run.Level;
import ungula.core.run.Progress;
import ungula.core.run.RunPlan.Batch;
import ungula.core.run.RunPlan.Task;
import ungula.core.run.RunState;
import ungula.core.workshop.Rate;

/** What one mould that was made at the bench teaches. Pure. */
public final class FromRun {

  /** What was ticked in less of its time than this was ticked together with what came before it. */
  private static final double TOGETHER = 0.1;

  /** What took more times its time than this was left lying. */
  private static final double LEFT_LYING = 4;

  private FromRun() {}

  /** Empty where its record does not say it. */
  public static Optional<Double> of(Lesson lesson, Bench run) {
    if (lesson instanceof Lesson.Pace pace) {
      return minutes(pace.rate(), run);
    }
    if (lesson instanceof Lesson.Room) {
      return roomC(run);
    }
    return lesson == Lesson.Share.ALLOWANCE ? overPct(run) : Optional.empty();
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

  /**
   * What work by hand took for each of what it is counted by: of all steps that go by a rate, from
   * whatever was written down before them until they were done, against what was planned. Of one
   * person at a time; steps ticked together, and steps left lying, say nothing.
   */
  private static Optional<Double> minutes(Rate rate, Bench run) {
    Map<String, Instant[]> worked = worked(run);
    double took = 0;
    double planned = 0;
    double each = 0;
    for (Task t : run.plan().tasks()) {
      Double rated = t.rates().get(rate);
      Instant[] from = worked.get(t.key());
      if (rated == null || from == null || !(t.minutes() > 0)) {
        continue;
      }
      double min = Duration.between(from[0], from[1]).toMillis() / 60_000.0;
      if (min >= TOGETHER * t.minutes() && min <= LEFT_LYING * t.minutes()) {
        took += min;
        planned += t.minutes();
        each = rated;
      }
    }
    return planned > 0 ? Optional.of(each * took / planned) : Optional.empty();
  }

  /** When each step was begun, as far as that shows, and done. */
  private static Map<String, Instant[]> worked(Bench run) {
    List<Entry> all = run.entries();
    Set<Integer> wrong = RunState.wrong(all);
    List<Entry> counted =
        IntStream.range(0, all.size())
            .filter(i -> !wrong.contains(i + 1))
            .mapToObj(all::get)
            .sorted(Comparator.comparing(Entry::at))
            .toList();
    Map<String, Instant[]> worked = new HashMap<>();
    for (int i = 1; i < counted.size(); i++) {
      if (counted.get(i) instanceof Entry.Done d) {
        worked.putIfAbsent(d.step(), new Instant[] {counted.get(i - 1).at(), d.at()});
      }
    }
    return worked;
  }
}
