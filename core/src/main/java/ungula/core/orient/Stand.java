package ungula.core.orient;

import ungula.core.attitude.AttitudeSearch;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;

/**
 * One way a master can stand as the rubber is poured, and what comes of it whatever the box.
 *
 * @param turn from the model's axes; its longer side then lies along x
 * @param sizeMm it takes up, standing so
 * @param restMm2 of its surface that lie on the plate; 0 when it has to be held
 * @param lockedMm3 rubber with master over it
 * @param lockedTwoMm3 rubber with master both over and under it: what locks two pieces pulled apart
 * @param pouredMm3 air left against the master by the rubber
 * @param castMm3 air left in a cast, the mould turned over
 * @param vents a cast asks for then; more than {@link AttitudeSearch#MOST_VENTS} are not enough
 * @param fine whether air is known by the model's own surface, or was looked for in fine cells; in
 *     coarse ones thin walls leak
 */
public record Stand(
    Rotation turn,
    Vec3 sizeMm,
    double restMm2,
    double lockedMm3,
    double lockedTwoMm3,
    double pouredMm3,
    double castMm3,
    int vents,
    boolean fine) {

  /** Which way is up, in the model's axes. */
  public Vec3 up() {
    return turn.inverse().apply(Vec3.UP);
  }

  public boolean flat() {
    return restMm2 > 0;
  }

  /** Which way is up while a cast is poured, the mould turned over; in the model's axes. */
  public Vec3 castUp() {
    return up().times(-1);
  }

  Stand withAir(double poured, CastTable.Best cast) {
    return new Stand(
        turn, sizeMm, restMm2, lockedMm3, lockedTwoMm3, poured, cast.airMm3(), cast.vents(), true);
  }
}
