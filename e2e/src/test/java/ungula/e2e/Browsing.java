package ungula.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.testng.annotations.AfterClass;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.BeforeMethod;

/** One application and one browser for a class of tests; a fresh window for each test. */
abstract class Browsing {

  private static final Pattern ANY = Pattern.compile(".*");

  App app;
  Browser browser;
  Page page;
  private Playwright playwright;
  private BrowserContext window;
  private final List<String> errors = new ArrayList<>();

  @BeforeClass
  public void open() throws Exception {
    PlaywrightAssertions.setDefaultAssertionTimeout(20_000);
    app = new App();
    playwright =
        Playwright.create(
            new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    browser =
        playwright
            .chromium()
            .launch(
                new BrowserType.LaunchOptions()
                    .setExecutablePath(Path.of("/usr/bin/chromium"))
                    .setArgs(
                        List.of(
                            "--no-sandbox",
                            "--disable-background-networking",
                            "--disable-component-update",
                            "--disable-sync",
                            "--no-first-run",
                            "--use-angle=swiftshader",
                            "--enable-unsafe-swiftshader")));
  }

  @AfterClass(alwaysRun = true)
  public void close() throws Exception {
    if (playwright != null) {
      playwright.close();
    }
    if (app != null) {
      app.close();
    }
  }

  @BeforeMethod
  public void newWindow() {
    errors.clear();
    window = browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800));
    page = watched(window);
  }

  Page watched(BrowserContext in) {
    Page p = in.newPage();
    p.onPageError(errors::add);
    return p;
  }

  BrowserContext window() {
    return window;
  }

  @AfterMethod(alwaysRun = true)
  public void closeWindow() {
    window.close();
    if (!errors.isEmpty()) {
      throw new AssertionError("The page made errors: " + errors);
    }
  }

  void visit(String path) {
    page.navigate(app.url(path));
  }

  /** The address of a demo job's stage, without the host. */
  String demoJob(String name) {
    visit("");
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true)).click();
    page.waitForURL(Pattern.compile(".*/jobs/.*"));
    return page.url().substring(app.url("").length()).replaceFirst("/[a-z]+(\\?.*)?$", "");
  }

  /** Begins a job and waits for its page. */
  void beginJob() {
    visit("");
    button("New job").click();
    page.waitForURL(Pattern.compile(".*/jobs/.*/master"));
    PlaywrightAssertions.assertThat(heading("Master")).isVisible();
  }

  Locator heading(String name) {
    return page.getByRole(
        AriaRole.HEADING, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  Locator button(String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  Locator word(String key) {
    return page.locator("button[data-word='" + key + "']");
  }

  Locator figure(String key) {
    return page.locator("[data-tally='" + key + "']");
  }

  void stage(String name) {
    page.getByRole(
            AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^\\W*" + name)))
        .click();
    PlaywrightAssertions.assertThat(page.locator(".words h1")).hasText(ANY);
  }

  void write(String key, String text) {
    word(key).click();
    Locator input = page.locator("input[data-word='" + key + "']");
    input.fill(text);
    input.press("Enter");
  }

  void choose(String key, String option) {
    word(key).click();
    page.locator(".dropdown-menu.show")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(option))
        .click();
  }

  /** Waits until the solid view has its mesh and has drawn it. */
  Locator solidDrawn() {
    Locator solid = page.locator(".solid[data-loaded]:not([data-loaded=''])");
    PlaywrightAssertions.assertThat(solid).isVisible();
    page.evaluate(
        "() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))");
    return solid;
  }

  /** Drops a file on the page, as a hand would from a folder. */
  void drop(String name, byte[] content) {
    page.evaluate(
        "([name, base64]) => {"
            + " const bytes = Uint8Array.from(atob(base64), (c) => c.charCodeAt(0));"
            + " const data = new DataTransfer();"
            + " data.items.add(new File([bytes], name));"
            + " for (const type of ['dragover', 'drop']) {"
            + "  document.body.dispatchEvent(new DragEvent(type, {dataTransfer: data, bubbles: true,"
            + " cancelable: true}));"
            + " } }",
        List.of(name, Base64.getEncoder().encodeToString(content)));
  }

  /** A box as binary STL, written here and not by the application. */
  static byte[] boxStl(float l, float w, float h) {
    int[][] quads = {
      {0, 2, 3, 1}, {4, 5, 7, 6}, {0, 1, 5, 4}, {2, 6, 7, 3}, {0, 4, 6, 2}, {1, 3, 7, 5}
    };
    ByteBuffer b = ByteBuffer.allocate(84 + 12 * 50).order(ByteOrder.LITTLE_ENDIAN);
    b.putInt(80, 12).position(84);
    for (int[] q : quads) {
      for (int[] t : new int[][] {{q[0], q[1], q[2]}, {q[0], q[2], q[3]}}) {
        b.putFloat(0).putFloat(0).putFloat(0);
        for (int v : t) {
          b.putFloat((v & 1) * l).putFloat((v >> 1 & 1) * w).putFloat((v >> 2) * h);
        }
        b.putShort((short) 0);
      }
    }
    return b.array();
  }
}
