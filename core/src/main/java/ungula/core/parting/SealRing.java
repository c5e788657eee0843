package ungula.core.parting;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.triangulate.polygon.ConstrainedDelaunayTriangulator;
import ungula.core.mesh.Rings;
import ungula.core.mesh.TriangleMesh;

/**
 * A ridge all round the cavity on the lower half, and its groove in the upper: it registers the
 * halves and keeps casting material in.
 *
 * @param line its centre line, seen from above: x and y in turn, closed
 * @param form of it
 */
public record SealRing(List<double[]> line, Form form) {

  /**
   * @param offsetMm from the outline of the section at the parting to the ring's centre line
   * @param widthMm at its foot
   * @param heightMm of the ridge, and depth of its groove
   */
  public record Form(double offsetMm, double widthMm, double heightMm) {

    public static final Form USUAL = new Form(9, 6, 6);

    /** What the outer edge of it needs between the cavity and the wall of the box. */
    public double roomMm() {
      return offsetMm + widthMm / 2 + KeyLayout.TO_WALL_MM;
    }
  }

  /** Its top is narrower than its foot by this share, so that it leaves its groove. */
  private static final double TOP = 2.0 / 3;

  private static final int CORNER = 16;

  /** Round the outside of everything cast. */
  static SealRing round(Geometry cavity, Form form) {
    Geometry out = cavity.buffer(form.offsetMm, CORNER);
    List<double[]> rings =
        IntStream.range(0, out.getNumGeometries())
            .mapToObj(i -> Rings.of(((Polygon) out.getGeometryN(i)).getExteriorRing()))
            .toList();
    return new SealRing(rings, form);
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
    return lengthMm() * form.widthMm * (1 + TOP) / 2 * form.heightMm;
  }

  /** How high it is so far from its centre line. */
  double at(double fromLineMm) {
    double foot = form.widthMm / 2;
    double top = TOP * foot;
    if (fromLineMm >= foot) {
      return 0;
    }
    return fromLineMm <= top ? form.heightMm : form.heightMm * (foot - fromLineMm) / (foot - top);
  }

  /** The ring alone, standing on z = 0: its top flat, its sides straight. */
  public TriangleMesh solid() {
    Geometry foot = centreLines().buffer(form.widthMm / 2, CORNER);
    Geometry top = centreLines().buffer(TOP * form.widthMm / 2, CORNER);
    Set<Coordinate> high = new HashSet<>(List.of(top.getCoordinates()));
    TriangleMesh.Builder b = new TriangleMesh.Builder(8 * high.size());
    faces(foot, b, c -> 0, false);
    faces(top, b, c -> form.heightMm, true);
    faces(foot.difference(top), b, c -> high.contains(c) ? form.heightMm : 0, true);
    return b.build();
  }

  /**
   * @param up whether they face up
   */
  private static void faces(
      Geometry area, TriangleMesh.Builder to, ToDoubleFunction<Coordinate> height, boolean up) {
    Geometry triangles = ConstrainedDelaunayTriangulator.triangulate(area);
    for (int i = 0; i < triangles.getNumGeometries(); i++) {
      Coordinate[] c = triangles.getGeometryN(i).getCoordinates();
      boolean turned = Orientation.isCCW(c) != up;
      int[] v = new int[3];
      for (int k = 0; k < 3; k++) {
        v[k] = to.vertex(c[k].x, c[k].y, height.applyAsDouble(c[k]));
      }
      to.triangle(v[0], turned ? v[2] : v[1], turned ? v[1] : v[2]);
    }
  }

  Geometry centreLines() {
    return Rings.JTS.createMultiLineString(
        line.stream().map(Rings::closed).toArray(LineString[]::new));
  }

  /** The ring as a band: its outer and inner edge. */
  public List<double[]> band() {
    return Rings.of(centreLines().buffer(form.widthMm / 2, CORNER));
  }
}
