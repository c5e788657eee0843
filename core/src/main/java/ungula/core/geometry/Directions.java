package ungula.core.geometry;

/** Directions spread evenly, on a spiral. */
public final class Directions {

  /** The golden angle. */
  private static final double TURN = Math.PI * (3 - Math.sqrt(5));

  private Directions() {}

  /** One of n directions spread over the sphere. */
  public static Vec3 onSphere(int i, int n) {
    return onSpiral(i, 1 - (2 * i + 1.0) / n);
  }

  /** One of n directions spread over the upper half of the sphere. */
  public static Vec3 onHalf(int i, int n) {
    return onSpiral(i, 1 - (i + 0.5) / n);
  }

  private static Vec3 onSpiral(int i, double z) {
    double r = Math.sqrt(1 - z * z);
    return new Vec3(r * Math.cos(TURN * i), r * Math.sin(TURN * i), z);
  }
}
