package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Duration;
import java.time.Instant;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;

/** What a shape decides: worked out in the background, once, and kept. */
public class StudyTest extends OnServer {

  /** A hat hanging 8 mm clear of the plate: air under it, unless it is tipped. */
  private static TriangleMesh hat(int around) {
    return Tessellation.turned(
        new double[][] {{0, 8}, {0, 8}, {30, 2}, {33, 2}, {33, 11}, {0, 11}}, around);
  }

  private String hatJob(int around) throws Exception {
    String id = server.addJob();
    server.upload(id, "hat.stl", Running.stl(hat(around)));
    server.write(id, "pose.liftMm", "8 mm");
    return id;
  }

  private JsonNode study(String id) throws Exception {
    return server.get("/api/jobs/" + id + "/study").body();
  }

  private static boolean warns(JsonNode job, String caution) {
    return !Running.caution(job, caution).isEmpty();
  }

  @Test
  public void askedForItIsWorkedOutAndThePlanKnows() throws Exception {
    String id = hatJob(120);
    assertEquals(study(id).get("work").get("state").asString(), "OPEN");
    assertFalse(warns(server.job(id), "air.poured"));
    JsonNode s = server.studied(id);
    assertEquals(s.get("poured").size(), 1);
    assertTrue(s.get("poured").get(0).get("text").asString().contains("mL of air"));
    JsonNode job = server.job(id);
    assertTrue(warns(job, "air.poured"));
    assertEquals(job.get("figures").get("air.poured").get("value").asDouble(), 5_655, 200);
    // the section shows it
    String section = server.get("/api/jobs/" + id + "/section?cut=FRONT").body().toString();
    assertTrue(section.contains("\"AIR\""));
    for (String quantity : new String[] {"LOCKED", "WALL"}) {
      byte[] facets = server.get("/api/jobs/" + id + "/study/facets?quantity=" + quantity).raw();
      assertEquals(facets.length, hat(120).triangleCount());
    }
    // a thicker wall is another question
    server.write(id, "mould.sidesMm", "20 mm");
    assertEquals(study(id).get("work").get("state").asString(), "OPEN");
    assertFalse(
        server.get("/api/jobs/" + id + "/section?cut=FRONT").body().toString().contains("\"AIR\""));
  }

  /** Poured round a hat its hollow is sealed off; a cast of it, turned over, fills whole. */
  @Test
  public void howItFillsIsTold() throws Exception {
    String id = hatJob(117);
    String path = "/api/jobs/" + id + "/filling?of=";
    assertEquals(server.get(path + "RUBBER").status(), 404);
    server.studied(id);
    JsonNode job = server.job(id);
    JsonNode rubber = server.get(path + "RUBBER").body();
    assertEquals(rubber.get("sealed").size(), 1);
    JsonNode last = rubber.get("course").get(rubber.get("course").size() - 1);
    double box = job.get("figures").get("rubber.box").get("value").asDouble();
    double air = job.get("figures").get("air.poured").get("value").asDouble();
    assertEquals(last.get("mm3").asDouble(), box - air, 0.002 * box);
    JsonNode sealed = rubber.get("sealed").get(0);
    assertTrue(sealed.get("mm3").asDouble() < last.get("mm3").asDouble());
    assertTrue(sealed.get("volume").asString().endsWith(" mL"), sealed.toString());
    assertTrue(rubber.toString().contains("\"AIR\""), "what stays is drawn");
    JsonNode cast = server.get(path + "CAST").body();
    assertEquals(cast.get("sealed").size(), 0);
    last = cast.get("course").get(cast.get("course").size() - 1);
    double master = job.get("figures").get("master.volume").get("value").asDouble();
    assertEquals(last.get("mm3").asDouble(), master, 0.001 * master);
    // turned over it rises away from what was its top
    double first = cast.get("course").get(0).get("levelMm").asDouble();
    assertTrue(first < 0 && last.get("levelMm").asDouble() > first, cast.get("course").toString());
    assertTrue(cast.get("says").asString().contains("It gels after"), cast.toString());
  }

  @Test
  public void twoJobsAskingTheSameShareTheAnswerAlsoAfterARestart() throws Exception {
    String first = hatJob(130);
    server.studied(first);
    String second = hatJob(130);
    assertEquals(study(second).get("work").get("state").asString(), "READY");
    server.restart();
    assertEquals(study(second).get("work").get("state").asString(), "READY");
    assertTrue(warns(server.job(first), "air.poured"));
  }

  @Test
  public void tippingAsTheCautionSaysLetsTheAirOut() throws Exception {
    String id = hatJob(140);
    server.studied(id);
    JsonNode fix = null;
    for (JsonNode c : server.job(id).get("cautions")) {
      if (c.get("id").asString().equals("air.poured")) {
        fix = c.get("fixes").get(0);
      }
    }
    assertTrue(fix.get("label").asString().startsWith("Tip it"), fix.toString());
    JsonNode edit = fix.get("edits").get(0);
    server.write(id, edit.get("word").asString(), edit.get("text").asString());
    server.studied(id);
    assertFalse(warns(server.job(id), "air.poured"));
  }

  @Test
  public void itCanBeStoppedAndAskedForAgain() throws Exception {
    String id = hatJob(5000);
    JsonNode s = server.post("/api/jobs/" + id + "/study", "").body();
    assertEquals(s.get("work").get("state").asString(), "WORKING");
    s = server.delete("/api/jobs/" + id + "/study").body();
    Instant late = Instant.now().plus(Duration.ofSeconds(300));
    while (s.get("work").get("state").asString().equals("WORKING")) {
      assertTrue(Instant.now().isBefore(late));
      Running.lookLater();
      s = study(id);
    }
    assertEquals(s.get("work").get("state").asString(), "STOPPED");
    server.studied(id);
  }

  @Test
  public void aMendedCopyIsAClosedModel() throws Exception {
    TriangleMesh whole = hat(150);
    int[] torn = java.util.Arrays.copyOf(whole.corners(), whole.corners().length - 6);
    String id = server.addJob();
    server.upload(id, "torn.stl", Running.stl(new TriangleMesh(whole.xyz(), torn)));
    assertEquals(server.get("/api/jobs/" + id + "/mended.stl").status(), 404);
    JsonNode task = server.done(server.post("/api/jobs/" + id + "/mended", "").body());
    assertEquals(task.get("state").asString(), "DONE", task.toString());
    byte[] stl = server.get("/api/jobs/" + id + "/mended.stl").raw();
    server.upload(id, "mended.stl", stl);
    assertFalse(warns(server.job(id), "mesh.open"));
    // of what it was before
    assertEquals(server.get("/api/jobs/" + id + "/mended.stl").status(), 404);
    assertEquals(server.post("/api/jobs/" + server.addJob() + "/mended", "").status(), 404);
  }

  @Test
  public void withoutAShapeThereIsNothingToAsk() throws Exception {
    String id = server.addJob();
    assertEquals(study(id).get("work").get("state").asString(), "NONE");
    assertEquals(server.get("/api/jobs/" + id + "/study/facets?quantity=WALL").status(), 404);
  }
}
