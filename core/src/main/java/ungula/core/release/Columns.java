package ungula.core.release;

import java.util.Arrays;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;

/**
 * What of a surface lies in the way along one direction and against it: its triangles sorted into
 * square columns along the direction, so that a look along it asks a few of them only. Safe to
 * share between threads.
 */
final class Columns {

  /** Whether something lies further on, further back. */
  static final int BEFORE = 1;

  static final int BEHIND = 2;

  /** Columns get twice as wide until no triangle lies in more than this many, on average. */
  private static final int IN_COLUMNS = 8;

  private final int[] corners;

  /** Vertices as seen with the direction upright. */
  private final double[] p;

  private final double[] turn;
  private final double u0;
  private final double v0;
  private double side;
  private int nu;
  private int nv;

  /** The triangles of column c: triangles[from[c]] to triangles[from[c + 1] − 1]. */
  private int[] from;

  private int[] triangles;

  Columns(TriangleMesh mesh, Vec3 direction) {
    Rotation upright = Rotation.bringing(direction, Vec3.UP);
    TriangleMesh seen = mesh.moved(1, upright, Vec3.ZERO);
    turn = upright.matrix();
    corners = mesh.corners();
    p = seen.xyz();
    u0 = seen.bounds().min().x();
    v0 = seen.bounds().min().y();
    double length = seen.bounds().size().x();
    double width = seen.bounds().size().y();
    int count = mesh.triangleCount();
    side = Math.max(Math.sqrt(length * width / count), Math.max(length, width) / count);
    side = side > 0 ? side : 1;
    long entries = Long.MAX_VALUE;
    while (entries > (long) IN_COLUMNS * count) {
      side *= 2;
      nu = (int) (length / side) + 1;
      nv = (int) (width / side) + 1;
      entries = 0;
      for (int t = 0; t < count; t++) {
        entries += (long) (last(t, 0) - first(t, 0) + 1) * (last(t, 1) - first(t, 1) + 1);
      }
      if (nu == 1 && nv == 1) {
        break;
      }
    }
    sort(count);
  }

  private void sort(int count) {
    from = new int[nu * nv + 1];
    each(count, (c, t) -> from[c + 1]++);
    for (int c = 0; c < nu * nv; c++) {
      from[c + 1] += from[c];
    }
    triangles = new int[from[nu * nv]];
    int[] fill = Arrays.copyOf(from, nu * nv);
    each(count, (c, t) -> triangles[fill[c]++] = t);
  }

  @FunctionalInterface
  private interface Entry {
    void put(int column, int triangle);
  }

  private void each(int count, Entry entry) {
    for (int t = 0; t < count; t++) {
      int i0 = first(t, 0);
      int i1 = last(t, 0);
      int j1 = last(t, 1);
      for (int j = first(t, 1); j <= j1; j++) {
        for (int i = i0; i <= i1; i++) {
          entry.put(j * nu + i, t);
        }
      }
    }
  }

  private int first(int t, int axis) {
    double a = p[3 * corners[3 * t] + axis];
    double b = p[3 * corners[3 * t + 1] + axis];
    double c = p[3 * corners[3 * t + 2] + axis];
    return column(Math.min(a, Math.min(b, c)), axis);
  }

  private int last(int t, int axis) {
    double a = p[3 * corners[3 * t] + axis];
    double b = p[3 * corners[3 * t + 1] + axis];
    double c = p[3 * corners[3 * t + 2] + axis];
    return column(Math.max(a, Math.max(b, c)), axis);
  }

  private int column(double at, int axis) {
    double n = (at - (axis == 0 ? u0 : v0)) / side;
    return (int) Math.max(0, Math.min(axis == 0 ? nu - 1 : nv - 1, n));
  }

  /**
   * {@link #BEFORE} and {@link #BEHIND}, as far as they are asked for, of a place in the mesh's own
   * axes. Triangles seen edge on are passed by.
   *
   * @param wanted which of the two
   * @param except a triangle that does not count
   */
  int look(double x, double y, double z, int wanted, int except) {
    double u = turn[0] * x + turn[1] * y + turn[2] * z;
    double v = turn[3] * x + turn[4] * y + turn[5] * z;
    double w = turn[6] * x + turn[7] * y + turn[8] * z;
    int c = column(v, 1) * nu + column(u, 0);
    int found = 0;
    for (int n = from[c]; n < from[c + 1] && found != wanted; n++) {
      int t = triangles[n];
      if (t != except) {
        found |= where(t, u, v, w) & wanted;
      }
    }
    return found;
  }

  private int where(int t, double u, double v, double w) {
    int a = 3 * corners[3 * t];
    int b = 3 * corners[3 * t + 1];
    int c = 3 * corners[3 * t + 2];
    double au = p[a] - u;
    double av = p[a + 1] - v;
    double bu = p[b] - u;
    double bv = p[b + 1] - v;
    double cu = p[c] - u;
    double cv = p[c + 1] - v;
    double overA = bu * cv - bv * cu;
    double overB = cu * av - cv * au;
    if (overA * overB < 0) {
      return 0;
    }
    double overC = au * bv - av * bu;
    double det = overA + overB + overC;
    if (overA * overC < 0 || overB * overC < 0 || det == 0) {
      return 0;
    }
    double at = (overA * p[a + 2] + overB * p[b + 2] + overC * p[c + 2]) / det;
    return at > w ? BEFORE : at < w ? BEHIND : 0;
  }
}
