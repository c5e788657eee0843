package ungula.core.air;

import ungula.core.geometry.Vec3;

/**
 * Where air gets out of a room.
 *
 * @param where it is
 * @param at the place of a hole, mm; null for the others
 */
public record Opening(Where where, Vec3 at) {

  /** What is open. */
  public enum Where {
    /** The whole highest layer of cells: a mould box open at the top. */
    WHOLE_TOP,
    /** The whole lowest layer of cells: a mould open where its master stood on the plate. */
    WHOLE_BASE,
    /** Whatever is within a cell of the highest level: a flat base turned up. */
    TOP_LEVEL,
    /** The highest point, whichever that is. */
    HIGHEST,
    /** A hole no wider than a cell. */
    HOLE
  }

  public static final Opening WHOLE_TOP = new Opening(Where.WHOLE_TOP, null);
  public static final Opening WHOLE_BASE = new Opening(Where.WHOLE_BASE, null);
  public static final Opening TOP_LEVEL = new Opening(Where.TOP_LEVEL, null);
  public static final Opening HIGHEST = new Opening(Where.HIGHEST, null);

  public static Opening at(Vec3 point) {
    return new Opening(Where.HOLE, point);
  }
}
