package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import ungula.core.master.Tessellation;

/** What jobs teach a workshop, over HTTP. */
public class LearnTest extends OnBench {

  private int made;

  /** A mould that is poured; its level is read some millimetres under what was to be. */
  private String made() throws Exception {
    String id = server.addJob();
    server.upload(id, "block.stl", Running.stl(Tessellation.box(80, 55, 42)));
    server.write(id, "rubber.product", "marram-20");
    String run = begun(id);
    JsonNode level = until(run, kind("LEVEL"));
    String expected = level.get("batches").get(0).get("expected").asString();
    double mm = Double.parseDouble(expected.replaceAll("[^0-9.]", ""));
    act(run, "LEVEL", "value", mm - 3 - 0.1 * made++ + " mm");
    return id;
  }

  private JsonNode lesson() throws Exception {
    return server.get("/api/learned").body().get(0);
  }

  private String answer(String deed) throws Exception {
    return server
        .post("/api/learned/ALLOWANCE", "{\"who\": \"AK\", \"deed\": \"" + deed + "\"}")
        .body()
        .get(0)
        .get("standing")
        .asString();
  }

  private String allowance() throws Exception {
    return server.get("/api/workshop").body().at("/words/allowancePct/text").asString();
  }

  /** Jobs teach what a mould really takes: offered, never gone by unasked, and forgotten again. */
  @Test
  public void whatJobsTeachIsOffered() throws Exception {
    made();
    assertEquals(lesson().get("jobs").size(), 1, lesson().toString());
    assertEquals(lesson().get("standing").asString(), "TOO_FEW");
    assertEquals(
        server.post("/api/learned/ALLOWANCE", "{\"deed\": \"TAKEN\"}").status(), 409, "too few");
    made();
    String job = made();
    JsonNode offered = lesson();
    assertEquals(offered.get("jobs").size(), 3);
    assertEquals(offered.get("standing").asString(), "OFFERED");
    assertEquals(offered.get("methods").size(), 0, "all in rectangular boxes");
    server.write(job, "mould.shape", "OUTLINE");
    JsonNode methods = lesson().get("methods");
    assertEquals(methods.size(), 2, methods.toString());
    assertEquals(methods.toString().replaceAll("[^0-9]", ""), "12", "one, and two");
    String before = allowance();
    assertEquals(offered.get("now").asString(), "5.0 %");
    assertEquals(answer("REFUSED"), "REFUSED");
    assertEquals(allowance(), before, "nothing changes unasked");
    assertEquals(answer("TAKEN"), "TAKEN");
    assertEquals(allowance(), offered.get("offer").asString());
    String source = "/figures/rubber.allowance/working/givens/0/source";
    assertEquals(server.job(job).at(source).asString(), "LEARNED");
    String csv = new String(server.get("/api/learned/table.csv").raw(), StandardCharsets.UTF_8);
    assertTrue(csv.startsWith("what,job,value,out of line,"), csv);
    assertEquals(csv.lines().filter(l -> l.contains("over what was computed")).count(), 3);
    assertEquals(answer("FORGOTTEN"), "REFUSED", "it is not offered again from the same jobs");
    assertEquals(allowance(), before);
    assertEquals(server.job(job).at(source).asString(), "DEFAULT");
  }

  private JsonNode lesson(JsonNode all, String key) {
    for (JsonNode l : all) {
      if (l.get("lesson").asString().equals(key)) {
        return l;
      }
    }
    throw new AssertionError("no lesson " + key + " in " + all);
  }

  private Running.Answer look(String weight, String shown) throws Exception {
    return server.post(
        "/api/learned/scale-checks",
        "{\"who\": \"AK\", \"weight\": \"" + weight + "\", \"shown\": \"" + shown + "\"}");
  }

