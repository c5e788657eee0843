package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;

import com.google.gson.JsonElement;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.RequestOptions;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.testng.annotations.Test;

/** A mould from its first cast to its label, and from the label back to its page. */
public class MouldsPathTest extends Browsing {

  /** What another library reads off the first page of a label that is printed at 300 dpi. */
  private String scanned(byte[] pdf) throws IOException {
    BufferedImage image;
    try (PDDocument document = Loader.loadPDF(pdf)) {
      image = new PDFRenderer(document).renderImageWithDPI(0, 300);
    }
    int width = image.getWidth();
    byte[] blue = new byte[width * image.getHeight()];
    for (int i = 0; i < blue.length; i++) {
      blue[i] = (byte) image.getRGB(i % width, i / width);
    }
    page.evaluate(Files.readString(Path.of("../web/node_modules/jsqr/dist/jsQR.js")));
    Object read =
        page.evaluate(
            "([pixels, width]) => {"
                + " const grey = atob(pixels);"
                + " const rgba = new Uint8ClampedArray(4 * grey.length).fill(255);"
                + " for (let i = 0; i < grey.length; i++)"
                + "   rgba.fill(grey.charCodeAt(i), 4 * i, 4 * i + 3);"
                + " return jsQR(rgba, width, grey.length / width)?.data ?? '' }",
            List.of(Base64.getEncoder().encodeToString(blue), width));
    return (String) read;
  }

  @Test
  public void aLabelLeadsToItsMould() throws IOException {
    String job = demoJob("Lantern finial");
    String id = job.substring(job.lastIndexOf('/') + 1);
    Map<String, Object> cast = Map.of("id", "label-1", "mould", 3, "result", "GOOD");
    APIResponse made =
        page.request()
            .post(app.url("api/jobs/" + id + "/casts/made"), RequestOptions.create().setData(cast));
    String code = "";
    for (JsonElement m : asked(made).getAsJsonArray("moulds")) {
      if (m.getAsJsonObject().get("mould").getAsInt() == 3) {
        code = m.getAsJsonObject().get("code").getAsString();
      }
    }
    visit("workshop");
    write("address", "http://bench.test:8080/");
    visit("moulds");
    Locator search = page.getByRole(AriaRole.SEARCHBOX);
    search.fill(code);
    assertThat(page.locator("table.moulds tbody tr")).hasCount(1);
    search.press("Enter");
    assertThat(page.locator("h1")).containsText("mould 3");
    write("place", "rack 12");
    byte[] label = page.request().get(app.url("api/moulds/" + code + "/label.pdf")).body();
    assertEquals(scanned(label), "http://bench.test:8080/moulds/" + code);
    assertFitsEveryScreen();

    // typed by a scanner, with the address round it
    visit("moulds");
    search.fill("http://bench.test:8080/moulds/" + code);
    search.press("Enter");
    assertThat(word("place")).hasText("rack 12");
    button("Retire it").click();
    button("It is torn.").click();
    assertThat(page.locator("main")).containsText("Retired: It is torn.");
    visit(job + "/casts");
    Locator into = page.getByLabel("in mould");
    assertThat(page.locator("main.words")).containsText("At the bench");
    assertThat(into.locator("option", new Locator.LocatorOptions().setHasText("3"))).hasCount(0);
    visit("moulds?which=RETIRED");
    assertThat(
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(code).setExact(true)))
        .isVisible();
  }
}
