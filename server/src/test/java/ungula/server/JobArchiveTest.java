package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import ungula.core.master.Tessellation;

/** A job is taken from one workshop to another, and loses nothing on the way. */
public class JobArchiveTest {

  private Running here;
  private Running elsewhere;
  private String job;
  private String run;
  private byte[] archive;

  @BeforeClass
  public void start() throws Exception {
    here = new Running();
    elsewhere = new Running();
    String own =
        here.post("/api/products", "{\"copyOf\": \"marram-20\"}").body().get("id").asString();
    job = here.addJob();
    here.post("/api/jobs/" + job + "/name", "{\"name\": \"Buoy lamp\"}");
    here.upload(job, "lamp.stl", Running.stl(Tessellation.box(70, 50, 41)));
    here.write(job, "rubber.product", own);
    here.write(job, "cast.product", "oyster-75");
    here.write(job, "master.where", "drawer 3");
    here.write(job, "mould.sidesMm", "14 mm");
    run = here.post("/api/jobs/" + job + "/runs", "").body().get("id").asString();
    String step = here.get("/api/runs/" + run).body().get("next").asString();
    byte[] png;
    try (var in = JobArchiveTest.class.getResourceAsStream("/kept/point.png")) {
      png = in.readAllBytes();
    }
    here.postFile("/api/runs/" + run + "/pictures?who=MB&step=" + step, png);
    String cast = "{\"id\": \"b%d\", \"mould\": 1, \"result\": \"%s\", \"why\": \"%s\"}";
    here.post("/api/jobs/" + job + "/casts/made", cast.formatted(1, "GOOD", ""));
    here.post("/api/jobs/" + job + "/casts/made", cast.formatted(2, "SCRAP", "a hole"));
    archive = here.get("/api/jobs/" + job + "/archive.zip").raw();
  }

  @AfterClass(alwaysRun = true)
  public void stop() throws Exception {
    here.close();
    elsewhere.close();
  }

  private static Running.Answer takeIn(Running server, byte[] zip) throws Exception {
    return server.postFile("/api/archives", zip);
  }

