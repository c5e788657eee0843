package ungula.core.mesh;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.union.UnaryUnionOp;

/** Rings of x and y in turn, the first point not again at the end, as plane geometry and back. */
public final class Rings {

  public static final GeometryFactory JTS = new GeometryFactory();

  private Rings() {}

  public static LinearRing closed(double[] ring) {
    Coordinate[] c = new Coordinate[ring.length / 2 + 1];
    for (int i = 0; i < ring.length; i += 2) {
      c[i / 2] = new Coordinate(ring[i], ring[i + 1]);
    }
    c[c.length - 1] = c[0];
    return JTS.createLinearRing(c);
  }

  public static Polygon polygon(double[] ring) {
    return JTS.createPolygon(closed(ring));
  }

  /** All they enclose together, without what is left open within. */
  public static Geometry filled(List<double[]> rings) {
    Geometry all =
        UnaryUnionOp.union(
            rings.stream().filter(r -> r.length >= 6).map(r -> polygon(r).buffer(0)).toList());
    return all == null ? JTS.createPolygon() : all;
  }

  /** What rings enclose, one within another being a hole. */
  public static Geometry area(List<double[]> rings) {
    Geometry area = JTS.createPolygon();
    for (double[] r : rings) {
      area = area.symDifference(polygon(r));
    }
    return area;
  }

  /** The points of a closed line. */
  public static double[] of(LineString line) {
    Coordinate[] c = line.getCoordinates();
    double[] ring = new double[2 * Math.max(0, c.length - 1)];
    for (int i = 0; i < ring.length / 2; i++) {
      ring[2 * i] = c[i].x;
      ring[2 * i + 1] = c[i].y;
    }
    return ring;
  }

  /** Outer rings and holes of an area. */
  public static List<double[]> of(Geometry area) {
    List<double[]> rings = new ArrayList<>();
    for (int i = 0; i < area.getNumGeometries(); i++) {
      Polygon p = (Polygon) area.getGeometryN(i);
      rings.add(of(p.getExteriorRing()));
      for (int h = 0; h < p.getNumInteriorRing(); h++) {
        rings.add(of(p.getInteriorRingN(h)));
      }
    }
    return rings;
  }
}
