package ungula.server.days;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.days.Moments;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.step.Steps;
import ungula.core.step.Timeline;
import ungula.core.step.Timeline.Kept;
import ungula.server.job.Jobs;

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

  /**
   * What another beginning would cost: nothing is saved.
   *
   * @param begin how it was understood
   * @param finish when it would be finished
   * @param later how much later than now, minutes; earlier is negative
   * @param fits whether it keeps to the hours of work
   */
  record BegunThen(String begin, String finish, double later, boolean fits) {}

  /**
   * @param begin as one would type it
   */
  @GetMapping("/begun")
  BegunThen begun(@PathVariable String id, @RequestParam String begin) {
    Jobs.Job job = jobs.find(id);
    Steps now = job.plan().steps();
    Timeline then = jobs.with(job, List.of(Edit.of("days.begin", begin))).plan().steps().timeline();
    return new BegunThen(
        Moments.text(then.at(then.begin()).toLocalDateTime()),
        DaysViews.text(then, then.end()),
        Timeline.minutes(now.timeline().end(), then.end()),
        then.kept() == Kept.HOURS);
  }
}
