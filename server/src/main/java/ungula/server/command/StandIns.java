package ungula.server.command;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.PrintStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Semaphore;
import ungula.core.device.Reading;
import ungula.core.device.StandIn;
import ungula.core.device.StandInGauge;
import ungula.core.device.StandInRoom;
import ungula.core.device.StandInScale;

/**
 * {@code stand-in KIND --port N}: a device's stand-in that says its lines over TCP to whoever
 * connects from this computer, and is worked by what is typed.
 */
public final class StandIns implements AutoCloseable {

  private static final String USAGE = "stand-in scale|gauge|room --port N [--seed N]";

  /** More at once are turned away. */
  private static final int MOST_CONNECTIONS = 16;

  private final StandIn device;
  private final ServerSocket door;
  private final Semaphore places = new Semaphore(MOST_CONNECTIONS);
  private long lastNanos = System.nanoTime();

  private StandIns(StandIn device, int port) throws IOException {
    this.device = device;
    this.door = new ServerSocket(port, MOST_CONNECTIONS, InetAddress.getLoopbackAddress());
    background("stand-in", this::open);
  }

  /**
   * @param in what a hand does to it, a line each
   * @return exit status: 0 when it is stopped, 2 for bad arguments, 5 when the port is taken
   */
  public static int run(List<String> args, InputStream in, PrintStream out, PrintStream err) {
    try {
      Arguments a = Arguments.of(args, Set.of(), Set.of("--port", "--seed"));
      if (a.files().size() != 1) {
        throw new Arguments.Unclear("One device is stood in for at a time.");
      }
      String kind = a.files().get(0);
      int port = (int) whole(a.value("--port", ""), "--port", 65_535);
      try (StandIns s =
          new StandIns(device(kind, whole(a.value("--seed", "1"), "--seed", 1e9)), port)) {
        out.println("A " + kind + " stands in at 127.0.0.1:" + s.port() + ".");
        BufferedReader typed =
            new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8));
        for (String deed = typed.readLine(); deed != null; deed = typed.readLine()) {
          out.println(s.hand(deed));
        }
        // with nobody to work it, it goes on saying what it shows
        new CountDownLatch(1).await();
      }
      return 0;
    } catch (InterruptedException stopped) {
      return 0;
    } catch (Arguments.Unclear e) {
      err.println(e.getMessage() + " The command is: " + USAGE);
      return 2;
    } catch (IOException e) {
      err.println("The port cannot be opened: " + e.getMessage() + ". Give another with --port.");
      return 5;
    }
  }

  private static long whole(String text, String option, double most) throws Arguments.Unclear {
    if (!text.matches("\\d{1,10}") || Long.parseLong(text) > most) {
      throw new Arguments.Unclear(option + " is a whole number.");
    }
    return Long.parseLong(text);
  }

  private static StandIn device(String kind, long seed) throws Arguments.Unclear {
    return switch (kind) {
      case "scale" -> StandInScale.usual(seed);
      case "gauge" -> StandInGauge.usual(seed);
      case "room" -> StandInRoom.usual(seed);
      default -> throw new Arguments.Unclear("There is no stand-in for “" + kind + "”.");
    };
  }

  private int port() {
    return door.getLocalPort();
  }

  private static void background(String name, Runnable task) {
    Thread t = new Thread(task, name);
    t.setDaemon(true);
    t.start();
  }

  /** Lets as much time pass as has. */
  private void now() {
    long nanos = System.nanoTime();
    device.pass((nanos - lastNanos) / 1e9);
    lastNanos = nanos;
  }

  private synchronized String hand(String deed) {
    now();
    return device.hand(deed);
  }

  private synchronized String line() {
    now();
    return device.line();
  }

  private synchronized String hear(String command) {
    now();
    return device.hear(command);
  }

  private void open() {
    while (!door.isClosed()) {
      try {
        Socket one = door.accept();
        if (places.tryAcquire()) {
          background("stand-in says", () -> says(one));
          background("stand-in hears", () -> hears(one));
        } else {
          one.close();
        }
      } catch (IOException e) {
        // it was closed, or whoever asked is gone already
      }
    }
  }

  private static void send(Socket to, String line) throws IOException {
    OutputStream out = to.getOutputStream();
    synchronized (to) {
      out.write((line + "\r\n").getBytes(StandardCharsets.US_ASCII));
      out.flush();
    }
  }

  private void says(Socket to) {
    try (to) {
      while (!door.isClosed()) {
        String line = line();
        if (!line.isEmpty()) {
          send(to, line);
        }
        Thread.sleep(Math.round(1000 * device.everySeconds()));
      }
    } catch (IOException gone) {
      // nobody listens any more
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } finally {
      places.release();
    }
  }

  /** Commands are lines of a device's length; whoever sends longer ones is not listened to. */
  private void hears(Socket from) {
    try {
      InputStream in = from.getInputStream();
      StringBuilder command = new StringBuilder();
      for (int c = in.read(); c >= 0 && command.length() <= Reading.MOST_BYTES; c = in.read()) {
        if (c != '\n') {
          command.append((char) c);
          continue;
        }
        String answer = hear(command.toString());
        command.setLength(0);
        if (!answer.isEmpty()) {
          send(from, answer);
        }
      }
    } catch (IOException gone) {
      // as above
    }
  }

  @Override
  public void close() throws IOException {
    door.close();
  }
}
