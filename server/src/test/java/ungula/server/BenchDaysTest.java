package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.io.StringReader;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.component.VEvent;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Days of jobs and of the workshop over HTTP; it is a Monday at seven in Berlin. */
public class BenchDaysTest extends OnServer {

  /** A poured block of measured size, with a rubber. */
  private String block(String name) throws Exception {
    String id =
        server.post("/api/jobs", "{\"name\": \"" + name + "\"}").body().get("id").asString();
    edit(
        id,
        "master.source",
        "SOLID",
        "master.solid.lengthMm",
        "80 mm",
        "rubber.product",
        "marram-20",
        "mould.kind",
        "OPEN");
    return id;
  }

  private JsonNode edit(String id, String... edits) throws Exception {
    List<String> all = new ArrayList<>();
    for (int i = 0; i < edits.length; i += 2) {
      all.add("{\"word\": \"" + edits[i] + "\", \"text\": \"" + edits[i + 1] + "\"}");
    }
    int version = server.job(id).get("version").asInt();
    String body = "{\"version\": " + version + ", \"edits\": [" + String.join(",", all) + "]}";
    return server.post("/api/jobs/" + id + "/edits", body).body();
  }

  private JsonNode days(String id) throws Exception {
    return server.get("/api/jobs/" + id + "/days").body();
  }

  private void workshop(String word, String text) throws Exception {
    int version = server.get("/api/workshop").body().get("version").asInt();
    server.post(
        "/api/workshop/edits",
        "{\"version\": "
            + version
            + ", \"edits\": [{\"word\": \""
            + word
            + "\", \"text\": \""
            + text
            + "\"}]}");
  }

  private static JsonNode step(JsonNode days, String key) {
    for (JsonNode s : days.get("steps")) {
      if (s.get("key").asString().equals(key)) {
        return s;
      }
    }
    throw new AssertionError(key + " is not there: " + days);
  }

  @Test
  public void theBeginningIsTypedAndWhatItCostsIsSaid() throws Exception {
    String id = block("Typed");
    assertEquals(days(id).get("begin").asString(), "Mon 1 Mar 8:00");
    JsonNode asked = server.get("/api/jobs/" + id + "/days/begun?begin=Wed%2010:30").body();
    assertEquals(asked.get("begin").asString(), "Wed 3 Mar 10:30");
    assertTrue(asked.get("says").asString().matches("finished \\d{2} h .*later"), asked.toString());
    // nothing is saved by asking
    assertEquals(days(id).get("begin").asString(), "Mon 1 Mar 8:00");
    edit(id, "days.begin", "when the rubber comes, Wed 10:30");
    assertEquals(days(id).get("begin").asString(), "Wed 3 Mar 10:30");
    JsonNode job = server.job(id);
    assertEquals(
        job.get("words").get("days.begin").get("text").asString(),
        "Wed 3 Mar 10:30, when the rubber comes");
    assertEquals(job.get("stages").get("days").asString(), "DONE");
    JsonNode refused = server.get("/api/jobs/" + id + "/days/begun?begin=soon").body();
    assertTrue(refused.get("detail").asString().contains("tomorrow 8:30"), refused.toString());
  }

  @Test
  public void aStepIsPinnedAndLetGo() throws Exception {
    String id = block("Pinned");
    String at = step(days(id), "box").get("from").asString();
    edit(id, "days.pin", "box Tue 10:15");
    JsonNode pinned = days(id);
    assertEquals(step(pinned, "box").get("from").asString(), "Tue 2 Mar 10:15");
    assertTrue(step(pinned, "box").get("pinned").asBoolean());
    // at night nobody works: said, with times all the same
    edit(id, "days.pin", "box Tue 3:00");
    JsonNode night = days(id);
    assertEquals(night.get("steps").size(), 0, "nothing is shown that breaks a rule");
    assertTrue(
        night.get("rule").asString().contains("cannot begin at that time"), night.toString());
    edit(id, "days.pin", "box");
    assertEquals(step(days(id), "box").get("from").asString(), at);
  }

