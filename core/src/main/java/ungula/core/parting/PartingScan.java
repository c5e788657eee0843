package ungula.core.parting;

import java.util.BitSet;
import ungula.core.mark.FacetSet;
import ungula.core.mesh.TriangleMesh;

/**
 * What a level parting at every height leaves locked, and how long its seam is. Heights are above
 * the master's lowest point; the halves are pulled straight up and down.
 *
 * <p>Rubber of the lower half is locked when master is under it, of the upper when master is over
 * it. On an upright line that the body covers from {@code low} to {@code high} with gaps of {@code
 * g} between, a parting at h locks g, and max(0, h − high) of the lower half, and max(0, low − h)
 * of the upper one.
 */
public final class PartingScan {

  /** Locked rubber is worth speaking of from this share of the master. */
  public static final double WORTH = 0.005;

  /** Heights looked at, evenly from the lowest point to the highest. */
  public static final int LEVELS = 200;

  private final double heightMm;
  private final double betweenMm3;
  private final double[] belowMm3 = new double[LEVELS + 1];
  private final double[] aboveMm3 = new double[LEVELS + 1];
  private final double[] seamMm;

  private PartingScan(TriangleMesh mesh, UprightLines lines) {
    heightMm = Math.max(1e-6, mesh.bounds().size().z());
    betweenMm3 = lock(lines);
    seamMm = seams(mesh, null);
  }

  /**
   * @param mesh set down at z = 0
   */
  public static PartingScan of(TriangleMesh mesh, UprightLines lines) {
    return new PartingScan(mesh, lines);
  }

  private double level(int i) {
    return heightMm * i / LEVELS;
  }

  private double lock(UprightLines lines) {
    double area = lines.pixelMm() * lines.pixelMm();
    double gaps = 0;
    // lines that end below each level, and the sum of where; those that begin above it
    double[] ended = new double[LEVELS + 2];
    double[] endedAt = new double[LEVELS + 2];
    double[] begun = new double[LEVELS + 2];
    double[] begunAt = new double[LEVELS + 2];
    for (int j = 0; j < lines.rows(); j++) {
      for (int i = 0; i < lines.columns(); i++) {
        if (lines.covered(i, j)) {
          gaps += lines.gap(i, j);
          int top = (int) Math.ceil(clamp(lines.high(i, j)) * LEVELS / heightMm);
          ended[top]++;
          endedAt[top] += lines.high(i, j);
          int bottom = (int) Math.floor(clamp(lines.low(i, j)) * LEVELS / heightMm);
          begun[bottom]++;
          begunAt[bottom] += lines.low(i, j);
        }
      }
    }
    double count = 0;
    double sum = 0;
    for (int n = 0; n <= LEVELS; n++) {
      count += ended[n];
      sum += endedAt[n];
      belowMm3[n] = Math.max(0, count * level(n) - sum) * area;
    }
    count = 0;
    sum = 0;
    for (int n = LEVELS; n >= 0; n--) {
      count += begun[n];
      sum += begunAt[n];
      aboveMm3[n] = Math.max(0, sum - count * level(n)) * area;
    }
    return gaps * area;
  }

  private double clamp(double z) {
    return Math.max(0, Math.min(heightMm, z));
  }

  /**
   * Length of the body's outline at every level.
   *
   * @param only facets that count; null for all
   */
  private double[] seams(TriangleMesh mesh, BitSet only) {
    double[] length = new double[LEVELS + 1];
    double[] p = mesh.xyz();
    int[] c = mesh.corners();
    double[][] q = new double[3][3];
    for (int t = 0; t < c.length; t += 3) {
      if (only != null && !only.get(t / 3)) {
        continue;
      }
      for (int k = 0; k < 3; k++) {
        System.arraycopy(p, 3 * c[t + k], q[k], 0, 3);
      }
      swapIfAbove(q, 0, 1);
      swapIfAbove(q, 1, 2);
      swapIfAbove(q, 0, 1);
      int first = (int) Math.max(0, Math.ceil(q[0][2] * LEVELS / heightMm));
      // a corner on the level counts as above it, so that an edge on it counts once
      int last = (int) Math.min(LEVELS, Math.ceil(q[2][2] * LEVELS / heightMm) - 1);
      for (int n = first; n <= last; n++) {
        length[n] += chord(q, level(n));
      }
    }
    return length;
  }

  private static void swapIfAbove(double[][] q, int low, int high) {
    if (q[low][2] > q[high][2]) {
      double[] higher = q[low];
      q[low] = q[high];
      q[high] = higher;
    }
  }

  /** How far a level runs across a triangle, its corners by height. */
  private static double chord(double[][] q, double z) {
    double u = (z - q[0][2]) / (q[2][2] - q[0][2]);
    int from = z < q[1][2] || q[1][2] == q[2][2] ? 0 : 1;
    double[] a = q[from];
    double[] b = q[from + 1];
    double v = b[2] > a[2] ? (z - a[2]) / (b[2] - a[2]) : 0;
    double dx = q[0][0] + u * (q[2][0] - q[0][0]) - a[0] - v * (b[0] - a[0]);
    double dy = q[0][1] + u * (q[2][1] - q[0][1]) - a[1] - v * (b[1] - a[1]);
    return Math.hypot(dx, dy);
  }

  /** How much of the seam runs over marked facets, by level. */
  double[] seamOver(TriangleMesh mesh, FacetSet marked) {
    return seams(mesh, marked.facets());
  }

  /** Rubber with master over and under it: locked wherever the halves meet. */
  public double betweenMm3() {
    return betweenMm3;
  }

  /** Rubber locked in both halves, mm³. */
  public double lockedMm3(double h) {
    return betweenMm3 + between(belowMm3, h) + between(aboveMm3, h);
  }

  /** At the level that locks least. */
  public double leastLockedMm3() {
    return lockedMm3(best(this::lockedMm3));
  }

  public double seamMm(double h) {
    return between(seamMm, h);
  }

  double between(double[] byLevel, double h) {
    double n = clamp(h) * LEVELS / heightMm;
    int i = (int) Math.min(LEVELS - 1, n);
    return byLevel[i] + (n - i) * (byLevel[i + 1] - byLevel[i]);
  }

  /** What is lost or gained by a level; the least is best. */
  @FunctionalInterface
  interface Score {
    double at(double h);
  }

  /** The level with the least score; of equal ones next to each other the middle. */
  double best(Score score) {
    double[] all = new double[LEVELS + 1];
    double least = Double.POSITIVE_INFINITY;
    for (int n = 1; n < LEVELS; n++) {
      all[n] = score.at(level(n));
      least = Math.min(least, all[n]);
    }
    double slack = 1e-9 + 1e-6 * Math.abs(least);
    int first = 1;
    while (all[first] > least + slack) {
      first++;
    }
    int last = first;
    while (last + 1 < LEVELS && all[last + 1] <= least + slack) {
      last++;
    }
    return (level(first) + level(last)) / 2;
  }
}
