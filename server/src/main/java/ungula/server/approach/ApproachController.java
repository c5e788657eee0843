package ungula.server.approach;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.approach.Approach;
import ungula.core.approach.Ranking;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.working.Figure;
import ungula.core.working.KeyedBy;
import ungula.server.job.JobQuestions;
import ungula.server.job.JobQuestions.Approaches;
import ungula.server.job.Jobs;
import ungula.server.job.Shapes;
import ungula.server.job.StandController;
import ungula.server.job.Studies;
import ungula.server.job.Studies.Question;
import ungula.server.job.WorkView;
import ungula.server.workshop.Habits;

/** Every kind of mould that could be made for a job, compared. */
@RestController
@RequestMapping("/api/jobs/{id}/approaches")
class ApproachController {

  private final Jobs jobs;
  private final Shapes shapes;
  private final JobQuestions questions;
  private final Studies studies;
  private final Habits workshop;

  ApproachController(
      Jobs jobs, Shapes shapes, JobQuestions questions, Studies studies, Habits workshop) {
    this.jobs = jobs;
    this.shapes = shapes;
    this.questions = questions;
    this.studies = studies;
    this.workshop = workshop;
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

  private Optional<Question<Approaches>> question(Jobs.Job job) {
    return shapes.posed(job.choices()).isEmpty()
        ? Optional.empty()
        : Optional.of(
            questions.approaches(
                job.choices(), job.recorded(), job.materials(), workshop.current()));
  }

  @GetMapping
  ApproachesResponse approaches(@PathVariable String id) {
    return view(jobs.find(id));
  }

  /** Works them out in the background. */
  @PostMapping
  ApproachesResponse searchApproaches(@PathVariable String id) {
    Jobs.Job job = jobs.find(id);
    question(job).filter(q -> studies.known(q).isEmpty()).ifPresent(q -> studies.ask(id, q));
    return view(job);
  }

  @DeleteMapping
  ApproachesResponse stopApproaches(@PathVariable String id) {
    Jobs.Job job = jobs.find(id);
    question(job).ifPresent(studies::stop);
    return view(job);
  }

  private ApproachesResponse view(Jobs.Job job) {
    Optional<Question<Approaches>> question = question(job);
    Optional<Approaches> found = question.flatMap(studies::known);
    Ranking.Ranked ranked =
        Ranking.of(found.map(Approaches::all).orElse(List.of()), job.choices().weights());
    return new ApproachesResponse(
        WorkView.of(question, found.isPresent(), studies),
        ranked.says(),
        ranked.approaches().stream()
            .map(a -> a.asPlanned(job.plan().figures()).offered(job.choices()))
            .map(a -> view(job, a))
            .toList());
  }

  private static ApproachView view(Jobs.Job job, Approach a) {
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
