package ungula.core.field;

import java.util.Arrays;
import ungula.core.mesh.TriangleMesh;

/**
 * Distances from points to the triangles of one mesh, laid out for speed: what does not depend on
 * the point is worked out once. Single points may be added and count as triangles without extent.
 *
 * <p>Closest feature by the signs of ap·ab, ap·ac and their like (C. Ericson, Real-Time Collision
 * Detection, 2005, 5.1.5), distances by Pythagoras from |ap|².
 */
public final class TriangleDistances {

  // a, unit normal, ab, ac, ab·ab, ab·ac, ac·ac: what is asked most often lies together
  private static final int STRIDE = 15;

  private double[] data;
  private int count;

  public TriangleDistances(TriangleMesh mesh) {
    double[] p = mesh.xyz();
    int[] c = mesh.corners();
    count = mesh.triangleCount();
    data = new double[STRIDE * count];
    for (int t = 0; t < count; t++) {
      int a = 3 * c[3 * t];
      int b = 3 * c[3 * t + 1];
      int d = 3 * c[3 * t + 2];
      int o = STRIDE * t;
      for (int i = 0; i < 3; i++) {
        data[o + i] = p[a + i];
        data[o + 6 + i] = p[b + i] - p[a + i];
        data[o + 9 + i] = p[d + i] - p[a + i];
      }
      double nx = data[o + 7] * data[o + 11] - data[o + 8] * data[o + 10];
      double ny = data[o + 8] * data[o + 9] - data[o + 6] * data[o + 11];
      double nz = data[o + 6] * data[o + 10] - data[o + 7] * data[o + 9];
      double n = Math.sqrt(nx * nx + ny * ny + nz * nz);
      if (n > 0) {
        data[o + 3] = nx / n;
        data[o + 4] = ny / n;
        data[o + 5] = nz / n;
      }
      data[o + 12] = dot(o + 6, o + 6);
      data[o + 13] = dot(o + 6, o + 9);
      data[o + 14] = dot(o + 9, o + 9);
    }
  }

  private double dot(int u, int v) {
    return data[u] * data[v] + data[u + 1] * data[v + 1] + data[u + 2] * data[v + 2];
  }

  int count() {
    return count;
  }

  /**
   * @return the number of the point among the triangles
   */
  int addPoint(double x, double y, double z) {
    if (STRIDE * (count + 1) > data.length) {
      data = Arrays.copyOf(data, data.length + data.length / 4 + STRIDE * 64);
    }
    data[STRIDE * count] = x;
    data[STRIDE * count + 1] = y;
    data[STRIDE * count + 2] = z;
    return count++;
  }

  /** How much of a triangle's unit normal is along x. */
  double normalX(int t) {
    return data[STRIDE * t + 3];
  }

  /** Distance from the plane of a triangle: positive before it, negative behind. */
  double offPlane(int t, double x, double y, double z) {
    int o = STRIDE * t;
    return (x - data[o]) * data[o + 3]
        + (y - data[o + 1]) * data[o + 4]
        + (z - data[o + 2]) * data[o + 5];
  }

  /**
   * Which corners of a triangle bound its place nearest a point, a bit each: one corner, two (the
   * edge between them), or all three (its inside).
   */
  int nearestCorners(int t, double x, double y, double z) {
    double[] d = data;
    int o = STRIDE * t;
    double px = x - d[o];
    double py = y - d[o + 1];
    double pz = z - d[o + 2];
    double d1 = d[o + 6] * px + d[o + 7] * py + d[o + 8] * pz;
    double d2 = d[o + 9] * px + d[o + 10] * py + d[o + 11] * pz;
    double d3 = d1 - d[o + 12];
    double d4 = d2 - d[o + 13];
    double d5 = d1 - d[o + 13];
    double d6 = d2 - d[o + 14];
    if (d1 <= 0 && d2 <= 0) {
      return 1;
    }
    if (d3 >= 0 && d4 <= d3) {
      return 2;
    }
    if (d6 >= 0 && d5 <= d6) {
      return 4;
    }
    if (d1 >= 0 && d3 <= 0 && d1 * d4 - d3 * d2 <= 0) {
      return 3;
    }
    if (d2 >= 0 && d6 <= 0 && d5 * d2 - d1 * d6 <= 0) {
      return 5;
    }
    return d4 >= d3 && d5 >= d6 && d3 * d6 - d5 * d4 <= 0 ? 6 : 7;
  }

  /** Squared distance from a triangle. */
  public double squared(int t, double x, double y, double z) {
    double[] d = data;
    int o = STRIDE * t;
    double px = x - d[o];
    double py = y - d[o + 1];
    double pz = z - d[o + 2];
    double pp = px * px + py * py + pz * pz;
    double d1 = d[o + 6] * px + d[o + 7] * py + d[o + 8] * pz;
    double d2 = d[o + 9] * px + d[o + 10] * py + d[o + 11] * pz;
    if (d1 <= 0 && d2 <= 0) {
      return pp;
    }
    double bb = d[o + 12];
    double bc = d[o + 13];
    double cc = d[o + 14];
    double d3 = d1 - bb;
    double d4 = d2 - bc;
    if (d3 >= 0 && d4 <= d3) {
      return Math.max(0, pp - 2 * d1 + bb);
    }
    double d5 = d1 - bc;
    double d6 = d2 - cc;
    if (d6 >= 0 && d5 <= d6) {
      return Math.max(0, pp - 2 * d2 + cc);
    }
    if (d1 >= 0 && d3 <= 0 && d1 * d4 - d3 * d2 <= 0) {
      return Math.max(0, pp - d1 * d1 / bb);
    }
    if (d2 >= 0 && d6 <= 0 && d5 * d2 - d1 * d6 <= 0) {
      return Math.max(0, pp - d2 * d2 / cc);
    }
    double e = d4 - d3;
    double f = d5 - d6;
    if (e >= 0 && f >= 0 && d3 * d6 - d5 * d4 <= 0) {
      return Math.max(0, pp - 2 * d1 + bb - e * e / (e + f));
    }
    double n = px * d[o + 3] + py * d[o + 4] + pz * d[o + 5];
    return n * n;
  }
}
