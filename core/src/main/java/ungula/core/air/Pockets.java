package ungula.core.air;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import ungula.core.air.AirTraps.Pocket;
import ungula.core.air.AirTraps.Result;
import ungula.core.field.Grid;
import ungula.core.geometry.Vec3;

/** Cells air stays in, as they hang together over their 26 neighbours. */
final class Pockets {

  private final Grid grid;

  /** By rising number, with the height of each and the height it spills over. */
  private final int[] cells;

  private final double[] height;
  private final float[] spill;

  /** Where each run of cells along x begins among them; one more at the end. */
  private final int[] begin;

  private final int runs;

  /** Of each run one it hangs together with; itself at the root. */
  private final int[] parent;

  Pockets(Grid grid, int[] cells, double[] height, float[] spill) {
    this.grid = grid;
    this.cells = cells;
    this.height = height;
    this.spill = spill;
    int[] starts = new int[cells.length + 1];
    int count = 0;
    for (int i = 0; i < cells.length; i++) {
      boolean on = i > 0 && cells[i] == cells[i - 1] + 1 && cells[i] % grid.nx() != 0;
      if (!on) {
        starts[count++] = i;
      }
    }
    starts[count] = cells.length;
    this.begin = Arrays.copyOf(starts, count + 1);
    this.runs = count;
    this.parent = new int[count];
    for (int r = 0; r < count; r++) {
      parent[r] = r;
    }
    int row = grid.nx();
    int layer = grid.nx() * grid.ny();
    for (int step : new int[] {row, layer - row, layer, layer + row}) {
      join(step);
    }
  }

  /** Joins runs with those they touch so many cells further on. Both rise: one pass. */
  private void join(int step) {
    int s = 0;
    for (int r = 0; r < runs; r++) {
      int low = cells[begin[r]] + step - 1;
      int high = cells[begin[r + 1] - 1] + step + 1;
      while (s < runs && cells[begin[s + 1] - 1] < low) {
        s++;
      }
      for (int t = s; t < runs && cells[begin[t]] <= high; t++) {
        int a = root(r);
        int b = root(t);
        parent[Math.max(a, b)] = Math.min(a, b);
      }
    }
  }

  private int root(int r) {
    int at = r;
    while (parent[at] != at) {
      parent[at] = parent[parent[at]];
      at = parent[at];
    }
    return at;
  }

  /**
   * @param leastMm pockets no deeper are left out
   * @param level two heights no further apart are level
   */
  Result result(double leastMm, double level, double unreachedMm3) {
    double[] top = new double[runs];
    double[] depth = new double[runs];
    int[] count = new int[runs];
    Arrays.fill(top, Double.NEGATIVE_INFINITY);
    for (int r = 0; r < runs; r++) {
      int p = root(r);
      for (int i = begin[r]; i < begin[r + 1]; i++) {
        top[p] = Math.max(top[p], height[i]);
        depth[p] = Math.max(depth[p], height[i] - spill[i]);
      }
      count[p] += begin[r + 1] - begin[r];
    }
    Vec3[] tops = tops(top, depth, leastMm, level);
    List<Pocket> found = new ArrayList<>();
    double total = 0;
    for (int p = 0; p < runs; p++) {
      if (tops[p] != null) {
        double volume = count[p] * grid.cellMm3();
        found.add(new Pocket(volume, tops[p], depth[p]));
        total += volume;
      }
    }
    found.sort(Comparator.comparingDouble((Pocket p) -> -p.volumeMm3()));
    return new Result(total, unreachedMm3, List.copyOf(found), AirCells.of(grid, kept(tops)));
  }

  /** Of each pocket's highest cells the one nearest their middle; null for those left out. */
  private Vec3[] tops(double[] top, double[] depth, double leastMm, double level) {
    Vec3[] sum = new Vec3[runs];
    int[] highest = new int[runs];
    for (int r = 0; r < runs; r++) {
      int p = root(r);
      for (int i = begin[r]; depth[p] > leastMm && i < begin[r + 1]; i++) {
        if (height[i] > top[p] - level) {
          Vec3 at = grid.centre(cells[i]);
          sum[p] = sum[p] == null ? at : sum[p].plus(at);
          highest[p]++;
        }
      }
    }
    Vec3[] nearest = new Vec3[runs];
    double[] off = new double[runs];
    for (int r = 0; r < runs; r++) {
      int p = root(r);
      for (int i = begin[r]; sum[p] != null && i < begin[r + 1]; i++) {
        if (height[i] > top[p] - level) {
          Vec3 at = grid.centre(cells[i]);
          double d = at.minus(sum[p].times(1.0 / highest[p])).norm();
          if (nearest[p] == null || d < off[p]) {
            nearest[p] = at;
            off[p] = d;
          }
        }
      }
    }
    return nearest;
  }

  private int[] kept(Vec3[] tops) {
    int[] kept = new int[cells.length];
    int n = 0;
    for (int r = 0; r < runs; r++) {
      if (tops[root(r)] != null) {
        System.arraycopy(cells, begin[r], kept, n, begin[r + 1] - begin[r]);
        n += begin[r + 1] - begin[r];
      }
    }
    return Arrays.copyOf(kept, n);
  }
}
