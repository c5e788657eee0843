package ungula.core.mesh;

import java.util.Arrays;
import ungula.core.work.Progress;

/**
 * Volume of a surface that encloses nothing exactly: open, doubled or overlapping. Straight columns
 * run through the mesh along each axis; a point counts as inside where the crossings behind it wind
 * round it at least once, so overlapping parts count once.
 *
 * <p>An estimate. Columns whose crossings do not cancel (they leave through a gap) are left to the
 * other axes: the axis with the fewest of them is taken, and its bad columns are given the mean of
 * its good ones in proportion. Where a whole stretch of the surface is missing, columns across it
 * meet nothing and seem good, while those along it still see the body; so the error is the larger
 * of the spread between the axes that see anything (bad columns under one half), the share of bad
 * columns, the share of the surface that is missing, and one half percent for the column grid.
 */
final class ColumnVolume {

  private static final int COLUMNS = 256;

  /** Share of bad columns above which an axis does not count in the spread. */
  private static final double BLIND = 0.5;

  private final double[] xyz;
  private final int[] corners;
  private final double[] lo;
  private final double[] hi;

  private ColumnVolume(TriangleMesh mesh) {
    xyz = mesh.xyz();
    corners = mesh.corners();
    var b = mesh.bounds();
    lo = new double[] {b.min().x(), b.min().y(), b.min().z()};
    hi = new double[] {b.max().x(), b.max().y(), b.max().z()};
  }

  /**
   * @param volumeMm3 of the union
   * @param errorMm3 to carry, k = 2
   * @param overlap whether some place is wound round more than once
   */
  record Estimate(double volumeMm3, double errorMm3, boolean overlap) {}

  /**
   * @param missing share of the surface that its openings would take to close
   */
  static Estimate of(TriangleMesh mesh, double missing, Progress progress) {
    ColumnVolume c = new ColumnVolume(mesh);
    Axis[] axes = new Axis[3];
    for (int a = 0; a < 3; a++) {
      progress.at("Counting what is inside", a / 3.0);
      axes[a] = c.along(a);
    }
    Axis best = Arrays.stream(axes).min((p, q) -> Double.compare(p.bad, q.bad)).orElseThrow();
    double least = best.volume;
    double most = best.volume;
    boolean overlap = false;
    for (Axis axis : axes) {
      if (axis.bad < BLIND) {
        least = Math.min(least, axis.volume);
        most = Math.max(most, axis.volume);
      }
      overlap |= axis.overlap;
    }
    double share = Math.max(Math.max(best.bad, missing), 0.005);
    double error = Math.max(most - least, share * best.volume);
    return new Estimate(best.volume, error, overlap);
  }

  private record Axis(double volume, double bad, boolean overlap) {}

  private Axis along(int w) {
    int u = (w + 1) % 3;
    int v = (w + 2) % 3;
    double du = (hi[u] - lo[u]) / COLUMNS;
    double dv = (hi[v] - lo[v]) / COLUMNS;
    if (!(du > 0) || !(dv > 0)) {
      return new Axis(0, 1, false);
    }
    Crossings crossings = new Crossings(w, u, v, du, dv);
    crossings.scan(false);
    crossings.allocate();
    crossings.scan(true);
    return crossings.sum(du * dv);
  }

  /** Where the surface crosses the columns of one axis; two passes: count, then file. */
  private final class Crossings {

    private final int w;
    private final int u;
    private final int v;
    private final double du;
    private final double dv;
    private final int[] start = new int[COLUMNS * COLUMNS + 1];
    private int[] fill;
    private double[] height;
    private byte[] sense;

    Crossings(int w, int u, int v, double du, double dv) {
      this.w = w;
      this.u = u;
      this.v = v;
      this.du = du;
      this.dv = dv;
    }

    void allocate() {
      for (int i = 0; i < COLUMNS * COLUMNS; i++) {
        start[i + 1] += start[i];
      }
      fill = start.clone();
      height = new double[start[COLUMNS * COLUMNS]];
      sense = new byte[height.length];
    }

