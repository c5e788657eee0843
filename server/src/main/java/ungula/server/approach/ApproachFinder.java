package ungula.server.approach;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import ungula.core.approach.Ranking;
import ungula.server.job.Job;
import ungula.server.job.JobQuestions;
import ungula.server.job.JobQuestions.Approaches;
import ungula.server.job.Shapes;
import ungula.server.job.Studies;
import ungula.server.job.Studies.Question;
import ungula.server.job.WorkView;
import ungula.server.workshop.Habits;

/** Finds every mould that could be made for a job, in the background. */
@Component
class ApproachFinder {

  private final Shapes shapes;
  private final JobQuestions questions;
  private final Studies studies;
  private final Habits workshop;

  ApproachFinder(Shapes shapes, JobQuestions questions, Studies studies, Habits workshop) {
    this.shapes = shapes;
    this.questions = questions;
    this.studies = studies;
    this.workshop = workshop;
  }

  private Optional<Question<Approaches>> question(Job job) {
    return shapes.posed(job.choices()).isEmpty()
        ? Optional.empty()
        : Optional.of(
            questions.approaches(
                job.choices(), job.recorded(), job.materials(), workshop.current()));
  }

  void ask(Job job) {
    question(job)
        .filter(q -> studies.known(q).isEmpty())
        .ifPresent(q -> studies.ask(job.row().id(), q));
  }

  void stop(Job job) {
    question(job).ifPresent(studies::stop);
  }

  /**
   * How far they are found.
   *
   * @param ranked best first; nothing in it until all are found
   */
  record Found(WorkView work, Ranking.Ranked ranked) {}

  Found found(Job job) {
    Optional<Question<Approaches>> question = question(job);
    Optional<Approaches> found = question.flatMap(studies::known);
    return new Found(
        WorkView.of(question, found.isPresent(), studies),
        Ranking.of(
            found.map(Approaches::all).orElse(List.of()).stream()
                .map(a -> a.timed(job.plan().steps().timeline()))
                .toList(),
            job.choices().weights()));
  }
}