  @Test
  public void theSecondJobOnTheBenchWaitsForTheFirst() throws Exception {
    String first = block("First of two");
    String second = block("Second of two");
    edit(first, "days.begin", "Mon 8 Mar 8:00");
    JsonNode alone = days(first);
    edit(second, "days.begin", "Mon 8 Mar 8:00");
    apart(first, second);
    JsonNode bench = server.get("/api/days").body();
    assertEquals(order(bench, first, second), List.of(first, second));
    assertFalse(job(bench, second).get("later").asString().isEmpty(), bench.toString());
    assertTrue(bench.get("shares").toString().contains("First of two and Second of two"));
    JsonNode turned =
        server
            .post("/api/days/order", "{\"jobs\": [\"" + second + "\", \"" + first + "\"]}")
            .body();
    assertEquals(order(turned, first, second), List.of(second, first));
    apart(first, second);
    assertNotEquals(
        days(first).get("told").get("finish").get("text"),
        alone.get("told").get("finish").get("text"));
    // put away, it takes nobody's hands
    server.post("/api/jobs/" + second + "/archived?archived=true", "");
    assertEquals(
        days(first).get("told").get("finish").get("text"),
        alone.get("told").get("finish").get("text"));
    JsonNode between = server.get("/api/days/between?from=Mon%208%20Mar%208:00&to=9:00").body();
    assertTrue(between.get("planned").toString().contains("First of two"), between.toString());
    assertTrue(between.get("free").asInt() < 60);
  }

  private static JsonNode job(JsonNode bench, String id) {
    for (JsonNode j : bench.get("jobs")) {
      if (j.get("id").asString().equals(id)) {
        return j;
      }
    }
    throw new AssertionError(id + " is not on the bench");
  }

  private static List<String> order(JsonNode bench, String... of) {
    List<String> ids = new ArrayList<>();
    bench.get("jobs").forEach(j -> ids.add(j.get("id").asString()));
    ids.retainAll(List.of(of));
    return ids;
  }

  /** No hands are in two jobs at once. */
  private void apart(String first, String second) throws Exception {
    assertTrue(days(first).get("steps").size() > 5 && days(second).get("steps").size() > 5);
    for (JsonNode a : days(first).get("steps")) {
      for (JsonNode b : days(second).get("steps")) {
        boolean hands = !a.get("kind").asString().equals("WAIT");
        if (hands && !b.get("kind").asString().equals("WAIT")) {
          assertTrue(
              !time(a, "begin").isBefore(time(b, "end"))
                  || !time(b, "begin").isBefore(time(a, "end")),
              a + " and " + b);
        }
      }
    }
  }

  private static Instant time(JsonNode step, String which) {
    return OffsetDateTime.parse(step.get(which).asString()).toInstant();
  }

  @Test
  public void aColdNightMovesTheOpening() throws Exception {
    String id = block("Cold");
    edit(id, "days.begin", "Mon 15 Mar 14:00");
    String before = step(days(id), "pour.1.cure").get("to").asString();
    workshop("hours.forecast", "Mon 15 Mar 12:00 10 °C; Tue 16 Mar 12:00 21 °C");
    try {
      JsonNode cold = days(id);
      assertNotEquals(step(cold, "pour.1.cure").get("to").asString(), before);
      assertTrue(cold.get("notes").toString().contains("10 °C"), cold.get("notes").toString());
    } finally {
      workshop("hours.forecast", "none");
    }
    assertEquals(step(days(id), "pour.1.cure").get("to").asString(), before);
  }

  @Test
  public void withoutAnyHoursItIsSaid() throws Exception {
    String id = block("No hours");
    String[] week = {"MONDAY", "TUESDAY", "WEDNESDAY", "THURSDAY", "FRIDAY", "SATURDAY", "SUNDAY"};
    for (String day : week) {
      workshop("hours.week." + day, "none");
    }
    JsonNode none = days(id);
    for (int i = 0; i < 5; i++) {
      workshop("hours.week." + week[i], "8–12, 13–17");
    }
    assertEquals(none.get("steps").size(), 0);
    assertEquals(none.get("rule").asString(), "There are no hours of work in the calendar.");
  }

