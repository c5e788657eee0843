package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.Stream;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import ungula.core.master.Tessellation;
import ungula.server.access.Hosts;
import ungula.server.archive.GoBack;
import ungula.server.archive.Held;
import ungula.server.archive.Restore;
import ungula.server.command.Archive;

/** What is kept is taken away whole, put back as it was, and looked over. */
public class ArchiveTest extends OnServer {

  private Path folder;
  private ByteArrayOutputStream said;

  @BeforeMethod
  public void fresh() throws IOException {
    folder = Files.createTempDirectory("ungula-archive");
    said = new ByteArrayOutputStream();
  }

  @AfterMethod(alwaysRun = true)
  public void clear() throws IOException {
    Restore.delete(folder);
  }

  private int backup(Path data, Path to) {
    return run(() -> Archive.backup(args(to, data), out(), out(), ArchiveTest::alone));
  }

  private int restore(Path from, Path data, String... more) {
    List<String> all = new ArrayList<>(args(from, data));
    all.addAll(Arrays.asList(more));
    return run(() -> Archive.restore(all, out(), out()));
  }

  private interface Command {
    int run();
  }

  private int run(Command c) {
    said.reset();
    return c.run();
  }

  private static ConfigurableApplicationContext alone(DataFolder of) {
    try {
      return Ungula.start(
          of, "127.0.0.1", "0", false, Hosts.of("127.0.0.1"), Optional.empty(), null);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static List<String> args(Path file, Path data) {
    return List.of(file.toString(), "--data", data.toString());
  }

  private PrintStream out() {
    return new PrintStream(said, true, StandardCharsets.UTF_8);
  }

  private String said() {
    return said.toString(StandardCharsets.UTF_8);
  }

  /** A job with a model, a run with entries, a cast and a pack. */
  private String worked(Running on, double high) throws Exception {
    String id =
        on.post("/api/jobs", "{\"name\":\"Kept " + high + "\"}").body().get("id").asString();
    on.upload(id, "block.stl", Running.stl(Tessellation.box(50, 40, high)));
    on.write(id, "rubber.product", "marram-20");
    on.write(id, "cast.product", "oyster-75");
    String run = on.post("/api/jobs/" + id + "/runs", "").body().get("id").asString();
    String key = on.get("/api/runs/" + run).body().get("next").asString();
    on.post(
        "/api/runs/" + run + "/acts",
        "{\"id\": \"a1\", \"kind\": \"TICK\", \"agoMs\": 0, \"key\": \"" + key + "\"}");
    on.post(
        "/api/jobs/" + id + "/casts/made",
        "{\"id\": \"c1\", \"mould\": 1, \"result\": \"SCRAP\", \"why\": \"a hole\"}");
    on.post("/api/stock", "{\"product\": \"marram-20\"}");
    return id;
  }

  /** All that can be seen of a job. */
  private static String seen(Running on, String id) throws Exception {
    StringBuilder all = new StringBuilder();
    JsonNode job = on.job(id);
    for (String part : List.of("words", "figures", "cautions")) {
      all.append(job.get(part)).append('\n');
    }
    JsonNode runs = on.get("/api/jobs/" + id + "/runs").body();
    all.append(on.get("/api/runs/" + runs.get(0).get("id").asString()).body().get("entries"));
    for (String path : List.of("/casts/made", "/log")) {
      all.append(on.get("/api/jobs/" + id + path).body()).append('\n');
    }
    all.append(Arrays.hashCode(on.get("/api/" + "jobs/" + id + "/master.stl").raw()));
    return all.toString();
  }

  /** Taken from a running server while others edit, put into an empty folder, all is there. */
  @Test
  public void whatIsTakenFromARunningServerIsThereInAnEmptyFolder() throws Exception {
    String id = worked(server, 23);
    String other = server.addJob();
    AtomicBoolean over = new AtomicBoolean();
    List<Integer> statuses = Collections.synchronizedList(new ArrayList<>());
    Thread edits =
        new Thread(
            () -> {
              try {
                for (int i = 0; !over.get() || i < 5; i++) {
                  statuses.add(server.write(other, "mould.overTopMm", 10 + i % 9 + " mm").status());
                }
              } catch (Exception e) {
                statuses.add(-1);
              }
            });
    edits.start();
    Path zip = folder.resolve("all.zip");
    int status = backup(server.data(), zip);
    over.set(true);
    edits.join();
    assertEquals(status, 0, said());
    assertTrue(said().contains(" jobs, "), said());
    assertTrue(statuses.stream().allMatch(s -> s == 200), "edits go on: " + statuses);
    Path there = folder.resolve("deeper/there");
    assertEquals(restore(zip, there), 0, said());
    String before = seen(server, id);
    try (Running restored = Running.on(there)) {
      assertEquals(seen(restored, id), before);
      JsonNode checked = restored.get("/api/check").body();
      assertEquals(checked.get("wrong").size(), 0, checked.toString());
      assertTrue(checked.get("runs").asInt() >= 1 && checked.get("casts").asInt() >= 1);
    }
  }

  private JsonNode kept() throws Exception {
    return server.get("/api/backups").body().get("backups");
  }

  /** Made by themselves, the last seven are kept; what going back would change is said. */
  @Test
  public void theLastSevenAreKept() throws Exception {
    assertEquals(kept().size(), 0);
    String gone =
        server.post("/api/jobs", "{\"name\":\"Left out later\"}").body().get("id").asString();
    Path backups = Path.of(server.get("/api/backups").body().get("data").asString(), "backups");
    Files.createDirectories(backups);
    for (int day = 1; day <= 7; day++) {
      Files.writeString(backups.resolve("ungula-2026010" + day + "-070000-000.zip"), "older");
    }
    JsonNode ended = server.done(server.post("/api/backups", "").body());
    assertEquals(ended.get("state").asString(), "DONE", ended.toString());
    JsonNode its = kept();
    assertEquals(its.size(), 7);
    assertTrue(its.get(6).get("name").asString().contains("20260102"), "the oldest went");
    assertTrue(its.get(0).get("holds").asString().contains("job"), its.toString());
    String newest = "/api/backups/" + its.get(0).get("name").asString();
    server.delete("/api/jobs/" + gone);
    server.post("/api/jobs", "{\"name\":\"Made after it\"}");
    JsonNode changes = server.get(newest + "/changes").body();
    assertEquals(changes.get("back").toString(), "[\"Left out later\"]");
    assertEquals(changes.get("lost").toString(), "[\"Made after it\"]");
    Path zip = Files.write(folder.resolve("one.zip"), server.get(newest).raw());
    Path there = folder.resolve("there");
    assertEquals(restore(zip, there), 0, said());
    try (Running restored = Running.on(there)) {
      assertEquals(restored.get("/api/check").body().get("wrong").size(), 0);
      assertTrue(restored.get("/api/shelf").body().toString().contains("Left out later"));
    }
    assertEquals(server.get("/api/backups/ungula-1.zip").status(), 404);
    assertEquals(server.get("/api/backups/..%2Fungula.mv.db").status() / 100, 4);
  }

  private String backedUp(Running own) throws Exception {
    assertEquals(own.done(own.post("/api/backups", "").body()).get("state").asString(), "DONE");
    return own.get("/api/backups").body().at("/backups/0/name").asString();
  }

  /** Goes back to a backup, and waits until another server answers in the place of this one. */
  private static void goBack(Running own, String name) throws Exception {
    String start = own.get("/api/backups").body().get("start").asString();
    assertEquals(own.post("/api/backups/" + name + "/restored", "").status(), 202);
    Instant late = Instant.now().plusSeconds(120);
    while (Instant.now().isBefore(late)) {
      try {
        JsonNode now = own.get("/api/backups").body();
        if (now != null && now.has("start") && !now.get("start").asString().equals(start)) {
          return;
        }
      } catch (IOException down) {
        // it is stopped, and not started yet
      }
      Running.lookLater();
    }
    throw new AssertionError("It does not start again.");
  }

  /** From the page: what is there is moved aside, the backups stay, the address is the same. */
  @Test
  public void aServerGoesBackToABackup() throws Exception {
    try (Running own = Running.on(folder.resolve("own"))) {
      worked(own, 27);
      String first = backedUp(own);
      own.post("/api/jobs", "{\"name\":\"Made since\"}");
      int port = own.port();
      goBack(own, first);
      assertEquals(own.port(), port);
      String shelf = own.get("/api/shelf").body().toString();
      assertTrue(shelf.contains("Kept 27.0") && !shelf.contains("Made since"), shelf);
      assertEquals(own.get("/api/backups").body().at("/backups/0/name").asString(), first);
      try (Stream<Path> beside = Files.list(folder)) {
        Path before =
            beside.filter(f -> f.toString().contains("own.before-")).findFirst().orElseThrow();
        assertEquals(Held.in(before).jobs(), List.of("Kept 27.0", "Made since"));
      }
      assertFalse(Files.exists(folder.resolve("own.restored")));
      assertEquals(own.post("/api/backups/ungula-1.zip/restored", "").status(), 404);
    }
  }

  /** Whoever asks is answered before the server stops, however soon that is. */
  @Test
  public void goingBackIsAnsweredBeforeAnythingStops() throws Exception {
    Path own = folder.resolve("own");
    String name;
    try (Running other = Running.on(folder.resolve("other"))) {
      name = backedUp(other);
      Files.createDirectories(own.resolve("backups"));
      Files.copy(
          other.data().resolve("backups").resolve(name), own.resolve("backups").resolve(name));
    }
    AtomicReference<ConfigurableApplicationContext> serving = new AtomicReference<>();
    Hosts here = Hosts.of("127.0.0.1");
    try (DataFolder data = DataFolder.claim(own)) {
      GoBack stops = unpacked -> serving.get().close();
      serving.set(Ungula.start(data, "127.0.0.1", "0", false, here, Optional.empty(), stops));
      int port = ((WebServerApplicationContext) serving.get()).getWebServer().getPort();
      URI asked = URI.create("http://127.0.0.1:" + port + "/api/backups/" + name + "/restored");
      HttpRequest ask = HttpRequest.newBuilder(asked).POST(BodyPublishers.noBody()).build();
      HttpResponse<String> answer = HttpClient.newHttpClient().send(ask, BodyHandlers.ofString());
      assertEquals(answer.statusCode(), 202);
      assertEquals(answer.body(), "");
    } finally {
      serving.get().close();
    }
  }

  /** A backup that no server starts on is let go of: work goes on where it was. */
  @Test
  public void whatDoesNotStartIsNotGoneBackTo() throws Exception {
    try (Running own = Running.on(folder.resolve("own"))) {
      String change =
          "UPDATE \"flyway_schema_history\" SET \"checksum\" = \"checksum\" %s 1"
              + " WHERE \"version\" = '5'";
      own.sql(change.formatted("+"));
      String unfit = backedUp(own);
      own.sql(change.formatted("-"));
      own.post("/api/jobs", "{\"name\":\"Made since\"}");
      goBack(own, unfit);
      assertTrue(own.get("/api/shelf").body().toString().contains("Made since"));
      assertEquals(own.get("/api/backups").body().at("/backups/0/name").asString(), unfit);
    }
  }

  /** A folder that holds something is only replaced where that is said, and then moved aside. */
  @Test
  public void nothingIsOverwritten() throws Exception {
    Path early = folder.resolve("early.zip");
    Path late = folder.resolve("late.zip");
    try (Running own = Running.on(folder.resolve("own"))) {
      worked(own, 24);
      assertEquals(restore(folder.resolve("none.zip"), own.data()), 3, said());
      assertEquals(backup(own.data(), early), 0, said());
      assertEquals(restore(early, own.data(), "--over"), 4, "a server works on it: " + said());
      own.post("/api/jobs", "{\"name\":\"Made since\"}");
      assertEquals(backup(own.data(), late), 0, said());
    }
    Path data = folder.resolve("data");
    assertEquals(restore(late, data), 0, said());
    assertEquals(restore(early, data), 3, said());
    assertTrue(said().contains("Not in the backup: Made since."), said());
    assertTrue(said().contains("Nothing was changed."), said());
    assertEquals(restore(early, data, "--over"), 0, said());
    String aside = "What was there is in ";
    String line = said().lines().filter(l -> l.startsWith(aside)).findFirst().orElseThrow();
    Path before = Path.of(line.substring(aside.length(), line.length() - " now.".length()));
    assertEquals(Held.in(before).jobs(), List.of("Kept 24.0", "Made since"));
    assertEquals(Held.in(data).jobs(), List.of("Kept 24.0"));
    // where no server runs
    assertEquals(backup(data, folder.resolve("b.zip")), 0, said());
    assertEquals(Restore.unpack(folder.resolve("b.zip"), folder.resolve("b")), Held.in(data));
  }

  @Test
  public void whatIsNoWholeBackupIsRefused() throws Exception {
    worked(server, 25);
    Path zip = folder.resolve("all.zip");
    assertEquals(backup(server.data(), zip), 0, said());
    byte[] whole = Files.readAllBytes(zip);
    for (int share : new int[] {3, 50, 97}) {
      Path torn = folder.resolve("torn" + share + ".zip");
      Files.write(torn, Arrays.copyOf(whole, whole.length * share / 100));
      Path to = folder.resolve("to" + share);
      assertEquals(restore(torn, to), 3, share + " % of it: " + said());
      assertTrue(said().startsWith("It was not restored, and nothing was changed."), said());
      assertFalse(Files.exists(to), "nothing is left behind");
    }
    Files.writeString(folder.resolve("text.zip"), "no zip");
    assertEquals(restore(folder.resolve("text.zip"), folder.resolve("x")), 3, said());
    assertEquals(backup(folder.resolve("nothing"), zip), 3, said());
    assertTrue(said().startsWith("Nothing is kept in "), said());
    assertEquals(run(() -> Archive.backup(List.of(), out(), out(), ArchiveTest::alone)), 2, said());
  }

  /** What is damaged behind the server's back is named. */
  @Test
  public void aCheckNamesWhatIsWrong() throws Exception {
    try (Running own = Running.on(folder.resolve("data"))) {
      worked(own, 26);
      assertEquals(own.get("/api/check").body().get("wrong").size(), 0);
      own.sql("UPDATE run_entry SET entry = '{\"kind\": \"unheard\"}'");
      // the server still knows what it has read
      own.restart();
      JsonNode wrong = own.get("/api/check").body().get("wrong");
      assertEquals(wrong.size(), 1, wrong.toString());
      assertTrue(wrong.get(0).asString().startsWith("Kept 26.0: "), wrong.toString());
      assertEquals(
          run(
              () ->
                  Archive.check(List.of("--data", own.data().toString()), out(), out(), f -> null)),
          1,
          said());
      assertTrue(said().startsWith("WRONG  Kept 26.0: "), said());
    }
  }
}
