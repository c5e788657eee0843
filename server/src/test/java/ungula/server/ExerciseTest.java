package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What is practised is scored by the rules of the core, and is on no list. */
public class ExerciseTest extends OnServer {

  private JsonNode begun(String exercise) throws Exception {
    return server.post("/api/exercises/" + exercise, "").body();
  }

  private JsonNode score(String job) throws Exception {
    String path = "/api/exercises/jobs/" + job + "/score";
    Instant late = Instant.now().plusSeconds(180);
    while (true) {
      JsonNode score = server.get(path).body().get("score");
      if (score != null && !score.isNull()) {
        return score;
      }
      assertTrue(Instant.now().isBefore(late), "It is not known in time");
      Running.lookLater();
    }
  }

  @Test
  public void thereAreFive() throws Exception {
    JsonNode all = server.get("/api/exercises").body();
    assertEquals(all.size(), 5);
    assertEquals(all.get(0).get("key").asString(), "LEAST_AIR");
    assertFalse(all.get(0).get("bench").asBoolean());
    assertTrue(all.get(4).get("bench").asBoolean());
  }

  @Test
  public void aTiltIsScoredByTheAirThatStays() throws Exception {
    JsonNode begun = begun("LEAST_AIR");
    String job = begun.get("job").asString();
    assertEquals(begun.get("stage").asString(), "master");
    assertEquals(server.get("/api/jobs/" + job).body().get("exercise").asString(), "LEAST_AIR");
    // tipped before its shape is known: what is asked for does not stop each other
    server.get("/api/exercises/jobs/" + job + "/score");
    server.write(job, "pose.tipped", "30 45");
    JsonNode tipped = score(job);
    assertTrue(tipped.get("points").asInt() > 90, tipped.toString());
    String version = server.get("/api/jobs/" + job).body().get("version").asString();
    server.post("/api/jobs/" + job + "/steps?by=-1&version=" + version, "");
    assertEquals(score(job).get("points").asInt(), 0);
    assertEquals(server.get("/api/exercises/jobs/" + server.addJob() + "/score").status(), 404);
    // it is on no list, and gone when it is begun again
    assertFalse(server.get("/api/shelf").text().contains(job));
    assertFalse(begun("LEAST_AIR").get("job").asString().equals(job));
    assertEquals(server.get("/api/jobs/" + job).status(), 404);
  }

  private JsonNode run(String job) throws Exception {
    String path = "/api/exercises/jobs/" + job + "/run";
    Instant late = Instant.now().plusSeconds(180);
    while (true) {
      JsonNode run = server.post(path, "").body().get("run");
      if (run != null && !run.isNull()) {
        return server.get("/api/runs/" + run.asString()).body();
      }
      assertTrue(Instant.now().isBefore(late), "It is not known in time");
      Running.lookLater();
    }
  }

  private JsonNode act(String run, String act) throws Exception {
    String id = "\"id\": \"" + act.hashCode() + "\", \"agoMs\": 0, ";
    return server.post("/api/runs/" + run + "/acts", "{" + id + act + "}").body();
  }

  @Test
  public void aBatchMixedToItsRatioHasAllPoints() throws Exception {
    String job = begun("RATIO").get("job").asString();
    JsonNode run = run(job);
    String id = run.get("id").asString();
    assertTrue(run.get("next").asString().endsWith(".weigh"), run.get("next").asString());
    assertEquals(run.get("exercise").get("title").asString(), "Mix to the ratio");
    assertFalse(run.get("exercise").get("done").asBoolean());
    JsonNode figures = server.get("/api/jobs/" + job).body().get("figures");
    for (String part : new String[] {"BASE", "HARDENER"}) {
      String batch = run.get("batches").get(0).get("key").asString();
      String figure = part.equals("BASE") ? "mix.base" : "mix.hardener";
      String grams = figures.get(figure).get("text").asString();
      run =
          act(
              id,
              "\"kind\": \"GRAMS\", \"key\": \"%s\", \"part\": \"%s\", \"value\": \"%s\""
                  .formatted(batch, part, grams));
    }
    for (int i = 0; i < 10 && !run.get("exercise").get("done").asBoolean(); i++) {
      run = act(id, "\"kind\": \"TICK\", \"key\": \"" + run.get("next").asString() + "\"");
    }
    assertTrue(run.get("exercise").get("done").asBoolean(), run.get("next").asString());
    JsonNode score = server.get("/api/runs/" + id + "/score").body();
    assertEquals(score.get("points").asInt(), 100, score.toString());
    assertEquals(server.get("/api/runs").body().size(), 0, "nothing of it is kept");
  }
}
