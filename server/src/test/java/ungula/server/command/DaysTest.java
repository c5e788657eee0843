package ungula.server.command;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.PrintStream;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

public class DaysTest extends Commanded {

  @Override
  int command(List<String> args, PrintStream out, PrintStream err) {
    return Days.run(args, out, err);
  }

  private static final String WEEK =
      """
      "zone": "Europe/Berlin", "calendar": {
        "MON": ["08:00-12:00", "13:00-17:00"], "TUE": ["08:00-12:00", "13:00-17:00"],
        "WED": ["08:00-12:00", "13:00-17:00"], "off": ["2027-03-11"]},
      "resources": {"person": 1}, "rate": 2,
      """;

  private JsonNode answer() {
    return JsonMapper.builder().build().readTree(out);
  }

  private static String coats(String start) {
    return "{"
        + WEEK
        + "\"start\": \""
        + start
        + "\", \"pinStart\": true, \"steps\": ["
        + "{\"key\": \"first\", \"kind\": \"hands\", \"minutes\": 30},"
        + "{\"key\": \"second\", \"kind\": \"hands\", \"minutes\": 30, \"after\": ["
        + "{\"step\": \"first\", \"least\": 99, \"greatest\": 198, \"from\": \"begin\"}]}]}";
  }

  @Test
  public void aNetworkIsScheduled() throws Exception {
    assertEquals(run(coats("2027-03-08T08:00"), "--json"), 0);
    JsonNode s = answer();
    assertTrue(s.get("feasible").asBoolean());
    assertEquals(s.get("finish").asString(), "2027-03-08T10:09");
    assertEquals(s.get("steps").get(1).get("key").asString(), "second");
    assertEquals(s.get("steps").get(1).get("from").asString(), "2027-03-08T09:39");
    assertEquals(s.get("steps").get(1).get("to").asString(), "2027-03-08T10:09");
    assertEquals(s.get("latestStart").asString(), "2027-03-08T08:00");
    assertTrue(s.get("rule").isNull() && s.get("tryStart").isNull());
    assertEquals(run(coats("2027-03-08T08:00")), 0);
    assertTrue(out.contains("Mon 8 Mar 09:39 to Mon 8 Mar 10:09  second"), out);
    assertTrue(out.contains("Finished Mon 8 Mar 10:09."), out);
  }

  @Test
  public void whatCannotBeSaysWhichRuleAndWhenItCould() throws Exception {
    assertEquals(run(coats("2027-03-08T16:00"), "--json"), 1);
    JsonNode s = answer();
    assertTrue(!s.get("feasible").asBoolean() && s.get("finish").isNull());
    assertTrue(s.get("rule").asString().startsWith("second cannot begin within 3 h 18 min"), out);
    assertEquals(s.get("tryStart").get(0).asString(), "2027-03-09T08:00");
    assertEquals(s.get("tryStart").get(1).asString(), "2027-03-08T14:51");
    assertEquals(run(coats("2027-03-08T16:00")), 1);
    assertTrue(out.contains("It can be begun Tue 9 Mar 08:00."), out);
    assertTrue(out.contains("Before that, Mon 8 Mar 14:51 is the latest."), out);
  }

  @Test
  public void waitsFollowTheRoomGroupsRunOnAndPinsHold() throws Exception {
    String network =
        "{"
            + WEEK
            + """
            "start": "2027-03-08T11:00",
            "room": [{"from": "2027-03-08T00:00", "degreesC": 13}],
            "steps": [
              {"key": "weigh", "kind": "hands", "minutes": 40, "unbroken": "pour"},
              {"key": "pour", "kind": "hands", "minutes": 30, "unbroken": "pour",
               "after": ["weigh"]},
              {"key": "cure", "kind": "wait", "minutes": 480, "at23": true, "after": ["pour"]},
              {"key": "open", "kind": "hands", "minutes": 20, "pinned": "2027-03-09T10:00",
               "holds": ["bench"], "after": [{"step": "cure"}]}]}""";
    assertEquals(run(network, "--json"), 0, err);
    JsonNode steps = answer().get("steps");
    assertEquals(steps.get(0).get("from").asString(), "2027-03-08T13:00");
    assertEquals(steps.get(1).get("to").asString(), "2027-03-08T14:10");
    assertEquals(steps.get(2).get("to").asString(), "2027-03-09T06:10");
    assertEquals(steps.get(3).get("from").asString(), "2027-03-09T10:00");
  }

