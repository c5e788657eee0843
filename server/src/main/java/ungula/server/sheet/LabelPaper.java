package ungula.server.sheet;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.awt.Color;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import ungula.core.library.Label;
import ungula.core.workshop.Workshop;

/**
 * Labels of 62 × 29 mm: each on a page of its own for a label printer, or many on a sheet to be
 * cut. Black on white alone, so that a thermal printer prints it as it is.
 */
public final class LabelPaper {

  private static final float MM = 72 / 25.4f;

  private static final float WIDTH = 62 * MM;
  private static final float HEIGHT = 29 * MM;

  /** Of the square code, with the white round it. */
  private static final float SQUARE = 27 * MM;

  private static final float EDGE = 1.5f * MM;

  private static final float SMALL = 6;

  private final Writing writing;

  private LabelPaper(PDDocument document) throws IOException {
    writing = new Writing(document);
  }

  /** A page for each. */
  public static void rolls(List<Label> labels, OutputStream to) throws IOException {
    try (PDDocument document = new PDDocument()) {
      LabelPaper paper = new LabelPaper(document);
      for (Label label : labels) {
        PDPage page = new PDPage(new PDRectangle(WIDTH, HEIGHT));
        document.addPage(page);
        try (PDPageContentStream out = new PDPageContentStream(document, page)) {
          paper.draw(label, out, 0, 0);
        }
      }
      document.save(to);
    }
  }

  /** As many on a page as there is room for, with lines to cut along. */
  public static void sheets(List<Label> labels, Workshop.Paper size, OutputStream to)
      throws IOException {
    PDRectangle sheet = size == Workshop.Paper.A4 ? PDRectangle.A4 : PDRectangle.LETTER;
    int across = (int) (sheet.getWidth() / WIDTH);
    int down = (int) ((sheet.getHeight() - 10 * MM) / HEIGHT);
    float left = (sheet.getWidth() - across * WIDTH) / 2;
    float top = sheet.getHeight() - (sheet.getHeight() - down * HEIGHT) / 2;
    try (PDDocument document = new PDDocument()) {
      LabelPaper paper = new LabelPaper(document);
      for (int from = 0; from < labels.size(); from += across * down) {
        PDPage page = new PDPage(sheet);
        document.addPage(page);
        try (PDPageContentStream out = new PDPageContentStream(document, page)) {
          int many = Math.min(across * down, labels.size() - from);
          for (int i = 0; i < many; i++) {
            float x = left + i % across * WIDTH;
            float y = top - (i / across + 1) * HEIGHT;
            paper.draw(labels.get(from + i), out, x, y);
            out.setStrokingColor(Color.GRAY);
            out.setLineWidth(0.2f);
            out.addRect(x, y, WIDTH, HEIGHT);
            out.stroke();
          }
        }
      }
      document.save(to);
    }
  }

  private void draw(Label label, PDPageContentStream out, float x, float y) throws IOException {
    out.setNonStrokingColor(Color.BLACK);
    square(label.link(), out, x + (HEIGHT - SQUARE) / 2, y + (HEIGHT - SQUARE) / 2);
    Column column = new Column(out, x + HEIGHT - EDGE, y + HEIGHT - EDGE, y + EDGE);
    column.write(label.of(), 8.5f, true);
    column.write(label.code(), 14, true);
    column.down(2);
    if (!label.part().isEmpty()) {
      column.write(label.part(), 7, true);
    }
    for (String told : label.lines()) {
      column.write(told, SMALL, false);
    }
  }

  /** Beside the square code, from the top as far as there is room. */
  private final class Column {
    private final PDPageContentStream out;
    private final float x;
    private final float bottom;
    private float y;

    Column(PDPageContentStream out, float x, float top, float bottom) {
      this.out = out;
      this.x = x;
      this.y = top;
      this.bottom = bottom;
    }

    void write(String told, float size, boolean heavy) throws IOException {
      for (String line : cut(told, size, heavy)) {
        if (y - 1.1f * size < bottom) {
          return;
        }
        y -= 1.1f * size;
        out.beginText();
        out.setFont(writing.font(heavy), size);
        out.newLineAtOffset(x, y);
        out.showText(writing.writable(line));
        out.endText();
      }
    }

    void down(float points) {
      y -= points;
    }

    /** In two lines at most: the second ends in dots where some is left out. */
    private List<String> cut(String told, float size, boolean heavy) throws IOException {
      List<String> lines = writing.wrapped(told, size, heavy, WIDTH - HEIGHT);
      return lines.size() <= 2 ? lines : List.of(lines.get(0), lines.get(1) + "\u2026");
    }
  }

  /** A square code (QR, error correction M) with four modules of white round it, in one path. */
  private static void square(String text, PDPageContentStream out, float x, float y)
      throws IOException {
    BitMatrix code;
    try {
      code =
          new QRCodeWriter()
              .encode(
                  text,
                  BarcodeFormat.QR_CODE,
                  0,
                  0,
                  Map.of(
                      EncodeHintType.ERROR_CORRECTION,
                      ErrorCorrectionLevel.M,
                      EncodeHintType.MARGIN,
                      4));
    } catch (WriterException e) {
      throw new IllegalStateException("An address of 80 characters fits into any code", e);
    }
    float module = SQUARE / code.getWidth();
    for (int row = 0; row < code.getHeight(); row++) {
      for (int from = 0; from < code.getWidth(); from++) {
        int to = from;
        while (to < code.getWidth() && code.get(to, row)) {
          to++;
        }
        if (to > from) {
          float top = y + SQUARE - row * module;
          out.addRect(x + from * module, top - module, (to - from) * module, module);
          from = to;
        }
      }
    }
    out.fill();
  }
}
