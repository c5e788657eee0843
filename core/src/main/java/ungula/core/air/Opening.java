package ungula.core.air;

import ungula.core.geometry.Vec3;

/**
 * Where air gets out of a room.
 *
 * @param at a point of the room's wall, mm; null for the whole top
 * @param radiusMm of the hole
 */
public record Opening(Vec3 at, double radiusMm) {

  /** All of the room's highest layer: a mould box open at the top. */
  public static final Opening WHOLE_TOP = new Opening(null, 0);

  /** A hole no wider than a cell. */
  public static Opening at(Vec3 point) {
    return new Opening(point, 0);
  }
}
