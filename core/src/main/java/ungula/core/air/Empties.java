package ungula.core.air;

import java.util.List;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;

/**
 * Room that stays empty while rubber rises round a master, poured in at a corner of the box:
 * hollows it only runs into over a rim, and what it never gets to. {@link CellTraps} turned upside
 * down, so as exact as its cells: where a master only touches the plate, no rubber gets under it.
 *
 * @param cups largest first
 * @param sealedMm3 with no way in below the pour line
 */
public record Empties(List<Cup> cups, double sealedMm3) {

  public static final Empties NONE = new Empties(List.of(), 0);

  /**
   * @param bottom lowest place, mm
   * @param rimMm height rubber runs in at, mm
   * @param mm3 up to there
   */
  public record Cup(Vec3 bottom, double rimMm, double mm3) {

    /** Below a height, taking it for as wide at every height: exact at its rim and above. */
    double below(double z) {
      double share = (z - bottom.z()) / (rimMm - bottom.z());
      return mm3 * Math.max(0, Math.min(1, share));
    }
  }

  /**
   * @param room round the master, up to the pour line
   * @param inside of the box
   */
  public static Empties of(Room room, Box3 inside) {
    double in = 1.5 * room.grid().h();
    Opening corner = Opening.at(inside.min().plus(new Vec3(in, in, in)));
    if (!room.opensAt(corner)) {
      return NONE;
    }
    AirTraps.Result down = CellTraps.of(room, List.of(corner), Vec3.UP.times(-1));
    return new Empties(
        down.pockets().stream()
            .map(p -> new Cup(p.top(), p.top().z() + p.depthMm(), p.volumeMm3()))
            .toList(),
        down.unreachedMm3());
  }

  /** Of all cups that are still empty when the rubber stands at a height, what lies below it. */
  public double keptOutMm3(double z) {
    return sealedMm3 + cups.stream().filter(c -> c.rimMm >= z).mapToDouble(c -> c.below(z)).sum();
  }
}
