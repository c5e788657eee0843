package ungula.core.mould;

/**
 * How far a box wall bows under the rubber's pressure ρ·g·z: the softer of a horizontal strip at
 * mid-depth, held at both ends (5 q L⁴ / 384 E I), and a cantilever from the base (ρ g H⁵ / 30 E
 * I), the two sharing the load, 1/w = 1/w₁ + 1/w₂. I = t³/12 per unit width; beam theory, so good
 * for small bowing only.
 *
 * @param stripMm of the strip alone
 * @param cantileverMm of the cantilever alone
 */
public record Bowing(double stripMm, double cantileverMm) {

  public static final double GRAVITY = 9.81;

  /** Bowing over this shows in the cast and leaks at the corners. */
  public static final double LIMIT_MM = 1;

  /** Bowing over this share of the rubber wall thins it noticeably. */
  public static final double LIMIT_OF_WALL = 1.0 / 12;

  /**
   * @param spanMm between corners or ribs
   * @param depthMm of rubber against it
   * @param density of the rubber, g/cm³
   */
  public static Bowing of(double spanMm, double depthMm, SheetStock sheet, double density) {
    double rhoG = density * 1000 * GRAVITY;
    double span = spanMm / 1000;
    double depth = depthMm / 1000;
    double t = sheet.thicknessMm() / 1000;
    double ei = sheet.stiffnessGpa() * 1e9 * t * t * t / 12;
    double strip = 5 * rhoG * depth / 2 * Math.pow(span, 4) / (384 * ei);
    double cantilever = rhoG * Math.pow(depth, 5) / (30 * ei);
    return new Bowing(strip * 1000, cantilever * 1000);
  }

  public double mm() {
    return stripMm == 0 || cantileverMm == 0 ? 0 : 1 / (1 / stripMm + 1 / cantileverMm);
  }

  public static double limitMm(double wallMm) {
    return Math.min(LIMIT_MM, wallMm * LIMIT_OF_WALL);
  }
}
