package ungula.core.skin;

import ungula.core.geometry.Vec3;

/**
 * What coats take, by their thickness.
 *
 * @param stepMm from one entry to the next
 * @param mm3 volume of all that lies no further from the master than its entry says, above the
 *     plate; the first is 0
 */
public record CoatCurve(double stepMm, double[] mm3) {

  /**
   * While only measures are known: round a block of that size on the plate, V(t) = A t + π/4
   * (length of its edges off the plate) t² + 2π/3 t³, a quarter of a cylinder to each edge and an
   * eighth of a ball to each corner.
   */
  public static CoatCurve ofBlock(Vec3 sizeMm, double stepMm, double mostMm) {
    double a = sizeMm.x() * sizeMm.y() + 2 * (sizeMm.x() + sizeMm.y()) * sizeMm.z();
    double edges = Math.PI / 4 * (4 * sizeMm.z() + 2 * (sizeMm.x() + sizeMm.y()));
    double[] v = new double[(int) Math.round(mostMm / stepMm) + 1];
    for (int i = 0; i < v.length; i++) {
      double t = i * stepMm;
      v[i] = t * (a + t * (edges + t * 2 * Math.PI / 3));
    }
    return new CoatCurve(stepMm, v);
  }

  /** Linear between entries; beyond the last as at the last. */
  public double within(double mm) {
    double at = Math.max(0, Math.min(mm3.length - 1, mm / stepMm));
    int i = (int) Math.min(mm3.length - 2.0, at);
    return mm3[i] + (at - i) * (mm3[i + 1] - mm3[i]);
  }

  /** Rubber between two distances from the master, mm³. */
  public double between(double fromMm, double toMm) {
    return within(toMm) - within(fromMm);
  }

  /** Surface of a coat's outside: the rate at which the volume grows there, mm². */
  public double areaMm2(double mm) {
    double half = stepMm;
    double low = Math.max(0, mm - half);
    return (within(mm + half) - within(low)) / (mm + half - low);
  }
}
