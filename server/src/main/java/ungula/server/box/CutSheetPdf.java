package ungula.server.box;

import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.util.Matrix;
import ungula.core.cutlist.CutSheet;
import ungula.core.cutlist.CutSheet.Layer;
import ungula.core.cutlist.Tiles;
import ungula.core.workshop.Workshop;
import ungula.server.sheet.Typeface;

/** A cut sheet at 1:1: as one page of its own size, or over pages of paper to be glued together. */
final class CutSheetPdf {

  private static final float POINTS_PER_MM = 72 / 25.4f;
  private static final Color INK = new Color(0x1d2a36);
  private static final Color CLAY = new Color(0xa3451f);

  /** Left free round a page: printers reach no further. */
  private static final double MARGIN_MM = 10;

  private static final double OVERLAP_MM = 10;

  /** Under a page's lines, for its name. */
  private static final double FOOT_MM = 8;

  private CutSheetPdf() {}

  static byte[] of(CutSheet sheet) throws IOException {
    try (PDDocument document = new PDDocument()) {
      PDRectangle whole = new PDRectangle(points(sheet.widthMm()), points(sheet.heightMm()));
      PDFont font = Typeface.REGULAR.in(document);
      try (PDPageContentStream out = page(document, whole)) {
        draw(sheet, font, out);
      }
      return bytes(document);
    }
  }

  /** On the workshop's paper, neighbours overlapping, with marks to lay them on each other by. */
  static byte[] tiled(CutSheet sheet, Workshop.Paper paper) throws IOException {
    PDRectangle size = paper == Workshop.Paper.A4 ? PDRectangle.A4 : PDRectangle.LETTER;
    Tiles tiles =
        Tiles.of(
            sheet,
            size.getWidth() / POINTS_PER_MM - 2 * MARGIN_MM,
            size.getHeight() / POINTS_PER_MM - 2 * MARGIN_MM - FOOT_MM,
            OVERLAP_MM);
    try (PDDocument document = new PDDocument()) {
      PDFont font = Typeface.REGULAR.in(document);
      for (Tiles.Page tile : tiles.pages()) {
        try (PDPageContentStream out = page(document, size)) {
          out.saveGraphicsState();
          float x0 = points(MARGIN_MM);
          float y0 = points(MARGIN_MM + FOOT_MM);
          out.addRect(x0, y0, points(tiles.widthMm()), points(tiles.heightMm()));
          out.clip();
          out.transform(Matrix.getTranslateInstance(x0 - points(tile.x()), y0 - points(tile.y())));
          draw(sheet, font, out);
          out.restoreGraphicsState();
          marks(tiles, tile, font, out);
        }
      }
      return bytes(document);
    }
  }

  private static PDPageContentStream page(PDDocument document, PDRectangle size)
      throws IOException {
    PDPage page = new PDPage(size);
    document.addPage(page);
    return new PDPageContentStream(document, page);
  }

  private static byte[] bytes(PDDocument document) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    document.save(bytes);
    return bytes.toByteArray();
  }

  private static float points(double mm) {
    return (float) mm * POINTS_PER_MM;
  }

  private static void draw(CutSheet sheet, PDFont font, PDPageContentStream out)
      throws IOException {
    for (CutSheet.Line line : sheet.lines()) {
      draw(line, out);
    }
    for (CutSheet.Text t : sheet.texts()) {
      write(t.text(), t.x(), t.y(), t.heightMm(), font, out);
    }
  }

  private static void write(
      String text, double x, double y, double heightMm, PDFont font, PDPageContentStream out)
      throws IOException {
    out.setNonStrokingColor(INK);
    out.beginText();
    out.setFont(font, points(heightMm));
    out.newLineAtOffset(points(x), points(y));
    out.showText(text.replace('\u202f', ' '));
    out.endText();
  }

  /** Crosses where neighbours meet, the length to check by, and which page it is. */
  private static void marks(Tiles tiles, Tiles.Page tile, PDFont font, PDPageContentStream out)
      throws IOException {
    out.setStrokingColor(CLAY);
    out.setLineWidth(points(0.15));
    out.setLineDashPattern(new float[0], 0);
    double half = tiles.overlapMm() / 2;
    for (double x : new double[] {half, tiles.widthMm() - half}) {
      for (double y : new double[] {half, tiles.heightMm() - half}) {
        line(MARGIN_MM + x - half, MARGIN_MM + FOOT_MM + y, 2 * half, 0, out);
        line(MARGIN_MM + x, MARGIN_MM + FOOT_MM + y - half, 0, 2 * half, out);
      }
    }
    line(MARGIN_MM, MARGIN_MM + 1, CutSheet.CHECK_MM, 0, out);
    write(
        "100 mm · page "
            + tile.name()
            + " of "
            + tiles.columns()
            + " × "
            + tiles.rows()
            + ": letters go to the right, numbers up. Lay the crosses of neighbours on each other.",
        MARGIN_MM,
        MARGIN_MM + 2.5,
        3,
        font,
        out);
  }

  private static void line(double x, double y, double dx, double dy, PDPageContentStream out)
      throws IOException {
    out.moveTo(points(x), points(y));
    out.lineTo(points(x + dx), points(y + dy));
    out.stroke();
  }

  private static void draw(CutSheet.Line line, PDPageContentStream out) throws IOException {
    out.setStrokingColor(line.layer() == Layer.SCORE ? CLAY : INK);
    out.setLineWidth(0.2f * POINTS_PER_MM);
    out.setLineDashPattern(line.layer() == Layer.SCORE ? new float[] {6, 3} : new float[0], 0);
    double[] p = line.points();
    out.moveTo((float) p[0] * POINTS_PER_MM, (float) p[1] * POINTS_PER_MM);
    for (int i = 2; i < p.length; i += 2) {
      out.lineTo((float) p[i] * POINTS_PER_MM, (float) p[i + 1] * POINTS_PER_MM);
    }
    if (line.closed()) {
      out.closePath();
    }
    out.stroke();
  }
}
