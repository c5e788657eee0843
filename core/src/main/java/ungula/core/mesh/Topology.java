package ungula.core.mesh;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * How the triangles of a mesh hang together: its edges, parts, openings and the sense each triangle
 * is turned in.
 *
 * <p>Parts are connected over edges. Where two parts meet in one vertex only, that vertex counts
 * for each of them; a part that touches itself in a single vertex is not taken apart, so its Euler
 * characteristic is one too small.
 */
public final class Topology {

  private static final int NONE = -1;

  private final TriangleMesh mesh;

  /**
   * The half-edge on the other side, per half-edge 3·t + k from corner k to corner k+1 of triangle
   * t; {@link #NONE} where the edge is open or shared by more than two triangles.
   */
  private final int[] twin;

  private int edges;
  private int nonManifold;
  private int sameSense;
  private final List<int[]> open = new ArrayList<>();
  private final int[] partOf;
  private int parts;

  private Topology(TriangleMesh mesh) {
    this.mesh = mesh;
    this.twin = new int[mesh.corners().length];
    this.partOf = new int[mesh.triangleCount()];
    pairHalfEdges();
    findParts();
  }

  public static Topology of(TriangleMesh mesh) {
    return new Topology(mesh);
  }

  private void pairHalfEdges() {
    int[] corners = mesh.corners();
    int n = mesh.vertexCount();
    int[] start = new int[n + 1];
    for (int t = 0; t < corners.length; t += 3) {
      int a = corners[t];
      int b = corners[t + 1];
      int c = corners[t + 2];
      start[Math.min(a, b) + 1]++;
      start[Math.min(b, c) + 1]++;
      start[Math.min(c, a) + 1]++;
    }
    for (int v = 0; v < n; v++) {
      start[v + 1] += start[v];
    }
    // by lower vertex: the higher vertex in the upper half, the half-edge in the lower
    long[] byLow = new long[corners.length];
    int[] fill = Arrays.copyOf(start, n);
    for (int t = 0; t < corners.length; t += 3) {
      int a = corners[t];
      int b = corners[t + 1];
      int c = corners[t + 2];
      byLow[fill[Math.min(a, b)]++] = (long) Math.max(a, b) << 32 | t;
      byLow[fill[Math.min(b, c)]++] = (long) Math.max(b, c) << 32 | t + 1;
      byLow[fill[Math.min(c, a)]++] = (long) Math.max(c, a) << 32 | t + 2;
    }
    for (int v = 0; v < n; v++) {
      sortSmall(byLow, start[v], start[v + 1]);
      pair(byLow, start[v], start[v + 1]);
    }
  }

  private static void sortSmall(long[] keys, int from, int to) {
    if (to - from > 40) {
      Arrays.sort(keys, from, to);
      return;
    }
    for (int i = from + 1; i < to; i++) {
      long key = keys[i];
      int j = i - 1;
      while (j >= from && keys[j] > key) {
        keys[j + 1] = keys[j];
        j--;
      }
      keys[j + 1] = key;
    }
  }

  private void pair(long[] keys, int from, int to) {
    int[] corners = mesh.corners();
    int i = from;
    while (i < to) {
      int j = i + 1;
      while (j < to && keys[j] >>> 32 == keys[i] >>> 32) {
        j++;
      }
      edges++;
      int h = (int) keys[i];
      if (j - i == 2) {
        int g = (int) keys[i + 1];
        twin[h] = g;
        twin[g] = h;
        if (corners[h] == corners[g]) {
          sameSense++;
        }
      } else {
        for (int k = i; k < j; k++) {
          twin[(int) keys[k]] = NONE;
        }
        if (j - i == 1) {
          open.add(new int[] {corners[h], corners[next(h)]});
        } else {
          nonManifold++;
        }
      }
      i = j;
    }
  }

  private static int next(int halfEdge) {
    return halfEdge % 3 == 2 ? halfEdge - 2 : halfEdge + 1;
  }

  private void findParts() {
    Arrays.fill(partOf, NONE);
    int[] stack = new int[1024];
    for (int seed = 0; seed < partOf.length; seed++) {
      if (partOf[seed] != NONE) {
        continue;
      }
      int depth = 0;
      stack[depth++] = seed;
      partOf[seed] = parts;
      while (depth > 0) {
        int t = stack[--depth];
        for (int k = 0; k < 3; k++) {
          int g = twin[3 * t + k];
          if (g != NONE && partOf[g / 3] == NONE) {
            partOf[g / 3] = parts;
            if (depth == stack.length) {
              stack = Arrays.copyOf(stack, 2 * depth);
            }
            stack[depth++] = g / 3;
          }
        }
      }
      parts++;
    }
  }

