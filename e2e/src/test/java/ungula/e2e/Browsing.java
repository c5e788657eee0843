package ungula.e2e;

import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ReducedMotion;
import com.microsoft.playwright.options.RequestOptions;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import java.util.zip.ZipFile;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.Assert;
import org.testng.annotations.AfterClass;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.AfterSuite;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.BeforeSuite;

/**
 * A browser on the application, a fresh window for each test. One application serves all classes:
 * each test works on jobs of its own, copies of the made-up ones. Classes that stop it, or change
 * what all jobs share, say that they are {@link #alone()}.
 */
abstract class Browsing {

  /** How long anything may take on a machine that is busy with other things. */
  private static final double PATIENCE_MS = 90_000;

  private static App shared;

  /** One browser for each thread: what Playwright gives is only for the thread that asked. */
  private static final ThreadLocal<Browser> BROWSER = ThreadLocal.withInitial(Browsing::launched);

  private static final Queue<Playwright> OPENED = new ConcurrentLinkedQueue<>();
  private static final AtomicInteger COPIES = new AtomicInteger();

  App app;
  Page page;
  private BrowserContext window;
  private final List<String> errors = new ArrayList<>();

  /** The jobs of this test. */
  private final List<String> begun = new ArrayList<>();

  /** Whether the class has an application of its own. */
  boolean alone() {
    return false;
  }

  /** To a length on the page: nothing looks at single ones, and a quarter is drawn sooner. */
  double pixels() {
    return 0.5;
  }

  /** The application of a class that is {@link #alone()}. */
  App own() throws IOException {
    return App.demo();
  }

  @BeforeSuite
  public void open() {
    PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
  }

  /** What {@code ./ungula test} has installed. */
  private static Path chromium() {
    Path windowless = Path.of("/usr/bin/chromium-headless-shell");
    return Files.isExecutable(windowless) ? windowless : Path.of("/usr/bin/chromium");
  }

