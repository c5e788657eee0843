package ungula.server.archive;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.core.io.FileSystemResource;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.days.Moments;
import ungula.server.job.Jobs;
import ungula.server.task.Tasks;
import ungula.server.task.Tasks.TaskView;
import ungula.server.web.Named;
import ungula.server.web.Problem;
import ungula.server.workshop.Habits;

/** Backups that lie in the data folder, and what restoring one would change. */
@RestController
@RequestMapping("/api/backups")
class BackupController {

  private final String start = UUID.randomUUID().toString();
  private final Backups backups;
  private final Jobs jobs;
  private final Tasks tasks;
  private final Habits workshop;
  private final Optional<GoBack> back;

  BackupController(
      Backups backups, Jobs jobs, Tasks tasks, Habits workshop, Optional<GoBack> back) {
    this.back = back;
    this.backups = backups;
    this.jobs = jobs;
    this.tasks = tasks;
    this.workshop = workshop;
  }

  /**
   * @param at in words
   * @param size in words
   * @param holds in words
   */
  record BackupView(String name, String at, String size, String holds) {}

  /**
   * @param start of this server: another once it was started again
   * @param data folder all is kept in, and they with it
   * @param backups the newest first
   */
  record BackupList(String start, String data, List<BackupView> backups) {}

  @GetMapping
  BackupList backups() throws IOException {
    return new BackupList(
        start,
        backups.folder().getParent().toString(),
        backups.kept().stream().map(this::view).toList());
  }

  private BackupView view(Backups.Kept k) {
    String at = Moments.text(k.at().atZone(workshop.current().hours().clock()).toLocalDateTime());
    return new BackupView(k.name(), at, size(k.bytes()), k.holds());
  }

  private static String size(long bytes) {
    return bytes < 1 << 20 ? Math.max(1, bytes >> 10) + " kB" : (bytes >> 20) + " MB";
  }

  /** Makes one now. */
  @PostMapping
  TaskView makeBackup() {
    return tasks.start(
        Tasks.Lane.FILES,
        progress -> {
          try {
            backups.make(progress);
          } catch (Restore.Unfit unfit) {
            throw new Problem(
                HttpStatus.INTERNAL_SERVER_ERROR, "Not backed up", unfit.getMessage());
          }
        });
  }

  @GetMapping(value = "/{name}", produces = "application/zip")
  ResponseEntity<FileSystemResource> backupFile(@PathVariable String name) {
    return Named.attachment(name).body(new FileSystemResource(backups.file(name)));
  }

  /**
   * What restoring a backup would change.
   *
   * @param holds what is in it, in words
   * @param back jobs that are in it and are not here
   * @param lost jobs that are here and not in it
   */
  record BackupChanges(String holds, List<String> back, List<String> lost) {}

  @GetMapping("/{name}/changes")
  BackupChanges backupChanges(@PathVariable String name) throws IOException {
    try {
      Held held = backups.in(name);
      List<String> now = jobs.ids().stream().map(jobs::name).toList();
      return new BackupChanges(held.text(), without(held.jobs(), now), without(now, held.jobs()));
    } catch (Restore.Unfit damaged) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "Not usable", damaged.getMessage());
    }
  }

  /**
   * Goes back to one: the server stops, and starts again at the same address. Whoever asks is
   * answered before that, as nobody is while it stops.
   */
  @PostMapping("/{name}/restored")
  @ResponseStatus(HttpStatus.ACCEPTED)
  void goBack(@PathVariable String name, HttpServletResponse answer) throws IOException {
    GoBack to =
        back.orElseThrow(
            () -> new Problem(HttpStatus.CONFLICT, "Not here", "This program serves nobody."));
    try {
      Path unpacked = backups.unpacked(name);
      answer.setStatus(HttpStatus.ACCEPTED.value());
      answer.setContentLength(0);
      answer.flushBuffer();
      to.to(unpacked);
    } catch (Restore.Unfit damaged) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "Not usable", damaged.getMessage());
    }
  }

  /** Of several of one name each counts. */
  private static List<String> without(List<String> all, List<String> others) {
    List<String> left = new ArrayList<>(all);
    others.forEach(left::remove);
    return left.stream().sorted().toList();
  }
}
