package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;

import java.util.Optional;
import ungula.core.plate.OnPlate;
import ungula.core.plate.Plate;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;

/** Several masters on one plate. */
public record PlatePart(Brief brief, OnPlate on) implements Part {

  /** Empty where there are not several. */
  static Optional<PlatePart> of(Brief b) {
    if (!b.poured() || !b.choices().mould().kind().onPlate()) {
      return Optional.empty();
    }
    OnPlate on = b.facts().onPlate().get();
    return on.masters() < 2 ? Optional.empty() : Optional.of(new PlatePart(b, on));
  }

  @Override
  public void show(FigureBook figures) {
    Plate plate = brief.choices().laid();
    figures.put(
        "plate.masters",
        "masters on the plate",
        on.masters(),
        on.masters() + " masters",
        Working.of("bodies of the model that do not lie over each other × copies")
            .given("in the model", on.masters() / plate.copies() + "", COMPUTED)
            .given("copies", plate.copies() + "", CHOSEN)
            .done());
    if (plate.copies() > 1) {
      figures.put(
          "plate.copies",
          "copies of the model",
          plate.copies(),
          plate.copies() + " copies",
          Working.of("as chosen").given("copies", plate.copies() + "", CHOSEN).done());
    }
    figures.length(
        "plate.land",
        "least land",
        on.leastLandMm(),
        Working.of("least distance between the outlines of two masters, seen from above")
            .given("asked for", brief.mm(plate.landMm()), CHOSEN)
            .plusMinus("± 0.1 mm on a hand’s length, on the safe side")
            .done());
  }
}
