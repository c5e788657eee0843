package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import ungula.core.master.Tessellation;

/** What happened in a job, from wherever it was recorded, in one order. */
public class LogTest extends OnServer {

  private String job(double high) throws Exception {
    String id = server.addJob();
    server.upload(id, "block.stl", Running.stl(Tessellation.box(50, 40, high)));
    server.write(id, "rubber.product", "marram-20");
    server.write(id, "cast.product", "oyster-75");
    return id;
  }

  private JsonNode log(String id) throws Exception {
    return server.get("/api/jobs/" + id + "/log").body();
  }

  private static List<String> texts(JsonNode log, String what) {
    List<String> all = new ArrayList<>();
    log.get("lines").forEach(l -> all.add(l.get(what).asString()));
    return all;
  }

  private void act(String run, String more) throws Exception {
    String id = UUID.randomUUID().toString();
    String act = "{\"id\": \"" + id + "\", \"who\": \"MB\", \"agoMs\": 0, " + more + "}";
    Running.Answer done = server.post("/api/runs/" + run + "/acts", act);
    assertEquals(done.status(), 200, done.text());
  }

  @Test
  public void anEmptyLogIsEmpty() throws Exception {
    JsonNode log = log(job(27));
    assertEquals(log.get("lines").size(), 0);
    assertEquals(log.get("differences").asInt(), 0);
  }

  @Test
  public void benchCastsBatchesAndRecordsStandInOneOrder() throws Exception {
    String id = job(28);
    String run = server.post("/api/jobs/" + id + "/runs", "").body().get("id").asString();
    JsonNode begun = server.get("/api/runs/" + run).body();
    for (JsonNode t : begun.get("tasks")) {
      if (t.get("kind").asString().equals("WEIGH")) {
        break;
      }
      String kind = t.get("kind").asString().equals("GATE") ? "GATE" : "TICK";
      act(
          run,
          "\"kind\": \""
              + kind
              + "\", \"yes\": true, \"key\": \""
              + t.get("key").asString()
              + "\"");
    }
    String target = server.get("/api/runs/" + run).body().get("weighing").get("target").asString();
    double baseG = Double.parseDouble(target.replaceAll("[^0-9.]", ""));
    act(run, "\"kind\": \"GRAMS\", \"value\": \"" + 1.1 * baseG + " g\"");
    server.post(
        "/api/jobs/" + id + "/casts/made",
        "{\"id\": \"l1\", \"mould\": 1, \"who\": \"AK\", \"result\": \"SCRAP\", \"why\": \"a hole\"}");
    server.write(id, "rubber.mouldG", "431 g");
    JsonNode log = log(id);
    List<String> what = texts(log, "what");
    assertTrue(what.get(0).startsWith("Planned, in "), what.toString());
    assertEquals(what.get(1), "A mould is begun");
    int base = what.indexOf("The batch: base");
    assertTrue(base > 0, what.toString());
    JsonNode weighed = log.get("lines").get(base);
    assertEquals(weighed.get("planned").asString(), target);
    assertEquals(weighed.get("off").asString(), "10.0 % more than planned");
    assertEquals(weighed.get("run").asString(), run);
    assertEquals(weighed.get("who").asString(), "MB");
    JsonNode cast = log.get("lines").get(what.indexOf("Cast 1 out of mould 1"));
    assertEquals(cast.get("off").asString(), "scrap: a hole");
    assertTrue(what.contains("mass of the first mould"), what.toString());
    assertTrue(log.get("differences").asInt() >= 2);
    server.restart();
    assertEquals(log(id), log, "made of what is kept");

    String csv =
        new String(server.get("/api/jobs/" + id + "/log/log.csv").raw(), StandardCharsets.UTF_8);
    assertEquals(csv.lines().count(), what.size() + 1L);
    assertTrue(csv.contains("MB,weighed,"), csv);
    assertTrue(csv.contains("10.0 % more than planned"), csv);
    byte[] pdf = server.get("/api/jobs/" + id + "/log/log.pdf").raw();
    try (PDDocument document = Loader.loadPDF(pdf)) {
      String text = new PDFTextStripper().getText(document);
      assertTrue(text.contains("scrap: a hole"), text);
      assertFalse(text.contains("Nothing has happened yet"), text);
    }
  }

  /** What was corrected stands where it stood. */
  @Test
  public void whatIsStruckStaysOnTheLog() throws Exception {
    String id = job(29);
    String made = "/api/jobs/" + id + "/casts/made";
    server.post(made, "{\"id\": \"s1\", \"mould\": 1, \"result\": \"GOOD\"}");
    server.post(
        made,
        "{\"id\": \"s2\", \"mould\": 1, \"result\": \"STRUCK\", \"strikes\": 1, \"why\": \"twice\"}");
    JsonNode log = log(id);
    List<String> what = texts(log, "what");
    assertEquals(
        what.subList(1, what.size()), List.of("Cast 1 out of mould 1", "Cast 1 does not count"));
    assertEquals(log.get("lines").get(1).get("struck").asString(), "twice");
    assertEquals(log.get("differences").asInt(), 0);
  }

  /**
   * What was planned before is one line; what was changed while it was made stands with its day.
   */
  @Test
  public void whatIsDecidedOnTheWayIsOnTheLog() throws Exception {
    String id = job(27);
    assertEquals(log(id).get("lines").size(), 0, "nothing has happened yet");
    server.write(id, "mould.sidesMm", "12 mm");
    server.post(
        "/api/jobs/" + id + "/casts/made", "{\"id\": \"d1\", \"mould\": 1, \"result\": \"GOOD\"}");
    server.write(id, "mould.sidesMm", "20 mm");
    server.write(id, "mould.sidesMm", "25 mm");
    int version = server.job(id).get("version").asInt();
    server.post("/api/jobs/" + id + "/steps?by=-1&version=" + version, "");
    List<String> what = texts(log(id), "what");
    assertTrue(what.get(0).startsWith("Planned, in "), what.toString());
    assertEquals(what.get(1), "Cast 1 out of mould 1");
    assertEquals(what.size(), 3, "what was undone is not there: " + what);
    assertTrue(what.get(2).startsWith("Decided: "), what.get(2));
    assertTrue(what.get(2).endsWith("20 mm in place of 12 mm"), what.get(2));
  }
}
