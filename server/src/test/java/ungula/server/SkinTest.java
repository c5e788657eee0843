package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import ungula.core.geometry.Vec3;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;

/** Skins: the room round a master is found out in the background, once, and kept. */
public class SkinTest extends OnServer {

  /** A block 60 × 60 × 80 with a slot 8 mm wide down to 20 mm, drawn as a turned-over U. */
  private static TriangleMesh slotted() {
    double[][] outline = {
      {-30, 0}, {30, 0}, {30, 80}, {4, 80}, {4, 20}, {-4, 20}, {-4, 80}, {-30, 80}
    };
    TriangleMesh.Builder b = new TriangleMesh.Builder(64);
    int n = outline.length;
    int[][] v = new int[2][n];
    for (int side = 0; side < 2; side++) {
      for (int i = 0; i < n; i++) {
        v[side][i] = b.vertex(outline[i][0], side == 0 ? -30 : 30, outline[i][1]);
      }
    }
    for (int i = 0; i < n; i++) {
      int j = (i + 1) % n;
      b.triangle(v[0][i], v[0][j], v[1][j]);
      b.triangle(v[0][i], v[1][j], v[1][i]);
    }
    int[][] faces = {{0, 1, 4}, {1, 2, 4}, {2, 3, 4}, {0, 4, 5}, {0, 5, 7}, {5, 6, 7}};
    for (int[] f : faces) {
      b.triangle(v[0][f[2]], v[0][f[1]], v[0][f[0]]);
      b.triangle(v[1][f[0]], v[1][f[1]], v[1][f[2]]);
    }
    return b.build();
  }

  private String skinJob(TriangleMesh mesh) throws Exception {
    String id = server.addJob();
    server.upload(id, "block.stl", Running.stl(mesh));
    server.write(id, "mould.kind", "SKIN");
    server.write(id, "rubber.product", "marram-20");
    return id;
  }

  @Test
  public void coatsAreKnownOnceTheRoomIsAndOutliveARestart() throws Exception {
    String id = skinJob(Tessellation.box(40, 60, 80));
    assertFalse(server.job(id).has("skin"));
    assertEquals(server.get("/api/jobs/" + id + "/skin/coats/1/mesh").status(), 404);
    server.studied(id);
    JsonNode job = server.job(id);
    // 9 mm round a block on a plate: A t + π/4 E t² + 2π/3 t³
    double t = 9;
    double coats =
        (40 * 60 + 200 * 80) * t
            + Math.PI / 4 * (4 * 80 + 200) * t * t
            + 2 * Math.PI / 3 * t * t * t;
    double sum = 0;
    for (JsonNode coat : job.get("skin").get("coats")) {
      sum += Running.value(job, coat.get("key").asString() + ".volume");
    }
    assertEquals(sum, coats, 0.01 * coats);
    assertEquals(job.get("skin").get("clock").get("coats").size(), 5);
    server.restart();
    assertEquals(
        Running.value(server.job(id), "coat.1.volume"), Running.value(job, "coat.1.volume"));
    String front = server.get("/api/jobs/" + id + "/section?cut=FRONT").body().toString();
    assertTrue(front.contains("DETAIL_COAT") && front.contains("JACKET"), front);
  }

  /** The largest x, y and z of a mesh as the page draws it. */
  private Vec3 furthest(String path) throws Exception {
    ByteBuffer mesh = ByteBuffer.wrap(server.get(path).raw()).order(ByteOrder.LITTLE_ENDIAN);
    int vertices = mesh.getInt();
    int triangles = mesh.getInt();
    assertEquals(mesh.getInt(), 0);
    assertEquals(mesh.capacity(), 12 + 12 * vertices + 12 * triangles);
    Vec3 most = new Vec3(0, 0, 0);
    for (int v = 0; v < vertices; v++) {
      most =
          new Vec3(
              Math.max(most.x(), mesh.getFloat()),
              Math.max(most.y(), mesh.getFloat()),
              Math.max(most.z(), mesh.getFloat()));
    }
    return most;
  }

