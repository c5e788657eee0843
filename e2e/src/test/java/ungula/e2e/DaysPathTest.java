package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.RequestOptions;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** From the first beginning to days that others can read. It is a Monday at seven. */
public class DaysPathTest extends Browsing {

  /** All jobs share the bench, and the workshop's forecast is changed. */
  @Override
  boolean alone() {
    return true;
  }

  private Locator mark() {
    return page.locator("[role='slider'][aria-label='Beginning']");
  }

  private Locator bar(String label) {
    return page.locator("[role='button'][aria-label^='" + label + "']").first();
  }

  /** Drags the beginning so many pixels to the right, and says what is shown meanwhile. */
  private String dragged(double by) {
    BoundingBox box = mark().boundingBox();
    double x = box.x + 14;
    page.mouse().move(x, box.y + 16);
    page.mouse().down();
    page.mouse().move(x + by / 2, box.y + 16);
    page.mouse().move(x + by, box.y + 16);
    assertThat(mark())
        .hasAttribute("aria-valuetext", Pattern.compile("finished .*(later|sooner|soon)"));
    String said = mark().getAttribute("aria-valuetext");
    page.mouse().up();
    return said;
  }

  @Test
  public void fromADraggedBeginningToACalendarAndASheet() throws Exception {
    String finial = demoJob("Lantern finial");
    int version = asked(page.request().get(app.url("api/" + finial))).get("version").getAsInt();
    asked(
        page.request()
            .post(
                app.url("api/" + finial + "/edits"),
                RequestOptions.create()
                    .setData(
                        Map.of(
                            "version",
                            version,
                            "edits",
                            List.of(Map.of("word", "mould.kind", "text", "TWO_PART"))))));
    visit(finial + "/days");
    assertThat(word("days.begin")).hasClass(Pattern.compile("unset"));
    assertThat(bar("pour 2")).isVisible();
    String said = dragged(180);
    assertTrue(said.startsWith("begin Mon 1 Mar 1"), said);
    assertThat(word("days.begin")).hasText(Pattern.compile("Mon 1 Mar 1\\d:\\d\\d"));
    // typed, and by keys
    write("days.begin", "Thursday 9:00");
    assertThat(word("days.begin")).hasText("Thu 4 Mar 9:00");
    assertThat(mark()).hasAttribute("aria-valuetext", "Thu 4 Mar 9:00");
    mark().focus();
    page.keyboard().press("ArrowRight");
    page.keyboard().press("Enter");
    assertThat(word("days.begin")).hasText("Thu 4 Mar 9:10");

    // a step is pinned from its card
    // on the bar itself: the middle of it and of its name beside it may be bare paper
    bar("pour 1").locator("rect").first().click();
    page.getByLabel("Begin it just at").fill("Thu 14:30");
    button("Pin it").click();
    assertThat(page.locator(".stepcard")).containsText("Thu 4 Mar 14:30");
    button("Let it go").click();
    assertThat(button("Let it go")).hasCount(0);

    aMissedWindow();
    theBench(finial);
    aColdNight(finial);
    String sheet = printedSheet();
    assertTrue(sheet.contains("\nDays\n") && sheet.contains("Thu 4 Mar"), sheet);
  }

  /** A coat that falls out of the day: what is offered instead is taken. */
  private void aMissedWindow() {
    String post = demoJob("Barnacled mooring post");
    visit(post + "/mould");
    page.locator("[aria-label='Jacket']").waitFor();
    visit(post + "/days");
    write("days.begin", "Mon 15 Mar 13:00");
    Locator missed =
        page.locator(
            ".caution", new Page.LocatorOptions().setHasText("One night between two coats"));
    assertThat(missed).isVisible();
    page.locator(".caution.offer button", new Page.LocatorOptions().setHasText("Begin coat 1"))
        .first()
        .click();
    assertThat(missed).hasCount(0);
    assertThat(bar("coat 6")).isVisible();
    assertThat(page.locator(".schools tbody tr")).hasCount(3);
  }

  /** A second job waits for the first, until it is moved up; a calendar reads both. */
  private void theBench(String finial) {
    String knot = demoJob("Rope-knot paperweight");
    visit(knot + "/days");
    write("days.begin", "Thu 4 Mar 9:10");
    assertThat(word("days.begin")).hasText("Thu 4 Mar 9:10");
    visit("days");
    Locator jobs = page.locator(".joborder").first().locator("li");
    Locator second = jobs.filter(new Locator.FilterOptions().setHasText("Rope-knot"));
    assertThat(second).containsText("later than by itself");
    for (int at = jobs.count() - 1; at > 0; at--) {
      second.getByText("↑").click();
      assertThat(jobs.nth(at - 1)).containsText("Rope-knot");
    }
    assertThat(second).not().containsText("later than by itself");
    page.locator("input[aria-label='from']").fill("Thu 4 Mar 9:00");
    page.locator("input[aria-label='to']").fill("12");
    button("Look").click();
    assertThat(page.locator(".benchdays [role='status']")).containsText("Rope-knot");
    button("Make an address").click();
    String address = page.getByLabel("Calendar address").inputValue();
    String calendar = page.request().get(address).text();
    assertTrue(calendar.contains("SUMMARY:Rope-knot paperweight"), calendar);
    button("Revoke it").click();
    assertThat(button("Make an address")).isVisible();
    assertTrue(page.request().get(address).status() == 404);
    visit(finial + "/days");
    assertThat(page.locator(".taken").first()).isVisible();
  }

  /** Twelve degrees at night: the opening is later, and said to be. */
  private void aColdNight(String finial) {
    String finish = page.locator(".days .finish").textContent();
    write("hours.forecast", "Thu 4 Mar 12:00 8 °C; Sat 12:00 19 °C");
    assertThat(page.locator(".caution").first()).containsText("A cold room slows it");
    assertThat(page.locator(".days .finish")).not().hasText(finish);
    assertThat(page.locator(".words")).containsText("8 °C");
    assertTrue(page.url().contains(finial));
  }
}
