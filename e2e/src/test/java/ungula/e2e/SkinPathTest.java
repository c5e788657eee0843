package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.Test;

/** A skin in coats, with the jacket that holds it, from the master to the sheet. */
public class SkinPathTest extends Browsing {

  private Locator caution(String id) {
    return page.locator("[data-caution='" + id + "']");
  }

  private String post() {
    String job = demoJob("Barnacled mooring post");
    visit(job + "/mould");
    page.locator("[aria-label='Jacket']").waitFor();
    return job;
  }

  private Locator coats() {
    return page.locator("[aria-label='Coats'] tbody tr");
  }

  @Test
  public void fromCoatsOverAPluggedRecessToTheSheetOfAJacketInThree() throws Exception {
    String job = post();
    assertThat(coats()).hasCount(6);
    assertThat(page.locator(".drawing path.BUILD_COAT")).not().hasCount(0);

    // thinner coats, more of them; stiff enough to stay where they are put
    write("skin.buildMm", "2 mm");
    assertThat(coats()).hasCount(7);
    choose("skin.thickener", "lightly thickened");
    write("skin.buildMm", "3 mm");
    assertThat(caution("skin.sag")).isVisible();
    caution("skin.sag").locator("button.btn").first().click();
    assertThat(caution("skin.sag")).hasCount(0);

    // the hole of the ring closes up: clay goes in first, and the room round it is another
    Locator recess = caution("skin.bridge.1");
    assertThat(recess).containsText("closes up solid");
    recess.locator("button.btn").first().click();
    assertThat(recess).hasCount(0);
    assertThat(page.locator(".drawing[data-stale='false'] path.PLUG")).hasCount(1);
    assertThat(page.locator("[aria-label='Coats']")).containsText("of clay fill recesses");

    // a night between two coats
    Locator clock = page.locator("[aria-label='When the coats go on']");
    clock.getByLabel("after coat 2: while the last is still tacky").click();
    clock.locator(".dropdown-menu.show").getByText("the next day").click();
    assertThat(clock.locator("tbody tr").nth(1))
        .containsText(Pattern.compile("from [MTWF]\\w\\w \\d+:\\d\\d"));

    // the jacket in three sections, one of its partings turned by hand and back
    assertThat(page.locator("[aria-label='Jacket']")).containsText("3 sections");
    visit(job + "/mould?view=TOP");
    Locator parting = page.locator("[role='slider'][aria-label='Parting 1 of the jacket']");
    assertThat(parting).isVisible();
    String before = parting.getAttribute("aria-valuenow");
    parting.focus();
    page.keyboard().press("ArrowUp");
    assertThat(button("Divide it where it is best")).isVisible();
    assertThat(parting).not().hasAttribute("aria-valuenow", before);
    button("Divide it where it is best").click();
    assertThat(parting).hasAttribute("aria-valuenow", before);

    APIResponse sheet = page.request().get(app.url("api/" + job + "/sheet.pdf"));
    try (PDDocument document = Loader.loadPDF(sheet.body())) {
      String text = new PDFTextStripper().getText(document);
      assertTrue(text.contains("When the coats go on"), text);
      assertTrue(Pattern.compile("rolls of 2.75 m × 150 mm: \\d+").matcher(text).find(), text);
      assertTrue(text.contains("plaster bandage, 3 sections"), text);
      assertTrue(text.contains("Fill the recesses with clay"), text);
      assertTrue(
          Pattern.compile("the next from [MTWF]\\w\\w \\d+:\\d\\d").matcher(text).find(), text);
    }
  }

  @Test
  public void theSolidIsPeeledCoatByCoat() {
    String job = post();
    visit(job + "/mould?view=SOLID");
    Locator solid = solidDrawn();
    Locator peel = solid.getByLabel("coats on");
    int all = Integer.parseInt(peel.getAttribute("max"));
    assertThat(peel).hasValue(String.valueOf(all));
    assertThat(solid).containsText(all + " of " + all + ", smoothing");
    assertThat(solid).hasAttribute("data-coats", String.valueOf(all));
    peel.focus();
    page.keyboard().press("ArrowLeft");
    assertThat(solid).containsText(all - 1 + " of " + all + ", build");
    assertThat(solid).hasAttribute("data-coats", String.valueOf(all - 1));
    page.keyboard().press("Home");
    assertThat(solid).containsText("none");
    assertThat(solid).hasAttribute("data-coats", "0");
    solid.evaluate(
        "s => { window.on = []; new MutationObserver(() => window.on.push(Number(s.dataset.coats)))"
            + ".observe(s, { attributeFilter: ['data-coats'] }); }");
    solid.getByText("Play").click();
    assertThat(solid).hasAttribute("data-coats", String.valueOf(all));
    assertThat(solid.getByText("Play")).isVisible();
    List<Integer> each = IntStream.rangeClosed(1, all).boxed().toList();
    assertEquals(page.evaluate("() => window.on"), each);
  }

  @Test
  public void buildCoatsOfAnotherChemistryAreStopped() {
    post();
    choose("skin.buildProduct", "Gannet 25 condensation");
    Locator stop = caution("skin.chemistry");
    assertThat(stop).containsText("comes apart in layers");
    stop.locator("button.btn").first().click();
    assertThat(stop).hasCount(0);
    assertThat(word("skin.buildProduct")).hasText("the same rubber");
  }

  /** Four girths up a bollard say what a skin on it takes. */
  @Test
  public void aBodyMeasuredByTapeGetsASkin() {
    beginJob();
    choose("master.source", "a simple solid");
    choose("master.solid.kind", "body measured by tape");
    write("master.solid.girths", "628 at 0, 600 at 200; 560 at 400");
    assertThat(page.locator("main.words")).containsText("± ");
    stage("Mould");
    choose("mould.kind", "skin mould");
    page.locator("[aria-label='Jacket']").waitFor();
    assertEquals(coats().first().locator("th").innerText(), "1 detail");
    choose("site.place", "outdoors, where it stands");
    assertThat(page.locator("[aria-label='Where it is built']")).containsText("carried at a time");
  }
}
