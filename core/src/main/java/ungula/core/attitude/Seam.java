package ungula.core.attitude;

import java.util.Optional;
import ungula.core.air.Room;
import ungula.core.air.VentWay;
import ungula.core.attitude.AttitudeSearch.Vent;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;

/**
 * The plane a mould parts along: what lies in it is cut into both halves and needs no way through
 * rubber.
 *
 * @param normal of length one
 * @param atMm normal · x of its points
 */
public record Seam(Vec3 normal, double atMm) {

  /** A seam leaning more than this from upright, as a sine, lets no air up: 6°. */
  private static final double UPRIGHT = 0.105;

  /** What is no further from the seam is in it: a vent is wider, mm. */
  private static final double IN_IT_MM = 1;

  /** A way to the seam rises by this share of how far it leads sideways. */
  private static final double RISES = 0.1;

  private static final double STEP_MM = 1;

  /** How far a place is off the seam; below 0 on the side its normal leads away from. */
  public double off(Vec3 place) {
    return normal.dot(place) - atMm;
  }

  /** Whether air rises along it. */
  public boolean upright(Vec3 up) {
    return Math.abs(normal.dot(up)) <= UPRIGHT;
  }

  /**
   * The shortest way from a place to the seam, rising, and on straight up along it, clear of the
   * cast; empty where there is none.
   */
  Optional<Vent> vent(Room cavity, Vec3 top, Vec3 up, Box3 block) {
    Vec3 climbs = up.minus(normal.times(up.dot(normal))).unit();
    double off = off(top);
    Vec3 foot = top.minus(normal.times(off));
    double most = block.diagonal();
    for (double rise = RISES * Math.abs(off); rise < most; rise += STEP_MM) {
      Vec3 at = foot.plus(climbs.times(rise));
      if (!block.contains(at)) {
        return Optional.empty();
      }
      boolean inIt = Math.abs(off) < IN_IT_MM;
      VentWay on = cavity.straightUp(at, climbs, block);
      if (on.castMm() < IN_IT_MM && (inIt || cavity.clear(top, at))) {
        double across = inIt ? rise : at.minus(top).norm();
        return Optional.of(new Vent(top, across + on.rubberMm(), inIt ? 0 : across));
      }
    }
    return Optional.empty();
  }
}
