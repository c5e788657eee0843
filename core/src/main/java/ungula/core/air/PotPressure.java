package ungula.core.air;

import java.util.List;

/**
 * What a pressure pot does to trapped air: it shrinks, V·p₀/(p₀ + p), at one temperature (Boyle).
 */
public final class PotPressure {

  /** Of the air we live in. */
  private static final double AIR_KPA = 101.3;

  /** What casting pots are commonly run at, over the air's pressure. */
  public static final double USUAL_KPA = 400;

  /** What pots are run at, from the least to the most. */
  public static final List<Double> COMMON_KPA = List.of(100.0, 200.0, 400.0, 550.0);

  private PotPressure() {}

  /**
   * @param volumeMm3 closed in at the pressure of the air
   * @param gaugeKpa of the pot, over that
   */
  public static double shrunk(double volumeMm3, double gaugeKpa) {
    return volumeMm3 * AIR_KPA / (AIR_KPA + gaugeKpa);
  }

  /**
   * How wide a bubble is under pressure, as a share of its width before.
   *
   * @param gaugeKpa over the air's
   * @param airKpa of the air outside
   */
  public static double acrossShare(double gaugeKpa, double airKpa) {
    return Math.cbrt(airKpa / (airKpa + gaugeKpa));
  }

  /** Diameter of a ball of a volume, mm. */
  public static double ballMm(double volumeMm3) {
    return Math.cbrt(6 * volumeMm3 / Math.PI);
  }
}
