package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** What the model itself says: where air stays, how it gets out, what locks. */
public class ShapePathTest extends Browsing {

  private Locator air(String key) {
    return page.locator(".shape [data-figure='" + key + "']");
  }

  private static double ml(Locator figure) {
    Matcher m = Pattern.compile("none|([\\d.]+) mL").matcher(figure.textContent());
    assertTrue(m.matches(), figure.textContent());
    return m.group(1) == null ? 0 : Double.parseDouble(m.group(1));
  }

  @Test
  public void theOctopusKeepsAirUntilItIsVented() {
    visit(demoJob("Octopus on a rock") + "/mould");
    assertThat(air("air.cast")).isVisible();
    double before = ml(air("air.cast"));
    assertTrue(before > 2, "air in a cast " + before);
    // the pockets are in the section, with their tops
    assertThat(page.locator(".drawing path.AIR")).hasCount(1);
    assertThat(page.locator(".drawing .top-of-air")).not().hasCount(0);
    Locator caution = page.locator("[data-caution='air.cast']");
    assertThat(caution).containsText("of air stays in every cast");
    assertThat(page.locator("[data-pin='air.cast']")).hasCount(1);
    fix(caution, "Add").click();
    assertThat(page.locator(".drawing path.VENT")).not().hasCount(0);
    assertThat(caution).hasCount(0);
    assertThat(air("air.cast")).isVisible();
    assertTrue(ml(air("air.cast")) < 0.5, "left " + air("air.cast").textContent());
    assertThat(page.locator(".shape")).containsText("vents, keeps");
    air("air.cast").click();
    assertThat(page.locator(".popover .working")).containsText("first goes down below it");
    page.keyboard().press("Escape");
    // taken away again, the answer is known already
    button("Remove the vents").click();
    assertThat(page.locator("[data-caution='air.cast']")).isVisible();
  }

  @Test
  public void aVentIsPlacedByHandAndWhatLocksIsShown() {
    visit(demoJob("Harbour seal pup") + "/mould");
    assertThat(air("locks.stretch")).isVisible();
    button("Show what locks").click();
    Locator solid = solidDrawn();
    assertThat(solid).containsText("Dark red: the mould is locked here.");
    button("Show what locks").click();
    button("Place a vent").click();
    assertThat(solidDrawn()).containsText("Click where air is to get out.");
    seenFrom("the front");
    BoundingBox at = solid.boundingBox();
    // the pup lies in the lower half of its box
    page.mouse().click(at.x + at.width / 2, at.y + at.height / 2 + 40);
    assertThat(page.locator(".shape")).containsText("with one vent, keeps");
    button("Place a vent").click();
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo")).click();
    assertThat(page.locator(".shape")).not().containsText("with one vent");
  }

  @Test
  public void aBellOnItsMouthIsHeldUpAndTippedUntilLessAirStays() {
    visit(demoJob("Ship's bell") + "/mould");
    Locator closed = page.locator("[data-caution='air.closed']");
    assertThat(closed).isVisible();
    assertThat(closed).containsText("No rubber reaches");
    fix(closed, "Hold it").click();
    Locator air = page.locator("[data-caution='air.poured']");
    assertThat(air).isVisible();
    assertThat(closed).hasCount(0);
    assertThat(page.locator("[data-pin='air.poured']")).hasCount(1);
    double upright = ml(air("air.poured"));
    fix(air, "Tip it").click();
    assertThat(air("air.poured")).not().containsText(String.valueOf(upright));
    assertThat(air("air.poured")).isVisible();
    assertTrue(ml(air("air.poured")) < 0.75 * upright, "left " + air("air.poured").textContent());
  }

  private static Locator fix(Locator caution, String begins) {
    return caution.getByRole(
        AriaRole.BUTTON,
        new Locator.GetByRoleOptions().setName(Pattern.compile("^" + begins + " ")));
  }

  @Test
  public void aSearchForTheBestWayUpIsStoppedAndGoesOn() {
    visit(demoJob("Nautilus touch model") + "/master");
    Locator stands = page.locator(".stands");
    button("Find the best ways up").click();
    assertThat(stands.locator(".busy")).containsText("Looking at");
    stands.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Stop")).click();
    button("Go on").click();
    assertThat(stands.locator("li").first()).isVisible();
    assertThat(stands.locator(".busy")).hasCount(0);
    assertThat(stands).containsText("takes the least rubber");
    Locator other =
        stands
            .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Use this position"))
            .and(page.locator(":enabled"))
            .first();
    String turn = page.locator(".solid").getAttribute("data-loaded");
    other.click();
    assertThat(page.locator(".solid")).not().hasAttribute("data-loaded", turn);
    button("Undo").click();
    assertThat(page.locator(".solid")).hasAttribute("data-loaded", turn);
  }

  @Test
  public void aFaceIsPaintedToBeKeptCleanAndErased() {
    visit(demoJob("Harbour seal pup") + "/master");
    Locator solid = solidDrawn();
    Locator clean = page.locator(".marks li").first();
    clean.getByRole(AriaRole.BUTTON).first().click();
    assertThat(solid).containsText("Paint over the master");
    seenFrom("above");
    BoundingBox at = solid.boundingBox();
    double x = at.x + at.width / 2;
    double y = at.y + at.height / 2;
    page.mouse().move(x - 30, y);
    page.mouse().down();
    page.mouse().move(x, y);
    page.mouse().move(x + 30, y);
    page.mouse().up();
    assertThat(clean).containsText("cm²");
    clean
        .getByRole(
            AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Erase all")))
        .click();
    assertThat(clean).not().containsText("cm²");
  }
}
