package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import ungula.core.master.Tessellation;

/** What is printed or saved says what it lacks, and can be searched. */
public class PaperTest extends OnServer {

  private static String text(byte[] pdf) throws IOException {
    try (PDDocument document = Loader.loadPDF(pdf)) {
      return new PDFTextStripper().getText(document);
    }
  }

  private String skinJob(String name) throws Exception {
    String id = server.post("/api/jobs", "{\"name\":\"" + name + "\"}").body().get("id").asString();
    server.upload(id, "ball.stl", Running.stl(Tessellation.box(60, 60, 40)));
    server.write(id, "master.unitMm", "1");
    server.write(id, "mould.kind", "SKIN");
    server.write(id, "rubber.product", "samphire-15");
    return id;
  }

  @Test
  public void aSheetPrintedTooSoonSaysWhatIsMissing() throws Exception {
    String id = skinJob("Post");
    JsonNode before = server.job(id);
    assertEquals(before.get("parts").get(0).get("text").asString(), "the coats");
    assertEquals(before.get("parts").get(0).get("state").asString(), "BEING_WORKED_OUT");
    assertFalse(before.get("figures").has("job.hands"), "hours of a box that is not there");
    String soon = text(server.get("/api/jobs/" + id + "/sheet.pdf").raw());
    assertTrue(
        soon.contains(
            "Not worked out yet: the coats, the jacket, air that stays, what locks the master."),
        soon);
    String csv =
        new String(server.get("/api/jobs/" + id + "/amounts.csv").raw(), StandardCharsets.UTF_8);
    assertTrue(csv.contains("missing,\"Not worked out yet:"), csv);
    server.studied(id);
    String whole = text(server.get("/api/jobs/" + id + "/sheet.pdf").raw());
    assertFalse(whole.contains("Not worked out yet"), whole);
    assertTrue(whole.contains("The skin"), whole);
    for (JsonNode part : server.job(id).get("parts")) {
      assertEquals(part.get("state").asString(), "KNOWN", part.toString());
    }
  }

  @Test
  public void aListMadeTooSoonSaysSoAndIsWholeInAMoment() throws Exception {
    try (Running fresh = new Running()) {
      String id = fresh.post("/api/jobs", "{\"name\":\"Post\"}").body().get("id").asString();
      fresh.upload(id, "box.stl", Running.stl(Tessellation.box(60, 61, 40)));
      fresh.write(id, "mould.kind", "SKIN");
      fresh.write(id, "rubber.product", "samphire-15");
      JsonNode soon = fresh.get("/api/shopping").body();
      assertEquals(soon.get("missing").get(0).asString(), "Post: Not worked out yet: the coats.");
      assertTrue(soon.get("working").asBoolean());
      String pdf = text(fresh.get("/api/shopping/list.pdf").raw());
      assertTrue(
          pdf.contains("Post: Not worked out yet: the coats.") || pdf.contains("Samphire"), pdf);
      // it was asked for with the list
      fresh.studied(id);
      JsonNode whole = fresh.get("/api/shopping").body();
      assertEquals(whole.get("missing").size(), 0, whole.toString());
      assertEquals(whole.get("lines").size(), 1);
    }
  }

  @Test
  public void whatCannotBeKnownFromMeasuresIsSaid() throws Exception {
    String id = server.addJob();
    server.write(id, "master.source", "MEASURED");
    server.write(id, "master.measured.lengthMm", "120 mm");
    server.write(id, "master.measured.widthMm", "80 mm");
    server.write(id, "master.measured.heightMm", "60 mm");
    JsonNode part = server.job(id).get("parts").get(0);
    assertEquals(part.get("state").asString(), "CANNOT_BE_KNOWN");
    assertTrue(part.get("why").asString().contains("Only measures are known"));
    String sheet = text(server.get("/api/jobs/" + id + "/sheet.pdf").raw());
    assertTrue(sheet.contains("Not known: air that stays, what locks the master."), sheet);
  }

  /** What was cast is written out, what is to come has room; what stops it is said instead. */
  @Test
  public void theRunSheetOfCastsSaysWhatToMixAndWhatCameOfIt() throws Exception {
    String id = server.addJob();
    server.upload(id, "block.stl", Running.stl(Tessellation.box(50, 40, 32)));
    server.write(id, "rubber.product", "marram-20");
    server.write(id, "cast.product", "oyster-75");
    server.write(id, "cast.wanted", "20");
    for (String cast :
        new String[] {
          "\"result\": \"GOOD\", \"mass\": \"71 g\"", "\"result\": \"SCRAP\", \"why\": \"a hole\""
        }) {
      String body = "{\"id\": \"p" + cast.hashCode() + "\", \"mould\": 1, \"who\": \"MB\", ";
      server.post("/api/jobs/" + id + "/casts/made", body + cast + "}");
    }
    server.studied(id);
    JsonNode figures = server.job(id).get("figures");
    String sheet = text(server.get("/api/jobs/" + id + "/casts/sheet.pdf").raw());
    for (String key : new String[] {"cast.total", "cast.first", "cast.second"}) {
      assertTrue(sheet.contains(figures.get(key).get("text").asString()), key + sheet);
    }
    assertTrue(sheet.contains("came to 71.0 g"), sheet);
    assertTrue(sheet.contains("a hole"), sheet);
    assertTrue(sheet.contains("Take the cast out"), sheet);
    // one is scrap: the last of twenty to use is the twenty-first
    assertTrue(sheet.contains("\n21 \n") || sheet.contains("\n21\n"), sheet);
    assertFalse(sheet.contains("\n22\n"), sheet);
    server.write(id, "cast.product", "");
    server.write(id, "cast.material", "METAL");
    server.write(id, "rubber.product", "turnstone-40");
    String hot = text(server.get("/api/jobs/" + id + "/casts/sheet.pdf").raw());
    assertTrue(hot.contains("Nothing is weighed for it yet"), hot);
  }

  /** Ligatures once took fi, ff and fl out of the text. */
  @Test
  public void theTextOfPapersCanBeSearched() throws Exception {
    String name = "Offcut finial, flat flange, office fjord";
    String id = server.post("/api/jobs", "{\"name\":\"" + name + "\"}").body().get("id").asString();
    String sheet = text(server.get("/api/jobs/" + id + "/sheet.pdf").raw());
    assertTrue(sheet.contains(name), sheet);
  }
}
