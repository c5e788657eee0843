package ungula.core.plan;

import ungula.core.hollow.HollowCore;

/**
 * What is found out about the core of a hollow cast.
 *
 * @param core null when nothing is left of it
 * @param round whether what the shape decides for a cast is of one that runs in round it; false
 *     while that is not worked out
 */
public record CoreFacts(HollowCore core, boolean round) {

  /** As long as only the core is known. */
  public CoreFacts(HollowCore core) {
    this(core, false);
  }
}
