package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import ungula.core.master.Tessellation;

/** When casts are done follows what the job and the workshop say. */
public class CastTest extends OnServer {

  private JsonNode casts(String id) throws Exception {
    return server.get("/api/jobs/" + id + "/casts").body();
  }

  @Test
  public void castsArePlannedOnceTheirNumberIsKnown() throws Exception {
    String id = server.addJob();
    server.upload(id, "block.stl", Running.stl(Tessellation.box(50, 40, 30)));
    server.write(id, "rubber.product", "marram-20");
    assertEquals(casts(id).get("missing").asString(), "Say how many casts are wanted.");
    assertEquals(casts(id).get("rows").size(), 0);
    server.write(id, "cast.wanted", "12");
    server.write(id, "cast.product", "oyster-75");
    JsonNode one = casts(id);
    assertEquals(one.get("missing").asString(), "");
    assertEquals(one.get("points").size(), 12);
    assertEquals(one.get("rows").size(), 8);
    assertTrue(one.get("rows").get(0).get("chosen").asBoolean());
    assertEquals(one.get("rows").get(0).get("heldUp").asString(), "moulds");
    long late = one.get("points").get(11).get("lateMs").asLong();
    server.write(id, "rubber.moulds", "4");
    JsonNode four = casts(id);
    assertTrue(four.get("rows").get(3).get("chosen").asBoolean());
    assertTrue(four.get("points").get(11).get("lateMs").asLong() < late, "sooner with more");
    server.write(id, "cast.series.scrapPct", "40 %");
    long scrap = casts(id).get("points").get(11).get("lateMs").asLong();
    assertTrue(scrap > four.get("points").get(11).get("lateMs").asLong(), "later with scrap");
    server.write(id, "cast.amount.filler.dosePct", "30 %");
    assertTrue(casts(id).get("amount").asString().contains("a density is missing"));
    assertEquals(casts(id).get("closing").asString(), "", "one part presses nothing open");
    assertEquals(casts(id).get("packs").size(), 0);
    server.write(id, "mould.kind", "TWO_PART");
    server.write(id, "cast.amount.filler.dosePct", "");
    assertTrue(server.job(id).get("figures").has("cast.opens"));
  }

  private Running.Answer record(String job, String act, String more) throws Exception {
    return server.post(
        "/api/jobs/" + job + "/casts/made",
        "{\"id\": \"" + act + "\", \"mould\": 1, " + more + "}");
  }

  @Test
  public void castsAreCountedOnceAndNeverLost() throws Exception {
    String id = server.addJob();
    server.upload(id, "block.stl", Running.stl(Tessellation.box(50, 40, 31)));
    server.write(id, "rubber.product", "marram-20");
    server.write(id, "cast.wanted", "3");
    server.write(id, "cast.product", "oyster-75");
    String good = "\"result\": \"GOOD\", \"who\": \"MB\", \"mass\": \"66.5 g\"";
    assertEquals(record(id, "a1", good).status(), 200);
    // delivered twice
    assertEquals(record(id, "a1", good).body().get("usable").asInt(), 1);
    assertEquals(record(id, "a2", "\"result\": \"SCRAP\"").status(), 422, "why is asked");
    assertEquals(
        record(id, "a2", "\"result\": \"SCRAP\", \"why\": \"not filled\"")
            .body()
            .get("scrap")
            .asInt(),
        1);
    assertEquals(record(id, "a3", "\"result\": \"GOOD\", \"mass\": \"much\"").status(), 422);
    assertEquals(casts(id).get("points").size(), 2, "two are left to make");
    server.restart();
    JsonNode made = server.get("/api/jobs/" + id + "/casts/made").body();
    assertEquals(made.get("usable").asInt(), 1);
    assertEquals(made.get("lastG").asString(), "66.5 g");
    assertEquals(made.get("moulds").get(0).get("casts").asInt(), 2);
    assertTrue(made.get("moulds").get(0).get("gives").asInt() > 10);
    assertEquals(made.get("casts").get(0).get("why").asString(), "not filled");
    // what was recorded wrongly stays, and does not count
    String strike = "\"result\": \"STRUCK\", \"why\": \"pressed by mistake\", \"strikes\": ";
    assertEquals(record(id, "a4", strike + 9).status(), 404);
    JsonNode struck = record(id, "a5", strike + 1).body();
    assertEquals(struck.get("usable").asInt(), 0);
    assertEquals(struck.get("lastG").asString(), "");
    assertEquals(struck.get("casts").get(1).get("struck").asString(), "pressed by mistake");
    for (int i = 0; i < 3; i++) {
      record(id, "g" + i, "\"result\": \"GOOD\"");
    }
    assertEquals(casts(id).get("missing").asString(), "All casts that are wanted are made.");
    String csv =
        new String(
            server.get("/api/jobs/" + id + "/casts/casts.csv").raw(), StandardCharsets.UTF_8);
    assertTrue(csv.startsWith("cast,at,who,mould,result,mass,why,does not count"), csv);
    assertTrue(csv.contains(",MB,1,good,66.5 g,,pressed by mistake"), csv);
    // undo is of decisions: what was cast stays
    int version = server.job(id).get("version").asInt();
    String undo = "/api/jobs/" + id + "/steps?by=-1&version=" + version;
    assertEquals(server.post(undo, "").status(), 200);
    assertEquals(server.get("/api/jobs/" + id + "/casts/made").body().get("usable").asInt(), 3);
  }

