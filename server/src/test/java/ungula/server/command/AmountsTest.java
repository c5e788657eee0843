package ungula.server.command;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.PrintStream;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

public class AmountsTest extends Commanded {

  private static final String RESIN =
      "\"product\": {\"ratio\": {\"kind\": \"weight\", \"a\": 1, \"b\": 1}, \"densityA\": 1.05,"
          + " \"densityB\": 1.12}";

  @Override
  int command(List<String> args, PrintStream out, PrintStream err) {
    return Amounts.run(args, out, err);
  }

  private JsonNode of(String file) throws Exception {
    assertEquals(run(file, "--json"), 0, err);
    return JsonMapper.builder().build().readTree(out);
  }

  @Test
  public void aCastIsWorkedOut() throws Exception {
    String file =
        "{\"cavityMl\": 134, \"sprueMl\": 8.2, \"ventsMl\": 1.1, \"lossPct\": 6, " + RESIN + "}";
    JsonNode a = of(file);
    assertEquals(a.get("mixedMl").asDouble(), 151.9, 0.05);
    assertEquals(a.get("totalG").asDouble(), 164.6, 0.05);
    assertEquals(a.get("aG").asDouble(), 82.3, 0.05);
    assertEquals(a.get("bG").asDouble(), 82.3, 0.05);
    assertEquals(a.get("fillersG").asDouble(), 0.0);
    assertEquals(a.get("density").asDouble(), 1.0839, 5e-5);
    assertEquals(a.get("lines").size(), 0);
    assertEquals(run(file), 0);
    assertTrue(out.contains("A 82.3 g, B 82.3 g: 164.6 g in all."), out);
    assertTrue(out.contains("That is 151.9 mL."), out);
  }

  @Test
  public void whatIsNotSaidIsAsUsual() throws Exception {
    JsonNode a = of("{\"masterG\": 250, \"factor\": 0.8, " + RESIN + "}");
    assertEquals(a.get("totalG").asDouble(), 200 * 1.06, 0.01);
    assertEquals(
        of("{\"masterG\": 250, \"factor\": 0.8, \"lossPct\": 0, " + RESIN + "}")
            .get("totalG")
            .asDouble(),
        200.0,
        0.01);
  }

  @Test
  public void insertsFillersAndLines() throws Exception {
    JsonNode a =
        of(
            "{\"cavityMl\": 150, \"lossPct\": 0, \"inserts\": [{\"diameterMm\": 3.2, \"lengthMm\": 60},"
                + " {\"massG\": 78, \"density\": 7.8}], \"fillers\": [{\"pct\": 50, \"of\": \"A+B\","
                + " \"density\": 2.7}], \"byVolume\": true, \"cup\": {\"bottomMm\": 80, \"rimMm\": 80,"
                + " \"heightMm\": 120}, "
                + RESIN
                + "}");
    double ml = 150 - 0.4825 - 10;
    assertEquals(a.get("mixedMl").asDouble(), ml, 0.01);
    assertEquals(a.get("fillersG").asDouble(), a.get("aG").asDouble(), 0.02);
    double area = Math.PI / 4 * 6400;
    assertEquals(a.get("lines").get(1).asDouble(), 1000 * ml / area, 0.01);
    assertEquals(
        a.get("lines").get(0).asDouble(), 1000 * a.get("aG").asDouble() / 1.05 / area, 0.01);
  }

  @DataProvider
  public Object[][] faults() {
    return new Object[][] {
      {"{" + RESIN + "}", "cavityMl"},
      {"{\"cavityMl\": 1, \"masterG\": 2, \"factor\": 1, " + RESIN + "}", "only one of them"},
      {"{\"masterG\": 2, " + RESIN + "}", "factor"},
      {"{\"cavityMl\": 1}", "\"product\" is missing"},
      {"{\"cavityMl\": 1, \"product\": {}}", "\"ratio\" is missing"},
      {
        "{\"cavityMl\": 1, \"product\": {\"ratio\": {\"kind\": \"parts\", \"a\": 1, \"b\": 1}}}",
        "weight, volume or pctOfBase"
      },
      {
        "{\"cavityMl\": 1, \"product\": {\"ratio\": {\"kind\": \"volume\", \"a\": 1, \"b\": 1}}}",
        "densities are missing"
      },
      {
        "{\"cavityMl\": 1, \"fillers\": [{\"pct\": 5, \"of\": \"all\"}], " + RESIN + "}",
        "of A, of B or of A+B"
      },
      {"{\"cavityMl\": 1, \"inserts\": [{\"massG\": 5}], " + RESIN + "}", "insert 1, density"},
      {"{\"cavityMl\": 1, \"byVolume\": true, " + RESIN + "}", "\"cup\" is missing"},
      {
        "{\"cavityMl\": 900, \"byVolume\": true, \"cup\": {\"bottomMm\": 60, \"rimMm\": 60,"
            + " \"heightMm\": 90}, "
            + RESIN
            + "}",
        "The cup holds 254 mL"
      },
      {"[]", "A cast is one object"},
      {"{", "This is not JSON"},
    };
  }

  @Test(dataProvider = "faults")
  public void faultsAreSaidInOneLine(String file, String says) throws Exception {
    assertEquals(run(file, "--json"), 3);
    assertTrue(err.contains(says), err);
    assertEquals(err.strip().lines().count(), 1, err);
  }
}
