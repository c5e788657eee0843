package ungula.core.mesh;

import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.triangulate.polygon.PolygonTriangulator;

/**
 * Plane areas made thick, floor by floor. Corners of facets meet where areas share theirs: no
 * corner of one lies on an edge of another. Whether the floors close a body is not checked.
 */
public final class Extrusion {

  private final TriangleMesh.Builder mesh;

  /**
   * @param expectedTriangles about
   */
  public Extrusion(int expectedTriangles) {
    mesh = new TriangleMesh.Builder(expectedTriangles);
  }

  /**
   * An outline made thick.
   *
   * @param ring x and y in turn, without holes, either way round
   * @param heightMm from z = 0 up
   */
  public static TriangleMesh prism(double[] ring, double heightMm) {
    Polygon outline = Rings.polygon(ring);
    return new Extrusion(4 * ring.length)
        .flat(outline, 0, false)
        .sides(outline, 0, heightMm)
        .flat(outline, heightMm, true)
        .mesh();
  }

  /** A level face. */
  public Extrusion flat(Geometry area, double z, boolean looksUp) {
    Geometry triangles = PolygonTriangulator.triangulate(area);
    for (int i = 0; i < triangles.getNumGeometries(); i++) {
      Coordinate[] c = triangles.getGeometryN(i).getCoordinates();
      double twice = (c[1].x - c[0].x) * (c[2].y - c[0].y) - (c[2].x - c[0].x) * (c[1].y - c[0].y);
      boolean asItIs = twice > 0 == looksUp;
      Coordinate second = asItIs ? c[1] : c[2];
      Coordinate third = asItIs ? c[2] : c[1];
      mesh.triangle(
          mesh.vertex(c[0].x, c[0].y, z),
          mesh.vertex(second.x, second.y, z),
          mesh.vertex(third.x, third.y, z));
    }
    return this;
  }

  /** Upright faces round areas and their holes, looking out of what is filled. */
  public Extrusion sides(Geometry area, double fromZ, double toZ) {
    for (int i = 0; i < area.getNumGeometries(); i++) {
      Polygon p = (Polygon) area.getGeometryN(i);
      side(Rings.of(p.getExteriorRing()), true, fromZ, toZ);
      for (int h = 0; h < p.getNumInteriorRing(); h++) {
        side(Rings.of(p.getInteriorRingN(h)), false, fromZ, toZ);
      }
    }
    return this;
  }

  private void side(double[] ring, boolean outer, double fromZ, double toZ) {
    boolean forward = Outline.area(ring) > 0 == outer;
    for (int i = 0; i < ring.length; i += 2) {
      int next = (i + 2) % ring.length;
      int a = forward ? i : next;
      int b = forward ? next : i;
      int p = mesh.vertex(ring[a], ring[a + 1], fromZ);
      int q = mesh.vertex(ring[b], ring[b + 1], fromZ);
      int r = mesh.vertex(ring[b], ring[b + 1], toZ);
      int s = mesh.vertex(ring[a], ring[a + 1], toZ);
      mesh.triangle(p, q, r);
      mesh.triangle(p, r, s);
    }
  }

  public TriangleMesh mesh() {
    return mesh.build();
  }
}
