package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import java.util.zip.ZipFile;
import org.testng.annotations.Test;

/** How a mould is cast in: laid as is best, vented along its cut, watched, and taken away. */
public class CastWaysPathTest extends Browsing {

  @Test
  public void fromTheBestWayToLieToPiecesWithTheirVents() throws Exception {
    visit(demoJob("Octopus on a rock") + "/mould");
    choose("mould.kind", "cut mould");
    Locator best =
        page.getByRole(
                AriaRole.BUTTON,
                new Page.GetByRoleOptions().setName(Pattern.compile("^Cast it .*raised")))
            .first();
    best.click();
    Locator caution = page.locator("[data-caution='air.cast']");
    assertThat(page.locator(".shape")).containsText("raised");
    assertThat(caution).isVisible();
    caution
        .getByRole(
            AriaRole.BUTTON,
            new Locator.GetByRoleOptions().setName(Pattern.compile("^Add \\d+ vents")))
        .click();
    assertThat(page.locator(".drawing[data-stale='false'] path.VENT")).not().hasCount(0);
    assertThat(page.locator(".shape")).containsText("No vent passes more than");
    choose("channels.ventBy", "left by wires");
    assertThat(page.locator("[aria-label='Order of work']"))
        .containsText(Pattern.compile("a greased wire of 2 mm, .* through rubber to the seam"));

    button("Watch a cast fill it").click();
    Locator film = page.locator("figure.film svg");
    assertThat(film).isVisible();
    String full = film.getAttribute("data-level");
    page.getByLabel("How much is poured").fill("0.4");
    assertTrue(Double.parseDouble(film.getAttribute("data-level")) < Double.parseDouble(full) - 10);
    page.getByLabel("How much is poured").fill("0.95");
    button("Play").click();
    assertThat(film).hasAttribute("data-level", full);
    assertThat(page.locator("figure.film")).containsText("It gels after");
    // the solid fills with it, laid as it is cast
    button("Solid").click();
    Locator solid = solidDrawn();
    assertThat(solid).hasAttribute("data-filled", Pattern.compile("^-?\\d"));
    String whole = solid.getAttribute("data-filled");
    page.getByLabel("How much is poured").fill("0.4");
    assertThat(solid).not().hasAttribute("data-filled", whole);
    button("Watch a cast fill it").click();
    assertThat(solid).hasAttribute("data-filled", "");

    try (ZipFile all = pieces()) {
      assertEquals(all.size(), 1);
      assertTrue(all.entries().nextElement().getSize() > 100_000);
    }
  }
}
