package ungula.core.mesh;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.Slicer.Cut;

/**
 * The outline of a body seen along an axis; from above it is what the body covers of the plate.
 *
 * <p>Traced round the pixels of a raster that the body touches, so never too small, and too large
 * by less than two of them: {@link #PIXELS} to the longest side. Holes one could look through are
 * taken as covered.
 */
public final class Shadow {

  /** Along the longest side: a tenth of a millimetre of a hand's length. */
  private static final int PIXELS = 1600;

  private final int right;
  private final int up;
  private final int nx;
  private final int ny;
  private final double x0;
  private final double y0;
  private final double pixel;
  private final boolean[] covered;

  // how far the triangle being covered reaches in a row
  private double leftmost;
  private double rightmost;

  private Shadow(TriangleMesh mesh, Cut seen) {
    right = seen.right();
    up = seen.up();
    double[] least = along(mesh.bounds().min());
    double[] size = along(mesh.bounds().size());
    pixel = Math.max(1e-9, Math.max(size[right], size[up]) / PIXELS);
    // a rim of one pixel is never covered, however this is rounded
    x0 = least[right] - 1.5 * pixel;
    y0 = least[up] - 1.5 * pixel;
    nx = (int) Math.ceil(size[right] / pixel) + 4;
    ny = (int) Math.ceil(size[up] / pixel) + 4;
    covered = new boolean[nx * ny];
  }

  private static double[] along(Vec3 v) {
    return new double[] {v.x(), v.y(), v.z()};
  }

  /** Seen from above. */
  public static List<double[]> of(TriangleMesh mesh) {
    return of(mesh, Cut.TOP);
  }

  /**
   * @param seen as a section across the same axis is drawn
   * @return rings of right, up pairs in mm, counter-clockwise, the largest first
   */
  public static List<double[]> of(TriangleMesh mesh, Cut seen) {
    Shadow s = new Shadow(mesh, seen);
    double[] p = mesh.xyz();
    int[] c = mesh.corners();
    for (int t = 0; t < c.length; t += 3) {
      s.cover(p, 3 * c[t], 3 * c[t + 1], 3 * c[t + 2]);
    }
    return s.rings();
  }

  /** Covers the pixels a triangle touches: in each row of them from its leftmost to its right. */
  private void cover(double[] p, int a, int b, int c) {
    double ya = (p[a + up] - y0) / pixel;
    double yb = (p[b + up] - y0) / pixel;
    double yc = (p[c + up] - y0) / pixel;
    double xa = (p[a + right] - x0) / pixel;
    double xb = (p[b + right] - x0) / pixel;
    double xc = (p[c + right] - x0) / pixel;
    int first = (int) Math.min(ya, Math.min(yb, yc));
    int last = (int) Math.max(ya, Math.max(yb, yc));
    for (int j = first; j <= last; j++) {
      leftmost = Double.POSITIVE_INFINITY;
      rightmost = Double.NEGATIVE_INFINITY;
      edge(xa, ya, xb, yb, j);
      edge(xb, yb, xc, yc, j);
      edge(xc, yc, xa, ya, j);
      if (leftmost <= rightmost) {
        Arrays.fill(covered, j * nx + (int) leftmost, j * nx + (int) rightmost + 1, true);
      }
    }
  }

  /** Widens a row's reach to the part of an edge that lies in it. */
  private void edge(double xa, double ya, double xb, double yb, int row) {
    double low = Math.max(row, Math.min(ya, yb));
    double high = Math.min(row + 1.0, Math.max(ya, yb));
    if (low > high) {
      return;
    }
    double at = ya == yb ? xa : xa + (xb - xa) * (low - ya) / (yb - ya);
    double to = ya == yb ? xb : xa + (xb - xa) * (high - ya) / (yb - ya);
    leftmost = Math.min(leftmost, Math.min(at, to));
    rightmost = Math.max(rightmost, Math.max(at, to));
  }

  private boolean at(int i, int j) {
    return covered[j * nx + i];
  }

  private List<double[]> rings() {
    // directed sides of covered pixels that face bare ones, by where they begin
    Map<Integer, List<Integer>> next = new HashMap<>();
    int columns = nx + 1;
    for (int j = 1; j + 1 < ny; j++) {
      for (int i = 1; i + 1 < nx; i++) {
        if (!at(i, j)) {
          continue;
        }
        int corner = j * columns + i;
        side(!at(i, j - 1), corner, corner + 1, next);
        side(!at(i + 1, j), corner + 1, corner + 1 + columns, next);
        side(!at(i, j + 1), corner + 1 + columns, corner + columns, next);
        side(!at(i - 1, j), corner + columns, corner, next);
      }
    }
    List<double[]> rings = new ArrayList<>();
    while (!next.isEmpty()) {
      double[] ring = ring(next, columns);
      if (Outline.area(ring) > 0) {
        rings.add(Outline.thinned(ring, 0.75 * pixel));
      }
    }
    rings.sort((r, q) -> Double.compare(Outline.area(q), Outline.area(r)));
    return List.copyOf(rings);
  }

  private static void side(boolean bare, int from, int to, Map<Integer, List<Integer>> next) {
    if (bare) {
      next.computeIfAbsent(from, n -> new ArrayList<>(1)).add(to);
    }
  }

  /** Follows sides from any of them back to where it began; each is used once. */
  private double[] ring(Map<Integer, List<Integer>> next, int columns) {
    int begin = next.keySet().iterator().next();
    double[] ring = new double[64];
    int n = 0;
    int at = begin;
    int before = -1;
    do {
      List<Integer> ways = next.get(at);
      int to = ways.size() == 1 ? ways.get(0) : turn(ways, before, at, columns);
      ways.remove((Integer) to);
      if (ways.isEmpty()) {
        next.remove(at);
      }
      if (n == ring.length) {
        ring = Arrays.copyOf(ring, 2 * n);
      }
      ring[n++] = x0 + at % columns * pixel;
      ring[n++] = y0 + at / columns * pixel;
      before = at;
      at = to;
    } while (at != begin);
    return Arrays.copyOf(ring, n);
  }

  /** Where two pixels touch at a corner only, they stay apart: the way turns left. */
  private static int turn(List<Integer> ways, int before, int at, int columns) {
    if (before < 0) {
      return ways.get(0);
    }
    int dx = at % columns - before % columns;
    int dy = at / columns - before / columns;
    int left = at - dy + dx * columns;
    return ways.contains(left) ? left : ways.get(0);
  }
}
