package ungula.server.sheet;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import ungula.core.workshop.Workshop;

/**
 * Writes down a sheet of paper from the top: text that wraps and goes on to the next page, rules,
 * pictures and polygons. Points, with the origin at the page's lower left.
 */
final class SheetPen implements AutoCloseable {

  static final Color INK = new Color(0x1d2a36);
  static final Color QUIET = new Color(0x5f6b72);
  static final Color CLAY = new Color(0xb5532a);
  static final Color PAPER = new Color(0xfffdf8);
  static final Color RUBBER = new Color(0xcfe1e3);
  private static final float MARGIN = 42;

  /** Between two columns. */
  private static final float GUTTER = 18;

  private final PDDocument document = new PDDocument();
  private final PDRectangle paper;
  private final Writing writing;
  private final String footer;
  private PDPageContentStream out;
  private float y;
  private int pages;

  SheetPen(Workshop.Paper paper, String footer) throws IOException {
    this.paper = paper == Workshop.Paper.A4 ? PDRectangle.A4 : PDRectangle.LETTER;
    this.footer = footer;
    writing = new Writing(document);
    newPage();
  }

  void newPage() throws IOException {
    if (out != null) {
      out.close();
    }
    PDPage page = new PDPage(paper);
    document.addPage(page);
    out = new PDPageContentStream(document, page);
    pages++;
    y = paper.getHeight() - MARGIN;
    text(footer + " · " + pages, MARGIN, MARGIN - 18, 8, false, QUIET);
  }

  float left() {
    return MARGIN;
  }

  float width() {
    return paper.getWidth() - 2 * MARGIN;
  }

  /** Where the next line goes. */
  float y() {
    return y;
  }

  void down(float points) {
    y -= points;
  }

  void room(float points) throws IOException {
    if (y - points < MARGIN) {
      newPage();
    }
  }

  void text(String s, float x, float atY, float size, boolean heavy, Color colour)
      throws IOException {
    out.beginText();
    out.setNonStrokingColor(colour);
    out.setFont(writing.font(heavy), size);
    out.newLineAtOffset(x, atY);
    out.showText(writing.writable(s));
    out.endText();
  }

  void centred(String s, float x, float atY, float size, boolean heavy, Color colour)
      throws IOException {
    text(s, x - widthOf(s, size, heavy) / 2, atY, size, heavy, colour);
  }

  float widthOf(String s, float size, boolean heavy) throws IOException {
    return writing.widthOf(s, size, heavy);
  }

  /** One line of the page's flow. */
  void line(String s, float size, boolean heavy, Color colour) throws IOException {
    for (String part : wrapped(s, size, heavy, width())) {
      room(size * 1.4f);
      y -= size * 1.15f;
      text(part, MARGIN, y, size, heavy, colour);
      y -= size * 0.25f;
    }
  }

  List<String> wrapped(String s, float size, boolean heavy, float within) throws IOException {
    return writing.wrapped(s, size, heavy, within);
  }

  /**
   * Text that goes on from one column to the next.
   *
   * @param above room over it
   * @param heading stays with what follows
   */
  record Para(String text, float size, boolean heavy, Color colour, float above, boolean heading) {}

  /** Writes in two columns of about one height, on as many pages as it takes. */
  void inColumns(List<Para> all) throws IOException {
    float wide = (width() - GUTTER) / 2;
    int at = 0;
    while (at < all.size()) {
      float free = y - MARGIN;
      float rest = 0;
      for (Para p : all.subList(at, all.size())) {
        rest += height(p, wide);
      }
      float half = Math.min(free, Math.max(rest / 2 + 8, kept(all, at, wide) + 1));
      float top = y;
      float lowest = y;
      for (int column = 0; column < 2; column++) {
        y = top;
        float room = column == 0 ? half : free;
        while (at < all.size() && top - y + kept(all, at, wide) <= room) {
          write(all.get(at++), MARGIN + column * (wide + GUTTER), wide);
        }
        lowest = Math.min(lowest, y);
      }
      y = lowest;
      if (at < all.size()) {
        newPage();
      }
    }
  }

