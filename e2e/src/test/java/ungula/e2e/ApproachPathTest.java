package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.regex.Pattern;
import java.util.zip.ZipFile;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.Test;

/** From all the moulds that could be made to one in two parts, worked out and taken away. */
public class ApproachPathTest extends Browsing {

  private Locator caution(String id) {
    return page.locator("[data-caution='" + id + "']");
  }

  private void compare(String job) {
    visit(job + "/approach");
    page.locator(".approaches table").waitFor();
  }

  @Test
  public void fromComparingToASheetOfTwoHalves() throws Exception {
    String job = demoJob("Nautilus touch model");
    compare(job);
    assertThat(page.locator(".says")).containsText("Choose the ");
    assertThat(page.locator("[aria-label='What cannot work']")).containsText("flat face");
    page.locator("button[aria-label^='Choose the two-part mould']:not([disabled])").first().click();
    stage("Mould");
    assertThat(word("mould.kind")).hasText("two-part mould");

    // the parting is dragged up along the dipstick: the lower half gets more
    Locator parting = page.locator("[role='slider'][aria-label='Parting']");
    assertThat(page.locator(".drawing[data-stale='false'] path.PARTING")).hasCount(1);
    button("Solid").click();
    page.locator(".solid[data-parts='1']").waitFor();
    assertThat(page.locator(".solid")).containsText("parting");
    button("Front").click();
    assertThat(page.locator(".drawing[data-stale='false'] path.PARTING")).hasCount(1);
    double before = Double.parseDouble(parting.getAttribute("aria-valuenow"));
    BoundingBox at = parting.boundingBox();
    double x = at.x + 20;
    double y = at.y + 14;
    page.mouse().move(x, y);
    page.mouse().down();
    page.mouse().move(x, y - 30);
    page.mouse().move(x, y - 40);
    page.mouse().up();
    assertThat(word("parting.upMm")).hasText(Pattern.compile("\\d+ mm"));
    double after = Double.parseDouble(parting.getAttribute("aria-valuenow"));
    assertTrue(after > before + 3, after + " after " + before);
    assertThat(caution("parting.locked")).isVisible();

    // of thin sheet it bows, and a light master floats
    choose("mould.sheet", "2 mm styrene");
    choose("mould.fixing", "nothing");
    stage("Master");
    choose("master.material", "wood");
    stage("Mould");
    fixed("box.bows");
    fixed("master.floats");
    button("Choose the box that follows the outline").click();
    assertThat(word("mould.shape")).hasText("box that follows the outline");

    // what leaves: the halves as models, and the sheet
    try (ZipFile halves = pieces()) {
      assertEquals(halves.size(), 2);
      assertTrue(halves.getEntry("lower half.stl").getSize() > 100_000);
    }
    APIResponse sheet = page.request().get(app.url("api/" + job + "/sheet.pdf"));
    try (PDDocument document = Loader.loadPDF(sheet.body())) {
      String text = new PDFTextStripper().getText(document);
      assertTrue(text.contains("Pour the upper half"), text);
      assertTrue(Pattern.compile("Batch \\d of \\d, lower half").matcher(text).find(), text);
    }
  }

  /**
   * Has the first fix offered for a caution made until the caution is gone: what is worked out
   * meanwhile may ask for more.
   */
  private void fixed(String id) {
    Locator caution = caution(id);
    assertThat(caution).isVisible();
    for (int i = 0; i < 3 && caution.count() > 0; i++) {
      List<String> said = caution.allTextContents();
      caution.locator("button.btn").first().click();
      page.waitForCondition(() -> !caution.allTextContents().equals(said));
    }
    assertThat(caution).hasCount(0);
  }

  @Test
  public void whatCountsChangesWhatIsSaid() {
    String job = demoJob("Lantern finial");
    compare(job);
    Locator says = page.locator(".says");
    assertThat(says).containsText("cut mould");
    Locator money = page.getByLabel("money");
    money.focus();
    for (int i = 0; i < 6; i++) {
      page.keyboard().press("ArrowLeft");
    }
    assertThat(says).not().containsText("rubber and sheet");
    // the slider keeps the keyboard's focus and its value, and what it changes is settled
    assertThat(money).isFocused();
    assertThat(money).hasValue("0");
    assertThat(page.getByText("saved", new Page.GetByTextOptions().setExact(true))).isVisible();
    assertThat(says).not().hasClass(Pattern.compile("stale"));
    button("Keep the mould as it is now").click();
    Locator variants = page.locator("[aria-label='Variants'] tbody tr");
    assertThat(variants).hasCount(1);
    page.locator(".approaches tfoot button:not([disabled])").first().click();
    assertThat(variants.first()).not().hasClass("now");
    page.locator("button[aria-label^='Choose variant']").click();
    assertThat(variants.first()).hasClass("now");
  }

  @Test
  public void theKnifeIsDraggedRoundTheBlock() {
    visit(demoJob("Rope-knot paperweight") + "/mould?view=TOP");
    Locator knife = page.locator("[role='slider'][aria-label='Way of the cut']");
    assertThat(knife).isVisible();
    assertThat(page.locator("path.CUT_LINE")).hasCount(1);
    knife.focus();
    String before = knife.getAttribute("aria-valuenow");
    page.keyboard().press("ArrowUp");
    assertThat(word("cut.towardsDegrees")).hasText(Pattern.compile("\\d+ °"));
    assertThat(knife).not().hasAttribute("aria-valuenow", before);
    button("Undo").click();
    assertThat(word("cut.towardsDegrees")).hasText("the best side");
  }
}
