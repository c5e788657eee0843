package ungula.core.mould;

import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
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
   * @param inside of the box up to the pour line; its floor is the plate
   * @param standing whether the master stands on the plate: no rubber is under it then
   */
  public static Result of(TriangleMesh master, FacingFaces across, Box3 inside, boolean standing) {
    byte[] steps = new byte[master.triangleCount()];
    double least = Double.POSITIVE_INFINITY;
    int where = 0;
    boolean facing = false;
    for (int t = 0; t < steps.length; t++) {
      Vec3 p = master.middle(t);
      boolean floor = standing && p.z() < inside.min().z() + 1e-3;
      if (floor || !(master.areaVector(t).norm() > 0)) {
        steps[t] = (byte) 255;
        continue;
      }
      double wall = toWall(p, inside, standing);
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

  private static double toWall(Vec3 p, Box3 inside, boolean standing) {
    double x = Math.min(p.x() - inside.min().x(), inside.max().x() - p.x());
    double y = Math.min(p.y() - inside.min().y(), inside.max().y() - p.y());
    double z = inside.max().z() - p.z();
    double side = Math.min(Math.min(x, y), z);
    return Math.max(0, standing ? side : Math.min(side, p.z() - inside.min().z()));
  }
}
