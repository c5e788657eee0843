package ungula.core.mesh;

import ungula.core.geometry.Vec3;

/**
 * The same surface of fewer, larger triangles: vertices in one cube of a lattice become one, in
 * their mean (J. Rossignac and P. Borrel, 1993). No place moves further than a cube's diagonal, and
 * smooth parts hardly at all; a closed surface stays closed, sheets thinner than a cube may vanish.
 */
public final class Clustering {

  private Clustering() {}

  /**
   * @param cubeMm side of the cubes
   * @return the mesh itself where nothing would be left
   */
  public static TriangleMesh of(TriangleMesh mesh, double cubeMm) {
    double[] p = mesh.xyz();
    Vec3 low = mesh.bounds().min();
    VertexWelder cubes = new VertexWelder(mesh.vertexCount());
    int[] in = new int[mesh.vertexCount()];
    for (int v = 0; v < in.length; v++) {
      in[v] =
          cubes.index(
              Math.floor((p[3 * v] - low.x()) / cubeMm),
              Math.floor((p[3 * v + 1] - low.y()) / cubeMm),
              Math.floor((p[3 * v + 2] - low.z()) / cubeMm));
    }
    int[] count = new int[cubes.count()];
    double[] mean = new double[3 * count.length];
    for (int v = 0; v < in.length; v++) {
      count[in[v]]++;
      for (int a = 0; a < 3; a++) {
        // a running mean: sums would lose digits far from the origin
        mean[3 * in[v] + a] += (p[3 * v + a] - mean[3 * in[v] + a]) / count[in[v]];
      }
    }
    TriangleMesh.Builder coarse = new TriangleMesh.Builder(mesh.triangleCount());
    int[] vertex = new int[count.length];
    for (int v = 0; v < vertex.length; v++) {
      vertex[v] = coarse.vertex(mean[3 * v], mean[3 * v + 1], mean[3 * v + 2]);
    }
    int[] c = mesh.corners();
    for (int t = 0; t < c.length; t += 3) {
      coarse.triangle(vertex[in[c[t]]], vertex[in[c[t + 1]]], vertex[in[c[t + 2]]]);
    }
    return coarse.triangleCount() == 0 ? mesh : coarse.build();
  }
}
