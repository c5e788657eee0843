package ungula.core.hollow;

import java.util.Arrays;
import ungula.core.mesh.Topology;
import ungula.core.mesh.TriangleMesh;

/** A body standing on a plate, prolonged straight down through it. */
final class Prolonged {

  /** What is no higher lies on the plate, as a share of the height. */
  private static final double ON_PLATE = 1e-4;

  private Prolonged() {}

  /**
   * What lies on the plate is moved down, and walls are drawn from where it was.
   *
   * @param mesh its lowest point at z = 0
   */
  static TriangleMesh down(TriangleMesh mesh, double mm) {
    double near = 0.005 + ON_PLATE * mesh.bounds().max().z();
    double[] p = mesh.xyz();
    int[] c = mesh.corners();
    boolean[] floor = new boolean[mesh.triangleCount()];
    for (int t = 0; t < floor.length; t++) {
      floor[t] =
          p[3 * c[3 * t] + 2] <= near
              && p[3 * c[3 * t + 1] + 2] <= near
              && p[3 * c[3 * t + 2] + 2] <= near
              && mesh.areaVector(t).z() < 0;
    }
    // vertex v of the floor is, moved down, vertex v + n
    int n = mesh.vertexCount();
    double[] xyz = Arrays.copyOf(p, 2 * p.length);
    System.arraycopy(p, 0, xyz, p.length, p.length);
    for (int v = n; v < 2 * n; v++) {
      xyz[3 * v + 2] -= mm;
    }
    Topology topology = Topology.of(mesh);
    int[] corners = Arrays.copyOf(c, 3 * c.length);
    int used = c.length;
    for (int t = 0; t < floor.length; t++) {
      if (!floor[t]) {
        continue;
      }
      for (int k = 0; k < 3; k++) {
        corners[3 * t + k] = c[3 * t + k] + n;
        int across = topology.neighbour(t, k);
        if (across >= 0 && floor[across]) {
          continue;
        }
        int a = c[3 * t + k];
        int b = c[3 * t + (k + 1) % 3];
        int[] wall = {a, b, b + n, a, b + n, a + n};
        if (used + 6 > corners.length) {
          corners = Arrays.copyOf(corners, corners.length + c.length);
        }
        System.arraycopy(wall, 0, corners, used, 6);
        used += 6;
      }
    }
    return new TriangleMesh(xyz, Arrays.copyOf(corners, used));
  }
}
