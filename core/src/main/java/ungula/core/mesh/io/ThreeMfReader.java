package ungula.core.mesh.io;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import ungula.core.mesh.TriangleMesh;

/**
 * 3MF core: the model part's unit, objects, components and build items, with their transforms. The
 * XML is read without document types or outside entities, and inflates to at most {@link
 * #MAX_INFLATED} bytes.
 */
final class ThreeMfReader {

  private static final long MAX_INFLATED = 2L << 30;

  /** Inflating by more than this is no model; XML of numbers shrinks by ten or twenty. */
  private static final long MAX_RATIO = 200;

  private static final int MAX_DEPTH = 32;

  /** Of all objects as often as they are used: more belong to no model of so many triangles. */
  private static final long MAX_CORNERS = 3L * ModelReader.MAX_TRIANGLES;

  /** Elements or corners between two looks at whether anybody still waits. */
  private static final int TICK = 50_000;

  private static final Map<String, Double> UNITS =
      Map.of(
          "micron", 0.001,
          "millimeter", 1.0,
          "centimeter", 10.0,
          "inch", 25.4,
          "foot", 304.8,
          "meter", 1000.0);

  /** Row-vector transform: x' = x·m0 + y·m3 + z·m6 + m9, and so on. */
  private static final double[] IDENTITY = {1, 0, 0, 0, 1, 0, 0, 0, 1, 0, 0, 0};

  private record Use(String object, double[] transform) {}

  private static final class Shape {
    private double[] xyz = new double[0];
    private int vertices;
    private int[] corners = new int[0];
    private int used;
    private final List<Use> components = new ArrayList<>();

    /** Of it and all its components; null until counted. */
    private Content content;
  }

  /**
   * What an object comes to with everything it is composed of.
   *
   * @param corners with those of objects used several times
   */
  private record Content(long corners, long triangles) {}

  private final Map<String, Shape> objects = new HashMap<>();
  private final List<Use> items = new ArrayList<>();
  private double unitMm = 1;
  private long triangles;
  private final ByteSource in;
  private long ticks;

  private ThreeMfReader(ByteSource in) {
    this.in = in;
  }

  static Model read(Path file, ByteSource source) throws IOException, ModelUnreadable {
    try (ZipFile zip = new ZipFile(file.toFile())) {
      ZipEntry part =
          zip.stream()
              .map(e -> (ZipEntry) e)
              .filter(e -> e.getName().toLowerCase(Locale.ROOT).endsWith(".model"))
              .min((a, b) -> Integer.compare(a.getName().length(), b.getName().length()))
              .orElseThrow(
                  () ->
                      new ModelUnreadable(
                          "The archive holds no 3D model part, so it is not a 3MF file."));
      ThreeMfReader reader = new ThreeMfReader(source);
      long packed = Math.max(part.getCompressedSize(), 1024);
      try (InputStream in =
          new Bounded(zip.getInputStream(part), Math.min(MAX_INFLATED, packed * MAX_RATIO))) {
        reader.parse(in);
      }
      return reader.assemble();
    } catch (ZipException e) {
      throw new ModelUnreadable("The 3MF archive is damaged or cut off. Copy or export it again.");
    }
  }

  private void parse(InputStream in) throws IOException, ModelUnreadable {
    XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    try {
      XMLStreamReader xml = factory.createXMLStreamReader(in);
      Shape shape = null;
      while (xml.hasNext()) {
        tick();
        if (xml.next() != XMLStreamConstants.START_ELEMENT) {
          continue;
        }
        switch (xml.getLocalName()) {
          case "model" -> unit(xml);
          case "object" -> {
            shape = new Shape();
            objects.put(need(xml, "id"), shape);
          }
          case "vertex" -> vertex(xml, shape);
          case "triangle" -> triangle(xml, shape);
          case "component" -> inside(shape, xml).components.add(use(xml));
          case "item" -> items.add(use(xml));
          default -> {}
        }
      }
    } catch (XMLStreamException e) {
      if (e.getNestedException() instanceof IOException io) {
        throw io;
      }
      throw new ModelUnreadable(
          "The 3MF model part is not readable XML"
              + (e.getLocation() == null ? "" : " at line " + e.getLocation().getLineNumber())
              + ". Export it again.");
    } catch (TooLarge e) {
      throw new ModelUnreadable(
          "The archive unpacks to far more than a model of its size would. It was not read"
              + " further.");
    }
  }

