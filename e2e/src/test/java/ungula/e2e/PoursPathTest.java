package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.Test;

/** The right rubber for the master, and its batches to the gram. */
public class PoursPathTest extends Browsing {

  private Locator caution(String id) {
    return page.locator("[data-caution='" + id + "']");
  }

  @Test
  public void anAdditionRubberOnAPrintIsStoppedUntilAPatchHasCured() {
    visit(demoJob("Lantern finial") + "/master");
    choose("master.material", "printed resin");
    // nobody has said that it is bare: nothing is ruled out by that
    assertThat(word("master.preparation")).hasText("its surface not known");
    stage("Rubber");
    Locator contact = caution("contact.master");
    assertThat(contact).containsText("Try a patch on the master first");
    stage("Master");
    choose("master.preparation", "bare");
    stage("Rubber");
    assertThat(contact).containsText("does not cure against bare printed resin");
    contact.getByText("Wash it and cure it through").click();
    assertThat(contact).containsText("Try a patch on the master first");
    contact.getByText("A patch cured clean").click();
    assertThat(contact).hasCount(0);
    assertThat(page.locator("main.words")).containsText("To buy: ");
    stage("Mould");
    // as an open mould it would tear: nothing stands there to be done
    choose("mould.kind", "cut mould");
    assertThat(page.locator("[aria-label='Order of work']")).containsText("Wash the master");
    // another material is another surface
    stage("Master");
    choose("master.material", "wax");
    assertThat(word("master.preparation")).hasText("its surface not known");
    assertThat(word("master.patch")).hasText("not tried");
  }

  @Test
  public void batchesFollowTheVacuumChamberAndGoOnCards() throws Exception {
    String job = demoJob("Octopus on a rock");
    visit(job + "/pours");
    Locator rows = page.locator("table.batches tbody tr");
    assertThat(rows).hasCount(1);
    choose("rubber.bubbles", "pulled in the vacuum chamber, straight through");
    assertThat(rows.nth(1)).isVisible();
    assertThat(page.locator("main.words")).containsText("Its foam fills the largest vessel");
    assertThat(page.locator(".drawing .batch")).not().hasCount(0);
    assertThat(rows.first()).containsText(Pattern.compile("mm, jug"));
    APIResponse sheet = page.request().get(app.url("api/" + job + "/sheet.pdf"));
    try (PDDocument document = Loader.loadPDF(sheet.body())) {
      String text = new PDFTextStripper().getText(document);
      assertTrue(Pattern.compile("Batch 2 of \\d").matcher(text).find(), text);
    }
    // one batch more than the limits ask for is the maker's own choice
    write("rubber.batches", "1");
    assertThat(rows).hasCount(1);
    assertThat(caution("batch.heavy")).isVisible();
    caution("batch.heavy").locator("button.btn").first().click();
    assertThat(rows.nth(1)).isVisible();
  }

  /** Two halves of two batches each: weighed, put down, taken off the shelf, and bought again. */
  @Test
  public void fourBatchesGoOnCardsAndOffTheShelf() throws Exception {
    String job = demoJob("Harbour seal pup");
    visit(job + "/mould");
    choose("mould.kind", "two-part mould");
    assertThat(word("mould.kind")).hasText("two-part mould");
    stage("Rubber");
    // not the copy another test makes of it
    choose("rubber.product", "Marram 20 addition, medium ·");
    assertThat(word("rubber.product")).hasText("Marram 20 addition, medium");
    assertThat(page.locator("main.words")).containsText("What the rubber touches");
    stage("Pours");
    write("rubber.batches", "2");
    Locator rows = page.locator("table.batches tbody tr");
    assertThat(rows).hasCount(4);
    APIResponse sheet = page.request().get(app.url("api/" + job + "/sheet.pdf"));
    try (PDDocument document = Loader.loadPDF(sheet.body())) {
      String text = new PDFTextStripper().getText(document);
      assertTrue(Pattern.compile("Batch 4 of 4").matcher(text).find(), text);
    }
    double before = left();
    visit(job + "/pours");
    for (int batch = 1; batch <= 4; batch++) {
      button("Batch " + batch + " is mixed").click();
      page.getByLabel("First part, as weighed").fill("200 g");
      page.getByLabel("Second part, as weighed").fill("20 g");
      button("Record").click();
      assertThat(button("Remove the record: Batch " + batch)).isVisible();
    }
    assertEquals(left(), before - 800, 1);
    // some was spilt
    write("baseLeftG", "900 g");
    assertThat(page.locator(".lots")).containsText("It runs low.");
    visit("shopping");
    Locator marram =
        page.getByRole(
            AriaRole.ROW, new Page.GetByRoleOptions().setName(Pattern.compile("^Marram 20")));
    assertThat(marram).containsText("Nautilus touch model");
    assertThat(marram).containsText("kg");
    APIResponse list = page.request().get(app.url("api/shopping/list.pdf"));
    try (PDDocument document = Loader.loadPDF(list.body())) {
      assertTrue(new PDFTextStripper().getText(document).contains("To buy"));
    }
    visit(job + "/pours");
    button("Remove the record: Batch 4").click();
    assertThat(button("Batch 4 is mixed")).isVisible();
    assertEquals(left(), 1100, 1);
  }

  /** Base left in the pack of Marram on the shelf, g. */
  private double left() {
    visit("rubber/marram-20");
    Locator base = page.locator(".lots button[data-word='baseLeftG']");
    assertThat(base).isVisible();
    return Double.parseDouble(base.textContent().replaceAll("[^\\d.]", ""));
  }

  @Test
  public void rubbersAreComparedAndOneIsTaken() {
    visit(demoJob("Ship's bell") + "/rubber");
    Locator compared = page.locator("details.rubbers");
    assertThat(compared).hasAttribute("open", "");
    assertThat(compared).containsText("a patch on the master first");
    button("Choose Gannet 25 condensation, general").click();
    assertThat(word("rubber.product")).hasText("Gannet 25 condensation, general");
    choose("rubber.catalyst", "slow");
    assertThat(page.locator("main.words")).containsText("3 g of hardener");
    choose("cast.product", "Oyster 75");
    write("cast.wanted", "100");
    assertThat(page.locator("main.words")).containsText("so they take");
    assertThat(page.locator("main.words")).containsText("scale the master by");
  }

  @Test
  public void aRatioOffTheSheetStopsMixNowOnAPhone() {
    page.setViewportSize(390, 780);
    visit("mix");
    page.getByLabel("how much").fill("500 g");
    page.getByLabel("ratio").fill("4 : 1 by weight");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("The sheet says");
    button("Use the sheet’s").click();
    assertThat(page.locator(".large")).containsText("g");
    int over =
        (int)
            page.evaluate(
                "() => document.documentElement.scrollWidth - document.documentElement.clientWidth");
    assertEquals(over, 0);
  }
}
