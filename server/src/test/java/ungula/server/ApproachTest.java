package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.imageio.ImageIO;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import ungula.core.master.Tessellation;
import ungula.core.mesh.io.ModelReader;
import ungula.core.work.Progress;

/** Moulds compared, one of them taken, and variants kept beside it. */
public class ApproachTest extends OnServer {

  private String id;

  @BeforeClass(dependsOnMethods = "start")
  public void finial() throws Exception {
    id = server.addJob();
    server.upload(id, "finial.stl", Running.stl(Running.HARBOUR.finial()));
  }

  private JsonNode approaches() throws Exception {
    JsonNode s = server.post("/api/jobs/" + id + "/approaches", "").body();
    while (s.get("work").get("state").asString().equals("WORKING")) {
      Running.lookLater();
      s = server.get("/api/jobs/" + id + "/approaches").body();
    }
    return s;
  }

  private static JsonNode kind(JsonNode all, String kind) {
    for (JsonNode a : all.get("approaches")) {
      if (a.get("kind").asString().equals(kind)) {
        return a;
      }
    }
    throw new AssertionError("no " + kind);
  }

  @Test
  public void theOneTakenHasTheRubberItWasOfferedWith() throws Exception {
    JsonNode all = approaches();
    assertEquals(all.get("work").get("state").asString(), "READY");
    assertTrue(all.get("says").asString().startsWith("Choose the "), all.toString());
    JsonNode offered = kind(all, "TWO_PART");
    assertEquals(offered.get("reason").asString(), "");
    for (JsonNode e : offered.get("edits")) {
      server.write(id, e.get("word").asString(), e.get("text").asString());
    }
    JsonNode figures = server.job(id).get("figures");
    double rubber = offered.get("figures").get("rubber").get("value").asDouble();
    assertEquals(figures.get("rubber.box").get("value").asDouble(), rubber, 1e-6 * rubber);
    double halves =
        figures.get("parting.upper").get("value").asDouble()
            + figures.get("parting.lower").get("value").asDouble();
    assertEquals(halves, rubber, 1e-6 * rubber);
    String front = server.get("/api/jobs/" + id + "/section?cut=FRONT").body().toString();
    assertTrue(front.contains("PARTING"), front);
    String above = server.get("/api/jobs/" + id + "/section?cut=TOP").body().toString();
    assertTrue(above.contains("KEY"), above);
    JsonNode at = server.get("/api/jobs/" + id + "/dipstick?mark=PARTING&at=30.3").body();
    assertEquals(at.get("upMm").asDouble() % 1, 0.0);
    assertTrue(server.job(id).get("order").size() >= 6);
  }

  @Test
  public void whatIsProposedIsWhatItSays() throws Exception {
    String job = server.addJob();
    server.upload(job, "block.stl", Running.stl(Tessellation.box(80, 55, 42)));
    String address = "/api/jobs/" + job + "/proposal";
    assertEquals(server.get(address).body().get("work").get("state").asString(), "OPEN");
    JsonNode found = server.post(address, "").body();
    while (found.get("work").get("state").asString().equals("WORKING")) {
      Running.lookLater();
      found = server.get(address).body();
    }
    JsonNode proposal = found.get("proposal");
    assertTrue(found.get("says").asString().startsWith("Choose the open mould, "), "" + found);
    assertEquals(proposal.get("rubber").get("stock").asString(), "", "the shelf is empty");
    byte[] picture = server.get(proposal.get("picture").asString()).raw();
    assertEquals(ImageIO.read(new ByteArrayInputStream(picture)).getWidth(), 640);
    String edits = proposal.get("edits").toString();
    int version = server.job(job).get("version").asInt();
    server.post(
        "/api/jobs/" + job + "/edits", "{\"version\":" + version + ",\"edits\":" + edits + "}");
    JsonNode after = server.job(job);
    for (String figure : new String[] {"rubber.box", "mix.base", "mix.hardener", "cost.job"}) {
      assertEquals(after.get("figures").get(figure), proposal.get("figures").get(figure), figure);
    }
    // what it rested on was said with it; how warm the room is, is the workshop's
    assertEquals(after.get("assumed").size(), 1);
    assertEquals(after.get("version").asInt(), version + 1, "one step, undone as one");
  }

