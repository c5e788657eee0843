package ungula.e2e;

import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.concurrent.locks.LockSupport;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The packaged application as a process of its own, on data of its own. */
final class App implements AutoCloseable {

  private static final HttpClient HTTP = HttpClient.newHttpClient();

  private static final Pattern READY = Pattern.compile("ready at (http://\\S+/)");

  /**
   * Data with the made-up shelf as a first start makes it, and what its shapes decide worked out:
   * copied by each that begins with it.
   */
  private static volatile Path madeUp;

  private final Path data;
  private final List<String> options;
  private Process process;
  private String address;

  /** Stopped and started again, it is found where it was. */
  private String port = "0";

  private App(List<String> options) throws IOException {
    this.data = Files.createTempDirectory("ungula-e2e");
    this.options = options;
  }

  /** With the made-up shelf as it is after a first start. */
  static App demo() throws IOException {
    App app = new App(List.of("--demo"));
    copy(madeUp(), app.data);
    app.start();
    return app;
  }

  private static synchronized Path madeUp() throws IOException {
    if (madeUp == null) {
      App first = new App(List.of("--demo"));
      first.start();
      // lists and days as a first look keeps them
      JsonObject shelf = first.asked(HttpRequest.newBuilder(), "api/shelf");
      List<String> jobs =
          shelf.getAsJsonArray("jobs").asList().stream()
              .map(j -> j.getAsJsonObject().get("id").getAsString())
              .toList();
      // all are asked for before one is waited for
      jobs.forEach(first::studied);
      jobs.forEach(first::study);
      first.stop();
      madeUp = first.data;
    }
    return madeUp;
  }

  /** Has all that takes a closer look at a job's shape worked out. */
  void study(String job) {
    Instant late = Instant.now().plus(Duration.ofMinutes(5));
    String state = studied(job);
    while (!state.equals("READY")) {
      if (!Set.of("WORKING", "OPEN").contains(state) || Instant.now().isAfter(late)) {
        throw new AssertionError("The study of " + job + " is " + state);
      }
      LockSupport.parkNanos(200_000_000);
      state = studied(job);
    }
  }

  private String studied(String job) {
    HttpRequest.Builder post = HttpRequest.newBuilder().POST(BodyPublishers.noBody());
    return asked(post, "api/jobs/" + job + "/study")
        .getAsJsonObject("work")
        .get("state")
        .getAsString();
  }

  private JsonObject asked(HttpRequest.Builder request, String path) {
    try {
      return JsonParser.parseString(
              HTTP.send(request.uri(URI.create(url(path))).build(), BodyHandlers.ofString()).body())
          .getAsJsonObject();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      throw new AssertionError(e);
    }
  }

  /** With nothing in it. */
  static App empty() throws IOException {
    App app = new App(List.of());
    app.start();
    return app;
  }

  /** With what a backup holds, put into an empty folder by the command. */
  static App restored(Path backup) throws IOException, InterruptedException {
    App app = new App(List.of());
    Process restore =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-jar",
                System.getProperty("ungula.jar"),
                "restore",
                backup.toString(),
                "--data",
                app.data.toString())
            .redirectErrorStream(true)
            .start();
    String said = ended(restore);
    if (!said.startsWith("0 ")) {
      throw new IOException("It was not restored: " + said);
    }
    app.start();
    return app;
  }

  /** Deletes what {@link #demo()} keeps to be copied. */
  static synchronized void forget() throws IOException {
    if (madeUp != null) {
      delete(madeUp);
      madeUp = null;
    }
  }

  private static void copy(Path from, Path to) throws IOException {
    try (var files = Files.walk(from)) {
      for (Path f : files.filter(Files::isRegularFile).toList()) {
        Path target = to.resolve(from.relativize(f));
        Files.createDirectories(target.getParent());
        Files.copy(f, target);
      }
    }
  }

  void start() throws IOException {
    start(List.of());
  }

  /** Starts again, at another time of its clock. */
  void startAt(String time) throws IOException {
    start(List.of("-Dungula.clock=" + time));
  }

  private void start(List<String> jvm) throws IOException {
    process = launch(data, options, jvm, port);
    BufferedReader out = process.inputReader();
    List<String> said = new ArrayList<>();
    for (String line = out.readLine(); line != null; line = out.readLine()) {
      said.add(line);
      Matcher ready = READY.matcher(line);
      if (ready.find()) {
        address = ready.group(1);
        port = address.replaceAll(".*:(\\d+)/", "$1");
        drain(out);
        return;
      }
    }
    throw new IOException("Ungula did not start: " + said);
  }

  private static Process launch(Path data, List<String> more) throws IOException {
    return launch(data, more, List.of(), "0");
  }

  private static Process launch(Path data, List<String> more, List<String> jvm, String port)
      throws IOException {
    List<String> command = new ArrayList<>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    command.add("-Xmx1g");
    command.add("-Xlog:disable");
    command.addAll(List.of(System.getProperty("ungula.jvm").split(" ")));
    command.addAll(jvm);
    if (!more.contains("--demo")) {
      // with little to compute, compiling twice costs more than it brings
      command.add("-XX:TieredStopAtLevel=1");
    }
    command.addAll(List.of("-jar", System.getProperty("ungula.jar"), "serve"));
    command.addAll(List.of("--port", port, "--data", data.toString()));
    command.addAll(more);
    return new ProcessBuilder(command).redirectErrorStream(true).start();
  }

  /** Keeps reading, so that the process never waits for its output to be taken. */
  private static void drain(BufferedReader out) {
    Thread reader =
        new Thread(
            () -> {
              try {
                for (String line = out.readLine(); line != null; line = out.readLine()) {
                  System.out.println("ungula: " + line);
                }
              } catch (IOException closed) {
                // the process is gone
              }
            });
    reader.setDaemon(true);
    reader.start();
  }

  String url(String path) {
    return address + path;
  }

  /** Ends the process at once, as a power cut would. */
  void kill() throws InterruptedException {
    process.destroyForcibly().waitFor();
  }

  /** What a second start on the same data says, and with what status it ends. */
  String startAgain() throws IOException, InterruptedException {
    return ended(launch(data, options));
  }

  /** The same of a start on new data that is to be open to the network, with no passphrase set. */
  static String startOpen() throws IOException, InterruptedException {
    Path fresh = Files.createTempDirectory("ungula-e2e");
    try {
      return ended(launch(fresh, List.of("--host", "0.0.0.0")));
    } finally {
      delete(fresh);
    }
  }

  private static String ended(Process process) throws IOException, InterruptedException {
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    return process.waitFor() + " " + said;
  }

  @Override
  public void close() throws IOException {
    stop();
    delete(data);
  }

  private void stop() {
    try {
      process.destroy();
      process.waitFor();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private static void delete(Path folder) throws IOException {
    try (var files = Files.walk(folder)) {
      for (Path f : files.sorted(Comparator.reverseOrder()).toList()) {
        Files.delete(f);
      }
    }
  }
}
