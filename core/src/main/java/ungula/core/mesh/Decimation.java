package ungula.core.mesh;

import java.util.Arrays;
import java.util.BitSet;
import ungula.core.work.Progress;

/**
 * The same surface of fewer triangles: a vertex amid a flat part, or on a straight edge between two
 * of them, is drawn into a neighbour, as long as no triangle that is left leaves its plane or turns
 * over. Curved parts stay as they are.
 */
public final class Decimation {

  /** What counts as in one plane, mm: a thousandth of a micrometre is left for rounding. */
  private static final double FLAT_MM = 1e-6;

  /** Passes over all vertices; each halves what is left of a flat part, about. */
  private static final int MOST_PASSES = 12;

  /**
   * No vertex gathers more triangles than this: looking at one takes as long as it has, and a flat
   * part drawn into one vertex would take the square of what it has.
   */
  private static final int MOST_ROUND = 32;

  private final double[] p;
  private final int[] c;
  private final boolean[] gone;

  /** Corners by vertex: the first of each, and the next after each; −1 ends. */
  private final int[] first;

  private final int[] next;

  /** Triangles at each vertex. */
  private final int[] count;

  // of the vertex looked at: its triangles, and where they were seen from
  private int[] fan = new int[64];
  private int triangles;
  private final int[] seen;
  private int look;

  /** Vertices about which something changed since they were looked at. */
  private final BitSet open;

  private Decimation(TriangleMesh mesh) {
    p = mesh.xyz();
    c = mesh.corners().clone();
    gone = new boolean[mesh.triangleCount()];
    first = new int[mesh.vertexCount()];
    next = new int[c.length];
    count = new int[mesh.vertexCount()];
    seen = new int[mesh.vertexCount()];
    open = new BitSet(mesh.vertexCount());
    open.set(0, mesh.vertexCount());
    Arrays.fill(first, -1);
    for (int k = 0; k < c.length; k++) {
      next[k] = first[c[k]];
      first[c[k]] = k;
      count[c[k]]++;
    }
  }

  /**
   * @param mesh closed
   * @throws java.util.concurrent.CancellationException when the progress says that nobody waits
   */
  public static TriangleMesh flat(TriangleMesh mesh, Progress progress) {
    Decimation d = new Decimation(mesh);
    boolean more = true;
    for (int pass = 0; more && pass < MOST_PASSES; pass++) {
      progress.at("Drawing flat parts together", (double) pass / MOST_PASSES);
      more = d.pass();
    }
    return new TriangleMesh(d.p, d.c).only(t -> !d.gone[t]);
  }

  private boolean pass() {
    int drawn = 0;
    for (int v = open.nextSetBit(0); v >= 0; v = open.nextSetBit(v + 1)) {
      open.clear(v);
      if (gather(v) && draw(v)) {
        drawn++;
      }
    }
    return drawn > 0;
  }

  /** The triangles round a vertex; false unless they close round it once. */
  private boolean gather(int v) {
    triangles = 0;
    for (int k = firstOf(v); k >= 0; k = nextOf(k)) {
      if (triangles == fan.length) {
        fan = Arrays.copyOf(fan, 2 * fan.length);
      }
      fan[triangles++] = k;
    }
    look++;
    int neighbours = 0;
    for (int i = 0; i < triangles; i++) {
      for (int turn = 1; turn <= 2; turn++) {
        int u = corner(fan[i], turn);
        neighbours += seen[u] == look ? 0 : 1;
        seen[u] = look;
      }
    }
    return triangles > 2 && neighbours == triangles;
  }

  /** The first corner of a vertex that is still there; those that are gone are forgotten. */
  private int firstOf(int v) {
    while (first[v] >= 0 && gone[first[v] / 3]) {
      first[v] = next[first[v]];
    }
    return first[v];
  }

  private int nextOf(int k) {
    while (next[k] >= 0 && gone[next[k] / 3]) {
      next[k] = next[next[k]];
    }
    return next[k];
  }

