package ungula.core.plan;

import ungula.core.jacket.OutsideStudy;
import ungula.core.skin.SkinStudy;

/**
 * What is found out about a skin on a master.
 *
 * @param study for a skin of any thickness
 * @param outside of the skin that is asked for; null while it is not worked out
 */
public record SkinFacts(SkinStudy study, OutsideStudy outside) {}
