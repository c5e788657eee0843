package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

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
    assertEquals(casts(id).get("hold").asString(), "", "one part presses nothing open");
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
    // undo is of decisions: what was cast stays
    int version = server.job(id).get("version").asInt();
    String undo = "/api/jobs/" + id + "/steps?by=-1&version=" + version;
    assertEquals(server.post(undo, "").status(), 200);
    assertEquals(server.get("/api/jobs/" + id + "/casts/made").body().get("usable").asInt(), 3);
  }
}
