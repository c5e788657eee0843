package ungula.core.parting;

import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;

/**
 * One key of a parting, seen from above.
 *
 * @param x of its middle
 * @param y of its middle
 * @param diameterMm across
 * @param heightMm it stands out
 * @param domed a cap of a ball; else an upright pin
 * @param up it stands on the lower half; else it hangs from the upper
 */
public record Key(
    double x, double y, double diameterMm, double heightMm, boolean domed, boolean up) {

  /** Chords round it and up it, where it is made solid. */
  private static final int AROUND = 96;

  private static final int RISE = 24;

  /** How far it lifts the parting at a place, mm; negative where it hangs. */
  double at(double px, double py) {
    double r2 = (px - x) * (px - x) + (py - y) * (py - y);
    double rim = diameterMm / 2;
    if (r2 >= rim * rim) {
      return 0;
    }
    double ball = ballMm();
    double high = domed ? Math.sqrt(ball * ball - r2) - (ball - heightMm) : heightMm;
    return up ? high : -high;
  }

  /** Whether a place of the parting is in it. */
  boolean covers(double px, double py) {
    return Math.hypot(px - x, py - y) < diameterMm / 2;
  }

  /** Its outline: x and y in turn; a square where it hangs from the upper half. */
  double[] fromAbove() {
    int corners = up ? 32 : 4;
    double r = diameterMm / 2;
    double[] ring = new double[2 * corners];
    for (int i = 0; i < corners; i++) {
      double angle = 2 * Math.PI * (i + 0.5) / corners;
      ring[2 * i] = x + r * Math.cos(angle);
      ring[2 * i + 1] = y + r * Math.sin(angle);
    }
    return ring;
  }

  /** It alone, standing on z = 0. */
  public TriangleMesh solid() {
    double rim = diameterMm / 2;
    if (!domed) {
      return Tessellation.turned(
          new double[][] {{0, 0}, {rim, 0}, {rim, heightMm}, {0, heightMm}}, AROUND);
    }
    double ball = ballMm();
    double[][] profile = new double[RISE + 2][];
    profile[0] = new double[] {0, 0};
    double half = Math.asin(Math.min(1, rim / ball));
    if (heightMm > ball) {
      half = Math.PI - half;
    }
    for (int i = 0; i <= RISE; i++) {
      double angle = half * (RISE - i) / RISE;
      profile[i + 1] =
          new double[] {ball * Math.sin(angle), ball * Math.cos(angle) - (ball - heightMm)};
    }
    profile[RISE + 1] = new double[] {0, heightMm};
    profile[1] = new double[] {rim, 0};
    return Tessellation.turned(profile, AROUND);
  }

  /** Radius of the ball it is a cap of. */
  private double ballMm() {
    double rim = diameterMm / 2;
    return (rim * rim + heightMm * heightMm) / (2 * heightMm);
  }

  /** Spherical cap πk(3r² + k²)/6, or cylinder πr²k. */
  public double volumeMm3() {
    double rim = diameterMm / 2;
    return domed
        ? Math.PI * heightMm * (3 * rim * rim + heightMm * heightMm) / 6
        : Math.PI * rim * rim * heightMm;
  }
}
