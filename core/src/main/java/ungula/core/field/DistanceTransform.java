package ungula.core.field;

import java.util.Arrays;
import java.util.BitSet;
import ungula.core.mesh.Topology;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * Makes a distance field in three steps. Cells next to a triangle are measured to it. Nearest
 * triangles then spread through the grid in two sweeps, layer by layer upwards and downwards,
 * within a layer row by row both ways: each cell is offered those of its neighbours that lie nearer
 * the surface, and measured to them exactly (vector distance transform: P. Danielsson, Euclidean
 * distance mapping, 1980, with triangles for points). Last, each cell further off than a cell's
 * width goes on from its triangle to the ones beside it while they are nearer, and over those that
 * the cells beside the place it comes to are nearest to.
 *
 * <p>A value is never too small, and too large only where a triangle is nearest to less than a
 * cell's width of space: exact to 0.02 of a cell in every cell looked at by the tests, with 128
 * cells to the longest side and more, also where triangles are smaller than cells; in coarser grids
 * over some 200 000 triangles to 0.05, in meshes of more than half a million to 0.1. Where the sign
 * bridges a gap of the surface, the bridge counts as surface.
 *
 * <p>The two sweeps run side by side on their own copies, everything else layer by layer, so the
 * number of threads does not show.
 */
final class DistanceTransform {

  private static final double SQRT2 = Math.sqrt(2);
  private static final double SQRT3 = Math.sqrt(3);

  /** Planes whose normal has no more of an axis than this lie along it. */
  private static final double ALONG = 1e-6;

  /**
   * The straight way from the surface to a cell passes within half a cell of one of its neighbours,
   * which is nearer by most of the step between them: by this share at least. Others need not be
   * asked.
   */
  private static final double NEARER = 0.7;

  /** What is not nearer by more than rounding is not gone to: lids are fans of many triangles. */
  private static final double NOTABLY = 1 - 1e-6;

  /** Cells of a row that are passed over together where none knows a triangle. */
  private static final int STRETCH = 8;

  /**
   * All triangles this many cells from a cell's centre are measured from it at the start: what is
   * found there is nearest.
   */
  private static final double SETTLED = 1 - 1e-6;

  private final TriangleMesh mesh;
  private final Grid grid;
  private final Reach reach;
  private final Parallel parallel;
  private final Progress progress;
  private final TriangleDistances triangles;
  private final Topology topology;
  private final int nx;
  private final int ny;
  private final int nz;
  private final int layer;

  /** How much nearer a neighbour must be along an axis, over an edge, over a corner of its cell. */
  private final float straight;

  private final float aslant;
  private final float cornerwise;

  /** Distance to the nearest triangle found so far, and which one; −1 none. */
  private final float[] best;

  private final int[] which;

  private final VertexRings rings;

  /**
   * Whether triangles are smaller than cells: then several hollows of the surface may lie in one.
   */
  private final boolean small;

  /** A set for each layer, of its cells inside the surface. */
  private BitSet[] inside;

  /** Whether the surface has gaps: then both sides are measured to bridge them. */
  private boolean gaps;

  /**
   * A cell no further than this is not offered more. None is where gaps are bridged: the bridges
   * are measured to the two cells beside them only.
   */
  private float settled;

  DistanceTransform(
      TriangleMesh mesh, Grid grid, Reach reach, Parallel parallel, Progress progress) {
    this.mesh = mesh;
    this.grid = grid;
    this.reach = reach;
    this.parallel = parallel;
    this.progress = progress;
    this.triangles = new TriangleDistances(mesh);
    this.topology = Topology.of(mesh);
    this.nx = grid.nx();
    this.ny = grid.ny();
    this.nz = grid.nz();
    this.layer = nx * ny;
    this.straight = (float) (NEARER * grid.h());
    this.aslant = (float) (NEARER * SQRT2 * grid.h());
    this.cornerwise = (float) (NEARER * SQRT3 * grid.h());
    this.best = new float[grid.count()];
    this.which = new int[grid.count()];
    this.rings = new VertexRings(mesh);
    this.small = edge(mesh) < grid.h();
  }

  /** About how long an edge is. */
  private static double edge(TriangleMesh mesh) {
    double area = mesh.measure().areaMm2() / Math.max(1, mesh.triangleCount());
    return Math.sqrt(area * 4 / Math.sqrt(3));
  }

