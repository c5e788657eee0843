package ungula.core.master;

import ungula.core.mesh.TriangleMesh;

/** Closed meshes of simple bodies, counter-clockwise from outside, standing on z = 0. */
public final class Tessellation {

  private Tessellation() {}

  /** A box centred over the origin. */
  public static TriangleMesh box(double length, double width, double height) {
    double x = length / 2;
    double y = width / 2;
    TriangleMesh.Builder b = new TriangleMesh.Builder(12);
    int[] v = new int[8];
    for (int i = 0; i < 8; i++) {
      v[i] = b.vertex((i & 1) == 0 ? -x : x, (i & 2) == 0 ? -y : y, (i & 4) == 0 ? 0 : height);
    }
    int[][] quads = {
      {0, 2, 3, 1}, {4, 5, 7, 6}, {0, 1, 5, 4}, {2, 6, 7, 3}, {0, 4, 6, 2}, {1, 3, 7, 5}
    };
    for (int[] q : quads) {
      b.triangle(v[q[0]], v[q[1]], v[q[2]]);
      b.triangle(v[q[0]], v[q[2]], v[q[3]]);
    }
    return b.build();
  }

  /**
   * A profile turned about z.
   *
   * @param profile radius, height pairs from the axis at the bottom round the outside to the axis
   *     at the top
   * @param around how many facets make a turn
   */
  public static TriangleMesh turned(double[][] profile, int around) {
    TriangleMesh.Builder b = new TriangleMesh.Builder(2 * around * profile.length);
    double[] cos = new double[around];
    double[] sin = new double[around];
    for (int k = 0; k < around; k++) {
      cos[k] = Math.cos(2 * Math.PI * k / around);
      sin[k] = Math.sin(2 * Math.PI * k / around);
    }
    for (int i = 1; i < profile.length; i++) {
      double r0 = profile[i - 1][0];
      double z0 = profile[i - 1][1];
      double r1 = profile[i][0];
      double z1 = profile[i][1];
      for (int k = 0; k < around; k++) {
        int m = (k + 1) % around;
        int p = b.vertex(r0 * cos[k], r0 * sin[k], z0);
        int q = b.vertex(r0 * cos[m], r0 * sin[m], z0);
        int r = b.vertex(r1 * cos[m], r1 * sin[m], z1);
        int s = b.vertex(r1 * cos[k], r1 * sin[k], z1);
        b.triangle(p, q, r);
        b.triangle(p, r, s);
      }
    }
    return b.build();
  }

  /** A torus lying flat, its lowest circle at z = 0. */
  public static TriangleMesh torus(double ring, double tube, int around, int about) {
    TriangleMesh.Builder b = new TriangleMesh.Builder(2 * around * about);
    int[][] v = new int[around][about];
    for (int i = 0; i < around; i++) {
      double a = 2 * Math.PI * i / around;
      for (int j = 0; j < about; j++) {
        double t = 2 * Math.PI * j / about;
        double r = ring + tube * Math.cos(t);
        v[i][j] = b.vertex(r * Math.cos(a), r * Math.sin(a), tube + tube * Math.sin(t));
      }
    }
    for (int i = 0; i < around; i++) {
      int m = (i + 1) % around;
      for (int j = 0; j < about; j++) {
        int n = (j + 1) % about;
        b.triangle(v[i][j], v[m][j], v[m][n]);
        b.triangle(v[i][j], v[m][n], v[i][n]);
      }
    }
    return b.build();
  }

  /** Half a cylinder lying on its flat side along x. */
  static TriangleMesh halfRound(double r, double length, int steps) {
    TriangleMesh.Builder b = new TriangleMesh.Builder(6 * steps);
    double x = length / 2;
    int left = b.vertex(-x, 0, 0);
    int right = b.vertex(x, 0, 0);
    for (int i = 0; i < steps; i++) {
      double[] p = onArc(r, i, steps);
      double[] q = onArc(r, i + 1, steps);
      int pl = b.vertex(-x, p[0], p[1]);
      int pr = b.vertex(x, p[0], p[1]);
      int ql = b.vertex(-x, q[0], q[1]);
      int qr = b.vertex(x, q[0], q[1]);
      b.triangle(pl, qr, pr);
      b.triangle(pl, ql, qr);
      b.triangle(right, pr, qr);
      b.triangle(left, ql, pl);
    }
    int fl = b.vertex(-x, r, 0);
    int fr = b.vertex(x, r, 0);
    int bl = b.vertex(-x, -r, 0);
    int br = b.vertex(x, -r, 0);
    b.triangle(fl, fr, right);
    b.triangle(fl, right, left);
    b.triangle(left, right, br);
    b.triangle(left, br, bl);
    return b.build();
  }

  /** Across, up on a half circle, exact at both ends. */
  private static double[] onArc(double r, int i, int steps) {
    double a = Math.PI * i / steps;
    return new double[] {
      i == steps ? -r : r * Math.cos(a), i == 0 || i == steps ? 0 : r * Math.sin(a)
    };
  }

  /** A cylinder cut by a plane through a diameter of its base, rising to {@code height}. */
  static TriangleMesh ungula(double r, double height, int steps) {
    TriangleMesh.Builder b = new TriangleMesh.Builder(4 * steps);
    int middle = b.vertex(0, 0, 0);
    for (int i = 0; i < steps; i++) {
      double[] p = onArc(r, i, steps);
      double[] q = onArc(r, i + 1, steps);
      int p0 = b.vertex(p[0], p[1], 0);
      int q0 = b.vertex(q[0], q[1], 0);
      int p1 = b.vertex(p[0], p[1], height * p[1] / r);
      int q1 = b.vertex(q[0], q[1], height * q[1] / r);
      b.triangle(middle, q0, p0);
      b.triangle(middle, p1, q1);
      b.triangle(p0, q0, q1);
      b.triangle(p0, q1, p1);
    }
    return b.build();
  }

  /** A mesh scaled along each axis. */
  static TriangleMesh stretched(TriangleMesh mesh, double sx, double sy, double sz) {
    double[] xyz = mesh.xyz().clone();
    for (int i = 0; i < xyz.length; i += 3) {
      xyz[i] *= sx;
      xyz[i + 1] *= sy;
      xyz[i + 2] *= sz;
    }
    return new TriangleMesh(xyz, mesh.corners());
  }
}
