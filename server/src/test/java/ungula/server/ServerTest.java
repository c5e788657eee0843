package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.net.http.HttpHeaders;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;
import ungula.server.Running.Answer;

/** The API over a real database and the real core. */
public class ServerTest extends OnServer {

  private static final TriangleMesh BOX = Tessellation.box(80, 55, 42);

  private static String figure(JsonNode job, String key) {
    return job.get("figures").get(key).get("text").asString();
  }

  private String boxJob() throws Exception {
    String id = server.addJob();
    assertEquals(server.upload(id, "box.stl", Running.stl(BOX)).get("state").asString(), "DONE");
    return id;
  }

  @Test
  public void whatThePageIsMadeOfIsAskedForOnce() throws Exception {
    String page = new String(server.get("/").raw(), StandardCharsets.UTF_8);
    Matcher script = Pattern.compile("/assets/[^\"]+\\.js").matcher(page);
    assertTrue(script.find(), page);
    HttpHeaders of = server.get(script.group()).headers();
    assertEquals(of.firstValue("cache-control").get(), "max-age=31536000, immutable");
    HttpHeaders ofPage = server.get("/").headers();
    assertEquals(ofPage.firstValue("cache-control").get(), "max-age=0, must-revalidate");
    assertEquals(server.get("/assets/none.js").status(), 404);
  }

  @Test
  public void theContractIsTheCommittedOne() throws Exception {
    JsonMapper json = JsonMapper.builder().build();
    JsonNode now = server.get("/api/openapi").body();
    JsonNode committed = json.readTree(Files.readString(Path.of("../api/openapi.json")));
    Path written = Path.of("target/openapi.json");
    Files.writeString(written, json.writerWithDefaultPrettyPrinter().writeValueAsString(now));
    assertTrue(
        now.equals(committed),
        "The API changed: copy server/"
            + written
            + " to api/openapi.json and run “npm run api” in"
            + " web");
  }

  @Test
  public void theDemoShelfHasNineJobsInDifferentStates() throws Exception {
    try (Running museum = new Running(true)) {
      JsonNode shelf = museum.get("/api/shelf").body();
      long stops = 0;
      for (JsonNode job : shelf.get("jobs")) {
        assertTrue(job.get("demo").asBoolean());
        stops += job.get("stops").asInt();
        Answer png =
            museum.get(
                "/api/jobs/"
                    + job.get("id").asString()
                    + "/picture/"
                    + job.get("picture").asString());
        assertEquals(png.status(), 200);
        assertTrue(png.raw().length > 2000, "picture of " + job.get("name"));
      }
      assertEquals(shelf.get("jobs").size(), 9);
      assertEquals(stops, 1);
    }
  }

  /** A data folder of one's own begins empty. */
  @Test
  public void withoutTheDemoThereIsNothingMadeUp() throws Exception {
    try (Running own = new Running()) {
      assertEquals(own.get("/api/shelf").body().get("jobs").size(), 0);
      assertEquals(own.get("/api/stock").body().get("products").size(), 0);
    }
  }

  /** A mesh is sent again only when the master is another, or stands otherwise. */
  @Test
  public void aMeshThatIsThereIsNotSentAgain() throws Exception {
    String id = boxJob();
    String path = "/api/jobs/" + id + "/mesh";
    String tag = server.get(path).headers().firstValue("etag").orElseThrow();
    assertEquals(server.get(path, tag).status(), 304);
    server.write(id, "mould.sidesMm", "20 mm");
    assertEquals(server.get(path, tag).status(), 304);
    server.write(id, "pose.stand", "0.7071 0.7071 0 0");
    assertEquals(server.get(path, tag).status(), 200);
  }

  @Test
  public void aModelBecomesRubber() throws Exception {
    String id = boxJob();
    JsonNode job = server.job(id);
    assertEquals(figure(job, "rubber.box"), "242.4 mL");
    assertEquals(job.get("cautions").get(0).get("id").asString(), "unit.doubt");
    server.write(id, "master.unitMm", "1");
    JsonNode mixed = server.write(id, "rubber.product", "marram-20").body();
    // 242.432 mL + 14.849 mL at 1.08 g/mL, 100 : 10
    assertEquals(figure(mixed, "mix.base"), "252.6 g");
    assertEquals(figure(mixed, "mix.hardener"), "25.3 g");
    JsonNode inches = server.write(id, "units.display", "INCH").body();
    assertEquals(figure(inches, "box.inside"), "4 1/8 in × 3 1/8 in × 2 1/16 in");
  }