  /** Signed distances, mm. */
  float[] run() {
    gaps = !InsideCells.bounds(mesh);
    settled = gaps ? 0 : (float) (SETTLED * grid.h());
    inside = InsideCells.of(mesh, !gaps, grid, parallel, progress.part(0, 0.1));
    seed(progress.part(0.1, 0.2));
    if (gaps) {
      bridge();
    }
    limit();
    float[] bestDown = best.clone();
    int[] whichDown = which.clone();
    parallel.each(
        2,
        half -> {
          if (half == 0) {
            new Sweep(best, which).run(1, progress.part(0.2, 0.8));
          } else {
            new Sweep(bestDown, whichDown).run(-1, progress.part(0.2, 0.8));
          }
        });
    parallel.each(
        nz,
        k -> {
          progress.at("Measuring distances", 0.8 + 0.2 * k / nz);
          Walk walk = new Walk();
          for (int i = k * layer; i < (k + 1) * layer; i++) {
            boolean down = bestDown[i] < best[i];
            float d =
                seen(k, i - k * layer)
                    ? walk.to(i, down ? whichDown[i] : which[i], down ? bestDown[i] : best[i])
                    : (float) grid.h();
            best[i] = inside[k].get(i - k * layer) ? -d : d;
          }
        });
    return best;
  }

  /** Whether a cell of a layer is measured. */
  private boolean seen(int k, int spot) {
    return gaps || reach.sees(inside[k].get(spot));
  }

  /**
   * Cells that no triangle is next to start out at the reach: what is further is not looked for.
   * Those that are not measured are at 0, so that nothing is handed on through them.
   */
  private void limit() {
    double least = 3 * grid.h();
    float in = (float) Math.max(least, reach.insideMm());
    float out = (float) Math.max(least, reach.outsideMm());
    parallel.each(
        nz,
        k -> {
          for (int i = k * layer; i < (k + 1) * layer; i++) {
            if (!seen(k, i - k * layer)) {
              best[i] = 0;
            } else if (which[i] < 0) {
              best[i] = inside[k].get(i - k * layer) ? in : out;
            }
          }
        });
  }

  /** Measures every cell next to a triangle to it. */
  private void seed(Progress told) {
    Layers layers = Layers.of(mesh, grid, 1);
    parallel.each(
        nz,
        k -> {
          told.at("Measuring near the surface", (double) k / nz);
          Arrays.fill(best, k * layer, (k + 1) * layer, Float.POSITIVE_INFINITY);
          Arrays.fill(which, k * layer, (k + 1) * layer, -1);
          for (int n = layers.start(k); n < layers.start(k + 1); n++) {
            seed(layers.triangle(n), k);
          }
        });
  }

  private void seed(int t, int k) {
    double[] p = mesh.xyz();
    int a = 3 * mesh.corners()[3 * t];
    int b = 3 * mesh.corners()[3 * t + 1];
    int c = 3 * mesh.corners()[3 * t + 2];
    double h = grid.h();
    double x0 = grid.origin().x();
    double y0 = grid.origin().y();
    double left = (Math.min(p[a], Math.min(p[b], p[c])) - x0) / h - 1;
    double right = (Math.max(p[a], Math.max(p[b], p[c])) - x0) / h + 1;
    int j0 = from((Math.min(p[a + 1], Math.min(p[b + 1], p[c + 1])) - y0) / h - 1);
    int j1 = to((Math.max(p[a + 1], Math.max(p[b + 1], p[c + 1])) - y0) / h + 1, ny);
    double z = grid.z(k);
    double reach = SQRT3 * h;
    double across = triangles.normalX(t);
    boolean along = !(Math.abs(across) > ALONG);
    for (int j = j0; j <= j1; j++) {
      double y = grid.y(j);
      // of a row only the cells near the plane: of a large triangle they are few
      double off = triangles.offPlane(t, x0, y, z);
      if (along && Math.abs(off) > 2 * reach) {
        continue;
      }
      double from = along ? left : (-Math.signum(across) * reach - off) / across / h - ALONG;
      double to = along ? right : (Math.signum(across) * reach - off) / across / h + ALONG;
      int last = to(Math.min(right, to), nx);
      for (int i = from(Math.max(left, from)); i <= last; i++) {
        int cell = grid.index(i, j, k);
        double x = grid.x(i);
        double near = Math.abs(triangles.offPlane(t, x, y, z));
        if (near <= reach && near < best[cell] * NOTABLY) {
          offer(cell, t, x, y, z);
        }
      }
    }
  }

  private static int from(double at) {
    return (int) Math.max(0, Math.ceil(at - 1e-9));
  }

  private static int to(double at, int n) {
    return (int) Math.min(n - 1, Math.floor(at + 1e-9));
  }

  private void offer(int cell, int t, double x, double y, double z) {
    float d = (float) Math.sqrt(triangles.squared(t, x, y, z));
    if (d < best[cell]) {
      best[cell] = d;
      which[cell] = t;
    }
  }

