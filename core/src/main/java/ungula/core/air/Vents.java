package ungula.core.air;

import java.util.ArrayList;
import java.util.List;
import ungula.core.geometry.Vec3;

/**
 * Where vents let trapped air out: one at the top of the largest pocket, look again, and so on
 * (greedy) until no pocket is worth one.
 */
public final class Vents {

  /** A pocket of less is left: half a drop. */
  public static final double WORTH_MM3 = 50;

  private Vents() {}

  /**
   * @param at vents in the order found, at the pockets' tops
   * @param before what stays without them
   * @param left what stays with all of them
   */
  public record Proposal(List<Vec3> at, AirTraps.Result before, AirTraps.Result left) {}

  /**
   * @param openings there already
   * @param most vents to propose
   */
  public static Proposal propose(Room room, List<Opening> openings, Vec3 up, int most) {
    AirTraps.Result before = AirTraps.of(room, openings, up);
    return before.worth().isEmpty()
        ? new Proposal(List.of(), before, before)
        : room.surface()
            .map(s -> atOnce(s, room, openings, up, most, before))
            .orElseGet(() -> inTurn(room, openings, up, most, before));
  }

  /** By the surface all are known at once, for the same that looking again would find. */
  private static Proposal atOnce(
      RoomSurface surface,
      Room room,
      List<Opening> openings,
      Vec3 up,
      int most,
      AirTraps.Result before) {
    List<Vec3> vents =
        SurfaceTraps.of(surface, surface.mouths(room, openings), up).needed(most, true).vents();
    List<Opening> all = new ArrayList<>(openings);
    vents.forEach(v -> all.add(Opening.at(v)));
    return new Proposal(vents, before, AirTraps.of(room, all, up));
  }

  private static Proposal inTurn(
      Room room, List<Opening> openings, Vec3 up, int most, AirTraps.Result before) {
    List<Opening> all = new ArrayList<>(openings);
    List<Vec3> vents = new ArrayList<>();
    AirTraps.Result left = before;
    while (vents.size() < most && !left.worth().isEmpty()) {
      Vec3 top = left.pockets().get(0).top();
      vents.add(top);
      all.add(Opening.at(top));
      left = AirTraps.of(room, all, up);
    }
    return new Proposal(List.copyOf(vents), before, left);
  }
}
