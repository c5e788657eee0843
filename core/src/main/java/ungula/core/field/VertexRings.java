package ungula.core.field;

import ungula.core.mesh.TriangleMesh;

/**
 * Of each vertex of a mesh the triangles round it. Of a vertex thousands meet at, the tip of a cone
 * or the middle of a round lid, a few spread over them are told: the ones between lie hardly
 * nearer, and are walked to.
 */
final class VertexRings {

  /** No list is longer. */
  private static final int MOST = 48;

  /** The golden section: its multiples are spread evenly, in whatever order triangles come. */
  private static final double EVEN = (Math.sqrt(5) - 1) / 2;

  /** Where each vertex's list begins; one more at the end. */
  final int[] from;

  /** Triangles, list after list. */
  final int[] list;

  VertexRings(TriangleMesh mesh) {
    int[] c = mesh.corners();
    int n = mesh.vertexCount();
    int[] all = new int[n + 2];
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
    from = new int[n + 1];
    for (int v = 0; v < n; v++) {
      from[v + 1] = from[v] + Math.min(MOST, all[v + 1] - all[v]);
    }
    list = new int[from[n]];
    for (int v = 0; v < n; v++) {
      int many = all[v + 1] - all[v];
      for (int i = 0; i < Math.min(MOST, many); i++) {
        int which = many <= MOST ? i : (int) (i * EVEN % 1 * many);
        list[from[v] + i] = round[all[v] + which];
      }
    }
  }
}