  @DataProvider
  public Object[][] unreadable() {
    String step = "{\"key\": \"a\", \"kind\": \"hands\", \"minutes\": 5";
    return new Object[][] {
      {"", "one object"},
      {"{", "This is not JSON"},
      {"[]", "one object"},
      {"{}", "\"zone\" is missing"},
      {"{\"zone\": \"Mars\", \"start\": \"2027-03-08T08:00\"}", "zone: written like Europe/Berlin"},
      {"{\"zone\": \"UTC\", \"start\": \"Monday\"}", "start: written like 2027-03-08T08:00"},
      {in(step + ", \"after\": [\"b\"]}"), "a waits on b, which is not there."},
      {in(step + "}," + step + "}"), "There are two steps called a."},
      {in(step + ", \"after\": [\"a\"]}"), "in a circle: a"},
      {in("{\"key\": \"a\", \"kind\": \"gate\"}"), "a, kind: hands or wait"},
      {in("{\"key\": \"a\", \"kind\": \"wait\", \"minutes\": -1}"), "a, minutes: from 0 to"},
      {in(step + ", \"pinned\": true}"), "a, pinned: written like 2027-03-08T08:00"},
      {in(step + ", \"holds\": [[1]]}"), "a, holds: a text is asked for"},
      {with("\"calendar\": {\"MON\": \"08:00-12:00\"}"), "calendar, MON: a list is asked for"},
      {with("\"calendar\": {\"off\": \"2027-03-08\"}"), "calendar, off: a list is asked for"},
      {with("\"calendar\": {\"off\": [\"9999-03-08\"]}"), "calendar, off: a year from"},
      {with("\"rate\": 0"), "rate, times faster per 10 °C: from 1 to 10"},
      {with("\"room\": [{\"from\": \"2027-03-08T08:00\", \"degreesC\": -1e9}]"), "degreesC: from"},
      {in("{\"key\": \"a\", \"kind\": \"wait\"}"), "a, minutes: a number is asked for."},
      {
        "{\"zone\": \"UTC\", \"start\": \"2027-03-08T08:00\", \"calendar\": {\"MON\": [\"8-12\"]}}",
        "calendar, MON: written like 08:00-12:00"
      },
    };
  }

  private static String in(String steps) {
    return "{\"zone\": \"UTC\", \"start\": \"2027-03-08T08:00\", \"steps\": [" + steps + "]}";
  }

  private static String with(String more) {
    return "{\"zone\": \"UTC\", \"start\": \"2027-03-08T08:00\", " + more + "}";
  }

  @Test(dataProvider = "unreadable")
  public void whatIsNotUnderstoodIsOneLine(String network, String said) throws Exception {
    assertEquals(run(network, "--json"), 3, out);
    assertTrue(err.contains(said), err);
    assertEquals(err.strip().lines().count(), 1, err);
    assertEquals(out, "");
  }

  @Test
  public void withoutHoursItIsSaidAndNotLooped() throws Exception {
    assertEquals(run(in("{\"key\": \"a\", \"kind\": \"hands\", \"minutes\": 5}"), "--json"), 1);
    assertEquals(answer().get("rule").asString(), "There are no hours of work in the calendar.");
  }

  @Test
  public void argumentsAreChecked() throws Exception {
    assertEquals(run("{}", "--when"), 2);
    assertTrue(err.contains("There is no --when."), err);
  }
}
