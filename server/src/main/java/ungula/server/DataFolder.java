package ungula.server;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Optional;

/** The folder everything is kept in, held by one server at a time. */
public final class DataFolder implements AutoCloseable {

  private final Path path;
  private final FileChannel channel;
  private final FileLock lock;

  private DataFolder(Path path, FileChannel channel, FileLock lock) {
    this.path = path;
    this.channel = channel;
    this.lock = lock;
  }

  /** Another server works on this folder. */
  public static final class InUse extends Exception {
    InUse(String message) {
      super(message);
    }
  }

  /**
   * Makes the folder if need be and holds it until the process ends.
   *
   * @throws InUse when another server holds it; the message says where that one is
   */
  public static DataFolder claim(Path path) throws IOException, InUse {
    Files.createDirectories(path.resolve("models"));
    Files.createDirectories(path.resolve("made"));
    FileChannel channel =
        FileChannel.open(path.resolve("lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
    FileLock lock;
    try {
      lock = channel.tryLock();
    } catch (OverlappingFileLockException sameProcess) {
      lock = null;
    }
    if (lock == null) {
      channel.close();
      throw new InUse(
          "Ungula already runs on the data in "
              + path
              + address(path).map(a -> ", at " + a).orElse("")
              + ". Use that one, or start with --data and another folder.");
    }
    return new DataFolder(path, channel, lock);
  }

  /** Where the server is that works on a folder; empty while it starts, and where none ever did. */
  public static Optional<String> address(Path path) throws IOException {
    try {
      return Optional.of(Files.readString(path.resolve("address")).strip());
    } catch (NoSuchFileException stillStarting) {
      return Optional.empty();
    }
  }

  /** Writes down where the server is, for whoever starts a second one. */
  public void announce(String address) throws IOException {
    Files.writeString(path.resolve("address"), address);
  }

  public Path path() {
    return path;
  }

  public Path models() {
    return path.resolve("models");
  }

  /** Files worked out for somebody to take away; nothing is lost with them. */
  public Path made() {
    return path.resolve("made");
  }

  @Override
  public void close() throws IOException {
    if (channel.isOpen()) {
      lock.release();
      channel.close();
    }
  }
}
