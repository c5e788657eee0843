package ungula.core.plan;

import ungula.core.hollow.HollowCore;

/**
 * What is found out about the core of a hollow cast.
 *
 * @param core null when nothing is left of it
 */
public record CoreFacts(HollowCore core) {}