  /** The vertex so many corners on, in its triangle. */
  private int corner(int k, int on) {
    return c[k / 3 * 3 + (k + on) % 3];
  }

  /** Draws a vertex into the nearest neighbour that lets it. */
  private boolean draw(int v) {
    int best = -1;
    double shortest = Double.POSITIVE_INFINITY;
    for (int i = 0; i < triangles; i++) {
      int u = corner(fan[i], 1);
      double length = squared(u, v);
      // two of them go
      boolean room = count[u] + triangles - 4 <= MOST_ROUND;
      if (length < shortest && room && allowed(v, u)) {
        shortest = length;
        best = u;
      }
    }
    if (best < 0) {
      return false;
    }
    for (int i = 0; i < triangles; i++) {
      int k = fan[i];
      open.set(corner(k, 1));
      open.set(corner(k, 2));
      if (corner(k, 1) == best || corner(k, 2) == best) {
        gone[k / 3] = true;
        count[corner(k, 1)]--;
        count[corner(k, 2)]--;
      } else {
        c[k] = best;
        next[k] = first[best];
        first[best] = k;
        count[best]++;
      }
    }
    first[v] = -1;
    count[v] = 0;
    return true;
  }

  private double squared(int a, int b) {
    double x = p[3 * a] - p[3 * b];
    double y = p[3 * a + 1] - p[3 * b + 1];
    double z = p[3 * a + 2] - p[3 * b + 2];
    return x * x + y * y + z * z;
  }

  private boolean allowed(int v, int u) {
    for (int i = 0; i < triangles; i++) {
      int a = corner(fan[i], 1);
      int b = corner(fan[i], 2);
      if (a != u && b != u && !keeps(v, u, a, b)) {
        return false;
      }
    }
    return joined(v, u) == 2;
  }

  /** Whether a triangle keeps its plane and its sense with its corner moved from one to another. */
  private boolean keeps(int v, int u, int a, int b) {
    double ax = p[3 * b] - p[3 * a];
    double ay = p[3 * b + 1] - p[3 * a + 1];
    double az = p[3 * b + 2] - p[3 * a + 2];
    double vx = p[3 * v] - p[3 * a];
    double vy = p[3 * v + 1] - p[3 * a + 1];
    double vz = p[3 * v + 2] - p[3 * a + 2];
    double nx = ay * vz - az * vy;
    double ny = az * vx - ax * vz;
    double nz = ax * vy - ay * vx;
    double ux = p[3 * u] - p[3 * a];
    double uy = p[3 * u + 1] - p[3 * a + 1];
    double uz = p[3 * u + 2] - p[3 * a + 2];
    double mx = ay * uz - az * uy;
    double my = az * ux - ax * uz;
    double mz = ax * uy - ay * ux;
    double n = Math.sqrt(nx * nx + ny * ny + nz * nz);
    double long2 = ax * ax + ay * ay + az * az;
    // as thin as can be told from a line, it has no plane
    boolean thin = n <= FLAT_MM * Math.sqrt(long2);
    return !thin
        && Math.abs(nx * ux + ny * uy + nz * uz) <= FLAT_MM * n
        && nx * mx + ny * my + nz * mz > FLAT_MM * Math.sqrt(long2) * n;
  }

  /** How many vertices both are joined to; two, or the surface would be pinched. */
  private int joined(int v, int u) {
    look++;
    for (int i = 0; i < triangles; i++) {
      seen[corner(fan[i], 1)] = look;
      seen[corner(fan[i], 2)] = look;
    }
    int common = 0;
    look++;
    for (int k = firstOf(u); k >= 0; k = nextOf(k)) {
      for (int on = 1; on <= 2; on++) {
        int w = corner(k, on);
        common += w != v && seen[w] == look - 1 ? 1 : 0;
        seen[w] = w != v && seen[w] == look - 1 ? look : seen[w];
      }
    }
    return common;
  }
}
