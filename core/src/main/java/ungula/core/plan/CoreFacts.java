package ungula.core.plan;

import ungula.core.hollow.HollowCore;
import ungula.core.study.HollowStudy;

/**
 * What is found out about the core of a hollow cast.
 *
 * @param core null when nothing is left of it
 * @param round how a cast runs in round it; null while that is not worked out
 */
public record CoreFacts(HollowCore core, HollowStudy round) {

  /** As long as only the core is known. */
  public CoreFacts(HollowCore core) {
    this(core, null);
  }
}
