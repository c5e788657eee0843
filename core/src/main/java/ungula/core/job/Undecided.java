package ungula.core.job;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import ungula.core.plan.Plan;

/**
 * Something a plan is not whole without, and nobody has decided.
 *
 * @param word of the job that decides it
 * @param stage the word stands on
 * @param text what it is
 */
public record Undecided(String word, Stage stage, String text) {

  /**
   * Of a plan: from the master on; from the casting material backwards where that was decided
   * first.
   */
  static List<Undecided> of(Plan p) {
    List<Undecided> all = new ArrayList<>();
    if (p.facts() == null) {
      all.add(new Undecided("master.source", Stage.MASTER, "the master's shape and size"));
    }
    if (p.choices().rubber().product() == null) {
      all.add(new Undecided("rubber.product", Stage.RUBBER, "the rubber"));
    }
    if (p.choices().decided("cast.material")) {
      Collections.reverse(all);
    }
    return List.copyOf(all);
  }
}
