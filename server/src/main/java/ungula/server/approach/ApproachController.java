package ungula.server.approach;

import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.approach.Approach;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.working.Figure;
import ungula.core.working.KeyedBy;
import ungula.server.job.Job;
import ungula.server.job.Jobs;
import ungula.server.job.StandController;
import ungula.server.job.WorkView;

/** Every kind of mould that could be made for a job, compared. */
@RestController
@RequestMapping("/api/jobs/{id}/approaches")
class ApproachController {

  private final Jobs jobs;
  private final ApproachFinder finder;

  ApproachController(Jobs jobs, ApproachFinder finder) {
    this.jobs = jobs;
    this.finder = finder;
  }

  /**
   * @param picture of the master standing so
   * @param now whether it is what is chosen
   * @param reason why it cannot work; empty when it can
   * @param edits that choose it
   */
  record ApproachView(
      String kind,
      String title,
      String picture,
      boolean now,
      String reason,
      List<Edit> edits,
      @KeyedBy("ApproachFigure") Map<String, Figure> figures) {}

  /**
   * @param says which to take and why; empty while nothing is known, or nothing works
   * @param approaches best first, what cannot work last
   */
  record ApproachesResponse(WorkView work, String says, List<ApproachView> approaches) {}

  @GetMapping
  ApproachesResponse approaches(@PathVariable String id) {
    return view(jobs.find(id));
  }

  /** Works them out in the background. */
  @PostMapping
  ApproachesResponse searchApproaches(@PathVariable String id) {
    Job job = jobs.find(id);
    finder.ask(job);
    return view(job);
  }

  @DeleteMapping
  ApproachesResponse stopApproaches(@PathVariable String id) {
    Job job = jobs.find(id);
    finder.stop(job);
    return view(job);
  }

  private ApproachesResponse view(Job job) {
    ApproachFinder.Found found = finder.found(job);
    return new ApproachesResponse(
        found.work(),
        found.ranked().says(),
        found.ranked().approaches().stream()
            .map(a -> a.asPlanned(job.plan().figures()).offered(job.choices()))
            .map(a -> view(job, a))
            .toList());
  }

  private static ApproachView view(Job job, Approach a) {
    return new ApproachView(
        a.kind().name(),
        a.title(),
        StandController.picture(job, a.turn()),
        a.now(),
        a.reason(),
        a.edits(),
        a.figures());
  }
}
