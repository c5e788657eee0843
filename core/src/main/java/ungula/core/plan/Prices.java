package ungula.core.plan;

import java.util.ArrayList;
import java.util.List;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.plan.Caution.Fix;
import ungula.core.quantity.Volume;
import ungula.core.sentence.WordBook.Edit;

/** What ways out of a caution cost: the plan is made again with them. */
final class Prices {

  private final Planner p;

  Prices(Planner plan) {
    this.p = plan;
  }

  /** A fix, with what it changes in rubber and sheet. */
  Fix fix(String label, Edit... edits) {
    return new Fix(label, price(List.of(edits)), List.of(edits));
  }

  private String price(List<Edit> edits) {
    if (p.box == null) {
      return "";
    }
    Choices changed = ChoiceWords.edit(p.choices, edits, p.product);
    if (!changed.laid().equals(p.choices.laid())) {
      // the masters would lie otherwise
      return "";
    }
    Planner after = p.totals(changed);
    double more = rubber(after) - rubber(p);
    double sheet = cost(after) - cost(p);
    List<String> parts = new ArrayList<>();
    if (Math.abs(more) > 50) {
      parts.add((more > 0 ? "+" : "−") + Volume.format(Math.abs(more), p.units) + " rubber");
    }
    if (Math.abs(sheet) >= 0.01) {
      parts.add((sheet > 0 ? "+" : "−") + p.figures.money(Math.abs(sheet)) + " sheet");
    }
    return String.join(", ", parts);
  }

  private static double rubber(Planner p) {
    return p.figures.has("rubber.box") ? p.figures.value("rubber.box") : 0;
  }

  private static double cost(Planner p) {
    return p.figures.has("box.cost") ? p.figures.value("box.cost") : 0;
  }
}
