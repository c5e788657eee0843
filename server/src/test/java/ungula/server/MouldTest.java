package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import ungula.core.master.Tessellation;

/** The moulds there are, over HTTP: found by what is known of them, and never lost. */
public class MouldTest extends OnServer {

  private String job(String name, double height) throws Exception {
    String id = server.addJob();
    server.post("/api/jobs/" + id + "/name", "{\"name\": \"" + name + "\"}");
    server.upload(id, "block.stl", Running.stl(Tessellation.box(50, 40, height)));
    server.write(id, "rubber.product", "marram-20");
    server.write(id, "cast.product", "oyster-75");
    server.write(id, "cast.wanted", "30");
    return id;
  }

  private void cast(String job, String act, int mould) throws Exception {
    String body = "{\"id\": \"" + act + "\", \"mould\": " + mould + ", \"result\": \"GOOD\"}";
    assertEquals(server.post("/api/jobs/" + job + "/casts/made", body).status(), 200);
  }

  private JsonNode list(String query) throws Exception {
    return server.get("/api/moulds" + query).body();
  }

  private List<Integer> castFrom(String job) throws Exception {
    List<Integer> all = new ArrayList<>();
    for (JsonNode m : server.get("/api/jobs/" + job + "/casts/made").body().get("moulds")) {
      all.add(m.get("mould").asInt());
    }
    return all;
  }

  private JsonNode say(String code, String word, String text) throws Exception {
    Running.Answer answer =
        server.post(
            "/api/moulds/" + code + "/edits",
            "{\"who\": \"AK\", \"edits\": [{\"word\": \""
                + word
                + "\", \"text\": \""
                + text
                + "\"}]}");
    return answer.body();
  }

  @Test
  public void aMouldIsKnownByItsCastsAndFoundByItsCode() throws Exception {
    String id = job("Heron weathervane", 30);
    assertEquals(list("?q=heron").get("found").asInt(), 0);
    server.write(id, "cast.series.gaveBefore", "4");
    cast(id, "h1", 1);
    cast(id, "h2", 1);
    JsonNode m = list("?q=heron+WEATHER").get("moulds").get(0);
    String code = m.get("code").asString();
    assertEquals(m.get("gave").asInt(), 6, "four before, and two");
    assertTrue(Integer.parseInt(m.get("gives").asString()) > 10, m.toString());
    assertEquals(m.get("rubber").asString(), "Marram 20 addition, medium");
    for (String typed : new String[] {code, code.toLowerCase(Locale.ROOT), " " + code + " "}) {
      String path = "/api/moulds/" + typed.replace(" ", "%20");
      assertEquals(server.get(path).body().at("/mould/code").asString(), code);
    }
    String scanned = "?q=http://bench.local:8123/moulds/" + code;
    assertEquals(list(scanned).get("found").asInt(), 1);
    assertEquals(server.get("/api/moulds/ZZZZZ").status(), 404);
    assertEquals(server.get("/api/moulds/no").status(), 404);
    // a cast that does not count was none
    server.post(
        "/api/jobs/" + id + "/casts/made",
        "{\"id\": \"h3\", \"mould\": 7, \"result\": \"STRUCK\", \"strikes\": 2, \"why\": \"twice\"}");
    assertEquals(list("?q=" + code).get("moulds").get(0).get("gave").asInt(), 5);
    assertEquals(list("?q=heron").get("found").asInt(), 1, "a strike makes no mould");
    String found = list("?q=" + code + "+heron").get("moulds").get(0).get("of").asString();
    assertEquals(found, "Heron weathervane");
  }

  @Test
  public void whatIsSaidOfAMouldIsKeptWithWhoSaidIt() throws Exception {
    String id = job("Ferry bollard", 31);
    cast(id, "f1", 1);
    String code = list("?q=ferry").get("moulds").get(0).get("code").asString();
    say(code, "place", "rack 2");
    JsonNode now = say(code, "place", "rack 5");
    assertEquals(now.at("/mould/place").asString(), "rack 5");
    assertEquals(now.at("/said/0/said").asString(), "rack 5", "the newest first");
    assertEquals(now.at("/said/1/said").asString(), "rack 2");
    assertEquals(now.at("/said/1/who").asString(), "AK");
    assertEquals(say(code, "made", "sometime").get("status").asInt(), 422);
    say(code, "lasts", "2 years");
    say(code, "made", "1 Jan 2020");
    assertTrue(list("?which=WEARING").toString().contains(code), "its rubber is old");
    assertEquals(list("?q=rack+5").get("moulds").get(0).get("code").asString(), code);
    server.write(id, "master.where", "drawer 9");
    assertEquals(server.get("/api/moulds/" + code).body().get("master").asString(), "drawer 9");
    assertEquals(list("?q=drawer").get("found").asInt(), 1);
    String csv = new String(server.get("/api/moulds/table.csv").raw(), StandardCharsets.UTF_8);
    assertTrue(csv.startsWith("code,of,number,where"), csv);
    assertTrue(csv.contains(code + ",Ferry bollard,1,rack 5,good,1 Jan 2020,"), csv);
  }

