package ungula.core.air;

import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * How far and which way to tip what is filled so that less air stays: the same cells, another up.
 */
public final class Tips {

  private static final double[] DEGREES = {7, 14, 21, 30};
  private static final int WAYS_ROUND = 8;

  private Tips() {}

  /**
   * @param degrees it is tipped by
   * @param towardsDegrees the way its top goes: 0 is +x, 90 is +y
   * @param airMm3 that stays
   */
  public record Tip(double degrees, double towardsDegrees, double airMm3) {

    /** What turns the body so. */
    public Rotation turn() {
      double a = Math.toRadians(towardsDegrees);
      return Rotation.about(new Vec3(-Math.sin(a), Math.cos(a), 0), degrees);
    }

    /** Against gravity, seen from the body tipped so. */
    public Vec3 up() {
      return turn().inverse().apply(Vec3.UP);
    }
  }

  /** All tips looked at, the one that leaves the least air first; of equals the smaller tip. */
  public static List<Tip> of(
      Room room, List<Opening> openings, Parallel parallel, Progress progress) {
    Tip[] all = new Tip[DEGREES.length * WAYS_ROUND];
    parallel.each(
        all.length,
        i -> {
          progress.at("Tipping it this way and that", (double) i / all.length);
          Tip way = new Tip(DEGREES[i / WAYS_ROUND], 360.0 / WAYS_ROUND * (i % WAYS_ROUND), 0);
          double air = AirTraps.of(room, openings, way.up()).totalMm3();
          all[i] = new Tip(way.degrees, way.towardsDegrees, air);
        });
    return IntStream.range(0, all.length)
        .mapToObj(i -> all[i])
        .sorted(Comparator.comparingDouble(Tip::airMm3).thenComparingDouble(Tip::degrees))
        .toList();
  }
}