  @Test
  public void editsAreCheckedSteppedAndKept() throws Exception {
    String id = boxJob();
    int version = server.job(id).get("version").asInt();
    Answer refused = server.write(id, version, "mould.sidesMm", "a lot");
    assertEquals(refused.status(), 422);
    assertEquals(refused.body().get("word").asString(), "mould.sidesMm");
    assertEquals(server.job(id).get("version").asInt(), version);

    JsonNode wide = server.write(id, version, "mould.sidesMm", "20 mm").body();
    assertNotEquals(figure(wide, "rubber.box"), "242.4 mL");
    assertEquals(wide.get("undo").get("what").asString(), "rubber round the sides");
    assertEquals(wide.get("undo").get("stages").get(0).asString(), "mould");
    Answer late = server.write(id, version, "mould.sidesMm", "30 mm");
    assertEquals(late.status(), 409);
    assertTrue(late.body().get("detail").asString().contains("another window"));

    String steps = "/api/jobs/" + id + "/steps?version=";
    JsonNode back = server.post(steps + (version + 1) + "&by=-1", "").body();
    assertEquals(figure(back, "rubber.box"), "242.4 mL");
    server.restart();
    JsonNode again = server.post(steps + (version + 2) + "&by=1", "").body();
    assertEquals(again.get("words").get("mould.sidesMm").get("text").asString(), "20 mm");
    assertFalse(again.has("redo"));
    assertEquals(server.post(steps + (version + 3) + "&by=1", "").status(), 409);
  }

  @Test
  public void nudgesOfOneWordAreOneStep() throws Exception {
    String id = boxJob();
    for (int i = 0; i < 3; i++) {
      int version = server.job(id).get("version").asInt();
      server.post(
          "/api/jobs/" + id + "/edits",
          "{\"version\":" + version + ",\"edits\":[{\"word\":\"mould.sidesMm\",\"nudge\":1}]}");
    }
    JsonNode job = server.job(id);
    assertEquals(job.get("words").get("mould.sidesMm").get("text").asString(), "15 mm");
    JsonNode back =
        server
            .post("/api/jobs/" + id + "/steps?by=-1&version=" + job.get("version").asInt(), "")
            .body();
    assertEquals(back.get("words").get("mould.sidesMm").get("text").asString(), "12 mm");
  }

  @DataProvider
  public Object[][] badFiles() throws IOException {
    byte[] stl = Running.stl(BOX);
    return new Object[][] {
      {"cut.stl", Arrays.copyOf(stl, 400), "room for"},
      {"letter.stl", "Dear reader".getBytes(StandardCharsets.UTF_8), "not a model"},
      {"empty.obj", new byte[0], "empty"},
    };
  }

  @Test(dataProvider = "badFiles")
  public void aBadFileIsRefusedAndNothingIsLost(String name, byte[] content, String why)
      throws Exception {
    String id = boxJob();
    String before = figure(server.job(id), "rubber.box");
    JsonNode task = server.upload(id, name, content);
    assertEquals(task.get("state").asString(), "FAILED");
    assertTrue(task.get("problem").asString().contains(why), task.toString());
    assertEquals(figure(server.job(id), "rubber.box"), before);
    try (var files = Files.list(server.data().resolve("models"))) {
      assertTrue(files.noneMatch(f -> f.toString().endsWith(".part")));
    }
  }

  @Test
  public void theOriginalComesBackByteForByte() throws Exception {
    byte[] stl = Running.stl(BOX);
    String id = server.addJob();
    server.upload(id, "../../my box.stl", stl);
    Answer original = server.get("/api/jobs/" + id + "/original");
    assertTrue(Arrays.equals(original.raw(), stl));
    String disposition = original.headers().firstValue("content-disposition").orElse("");
    assertFalse(disposition.contains(".."), disposition);
  }

