package ungula.core.field;

import java.util.Arrays;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;

/**
 * Of each vertex of a mesh the triangles round it and round every vertex close to it, as far as
 * they hang together. Of a vertex thousands meet at, the tip of a cone or the middle of a round
 * lid, a few spread over them are told: the ones between lie hardly nearer, and are walked to.
 */
final class NearbyTriangles {

  private static final int PORTIONS = 8;

  /** No list is longer. */
  private static final int MOST = 48;

  /** The golden section: its multiples are spread evenly, in whatever order triangles come. */
  private static final double EVEN = (Math.sqrt(5) - 1) / 2;

  /** Of meshes with more vertices only the triangles round each are told: 50 MB of lists. */
  private static final int MOST_VERTICES = 250_000;

  private final TriangleMesh mesh;
  private final double reach2;

  /** Triangles round vertex v alone: ring[ringFrom[v]] to ring[ringFrom[v + 1] − 1]. */
  final int[] ringFrom;

  final int[] ring;

  /** Where each vertex's list begins; one more at the end. */
  final int[] from;

  /** Triangles, list after list; those round the vertex itself first. */
  final int[] list;

  /**
   * @param reachMm how close; 0 tells only the triangles round each vertex
   */
  NearbyTriangles(TriangleMesh mesh, double reachMm, Parallel parallel) {
    this.mesh = mesh;
    this.reach2 = reachMm * reachMm;
    int[] c = mesh.corners();
    int[] all = new int[mesh.vertexCount() + 2];
    for (int v : c) {
      all[v + 2]++;
    }
    for (int v = 2; v < all.length; v++) {
      all[v] += all[v - 1];
    }
    int[] round = new int[c.length];
    for (int i = 0; i < c.length; i++) {
      round[all[c[i] + 1]++] = i / 3;
    }
    ringFrom = new int[mesh.vertexCount() + 1];
    for (int v = 0; v < mesh.vertexCount(); v++) {
      ringFrom[v + 1] = ringFrom[v] + Math.min(MOST, all[v + 1] - all[v]);
    }
    ring = new int[ringFrom[mesh.vertexCount()]];
    for (int v = 0; v < mesh.vertexCount(); v++) {
      int many = all[v + 1] - all[v];
      for (int i = 0; i < Math.min(MOST, many); i++) {
        int which = many <= MOST ? i : (int) (i * EVEN % 1 * many);
        ring[ringFrom[v] + i] = round[all[v] + which];
      }
    }
    if (reachMm == 0 || mesh.vertexCount() > MOST_VERTICES) {
      from = ringFrom;
      list = ring;
      return;
    }
    int n = mesh.vertexCount();
    int[][] lists = new int[PORTIONS][];
    int[] count = new int[n];
    parallel.each(
        PORTIONS, part -> lists[part] = new Portion().run(start(part), start(part + 1), count));
    from = new int[n + 1];
    for (int v = 0; v < n; v++) {
      from[v + 1] = from[v] + count[v];
    }
    list = new int[from[n]];
    for (int part = 0; part < PORTIONS; part++) {
      System.arraycopy(lists[part], 0, list, from[start(part)], lists[part].length);
    }
  }

  private int start(int part) {
    return (int) ((long) mesh.vertexCount() * part / PORTIONS);
  }

  /** Some of the vertices. */
  private final class Portion {

    /** The last vertex a triangle, a vertex was met from; plus one. */
    private final int[] seen = new int[mesh.triangleCount()];

    private final int[] met = new int[mesh.vertexCount()];
    private int[] queue = new int[64];
    private int waiting;
    private int[] found = new int[1 << 12];
    private int used;

    int[] run(int begin, int end, int[] count) {
      for (int v = begin; v < end; v++) {
        int before = used;
        waiting = 0;
        meet(v, v);
        for (int head = 0; head < waiting; head++) {
          int u = queue[head];
          for (int i = ringFrom[u]; i < ringFrom[u + 1] && used < before + MOST; i++) {
            see(ring[i], v);
          }
        }
        count[v] = used - before;
      }
      return Arrays.copyOf(found, used);
    }

    private void see(int t, int v) {
      if (seen[t] == v + 1) {
        return;
      }
      seen[t] = v + 1;
      if (used == found.length) {
        found = Arrays.copyOf(found, 2 * used);
      }
      found[used++] = t;
      for (int k = 3 * t; k < 3 * t + 3; k++) {
        meet(mesh.corners()[k], v);
      }
    }

    private void meet(int w, int v) {
      double[] p = mesh.xyz();
      double x = p[3 * w] - p[3 * v];
      double y = p[3 * w + 1] - p[3 * v + 1];
      double z = p[3 * w + 2] - p[3 * v + 2];
      if (met[w] != v + 1 && x * x + y * y + z * z < reach2) {
        met[w] = v + 1;
        if (waiting == queue.length) {
          queue = Arrays.copyOf(queue, 2 * waiting);
        }
        queue[waiting++] = w;
      }
    }
  }
}
