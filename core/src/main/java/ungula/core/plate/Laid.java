package ungula.core.plate;

/**
 * Where a master is laid: turned about the origin, counter-clockwise seen from above, then moved.
 *
 * @param degrees of the turn
 * @param x of the move, mm
 * @param y of the move, mm
 */
public record Laid(double degrees, double x, double y) {

  static final Laid WHERE_IT_IS = new Laid(0, 0, 0);

  Laid moved(double dx, double dy) {
    return new Laid(degrees, x + dx, y + dy);
  }

  /** The whole plate a quarter turn further. */
  Laid quarter() {
    return new Laid(degrees + 90, -y, x);
  }

  double[] ring(double[] ring) {
    double cos = Math.cos(Math.toRadians(degrees));
    double sin = Math.sin(Math.toRadians(degrees));
    double[] out = new double[ring.length];
    for (int i = 0; i < ring.length; i += 2) {
      out[i] = cos * ring[i] - sin * ring[i + 1] + x;
      out[i + 1] = sin * ring[i] + cos * ring[i + 1] + y;
    }
    return out;
  }
}
