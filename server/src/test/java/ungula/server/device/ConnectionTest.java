package ungula.server.device;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import org.testng.annotations.Test;
import ungula.core.device.DeviceKind;
import ungula.core.device.Reading;
import ungula.core.device.StandInScale;

/** Whatever comes over a line, what is heard of it is what a device says. */
public class ConnectionTest {

  private static final class Heard implements Connection.Ear {
    final List<Reading> readings = new CopyOnWriteArrayList<>();
    final List<Instant> lost = new CopyOnWriteArrayList<>();

    @Override
    public void heard(Connection of, Instant at, Reading reading) {
      readings.add(reading);
    }

    @Override
    public void lost(Connection of, Instant at) {
      lost.add(at);
    }
  }

  private static ServerSocket door(int port) throws IOException {
    return new ServerSocket(port, 4, InetAddress.getLoopbackAddress());
  }

  private static Connection to(int port, Heard heard) {
    Connection c = new Connection(DeviceKind.SCALE, "127.0.0.1", port, Clock.systemUTC(), heard);
    c.begin();
    return c;
  }

  private static void await(BooleanSupplier what) {
    Instant late = Instant.now().plus(Duration.ofSeconds(60));
    while (!what.getAsBoolean()) {
      assertTrue(Instant.now().isBefore(late), "not yet");
      LockSupport.parkNanos(5_000_000);
    }
  }

  private static void say(OutputStream out, String text) throws IOException {
    out.write(text.getBytes(StandardCharsets.ISO_8859_1));
    out.flush();
  }

  private static List<String> lines(byte[] bytes) throws IOException {
    DeviceLines in = new DeviceLines(new ByteArrayInputStream(bytes));
    List<String> all = new ArrayList<>();
    for (String l = in.next(); l != null; l = in.next()) {
      all.add(l);
    }
    return all;
  }

  @Test
  public void aLineIsALineWhateverEndsIt() throws Exception {
    String said = "S +  1.0 g\r\nD +  2.0 g\n\r\n" + "x".repeat(65) + "\n" + "y".repeat(64) + "\nS";
    assertEquals(
        lines(said.getBytes(StandardCharsets.US_ASCII)),
        List.of("S +  1.0 g", "D +  2.0 g", "", "", "y".repeat(64), ""));
    assertEquals(lines("S + 1\u0007 g\n".getBytes(StandardCharsets.US_ASCII)), List.of(""));
    // after an endless line the next is heard
    byte[] endless = ("z".repeat(3_000_000) + "\nS +  3.0 g\n").getBytes(StandardCharsets.US_ASCII);
    List<String> after = lines(endless);
    assertEquals(after.get(after.size() - 1), "S +  3.0 g");
    assertTrue(after.size() < 8, after.size() + "");
  }

  @Test
  public void anyBytesAreLinesOfAtMostADevicesLength() throws Exception {
    for (int seed = 0; seed < 200; seed++) {
      Random r = new Random(seed);
      byte[] any = new byte[r.nextInt(5_000)];
      r.nextBytes(any);
      for (String line : lines(any)) {
        assertTrue(line.length() <= Reading.MOST_BYTES);
      }
    }
  }

  @Test
  public void noiseNeitherBlocksNorGrows() throws Exception {
    Heard heard = new Heard();
    try (ServerSocket door = door(0);
        Connection c = to(door.getLocalPort(), heard);
        Socket device = door.accept()) {
      OutputStream out = device.getOutputStream();
      byte[] noise = new byte[200_000];
      new Random(1).nextBytes(noise);
      out.write(noise);
      say(out, "\nS +  10.0 g\n");
      await(() -> !heard.readings.isEmpty());
      // ten thousand a second: only so many are taken
      for (int i = 0; i < 20_000; i++) {
        say(out, "D +  11.0 g\n");
      }
      await(() -> c.health().ignored() > 10_000);
      assertTrue(heard.readings.size() < 5_000, heard.readings.size() + "");
      await(
          () -> {
            try {
              say(out, "S +  12.0 g\n");
            } catch (IOException e) {
              throw new AssertionError(e);
            }
            return c.health().reading() instanceof Reading.Weight w && w.grams() == 12;
          });
      assertTrue(c.health().heard());
    }
  }

  @Test
  public void whatSaysNothingIsNotHeardUntilItDoes() throws Exception {
    Heard heard = new Heard();
    try (ServerSocket door = door(0);
        Connection c = to(door.getLocalPort(), heard);
        Socket device = door.accept()) {
      say(device.getOutputStream(), "S +  10.0 g\n");
      await(() -> c.health().heard());
      await(() -> heard.lost.size() == 1);
      assertEquals(c.health().trouble(), "It is connected, and says nothing.");
      say(device.getOutputStream(), "S +  11.0 g\n");
      await(() -> c.health().heard());
      assertEquals(c.health().trouble(), "");
    }
  }

