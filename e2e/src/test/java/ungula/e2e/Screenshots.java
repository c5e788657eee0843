package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.RequestOptions;
import java.nio.file.Path;
import java.util.Map;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** Takes the pictures the README shows. Run by name only; it is not one of the tests. */
public class Screenshots extends Browsing {

  /** The shelf is shown as it is put up. */
  @Override
  boolean alone() {
    return true;
  }

  @Override
  double pixels() {
    return 1;
  }

  private final Path folder = Path.of(System.getProperty("ungula.screenshots", "target"));

  private void take(String name) {
    page.mouse().move(0, 0);
    page.screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(name + ".png")));
  }

  private void drawn() {
    assertThat(page.locator(".drawing[data-stale='false'] svg")).isVisible();
  }

  @Test
  public void mainViews() {
    visit("");
    assertThat(page.locator(".entry")).hasCount(9);
    pictured();
    take("shelf");
    String nautilus = demoJobItself("Nautilus touch model");
    visit(nautilus + "/master");
    solidDrawn();
    assertThat(page.getByText("on its")).not().hasCount(0);
    take("master");
    visit(nautilus + "/mould");
    drawn();
    take("mould");
    String finial = demoJobItself("Lantern finial");
    visit(finial + "/approach");
    page.locator(".approaches table").waitFor();
    pictured();
    take("approach");
    page.locator("button[aria-label^='Choose the two-part mould']").first().click();
    stage("Mould");
    assertThat(page.locator(".drawing[data-stale='false'] path.PARTING")).hasCount(1);
    take("two-part");
    visit(nautilus + "/rubber");
    drawn();
    take("rubber");
    visit(demoJobItself("Octopus on a rock") + "/mould");
    page.locator("[data-caution='air.cast']").waitFor();
    page.locator(".drawing path.AIR").waitFor();
    page.locator(".shape").scrollIntoViewIfNeeded();
    take("air");
    stage("Pours");
    choose("rubber.bubbles", "pulled in the vacuum chamber, straight through");
    page.locator("table.batches tbody tr").nth(1).waitFor();
    drawn();
    take("pours");
    visit(demoJobItself("Rope-knot paperweight") + "/master");
    solidDrawn();
    button("Find the best ways up").click();
    page.locator(".stands:not(:has(.busy)) li").first().waitFor();
    page.locator(".stands li").last().scrollIntoViewIfNeeded();
    take("stands");
    visit(demoJobItself("Barnacled mooring post") + "/mould");
    page.locator("[aria-label='Jacket']").waitFor();
    drawn();
    page.locator("[aria-label='When the coats go on']").scrollIntoViewIfNeeded();
    take("skin");
    visit("shopping");
    page.locator("table.compare tfoot").waitFor();
    take("shopping");
    visit(demoJobItself("Barnacled mooring post") + "/days");
    assertThat(page.locator(".days .finish")).isVisible();
    take("days");
    visit("days");
    assertThat(page.locator(".whose").first()).isVisible();
    take("bench");
    visit(finial + "/bench");
    button("Begin the mould").click();
    page.waitForURL(Pattern.compile(".*/runs/.*"));
    page.locator(".who input").fill("MB");
    page.locator(".who input").press("Enter");
    weighing();
    take("weighing");
    visit(finial + "/log");
    page.locator("table.log").waitFor();
    drawn();
    take("log");
    visit(demoJobItself("Bollard chess pieces") + "/casts");
    page.locator("table.runs tr.chosen").waitFor();
    page.locator(".casts svg").waitFor();
    take("casts");
    visit("moulds");
    page.locator("table.moulds .gauge").first().waitFor();
    take("moulds");
    visit("workshop");
    assertThat(word("name")).isVisible();
    take("workshop");
    byte[] stl = page.request().get(app.url("api/" + nautilus + "/master.stl")).body();
    visit("");
    page.waitForFileChooser(() -> button("Job from a model").click())
        .setFiles(new FilePayload("Nautilus.stl", "model/stl", stl));
    begun("proposal");
    page.locator(".proposed").waitFor();
    pictured();
    take("proposal");
  }

  /** Goes on to the middle of weighing hardener, on the made-up scale. */
  private void weighing() {
    Locator says = page.locator(".say h1");
    while (!says.textContent().startsWith("Put the cup")) {
      String before = says.textContent();
      Locator over = button("It is over already");
      if (over.count() > 0) {
        over.click();
      } else {
        page.keyboard().press("Space");
      }
      assertThat(says).not().hasText(before);
    }
    hand("put 45");
    assertThat(page.locator(".amount .digits")).hasText("45.0");
    page.waitForCondition(() -> page.request().get(now()).text().contains("\"settled\":true"));
    button("Set to zero").click();
    assertThat(says).containsText("Pour base");
    hand("put 430");
    assertThat(says).containsText("Pour hardener");
    hand("put 350");
    assertThat(page.locator(".amount .digits")).hasText(Pattern.compile("349.9|350.*"));
  }

  private String now() {
    return app.url("api" + page.url().replaceAll(".*(/runs/.*)", "$1") + "/now");
  }

  private void hand(String deed) {
    page.request()
        .post(
            app.url("api/devices/stand-ins/SCALE"),
            RequestOptions.create().setData(Map.of("deed", deed)));
  }

  /** Waits until every picture on the page is there. */
  private void pictured() {
    page.waitForCondition(
        () ->
            (Boolean)
                page.evaluate(
                    "() => [...document.images].every((i) => i.complete && i.naturalWidth > 0)"));
  }
}
