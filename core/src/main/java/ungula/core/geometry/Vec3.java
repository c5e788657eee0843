package ungula.core.geometry;

/** A point or direction, right-handed, z up as poured; millimetres unless said otherwise. */
public record Vec3(double x, double y, double z) {

  public static final Vec3 ZERO = new Vec3(0, 0, 0);
  public static final Vec3 UP = new Vec3(0, 0, 1);

  public Vec3 plus(Vec3 o) {
    return new Vec3(x + o.x, y + o.y, z + o.z);
  }

  public Vec3 minus(Vec3 o) {
    return new Vec3(x - o.x, y - o.y, z - o.z);
  }

  public Vec3 times(double s) {
    return new Vec3(x * s, y * s, z * s);
  }

  public double dot(Vec3 o) {
    return x * o.x + y * o.y + z * o.z;
  }

  public Vec3 cross(Vec3 o) {
    return new Vec3(y * o.z - z * o.y, z * o.x - x * o.z, x * o.y - y * o.x);
  }

  public double norm() {
    return Math.sqrt(dot(this));
  }

  /** The longest side of a box so large. */
  public double longest() {
    return Math.max(x, Math.max(y, z));
  }

  /**
   * @throws IllegalArgumentException when there is no direction to keep
   */
  public Vec3 unit() {
    double n = norm();
    if (!(n > 0) || !Double.isFinite(n)) {
      throw new IllegalArgumentException("No direction in " + this);
    }
    return times(1 / n);
  }
}
