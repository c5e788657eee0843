package ungula.core.mould;

/**
 * Something set into a box that rubber does not fill.
 *
 * @param volumeMm3 of it, spread evenly over its height
 * @param fromMm above the base
 * @param toMm above the base
 */
public record Insert(double volumeMm3, double fromMm, double toMm) {

  /** As much of it as lies below a height, mm³. */
  double below(double zMm) {
    return volumeMm3 * Math.max(0, Math.min(1, (zMm - fromMm) / (toMm - fromMm)));
  }
}