  private String job(String name, double height) throws Exception {
    String id = server.addJob();
    server.post("/api/jobs/" + id + "/name", "{\"name\": \"" + name + "\"}");
    server.upload(id, "block.stl", Running.stl(Tessellation.box(50, 40, height)));
    server.write(id, "rubber.product", "marram-20");
    server.write(id, "cast.product", "oyster-75");
    server.write(id, "cast.wanted", "12");
    return id;
  }

  private JsonNode run(String id) throws Exception {
    return server.get("/api/runs/" + id).body();
  }

  private Running.Answer act(String run, String kind, String more) throws Exception {
    return server.post(
        "/api/runs/" + run + "/acts",
        "{\"id\": \""
            + UUID.randomUUID()
            + "\", \"kind\": \""
            + kind
            + "\", \"who\": \"MB\", \"agoMs\": 0, "
            + more
            + "}");
  }

  /** Does what is next until a cast is to be looked over. */
  private String toResult(String run) throws Exception {
    for (int i = 0; i < 60; i++) {
      JsonNode now = run(run);
      String key = now.get("next").asString();
      String kind = "";
      for (JsonNode t : now.get("tasks")) {
        kind = t.get("key").asString().equals(key) ? t.get("kind").asString() : kind;
      }
      String at = "\"key\": \"" + key + "\"";
      Running.Answer done =
          switch (kind) {
            case "GATE", "VERDICT" -> act(run, kind, at + ", \"yes\": true");
            case "WEIGH" -> {
              String target = now.get("weighing").get("target").asString();
              yield act(run, "GRAMS", "\"value\": \"" + target + "\"");
            }
            case "RESULT" -> null;
            default -> act(run, "TICK", at);
          };
      if (done == null) {
        return key;
      }
      assertEquals(done.status(), 200, key + ": " + done.text());
    }
    throw new AssertionError(run(run));
  }

  /** From the mould made ready to the cast counted; its material leaves the shelf. */
  @Test
  public void aCastIsMadeAtTheBenchAndCounted() throws Exception {
    String id = job("Lid", 30);
    server.post("/api/stock", "{\"product\": \"oyster-75\"}");
    assertEquals(server.post("/api/jobs/" + id + "/casts/runs?moulds=", "").status(), 422);
    assertEquals(server.post("/api/jobs/" + id + "/casts/runs?moulds=1,1", "").status(), 422);
    assertEquals(server.post("/api/jobs/" + id + "/casts/runs?moulds=0", "").status(), 422);
    JsonNode begun = server.post("/api/jobs/" + id + "/casts/runs?moulds=1", "").body();
    String run = begun.get("id").asString();
    assertEquals(begun.get("casts").get(0).asInt(), 1);
    double before = usable();
    String key = toResult(run);
    assertEquals(key, "cast.result.1");
    assertTrue(usable() < before - 50, "what was mixed is not on the shelf");
    JsonNode mixed = server.get("/api/jobs/" + id + "/mixed").body();
    assertEquals(mixed.get(0).get("name").asString(), "The cast");
    assertEquals(
        act(run, "RESULT", "\"key\": \"" + key + "\", \"result\": \"SCRAP\"").status(), 422);
    assertEquals(
        act(run, "RESULT", "\"key\": \"" + key + "\", \"result\": \"GOOD\", \"value\": \"66.5 g\"")
            .status(),
        200);
    JsonNode made = server.get("/api/jobs/" + id + "/casts/made").body();
    assertEquals(made.get("usable").asInt(), 1);
    assertEquals(made.get("lastG").asString(), "66.5 g");
    assertEquals(made.get("casts").get(0).get("who").asString(), "MB");
    assertEquals(run(run).get("next").asString(), "");
    // struck at the bench, it is struck in the count, and may be said anew
    int entries = run(run).get("entries").size();
    act(run, "CORRECT", "\"number\": " + entries + ", \"why\": \"It has a hole.\"");
    assertEquals(server.get("/api/jobs/" + id + "/casts/made").body().get("usable").asInt(), 0);
    act(
        run,
        "RESULT",
        "\"key\": \"" + key + "\", \"result\": \"SCRAP\", \"why\": \"A hole where it shows.\"");
    JsonNode after = server.get("/api/jobs/" + id + "/casts/made").body();
    assertEquals(after.get("scrap").asInt(), 1);
    assertEquals(after.get("casts").size(), 2, "nothing is lost");
    server.restart();
    assertEquals(server.get("/api/jobs/" + id + "/casts/made").body(), after);
    assertEquals(
        server.get("/api/jobs/" + id + "/runs").body().get(0).get("moulds").get(0).asInt(), 1);
  }

