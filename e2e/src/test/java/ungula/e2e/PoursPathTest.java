package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
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
    assertThat(word("master.preparation")).hasText("bare");
    stage("Rubber");
    Locator contact = caution("contact.master");
    assertThat(contact).containsText("does not cure against bare printed resin");
    contact.getByText("Wash it and cure it through").click();
    assertThat(contact).containsText("Try a patch on the master first");
    contact.getByText("A patch cured clean").click();
    assertThat(contact).hasCount(0);
    assertThat(page.locator("main.words")).containsText("To buy: ");
    stage("Mould");
    assertThat(page.locator("[aria-label='Order of work']")).containsText("Wash the master");
    // another material is another surface
    stage("Master");
    choose("master.material", "wax");
    assertThat(word("master.preparation")).hasText("bare");
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
}
