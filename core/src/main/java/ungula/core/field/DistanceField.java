package ungula.core.field;

import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * The signed distance from a surface at the cell centres of a grid, mm: negative inside. Made for
 * closed meshes and for broken ones; {@link InsideCells} says which side a cell is on.
 *
 * <p>The same inputs give the same field bit for bit, whatever the number of threads. Takes 16
 * bytes a cell while {@link DistanceTransform} makes it, 130 MB at the default spacing with a
 * narrow margin, and 4 when done. Safe to share between threads.
 */
public final class DistanceField {

  private final Grid grid;
  private final float[] mm;

  private DistanceField(Grid grid, float[] mm) {
    this.grid = grid;
    this.mm = mm;
  }

  /** One that was kept; takes the array over. */
  public static DistanceField kept(Grid grid, float[] mm) {
    if (mm.length != grid.count()) {
      throw new IllegalArgumentException(mm.length + " distances for " + grid.count() + " cells");
    }
    return new DistanceField(grid, mm);
  }

  /**
   * @param reach how far from the surface it is wanted; {@link Reach#ALL} for the whole grid
   * @throws java.util.concurrent.CancellationException when the progress says that nobody waits
   */
  public static DistanceField of(
      TriangleMesh mesh, Grid grid, Reach reach, Parallel parallel, Progress progress) {
    return new DistanceField(
        grid, new DistanceTransform(mesh, grid, reach, parallel, progress).run());
  }

  public Grid grid() {
    return grid;
  }

  /** Signed distance at a cell's centre, mm. */
  public float at(int index) {
    return mm[index];
  }

  /**
   * Share of a cell that lies in the body: linear in the distance at its centre where the surface
   * parts it from a cell on the other side, all or nothing elsewhere. Surfaces with the same side
   * before and behind them, of a sheet or of a part inside another, take nothing away.
   */
  double bodyShare(int i, int j, int k) {
    int cell = grid.index(i, j, k);
    float d = mm[cell];
    double share = 0.5 - d / grid.h();
    if (share <= 0 || share >= 1) {
      return d < 0 ? 1 : 0;
    }
    int layer = grid.nx() * grid.ny();
    boolean atSurface =
        i > 0 && other(d, cell - 1)
            || i + 1 < grid.nx() && other(d, cell + 1)
            || j > 0 && other(d, cell - grid.nx())
            || j + 1 < grid.ny() && other(d, cell + grid.nx())
            || k > 0 && other(d, cell - layer)
            || k + 1 < grid.nz() && other(d, cell + layer);
    return atSurface ? share : d < 0 ? 1 : 0;
  }

  private boolean other(float d, int cell) {
    return mm[cell] < 0 != d < 0;
  }

  /** Signed distance between cell centres, trilinear; beyond the grid as at its rim. */
  public double at(Vec3 p) {
    double u = within((p.x() - grid.origin().x()) / grid.h(), grid.nx());
    double v = within((p.y() - grid.origin().y()) / grid.h(), grid.ny());
    double w = within((p.z() - grid.origin().z()) / grid.h(), grid.nz());
    int i = (int) Math.min(u, Math.max(0, grid.nx() - 2));
    int j = (int) Math.min(v, Math.max(0, grid.ny() - 2));
    int k = (int) Math.min(w, Math.max(0, grid.nz() - 2));
    double sum = 0;
    for (int c = 0; c < 8; c++) {
      int x = Math.min(grid.nx() - 1, i + (c & 1));
      int y = Math.min(grid.ny() - 1, j + (c >> 1 & 1));
      int z = Math.min(grid.nz() - 1, k + (c >> 2));
      double share =
          ((c & 1) == 0 ? 1 - (u - i) : u - i)
              * ((c & 2) == 0 ? 1 - (v - j) : v - j)
              * ((c & 4) == 0 ? 1 - (w - k) : w - k);
      sum += share * mm[grid.index(x, y, z)];
    }
    return sum;
  }

  private static double within(double at, int n) {
    return Math.max(0, Math.min(n - 1, at));
  }
}
