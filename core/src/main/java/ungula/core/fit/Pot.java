package ungula.core.fit;

import org.locationtech.jts.algorithm.MinimumBoundingCircle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;

/**
 * A round vessel a mould is stood in: a pressure pot, a vacuum chamber.
 *
 * @param diameterMm inside
 * @param heightMm inside
 */
public record Pot(double diameterMm, double heightMm) {

  /** Left free all round. */
  public static final double CLEAR_MM = 10;

  /** A board on either face of a mould that is strapped together. */
  public static final double BOARD_MM = 12;

  /** Bands round it. */
  public static final double BAND_MM = 3;

  /** Radius round 1, 2, 3 … circles of radius one. */
  private static final double[] ROUND = {
    1, 2, 2.1547, 2.4142, 2.7013, 3, 3, 3.3048, 3.6131, 3.8130, 3.9238, 4.0296
  };

  /**
   * How a mould lies in a pot.
   *
   * @param text how it lies
   * @param circleMm smallest circle round its foot, bands included
   * @param highMm how high it is
   * @param overMm how much too large it is; negative where there is room
   */
  public record Stood(String text, double circleMm, double highMm, double overMm) {

    public boolean fits() {
      return overMm <= 0;
    }
  }

  public double volumeMm3() {
    return Math.PI / 4 * diameterMm * diameterMm * heightMm;
  }

  /**
   * How a mould goes in lying so that a direction of its own is up.
   *
   * @param ring of its outline, seen from above as it was poured: x and y in turn
   * @param highMm of it then
   * @param up of length one
   * @param strapped between boards
   */
  public Stood lying(String text, double[] ring, double highMm, Vec3 up, boolean strapped) {
    double boards = strapped ? BOARD_MM : 0;
    Rotation stand = Rotation.bringing(up, Vec3.UP);
    Coordinate[] foot = new Coordinate[ring.length];
    double low = Double.POSITIVE_INFINITY;
    double top = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < ring.length; i++) {
      // each corner below and above, the boards on both
      double z = i % 2 == 0 ? -boards : highMm + boards;
      Vec3 at = stand.apply(new Vec3(ring[i / 2 * 2], ring[i / 2 * 2 + 1], z));
      foot[i] = new Coordinate(at.x(), at.y());
      low = Math.min(low, at.z());
      top = Math.max(top, at.z());
    }
    double radius =
        new MinimumBoundingCircle(new GeometryFactory().createMultiPointFromCoords(foot))
            .getRadius();
    return stood(text, 2 * radius, top - low, strapped);
  }

  /**
   * How many alike stand in it side by side and on each other: as many circles as fit a circle
   * (radius of the smallest circle round n equal ones, the best known packings), times layers.
   */
  public int holds(Stood each) {
    if (!each.fits()) {
      return 0;
    }
    double room = (diameterMm - 2 * CLEAR_MM) / each.circleMm;
    int side = 1;
    while (side < ROUND.length && ROUND[side] <= room * (1 + 1e-9)) {
      side++;
    }
    return side * (int) Math.max(1, Math.floor((heightMm - 2 * CLEAR_MM) / each.highMm));
  }

  private Stood stood(String text, double circle, double high, boolean strapped) {
    double diameter = circle + (strapped ? 2 * BAND_MM : 0);
    double over =
        Math.max(diameter - (diameterMm - 2 * CLEAR_MM), high - (heightMm - 2 * CLEAR_MM));
    return new Stood(text, diameter, high, over);
  }
}
