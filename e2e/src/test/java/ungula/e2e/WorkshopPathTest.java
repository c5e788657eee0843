package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import org.testng.annotations.Test;

/** What is said of the workshop shows in its jobs: all of them, so they are not shared. */
public class WorkshopPathTest extends Browsing {

  @Override
  boolean alone() {
    return true;
  }

  @Test
  public void theWorkshopsRoomChangesPotLives() {
    String job = demoJob("Lantern finial");
    visit(job + "/rubber");
    String cool = page.locator("[data-figure='rubber.potLife']").textContent();
    visit("workshop");
    write("roomC", "29 °C");
    assertThat(word("roomC")).hasText("29 °C");
    visit(job + "/rubber");
    assertThat(page.locator("[data-figure='rubber.potLife']")).not().hasText(cool);
    // ten degrees warmer, twice as fast: 40 min at 23 °C is 53 min at 19 and 26 at 29
    assertThat(page.locator("[data-figure='rubber.potLife']")).hasText("26 min");
    visit("workshop");
    write("roomC", "19");
    assertThat(word("roomC")).hasText("19 °C");
  }

  @Test
  public void whatIsNotOnTheRackIsSaidWithWhatIs() {
    String job = demoJob("Bollard chess pieces");
    visit("workshop");
    write("boards.FOAM_BOARD_6.count", "0");
    assertThat(word("boards.FOAM_BOARD_6.count")).hasText("0 boards");
    visit(job + "/mould");
    Locator none = page.locator("[data-caution='board.short']");
    assertThat(none).containsText("none is there");
    none.locator("button.btn").first().click();
    assertThat(none).hasCount(0);
  }
}
