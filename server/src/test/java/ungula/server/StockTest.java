package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.nio.charset.StandardCharsets;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import ungula.core.master.Tessellation;

/** Sheets in and out as tables; packs, what batches take of them, and what is to be bought. */
public class StockTest extends OnServer {

  private static final JsonMapper JSON = JsonMapper.builder().build();

  private String job(String name, String... edits) throws Exception {
    String id = server.addJob();
    server.post("/api/jobs/" + id + "/name", JSON.writeValueAsString(new Named(name)));
    server.upload(id, "block.stl", Running.stl(Tessellation.box(60, 50, 40)));
    for (int i = 0; i < edits.length; i += 2) {
      assertEquals(server.write(id, edits[i], edits[i + 1]).status(), 200, edits[i]);
    }
    return id;
  }

  private record Named(String name) {}

  private String ownProduct(String name) throws Exception {
    String body = "{\"copyOf\":\"marram-20\",\"name\":\"" + name + "\"}";
    return server.post("/api/products", body).body().get("id").asString();
  }

  private static JsonNode of(JsonNode list, String key, String value) {
    for (JsonNode one : list) {
      if (one.get(key).asString().equals(value)) {
        return one;
      }
    }
    throw new AssertionError("No " + value + " in " + list);
  }

  private JsonNode stock(String product) throws Exception {
    return of(server.get("/api/stock").body().get("products"), "product", product);
  }

  private static String left(JsonNode lot, String part) {
    return lot.get("words").get(part).get("exact").asString().replaceAll("[\\s\\u202f]", "");
  }

  private boolean opened(String product) throws Exception {
    JsonNode lot = stock(product).get("lots").get(0);
    return !lot.get("words").get("opened").get("unset").asBoolean();
  }

  @Test
  public void aBatchTakesFromThePacksAndStrickenOutPutsItBack() throws Exception {
    String product = ownProduct("Sea rocket");
    String id =
        job("A tile", "rubber.product", product, "rubber.batches", "2", "master.material", "METAL");
    server.post("/api/stock", "{\"product\":\"" + product + "\"}");
    JsonNode lot = stock(product).get("lots").get(0);
    assertEquals(left(lot, "baseLeftG"), "1000.00g", "the smallest pack, 1.1 kg at 100 : 10");
    JsonNode answer =
        server
            .post(
                "/api/jobs/" + id + "/mixed",
                "{\"batch\":1,\"base\":\"200 g\",\"hardener\":\"20 g\"}")
            .body();
    assertEquals(answer.get("said").asString(), "");
    lot = stock(product).get("lots").get(0);
    assertEquals(left(lot, "baseLeftG"), "800.00g");
    assertEquals(left(lot, "hardenerLeftG"), "80.00g");
    assertTrue(opened(product));
    assertEquals(
        server.post("/api/jobs/" + id + "/mixed", "{\"batch\":1}").status(),
        409,
        "it is mixed already");
    assertEquals(server.post("/api/jobs/" + id + "/mixed", "{\"batch\":7}").status(), 404);
    assertEquals(
        server.post("/api/jobs/" + id + "/mixed", "{\"batch\":2,\"base\":\"lots\"}").status(), 422);
    // as planned, but with the hardener out, and more than there is
    JsonNode off =
        server
            .post(
                "/api/jobs/" + id + "/mixed",
                "{\"batch\":2,\"base\":\"900 g\",\"hardener\":\"45 g\"}")
            .body();
    assertTrue(off.get("said").asString().contains("more of hardener"), off.toString());
    assertTrue(off.get("said").asString().contains("not on the shelf"), off.toString());
    String record = "/api/jobs/" + id + "/mixed/";
    server.delete(record + off.get("mixed").get(0).get("id").asString());
    assertTrue(opened(product), "the second batch took from it too");
    server.delete(record + off.get("mixed").get(1).get("id").asString());
    assertFalse(opened(product), "nothing opened it any more");
    assertEquals(left(stock(product).get("lots").get(0), "baseLeftG"), "1000.00g");
    assertEquals(server.get("/api/jobs/" + id + "/mixed").body().size(), 0);
    assertEquals(server.delete("/api/jobs/" + id + "/mixed/none").status(), 404);
  }

