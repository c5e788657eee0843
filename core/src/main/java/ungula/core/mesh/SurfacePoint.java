package ungula.core.mesh;

import ungula.core.geometry.Vec3;

/**
 * A place on a mesh that stays with it however it is turned: on a facet, at a + u·(b − a) + v·(c −
 * a).
 *
 * @param facet number of the triangle
 * @param u 0 to 1
 * @param v 0 to 1 − u
 */
public record SurfacePoint(int facet, double u, double v) {

  public SurfacePoint {
    if (facet < 0 || !(u >= 0) || !(v >= 0) || !(u + v <= 1 + 1e-6)) {
      throw new IllegalArgumentException("Not on a facet: " + facet + " " + u + " " + v);
    }
  }

  /**
   * Where it is on this mesh; empty places (a facet the mesh does not have) are its first vertex.
   */
  public Vec3 on(TriangleMesh mesh) {
    int t = facet < mesh.triangleCount() ? facet : 0;
    Vec3 a = mesh.vertex(mesh.corners()[3 * t]);
    Vec3 b = mesh.vertex(mesh.corners()[3 * t + 1]);
    Vec3 c = mesh.vertex(mesh.corners()[3 * t + 2]);
    return a.plus(b.minus(a).times(u)).plus(c.minus(a).times(v));
  }

  /** The place of a mesh nearest a point, to the middle or a corner or an edge of its facet. */
  public static SurfacePoint nearest(TriangleMesh mesh, Vec3 p) {
    SurfacePoint best = new SurfacePoint(0, 0, 0);
    double least = Double.MAX_VALUE;
    for (int t = 0; t < mesh.triangleCount(); t++) {
      SurfacePoint here = nearest(mesh, t, p);
      Vec3 off = here.on(mesh).minus(p);
      if (off.dot(off) < least) {
        least = off.dot(off);
        best = here;
      }
    }
    return best;
  }

  /** Of one facet: the foot of the perpendicular, drawn into the facet along its edges. */
  public static SurfacePoint nearest(TriangleMesh mesh, int t, Vec3 p) {
    Vec3 a = mesh.vertex(mesh.corners()[3 * t]);
    Vec3 ab = mesh.vertex(mesh.corners()[3 * t + 1]).minus(a);
    Vec3 ac = mesh.vertex(mesh.corners()[3 * t + 2]).minus(a);
    Vec3 ap = p.minus(a);
    double bb = ab.dot(ab);
    double bc = ab.dot(ac);
    double cc = ac.dot(ac);
    double det = bb * cc - bc * bc;
    double u = det > 0 ? (cc * ab.dot(ap) - bc * ac.dot(ap)) / det : 0;
    double v = det > 0 ? (bb * ac.dot(ap) - bc * ab.dot(ap)) / det : 0;
    u = Math.max(0, Math.min(1, u));
    v = Math.max(0, Math.min(1, v));
    double over = u + v > 1 ? u + v : 1;
    return new SurfacePoint(t, u / over, v / over);
  }
}
