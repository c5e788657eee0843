package ungula.server;

import static org.testng.Assert.assertEquals;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.function.Predicate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Tests that make moulds at the bench, over HTTP. */
public abstract class OnBench extends OnServer {

  protected static final JsonMapper JSON = JsonMapper.builder().build();

  protected JsonNode run(String id) throws Exception {
    return server.get("/api/runs/" + id).body();
  }

  protected Running.Answer act(String run, String kind, Object... more) throws Exception {
    return deliver(run, UUID.randomUUID().toString(), kind, more);
  }

  protected Running.Answer deliver(String run, String id, String kind, Object... more)
      throws Exception {
    Map<String, Object> act = new HashMap<>(Map.of("id", id, "kind", kind, "who", "MB"));
    act.put("agoMs", 0);
    for (int i = 0; i < more.length; i += 2) {
      act.put((String) more[i], more[i + 1]);
    }
    return server.post("/api/runs/" + run + "/acts", JSON.writeValueAsString(act));
  }

  protected static JsonNode task(JsonNode run, String key) {
    for (JsonNode t : run.get("tasks")) {
      if (t.get("key").asString().equals(key)) {
        return t;
      }
    }
    throw new AssertionError("no task " + key + " in " + run.get("tasks"));
  }

  /** Does what is next, by hand, until something is next. */
  protected JsonNode until(String run, Predicate<JsonNode> next) throws Exception {
    for (int i = 0; i < 200; i++) {
      JsonNode now = run(run);
      String key = now.get("next").asString();
      if (key.isEmpty() || next.test(task(now, key))) {
        return now;
      }
      Running.Answer done = does(run, now, task(now, key));
      assertEquals(done.status(), 200, key + ": " + done.text());
    }
    throw new AssertionError("It does not come to an end: " + run(run));
  }

  protected Running.Answer does(String run, JsonNode now, JsonNode t) throws Exception {
    String key = t.get("key").asString();
    return switch (t.get("kind").asString()) {
      case "GATE" -> act(run, "GATE", "key", key, "yes", true);
      case "VERDICT" -> act(run, "VERDICT", "key", key, "yes", true);
      case "WEIGH" -> act(run, "GRAMS", "value", now.get("weighing").get("target").asString());
      case "LEVEL" -> {
        for (JsonNode b : now.get("batches")) {
          if (b.get("key").asString().equals(t.get("batch").asString())) {
            yield act(run, "LEVEL", "value", b.get("expected").asString());
          }
        }
        throw new AssertionError(t);
      }
      default -> act(run, "TICK", "key", key);
    };
  }

  protected static Predicate<JsonNode> kind(String kind) {
    return t -> t.get("kind").asString().equals(kind);
  }

  protected String begun(String job) throws Exception {
    Running.Answer answer = server.post("/api/jobs/" + job + "/runs", "");
    assertEquals(answer.status(), 200, answer.text());
    return answer.body().get("id").asString();
  }
}
