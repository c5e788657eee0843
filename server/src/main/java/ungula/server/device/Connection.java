package ungula.server.device;

import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import ungula.core.device.DeviceKind;
import ungula.core.device.Reading;

/**
 * Listens to one device: connects, and again when it is lost. Whatever comes over the line, it
 * takes no more memory than a line, and no more time than {@link #EVERY} allows.
 */
final class Connection implements AutoCloseable {

  /** So long without a line is not heard. */
  static final Duration SILENT = Duration.ofSeconds(3);

  /** Lines that come closer together are passed over. */
  private static final Duration EVERY = Duration.ofMillis(15);

  private static final Duration CONNECTS = Duration.ofSeconds(2);
  private static final Duration AGAIN = Duration.ofSeconds(1);
  private static final Duration LATER = Duration.ofSeconds(10);

  /** After so many connections that failed it is tried less often. */
  private static final int FAILED = 5;

  private static final Duration ANSWERS = Duration.ofSeconds(2);

  private static final String CLOSED = "It closed the connection.";
  private static final String LOST = "The connection was lost.";
  private static final String SAYS_NOTHING = "It is connected, and says nothing.";

  /** What is told of a device, on its own thread. */
  interface Ear {
    void heard(Connection of, Instant at, Reading reading);

    void lost(Connection of, Instant at);
  }

  /**
   * What a device said last.
   *
   * @param reading null before the first
   * @param heard whether it is heard now
   * @param ignored lines that were none of a device's, or came too fast
   * @param trouble why it is not heard; empty when it is
   */
  record Health(Reading reading, Instant at, boolean heard, long ignored, String trouble) {}

  /** After so many lines that are none of such a device, it is another. */
  private static final int MOST_LINES = 20;

  /**
   * What a device said when it was asked once.
   *
   * @param line the last that came; empty without one
   * @param reading null where no line was one
   * @param trouble why there is none; empty when there is
   */
  record Once(String line, Reading reading, String trouble) {}

  private final DeviceKind kind;
  private final String host;
  private final int port;
  private final Clock clock;
  private final Ear ear;
  private final Thread thread;
  private final CountDownLatch closing = new CountDownLatch(1);
  private volatile boolean closed;
  private volatile Socket socket;
  private volatile Health health = new Health(null, null, false, 0, "It is being connected.");
  private volatile CompletableFuture<Boolean> answer;
  private long lastNanos;

  Connection(DeviceKind kind, String host, int port, Clock clock, Ear ear) {
    this.kind = kind;
    this.host = host;
    this.port = port;
    this.clock = clock;
    this.ear = ear;
    this.thread = new Thread(this::run, "listens to " + kind.text());
    this.thread.setDaemon(true);
  }

  void begin() {
    thread.start();
  }

  DeviceKind kind() {
    return kind;
  }

  Health health() {
    return health;
  }

  /** Connects, waits for one reading, and closes. */
  static Once once(DeviceKind kind, String host, int port) {
    String line = "";
    boolean connected = false;
    try (Socket s = new Socket()) {
      s.connect(new InetSocketAddress(host, port), (int) CONNECTS.toMillis());
      connected = true;
      s.setSoTimeout((int) SILENT.toMillis());
      DeviceLines lines = new DeviceLines(s.getInputStream());
      for (int i = 0; i < MOST_LINES; i++) {
        String next = lines.next();
        if (next == null) {
          return new Once(line, null, CLOSED);
        }
        line = next;
        Optional<Reading> reading = Reading.of(line).filter(kind::says);
        if (reading.isPresent()) {
          return new Once(line, reading.get(), "");
        }
      }
      return new Once(line, null, noneOf(kind));
    } catch (SocketTimeoutException nothing) {
      return new Once(line, null, connected ? SAYS_NOTHING : nobody(host, port));
    } catch (IOException e) {
      return new Once(line, null, connected ? LOST : nobody(host, port));
    }
  }

