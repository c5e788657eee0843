package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.RequestOptions;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** A mould made at the bench: on two screens, with a scale, and a server that is killed. */
public class BenchPathTest extends Browsing {

  /** It is killed, and its clock is set. */
  @Override
  boolean alone() {
    return true;
  }

  private static Locator says(Page on) {
    return on.locator(".say h1");
  }

  private Locator digits() {
    return page.locator(".amount .digits");
  }

  private String run() {
    return page.url().replaceAll(".*/runs/", "");
  }

  private JsonObject state() {
    return asked(page.request().get(app.url("api/runs/" + run())));
  }

  private long told(String text) {
    long count = 0;
    for (JsonElement e : state().getAsJsonArray("entries")) {
      count += e.getAsJsonObject().get("text").getAsString().equals(text) ? 1 : 0;
    }
    return count;
  }

  private void hand(String deed) {
    page.request()
        .post(
            app.url("api/devices/stand-ins/SCALE"),
            RequestOptions.create().setData(Map.of("deed", deed)));
  }

  private static double grams(String text) {
    return Double.parseDouble(text.replaceAll("[^0-9.]", ""));
  }

  private double target() {
    return grams(page.locator("svg.cup .marked").textContent());
  }

  /** Presses Space, once for each step, until another is asked for. */
  private void spaceUntil(String headline) {
    String said = says(page).textContent();
    for (int i = 0; i < 40 && !said.contains(headline); i++) {
      page.keyboard().press("Space");
      assertThat(says(page)).not().hasText(said);
      said = says(page).textContent();
    }
    assertThat(says(page)).containsText(headline);
  }

  private void type(String number) {
    Locator pad = page.locator(".keypad");
    for (char c : number.toCharArray()) {
      pad.getByRole(
              AriaRole.BUTTON,
              new Locator.GetByRoleOptions().setName(String.valueOf(c)).setExact(true))
          .click();
    }
    pad.getByText("Take it").click();
  }

  @Test
  public void aMouldIsMadeThroughAllThatGoesWrong() throws Exception {
    visit(demoJob("Lantern finial") + "/bench");
    button("Begin the mould").click();
    page.waitForURL(Pattern.compile(".*/runs/.*"));
    page.locator(".who input").fill("MB");
    button("Leave out").click();
    button("It was done before.").click();
    // a foot ends no wait
    assertThat(says(page)).hasText("Let the sealer dry.");
    page.keyboard().press("Space");
    button("It is over already").click();
    assertThat(says(page)).not().hasText("Let the sealer dry.");
    spaceUntil("Look along all joints");
    button("Skip").click();
    assertThat(says(page)).not().containsText("Look along all joints");
    spaceUntil("Put the cup on");
    Page beside = watched(window());
    beside.navigate(page.url());
    assertThat(says(beside)).containsText("Put the cup on");

    // the cup, then base, a little more than planned
    button("Put a cup on").click();
    assertThat(digits()).hasText("45.0");
    page.waitForCondition(() -> live().get("settled").getAsBoolean());
    button("Set to zero").click();
    assertThat(says(page)).containsText("Pour base");
    double base = target();
    hand("put " + (base + 9));
    assertThat(says(page)).containsText("Pour hardener");
    assertThat(page.locator(".follows").first()).containsText("more than planned");
    assertThat(says(beside)).containsText("Pour hardener");

    // too much hardener is saved by base
    double hardener = target();
    hand("put " + hardener * 1.05);
    assertThat(says(page)).containsText("Too much hardener");
    String add = says(page).textContent().replaceAll(".*add ([0-9.]+).*", "$1");
    hand("put " + grams(add));
    assertThat(says(page)).containsText("Stir slowly");
    assertThat(says(beside)).containsText("Stir slowly");
    assertThat(page.locator(".clocks")).containsText("stays workable");
    List<JsonElement> before = state().getAsJsonArray("entries").asList();

    // the server is killed; what is pressed meanwhile is kept, and delivered once
    page.waitForFunction(
        "caches.open('bench-page').then(c => c.keys()).then(all => all.length > 3)");
    app.kill();
    assertThat(page.locator(".lost").first()).containsText("The server is not heard");
    page.keyboard().press("Space");
    assertThat(page.locator(".told")).containsText("Not delivered yet: Done: stir");
    assertThat(says(page)).containsText("second cup");
    // the page opens without the server as well
    page.reload();
    assertThat(page.locator(".lost").first()).containsText("The server is not heard");
    assertThat(page.locator(".told")).containsText("Not delivered yet: Done: stir");
    assertThat(says(page)).containsText("second cup");
    assertThat(page.locator(".clocks")).containsText("stays workable");
    // half of its pot life is gone when it is back
    app.startAt("2027-03-01T07:35+01:00[Europe/Berlin]");
    assertThat(page.locator(".lost")).hasText(new String[0]);
    assertEquals(told("Done: stir"), 1);
    assertEquals(
        state().getAsJsonArray("entries").asList().subList(0, before.size()).toString(),
        before.toString());
    assertThat(page.locator(".rings")).containsText("use it within");
    button("Heard").click();
    assertThat(page.locator(".rings")).hasCount(0);
    page.reload();
    assertThat(says(page)).containsText("second cup");
    assertThat(page.locator(".rings")).hasCount(0);

    // two press at once, and it is done once
    page.keyboard().press("Space");
    beside.keyboard().press("Space");
    assertThat(says(page)).containsText("Pour to the line");
    assertThat(says(beside)).containsText("Pour to the line");
    assertEquals(told("Done: into the second cup"), 1);
    page.keyboard().press("Space");
    assertThat(says(page)).containsText("Read the level");

    // short: what to look at, in order, until it is right
    String expected = page.locator(".tolevel text").textContent();
    page.keyboard().press("Space");
    type(String.valueOf(Math.round(grams(expected) - 12)));
    assertThat(page.locator(".leveltold")).containsText("of the rubber is missing");
    assertThat(page.locator(".leveltold li").first()).containsText("leak");
    button("Read it again").click();
    type(String.valueOf(Math.round(grams(expected))));

    // it cures, overnight
    assertThat(says(page)).containsText("Let it cure");
    app.kill();
    app.startAt("2027-03-02T08:00+01:00[Europe/Berlin]");
    assertThat(says(page)).containsText("Press a fingernail");
    button("Not yet").click();
    assertThat(page.locator(".notgood")).containsText("not good yet");
    spaceUntil("All is done");
    page.getByText("Stop here").click();
    assertThat(page.locator(".happened")).containsText("Skipped: box sealed and level · MB");
    button("The mould is made").click();
    assertThat(page.locator(".happened")).containsText("Ended");
    assertTrue(page.locator(".entries li").count() > 20);
  }

  private JsonObject live() {
    return asked(page.request().get(app.url("api/runs/" + run() + "/now")));
  }
}
