package ungula.server.days;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Base64;
import java.util.List;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.workshop.Workshop;
import ungula.server.job.Job;
import ungula.server.job.JobLists;
import ungula.server.job.Jobs;
import ungula.server.web.Named;
import ungula.server.web.Problem;
import ungula.server.workshop.Habits;

/** Days in a calendar of another program: as a file, and under an address to subscribe to. */
@RestController
@RequestMapping("/api")
class CalendarController {

  /** Not to be guessed: 192 bits. */
  private static final int CODE_BYTES = 24;

  private static final String CALENDAR = "text/calendar;charset=UTF-8";

  private final Jobs jobs;
  private final JobLists lists;
  private final Habits workshop;
  private final CalendarMapper mapper;
  private final Clock clock;
  private final SecureRandom random = new SecureRandom();

  CalendarController(
      Jobs jobs, JobLists lists, Habits workshop, CalendarMapper mapper, Clock clock) {
    this.jobs = jobs;
    this.lists = lists;
    this.workshop = workshop;
    this.mapper = mapper;
    this.clock = clock;
  }

  /**
   * @param path of the address on this server; empty while there is none
   */
  record CalendarAddress(String path) {}

  @GetMapping("/calendar/address")
  CalendarAddress calendarAddress() {
    return address(mapper.code());
  }

  private static CalendarAddress address(String code) {
    return new CalendarAddress(code == null ? "" : "/api/calendar/" + code + ".ics");
  }

  /** Makes an address where there is none. */
  @PostMapping("/calendar/address")
  @Transactional
  public CalendarAddress makeCalendarAddress() {
    String code = mapper.code();
    if (code == null) {
      byte[] bytes = new byte[CODE_BYTES];
      random.nextBytes(bytes);
      code = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
      mapper.add(code, OffsetDateTime.now(clock).withOffsetSameInstant(ZoneOffset.UTC));
    }
    return address(code);
  }

  /** From now on nobody reads the days under the address there was. */
  @DeleteMapping("/calendar/address")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  public void revokeCalendarAddress() {
    mapper.revoke();
  }

  /** All jobs on the bench, as they are planned now. */
  @GetMapping(value = "/calendar/{code}.ics", produces = CALENDAR)
  ResponseEntity<String> calendar(@PathVariable String code) {
    if (mapper.count(code) == 0) {
      throw Problem.gone("This calendar");
    }
    return ResponseEntity.ok()
        .cacheControl(CacheControl.noCache())
        .body(file(workshop.current().name(), lists.onBench()));
  }

  /** One job. */
  @GetMapping(value = "/jobs/{id}/days.ics", produces = CALENDAR)
  ResponseEntity<String> jobCalendar(@PathVariable String id) {
    Job job = jobs.find(id);
    DaysViews.check(job);
    return Named.attachment(job.row().name() + ".ics").body(file(job.row().name(), List.of(job)));
  }

  private String file(String name, List<Job> all) {
    Workshop w = workshop.current();
    return CalendarFile.of(name, w.hours().clock(), all, clock.instant());
  }
}
