package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotNull;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Data folders written by versions that landed open in this one: {@code kept/NAME.zip} is such a
 * folder, {@code kept/NAME.json} what that version showed of it. A landed folder is never changed;
 * a later version adds one of its own.
 */
public class KeptDataTest {

  private Running server;
  private JsonNode shown;
  private final Map<String, String> ids = new LinkedHashMap<>();

  @BeforeClass
  public void open() throws Exception {
    server = new Running("planning");
    try (var in = KeptDataTest.class.getResourceAsStream("/kept/planning.json")) {
      shown =
          JsonMapper.builder()
              .build()
              .readTree(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    }
    for (JsonNode entry : server.get("/api/shelf").body().get("jobs")) {
      ids.put(entry.get("name").asString(), entry.get("id").asString());
    }
  }

  @AfterClass(alwaysRun = true)
  public void close() throws IOException {
    server.close();
  }

  @DataProvider
  public Object[][] jobs() {
    return shown.get("jobs").propertyNames().stream()
        .map(name -> new Object[] {name})
        .toArray(Object[][]::new);
  }

  /** What was decided is what it was, and what is known of the master comes to the same. */
  @Test(dataProvider = "jobs")
  public void jobsOpenAsTheyWereLeft(String name) throws Exception {
    JsonNode kept = shown.get("jobs").get(name);
    assertNotNull(ids.get(name), name + " is not on the shelf: " + ids.keySet());
    JsonNode job = server.job(ids.get(name));
    for (String word : kept.get("words").propertyNames()) {
      assertEquals(
          job.get("words").get(word).get("text").asString(),
          kept.get("words").get(word).asString(),
          word);
    }
    for (String figure : kept.get("figures").propertyNames()) {
      double was = kept.get("figures").get(figure).asDouble();
      assertEquals(Running.value(job, figure), was, 1e-6 * was, figure);
    }
    assertEquals(job.has("undo"), kept.get("undo").asBoolean());
    assertEquals(job.has("redo"), kept.get("redo").asBoolean());
  }

  @Test
  public void sheetsOfOnesOwnAreThere() throws Exception {
    Map<String, JsonNode> products = new LinkedHashMap<>();
    for (JsonNode p : server.get("/api/products").body()) {
      products.put(p.get("name").asString(), p);
    }
    JsonNode own = products.get("Skerry 18, our measurements");
    assertEquals(own.get("words").get("potLifeMin").get("text").asString(), "38 min");
    assertTrue(products.get("Empty sheet").get("retired").asBoolean());
    assertTrue(products.containsKey("Kittiwake 25"));
  }

  @Test
  public void packsAreThere() throws Exception {
    Map<String, Integer> packs = new LinkedHashMap<>();
    for (JsonNode product : server.get("/api/stock").body().get("products")) {
      packs.put(product.get("name").asString(), product.get("lots").size());
    }
    assertEquals(packs.get("Skerry 18, our measurements").intValue(), 2);
    assertEquals(packs.values().stream().mapToInt(n -> n).sum(), 8);
  }

  @Test
  public void variantsAreThere() throws Exception {
    assertEquals(
        server.get("/api/jobs/" + ids.get("Box from a file") + "/variants").body().size(), 11);
  }

  /** Six windows once put the first batch down twice: both records are kept. */
  @Test
  public void batchesAreThere() throws Exception {
    JsonNode mixed = server.get("/api/jobs/" + ids.get("Weighed and recorded") + "/mixed").body();
    assertEquals(mixed.size(), 3);
    assertEquals(server.get("/api/jobs/" + ids.get("Box from a file") + "/mixed").body().size(), 1);
  }

  /** What was weighed lay among the decisions once; going back does not take it along any more. */
  @Test(dependsOnMethods = "jobsOpenAsTheyWereLeft", alwaysRun = true)
  public void whatWasWeighedStaysWhenDecisionsAreUndone() throws Exception {
    for (String name : ids.keySet()) {
      JsonNode job = server.job(ids.get(name));
      String word = "rubber.firstG";
      String weighed = job.get("words").get(word).get("text").asString();
      String product = job.get("words").get("rubber.product").get("text").asString();
      if (weighed.equals("not yet")) {
        continue;
      }
      while (job.hasNonNull("undo")) {
        String back = "/steps?by=-1&version=" + job.get("version");
        job = server.post("/api/jobs/" + ids.get(name) + back, "").body();
        boolean same =
            job.get("words").get("rubber.product").get("text").asString().equals(product);
        assertEquals(
            job.get("words").get(word).get("text").asString(),
            same ? weighed : "not yet",
            name + " " + job.get("words").get("rubber.product") + job.get("undo"));
      }
      return;
    }
    throw new AssertionError("No kept job was weighed: " + ids.keySet());
  }
}
