package ungula.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import ungula.server.access.Hosts;
import ungula.server.access.Passphrase;
import ungula.server.archive.Restore;

/**
 * A server on its data folder, which can go back to a backup: it stops, what is there is moved
 * aside, and it starts again at the same address on what the backup held. Where that does not
 * start, it goes on with what was there before.
 */
public final class Serving implements AutoCloseable {

  private static final Logger LOG = LoggerFactory.getLogger(Serving.class);

  /** Backups stay where they are found, whatever is gone back to. */
  private static final String BACKUPS = "backups";

  private final String host;
  private final boolean demo;
  private final Hosts hosts;
  private final Optional<Passphrase> passphrase;
  private volatile String port;
  private DataFolder folder;
  private ConfigurableApplicationContext context;

  /**
   * @param folder claimed for it
   * @param port 0 takes any free one
   * @param demo whether the made-up shelf is put up on new data
   * @param hosts names it answers to
   * @param passphrase others are asked for; empty when nobody else reaches it
   */
  public Serving(
      DataFolder folder,
      String host,
      String port,
      boolean demo,
      Hosts hosts,
      Optional<Passphrase> passphrase)
      throws IOException {
    this.folder = folder;
    this.host = host;
    this.port = port;
    this.demo = demo;
    this.hosts = hosts;
    this.passphrase = passphrase;
    start();
  }

  private void start() throws IOException {
    // all of one process share the settings of logging, which are not made for two starts at once
    synchronized (Serving.class) {
      context = Ungula.start(folder, host, port, demo, hosts, passphrase, this::goBack);
    }
    port = String.valueOf(((WebServerApplicationContext) context).getWebServer().getPort());
    folder.announce(address());
  }

  /** The same also while it goes back. */
  public int port() {
    return Integer.parseInt(port);
  }

  /** Where it is reached from this computer. */
  public String address() {
    return "http://" + (hosts.open() ? "127.0.0.1" : host) + ":" + port + "/";
  }

  ConfigurableApplicationContext context() {
    return context;
  }

  private void goBack(Path unpacked) {
    Thread hand = new Thread(() -> stopAndStart(unpacked), "going back to a backup");
    // whoever asks is a daemon; this one holds the program while no server does
    hand.setDaemon(false);
    hand.start();
  }

  private synchronized void stopAndStart(Path unpacked) {
    Path data = folder.path();
    Path before = null;
    try {
      close();
      before = Restore.into(unpacked, data, LocalDateTime.now(ZoneId.systemDefault()));
      move(before, data);
      claim(data);
      start();
      LOG.info("What was there is in {} now.", before);
    } catch (IOException | RuntimeException unfit) {
      LOG.error("The backup does not start; it goes on with what was there before.", unfit);
      goOn(data, before);
    }
  }

  /**
   * @param before where what was there is now; null where it never left
   */
  private void goOn(Path data, Path before) {
    try {
      folder.close();
      if (before != null) {
        move(data, before);
        Restore.delete(data);
        Files.move(before, data);
      }
      claim(data);
      start();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The backups, from one folder to another. */
  private static void move(Path from, Path to) throws IOException {
    if (Files.exists(from.resolve(BACKUPS))) {
      Files.move(from.resolve(BACKUPS), to.resolve(BACKUPS));
    }
  }

  private void claim(Path data) throws IOException {
    try {
      folder = DataFolder.claim(data);
    } catch (DataFolder.InUse somebodyElse) {
      throw new IOException(somebodyElse.getMessage(), somebodyElse);
    }
  }

  /** Once it has gone back, where it is about to. */
  @Override
  public synchronized void close() throws IOException {
    context.close();
    folder.close();
  }
}
