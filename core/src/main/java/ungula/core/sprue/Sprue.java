package ungula.core.sprue;

/**
 * The channel casting material goes in through: how wide it must be.
 *
 * <p>Laminar flow through a round tube kept full (Hagen–Poiseuille): Q = π ρ g h d⁴ / (128 µ L). No
 * faster than a person pours.
 *
 * @param diameterMm of the channel
 * @param lengthMm of it
 */
public record Sprue(double diameterMm, double lengthMm) {

  /** What channels are made in. */
  private static final double[] STANDARD_MM = {4, 6, 8, 10, 12, 15, 20};

  /** A steady hand pours no faster, mm³/s. */
  public static final double POURED_MM3_S = 40_000;

  /** A mould is full within this share of the pot life. */
  public static final double IN_TIME = 1 / 3.0;

  private static final double GRAVITY_M_S2 = 9.81;

  /**
   * Casting material while it is poured.
   *
   * @param viscosityPas Pa·s
   * @param potLifeMin minutes
   * @param density g/cm³
   */
  public record Resin(double viscosityPas, double potLifeMin, double density) {

    public static final Resin USUAL = new Resin(0.15, 6, 1.1);
  }

  /** The head is the length of the channel itself, kept full: it drops out of the formula. */
  public double flowMm3PerS(Resin resin) {
    double d = diameterMm / 1000;
    double q =
        Math.PI
            * resin.density
            * 1000
            * GRAVITY_M_S2
            * Math.pow(d, 4)
            / (128 * Math.max(1e-6, resin.viscosityPas));
    return q * 1e9;
  }

  /** Time to fill a cavity, s. */
  public double fillS(double mm3, Resin resin) {
    return mm3 / Math.min(POURED_MM3_S, flowMm3PerS(resin));
  }

  public boolean inTime(double mm3, Resin resin) {
    return fillS(mm3, resin) <= IN_TIME * 60 * resin.potLifeMin;
  }

  public double sectionMm2() {
    return Math.PI / 4 * diameterMm * diameterMm;
  }

  public double volumeMm3() {
    return sectionMm2() * lengthMm;
  }

  /** The narrowest standard channel that fills a cavity in time; the widest when none does. */
  public static Sprue proposed(double mm3, double lengthMm, Resin resin) {
    for (double d : STANDARD_MM) {
      Sprue s = new Sprue(d, lengthMm);
      if (s.inTime(mm3, resin)) {
        return s;
      }
    }
    return new Sprue(STANDARD_MM[STANDARD_MM.length - 1], lengthMm);
  }
}
