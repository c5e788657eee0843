package ungula.server.command;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.PrintStream;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

public class ProductionTest extends Commanded {

  private static final String TIMES = "\"pourMin\": 5, \"cureMin\": 40, \"demouldMin\": 3";

  private static final String HOURS =
      "\"zone\": \"Europe/Berlin\", \"calendar\": {\"MON\": [\"08:00-12:00\"], \"TUE\":"
          + " [\"08:00-12:00\"]}";

  @Override
  int command(List<String> args, PrintStream out, PrintStream err) {
    return Production.run(args, out, err);
  }

  private JsonNode of(String file) throws Exception {
    assertEquals(run("{" + file + ", " + TIMES + "}", "--json"), 0, err);
    return JsonMapper.builder().build().readTree(out);
  }

  @Test
  public void twentyCasts() throws Exception {
    JsonNode p = of("\"casts\": 20, \"moulds\": 3");
    assertEquals(p.get("medianMin").asDouble(), 344.0);
    assertEquals(p.get("p90Min").asDouble(), 344.0);
    assertEquals(p.get("heldUpBy").asString(), "moulds");
    assertEquals(p.get("perMould").size(), 3);
    assertTrue(p.get("median").isNull() && p.get("p90").isNull());
  }

  @Test
  public void inHoursOfWork() throws Exception {
    JsonNode p = of("\"casts\": 6, \"moulds\": 1, \"start\": \"2027-03-01T08:00\", " + HOURS);
    assertEquals(p.get("median").asString(), "2027-03-02T08:48");
    assertEquals(p.get("medianMin").asDouble(), 24 * 60 + 48.0);
    assertEquals(
        run(
            "{\"casts\": 6, \"moulds\": 1, \"start\": \"2027-03-01T08:00\", "
                + HOURS
                + ", "
                + TIMES
                + "}"),
        0);
    assertTrue(out.contains("Done half of the time within 1488 min, Tue 2 Mar 08:48."), out);
    assertTrue(out.contains("One more mould would bring it forward most."), out);
  }

  @Test
  public void aSeedIsACourse() throws Exception {
    String file = "\"casts\": 30, \"moulds\": 2, \"scrapPct\": 10, \"spreadPct\": 30, \"seed\": ";
    JsonNode one = of(file + 5);
    assertEquals(of(file + 5), one);
    assertTrue(one.get("p90Min").asDouble() > one.get("medianMin").asDouble());
    assertTrue(of(file + 6).get("medianMin").asDouble() != one.get("medianMin").asDouble());
  }

  @DataProvider
  public Object[][] faults() {
    return new Object[][] {
      {"\"moulds\": 1", "casts: a number"},
      {"\"casts\": 2.5, \"moulds\": 1", "casts: a whole number"},
      {"\"casts\": 2, \"moulds\": 1, \"scrapPct\": 100", "scrapPct: from 0 to 95"},
      {"\"casts\": 2, \"moulds\": 1, " + HOURS, "\"start\" is missing"},
      {"\"casts\": 2, \"moulds\": 1, \"potHolds\": 0", "potHolds: from 1"},
      {
        "\"casts\": 2, \"moulds\": 1, \"start\": \"2027-03-01T08:00\", \"zone\": \"Europe/Berlin\","
            + " \"calendar\": {\"MON\": [\"08:00-08:04\"]}",
        "cannot be done in these hours"
      },
    };
  }

  @Test(dataProvider = "faults")
  public void faultsAreSaidInOneLine(String file, String says) throws Exception {
    assertEquals(run("{" + file + ", " + TIMES + "}", "--json"), 3);
    assertTrue(err.contains(says), err);
    assertEquals(err.strip().lines().count(), 1, err);
  }
}
