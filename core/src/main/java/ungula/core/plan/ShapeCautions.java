package ungula.core.plan;

import static ungula.core.plan.Caution.Level.CHECK;
import static ungula.core.plan.Caution.Level.NOTE;

import java.util.ArrayList;
import java.util.List;
import ungula.core.air.AirTraps;
import ungula.core.air.Tips;
import ungula.core.air.Vents;
import ungula.core.geometry.Vec3;
import ungula.core.plan.Caution.Fix;
import ungula.core.plan.Caution.Place;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Volume;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.study.ShapeStudy;

/** What a master's shape makes go wrong: air that stays, a mould that does not come off. */
final class ShapeCautions {

  /** Rubber may be stretched to this share of its elongation at break while it is new. */
  private static final double FRESH = 1 / 4.0;

  /** And to this share once it is worn. */
  private static final double WORN = 1 / 6.0;

  /** Walls thicker than this do not stretch. */
  private static final double THICK_MM = 20;

  private static final double THICK_STRETCH = 0.15;

  private final Planner p;
  private final ShapeStudy study;
  private final List<Caution> found = new ArrayList<>();

  private ShapeCautions(Planner plan) {
    this.p = plan;
    this.study = plan.facts.study();
  }

  static List<Caution> of(Planner plan) {
    ShapeCautions c = new ShapeCautions(plan);
    if (c.study != null) {
      c.poured();
      c.cast();
      c.stretch();
    }
    return c.found;
  }

  private static Place place(Vec3 at) {
    return new Place(at.x(), at.y(), at.z());
  }

  private String ml(double mm3) {
    return Volume.format(mm3, p.units);
  }

  private String pockets(AirTraps.Result air) {
    AirTraps.Pocket first = air.pockets().get(0);
    String deep = ", " + Length.format(first.depthMm(), p.units) + " deep";
    return air.pockets().size() == 1
        ? "One pocket" + deep + "."
        : air.pockets().size() + " pockets, the largest " + ml(first.volumeMm3()) + deep + ".";
  }

  private void poured() {
    AirTraps.Result air = study.poured();
    if (air.unreachedMm3() > Vents.WORTH_MM3) {
      found.add(
          new Caution(
              "air.closed",
              CHECK,
              "mould",
              ml(air.unreachedMm3()) + " under the master gets no rubber",
              "The room has no way to the pour: it is closed by the master and the plate. Fill it"
                  + " with clay if it is meant to stay empty, or lift the master.",
              null,
              List.of()));
    }
    if (air.totalMm3() < Vents.WORTH_MM3) {
      return;
    }
    List<Fix> fixes = new ArrayList<>();
    for (Tips.Tip tip : study.tips().stream().limit(1).toList()) {
      fixes.add(
          new Fix(
              "Tip it " + Numbers.trimmed(tip.degrees(), 0) + "°",
              tip.airMm3() < Vents.WORTH_MM3 ? "no air" : ml(tip.airMm3()) + " of air",
              List.of(Edit.of("pose.tipped", tip.degrees() + " " + tip.towardsDegrees()))));
    }
    found.add(
        new Caution(
            "air.poured",
            CHECK,
            "mould",
            ml(air.totalMm3()) + " of air stays against the master",
            pockets(air)
                + " It would have to go down before it can rise, so it stays however slowly you"
                + " pour: a hole in the mould, and a lump on every cast. Brush rubber in there"
                + " first, or stand the master another way.",
            place(air.pockets().get(0).top()),
            fixes));
  }

  private void cast() {
    AirTraps.Result air = study.cast();
    if (air.totalMm3() < Vents.WORTH_MM3) {
      return;
    }
    List<Fix> fixes = new ArrayList<>();
    if (!study.vents().isEmpty()) {
      int n = study.vents().size();
      fixes.add(
          new Fix(
              n == 1 ? "Add a vent" : "Add " + n + " vents",
              study.vented().totalMm3() < Vents.WORTH_MM3
                  ? "no air"
                  : ml(study.vented().totalMm3()) + " of air",
              study.vents().stream()
                  .map(
                      v ->
                          Edit.of(
                              "casting.vent", v.at().facet() + " " + v.at().u() + " " + v.at().v()))
                  .toList()));
    }
    found.add(
        new Caution(
            "air.cast",
            CHECK,
            "mould",
            ml(air.totalMm3()) + " of air stays in every cast",
            "Turned over and poured "
                + study.inlet().text()
                + ". "
                + pockets(air)
                + " A pot under pressure makes it smaller, it does not take it away.",
            place(air.pockets().get(0).top()),
            fixes));
  }

  private void stretch() {
    double needed = study.stretch().share();
    if (needed < 0.02 || !p.facts.baseOpen(p.choices.pose().liftMm())) {
      return;
    }
    String how =
        "Coming off, the rubber that lies round the master "
            + Length.format(study.stretch().throatMm(), p.units)
            + " up must pass over what is wider at "
            + Length.format(study.stretch().wideMm(), p.units)
            + ": it gets "
            + Numbers.trimmed(100 * needed, 0)
            + " % longer.";
    boolean thick = p.box.thinnestWallMm() > THICK_MM && needed > THICK_STRETCH;
    Double elongation = p.product == null ? null : p.product.elongationPct();
    boolean tears = elongation != null && 100 * needed > FRESH * elongation;
    boolean wears = elongation != null && 100 * needed > WORN * elongation;
    String limit =
        elongation == null
            ? " A rubber may be stretched to a quarter of its elongation at break; its sheet is"
                + " not picked yet."
            : " "
                + p.product.name()
                + " breaks at "
                + Numbers.trimmed(elongation, 0)
                + " %: count on "
                + Numbers.trimmed(FRESH * elongation, 0)
                + " % while new, "
                + Numbers.trimmed(WORN * elongation, 0)
                + " % when worn.";
    found.add(
        new Caution(
            "locks.stretch",
            tears || thick || wears ? CHECK : NOTE,
            "mould",
            tears
                ? "The mould tears coming off"
                : thick
                    ? "The wall is too thick to stretch off"
                    : "The mould must stretch to come off",
            how
                + limit
                + (thick ? " Walls over 20 mm hardly stretch: pare the wall or cut it." : "")
                + (tears ? " Cut the mould open, or take a rubber that stretches further." : ""),
            new Place(0, 0, study.stretch().throatMm()),
            List.of()));
  }
}
