package ungula.server.archive;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import org.springframework.core.io.InputStreamResource;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import ungula.server.DataFolder;
import ungula.server.job.Jobs;
import ungula.server.model.Models;
import ungula.server.web.Named;

/** All that is kept, to be taken away; and whether it is well. */
@RestController
@RequestMapping("/api")
class ArchiveController {

  private final ArchiveMapper mapper;
  private final DataFolder folder;
  private final Checks checks;
  private final Jobs jobs;
  private final Models models;
  private final JobArchive jobArchive;
  private final JobArrival arrival;
  private final Clock clock;

  ArchiveController(
      ArchiveMapper mapper,
      DataFolder folder,
      Checks checks,
      Jobs jobs,
      Models models,
      JobArchive jobArchive,
      JobArrival arrival,
      Clock clock) {
    this.mapper = mapper;
    this.folder = folder;
    this.checks = checks;
    this.jobs = jobs;
    this.models = models;
    this.jobArchive = jobArchive;
    this.arrival = arrival;
    this.clock = clock;
  }

  /** A ZIP of everything, as it stands now; others go on working. */
  @GetMapping(value = "/backup.zip", produces = "application/zip")
  ResponseEntity<StreamingResponseBody> backup() {
    return Named.attachment("Ungula " + LocalDate.now(clock) + ".zip")
        .body(out -> Backup.write(mapper::backup, folder.path(), out));
  }

  /** All there is of one job. */
  @GetMapping(value = "/jobs/{id}/archive.zip", produces = "application/zip")
  ResponseEntity<StreamingResponseBody> archiveJob(@PathVariable String id) {
    String name = jobs.name(id);
    return Named.attachment(name + ".zip").body(out -> jobArchive.write(id, name, out));
  }

  /**
   * @param id of the job that was taken in
   */
  record Arrived(String id, String name) {}

  /** Takes a job in that was archived, beside what is there. */
  @PostMapping(value = "/archives", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  Arrived takeIn(@RequestBody InputStreamResource zip) throws IOException {
    Path file = models.receive(zip.getInputStream());
    try {
      String id = arrival.take(file);
      return new Arrived(id, jobs.name(id));
    } finally {
      Files.deleteIfExists(file);
    }
  }

  @GetMapping("/check")
  Checks.Checked checkAll() {
    return checks.check();
  }
}
