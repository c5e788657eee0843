package ungula.e2e;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.google.gson.Gson;
import com.google.gson.JsonArray;
import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import org.testng.annotations.Test;

/**
 * The application killed at random moments of a mould at the bench, as often as {@code
 * ungula.kills} says: whatever it acknowledged is there when it is started again, and no clock has
 * moved. {@code ./ungula soak} runs it.
 */
public class KillSoak {

  private static final long MOST_CLOCK_MS = 1000;

  /** As it is when it is first started. */
  private static final ZonedDateTime DAY =
      ZonedDateTime.parse("2027-03-01T07:00+01:00[Europe/Berlin]");

  private final HttpClient http = HttpClient.newHttpClient();
  private final Gson gson = new Gson();
  private final Random chance = new Random(18);
  private App app;
  private String job;
  private String run;

  /** As it was acknowledged last. */
  private JsonObject seen;

  private JsonElement asked(String method, String path, Object body) throws Exception {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(app.url(path)))
            .header("Content-Type", "application/json")
            .method(
                method, HttpRequest.BodyPublishers.ofString(body == null ? "" : gson.toJson(body)))
            .build();
    HttpResponse<String> answer = http.send(request, HttpResponse.BodyHandlers.ofString());
    return answer.statusCode() / 100 == 2 ? JsonParser.parseString(answer.body()) : null;
  }

  private JsonObject state() throws Exception {
    return asked("GET", "api/runs/" + run, null).getAsJsonObject();
  }

  private void begin() throws Exception {
    run =
        asked("POST", "api/jobs/" + job + "/runs", null).getAsJsonObject().get("id").getAsString();
    seen = state();
  }

  /** Something a hand may do now. */
  private void act() throws Exception {
    Map<String, Object> act = new HashMap<>();
    act.put("id", "k" + Long.toHexString(chance.nextLong()));
    act.put("who", "MB");
    act.put("agoMs", 0);
    String next = seen.get("next").getAsString();
    int what = chance.nextInt(10);
    if (what < 5) {
      act.put("kind", "TICK");
      act.put("key", next);
    } else if (what < 7) {
      act.put("kind", "GRAMS");
      act.put("value", String.valueOf(1 + chance.nextInt(900)));
    } else if (what < 8) {
      act.put("kind", "FOAM");
      act.put("foam", "RISES");
    } else {
      asked(
          "POST", "api/devices/stand-ins/SCALE", Map.of("deed", "put " + (1 + chance.nextInt(60))));
      seen = state();
      return;
    }
    JsonElement done = asked("POST", "api/runs/" + run + "/acts", act);
    if (done != null) {
      seen = done.getAsJsonObject();
    }
  }

  private static List<String> entries(JsonObject state) {
    List<String> all = new ArrayList<>();
    for (JsonElement e : state.getAsJsonArray("entries")) {
      JsonObject entry = e.getAsJsonObject();
      all.add(entry.get("number") + " " + entry.get("at") + " " + entry.get("text"));
    }
    return all;
  }

  private static Map<String, Long> clocks(JsonObject state) {
    Map<String, Long> all = new HashMap<>();
    JsonArray clocks = state.getAsJsonArray("clocks");
    for (JsonElement c : clocks) {
      all.put(
          c.getAsJsonObject().get("key").getAsString(),
          c.getAsJsonObject().get("untilMs").getAsLong());
    }
    return all;
  }

  /** Acts one after the other until it does not answer any more. */
  private void actUntilKilled(long killAfterMs) throws Exception {
    Thread kills =
        new Thread(
            () -> {
              LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(killAfterMs));
              try {
                app.kill();
              } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
              }
            });
    kills.start();
    try {
      while (kills.isAlive()) {
        act();
      }
    } catch (IOException killed) {
      // in the middle of an act
    }
    kills.join();
  }

  @Test
  public void nothingAcknowledgedIsLost() throws Exception {
    int kills = Integer.getInteger("ungula.kills", 100);
    int acknowledged = 0;
    int clocks = 0;
    app = App.demo();
    long begun = System.nanoTime();
    try {
      for (JsonElement e :
          asked("GET", "api/shelf", null).getAsJsonObject().getAsJsonArray("jobs")) {
        JsonObject j = e.getAsJsonObject();
        job =
            j.get("name").getAsString().equals("Lantern finial") ? j.get("id").getAsString() : job;
      }
      begin();
      for (int i = 0; i < kills; i++) {
        actUntilKilled(chance.nextInt(1500));
        app.startAt(DAY.plusNanos(System.nanoTime() - begun).toString());
        JsonObject now = state();
        List<String> before = entries(seen);
        assertEquals(entries(now).subList(0, before.size()), before, "after " + (i + 1) + " kills");
        if (entries(now).size() == before.size()) {
          Map<String, Long> then = clocks(now);
          for (Map.Entry<String, Long> c : clocks(seen).entrySet()) {
            long off = Math.abs(then.get(c.getKey()) - c.getValue());
            assertTrue(off <= MOST_CLOCK_MS, c.getKey() + " is off by " + off + " ms");
            clocks++;
          }
        }
        acknowledged += before.size();
        seen = now;
        if (now.get("next").getAsString().isEmpty() || before.size() > 60) {
          begin();
        }
      }
      System.out.println(
          kills
              + " kills, "
              + acknowledged
              + " entries and "
              + clocks
              + " clocks found as they were acknowledged");
    } finally {
      app.close();
      App.forget();
    }
  }
}
