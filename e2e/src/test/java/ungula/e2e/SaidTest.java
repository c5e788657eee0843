package ungula.e2e;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.google.gson.JsonArray;
import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.testng.annotations.Test;

/**
 * Every sentence and figure of the made-up jobs, in one file to be read in one sitting: {@code
 * said/demo-jobs.txt}. What is said now is left in {@code target/said/demo-jobs.txt}; where the
 * difference is meant, it is copied over the kept one and read. The masters are coarser than shown.
 */
public class SaidTest extends Browsing {

  private static final String FILE = "said/demo-jobs.txt";

  @Test
  public void whatIsSaidOfTheMadeUpJobsIsWhatWasRead() throws Exception {
    String kept;
    try (var in = SaidTest.class.getResourceAsStream("/" + FILE)) {
      kept = in == null ? "" : new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
    Map<String, String> ids = new TreeMap<>();
    for (JsonElement e : asked("shelf").getAsJsonArray("jobs")) {
      JsonObject job = e.getAsJsonObject();
      if (job.get("demo").getAsBoolean()) {
        ids.put(text(job, "name"), text(job, "id"));
      }
    }
    StringBuilder said = new StringBuilder();
    for (String id : ids.values()) {
      app.study(id);
      JsonObject job = asked("jobs/" + id);
      said.append(said(job));
      oneNameOneFigure(job);
    }
    Path now = Path.of("target", FILE);
    Files.createDirectories(now.getParent());
    Files.writeString(now, said);
    List<String> before = kept.lines().toList();
    List<String> after = said.toString().lines().toList();
    assertEquals(without(after, before), List.of(), "is said now, in " + now.toAbsolutePath());
    assertEquals(without(before, after), List.of(), "was said");
    assertTrue(after.equals(before), "the same lines, in another order");
  }

  private static List<String> without(List<String> lines, List<String> others) {
    List<String> left = new ArrayList<>(lines);
    others.forEach(left::remove);
    return left;
  }

  /** What has one name has one value, wherever in the job it is shown. */
  private void oneNameOneFigure(JsonObject job) {
    Map<String, String> values = new TreeMap<>();
    for (JsonElement f : job.getAsJsonObject("figures").asMap().values()) {
      String before = values.put(text(f, "label"), text(f, "text"));
      assertTrue(
          before == null || before.equals(text(f, "text")),
          text(job, "name") + ", " + text(f, "label") + ": " + before + ", " + text(f, "text"));
    }
  }

  private JsonObject asked(String what) {
    return asked(page.request().get(app.url("api/" + what)));
  }

  private static String said(JsonObject job) {
    StringBuilder to = new StringBuilder("# " + text(job, "name") + "\n");
    for (JsonElement open : job.getAsJsonArray("undecided")) {
      line(to, "to decide", text(open.getAsJsonObject(), "text"));
    }
    for (JsonElement part : job.getAsJsonArray("parts")) {
      line(to, text(part, "text"), text(part, "state"), text(part, "why"));
    }
    to.append("\n## Words\n");
    new TreeMap<>(job.getAsJsonObject("words").asMap())
        .forEach((key, word) -> line(to, key, text(word, "text")));
    to.append("\n## Figures\n");
    job.getAsJsonObject("figures").asMap().forEach((key, figure) -> figure(to, key, figure));
    to.append("\n## Cautions\n");
    for (JsonElement c : job.getAsJsonArray("cautions")) {
      line(to, text(c, "id"), text(c, "stage"), text(c, "level"), text(c, "title"));
      line(to, "  " + text(c, "text"));
      for (JsonElement fix : c.getAsJsonObject().getAsJsonArray("fixes")) {
        line(to, "  - " + text(fix, "label"), text(fix, "price"));
      }
    }
    to.append("\n## Order of work\n");
    steps(to, job.getAsJsonArray("order"));
    steps(to, job.getAsJsonArray("casting"));
    to.append("\n## Touching\n");
    for (JsonElement t : job.getAsJsonArray("touching")) {
      line(to, text(t, "surface"), text(t, "verdict"), text(t, "text"));
    }
    return to.append("\n").toString();
  }

  private static void steps(StringBuilder to, JsonArray steps) {
    String part = "";
    for (JsonElement s : steps) {
      if (!text(s, "part").equals(part)) {
        part = text(s, "part");
        line(to, "### " + part);
      }
      JsonElement takes = s.getAsJsonObject().get("takes");
      line(to, text(s, "key"), takes == null ? "" : text(takes, "text"), text(s, "what"));
      if (takes != null) {
        working(to, takes);
      }
      for (String more : new String[] {"waits", "why"}) {
        if (!text(s, more).isEmpty()) {
          line(to, "  " + text(s, more));
        }
      }
    }
  }

  private static void figure(StringBuilder to, String key, JsonElement figure) {
    line(to, key, text(figure, "label"), text(figure, "text"), text(figure, "exact"));
    working(to, figure);
  }

  private static void working(StringBuilder to, JsonElement figure) {
    JsonObject working = figure.getAsJsonObject().getAsJsonObject("working");
    line(to, "  " + text(working, "formula"));
    for (JsonElement given : working.getAsJsonArray("givens")) {
      line(to, "  - " + text(given, "name"), text(given, "text"), text(given, "source"));
    }
    for (JsonElement step : working.getAsJsonArray("steps")) {
      line(to, "  " + step.getAsString());
    }
    for (String part : new String[] {"rounding", "plusMinus"}) {
      if (!text(working, part).isEmpty()) {
        line(to, "  " + text(working, part));
      }
    }
  }

  private static String text(JsonElement of, String field) {
    JsonElement text = of.getAsJsonObject().get(field);
    return text == null || text.isJsonNull() ? "" : text.getAsString();
  }

  private static void line(StringBuilder to, String... cells) {
    to.append(String.join(" | ", cells).stripTrailing()).append("\n");
  }
}