  private static Browser launched() {
    Playwright playwright =
        Playwright.create(
            new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    OPENED.add(playwright);
    return playwright
        .chromium()
        .launch(
            new BrowserType.LaunchOptions()
                .setExecutablePath(chromium())
                .setArgs(
                    List.of(
                        "--no-sandbox",
                        "--disable-background-networking",
                        "--disable-component-update",
                        "--disable-sync",
                        "--no-first-run",
                        "--disable-gpu-compositing",
                        "--use-angle=swiftshader",
                        "--enable-unsafe-swiftshader")));
  }

  /** When all threads are done. */
  @AfterSuite(alwaysRun = true)
  public void close() throws Exception {
    OPENED.forEach(Playwright::close);
    if (shared != null) {
      shared.close();
    }
    App.forget();
  }

  private static synchronized App shared() throws IOException {
    if (shared == null) {
      shared = App.demo();
    }
    return shared;
  }

  @BeforeClass
  public void begin() throws Exception {
    app = alone() ? own() : shared();
  }

  @AfterClass(alwaysRun = true)
  public void end() throws Exception {
    if (app != null && alone()) {
      app.close();
    }
  }

  @BeforeMethod
  public void newWindow() {
    errors.clear();
    // what moves while something is waited for would be drawn again and again
    window =
        BROWSER
            .get()
            .newContext(
                new Browser.NewContextOptions()
                    .setViewportSize(1280, 800)
                    .setDeviceScaleFactor(pixels())
                    .setReducedMotion(ReducedMotion.REDUCE));
    window.setDefaultTimeout(PATIENCE_MS);
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
    if (!alone()) {
      // nothing of this test goes on while the next one runs
      begun.forEach(job -> window.request().delete(app.url("api/jobs/" + job)));
    }
    begun.clear();
    window.close();
    if (!errors.isEmpty()) {
      throw new AssertionError("The page made errors: " + errors);
    }
  }

  void visit(String path) {
    page.navigate(app.url(path));
  }

  JsonObject asked(APIResponse answer) {
    if (!answer.ok()) {
      throw new AssertionError(answer.url() + ": " + answer.status() + " " + answer.text());
    }
    return JsonParser.parseString(answer.text()).getAsJsonObject();
  }

  /** A made-up job as the shelf shows it. */
  private JsonObject madeUp(String name) {
    for (JsonElement e : asked(page.request().get(app.url("api/shelf"))).getAsJsonArray("jobs")) {
      JsonObject job = e.getAsJsonObject();
      if (job.get("demo").getAsBoolean() && job.get("name").getAsString().equals(name)) {
        return job;
      }
    }
    throw new AssertionError(name + " is not on the shelf");
  }

  /** The address of a copy of a made-up job, without the host. */
  String demoJob(String name) {
    String from = app.url("api/jobs/" + madeUp(name).get("id").getAsString() + "/copies");
    String copy = asked(page.request().post(from)).get("id").getAsString();
    // no two jobs of one name on the shelf that all share
    asked(
        page.request()
            .post(
                app.url("api/jobs/" + copy + "/name"),
                RequestOptions.create()
                    .setData(Map.of("name", name + " " + COPIES.incrementAndGet()))));
    begun.add(copy);
    return "jobs/" + copy;
  }

  /** The address of the made-up job itself: for looking only. */
  String demoJobItself(String name) {
    return "jobs/" + madeUp(name).get("id").getAsString();
  }

  /** A tablet either way up, and a phone. */
  static final int[][] SCREENS = {{1024, 768}, {800, 1280}, {390, 844}};

  /** Holds the page as it is against every screen smaller than a desk's. */
  void assertFitsEveryScreen() throws IOException {
    String misfits;
    try (var in = Browsing.class.getResourceAsStream("/fits/misfits.js")) {
      misfits = new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
    for (int[] screen : SCREENS) {
      page.setViewportSize(screen[0], screen[1]);
      Supplier<String> found = () -> (String) page.evaluate(misfits);
      try {
        // what is drawn follows the window in a moment
        page.waitForCondition(
            () -> found.get().isEmpty(), new Page.WaitForConditionOptions().setTimeout(5_000));
      } catch (TimeoutError late) {
        Assert.fail(page.url() + " at " + screen[0] + " by " + screen[1] + ": " + found.get());
      }
    }
  }

  /** Begins a job and waits for its page. */
  void beginJob() {
    visit("");
    button("New job").click();
    begun("master");
    PlaywrightAssertions.assertThat(heading("Master")).isVisible();
  }

  /** Waits for the page of a job begun just now. */
  void begun(String stage) {
    page.waitForURL(Pattern.compile(".*/jobs/.*/" + stage));
    begun.add(page.url().replaceAll(".*/jobs/(.*)/" + stage, "$1"));
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
    page.waitForURL(
        Pattern.compile(".*/jobs/[^/]+/" + name.toLowerCase(Locale.ROOT) + "(\\?.*)?$"));
    String heading = name.equals("Approach") ? "Which mould?" : name;
    PlaywrightAssertions.assertThat(page.locator(".words h1")).hasText(heading);
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

  /** Has the mould's pieces made as STL, and takes them away. */
  ZipFile pieces() throws IOException {
    Download made =
        page.waitForDownload(
            new Page.WaitForDownloadOptions().setTimeout(120_000),
            () -> {
              button("More for this job").click();
              page.getByText("Pieces of the mould, STL").click();
            });
    Path zip = Files.createTempFile("pieces", ".zip");
    made.saveAs(zip);
    return new ZipFile(zip.toFile());
  }

  /** Waits until the solid view has its mesh and has drawn it. */
  Locator solidDrawn() {
    Locator solid = page.locator(".solid[data-loaded]:not([data-loaded=''])");
    PlaywrightAssertions.assertThat(solid).isVisible();
    page.evaluate(
        "() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))");
    return solid;
  }

  /** Prints the job sheet. @return what is written on it */
  String printedSheet() throws IOException {
    List<String> printed = new ArrayList<>();
    window.onRequest(
        r -> {
          if (r.url().contains("sheet.pdf")) {
            printed.add(r.url());
          }
        });
    button("Print job sheet").click();
    page.waitForCondition(() -> !printed.isEmpty());
    byte[] pdf = page.request().get(printed.get(0)).body();
    try (PDDocument document = Loader.loadPDF(pdf)) {
      return new PDFTextStripper().getText(document);
    }
  }

  /** Looks at the solid from somewhere. */
  void seenFrom(String where) {
    page.locator(".views .word").click();
    page.locator(".views .dropdown-menu.show").getByText(where).click();
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
