package ungula.core.castlabel;

import java.awt.geom.AffineTransform;
import java.awt.geom.GeneralPath;
import java.awt.geom.PathIterator;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import ungula.core.mesh.Outline;
import ungula.core.mesh.Rings;

/**
 * Outlines of text in the shipped typeface, as plane areas. Lengths are in parts of the height of a
 * capital letter. Safe to share between threads.
 */
public final class Lettering {

  private static final String FILE = "/fonts/Archivo-Bold.ttf";

  /** Curves are cut into chords no further off than this. */
  private static final double FINE = 0.004;

  /**
   * Letters stand so much further apart than in print: what runs together is not read in rubber.
   */
  private static final double APART = 0.12;

  /** An I is one upright stroke. */
  private static final String STROKE = "I";

  private static final Lettering SHIPPED = new Lettering();

  private final TrueTypeFont font;

  /** By glyph, as far as they were asked for. */
  private final Map<Integer, Geometry> shapes = new HashMap<>();

  private final double capital;

  private Lettering() {
    try (InputStream in = Lettering.class.getResourceAsStream(FILE)) {
      font = new TTFParser().parse(new RandomAccessReadBuffer(in));
      capital = font.getPath("H").getBounds2D().getHeight();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * A line of text that begins at the origin and stands on y = 0, reading along x. Letters do not
   * touch; a letter the typeface does not have is left out.
   */
  public static Geometry of(String line) {
    return SHIPPED.line(line);
  }

  /** Those of a text the typeface does not have. */
  public static List<String> missing(String text) {
    return text.codePoints()
        .filter(c -> !blank(c) && SHIPPED.glyph(c) == 0)
        .distinct()
        .mapToObj(Character::toString)
        .toList();
  }

  /** How wide an upright stroke is. */
  public static double stroke() {
    return SHIPPED.line(STROKE).getEnvelopeInternal().getWidth();
  }

  private static boolean blank(int letter) {
    return Character.isWhitespace(letter) || Character.isSpaceChar(letter);
  }

  private synchronized int glyph(int letter) {
    try {
      return font.getUnicodeCmapLookup().getGlyphId(letter);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private synchronized Geometry line(String text) {
    List<Geometry> letters = new ArrayList<>();
    double x = 0;
    try {
      for (int letter : text.codePoints().toArray()) {
        int glyph = glyph(letter);
        if (glyph != 0) {
          Geometry shape = shape(glyph).copy();
          shape.apply(AffineTransformation.translationInstance(x, 0));
          letters.add(shape);
          x += font.getAdvanceWidth(glyph) / capital + APART;
        } else if (blank(letter)) {
          x += font.getAdvanceWidth(glyph(' ')) / capital + APART;
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return together(letters);
  }

  /** Areas that do not touch, as one. */
  static Geometry together(List<Geometry> apart) {
    List<Polygon> all = new ArrayList<>();
    for (Geometry g : apart) {
      // a space covers nothing
      for (int i = 0; !g.isEmpty() && i < g.getNumGeometries(); i++) {
        all.add((Polygon) g.getGeometryN(i));
      }
    }
    return Rings.JTS.createMultiPolygon(all.toArray(Polygon[]::new));
  }

  private Geometry shape(int glyph) throws IOException {
    Geometry known = shapes.get(glyph);
    if (known == null) {
      known = area(font.getGlyph().getGlyph(glyph).getPath());
      shapes.put(glyph, known);
    }
    return known;
  }

  /** Outer rings run clockwise in this kind of file, holes the other way round. */
  private Geometry area(GeneralPath path) {
    List<double[]> outer = new ArrayList<>();
    List<double[]> holes = new ArrayList<>();
    AffineTransform small = AffineTransform.getScaleInstance(1 / capital, 1 / capital);
    List<Double> ring = new ArrayList<>();
    double[] at = new double[2];
    for (PathIterator p = path.getPathIterator(small, FINE); !p.isDone(); p.next()) {
      int kind = p.currentSegment(at);
      if (kind == PathIterator.SEG_CLOSE) {
        double[] closed = closed(ring);
        if (closed.length >= 6) {
          (Outline.area(closed) < 0 ? outer : holes).add(closed);
        }
        ring.clear();
      } else {
        ring.add(at[0]);
        ring.add(at[1]);
      }
    }
    return OverlayNGRobust.overlay(Rings.filled(outer), Rings.filled(holes), OverlayNG.DIFFERENCE);
  }

  /** Without points that come twice. */
  private static double[] closed(List<Double> ring) {
    List<Double> kept = new ArrayList<>();
    for (int i = 0; i < ring.size(); i += 2) {
      int n = kept.size();
      boolean same =
          n > 0 && kept.get(n - 2).equals(ring.get(i)) && kept.get(n - 1).equals(ring.get(i + 1));
      if (!same) {
        kept.add(ring.get(i));
        kept.add(ring.get(i + 1));
      }
    }
    int n = kept.size();
    if (n > 2 && kept.get(0).equals(kept.get(n - 2)) && kept.get(1).equals(kept.get(n - 1))) {
      kept = kept.subList(0, n - 2);
    }
    return kept.stream().mapToDouble(v -> v).toArray();
  }
}
