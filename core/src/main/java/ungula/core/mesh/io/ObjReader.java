package ungula.core.mesh.io;

import java.io.IOException;
import java.util.Arrays;
import java.util.regex.Pattern;

/** OBJ: vertices and faces; everything else is passed over. The format has no unit. */
final class ObjReader {

  private static final Pattern LINE =
      Pattern.compile("(?m)^\\s*(v|vn|vt|f|o|g|mtllib|usemtl|s)\\s+\\S");

  private ObjReader() {}

  static boolean looksLike(String head) {
    return LINE.matcher(head).find();
  }

  static Model read(ByteSource in) throws IOException, ModelUnreadable {
    Polygons polygons = new Polygons((int) Math.min(in.size() / 60, ModelReader.MAX_TRIANGLES), in);
    TextScanner text = new TextScanner(in);
    int[] face = new int[16];
    while (text.next()) {
      if (text.is("v")) {
        double x = onLine(text);
        double y = onLine(text);
        double z = onLine(text);
        polygons.vertex(x, y, z);
        text.skipLine();
      } else if (text.is("f")) {
        long line = text.line();
        int n = 0;
        while (text.nextOnLine()) {
          if (text.is("\\")) {
            text.skipLine();
            continue;
          }
          if (text.startsWith('#')) {
            break;
          }
          if (n == Polygons.MOST_CORNERS) {
            throw new ModelUnreadable(
                "Line "
                    + line
                    + ": a face has more than "
                    + n
                    + " corners. Cut it into triangles.");
          }
          if (n == face.length) {
            face = Arrays.copyOf(face, 2 * n);
          }
          face[n++] = index(text, polygons.vertexCount());
        }
        if (n < 3) {
          throw new ModelUnreadable("Line " + line + ": a face has " + n + " corners.");
        }
        polygons.face(face, n, "Line " + line + ": a face");
        text.skipLine();
      } else {
        text.skipLine();
      }
    }
    var b = polygons.builder();
    return new Model(ModelReader.built(b), ModelFormat.OBJ, null, b.collapsed());
  }

  private static double onLine(TextScanner text) throws IOException, ModelUnreadable {
    if (!text.nextOnLine()) {
      throw new ModelUnreadable(
          "Line "
              + text.line()
              + ": a vertex has fewer than 3 coordinates. The file is damaged or"
              + " cut off; export it again.");
    }
    return text.finite();
  }

  /** From 1 up, or from −1 down counting back from the vertices read so far. */
  private static int index(TextScanner text, int vertices) throws ModelUnreadable {
    String word = text.word();
    int slash = word.indexOf('/');
    try {
      int i = Integer.parseInt(slash < 0 ? word : word.substring(0, slash));
      if (i != 0) {
        return i > 0 ? i - 1 : vertices + i;
      }
    } catch (NumberFormatException e) {
      // falls through to the same message: the word is shown as it stands
    }
    throw new ModelUnreadable("Line " + text.line() + ": “" + word + "” is not a vertex number.");
  }
}
