package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import ungula.core.master.Tessellation;

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
}
