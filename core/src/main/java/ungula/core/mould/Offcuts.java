package ungula.core.mould;

import java.util.List;
import ungula.core.field.DistanceField;
import ungula.core.field.Grid;
import ungula.core.field.Reach;
import ungula.core.geometry.Box3;
import ungula.core.mesh.Clustering;
import ungula.core.mesh.Outline;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/** Where cured pieces of the same rubber may take the place of new: nowhere near the master. */
public final class Offcuts {

  /** Closer to the master they would show in the cast, or be felt by the knife. */
  public static final double CLEAR_MM = 10;

  /** Of the room there is: they must not touch each other. */
  public static final double SHARE = 0.3;

  /** Cells of the room: it is told to half a per cent of the box. */
  private static final double CELLS = 300_000;

  /** Facets much smaller than a cell are drawn together, in cells. */
  private static final double CLUSTER = 0.8;

  private Offcuts() {}

  /**
   * Room in a box further than {@link #CLEAR_MM} from the master, mm³.
   *
   * @param master as it stands in the box
   * @param inside what the box fits in, up to the pour line
   * @param ring of the walls' insides, seen from above
   * @throws java.util.concurrent.CancellationException when the progress says that nobody waits
   */
  public static double roomMm3(
      TriangleMesh master, Box3 inside, double[] ring, Parallel parallel, Progress progress) {
    double wished = Math.max(0.5, Math.cbrt(inside.volume() / CELLS));
    Grid grid = Grid.round(inside, 0, wished);
    double h = grid.h();
    DistanceField field =
        DistanceField.of(
            Clustering.of(master, CLUSTER * h),
            grid,
            new Reach(Reach.UNSEEN, CLEAR_MM + h),
            parallel,
            progress);
    List<double[]> rings = List.of(ring);
    double cells = 0;
    for (int j = 0; j < grid.ny(); j++) {
      double y = within(grid.y(j), h, inside.min().y(), inside.max().y());
      for (int i = 0; i < grid.nx(); i++) {
        double share = y * within(grid.x(i), h, inside.min().x(), inside.max().x());
        if (!Outline.inside(
            rings, nearest(grid.x(i), inside.max().x()), nearest(grid.y(j), inside.max().y()))) {
          continue;
        }
        for (int k = 0; k < grid.nz(); k++) {
          // a wall just as thick as that leaves nothing
          if (field.at(grid.index(i, j, k)) > CLEAR_MM) {
            cells += share * within(grid.z(k), h, 0, inside.max().z());
          }
        }
      }
    }
    return cells * grid.cellMm3();
  }

  /** How much of a cell lies between two faces of the box, by its middle. */
  private static double within(double at, double h, double low, double high) {
    double overlap = Math.min(high, at + h / 2) - Math.max(low, at - h / 2);
    return Math.max(0, Math.min(1, overlap / h));
  }

  /** A middle that is beyond the last face, back inside. */
  private static double nearest(double at, double high) {
    return Math.min(at, high - 1e-6);
  }
}
