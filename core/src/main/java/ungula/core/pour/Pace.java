package ungula.core.pour;

/**
 * How long the steps of a batch take in this workshop.
 *
 * @param measureMin both parts on the scale
 * @param mixMin stirring
 * @param secondCupMin scraping over into a second cup, and stirring again
 * @param degasMin pulling a vacuum straight through; twice that when the pump is cycled
 * @param vibrateMin after pouring, while the rubber still flows
 * @param pourMm3PerMin in a high thin stream
 */
public record Pace(
    double measureMin,
    double mixMin,
    double secondCupMin,
    double degasMin,
    double vibrateMin,
    double pourMm3PerMin) {

  public static final Pace USUAL = new Pace(3, 4, 1, 5, 15, 300_000);

  /** Of the pot life, as much is planned with. */
  public static final double POT_SHARE = 0.8;

  /** Getting air out: in the chamber before pouring, or vibrating after it. */
  public double airMin(Bubbles bubbles) {
    return switch (bubbles) {
      case VACUUM, VACUUM_TWO_CUPS -> degasMin;
      case VACUUM_CYCLED -> 2 * degasMin;
      case VIBRATED -> vibrateMin;
      case THIN_POUR -> 0;
    };
  }

  /** All but pouring. */
  private double restMin(Bubbles bubbles) {
    return measureMin + mixMin + secondCupMin + airMin(bubbles);
  }

  public double pouringMin(double mm3) {
    return mm3 / pourMm3PerMin;
  }

  /** From the first part on the scale until the batch is in the mould, and its air out. */
  public double batchMin(double mm3, Bubbles bubbles) {
    return restMin(bubbles) + pouringMin(mm3);
  }

  /** The most that is poured in time, mm³; 0 or less when nothing is. */
  public double mostMm3(double potLifeMin, Bubbles bubbles) {
    return (POT_SHARE * potLifeMin - restMin(bubbles)) * pourMm3PerMin;
  }
}
