package ungula.server.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import ungula.core.caution.Caution;
import ungula.core.choice.Choices;
import ungula.core.choice.MasterSource;
import ungula.core.job.JobPlan;
import ungula.core.job.Stage;
import ungula.core.job.Undecided;
import ungula.core.plan.PlanPart;
import ungula.core.working.Figure;

/**
 * What lists show of a job.
 *
 * @param model file its shape is from; null for any other
 * @param picture fingerprint of its picture; null when there is nothing to draw
 * @param stage furthest stage reached: master, mould or rubber
 * @param line the mould in one line
 * @param stop what stops it first; empty when nothing does
 * @param undecided what is still open, in words
 * @param weigh what is weighed first; empty while nothing can be
 * @param stops how many cautions stop it
 * @param checks how many ask for a look
 * @param stages what each stage builds on
 * @param needs of each product
 * @param whole whether none of its plan is being worked out: if not, a study may change it
 * @param known whether all of it is known
 */
record Summary(
    String model,
    String picture,
    String stage,
    String line,
    String stop,
    List<String> undecided,
    String weigh,
    int stops,
    int checks,
    Map<String, Stage.Basis> stages,
    List<Job.Needed> needs,
    boolean whole,
    boolean known) {

  static Summary of(Job job, boolean drawn) {
    JobPlan plan = job.plan();
    boolean stopped = plan.stopped();
    Figure base = plan.figures().get("mix.base");
    Figure hardener = plan.figures().get("mix.hardener");
    Choices c = job.choices();
    return new Summary(
        c.master().source() == MasterSource.FILE ? c.master().model() : null,
        drawn ? picture(c) : null,
        plan.plan().firstMix().isPresent()
            ? "rubber"
            : plan.plan().inBox().isPresent() ? "mould" : "master",
        line(job),
        stopped ? plan.cautions().get(0).title() : "",
        plan.undecided().stream().map(Undecided::text).toList(),
        base == null ? "" : "Weigh " + base.text() + " + " + hardener.text(),
        count(plan, Caution.Level.STOP),
        count(plan, Caution.Level.CHECK),
        plan.stages(),
        job.needs(),
        whole(plan),
        plan.parts().stream().allMatch(p -> p.state() == PlanPart.State.KNOWN));
  }

  /** Whether no study may change a plan. */
  static boolean whole(JobPlan plan) {
    return plan.parts().stream().noneMatch(p -> p.state() == PlanPart.State.BEING_WORKED_OUT);
  }

  /** Changes when its picture does. */
  static String picture(Choices c) {
    return Choices.fingerprint(c.master(), c.pose(), c.laid(), c.mould(), c.skin());
  }

  private static int count(JobPlan plan, Caution.Level level) {
    return (int) plan.cautions().stream().filter(c -> c.level() == level).count();
  }

  private static String line(Job job) {
    List<String> parts = new ArrayList<>();
    Figure rubber = job.plan().figures().get("rubber.box");
    if (rubber != null) {
      parts.add(rubber.text());
    }
    if (job.product() != null) {
      parts.add(job.product().name());
    }
    return String.join(" · ", parts);
  }

  /**
   * What to do next.
   *
   * @param seen what each stage was last looked at on, by its key
   */
  String next(Map<String, String> seen) {
    if (!stop.isEmpty()) {
      return stop;
    }
    if (!undecided.isEmpty()) {
      return "Open: " + String.join(", ", undecided);
    }
    boolean again =
        stages.entrySet().stream()
            .anyMatch(s -> s.getValue().state(seen.get(s.getKey())) == Stage.State.LOOK_AGAIN);
    return again ? "Something changed: look again" : weigh;
  }
}
