package ungula.core.field;

import java.util.Arrays;
import java.util.BitSet;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mesh.WindingNumber;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * Which cells of a grid have their centre inside a surface: where it winds round them at least half
 * way, in either sense, so that overlapping parts count once and parts turned inside out count.
 *
 * <p>A surface that bounds its inside (every edge run through as often one way as the other) is
 * looked at along straight rows of cells: exact, also where parts cross. Any other is asked for its
 * generalised winding number: in blocks away from the surface only as often as needed.
 */
public final class InsideCells {

  private static final int BLOCK = 4;

  private final TriangleMesh mesh;
  private final Grid grid;
  private final Parallel parallel;
  private final Progress progress;

  private InsideCells(TriangleMesh mesh, Grid grid, Parallel parallel, Progress progress) {
    this.mesh = mesh;
    this.grid = grid;
    this.parallel = parallel;
    this.progress = progress;
  }

  /** One set for each layer of cells, a bit for each cell of the layer. */
  public static BitSet[] of(TriangleMesh mesh, Grid grid, Parallel parallel, Progress progress) {
    return of(mesh, bounds(mesh), grid, parallel, progress);
  }

  /**
   * @param bounds what {@link #bounds} says of the mesh
   */
  public static BitSet[] of(
      TriangleMesh mesh, boolean bounds, Grid grid, Parallel parallel, Progress progress) {
    InsideCells inside = new InsideCells(mesh, grid, parallel, progress);
    return bounds ? inside.byRows() : inside.byWinding();
  }

  /** Whether every edge is run through as often one way as the other. */
  public static boolean bounds(TriangleMesh mesh) {
    int[] c = mesh.corners();
    // the edges of each lower vertex stand together: the higher one, then the sense
    int[] start = new int[mesh.vertexCount() + 1];
    for (int h = 0; h < c.length; h++) {
      start[Math.min(c[h], c[next(h)]) + 1]++;
    }
    for (int v = 0; v + 1 < start.length; v++) {
      start[v + 1] += start[v];
    }
    long[] edges = new long[c.length];
    int[] fill = start.clone();
    for (int h = 0; h < c.length; h++) {
      int a = c[h];
      int b = c[next(h)];
      edges[fill[Math.min(a, b)]++] = (long) Math.max(a, b) << 1 | (a < b ? 1 : 0);
    }
    for (int v = 0; v + 1 < start.length; v++) {
      if (!balanced(edges, start[v], start[v + 1])) {
        return false;
      }
    }
    return true;
  }

  private static boolean balanced(long[] edges, int from, int to) {
    Arrays.sort(edges, from, to);
    int balance = 0;
    for (int i = from; i < to; i++) {
      balance += (edges[i] & 1) == 1 ? 1 : -1;
      boolean last = i + 1 == to || edges[i + 1] >>> 1 != edges[i] >>> 1;
      if (last && balance != 0) {
        return false;
      }
    }
    return true;
  }

  /** The corner after one, in its triangle. */
  private static int next(int h) {
    return h % 3 == 2 ? h - 2 : h + 1;
  }

  private BitSet[] byRows() {
    BitSet[] layers = new BitSet[grid.nz()];
    Layers triangles = Layers.of(mesh, grid, 0);
    parallel.each(
        grid.nz(),
        k -> {
          progress.at("Telling inside from outside", (double) k / grid.nz());
          layers[k] = new Rows(triangles, k).inside();
        });
    return layers;
  }

  /** The crossings of one layer's rows with the surface. */
  private final class Rows {
    private final Layers triangles;
    private final int k;
    private final double z;
    private final double[] p = mesh.xyz();
    private final int[] c = mesh.corners();
    private int[] rows = new int[256];
    private double[] at = new double[256];
    private byte[] senses = new byte[256];
    private int crossings;

    // what the layer's plane cuts of the triangle looked at, along y
    private double least;
    private double most;

    Rows(Layers triangles, int k) {
      this.triangles = triangles;
      this.k = k;
      this.z = grid.z(k);
    }

