package ungula.core.caution;

import java.util.ArrayList;
import java.util.List;
import ungula.core.caution.Caution.Fix;
import ungula.core.caution.Caution.Level;
import ungula.core.caution.Caution.Place;
import ungula.core.geometry.Vec3;
import ungula.core.plan.Plan;
import ungula.core.plate.Laying;
import ungula.core.plate.OnPlate;
import ungula.core.plate.Plate;
import ungula.core.quantity.Length;
import ungula.core.quantity.Volume;
import ungula.core.sentence.WordBook.Edit;

/** What is amiss with how several masters lie on one plate. */
final class PlateCautions {

  /** Less than this share of the rubber is not worth moving masters for. */
  private static final double WORTH = 0.08;

  /** Land is not called too little for less than this. */
  private static final double NEAR_MM = 0.2;

  private final Plan p;
  private final Plate plate;
  private final OnPlate on;

  private PlateCautions(Plan p) {
    this.p = p;
    this.plate = p.choices().laid();
    this.on = p.facts().onPlate().get();
  }

  static List<Caution> of(Plan p) {
    List<Caution> found = new ArrayList<>();
    if (p.plate().isPresent() && !p.choices().laid().moves()) {
      new PlateCautions(p).find(found);
    }
    return found;
  }

  private void find(List<Caution> found) {
    double least = on.leastLandMm();
    double now = on.boxMm2();
    double savedMm3 = (now - on.closeBoxMm2()) * p.mould().pourLineMm();
    Fix close =
        new Fix(
            "Lay them " + Laying.CLOSE.text(),
            price(savedMm3),
            List.of(Edit.of("plate.laying", Laying.CLOSE.name())));
    if (least < plate.landMm() - NEAR_MM) {
      Vec3 at = on.closest();
      found.add(
          new Caution(
              "plate.land",
              Level.CHECK,
              "mould",
              "Two masters are close to each other",
              "Only "
                  + mm(least)
                  + " of rubber is left between them; so thin a wall gives way as the next cast is"
                  + " poured, and tears first.",
              new Place(at.x(), at.y(), 0),
              List.of(close)));
    } else if (savedMm3 > WORTH * p.mould().rubberMm3()) {
      found.add(
          new Caution(
              "plate.wide",
              Level.NOTE,
              "mould",
              "The masters could lie closer",
              "With " + mm(plate.landMm()) + " between them they take a smaller box.",
              null,
              List.of(close)));
    }
  }

  private String price(double savedMm3) {
    return (savedMm3 > 0 ? "−" : "+") + Volume.format(Math.abs(savedMm3), p.units()) + " rubber";
  }

  private String mm(double mm) {
    return Length.format(mm, p.units());
  }
}
