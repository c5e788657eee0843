package ungula.core.plan;

import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import ungula.core.air.AirTraps;
import ungula.core.air.PotPressure;
import ungula.core.air.VentWay;
import ungula.core.air.Vents;
import ungula.core.mould.Offcuts;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Share;
import ungula.core.release.Stretch;
import ungula.core.study.ShapeStudy;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;

/** The numbers a study of the shape adds to a plan. */
public record ShapePart(Brief brief, ShapeStudy study) implements Part {

  private static final String AIR_STAYS =
      "air stays where every way to an opening first goes down below it";

  private static final String SURFACE = "of the model's own surface";

  /** So many pockets are told by themselves. */
  private static final int LISTED = 5;

  /** Closer than that, parts of the master touch: no rubber comes between them. */
  private static final double TOUCHING_MM = 0.05;

  /** Empty while the shape is not worked out. */
  static Optional<ShapePart> of(Brief b) {
    return Optional.ofNullable(b.facts().shape()).map(s -> new ShapePart(b, s.study()));
  }

  /** What the mould stretches by as it comes off in one piece; empty where it does not. */
  Optional<Stretch> stretch() {
    boolean open = brief.facts().baseOpen(brief.choices().pose().liftMm());
    return brief.poured() && open ? Optional.of(study.release().stretch()) : Optional.empty();
  }

  /** Of the rubber further from the master than offcuts have to keep, what may be put in. */
  public double mostOffcutsMm3() {
    return Offcuts.SHARE * study.rubber().offcutsMm3();
  }

  /** Of a skin only what holds for its casts. */
  @Override
  public void show(FigureBook figures) {
    casting(figures);
    if (brief.poured()) {
      round(figures);
    }
  }

  private void casting(FigureBook figures) {
    if (!brief.roundOpen()) {
      figures.volume(
          "air.cast",
          "air in a cast",
          study.cast().air().totalMm3(),
          air(study.cast().air(), castSurface(), study.cast().exact(), study.cast().cellMm()));
    }
    study.cast().ways().stream()
        .max(Comparator.comparingDouble(VentWay::rubberMm))
        .ifPresent(
            longest ->
                figures.length(
                    "vents.rubber",
                    "longest way of a vent through rubber",
                    longest.rubberMm(),
                    Working.of(
                            "the shortest to the seam and on along that, round the cast; straight"
                                + " up where that passes less rubber")
                        .given("along the seam", brief.mm(longest.seamMm()), COMPUTED)
                        .given("in the cast", brief.mm(longest.castMm()), COMPUTED)
                        .done()));
  }

  /** What holds for rubber poured round the master. */
  private void round(FigureBook figures) {
    figures.volume(
        "air.poured",
        "air in the rubber",
        study.rubber().air().totalMm3(),
        air(study.rubber().air(), SURFACE, study.rubber().exact(), study.rubber().cellMm()));
    figures.volume(
        "locks.volume",
        "rubber with master over it",
        study.release().locks().volume().oneMm3(),
        Working.of("straight columns along the pull: rubber below master, down to the plate")
            .given(
                "surface the mould comes off freely",
                brief.area(study.release().locks().releasedMm2()),
                COMPUTED)
            .given("surface locked", brief.area(study.release().locks().lockedMm2()), COMPUTED)
            .step(
                "The longest way up from such rubber to the master: "
                    + brief.mm(study.release().locks().volume().deepestMm())
                    + ".")
            .done());
    figures.volume(
        "locks.two",
        "rubber with master over and under it",
        study.release().locks().volume().twoMm3(),
        Working.of("straight columns along the pull: rubber between master and master").done());
    if (study.rubber().thinnest().facing()) {
      double mm = study.rubber().thinnest().mm();
      String label = "thinnest rubber between parts of the master";
      Working across =
          Working.of("over each facet: straight out to a face of the master that looks back")
              .step("Everywhere else it is thicker, also to the box and over the top.")
              .done();
      if (mm < TOUCHING_MM) {
        figures.put("wall.thinnest", label, mm, "none", across);
      } else {
        figures.length("wall.thinnest", label, mm, across);
      }
    }
    figures.volume(
        "offcuts.most",
        "offcuts at most",
        mostOffcutsMm3(),
        Working.of("share of the rubber that is further from the master than the least")
            .given("at least from the master", brief.mm(Offcuts.CLEAR_MM), DEFAULT)
            .given("rubber further off", brief.ml(study.rubber().offcutsMm3()), COMPUTED)
            .given("share", Share.format(Offcuts.SHARE), DEFAULT)
            .step("Of the same rubber only: another may keep the new one from curing.")
            .plusMinus("± 0.2 % of what the box holds")
            .done());
    if (stretch().isPresent()) {
      figures.share(
          "locks.stretch",
          "stretch to come off",
          study.release().stretch().share(),
          0,
          Working.of("cord round the widest part ÷ cord round the throat below it − 1")
              .given("widest at", brief.mm(study.release().stretch().wideMm()), COMPUTED)
              .given("throat at", brief.mm(study.release().stretch().throatMm()), COMPUTED)
              .done());
    }
  }

  private String castSurface() {
    boolean hollow = brief.facts().core() != null && brief.facts().core().core() != null;
    return hollow ? "of the surfaces of model and core" : SURFACE;
  }

  /**
   * @param surface heights are known by, where it is exact
   */
  private Working air(AirTraps.Result air, String surface, boolean exact, double cellMm) {
    Working.Builder w = Working.of(AIR_STAYS);
    if (exact) {
      w.given("heights", surface, COMPUTED);
    } else {
      w.given("cells", brief.mm(cellMm) + " or finer", DEFAULT);
    }
    List<AirTraps.Pocket> worth = air.worth();
    for (AirTraps.Pocket pocket : worth.subList(0, Math.min(LISTED, worth.size()))) {
      w.step(
          brief.ml(pocket.volumeMm3())
              + ", "
              + brief.mm(pocket.depthMm())
              + " deep, top at "
              + brief.mm(pocket.top().z())
              + " above the plate");
    }
    int more = air.pockets().size() - Math.min(LISTED, worth.size());
    if (more > 0 && worth.isEmpty()) {
      String each = brief.ml(Vents.WORTH_MM3);
      w.step(
          more == 1 ? "One pocket of less than " + each : more + " of less than " + each + " each");
    } else if (more > 0) {
      w.step("and " + more + (more == 1 ? " smaller one" : " smaller ones"));
    }
    if (!worth.isEmpty()) {
      double small = PotPressure.shrunk(worth.get(0).volumeMm3(), PotPressure.USUAL_KPA);
      w.step(
          "In a pot at "
              + Numbers.trimmed(PotPressure.USUAL_KPA, 0)
              + " kPa over the air's, the largest shrinks to "
              + (small > Vents.WORTH_MM3 ? brief.ml(small) + ", " : "")
              + "a ball of "
              + brief.mm(PotPressure.ballMm(small))
              + ".");
    }
    return w.step(exact ? "" : "Pockets less than a cell deep are not counted.").done();
  }
}