  private double usable() throws Exception {
    for (JsonNode p : server.get("/api/stock").body().get("products")) {
      if (p.get("product").asString().equals("oyster-75")) {
        return p.get("usable").get("value").asDouble();
      }
    }
    return 0;
  }

  @Test
  public void theFirstOfACutMouldIsAClearedOut() throws Exception {
    String id = job("Cut", 36);
    server.write(id, "mould.kind", "CUT");
    server.write(id, "cast.series.perMix", "2");
    String run =
        server.post("/api/jobs/" + id + "/casts/runs?moulds=1,2", "").body().get("id").asString();
    assertEquals(toResult(run), "cast.clean.1");
    act(run, "RESULT", "\"key\": \"cast.clean.1\", \"result\": \"CLEANING\"");
    act(run, "RESULT", "\"key\": \"cast.clean.2\", \"result\": \"CLEANING\"");
    JsonNode made = server.get("/api/jobs/" + id + "/casts/made").body();
    assertEquals(made.get("cleanings").asInt(), 2);
    assertEquals(made.get("moulds").get(1).get("filled").toString(), "[2,1]");
    assertEquals(made.get("usable").asInt() + made.get("scrap").asInt(), 0);
    assertEquals(made.get("moulds").get(1).get("casts").asInt(), 1, "it wears on the mould");
    JsonNode next = server.post("/api/jobs/" + id + "/casts/runs?moulds=1,2", "").body();
    assertTrue(next.get("tasks").toString().contains("cast.result.2"), "the next is a cast");
  }

  /** A place stays with the model it was shown on, the newest counts. */
  @Test
  public void whereACastIsNotGoodIsKeptOnTheModel() throws Exception {
    String id = job("Spotted", 33);
    record(id, "s1", "\"result\": \"SCRAP\", \"why\": \"a hole\"");
    String spots = "/api/jobs/" + id + "/casts/made/spots";
    String at = "{\"number\": 1, \"who\": \"MB\", \"place\": \"3 0.25 0.5\"}";
    JsonNode spot = server.post(spots, at).body().get("casts").get(0).get("spot");
    double size = Math.abs(spot.get("x").asDouble()) + Math.abs(spot.get("y").asDouble());
    assertTrue(size > 1 && size < 60, spot.toString());
    assertEquals(server.post(spots, at.replace("3 0.25", "somewhere")).status(), 422);
    assertEquals(server.post(spots, at.replace("\"number\": 1", "\"number\": 7")).status(), 404);
    server.restart();
    JsonNode kept = server.get("/api/jobs/" + id + "/casts/made").body().get("casts").get(0);
    assertEquals(kept.get("spot"), spot);
    server.upload(id, "other.stl", Running.stl(Tessellation.box(50, 40, 20)));
    JsonNode other = server.get("/api/jobs/" + id + "/casts/made").body().get("casts").get(0);
    assertFalse(other.hasNonNull("spot"), "of another model it says nothing");
    server.upload(id, "block.stl", Running.stl(Tessellation.box(50, 40, 33)));
    server.post(spots, at.replace("3 0.25 0.5", ""));
    JsonNode gone = server.get("/api/jobs/" + id + "/casts/made").body().get("casts").get(0);
    assertFalse(gone.hasNonNull("spot"), "taken back");
  }

  /** 0.772, 0.779, 0.781 and 0.90 come to 0.780, the last named. */
  @Test
  public void theFactorIsLearnedFromTheShopsOwnCasts() throws Exception {
    double[] own = {0.772, 0.779, 0.781, 0.90};
    String last = "";
    for (int i = 0; i < own.length; i++) {
      String id = job("Own " + (i + 1), 40 + i);
      server.write(id, "master.material", "CLAY");
      server.write(id, "cast.amount.masterG", "250 g");
      record(id, "f1", "\"result\": \"GOOD\", \"mass\": \"" + 250 * own[i] + " g\"");
      if (i == 1) {
        assertFalse(casts(id).hasNonNull("factor"), "two teach nothing");
      }
      last = id;
    }
    JsonNode factor = casts(last).get("factor");
    assertEquals(factor.get("factor").asString(), "0.78");
    assertEquals(
        factor.get("said").asString(),
        "by 4 jobs of your own, give or take 0.007; out of line: Own 4");
    server.write(last, "master.material", "WOOD");
    assertFalse(casts(last).hasNonNull("factor"), "of wood none was weighed");
  }

  @Test
  public void theDaysWorkIsToldHourByHour() throws Exception {
    String id = job("Hours", 47);
    server.write(id, "rubber.moulds", "2");
    JsonNode casts = casts(id);
    assertTrue(casts.get("deedsOn").asString().matches("\\d{1,2} \\w{3}"), casts.toString());
    assertEquals(casts.get("deeds").get(0).get("what").asString(), "fill mould 1");
    assertTrue(casts.get("deeds").get(0).get("at").asString().matches("\\d{1,2}:\\d\\d"));
    assertTrue(casts.get("deeds").toString().contains("open mould 2 and close it again"));
  }
}
