package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** From a dropped file to weighed rubber, through the page. */
public class MainPathTest extends Browsing {

  private static String grams(double g) {
    return g < 999.95
        ? String.format(Locale.ROOT, "%.1f g", g)
        : String.format(Locale.ROOT, "%d\u202f%03d g", Math.round(g) / 1000, Math.round(g) % 1000);
  }

  @Test
  public void aDroppedFileBecomesGramsOnASheetAndStays() throws Exception {
    beginJob();
    drop("tide-box.stl", boxStl(80, 55, 42));
    Locator question = page.locator("[data-caution='unit.doubt']");
    assertThat(question).containsText("80 mm (3.15 in)");
    question
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("millimetres"))
        .click();
    assertThat(question).hasCount(0);

    // on its side: 80 × 42 on the plate, 55 high
    button("on its front, 33.6 cm²").click();
    assertThat(page.locator("[data-figure='master.size']")).hasText("80 × 42 × 55 mm");

    stage("Mould");
    write("mould.sidesMm", "3/4\"");
    assertThat(word("mould.sidesMm")).hasText("19.1 mm");
    double over = dragPourLineUp();

    stage("Rubber");
    choose("rubber.product", "Gannet 25 condensation, general");
    // computed here: box − master, allowance, 1.16 g/mL, 4 % of base
    double sides = 2 * 19.05;
    double box = (80 + sides) * (42 + sides) * (55 + over) - 80 * 55 * 42;
    double mix = box + Math.max(0.05 * box, 0.02 * box + 10_000);
    double total = mix / 1000 * 1.16;
    double base = total / 1.04;
    String weigh = grams(base) + " + " + grams(total - base);
    assertThat(page.locator("[data-tally='weigh']")).hasText(weigh);
    assertThat(page.locator(".words")).containsText("for every 100 g of base, 4 g of hardener");

    String text = printedSheet();
    assertTrue(text.contains(grams(base).replace('\u202f', ' ')), text);
    assertTrue(text.contains("Gannet 25 condensation, general"), text);

