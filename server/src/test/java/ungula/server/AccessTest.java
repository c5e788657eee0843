package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import org.testng.SkipException;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.server.access.Hosts;
import ungula.server.access.Passphrase;

/** Who reaches what: names, origins, sizes, and the passphrase of others on the network. */
public class AccessTest extends OnServer {

  /** What a plain program sends, header by header. @return the answer's head and body */
  private String raw(String host, String request, String... headers) throws IOException {
    try (Socket socket = new Socket("127.0.0.1", server.port())) {
      StringBuilder sent = new StringBuilder(request + " HTTP/1.1\r\nHost: " + host + "\r\n");
      for (String h : headers) {
        sent.append(h).append("\r\n");
      }
      sent.append("Connection: close\r\n\r\n");
      socket.getOutputStream().write(sent.toString().getBytes(StandardCharsets.UTF_8));
      socket.getOutputStream().flush();
      return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  private static int status(String answer) {
    return Integer.parseInt(answer.split(" ", 3)[1]);
  }

  private String own() {
    return "127.0.0.1:" + server.port();
  }

  @Test
  public void onlyTheNamesOfThisMachineAreAnswered() throws Exception {
    for (String name : new String[] {"127.0.0.1", "localhost", "LOCALHOST", "[::1]"}) {
      assertEquals(status(raw(name + ":" + server.port(), "GET /api/shelf")), 200, name);
    }
    for (String name : new String[] {"rebound.example", "127.0.0.1.rebound.example", "192.0.2.7"}) {
      for (String path : new String[] {"GET /api/shelf", "GET /", "POST /api/jobs"}) {
        String answer = raw(name + ":" + server.port(), path, "Content-Length: 0");
        assertEquals(status(answer), 400, name);
        assertTrue(answer.contains("does not answer to this name"), answer);
      }
    }
  }

  @Test
  public void anAddressThatIsNotAllowedIsToldApartFromAName() throws Exception {
    String answer = raw(own(), "GET /api/shelf;x=1");
    assertEquals(status(answer), 400);
    assertTrue(answer.contains("characters that are not allowed"), answer);
  }

  @DataProvider
  public Object[][] origins() {
    return new Object[][] {
      {"Origin: http://elsewhere.example", 403},
      {"Origin: null", 403},
      {"Origin: http://127.0.0.1:1", 403},
      {"Origin: https://" + "OWN", 403},
      {"Origin: http://OWN", 200},
      {"Sec-Fetch-Site: cross-site", 403},
      {"Sec-Fetch-Site: same-site", 403},
      {"Sec-Fetch-Site: same-origin", 200},
      {"Accept: */*", 200},
    };
  }

  /** A form on another site once retired a product: no body, no header of its own. */
  @Test(dataProvider = "origins")
  public void changesComeFromThisPageOrFromAProgram(String header, int status) throws Exception {
    String id = "dulse-30";
    boolean retired = server.get("/api/products").body().toString().contains("\"retired\":true");
    assertFalse(retired);
    String answer =
        raw(
            own(),
            "POST /api/products/" + id + "/retired?retired=true",
            header.replace("OWN", own()),
            "Content-Length: 0");
    assertEquals(status(answer), status, answer);
    assertEquals(
        server.get("/api/products").body().toString().contains("\"retired\":true"), status == 200);
    server.post("/api/products/" + id + "/retired?retired=false", "");
  }

  @Test
  public void everyAnswerKeepsTheBrowserWithinThisSite() throws Exception {
    for (String path : new String[] {"/", "/api/shelf", "/jobs/any/mould"}) {
      String head = raw(own(), "GET " + path).split("\r\n\r\n")[0].toLowerCase(Locale.ROOT);
      for (String header :
          List.of(
              "content-security-policy: default-src 'self'; img-src 'self' data: blob:;",
              "frame-ancestors 'none'",
              "x-content-type-options: nosniff",
              "x-frame-options: deny",
              "referrer-policy: same-origin",
              "cross-origin-resource-policy: same-origin")) {
        assertTrue(head.contains(header), header + " of " + path + ": " + head);
      }
    }
  }

  @Test
  public void whatIsAskedIsShort() throws Exception {
    String body = "{\"text\":\"" + "x".repeat((2 << 20) - 20) + "\"}";
    assertEquals(server.post("/api/products/imported", body).status(), 422, "just under 2 MB");
    String longer = "{\"text\":\"" + "x".repeat(2 << 20) + "\"}";
    assertEquals(server.post("/api/products/imported", longer).status(), 413);
    // and without saying how long it is
    HttpResponse<String> chunked =
        HttpClient.newHttpClient()
            .send(
                HttpRequest.newBuilder(URI.create("http://" + own() + "/api/products/imported"))
                    .header("Content-Type", "application/json")
                    .POST(
                        BodyPublishers.fromPublisher(
                            BodyPublishers.ofByteArray(longer.getBytes(StandardCharsets.UTF_8))))
                    .build(),
                BodyHandlers.ofString());
    assertEquals(chunked.statusCode(), 413, chunked.body());
  }

  @Test
  public void aModelMayBeLonger() throws Exception {
    String id = server.addJob();
    String letter = "This is no model. ".repeat(200_000);
    assertEquals(
        server
            .upload(id, "letter.stl", letter.getBytes(StandardCharsets.UTF_8))
            .get("problem")
            .asString()
            .contains("not a model"),
        true);
  }

  @Test
  public void aPassphraseIsKeptHashedAndFit() throws Exception {
    Path data = Files.createTempDirectory("ungula-passphrase");
    try {
      assertTrue(Passphrase.in(data).isEmpty());
      expectThrows(IllegalArgumentException.class, () -> Passphrase.set(data, "tide"));
      expectThrows(IllegalArgumentException.class, () -> Passphrase.set(data, "ü".repeat(37)));
      assertTrue(Passphrase.in(data).isEmpty());
      Passphrase first = Passphrase.set(data, "tide and timber");
      String kept = Files.readString(data.resolve("passphrase"));
      assertFalse(kept.contains("tide"), kept);
      assertEquals(Passphrase.in(data).orElseThrow(), first);
      assertFalse(Passphrase.set(data, "tide and timber").secret().equals(first.secret()));
    } finally {
      Files.deleteIfExists(data.resolve("passphrase"));
      Files.delete(data);
    }
  }

  private static HttpResponse<String> send(String to, HttpRequest.Builder request)
      throws Exception {
    return HttpClient.newHttpClient()
        .send(request.uri(URI.create(to)).build(), BodyHandlers.ofString());
  }

  private static HttpResponse<String> signIn(String at, String initials, String passphrase)
      throws Exception {
    return send(
        at + "/api/sign-in",
        HttpRequest.newBuilder()
            .header("Content-Type", "application/x-www-form-urlencoded")
            .POST(
                BodyPublishers.ofString(
                    "initials=" + initials + "&passphrase=" + passphrase.replace(' ', '+'))));
  }

  /** From an address of this machine that is not the loopback one, as a tablet would. */
  @Test
  public void othersGiveThePassphraseOnceAndStayInOverARestart() throws Exception {
    Hosts hosts = Hosts.of("0.0.0.0");
    if (hosts.addresses().isEmpty()) {
      throw new SkipException("This machine has no address but the loopback one.");
    }
    try (Running open = Running.open("tide and timber")) {
      String tablet = "http://" + hosts.addresses().get(0) + ":" + open.port();
      assertEquals(open.get("/api/shelf").status(), 200, "this computer is free of it");
      HttpResponse<String> closed = send(tablet + "/api/shelf", HttpRequest.newBuilder());
      assertEquals(closed.statusCode(), 401);
      assertTrue(closed.body().contains("passphrase"), closed.body());
      assertEquals(send(tablet + "/sign-in", HttpRequest.newBuilder()).statusCode(), 200);
      assertEquals(signIn(tablet, "HM", "another guess").statusCode(), 401);
      assertEquals(signIn(tablet, "5<x>", "tide and timber").statusCode(), 401);
      HttpResponse<String> in = signIn(tablet, "hm", "tide and timber");
      assertEquals(in.statusCode(), 204, in.body());
      String cookie = in.headers().firstValue("set-cookie").orElseThrow();
      assertTrue(cookie.contains("HttpOnly") && cookie.contains("SameSite=Lax"), cookie);
      String pair = cookie.split(";")[0];
      open.restart();
      String later = "http://" + hosts.addresses().get(0) + ":" + open.port();
      HttpResponse<String> who =
          send(later + "/api/access", HttpRequest.newBuilder().header("Cookie", pair));
      assertEquals(who.body(), "{\"initials\":\"HM\"}");
      assertEquals(
          send(later + "/api/shelf", HttpRequest.newBuilder().header("Cookie", pair + "x"))
              .statusCode(),
          401);
    }
  }

  @Test
  public void whoeverGuessesTooOftenWaits() throws Exception {
    Hosts hosts = Hosts.of("0.0.0.0");
    if (hosts.addresses().isEmpty()) {
      throw new SkipException("This machine has no address but the loopback one.");
    }
    try (Running open = Running.open("tide and timber")) {
      String tablet = "http://" + hosts.addresses().get(0) + ":" + open.port();
      for (int i = 0; i < 5; i++) {
        assertEquals(signIn(tablet, "HM", "guess " + i).statusCode(), 401);
      }
      HttpResponse<String> waits = signIn(tablet, "HM", "tide and timber");
      assertEquals(waits.statusCode(), 429);
      assertEquals(waits.headers().firstValue("retry-after").orElse(""), "300");
    }
  }

  @Test
  public void hostsAreThoseOfThisMachine() throws Exception {
    Hosts alone = Hosts.of("127.0.0.1");
    assertFalse(alone.open());
    assertTrue(alone.answersTo("localhost") && alone.answersTo("[::1]"));
    assertFalse(alone.answersTo("ungula.example"));
    Hosts open = Hosts.of("0.0.0.0");
    assertTrue(open.open());
    assertFalse(open.answersTo("ungula.example"));
    for (String address : open.addresses()) {
      assertTrue(open.answersTo(address), address);
    }
    assertEquals(Hosts.of("localhost").open(), false);
  }
}