  private void unit(XMLStreamReader xml) throws ModelUnreadable {
    String unit = xml.getAttributeValue(null, "unit");
    Double mm = UNITS.get(unit == null ? "millimeter" : unit);
    if (mm == null) {
      throw new ModelUnreadable("The 3MF file names an unknown unit, “" + unit + "”.");
    }
    unitMm = mm;
  }

  private static Shape inside(Shape shape, XMLStreamReader xml) throws ModelUnreadable {
    if (shape == null) {
      throw new ModelUnreadable(
          "Line " + xml.getLocation().getLineNumber() + ": geometry outside any object.");
    }
    return shape;
  }

  private static Use use(XMLStreamReader xml) throws ModelUnreadable {
    String text = xml.getAttributeValue(null, "transform");
    double[] m = IDENTITY;
    if (text != null) {
      String[] words = text.strip().split("\\s+");
      if (words.length != 12) {
        throw new ModelUnreadable(
            "Line " + xml.getLocation().getLineNumber() + ": a transform needs 12 numbers.");
      }
      m = new double[12];
      for (int i = 0; i < 12; i++) {
        m[i] = number(words[i], xml);
      }
    }
    return new Use(need(xml, "objectid"), m);
  }

  private void vertex(XMLStreamReader xml, Shape owner) throws ModelUnreadable {
    Shape shape = inside(owner, xml);
    if (3 * shape.vertices == shape.xyz.length) {
      shape.xyz = Arrays.copyOf(shape.xyz, Math.max(3 * 256, 2 * shape.xyz.length));
    }
    int at = 3 * shape.vertices++;
    shape.xyz[at] = number(need(xml, "x"), xml);
    shape.xyz[at + 1] = number(need(xml, "y"), xml);
    shape.xyz[at + 2] = number(need(xml, "z"), xml);
  }

  private void triangle(XMLStreamReader xml, Shape owner) throws ModelUnreadable {
    Shape shape = inside(owner, xml);
    ModelReader.checkCount(++triangles);
    if (shape.used == shape.corners.length) {
      shape.corners = Arrays.copyOf(shape.corners, Math.max(3 * 256, 2 * shape.used));
    }
    for (String name : new String[] {"v1", "v2", "v3"}) {
      double v = number(need(xml, name), xml);
      if (v < 0 || v >= shape.vertices) {
        throw new ModelUnreadable(
            "Line "
                + xml.getLocation().getLineNumber()
                + ": a triangle uses vertex "
                + (long) v
                + ", but "
                + shape.vertices
                + " are there. Export it again.");
      }
      shape.corners[shape.used++] = (int) v;
    }
  }

  private static String need(XMLStreamReader xml, String name) throws ModelUnreadable {
    String value = xml.getAttributeValue(null, name);
    if (value == null) {
      throw new ModelUnreadable(
          "Line "
              + xml.getLocation().getLineNumber()
              + ": <"
              + xml.getLocalName()
              + "> lacks “"
              + name
              + "”.");
    }
    return value;
  }

  private static double number(String word, XMLStreamReader xml) throws ModelUnreadable {
    try {
      double value = Double.parseDouble(word);
      if (Double.isFinite(value)) {
        return value;
      }
    } catch (NumberFormatException e) {
      // falls through to the same message: the word is shown as it stands
    }
    throw new ModelUnreadable(
        "Line " + xml.getLocation().getLineNumber() + ": “" + word + "” is not a finite number.");
  }

  private void tick() {
    if (++ticks % TICK == 0) {
      in.tick();
    }
  }

