package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.FilePayload;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.testng.Reporter;
import org.testng.annotations.Test;

/** What somebody sees who has never been here: a shelf, a model, a mould that is proposed. */
public class FirstMinutesTest extends Browsing {

  /** Of a binary STL file, bytes. */
  private static final int HEADER = 80;

  private static final int FACET = 50;

  private FilePayload model(String name) {
    String address = app.url(demoJobItself("Nautilus touch model").replaceFirst("^", "api/"));
    byte[] stl = finer(page.request().get(address + "/master.stl").body());
    assertTrue(stl.length > 190_000 * 50, "it has fewer triangles: " + stl.length / 50);
    return new FilePayload(name, "model/stl", stl);
  }

  /** The same shape, each of its facets cut into three. */
  private static byte[] finer(byte[] stl) {
    ByteBuffer in = ByteBuffer.wrap(stl).order(ByteOrder.LITTLE_ENDIAN);
    int facets = in.getInt(HEADER);
    ByteBuffer out =
        ByteBuffer.allocate(HEADER + 4 + 3 * FACET * facets).order(ByteOrder.LITTLE_ENDIAN);
    out.putInt(HEADER, 3 * facets).position(HEADER + 4);
    for (int t = 0; t < facets; t++) {
      // its normal, then nine coordinates
      float[] xyz = new float[9];
      in.slice(HEADER + 4 + FACET * t + 12, 36)
          .order(ByteOrder.LITTLE_ENDIAN)
          .asFloatBuffer()
          .get(xyz);
      for (int corner = 0; corner < 3; corner++) {
        out.putFloat(0).putFloat(0).putFloat(0);
        for (int k = 0; k < 3; k++) {
          for (int axis = 0; axis < 3; axis++) {
            float middle = (xyz[axis] + xyz[3 + axis] + xyz[6 + axis]) / 3;
            out.putFloat(k == corner ? middle : xyz[3 * k + axis]);
          }
        }
        out.putShort((short) 0);
      }
    }
    return out.array();
  }

  /** A model of 190 000 triangles: a click and the file, "Use this", "Print job sheet". */
  @Test
  public void threeClicksFromAModelToTheSheet() throws Exception {
    FilePayload model = model("Shell from the harbour.stl");
    visit("");
    long begun = System.nanoTime();
    page.waitForFileChooser(() -> button("Job from a model").click()).setFiles(model);
    begun("proposal");
    assertThat(heading("Shell from the harbour")).isVisible();
    Locator proposed = page.locator(".proposed");
    assertThat(proposed.locator(".says")).hasText(Pattern.compile("^Choose the cut mould, .*"));
    assertThat(proposed.locator(".STOP")).hasCount(0);
    String weigh = proposed.locator("dd").nth(1).textContent();
    button("Use this").click();
    assertThat(page.locator("[data-tally='weigh']")).hasText(weigh);
    assertThat(page.locator(".tally:not(.open)")).hasCount(1);
    Reporter.log("From the model to grams: " + (System.nanoTime() - begun) / 1_000_000 + " ms");
    // all but the room, which is the workshop's, was said with it
    assertThat(page.locator(".assumptions [data-assumed]")).hasCount(0);

    String text = printedSheet();
    assertTrue(text.contains("Shell from the harbour"), text);
    assertTrue(text.contains(weigh.split(" \\+ ")[0].replace('\u202f', ' ')), text);
  }

  @Test
  public void aFileThatIsNoModelSaysSoAndAnotherIsTaken() {
    visit("");
    drop("letter.stl", "Dear mould maker".getBytes(StandardCharsets.UTF_8));
    begun("proposal");
    assertThat(page.locator(".notice")).containsText("letter.stl was not taken");
    drop("block.stl", boxStl(80, 55, 42));
    assertThat(page.locator(".notice")).hasCount(0);
    assertThat(page.locator(".proposed .says"))
        .hasText(Pattern.compile("^Choose the open mould, .*"));
    button("Compare").click();
    assertThat(page.locator(".words h1")).hasText("Which mould?");
  }
}