    void scan(boolean file) {
      for (int t = 0; t < corners.length; t += 3) {
        int a = 3 * corners[t];
        int b = 3 * corners[t + 1];
        int c = 3 * corners[t + 2];
        double bu = xyz[b + u] - xyz[a + u];
        double bv = xyz[b + v] - xyz[a + v];
        double cu = xyz[c + u] - xyz[a + u];
        double cv = xyz[c + v] - xyz[a + v];
        double det = bu * cv - bv * cu;
        if (det == 0) {
          continue;
        }
        double minU = Math.min(0, Math.min(bu, cu)) + xyz[a + u];
        double maxU = Math.max(0, Math.max(bu, cu)) + xyz[a + u];
        double minV = Math.min(0, Math.min(bv, cv)) + xyz[a + v];
        double maxV = Math.max(0, Math.max(bv, cv)) + xyz[a + v];
        int i0 = Math.max(0, (int) Math.ceil((minU - lo[u]) / du - 0.5));
        int i1 = Math.min(COLUMNS - 1, (int) Math.floor((maxU - lo[u]) / du - 0.5));
        int j0 = Math.max(0, (int) Math.ceil((minV - lo[v]) / dv - 0.5));
        int j1 = Math.min(COLUMNS - 1, (int) Math.floor((maxV - lo[v]) / dv - 0.5));
        for (int j = j0; j <= j1; j++) {
          for (int i = i0; i <= i1; i++) {
            double pu = lo[u] + (i + 0.5) * du;
            double pv = lo[v] + (j + 0.5) * dv;
            if (covers(a, b, c, pu, pv, det)) {
              int column = j * COLUMNS + i;
              if (file) {
                double s = ((pu - xyz[a + u]) * cv - (pv - xyz[a + v]) * cu) / det;
                double r = (bu * (pv - xyz[a + v]) - bv * (pu - xyz[a + u])) / det;
                int at = fill[column]++;
                height[at] =
                    xyz[a + w] + s * (xyz[b + w] - xyz[a + w]) + r * (xyz[c + w] - xyz[a + w]);
                sense[at] = (byte) (det > 0 ? -1 : 1);
              } else {
                start[column + 1]++;
              }
            }
          }
        }
      }
    }

    /** Half-open on shared edges, so that a column through an edge crosses one triangle only. */
    private boolean covers(int a, int b, int c, double pu, double pv, double det) {
      return det > 0
          ? left(a, b, pu, pv) && left(b, c, pu, pv) && left(c, a, pu, pv)
          : left(b, a, pu, pv) && left(c, b, pu, pv) && left(a, c, pu, pv);
    }

    private boolean left(int p, int q, double pu, double pv) {
      // the edge is always evaluated from its lower end, so both sides compute the same number
      boolean swap = xyz[p + u] > xyz[q + u] || xyz[p + u] == xyz[q + u] && xyz[p + v] > xyz[q + v];
      int s = swap ? q : p;
      int e = swap ? p : q;
      double side =
          (xyz[e + u] - xyz[s + u]) * (pv - xyz[s + v])
              - (xyz[e + v] - xyz[s + v]) * (pu - xyz[s + u]);
      return swap ? side < 0 : side >= 0;
    }

    Axis sum(double columnArea) {
      double volume = 0;
      int hit = 0;
      int bad = 0;
      boolean overlap = false;
      for (int column = 0; column < COLUMNS * COLUMNS; column++) {
        int from = start[column];
        int to = start[column + 1];
        if (from == to) {
          continue;
        }
        hit++;
        sort(from, to);
        int winding = 0;
        double inside = 0;
        boolean dips = false;
        for (int i = from; i < to; i++) {
          if (winding > 0) {
            inside += height[i] - height[i - 1];
          }
          // going up, an underside (its shadow turns clockwise) leads in, a topside leads out
          winding += sense[i];
          dips |= winding < 0;
          overlap |= winding > 1;
        }
        if (winding != 0 || dips) {
          bad++;
        } else {
          volume += inside * columnArea;
        }
      }
      int good = hit - bad;
      return good == 0
          ? new Axis(0, 1, overlap)
          : new Axis(volume * hit / good, (double) bad / hit, overlap);
    }

    private void sort(int from, int to) {
      for (int i = from + 1; i < to; i++) {
        double h = height[i];
        byte s = sense[i];
        int j = i - 1;
        while (j >= from && height[j] > h) {
          height[j + 1] = height[j];
          sense[j + 1] = sense[j];
          j--;
        }
        height[j + 1] = h;
        sense[j + 1] = s;
      }
    }
  }
}
