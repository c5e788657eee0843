package ungula.core.former;

import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.triangulate.polygon.PolygonTriangulator;
import ungula.core.mesh.Outline;
import ungula.core.mesh.Rings;
import ungula.core.mesh.TriangleMesh;

/** An outline made thick. */
final class Prism {

  private Prism() {}

  /**
   * @param ring x and y in turn, without holes
   * @param heightMm from z = 0 up
   */
  static TriangleMesh of(double[] ring, double heightMm) {
    TriangleMesh.Builder b = new TriangleMesh.Builder(4 * ring.length);
    Geometry triangles = PolygonTriangulator.triangulate(Rings.polygon(ring));
    for (int i = 0; i < triangles.getNumGeometries(); i++) {
      Coordinate[] c = triangles.getGeometryN(i).getCoordinates();
      double twice = (c[1].x - c[0].x) * (c[2].y - c[0].y) - (c[2].x - c[0].x) * (c[1].y - c[0].y);
      face(b, c[0], twice > 0 ? c[1] : c[2], twice > 0 ? c[2] : c[1], heightMm);
      face(b, c[0], twice > 0 ? c[2] : c[1], twice > 0 ? c[1] : c[2], 0);
    }
    boolean outwards = Outline.area(ring) > 0;
    for (int i = 0; i < ring.length; i += 2) {
      int from = outwards ? i : (i + 2) % ring.length;
      int to = outwards ? (i + 2) % ring.length : i;
      int p = b.vertex(ring[from], ring[from + 1], 0);
      int q = b.vertex(ring[to], ring[to + 1], 0);
      int r = b.vertex(ring[to], ring[to + 1], heightMm);
      int s = b.vertex(ring[from], ring[from + 1], heightMm);
      b.triangle(p, q, r);
      b.triangle(p, r, s);
    }
    return b.build();
  }

  private static void face(
      TriangleMesh.Builder b, Coordinate p, Coordinate q, Coordinate r, double z) {
    b.triangle(b.vertex(p.x, p.y, z), b.vertex(q.x, q.y, z), b.vertex(r.x, r.y, z));
  }
}
