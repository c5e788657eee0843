package ungula.core.castlabel;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.AffineTransformation;
import ungula.core.mesh.Extrusion;
import ungula.core.mesh.Rings;
import ungula.core.mesh.TriangleMesh;

/**
 * A plate with raised text that rubber is poured against: its letters are mirrored, so that they
 * read right in the rubber. Round the plate's middle, as it reads in the rubber: x along the lines,
 * y up, mm.
 *
 * @param lines of text, from the top
 * @param letterMm height of a capital
 * @param widthMm of the plate
 * @param heightMm of the plate
 * @param letters what the text covers
 */
public record CastLabel(
    List<String> lines, double letterMm, double widthMm, double heightMm, Geometry letters) {

  /** The plate under the letters: thick enough to be lifted off a printer whole. */
  public static final double PLATE_MM = 1.5;

  /** What letters stand out: read with the eye and with a finger. */
  public static final double RAISED_MM = 0.8;

  /** Of plate round the text. */
  private static final double EDGE_MM = 2;

  /** From line to line, in heights of a capital: room for what hangs under a line. */
  private static final double LEADING = 1.5;

  /** What hangs under the last line, likewise. */
  private static final double HANGS = 0.25;

  private static final String BETWEEN = "  ";

  /** Text laid out in lines of letters so high. Text without a letter gives an empty plate. */
  public static CastLabel of(List<String> lines, double letterMm) {
    List<Geometry> all = new ArrayList<>();
    double wide = 0;
    double high = lines.isEmpty() ? 0 : 1 + (lines.size() - 1) * LEADING + HANGS;
    for (int i = 0; i < lines.size(); i++) {
      Geometry line = Lettering.of(lines.get(i));
      if (!line.isEmpty()) {
        Envelope e = line.getEnvelopeInternal();
        wide = Math.max(wide, e.getWidth());
        double x = -e.getMinX() - e.getWidth() / 2;
        double y = high / 2 - 1 - i * LEADING;
        line.apply(AffineTransformation.translationInstance(x, y));
        all.add(line);
      }
    }
    Geometry letters = Lettering.together(all);
    letters.apply(AffineTransformation.scaleInstance(letterMm, letterMm));
    return new CastLabel(
        List.copyOf(lines),
        letterMm,
        wide * letterMm + 2 * EDGE_MM,
        high * letterMm + 2 * EDGE_MM,
        letters);
  }

  /** The same text in one line, in two, and in a line for each part. */
  static List<CastLabel> layouts(List<String> parts, double letterMm) {
    Set<List<String>> all = new LinkedHashSet<>();
    all.add(List.of(String.join(BETWEEN, parts)));
    for (int i = 1; i < parts.size(); i++) {
      all.add(
          List.of(
              String.join(BETWEEN, parts.subList(0, i)),
              String.join(BETWEEN, parts.subList(i, parts.size()))));
    }
    all.add(parts);
    return all.stream().map(lines -> of(lines, letterMm)).toList();
  }

  /** How wide an upright stroke of its letters is. */
  public double strokeMm() {
    return Lettering.stroke() * letterMm;
  }

  /** Of plate and letters. */
  public double volumeMm3() {
    return widthMm * heightMm * PLATE_MM + letters.getArea() * RAISED_MM;
  }

  /** As high it stands. */
  public static double thickMm() {
    return PLATE_MM + RAISED_MM;
  }

  /** The plate's outline. */
  public double[] outline() {
    double x = widthMm / 2;
    double y = heightMm / 2;
    return new double[] {-x, -y, x, -y, x, y, -x, y};
  }

  /** The letters as an SVG path, as they read in the rubber: y down, filled even-odd, mm. */
  public String path() {
    StringBuilder d = new StringBuilder();
    for (double[] ring : rings()) {
      for (int i = 0; i < ring.length; i += 2) {
        d.append(i == 0 ? 'M' : 'L')
            .append(Math.round(ring[i] * 1000) / 1000.0)
            .append(' ')
            .append(Math.round(-ring[i + 1] * 1000) / 1000.0);
      }
      d.append('Z');
    }
    return d.toString();
  }

  /** Outlines of the letters, holes among them. */
  public List<double[]> rings() {
    List<double[]> all = new ArrayList<>();
    for (int i = 0; i < letters.getNumGeometries(); i++) {
      Polygon p = (Polygon) letters.getGeometryN(i);
      all.add(Rings.of(p.getExteriorRing()));
      for (int h = 0; h < p.getNumInteriorRing(); h++) {
        all.add(Rings.of(p.getInteriorRingN(h)));
      }
    }
    return all;
  }

  /**
   * The plate itself, mirrored, lying on z = 0 with its letters up: a closed surface. Corners of
   * its facets meet: no corner of one lies on an edge of another.
   */
  public TriangleMesh solid() {
    Polygon plate = Rings.polygon(outline());
    Geometry mirrored = AffineTransformation.scaleInstance(-1, 1).transform(letters);
    return new Extrusion(4096)
        .flat(plate, 0, false)
        .sides(plate, 0, PLATE_MM)
        .flat(plate.difference(mirrored), PLATE_MM, true)
        .sides(mirrored, PLATE_MM, thickMm())
        .flat(mirrored, thickMm(), true)
        .mesh();
  }
}
