package ungula.server;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.concurrent.locks.LockSupport;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.sql.DataSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import ungula.core.demo.HarbourShapes;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mesh.io.StlWriter;
import ungula.server.access.Hosts;
import ungula.server.access.Passphrase;

/** A real server with a real database in a folder of its own, and a plain client for it. */
final class Running implements AutoCloseable {

  /** As coarse as those the application makes in tests. */
  static final HarbourShapes HARBOUR =
      new HarbourShapes(Double.parseDouble(System.getProperty("ungula.detail", "1")));

  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final String LOOPBACK = "127.0.0.1";
  private static final Duration PATIENCE = Duration.ofSeconds(180);

  private final boolean demo;
  private final String host;
  private final Path data;
  private final HttpClient http = HttpClient.newHttpClient();
  private Serving serving;

  /** On new data. */
  Running() throws Exception {
    this(false);
  }

  /**
   * @param demo whether the made-up shelf is put up, which takes seconds
   */
  Running(boolean demo) throws Exception {
    this.demo = demo;
    host = LOOPBACK;
    data = Files.createTempDirectory("ungula-server");
    start();
  }

  /** On data kept earlier, a zipped folder among the test's resources; works on a copy. */
  Running(String kept) throws Exception {
    demo = false;
    host = LOOPBACK;
    data = Files.createTempDirectory("ungula-server");
    try (ZipInputStream zip =
        new ZipInputStream(Running.class.getResourceAsStream("/kept/" + kept + ".zip"))) {
      for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
        Path file = data.resolve(e.getName()).normalize();
        Files.createDirectories(file.getParent());
        Files.copy(zip, file);
      }
    }
    start();
  }

  /** On new data, open to others on the network who know the passphrase. */
  static Running open(String passphrase) throws Exception {
    Path data = Files.createTempDirectory("ungula-server");
    Passphrase.set(data, passphrase);
    return new Running(data, "0.0.0.0");
  }

  private Running(Path data, String host) throws Exception {
    this.demo = false;
    this.host = host;
    this.data = data;
    start();
  }

  private void start() throws Exception {
    DataFolder folder = DataFolder.claim(data);
    serving = new Serving(folder, host, "0", demo, Hosts.of(host), Passphrase.in(data));
  }

  /** On a folder as it is. */
  static Running on(Path data) throws Exception {
    return new Running(data, LOOPBACK);
  }

  void restart() throws Exception {
    serving.close();
    start();
  }

  /** Changes the data behind the server's back, as a damaged disk or another version would. */
  void sql(String statement) throws Exception {
    try (Connection connection = serving.context().getBean(DataSource.class).getConnection();
        Statement s = connection.createStatement()) {
      s.executeUpdate(statement);
    }
  }

  Path data() {
    return data;
  }

  record Answer(int status, JsonNode body, byte[] raw, java.net.http.HttpHeaders headers) {

    String text() {
      return new String(raw, StandardCharsets.UTF_8);
    }
  }

  int port() {
    return serving.port();
  }

  private URI uri(String path) {
    return URI.create("http://127.0.0.1:" + port() + path);
  }

  private Answer send(HttpRequest.Builder request) throws Exception {
    HttpResponse<byte[]> r = http.send(request.build(), BodyHandlers.ofByteArray());
    String type = r.headers().firstValue("content-type").orElse("");
    JsonNode body = type.contains("json") ? JSON.readTree(r.body()) : null;
    return new Answer(r.statusCode(), body, r.body(), r.headers());
  }

  Answer get(String path) throws Exception {
    return send(HttpRequest.newBuilder(uri(path)));
  }

  /** Of what a browser holds already under a tag. */
  Answer get(String path, String tag) throws Exception {
    return send(HttpRequest.newBuilder(uri(path)).header("If-None-Match", tag));
  }

  Answer delete(String path) throws Exception {
    return send(HttpRequest.newBuilder(uri(path)).DELETE());
  }

  Answer post(String path, String json) throws Exception {
    return send(
        HttpRequest.newBuilder(uri(path))
            .header("Content-Type", "application/json")
            .POST(BodyPublishers.ofString(json)));
  }

  Answer postFile(String path, byte[] content) throws Exception {
    return send(
        HttpRequest.newBuilder(uri(path))
            .header("Content-Type", "application/octet-stream")
            .POST(BodyPublishers.ofByteArray(content)));
  }

  String addJob() throws Exception {
    return post("/api/jobs", "{}").body().get("id").asString();
  }

  JsonNode job(String id) throws Exception {
    return get("/api/jobs/" + id).body();
  }

  /** Writes one word on the version the job has now. */
  Answer write(String id, String word, String text) throws Exception {
    return write(id, job(id).get("version").asInt(), word, text);
  }

  Answer write(String id, int version, String word, String text) throws Exception {
    return post("/api/jobs/" + id + "/edits", edits(version, word, text));
  }

  static String edits(int version, String word, String text) {
    return JSON.writeValueAsString(
        java.util.Map.of(
            "version",
            version,
            "edits",
            new Object[] {java.util.Map.of("word", word, "text", text)}));
  }

  /** Uploads a model and waits until it is read. @return the finished task */
  JsonNode upload(String id, String name, byte[] content) throws Exception {
    return upload(id, "model", name, content);
  }

  /** The same beside the model there is. */
  JsonNode uploadBeside(String id, String name, byte[] content) throws Exception {
    return upload(id, "model/beside", name, content);
  }

  private JsonNode upload(String id, String to, String name, byte[] content) throws Exception {
    Answer first =
        send(
            HttpRequest.newBuilder(
                    uri(
                        "/api/jobs/"
                            + id
                            + "/"
                            + to
                            + "?name="
                            + URLEncoder.encode(name, StandardCharsets.UTF_8)))
                .header("Content-Type", "application/octet-stream")
                .POST(BodyPublishers.ofByteArray(content)));
    return done(first.body());
  }

  /** Waits for work in the background. @return the finished task */
  JsonNode done(JsonNode begun) throws Exception {
    JsonNode task = begun;
    Instant late = Instant.now().plus(PATIENCE);
    while (task.get("state").asString().equals("RUNNING")) {
      if (Instant.now().isAfter(late)) {
        throw new AssertionError("Still running: " + task);
      }
      lookLater();
      task = get("/api/tasks/" + task.get("id").asString()).body();
    }
    return task;
  }

  /** Leaves the machine to what is waited for until the next look at it. */
  static void lookLater() {
    LockSupport.parkNanos(60_000_000);
  }

  /** A job's entry on the shelf. */
  JsonNode onShelf(String id) throws Exception {
    for (JsonNode entry : get("/api/shelf").body().get("jobs")) {
      if (entry.get("id").asString().equals(id)) {
        return entry;
      }
    }
    throw new AssertionError("not on the shelf");
  }

  /** Value of a job's figure. */
  static double value(JsonNode job, String figure) {
    return job.get("figures").get(figure).get("value").asDouble();
  }

  /** A job's caution as it comes; empty when there is none. */
  static String caution(JsonNode job, String id) {
    for (JsonNode c : job.get("cautions")) {
      if (c.get("id").asString().equals(id)) {
        return c.toString();
      }
    }
    return "";
  }

  /** Has a job's shape studied, and waits until all of it is known. */
  JsonNode studied(String id) throws Exception {
    Instant late = Instant.now().plus(Duration.ofSeconds(300));
    while (true) {
      JsonNode s = post("/api/jobs/" + id + "/study", "").body();
      String state = s.get("work").get("state").asString();
      if (state.equals("READY")) {
        return s;
      }
      // between one question and the next nobody has asked yet: the next look asks
      boolean going = state.equals("WORKING") || state.equals("OPEN");
      if (!going || Instant.now().isAfter(late)) {
        throw new AssertionError("Not studied: " + s);
      }
      lookLater();
    }
  }

  static byte[] stl(TriangleMesh mesh) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    StlWriter.write(mesh, out);
    return out.toByteArray();
  }

  @Override
  public void close() throws IOException {
    serving.close();
    try (var files = Files.walk(data)) {
      for (Path f : files.sorted(Comparator.reverseOrder()).toList()) {
        Files.delete(f);
      }
    }
  }
}
