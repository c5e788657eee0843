package ungula.core.parting;

import java.util.List;
import java.util.stream.IntStream;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.distance.IndexedFacetDistance;
import ungula.core.field.Grid;
import ungula.core.field.IsoSurface;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.Rings;
import ungula.core.mesh.TriangleMesh;

/**
 * A ridge all round the cavity on the lower half, and its groove in the upper: it registers the
 * halves and keeps casting material in.
 *
 * @param line its centre line, seen from above: x and y in turn, closed
 * @param widthMm at its foot
 * @param heightMm of it
 */
public record SealRing(List<double[]> line, double widthMm, double heightMm) {

  /** From the outline of the section at the parting to the ring's centre line. */
  public static final double OFFSET_MM = 9;

  public static final double WIDTH_MM = 6;

  public static final double HEIGHT_MM = 6;

  /** Its top is narrower than its foot by this share, so that it leaves its groove. */
  private static final double TOP = 2.0 / 3;

  private static final int CORNER = 16;

  /** Detail of the ring made solid. */
  private static final double FINE_MM = 0.75;

  /** Round the outside of everything cast. */
  static SealRing round(Geometry cavity) {
    Geometry out = cavity.buffer(OFFSET_MM, CORNER);
    List<double[]> rings =
        IntStream.range(0, out.getNumGeometries())
            .mapToObj(i -> Rings.of(((Polygon) out.getGeometryN(i)).getExteriorRing()))
            .toList();
    return new SealRing(rings, WIDTH_MM, HEIGHT_MM);
  }

  /** What the outer edge of it needs between the cavity and the wall of the box. */
  public static double roomMm() {
    return OFFSET_MM + WIDTH_MM / 2 + KeyLayout.TO_WALL_MM;
  }

  public double lengthMm() {
    double length = 0;
    for (double[] ring : line) {
      for (int i = 0; i < ring.length; i += 2) {
        int j = (i + 2) % ring.length;
        length += Math.hypot(ring[j] - ring[i], ring[j + 1] - ring[i + 1]);
      }
    }
    return length;
  }

  /** Section times length of the centre line: exact where it bends evenly. */
  public double volumeMm3() {
    return lengthMm() * widthMm * (1 + TOP) / 2 * heightMm;
  }

  /** How high it is so far from its centre line. */
  double at(double fromLineMm) {
    double foot = widthMm / 2;
    double top = TOP * foot;
    if (fromLineMm >= foot) {
      return 0;
    }
    return fromLineMm <= top ? heightMm : heightMm * (foot - fromLineMm) / (foot - top);
  }

  /** The ring alone, standing on z = 0. */
  public TriangleMesh solid() {
    Geometry lines = centreLines();
    Envelope e = lines.getEnvelopeInternal();
    double h = Math.min(FINE_MM, heightMm / 8);
    double foot = widthMm / 2;
    Box3 box =
        new Box3(
            new Vec3(e.getMinX() - foot, e.getMinY() - foot, 0),
            new Vec3(e.getMaxX() + foot, e.getMaxY() + foot, heightMm));
    Grid grid = Grid.round(box, 2 * h, h);
    int layer = grid.nx() * grid.ny();
    // off the centre line it is the same at every height
    double[] off = new double[layer];
    IndexedFacetDistance near = new IndexedFacetDistance(lines);
    for (int i = 0; i < layer; i++) {
      Vec3 at = grid.centre(i);
      off[i] = near.distance(Rings.JTS.createPoint(new Coordinate(at.x(), at.y())));
    }
    return IsoSurface.of(
        grid,
        cell -> {
          double far = off[cell % layer];
          double z = grid.z(cell / layer);
          return Math.max(-z, far >= foot ? far - foot : z - at(far));
        });
  }

  Geometry centreLines() {
    return Rings.JTS.createMultiLineString(
        line.stream().map(Rings::closed).toArray(LineString[]::new));
  }

  /** The ring as a band: its outer and inner edge. */
  public List<double[]> band() {
    return Rings.of(centreLines().buffer(widthMm / 2, CORNER));
  }
}
