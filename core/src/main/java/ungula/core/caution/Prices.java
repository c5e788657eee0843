package ungula.core.caution;

import java.util.ArrayList;
import java.util.List;
import ungula.core.caution.Caution.Fix;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.plan.Plan;
import ungula.core.plan.Planner;
import ungula.core.quantity.Volume;
import ungula.core.sentence.WordBook.Edit;

/** What ways out of a caution cost: the plan is made again with them. */
final class Prices {

  private final Plan p;

  Prices(Plan plan) {
    this.p = plan;
  }

  /** A fix, with what it changes in rubber and sheet. */
  Fix fix(String label, Edit... edits) {
    return new Fix(label, price(List.of(edits)), List.of(edits));
  }

  private String price(List<Edit> edits) {
    if (p.box().isEmpty()) {
      return "";
    }
    Choices changed = ChoiceWords.edit(p.choices(), edits, p.product());
    if (!changed.laid().equals(p.choices().laid())) {
      // the masters would lie otherwise
      return "";
    }
    Planner.Totals after = Planner.totals(p, changed);
    double more = after.rubberMm3() - p.rubberMm3();
    double now = p.poured() ? p.box().orElseThrow().sheetCost() : 0;
    double sheet = after.sheetCost() - now;
    List<String> parts = new ArrayList<>();
    if (Math.abs(more) > 50) {
      parts.add((more > 0 ? "+" : "−") + Volume.format(Math.abs(more), p.units()) + " rubber");
    }
    if (Math.abs(sheet) >= 0.01) {
      parts.add((sheet > 0 ? "+" : "−") + p.book().money(Math.abs(sheet)) + " sheet");
    }
    return String.join(", ", parts);
  }
}
