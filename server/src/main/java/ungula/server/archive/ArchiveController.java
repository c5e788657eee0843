package ungula.server.archive;

import java.time.Clock;
import java.time.LocalDate;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import ungula.server.DataFolder;
import ungula.server.web.Named;

/** All that is kept, to be taken away; and whether it is well. */
@RestController
@RequestMapping("/api")
class ArchiveController {

  private final ArchiveMapper mapper;
  private final DataFolder folder;
  private final Checks checks;
  private final Clock clock;

  ArchiveController(ArchiveMapper mapper, DataFolder folder, Checks checks, Clock clock) {
    this.mapper = mapper;
    this.folder = folder;
    this.checks = checks;
    this.clock = clock;
  }

  /** A ZIP of everything, as it stands now; others go on working. */
  @GetMapping(value = "/backup.zip", produces = "application/zip")
  ResponseEntity<StreamingResponseBody> backup() {
    return Named.attachment("Ungula " + LocalDate.now(clock) + ".zip")
        .body(out -> Backup.write(mapper::backup, folder.path(), out));
  }

  @GetMapping("/check")
  Checks.Checked checkAll() {
    return checks.check();
  }
}