  @Test
  public void aCalendarIsReadBackAndKeepsItsNames() throws Exception {
    String id = block("Calendar");
    edit(id, "days.begin", "Fri 26 Mar 2027 14:00");
    Map<String, VEvent> events = events(server.get("/api/jobs/" + id + "/days.ics").text());
    JsonNode days = days(id);
    // the library's own parser, and a small reader of our own
    Map<String, String> read = read(server.get("/api/jobs/" + id + "/days.ics").text());
    assertEquals(read.keySet(), events.keySet());
    for (Map.Entry<String, VEvent> e : events.entrySet()) {
      Instant begin = Instant.from(e.getValue().getDateTimeStart().getDate());
      assertEquals(read.get(e.getKey()), begin.toString().replaceAll("[-:]", ""));
    }
    String cure = id + "-pour.1.cure@ungula";
    // over the change of summer time
    assertEquals(
        Instant.from(events.get(cure).getDateTimeStart().getDate()),
        time(step(days, "pour.1.cure"), "end"));
    edit(id, "days.begin", "Mon 29 Mar 2027 9:00");
    Map<String, VEvent> again = events(server.get("/api/jobs/" + id + "/days.ics").text());
    assertEquals(again.keySet(), events.keySet());
    assertNotEquals(
        again.get(cure).getDateTimeStart().getDate(),
        events.get(cure).getDateTimeStart().getDate());
    assertTrue(
        again.get(cure).getSequence().getSequenceNo()
            > events.get(cure).getSequence().getSequenceNo());
    String csv = server.get("/api/jobs/" + id + "/days/steps.csv").text();
    assertTrue(csv.startsWith("step,part,what,kind,begin,end,minutes\r\n"), csv);
    assertTrue(csv.contains("pour.1.cure,"), csv);
  }

  /** By UID. */
  private static Map<String, VEvent> events(String ics) throws Exception {
    Map<String, VEvent> all = new HashMap<>();
    for (Object o : new CalendarBuilder().build(new StringReader(ics)).getComponents("VEVENT")) {
      VEvent e = (VEvent) o;
      all.put(e.getUid().get().getValue(), e);
    }
    return all;
  }

  /** When each event begins, by UID: lines unfolded, nothing else of the format known. */
  private static Map<String, String> read(String ics) {
    assertTrue(ics.startsWith("BEGIN:VCALENDAR\r\n"), ics);
    Map<String, String> all = new HashMap<>();
    String uid = "";
    for (String line : ics.replace("\r\n ", "").split("\r\n")) {
      assertTrue(line.length() > 0 && !line.contains("\n"), line);
      if (line.startsWith("UID:")) {
        uid = line.substring(4);
      } else if (line.startsWith("DTSTART")) {
        all.put(uid, line.replaceFirst("^DTSTART[^:]*:", ""));
      }
    }
    return all;
  }

  @Test
  public void aCalendarIsSubscribedToUntilItIsRevoked() throws Exception {
    String id = block("Subscribed");
    edit(id, "days.begin", "Mon 5 Apr 8:00");
    assertEquals(server.get("/api/calendar/address").body().get("path").asString(), "");
    String path = server.post("/api/calendar/address", "").body().get("path").asString();
    assertTrue(path.matches("/api/calendar/[\\w-]{32}\\.ics"), path);
    // asked again it is the same
    assertEquals(server.post("/api/calendar/address", "").body().get("path").asString(), path);
    Instant then = begins(server.get(path).text(), id);
    edit(id, "days.begin", "Tue 6 Apr 9:30");
    // never an old plan
    assertEquals(begins(server.get(path).text(), id), then.plusSeconds(24 * 3600 + 90 * 60));
    assertEquals(server.get("/api/calendar/" + "x".repeat(32) + ".ics").status(), 404);
    server.delete("/api/calendar/address");
    assertEquals(server.get(path).status(), 404);
    assertNotEquals(server.post("/api/calendar/address", "").body().get("path").asString(), path);
  }

  private static Instant begins(String ics, String id) throws Exception {
    return events(ics).entrySet().stream()
        .filter(e -> e.getKey().startsWith(id))
        .map(e -> Instant.from(e.getValue().getDateTimeStart().getDate()))
        .min(Instant::compareTo)
        .orElseThrow();
  }
}