  private static Map<String, byte[]> files(byte[] zip) throws Exception {
    Map<String, byte[]> files = new LinkedHashMap<>();
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        files.put(e.getName(), in.readAllBytes());
      }
    }
    return files;
  }

  private static byte[] zip(Map<String, byte[]> files) throws Exception {
    ByteArrayOutputStream all = new ByteArrayOutputStream();
    try (ZipOutputStream out = new ZipOutputStream(all)) {
      for (Map.Entry<String, byte[]> f : files.entrySet()) {
        out.putNextEntry(new ZipEntry(f.getKey()));
        out.write(f.getValue());
        out.closeEntry();
      }
    }
    return all.toByteArray();
  }

  /** What a job says of itself, without what is called otherwise elsewhere. */
  private static String said(Running server, String id, String... without) throws Exception {
    List<String> all = new ArrayList<>();
    all.add(server.job(id).get("words").toString());
    all.add(server.job(id).get("figures").toString());
    JsonNode log = server.get("/api/jobs/" + id + "/log").body();
    for (JsonNode l : log.get("lines")) {
      all.add(l.get("at").asString("") + l.get("what").asString() + l.get("actual").asString());
    }
    all.add(server.get("/api/jobs/" + id + "/casts/made").body().get("casts").toString());
    String text = String.join("\n", all);
    for (String w : without) {
      text = text.replace(w, "ID");
    }
    return text;
  }

  private static JsonNode mould(Running server) throws Exception {
    return server.get("/api/moulds?q=buoy").body().get("moulds").get(0);
  }

  @Test
  public void whatArrivesIsWhatLeft() throws Exception {
    Running.Answer arrived = takeIn(elsewhere, archive);
    assertEquals(arrived.status(), 200, arrived.text());
    assertEquals(arrived.body().get("name").asString(), "Buoy lamp");
    String id = arrived.body().get("id").asString();
    assertNotEquals(id, job);
    assertEquals(said(elsewhere, id), said(here, job));
    assertEquals(
        elsewhere.get("/api/moulds?q=buoy+drawer").body().get("found").asInt(), 1, "its master");
    assertEquals(mould(elsewhere).get("code"), mould(here).get("code"), "labels stay right");
    String runThere = elsewhere.get("/api/jobs/" + id + "/runs").body().get(0).get("id").asString();
    JsonNode now = elsewhere.get("/api/runs/" + runThere).body();
    String picture = "";
    for (JsonNode t : now.get("tasks")) {
      for (JsonNode p : t.get("pictures")) {
        picture = p.asString();
      }
    }
    byte[] jpeg = elsewhere.get("/api/runs/" + runThere + "/pictures/" + picture).raw();
    assertEquals(jpeg[0] & 0xff, 0xff);
    // it goes on as a job of its own
    elsewhere.write(id, "mould.sidesMm", "20 mm");
    assertEquals(here.job(job).at("/words/mould.sidesMm/text").asString(), "14 mm");
    elsewhere.restart();
    assertEquals(elsewhere.get("/api/check").body().get("wrong").size(), 0);
    int version = elsewhere.job(id).get("version").asInt();
    String undo = "/api/jobs/" + id + "/steps?by=-1&version=" + version;
    assertEquals(elsewhere.post(undo, "").status(), 200, "its history came along");
    assertEquals(elsewhere.job(id).at("/words/mould.sidesMm/text").asString(), "14 mm");
  }

  /** Taken in where it came from it is a second job, of the same product and the same model. */
  @Test
  public void takenInAgainItStandsBesideTheOther() throws Exception {
    int products = here.get("/api/products").body().size();
    String id = takeIn(here, archive).body().get("id").asString();
    assertNotEquals(id, job);
    assertEquals(here.get("/api/products").body().size(), products);
    JsonNode both = here.get("/api/moulds?q=buoy").body().get("moulds");
    assertEquals(both.size(), 2);
    assertNotEquals(both.get(0).get("code"), both.get(1).get("code"), "no two of one code");
    here.write(id, "mould.sidesMm", "25 mm");
    assertEquals(here.job(job).at("/words/mould.sidesMm/text").asString(), "14 mm");
    here.delete("/api/jobs/" + id);
  }

  /** A product that is another here under the same name comes along under one of its own. */
  @Test(dependsOnMethods = "whatArrivesIsWhatLeft")
  public void aProductThatIsAnotherHereComesAlong() throws Exception {
    Map<String, byte[]> files = files(archive);
    String sheets = new String(files.get("products.json"), StandardCharsets.UTF_8);
    assertTrue(sheets.contains("oyster-75"));
    files.put(
        "products.json",
        sheets
            .replaceAll("\"Oyster 75[^\"]*\"", "\"Oyster of ours\"")
            .getBytes(StandardCharsets.UTF_8));
    String id = takeIn(elsewhere, zip(files)).body().get("id").asString();
    assertEquals(elsewhere.job(id).at("/words/cast.product/text").asString(), "oyster-75-2");
    String shipped = elsewhere.get("/api/products").body().toString();
    assertTrue(shipped.contains("Oyster of ours"), "the one that came along");
    assertTrue(shipped.contains("Oyster 75"), "the one that was there stays");
  }

  /** Of a version that kept no moulds yet. */
  @Test(dependsOnMethods = "whatArrivesIsWhatLeft")
  public void whatAnEarlierVersionWroteIsBroughtUpToDate() throws Exception {
    Map<String, byte[]> files = files(archive);
    List.of("mould", "mould_record", "fault_case", "case_outcome")
        .forEach(table -> files.remove(table + ".json"));
    String steps = new String(files.get("job_step.json"), StandardCharsets.UTF_8);
    files.put(
        "job_step.json",
        steps.replaceAll(",\\s*\"at\" : \"[^\"]*\"", "").getBytes(StandardCharsets.UTF_8));
    String manifest = new String(files.get("archive.json"), StandardCharsets.UTF_8);
    byte[] earlier =
        manifest
            .replaceAll("\"schema\" : \\d+", "\"schema\" : 18")
            .getBytes(StandardCharsets.UTF_8);
    files.put("archive.json", earlier);
    Running.Answer arrived = takeIn(elsewhere, zip(files));
    assertEquals(arrived.status(), 200, arrived.text());
    String id = arrived.body().get("id").asString();
    String decided = elsewhere.get("/api/jobs/" + id + "/log").body().toString();
    assertFalse(decided.contains("DECIDED"), "nobody knew when");
    assertTrue(elsewhere.job(id).get("words").equals(here.job(job).get("words")));
    assertEquals(elsewhere.get("/api/moulds?q=buoy").body().get("found").asInt(), 2);
  }

  @Test
  public void whatCannotBeTakenInSaysWhyAndLeavesNothing() throws Exception {
    int jobs = here.get("/api/shelf").body().get("jobs").size();
    String manifest = new String(files(archive).get("archive.json"), StandardCharsets.UTF_8);
    byte[] newer =
        manifest
            .replaceAll("\"schema\" : \\d+", "\"schema\" : 900")
            .getBytes(StandardCharsets.UTF_8);
    byte[] junk = "[{\"id\": \"a\"}]".getBytes(StandardCharsets.UTF_8);
    byte[] strange =
        "[{\"id\": \"1\", \"name; DROP TABLE job\": 1}]".getBytes(StandardCharsets.UTF_8);
    byte[] noChoices =
        new String(files(archive).get("job_step.json"), StandardCharsets.UTF_8)
            .replaceAll("\"sidesMm\" : [0-9.]+", "\"sidesMm\" : \"wide\"")
            .getBytes(StandardCharsets.UTF_8);
    Map<String, Map.Entry<String, byte[]>> wrong = new LinkedHashMap<>();
    wrong.put("newer version", Map.entry("archive.json", newer));
    String casts = new String(files(archive).get("cast_made.json"), StandardCharsets.UTF_8);
    byte[] foreign =
        casts.replace(job, "0".repeat(8) + job.substring(8)).getBytes(StandardCharsets.UTF_8);
    String sheets = new String(files(archive).get("products.json"), StandardCharsets.UTF_8);
    byte[] unreadable =
        sheets
            .replaceAll("\"role\" : \"[A-Z]+\"", "\"role\" : \"SOUP\"")
            .replaceAll("\"id\" : \"oyster-75\"", "\"id\" : \"soup\"")
            .getBytes(StandardCharsets.UTF_8);
    wrong.put("belongs to something that is not in it", Map.entry("cast_made.json", foreign));
    wrong.put("cannot be read by this version", Map.entry("products.json", unreadable));
    wrong.put("no id", Map.entry("run.json", junk));
    wrong.put("a column nobody knows", Map.entry("record.json", strange));
    wrong.put("Part of it is damaged", Map.entry("cast_made.json", new byte[] {'[', '{'}));
    wrong.put("written by a newer", Map.entry("job_step.json", noChoices));
    for (var w : wrong.entrySet()) {
      Map<String, byte[]> files = files(archive);
      files.put(w.getValue().getKey(), w.getValue().getValue());
      Running.Answer refused = takeIn(here, zip(files));
      assertTrue(refused.status() >= 422, w.getKey());
      assertTrue(refused.text().contains(w.getKey()), refused.text());
    }
    assertEquals(takeIn(here, new byte[] {1, 2, 3}).status(), 422);
    byte[] torn = java.util.Arrays.copyOf(archive, archive.length / 2);
    assertEquals(takeIn(here, torn).status(), 422);
    assertEquals(here.get("/api/shelf").body().get("jobs").size(), jobs);
    assertEquals(here.get("/api/jobs/none/archive.zip").status(), 404);
  }
}
