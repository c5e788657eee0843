package ungula.core.air;

/**
 * What a pressure pot does to trapped air: it shrinks, V·p₀/(p₀ + p), at one temperature (Boyle).
 */
public final class PotPressure {

  /** Of the air we live in. */
  private static final double AIR_KPA = 101.3;

  /** What casting pots are commonly run at, over the air's pressure. */
  public static final double USUAL_KPA = 400;

  private PotPressure() {}

  /**
   * @param volumeMm3 closed in at the pressure of the air
   * @param gaugeKpa of the pot, over that
   */
  public static double shrunk(double volumeMm3, double gaugeKpa) {
    return volumeMm3 * AIR_KPA / (AIR_KPA + gaugeKpa);
  }

  /** Diameter of a ball of a volume, mm. */
  public static double ballMm(double volumeMm3) {
    return Math.cbrt(6 * volumeMm3 / Math.PI);
  }
}
