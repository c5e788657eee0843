package ungula.server.archive;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import ungula.core.work.Progress;
import ungula.server.DataFolder;
import ungula.server.web.Problem;

/**
 * Backups that are made by themselves, every day while the program runs: the last seven lie in the
 * data folder. Each was unpacked and looked into before it counts.
 */
@Component
class Backups {

  private static final Logger LOG = LoggerFactory.getLogger(Backups.class);

  static final int KEPT = 7;

  private static final Duration EVERY = Duration.ofHours(24);

  /** What is begun with is let come to rest first. */
  private static final long FIRST_MIN = 10;

  private static final long LOOK_MIN = 30;

  private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss-SSS");

  private static final String NAME = "ungula-\\d{8}-\\d{6}-\\d{3}\\.zip";

  private final ArchiveMapper mapper;
  private final DataFolder data;
  private final Clock clock;
  private final ScheduledExecutorService hand =
      Executors.newSingleThreadScheduledExecutor(
          work -> {
            Thread thread = new Thread(work, "backups");
            thread.setDaemon(true);
            return thread;
          });

  Backups(ArchiveMapper mapper, DataFolder data, Clock clock) {
    this.mapper = mapper;
    this.data = data;
    this.clock = clock;
  }

  /**
   * @param name of its file
   * @param holds in words
   */
  record Kept(String name, Instant at, long bytes, String holds) {}

  @EventListener(ApplicationReadyEvent.class)
  void begin() throws IOException {
    left();
    hand.scheduleWithFixedDelay(this::ifDue, FIRST_MIN, LOOK_MIN, TimeUnit.MINUTES);
  }

  /** What a crash left half made is of no use to anyone. */
  private void left() throws IOException {
    if (Files.isDirectory(folder())) {
      try (Stream<Path> all = Files.list(folder())) {
        for (Path f : all.filter(Backups::halfMade).toList()) {
          Restore.delete(f);
        }
      }
    }
  }

  private static boolean halfMade(Path file) {
    String name = file.getFileName().toString();
    return name.endsWith(".part") || name.startsWith("tried");
  }

  @PreDestroy
  void end() {
    hand.shutdownNow();
  }

  private void ifDue() {
    try {
      if (due(kept().stream().map(Kept::at).findFirst(), clock.instant())) {
        make(Progress.NONE);
      }
    } catch (IOException | Restore.Unfit | RuntimeException e) {
      LOG.error("The daily backup could not be made: {}", e.getMessage());
    }
  }

  /**
   * @param last when the newest was made
   */
  static boolean due(Optional<Instant> last, Instant now) {
    return last.isEmpty() || !last.get().plus(EVERY).isAfter(now);
  }

  Path folder() {
    return data.path().resolve("backups");
  }

  /** The newest first. */
  List<Kept> kept() throws IOException {
    if (!Files.isDirectory(folder())) {
      return List.of();
    }
    List<Path> files;
    try (Stream<Path> all = Files.list(folder())) {
      files =
          all.filter(f -> f.getFileName().toString().matches(NAME))
              .sorted(Comparator.comparing(Path::getFileName).reversed())
              .toList();
    }
    return files.stream().map(Backups::look).toList();
  }

  private static Kept look(Path file) {
    try {
      String name = file.getFileName().toString();
      String stamp = name.substring("ungula-".length(), name.length() - ".zip".length());
      Instant at = LocalDateTime.parse(stamp, STAMP).toInstant(ZoneOffset.UTC);
      Path holds = beside(file);
      String text = Files.exists(holds) ? Files.readString(holds) : "";
      return new Kept(name, at, Files.size(file), text);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Path beside(Path file) {
    return file.resolveSibling(file.getFileName() + ".txt");
  }

  /**
   * @throws Problem when there is none of that name
   */
  Path file(String name) {
    Path file = folder().resolve(name.matches(NAME) ? name : "none");
    if (!Files.isRegularFile(file)) {
      throw Problem.gone("This backup");
    }
    return file;
  }

  /** Makes one now, looks into it, and lets go of those that are more than seven. */
  synchronized void make(Progress progress) throws IOException, Restore.Unfit {
    Files.createDirectories(folder());
    String stamp = STAMP.format(clock.instant().atOffset(ZoneOffset.UTC));
    Path file = folder().resolve("ungula-" + stamp + ".zip");
    Path part = file.resolveSibling(file.getFileName() + ".part");
    Path tried = Files.createTempDirectory(folder(), "tried").resolve("data");
    try {
      progress.at("Writing it", 0.1);
      try (OutputStream out = Files.newOutputStream(part)) {
        Backup.write(mapper::backup, data.path(), out);
      }
      progress.at("Looking into it", 0.6);
      Held held = Restore.unpack(part, tried);
      Files.writeString(beside(file), held.text());
      Files.move(part, file);
    } finally {
      Files.deleteIfExists(part);
      Restore.delete(tried.getParent());
    }
    for (Kept old : kept().stream().skip(KEPT).toList()) {
      Files.deleteIfExists(folder().resolve(old.name()));
      Files.deleteIfExists(beside(folder().resolve(old.name())));
    }
  }

  /**
   * Unpacks one beside the data folder, to be put in its place.
   *
   * @throws Restore.Unfit when it is damaged by now
   */
  synchronized Path unpacked(String name) throws IOException, Restore.Unfit {
    Path to = data.path().resolveSibling(data.path().getFileName() + ".restored");
    Restore.delete(to);
    try {
      Restore.unpack(file(name), to);
    } catch (IOException | Restore.Unfit damaged) {
      Restore.delete(to);
      throw damaged;
    }
    return to;
  }

  /**
   * What is in one.
   *
   * @throws Restore.Unfit when it is damaged by now
   */
  Held in(String name) throws IOException, Restore.Unfit {
    Path tried = Files.createTempDirectory(folder(), "tried").resolve("data");
    try {
      return Restore.unpack(file(name), tried);
    } finally {
      Restore.delete(tried.getParent());
    }
  }
}
