package ungula.server.days;

import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.offer.DaysOffers;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.step.DayPlan;
import ungula.core.step.Timeline;
import ungula.core.step.Timeline.Kept;
import ungula.server.job.Job;
import ungula.server.job.Jobs;
import ungula.server.web.Named;

/** When a job is done. */
@RestController
@RequestMapping("/api/jobs/{id}/days")
class DaysController {

  private final Jobs jobs;
  private final DaysViews views;

  DaysController(Jobs jobs, DaysViews views) {
    this.jobs = jobs;
    this.views = views;
  }

  @GetMapping
  DaysResponse days(@PathVariable String id) {
    return views.view(jobs.find(id));
  }

  /** Every step with its planned times. RFC 4180, UTF-8. */
  @GetMapping(value = "/steps.csv", produces = "text/csv;charset=UTF-8")
  ResponseEntity<String> stepsCsv(@PathVariable String id) throws IOException {
    Job job = jobs.find(id);
    DaysViews.check(job);
    Optional<DayPlan> days = DayPlan.of(job.plan().steps());
    StringBuilder csv = new StringBuilder();
    try (CSVPrinter out = new CSVPrinter(csv, CSVFormat.RFC4180)) {
      out.printRecord("step", "part", "what", "kind", "begin", "end", "minutes");
      for (DayPlan.Placed p : days.map(DayPlan::steps).orElse(List.of())) {
        Timeline line = days.get().line();
        out.printRecord(
            p.step().key(),
            p.step().part(),
            p.step().what(),
            p.step().kind().name().toLowerCase(Locale.ROOT),
            line.at(p.span().begin()).toOffsetDateTime(),
            line.at(p.span().end()).toOffsetDateTime(),
            Math.round(Timeline.minutes(p.span().begin(), p.span().end())));
      }
    }
    return Named.attachment(job.row().name() + ", steps.csv").body(csv.toString());
  }

  /**
   * What another beginning would cost: nothing is saved.
   *
   * @param begin how it was understood
   * @param says what becomes of the finish
   */
  record BegunThen(String begin, String says) {}

  /**
   * @param begin as one would type it
   */
  @GetMapping("/begun")
  BegunThen begun(@PathVariable String id, @RequestParam String begin) {
    Job job = jobs.find(id);
    Timeline now = job.plan().steps().timeline();
    Timeline then = jobs.with(job, List.of(Edit.of("days.begin", begin))).plan().steps().timeline();
    return new BegunThen(
        DaysViews.text(then, then.begin()),
        then.kept() == Kept.HOURS
            ? "finished " + DaysOffers.change(now.end(), then.end())
            : "not in your hours");
  }
}
