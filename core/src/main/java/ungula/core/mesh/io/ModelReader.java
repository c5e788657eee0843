package ungula.core.mesh.io;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Progress;

/**
 * Reads a model file of any known format. The content decides, not the name. Files are read as a
 * stream into primitive arrays; nothing is kept but the welded mesh.
 */
public final class ModelReader {

  /** Largest file taken. */
  public static final long MAX_BYTES = 256L << 20;

  /** Most triangles taken: what reading, welding and the report can hold in 2 GB. */
  public static final int MAX_TRIANGLES = 5_000_000;

  private ModelReader() {}

  /**
   * @throws ModelUnreadable when the content is no model, is broken, or is too large
   * @throws IOException when the file cannot be read at all
   */
  public static Model read(Path file, Progress progress) throws IOException, ModelUnreadable {
    long size = Files.size(file);
    if (size == 0) {
      throw new ModelUnreadable("The file is empty. Export the model again.");
    }
    if (size > MAX_BYTES) {
      throw new ModelUnreadable(
          "The file has "
              + (size >> 20)
              + " MB; up to "
              + (MAX_BYTES >> 20)
              + " MB can be read. Reduce the number of triangles and export it again.");
    }
    progress.at("Reading the file", 0);
    try (ByteSource in = new ByteSource(file, progress)) {
      Model model = read(file, in);
      progress.at("Reading the file", 1);
      return model;
    } catch (OutOfMemoryError e) {
      throw new ModelUnreadable(
          "The model does not fit into memory. Reduce the number of triangles, or start Ungula"
              + " with more memory.");
    }
  }

  private static Model read(Path file, ByteSource in) throws IOException, ModelUnreadable {
    byte[] head = in.peek(1024);
    switch (sniff(head, in.size())) {
      case STL_BINARY:
        return StlReader.binary(in);
      case STL_ASCII:
        return StlReader.ascii(in);
      case OBJ:
        return ObjReader.read(in);
      case PLY:
        return PlyReader.read(in);
      case OFF:
        return OffReader.read(in);
      case THREE_MF:
        return ThreeMfReader.read(file, in);
      default:
        throw new AssertionError();
    }
  }

  private static ModelFormat sniff(byte[] head, long size) throws ModelUnreadable {
    if (head.length >= 4 && head[0] == 'P' && head[1] == 'K' && head[2] == 3 && head[3] == 4) {
      return ModelFormat.THREE_MF;
    }
    // a binary STL is known by its size alone: its header may say anything, even "solid"
    if (head.length >= 84 && size == 84 + 50 * StlReader.countIn(head)) {
      return ModelFormat.STL_BINARY;
    }
    String text = new String(head, StandardCharsets.ISO_8859_1);
    String start = text.stripLeading();
    if (start.startsWith("ply") && start.length() > 3 && Character.isWhitespace(start.charAt(3))) {
      return ModelFormat.PLY;
    }
    if (OffReader.HEADER.matcher(start).lookingAt()) {
      return ModelFormat.OFF;
    }
    boolean binary = text.chars().anyMatch(c -> c < 9 || c > 13 && c < 32 && c != 27);
    if (!binary) {
      if (start.regionMatches(true, 0, "solid", 0, 5)) {
        return ModelFormat.STL_ASCII;
      }
      if (ObjReader.looksLike(text)) {
        return ModelFormat.OBJ;
      }
    } else if (head.length >= 84 && plausibleStl(head, size)) {
      return ModelFormat.STL_BINARY;
    }
    throw new ModelUnreadable(
        "This is not a model that can be read. STL, OBJ, PLY, OFF and 3MF can; export the model as"
            + " one of them.");
  }

  /** A binary STL whose count and size disagree still deserves its own message. */
  private static boolean plausibleStl(byte[] head, long size) {
    long count = StlReader.countIn(head);
    boolean pdfOrPicture = head[0] == '%' || (head[0] & 0xff) == 0x89 || (head[0] & 0xff) == 0xff;
    return !pdfOrPicture && size > 134 && count > 0 && count < 200_000_000;
  }

  static TriangleMesh built(TriangleMesh.Builder builder) throws ModelUnreadable {
    if (builder.triangleCount() == 0) {
      throw new ModelUnreadable(
          "The file holds no triangles. Export the model as a mesh, not as points or lines.");
    }
    return builder.build();
  }

  static void checkCount(long triangles) throws ModelUnreadable {
    if (triangles > MAX_TRIANGLES) {
      throw new ModelUnreadable(
          "The model has "
              + (triangles / 1000)
              + " thousand triangles or more; up to 5 million can be worked with. Reduce it and"
              + " export it again.");
    }
  }
}