  @Test
  public void aRetiredMouldIsNotCastFromAnyMore() throws Exception {
    String id = job("Gull frieze", 32);
    server.write(id, "rubber.moulds", "2");
    assertEquals(castFrom(id), List.of(1, 2));
    cast(id, "g1", 1);
    String code = list("?q=gull").get("moulds").get(0).get("code").asString();
    String retired = "/api/moulds/" + code + "/retired";
    server.post(retired, "{\"why\": \"torn at the beak\"}");
    assertEquals(castFrom(id), List.of(2, 3), "another is made in its place");
    String begin = "/api/jobs/" + id + "/casts/runs?moulds=";
    Running.Answer refused = server.post(begin + 1, "");
    assertEquals(refused.status(), 409);
    assertTrue(refused.text().contains("torn at the beak"), refused.text());
    assertEquals(server.post(begin + 2, "").status(), 200);
    assertEquals(list("?q=gull").get("found").asInt(), 0);
    JsonNode gone = list("?q=gull&which=RETIRED").get("moulds").get(0);
    assertEquals(gone.get("why").asString(), "torn at the beak");
    server.post(retired, "{\"why\": \"\"}");
    assertEquals(castFrom(id), List.of(1, 2));
    assertFalse(server.get("/api/moulds/" + code).body().has("retired"));
  }

  @Test
  public void aMouldNobodyFollowedIsPutAmongTheOthers() throws Exception {
    Running.Answer nameless = server.post("/api/moulds", "{\"of\": \" \"}");
    assertEquals(nameless.status(), 422);
    JsonNode own = server.post("/api/moulds", "{\"of\": \"Door knob\"}").body();
    assertEquals(own.at("/mould/of").asString(), "Door knob");
    assertEquals(own.at("/mould/wear").asString(), "UNKNOWN");
    String id = job("Rope fender", 33);
    JsonNode of = server.post("/api/moulds", "{\"job\": \"" + id + "\"}").body();
    assertEquals(of.at("/mould/number").asInt(), 1);
    assertEquals(castFrom(id), List.of(1));
    assertEquals(server.post("/api/moulds", "{\"job\": \"none\"}").status(), 404);
  }

  private String pdf(String path) throws Exception {
    try (PDDocument document = Loader.loadPDF(server.get(path).raw())) {
      return new PDFTextStripper().getText(document);
    }
  }

  /** What is on a label can be read without a reader. */
  @Test
  public void aLabelSaysWhatAMouldIs() throws Exception {
    String id = job("Pilot boat", 35);
    server.write(id, "rubber.product", "samphire-15");
    cast(id, "p1", 1);
    String code = list("?q=pilot").get("moulds").get(0).get("code").asString();
    say(code, "place", "rack 7");
    say(code, "jacket", "plaster, two halves");
    JsonNode workshop = server.get("/api/workshop").body();
    String edit = "{\"version\": %s, \"edits\": [{\"word\": \"address\", \"text\": \"%s\"}]}";
    int version = workshop.get("version").asInt();
    assertEquals(
        server.post("/api/workshop/edits", edit.formatted(version, "my place")).status(), 422);
    String address = "192.168.1.20:8080/";
    JsonNode said = server.post("/api/workshop/edits", edit.formatted(version, address)).body();
    assertEquals(said.at("/words/address/text").asString(), "http://192.168.1.20:8080");
    String path = "/api/moulds/" + code + "/label.pdf";
    String text = pdf(path);
    for (String told :
        List.of("Pilot boat", code, "rack 7", "a cast takes", "part B", "1 of about")) {
      assertTrue(text.contains(told), told + " is not in " + text);
    }
    try (PDDocument document = Loader.loadPDF(server.get(path).raw())) {
      assertEquals(document.getNumberOfPages(), 2, "the mould and its jacket");
      assertEquals(document.getPage(0).getMediaBox().getWidth() * 25.4 / 72, 62, 0.01);
      assertEquals(document.getPage(0).getMediaBox().getHeight() * 25.4 / 72, 29, 0.01);
    }
    String sheet = pdf("/api/moulds/labels.pdf?codes=" + code + "," + code);
    assertEquals(sheet.split(code, -1).length - 1, 4);
    assertEquals(server.get("/api/moulds/labels.pdf?codes=").status(), 422);
    assertEquals(server.get("/api/moulds/labels.pdf?codes=" + code + ",ZZZZZ").status(), 404);
    assertEquals(server.get("/api/moulds/" + code + "/label.png").raw()[1], 'P');
  }

  /** Moulds that were cast from before moulds were kept are there after the start. */
  @Test
  public void whatWasThereBeforeIsThere() throws Exception {
    String id = job("Tide gauge", 34);
    cast(id, "t1", 1);
    cast(id, "t2", 3);
    server.sql("DELETE FROM mould WHERE job_id = '" + id + "'");
    server.restart();
    JsonNode its = list("?q=tide").get("moulds");
    assertEquals(its.size(), 2);
    assertEquals(its.get(1).get("number").asInt(), 3);
    assertEquals(its.get(1).get("gave").asInt(), 1);
  }
}