  public int edges() {
    return edges;
  }

  /** Edges with a triangle on one side only. */
  public int openEdges() {
    return open.size();
  }

  /** Edges shared by more than two triangles. */
  public int nonManifoldEdges() {
    return nonManifold;
  }

  public boolean closed() {
    return open.isEmpty() && nonManifold == 0;
  }

  /** Whether every two neighbours are turned the same way. */
  public boolean consistentSense() {
    return sameSense == 0;
  }

  public int parts() {
    return parts;
  }

  /** The part each triangle belongs to. This object's own array: read only. */
  public int[] partOf() {
    return partOf;
  }

  /** The triangle across edge k of a triangle, or −1 at an opening or a non-manifold edge. */
  public int neighbour(int triangle, int k) {
    int g = twin[3 * triangle + k];
    return g == NONE ? NONE : g / 3;
  }

  /** V − E + F over the vertices in use. */
  public int euler() {
    return vertexUses() - edges + mesh.triangleCount();
  }

  /**
   * Through-holes of all parts together: Σ (2 − χ)/2 over closed parts. Meaningful only when {@link
   * #closed()}.
   */
  public int genus() {
    return parts - euler() / 2;
  }

  private int vertexUses() {
    int[] first = new int[mesh.vertexCount()];
    Arrays.fill(first, NONE);
    Set<Long> more = new HashSet<>();
    int uses = 0;
    int[] corners = mesh.corners();
    for (int i = 0; i < corners.length; i++) {
      int v = corners[i];
      int part = partOf[i / 3];
      if (first[v] == NONE) {
        first[v] = part;
        uses++;
      } else if (first[v] != part && more.add((long) v << 32 | part)) {
        uses++;
      }
    }
    return uses;
  }

  /**
   * Rings of open edges, each as vertex indices in the sense of their triangles. An edge chain that
   * does not come back to its start (possible only at non-manifold vertices) is listed too.
   */
  public List<int[]> boundaryLoops() {
    List<int[]> loops = new ArrayList<>();
    int[][] sorted = open.toArray(int[][]::new);
    Arrays.sort(sorted, (p, q) -> Integer.compare(p[0], q[0]));
    boolean[] used = new boolean[sorted.length];
    for (int i = 0; i < sorted.length; i++) {
      if (used[i]) {
        continue;
      }
      int[] ring = new int[8];
      int length = 0;
      int at = i;
      while (at >= 0) {
        used[at] = true;
        if (length == ring.length) {
          ring = Arrays.copyOf(ring, 2 * length);
        }
        ring[length++] = sorted[at][0];
        at = unusedFrom(sorted, used, sorted[at][1]);
      }
      loops.add(Arrays.copyOf(ring, length));
    }
    return loops;
  }

  private static int unusedFrom(int[][] sorted, boolean[] used, int vertex) {
    int lo = 0;
    int hi = sorted.length;
    while (lo < hi) {
      int mid = (lo + hi) >>> 1;
      if (sorted[mid][0] < vertex) {
        lo = mid + 1;
      } else {
        hi = mid;
      }
    }
    while (lo < sorted.length && sorted[lo][0] == vertex) {
      if (!used[lo]) {
        return lo;
      }
      lo++;
    }
    return NONE;
  }

  /**
   * Triangles to turn over so that all neighbours agree: the smaller side of each part. A part that
   * cannot be made to agree (a Möbius band) keeps its last contradiction.
   */
  public boolean[] flipped() {
    int n = mesh.triangleCount();
    boolean[] flip = new boolean[n];
    if (consistentSense()) {
      return flip;
    }
    int[] corners = mesh.corners();
    boolean[] seen = new boolean[n];
    int[] queue = new int[n];
    for (int seed = 0; seed < n; seed++) {
      if (seen[seed]) {
        continue;
      }
      int head = 0;
      int tail = 0;
      int turned = 0;
      queue[tail++] = seed;
      seen[seed] = true;
      while (head < tail) {
        int t = queue[head++];
        turned += flip[t] ? 1 : 0;
        for (int k = 0; k < 3; k++) {
          int h = 3 * t + k;
          int g = twin[h];
          if (g != NONE && !seen[g / 3]) {
            seen[g / 3] = true;
            flip[g / 3] = flip[t] ^ corners[h] == corners[g];
            queue[tail++] = g / 3;
          }
        }
      }
      if (turned * 2 > tail) {
        for (int i = 0; i < tail; i++) {
          flip[queue[i]] = !flip[queue[i]];
        }
      }
    }
    return flip;
  }
}
