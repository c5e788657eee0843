package ungula.core.exercise;

import java.util.List;
import ungula.core.quantity.Units;
import ungula.core.quantity.Volume;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.study.CastStudy;
import ungula.core.study.RubberStudy;

/**
 * How well an exercise on a shape went: how much of the air that could be got rid of is gone.
 *
 * @param points from 0 to 100
 * @param says what stays, and what is known to be possible
 */
public record ShapeScore(int points, String says) {

  private static final int VENTS = 2;

  /** Less air is none. */
  private static final double NOTHING_MM3 = 1;

  /** The tip that is known to leave the least air in the rubber. */
  public static List<Edit> bestTip(RubberStudy begun) {
    return begun.tips().stream()
        .limit(1)
        .map(t -> Edit.of("pose.tipped", t.degrees() + " " + t.towardsDegrees()))
        .toList();
  }

  /** The vents that are known to let out the most air of a cast. */
  public static List<Edit> bestVents(CastStudy begun) {
    return begun.vents().stream()
        .limit(VENTS)
        .map(v -> Edit.of("casting.vent", v.at().facet() + " " + v.at().u() + " " + v.at().v()))
        .toList();
  }

  /**
   * @param begun as the exercise began
   * @param known the same with the {@link #bestTip}
   * @param now as it is
   */
  public static ShapeScore tilt(
      RubberStudy begun, RubberStudy known, RubberStudy now, Units units) {
    double first = begun.air().totalMm3();
    double least = Math.min(first, known.air().totalMm3());
    double stays = now.air().totalMm3();
    String says =
        "%s of air stay in the rubber. As it stood at first %s stayed; tipped well it is %s."
            .formatted(ml(stays, units), ml(first, units), ml(least, units));
    return new ShapeScore(points(first, stays, least), says);
  }

  /**
   * @param begun as the exercise began
   * @param known the same with the {@link #bestVents}
   * @param now as it is
   */
  public static ShapeScore vents(CastStudy begun, CastStudy known, CastStudy now, Units units) {
    int vents = now.ways().size();
    double first = begun.air().totalMm3();
    double least = Math.min(first, known.air().totalMm3());
    double stays = now.air().totalMm3();
    String with = vents == 0 ? "no vent" : vents == 1 ? "one vent" : vents + " vents";
    String says =
        "%s of air stay in a cast with %s. Without vents %s stayed; with two well placed it is %s."
            .formatted(ml(stays, units), with, ml(first, units), ml(least, units));
    return vents > VENTS
        ? new ShapeScore(0, says + " That is more than two: remove the vents, and place two.")
        : new ShapeScore(points(first, stays, least), says);
  }

  /** The share of what could go that is gone. */
  private static int points(double first, double stays, double least) {
    double could = first - least;
    if (could < NOTHING_MM3) {
      return stays < first + NOTHING_MM3 ? 100 : 0;
    }
    return (int) Math.round(100 * Math.max(0, Math.min(1, (first - stays) / could)));
  }

  private static String ml(double mm3, Units units) {
    return Volume.format(mm3, units);
  }
}
