package ungula.server.run;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import ungula.core.cast.Made;
import ungula.core.plan.PlanPart;
import ungula.core.run.Freeze;
import ungula.core.run.FreezeCast;
import ungula.core.run.RunPlan;
import ungula.server.cast.CastsMade;
import ungula.server.job.Job;
import ungula.server.job.Jobs;
import ungula.server.web.Problem;

/** What a run of a job would go by, as its plan is now. */
@Component
class Freezing {

  private static final int MOST_MOULDS = 500;

  private final Jobs jobs;
  private final CastsMade made;

  Freezing(Jobs jobs, CastsMade made) {
    this.jobs = jobs;
    this.made = made;
  }

  /**
   * @param moulds that are cast from; empty where a mould is made
   * @throws Problem while what there is to do is not known
   */
  RunPlan of(Job job, List<Integer> moulds) {
    return moulds.isEmpty() ? mould(job) : casts(job, moulds);
  }

  private RunPlan mould(Job job) {
    if (!job.plan().steps().whole()) {
      jobs.ask(job);
      throw unknown(String.join(" ", PlanPart.missing(jobs.parts(job))));
    }
    return Freeze.of(
        job.plan().steps(),
        job.plan().figures(),
        job.plan().cautions(),
        b ->
            b.batch().build()
                ? job.choices().skin().buildProduct()
                : job.choices().rubber().product());
  }

  private static Problem unknown(String missing) {
    return new Problem(
        HttpStatus.CONFLICT,
        "Nothing to begin yet",
        missing.isEmpty()
            ? "What there is to do is not known yet: finish the stages before, then begin."
            : missing + " Begin once it is known.");
  }

  private RunPlan casts(Job job, List<Integer> moulds) {
    if (job.plan().steps().casting().isEmpty()) {
      throw unknown("");
    }
    Made so = made.of(job.row().id());
    Set<Integer> fresh = moulds.stream().filter(m -> so.of(m) == 0).collect(Collectors.toSet());
    return FreezeCast.of(
        job.plan().steps(),
        moulds,
        fresh,
        job.plan().figures(),
        job.plan().cautions(),
        Objects.requireNonNullElse(job.choices().cast().product(), ""));
  }

  /**
   * Numbers of moulds as they stand in an address or a row: "1,2".
   *
   * @throws Problem when they are none
   */
  static List<Integer> moulds(String text) {
    List<Integer> all = new ArrayList<>();
    for (String number : text.isEmpty() ? new String[0] : text.split(",")) {
      boolean right = number.matches("[1-9]\\d{0,2}") && Integer.parseInt(number) <= MOST_MOULDS;
      if (!right || all.contains(Integer.valueOf(number)) || all.size() >= 50) {
        throw new Problem(
            HttpStatus.UNPROCESSABLE_CONTENT,
            "Which moulds?",
            "Say which moulds are filled, each once, such as 1,2.");
      }
      all.add(Integer.valueOf(number));
    }
    return List.copyOf(all);
  }
}
