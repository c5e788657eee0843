package ungula.core.skin;

import ungula.core.geometry.Vec3;

/**
 * A recess that a skin closes up solid.
 *
 * @param at its middle
 * @param mm3 rubber in it that is deeper than the wall, counted from the outside
 * @param deepMm from the outside of the skin to the deepest of it
 */
public record Bridge(Vec3 at, double mm3, double deepMm) {}
