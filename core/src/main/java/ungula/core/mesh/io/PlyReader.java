package ungula.core.mesh.io;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/**
 * PLY, text and binary of either byte order. Vertices need x, y, z; faces a list of vertex numbers;
 * all other elements and properties are passed over by their types. The format has no unit.
 */
final class PlyReader {

  private enum Type {
    INT8(1),
    UINT8(1),
    INT16(2),
    UINT16(2),
    INT32(4),
    UINT32(4),
    FLOAT32(4),
    FLOAT64(8);

    private final int bytes;

    Type(int bytes) {
      this.bytes = bytes;
    }
  }

  private static final Map<String, Type> TYPES =
      Map.ofEntries(
          Map.entry("char", Type.INT8),
          Map.entry("int8", Type.INT8),
          Map.entry("uchar", Type.UINT8),
          Map.entry("uint8", Type.UINT8),
          Map.entry("short", Type.INT16),
          Map.entry("int16", Type.INT16),
          Map.entry("ushort", Type.UINT16),
          Map.entry("uint16", Type.UINT16),
          Map.entry("int", Type.INT32),
          Map.entry("int32", Type.INT32),
          Map.entry("uint", Type.UINT32),
          Map.entry("uint32", Type.UINT32),
          Map.entry("float", Type.FLOAT32),
          Map.entry("float32", Type.FLOAT32),
          Map.entry("double", Type.FLOAT64),
          Map.entry("float64", Type.FLOAT64));

  /**
   * @param count type of the list's length; null for a single value
   */
  private record Property(String name, Type type, Type count) {}

  private record Element(String name, long count, List<Property> properties) {

    long leastBytes(boolean ascii) {
      long least = 0;
      for (Property p : properties) {
        least += ascii ? 2 : p.count == null ? p.type.bytes : p.count.bytes;
      }
      return least;
    }
  }

  private final ByteSource in;
  private final TextScanner text;
  private final List<Element> elements = new ArrayList<>();
  private boolean ascii;
  private Polygons polygons;

  private PlyReader(ByteSource in) {
    this.in = in;
    this.text = new TextScanner(in);
  }

  static Model read(ByteSource in) throws IOException, ModelUnreadable {
    return new PlyReader(in).read();
  }

  private Model read() throws IOException, ModelUnreadable {
    header();
    long faces = 0;
    for (Element e : elements) {
      long least = e.leastBytes(ascii);
      if (least > 0 && e.count > (in.remaining() + 2) / least) {
        throw new ModelUnreadable(
            "The file says it holds "
                + e.count
                + " × "
                + e.name
                + ", more than fit into it. It is cut off; copy or export it again.");
      }
      if (e.name.equals("face")) {
        faces = e.count;
      }
    }
    ModelReader.checkCount(faces);
    polygons = new Polygons((int) faces, in);
    for (Element e : elements) {
      if (e.name.equals("vertex")) {
        vertices(e);
      } else if (e.name.equals("face")) {
        faces(e);
      } else if (faces == 0 || polygons.builder().triangleCount() == 0) {
        // of an element without properties nothing stands in the file, whatever the header claims
        long count = e.properties.isEmpty() ? 0 : e.count;
        for (long i = 0; i < count; i++) {
          for (Property p : e.properties) {
            skip(p, e);
          }
        }
      }
    }
    var b = polygons.builder();
    return new Model(ModelReader.built(b), ModelFormat.PLY, null, b.collapsed());
  }

  private void header() throws IOException, ModelUnreadable {
    text.next();
    while (true) {
      if (!text.next()) {
        throw text.cutOff("its header");
      }
      if (text.is("end_header")) {
        text.skipLine();
        return;
      }
      if (text.is("format")) {
        format(word());
      } else if (text.is("element")) {
        String name = word();
        word();
        elements.add(new Element(name, text.whole(), new ArrayList<>()));
      } else if (text.is("property")) {
        if (elements.isEmpty()) {
          throw new ModelUnreadable("Line " + text.line() + ": a property without an element.");
        }
        Type type;
        Type count = null;
        if (word().equals("list")) {
          count = type(word());
          type = type(word());
        } else {
          type = type(text.word());
        }
        elements.get(elements.size() - 1).properties.add(new Property(word(), type, count));
      }
      text.skipLine();
    }
  }

