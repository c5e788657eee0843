package ungula.server.archive;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Enumeration;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Stream;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;

/**
 * All that is kept, in one ZIP: the database as it stands at one moment, then the files it names. A
 * file is there before the database names it, and none is ever deleted: so nothing is missing,
 * though others go on working meanwhile. What is worked out again, and what is of the running
 * program alone, is left out.
 */
final class Backup {

  static final String DATABASE = "ungula.mv.db";

  /** Of the running program alone, or made again when asked for. */
  private static final Set<String> LEFT_OUT = Set.of("lock", "address", "made", "backups");

  /**
   * A ZIP is packed and unpacked by half kilobytes: read and written so, it takes twice as long.
   */
  static final int BUFFER = 1 << 17;

  /** A file whose beginning does not shrink to so much of it is not worth the time. */
  private static final double SHRINKS = 0.9;

  private Backup() {}

  /**
   * @param snapshot writes the database to a ZIP of that name
   * @param data the folder
   */
  static void write(Consumer<String> snapshot, Path data, OutputStream to) throws IOException {
    Path database = Files.createTempFile("ungula-backup", ".zip");
    try (ZipOutputStream out = new ZipOutputStream(new BufferedOutputStream(to, BUFFER))) {
      snapshot.accept(database.toString());
      database(database, out);
      for (Path file : files(data)) {
        out.setLevel(level(file));
        out.putNextEntry(new ZipEntry(data.relativize(file).toString().replace('\\', '/')));
        Files.copy(file, out);
        out.closeEntry();
      }
    } finally {
      Files.deleteIfExists(database);
    }
  }

  /** What shrinks is packed, fast rather than small; what is packed already is put in as it is. */
  private static int level(Path file) throws IOException {
    byte[] begin = new byte[BUFFER];
    int n;
    try (InputStream in = Files.newInputStream(file)) {
      n = in.readNBytes(begin, 0, begin.length);
    }
    Deflater trial = new Deflater(Deflater.BEST_SPEED);
    try {
      trial.setInput(begin, 0, n);
      trial.finish();
      int packed = trial.deflate(new byte[2 * BUFFER]);
      return packed < SHRINKS * n ? Deflater.BEST_SPEED : Deflater.NO_COMPRESSION;
    } finally {
      trial.end();
    }
  }

  private static void database(Path snapshot, ZipOutputStream out) throws IOException {
    try (ZipFile zip = new ZipFile(snapshot.toFile())) {
      Enumeration<? extends ZipEntry> entries = zip.entries();
      while (entries.hasMoreElements()) {
        ZipEntry e = entries.nextElement();
        if (e.getName().endsWith(DATABASE)) {
          out.putNextEntry(new ZipEntry(DATABASE));
          try (InputStream in = zip.getInputStream(e)) {
            in.transferTo(out);
          }
          out.closeEntry();
        }
      }
    }
  }

  private static List<Path> files(Path data) throws IOException {
    try (Stream<Path> all = Files.walk(data)) {
      return all.filter(Files::isRegularFile)
          .filter(f -> !LEFT_OUT.contains(data.relativize(f).getName(0).toString()))
          .filter(f -> !f.getFileName().toString().matches(".*\\.(part|db)"))
          .sorted()
          .toList();
    }
  }
}
