package ungula.core.orient;

import java.util.Comparator;
import java.util.List;
import ungula.core.attitude.AttitudeSearch;
import ungula.core.geometry.Vec3;

/**
 * Air in casts of one cavity, whichever way up it is filled. How it was poured round makes no
 * difference to that, so that what was found for one way to stand holds for all whose mould can lie
 * so.
 */
public final class CastTable {

  /** A mould is tipped no further than this from the side it lies on, as a cosine: 30°. */
  private static final double TIPPED = Math.cos(Math.toRadians(30));

  private static final List<Vec3> SIDES =
      List.of(
          new Vec3(1, 0, 0),
          new Vec3(-1, 0, 0),
          new Vec3(0, 1, 0),
          new Vec3(0, -1, 0),
          Vec3.UP,
          Vec3.UP.times(-1));

  private final List<Stand> filled;

  /**
   * @param stands looked at
   */
  public CastTable(List<Stand> stands) {
    // those on their base are filled through that
    this.filled = stands.stream().filter(s -> !s.flat()).toList();
  }

  /**
   * Of a cast, the mould lying as is best.
   *
   * @param vents it asks for; more than {@link AttitudeSearch#MOST_VENTS} are not enough
   * @param airMm3 that stays without them
   */
  public record Best(int vents, double airMm3) {}

  /**
   * @param open whether a mould is open where its master stood on the plate, and filled there
   * @param anySide whether the mould may lie on any side, as one in halves; else it is turned over,
   *     tipped where that helps
   */
  public Best of(Stand s, boolean open, boolean anySide) {
    Comparator<Stand> less =
        Comparator.comparingInt(Stand::vents).thenComparingDouble(Stand::castMm3);
    Stand best = s.flat() && !open ? null : s;
    for (Stand other : s.flat() && open ? List.<Stand>of() : filled) {
      if (lies(s, other.castUp(), anySide) && (best == null || less.compare(other, best) < 0)) {
        best = other;
      }
    }
    Stand known = best == null ? s : best;
    return new Best(known.vents(), known.castMm3());
  }

  /** Whether its mould can lie with a direction of the model up. */
  private static boolean lies(Stand s, Vec3 up, boolean anySide) {
    return anySide
        ? SIDES.stream().anyMatch(side -> s.turn().apply(up).dot(side) >= TIPPED)
        : up.dot(s.castUp()) >= TIPPED;
  }
}
