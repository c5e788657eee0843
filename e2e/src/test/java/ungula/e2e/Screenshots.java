package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.nio.file.Path;
import org.testng.annotations.Test;

/** Takes the pictures the README shows. Run by name only; it is not one of the tests. */
public class Screenshots extends Browsing {

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
    page.waitForFunction("[...document.images].every((i) => i.complete && i.naturalWidth > 0)");
    take("shelf");
    String nautilus = demoJob("Nautilus touch model");
    visit(nautilus + "/master");
    solidDrawn();
    assertThat(page.getByText("on its")).not().hasCount(0);
    take("master");
    visit(nautilus + "/mould");
    drawn();
    take("mould");
    visit(nautilus + "/rubber");
    drawn();
    take("rubber");
    page.locator("[data-tally='rubber.box'] button").click();
    assertThat(page.locator(".popover")).isVisible();
    take("working");
    visit(demoJob("Bollard chess pieces") + "/mould");
    drawn();
    take("cautions");
    visit(demoJob("Octopus on a rock") + "/mould");
    page.locator("[data-caution='air.cast']")
        .waitFor(new Locator.WaitForOptions().setTimeout(60_000));
    page.locator(".drawing path.AIR").waitFor();
    page.locator(".shape").scrollIntoViewIfNeeded();
    take("air");
    button("Show what locks").click();
    solidDrawn();
    page.locator(".solid[data-locked='true']").waitFor();
    take("locks");
    visit("rubber/samphire-15");
    assertThat(page.locator("article")).isVisible();
    take("rubber-sheet");
    visit("workshop");
    assertThat(word("name")).isVisible();
    take("workshop");
  }
}
