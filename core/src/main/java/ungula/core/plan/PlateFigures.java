package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;

import ungula.core.plate.OnPlate;
import ungula.core.plate.Plate;
import ungula.core.quantity.Length;
import ungula.core.working.Working;

/** The numbers of several masters on one plate. */
final class PlateFigures {

  private PlateFigures() {}

  /** Adds them to the plan's, where there are several. */
  static void add(Planner p) {
    if (!p.choices.mould().kind().onPlate()) {
      return;
    }
    OnPlate on = p.facts.onPlate().get();
    if (on.masters() < 2) {
      return;
    }
    Plate plate = p.choices.laid();
    p.figures.put(
        "plate.masters",
        "masters on the plate",
        on.masters(),
        on.masters() + " masters",
        Working.of("bodies of the model that do not lie over each other × copies")
            .given("in the model", on.masters() / plate.copies() + "", COMPUTED)
            .given("copies", plate.copies() + "", CHOSEN)
            .done());
    if (plate.copies() > 1) {
      p.figures.put(
          "plate.copies",
          "copies of the model",
          plate.copies(),
          plate.copies() + " copies",
          Working.of("as chosen").given("copies", plate.copies() + "", CHOSEN).done());
    }
    p.figures.length(
        "plate.land",
        "least land",
        on.leastLandMm(),
        Working.of("least distance between the outlines of two masters, seen from above")
            .given("asked for", Length.format(plate.landMm(), p.units), CHOSEN)
            .plusMinus("± 0.1 mm on a hand’s length, on the safe side")
            .done());
  }
}
