package ungula.server.sheet;

import java.awt.Color;
import java.io.IOException;
import java.io.OutputStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import ungula.core.castlabel.CastLabel;
import ungula.core.workshop.Workshop;

/**
 * A cast-in label at its true size: as it is made, mirrored, and as it reads in the rubber. On a
 * larger page than the workshop's where it does not fit that.
 */
final class CastLabelPaper {

  private static final float MM = 72 / 25.4f;
  private static final float EDGE = 15 * MM;
  private static final float SMALL = 9;

  /** To be measured on paper: a printer that scales shows. */
  private static final int RULE_MM = 100;

  private final Writing writing;
  private final PDPageContentStream out;
  private float y;

  private CastLabelPaper(Writing writing, PDPageContentStream out, float top) {
    this.writing = writing;
    this.out = out;
    y = top;
  }

  static void write(
      String job, String where, CastLabel label, Workshop.Paper paper, OutputStream to)
      throws IOException {
    PDRectangle usual = paper == Workshop.Paper.A4 ? PDRectangle.A4 : PDRectangle.LETTER;
    float wide = Math.max(usual.getWidth(), (float) label.widthMm() * MM + 2 * EDGE);
    float high = Math.max(usual.getHeight(), 2 * (float) label.heightMm() * MM + 8 * EDGE);
    try (PDDocument document = new PDDocument()) {
      PDPage page = new PDPage(new PDRectangle(wide, high));
      document.addPage(page);
      Writing writing = new Writing(document);
      try (PDPageContentStream out = new PDPageContentStream(document, page)) {
        CastLabelPaper p = new CastLabelPaper(writing, out, high - EDGE);
        p.say("Label cast into the mould of " + job, 14, true);
        p.say("It is set " + where + ".", SMALL, false);
        p.say("As it is made: black stands out, mirrored", SMALL, true);
        p.draw(label, -1);
        p.say("As it reads in the rubber", SMALL, true);
        p.draw(label, 1);
        p.rule();
      }
      document.save(to);
    }
  }

  private void say(String text, float size, boolean heavy) throws IOException {
    y -= 1.6f * size;
    out.setNonStrokingColor(Color.BLACK);
    out.beginText();
    out.setFont(writing.font(heavy), size);
    out.newLineAtOffset(EDGE, y);
    out.showText(writing.writable(text));
    out.endText();
  }

  /**
   * @param sense 1 as it reads, -1 mirrored
   */
  private void draw(CastLabel label, int sense) throws IOException {
    float high = (float) label.heightMm() * MM;
    float middleX = EDGE + (float) label.widthMm() * MM / 2;
    float middleY = y - 4 * MM - high / 2;
    out.setStrokingColor(Color.BLACK);
    out.setLineWidth(0.4f);
    ring(label.outline(), sense, middleX, middleY);
    out.stroke();
    for (double[] ring : label.rings()) {
      ring(ring, sense, middleX, middleY);
    }
    out.fillEvenOdd();
    y -= high + 8 * MM;
  }

  private void ring(double[] ring, int sense, float x, float up) throws IOException {
    for (int i = 0; i < ring.length; i += 2) {
      float px = x + sense * (float) ring[i] * MM;
      float py = up + (float) ring[i + 1] * MM;
      if (i == 0) {
        out.moveTo(px, py);
      } else {
        out.lineTo(px, py);
      }
    }
    out.closePath();
  }

  private void rule() throws IOException {
    say("1 : 1. This line is " + RULE_MM + " mm long: measure it before you cut.", SMALL, false);
    y -= 3 * MM;
    out.moveTo(EDGE, y);
    out.lineTo(EDGE + RULE_MM * MM, y);
    for (int end = 0; end <= RULE_MM; end += RULE_MM) {
      out.moveTo(EDGE + end * MM, y - MM);
      out.lineTo(EDGE + end * MM, y + MM);
    }
    out.stroke();
  }
}
