package ungula.server.sheet;

import java.io.IOException;
import java.io.InputStream;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** The shipped typeface, put into papers so that their text can be searched and copied. */
public enum Typeface {
  REGULAR("Archivo-Regular.ttf"),
  BOLD("Archivo-Bold.ttf");

  private final String file;

  Typeface(String file) {
    this.file = file;
  }

  /** As far as it is used in a document. */
  public PDFont in(PDDocument document) throws IOException {
    try (InputStream in = Typeface.class.getResourceAsStream("/fonts/" + file)) {
      TrueTypeFont font = new TTFParser().parse(new RandomAccessReadBuffer(in));
      // a ligature's glyph stands for no letters: fi, ff and fl would be lost to a search
      font.setEnableGsub(false);
      return PDType0Font.load(document, font, true);
    }
  }
}
