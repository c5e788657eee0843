package ungula.core.plan;

import java.util.List;
import ungula.core.jacket.Sections;
import ungula.core.skin.Bridge;
import ungula.core.skin.Coat;
import ungula.core.skin.SkinClock;
import ungula.core.skin.TakenOff;

/**
 * A skin of rubber in coats, and the jacket that holds it.
 *
 * @param wallMm of all coats
 * @param coats from the master outwards
 * @param clock when each goes on; null while the rubber's times are not known
 * @param off how it comes off
 * @param cutDegrees the way a skin is cut open, seen from above; null for one that is not
 * @param bridges recesses that close up solid and are not plugged; empty while not worked out
 * @param sections of the jacket; null while not worked out
 */
public record SkinPlan(
    double wallMm,
    List<Coat> coats,
    SkinClock clock,
    TakenOff off,
    Double cutDegrees,
    List<Bridge> bridges,
    Sections sections) {}