    BitSet inside() {
      for (int n = triangles.start(k); n < triangles.start(k + 1); n++) {
        cross(triangles.triangle(n));
      }
      int[] start = new int[grid.ny() + 1];
      for (int n = 0; n < crossings; n++) {
        start[rows[n] + 1]++;
      }
      for (int j = 0; j < grid.ny(); j++) {
        start[j + 1] += start[j];
      }
      double[] xs = new double[crossings];
      int[] sense = new int[crossings];
      int[] fill = start.clone();
      for (int n = 0; n < crossings; n++) {
        // sorted into its row as it comes
        int spot = fill[rows[n]]++;
        while (spot > start[rows[n]] && xs[spot - 1] > at[n]) {
          xs[spot] = xs[spot - 1];
          sense[spot] = sense[spot - 1];
          spot--;
        }
        xs[spot] = at[n];
        sense[spot] = senses[n];
      }
      BitSet inside = new BitSet(grid.nx() * grid.ny());
      for (int j = 0; j < grid.ny(); j++) {
        int winding = 0;
        for (int n = start[j]; n + 1 < start[j + 1]; n++) {
          winding += sense[n];
          if (winding != 0) {
            int first = cellFrom(xs[n]);
            int last = cellFrom(xs[n + 1]);
            if (first < last) {
              inside.set(j * grid.nx() + first, j * grid.nx() + last);
            }
          }
        }
      }
      return inside;
    }

    /** The first cell of a row whose centre is past x. */
    private int cellFrom(double x) {
      double i = Math.ceil((x - grid.origin().x()) / grid.h());
      return (int) Math.max(0, Math.min(grid.nx(), i));
    }

    private void cross(int t) {
      int a = c[3 * t];
      int b = c[3 * t + 1];
      int d = c[3 * t + 2];
      least = Double.POSITIVE_INFINITY;
      most = Double.NEGATIVE_INFINITY;
      reach(a, b);
      reach(b, d);
      reach(d, a);
      double h = grid.h();
      double oy = grid.origin().y();
      int first = (int) Math.max(0, Math.ceil((least - oy) / h - 1e-6));
      int last = (int) Math.min(grid.ny() - 1, Math.floor((most - oy) / h + 1e-6));
      for (int j = first; j <= last; j++) {
        double y = grid.y(j);
        boolean ab = left(a, b, y);
        if (ab != left(b, d, y) || ab != left(d, a, y)) {
          continue;
        }
        add(j, meet(a, b, d, y), ab ? -1 : 1);
      }
    }

    /** Widens what the layer's plane cuts of a triangle by where it meets one of the edges. */
    private void reach(int a, int b) {
      double za = p[3 * a + 2] - z;
      double zb = p[3 * b + 2] - z;
      if (za * zb > 0) {
        return;
      }
      double ya = p[3 * a + 1];
      double yb = p[3 * b + 1];
      double from = za == zb ? ya : ya + (yb - ya) * (za / (za - zb));
      double to = za == zb ? yb : from;
      least = Math.min(least, Math.min(from, to));
      most = Math.max(most, Math.max(from, to));
    }

    /**
     * Whether the row runs to the left of an edge seen along x. Worked out from the edge's lower
     * vertex, so that both triangles at the edge get the same answer; a row that meets the edge is
     * taken as moved by a hair towards +y, and by less towards +z.
     */
    private boolean left(int from, int to, double y) {
      int a = Math.min(from, to);
      int b = Math.max(from, to);
      double ey = p[3 * b + 1] - p[3 * a + 1];
      double ez = p[3 * b + 2] - p[3 * a + 2];
      double e = ey * (z - p[3 * a + 2]) - ez * (y - p[3 * a + 1]);
      boolean side = e != 0 ? e > 0 : ez != 0 ? ez < 0 : ey > 0;
      return side == (a == from);
    }

    private double meet(int a, int b, int d, double y) {
      double uy = p[3 * b + 1] - p[3 * a + 1];
      double uz = p[3 * b + 2] - p[3 * a + 2];
      double vy = p[3 * d + 1] - p[3 * a + 1];
      double vz = p[3 * d + 2] - p[3 * a + 2];
      double det = uy * vz - uz * vy;
      double xa = p[3 * a];
      double least = Math.min(xa, Math.min(p[3 * b], p[3 * d]));
      double most = Math.max(xa, Math.max(p[3 * b], p[3 * d]));
      if (det == 0) {
        return (least + most) / 2;
      }
      double sy = y - p[3 * a + 1];
      double sz = z - p[3 * a + 2];
      double s = (sy * vz - sz * vy) / det;
      double r = (uy * sz - uz * sy) / det;
      double x = xa + s * (p[3 * b] - xa) + r * (p[3 * d] - xa);
      return Math.max(least, Math.min(most, x));
    }