  private Model assemble() throws ModelUnreadable {
    long corners = 0;
    long all = 0;
    for (Use item : items) {
      Content content = content(item.object, 0);
      corners += content.corners;
      all += content.triangles;
      check(corners, all);
    }
    TriangleMesh.Builder b =
        new TriangleMesh.Builder((int) Math.min(triangles, ModelReader.MAX_TRIANGLES));
    for (Use item : items) {
      add(b, item.object, item.transform);
    }
    return new Model(ModelReader.built(b), ModelFormat.THREE_MF, unitMm, b.collapsed());
  }

  private Shape shape(String id) throws ModelUnreadable {
    Shape shape = objects.get(id);
    if (shape == null) {
      throw new ModelUnreadable("The 3MF file builds object “" + id + "”, which it does not hold.");
    }
    return shape;
  }

  /** Counted once for each object, however often it is used. */
  private Content content(String id, int depth) throws ModelUnreadable {
    Shape shape = shape(id);
    if (depth > MAX_DEPTH) {
      throw new ModelUnreadable("The 3MF file's components contain each other without end.");
    }
    if (shape.content == null) {
      long corners = shape.vertices;
      long all = shape.used / 3;
      for (Use component : shape.components) {
        tick();
        Content content = content(component.object, depth + 1);
        corners += content.corners;
        all += content.triangles;
        check(corners, all);
      }
      shape.content = new Content(corners, all);
    }
    return shape.content;
  }

  private static void check(long corners, long triangles) throws ModelUnreadable {
    ModelReader.checkCount(triangles);
    if (corners > MAX_CORNERS) {
      throw new ModelUnreadable(
          "The 3MF file's components come to more than "
              + MAX_CORNERS / 1_000_000
              + " million corners. Export the model as one mesh.");
    }
  }

  private void add(TriangleMesh.Builder b, String id, double[] m) throws ModelUnreadable {
    Shape shape = shape(id);
    if (shape.content.triangles == 0) {
      return;
    }
    int[] welded = new int[shape.vertices];
    for (int v = 0; v < shape.vertices; v++) {
      tick();
      double x = shape.xyz[3 * v];
      double y = shape.xyz[3 * v + 1];
      double z = shape.xyz[3 * v + 2];
      welded[v] =
          b.vertex(
              x * m[0] + y * m[3] + z * m[6] + m[9],
              x * m[1] + y * m[4] + z * m[7] + m[10],
              x * m[2] + y * m[5] + z * m[8] + m[11]);
    }
    boolean mirrored = determinant(m) < 0;
    for (int t = 0; t < shape.used; t += 3) {
      int p = welded[shape.corners[t]];
      int q = welded[shape.corners[t + 1]];
      int r = welded[shape.corners[t + 2]];
      b.triangle(p, mirrored ? r : q, mirrored ? q : r);
    }
    for (Use component : shape.components) {
      tick();
      add(b, component.object, product(component.transform, m));
    }
  }

  private static double determinant(double[] m) {
    return m[0] * (m[4] * m[8] - m[5] * m[7])
        - m[1] * (m[3] * m[8] - m[5] * m[6])
        + m[2] * (m[3] * m[7] - m[4] * m[6]);
  }

  /** First a, then b. */
  private static double[] product(double[] a, double[] b) {
    double[] out = new double[12];
    for (int row = 0; row < 4; row++) {
      for (int col = 0; col < 3; col++) {
        double sum = row == 3 ? b[9 + col] : 0;
        for (int k = 0; k < 3; k++) {
          sum += a[3 * row + k] * b[3 * k + col];
        }
        out[3 * row + col] = sum;
      }
    }
    return out;
  }

  private static final class TooLarge extends RuntimeException {
    TooLarge() {
      super(null, null, false, false);
    }
  }

  private static final class Bounded extends FilterInputStream {
    private long left;

    Bounded(InputStream in, long most) {
      super(in);
      left = most;
    }

    @Override
    public int read() throws IOException {
      int b = super.read();
      count(b < 0 ? 0 : 1);
      return b;
    }

    @Override
    public int read(byte[] into, int from, int length) throws IOException {
      int n = super.read(into, from, length);
      count(Math.max(0, n));
      return n;
    }

    private void count(int bytes) {
      left -= bytes;
      if (left < 0) {
        throw new TooLarge();
      }
    }
  }
}