  private static String nobody(String host, int port) {
    return "Nothing answers at " + host + ":" + port + ". Is it on, and is the port right?";
  }

  private static String noneOf(DeviceKind kind) {
    return "It sends lines that no " + kind.text() + " sends.";
  }

  private void run() {
    int failed = 0;
    while (!closed) {
      boolean connected = listen();
      failed = connected ? 0 : failed + 1;
      try {
        long ms = (failed < FAILED ? AGAIN : LATER).toMillis();
        if (closing.await(ms, TimeUnit.MILLISECONDS)) {
          return;
        }
      } catch (InterruptedException e) {
        return;
      }
    }
  }

  /**
   * @return whether there was a connection
   */
  private boolean listen() {
    boolean connected = false;
    try (Socket s = new Socket()) {
      socket = s;
      s.setTcpNoDelay(true);
      s.connect(new InetSocketAddress(host, port), (int) CONNECTS.toMillis());
      connected = true;
      s.setSoTimeout((int) SILENT.toMillis());
      DeviceLines lines = new DeviceLines(s.getInputStream());
      for (String line = next(lines); line != null && !closed; line = next(lines)) {
        take(line);
      }
      silent(CLOSED);
    } catch (IOException e) {
      silent(connected ? LOST : nobody(host, port));
    }
    return connected;
  }

  /** The next line; empty while it says nothing for a while. */
  private String next(DeviceLines lines) throws IOException {
    try {
      return lines.next();
    } catch (SocketTimeoutException nothing) {
      silent(SAYS_NOTHING);
      return "";
    }
  }

  private void take(String line) {
    long nanos = System.nanoTime();
    CompletableFuture<Boolean> asked = answer;
    if (asked != null && (line.equals("T OK") || line.equals("T NO"))) {
      asked.complete(line.equals("T OK"));
      return;
    }
    boolean fast = lastNanos != 0 && nanos - lastNanos < EVERY.toNanos();
    Optional<Reading> reading = fast ? Optional.empty() : Reading.of(line).filter(kind::says);
    Instant now = clock.instant();
    if (reading.isEmpty()) {
      Health h = health;
      boolean still = h.heard && h.at.plus(SILENT).isAfter(now);
      long ignored = line.isEmpty() ? h.ignored : h.ignored + 1;
      health = new Health(h.reading, h.at, h.heard, ignored, h.trouble);
      if (h.heard && !still) {
        silent(noneOf(kind));
      }
      return;
    }
    lastNanos = nanos;
    health = new Health(reading.get(), now, true, health.ignored, "");
    ear.heard(this, now, reading.get());
  }

  private void silent(String why) {
    Health h = health;
    health = new Health(h.reading, h.at, false, h.ignored, why);
    if (h.heard && !closed) {
      ear.lost(this, clock.instant());
    }
  }

  /**
   * Sets a scale to nothing.
   *
   * @return whether it did; empty when it did not answer
   */
  synchronized Optional<Boolean> tare() {
    Socket s = socket;
    CompletableFuture<Boolean> asked = new CompletableFuture<>();
    answer = asked;
    try {
      if (s == null || !health.heard) {
        return Optional.empty();
      }
      s.getOutputStream().write("T\r\n".getBytes(StandardCharsets.US_ASCII));
      s.getOutputStream().flush();
      return Optional.of(asked.get(ANSWERS.toMillis(), TimeUnit.MILLISECONDS));
    } catch (IOException | TimeoutException | ExecutionException e) {
      return Optional.empty();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return Optional.empty();
    } finally {
      answer = null;
    }
  }

  /** Never interrupts: what is heard may just be written down, and a database closes on that. */
  @Override
  public void close() {
    closed = true;
    closing.countDown();
    Socket s = socket;
    if (s != null) {
      try {
        s.close();
      } catch (IOException e) {
        // it is closed
      }
    }
  }
}