  /** Of the same block: its room is known by now. */
  @Test(dependsOnMethods = "coatsAreKnownOnceTheRoomIsAndOutliveARestart")
  public void everyCoatHasAnOutsideToDraw() throws Exception {
    String id = skinJob(Tessellation.box(40, 60, 80));
    server.studied(id);
    Vec3 most = furthest("/api/jobs/" + id + "/skin/coats/5/mesh");
    assertEquals(most.x(), 29, 0.3);
    assertEquals(most.y(), 39, 0.3);
    assertEquals(most.z(), 89, 0.3);
    JsonNode job = server.job(id);
    assertEquals(job.get("solids").toString(), "[\"JACKET\"]");
    double thick = Running.value(job, "jacket.thick");
    assertEquals(furthest("/api/jobs/" + id + "/solids/JACKET/mesh").z(), 89 + thick, 0.5);
    assertEquals(server.get("/api/jobs/" + id + "/skin/coats/6/mesh").status(), 404);
  }

  @Test
  public void aPluggedRecessIsAnotherRoom() throws Exception {
    String id = skinJob(slotted());
    server.studied(id);
    JsonNode open = server.job(id);
    assertTrue(Running.caution(open, "skin.bridge.1").contains("closes up solid"));
    JsonNode edit = null;
    for (JsonNode c : open.get("cautions")) {
      if (c.get("id").asString().equals("skin.bridge.1")) {
        edit = c.get("fixes").get(0).get("edits").get(0);
      }
    }
    server.write(id, edit.get("word").asString(), edit.get("text").asString());
    assertFalse(server.job(id).get("figures").has("coat.1.volume"), "not worked out yet");
    server.studied(id);
    JsonNode plugged = server.job(id);
    assertEquals(Running.caution(plugged, "skin.bridge.1"), "");
    double clay = Running.value(plugged, "skin.plugs");
    double less = Running.value(open, "rubber.box") - Running.value(plugged, "rubber.box");
    assertEquals(less, clay, 0.05 * clay);
    assertEquals(clay, 8 * 60 * 60, 0.1 * 8 * 60 * 60);
    String front = server.get("/api/jobs/" + id + "/section?cut=FRONT").body().toString();
    assertTrue(front.contains("PLUG"), front);
    // out again it is the room there was, known at once
    server.write(id, "skin.open", "");
    assertEquals(Running.value(server.job(id), "rubber.box"), Running.value(open, "rubber.box"));
  }

  /** A rubber is thickened, a sealant is a paste: what was chosen stands for what it is to it. */
  @Test
  public void whatBuildCoatsAreOfDecidesHowTheyAreThickened() throws Exception {
    String id = server.addJob();
    server.write(id, "mould.kind", "SKIN");
    assertEquals(thickeners(id), List.of("NONE", "LIGHT", "NORMAL", "STIFF"));
    server.write(id, "skin.buildProduct", "limpet");
    assertEquals(thickeners(id), List.of("NORMAL", "PUTTY"));
    server.write(id, "skin.thickener", "PUTTY");
    assertEquals(thickeners(id), List.of("PASTE", "PUTTY"));
    server.write(id, "skin.buildProduct", "");
    assertEquals(thickeners(id), List.of("NONE", "LIGHT", "NORMAL", "PUTTY"));
    assertEquals(server.job(id).get("thickeners").get(3).get("text").asString(), "thickened stiff");
  }

  private List<String> thickeners(String id) throws Exception {
    List<String> values = new ArrayList<>();
    server.job(id).get("thickeners").forEach(t -> values.add(t.get("value").asString()));
    return values;
  }

  /** Changing the sequence is answered from the room that is known. */
  @Test
  public void theSequenceIsAnsweredWithoutAnotherLook() throws Exception {
    String id = skinJob(Tessellation.box(40, 60, 80));
    server.studied(id);
    String[][] edits = {
      {"skin.detailMm", "0.8 mm"},
      {"skin.buildMm", "2 mm"},
      {"skin.thickener", "STIFF"},
      {"skin.smoothingMm", ""},
      {"skin.clothAfter", "2"},
      {"skin.flangeMm", "40 mm"},
      {"skin.gap", "1 NEXT_DAY"},
      {"skin.buildProduct", "samphire-15"},
      {"jacket.sections", "4"}
    };
    for (String[] e : edits) {
      assertEquals(server.write(id, e[0], e[1]).status(), 200, e[0]);
      JsonNode s = server.get("/api/jobs/" + id + "/study").body();
      assertEquals(s.get("work").get("state").asString(), "READY", e[0]);
      assertTrue(server.job(id).get("figures").has("jacket.sections"), e[0]);
    }
    JsonNode job = server.job(id);
    assertFalse(job.get("skin").get("coats").get(1).get("rubber").asString().isEmpty());
    assertEquals(job.get("skin").get("partings").size(), 4);
  }
}