  @Test
  public void weightsChangeTheRankingAndNothingElse() throws Exception {
    approaches();
    double before = server.job(id).get("figures").get("rubber.box").get("value").asDouble();
    server.write(id, "weights.finish", "0");
    server.write(id, "weights.money", "10");
    // known already: no work is asked for
    JsonNode now = server.get("/api/jobs/" + id + "/approaches").body();
    assertEquals(now.get("work").get("state").asString(), "READY");
    double after = server.job(id).get("figures").get("rubber.box").get("value").asDouble();
    assertEquals(after, before);
  }

  @Test
  public void variantsAreKeptTakenAndForgotten() throws Exception {
    String variants = "/api/jobs/" + id + "/variants";
    server.post(variants, "");
    JsonNode kept = server.get(variants).body().get(0);
    assertTrue(kept.get("now").asBoolean());
    server.write(id, "mould.sidesMm", "33 mm");
    kept = server.get(variants).body().get(0);
    assertFalse(kept.get("now").asBoolean());
    double rubber = kept.get("figures").get("rubber.box").get("value").asDouble();
    int version = server.job(id).get("version").asInt();
    server.post(variants + "/" + kept.get("id").asString() + "/taken?version=" + version, "");
    JsonNode job = server.job(id);
    assertEquals(job.get("figures").get("rubber.box").get("value").asDouble(), rubber, 1e-6);
    String undo = job.get("undo").get("what").asString();
    assertTrue(undo.startsWith("choose variant 1, "), undo);
    server.delete(variants + "/" + kept.get("id").asString());
    assertEquals(server.get(variants).body().size(), 0);
  }

  @Test
  public void thePiecesOfTheMouldLeaveAsModels() throws Exception {
    String job = server.addJob();
    server.write(job, "master.source", "SOLID");
    server.write(job, "mould.kind", "TWO_PART");
    assertEquals(server.get("/api/jobs/" + job + "/pieces.3mf").status(), 404);
    server.done(server.post("/api/jobs/" + job + "/pieces", "").body());
    assertEquals(
        new String(
            server.get("/api/jobs/" + job + "/pieces.zip").raw(), 0, 2, StandardCharsets.UTF_8),
        "PK");
    byte[] pieces = server.get("/api/jobs/" + job + "/pieces.3mf").raw();
    double rubber = server.job(job).get("figures").get("rubber.box").get("value").asDouble();
    // read back, both halves together are the rubber of the plan
    Path file = Files.createTempFile("pieces", ".3mf");
    Files.write(file, pieces);
    double volume = ModelReader.read(file, Progress.NONE).mesh().measure().volumeMm3();
    Files.delete(file);
    assertEquals(volume, rubber, 0.01 * rubber);
  }

  @Test
  public void piecesAreShownAsTheySeeTheMaster() throws Exception {
    JsonNode s = server.get("/api/jobs/" + id + "/partition").body();
    assertEquals(s.get("work").get("state").asString(), "OPEN");
    assertEquals(s.get("says").asString(), "");
    s = server.post("/api/jobs/" + id + "/partition", "").body();
    while (s.get("work").get("state").asString().equals("WORKING")) {
      Running.lookLater();
      s = server.get("/api/jobs/" + id + "/partition").body();
    }
    assertTrue(s.get("says").asString().contains("Two pieces"), s.toString());
    JsonNode first = s.get("pieces").get(0);
    assertTrue(first.get("pull").asString().startsWith("pulled "), s.toString());
    byte[] picture = server.get(first.get("picture").asString()).raw();
    assertEquals(new String(picture, 1, 3, StandardCharsets.UTF_8), "PNG");
    String none = "/api/jobs/" + id + "/partition/picture?piece=9&of=x";
    assertEquals(server.get(none).status(), 404);
  }

  @Test
  public void partsToPrintLeaveTheServer() throws Exception {
    byte[] zip = server.get("/api/jobs/" + id + "/formers.zip").raw();
    assertEquals(new String(zip, 0, 2, StandardCharsets.UTF_8), "PK");
    assertTrue(server.get("/api/jobs/" + id + "/formers.3mf").raw().length > 500);
  }
}
