package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.RequestOptions;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Everyone can use it: axe finds nothing serious, every screen shows all, and the keyboard reaches
 * everything.
 */
public class AccessTest extends Browsing {

  @DataProvider
  public Object[][] pages() {
    return new Object[][] {
      {""},
      {"days"},
      {"rubber"},
      {"rubber/oyster-75"},
      {"shopping"},
      {"together"},
      {"mix"},
      {"workshop"},
      {"moulds"},
      {"months"},
      {"exercises"},
      {"help"},
      {"{job}/proposal"},
      {"{job}/master"},
      {"{job}/approach"},
      {"{job}/mould"},
      {"{job}/rubber"},
      {"{job}/pours"},
      {"{job}/days"},
      {"{job}/bench"},
      {"{job}/casts"},
      {"{job}/log"},
      {"{run}"}
    };
  }

  @Test(dataProvider = "pages")
  public void axeFindsNothingSeriousAndAllOfItFits(String path) throws Exception {
    String name = path.equals("{run}") ? "Lantern finial" : "Bollard chess pieces";
    String job = path.startsWith("{") ? demoJob(name) : "";
    String run = path.equals("{run}") ? begunAtTheBench(job) : "";
    visit(path.replace("{job}", job).replace("{run}", run));
    assertThat(page.locator("h1")).not().hasText("");
    if (!job.isEmpty()) {
      assertThat(
              page.locator(
                  ".drawing svg, .solid canvas, .approaches table, .proposed img,"
                      + " .days svg, .casts p, .cup"))
          .isVisible();
    }
    AxeRunOptions wrong = new AxeRunOptions();
    wrong.setResultTypes(List.of("violations"));
    List<String> serious =
        new AxeBuilder(page)
            .options(wrong).analyze().getViolations().stream()
                .filter(v -> v.getImpact().equals("serious") || v.getImpact().equals("critical"))
                .map(v -> v.getId() + ": " + v.getNodes().get(0).getHtml())
                .toList();
    assertEquals(String.join("\n", serious), "");
    assertFitsEveryScreen();
  }

  /** The address of a run that is at its first weighing. */
  private String begunAtTheBench(String job) {
    String runs = app.url("api/" + job + "/runs");
    JsonObject run = asked(page.request().post(runs));
    String id = run.get("id").getAsString();
    for (JsonElement e : run.getAsJsonArray("tasks")) {
      JsonObject task = e.getAsJsonObject();
      String kind = task.get("kind").getAsString();
      if (kind.equals("WEIGH")) {
        break;
      }
      Map<String, Object> act =
          Map.of(
              "id",
              id.substring(0, 20) + task.get("key").getAsString().hashCode(),
              "kind",
              kind.equals("GATE") ? "GATE" : "TICK",
              "key",
              task.get("key").getAsString(),
              "yes",
              true,
              "agoMs",
              0);
      String acts = app.url("api/runs/" + id + "/acts");
      asked(page.request().post(acts, RequestOptions.create().setData(act)));
    }
    return "runs/" + id;
  }

  private void tabTo(Locator target) {
    for (int i = 0; i < 80; i++) {
      if ((Boolean) target.evaluate("e => e === document.activeElement")) {
        return;
      }
      page.keyboard().press("Tab");
    }
    throw new AssertionError("Tab does not reach " + target);
  }

  @Test
  public void theMainPathWorksByKeyboardAlone() {
    visit("");
    tabTo(button("New job"));
    page.keyboard().press("Enter");
    page.waitForURL(Pattern.compile(".*/master"));
    tabTo(word("master.source"));
    page.keyboard().press("Enter");
    page.keyboard().press("ArrowDown");
    page.keyboard().press("ArrowDown");
    page.keyboard().press("ArrowDown");
    page.keyboard().press("Enter");
    assertThat(word("master.source")).hasText("a simple solid");
    tabTo(word("master.solid.lengthMm"));
    page.keyboard().type("100");
    page.keyboard().press("Enter");
    assertThat(word("master.solid.lengthMm")).hasText("100 mm");
    page.keyboard().press("Shift+ArrowUp");
    assertThat(word("master.solid.lengthMm")).hasText("110 mm");
    // on a word a digit is typed into it; anywhere else it goes to a stage
    tabTo(page.locator("nav a").first());
    page.keyboard().press("3");
    page.waitForURL(Pattern.compile(".*/mould"));
    tabTo(word("mould.overTopMm"));
    page.keyboard().press("ArrowDown");
    assertThat(word("mould.overTopMm")).hasText("9 mm");
    page.keyboard().press("Control+z");
    assertThat(word("mould.overTopMm")).hasText("10 mm");
    // 134 × 79 × 52 − 110 × 55 × 42
    assertThat(figure("rubber.box")).hasText("296.4 mL");
    Locator handle = page.locator("[role='slider'][aria-label='Pour line']");
    assertThat(page.locator(".drawing[data-stale='false']")).hasCount(1);
    handle.focus();
    page.keyboard().press("ArrowUp");
    assertThat(word("mould.overTopMm")).hasText("11 mm");
    assertTrue(handle.getAttribute("aria-valuetext").contains("mL"));
  }
}
