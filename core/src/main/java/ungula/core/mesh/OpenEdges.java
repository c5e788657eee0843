package ungula.core.mesh;

import java.util.Arrays;

/**
 * The edges of a surface that are run through more often one way than the other; without any it
 * bounds its inside. An edge stands as often as it is run through more, in that sense.
 */
public final class OpenEdges {

  private int[] ends = new int[16];
  private int count;

  private OpenEdges() {}

  public static OpenEdges of(TriangleMesh mesh) {
    int[] c = mesh.corners();
    // the edges of each lower vertex stand together: the higher one, then the sense
    int[] start = new int[mesh.vertexCount() + 1];
    for (int h = 0; h < c.length; h++) {
      start[Math.min(c[h], c[next(h)]) + 1]++;
    }
    for (int v = 0; v + 1 < start.length; v++) {
      start[v + 1] += start[v];
    }
    long[] edges = new long[c.length];
    int[] fill = start.clone();
    for (int h = 0; h < c.length; h++) {
      int a = c[h];
      int b = c[next(h)];
      edges[fill[Math.min(a, b)]++] = (long) Math.max(a, b) << 1 | (a < b ? 1 : 0);
    }
    OpenEdges open = new OpenEdges();
    for (int v = 0; v + 1 < start.length; v++) {
      open.find(v, edges, start[v], start[v + 1]);
    }
    return open;
  }

  private void find(int v, long[] edges, int from, int to) {
    Arrays.sort(edges, from, to);
    int balance = 0;
    for (int i = from; i < to; i++) {
      balance += (edges[i] & 1) == 1 ? 1 : -1;
      int other = (int) (edges[i] >>> 1);
      if (i + 1 == to || edges[i + 1] >>> 1 != other) {
        for (; balance > 0; balance--) {
          add(v, other);
        }
        for (; balance < 0; balance++) {
          add(other, v);
        }
      }
    }
  }

  /** The corner after one, in its triangle. */
  private static int next(int h) {
    return h % 3 == 2 ? h - 2 : h + 1;
  }

  private void add(int from, int to) {
    if (2 * count == ends.length) {
      ends = Arrays.copyOf(ends, 2 * ends.length);
    }
    ends[2 * count] = from;
    ends[2 * count++ + 1] = to;
  }

  public int count() {
    return count;
  }

  /** The vertex edge e begins at. */
  public int from(int e) {
    return ends[2 * e];
  }

  /** The vertex it ends at. */
  public int to(int e) {
    return ends[2 * e + 1];
  }
}
