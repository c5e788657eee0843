package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotNull;

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
 * Moulds begun, made and cast from under a version that landed go on in this one, as {@code
 * kept/making.json} says that version showed them.
 */
public class KeptRunsTest {

  private Running server;
  private JsonNode shown;
  private final Map<String, String> jobs = new LinkedHashMap<>();

  @BeforeClass
  public void open() throws Exception {
    server = new Running("making");
    try (var in = KeptRunsTest.class.getResourceAsStream("/kept/making.json")) {
      shown =
          JsonMapper.builder()
              .build()
              .readTree(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    }
    for (JsonNode entry : server.get("/api/shelf").body().get("jobs")) {
      jobs.put(entry.get("name").asString(), entry.get("id").asString());
    }
  }

  @AfterClass(alwaysRun = true)
  public void close() throws IOException {
    server.close();
  }

  @DataProvider
  public Object[][] runs() {
    return shown.get("runs").propertyNames().stream()
        .map(name -> new Object[] {name})
        .toArray(Object[][]::new);
  }

  @Test(dataProvider = "runs")
  public void whatHappenedAndWhatIsNextIsWhatItWas(String name) throws Exception {
    JsonNode kept = shown.get("runs").get(name);
    assertNotNull(jobs.get(name), name + " is not on the shelf: " + jobs.keySet());
    JsonNode listed = server.get("/api/jobs/" + jobs.get(name) + "/runs").body();
    JsonNode run = server.get("/api/runs/" + listed.get(0).get("id").asString()).body();
    assertEquals(run.get("next").asString(), kept.get("next").asString());
    assertEquals(run.get("done").asInt(), kept.get("done").asInt());
    assertEquals(run.get("entries").size(), kept.get("entries").size());
    for (int i = 0; i < run.get("entries").size(); i++) {
      assertEquals(
          run.get("entries").get(i).get("text").asString(), kept.get("entries").get(i).asString());
    }
    JsonNode weighing = kept.get("weighing");
    assertEquals(run.hasNonNull("weighing"), !weighing.isNull());
    for (String said : weighing.propertyNames()) {
      assertEquals(run.get("weighing").get(said).asString(), weighing.get(said).asString(), said);
    }
  }

  @Test
  public void castsAreCountedAsTheyWere() throws Exception {
    JsonNode made = server.get("/api/jobs/" + jobs.get("Made and cast") + "/casts/made").body();
    JsonNode kept = shown.get("made");
    assertEquals(made.get("casts").size(), kept.get("casts").asInt());
    for (String count : new String[] {"usable", "scrap", "repair", "lastG"}) {
      assertEquals(made.get(count).asString(), kept.get(count).asString(), count);
    }
  }
}