  /**
   * Neighbours on different sides with no surface between them lie across a gap: the middle between
   * them becomes part of the surface.
   */
  private void bridge() {
    for (int k = 0; k < nz; k++) {
      for (int j = 0; j < ny; j++) {
        for (int i = 0; i < nx; i++) {
          int spot = j * nx + i;
          int cell = k * layer + spot;
          boolean in = inside[k].get(spot);
          if (i + 1 < nx && in != inside[k].get(spot + 1)) {
            bridge(cell, cell + 1, i + 0.5, j, k);
          }
          if (j + 1 < ny && in != inside[k].get(spot + nx)) {
            bridge(cell, cell + nx, i, j + 0.5, k);
          }
          if (k + 1 < nz && in != inside[k + 1].get(spot)) {
            bridge(cell, cell + layer, i, j, k + 0.5);
          }
        }
      }
    }
  }

  private void bridge(int p, int q, double i, double j, double k) {
    double h = grid.h();
    if (best[p] + best[q] <= 1.001 * h) {
      return;
    }
    double x = grid.origin().x() + i * h;
    double y = grid.origin().y() + j * h;
    double z = grid.origin().z() + k * h;
    int point = triangles.addPoint(x, y, z);
    for (int cell : new int[] {p, q}) {
      offer(cell, point, grid.x(cell % nx), grid.y(cell / nx % ny), grid.z(cell / layer));
    }
  }

  /** One sweep through the grid over its own copy of what is known. */
  private final class Sweep {
    private final float[] into;
    private final int[] nearest;

    /** By stretch of a row: whether a cell of it knows a triangle it could hand on. */
    private final boolean[] filled;

    private final int stretches;

    Sweep(float[] into, int[] nearest) {
      this.into = into;
      this.nearest = nearest;
      this.stretches = (nx + STRETCH - 1) / STRETCH;
      this.filled = new boolean[stretches * ny * nz];
      for (int row = 0; row < ny * nz; row++) {
        for (int i = 0; i < nx; i++) {
          filled[row * stretches + i / STRETCH] |= nearest[row * nx + i] >= 0;
        }
      }
    }

    /** Whether a row could hand on to a stretch: of the ones beside it the next cells count. */
    private boolean near(int row, int s) {
      int begin = row * nx + s * STRETCH;
      return filled[row * stretches + s]
          || s > 0 && nearest[begin - 1] >= 0
          || s + 1 < stretches && nearest[begin + STRETCH] >= 0;
    }

    void run(int step, Progress told) {
      int first = step > 0 ? 0 : nz - 1;
      for (int n = 0; n < nz; n++) {
        told.at("Measuring distances", (double) n / nz);
        int k = first + step * n;
        double z = grid.z(k);
        if (n > 0) {
          for (int j = 0; j < ny; j++) {
            fromRow(j, k, z, -step * layer, straight, aslant);
            if (j > 0) {
              fromRow(j, k, z, -step * layer - nx, aslant, cornerwise);
            }
            if (j + 1 < ny) {
              fromRow(j, k, z, -step * layer + nx, aslant, cornerwise);
            }
          }
        }
        for (int j = 0; j < ny; j++) {
          if (j > 0) {
            fromRow(j, k, z, -nx, straight, aslant);
          }
          alongRow(j, k, z);
        }
        for (int j = ny - 2; j >= 0; j--) {
          fromRow(j, k, z, nx, straight, aslant);
          alongRow(j, k, z);
        }
      }
    }

    /** Each cell of a row is offered what the three nearest cells of another row have. */
    private void fromRow(int j, int k, double z, int step, float nearer, float sideways) {
      double y = grid.y(j);
      int begin = grid.index(0, j, k);
      int other = begin + step;
      for (int s = 0; s < stretches; s++) {
        if (!near(other / nx, s)) {
          continue;
        }
        int end = Math.min(nx, (s + 1) * STRETCH);
        boolean taken = false;
        for (int i = s * STRETCH; i < end; i++) {
          taken |= take(begin + i, other + i, nearer, i, y, z);
          if (i > 0) {
            taken |= take(begin + i, other + i - 1, sideways, i, y, z);
          }
          if (i + 1 < nx) {
            taken |= take(begin + i, other + i + 1, sideways, i, y, z);
          }
        }
        filled[begin / nx * stretches + s] |= taken;
      }
    }

