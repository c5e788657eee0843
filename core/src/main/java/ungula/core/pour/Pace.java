package ungula.core.pour;

/**
 * How long the steps of a batch take in this workshop.
 *
 * @param measureMin both parts on the scale
 * @param mixMin stirring
 * @param secondCupMin scraping over into a second cup, and stirring again
 * @param degasMin pulling a vacuum straight through; twice that when the pump is cycled
 * @param vibrateMin after pouring; the rubber may gel meanwhile
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

  /** From the first drop of the second part until pouring begins. */
  public double beforePouringMin(Bubbles bubbles) {
    double degas =
        switch (bubbles) {
          case VACUUM -> degasMin;
          case VACUUM_CYCLED -> 2 * degasMin;
          default -> 0;
        };
    return mixMin + secondCupMin + degas;
  }

  public double pouringMin(double mm3) {
    return mm3 / pourMm3PerMin;
  }

  /** From the first part on the scale until the batch is poured. */
  public double batchMin(double mm3, Bubbles bubbles) {
    return measureMin + beforePouringMin(bubbles) + pouringMin(mm3);
  }

  /** The most that is poured in time, mm³; 0 or less when nothing is. */
  public double mostMm3(double potLifeMin, Bubbles bubbles) {
    return (POT_SHARE * potLifeMin - measureMin - beforePouringMin(bubbles)) * pourMm3PerMin;
  }
}
