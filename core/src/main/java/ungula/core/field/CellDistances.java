package ungula.core.field;

import java.util.Arrays;
import ungula.core.work.Parallel;

/**
 * Distances between cells of a grid, exact: from each cell to the nearest of a set (P. Felzenszwalb
 * and D. Huttenlocher, Distance Transforms of Sampled Functions, 2012).
 */
public final class CellDistances {

  private static final float FAR = 1e20f;

  private final int nx;
  private final int ny;
  private final int nz;

  private CellDistances(int nx, int ny, int nz) {
    this.nx = nx;
    this.ny = ny;
    this.nz = nz;
  }

  /** Whether a cell belongs to the set, by its index. */
  @FunctionalInterface
  public interface Set {
    boolean has(int cell);
  }

  /**
   * @return squared distance of every cell, in cells; 1e20 when the set is empty
   */
  public static float[] squared(int nx, int ny, int nz, Set set, Parallel parallel) {
    float[] d = new float[nx * ny * nz];
    CellDistances along = new CellDistances(nx, ny, nz);
    parallel.each(
        nz,
        k -> {
          for (int i = k * nx * ny; i < (k + 1) * nx * ny; i++) {
            d[i] = set.has(i) ? 0 : FAR;
          }
          Line line = along.line();
          for (int j = 0; j < ny; j++) {
            line.run(d, (k * ny + j) * nx, 1, nx);
          }
          for (int i = 0; i < nx; i++) {
            line.run(d, k * ny * nx + i, nx, ny);
          }
        });
    if (nz > 1) {
      parallel.each(
          ny,
          j -> {
            Line line = along.line();
            for (int i = 0; i < nx; i++) {
              line.run(d, j * nx + i, nx * ny, nz);
            }
          });
    }
    return d;
  }

  private Line line() {
    return new Line(Math.max(nx, Math.max(ny, nz)));
  }

  /** The lower envelope of one row's parabolas. */
  private static final class Line {
    private final float[] f;
    private final int[] at;
    private final float[] from;

    Line(int most) {
      f = new float[most];
      at = new int[most];
      from = new float[most + 1];
    }

    void run(float[] d, int begin, int step, int n) {
      boolean any = false;
      for (int q = 0; q < n; q++) {
        f[q] = d[begin + q * step];
        any |= f[q] < FAR;
      }
      if (!any) {
        return;
      }
      int k = -1;
      for (int q = 0; q < n; q++) {
        if (f[q] >= FAR) {
          continue;
        }
        float s = Float.NEGATIVE_INFINITY;
        while (k >= 0) {
          int p = at[k];
          s = (f[q] + (float) q * q - f[p] - (float) p * p) / (2f * (q - p));
          if (s > from[k]) {
            break;
          }
          k--;
        }
        k++;
        at[k] = q;
        from[k] = k == 0 ? Float.NEGATIVE_INFINITY : s;
      }
      int last = k;
      Arrays.fill(from, last + 1, last + 2, Float.POSITIVE_INFINITY);
      k = 0;
      for (int q = 0; q < n; q++) {
        while (from[k + 1] < q) {
          k++;
        }
        int p = at[k];
        d[begin + q * step] = f[p] + (float) (q - p) * (q - p);
      }
    }
  }
}
