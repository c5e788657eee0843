package ungula.core.skin;

import ungula.core.geometry.Vec3;
import ungula.core.master.PosedMaster;
import ungula.core.mesh.TriangleMesh;
import ungula.core.release.Stretch;
import ungula.core.work.Parallel;

/**
 * What a master's shape decides for a skin of any thickness.
 *
 * @param curve what coats take
 * @param areaMm2 of its surface, as far as a brush gets to it
 * @param slopesMm2 of that, by slope in steps of {@link #STEP_DEGREES}: from level and facing up to
 *     level and facing down
 * @param stretch a skin needs to be pulled up off the master in one piece
 */
public record SkinStudy(CoatCurve curve, double areaMm2, double[] slopesMm2, Stretch stretch) {

  public static final int STEP_DEGREES = 5;

  public static SkinStudy of(PosedMaster posed, SkinField field, Parallel parallel) {
    TriangleMesh master = posed.mesh();
    double[] slopes = new double[180 / STEP_DEGREES];
    double all = 0;
    for (int t = 0; t < master.triangleCount(); t++) {
      Vec3 n = master.areaVector(t);
      double mm2 = n.norm();
      if (mm2 > 0 && field.brushed(master.middle(t), n.times(1 / mm2))) {
        double degrees = Math.toDegrees(Math.acos(Math.max(-1, Math.min(1, n.z() / mm2))));
        slopes[(int) Math.min(slopes.length - 1.0, degrees / STEP_DEGREES)] += mm2;
        all += mm2;
      }
    }
    Stretch stretch = Stretch.pulledUp(posed.bodies(), parallel);
    return new SkinStudy(field.curve(), all, slopes, stretch);
  }

  /** Share of the surface that is steeper, overhangs included. */
  public double steeper(double degrees) {
    double mm2 = 0;
    for (int i = 0; i < slopesMm2.length; i++) {
      double over = (i + 1) * STEP_DEGREES - degrees;
      mm2 += slopesMm2[i] * Math.max(0, Math.min(1, over / STEP_DEGREES));
    }
    return areaMm2 > 0 ? mm2 / areaMm2 : 0;
  }
}
