package ungula.core.air;

import java.util.List;
import ungula.core.geometry.Vec3;

/**
 * Air that stays when a room is slowly filled from its lowest point. Air at a place stays if every
 * way from there to an opening goes down below the place first: its spill height, the best way's
 * lowest height, is under its own.
 *
 * <p>Where the room's surface bounds it ({@link RoomSurface}) this is exact: a pocket is sealed
 * where the surface seals it, however shallow it is. Any other room is filled cell by cell.
 */
public final class AirTraps {

  private AirTraps() {}

  /**
   * @param volumeMm3 of the air
   * @param top its highest point, the middle of it when level
   * @param depthMm from there to the spill height
   */
  public record Pocket(double volumeMm3, Vec3 top, double depthMm) {}

  /**
   * @param totalMm3 of all pockets
   * @param unreachedMm3 of the parts of the room with no way to an opening at all
   * @param pockets largest first; of a room in cells without those less than a cell deep
   * @param cells of the pockets
   */
  public record Result(double totalMm3, double unreachedMm3, List<Pocket> pockets, AirCells cells) {

    /** Pockets worth a word: those a vent would be worth for. */
    public List<Pocket> worth() {
      return pockets.stream().filter(k -> k.volumeMm3() > Vents.WORTH_MM3).toList();
    }
  }

  /**
   * @param up against gravity; any length
   */
  public static Result of(Room room, List<Opening> openings, Vec3 up) {
    return room.surface()
        .map(s -> SurfaceTraps.of(s, s.mouths(room, openings), up).result(room))
        .orElseGet(() -> CellTraps.of(room, openings, up));
  }

  /**
   * What vents are needed for no more than {@link Vents#WORTH_MM3} to stay anywhere.
   *
   * @param airMm3 that stays without them
   * @param vents at the tops of what would stay, the largest first
   * @param leftMm3 that stays with all of them
   * @param unreachedMm3 of the parts of the room with no way to an opening at all
   * @param enough whether no more vents are worth it
   */
  public record Needed(
      double airMm3, List<Vec3> vents, double leftMm3, double unreachedMm3, boolean enough) {

    public Needed {
      vents = List.copyOf(vents);
    }
  }

  /**
   * The same for one of many directions, without the pockets: quicker.
   *
   * @param ways out of this room
   * @param most vents
   */
  public static Needed needed(Room room, Ways ways, Vec3 up, int most) {
    return room.surface()
        .map(s -> SurfaceTraps.of(s, ways.mouths, up).needed(most, false))
        .orElseGet(
            () -> {
              Vents.Proposal p = Vents.propose(room, ways.openings, up, most);
              return new Needed(
                  p.before().totalMm3(),
                  p.at(),
                  p.left().totalMm3(),
                  p.left().unreachedMm3(),
                  p.left().pockets().stream().allMatch(k -> k.volumeMm3() <= Vents.WORTH_MM3));
            });
  }

  /** Openings found on a room once, for many directions. */
  public static final class Ways {
    private final List<Opening> openings;
    private final List<RoomSurface.Mouth> mouths;

    public Ways(Room room, List<Opening> openings) {
      this.openings = List.copyOf(openings);
      this.mouths = room.surface().map(s -> s.mouths(room, openings)).orElse(List.of());
    }
  }
}
