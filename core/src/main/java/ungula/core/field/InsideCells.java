package ungula.core.field;

import java.util.Arrays;
import java.util.BitSet;
import ungula.core.mesh.Caps;
import ungula.core.mesh.OpenEdges;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * Which cells of a grid have their centre inside a surface: where it winds round them at least half
 * way, in either sense, so that overlapping parts count once and parts turned inside out count.
 *
 * <p>A surface that bounds its inside (every edge run through as often one way as the other) is
 * looked at along straight rows of cells: exact, also where parts cross. Any other counts for what
 * it is with its gaps closed, less the winding number of what closes them.
 */
public final class InsideCells {

  /** Between crossings of a row no further apart, in cells, there is nothing. */
  private static final double HAIR = 1e-3;

  private final TriangleMesh mesh;
  private final Grid grid;

  /** Of what closes the mesh's gaps; null where it has none. */
  private final Windings caps;

  private final Parallel parallel;
  private final Progress progress;

  private InsideCells(
      TriangleMesh mesh, Grid grid, Windings caps, Parallel parallel, Progress progress) {
    this.mesh = mesh;
    this.grid = grid;
    this.caps = caps;
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
    if (bounds) {
      return new InsideCells(mesh, grid, null, parallel, progress).byRows();
    }
    TriangleMesh closed = Caps.close(mesh);
    TriangleMesh caps = closed.only(t -> t >= mesh.triangleCount());
    Windings windings = new Windings(caps, grid, parallel, progress);
    return new InsideCells(closed, grid, windings, parallel, progress).byRows();
  }

  /** How often a surface that bounds its inside winds round the places it encloses. */
  public enum Wound {
    /** Once, its facets facing outwards. */
    OUTWARDS,
    /** Once, its facets facing inwards. */
    INWARDS,
    /** Some more than once, or some in one sense and some in the other. */
    OTHERWISE
  }

  /**
   * As it is found along the rows of a grid: what runs into itself between them is not seen.
   *
   * @param mesh that bounds its inside
   */
  public static Wound wound(TriangleMesh mesh, Grid grid, Parallel parallel, Progress progress) {
    InsideCells cells = new InsideCells(mesh, grid, null, parallel, progress);
    Layers triangles = Layers.of(mesh, grid, 0);
    int[] least = new int[grid.nz()];
    int[] most = new int[grid.nz()];
    parallel.each(
        grid.nz(),
        k -> {
          progress.at("Telling inside from outside", (double) k / grid.nz());
          Rows rows = cells.new Rows(triangles, k);
          rows.inside();
          least[k] = rows.leastWinding;
          most[k] = rows.mostWinding;
        });
    int low = Arrays.stream(least).min().orElse(0);
    int high = Arrays.stream(most).max().orElse(0);
    return low == 0 && high == 1
        ? Wound.OUTWARDS
        : low == -1 && high == 0 ? Wound.INWARDS : Wound.OTHERWISE;
  }

  /** Whether every edge is run through as often one way as the other. */
  public static boolean bounds(TriangleMesh mesh) {
    return OpenEdges.of(mesh).count() == 0;
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
    private int leastWinding;
    private int mostWinding;

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
        int from = 0;
        for (int n = start[j]; n < start[j + 1]; n++) {
          int to = cellFrom(xs[n]);
          run(inside, j, from, to, winding);
          winding += sense[n];
          if (n + 1 < start[j + 1] && xs[n + 1] - xs[n] > HAIR * grid.h()) {
            leastWinding = Math.min(leastWinding, winding);
            mostWinding = Math.max(mostWinding, winding);
          }
          from = to;
        }
        run(inside, j, from, grid.nx(), winding);
      }
      return inside;
    }

    /** Cells of a row that the closed surface winds round alike. */
    private void run(BitSet inside, int j, int from, int to, int winding) {
      if (caps != null) {
        caps.run(inside, j, k, from, to, winding);
      } else if (winding != 0 && from < to) {
        inside.set(j * grid.nx() + from, j * grid.nx() + to);
      }
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
}