  /** What has to find room for a paragraph to begin: a heading with what it stands over. */
  private float kept(List<Para> all, int at, float wide) throws IOException {
    Para p = all.get(at);
    boolean alone = !p.heading || at + 1 == all.size();
    return height(p, wide) + (alone ? 0 : height(all.get(at + 1), wide));
  }

  private float height(Para p, float wide) throws IOException {
    return p.above + wrapped(p.text, p.size, p.heavy, wide).size() * p.size * 1.3f;
  }

  private void write(Para p, float x, float wide) throws IOException {
    y -= p.above;
    for (String line : wrapped(p.text, p.size, p.heavy, wide)) {
      y -= p.size * 1.15f;
      text(line, x, y, p.size, p.heavy, p.colour);
      y -= p.size * 0.15f;
    }
  }

  /** A box to tick. */
  void box(float x, float atY, float side) throws IOException {
    polygon(
        List.of(new float[] {x, atY, x + side, atY, x + side, atY + side, x, atY + side}),
        null,
        INK);
  }

  void disc(float x, float atY, float radius, Color fill, Color stroke) throws IOException {
    float[] ring = new float[48];
    for (int i = 0; i < ring.length; i += 2) {
      ring[i] = x + radius * (float) Math.cos(2 * Math.PI * i / ring.length);
      ring[i + 1] = atY + radius * (float) Math.sin(2 * Math.PI * i / ring.length);
    }
    polygon(List.of(ring), fill, stroke);
  }

  void rule(float x0, float y0, float x1, float y1, float thick, Color colour) throws IOException {
    out.setStrokingColor(colour);
    out.setLineWidth(thick);
    out.moveTo(x0, y0);
    out.lineTo(x1, y1);
    out.stroke();
  }

  /**
   * @param rings x, y pairs in points; even-odd
   * @param fill null for none
   * @param stroke null for none
   */
  void polygon(List<float[]> rings, Color fill, Color stroke) throws IOException {
    for (int pass = 0; pass < 2; pass++) {
      Color colour = pass == 0 ? fill : stroke;
      if (colour == null) {
        continue;
      }
      for (float[] ring : rings) {
        out.moveTo(ring[0], ring[1]);
        for (int i = 2; i < ring.length; i += 2) {
          out.lineTo(ring[i], ring[i + 1]);
        }
        out.closePath();
      }
      if (pass == 0) {
        out.setNonStrokingColor(colour);
        out.fillEvenOdd();
      } else {
        out.setStrokingColor(colour);
        out.setLineWidth(0.7f);
        out.stroke();
      }
    }
  }

  /** Slanting lines inside rings, as solid matter is drawn in section. */
  void hatch(List<float[]> rings, Color colour) throws IOException {
    float x0 = Float.MAX_VALUE;
    float y0 = Float.MAX_VALUE;
    float x1 = -Float.MAX_VALUE;
    float y1 = -Float.MAX_VALUE;
    out.saveGraphicsState();
    for (float[] ring : rings) {
      out.moveTo(ring[0], ring[1]);
      for (int i = 0; i < ring.length; i += 2) {
        out.lineTo(ring[i], ring[i + 1]);
        x0 = Math.min(x0, ring[i]);
        x1 = Math.max(x1, ring[i]);
        y0 = Math.min(y0, ring[i + 1]);
        y1 = Math.max(y1, ring[i + 1]);
      }
      out.closePath();
    }
    out.clipEvenOdd();
    for (float x = x0 - (y1 - y0); x < x1; x += 5) {
      rule(x, y0, x + (y1 - y0), y1, 0.35f, colour);
    }
    out.restoreGraphicsState();
  }

  void picture(BufferedImage image, float x, float atY, float width, float height) {
    try {
      out.drawImage(LosslessFactory.createFromImage(document, image), x, atY, width, height);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  void save(OutputStream to) throws IOException {
    out.close();
    out = null;
    document.save(to);
  }

  @Override
  public void close() throws IOException {
    if (out != null) {
      out.close();
    }
    document.close();
  }
}
