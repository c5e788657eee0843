package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import org.testng.annotations.Test;

/** Several masters on one plate, hollow casts, more pieces than two. */
public class PlateAndCoreTest extends Browsing {

  private Locator caution(String id) {
    return page.locator("[data-caution='" + id + "']");
  }

  @Test
  public void severalMastersShareAPlateAndABase() {
    String job = demoJob("Bollard chess pieces");
    visit(job + "/mould?view=TOP");
    assertThat(page.locator("path.MASTER")).hasCount(1);
    write("plate.landMm", "18 mm");
    Locator close = caution("plate.land");
    assertThat(close).containsText("14 mm");
    close.locator("button.btn").first().click();
    assertThat(close).hasCount(0);
    assertThat(word("plate.laying")).hasText("close together");
    write("plate.copies", "2");
    assertThat(page.locator("main.words")).containsText("6 masters");
    String list = page.request().get(app.url("api/" + job + "/box/cutlist")).text();
    assertTrue(list.contains("where each master is fixed"), list);
    button("Undo").click();
    assertThat(page.locator("main.words")).containsText("3 masters");
  }

  @Test
  public void aHollowCastShowsItsCoreAndWhetherItComesOut() {
    visit(demoJob("Lantern finial") + "/mould");
    assertThat(page.locator("path.MASTER")).hasCount(1);
    write("hollow.wallMm", "3 mm");
    assertThat(page.locator("path.CORE")).hasCount(1);
    Locator held = caution("core.stretch");
    assertThat(held).isVisible();
    held.locator("button.btn").first().click();
    assertThat(page.locator("path.CORE")).hasCount(0);
    assertThat(word("hollow.wallMm")).hasText("solid");
    // as an open mould it tears; cut, it can be made
    choose("mould.kind", "cut mould");
    write("hollow.wallMm", "3 mm");
    assertThat(page.locator("[aria-label='Order of work']")).containsText("Line the mould");
  }

  @Test
  public void piecesAreShownAsEachSeesTheMaster() {
    visit(demoJob("Octopus on a rock") + "/approach");
    button("See what each would free").click();
    Locator part = page.locator("[aria-label='More pieces']");
    part.locator("li").nth(2).waitFor();
    assertThat(part).containsText("more than is worth making");
    Object drawn =
        part.locator("img").first().evaluate("i => i.decode().then(() => i.naturalWidth)");
    assertTrue(((Number) drawn).intValue() > 100, "picture " + drawn);
  }
}
