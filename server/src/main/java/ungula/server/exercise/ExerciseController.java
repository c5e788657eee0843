package ungula.server.exercise;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.exercise.Exercise;
import ungula.core.exercise.ShapeScore;
import ungula.core.plan.ShapePart;
import ungula.core.study.ShapeStudy;
import ungula.server.demo.MadeUp;
import ungula.server.job.Job;
import ungula.server.job.Jobs;
import ungula.server.model.Models;
import ungula.server.run.Rehearsals;
import ungula.server.web.Problem;

/** What can be practised, on made-up masters and without keeping anything. */
@RestController
@RequestMapping("/api/exercises")
class ExerciseController {

  private final MadeUp madeUp;
  private final Jobs jobs;
  private final Rehearsals rehearsals;

  /** Masters as they are kept, by their file's name: made once. */
  private final Map<String, Models.Stored> masters = new ConcurrentHashMap<>();

  ExerciseController(MadeUp madeUp, Jobs jobs, Rehearsals rehearsals) {
    this.madeUp = madeUp;
    this.jobs = jobs;
    this.rehearsals = rehearsals;
  }

  /**
   * @param task what is to be done
   * @param bench whether it is gone through at the bench
   */
  record ExerciseView(Exercise key, String title, String task, boolean bench) {}

  @GetMapping
  List<ExerciseView> exercises() {
    return Arrays.stream(Exercise.values())
        .map(e -> new ExerciseView(e, e.title(), e.task(), e.bench()))
        .toList();
  }

  /**
   * An exercise that is begun.
   *
   * @param job it is done on
   * @param stage where
   */
  record ExerciseBegun(String job, String stage) {}

  /** Begins one, in the place of what was practised of it before. */
  @PostMapping("/{exercise}")
  ExerciseBegun beginExercise(@PathVariable Exercise exercise) {
    Models.Stored master =
        masters.computeIfAbsent(exercise.file(), file -> madeUp.keep(exercise.master(), file));
    String job = jobs.addExercise(exercise, madeUp.choices(master, exercise.edits()));
    return new ExerciseBegun(job, exercise.stage().key());
  }

  /**
   * @param run null while its shape is looked at
   */
  record ExerciseRun(@Nullable String run) {}

  /** Goes to the bench with an exercise, once what there is to do is known. */
  @PostMapping("/jobs/{id}/run")
  ExerciseRun runExercise(@PathVariable String id) {
    Job job = jobs.find(id);
    Exercise exercise = practised(job);
    if (!job.plan().steps().whole()) {
      jobs.ask(job);
      return new ExerciseRun(null);
    }
    return new ExerciseRun(rehearsals.begin(id, exercise));
  }

  /**
   * @param score null while the shape is looked at
   */
  record ExerciseScore(String title, String task, @Nullable ShapeScore score) {}

  /** How an exercise on a shape goes. */
  @GetMapping("/jobs/{id}/score")
  ExerciseScore scoreOfExercise(@PathVariable String id) {
    Job job = jobs.find(id);
    Exercise e = practised(job);
    return new ExerciseScore(e.title(), e.task(), score(e, job).orElse(null));
  }

  private static Exercise practised(Job job) {
    String exercise = job.row().exercise();
    if (exercise == null) {
      throw Problem.gone("This exercise");
    }
    return Exercise.valueOf(exercise);
  }

  /** One shape after the other: what a job asks for stops what it asked for before. */
  private Optional<ShapeScore> score(Exercise e, Job job) {
    Optional<ShapeStudy> now = study(job);
    Job first = jobs.begun(job);
    Optional<ShapeStudy> begun = now.flatMap(s -> study(first));
    Optional<ShapeStudy> known =
        begun.flatMap(s -> study(jobs.with(first, ShapeScore.known(e, s))));
    return known.map(best -> ShapeScore.of(e, begun.get(), best, now.get(), job.choices().units()));
  }

  /** A job's shape as it was looked at; where it was not, that is asked for. */
  private Optional<ShapeStudy> study(Job job) {
    Optional<ShapeStudy> known = job.plan().plan().shape().map(ShapePart::study);
    if (known.isEmpty()) {
      jobs.ask(job);
    }
    return known;
  }
}
