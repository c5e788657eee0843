package ungula.core.exercise;

import java.util.List;
import java.util.stream.Stream;
import ungula.core.quantity.Units;
import ungula.core.quantity.Volume;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.study.ShapeStudy;

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

  /**
   * What does an exercise as well as is known, with what is found when its shape is studied.
   *
   * @param begun the shape as the exercise began
   */
  public static List<Edit> known(Exercise e, ShapeStudy begun) {
    Stream<Edit> edits =
        e == Exercise.TWO_VENTS
            ? begun.vents().stream()
                .limit(VENTS)
                .map(
                    v ->
                        Edit.of(
                            "casting.vent", v.at().facet() + " " + v.at().u() + " " + v.at().v()))
            : begun.tips().stream()
                .limit(1)
                .map(t -> Edit.of("pose.tipped", t.degrees() + " " + t.towardsDegrees()));
    return edits.toList();
  }

  /**
   * @param begun the shape as the exercise began
   * @param known the same with what {@link #known(Exercise, ShapeStudy)} says
   * @param now the shape as it is
   */
  public static ShapeScore of(
      Exercise e, ShapeStudy begun, ShapeStudy known, ShapeStudy now, Units units) {
    return e == Exercise.TWO_VENTS
        ? vents(begun, known, now, units)
        : tilt(begun, known, now, units);
  }

  private static ShapeScore tilt(ShapeStudy begun, ShapeStudy known, ShapeStudy now, Units units) {
    double first = begun.poured().totalMm3();
    double least = Math.min(first, known.poured().totalMm3());
    double stays = now.poured().totalMm3();
    String says =
        "%s of air stay in the rubber. As it stood at first %s stayed; tipped well it is %s."
            .formatted(ml(stays, units), ml(first, units), ml(least, units));
    return new ShapeScore(points(first, stays, least), says);
  }

  private static ShapeScore vents(ShapeStudy begun, ShapeStudy known, ShapeStudy now, Units units) {
    int vents = now.ways().size();
    double first = begun.cast().totalMm3();
    double least = Math.min(first, known.cast().totalMm3());
    double stays = now.cast().totalMm3();
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
