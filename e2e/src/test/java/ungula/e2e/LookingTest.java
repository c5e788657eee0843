package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** Views, places and sizes: what is seen, where the address leads, what fits on smaller screens. */
public class LookingTest extends Browsing {

  private Locator view(String name) {
    return page.locator(".views")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
  }

  private void drawn() {
    assertThat(page.locator(".drawing[data-stale='false'] svg path.WALL").first()).isVisible();
  }

  @Test
  public void theSectionTurnsAndMoves() {
    visit(demoJob("Lantern finial") + "/mould");
    drawn();
    String middle = page.locator(".drawing path.MASTER").getAttribute("d");
    Locator plane = page.locator(".cutplace input");
    plane.focus();
    for (int i = 0; i < 8; i++) {
      page.keyboard().press("ArrowRight");
    }
    assertThat(page.locator(".drawing path.MASTER")).not().hasAttribute("d", middle);
    view("Top").click();
    drawn();
    assertThat(page.locator("svg[aria-label='Section, seen from above']")).isVisible();
    page.goBack();
    assertThat(page.locator("svg[aria-label='Section, seen from the front']")).isVisible();
  }

  @Test
  public void aViewHasAnAddress() {
    String job = demoJob("Nautilus touch model");
    visit(job + "/rubber?view=SIDE&at=10");
    drawn();
    assertThat(page.locator("svg[aria-label='Section, seen from the right']")).isVisible();
    assertThat(view("Side")).hasAttribute("aria-pressed", "true");
    stage("Mould");
    page.goBack();
    page.waitForURL(Pattern.compile(".*/rubber\\?view=SIDE.*"));
    visit(job + "/no-such-stage");
    page.waitForURL(Pattern.compile(".*/master"));
  }

  @Test
  public void theDrawingIsToScale() {
    visit(demoJob("Wave-relief wall tile") + "/mould?view=TOP");
    drawn();
    BoundingBox tile = page.locator(".drawing path.MASTER").boundingBox();
    // the tile is 150 mm square
    assertEquals(tile.width / tile.height, 1, 0.02);
    BoundingBox wall = page.locator(".drawing path.WALL").boundingBox();
    // 150 + 2 × 15 of rubber + 2 × 16 of board
    assertEquals(wall.width / tile.width, 212.0 / 150, 0.02);
  }

  @Test
  public void withoutWebGlTheSectionServes() {
    page.addInitScript("HTMLCanvasElement.prototype.getContext = function () { return null; };");
    visit(demoJob("Lantern finial") + "/master");
    drawn();
    assertThat(view("Solid")).isDisabled();
  }

  @Test
  public void theSolidIsFetchedOnlyWhenItIsShown() {
    String job = demoJob("Lantern finial");
    int[] scripts = {0};
    page.onRequest(
        r -> {
          if (r.url().contains("SolidView")) {
            scripts[0]++;
          }
        });
    visit(job + "/mould");
    drawn();
    assertEquals(scripts[0], 0);
    view("Solid").click();
    solidDrawn();
    assertTrue(scripts[0] > 0);
  }

  @Test
  public void smallScreensShowTallyAndCautions() {
    visit(demoJob("Bollard chess pieces") + "/mould");
    write("mould.overTopMm", "-6 mm");
    drawn();
    for (int[] screen : SCREENS) {
      page.setViewportSize(screen[0], screen[1]);
      Locator tally = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Tally"));
      BoundingBox at = tally.boundingBox();
      assertTrue(at.y + at.height <= screen[1] + 1, "the tally ends at " + (at.y + at.height));
      page.locator("[data-caution='pour.low']").scrollIntoViewIfNeeded();
      assertThat(page.locator("[data-caution='pour.low']")).isVisible();
      page.evaluate("window.scrollTo(0, 0)");
    }
  }

  /** Inches and ounces take the most room. */
  @Test
  public void whatIsInInchesFitsEveryScreen() throws Exception {
    for (String job : new String[] {"Lantern finial", "Barnacled mooring post"}) {
      visit(demoJob(job) + "/mould");
      button("More for this job").click();
      page.getByText("Show inches and ounces").click();
      assertThat(figure("rubber.box")).containsText("US");
      assertThat(page.locator(".drawing[data-stale='false'] svg path").first()).isVisible();
      assertFitsEveryScreen();
    }
  }

  @Test
  public void theShelfIsSearchedFromTheKeyboard() {
    visit(demoJob("Lantern finial") + "/master");
    rename("Lantern finial", "Tide gauge");
    visit("");
    assertThat(page.locator(".entry")).not().hasCount(0);
    page.keyboard().press("/");
    page.keyboard().type("samphire");
    Locator entries = page.locator(".entry");
    assertThat(entries.filter(new Locator.FilterOptions().setHasText("Tide gauge"))).hasCount(1);
    assertThat(entries.filter(new Locator.FilterOptions().setHasText("Marram"))).hasCount(0);
    page.keyboard().type("zzz");
    assertThat(page.locator(".empty")).containsText("Nothing on the shelf is called");
  }

  @Test
  public void aChangeBeforeAStageAsksForAnotherLook() {
    String job = demoJob("Wave-relief wall tile");
    visit(job + "/mould");
    Locator rubber = page.locator("nav a", new Page.LocatorOptions().setHasText("Rubber"));
    assertThat(rubber).containsText("done");
    write("mould.sidesMm", "18 mm");
    assertThat(rubber).containsText("look again");
    rubber.click();
    assertThat(rubber).containsText("done");
    visit(job + "/mould");
    write("mould.sidesMm", "15 mm");
    assertThat(word("mould.sidesMm")).hasText("15 mm");
  }

  private void rename(String from, String to) {
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile(from)))
        .first()
        .click();
    Locator name = page.getByLabel("Name of the job");
    name.fill(to);
    name.press("Enter");
    assertThat(button(to)).isVisible();
  }

  @Test
  public void aJobIsRenamedAndSaysItIsSaved() {
    beginJob();
    rename("New job", "Tide clock");
    assertThat(page.locator(".saved")).hasText("saved");
    String title = page.title();
    assertNotEquals(title, "Ungula");
    visit("");
    assertThat(page.locator(".entry", new Page.LocatorOptions().setHasText("Tide clock")))
        .hasCount(1);
  }
}
