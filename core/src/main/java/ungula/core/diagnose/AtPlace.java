package ungula.core.diagnose;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import ungula.core.air.AirCells;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.SurfacePoint;
import ungula.core.mould.RubberWall;
import ungula.core.plan.Plan;
import ungula.core.plan.ShapePart;
import ungula.core.quantity.Length;
import ungula.core.quantity.Volume;
import ungula.core.study.CastStudy;
import ungula.core.study.RubberStudy.Thinnest;

/** What the shape makes of a place where a cast is not good: air, rubber, and what locks. Pure. */
public final class AtPlace {

  /** Air that gathers no further than this from a place is what is seen there. */
  private static final double NEAR_MM = 12;

  /** A place of which more than half is locked is. */
  private static final double LOCKED = 0.5;

  /** Thickest that is told of a facet. */
  private static final double MOST_MM = 255 * RubberWall.STEP_MM;

  private AtPlace() {}

  /**
   * What a study found of one facet.
   *
   * @param wallMm thickness of the rubber over it; 25.5 is that or more
   * @param lockedShare of it, 0 to 1, as the mould is pulled off
   */
  public record Facet(double wallMm, double lockedShare) {}

  /** Of the air that stays in a cast, what stays at a place, mm³. */
  static double airMm3(ShapePart shape, Vec3 place) {
    return shape
        .study()
        .cast()
        .airNear(place)
        .filter(a -> a.mm() <= NEAR_MM)
        .map(AirCells.Near::volumeMm3)
        .orElse(0.0);
  }

  /**
   * Where a vent lets the air out that stays at a place: where one is proposed for it, else there.
   *
   * @param shown the place on the master
   */
  public static SurfacePoint vent(Plan plan, Vec3 place, SurfacePoint shown) {
    return plan.shape()
        .filter(s -> airMm3(s, place) > 0)
        .flatMap(
            s ->
                s.study().cast().vents().stream()
                    .min(Comparator.comparingDouble(v -> v.point().minus(place).norm())))
        .map(CastStudy.Vent::at)
        .orElse(shown);
  }

  /**
   * In sentences; none while the shape is not worked out.
   *
   * @param place in the posed frame
   * @param facet it is on; null where nothing is known of it
   */
  public static List<String> told(Plan plan, Vec3 place, Facet facet) {
    List<String> all = new ArrayList<>();
    Optional<ShapePart> shape = plan.shape();
    shape.ifPresent(s -> all.add(air(plan, s, place)));
    if (facet != null && plan.poured()) {
      shape.ifPresent(s -> all.add(wall(plan, s.study().rubber().thinnest(), place, facet)));
      all.add(
          facet.lockedShare > LOCKED
              ? "The mould is locked here as it comes off."
              : "The mould comes off freely here.");
    }
    return all;
  }

  private static String air(Plan plan, ShapePart shape, Vec3 place) {
    return shape
        .study()
        .cast()
        .airNear(place)
        .map(
            a -> {
              String volume = Volume.format(a.volumeMm3(), plan.units());
              return a.mm() <= NEAR_MM
                  ? volume + " of air stays in a cast here."
                  : "The nearest air that stays in a cast, "
                      + volume
                      + ", is "
                      + mm(plan, a.mm())
                      + " away.";
            })
        .orElse("No air stays in a cast.");
  }

  private static String wall(Plan plan, Thinnest thinnest, Vec3 place, Facet facet) {
    boolean thick = facet.wallMm > MOST_MM - RubberWall.STEP_MM / 2;
    boolean least = facet.wallMm < thinnest.mm() + RubberWall.STEP_MM;
    return "The rubber is "
        + (thick
            ? mm(plan, MOST_MM) + " thick here or more"
            : mm(plan, facet.wallMm) + " thick here")
        + (least
            ? ", the thinnest there is."
            : "; the thinnest, "
                + mm(plan, thinnest.mm())
                + ", is "
                + mm(plan, thinnest.at().minus(place).norm())
                + " away.");
  }

  private static String mm(Plan plan, double mm) {
    return Length.format(mm, plan.units());
  }
}
