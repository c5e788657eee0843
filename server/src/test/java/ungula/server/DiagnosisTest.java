package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import ungula.core.geometry.Vec3;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;

/** Why something went wrong, by the record of the job, over HTTP. */
public class DiagnosisTest extends OnServer {

  private String job(double height) throws Exception {
    String id = server.addJob();
    server.upload(id, "block.stl", Running.stl(Tessellation.box(50, 40, height)));
    server.write(id, "rubber.product", "marram-20");
    server.write(id, "cast.product", "oyster-75");
    return id;
  }

  private JsonNode asked(String id, String seen, int cast, String answers) throws Exception {
    String body = "{\"seen\": \"%s\", \"cast\": %d, \"answers\": {%s}}";
    return server
        .post("/api/jobs/" + id + "/diagnosis", body.formatted(seen, cast, answers))
        .body();
  }

  private static String first(JsonNode diagnosis) {
    return diagnosis.at("/causes/0/cause").asString();
  }

  private static boolean asks(JsonNode diagnosis, String fact) {
    for (JsonNode q : diagnosis.get("questions")) {
      if (q.get("fact").asString().equals(fact)) {
        return true;
      }
    }
    return false;
  }

  @Test
  public void theRecordIsReadFirstAndTheRestIsAsked() throws Exception {
    String id = job(22);
    server.write(id, "master.patch", "CURED");
    JsonNode tacky = asked(id, "TACKY_AT_MASTER", 0, "");
    assertTrue(tacky.get("known").toString().contains("patch on the master cured"));
    assertFalse(asks(tacky, "patch"), "it is on record");
    assertTrue(asks(tacky, "witness"), tacky.get("questions").toString());
    assertTrue(tacky.get("questions").size() <= 4);
    String cured = first(tacky);
    server.write(id, "master.patch", "TACKY");
    assertEquals(first(asked(id, "TACKY_AT_MASTER", 0, "")), "INHIBITED");
    assertFalse(cured.equals("INHIBITED"), "it is not the same for everybody");
    JsonNode soft = asked(id, "SOFT", 0, "\"roomC\": \"14\"");
    assertEquals(first(soft), "TOO_COLD");
    assertFalse(asks(soft, "roomC"), "it was answered");
    assertEquals(soft.at("/causes/0/stage").asString(), "days");
    assertEquals(soft.at("/causes/0/habit/word").asString(), "roomC");
    assertTrue(soft.at("/causes/0/habit/now").asString().contains("°C"), soft.toString());
    assertEquals(server.get("/api/jobs/none/diagnosis").status(), 404);
    assertEquals(server.get("/api/jobs/" + id + "/diagnosis").body().get("seen").size(), 17);
  }

  /** What it turned out to be changes the order, in every job of the workshop. */
  @Test
  public void whatItWasIsKeptAndCounts() throws Exception {
    String id = job(23);
    String other = job(24);
    JsonNode before = asked(other, "PEELING", 0, "");
    assertEquals(first(before), "WINDOW_MISSED");
    for (int i = 0; i < 4; i++) {
      String body =
          "{\"id\": \"k%d\", \"who\": \"AK\", \"seen\": \"PEELING\", \"cast\": 0,"
              + " \"answers\": {\"massaged\": \"no\"}, \"cause\": \"DUSTY\"}";
      String cases = "/api/jobs/" + id + "/diagnosis/cases";
      server.post(cases, body.formatted(i));
      JsonNode kept = server.post(cases, body.formatted(i)).body().get("cases");
      assertEquals(kept.size(), i + 1, "delivered twice it is kept once");
      String number = kept.get(0).get("id").asString();
      assertEquals(
          server
              .post(
                  "/api/jobs/" + other + "/diagnosis/cases/" + number + "/outcome",
                  "{\"wasIt\": true}")
              .status(),
          404);
      server.post(cases + "/" + number + "/outcome", "{\"wasIt\": false}");
      JsonNode ended = server.post(cases + "/" + number + "/outcome", "{\"wasIt\": true}").body();
      assertTrue(ended.at("/cases/0/wasIt").asBoolean(), "the newest counts");
    }
    JsonNode after = asked(other, "PEELING", 0, "");
    assertEquals(first(after), "DUSTY");
    assertTrue(after.at("/causes/0/forIt").toString().contains("here it was this 4 times"));
    JsonNode kept = server.get("/api/jobs/" + id + "/diagnosis").body().get("cases");
    assertEquals(kept.get(0).get("who").asString(), "AK");
    assertEquals(kept.get(0).get("seen").asString(), "coats that peel");
  }

  /** A mushroom whose rim hangs down: turned over to be cast, air stays under the rim. */
  private static final TriangleMesh MUSHROOM =
      Tessellation.turned(
          new double[][] {{0, 0}, {8, 0}, {8, 30}, {30, 20}, {30, 40}, {0, 40}}, 48);

  /** A facet of it out at the rim, looking down. */
  private static int underTheRim() {
    for (int t = 0; t < MUSHROOM.triangleCount(); t++) {
      Vec3 at = MUSHROOM.middle(t);
      if (Math.hypot(at.x(), at.y()) > 20 && at.z() < 26 && MUSHROOM.areaVector(t).z() < 0) {
        return t;
      }
    }
    throw new AssertionError("no such facet");
  }

  /** However high the master stands in its box, a place on it is compared with what is there. */
  @Test
  public void thePlaceIsComparedWithAirRubberAndLocks() throws Exception {
    String id = server.addJob();
    server.upload(id, "mushroom.stl", Running.stl(MUSHROOM));
    server.write(id, "rubber.product", "marram-20");
    server.write(id, "cast.product", "oyster-75");
    server.write(id, "mould.kind", "CUT");
    server.write(id, "pose.liftMm", "60 mm");
    server.studied(id);
    String casts = "/api/jobs/" + id + "/casts/made";
    JsonNode made =
        server
            .post(
                casts,
                "{\"id\": \"c1\", \"who\": \"MB\", \"mould\": 1, \"result\": \"SCRAP\", \"why\": \"a hole\"}")
            .body();
    int number = made.at("/casts/0/number").asInt();
    String place = "{\"number\": %d, \"place\": \"%d 0.3 0.3\"}";
    JsonNode shown = server.post(casts + "/spots", place.formatted(number, underTheRim())).body();
    assertTrue(shown.at("/casts/0").hasNonNull("spot"), shown.toString());
    JsonNode found = asked(id, "HOLES_SAME_PLACE", number, "");
    assertEquals(first(found), "AIR_TRAPPED", found.toString());
    assertTrue(found.get("known").toString().contains("mL of air stays there"), found.toString());
    JsonNode told = found.at("/place/told");
    assertTrue(told.get(0).asString().endsWith("of air stays in a cast here."), told.toString());
    assertTrue(told.get(1).asString().startsWith("The rubber is "), told.toString());
    assertTrue(told.get(2).asString().startsWith("The mould is locked here"), told.toString());
    assertTrue(found.at("/place/z").asDouble() < 40, "on the master as it is drawn");
    JsonNode vent = found.at("/causes/0/fix/edits/0");
    assertEquals(vent.get("word").asString(), "casting.vent");
    server.write(id, "casting.vent", vent.get("text").asString());
    server.studied(id);
    JsonNode after = asked(id, "HOLES_SAME_PLACE", number, "");
    assertFalse(
        after.at("/place/told/0").asString().equals(told.get(0).asString()), after.toString());
  }
}
