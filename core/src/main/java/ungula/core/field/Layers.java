package ungula.core.field;

import ungula.core.mesh.TriangleMesh;

/** Triangles filed by the layers of cells they reach into, in rising order within each. */
final class Layers {

  private final int[] start;
  private final int[] triangles;

  private Layers(int[] start, int[] triangles) {
    this.start = start;
    this.triangles = triangles;
  }

  /**
   * @param more how many layers further than its bounds a triangle is filed, each way
   */
  static Layers of(TriangleMesh mesh, Grid grid, int more) {
    double[] p = mesh.xyz();
    int[] c = mesh.corners();
    int n = mesh.triangleCount();
    int[] first = new int[n];
    int[] last = new int[n];
    int[] start = new int[grid.nz() + 1];
    for (int t = 0; t < n; t++) {
      double u = p[3 * c[3 * t] + 2];
      double v = p[3 * c[3 * t + 1] + 2];
      double w = p[3 * c[3 * t + 2] + 2];
      double lo = (Math.min(u, Math.min(v, w)) - grid.origin().z()) / grid.h();
      double hi = (Math.max(u, Math.max(v, w)) - grid.origin().z()) / grid.h();
      first[t] = (int) Math.max(0, Math.ceil(lo - more - 1e-9));
      last[t] = (int) Math.min(grid.nz() - 1.0, Math.floor(hi + more + 1e-9));
      for (int k = first[t]; k <= last[t]; k++) {
        start[k + 1]++;
      }
    }
    for (int k = 0; k < grid.nz(); k++) {
      start[k + 1] += start[k];
    }
    int[] triangles = new int[start[grid.nz()]];
    int[] fill = start.clone();
    for (int t = 0; t < n; t++) {
      for (int k = first[t]; k <= last[t]; k++) {
        triangles[fill[k]++] = t;
      }
    }
    return new Layers(start, triangles);
  }

  int start(int layer) {
    return start[layer];
  }

  int triangle(int n) {
    return triangles[n];
  }
}