  @Test
  public void thePosedMasterLeavesAsStl() throws Exception {
    String id = boxJob();
    server.write(id, "master.unitMm", "1");
    server.write(id, "pose.rest", "1 0 0");
    server.write(id, "pose.liftMm", "15 mm");
    byte[] stl = server.get("/api/jobs/" + id + "/master.stl").raw();
    assertEquals(stl.length, 84 + 50 * BOX.triangleCount());
    String copy = server.addJob();
    server.upload(copy, "again.stl", stl);
    assertTrue(figure(server.job(copy), "master.size").contains("× 80 mm"));
    assertEquals(server.get("/api/jobs/" + id + "/faces").body().size(), 6);
  }

  @Test
  public void theSectionAndTheDipstickFollowTheBox() throws Exception {
    String id = boxJob();
    JsonNode section = server.get("/api/jobs/" + id + "/section?cut=FRONT&at=3").body();
    assertEquals(section.get("at").asDouble(), 3.0);
    assertTrue(section.get("shapes").toString().contains("MASTER"));
    JsonNode reading = server.get("/api/jobs/" + id + "/dipstick?mark=LINE&at=47.4").body();
    assertEquals(reading.get("heightMm").asDouble(), 47.0, 1e-9);
    // 104 × 79 × 47 − 80 × 55 × 42
    assertEquals(reading.get("volume").asString(), "201.4 mL");
    assertEquals(server.get("/api/jobs/" + id + "/mesh").raw().length, 12 + 8 * 12 + 12 * 12);
    assertEquals(server.get("/api/jobs/" + server.addJob() + "/mesh").status(), 404);
  }

  @Test
  public void theSheetPrintsWhatThePageShows() throws Exception {
    String id = boxJob();
    server.write(id, "master.unitMm", "1");
    server.write(id, "rubber.product", "marram-20");
    JsonNode job = server.write(id, "cast.product", "oyster-75").body();
    for (String paper : new String[] {"A4", "LETTER"}) {
      byte[] pdf = server.get("/api/jobs/" + id + "/sheet.pdf?paper=" + paper).raw();
      try (PDDocument document = Loader.loadPDF(pdf)) {
        String text = new PDFTextStripper().getText(document);
        for (String key :
            new String[] {
              "mix.base", "mix.hardener", "rubber.box", "box.inside", "life.casts", "size.scaleUp"
            }) {
          assertTrue(text.contains(figure(job, key)), key + " missing in " + text);
        }
        assertTrue(text.contains("a cast costs") && text.contains("the mould costs"), text);
        assertTrue(text.contains("for every 100 g of base, 10 g of hardener"));
        assertTrue(text.contains("What really happened"));
        assertFalse(text.contains("The working"), "nobody asked for it");
        assertEquals(document.getNumberOfPages(), 3, "the bench, the box, and the days");
        PDFTextStripper last = new PDFTextStripper();
        last.setStartPage(3);
        assertTrue(last.getText(document).contains("\nDays\n"), last.getText(document));
        assertFalse(text.contains("?"), "a sign the font lacks: " + text);
        assertEquals(
            document.getPage(0).getMediaBox().getWidth(), paper.equals("A4") ? 595.27563f : 612f);
      }
    }
    byte[] asked = server.get("/api/jobs/" + id + "/sheet.pdf?working=true").raw();
    try (PDDocument document = Loader.loadPDF(asked)) {
      String text = new PDFTextStripper().getText(document);
      assertTrue(text.contains("The working") && text.contains("mass = volume × mixed density"));
    }
    String csv =
        new String(server.get("/api/jobs/" + id + "/amounts.csv").raw(), StandardCharsets.UTF_8);
    assertTrue(csv.contains("mix.base,\"base\",252.6"), csv);
  }

  @Test
  public void jobsAreNamedCopiedPutAwayAndDeletedWithUndo() throws Exception {
    String id = boxJob();
    assertEquals(server.post("/api/jobs/" + id + "/name", "{\"name\":\" \"}").status(), 422);
    server.post("/api/jobs/" + id + "/name", "{\"name\":\"Tide clock\"}");
    String copy = server.post("/api/jobs/" + id + "/copies", "").body().get("id").asString();
    assertEquals(server.job(copy).get("name").asString(), "Tide clock, copy");
    assertEquals(figure(server.job(copy), "rubber.box"), "242.4 mL");
    server.post("/api/jobs/" + copy + "/archived?archived=true", "");
    assertTrue(server.job(copy).get("archived").asBoolean());
    server.delete("/api/jobs/" + copy);
    assertEquals(server.get("/api/jobs/" + copy).status(), 404);
    assertFalse(server.get("/api/shelf").body().toString().contains(copy));
    server.post("/api/jobs/" + copy + "/restored", "");
    assertEquals(server.job(copy).get("name").asString(), "Tide clock, copy");
  }

