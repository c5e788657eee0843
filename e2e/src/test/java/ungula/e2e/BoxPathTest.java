package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** Choosing the box, and taking away what to cut for it. */
public class BoxPathTest extends Browsing {

  private Locator row(int n) {
    return page.locator("[aria-label='Shapes of box'] tbody tr").nth(n);
  }

  /** Heights and lengths of the pieces that are cut, off a DXF. */
  private static List<double[]> pieces(String dxf) {
    List<double[]> pieces = new ArrayList<>();
    String[] rows = dxf.split("\\R");
    boolean cut = false;
    double[] reach = null;
    for (int i = 0; i + 1 < rows.length; i += 2) {
      String code = rows[i].strip();
      if (code.equals("0") && rows[i + 1].equals("POLYLINE")) {
        cut = rows[i + 3].equals("CUT");
        reach = new double[] {1e9, -1e9, 1e9, -1e9};
      } else if (code.equals("0") && rows[i + 1].equals("SEQEND") && cut) {
        pieces.add(new double[] {reach[1] - reach[0], reach[3] - reach[2]});
      } else if (reach != null && (code.equals("10") || code.equals("20"))) {
        int at = code.equals("10") ? 0 : 2;
        reach[at] = Math.min(reach[at], Double.parseDouble(rows[i + 1]));
        reach[at + 1] = Math.max(reach[at + 1], Double.parseDouble(rows[i + 1]));
      }
    }
    return pieces;
  }

  @Test
  public void theBoxThatSavesRubberIsTakenAndCutOut() {
    beginJob();
    drop("box.stl", boxStl(120, 30, 40));
    assertThat(page.locator("[data-figure='master.size']")).hasText("120 × 30 × 40 mm");
    stage("Mould");
    // inside 144 × 54, 50 high, less the master
    assertThat(page.locator("[data-tally='rubber.box']")).hasText("244.8 mL");
    assertThat(row(0)).containsText("the same");
    Locator tube =
        page.locator("[aria-label='Shapes of box'] tbody tr")
            .filter(new Locator.FilterOptions().setHasText("Ø"));
    // across the corners 123.7 and two walls of 12: the next pipe
    assertThat(tube).containsText("Ø\u00a0150\u00a0mm");
    assertThat(tube).containsText("more");
    tube.getByRole(
            AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Choose")))
        .click();
    // π · 75² · 50 − 144 000 mm³
    assertThat(page.locator("[data-tally='rubber.box']")).hasText("739.6 mL");
    assertThat(page.locator("[aria-label='Cut list']")).containsText("Plastic pipe");
    button("Undo").click();
    assertThat(page.locator("[data-tally='rubber.box']")).hasText("244.8 mL");

    Locator cuts = page.locator("[aria-label='Cut list']");
    assertThat(cuts).containsText("2 × Front and back wall");
    assertThat(cuts).containsText("144 × 65 mm");
    String href = cuts.getByText("DXF").getAttribute("href");
    List<double[]> pieces = pieces(page.request().get(app.url(href.substring(1))).text());
    assertEquals(pieces.size(), 5);
    assertTrue(
        pieces.stream().filter(p -> Math.abs(p[0] - 144) < 0.01 && p[1] == 65).count() == 2,
        "two walls of 144 × 65");
  }
}
