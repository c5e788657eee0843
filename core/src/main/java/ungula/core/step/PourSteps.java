package ungula.core.step;

import java.util.List;
import ungula.core.mould.Filling;
import ungula.core.plan.Plan;
import ungula.core.plan.PourPart;
import ungula.core.pour.Bubbles;
import ungula.core.pour.Pace;
import ungula.core.quantity.Mass;
import ungula.core.rubber.Mix;
import ungula.core.rubber.Product;
import ungula.core.step.Step.Hold;
import ungula.core.step.Step.Noted;
import ungula.core.working.Given;

/** Weighing, stirring and pouring the batches of a pour, without a break between them. */
final class PourSteps extends Procedure {

  private static final double USUAL_TACKY_MIN = 60;

  private final Pace pace;
  private final Bubbles bubbles;

  PourSteps(Plan p, StepList steps) {
    super(p, steps);
    this.pace = b.workshop().mixing().pace();
    this.bubbles = b.choices().rubber().bubbles();
  }

  /**
   * @param pour from 1
   * @param to the line it is poured to, as a sentence with all its rubber
   */
  void pour(int pour, String to) {
    String key = "pour." + pour;
    tins(key);
    List<PourPart.Batch> batches =
        p.pours().map(PourPart::list).orElse(List.of()).stream()
            .filter(t -> t.batch().pour() == pour)
            .toList();
    if (batches.isEmpty()) {
      steps
          .hands(key + ".1.pour", usual(0, "while no rubber is chosen that can be weighed"), to)
          .add();
    }
    String first = pour == 1 && insideFirst() ? "Fill the inside of the master first. " : "";
    for (PourPart.Batch t : batches) {
      boolean last = t == batches.get(batches.size() - 1);
      String where =
          last
              ? to
              : t.sealing()
                  ? "Pour it in slowly, all over the base."
                  : "Pour it in, in the same place.";
      batch(t, batches.size() > 1, t == batches.get(0) ? first + where : where);
      if (t.sealing()) {
        tacky(t);
      }
    }
    cure(key, "Let it cure, level and undisturbed.");
    witness(key);
  }

  private boolean insideFirst() {
    return b.choices().mould().filling() == Filling.INSIDE_FIRST
        && p.shape().filter(s -> !s.study().rubber().empties().cups().isEmpty()).isPresent();
  }

  static String key(PourPart.Batch t) {
    return "pour." + t.batch().pour() + "." + t.batch().batch();
  }

  /** A sealing pour closes joints, and is what the rest bonds to while it is tacky. */
  private void tacky(PourPart.Batch t) {
    steps
        .wait(
            key(t) + ".tacky",
            p.pours()
                .map(all -> all.tackyMin(t))
                .map(
                    min ->
                        Step.Takes.of(min, gelFrom(), "gel time, less what is past")
                            .faster(b.product().factorPerTen()))
                .orElse(usual(USUAL_TACKY_MIN, "until a sheet says")),
            "Let it turn tacky: it takes a fingerprint and leaves nothing on the glove.")
        .why("Tacky, it holds air under the master back, and the rest still bonds to it.")
        .unbroken("pour." + t.batch().pour())
        .against("batch.sealed")
        .add();
  }

  private Given.Source gelFrom() {
    return b.product().gelMin() == null ? Given.Source.DEFAULT : Given.Source.SHEET;
  }

  private Step.Takes paced(double minutes, String how) {
    return Step.Takes.of(minutes, Given.Source.DEFAULT, how + ", as on the Workshop page");
  }

  private void batch(PourPart.Batch t, boolean several, String to) {
    String key = key(t);
    String group = "pour." + t.batch().pour();
    String of =
        t.sealing()
            ? "Sealing pour: weigh "
            : several ? "Batch " + t.batch().number() + ": weigh " : "Weigh ";
    Mix mix = t.mix();
    Product.Role role = b.product().role();
    steps
        .hands(
            key + ".weigh",
            paced(pace.measureMin(), "weighing"),
            of
                + Mass.format(mix.baseG(), p.units())
                + " of "
                + role.first()
                + " and "
                + Mass.format(mix.hardenerG(), p.units())
                + " of "
                + role.second()
                + ".")
        .unbroken(group)
        .holds(Hold.SCALE)
        .shows(t.batch().base(), t.batch().hardener(), t.batch().key() + ".fill")
        .against("batch.scale", "batch.heavy", "room.hot", "room.dry", "room.damp", "ratio.off")
        .notes(Noted.MASS_A, Noted.MASS_B, Noted.ROOM)
        .add();
    steps
        .hands(
            key + ".stir",
            paced(pace.mixMin(), "stirring"),
            "Stir slowly, scraping sides and bottom.")
        .why("The pot life runs from when the parts meet.")
        .unbroken(group)
        .shows("rubber.potLife", t.batch().key() + ".by")
        .against("batch.clock")
        .notes(Noted.BEGUN)
        .add();
    steps
        .hands(
            key + ".cup",
            paced(pace.secondCupMin(), "second cup"),
            "Scrape it over into a second cup, and stir again.")
        .why("What clings to the first cup is not mixed, and does not cure.")
        .unbroken(group)
        .add();
    if (bubbles.vacuum()) {
      steps
          .hands(
              key + ".degas",
              paced(pace.airMin(bubbles), "degassing"),
              bubbles.cups() > 1
                  ? "Divide it between two cups alike and degas them side by side until the foam"
                      + " has gone down."
                  : "Degas it until the foam has gone down.")
          .unbroken(group)
          .holds(Hold.CHAMBER)
          .shows("pump.left")
          .against("batch.pump", "batch.shallow", "batch.chamber")
          .notes(Noted.GAUGE)
          .add();
    }
    steps
        .hands(key + ".pour", paced(pace.pouringMin(t.mm3()), "in a high thin stream"), to)
        .unbroken(group)
        .holds(Hold.MOULD)
        .shows(t.batch().key() + ".level", t.batch().key() + ".by")
        .against("batch.late", t.batch().pour() == 1 ? "batch.seam" : "batch.seam.2")
        .notes(Noted.ENDED)
        .add();
    if (bubbles == Bubbles.VIBRATED) {
      steps
          .hands(
              key + ".vibrate",
              paced(pace.airMin(bubbles), "vibrating"),
              "Vibrate it while the rubber still flows.")
          .unbroken(group)
          .add();
    }
    if (t.levelMm() != null) {
      steps
          .gate(key + ".level", "Read the level: " + b.mm(t.levelMm()) + " above the base.")
          .why("More than 5 % short, it leaks or the master lifts.")
          .unbroken(group)
          .shows(t.batch().key() + ".level")
          .notes(Noted.LEVEL)
          .add();
    }
  }
}