  /** What a scale shows with a known weight on it is told from three looks on. */
  @Test
  public void aScaleIsHeldAgainstAKnownWeight() throws Exception {
    assertEquals(look("500 g", "5 g").status(), 422, "another weight");
    assertEquals(look("500 g", "heavy").status(), 422, "no weight");
    look("500 g", "498 g");
    look("1 kg", "996.1 g");
    JsonNode two = lesson(server.get("/api/learned").body(), "SCALE");
    assertEquals(two.get("standing").asString(), "TOO_FEW");
    JsonNode three = lesson(look("500 g", "498.1 g").body(), "SCALE");
    assertEquals(three.get("standing").asString(), "TOLD");
    assertEquals(three.get("middle").asDouble(), -0.39, 1e-6);
    assertTrue(
        three.get("told").asString().startsWith("Have it adjusted: it shows 0.4 % too little"));
    assertEquals(
        server.post("/api/learned/SCALE", "{\"deed\": \"TAKEN\"}").status(),
        404,
        "nothing to go by");
  }

  private String skin() throws Exception {
    String id = server.addJob();
    server.write(id, "master.source", "MEASURED");
    for (String side : new String[] {"length", "width", "height"}) {
      server.write(id, "master.measured." + side + "Mm", "200 mm");
    }
    server.write(id, "mould.kind", "SKIN");
    server.write(id, "rubber.product", "marram-20");
    return id;
  }

  /** How thick coats go on follows from skins that were weighed. */
  @Test
  public void coatsAreLearnedFromSkinsThatWereWeighed() throws Exception {
    for (double over : new double[] {1.1, 1.12, 1.11}) {
      String id = skin();
      server.write(id, "rubber.moulds", "2");
      double planned = Running.value(server.job(id), "rubber.boxMass");
      server.write(id, "rubber.mouldG", planned * over + " g");
    }
    JsonNode coats = lesson(server.get("/api/learned").body(), "COATS");
    assertEquals(coats.get("middle").asDouble(), 11, 0.2, coats.toString());
    assertEquals(coats.get("standing").asString(), "OFFERED");
    String id = skin();
    double before = Running.value(server.job(id), "rubber.allowance");
    server.post("/api/learned/COATS", "{\"deed\": \"TAKEN\"}");
    JsonNode job = server.job(id);
    assertTrue(Running.value(job, "rubber.allowance") > before);
    assertTrue(job.at("/figures/rubber.allowance/working").toString().contains("LEARNED"));
    server.post("/api/learned/COATS", "{\"deed\": \"FORGOTTEN\"}");
    assertEquals(Running.value(server.job(id), "rubber.allowance"), before, 1e-6);
  }

  /** Work by hand that takes longer than planned teaches its rates. */
  @Test
  public void paceIsLearnedFromWhatWasDoneAtTheBench() throws Exception {
    String id = server.addJob();
    server.upload(id, "block.stl", Running.stl(Tessellation.box(80, 55, 43)));
    server.write(id, "rubber.product", "marram-20");
    String run = begun(id);
    long ago = Duration.ofDays(2).toMillis();
    for (String key = next(run); !key.startsWith("pour"); key = next(run)) {
      JsonNode t = task(run(run), key);
      boolean asked = t.get("kind").asString().equals("GATE");
      ago -= Duration.ofMinutes(asked ? 1 : minutes(key)).toMillis();
      String kind = asked ? "GATE" : "TICK";
      Running.Answer done = act(run, kind, "key", key, "yes", true, "agoMs", ago);
      assertEquals(done.status(), 200, key + ": " + done.text());
    }
    JsonNode box = lesson(server.get("/api/learned").body(), "PACE.BOX");
    assertEquals(box.get("standing").asString(), "TOO_FEW");
    double min = box.at("/jobs/0/value").asDouble();
    assertTrue(min > 24 && min < 48, box.toString());
  }

  /** The patch cures before the master is fixed; the box takes half as long again as planned. */
  private static long minutes(String step) {
    return switch (step) {
      case "fix" -> 24 * 60;
      case "box" -> 50;
      default -> 10;
    };
  }

  private String next(String run) throws Exception {
    return run(run).get("next").asString();
  }
}
