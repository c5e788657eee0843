package ungula.core.step;

import java.util.Optional;
import ungula.core.castlabel.PlacedLabel;
import ungula.core.cutline.CutLine;
import ungula.core.cutline.Extent;
import ungula.core.mould.MouldKind;
import ungula.core.plan.Plan;
import ungula.core.plan.Touching.What;
import ungula.core.quantity.Area;
import ungula.core.quantity.Length;
import ungula.core.quantity.Units;
import ungula.core.rubber.Product;
import ungula.core.step.Step.Hold;
import ungula.core.step.Step.Takes;
import ungula.core.workshop.Rate;

/** A block poured in one go round one master or several, pulled off or cut open. */
final class BlockProcedure extends Procedure {

  /** A mould so many times as long as it is thick bends under its own weight. */
  private static final double FLAT = 6;

  BlockProcedure(Plan p, StepList steps) {
    super(p, steps);
  }

  void steps() {
    VentSteps vents = new VentSteps(p, steps);
    master();
    boolean open = b.choices().mould().kind() == MouldKind.OPEN;
    steps.part("Box");
    steps
        .hands("fix", steps.rate(Rate.FIX, masters(), ""), open ? fixed() : standing())
        .called(open ? "" : "hang master")
        .holds(Hold.MASTER)
        .shows("plate.masters", "plate.land")
        .against("master.floats", "sprue.heavy", "plate.wide", "plate.land")
        .add();
    if (!open) {
      marks();
    }
    vents.set("vents.set", "from the master to the base");
    box(p, steps);
    release("release", What.MASTER, What.BOX);
    steps.part("Pour");
    new PourSteps(p, steps)
        .pour(
            1,
            "Pour to the line, "
                + b.mm(p.mould().pourLineMm())
                + " above the base: "
                + b.ml(p.rubberMm3())
                + " in all.");
    steps.part("Open");
    if (open) {
      steps
          .hands(
              "open",
              steps.rate(Rate.OPEN),
              "Take the walls off, trim the lip where rubber crept up them, and "
                  + (threaded()
                      ? "unscrew the mould from the master: turn it, do not pull."
                      : "pull the mould off."))
          .holds(Hold.MOULD, Hold.MASTER)
          .against("locks.stretch", "mould.leans")
          .add();
    } else {
      cutOpen();
    }
    vents.cut("vents.cut");
    wash(p, steps);
  }

  /** Set before the walls stand: there is room to press it down. */
  private static void label(Plan p, PlacedLabel l, StepList steps) {
    steps
        .hands(
            "label",
            steps.rate(Rate.LABEL),
            "Glue the label "
                + l.where(p.mould().inside(), p.brief()::mm)
                + ", its letters away from it, and close the gap round it with wax.")
        .why(
            "Its text is mirrored, to read right in the rubber. Of printed resin it is a surface"
                + " like a printed master: patch it, or seal it.")
        .shows("label.size", "label.rubber")
        .against("label.room", "label.fine", "label.letters")
        .add();
  }

  static void box(Plan p, StepList steps) {
    p.placedLabel().ifPresent(l -> label(p, l, steps));
    double joints = p.mould().sealMm();
    steps
        .hands(
            "box",
            steps
                .rate(Rate.BOX)
                .and(steps.rate(Rate.JOINT, joints / 1000, Length.run(joints, p.units()))),
            "Set the walls up round it and seal all "
                + Length.run(joints, p.units())
                + " of joints. Level it both ways"
                + (p.mould().levelMatters()
                    ? ", first along the "
                        + p.brief().mm(p.mould().inside().spanMm())
                        + " with a straight edge: one degree costs "
                        + p.brief().mm(p.mould().slopeMm(1))
                        + " of rubber."
                    : "."))
        .shows("box.inside", "box.outside", "box.seal")
        .against(
            "box.bows",
            "box.level",
            "box.seal",
            "wall.thin",
            "wall.tears",
            "wall.none",
            "pour.low",
            "bed.small",
            "board.small",
            "board.short")
        .add();
  }

  static void wash(Plan p, StepList steps) {
    steps
        .hands(
            "wash",
            steps.rate(Rate.WASH),
            p.poured() && p.mould().inside().spanMm() > FLAT * p.mould().pourLineMm()
                ? "Wash the mould, let it dry, and keep it flat on a board, the cavity up: so thin"
                    + " for its length it takes the shape of what it lies on."
                : "Wash the mould and let it dry.")
        .why("Damp foams resin, and dust shows on the first cast.")
        .add();
  }

  private double masters() {
    return p.plate().map(plate -> plate.on().masters()).orElse(1);
  }

  private void cutOpen() {
    Optional<CutLine> cut = p.cut();
    Takes opening = steps.rate(Rate.OPEN);
    Takes takes =
        cut.map(
                c ->
                    opening.and(
                        steps.rate(
                            Rate.CUT,
                            c.areaMm2() / 10_000,
                            Area.format(c.areaMm2(), Units.METRIC))))
            .orElse(opening);
    steps
        .hands(
            "open",
            takes,
            "Take the walls off, trim the lip where rubber crept up them, and cut it open"
                + cut.map(c -> " at " + c.side()).orElse("")
                + ", jagged, in big steps outside and fine ones near the cavity; "
                + (b.choices().cut().extent() == Extent.ROUND
                    ? "right round, until it comes apart in two."
                    : "leave the other side whole as a hinge.")
                + " Take the master out.")
        .holds(Hold.MOULD, Hold.MASTER)
        .shows("cut.towards", "cut.area")
        .against("cut.clean", "cut.locked", "cut.thick")
        .add();
  }

  /** What the knife goes by: seen through clear rubber, felt and drawn where it is opaque. */
  private void marks() {
    Product product = b.product();
    if (p.cut().isEmpty() || product == null) {
      return;
    }
    boolean clear = product.clear() == Product.Clarity.CLEAR;
    steps
        .hands(
            "cut.mark",
            usual(5, "a line, or two dents"),
            clear
                ? "Lay thin tape on the master along the line of the cut: you see it through the"
                    + " rubber."
                : "Press two unlike dents into the base, one towards "
                    + p.cut().get().side()
                    + ": the block shows by them which way it lay. Keep the drawing of the cut.")
        .called("mark cut")
        .holds(Hold.MASTER)
        .shows("cut.towards")
        .add();
  }

  private String standing() {
    return "Hang or stand the master on its sprue, "
        + b.mm(p.mould().belowMm())
        + " clear of the base.";
  }

  private String fixed() {
    String by = " to the base with " + b.choices().mould().fixing().text();
    return p.plate()
        .map(
            plate ->
                "Fix the "
                    + plate.on().masters()
                    + " masters"
                    + by
                    + ", as drawn on it, "
                    + b.mm(plate.on().leastLandMm())
                    + " apart or more.")
        .orElse("Fix the master" + by + ".");
  }
}
