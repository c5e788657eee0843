package ungula.core.step;

import java.util.List;
import java.util.Optional;
import ungula.core.days.Network;

/**
 * When a job on the bench is worked at.
 *
 * @param taken what it uses of the workshop, and when
 * @param work by hand, in turn; empty where its days are not known
 */
public record JobDays(List<Network.Busy> taken, List<Work> work) {

  /**
   * Work by hand at a stretch.
   *
   * @param begin second of the epoch
   * @param what is done, in a few words
   */
  public record Work(long begin, long end, String what) {}

  public static JobDays of(Steps steps) {
    return new JobDays(
        steps.timeline().taken(),
        DayPlan.of(steps).stream()
            .flatMap(p -> p.blocks().stream())
            .map(b -> new Work(b.begin(), b.end(), b.labels()))
            .toList());
  }

  /** What is at hand at a time, or next; empty when all of it is over. */
  public Optional<Work> due(long now) {
    return work.stream().filter(w -> w.end > now).findFirst();
  }
}