  @Test
  public void packsAreEditedOnTheVersionThatWasSeenAndComeBack() throws Exception {
    String product = ownProduct("Sea holly");
    server.post("/api/stock", "{\"product\":\"" + product + "\",\"mass\":\"5.5 kg\"}");
    JsonNode lot = stock(product).get("lots").get(0);
    String path = "/api/stock/" + lot.get("id").asString();
    int version = lot.get("version").asInt();
    assertEquals(
        server.post(path + "/edits", Running.edits(version, "useBy", "1 Jan 2020")).status(), 200);
    assertEquals(
        server.post(path + "/edits", Running.edits(version, "number", "L9")).status(), 409);
    assertEquals(
        server.post(path + "/edits", Running.edits(version + 1, "opened", "soon")).status(), 422);
    lot = stock(product).get("lots").get(0);
    assertEquals(lot.get("keeping").asString(), "OVER");
    assertEquals(lot.get("until").asString(), "1 Jan 2020");
    String csv = new String(server.get("/api/stock/table.csv").raw(), StandardCharsets.UTF_8);
    assertTrue(csv.startsWith("product,"), csv);
    assertTrue(
        csv.lines().anyMatch(l -> l.startsWith("Sea holly,") && l.endsWith(",1 Jan 2020")), csv);
    server.post(path + "/gone?gone=true", "");
    assertFalse(server.get("/api/stock").body().toString().contains(product));
    server.post(path + "/gone?gone=false", "");
    assertEquals(stock(product).get("lots").size(), 1);
    assertEquals(server.post("/api/stock/none/gone?gone=true", "").status(), 404);
    assertEquals(server.post("/api/stock", "{\"product\":\"none\"}").status(), 404);
  }

  @Test
  public void theListIsWhatJobsNeedLessWhatIsThereAndMixed() throws Exception {
    String product = ownProduct("Sea beet");
    String[] of = {"rubber.product", product, "master.material", "METAL"};
    String one = job("A bell", of);
    job("A knob", of);
    double each = Running.value(server.job(one), "mix.total");
    JsonNode line = of(server.get("/api/shopping").body().get("lines"), "product", product);
    assertEquals(line.get("jobs").size(), 2);
    assertEquals(line.get("there").get("value").asDouble(), 0, 0);
    String shares = line.get("needed").get("working").get("givens").toString();
    assertTrue(shares.contains("A bell") && shares.contains("A knob"), shares);
    assertEquals(line.get("packs").asString(), "1.1 kg");
    JsonNode lone =
        of(server.get("/api/shopping?job=" + one).body().get("lines"), "product", product);
    assertEquals(lone.get("jobs").toString(), "[\"A bell\"]");
    // what is mixed needs no buying
    server.post("/api/jobs/" + one + "/mixed", "{\"batch\":1}");
    assertEquals(server.get("/api/shopping?job=" + one).body().get("lines").size(), 0);
    server.post("/api/stock", "{\"product\":\"" + product + "\"}");
    JsonNode covered = of(server.get("/api/shopping").body().get("lines"), "product", product);
    assertEquals(covered.get("toBuy").get("value").asDouble(), 0, 0);
    assertFalse(covered.hasNonNull("price"));
    assertTrue(each > 100);

    String csv = new String(server.get("/api/shopping/list.csv").raw(), StandardCharsets.UTF_8);
    assertTrue(csv.startsWith("product,\"needed, g\""), csv);
    assertTrue(csv.contains("Sea beet"), csv);
    byte[] pdf = server.get("/api/shopping/list.pdf?job=" + job("A hook", of)).raw();
    try (PDDocument document = Loader.loadPDF(pdf)) {
      String text = new PDFTextStripper().getText(document);
      assertTrue(text.contains("Everything the open jobs need is on the shelf"), text);
    }
    server.post(
        "/api/stock/" + stock(product).get("lots").get(0).get("id").asString() + "/gone?gone=true",
        "");
    try (PDDocument document = Loader.loadPDF(server.get("/api/shopping/list.pdf").raw())) {
      String text = new PDFTextStripper().getText(document);
      assertTrue(text.contains("Sea beet") && text.contains("1.1 kg, € 38.00"), text);
    }
  }

  @Test
  public void sheetsGoOutAndComeInAgain() throws Exception {
    String csv = new String(server.get("/api/products/table.csv").raw(), StandardCharsets.UTF_8);
    assertTrue(csv.contains("Gannet 25 condensation, general"));
    JsonNode json = server.get("/api/products/table.json").body();
    assertEquals(
        of(json, "name", "Gannet 25 condensation, general").get("ratio").asString(), "4 % of base");
    int sheets = server.get("/api/products").body().size();
    assertEquals(
        imported(csv).toString(),
        "{\"added\":0,\"changed\":0,\"same\":" + json.size() + "}",
        "one's own export changes nothing");
    assertEquals(server.get("/api/products").body().size(), sheets);
    String own = "name,role,ratio,densityMixed\nSea kale,casting resin,100 : 90 by weight,1.05\n";
    assertEquals(imported(own).toString(), "{\"added\":1,\"changed\":0,\"same\":0}");
    assertEquals(
        imported("[{\"name\":\"Sea kale\",\"potLifeMin\":\"7 min\"}]").toString(),
        "{\"added\":0,\"changed\":1,\"same\":0}");
    JsonNode kale = of(server.get("/api/products").body(), "name", "Sea kale");
    assertEquals(kale.get("words").get("potLifeMin").get("text").asString(), "7 min");
    assertEquals(kale.get("role").asString(), "RUBBER", "the file says all there is");
  }

