package ungula.core.mesh.io;

import java.io.IOException;
import java.util.Arrays;
import java.util.regex.Pattern;

/** OFF, with colours and normals passed over. The format has no unit. */
final class OffReader {

  static final Pattern HEADER = Pattern.compile("(ST)?C?N?OFF\\b");

  private OffReader() {}

  static Model read(ByteSource in) throws IOException, ModelUnreadable {
    TextScanner text = new TextScanner(in);
    text.next();
    long vertices = count(text, "vertices");
    long faces = count(text, "faces");
    count(text, "edges");
    ModelReader.checkCount(faces);
    // a vertex takes at least "0 0 0\n", a face at least "3 0 1 2\n"
    if (vertices > in.size() / 6 || 6 * vertices + 8 * faces > in.size() + 2) {
      throw new ModelUnreadable(
          "The file says it holds "
              + vertices
              + " vertices and "
              + faces
              + " faces, more than fit into it. It is cut off; copy or export it again.");
    }
    Polygons polygons = new Polygons((int) faces, in);
    for (long v = 0; v < vertices; v++) {
      nextData(text, "the vertices");
      double x = text.finite();
      double y = text.nextNumber("the vertices");
      double z = text.nextNumber("the vertices");
      polygons.vertex(x, y, z);
      text.skipLine();
    }
    int[] face = new int[16];
    for (long f = 0; f < faces; f++) {
      nextData(text, "the faces");
      long n = text.whole();
      if (n < 1 || n > Polygons.MOST_CORNERS) {
        throw new ModelUnreadable("Line " + text.line() + ": a face of " + n + " corners.");
      }
      if (n > face.length) {
        face = Arrays.copyOf(face, (int) n);
      }
      for (int i = 0; i < n; i++) {
        double corner = text.nextNumber("the faces");
        face[i] = corner >= 0 && corner < Integer.MAX_VALUE ? (int) corner : -1;
      }
      polygons.face(face, (int) n, "Line " + text.line() + ": a face");
      text.skipLine();
    }
    var b = polygons.builder();
    return new Model(ModelReader.built(b), ModelFormat.OFF, null, b.collapsed());
  }

  private static long count(TextScanner text, String what) throws IOException, ModelUnreadable {
    nextData(text, "its header");
    long n = text.whole();
    if (n < 0) {
      throw new ModelUnreadable("Line " + text.line() + ": " + n + " " + what + ".");
    }
    return n;
  }

  private static void nextData(TextScanner text, String what) throws IOException, ModelUnreadable {
    do {
      if (!text.next()) {
        throw text.cutOff(what);
      }
      if (!text.startsWith('#')) {
        return;
      }
      text.skipLine();
    } while (true);
  }
}
