package ungula.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Response;
import com.sun.net.httpserver.HttpServer;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** A page of another site, in a real browser, changes nothing here and shows nothing of it. */
public class OtherSiteTest extends Browsing {

  private static final String CHANGE = "api/products/dulse-30/retired?retired=true";

  private HttpServer other;
  private String html;

  @BeforeMethod
  public void openOtherSite() throws Exception {
    other = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    other.createContext(
        "/",
        exchange -> {
          byte[] body = html.getBytes(StandardCharsets.UTF_8);
          exchange.getResponseHeaders().add("Content-Type", "text/html; charset=utf-8");
          exchange.sendResponseHeaders(200, body.length);
          exchange.getResponseBody().write(body);
          exchange.close();
        });
    other.start();
  }

  @AfterMethod(alwaysRun = true)
  public void closeOtherSite() {
    other.stop(0);
  }

  /** Visits a page of the other site. */
  private void visitOther(String body) {
    html = "<!doctype html><title>Elsewhere</title>" + body;
    page.navigate("http://127.0.0.1:" + other.getAddress().getPort() + "/");
  }

  private boolean retired() {
    return Pattern.compile("\"id\":\"dulse-30\"[^{}]*\"retired\":true")
        .matcher(page.request().get(app.url("api/products")).text())
        .find();
  }

  @Test
  public void aFormOnAnotherSiteIsRefused() {
    visitOther("<form method=post action='" + app.url(CHANGE) + "'><button>Go</button></form>");
    Response answer =
        page.waitForResponse(
            r -> r.url().equals(app.url(CHANGE)), () -> page.locator("button").click());
    assertEquals(answer.status(), 403);
    assertThat(page.locator("body")).containsText("A page of another site asked for this change");
    assertFalse(retired());
  }

  @Test
  public void aScriptOnAnotherSiteNeitherChangesNorReads() {
    visitOther("");
    Object tried =
        page.evaluate(
            "async ([change, shelf]) => {"
                + " const text = async (url, how) => {"
                + "  try { return await (await fetch(url, how)).text(); } catch { return ''; }"
                + " };"
                + " return [await text(change, {method: 'POST', mode: 'no-cors'}),"
                + "  await text(shelf), (await text('/')).length > 0]; }",
            new String[] {app.url(CHANGE), app.url("api/shelf")});
    assertEquals(tried, List.of("", "", true), "what it read, and that it can read its own");
    assertFalse(retired());
  }

  /** Framed, its buttons could be clicked by somebody who sees something else. */
  @Test
  public void itCannotBeFramed() {
    visitOther("<iframe src='" + app.url("") + "' width=900 height=600></iframe>");
    assertThat(page.frameLocator("iframe").locator("#root")).hasCount(0);
    visit("");
    assertThat(page.locator(".entry").first()).isVisible();
  }

  @Test
  public void thePageItselfChangesWhatItMay() {
    visit("rubber/dulse-30");
    button("Retire").click();
    assertThat(button("Bring back")).isVisible();
    assertTrue(retired());
    button("Bring back").click();
    assertThat(button("Retire")).isVisible();
    assertFalse(retired());
  }
}