    private void alongRow(int j, int k, double z) {
      double y = grid.y(j);
      int begin = grid.index(0, j, k);
      int row = begin / nx;
      for (int s = 0; s < stretches; s++) {
        if (near(row, s)) {
          boolean taken = false;
          int end = Math.min(nx, (s + 1) * STRETCH);
          for (int i = Math.max(1, s * STRETCH); i < end; i++) {
            taken |= take(begin + i, begin + i - 1, straight, i, y, z);
          }
          filled[row * stretches + s] |= taken;
        }
      }
      for (int s = stretches - 1; s >= 0; s--) {
        if (near(row, s)) {
          boolean taken = false;
          int end = Math.min(nx - 1, (s + 1) * STRETCH);
          for (int i = end - 1; i >= s * STRETCH; i--) {
            taken |= take(begin + i, begin + i + 1, straight, i, y, z);
          }
          filled[row * stretches + s] |= taken;
        }
      }
    }

    private boolean take(int cell, int from, float nearer, int i, double y, double z) {
      int t = nearest[from];
      float known = into[cell];
      if (known > settled && into[from] + nearer < known && t != nearest[cell] && t >= 0) {
        float d = (float) Math.sqrt(triangles.squared(t, grid.x(i), y, z));
        if (d < known) {
          into[cell] = d;
          nearest[cell] = t;
          return true;
        }
      }
      return false;
    }
  }

  /** Goes on over the surface from a triangle to ones that are nearer to a cell. */
  private final class Walk {
    private double x;
    private double y;
    private double z;
    private int at;
    private double least;

    /**
     * @param distance of the cell from the triangle it starts at
     * @return the distance arrived at
     */
    float to(int cell, int from, float distance) {
      if (from < 0 || from >= mesh.triangleCount() || distance <= settled) {
        return distance;
      }
      x = grid.x(cell % nx);
      y = grid.y(cell / nx % ny);
      z = grid.z(cell / layer);
      at = from;
      least = distance * (double) distance * NOTABLY;
      descend();
      // of several hollows close by this may not be the nearest
      int v = corner();
      boolean nearer = ring(v);
      if (small) {
        nearer |= beside(v);
      }
      if (nearer) {
        descend();
      }
      return at == from ? distance : (float) Math.sqrt(least);
    }

    /** The corner of the triangle nearest to the cell. */
    private int corner() {
      double[] p = mesh.xyz();
      int best = 0;
      double nearest = Double.POSITIVE_INFINITY;
      for (int k = 3 * at; k < 3 * at + 3; k++) {
        int v = 3 * mesh.corners()[k];
        double dx = p[v] - x;
        double dy = p[v + 1] - y;
        double dz = p[v + 2] - z;
        double d = dx * dx + dy * dy + dz * dz;
        if (d < nearest) {
          nearest = d;
          best = v / 3;
        }
      }
      return best;
    }

    /** Over edges, or round the corner the nearest place is, for as long as that leads nearer. */
    private void descend() {
      boolean nearer = true;
      while (nearer) {
        int corners = triangles.nearestCorners(at, x, y, z);
        int here = at;
        nearer = false;
        if (Integer.bitCount(corners) == 1) {
          int v = mesh.corners()[3 * here + (corners >> 1)];
          nearer = ring(v);
        }
        for (int e = 0; e < 3; e++) {
          int beside = topology.neighbour(here, e);
          nearer |= beside >= 0 && isNearer(beside);
        }
      }
    }

    /** Over the triangles round a vertex. */
    private boolean ring(int v) {
      boolean nearer = false;
      for (int n = rings.from[v]; n < rings.from[v + 1]; n++) {
        nearer |= isNearer(rings.list[n]);
      }
      return nearer;
    }

    /** Over the triangles nearest to the cell a vertex lies in, and to those round that cell. */
    private boolean beside(int v) {
      double[] p = mesh.xyz();
      int i = (int) Math.rint((p[3 * v] - grid.origin().x()) / grid.h());
      int j = (int) Math.rint((p[3 * v + 1] - grid.origin().y()) / grid.h());
      int k = (int) Math.rint((p[3 * v + 2] - grid.origin().z()) / grid.h());
      boolean nearer = false;
      int last = at;
      for (int w = Math.max(0, k - 1); w <= Math.min(nz - 1, k + 1); w++) {
        for (int u = Math.max(0, j - 1); u <= Math.min(ny - 1, j + 1); u++) {
          int row = (w * ny + u) * nx;
          for (int n = Math.max(0, i - 1); n <= Math.min(nx - 1, i + 1); n++) {
            int t = which[row + n];
            if (t != last && t >= 0 && t < mesh.triangleCount()) {
              nearer |= isNearer(t);
              last = t;
            }
          }
        }
      }
      return nearer;
    }

    private boolean isNearer(int t) {
      double off = Math.abs(triangles.offPlane(t, x, y, z));
      if (off * off >= least) {
        return false;
      }
      double d2 = triangles.squared(t, x, y, z);
      if (d2 < least) {
        least = d2;
        at = t;
        return true;
      }
      return false;
    }
  }
}
