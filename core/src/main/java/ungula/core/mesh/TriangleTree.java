package ungula.core.mesh;

/**
 * A tree of boxes over the triangles of a mesh, for rays and for sums over far parts of the
 * surface. Each node halves its triangles at the median of their middles along its longest side.
 * Safe to share between threads.
 */
public final class TriangleTree {

  private static final int LEAF = 4;

  private final double[] xyz;
  private final int[] corners;

  /** Triangles in the order of the leaves. */
  final int[] order;

  /** Per node: lower and upper corner of its box; stride 6. */
  final double[] boxes;

  /** Per node: its triangles are order[from] to order[to − 1]. */
  final int[] from;

  final int[] to;

  /** Per node: the node after all below it; its children begin at the next node. */
  final int[] past;

  private int nodes;

  private TriangleTree(TriangleMesh mesh) {
    xyz = mesh.xyz();
    corners = mesh.corners();
    int n = mesh.triangleCount();
    order = new int[n];
    double[] middles = new double[3 * n];
    for (int t = 0; t < n; t++) {
      order[t] = t;
      for (int a = 0; a < 3; a++) {
        middles[3 * t + a] =
            (xyz[3 * corners[3 * t] + a]
                    + xyz[3 * corners[3 * t + 1] + a]
                    + xyz[3 * corners[3 * t + 2] + a])
                / 3;
      }
    }
    int most = Math.max(1, 2 * n);
    boxes = new double[6 * most];
    from = new int[most];
    to = new int[most];
    past = new int[most];
    build(middles, 0, n);
  }

  public static TriangleTree of(TriangleMesh mesh) {
    return new TriangleTree(mesh);
  }

  int nodes() {
    return nodes;
  }

  boolean leaf(int node) {
    return past[node] == node + 1;
  }

  private void build(double[] middles, int begin, int end) {
    int node = nodes++;
    from[node] = begin;
    to[node] = end;
    if (end - begin > LEAF) {
      int mid = (begin + end) >>> 1;
      select(middles, longest(middles, begin, end), begin, end - 1, mid);
      int left = nodes;
      build(middles, begin, mid);
      int right = nodes;
      build(middles, mid, end);
      for (int a = 0; a < 3; a++) {
        boxes[6 * node + a] = Math.min(boxes[6 * left + a], boxes[6 * right + a]);
        boxes[6 * node + 3 + a] = Math.max(boxes[6 * left + 3 + a], boxes[6 * right + 3 + a]);
      }
    } else {
      boxOfTriangles(node);
    }
    past[node] = nodes;
  }

  /** The axis along which some middles lie furthest apart. */
  private int longest(double[] middles, int begin, int end) {
    int first = 3 * order[begin];
    double loX = middles[first];
    double hiX = loX;
    double loY = middles[first + 1];
    double hiY = loY;
    double loZ = middles[first + 2];
    double hiZ = loZ;
    for (int i = begin + 1; i < end; i++) {
      int m = 3 * order[i];
      loX = Math.min(loX, middles[m]);
      hiX = Math.max(hiX, middles[m]);
      loY = Math.min(loY, middles[m + 1]);
      hiY = Math.max(hiY, middles[m + 1]);
      loZ = Math.min(loZ, middles[m + 2]);
      hiZ = Math.max(hiZ, middles[m + 2]);
    }
    double x = hiX - loX;
    double y = hiY - loY;
    double z = hiZ - loZ;
    return z > Math.max(x, y) ? 2 : y > x ? 1 : 0;
  }

  private void boxOfTriangles(int node) {
    for (int a = 0; a < 3; a++) {
      double lo = Double.POSITIVE_INFINITY;
      double hi = Double.NEGATIVE_INFINITY;
      for (int i = from[node]; i < to[node]; i++) {
        int t = order[i];
        for (int k = 0; k < 3; k++) {
          double v = xyz[3 * corners[3 * t + k] + a];
          lo = Math.min(lo, v);
          hi = Math.max(hi, v);
        }
      }
      boxes[6 * node + a] = lo;
      boxes[6 * node + 3 + a] = hi;
    }
  }

  /** Puts the triangle that belongs at place k there, smaller ones before it (Hoare's select). */
  private void select(double[] middles, int axis, int left, int right, int k) {
    int l = left;
    int r = right;
    while (l < r) {
      double pivot = middles[3 * order[(l + r) >>> 1] + axis];
      int i = l;
      int j = r;
      while (i <= j) {
        while (middles[3 * order[i] + axis] < pivot) {
          i++;
        }
        while (middles[3 * order[j] + axis] > pivot) {
          j--;
        }
        if (i <= j) {
          int swap = order[i];
          order[i++] = order[j];
          order[j--] = swap;
        }
      }
      if (k <= j) {
        r = j;
      } else if (k >= i) {
        l = i;
      } else {
        return;
      }
    }
  }

