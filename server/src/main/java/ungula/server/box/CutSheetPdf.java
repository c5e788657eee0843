package ungula.server.box;

import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import ungula.core.cutlist.CutSheet;
import ungula.core.cutlist.CutSheet.Layer;
import ungula.server.sheet.Typeface;

/** A cut sheet as a page of its own size, at 1:1. */
final class CutSheetPdf {

  private static final float POINTS_PER_MM = 72 / 25.4f;
  private static final Color INK = new Color(0x1d2a36);
  private static final Color CLAY = new Color(0xa3451f);

  private CutSheetPdf() {}

  static byte[] of(CutSheet sheet) throws IOException {
    try (PDDocument document = new PDDocument()) {
      PDFont font = Typeface.REGULAR.in(document);
      PDPage page =
          new PDPage(
              new PDRectangle(
                  (float) sheet.widthMm() * POINTS_PER_MM,
                  (float) sheet.heightMm() * POINTS_PER_MM));
      document.addPage(page);
      try (PDPageContentStream out = new PDPageContentStream(document, page)) {
        for (CutSheet.Line line : sheet.lines()) {
          draw(line, out);
        }
        out.setNonStrokingColor(INK);
        for (CutSheet.Text t : sheet.texts()) {
          out.beginText();
          out.setFont(font, (float) t.heightMm() * POINTS_PER_MM);
          out.newLineAtOffset((float) t.x() * POINTS_PER_MM, (float) t.y() * POINTS_PER_MM);
          out.showText(t.text().replace('\u202f', ' '));
          out.endText();
        }
      }
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      document.save(bytes);
      return bytes.toByteArray();
    }
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
