package ungula.server.sheet;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;

/** The shipped typeface in one document: how wide its lines are, and where they break. */
final class Writing {

  private final PDFont regular;
  private final PDFont bold;

  Writing(PDDocument document) throws IOException {
    regular = Typeface.REGULAR.in(document);
    bold = Typeface.BOLD.in(document);
  }

  PDFont font(boolean heavy) {
    return heavy ? bold : regular;
  }

  float widthOf(String s, float size, boolean heavy) throws IOException {
    return font(heavy).getStringWidth(writable(s)) / 1000 * size;
  }

  List<String> wrapped(String s, float size, boolean heavy, float within) throws IOException {
    List<String> lines = new ArrayList<>();
    StringBuilder at = new StringBuilder();
    for (String word : s.split(" ")) {
      String longer = at.isEmpty() ? word : at + " " + word;
      if (!at.isEmpty() && widthOf(longer, size, heavy) > within) {
        lines.add(at.toString());
        at = new StringBuilder(word);
      } else {
        at = new StringBuilder(longer);
      }
    }
    lines.add(at.toString());
    return lines;
  }

  /** What the font can show: narrow spaces become plain ones, unknown signs a question mark. */
  String writable(String s) {
    StringBuilder clean = new StringBuilder(s.length());
    s.codePoints()
        .map(c -> c == '\u202f' || c == '\u00a0' || c == '\n' || c == '\t' ? ' ' : c)
        .forEach(
            c -> {
              String one = Character.toString(c);
              try {
                regular.encode(one);
                bold.encode(one);
                clean.append(one);
              } catch (IllegalArgumentException | IOException e) {
                clean.append('?');
              }
            });
    return clean.toString();
  }
}
