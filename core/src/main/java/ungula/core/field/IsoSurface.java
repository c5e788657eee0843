package ungula.core.field;

import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;

/**
 * The surface where a function of space is zero, as a closed mesh: marching tetrahedra over a
 * regular grid, six to a cell, so that there are no ambiguous cases and no gaps.
 *
 * <p>Guaranteed closed when the function is positive on the whole boundary of the box. Corners
 * where the function is exactly zero count as inside.
 */
public final class IsoSurface {

  /** Negative inside, positive outside; need not be a distance. */
  @FunctionalInterface
  public interface Shape {
    double at(double x, double y, double z);
  }

  /** Cell corners: bit 0 x, bit 1 y, bit 2 z. Six tetrahedra round the diagonal 0–7. */
  private static final int[][] TETRAHEDRA = {
    {0, 1, 3, 7}, {0, 3, 2, 7}, {0, 2, 6, 7}, {0, 6, 4, 7}, {0, 4, 5, 7}, {0, 5, 1, 7}
  };

  private final double[] corner = new double[3 * 8];
  private final double[] value = new double[8];
  private final TriangleMesh.Builder out = new TriangleMesh.Builder(1 << 16);

  private IsoSurface() {}

  /**
   * @param cells along the longest side
   */
  public static TriangleMesh of(Shape shape, Box3 box, int cells) {
    return new IsoSurface().march(shape, box, cells);
  }

  /** A distance by the cells of a grid. */
  @FunctionalInterface
  public interface ByCell {
    double at(int cell);
  }

  /** Where a distance known at the cell centres of a grid is zero. */
  public static TriangleMesh of(Grid grid, ByCell mm) {
    Vec3 last = new Vec3(grid.x(grid.nx() - 1), grid.y(grid.ny() - 1), grid.z(grid.nz() - 1));
    int longest = Math.max(grid.nx(), Math.max(grid.ny(), grid.nz())) - 1;
    // a corner exactly on the surface would collapse triangles
    double least = 1e-4 * grid.h();
    return of(
        (x, y, z) -> {
          double d = mm.at(grid.at(x, y, z));
          return Math.abs(d) < least ? Math.copySign(least, d) : d;
        },
        new Box3(grid.origin(), last),
        longest);
  }

  private TriangleMesh march(Shape shape, Box3 box, int cells) {
    double h = box.longest() / cells;
    Vec3 size = box.size();
    int nx = (int) Math.ceil(size.x() / h) + 1;
    int ny = (int) Math.ceil(size.y() / h) + 1;
    int nz = (int) Math.ceil(size.z() / h) + 1;
    double[][] slab = new double[2][nx * ny];
    fill(shape, box, h, 0, nx, ny, slab[0]);
    for (int k = 0; k + 1 < nz; k++) {
      fill(shape, box, h, k + 1, nx, ny, slab[(k + 1) & 1]);
      double[] low = slab[k & 1];
      double[] high = slab[(k + 1) & 1];
      for (int j = 0; j + 1 < ny; j++) {
        for (int i = 0; i + 1 < nx; i++) {
          cell(box, h, i, j, k, nx, low, high);
        }
      }
    }
    return out.build();
  }

  private static void fill(Shape shape, Box3 box, double h, int k, int nx, int ny, double[] into) {
    for (int j = 0; j < ny; j++) {
      for (int i = 0; i < nx; i++) {
        into[j * nx + i] =
            shape.at(box.min().x() + i * h, box.min().y() + j * h, box.min().z() + k * h);
      }
    }
  }

  private void cell(Box3 box, double h, int i, int j, int k, int nx, double[] low, double[] high) {
    boolean inside = false;
    boolean outside = false;
    for (int c = 0; c < 8; c++) {
      int x = i + (c & 1);
      int y = j + (c >> 1 & 1);
      double v = ((c & 4) == 0 ? low : high)[y * nx + x];
      value[c] = v;
      inside |= v <= 0;
      outside |= v > 0;
    }
    if (!inside || !outside) {
      return;
    }
    for (int c = 0; c < 8; c++) {
      corner[3 * c] = box.min().x() + (i + (c & 1)) * h;
      corner[3 * c + 1] = box.min().y() + (j + (c >> 1 & 1)) * h;
      corner[3 * c + 2] = box.min().z() + (k + (c >> 2)) * h;
    }
    for (int[] t : TETRAHEDRA) {
      tetrahedron(t[0], t[1], t[2], t[3]);
    }
  }

  /** Corners with positive volume: (b − a) · ((c − a) × (d − a)) > 0. */
  private void tetrahedron(int a, int b, int c, int d) {
    int code =
        (value[a] <= 0 ? 1 : 0)
            | (value[b] <= 0 ? 2 : 0)
            | (value[c] <= 0 ? 4 : 0)
            | (value[d] <= 0 ? 8 : 0);
    switch (code) {
      case 1 -> one(a, b, c, d);
      case 2 -> one(b, a, d, c);
      case 4 -> one(c, a, b, d);
      case 8 -> one(d, a, c, b);
      case 14 -> one(a, b, d, c);
      case 13 -> one(b, a, c, d);
      case 11 -> one(c, a, d, b);
      case 7 -> one(d, a, b, c);
      case 3 -> two(a, b, c, d);
      case 5 -> two(a, c, d, b);
      case 9 -> two(a, d, b, c);
      case 6 -> two(b, c, a, d);
      case 10 -> two(b, d, c, a);
      case 12 -> two(c, d, a, b);
      default -> {}
    }
  }

  /** One corner alone on its side; the others in the order that faces the surface outwards. */
  private void one(int p, int q, int r, int s) {
    out.triangle(cross(p, q), cross(p, r), cross(p, s));
  }

  /** Corners p, q inside, r, s outside. */
  private void two(int p, int q, int r, int s) {
    int pr = cross(p, r);
    int ps = cross(p, s);
    int qr = cross(q, r);
    int qs = cross(q, s);
    out.triangle(pr, qs, qr);
    out.triangle(pr, ps, qs);
  }

  private int cross(int p, int q) {
    // always from the lower corner, so that neighbouring cells compute the same point
    int a = Math.min(p, q);
    int b = Math.max(p, q);
    double u = value[a] / (value[a] - value[b]);
    return out.vertex(
        corner[3 * a] + u * (corner[3 * b] - corner[3 * a]),
        corner[3 * a + 1] + u * (corner[3 * b + 1] - corner[3 * a + 1]),
        corner[3 * a + 2] + u * (corner[3 * b + 2] - corner[3 * a + 2]));
  }
}
