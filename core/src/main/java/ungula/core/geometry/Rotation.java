package ungula.core.geometry;

/**
 * A turn in space as a unit quaternion (w, x, y, z). Normalised where it is made, so that repeated
 * turning does not drift.
 */
public record Rotation(double w, double x, double y, double z) {

  public static final Rotation NONE = new Rotation(1, 0, 0, 0);

  public Rotation {
    double n = Math.sqrt(w * w + x * x + y * y + z * z);
    if (!(n > 1e-9) || !Double.isFinite(n)) {
      throw new IllegalArgumentException("Not a rotation: " + w + ", " + x + ", " + y + ", " + z);
    }
    if (Math.abs(n - 1) > 1e-15) {
      w /= n;
      x /= n;
      y /= n;
      z /= n;
    }
  }

  /** Right-handed turn about an axis through the origin. */
  public static Rotation about(Vec3 axis, double degrees) {
    Vec3 u = axis.unit();
    double half = Math.toRadians(degrees) / 2;
    double s = Math.sin(half);
    return new Rotation(Math.cos(half), u.x() * s, u.y() * s, u.z() * s);
  }

  /** The shortest turn that brings one direction onto another. */
  public static Rotation bringing(Vec3 from, Vec3 to) {
    Vec3 a = from.unit();
    Vec3 b = to.unit();
    double cos = a.dot(b);
    if (cos < -1 + 1e-12) {
      Vec3 side = Math.abs(a.x()) < 0.9 ? new Vec3(1, 0, 0) : new Vec3(0, 1, 0);
      return about(a.cross(side), 180);
    }
    Vec3 c = a.cross(b);
    return new Rotation(1 + cos, c.x(), c.y(), c.z());
  }

  /** The turn that takes this one back. */
  public Rotation inverse() {
    return new Rotation(w, -x, -y, -z);
  }

  /** This turn made after another. */
  public Rotation after(Rotation first) {
    return new Rotation(
        w * first.w - x * first.x - y * first.y - z * first.z,
        w * first.x + x * first.w + y * first.z - z * first.y,
        w * first.y - x * first.z + y * first.w + z * first.x,
        w * first.z + x * first.y - y * first.x + z * first.w);
  }

  public Vec3 apply(Vec3 v) {
    double[] m = matrix();
    return new Vec3(
        m[0] * v.x() + m[1] * v.y() + m[2] * v.z(),
        m[3] * v.x() + m[4] * v.y() + m[5] * v.z(),
        m[6] * v.x() + m[7] * v.y() + m[8] * v.z());
  }

  /** Row-major 3 × 3. */
  public double[] matrix() {
    return new double[] {
      1 - 2 * (y * y + z * z),
      2 * (x * y - w * z),
      2 * (x * z + w * y),
      2 * (x * y + w * z),
      1 - 2 * (x * x + z * z),
      2 * (y * z - w * x),
      2 * (x * z - w * y),
      2 * (y * z + w * x),
      1 - 2 * (x * x + y * y)
    };
  }
}