  @Test
  public void productsAreCopiedEditedAndRetired() throws Exception {
    assertEquals(
        server.post("/api/products/marram-20/edits", Running.edits(1, "hardness", "30")).status(),
        409);
    JsonNode mine =
        server.post("/api/products", "{\"copyOf\":\"marram-20\",\"name\":\"Sea holly\"}").body();
    String edits = "/api/products/" + mine.get("id").asString() + "/edits";
    Answer bare = server.post(edits, Running.edits(1, "ratio", "10:1"));
    assertEquals(bare.status(), 422);
    assertTrue(bare.body().get("detail").asString().contains("by weight"));
    JsonNode four = server.post(edits, Running.edits(1, "ratio", "4 % of base")).body();
    assertTrue(four.get("sentence").asString().contains("4 g of hardener"));
    assertEquals(server.post(edits, Running.edits(1, "ratio", "5 % of base")).status(), 409);

    String id = boxJob();
    server.write(id, "rubber.product", mine.get("id").asString());
    assertTrue(server.job(id).get("ratioSentence").asString().contains("4 g of hardener"));
    server.post("/api/products/" + mine.get("id").asString() + "/retired?retired=true", "");
    JsonNode job = server.job(id);
    assertFalse(job.get("rubbers").toString().contains("Sea holly"));
    assertTrue(job.get("figures").has("mix.base"), "a retired rubber still serves its jobs");
  }

  @Test
  public void theWorkshopsHabitsReachEveryJob() throws Exception {
    String id = boxJob();
    String before = figure(server.job(id), "rubber.allowance");
    int version = server.get("/api/workshop").body().get("version").asInt();
    server.post("/api/workshop/edits", Running.edits(version, "allowancePct", "20 %"));
    assertNotEquals(figure(server.job(id), "rubber.allowance"), before);
    server.post("/api/workshop/edits", Running.edits(version + 1, "allowancePct", "5 %"));
  }

  @Test
  public void aSolidAndMeasuresWorkWithoutAFile() throws Exception {
    String id = server.addJob();
    server.write(id, "master.source", "SOLID");
    JsonNode solid = server.write(id, "master.solid.kind", "TORUS").body();
    assertTrue(solid.get("hasShape").asBoolean());
    Answer thick = server.write(id, "master.solid.tubeDiameterMm", "40 mm");
    assertEquals(thick.status(), 422, thick.body().toString());
    server.write(id, "master.source", "MEASURED");
    for (String[] m : new String[][] {{"lengthMm", "80"}, {"widthMm", "55"}, {"heightMm", "42"}}) {
      server.write(id, "master.measured." + m[0], m[1]);
    }
    JsonNode measured = server.job(id);
    assertFalse(measured.get("hasShape").asBoolean());
    assertEquals(figure(measured, "box.inside"), "104 × 79 × 52 mm");
    assertTrue(
        server.get("/api/jobs/" + id + "/section?cut=TOP").body().toString().contains("ENVELOPE"));
  }

  @Test
  public void aSecondServerOnTheSameDataIsToldWhereTheFirstIs() {
    DataFolder.InUse inUse =
        expectThrows(DataFolder.InUse.class, () -> DataFolder.claim(server.data()));
    assertTrue(inUse.getMessage().contains("already runs on the data"), inUse.getMessage());
  }

  @Test
  public void largeMovesAndUnknownThingsAreAnsweredPlainly() throws Exception {
    assertEquals(server.get("/api/jobs/none").status(), 404);
    assertEquals(server.get("/api/tasks/none").status(), 404);
    assertEquals(server.post("/api/jobs/none/edits", Running.edits(1, "x", "y")).status(), 404);
    String id = boxJob();
    assertEquals(server.write(id, "no.such.word", "1").status(), 422);
    TriangleMesh far = BOX.moved(1, Rotation.NONE, new Vec3(1e6, -1e6, 1e6));
    String there = server.addJob();
    server.upload(there, "far.stl", Running.stl(far));
    // float coordinates a kilometre out are worth a sixteenth of a millimetre
    assertTrue(figure(server.job(there), "rubber.box").startsWith("24"));
  }
}
