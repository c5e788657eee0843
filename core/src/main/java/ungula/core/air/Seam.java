package ungula.core.air;

import java.util.Optional;
import ungula.core.geometry.Vec3;

/**
 * The surface a mould parts along: a channel in it is cut into both sides, and needs no way through
 * rubber.
 */
public interface Seam {

  /** What its pieces part along; of length one. */
  Vec3 normal();

  /**
   * The place of the seam straight along its normal from a place; empty where it does not reach.
   */
  Optional<Vec3> from(Vec3 place);

  /** Whether it is a plane: a straight line between two of its places lies in it. */
  boolean flat();

  /** Whether a key stands at a place of it: no channel leads through. */
  default boolean taken(Vec3 place) {
    return false;
  }
}
