package ungula.server.exercise;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.exercise.Exercise;
import ungula.core.exercise.ShapeScore;
import ungula.core.quantity.Units;
import ungula.core.sentence.WordBook.Edit;
import ungula.server.demo.MadeUp;
import ungula.server.job.Asked;
import ungula.server.job.Job;
import ungula.server.job.Jobs;
import ungula.server.job.ShapeAsked;
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
        masters.computeIfAbsent(exercise.file(), file -> madeUp.keep(exercise::master, file));
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

  private Optional<ShapeScore> score(Exercise e, Job job) {
    Units units = job.choices().units();
    return e == Exercise.TWO_VENTS
        ? score(job, ShapeAsked::cast, ShapeScore::bestVents)
            .map(s -> ShapeScore.vents(s.begun, s.known, s.now, units))
        : score(job, ShapeAsked::rubber, ShapeScore::bestTip)
            .map(s -> ShapeScore.tilt(s.begun, s.known, s.now, units));
  }

  /**
   * What a shape decides.
   *
   * @param begun as the exercise began
   * @param known the same, done as well as is known
   * @param now as it is
   */
  private record Scored<S>(S begun, S known, S now) {}

  /** One shape after the other: what a job asks for stops what it asked for before. */
  private <S> Optional<Scored<S>> score(
      Job job, Function<ShapeAsked, Asked<S>> part, Function<S, List<Edit>> best) {
    Job first = jobs.begun(job);
    return jobs.answer(job, part)
        .flatMap(
            now ->
                jobs.answer(first, part)
                    .flatMap(
                        begun ->
                            jobs.answer(jobs.with(first, best.apply(begun)), part)
                                .map(known -> new Scored<>(begun, known, now))));
  }
}
