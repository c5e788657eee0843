package ungula.core.plan;

import static ungula.core.plan.Caution.Level.NOTE;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;

import java.util.ArrayList;
import java.util.List;
import ungula.core.cutlist.CutPart;
import ungula.core.fit.Pot;
import ungula.core.quantity.Length;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Volume;
import ungula.core.working.Working;

/** Whether a mould fits what the workshop has: its pot, chamber and cutter, and a person's back. */
final class Fits {

  /** Rubber under vacuum rises to this many times its volume. */
  private static final double RISE = 5;

  private final Planner p;
  private final Workshop.Equipment equipment;
  private final List<Caution> found = new ArrayList<>();

  private Fits(Planner p) {
    this.p = p;
    this.equipment = p.workshop.equipment();
  }

  /** Adds figures to the plan's; cautions for what does not fit. */
  static List<Caution> of(Planner p) {
    Fits f = new Fits(p);
    f.pot();
    f.chamber();
    f.bed();
    f.weight();
    return f.found;
  }

  private String mm(double mm) {
    return Length.format(mm, p.units);
  }

  private void add(String id, String stage, String title, String text) {
    found.add(new Caution(id, NOTE, stage, title, text, null, List.of()));
  }

  private void pot() {
    Pot pot = equipment.pot();
    if (pot == null) {
      return;
    }
    boolean strapped = !p.choices.mould().kind().onPlate();
    Pot.Stood best = pot.best(p.box, strapped);
    Working.Builder w =
        Working.of("smallest circle round its foot and its height, stood every way, + clear of it")
            .given(
                "inside of the pot",
                "Ø " + mm(pot.diameterMm()) + ", " + mm(pot.heightMm()),
                DEFAULT)
            .given("clear all round", mm(Pot.CLEAR_MM), DEFAULT)
            .given(
                "stood " + best.text(),
                "Ø " + mm(best.circleMm()) + ", " + mm(best.highMm()),
                COMPUTED);
    if (strapped) {
      w.given("boards, each", mm(Pot.BOARD_MM), DEFAULT).given("bands", mm(Pot.BAND_MM), DEFAULT);
    }
    p.figures.put(
        "fits.pot",
        "in the pressure pot",
        best.overMm(),
        best.fits() ? "fits, stood " + best.text() : "too large by " + mm(best.overMm()),
        w.done());
    if (!best.fits()) {
      add(
          "pot.small",
          "mould",
          "The mould does not fit the pressure pot",
          "Stood "
              + best.text()
              + (strapped ? ", with its boards and bands," : "")
              + " it is too large by "
              + mm(best.overMm())
              + ". Thinner walls, another way up or a box closer to the outline may help.");
    }
  }

  private void chamber() {
    Pot chamber = equipment.chamber();
    if (chamber == null || p.mix() == null) {
      return;
    }
    double rise = RISE * p.mix().volumeMm3();
    p.figures.volume(
        "fits.chamber",
        "rises in the vacuum chamber to",
        rise,
        Working.of("one batch × how far it rises")
            .given("batch", Volume.format(p.mix().volumeMm3(), p.units), COMPUTED)
            .given("rises", Numbers.trimmed(RISE, 0) + " times", DEFAULT)
            .given("the chamber holds", Volume.format(chamber.volumeMm3(), p.units), DEFAULT)
            .done());
    if (rise > chamber.volumeMm3()) {
      add(
          "chamber.small",
          "rubber",
          "A batch rises over the vacuum chamber",
          "It would rise to "
              + Volume.format(rise, p.units)
              + ", and the chamber holds "
              + Volume.format(chamber.volumeMm3(), p.units)
              + ". Mix smaller batches, or let air in and out as it rises.");
    }
  }

  private void bed() {
    double[] bed = equipment.bedMm();
    if (bed == null) {
      return;
    }
    List<String> large =
        p.cuts.parts().stream()
            .filter(
                part ->
                    Math.max(part.lengthMm(), part.widthMm()) > bed[0]
                        || Math.min(part.lengthMm(), part.widthMm()) > bed[1])
            .map(CutPart::name)
            .toList();
    if (!large.isEmpty()) {
      add(
          "bed.small",
          "mould",
          "Larger than the cutter's bed: " + String.join(", ", large).toLowerCase(),
          "Cut by hand from the drawing, or in pieces that are joined over a batten.");
    }
  }

  private void weight() {
    double rubber = p.figures.get("rubber.boxMass") == null ? 0 : p.figures.value("rubber.boxMass");
    double together = rubber + p.figures.value("master.mass");
    if (together > equipment.liftG()) {
      add(
          "weight.lift",
          "mould",
          "It weighs " + Mass.format(together, p.units) + " with the master in it",
          "More than "
              + Mass.format(equipment.liftG(), p.units)
              + ": turn it with two, or with a hoist.");
    }
    double batch = p.amounts == null ? 0 : p.amounts.heaviestG();
    if (batch > equipment.bucketG()) {
      add(
          "weight.bucket",
          "rubber",
          "A bucket of " + Mass.format(batch, p.units),
          "More than "
              + Mass.format(equipment.bucketG(), p.units)
              + " is poured badly by hand: split the batch over buckets.");
    }
  }
}
