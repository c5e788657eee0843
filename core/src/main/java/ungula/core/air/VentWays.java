package ungula.core.air;

import java.util.Optional;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;

/**
 * Ways out of a mould as it lies: along its seam where that passes notably less rubber, or where
 * the cast is in the way of the straight one; else straight up.
 */
public final class VentWays {

  /** A way through no more of the cast than this only grazes it, mm. */
  private static final double GRAZES_MM = 1;

  /** A way round is worth it where it passes no more than this share of the rubber. */
  private static final double LESS = 2 / 3.0;

  private final Room cavity;
  private final Box3 block;
  private final Vec3 up;
  private final Optional<SeamRoutes> routes;

  /**
   * @param block of rubber round the cavity
   * @param seam null where the mould does not part
   * @param up of length one
   */
  public VentWays(Room cavity, Box3 block, Seam seam, Vec3 up) {
    this.cavity = cavity;
    this.block = block;
    this.up = up;
    this.routes = Optional.ofNullable(seam).flatMap(s -> SeamRoutes.of(cavity, s, block, up));
  }

  /**
   * @param place on the cast
   */
  public VentWay from(Vec3 place) {
    VentWay straight = cavity.straightUp(place, up, block);
    return routes
        .flatMap(r -> r.from(place))
        .filter(along -> better(along, straight))
        .orElse(straight);
  }

  private static boolean better(VentWay along, VentWay straight) {
    return straight.castMm() > GRAZES_MM || along.rubberMm() <= LESS * straight.rubberMm();
  }
}
