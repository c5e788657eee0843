package ungula.core.parting;

import java.util.Arrays;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.BoxInside;

/** The surface two halves meet in, keys and seal ring included, to be looked at. */
public final class PartingSurface {

  /** Squares along the longer side: keys and ring show as what they are. */
  private static final int SQUARES = 240;

  private PartingSurface() {}

  /**
   * Squares of two triangles over the inside of the box, but for what lies inside the master. Open
   * at its edges, which run along the squares whose middles are in rubber.
   */
  public static TriangleMesh of(Parting parting) {
    Box3 inside = bounds(parting);
    double step = Math.max(inside.size().x(), inside.size().y()) / SQUARES;
    int nx = Math.max(1, (int) Math.round(inside.size().x() / step));
    int ny = Math.max(1, (int) Math.round(inside.size().y() / step));
    double dx = inside.size().x() / nx;
    double dy = inside.size().y() / ny;
    double[] xyz = new double[3 * (nx + 1) * (ny + 1)];
    int n = 0;
    for (int j = 0; j <= ny; j++) {
      for (int i = 0; i <= nx; i++) {
        double x = inside.min().x() + i * dx;
        double y = inside.min().y() + j * dy;
        xyz[n++] = x;
        xyz[n++] = y;
        xyz[n++] = parting.at(x, y);
      }
    }
    int[] corners = new int[6 * nx * ny];
    int used = 0;
    for (int j = 0; j < ny; j++) {
      double y = inside.min().y() + (j + 0.5) * dy;
      double[] within = BoxInside.along(parting.box().inside().ring(), 0, y);
      for (int i = 0; i < nx; i++) {
        double x = inside.min().x() + (i + 0.5) * dx;
        if (lies(within, x) && !parting.inMaster(x, y)) {
          int a = j * (nx + 1) + i;
          int c = a + nx + 1;
          for (int corner : new int[] {a, a + 1, c + 1, a, c + 1, c}) {
            corners[used++] = corner;
          }
        }
      }
    }
    return new TriangleMesh(xyz, Arrays.copyOf(corners, used));
  }

  private static boolean lies(double[] within, double x) {
    for (int s = 0; s + 1 < within.length; s += 2) {
      if (within[s] <= x && x <= within[s + 1]) {
        return true;
      }
    }
    return false;
  }

  private static Box3 bounds(Parting parting) {
    BoxInside in = parting.box().inside();
    return new Box3(new Vec3(in.minX(), in.minY(), 0), new Vec3(in.maxX(), in.maxY(), 0));
  }
}