    private void add(int row, double x, int sense) {
      if (crossings == rows.length) {
        rows = Arrays.copyOf(rows, 2 * crossings);
        at = Arrays.copyOf(at, 2 * crossings);
        senses = Arrays.copyOf(senses, 2 * crossings);
      }
      rows[crossings] = row;
      at[crossings] = x;
      senses[crossings++] = (byte) sense;
    }
  }

  private BitSet[] byWinding() {
    WindingNumber winding = WindingNumber.of(mesh);
    BitSet[] layers = new BitSet[grid.nz()];
    int slabs = (grid.nz() + BLOCK - 1) / BLOCK;
    BitSet touched = blocksNear();
    int bx = (grid.nx() + BLOCK - 1) / BLOCK;
    int by = (grid.ny() + BLOCK - 1) / BLOCK;
    parallel.each(
        slabs,
        slab -> {
          progress.at("Telling inside from outside", (double) slab / slabs);
          int k0 = slab * BLOCK;
          int k1 = Math.min(grid.nz(), k0 + BLOCK);
          for (int k = k0; k < k1; k++) {
            layers[k] = new BitSet(grid.nx() * grid.ny());
          }
          for (int b = 0; b < bx * by; b++) {
            block(
                winding,
                layers,
                b % bx * BLOCK,
                b / bx * BLOCK,
                k0,
                touched.get(slab * bx * by + b));
          }
        });
    return layers;
  }

  private void block(WindingNumber winding, BitSet[] layers, int i0, int j0, int k0, boolean near) {
    int i1 = Math.min(grid.nx(), i0 + BLOCK);
    int j1 = Math.min(grid.ny(), j0 + BLOCK);
    int k1 = Math.min(grid.nz(), k0 + BLOCK);
    if (!near) {
      // no surface for a block's width: over half of one the number changes by less than a quarter
      double middle =
          Math.abs(
              winding.at(
                  (grid.x(i0) + grid.x(i1 - 1)) / 2,
                  (grid.y(j0) + grid.y(j1 - 1)) / 2,
                  (grid.z(k0) + grid.z(k1 - 1)) / 2));
      if (middle < 0.25) {
        return;
      }
      if (middle > 0.75) {
        for (int k = k0; k < k1; k++) {
          for (int j = j0; j < j1; j++) {
            layers[k].set(j * grid.nx() + i0, j * grid.nx() + i1);
          }
        }
        return;
      }
    }
    for (int k = k0; k < k1; k++) {
      for (int j = j0; j < j1; j++) {
        for (int i = i0; i < i1; i++) {
          if (Math.abs(winding.at(grid.x(i), grid.y(j), grid.z(k))) >= 0.5) {
            layers[k].set(j * grid.nx() + i);
          }
        }
      }
    }
  }

  /** Blocks that a triangle's bounds touch, or that lie next to such a one. */
  private BitSet blocksNear() {
    int bx = (grid.nx() + BLOCK - 1) / BLOCK;
    int by = (grid.ny() + BLOCK - 1) / BLOCK;
    int bz = (grid.nz() + BLOCK - 1) / BLOCK;
    BitSet near = new BitSet(bx * by * bz);
    double side = BLOCK * grid.h();
    double[] o = {
      grid.origin().x() - grid.h() / 2,
      grid.origin().y() - grid.h() / 2,
      grid.origin().z() - grid.h() / 2
    };
    int[] n = {bx, by, bz};
    double[] p = mesh.xyz();
    int[] c = mesh.corners();
    int[] lo = new int[3];
    int[] hi = new int[3];
    for (int t = 0; t < mesh.triangleCount(); t++) {
      for (int a = 0; a < 3; a++) {
        double u = p[3 * c[3 * t] + a];
        double v = p[3 * c[3 * t + 1] + a];
        double w = p[3 * c[3 * t + 2] + a];
        lo[a] = (int) Math.max(0, Math.floor((Math.min(u, Math.min(v, w)) - o[a]) / side) - 1);
        hi[a] =
            (int) Math.min(n[a] - 1.0, Math.floor((Math.max(u, Math.max(v, w)) - o[a]) / side) + 1);
      }
      for (int k = lo[2]; k <= hi[2]; k++) {
        for (int j = lo[1]; j <= hi[1]; j++) {
          if (lo[0] <= hi[0]) {
            near.set((k * by + j) * bx + lo[0], (k * by + j) * bx + hi[0] + 1);
          }
        }
      }
    }
    return near;
  }
}
