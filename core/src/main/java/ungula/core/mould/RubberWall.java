package ungula.core.mould;

import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mesh.TriangleTree;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * How thick the rubber is over every place of a master: to the nearest wall of the box, to the pour
 * line, or straight out to another face of the master that looks back.
 */
public final class RubberWall {

  /** A face looks back when the two lean this far or less from facing (cosine). */
  private static final double FACING = -0.8;

  /** How far in front of the surface a ray starts, as a share of the body's diagonal. */
  private static final double START = 4e-6;

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
   * @param inside of the box up to the pour line; its floor is the plate
   * @param standing whether the master stands on the plate: no rubber is under it then
   */
  public static Result of(
      TriangleMesh master, Box3 inside, boolean standing, Parallel parallel, Progress progress) {
    TriangleTree tree = TriangleTree.of(master);
    int n = master.triangleCount();
    byte[] steps = new byte[n];
    double start = START * master.bounds().diagonal();
    int portions = 64;
    double[] least = new double[portions];
    int[] where = new int[portions];
    boolean[] facing = new boolean[portions];
    parallel.each(
        portions,
        part -> {
          progress.at("Measuring the rubber", (double) part / portions);
          least[part] = Double.POSITIVE_INFINITY;
          for (int t = (int) ((long) n * part / portions);
              t < (int) ((long) n * (part + 1) / portions);
              t++) {
            Vec3 area = master.areaVector(t);
            boolean floor = standing && master.middle(t).z() < inside.min().z() + 1e-3;
            if (!(area.norm() > 0) || floor) {
              steps[t] = (byte) 255;
              continue;
            }
            Vec3 p = master.middle(t);
            double wall = toWall(p, inside, standing);
            double across = across(master, tree, t, p, area.unit(), start);
            double mm = Math.min(wall, across);
            steps[t] = (byte) Math.max(0, Math.min(255, Math.round(mm / STEP_MM)));
            if (mm < least[part]) {
              least[part] = mm;
              where[part] = t;
              facing[part] = across < wall;
            }
          }
        });
    int best = 0;
    for (int part = 1; part < portions; part++) {
      best = least[part] < least[best] ? part : best;
    }
    return new Result(least[best], master.middle(where[best]), facing[best], steps);
  }

  private static double toWall(Vec3 p, Box3 inside, boolean standing) {
    double x = Math.min(p.x() - inside.min().x(), inside.max().x() - p.x());
    double y = Math.min(p.y() - inside.min().y(), inside.max().y() - p.y());
    double z = inside.max().z() - p.z();
    double side = Math.min(Math.min(x, y), z);
    return Math.max(0, standing ? side : Math.min(side, p.z() - inside.min().z()));
  }

  /** To another face that looks back; infinite when there is none. */
  private static double across(
      TriangleMesh mesh, TriangleTree tree, int t, Vec3 p, Vec3 n, double start) {
    Vec3 from = p.plus(n.times(start));
    int met = tree.firstMet(from.x(), from.y(), from.z(), n.x(), n.y(), n.z(), t);
    if (met < 0) {
      return Double.POSITIVE_INFINITY;
    }
    Vec3 other = mesh.areaVector(met);
    return other.dot(n) <= FACING * other.norm()
        ? tree.firstHit(from.x(), from.y(), from.z(), n.x(), n.y(), n.z(), t)
        : Double.POSITIVE_INFINITY;
  }
}
