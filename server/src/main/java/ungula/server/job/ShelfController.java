package ungula.server.job;

import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.days.Moments;
import ungula.core.quantity.Timespan;
import ungula.core.step.JobDays;
import ungula.core.workshop.Workshop;
import ungula.server.web.Named;
import ungula.server.web.Problem;
import ungula.server.workshop.Habits;

/** The shelf: every job with its picture, and what it waits for. */
@RestController
@RequestMapping("/api")
class ShelfController {

  private static final int WIDTH = 360;
  private static final int HEIGHT = 270;

  private final Jobs jobs;
  private final JobLists lists;
  private final Drawings drawings;
  private final Habits workshop;

  ShelfController(Jobs jobs, JobLists lists, Drawings drawings, Habits workshop) {
    this.jobs = jobs;
    this.lists = lists;
    this.drawings = drawings;
    this.workshop = workshop;
  }

  /**
   * @param picture fingerprint of its picture; null when there is nothing to draw
   * @param stage furthest stage reached: master, mould or rubber
   * @param line the mould in one line
   * @param next what to do next
   * @param stops how many cautions stop it
   * @param checks how many ask for a look
   * @param trouble why it cannot be read, and what helps; empty when it can
   * @param note what there is to know about it; empty for nothing
   * @param due what is to be done next and when; null while nobody says when it is begun
   */
  record ShelfJob(
      String id,
      String name,
      boolean demo,
      boolean archived,
      @Nullable String picture,
      String stage,
      String line,
      String next,
      int stops,
      int checks,
      OffsetDateTime changed,
      String trouble,
      String note,
      @Nullable Due due) {}

  /**
   * @param at when, in words
   * @param what is done then
   * @param late how long ago that was to begin; empty when it is to come
   */
  record Due(String at, String what, String late) {}

  /**
   * @param workshop what it is called
   * @param unnamed whether nobody has said so yet
   * @param demo whether made-up jobs are among them
   */
  record Shelf(String workshop, boolean unnamed, boolean demo, List<ShelfJob> jobs) {}

  @GetMapping("/shelf")
  Shelf shelf() {
    Map<String, Map<String, String>> seen = jobs.seen();
    Map<String, Due> due = due();
    List<ShelfJob> all =
        lists.listed().stream().map(l -> entry(l, seen, due.get(l.row().id()))).toList();
    Workshop ours = workshop.current();
    return new Shelf(ours.name(), ours.nameAssumed(), all.stream().anyMatch(ShelfJob::demo), all);
  }

  /** Takes the made-up jobs off the shelf. */
  @DeleteMapping("/shelf/demo")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeDemo() {
    jobs.deleteDemo();
  }

  /** What is next of each job whose beginning is said. */
  private Map<String, Due> due() {
    Map<String, Due> all = new HashMap<>();
    long now = workshop.now();
    ZoneId zone = workshop.current().hours().clock();
    lists
        .benchDays()
        .forEach((id, days) -> days.due(now).ifPresent(w -> all.put(id, due(w, zone, now))));
    return all;
  }

  private static Due due(JobDays.Work w, ZoneId zone, long now) {
    return new Due(
        Moments.text(Instant.ofEpochSecond(w.begin()).atZone(zone).toLocalDateTime()),
        w.what(),
        w.begin() > now ? "" : Timespan.formatMin((now - w.begin()) / 60.0));
  }

  private static ShelfJob entry(
      JobLists.Listed listed, Map<String, Map<String, String>> seen, Due due) {
    var row = listed.row();
    if (!listed.readable()) {
      return new ShelfJob(
          row.id(),
          row.name(),
          row.demo(),
          row.archived(),
          null,
          "master",
          "",
          "",
          0,
          0,
          row.changed(),
          listed.trouble(),
          "",
          null);
    }
    Summary job = listed.summary();
    return new ShelfJob(
        row.id(),
        row.name(),
        row.demo(),
        row.archived(),
        job.picture(),
        job.stage(),
        job.line(),
        job.next(seen.getOrDefault(row.id(), Map.of())),
        job.stops(),
        job.checks(),
        row.changed(),
        "",
        row.note() == null ? "" : row.note(),
        due);
  }

  /** Rendered once for what it shows, then kept. */
  @GetMapping(value = "/jobs/{id}/picture/{fingerprint}", produces = MediaType.IMAGE_PNG_VALUE)
  ResponseEntity<byte[]> picture(@PathVariable String id, @PathVariable String fingerprint)
      throws IOException {
    Job job = jobs.find(id);
    String now = Summary.picture(job.choices());
    JobMapper.Picture kept = jobs.picture(id);
    byte[] png;
    if (kept != null && kept.fingerprint().equals(now)) {
      png = kept.png();
    } else {
      png = render(job);
      jobs.keepPicture(id, now, png);
    }
    return ResponseEntity.ok()
        .cacheControl(CacheControl.maxAge(Duration.ofDays(now.equals(fingerprint) ? 365 : 0)))
        .body(png);
  }

  private byte[] render(Job job) throws IOException {
    return Named.png(
        drawings.picture(job, WIDTH, HEIGHT).orElseThrow(() -> Problem.gone("A picture")));
  }
}
