package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.testng.annotations.Test;
import ungula.core.master.Tessellation;

/** What is read is seen at once, and many records do not slow it. */
public class RunSpeedTest extends OnServer {

  private String begun() throws Exception {
    String job = server.addJob();
    server.upload(job, "block.stl", Running.stl(Tessellation.box(80, 55, 42)));
    server.write(job, "rubber.product", "marram-20");
    return server.post("/api/jobs/" + job + "/runs", "").body().get("id").asString();
  }

  /** A screen that notes when it hears what. */
  private final class Screen extends Thread {
    final Map<String, Long> heard = new ConcurrentHashMap<>();
    private final String run;
    private final CountDownLatch open;

    Screen(String run, CountDownLatch open) {
      this.run = run;
      this.open = open;
      setDaemon(true);
    }

    @Override
    public void run() {
      URI live = URI.create("http://127.0.0.1:" + server.port() + "/api/runs/" + run + "/live");
      try (BufferedReader in =
          new BufferedReader(
              new InputStreamReader(live.toURL().openStream(), StandardCharsets.UTF_8))) {
        for (String line = in.readLine(); line != null; line = in.readLine()) {
          long at = System.nanoTime();
          int from = line.indexOf("\"scale\":\"");
          if (from >= 0) {
            String scale = line.substring(from + 9, line.indexOf('"', from + 9));
            heard.putIfAbsent(scale, at);
            open.countDown();
          }
        }
      } catch (IOException gone) {
        // the server is closed
      }
    }
  }

  private static void say(OutputStream out, String line) throws IOException {
    out.write((line + "\n").getBytes(StandardCharsets.US_ASCII));
    out.flush();
  }

  /** So often the machine may be busy with other things. */
  private static final int ATTEMPTS = 3;

  @Test
  public void aReadingIsOnFiveScreensWithinAFifthOfASecond() throws Exception {
    long best = Long.MAX_VALUE;
    for (int i = 0; i < ATTEMPTS && best >= 200; i++) {
      best = Math.min(best, medianMs(begun()));
    }
    assertTrue(best < 200, "median " + best + " ms");
  }

  private long medianMs(String run) throws Exception {
    List<ServerSocket> doors = new ArrayList<>();
    List<OutputStream> devices = new ArrayList<>();
    for (String kind : List.of("SCALE", "GAUGE", "ROOM")) {
      ServerSocket door = new ServerSocket(0, 1, InetAddress.getLoopbackAddress());
      doors.add(door);
      server.post(
          "/api/devices",
          "{\"kind\": \"" + kind + "\", \"address\": \"127.0.0.1:" + door.getLocalPort() + "\"}");
      Socket device = door.accept();
      device.setTcpNoDelay(true);
      devices.add(device.getOutputStream());
    }
    CountDownLatch open = new CountDownLatch(5);
    List<Screen> screens = new ArrayList<>();
    for (int i = 0; i < 5; i++) {
      Screen s = new Screen(run, open);
      screens.add(s);
      s.start();
    }
    assertTrue(open.await(60, TimeUnit.SECONDS));
    Map<String, Long> said = new ConcurrentHashMap<>();
    CountDownLatch tick = new CountDownLatch(1);
    for (int i = 1; i <= 40; i++) {
      said.put(i + ".0 g", System.nanoTime());
      say(devices.get(0), "D +  " + i + ".0 g");
      say(devices.get(1), "P 5." + i % 10 + " kPa abs");
      say(devices.get(2), "R 21." + i % 10 + " C 55 %");
      // ten a second
      assertTrue(!tick.await(100, TimeUnit.MILLISECONDS));
    }
    List<Long> took = new ArrayList<>();
    for (Screen s : screens) {
      said.forEach(
          (text, at) -> {
            Long heard = s.heard.get(text);
            if (heard != null) {
              took.add((heard - at) / 1_000_000);
            }
          });
    }
    Collections.sort(took);
    // a newer reading may take the place of one that was not sent yet
    assertTrue(took.size() > 150, took.size() + " of 200 were seen");
    for (ServerSocket door : doors) {
      door.close();
    }
    for (var device : server.get("/api/devices").body()) {
      server.delete("/api/devices/" + device.get("id").asString());
    }
    return took.get(took.size() / 2);
  }

  @Test
  public void fiftyThousandRecordsDoNotSlowTheBench() throws Exception {
    String job = server.addJob();
    server.upload(job, "block.stl", Running.stl(Tessellation.box(80, 55, 42)));
    server.write(job, "rubber.product", "marram-20");
    List<String> runs = new ArrayList<>();
    for (int i = 0; i < 50; i++) {
      String run = server.post("/api/jobs/" + job + "/runs", "").body().get("id").asString();
      runs.add(run);
      server.sql(
          "INSERT INTO run_entry (run_id, number, act, who, entry)"
              + " SELECT '"
              + run
              + "', X, NULL, 'MB', '{\"kind\":\"tare\",\"at\":\"2027-03-01T07:00:00Z\"}'"
              + " FROM SYSTEM_RANGE(1, 1000)");
    }
    // each is read from what is kept
    server.restart();
    long best = Long.MAX_VALUE;
    for (String run : runs.subList(0, 10)) {
      long from = System.nanoTime();
      assertEquals(server.get("/api/jobs/" + job + "/runs").body().size(), 50);
      assertEquals(server.get("/api/runs/" + run).body().get("entries").size(), 1000);
      best = Math.min(best, (System.nanoTime() - from) / 1_000_000);
    }
    assertTrue(best < 300, best + " ms");
  }
}
