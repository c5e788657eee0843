package ungula.core.mesh.io;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Locale;
import java.util.concurrent.CancellationException;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;
import ungula.core.study.MeshReport;
import ungula.core.work.Progress;

/** Good, odd and hostile files, all written here: a box of 40 × 60 × 80. */
public class ModelReaderTest {

  private static final TriangleMesh BOX = Tessellation.box(40, 60, 80);
  private static final int[][] QUADS = {
    {0, 2, 3, 1}, {4, 5, 7, 6}, {0, 1, 5, 4}, {2, 6, 7, 3}, {0, 4, 6, 2}, {1, 3, 7, 5}
  };

  private Path folder;

  @BeforeClass
  public void makeFolder() throws IOException {
    folder = Files.createTempDirectory("ungula-models");
  }

  @AfterClass
  public void removeFolder() throws IOException {
    try (var files = Files.list(folder)) {
      for (Path f : files.toList()) {
        Files.delete(f);
      }
    }
    Files.delete(folder);
  }

  private Model read(byte[] content) throws Exception {
    Path file = Files.createTempFile(folder, "model", ".any");
    Files.write(file, content);
    return ModelReader.read(file, Progress.NONE);
  }

  private static byte[] text(String s) {
    return s.getBytes(UTF_8);
  }

  private static byte[] stl(String header, TriangleMesh mesh) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    StlWriter.write(mesh, out);
    byte[] all = out.toByteArray();
    Arrays.fill(all, 0, 80, (byte) ' ');
    System.arraycopy(text(header), 0, all, 0, header.length());
    return all;
  }

  private static String asciiStl(String name, TriangleMesh mesh) {
    StringBuilder s = new StringBuilder("solid " + name + "\n");
    int[] c = mesh.corners();
    for (int t = 0; t < c.length; t += 3) {
      s.append("facet normal 0 0 0\n outer loop\n");
      for (int k = 0; k < 3; k++) {
        Vec3 v = mesh.vertex(c[t + k]);
        s.append(String.format(Locale.ROOT, "  vertex %e %f %.3f\n", v.x(), v.y(), v.z()));
      }
      s.append(" endloop\nendfacet\n");
    }
    return s + "endsolid " + name + "\n";
  }

  private static String obj(boolean negative) {
    StringBuilder s = new StringBuilder("# box\nmtllib none.mtl\no box\n");
    for (int v = 0; v < 8; v++) {
      Vec3 p = BOX.vertex(v);
      s.append("v ")
          .append(p.x())
          .append(' ')
          .append(p.y())
          .append(' ')
          .append(p.z())
          .append(" 0.5 0.5 0.5\n");
    }
    s.append("vn 0 0 1\nvt 0 0\n");
    for (int[] q : QUADS) {
      s.append("f");
      for (int v : q) {
        s.append(' ').append(negative ? v - 8 : v + 1).append("/1/1");
      }
      s.append(" # a side\n");
    }
    return s.toString();
  }

  private static byte[] ply(String format) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(
        text(
            "ply\nformat "
                + format
                + " 1.0\ncomment made by a test\nelement vertex 8\n"
                + "property uchar red\nproperty double x\nproperty float y\nproperty float z\n"
                + "property list uchar short extra\nelement face 6\n"
                + "property list uchar int vertex_indices\nproperty uint flags\nend_header\n"));
    ByteOrder order = format.contains("big") ? ByteOrder.BIG_ENDIAN : ByteOrder.LITTLE_ENDIAN;
    StringBuilder ascii = new StringBuilder();
    ByteBuffer b = ByteBuffer.allocate(2000).order(order);
    for (int v = 0; v < 8; v++) {
      Vec3 p = BOX.vertex(v);
      ascii.append("255 " + p.x() + " " + p.y() + " " + p.z() + " 2 7 -9\n");
      b.put((byte) 255).putDouble(p.x()).putFloat((float) p.y()).putFloat((float) p.z());
      b.put((byte) 2).putShort((short) 7).putShort((short) -9);
    }
    for (int[] q : QUADS) {
      ascii.append("4 " + q[0] + " " + q[1] + " " + q[2] + " " + q[3] + " 1\n");
      b.put((byte) 4);
      for (int v : q) {
        b.putInt(v);
      }
      b.putInt(1);
    }
    out.write(
        format.equals("ascii") ? text(ascii.toString()) : Arrays.copyOf(b.array(), b.position()));
    return out.toByteArray();
  }

  private static String off(String head) {
    StringBuilder s = new StringBuilder(head);
    for (int v = 0; v < 8; v++) {
      Vec3 p = BOX.vertex(v);
      s.append(p.x() + " " + p.y() + " " + p.z() + " 255 0 0 # colour\n");
    }
    for (int[] q : QUADS) {
      s.append("4 " + q[0] + " " + q[1] + " " + q[2] + " " + q[3] + " 9 9 9\n");
    }
    return s.toString();
  }

  private static byte[] threeMf(String model) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      zip.putNextEntry(new ZipEntry("[Content_Types].xml"));
      zip.write(text("<Types/>"));
      zip.putNextEntry(new ZipEntry("3D/3dmodel.model"));
      zip.write(text(model));
    }
    return out.toByteArray();
  }

  private static String meshXml() {
    StringBuilder s = new StringBuilder("<mesh><vertices>");
    for (int v = 0; v < 8; v++) {
      Vec3 p = BOX.vertex(v);
      s.append(String.format(Locale.ROOT, "<vertex x='%f' y='%f' z='%f'/>", p.x(), p.y(), p.z()));
    }
    s.append("</vertices><triangles>");
    int[] c = BOX.corners();
    for (int t = 0; t < c.length; t += 3) {
      s.append(String.format("<triangle v1='%d' v2='%d' v3='%d'/>", c[t], c[t + 1], c[t + 2]));
    }
    return s + "</triangles></mesh>";
  }

  private static String model3mf(String unit, String resources, String build) {
    return "<?xml version='1.0'?><model unit='"
        + unit
        + "' xmlns='urn:model'><resources>"
        + resources
        + "</resources><build>"
        + build
        + "</build></model>";
  }

  @DataProvider
  public Object[][] boxes() throws IOException {
    return new Object[][] {
      {stl("made by a test", BOX), ModelFormat.STL_BINARY},
      {stl("solid but binary", BOX), ModelFormat.STL_BINARY},
      {text(asciiStl("box", BOX)), ModelFormat.STL_ASCII},
      {
        text(asciiStl("box", BOX).replace("\n", "\r\n").toUpperCase(Locale.ROOT)),
        ModelFormat.STL_ASCII
      },
      {text(obj(false)), ModelFormat.OBJ},
      {text(obj(true)), ModelFormat.OBJ},
      {ply("ascii"), ModelFormat.PLY},
      {ply("binary_little_endian"), ModelFormat.PLY},
      {ply("binary_big_endian"), ModelFormat.PLY},
      {text(off("OFF\n# comment\n8 6 0\n")), ModelFormat.OFF},
      {text(off("COFF 8 6 12\n")), ModelFormat.OFF},
      {
        threeMf(
            model3mf(
                "millimeter", "<object id='1'>" + meshXml() + "</object>", "<item objectid='1'/>")),
        ModelFormat.THREE_MF
      },
    };
  }

  @Test(dataProvider = "boxes")
  public void readsTheBox(byte[] content, ModelFormat format) throws Exception {
    Model model = read(content);
    assertEquals(model.format(), format);
    MeshReport r = MeshReport.of(model.mesh(), Progress.NONE).report();
    assertEquals(r.vertices(), 8);
    assertEquals(r.triangles(), 12);
    assertTrue(r.closed() && !r.insideOut());
    Near.relative(r.volumeMm3(), 192_000, 1e-6);
    if (format == ModelFormat.THREE_MF) {
      assertEquals(model.unitMm(), 1.0);
    } else {
      assertNull(model.unitMm());
    }
  }

  @Test
  public void severalSolidsInOneTextFileAreAllRead() throws Exception {
    TriangleMesh second = BOX.moved(1, Rotation.NONE, new Vec3(100, 0, 0));
    Model model = read(text(asciiStl("a", BOX) + asciiStl("b", second)));
    assertEquals(MeshReport.of(model.mesh(), Progress.NONE).report().parts(), 2);
  }

  @Test
  public void concavePolygonsAreCutRight() throws Exception {
    // an L of 3 unit squares, extruded by 1: two caps of six corners and six walls
    double[][] l = {{0, 0}, {2, 0}, {2, 1}, {1, 1}, {1, 2}, {0, 2}};
    StringBuilder s = new StringBuilder();
    for (int z = 0; z < 2; z++) {
      for (double[] p : l) {
        s.append("v " + p[0] + " " + p[1] + " " + z + "\n");
      }
    }
    s.append("f 6 5 4 3 2 1\nf 7 8 9 10 11 12\n");
    for (int i = 0; i < 6; i++) {
      int j = (i + 1) % 6;
      s.append("f " + (i + 1) + " " + (j + 1) + " " + (j + 7) + " " + (i + 7) + "\n");
    }
    MeshReport r = MeshReport.of(read(text(s.toString())).mesh(), Progress.NONE).report();
    assertTrue(r.closed());
    Near.relative(r.volumeMm3(), 3, 1e-12);
    Near.relative(r.areaMm2(), 3 + 3 + 8, 1e-12);
  }

  @Test
  public void componentsAndTransformsAreApplied() throws Exception {
    String resources =
        "<object id='1'>"
            + meshXml()
            + "</object>"
            + "<object id='2'><components>"
            + "<component objectid='1'/>"
            // mirrored in x and set aside: still faces outwards
            + "<component objectid='1' transform='-1 0 0 0 1 0 0 0 1 100 0 0'/>"
            + "</components></object>";
    String build = "<item objectid='2'/><item objectid='1' transform='2 0 0 0 2 0 0 0 2 0 300 0'/>";
    Model model = read(threeMf(model3mf("inch", resources, build)));
    assertEquals(model.unitMm(), 25.4);
    MeshReport r = MeshReport.of(model.mesh(), Progress.NONE).report();
    assertEquals(r.parts(), 3);
    assertEquals(r.flippedFacets(), 0);
    Near.relative(r.volumeMm3(), 192_000 * (1 + 1 + 8), 1e-6);
  }

  private static byte[] cut(byte[] whole, int to) {
    return Arrays.copyOf(whole, to);
  }

  private static byte[] patched(byte[] whole, int at, float value) {
    byte[] out = whole.clone();
    ByteBuffer.wrap(out).order(ByteOrder.LITTLE_ENDIAN).putFloat(at, value);
    return out;
  }

  private static byte[] counted(byte[] stl, int count) {
    byte[] out = stl.clone();
    ByteBuffer.wrap(out).order(ByteOrder.LITTLE_ENDIAN).putInt(80, count);
    return out;
  }

  @DataProvider
  public Object[][] hostile() throws IOException {
    byte[] stl = stl("x\u0001", BOX);
    byte[] ply = ply("binary_little_endian");
    String plyText = new String(ply("ascii"), UTF_8);
    String good3mf =
        model3mf("millimeter", "<object id='1'>" + meshXml() + "</object>", "<item objectid='1'/>");
    byte[] bomb = new byte[40 << 20];
    Arrays.fill(bomb, (byte) ' ');
    return new Object[][] {
      {new byte[0], "empty"},
      {cut(stl, 300), "room for"},
      {counted(stl, 2_000_000), "room for"},
      {counted(stl, -1), "not a model"},
      {patched(stl, 84 + 12, Float.NaN), "not a finite number"},
      {patched(stl, 84 + 16, Float.POSITIVE_INFINITY), "not a finite number"},
      {counted(cut(stl, 84), 0), "no triangles"},
      {text("solid nothing\nendsolid nothing\n"), "no triangles"},
      {text(asciiStl("box", BOX).substring(0, 700)), "cut off"},
      {text(asciiStl("box", BOX).replace("80.000", "NaN")), "not a finite number"},
      {text(asciiStl("box", BOX).replaceFirst("80.000", "eighty")), "where a number should"},
      {text(obj(false).replace("f 1/", "f 99/")), "uses vertex 99"},
      {text("v 1 2\n" + obj(false)), "fewer than 3"},
      {text("v 0 0 0\nv 1 0 0\nv 0 1 0\n"), "no triangles"},
      {cut(ply, ply.length - 40), "cut off"},
      {text(plyText.replace("element vertex 8", "element vertex 80000000")), "more than fit"},
      {text(plyText.replace("\n4 0", "\n4 77")), "uses vertex 78"},
      {text(plyText.replace("property double x", "property quaternion x")), "unknown type"},
      {text(off("OFF\n8 900000 0\n")), "more than fit"},
      {cut(text(off("OFF\n8 6 0\n")), 190), "cut off"},
      {threeMf(good3mf.replace("v1='0'", "v1='44'")), "uses vertex 44"},
      {threeMf(good3mf.replace("item objectid='1'", "item objectid='7'")), "does not hold"},
      {threeMf(good3mf.replace("millimeter", "cubit")), "unknown unit"},
      {threeMf(good3mf.substring(0, 400)), "not readable XML"},
      {
        threeMf(
            model3mf(
                "millimeter",
                "<object id='1'><components><component objectid='1'/></components></object>",
                "<item objectid='1'/>")),
        "without end"
      },
      {
        threeMf("<?xml version='1.0'?><model>" + new String(bomb, UTF_8) + "</model>"),
        "unpacks to far more"
      },
      {cut(threeMf(good3mf), 200), "damaged"},
      {text("%PDF-1.7 not a model at all, but long enough to look at twice"), "not a model"},
      {text("dear reader,\nthis is a letter.\n"), "not a model"},
    };
  }

  @Test(dataProvider = "hostile")
  public void refusesWithAReason(byte[] content, String reason) {
    ModelUnreadable refused = expectThrows(ModelUnreadable.class, () -> read(content));
    assertTrue(refused.getMessage().contains(reason), refused.getMessage());
    assertTrue(refused.getMessage().length() < 300);
  }

  @Test
  public void outsideEntitiesAreNotFetched() throws Exception {
    Path secret = Files.createTempFile(folder, "secret", ".txt");
    Files.writeString(secret, "40");
    String evil =
        "<?xml version='1.0'?><!DOCTYPE model [<!ENTITY x SYSTEM '"
            + secret.toUri()
            + "'>]>"
            + "<model unit='&x;'><build/></model>";
    ModelUnreadable refused = expectThrows(ModelUnreadable.class, () -> read(threeMf(evil)));
    assertTrue(!refused.getMessage().contains("40"), refused.getMessage());
  }

  @Test
  public void readingCanBeCancelled() throws Exception {
    Path file = Files.createTempFile(folder, "model", ".stl");
    Files.write(file, stl("big", Tessellation.torus(40, 12, 200, 200)));
    Progress stopped =
        (doing, fraction) -> {
          if (fraction > 0.3) {
            throw new CancellationException();
          }
        };
    expectThrows(CancellationException.class, () -> ModelReader.read(file, stopped));
  }

  @Test
  public void whatIsWrittenReadsBackTheSame() throws Exception {
    TriangleMesh torus = Tessellation.torus(40, 12, 64, 32);
    Model again = read(stl("back", torus));
    assertEquals(again.mesh().triangleCount(), torus.triangleCount());
    Near.relative(again.mesh().measure().volumeMm3(), torus.measure().volumeMm3(), 1e-6);
  }

  /** Headers that claim what no file could hold, and nests that multiply nothing. */
  @DataProvider
  public Object[][] bombs() throws IOException {
    String ply =
        "ply\nformat binary_little_endian 1.0\nelement nothing 9000000000000000000\n"
            + "element vertex 3\nproperty float x\nproperty float y\nproperty float z\n"
            + "element face 1\nproperty list uchar int vertex_indices\nend_header\n";
    ByteBuffer body = ByteBuffer.allocate(3 * 12 + 13).order(ByteOrder.LITTLE_ENDIAN);
    for (float f : new float[] {0, 0, 0, 1, 0, 0, 0, 1, 0}) {
      body.putFloat(f);
    }
    body.put((byte) 3).putInt(0).putInt(1).putInt(2);
    ByteArrayOutputStream whole = new ByteArrayOutputStream();
    whole.write(ply.getBytes(UTF_8));
    whole.write(body.array());
    String many = "ply\nformat ascii 1.0\nelement vertex 4000000000000000000\n";
    StringBuilder nest = new StringBuilder("<object id='0'></object>");
    StringBuilder full = new StringBuilder("<object id='0'>" + meshXml() + "</object>");
    for (int level = 1; level <= 10; level++) {
      String uses = ("<component objectid='" + (level - 1) + "'/>").repeat(10);
      String object = "<object id='" + level + "'><components>" + uses + "</components></object>";
      nest.append(object);
      full.append(object);
    }
    return new Object[][] {
      {whole.toByteArray(), ""},
      {
        (many + "property float x\nproperty float y\nproperty float z\nend_header\n0 0 0\n")
            .getBytes(UTF_8),
        "more than fit"
      },
      {"OFF\n3000000000000000000 1 0\n0 0 0\n".getBytes(UTF_8), "more than fit"},
      {threeMf(model3mf("millimeter", nest.toString(), "<item objectid='10'/>")), "no triangles"},
      {threeMf(model3mf("millimeter", full.toString(), "<item objectid='10'/>")), "5 million"},
    };
  }

  @Test(dataProvider = "bombs", timeOut = 20_000)
  public void readersDoNoMoreThanTheFileJustifies(byte[] content, String why) throws Exception {
    if (why.isEmpty()) {
      assertEquals(read(content).mesh().triangleCount(), 1);
    } else {
      String said = expectThrows(ModelUnreadable.class, () -> read(content)).getMessage();
      assertTrue(said.contains(why), said);
    }
  }

  /** A face whose corners run in and out takes its time, but not against anybody's will. */
  @Test(timeOut = 30_000)
  public void cuttingAFaceIsStoppedAtOnce() throws Exception {
    int n = 19_000;
    StringBuilder obj = new StringBuilder();
    for (int i = 0; i < n; i++) {
      double r = i % 2 == 0 ? 100 : 1;
      double a = 2 * Math.PI * i / n;
      obj.append(String.format(Locale.ROOT, "v %.4f %.4f 0%n", r * Math.cos(a), r * Math.sin(a)));
    }
    obj.append('f');
    for (int i = 1; i <= n; i++) {
      obj.append(' ').append(i);
    }
    obj.append('\n');
    Path file = Files.createTempFile(folder, "comb", ".obj");
    Files.writeString(file, obj.toString());
    long size = Files.size(file);
    int[] told = {0};
    Progress stopping =
        (doing, fraction) -> {
          // once all of it is read, only the cutting is left
          if (fraction > (size - 1.0) / size && ++told[0] > 1) {
            throw new CancellationException();
          }
        };
    expectThrows(CancellationException.class, () -> ModelReader.read(file, stopping));
  }
}
