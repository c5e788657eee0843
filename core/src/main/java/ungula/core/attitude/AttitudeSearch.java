package ungula.core.attitude;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;
import ungula.core.air.AirTraps;
import ungula.core.air.AirTraps.Needed;
import ungula.core.air.Opening;
import ungula.core.air.Room;
import ungula.core.air.Seam;
import ungula.core.air.VentWay;
import ungula.core.air.VentWays;
import ungula.core.air.Vents;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * How a mould is best laid to be cast in: of all ways to lie that go, those in which no pocket of
 * air is left with few vents come first; of them those with fewest, then those whose vents pass
 * least rubber, then the simplest.
 */
public final class AttitudeSearch {

  /** More vents than this are too many to look after. */
  public static final int MOST_VENTS = 6;

  /** Ways of vents so much alike count as equal, mm. */
  private static final double ALIKE_MM = 1;

  /** With all sides, for the progress. */
  private static final int MOST_LOOKED_AT = 126;

  private final Mould mould;
  private final AirTraps.Ways ways;
  private final Predicate<Attitude> goes;
  private final Parallel parallel;
  private final Progress progress;
  private final List<Found> found = new ArrayList<>();

  private AttitudeSearch(
      Mould mould, Predicate<Attitude> goes, Parallel parallel, Progress progress) {
    this.mould = mould;
    this.goes = goes;
    this.parallel = parallel;
    this.progress = progress;
    this.ways =
        new AirTraps.Ways(
            mould.cavity, mould.openings.isEmpty() ? List.of(Opening.HIGHEST) : mould.openings);
  }

  /**
   * @param cavity the mould's, in its own axes
   * @param block of rubber round it
   * @param openings there however it lies; none opens it where it is highest
   * @param seam the mould parts along; null where it does not
   */
  public record Mould(Room cavity, Box3 block, List<Opening> openings, Seam seam) {

    public Mould {
      openings = List.copyOf(openings);
    }
  }

  /**
   * What comes of lying so.
   *
   * @param airMm3 that stays without vents
   * @param vents it asks for, at most {@link #MOST_VENTS}, the largest pocket first
   * @param leftMm3 that stays with them, and what is not reached at all
   * @param enough whether no pocket worth a vent is left
   */
  public record Found(
      Attitude attitude, double airMm3, List<VentWay> vents, double leftMm3, boolean enough) {

    public Found {
      vents = List.copyOf(vents);
    }

    /** Of all its vents. */
    public double rubberMm() {
      return vents.stream().mapToDouble(VentWay::rubberMm).sum();
    }
  }

  /** What comes first is better. */
  public static final Comparator<Found> BEST =
      Comparator.comparing((Found f) -> !f.enough())
          .thenComparing(f -> f.enough() ? 0 : f.leftMm3())
          .thenComparing(f -> f.vents().size())
          .thenComparing(f -> Math.round(f.rubberMm() / ALIKE_MM))
          .thenComparing(f -> f.attitude().degrees())
          .thenComparing(f -> f.attitude().on() != Face.TOP)
          .thenComparing(Found::airMm3);

  /** The sides a mould can lie on, the one it is turned over onto first. */
  public static final List<Face> SIDES =
      List.of(Face.TOP, Face.LEFT, Face.RIGHT, Face.FRONT, Face.BACK, Face.BASE);

  /** Of so many sides all tips are tried; of the others one. */
  private static final int CLOSER = 3;

  /**
   * Level on every side; where that does not do without vents, tipped too. The best first.
   *
   * @param sides it can lie on
   * @param also looked at whatever comes of the others; may be none of them
   * @param goes whether the mould can lie so at all
   * @throws java.util.concurrent.CancellationException when the progress says that nobody waits
   */
  public static List<Found> of(
      Mould mould,
      List<Face> sides,
      List<Attitude> also,
      Predicate<Attitude> goes,
      Parallel parallel,
      Progress progress) {
    AttitudeSearch search = new AttitudeSearch(mould, goes, parallel, progress);
    search.look(also);
    search.look(sides.stream().map(Attitude::level).toList());
    if (search.found.stream().noneMatch(f -> f.enough() && f.vents().isEmpty())) {
      search.look(sides.stream().flatMap(on -> Attitude.tipped(on, Attitude.USUAL)).toList());
      List<Face> best =
          search.found.stream()
              .sorted(BEST)
              .map(f -> f.attitude().on())
              .distinct()
              .limit(CLOSER)
              .toList();
      for (double degrees : Attitude.TIPPED) {
        search.look(best.stream().flatMap(on -> Attitude.tipped(on, degrees)).toList());
      }
    }
    return search.found.stream().sorted(BEST).toList();
  }

  /** What comes of lying in one way. */
  public static Found of(Mould mould, Attitude lies) {
    return new AttitudeSearch(mould, a -> true, Parallel.ALL, Progress.NONE).look(lies);
  }

  /** Looks at those that were not yet. */
  private void look(List<Attitude> all) {
    List<Attitude> fresh =
        all.stream()
            .filter(a -> goes.test(a) && found.stream().noneMatch(f -> f.attitude().equals(a)))
            .toList();
    Found[] its = new Found[fresh.size()];
    parallel.each(
        its.length,
        i -> {
          progress.at(
              "Laying the mould this way and that",
              Math.min(1, (found.size() + i) / (double) MOST_LOOKED_AT));
          its[i] = look(fresh.get(i));
        });
    found.addAll(List.of(its));
  }

  private Found look(Attitude lies) {
    Vec3 up = lies.up();
    Needed needed = AirTraps.needed(mould.cavity, ways, up, MOST_VENTS);
    VentWays out = new VentWays(mould.cavity, mould.block, mould.seam, up);
    List<VentWay> vents = needed.vents().stream().map(out::from).toList();
    return new Found(
        lies,
        needed.airMm3(),
        vents,
        needed.leftMm3() + needed.unreachedMm3(),
        needed.enough() && needed.unreachedMm3() < Vents.WORTH_MM3);
  }
}
