package ungula.server.archive;

import java.io.BufferedInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;

/** Puts a backup into a folder. Nothing is overwritten: what was there is moved aside, whole. */
public final class Restore {

  private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss");

  /** What a folder may hold and be empty all the same. */
  private static final Set<String> NOTHING = Set.of("lock", "made", "models");

  private Restore() {}

  /** It cannot be restored; the message says why. */
  public static final class Unfit extends Exception {
    Unfit(String why) {
      super(why);
    }
  }

  /**
   * Unpacks a backup, whole or not at all, and looks into it.
   *
   * @param to a folder that is not there yet
   * @throws Unfit when it is no backup, or part of it is missing or damaged
   */
  public static Held unpack(Path zip, Path to) throws IOException, Unfit {
    try (ZipInputStream in =
        new ZipInputStream(new BufferedInputStream(Files.newInputStream(zip), Backup.BUFFER))) {
      int files = 0;
      for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        Path file = to.resolve(e.getName()).normalize();
        if (!file.startsWith(to)) {
          throw new Unfit("It is no backup of Ungula: a file in it would lie outside the folder.");
        }
        Files.createDirectories(file.getParent());
        Files.copy(in, file);
        files++;
      }
      if (files == 0 || !Files.exists(to.resolve(Backup.DATABASE))) {
        throw new Unfit("It is no backup of Ungula: there is no database in it.");
      }
      Held held = Held.in(to);
      if (!held.missing().isEmpty()) {
        throw new Unfit("It lacks the model files of " + String.join(", ", held.missing()) + ".");
      }
      return held;
    } catch (ZipException | EOFException torn) {
      throw new Unfit("It is damaged: " + torn.getMessage() + ".");
    }
  }

  /** Whether nothing is kept in a folder yet. */
  public static boolean empty(Path data) throws IOException {
    if (!Files.isDirectory(data)) {
      return true;
    }
    try (Stream<Path> all = Files.list(data)) {
      return all.allMatch(f -> NOTHING.contains(f.getFileName().toString()))
          && !Files.exists(data.resolve(Backup.DATABASE));
    }
  }

  /**
   * Puts what was unpacked in the place of a folder that no server works on.
   *
   * @return where what was there is now; the folder itself where nothing was
   */
  public static Path into(Path unpacked, Path data, LocalDateTime now) throws IOException {
    Path before = data;
    if (!empty(data)) {
      before = data.resolveSibling(data.getFileName() + ".before-" + STAMP.format(now));
      Files.move(data, before);
    } else {
      delete(data);
    }
    Files.createDirectories(data.toAbsolutePath().getParent());
    try {
      Files.move(unpacked, data);
    } catch (IOException stays) {
      if (!before.equals(data)) {
        Files.move(before, data);
      }
      throw stays;
    }
    return before;
  }

  /** Forgets a folder and all in it. */
  public static void delete(Path folder) throws IOException {
    if (!Files.exists(folder)) {
      return;
    }
    List<Path> all;
    try (Stream<Path> walk = Files.walk(folder)) {
      all = walk.sorted(Comparator.reverseOrder()).toList();
    }
    for (Path p : all) {
      Files.delete(p);
    }
  }
}
