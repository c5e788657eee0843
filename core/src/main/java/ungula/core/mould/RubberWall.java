package ungula.core.mould;

import ungula.core.geometry.Vec3;
import ungula.core.mesh.Outline;
import ungula.core.mesh.TriangleMesh;

/**
 * How thick the rubber is over every place of a master: to the nearest wall of the box, to the pour
 * line, or straight out to another face of the master that looks back.
 */
public final class RubberWall {

  /** A step of the thicknesses by facet, mm: 255 stands for all that is thicker. */
  public static final double STEP_MM = 0.1;

  private RubberWall() {}

  /**
   * @param thinnestMm over any facet
   * @param place on the master, where it is
   * @param facing whether it is the master itself that is across
   * @param steps by facet, in {@link #STEP_MM}
   */
  public record Result(double thinnestMm, Vec3 place, boolean facing, byte[] steps) {}

  /**
   * @param master as it stands in the box
   * @param across from face to face of it
   * @param ring of the walls' insides, seen from above: x and y in turn
   * @param topMm of the rubber, above the plate
   * @param standing whether the master stands on the plate: no rubber is under it then
   */
  public static Result of(
      TriangleMesh master, FacingFaces across, double[] ring, double topMm, boolean standing) {
    byte[] steps = new byte[master.triangleCount()];
    double least = Double.POSITIVE_INFINITY;
    int where = 0;
    boolean facing = false;
    // rubber that a master stands out of ends at its line, however thin: no wall is over it there
    double over = master.bounds().max().z() < topMm ? topMm : Double.POSITIVE_INFINITY;
    for (int t = 0; t < steps.length; t++) {
      Vec3 p = master.middle(t);
      boolean without = p.z() >= topMm || standing && p.z() < 1e-3;
      if (without || !(master.areaVector(t).norm() > 0)) {
        steps[t] = (byte) 255;
        continue;
      }
      double wall = Math.min(Outline.distance(ring, p.x(), p.y()), upright(p, over, standing));
      double mm = Math.min(wall, across.mm()[t]);
      steps[t] = (byte) Math.max(0, Math.min(255, Math.round(mm / STEP_MM)));
      if (mm < least) {
        least = mm;
        where = t;
        facing = mm < wall;
      }
    }
    return new Result(least, master.middle(where), facing, steps);
  }

  private static double upright(Vec3 p, double topMm, boolean standing) {
    double over = topMm - p.z();
    return standing ? over : Math.max(0, Math.min(over, p.z()));
  }
}