    page.reload();
    assertThat(page.locator("[data-tally='weigh']")).hasText(weigh);
    stage("Mould");
    assertThat(word("mould.sidesMm")).hasText("19.1 mm");
  }

  /** Drags the handle up by hand. @return what the word then says, mm */
  private double dragPourLineUp() {
    Locator handle =
        page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Pour line"));
    assertThat(page.locator(".drawing[data-stale='false']")).hasCount(1);
    String before = word("mould.overTopMm").textContent();
    BoundingBox at = handle.locator(".grip").boundingBox();
    page.mouse().move(at.x + 5, at.y + 8);
    page.mouse().down();
    page.mouse().move(at.x + 5, at.y - 10);
    page.mouse().move(at.x + 5, at.y - 40);
    page.mouse().up();
    assertThat(word("mould.overTopMm")).not().hasText(before);
    Matcher mm = Pattern.compile("([\\d.]+) mm").matcher(word("mould.overTopMm").textContent());
    assertTrue(mm.matches());
    double over = Double.parseDouble(mm.group(1));
    assertTrue(over > 12 && over < 40 && over == Math.rint(over), over + " mm");
    return over;
  }

  @Test
  public void everyNumberOpensItsArithmetic() {
    visit(demoJob("Lantern finial") + "/rubber");
    page.locator("[data-tally='rubber.box'] button").click();
    Locator working = page.locator(".popover .working");
    assertThat(working).containsText("inside length × inside width × pour line");
    assertThat(working).containsText("computed");
    page.keyboard().press("Escape");
    assertThat(working).hasCount(0);
    button("Show the working").click();
    assertThat(page.locator(".workings .working")).not().hasCount(0);
    assertThat(page.locator(".workings")).containsText("hardener = base × hardener per base");
  }

  @Test
  public void aCautionPointsAtItsPlaceAndMendsItself() {
    visit(demoJob("Bollard chess pieces") + "/mould");
    write("mould.overTopMm", "-6 mm");
    Locator low = page.locator("[data-caution='pour.low']");
    assertThat(low).containsText("6 mm under the master's top");
    // the sentences about air come in over the cautions and move them
    page.locator(".shape [data-figure='air.cast']").waitFor();
    low.hover();
    assertThat(page.locator("[data-pin='pour.low']")).hasAttribute("r", "15");
    low.getByRole(
            AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Pour 10 mm over the top"))
        .click();
    assertThat(low).hasCount(0);
    assertThat(word("mould.overTopMm")).hasText("10 mm");
    page.reload();
    button("Undo").click();
    assertThat(page.locator("[data-caution='pour.low']")).isVisible();
    button("Redo").click();
    assertThat(page.locator("[data-caution='pour.low']")).hasCount(0);
  }

  @Test
  public void aRatioThatSaysNothingIsRefusedAndOneOffTheSheetStops() {
    visit(demoJob("Nautilus touch model") + "/rubber");
    write("rubber.ratio", "4 : 1");
    Locator refusal = page.locator(".refusal");
    assertThat(refusal).containsText("25 g of hardener");
    assertThat(page.locator("input[data-word='rubber.ratio']")).hasValue("4 : 1");
    page.locator("input[data-word='rubber.ratio']").fill("4 : 1 by weight");
    page.keyboard().press("Enter");
    assertThat(page.locator("[data-caution='ratio.off']")).containsText("10 g of hardener");
    assertThat(page.locator("[data-tally='weigh']")).hasText("–");
    button("Use the sheet's: 100 : 10 by weight").click();
    assertThat(page.locator("[data-tally='weigh']")).containsText(" g + ");
  }

  @Test
  public void whatWasReallyPouredSetsTheSecondPart() {
    visit(demoJob("Nautilus touch model") + "/rubber");
    write("rubber.firstG", "1 240 g");
    assertThat(page.locator("[data-figure='mix.second']")).hasText("124.0 g");
    write("rubber.secondG", "150 g");
    assertThat(page.locator(".words")).containsText("Too much hardener");
    write("rubber.secondG", "");
    write("rubber.firstG", "");
  }

  @Test
  public void theSolidIsDrawnAndAClickRestsTheMaster() {
    beginJob();
    drop("box.stl", boxStl(80, 55, 42));
    assertThat(page.locator("[data-figure='master.size']")).hasText("80 × 55 × 42 mm");
    Locator solid = solidDrawn();
    assertThat(solid.locator("canvas")).isVisible();
    seenFrom("the front");
    BoundingBox at = solid.boundingBox();
    // the front face now fills the middle: resting on it puts 80 × 42 on the plate
    page.mouse().click(at.x + at.width / 2, at.y + at.height / 2);
    assertThat(page.locator("[data-figure='master.size']")).hasText("80 × 42 × 55 mm");
  }

  @Test
  public void aMasterWithoutAFileIsMeasured() {
    beginJob();
    choose("master.source", "its measures");
    write("master.measured.lengthMm", "80");
    write("master.measured.widthMm", "5.5 cm");
    write("master.measured.heightMm", "42");
    assertThat(figure("rubber.box")).hasText("242.4 mL");
    write("master.measured.vesselDiameterMm", "240");
    write("master.measured.levelBeforeMm", "112");
    write("master.measured.levelAfterMm", "131");
    assertThat(page.locator("table.compare")).hasCount(1);
    assertThat(page.locator(".words")).containsText("859.5 mL");
    assertThat(page.locator(".words")).containsText("± 64.0 mL");
    assertThat(page.locator(".words")).containsText("In a vessel Ø");
    // a box of that size holds 184.8 mL
    assertThat(page.locator("[data-caution='volume.impossible']")).isVisible();
    choose("master.source", "a simple solid");
    choose("master.solid.kind", "wedge cut from a cylinder");
    write("master.solid.diameterMm", "60");
    write("master.solid.heightMm", "50");
    choose("master.way", "its measures");
    assertThat(page.locator("[data-figure='master.volume.solid']")).hasText("30.0 mL");
  }

  @Test
  public void unitsAreTheJobs() {
    visit(demoJob("Wave-relief wall tile") + "/mould");
    page.locator(".drawing text.asked").first().click();
    assertThat(page.locator("input[data-word='mould.sidesMm']")).hasValue("15 mm");
    page.keyboard().press("Escape");
    assertThat(word("mould.sidesMm")).hasText("15 mm");
    button("More for this job").click();
    page.getByText("Show inches and ounces").click();
    assertThat(word("mould.sidesMm")).hasText("9/16 in");
    assertThat(word("mould.sidesMm")).hasAttribute("title", "0.591 in (15 mm)");
    assertThat(figure("rubber.box")).containsText("US fl oz");
    button("Undo").click();
    assertThat(word("mould.sidesMm")).hasText("15 mm");
  }

  @Test
  public void jobsAreCopiedPutAwayAndDeletedWithUndo() {
    visit("");
    Locator entries = page.locator(".entry");
    button("More for Lantern finial").click();
    page.locator(".dropdown-menu.show").getByText("Copy").click();
    Locator copy = entries.filter(named("Lantern finial, copy"));
    assertThat(copy).hasCount(1);
    button("More for Lantern finial, copy").click();
    page.locator(".dropdown-menu.show").getByText("Delete").click();
    assertThat(copy).hasCount(0);
    button("Put it back").click();
    assertThat(copy).hasCount(1);
    button("More for Lantern finial, copy").click();
    page.locator(".dropdown-menu.show").getByText("Put away").click();
    assertThat(copy).hasCount(0);
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Put away").setExact(true))
        .click();
    assertThat(copy).hasCount(1);
    button("More for Lantern finial, copy").click();
    page.locator(".dropdown-menu.show").getByText("Delete").click();
    assertThat(copy).hasCount(0);
  }

  private static Locator.FilterOptions named(String name) {
    return new Locator.FilterOptions().setHasText(name);
  }

  @Test
  public void anOwnRubberIsEnteredAndUsed() {
    visit("rubber/marram-20");
    button("Copy").click();
    assertThat(word("name")).hasText("Marram 20 addition, medium, copy");
    write("name", "Sea campion");
    write("ratio", "100 : 5 by weight");
    assertThat(page.locator("article")).containsText("For every 100 g of base, 5 g of hardener");
    write("potLifeMin", "");
    assertThat(page.locator("article")).containsText("What this sheet leaves out");
    visit(demoJob("Lantern finial") + "/rubber");
    choose("rubber.product", "Sea campion");
    assertThat(page.locator("[data-caution='sheet.gaps']")).containsText("the pot life");
    button("Undo").click();
    assertThat(word("rubber.product")).containsText("Samphire");
  }

  @Test
  public void twoWindowsDoNotOverwriteEachOther() {
    String job = demoJob("Nautilus touch model");
    // nothing is under way that would bring the other window's change along
    page.waitForResponse(
        answer -> answer.url().contains("/looked/mould"), () -> visit(job + "/mould"));
    assertThat(page.locator("[aria-label='Casting']")).containsText("A cast takes");
    assertThat(word("mould.sidesMm")).hasText("12 mm");
    Page other = watched(window());
    other.navigate(app.url(job + "/mould"));
    other.locator("button[data-word='mould.sidesMm']").click();
    other.locator("input[data-word='mould.sidesMm']").fill("20 mm");
    other.keyboard().press("Enter");
    assertThat(other.locator("button[data-word='mould.sidesMm']")).hasText("20 mm");

    write("mould.overTopMm", "25 mm");
    assertThat(page.locator(".notice")).containsText("Changed in another window");
    assertThat(page.locator("input[data-word='mould.overTopMm']")).hasValue("25 mm");
    assertThat(word("mould.sidesMm")).hasText("20 mm");
    page.locator("input[data-word='mould.overTopMm']").press("Enter");
    assertThat(word("mould.overTopMm")).hasText("25 mm");
  }
}
