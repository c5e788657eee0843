package ungula.server.device;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.Semaphore;
import ungula.core.device.Reading;
import ungula.core.device.StandIn;

/** Lets a device's stand-in say its lines over TCP to whoever connects from this computer. */
public final class StandInDoor implements AutoCloseable {

  /** More at once are turned away. */
  private static final int MOST_CONNECTIONS = 16;

  private final StandIn device;
  private final ServerSocket door;
  private final Semaphore places = new Semaphore(MOST_CONNECTIONS);
  private long lastNanos = System.nanoTime();

  /**
   * @param port 0 for any that is free
   */
  public StandInDoor(StandIn device, int port) throws IOException {
    this.device = device;
    this.door = new ServerSocket(port, MOST_CONNECTIONS, InetAddress.getLoopbackAddress());
    background("stand-in", this::open);
  }

  public int port() {
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

  /** What a hand does to it; what was done, or what could be. */
  public synchronized String hand(String deed) {
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
