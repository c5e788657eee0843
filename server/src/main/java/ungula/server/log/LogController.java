package ungula.server.log;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.days.Moments;
import ungula.core.log.LogLine;
import ungula.core.log.LogLine.Kind;
import ungula.core.workshop.Workshop;
import ungula.server.job.Job;
import ungula.server.job.Jobs;
import ungula.server.log.JobLog.Happened;
import ungula.server.sheet.LogSheet;
import ungula.server.web.Named;
import ungula.server.workshop.Habits;

/** What happened in a job, planned beside actual. */
@RestController
@RequestMapping("/api/jobs/{id}/log")
class LogController {

  private final Jobs jobs;
  private final JobLog log;
  private final Habits workshop;
  private final Clock clock;

  LogController(Jobs jobs, JobLog log, Habits workshop, Clock clock) {
    this.jobs = jobs;
    this.log = log;
    this.workshop = workshop;
    this.clock = clock;
  }

  /**
   * One thing that happened.
   *
   * @param day in words
   * @param at time of that day
   * @param planned in words; empty where nothing was
   * @param actual in words; empty where what says it
   * @param off what is beyond tolerance; empty where nothing is
   * @param struck why it does not count; empty where it does
   * @param run in which it happened; empty for none
   * @param picture taken then; empty for none
   */
  record LogView(
      String day,
      String at,
      String who,
      Kind kind,
      String part,
      String what,
      String planned,
      String actual,
      String off,
      String struck,
      String run,
      String picture) {}

  /**
   * @param text of a kind, for its filter
   */
  record LogKind(Kind kind, String text) {}

  /**
   * @param lines the first first
   * @param kinds of which there are some, in their order
   * @param differences how many went otherwise than they should
   */
  record LogResponse(List<LogView> lines, List<LogKind> kinds, int differences) {}

  @GetMapping
  LogResponse log(@PathVariable String id) {
    List<Happened> all = log.of(jobs.find(id));
    ZoneId zone = workshop.current().hours().clock();
    return new LogResponse(
        all.stream().map(h -> view(h, zone)).toList(),
        all.stream()
            .map(h -> h.line().kind())
            .distinct()
            .sorted()
            .map(k -> new LogKind(k, k.text()))
            .toList(),
        (int) all.stream().filter(h -> h.line().differs()).count());
  }

  private static LogView view(Happened h, ZoneId zone) {
    LogLine l = h.line();
    LocalDateTime at = l.at().atZone(zone).toLocalDateTime();
    return new LogView(
        Moments.day(at.toLocalDate()),
        Moments.clock(at.toLocalTime()),
        l.who(),
        l.kind(),
        l.part(),
        l.what(),
        l.planned(),
        l.actual(),
        l.off(),
        l.struck(),
        h.run(),
        l.picture());
  }

  /** The same as a table. RFC 4180, UTF-8. */
  @GetMapping(value = "/log.csv", produces = "text/csv;charset=UTF-8")
  ResponseEntity<String> logCsv(@PathVariable String id) throws IOException {
    Job job = jobs.find(id);
    ZoneId zone = workshop.current().hours().clock();
    StringBuilder csv = new StringBuilder();
    try (CSVPrinter out = new CSVPrinter(csv, CSVFormat.RFC4180)) {
      out.printRecord(
          "at", "who", "kind", "part", "what", "planned", "actual", "difference", "struck");
      for (Happened h : log.of(job)) {
        LogLine l = h.line();
        out.printRecord(
            l.at().atZone(zone).toOffsetDateTime(),
            l.who(),
            l.kind().text(),
            l.part(),
            l.what(),
            l.planned(),
            l.actual(),
            l.off(),
            l.struck());
      }
    }
    return Named.attachment(job.row().name() + ", log.csv").body(csv.toString());
  }

  /** The same on paper: the job's record. */
  @GetMapping(value = "/log.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> logPdf(@PathVariable String id) throws IOException {
    Job job = jobs.find(id);
    Workshop shop = workshop.current();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    LogSheet.write(
        job.row().name(),
        log.of(job).stream().map(Happened::line).toList(),
        shop,
        LocalDate.now(clock),
        out);
    return Named.inline(job.row().name() + ", log.pdf").body(out.toByteArray());
  }
}
