package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import java.io.IOException;
import java.util.Arrays;
import org.testng.annotations.Test;

/** Nothing acknowledged is ever lost, and nothing is overwritten unseen. */
public class KeepingTest extends Browsing {

  /** It is killed and started again. */
  @Override
  boolean alone() {
    return true;
  }

  @Override
  App own() throws IOException {
    return App.empty();
  }

  @Test
  public void aBadFileIsRefusedAndTheJobStays() {
    beginJob();
    drop("box.stl", boxStl(80, 55, 42));
    assertThat(figure("rubber.box")).hasText("242.4 mL");
    byte[] cut = Arrays.copyOf(boxStl(80, 55, 42), 300);
    drop("half.stl", cut);
    assertThat(page.locator(".notice")).containsText("half.stl was not taken");
    assertThat(page.locator(".notice")).containsText("says it holds 12 triangles");
    assertThat(figure("rubber.box")).hasText("242.4 mL");
    page.locator(".notice").getByText("Close").click();
    assertThat(page.locator(".notice")).hasCount(0);
  }

  @Test
  public void aKillAtAnyMomentLosesNothingAcknowledged() throws Exception {
    beginJob();
    drop("box.stl", boxStl(80, 55, 42));
    assertThat(figure("rubber.box")).hasText("242.4 mL");
    stage("Mould");
    String address = page.url().substring(app.url("").length());
    for (int round = 0; round < 3; round++) {
      int mm = 20 + 5 * round;
      write("mould.sidesMm", mm + " mm");
      assertThat(word("mould.sidesMm")).hasText(mm + " mm");
      app.kill();
      app.start();
      visit(address);
      assertThat(word("mould.sidesMm")).hasText(mm + " mm");
    }
    button("Undo").click();
    assertThat(word("mould.sidesMm")).hasText("25 mm");
  }

  /** The program stops and starts by itself; the page waits for it. */
  @Test
  public void aBackupIsGoneBackToFromThePage() throws Exception {
    visit("");
    button("New job").click();
    begun("master");
    visit("workshop");
    button("Back up now").click();
    Locator newest = page.locator(".backups li").first();
    assertThat(newest).containsText("job");
    int before = jobs();
    visit("");
    button("New job").click();
    begun("master");
    assertEquals(jobs(), before + 1);
    visit("workshop");
    newest.getByText("Go back to it").click();
    assertThat(newest).containsText("These jobs would not be there any more: New job");
    assertFitsEveryScreen();
    button("Go back to it now").click();
    page.waitForURL(app.url(""));
    assertThat(page.locator(".entry")).hasCount(before);
  }

  private int jobs() {
    return asked(page.request().get(app.url("api/shelf"))).getAsJsonArray("jobs").size();
  }

  @Test
  public void aSecondStartSaysWhereTheFirstIs() throws Exception {
    String said = app.startAgain();
    assertTrue(said.startsWith("4 "), said);
    assertTrue(said.contains("already runs") && said.contains(app.url("")), said);
  }

  @Test
  public void openToTheNetworkWithoutAPassphraseItDoesNotStart() throws Exception {
    String said = App.startOpen();
    assertTrue(said.startsWith("7 "), said);
    assertTrue(said.contains("no passphrase is set") && said.contains("./ungula passphrase"), said);
  }

  @Test
  public void theMadeUpShelfGoesWithOneClick() throws Exception {
    try (App fresh = App.demo()) {
      page.navigate(fresh.url(""));
      assertThat(page.locator(".entry")).hasCount(9);
      button("Remove the made-up jobs").click();
      assertThat(page.locator(".entry")).hasCount(0);
      assertThat(page.locator(".empty")).containsText("Drop the model of a master here");
    }
  }
}