  @Test
  public void itIsFoundAgainWhereItWas() throws Exception {
    Heard heard = new Heard();
    ServerSocket door = door(0);
    try (Connection c = to(door.getLocalPort(), heard)) {
      Socket first = door.accept();
      say(first.getOutputStream(), "S +  10.0 g\n");
      await(() -> c.health().heard());
      first.close();
      door.close();
      await(() -> heard.lost.size() == 1);
      await(() -> c.health().trouble().startsWith("Nothing answers"));
      try (ServerSocket again = door(door.getLocalPort());
          Socket second = again.accept()) {
        say(second.getOutputStream(), "S +  20.0 g\n");
        await(() -> c.health().heard());
        assertEquals(heard.readings.size(), 2);
      }
    }
  }

  @Test
  public void aScaleIsSetToNothingWhenItIsStill() throws Exception {
    Heard heard = new Heard();
    try (StandInDoor door = new StandInDoor(StandInScale.usual(3), 0);
        Connection c = to(door.port(), heard)) {
      await(() -> c.health().heard());
      door.hand("pour 20");
      await(() -> c.health().reading() instanceof Reading.Weight w && w.grams() > 1);
      assertFalse(c.tare().orElseThrow(), "it moves");
      door.hand("stop");
      await(() -> c.health().reading() instanceof Reading.Weight w && w.settled());
      assertTrue(c.tare().orElseThrow());
      await(() -> c.health().reading() instanceof Reading.Weight w && Math.abs(w.grams()) < 0.3);
      door.hand("lose 60");
      await(() -> !c.health().heard());
      assertTrue(c.tare().isEmpty());
    }
  }

  private static Connection.Once once(String said) throws Exception {
    try (ServerSocket door = door(0)) {
      Thread says =
          new Thread(
              () -> {
                try (Socket to = door.accept()) {
                  say(to.getOutputStream(), said);
                } catch (IOException gone) {
                  // nobody came
                }
              });
      says.start();
      Connection.Once heard = Connection.once(DeviceKind.SCALE, "127.0.0.1", door.getLocalPort());
      says.join();
      return heard;
    }
  }

  @Test
  public void askedOnceItSaysWhatCame() throws Exception {
    Connection.Once heard = once("hello\nS +  12.5 g\nS +  13.5 g\n");
    assertEquals(heard.line(), "S +  12.5 g");
    assertEquals(heard.reading(), new Reading.Weight(true, 12.5, 0.1));
    assertEquals(heard.trouble(), "");
    assertEquals(
        once("P 5.2 kPa abs\n").trouble(), "It closed the connection.", "a gauge is no scale");
    assertEquals(once("P 5.2 kPa abs\n").line(), "P 5.2 kPa abs");
    assertEquals(
        once("R 21.4 C 55 %\n".repeat(30)).trouble(), "It sends lines that no scale sends.");
    int free;
    try (ServerSocket door = door(0)) {
      free = door.getLocalPort();
    }
    assertTrue(
        Connection.once(DeviceKind.SCALE, "127.0.0.1", free)
            .trouble()
            .startsWith("Nothing answers"));
  }

  /** What hears a reading writes it down; a thread interrupted there would close the database. */
  @Test
  public void closedWhileItIsHeardItInterruptsNobody() throws Exception {
    CountDownLatch hears = new CountDownLatch(1);
    CountDownLatch closed = new CountDownLatch(1);
    CompletableFuture<Boolean> interrupted = new CompletableFuture<>();
    Connection.Ear ear =
        new Connection.Ear() {
          @Override
          public void heard(Connection of, Instant at, Reading reading) {
            hears.countDown();
            try {
              closed.await();
              interrupted.complete(Thread.currentThread().isInterrupted());
            } catch (InterruptedException e) {
              interrupted.complete(true);
            }
          }

          @Override
          public void lost(Connection of, Instant at) {
            // it is closed
          }
        };
    try (ServerSocket door = door(0)) {
      Connection c =
          new Connection(
              DeviceKind.SCALE, "127.0.0.1", door.getLocalPort(), Clock.systemUTC(), ear);
      c.begin();
      try (Socket s = door.accept()) {
        say(s.getOutputStream(), "S + 12.0 g\r\n");
        hears.await();
        c.close();
        closed.countDown();
        assertFalse(interrupted.get(60, TimeUnit.SECONDS));
      }
    }
  }
}
