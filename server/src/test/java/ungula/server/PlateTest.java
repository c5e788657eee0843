package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import ungula.core.master.Tessellation;

/** Several masters in one open mould. */
public class PlateTest extends OnServer {

  @Test
  public void copiesShareOneBoxAndLieWhereTheBaseSays() throws Exception {
    String id = server.addJob();
    server.upload(id, "block.stl", Running.stl(Tessellation.box(50, 20, 30)));
    assertFalse(server.job(id).get("figures").has("plate.masters"));
    server.write(id, "plate.copies", "4");
    JsonNode job = server.job(id);
    assertEquals(Running.value(job, "plate.masters"), 4, 0);
    assertEquals(Running.value(job, "plate.land"), 12, 0.05);
    assertEquals(Running.value(job, "master.volume"), 4 * 30_000, 1e-3);
    // two by two, or one beside the other: 136 × 76 or 74 × 140 inside, 40 high
    double inside = Math.min(136 * 76, 74 * 140);
    assertEquals(Running.value(job, "rubber.box"), inside * 40 - 120_000, 0.004 * inside * 40);
    String base = server.get("/api/jobs/" + id + "/box/cutlist").body().toString();
    assertTrue(base.contains("where each master is fixed"), base);
    // a mould that hangs free holds the model once
    server.write(id, "mould.kind", "CUT");
    assertEquals(Running.value(server.job(id), "master.volume"), 30_000, 1e-3);
  }

  @Test
  public void whatIsPaintedOnACopyIsPaintedOnAll() throws Exception {
    String id = server.addJob();
    server.upload(id, "block.stl", Running.stl(Tessellation.box(50, 20, 30)));
    server.write(id, "plate.copies", "3");
    int facets = server.get("/api/jobs/" + id + "/marks").raw().length / 3;
    String stroke =
        "{\"version\":%d,\"mark\":\"KEEP_CLEAN\",\"erase\":false,\"bendDegrees\":20,"
            + "\"places\":[{\"facet\":%d,\"u\":0.3,\"v\":0.3}]}";
    int version = server.job(id).get("version").asInt();
    server.post("/api/jobs/" + id + "/marks", stroke.formatted(version, 2 * facets + 1));
    byte[] bits = server.get("/api/jobs/" + id + "/marks").raw();
    int marked = 0;
    for (int t = 0; t < facets; t++) {
      assertEquals(bits[t], bits[t + facets]);
      assertEquals(bits[t], bits[t + 2 * facets]);
      marked += bits[t];
    }
    assertTrue(marked > 0 && marked < facets, marked + " of " + facets);
    server.write(id, "plate.copies", "1");
    assertEquals(server.get("/api/jobs/" + id + "/marks").raw().length, facets);
  }

  /** Pictures and meshes are asked for again when the masters lie otherwise. */
  @Test
  public void whatIsKeptOfTheShapeIsKeptByHowItLies() throws Exception {
    String id = server.addJob();
    server.upload(id, "block.stl", Running.stl(Tessellation.box(50, 20, 30)));
    String key = server.job(id).get("shapeKey").asString();
    String picture = shelfPicture(id);
    int bytes = server.get("/api/jobs/" + id + "/mesh").raw().length;
    server.write(id, "plate.copies", "2");
    assertNotEquals(server.job(id).get("shapeKey").asString(), key);
    assertNotEquals(shelfPicture(id), picture);
    assertTrue(server.get("/api/jobs/" + id + "/mesh").raw().length > 1.8 * bytes);
    server.write(id, "plate.copies", "1");
    server.write(id, "plate.laying", "AS_MODELLED");
    assertEquals(server.job(id).get("shapeKey").asString(), key);
  }

  private String shelfPicture(String id) throws Exception {
    for (JsonNode j : server.get("/api/shelf").body().get("jobs")) {
      if (j.get("id").asString().equals(id)) {
        return j.get("picture").asString();
      }
    }
    throw new AssertionError("not on the shelf");
  }

  /** In a mould that hangs free nothing is fixed to the base, and the box says what it can hold. */
  @Test
  public void onlyAnOpenMouldHasItsMastersOnTheBase() throws Exception {
    String id = server.addJob();
    server.upload(id, "bollards.stl", Running.stl(Running.HARBOUR.chessSet()));
    String list = "/api/jobs/" + id + "/box/cutlist";
    assertTrue(server.get(list).body().toString().contains("where each master is fixed"));
    assertTrue(server.job(id).get("box").get("onPlate").asBoolean());
    server.write(id, "mould.kind", "CUT");
    assertFalse(server.get(list).body().toString().contains("where each master is fixed"));
    assertFalse(server.job(id).get("box").get("onPlate").asBoolean());
  }

  @Test
  public void mastersTooCloseAreLaidApartByTheFix() throws Exception {
    String id = server.addJob();
    server.upload(id, "bollards.stl", Running.stl(Running.HARBOUR.chessSet()));
    server.write(id, "plate.landMm", "18 mm");
    assertTrue(Running.caution(server.job(id), "plate.land").contains("14 mm"), "as modelled");
    server.write(id, "plate.laying", "CLOSE");
    JsonNode laid = server.job(id);
    assertEquals(Running.caution(laid, "plate.land"), "");
    assertTrue(Running.value(laid, "plate.land") >= 17.99);
  }

  @Test
  public void anotherModelIsPutBesideTheFirst() throws Exception {
    String id = server.addJob();
    server.upload(id, "block.stl", Running.stl(Tessellation.box(50, 20, 30)));
    server.write(id, "pose.turned", "x 90");
    JsonNode task = server.uploadBeside(id, "cube.stl", Running.stl(Tessellation.box(24, 24, 24)));
    assertEquals(task.get("state").asString(), "DONE", task.toString());
    JsonNode job = server.job(id);
    assertEquals(Running.value(job, "plate.masters"), 2, 0);
    assertEquals(Running.value(job, "master.volume"), 30_000 + 24 * 24 * 24, 1);
    // the first still lies as it was turned, the second stands as it came
    assertEquals(Running.value(job, "master.size"), 24, 1e-3);
    assertTrue(job.get("model").get("name").asString().contains("cube.stl"));
    server.post("/api/jobs/" + id + "/steps?by=-1&version=" + job.get("version").asInt(), "");
    assertEquals(Running.value(server.job(id), "master.volume"), 30_000, 1e-3);
  }

  @Test
  public void measuredMastersAreLaidOutToo() throws Exception {
    String id = server.addJob();
    server.write(id, "master.source", "MEASURED");
    server.write(id, "master.measured.outline", "ROUND");
    server.write(id, "master.measured.diameterMm", "30 mm");
    server.write(id, "master.measured.heightMm", "20 mm");
    server.write(id, "plate.copies", "2");
    JsonNode job = server.job(id);
    assertEquals(Running.value(job, "plate.masters"), 2, 0);
    // 30 + 12 + 30 and two walls long, 30 and two walls wide, 30 high
    double rubber = (72 + 24) * (30 + 24) * 30 - 2 * Math.PI * 15 * 15 * 20;
    assertEquals(Running.value(job, "rubber.box"), rubber, 0.005 * rubber);
  }
}
