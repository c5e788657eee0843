package ungula.core.mesh.io;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import ungula.core.mesh.TriangleMesh;

/** Bodies as a 3MF package (3MF core specification 1.3): one object each, in millimetres. */
public final class ThreeMfWriter {

  private static final String TYPES =
      """
      <?xml version="1.0" encoding="UTF-8"?>
      <Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types">\
      <Default Extension="rels" \
      ContentType="application/vnd.openxmlformats-package.relationships+xml"/>\
      <Default Extension="model" \
      ContentType="application/vnd.ms-package.3dmanufacturing-3dmodel+xml"/></Types>
      """;

  private static final String RELATIONS =
      """
      <?xml version="1.0" encoding="UTF-8"?>
      <Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">\
      <Relationship Target="/3D/3dmodel.model" Id="rel0" \
      Type="http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel"/></Relationships>
      """;

  private ThreeMfWriter() {}

  /**
   * The stream is closed.
   *
   * @param bodies by name, in order
   */
  public static void write(Map<String, TriangleMesh> bodies, OutputStream to) throws IOException {
    try (ZipOutputStream zip = new ZipOutputStream(to)) {
      text(zip, "[Content_Types].xml", TYPES);
      text(zip, "_rels/.rels", RELATIONS);
      zip.putNextEntry(new ZipEntry("3D/3dmodel.model"));
      Writer out = new OutputStreamWriter(zip, StandardCharsets.UTF_8);
      out.write("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<model unit=\"millimeter\"");
      out.write(" xmlns=\"http://schemas.microsoft.com/3dmanufacturing/core/2015/02\">");
      out.write("<resources>\n");
      int id = 0;
      for (Map.Entry<String, TriangleMesh> body : bodies.entrySet()) {
        object(++id, body.getKey(), body.getValue(), out);
      }
      out.write("</resources><build>");
      for (int n = 1; n <= id; n++) {
        out.write("<item objectid=\"" + n + "\"/>");
      }
      out.write("</build></model>\n");
      out.flush();
      zip.closeEntry();
    }
  }

  private static void text(ZipOutputStream zip, String name, String content) throws IOException {
    zip.putNextEntry(new ZipEntry(name));
    zip.write(content.getBytes(StandardCharsets.UTF_8));
    zip.closeEntry();
  }

  private static void object(int id, String name, TriangleMesh mesh, Writer out)
      throws IOException {
    String escaped = name.replace("&", "&amp;").replace("<", "&lt;").replace("\"", "&quot;");
    out.write("<object id=\"" + id + "\" type=\"model\" name=\"" + escaped + "\"><mesh><vertices>");
    double[] p = mesh.xyz();
    for (int i = 0; i < p.length; i += 3) {
      out.write(
          "<vertex x=\""
              + (float) p[i]
              + "\" y=\""
              + (float) p[i + 1]
              + "\" z=\""
              + (float) p[i + 2]
              + "\"/>");
    }
    out.write("</vertices><triangles>");
    int[] c = mesh.corners();
    for (int t = 0; t < c.length; t += 3) {
      out.write("<triangle v1=\"" + c[t] + "\" v2=\"" + c[t + 1] + "\" v3=\"" + c[t + 2] + "\"/>");
    }
    out.write("</triangles></mesh></object>\n");
  }
}
