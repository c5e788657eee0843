package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
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
}
