package ungula.core.days;

import java.util.List;

/**
 * When each step is done, and what would change it. Instants are seconds of the epoch.
 *
 * @param feasible whether all rules can be kept
 * @param finish of the last step; null where it cannot be
 * @param steps in the order they were given; none where it cannot be
 * @param latestStart the latest the first step may begin for the same finish; null where it cannot
 * @param rule what cannot be kept, in a sentence; empty where all can
 * @param next the nearest start at or after the given one that can be; null when none is near
 * @param last the last one before it; null when none is near
 * @param proven whether no schedule finishes sooner
 */
public record Schedule(
    boolean feasible,
    Long finish,
    List<Planned> steps,
    Long latestStart,
    String rule,
    Long next,
    Long last,
    boolean proven) {

  /** One step. */
  public record Planned(String key, long from, long to) {}

  public Planned of(String key) {
    return steps.stream().filter(p -> p.key().equals(key)).findFirst().orElseThrow();
  }
}
