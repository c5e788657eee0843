package ungula.server.command;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.PrintStream;
import java.util.List;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

public class DiagnoseTest extends Commanded {

  private static final String TACKY =
      "{\"seen\": \"TACKY_AT_MASTER\", \"witness\": \"HARD\", \"record\": {\"patch\": \"none\","
          + " \"masterMaterial\": \"printed resin\", \"baseG\": null}, \"answers\": {\"chemistry\":"
          + " \"ADDITION\"}}";

  @Override
  int command(List<String> args, PrintStream out, PrintStream err) {
    return Diagnose.run(args, out, err);
  }

  @Test
  public void causesAreRankedWithTheirReasons() throws Exception {
    assertEquals(run(TACKY, "--json"), 0, err);
    JsonNode said = JsonMapper.builder().build().readTree(out);
    JsonNode first = said.get("causes").get(0);
    assertEquals(first.get("key").asString(), "INHIBITED");
    // 3 to begin with, 3 + 2 + 2 + 1
    assertEquals(first.get("score").asDouble(), 11.0);
    assertEquals(first.get("for").size(), 4);
    assertEquals(first.get("against").size(), 0);
    assertTrue(first.get("now").asString().endsWith("."));
    assertTrue(said.get("questions").size() <= 4);
    assertEquals(run(TACKY), 0);
    assertTrue(out.startsWith("1. The master keeps the rubber from curing   11\n"), out);
    assertTrue(out.contains("   for      no patch was tried on the master (+2)\n"), out);
    assertTrue(out.contains("It would help to know:\n"), out);
  }

  @Test
  public void aRatioMayBeTwoNumbers() throws Exception {
    String soft =
        "{\"seen\": \"SOFT\", \"record\": {\"ratio\": {\"kind\": \"weight\", \"a\": 100, \"b\": 10},"
            + " \"baseG\": 1206, \"hardenerG\": 98}}";
    assertEquals(run(soft, "--json"), 0, err);
    JsonNode said = JsonMapper.builder().build().readTree(out);
    assertEquals(said.get("causes").get(0).get("key").asString(), "SHORT_OF_HARDENER");
  }

  @Test
  public void whatIsNotUnderstoodIsSaid() throws Exception {
    assertEquals(run("{\"seen\": \"ODD\"}"), 3);
    assertTrue(err.startsWith("the file, seen: “ODD” is none of [TACKY_AT_MASTER, "), err);
    assertEquals(run("{\"seen\": \"SOFT\", \"record\": [1]}"), 3);
    assertTrue(err.contains("record: it is one object"), err);
    assertEquals(run("{\"seen\": \"SOFT\", \"record\": {\"roomC\": [1]}}"), 3);
    assertTrue(err.contains("roomC: a number, a text, true or false"), err);
  }
}