  @Test
  public void aTableThatIsNotUnderstoodTakesNothingIn() throws Exception {
    int before = server.get("/api/products").body().size();
    String bad = "name,ratio\nSea aster,100 : 10 by weight\nSea blite,10 : 1\n";
    Running.Answer refused = importing(bad);
    assertEquals(refused.status(), 422);
    String why = refused.body().get("detail").asString();
    assertTrue(why.contains("Product 2, “Sea blite”, ratio") && why.contains("by weight"), why);
    assertEquals(importing("[{]").status(), 422);
    assertEquals(importing("").status(), 422);
    assertEquals(server.get("/api/products").body().size(), before);
  }

  private JsonNode imported(String text) throws Exception {
    return importing(text).body();
  }

  private Running.Answer importing(String text) throws Exception {
    return server.post("/api/products/imported", JSON.writeValueAsString(new ProductText(text)));
  }

  private record ProductText(String text) {}

  @Test
  public void rubbersAreRankedForAJobAndMouldsShareBatches() throws Exception {
    String id = job("A sprat", "rubber.product", "samphire-15", "master.material", "METAL");
    String other = job("A dab", "rubber.product", "samphire-15", "master.material", "METAL");
    JsonNode ranked = server.get("/api/jobs/" + id + "/rubbers").body();
    assertTrue(ranked.size() >= 9);
    for (int i = 1; i < ranked.size(); i++) {
      assertTrue(
          ranked.get(i - 1).get("score").asDouble() >= ranked.get(i).get("score").asDouble());
      assertFalse(ranked.get(i).get("text").asString().isEmpty());
    }
    JsonNode group = of(server.get("/api/together").body().get("groups"), "product", "samphire-15");
    String moulds = group.get("moulds").toString();
    assertTrue(moulds.contains(id) && moulds.contains(other), moulds);
    JsonNode shared = server.get("/api/together/samphire-15?jobs=" + id + "&jobs=" + other).body();
    double base = 0;
    for (JsonNode b : shared.get("batches")) {
      base += shared.get("figures").get(b.get("key").asString() + ".base").get("value").asDouble();
    }
    double alone =
        Running.value(server.job(id), "mix.base") + Running.value(server.job(other), "mix.base");
    assertEquals(base, alone, 1e-6);
    assertEquals(server.get("/api/together/samphire-15?jobs=none").status(), 422);
  }

  private JsonNode together(String... jobs) throws Exception {
    return server.get("/api/together/samphire-15?jobs=" + String.join("&jobs=", jobs)).body();
  }

  /** What is to mix for a job, mL; −1 when it is not offered. */
  private double toMix(String job) throws Exception {
    for (JsonNode g : server.get("/api/together").body().get("groups")) {
      for (JsonNode m : g.get("moulds")) {
        if (m.get("id").asString().equals(job)) {
          return m.get("volume").get("value").asDouble() / 1000;
        }
      }
    }
    return -1;
  }

  @Test
  public void mouldsPouredTogetherKeepToTheOneThatIsPulledAndAreRecordedTogether()
      throws Exception {
    String one = job("A plaice", "rubber.product", "samphire-15", "rubber.batches", "2");
    String two = job("A sole", "rubber.product", "samphire-15");
    assertEquals(together(one, two).get("air").asString(), "poured high and thin");
    server.write(two, "rubber.bubbles", "VACUUM_CYCLED");
    assertTrue(together(one, two).get("air").asString().contains("cycled by hand"));
    server.write(one, "rubber.bubbles", "VACUUM");
    assertTrue(together(one, two).get("air").asString().endsWith("straight through"));
    // what is recorded already is not mixed again
    double before = toMix(one);
    server.post("/api/jobs/" + one + "/mixed", "{\"batch\":1}");
    double batch = Running.value(server.job(one), "mix.volume") / 1000;
    assertEquals(toMix(one), before - batch, 1e-6);
    String both = "{\"jobs\":[\"" + one + "\",\"" + two + "\"]}";
    JsonNode said = server.post("/api/together/samphire-15/mixed", both).body();
    assertTrue(said.get("said").asString().startsWith("Recorded as mixed for A "), said.toString());
    assertEquals(server.get("/api/jobs/" + one + "/mixed").body().size(), 2);
    assertEquals(server.get("/api/jobs/" + two + "/mixed").body().size(), 1);
    assertEquals(toMix(one), -1.0);
    assertEquals(toMix(two), -1.0);
    assertEquals(server.post("/api/together/samphire-15/mixed", both).status(), 404);
  }

  @Test
  public void aGradeOfCatalystBringsItsOwnTimesAndGoesWithItsRubber() throws Exception {
    String id = job("A groyne", "rubber.product", "gannet-25", "master.material", "METAL");
    double usual = Running.value(server.job(id), "rubber.potLife");
    server.write(id, "rubber.catalyst", "slow");
    JsonNode slow = server.job(id);
    assertEquals(Running.value(slow, "rubber.potLife"), 2 * usual, 1e-9);
    assertTrue(slow.get("ratioSentence").asString().contains("3 g of hardener"));
    assertEquals(slow.get("catalysts").size(), 2);
    server.write(id, "rubber.product", "marram-20");
    assertTrue(
        server.job(id).get("words").get("rubber.catalyst").get("unset").asBoolean(),
        "another rubber has other grades");
  }
}
