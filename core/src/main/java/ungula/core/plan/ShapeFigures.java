package ungula.core.plan;

import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;

import java.util.Comparator;
import ungula.core.air.AirTraps;
import ungula.core.air.PotPressure;
import ungula.core.air.VentWay;
import ungula.core.mould.Offcuts;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Units;
import ungula.core.quantity.Volume;
import ungula.core.study.ShapeStudy;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;

/** The numbers a study of the shape adds to a plan. */
final class ShapeFigures {

  private static final String AIR_STAYS =
      "air stays where every way to an opening first goes down below it";

  private ShapeFigures() {}

  /** Nothing while the shape is not worked out; of a skin only what holds for its casts. */
  static void add(Planner p) {
    if (p.facts.shape() == null) {
      return;
    }
    ShapeStudy study = p.facts.shape().study();
    casting(study, p.figures, p.units);
    if (p.poured()) {
      boolean baseOpen = p.facts.baseOpen(p.choices.pose().liftMm());
      round(study, baseOpen, p.figures, p.units);
    }
  }

  private static void casting(ShapeStudy study, FigureBook figures, Units units) {
    figures.volume(
        "air.cast", "air in a cast", study.cast().totalMm3(), air(study.cast(), study, units));
    study.ways().stream()
        .max(Comparator.comparingDouble(VentWay::rubberMm))
        .ifPresent(
            longest ->
                figures.length(
                    "vents.rubber",
                    "longest way of a vent through rubber",
                    longest.rubberMm(),
                    Working.of("straight from its place to where the plate was, less what is cast")
                        .given(
                            "of it in the cast", Length.format(longest.castMm(), units), COMPUTED)
                        .done()));
  }

  /**
   * What holds for rubber poured round the master.
   *
   * @param baseOpen whether the mould can come off in one piece
   */
  private static void round(ShapeStudy study, boolean baseOpen, FigureBook figures, Units units) {
    figures.volume(
        "air.poured",
        "air in the rubber",
        study.poured().totalMm3(),
        air(study.poured(), study, units));
    figures.volume(
        "locks.volume",
        "rubber with master over it",
        study.locks().volume().oneMm3(),
        Working.of("straight columns along the pull: rubber below master, down to the plate")
            .given(
                "surface the mould comes off freely",
                Numbers.fixed(study.locks().releasedMm2() / 100, 1) + " cm²",
                COMPUTED)
            .given(
                "surface locked",
                Numbers.fixed(study.locks().lockedMm2() / 100, 1) + " cm²",
                COMPUTED)
            .step(
                "The longest way up from such rubber to the master: "
                    + Length.format(study.locks().volume().deepestMm(), units)
                    + ".")
            .done());
    figures.volume(
        "locks.two",
        "rubber with master over and under it",
        study.locks().volume().twoMm3(),
        Working.of("straight columns along the pull: rubber between master and master").done());
    figures.length(
        "wall.thinnest",
        "thinnest rubber",
        study.wall().mm(),
        Working.of("over each facet: to the box, the pour line, or a face that looks back")
            .given("across is", study.wall().facing() ? "the master itself" : "the box", COMPUTED)
            .done());
    figures.volume(
        "offcuts.most",
        "offcuts at most",
        Offcuts.SHARE * study.offcutsMm3(),
        Working.of("share of the rubber that is further from the master than the least")
            .given("at least from the master", Length.format(Offcuts.CLEAR_MM, units), DEFAULT)
            .given("rubber further off", Volume.format(study.offcutsMm3(), units), COMPUTED)
            .given("share", Numbers.fixed(100 * Offcuts.SHARE, 0) + " %", DEFAULT)
            .step("Of the same rubber only: another may keep the new one from curing.")
            .plusMinus("± 0.2 % of what the box holds")
            .done());
    if (baseOpen) {
      figures.put(
          "locks.stretch",
          "stretch to come off",
          study.stretch().share(),
          Numbers.fixed(100 * study.stretch().share(), 0) + " %",
          Working.of("cord round the widest part ÷ cord round the throat below it − 1")
              .given("widest at", Length.format(study.stretch().wideMm(), units), COMPUTED)
              .given("throat at", Length.format(study.stretch().throatMm(), units), COMPUTED)
              .done());
    }
  }

  private static Working air(AirTraps.Result air, ShapeStudy study, Units units) {
    Working.Builder w =
        Working.of(AIR_STAYS)
            .given("cells", Length.format(study.cellMm(), units) + " or finer", DEFAULT);
    for (AirTraps.Pocket p : air.pockets().stream().limit(5).toList()) {
      w.step(
          Volume.format(p.volumeMm3(), units)
              + ", "
              + Length.format(p.depthMm(), units)
              + " deep, top at "
              + Length.format(p.top().z(), units)
              + " above the plate");
    }
    if (air.pockets().size() > 5) {
      w.step("and " + (air.pockets().size() - 5) + " smaller ones");
    }
    if (air.totalMm3() > 0) {
      double volume = air.pockets().get(0).volumeMm3();
      w.step(
          "In a pot at "
              + Numbers.trimmed(PotPressure.USUAL_KPA, 0)
              + " kPa over the air's, the largest shrinks to "
              + Volume.format(PotPressure.shrunk(volume, PotPressure.USUAL_KPA), units)
              + ", a ball of "
              + Length.format(
                  PotPressure.ballMm(PotPressure.shrunk(volume, PotPressure.USUAL_KPA)), units)
              + ".");
    }
    return w.step("Pockets less than a cell deep are not counted.").done();
  }
}
