package ungula.core.air;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import ungula.core.field.Grid;
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

  /** Of a pocket so much may stay where it is let out. */
  private static final double LET_OUT = 0.2;

  /**
   * A pocket seen in finer cells has its top no further from the same in coarser ones, in those.
   */
  private static final double SAME_CELLS = 3;

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
    AirTraps.Ways ways = new AirTraps.Ways(room, openings);
    parallel.each(
        all.length,
        i -> {
          progress.at("Tipping it this way and that", (double) i / all.length);
          Tip way = new Tip(DEGREES[i / WAYS_ROUND], way(i % WAYS_ROUND), 0);
          double air = AirTraps.needed(room, ways, way.up(), 0).airMm3();
          all[i] = new Tip(way.degrees, way.towardsDegrees, air);
        });
    return IntStream.range(0, all.length)
        .mapToObj(i -> all[i])
        .sorted(Comparator.comparingDouble(Tip::airMm3).thenComparingDouble(Tip::degrees))
        .toList();
  }

  /**
   * In cells, for each of some pockets the least that has to be tipped so that no more than a fifth
   * of it stays, towards the side where the least air stays in all; empty where no tip that is
   * looked at does. The air that stays of a tip is the pocket's own.
   *
   * @param tops highest points of the pockets, as it stands level
   */
  public static List<Optional<Tip>> out(
      Room room, List<Opening> openings, List<Vec3> tops, Parallel parallel, Progress progress) {
    BitSet level = CellTraps.of(room, openings, Vec3.UP).cells().set();
    List<BitSet> pockets = tops.stream().map(t -> pocket(room.grid(), level, t)).toList();
    List<Optional<Tip>> found = new ArrayList<>(Collections.nCopies(tops.size(), Optional.empty()));
    for (int d = 0; d < DEGREES.length; d++) {
      progress.at("Tipping the mould this way and that", (double) d / DEGREES.length);
      double degrees = DEGREES[d];
      boolean all = true;
      for (int i = 0; i < tops.size(); i++) {
        all &= found.get(i).isPresent() || pockets.get(i).isEmpty();
      }
      if (all) {
        break;
      }
      AirTraps.Result[] tipped = new AirTraps.Result[WAYS_ROUND];
      parallel.each(
          WAYS_ROUND,
          w -> tipped[w] = CellTraps.of(room, openings, new Tip(degrees, way(w), 0).up()));
      List<BitSet> stays = Stream.of(tipped).map(t -> t.cells().set()).toList();
      for (int i = 0; i < tops.size(); i++) {
        if (found.get(i).isEmpty()) {
          found.set(i, least(degrees, pockets.get(i), tipped, stays, room.grid().cellMm3()));
        }
      }
    }
    return found;
  }

  private static double way(int w) {
    return 360.0 / WAYS_ROUND * w;
  }

  /** Of the ways that let a pocket out the one after which the least air stays in all. */
  private static Optional<Tip> least(
      double degrees, BitSet pocket, AirTraps.Result[] tipped, List<BitSet> stays, double cellMm3) {
    Optional<Tip> best = Optional.empty();
    double least = Double.POSITIVE_INFINITY;
    for (int w = 0; w < tipped.length; w++) {
      BitSet left = (BitSet) pocket.clone();
      left.and(stays.get(w));
      boolean out = left.cardinality() <= LET_OUT * pocket.cardinality();
      if (!pocket.isEmpty() && out && tipped[w].totalMm3() < least) {
        least = tipped[w].totalMm3();
        best = Optional.of(new Tip(degrees, way(w), left.cardinality() * cellMm3));
      }
    }
    return best;
  }

  /** Cells of air that hang together over their 26 neighbours with those at a place. */
  private static BitSet pocket(Grid grid, BitSet air, Vec3 top) {
    BitSet found = new BitSet();
    int first = -1;
    double near = SAME_CELLS * grid.h();
    for (int c = air.nextSetBit(0); c >= 0; c = air.nextSetBit(c + 1)) {
      double off = grid.centre(c).minus(top).norm();
      if (off < near) {
        near = off;
        first = c;
      }
    }
    ArrayDeque<Integer> next = new ArrayDeque<>();
    if (first >= 0) {
      found.set(first);
      next.add(first);
    }
    int row = grid.nx();
    int layer = grid.nx() * grid.ny();
    while (!next.isEmpty()) {
      int at = next.poll();
      for (int n = 0; n < 27; n++) {
        int cell = at + n % 3 - 1 + (n / 3 % 3 - 1) * row + (n / 9 - 1) * layer;
        if (air.get(cell) && !found.get(cell)) {
          found.set(cell);
          next.add(cell);
        }
      }
    }
    return found;
  }
}
