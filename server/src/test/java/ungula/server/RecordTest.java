package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What happened is appended beside what was decided, and undo has no hold on it. */
public class RecordTest {

  private Running server;

  @BeforeClass
  public void start() throws Exception {
    server = new Running();
  }

  @AfterClass(alwaysRun = true)
  public void stop() throws IOException {
    server.close();
  }

  private String job() throws Exception {
    String id = server.post("/api/jobs", "{\"name\": \"Weighed\"}").body().get("id").asString();
    server.write(id, "master.source", "SOLID");
    server.write(id, "rubber.product", "marram-20");
    return id;
  }

  private static String text(JsonNode job, String word) {
    return job.get("words").get(word).get("text").asString();
  }

  private void undo(String id) throws Exception {
    JsonNode job = server.job(id);
    assertEquals(
        server.post("/api/jobs/" + id + "/steps?by=-1&version=" + job.get("version"), "").status(),
        200);
  }

  @Test
  public void undoTakesADecisionBackAndLeavesWhatWasWeighed() throws Exception {
    String id = job();
    server.write(id, "mould.sidesMm", "20 mm");
    JsonNode before = server.job(id);
    server.write(id, "rubber.firstG", "240 g");
    JsonNode weighed = server.job(id);
    assertEquals(weighed.get("version"), before.get("version"));
    assertEquals(weighed.get("undo"), before.get("undo"));
    assertTrue(weighed.get("figures").has("mix.second"));
    undo(id);
    JsonNode undone = server.job(id);
    assertEquals(text(undone, "mould.sidesMm"), "12 mm");
    assertEquals(text(undone, "rubber.firstG"), "240.0 g");
    server.write(id, "rubber.firstG", "242 g");
    assertEquals(text(server.job(id), "rubber.firstG"), "242.0 g");
    server.write(id, "rubber.firstG", "");
    assertFalse(server.job(id).get("figures").has("mix.second"));
  }

  /**
   * Of another rubber nothing was weighed; of the first it still was, once that is picked again.
   */
  @Test
  public void aWeighingIsOfTheRubberThatWasWeighed() throws Exception {
    String id = job();
    server.write(id, "rubber.firstG", "240 g");
    server.write(id, "rubber.product", "samphire-15");
    assertEquals(text(server.job(id), "rubber.firstG"), "not yet");
    undo(id);
    assertEquals(text(server.job(id), "rubber.firstG"), "240.0 g");
  }

  @Test
  public void aCopyKnowsTheMasterButNothingWasPouredForIt() throws Exception {
    String id = job();
    server.write(id, "master.patch", "CURED");
    server.write(id, "rubber.firstG", "240 g");
    JsonNode copied = server.post("/api/jobs/" + id + "/copies", "{}").body();
    JsonNode copy = server.job(copied.get("id").asString());
    assertEquals(text(copy, "master.patch"), "cured clean");
    assertEquals(text(copy, "rubber.firstG"), "not yet");
  }
}