  /**
   * How far along a ray the next triangle is met, in lengths of the direction; infinite when none
   * is. Triangles the ray runs within (seen edge on) are passed by.
   *
   * @param except a triangle that does not count; −1 for none
   */
  public double firstHit(
      double ox, double oy, double oz, double dx, double dy, double dz, int except) {
    int t = cast(ox, oy, oz, dx, dy, dz, except, false);
    return t < 0 ? Double.POSITIVE_INFINITY : hit(t, ox, oy, oz, dx, dy, dz);
  }

  /** The triangle {@link #firstHit} is on; −1 when there is none. */
  public int firstMet(
      double ox, double oy, double oz, double dx, double dy, double dz, int except) {
    return cast(ox, oy, oz, dx, dy, dz, except, false);
  }

  /** How far along a ray one triangle is met, as {@link #firstHit} says. */
  public double met(
      int triangle, double ox, double oy, double oz, double dx, double dy, double dz) {
    return hit(triangle, ox, oy, oz, dx, dy, dz);
  }

  /** Whether a ray meets any triangle. */
  public boolean meets(
      double ox, double oy, double oz, double dx, double dy, double dz, int except) {
    return cast(ox, oy, oz, dx, dy, dz, except, true) >= 0;
  }

  private int cast(
      double ox,
      double oy,
      double oz,
      double dx,
      double dy,
      double dz,
      int except,
      boolean anyWillDo) {
    double ix = 1 / dx;
    double iy = 1 / dy;
    double iz = 1 / dz;
    double best = Double.POSITIVE_INFINITY;
    int met = -1;
    int node = 0;
    while (node < nodes) {
      if (!crosses(node, ox, oy, oz, ix, iy, iz, best)) {
        node = past[node];
        continue;
      }
      if (!leaf(node++)) {
        continue;
      }
      int here = node - 1;
      for (int i = from[here]; i < to[here]; i++) {
        if (order[i] != except) {
          double at = hit(order[i], ox, oy, oz, dx, dy, dz);
          if (at < best) {
            if (anyWillDo) {
              return order[i];
            }
            best = at;
            met = order[i];
          }
        }
      }
    }
    return met;
  }

  private boolean crosses(
      int node, double ox, double oy, double oz, double ix, double iy, double iz, double best) {
    int b = 6 * node;
    double enter = 0;
    double leave = best;
    double p = (boxes[b] - ox) * ix;
    double q = (boxes[b + 3] - ox) * ix;
    // a ray within the plane of a face gives NaN there: then that axis says nothing
    enter = larger(enter, Math.min(p, q));
    leave = smaller(leave, Math.max(p, q));
    p = (boxes[b + 1] - oy) * iy;
    q = (boxes[b + 4] - oy) * iy;
    enter = larger(enter, Math.min(p, q));
    leave = smaller(leave, Math.max(p, q));
    p = (boxes[b + 2] - oz) * iz;
    q = (boxes[b + 5] - oz) * iz;
    enter = larger(enter, Math.min(p, q));
    leave = smaller(leave, Math.max(p, q));
    return enter <= leave;
  }

  private static double larger(double a, double b) {
    return b > a ? b : a;
  }

  private static double smaller(double a, double b) {
    return b < a ? b : a;
  }

  /** Möller and Trumbore, Fast, minimum storage ray/triangle intersection, 1997. */
  private double hit(int t, double ox, double oy, double oz, double dx, double dy, double dz) {
    int a = 3 * corners[3 * t];
    int b = 3 * corners[3 * t + 1];
    int c = 3 * corners[3 * t + 2];
    double ux = xyz[b] - xyz[a];
    double uy = xyz[b + 1] - xyz[a + 1];
    double uz = xyz[b + 2] - xyz[a + 2];
    double vx = xyz[c] - xyz[a];
    double vy = xyz[c + 1] - xyz[a + 1];
    double vz = xyz[c + 2] - xyz[a + 2];
    double px = dy * vz - dz * vy;
    double py = dz * vx - dx * vz;
    double pz = dx * vy - dy * vx;
    double det = ux * px + uy * py + uz * pz;
    double size =
        (Math.abs(ux) + Math.abs(uy) + Math.abs(uz)) * (Math.abs(vx) + Math.abs(vy) + Math.abs(vz));
    if (Math.abs(det) <= 1e-6 * size) {
      return Double.POSITIVE_INFINITY;
    }
    double sx = ox - xyz[a];
    double sy = oy - xyz[a + 1];
    double sz = oz - xyz[a + 2];
    double u = (sx * px + sy * py + sz * pz) / det;
    if (u < 0 || u > 1) {
      return Double.POSITIVE_INFINITY;
    }
    double qx = sy * uz - sz * uy;
    double qy = sz * ux - sx * uz;
    double qz = sx * uy - sy * ux;
    double v = (dx * qx + dy * qy + dz * qz) / det;
    if (v < 0 || u + v > 1) {
      return Double.POSITIVE_INFINITY;
    }
    double at = (vx * qx + vy * qy + vz * qz) / det;
    return at > 0 ? at : Double.POSITIVE_INFINITY;
  }
}
