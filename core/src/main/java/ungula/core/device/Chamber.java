package ungula.core.device;

/**
 * A vacuum chamber with its pump: {@code p = p∞ + (p₀ − p∞)·e^(−St/V)}.
 *
 * @param volumeL of the chamber
 * @param pumpLMin pumping speed
 * @param bestKPa the pump reaches, absolute
 */
public record Chamber(double volumeL, double pumpLMin, double bestKPa) {

  public Chamber {
    if (!(volumeL > 0) || !(pumpLMin > 0) || !(bestKPa >= 0)) {
      throw new IllegalArgumentException("A chamber has a volume, and a pump that pumps");
    }
  }

  /**
   * Absolute pressure after pumping for a while, kPa.
   *
   * @param fromKPa absolute, as pumping begins
   */
  public double pumped(double fromKPa, double seconds) {
    return pumped(fromKPa, 0, 0, seconds);
  }

  /**
   * The same with a leak: it stays at a higher pressure.
   *
   * @param leakLMin of air that gets in
   * @param airKPa outside
   */
  public double pumped(double fromKPa, double leakLMin, double airKPa, double seconds) {
    double best = bestKPa + leakLMin * airKPa / pumpLMin;
    return best + (fromKPa - best) * Math.exp(-pumpLMin * seconds / 60 / volumeL);
  }
}
