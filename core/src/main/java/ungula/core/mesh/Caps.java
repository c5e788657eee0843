package ungula.core.mesh;

import java.util.Arrays;

/**
 * Triangles over the gaps of a surface. The edge of any surface is made of closed runs: each is
 * closed by triangles to the point amid it. Surface and caps together bound an inside.
 */
public final class Caps {

  private final OpenEdges open;

  /** The open edges that begin at a vertex stand together. */
  private final int[] start;

  private final int[] edges;

  /** How many of a vertex's are used. */
  private final int[] used;

  private double[] xyz;
  private int vertices;
  private int[] corners;
  private int count;

  private Caps(TriangleMesh mesh) {
    open = OpenEdges.of(mesh);
    vertices = mesh.vertexCount();
    start = new int[vertices + 1];
    for (int e = 0; e < open.count(); e++) {
      start[open.from(e) + 1]++;
    }
    for (int v = 0; v < vertices; v++) {
      start[v + 1] += start[v];
    }
    edges = new int[open.count()];
    used = new int[vertices];
    for (int e = 0; e < open.count(); e++) {
      int v = open.from(e);
      edges[start[v] + used[v]++] = e;
    }
    Arrays.fill(used, 0);
    // no run is shorter than three edges
    xyz = Arrays.copyOf(mesh.xyz(), 3 * (vertices + open.count() / 3));
    corners = Arrays.copyOf(mesh.corners(), mesh.corners().length + 3 * open.count());
    count = mesh.corners().length;
  }

  /** A mesh with caps over all its gaps; they stand after its own triangles. */
  public static TriangleMesh close(TriangleMesh mesh) {
    Caps caps = new Caps(mesh);
    caps.walk(mesh.vertexCount());
    return new TriangleMesh(
        Arrays.copyOf(caps.xyz, 3 * caps.vertices), Arrays.copyOf(caps.corners, caps.count));
  }

  /** Along the open edges; what comes back to where it was is a run, as short as it can be. */
  private void walk(int own) {
    int[] path = new int[own + 1];
    int[] spot = new int[own];
    Arrays.fill(spot, -1);
    for (int first = 0; first < own; first++) {
      int length = 1;
      path[0] = first;
      spot[first] = 0;
      while (start[path[length - 1]] + used[path[length - 1]] < start[path[length - 1] + 1]) {
        int v = path[length - 1];
        int to = open.to(edges[start[v] + used[v]++]);
        if (spot[to] < 0) {
          spot[to] = length;
          path[length++] = to;
        } else {
          cap(path, spot[to], length);
          while (length > spot[to] + 1) {
            spot[path[--length]] = -1;
          }
        }
      }
      spot[first] = -1;
    }
  }

  private void cap(int[] path, int from, int to) {
    if (to - from == 3) {
      triangle(path[from], path[from + 2], path[from + 1]);
      return;
    }
    for (int i = from; i < to; i++) {
      for (int a = 0; a < 3; a++) {
        xyz[3 * vertices + a] += xyz[3 * path[i] + a] / (to - from);
      }
      triangle(path[i + 1 < to ? i + 1 : from], path[i], vertices);
    }
    vertices++;
  }

  private void triangle(int a, int b, int c) {
    corners[count++] = a;
    corners[count++] = b;
    corners[count++] = c;
  }
}
