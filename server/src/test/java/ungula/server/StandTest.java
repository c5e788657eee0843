package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import ungula.core.master.Tessellation;

/** Ways up and marks, as the page asks for them. */
public class StandTest extends OnServer {

  private String coneJob(int around) throws Exception {
    String id = server.addJob();
    byte[] stl =
        Running.stl(
            Tessellation.turned(new double[][] {{0, 0}, {25, 0}, {8, 90}, {0, 90}}, around));
    server.upload(id, "cone.stl", stl);
    return id;
  }

  private JsonNode stands(String id) throws Exception {
    return server.get("/api/jobs/" + id + "/stands").body();
  }

  private JsonNode when(String id, String state) throws Exception {
    Instant late = Instant.now().plus(Duration.ofSeconds(300));
    JsonNode s = stands(id);
    while (!s.get("work").get("state").asString().equals(state)) {
      assertTrue(Instant.now().isBefore(late), "not " + state + ": " + s);
      Running.lookLater();
      s = stands(id);
    }
    return s;
  }

  @Test
  public void aSearchGoesOnAfterItWasStoppedAndTheServerRestarted() throws Exception {
    String id = coneJob(60);
    assertEquals(stands(id).get("work").get("state").asString(), "OPEN");
    server.post("/api/jobs/" + id + "/stands", "");
    server.delete("/api/jobs/" + id + "/stands");
    when(id, "STOPPED");
    int looked = stands(id).get("looked").asInt();
    server.restart();
    assertEquals(stands(id).get("looked").asInt(), looked);
    server.post("/api/jobs/" + id + "/stands", "");
    JsonNode s = when(id, "READY");
    assertTrue(s.get("looked").asInt() >= 500, "looked at " + s.get("looked"));
    JsonNode lowest = null;
    for (JsonNode row : s.get("stands")) {
      if (row.get("why").asString().contains("stands lowest")) {
        lowest = row;
      }
    }
    // on its side
    assertEquals(lowest.get("figures").get("height").get("value").asDouble(), 50, 3);
    byte[] picture = server.get(lowest.get("picture").asString()).raw();
    assertEquals(new String(picture, 1, 3, StandardCharsets.UTF_8), "PNG");
    server.write(id, "pose.stand", lowest.get("edit").asString());
    assertEquals(server.job(id).get("figures").get("master.size").get("value").asDouble(), 50, 3);
    // the same body, however it stands: known, and how it stands now is among them in a moment
    assertEquals(stands(id).get("looked").asInt(), s.get("looked").asInt());
    int now = 0;
    for (JsonNode row : when(id, "READY").get("stands")) {
      now += row.get("now").asBoolean() ? 1 : 0;
    }
    assertEquals(now, 1);
  }

  @Test
  public void aStrokeMarksFacetsAndIsUndone() throws Exception {
    String id = coneJob(40);
    int version = server.job(id).get("version").asInt();
    String stroke =
        "{\"version\":%d,\"mark\":\"KEEP_CLEAN\",\"erase\":%s,\"bendDegrees\":20,"
            + "\"places\":[{\"facet\":3,\"u\":0.3,\"v\":0.3}]}";
    JsonNode job =
        server.post("/api/jobs/" + id + "/marks", stroke.formatted(version, "false")).body();
    assertTrue(job.get("marks").get(0).get("area").asString().endsWith("cm²"), job.toString());
    byte[] bits = server.get("/api/jobs/" + id + "/marks").raw();
    int marked = 0;
    for (byte b : bits) {
      marked += b;
    }
    assertTrue(marked >= 20, "marked " + marked);
    JsonNode undone =
        server
            .post("/api/jobs/" + id + "/steps?by=-1&version=" + job.get("version").asInt(), "")
            .body();
    assertEquals(undone.get("marks").get(0).get("area").asString(), "");
    assertEquals(
        server.post("/api/jobs/" + id + "/marks", stroke.formatted(version, "true")).status(), 409);
  }
}
