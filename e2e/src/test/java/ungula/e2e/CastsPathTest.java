package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertTrue;

import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.RequestOptions;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** From one cast to many: how much is mixed, from how many moulds, and when they are done. */
public class CastsPathTest extends Browsing {

  @Test
  public void castsAreMeasuredAndPromised() {
    visit(demoJob("Lantern finial") + "/casts");
    Locator words = page.locator("main.words");
    assertThat(words).containsText("Say how many casts are wanted.");
    choose("cast.product", "Oyster 75");
    assertThat(words.locator(".weigh")).containsText("part A");
    choose("cast.amount.way", "as much water or grain as the mould held");
    write("cast.amount.heldMm3", "130 mL");
    assertThat(words).containsText("by the model");
    write("cast.wanted", "20");
    assertThat(words).containsText(Pattern.compile("Promise \\w{3} \\d+ \\w{3} \\d+:\\d\\d"));
    page.locator("table.runs")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("3").setExact(true))
        .click();
    assertThat(word("rubber.moulds")).hasText("3 moulds");
    assertThat(page.locator("table.runs tr.chosen th")).hasText(Pattern.compile("^3"));
    page.keyboard().press("Control+z");
    assertThat(page.locator("table.runs tr.chosen th")).hasText(Pattern.compile("^1"));
    assertThat(word("rubber.moulds")).hasText("one mould");
  }

  /**
   * Weighed, poured, counted with gloves on, shown where it failed: all that follows it follows.
   */
  @Test
  public void castsAreMadeAtTheBenchAndAllElseFollows() {
    String job = demoJob("Lantern finial");
    visit(job + "/casts");
    choose("cast.product", "Oyster 75");
    choose("cast.amount.way", "as much water or grain as the mould held");
    write("cast.amount.heldMm3", "130 mL");
    write("cast.wanted", "20");
    write("rubber.moulds", "2");
    Locator promise = page.locator("main.words strong").nth(1);
    assertThat(promise).hasText(Pattern.compile("\\w{3} \\d+ \\w{3} \\d+:\\d\\d"));
    // a third mould is offered with what all then cost, and a cast
    Locator third = page.locator("table.runs tbody tr").nth(2);
    assertThat(third).containsText(Pattern.compile("€.\\d+.*€.\\d+"));
    String before = promise.textContent();
    button("Cast one").click();
    page.waitForURL("**/runs/*");
    toTheResult();
    key("A good cast").click();
    key("Next cast").click();
    assertThat(page.locator(".run header")).containsText("0 of");
    toTheResult();
    key("Scrap").click();
    key("It was not filled.").click();
    assertThat(page.locator("h1")).hasText("All is done.");
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Stop here")).click();
    Locator words = page.locator("main.words");
    assertThat(words).containsText("1 to use; 1 scrap.");
    assertThat(words).containsText(Pattern.compile("Mould 1 \\(\\w{5}\\) gave 2 of about"));
    assertThat(promise).not().hasText(before);
    button("Show where").click();
    Locator solid = page.locator(".solid");
    assertThat(solid).hasAttribute("data-loaded", Pattern.compile(".+"));
    solid.focus();
    page.keyboard().press("Enter");
    assertThat(solid).hasAttribute("data-spots", "1");
    page.reload();
    button("Where they were not good").click();
    assertThat(page.locator(".solid")).hasAttribute("data-spots", "1");
    threeMoreAreCounted();
    assertThat(words).containsText("4 to use; 1 scrap.");
    assertThat(words).containsText(Pattern.compile("Mould 1 \\(\\w{5}\\) gave 5 of about"));
    // three jobs of one material teach what a cast weighs for its master's weight
    choose("cast.amount.way", "the master’s weight times a factor");
    write("cast.amount.masterG", "260 g");
    assertThat(words).not().containsText("jobs of your own");
    for (String other : List.of("210 g", "206 g")) {
      String more = demoJob("Lantern finial");
      edited(more, "cast.product", "oyster-75");
      edited(more, "cast.amount.masterG", "260 g");
      counted(more, other);
    }
    page.reload();
    assertThat(words).containsText("It is 0.8 by 3 jobs of your own");
    button("Take 0.8").click();
    assertThat(word("cast.amount.factor")).hasText("0.8");
    String mixed = page.request().get(app.url("api/" + job + "/mixed")).text();
    assertTrue(mixed.split("The cast", -1).length == 3, mixed);
  }

  /** At a desk, each weighed: 208 g. */
  private void threeMoreAreCounted() {
    Locator words = page.locator("main.words");
    for (int i = 0; i < 3; i++) {
      words.getByPlaceholder("not weighed").fill("208 g");
      button("One more, good").click();
      assertThat(words).containsText((2 + i) + " to use; 1 scrap.");
    }
  }

  private void edited(String job, String word, String text) {
    JsonObject now = read("api/" + job);
    Map<String, Object> edit =
        Map.of(
            "version",
            now.get("version").getAsInt(),
            "edits",
            List.of(Map.of("word", word, "text", text)));
    String edits = app.url("api/" + job + "/edits");
    assertTrue(page.request().post(edits, RequestOptions.create().setData(edit)).ok());
  }

  private void counted(String job, String mass) {
    Map<String, Object> cast =
        Map.of("id", "c" + mass.hashCode(), "mould", 1, "result", "GOOD", "mass", mass);
    String made = app.url("api/" + job + "/casts/made");
    assertTrue(page.request().post(made, RequestOptions.create().setData(cast)).ok());
  }

  private Locator key(String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  /** Does what is next, until a cast is to be looked over. */
  private void toTheResult() {
    String at = "api/runs/" + page.url().replaceFirst(".*/runs/", "");
    for (int i = 0; i < 60; i++) {
      JsonObject run = read(at);
      JsonObject task = next(run);
      String kind = task.get("kind").getAsString();
      if (kind.equals("RESULT")) {
        break;
      }
      Map<String, Object> act = new HashMap<>(Map.of("id", "a" + i, "who", "MB", "agoMs", 0));
      act.put("key", task.get("key").getAsString());
      boolean asked = kind.equals("GATE") || kind.equals("VERDICT");
      act.put("kind", asked ? kind : kind.equals("WEIGH") ? "GRAMS" : "TICK");
      if (asked) {
        act.put("yes", true);
      } else if (kind.equals("WEIGH")) {
        act.put("value", run.getAsJsonObject("weighing").get("target").getAsString());
      }
      page.request().post(app.url(at + "/acts"), RequestOptions.create().setData(act));
    }
    page.reload();
    assertThat(key("A good cast")).isVisible();
  }

  private JsonObject read(String path) {
    return JsonParser.parseString(page.request().get(app.url(path)).text()).getAsJsonObject();
  }

  private static JsonObject next(JsonObject run) {
    for (JsonElement t : run.getAsJsonArray("tasks")) {
      if (t.getAsJsonObject().get("key").equals(run.get("next"))) {
        return t.getAsJsonObject();
      }
    }
    throw new AssertionError("Nothing is next: " + run);
  }
}
