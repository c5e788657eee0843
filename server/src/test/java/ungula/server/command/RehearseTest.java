package ungula.server.command;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.PrintStream;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

public class RehearseTest extends Commanded {

  @Override
  int command(List<String> args, PrintStream out, PrintStream err) {
    return Rehearse.run(args, out, err);
  }

  private static final String PRODUCT =
      """
      "product": {"ratio": "100 : 10", "tolerancePct": 2, "potLifeMin": 30, "atC": 23,
        "ratePer10": 2, "density": 1.08}, "roomC": 28,
      """;

  /** 104 × 79 inside, round a flat master of 80 × 55 × 42. */
  private static final String BOX =
      "\"box\": {\"lengthMm\": 104, \"widthMm\": 79, \"levels\": [[42, 160.272]]},";

  private JsonNode rehearsed(double baseG, String events) throws Exception {
    String batches = "\"batches\": [{\"baseG\": " + baseG + "}],";
    assertEquals(
        run("{" + PRODUCT + batches + BOX + "\"events\": [" + events + "]}", "--json"), 0, err);
    return JsonMapper.builder().build().readTree(out);
  }

  @Test
  public void theSecondPartFollowsTheFirstAndIsSavedWhereItIsTooMuch() throws Exception {
    JsonNode r =
        rehearsed(
            1192,
            """
            {"t": "09:50:00", "gate": "gate.box"},
            {"t": "09:51:00", "gate": "gate.cups", "skipped": true},
            {"t": "09:58:00", "line": "S +  1206.4 g"},
            {"t": "09:59:00", "tare": true},
            {"t": "09:59:30", "kill": true},
            {"t": "10:00:00", "line": "D +     3.0 g"},
            {"t": "10:01:00", "line": "S +   131.0 g"},
            {"t": "10:01:10", "tick": "pour.1.1.stir"}
            """);
    assertEquals(r.get("targets").size(), 2);
    assertEquals(
        r.at("/targets/0").toString(),
        "{\"t\":\"09:50:00\",\"part\":\"base\",\"g\":1192.0,\"batch\":\"pour.1.1\"}");
    assertEquals(r.at("/targets/1/g").asDouble(), 120.6);
    assertEquals(r.at("/targets/1/t").asString(), "09:58:00");
    assertEquals(
        r.get("alarms").toString().replaceAll(",\"batch\":\"pour.1.1\"", ""),
        "[{\"t\":\"10:10:36\",\"pct\":50},{\"t\":\"10:16:58\",\"pct\":80},"
            + "{\"t\":\"10:21:13\",\"pct\":100}]");
    assertEquals(r.get("still").toString(), "{\"addBaseG\":103.6,\"totalG\":1441.0,\"mL\":1334.3}");
    assertTrue(r.get("level").isNull());
    assertEquals(r.get("refused").size(), 1);
    assertEquals(r.at("/refused/0/t").asString(), "10:01:10");
    assertTrue(r.at("/refused/0/why").asString().contains("103.6 g of base"));
    List<String> kinds = new ArrayList<>();
    r.get("records").forEach(e -> kinds.add(e.get("kind").asString()));
    assertEquals(
        kinds,
        List.of(
            "gate", "gate", "gate", "gate", "gate", "gate", "weighed", "tare", "met", "weighed"));
  }

  @Test
  public void aLevelIsHeldAgainstWhatWasPoured() throws Exception {
    String weighed =
        """
        {"t": "10:00:00", "grams": 231.82}, {"t": "10:01:00", "lost": "scale"},
        {"t": "10:02:00", "grams": 23.18}, {"t": "10:03:00", "tick": "pour.1.1.stir"},
        {"t": "10:04:00", "tick": "pour.1.1.cup"}, {"t": "10:05:00", "tick": "pour.1.1.pour"},
        """;
    JsonNode within = rehearsed(231.8, weighed + "{\"t\": \"10:06:00\", \"readMm\": 50.2}");
    assertEquals(
        within.get("level").toString(),
        "{\"expectedMm\":51.2,\"shortPct\":3.6,\"verdict\":\"within\"}");
    assertEquals(within.get("alarms").size(), 0, "it was poured before the first");
    assertTrue(within.get("still").isNull());
    JsonNode low = rehearsed(231.8, weighed + "{\"t\": \"10:06:00\", \"readMm\": 49.0}");
    assertEquals(
        low.get("level").toString(),
        "{\"expectedMm\":51.2,\"shortPct\":7.8,\"verdict\":\"short\"}");
    assertEquals(low.get("refused").size(), 0);
  }

  @Test
  public void itIsToldInWordsToo() throws Exception {
    String events =
        "[{\"t\": \"10:00:00\", \"grams\": 100}, {\"t\": \"10:01:00\", \"grams\": 12},"
            + " {\"t\": \"10:02:00\", \"readMm\": 20}, {\"t\": \"10:03:00\", \"line\": \"OL\"}]";
    assertEquals(
        run("{" + PRODUCT + BOX + "\"batches\": [{\"baseG\": 100}], \"events\": " + events + "}"),
        0);
    assertTrue(out.contains("10:00:00  pour.1.1: 10.0 g of hardener"), out);
    assertTrue(out.contains("Too much hardener: add 20.0 g of base, 132.0 g in all."), out);
    assertTrue(out.contains("refused: There is more on the scale than it carries"), out);
    assertTrue(out.contains("% short, "), out);
  }

  @DataProvider
  public Object[][] unreadable() {
    String batches = "\"batches\": [{\"baseG\": 100}],";
    return new Object[][] {
      {"[]", "A script is one object, { … }."},
      {"{", "This is not JSON"},
      {"{\"batches\": []}", "\"product\" is missing"},
      {"{\"product\": {\"ratio\": \"lots\"}}", "product, ratio: "},
      {"{" + PRODUCT + "\"batches\": []}", "\"batches\" names none"},
      {"{" + PRODUCT + "\"batches\": [{\"baseG\": -1}]}", "batch 1, baseG: from 0 to"},
      {
        "{" + PRODUCT + batches + "\"box\": {\"lengthMm\": 10, \"widthMm\": 10, \"levels\": [1]}}",
        "box, level 1: a height and a volume"
      },
      {
        "{"
            + PRODUCT
            + batches
            + "\"box\": {\"lengthMm\": 10, \"widthMm\": 10, \"levels\": [[5, 2], [4, 3]]}}",
        "box, levels: Levels have to rise"
      },
      {
        "{" + PRODUCT + batches + "\"events\": [{\"t\": \"ten\", \"kill\": true}]}",
        "event 1, t: written like 10:00:00"
      },
      {
        "{" + PRODUCT + batches + "\"events\": [{\"t\": \"10:00:00\"}]}",
        "event 1: it says line, tick, gate"
      },
      {
        "{"
            + PRODUCT
            + batches
            + "\"events\": [{\"t\": \"10:00\", \"kill\": true}, {\"t\": \"09:00\", \"kill\": true}]}",
        "event 2: events are told in the order they happen"
      },
    };
  }

  @Test(dataProvider = "unreadable")
  public void whatIsNotUnderstoodIsOneLine(String script, String says) throws Exception {
    assertEquals(run(script, "--json"), 3);
    assertTrue(err.contains(says), err);
    assertEquals(err.strip().lines().count(), 1);
    assertEquals(out, "");
  }
}
