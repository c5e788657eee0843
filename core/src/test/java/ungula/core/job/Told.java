package ungula.core.job;

import java.util.List;
import ungula.core.step.Step;

/** What a plan tells somebody to do. */
final class Told {

  private Told() {}

  /** A sentence a step, in the order of work. */
  static List<String> order(JobPlan plan) {
    return plan.steps().making().stream().map(Step::what).toList();
  }
}
