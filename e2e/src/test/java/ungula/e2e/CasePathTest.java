package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.RequestOptions;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.Test;

/** From a cast with a hole to a good one, and all of it again in another folder. */
public class CasePathTest extends Browsing {

  private Locator words() {
    return page.locator("main.words");
  }

  private Locator link(String name) {
    return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  /** Where most air stays in a cast, as the vent proposed for it has it. */
  private String trapped(String job) {
    page.waitForCondition(() -> vent(job) != null);
    return vent(job);
  }

  private String vent(String job) {
    JsonObject now = asked(page.request().get(app.url("api/" + job)));
    for (JsonElement c : now.getAsJsonArray("cautions")) {
      for (JsonElement f : c.getAsJsonObject().getAsJsonArray("fixes")) {
        for (JsonElement e : f.getAsJsonObject().getAsJsonArray("edits")) {
          JsonObject edit = e.getAsJsonObject();
          if (edit.get("word").getAsString().equals("casting.vent")) {
            return edit.get("text").getAsString();
          }
        }
      }
    }
    return null;
  }

  @Test
  public void aHoleIsFoundOutMendedAndKept() throws Exception {
    String job = demoJob("Octopus on a rock");
    visit(job + "/casts");
    button("Scrap").click();
    page.getByText("A hole where it shows.").click();
    assertThat(words()).containsText("1 scrap.");
    asked(
        page.request()
            .post(
                app.url("api/" + job + "/casts/made/spots"),
                RequestOptions.create()
                    .setData(Map.of("number", 1, "who", "MB", "place", trapped(job)))));
    page.reload();
    link("Find out why").click();
    Locator first = page.locator(".causes > li").first();
    assertThat(words()).containsText(Pattern.compile("[\\d.]+ mL of air stays in a cast here\\."));
    assertThat(first).containsText("Air cannot leave there");
    assertThat(page.locator(".solid")).hasAttribute("data-spots", "1");
    first.getByText("I take it for this").click();
    first.getByText("Set a vent there").click();
    assertThat(first.getByText("Set a vent there")).hasCount(0);
    visit(job + "/casts");
    button("One more, good").click();
    assertThat(words()).containsText("1 to use; 1 scrap.");
    visit(job + "/log");
    page.getByText("Yes, it helped").click();
    assertThat(words()).containsText("It was.");

    // the mould and its label
    visit(job + "/casts");
    Pattern gave = Pattern.compile("The mould \\((\\w{5})\\) gave 2");
    assertThat(words()).containsText(gave);
    Matcher code = gave.matcher(words().textContent());
    assertTrue(code.find(), words().textContent());
    visit("moulds/" + code.group(1));
    assertThat(page.locator("main")).containsText("2 of about");
    byte[] label = page.request().get(app.url("api/moulds/" + code.group(1) + "/label.pdf")).body();
    try (PDDocument document = Loader.loadPDF(label)) {
      String text = new PDFTextStripper().getText(document);
      assertTrue(text.contains(code.group(1)) && text.contains("Octopus on a rock"), text);
    }
    restored(job, code.group(1));
  }

  /** Everything is there again in a folder that was empty. */
  private void restored(String job, String code) throws Exception {
    visit("workshop");
    button("Back up now").click();
    Locator newest = page.locator(".backups li").first();
    Download backup = page.waitForDownload(() -> newest.getByText("Download").click());
    Path zip = Files.createTempFile("ungula-backup", ".zip");
    backup.saveAs(zip);
    String log = page.request().get(app.url("api/" + job + "/log")).text();
    String words = asked(page.request().get(app.url("api/" + job))).get("words").toString();
    try (App again = App.restored(zip)) {
      assertEquals(page.request().get(again.url("api/" + job + "/log")).text(), log);
      assertEquals(
          asked(page.request().get(again.url("api/" + job))).get("words").toString(), words);
      page.navigate(again.url("moulds/" + code));
      assertThat(page.locator("main")).containsText("2 of about");
      JsonObject cases = asked(page.request().get(again.url("api/" + job + "/diagnosis")));
      JsonObject kept = cases.getAsJsonArray("cases").get(0).getAsJsonObject();
      assertTrue(kept.get("wasIt").getAsBoolean(), kept.toString());
      page.navigate(again.url(""));
      assertThat(page.locator("main")).containsText("Octopus on a rock");
    } finally {
      Files.delete(zip);
    }
  }
}
