package ungula.core.pour;

/**
 * What rubber is mixed in: round, straight or tapering.
 *
 * @param bottomMm inner diameter at the bottom
 * @param topMm inner diameter at the rim
 * @param heightMm inner height
 */
public record Vessel(double bottomMm, double topMm, double heightMm) {

  public Vessel {
    if (!(bottomMm > 0) || !(topMm > 0) || !(heightMm > 0)) {
      throw new IllegalArgumentException("A vessel has two diameters and a height");
    }
  }

  /** To the brim, mm³. */
  public double volumeMm3() {
    return filledMm3(heightMm);
  }

  /** Volume up to a height, mm³: a frustum's. */
  public double filledMm3(double mm) {
    double d = bottomMm + (topMm - bottomMm) * mm / heightMm;
    return Math.PI * mm / 12 * (bottomMm * bottomMm + bottomMm * d + d * d);
  }

  /** How high a volume stands in it, mm: V = π (d³ − d₀³) ÷ 12 s, d = d₀ + s h. */
  public double levelMm(double volumeMm3) {
    double s = (topMm - bottomMm) / heightMm;
    if (Math.abs(s) < 1e-9) {
      return 4 * volumeMm3 / (Math.PI * bottomMm * bottomMm);
    }
    double cubed = Math.pow(bottomMm, 3) + 12 * s * volumeMm3 / Math.PI;
    return (Math.cbrt(cubed) - bottomMm) / s;
  }

  /** Whether it stands in a round room. */
  public boolean fits(double diameterMm, double roomHeightMm) {
    return Math.max(topMm, bottomMm) <= diameterMm && heightMm <= roomHeightMm;
  }
}
