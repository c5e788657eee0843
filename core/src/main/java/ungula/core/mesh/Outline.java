package ungula.core.mesh;

import java.util.Arrays;
import java.util.List;

/** Plane rings as right, up pairs: their area, and fewer points for drawing. */
public final class Outline {

  private Outline() {}

  /** Signed area, positive counter-clockwise. */
  public static double area(double[] ring) {
    double twice = 0;
    for (int i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
      twice += ring[j] * ring[i + 1] - ring[i] * ring[j + 1];
    }
    return twice / 2;
  }

  /**
   * The same line with points left out that lie within a distance of it (Douglas and Peucker: the
   * reduction of the number of points required to represent a digitized line, 1973). Ends stay.
   */
  public static double[] thinned(double[] line, double within) {
    int n = line.length / 2;
    if (n < 4) {
      return line;
    }
    boolean[] keep = new boolean[n];
    keep[0] = true;
    keep[n - 1] = true;
    int[] stack = new int[64];
    int depth = 0;
    stack[depth++] = 0;
    stack[depth++] = n - 1;
    while (depth > 0) {
      int b = stack[--depth];
      int a = stack[--depth];
      double worst = within;
      int at = -1;
      for (int i = a + 1; i < b; i++) {
        double d = distance(line, i, a, b);
        if (d > worst) {
          worst = d;
          at = i;
        }
      }
      if (at > 0) {
        keep[at] = true;
        if (depth + 4 > stack.length) {
          stack = Arrays.copyOf(stack, 2 * stack.length);
        }
        stack[depth++] = a;
        stack[depth++] = at;
        stack[depth++] = at;
        stack[depth++] = b;
      }
    }
    double[] out = new double[line.length];
    int length = 0;
    for (int i = 0; i < n; i++) {
      if (keep[i]) {
        out[length++] = line[2 * i];
        out[length++] = line[2 * i + 1];
      }
    }
    return Arrays.copyOf(out, length);
  }

  private static double distance(double[] line, int i, int a, int b) {
    double dx = line[2 * b] - line[2 * a];
    double dy = line[2 * b + 1] - line[2 * a + 1];
    double px = line[2 * i] - line[2 * a];
    double py = line[2 * i + 1] - line[2 * a + 1];
    double length = Math.hypot(dx, dy);
    return length < 1e-12 ? Math.hypot(px, py) : Math.abs(dx * py - dy * px) / length;
  }

  /** Whether a point lies within rings together, where they overlap an even number not. */
  public static boolean inside(List<double[]> rings, double x, double y) {
    boolean in = false;
    for (double[] r : rings) {
      for (int i = 0; i < r.length; i += 2) {
        int j = (i + 2) % r.length;
        if (r[i + 1] <= y != r[j + 1] <= y
            && x < r[i] + (y - r[i + 1]) / (r[j + 1] - r[i + 1]) * (r[j] - r[i])) {
          in = !in;
        }
      }
    }
    return in;
  }

  /** From a point to the nearest of a ring's sides. */
  public static double distance(double[] ring, double x, double y) {
    double least = Double.POSITIVE_INFINITY;
    for (int i = 0; i < ring.length; i += 2) {
      int j = (i + 2) % ring.length;
      double ux = ring[j] - ring[i];
      double uy = ring[j + 1] - ring[i + 1];
      double px = x - ring[i];
      double py = y - ring[i + 1];
      double length2 = ux * ux + uy * uy;
      double along = length2 > 0 ? Math.max(0, Math.min(1, (px * ux + py * uy) / length2)) : 0;
      double dx = px - along * ux;
      double dy = py - along * uy;
      least = Math.min(least, dx * dx + dy * dy);
    }
    return Math.sqrt(least);
  }
}
