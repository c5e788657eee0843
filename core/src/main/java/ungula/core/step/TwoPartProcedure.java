package ungula.core.step;

import ungula.core.parting.Bedding;
import ungula.core.parting.Parting;
import ungula.core.plan.Plan;
import ungula.core.plan.Touching.What;
import ungula.core.step.Step.Hold;
import ungula.core.step.Step.Takes;
import ungula.core.workshop.Rate;

/** Two halves, the second poured against the first. */
final class TwoPartProcedure extends Procedure {

  private final Parting parting;
  private final VentSteps vents;

  TwoPartProcedure(Plan p, StepList steps) {
    super(p, steps);
    this.parting = p.parting().orElseThrow();
    this.vents = new VentSteps(p, steps);
  }

  void steps() {
    master();
    bed();
    BlockProcedure.box(p, steps);
    if (seals(What.BEDDING)) {
      sealed("bed", "Seal the bedding: two thin coats, each dry before the next.");
    }
    release("release", What.MASTER, What.BEDDING, What.BOX);
    PourSteps pours = new PourSteps(p, steps);
    steps.part("First half");
    pours.pour(
        1,
        "Pour the upper half: "
            + b.ml(parting.upperMm3())
            + ", to "
            + b.mm(p.mould().pourLineMm())
            + " above the base.");
    steps.part("Second half");
    steps
        .hands(
            "turn",
            steps.rate(Rate.TURN),
            "Turn everything over in its box, the first half down, and let the walls down onto the"
                + " base. Take the bedding out; leave the master where it is. Clean the seam.")
        .holds(Hold.MOULD, Hold.MASTER)
        .against("weight.lift")
        .add();
    released("turn.release", "Brush release on all bare rubber, twice.");
    pours.pour(
        2,
        "Pour the lower half: "
            + b.ml(parting.lowerMm3())
            + ", to "
            + b.mm(p.mould().pourLineMm())
            + " above the base again.");
    steps.part("Open");
    steps
        .hands("open", steps.rate(Rate.OPEN), "Open the halves and take the master out.")
        .holds(Hold.MOULD, Hold.MASTER)
        .against("parting.locked")
        .add();
    vents.cut("vents.cut");
    BlockProcedure.wash(p, steps);
  }

  private void bed() {
    steps.part("Bedding");
    String level = b.mm(parting.levelMm());
    boolean clay = b.choices().parting().bedding() != Bedding.BOARD;
    Takes takes =
        steps
            .rate(Rate.BED)
            .and(steps.rate(Rate.BED_SEAM, parting.seamMm() / 1000, b.mm(parting.seamMm())));
    steps
        .hands(
            "bed",
            takes,
            clay
                ? "Bed the master in clay up to the parting, "
                    + level
                    + " above the base: "
                    + b.ml(parting.lowerMm3())
                    + "."
                : "Stand the master on its risers, and a board cut to its outline round it, its top "
                    + level
                    + " above the base. Close the gap round the master with clay.")
        .holds(Hold.MASTER)
        .shows("parting.level", "parting.clay", "parting.riserLeft", "parting.riserRight")
        .against("parting.locked", "parting.clean", "parting.thin", "contact.bedding")
        .add();
    int keys = parting.keys().size();
    if (keys > 0) {
      steps
          .hands(
              "bed.keys",
              steps.rate(Rate.KEYS, keys, keys + " keys"),
              "Set the "
                  + (keys == 1 ? "1 key" : keys + " keys")
                  + " as drawn: balls on the bedding where the lower half gets one, hollows pressed"
                  + " in where the upper does.")
          .shows("parting.keys")
          .against("parting.room")
          .add();
    }
    if (parting.ring() != null) {
      steps
          .hands(
              "bed.ring",
              steps.rate(Rate.KEYS, 1, ""),
              "Lay the seal ring on the bedding, as drawn.")
          .shows("parting.ring")
          .add();
    }
    vents.set("bed.vents", "on the bedding, from the master to the wall");
  }
}
