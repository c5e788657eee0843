package ungula.core.form;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;

/**
 * The islands of a body's sections: what is outside the body and all surrounded by it in one layer
 * of cells. Cells belong together over their sides; they are looked at by rows, as runs.
 */
final class Islands {

  /** In place of an island's number: what is open to the side. */
  private static final int OPEN = -1;

  private final int nx;
  private final int ny;
  private final List<Island> all = new ArrayList<>();

  private Islands(int nx, int ny) {
    this.nx = nx;
    this.ny = ny;
  }

  /** One piece of a section. */
  static final class Island {
    final int number;
    final int layer;

    /** Its cells: first and, exclusive, last of each run, counted in the layer row by row. */
    private int[] runs = new int[8];

    private int ends;
    private int cells;

    /** Whether it opens to the side in the layer above, below. */
    boolean opensUp;

    boolean opensDown;

    /** Those it touches in the layer above and below, once for each run at least. */
    final List<Island> beside = new ArrayList<>();

    private Island(int number, int layer) {
      this.number = number;
      this.layer = layer;
    }

    private void add(int from, int to) {
      if (ends == runs.length) {
        runs = Arrays.copyOf(runs, 2 * ends);
      }
      runs[ends++] = from;
      runs[ends++] = to;
      cells += to - from;
    }

    /** How many cells. */
    int cells() {
      return cells;
    }

    /** Its cells as a set, as they are counted in the layer. */
    BitSet set() {
      BitSet set = new BitSet();
      for (int n = 0; n < ends; n += 2) {
        set.set(runs[n], runs[n + 1]);
      }
      return set;
    }
  }

  /** The runs of one layer that are outside the body, row by row. */
  private static final class Runs {
    /** The first run of each row, and one more. */
    final int[] row;

    int[] from = new int[64];
    int[] to = new int[64];
    int count;

    /** By run: the number of its island, or {@link #OPEN}. */
    int[] island;

    Runs(BitSet inside, int nx, int ny) {
      row = new int[ny + 1];
      for (int j = 0; j < ny; j++) {
        row[j] = count;
        int end = (j + 1) * nx;
        int at = Math.min(end, inside.nextClearBit(j * nx));
        while (at < end) {
          int body = inside.nextSetBit(at);
          add(at, body < 0 ? end : Math.min(end, body));
          at = Math.min(end, inside.nextClearBit(to[count - 1]));
        }
      }
      row[ny] = count;
    }

    private void add(int begin, int end) {
      if (count == from.length) {
        from = Arrays.copyOf(from, 2 * count);
        to = Arrays.copyOf(to, 2 * count);
      }
      from[count] = begin;
      to[count++] = end;
    }
  }

  /** Called with two runs that lie beside each other. */
  private interface Beside {
    void meet(int one, int other);
  }

  /**
   * @param inside a set for each layer; the cell in the corner of each is outside
   * @return by layers, in each in the order of their first cells
   */
  static List<Island> of(BitSet[] inside, int nx, int ny) {
    Islands islands = new Islands(nx, ny);
    Runs below = null;
    for (int k = 0; k < inside.length; k++) {
      Runs runs = new Runs(inside[k], nx, ny);
      islands.number(k, runs);
      if (below != null) {
        islands.join(below, runs);
      }
      below = runs;
    }
    return islands.all;
  }

  private void number(int k, Runs runs) {
    int[] root = new int[runs.count];
    for (int n = 0; n < root.length; n++) {
      root[n] = n;
    }
    for (int j = 1; j < ny; j++) {
      meet(runs, j - 1, runs, j, nx, (n, m) -> unite(root, n, m));
    }
    runs.island = new int[runs.count];
    for (int n = 0; n < root.length; n++) {
      // the first run of a piece is its root
      int r = root(root, n);
      if (n == r && n > 0) {
        runs.island[n] = all.size();
        all.add(new Island(all.size(), k));
      } else {
        runs.island[n] = n == 0 ? OPEN : runs.island[r];
      }
      if (runs.island[n] != OPEN) {
        all.get(runs.island[n]).add(runs.from[n], runs.to[n]);
      }
    }
  }

  private static void unite(int[] root, int n, int m) {
    int a = root(root, n);
    int b = root(root, m);
    root[Math.max(a, b)] = Math.min(a, b);
  }

  /** Of what was united, the one that stands for all. */
  static int root(int[] root, int n) {
    int r = n;
    while (root[r] != r) {
      root[r] = root[root[r]];
      r = root[r];
    }
    return r;
  }

  private void join(Runs below, Runs above) {
    for (int j = 0; j < ny; j++) {
      meet(below, j, above, j, 0, (n, m) -> join(below.island[n], above.island[m]));
    }
  }

  private void join(int below, int above) {
    if (below != OPEN && above != OPEN) {
      all.get(below).beside.add(all.get(above));
      all.get(above).beside.add(all.get(below));
    } else if (below != OPEN) {
      all.get(below).opensUp = true;
    } else if (above != OPEN) {
      all.get(above).opensDown = true;
    }
  }

  /**
   * Tells of each run of one row and each of another that have a column in common.
   *
   * @param on how much further the other row's cells are counted
   */
  private static void meet(Runs one, int i, Runs other, int j, int on, Beside told) {
    int n = one.row[i];
    int m = other.row[j];
    while (n < one.row[i + 1] && m < other.row[j + 1]) {
      if (one.from[n] + on < other.to[m] && other.from[m] < one.to[n] + on) {
        told.meet(n, m);
      }
      if (one.to[n] + on < other.to[m]) {
        n++;
      } else {
        m++;
      }
    }
  }
}
