package ungula.core.skin;

import ungula.core.geometry.Vec3;

/**
 * A recess that a skin closes up solid.
 *
 * @param at its middle
 * @param mm3 rubber in it that is deeper than the wall, counted from the outside: as much clay
 *     plugs it
 * @param deepMm from the outside of the skin to the deepest of it
 */
public record Bridge(Vec3 at, double mm3, double deepMm) {

  /** A place this close to the middle of a recess, in walls, is in it. */
  private static final double SAME = 3;

  /** Whether a plug at a place fills it. */
  public boolean fills(Vec3 place, double wallMm) {
    return place.minus(at).norm() < SAME * wallMm;
  }
}
