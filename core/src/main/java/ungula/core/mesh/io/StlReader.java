package ungula.core.mesh.io;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import ungula.core.mesh.TriangleMesh;

/** STL, text and binary. The format has no unit. */
final class StlReader {

  private StlReader() {}

  /** The triangle count a binary header states. */
  static long countIn(byte[] head) {
    return ByteBuffer.wrap(head).order(ByteOrder.LITTLE_ENDIAN).getInt(80) & 0xffffffffL;
  }

  static Model binary(ByteSource in) throws IOException, ModelUnreadable {
    in.order(ByteOrder.LITTLE_ENDIAN);
    ByteBuffer block = in.need(84);
    long count = block.getInt(block.position() + 80) & 0xffffffffL;
    long room = (in.size() - 84) / 50;
    if (count > room) {
      throw new ModelUnreadable(
          "The file says it holds "
              + count
              + " triangles but has room for "
              + room
              + ". It is cut off or its header is wrong; copy or export it again.");
    }
    ModelReader.checkCount(count);
    if (count == 0) {
      throw new ModelUnreadable("The file holds no triangles. Export the model again.");
    }
    block.position(block.position() + 84);
    TriangleMesh.Builder b = new TriangleMesh.Builder((int) count);
    for (long t = 0; t < count; t++) {
      block = in.need(50);
      int at = block.position();
      int v0 = vertex(b, block, at + 12, t);
      int v1 = vertex(b, block, at + 24, t);
      int v2 = vertex(b, block, at + 36, t);
      b.triangle(v0, v1, v2);
      block.position(at + 50);
    }
    return new Model(ModelReader.built(b), ModelFormat.STL_BINARY, null, b.collapsed());
  }

  private static int vertex(TriangleMesh.Builder b, ByteBuffer block, int at, long triangle)
      throws ModelUnreadable {
    float x = block.getFloat(at);
    float y = block.getFloat(at + 4);
    float z = block.getFloat(at + 8);
    if (!Float.isFinite(x + y + z)
        && !(Float.isFinite(x) && Float.isFinite(y) && Float.isFinite(z))) {
      throw new ModelUnreadable(
          "Triangle "
              + (triangle + 1)
              + " has a corner that is not a finite number. Export the"
              + " model again.");
    }
    return b.vertex(x, y, z);
  }

  static Model ascii(ByteSource in) throws IOException, ModelUnreadable {
    TriangleMesh.Builder b =
        new TriangleMesh.Builder((int) Math.min(in.size() / 200, ModelReader.MAX_TRIANGLES));
    TextScanner text = new TextScanner(in);
    int[] v = new int[3];
    int corner = 0;
    boolean inSolid = false;
    while (text.next()) {
      if (text.is("vertex")) {
        if (corner == 3) {
          throw new ModelUnreadable("Line " + text.line() + ": a facet has more than 3 corners.");
        }
        double x = text.nextNumber("a corner");
        double y = text.nextNumber("a corner");
        double z = text.nextNumber("a corner");
        v[corner++] = b.vertex(x, y, z);
      } else if (text.is("endfacet")) {
        if (corner != 3) {
          throw new ModelUnreadable(
              "Line " + text.line() + ": a facet has " + corner + " corners instead of 3.");
        }
        b.triangle(v[0], v[1], v[2]);
        ModelReader.checkCount(b.triangleCount());
        corner = 0;
      } else if (text.is("solid")) {
        inSolid = true;
        text.skipLine();
      } else if (text.is("endsolid")) {
        inSolid = false;
        text.skipLine();
      }
    }
    if (inSolid) {
      throw text.cutOff("a solid");
    }
    return new Model(ModelReader.built(b), ModelFormat.STL_ASCII, null, b.collapsed());
  }
}