  private String word() throws IOException, ModelUnreadable {
    if (!text.nextOnLine()) {
      throw new ModelUnreadable("Line " + text.line() + ": the header line is incomplete.");
    }
    return text.word();
  }

  private void format(String name) throws ModelUnreadable {
    switch (name) {
      case "ascii" -> ascii = true;
      case "binary_little_endian" -> in.order(ByteOrder.LITTLE_ENDIAN);
      case "binary_big_endian" -> in.order(ByteOrder.BIG_ENDIAN);
      default ->
          throw new ModelUnreadable("Line " + text.line() + ": unknown PLY format “" + name + "”.");
    }
  }

  private Type type(String name) throws ModelUnreadable {
    Type type = TYPES.get(name);
    if (type == null) {
      throw new ModelUnreadable("Line " + text.line() + ": unknown type “" + name + "”.");
    }
    return type;
  }

  private void vertices(Element e) throws IOException, ModelUnreadable {
    double[] xyz = {Double.NaN, Double.NaN, Double.NaN};
    int[] into =
        e.properties.stream().mapToInt(p -> List.of("x", "y", "z").indexOf(p.name)).toArray();
    for (long i = 0; i < e.count; i++) {
      for (int k = 0; k < into.length; k++) {
        Property p = e.properties.get(k);
        if (into[k] >= 0 && p.count == null) {
          xyz[into[k]] = value(p.type, e);
        } else {
          skip(p, e);
        }
      }
      if (!Double.isFinite(xyz[0]) || !Double.isFinite(xyz[1]) || !Double.isFinite(xyz[2])) {
        throw new ModelUnreadable(
            "Vertex " + (i + 1) + " has no finite x, y and z. Export the model again.");
      }
      polygons.vertex(xyz[0], xyz[1], xyz[2]);
    }
  }

  private void faces(Element e) throws IOException, ModelUnreadable {
    if (polygons.vertexCount() == 0) {
      throw new ModelUnreadable(
          "The faces come before the vertices, or there are no vertices. Export the model again.");
    }
    int[] face = new int[16];
    for (long i = 0; i < e.count; i++) {
      for (Property p : e.properties) {
        if (p.count == null || !p.name.startsWith("vertex_ind")) {
          skip(p, e);
          continue;
        }
        long n = (long) value(p.count, e);
        if (n < 0 || n > Polygons.MOST_CORNERS) {
          throw new ModelUnreadable("Face " + (i + 1) + " has " + n + " corners.");
        }
        if (n > face.length) {
          face = Arrays.copyOf(face, (int) n);
        }
        for (int k = 0; k < n; k++) {
          double corner = value(p.type, e);
          face[k] = corner >= 0 && corner < Integer.MAX_VALUE ? (int) corner : -1;
        }
        polygons.face(face, (int) n, "Face " + (i + 1));
      }
    }
  }

  private void skip(Property p, Element e) throws IOException, ModelUnreadable {
    long n = p.count == null ? 1 : (long) value(p.count, e);
    for (long i = 0; i < n; i++) {
      value(p.type, e);
    }
  }

  private double value(Type type, Element e) throws IOException, ModelUnreadable {
    if (ascii) {
      if (!text.next()) {
        throw text.cutOff("its " + e.name + " list");
      }
      return text.number();
    }
    ByteBuffer b = in.need(type.bytes);
    if (b == null) {
      throw new ModelUnreadable(
          "The file ends in the middle of its "
              + e.name
              + " list. It is cut off; copy or export it again.");
    }
    return switch (type) {
      case INT8 -> b.get();
      case UINT8 -> b.get() & 0xff;
      case INT16 -> b.getShort();
      case UINT16 -> b.getShort() & 0xffff;
      case INT32 -> b.getInt();
      case UINT32 -> b.getInt() & 0xffffffffL;
      case FLOAT32 -> b.getFloat();
      case FLOAT64 -> b.getDouble();
    };
  }
}
