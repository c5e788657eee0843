package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** The shapes a box can have, and what to cut for them. */
public class BoxTest extends OnServer {

  private String id;

  @BeforeClass(dependsOnMethods = "start")
  public void pup() throws Exception {
    id = server.addJob();
    server.upload(id, "pup.stl", Running.stl(Running.HARBOUR.sealPup()));
  }

  private JsonNode shape(String name) throws Exception {
    for (JsonNode s : server.get("/api/jobs/" + id + "/box/shapes").body()) {
      if (s.get("shape").asString().equals(name)) {
        return s;
      }
    }
    throw new AssertionError("no " + name);
  }

  private static double rubber(JsonNode shape) {
    return shape.get("figures").get("rubber").get("value").asDouble();
  }

  @Test
  public void theShapeTakenHasTheRubberItWasOfferedWith() throws Exception {
    JsonNode offered = shape("OUTLINE");
    assertTrue(rubber(offered) < rubber(shape("RECTANGLE")), offered.toString());
    server.write(id, "mould.shape", "OUTLINE");
    double taken = server.job(id).get("figures").get("rubber.box").get("value").asDouble();
    assertEquals(taken, rubber(offered), 1e-6);
    assertTrue(shape("OUTLINE").get("now").asBoolean());
    String plan = server.get("/api/jobs/" + id + "/section?cut=TOP").body().toString();
    assertTrue(plan.contains("OUTLINE"), plan);
    byte[] sheet = server.get("/api/jobs/" + id + "/sheet.pdf").raw();
    try (PDDocument document = Loader.loadPDF(sheet)) {
      String text = new PDFTextStripper().getText(document);
      assertTrue(text.contains("Wall strip"), text);
      assertTrue(text.contains("seen from above"), text);
    }
    server.write(id, "mould.shape", "RECTANGLE");
  }

  @Test
  public void whatTheWorkshopHasIsOfferedFirstAndTaken() throws Exception {
    int version = server.get("/api/workshop").body().get("version").asInt();
    String boxes = Running.edits(version, "boxes", "200 × 160 × 120 mm");
    assertEquals(server.post("/api/workshop/edits", boxes).status(), 200);
    String job = server.addJob();
    server.upload(job, "pup.stl", Running.stl(Running.HARBOUR.sealPup()));
    String shapes = "/api/jobs/" + job + "/box/shapes";
    JsonNode own = server.get(shapes).body().get(0);
    assertTrue(own.get("own").asBoolean(), own.toString());
    int at = server.job(job).get("version").asInt();
    server.post(
        "/api/jobs/" + job + "/edits",
        "{\"version\":" + at + ",\"edits\":" + own.get("edits") + "}");
    assertEquals(Running.value(server.job(job), "rubber.box"), rubber(own), 1e-6);
    assertTrue(server.get(shapes).body().get(0).get("now").asBoolean());
  }

  @Test
  public void theCutListLeavesInThreeFormats() throws Exception {
    JsonNode list = server.get("/api/jobs/" + id + "/box/cutlist").body();
    assertEquals(list.get("parts").get(0).get("name").asString(), "Base");
    String dxf = text("dxf");
    assertTrue(dxf.startsWith("999\r\nUnits: millimetres\r\n0\r\nSECTION"), dxf);
    assertTrue(dxf.contains("$INSUNITS\r\n70\r\n4\r\n") && dxf.endsWith("EOF\r\n"), dxf);
    String svg = text("svg");
    double widthMm = Double.parseDouble(svg.split("width=\"")[1].split("mm")[0]);
    try (PDDocument document =
        Loader.loadPDF(server.get("/api/jobs/" + id + "/box/cutlist.pdf").raw())) {
      PDRectangle page = document.getPage(0).getMediaBox();
      // 1:1: a point is a seventy-second of an inch
      assertEquals(page.getWidth() / 72 * 25.4, widthMm, 0.01);
      assertTrue(new PDFTextStripper().getText(document).contains("100 mm long"));
    }
  }

  @Test
  public void theDrawingIsDividedOverPagesOfTheWorkshopsPaper() throws Exception {
    for (String paper : new String[] {"A4", "LETTER"}) {
      byte[] pdf =
          server.get("/api/jobs/" + id + "/box/cutlist.pdf?tiled=true&paper=" + paper).raw();
      try (PDDocument document = Loader.loadPDF(pdf)) {
        assertTrue(document.getNumberOfPages() > 1, document.getNumberOfPages() + " pages");
        assertEquals(
            document.getPage(1).getMediaBox().getWidth(), paper.equals("A4") ? 595.27563f : 612f);
        String text = new PDFTextStripper().getText(document);
        assertTrue(text.contains("page A1 of") && text.contains("page B1 of"), text);
      }
    }
  }

  private String text(String ending) throws Exception {
    return new String(
        server.get("/api/jobs/" + id + "/box/cutlist." + ending).raw(), StandardCharsets.UTF_8);
  }

  @Test
  public void aRiserBelongsToItsEndWhereverItStands() throws Exception {
    server.write(id, "mould.kind", "TWO_PART");
    server.write(id, "parting.bedding", "BOARD");
    server.write(id, "parting.riserLeftMm", "999 mm");
    JsonNode drawn = server.get("/api/jobs/" + id + "/section?cut=FRONT").body();
    List<String> measures = new ArrayList<>();
    drawn.get("dimensions").forEach(d -> measures.add(d.get("of").asString()));
    assertTrue(measures.contains("RISER_LEFT") && measures.contains("RISER_RIGHT"), "" + measures);
    server.write(id, "mould.kind", "OPEN");
  }

  @Test
  public void withoutASizeThereIsNoBox() throws Exception {
    assertEquals(server.get("/api/jobs/" + server.addJob() + "/box/shapes").status(), 409);
  }
}
