package ungula.server.sheet;

import java.awt.Color;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import ungula.core.caution.Caution;
import ungula.core.caution.Caution.Place;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mould.SectionDrawing;
import ungula.core.mould.SectionDrawing.Dimension;
import ungula.core.mould.SectionDrawing.Side;

/** A section through the mould on paper: what is there, its dimensions, and numbered cautions. */
final class SectionPrint {

  private static final Color WALL = new Color(0xe3d6bb);
  private static final Color MASTER = new Color(0xfffdf8);

  /** Beside a section, for its dimensions. */
  private static final float GUTTER = 74;

  /** For each row of dimensions below. */
  private static final float ROW = 18;

  private static final float PIN = 6.5f;

  private final SheetPen pen;
  private final SectionDrawing d;
  private final float scale;
  private final float x0;
  private final float y0;
  private final List<float[]> pinned = new ArrayList<>();

  /**
   * @param left of the room it is drawn in, points
   * @param high of what is drawn, without the dimensions below
   */
  private SectionPrint(SheetPen pen, SectionDrawing d, float left, float width, float high) {
    this.pen = pen;
    this.d = d;
    float across = (float) (d.right() - d.left());
    float up = (float) (d.top() - d.bottom());
    scale = Math.min((width - GUTTER - 10) / across, high / up);
    x0 = left + GUTTER + (width - GUTTER - 10 - across * scale) / 2 - (float) d.left() * scale;
    y0 = pen.y() - 8 - (float) d.top() * scale;
  }

  /**
   * Draws it from the pen's line down, which stays where it is.
   *
   * @param cautions numbered by their order; those with a place are pinned to it
   * @return how much of the page's height it took, points
   */
  static float draw(
      SheetPen pen, JobSheet.View view, float left, float width, float high, List<Caution> cautions)
      throws IOException {
    SectionPrint s = new SectionPrint(pen, view.drawing(), left, width, high);
    s.shapes();
    for (int i = 0; i < cautions.size(); i++) {
      s.pin(i + 1, cautions.get(i));
    }
    float tall = 8 + (float) (s.d.top() - s.d.bottom()) * s.scale + 18 + s.rows() * ROW;
    pen.text(view.seen(), left, pen.y() - tall, 8, false, SheetPen.QUIET);
    return tall + 8;
  }

  private boolean beside(float x, float y) {
    return pinned.stream().anyMatch(p -> Math.hypot(p[0] - x, p[1] - y) < 2 * PIN - 0.1);
  }

  private int rows() {
    return d.dimensions().stream()
        .filter(x -> x.side() == Side.BELOW)
        .mapToInt(Dimension::row)
        .max()
        .orElse(0);
  }

  private void shapes() throws IOException {
    for (SectionDrawing.Shape shape : d.shapes()) {
      List<float[]> rings = new ArrayList<>();
      for (double[] ring : shape.rings()) {
        float[] points = new float[ring.length];
        for (int i = 0; i < ring.length; i += 2) {
          points[i] = x0 + (float) ring[i] * scale;
          points[i + 1] = y0 + (float) ring[i + 1] * scale;
        }
        rings.add(points);
      }
      shape(shape.role(), rings);
    }
    float base = y0 + (float) d.bottom() * scale;
    float side = x0 + (float) d.left() * scale;
    for (Dimension dim : d.dimensions()) {
      dimension(dim, base, side);
    }
  }

  private void pin(int number, Caution caution) throws IOException {
    Place place = caution.place();
    if (place == null) {
      return;
    }
    float x = x0 + (float) (d.cut() == Cut.SIDE ? place.y() : place.x()) * scale;
    float y = y0 + (float) (d.cut() == Cut.TOP ? place.y() : place.z()) * scale;
    // of two at one place both are to be read
    while (beside(x, y)) {
      x += 2 * PIN;
    }
    pinned.add(new float[] {x, y});
    pen.disc(x, y, PIN, SheetPen.PAPER, SheetPen.CLAY);
    pen.centred(String.valueOf(number), x, y - 3, 8, true, SheetPen.CLAY);
  }

  private void shape(SectionDrawing.Role role, List<float[]> rings) throws IOException {
    switch (role) {
      case RUBBER -> pen.polygon(rings, SheetPen.RUBBER, null);
      case PLATE, WALL, RISER -> pen.polygon(rings, WALL, SheetPen.INK);
      case MASTER -> {
        pen.polygon(rings, MASTER, null);
        pen.hatch(rings, SheetPen.QUIET);
        pen.polygon(rings, null, SheetPen.INK);
      }
      case ENVELOPE -> pen.polygon(rings, MASTER, SheetPen.QUIET);
      case OUTLINE, AIR, CAST_AIR -> pen.polygon(rings, null, SheetPen.QUIET);
      case JACKET -> pen.polygon(rings, WALL, SheetPen.INK);
      case DETAIL_COAT, BUILD_COAT, SMOOTHING_COAT ->
          pen.polygon(rings, SheetPen.RUBBER, SheetPen.INK);
      case PLUG -> pen.polygon(rings, SheetPen.CLAY, SheetPen.INK);
      case KEY, SPRUE, CORE, CLOTH, LABEL -> pen.polygon(rings, null, SheetPen.INK);
      case POUR_LINE, GAP -> lines(rings, 1, SheetPen.CLAY);
      case PARTING, CUT_LINE -> lines(rings, 1.6f, SheetPen.INK);
    }
  }

  private void lines(List<float[]> all, float thick, Color colour) throws IOException {
    for (float[] line : all) {
      for (int i = 2; i < line.length; i += 2) {
        pen.rule(line[i - 2], line[i - 1], line[i], line[i + 1], thick, colour);
      }
    }
  }

  private void dimension(Dimension dim, float base, float side) throws IOException {
    boolean below = dim.side() == Side.BELOW;
    float a = (below ? x0 : y0) + (float) dim.from() * scale;
    float b = (below ? x0 : y0) + (float) dim.to() * scale;
    float out = (below ? base : side) - 12 - 18 * (dim.row() - 1);
    if (below) {
      pen.rule(a, out, b, out, 0.6f, SheetPen.INK);
      pen.rule(a, out - 3, a, out + 3, 0.6f, SheetPen.INK);
      pen.rule(b, out - 3, b, out + 3, 0.6f, SheetPen.INK);
      pen.centred(dim.text(), (a + b) / 2, out - 9, 8, false, SheetPen.INK);
    } else {
      float at = side - 10 - 34 * (dim.row() - 1);
      pen.rule(at, a, at, b, 0.6f, SheetPen.INK);
      pen.rule(at - 3, a, at + 3, a, 0.6f, SheetPen.INK);
      pen.rule(at - 3, b, at + 3, b, 0.6f, SheetPen.INK);
      float wide = pen.widthOf(dim.text(), 8, false);
      pen.text(dim.text(), at - 5 - wide, (a + b) / 2 - 3, 8, false, SheetPen.INK);
    }
  }
}
