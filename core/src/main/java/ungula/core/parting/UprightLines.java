package ungula.core.parting;

import java.util.Arrays;
import ungula.core.mesh.TriangleMesh;

/**
 * What a body covers of upright lines, one through each point of a raster: where it begins and
 * ends, and how much of the line between lies in it. The raster can be looked at beyond the body:
 * nothing is covered there.
 */
public final class UprightLines {

  /** Lines along the longest side of the body. */
  private static final int ACROSS = 200;

  private final double pixel;
  private final double x0;
  private final double y0;
  private final int nx;
  private final int ny;
  private final float[] low;
  private final float[] high;
  private final double[] filled;

  private UprightLines(TriangleMesh mesh) {
    var b = mesh.bounds();
    pixel = Math.max(1e-9, Math.max(b.size().x(), b.size().y()) / ACROSS);
    nx = (int) Math.ceil(b.size().x() / pixel) + 1;
    ny = (int) Math.ceil(b.size().y() / pixel) + 1;
    x0 = b.centre().x() - (nx - 1) / 2.0 * pixel;
    y0 = b.centre().y() - (ny - 1) / 2.0 * pixel;
    low = new float[nx * ny];
    high = new float[nx * ny];
    filled = new double[nx * ny];
    Arrays.fill(low, Float.POSITIVE_INFINITY);
    Arrays.fill(high, Float.NEGATIVE_INFINITY);
  }

  public static UprightLines of(TriangleMesh mesh) {
    UprightLines lines = new UprightLines(mesh);
    double[] p = mesh.xyz();
    int[] c = mesh.corners();
    for (int t = 0; t < c.length; t += 3) {
      lines.meet(p, c[t], c[t + 1], c[t + 2]);
    }
    return lines;
  }

  /** Neighbouring triangles share what lies on their edge: a line meets one of them only. */
  private void meet(double[] p, int a, int b, int c) {
    double ax = (p[3 * a] - x0) / pixel;
    double ay = (p[3 * a + 1] - y0) / pixel;
    double bx = (p[3 * b] - x0) / pixel;
    double by = (p[3 * b + 1] - y0) / pixel;
    double cx = (p[3 * c] - x0) / pixel;
    double cy = (p[3 * c + 1] - y0) / pixel;
    double det = (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);
    if (det == 0) {
      return;
    }
    int sign = det > 0 ? 1 : -1;
    int i0 = (int) Math.max(0, Math.ceil(Math.min(ax, Math.min(bx, cx))));
    int i1 = (int) Math.min(nx - 1, Math.floor(Math.max(ax, Math.max(bx, cx))));
    int j0 = (int) Math.max(0, Math.ceil(Math.min(ay, Math.min(by, cy))));
    int j1 = (int) Math.min(ny - 1, Math.floor(Math.max(ay, Math.max(by, cy))));
    for (int j = j0; j <= j1; j++) {
      for (int i = i0; i <= i1; i++) {
        double overC = beside(a, ax, ay, b, bx, by, i, j) * sign;
        double overA = beside(b, bx, by, c, cx, cy, i, j) * sign;
        double overB = beside(c, cx, cy, a, ax, ay, i, j) * sign;
        if (within(overC, a, b, sign) && within(overA, b, c, sign) && within(overB, c, a, sign)) {
          double z =
              (overA * p[3 * a + 2] + overB * p[3 * b + 2] + overC * p[3 * c + 2])
                  / (overA + overB + overC);
          int at = j * nx + i;
          low[at] = Math.min(low[at], (float) z);
          high[at] = Math.max(high[at], (float) z);
          filled[at] += sign * z;
        }
      }
    }
  }

  /** Which side of an edge a point lies on, rounded alike for both triangles that share it. */
  private static double beside(
      int a, double ax, double ay, int b, double bx, double by, double x, double y) {
    return a < b
        ? (bx - ax) * (y - ay) - (by - ay) * (x - ax)
        : -((ax - bx) * (y - by) - (ay - by) * (x - bx));
  }

  private static boolean within(double over, int a, int b, int sign) {
    return over > 0 || over == 0 && (a < b == sign > 0);
  }

  /** Between two lines, mm. */
  public double pixelMm() {
    return pixel;
  }

  /** The column a place lies in; may be beyond the raster. */
  int column(double x) {
    return (int) Math.round((x - x0) / pixel);
  }

  int row(double y) {
    return (int) Math.round((y - y0) / pixel);
  }

  double x(int column) {
    return x0 + column * pixel;
  }

  double y(int row) {
    return y0 + row * pixel;
  }

  int columns() {
    return nx;
  }

  int rows() {
    return ny;
  }

  boolean covered(int column, int row) {
    return column >= 0
        && row >= 0
        && column < nx
        && row < ny
        && low[row * nx + column] <= high[row * nx + column];
  }

  /** Where the body begins on a covered line. */
  double low(int column, int row) {
    return low[row * nx + column];
  }

  /** Where it ends. */
  double high(int column, int row) {
    return high[row * nx + column];
  }

  /** How much of a covered line lies between two parts of the body. */
  double gap(int column, int row) {
    int at = row * nx + column;
    return Math.max(0, high[at] - low[at] - filled[at]);
  }
}
