package ungula.core.device;

/**
 * Mixed rubber that foams under vacuum: its air grows as the pressure falls (Boyle), large bubbles
 * rise and break, and what is left falls. {@code height = 1 + a·p₀/p}, {@code da/dt = −a·k·(p₀/p −
 * 1)}, where {@code a} is the air stirred in at the pressure outside, as a share of the rubber.
 */
final class Foam {

  /** What is stirred in by hand: three to four times the height under a usual pump. */
  private static final double STIRRED_IN = 0.12;

  /** Of the air, a second, for each time it has grown: falls within two minutes or three. */
  private static final double BREAKS = 0.0007;

  /** Of the air stirred in; with less of it left, it does not rise again. */
  private static final double LEFT = 0.05;

  private final double rim;
  private final double airKPa;
  private double air = STIRRED_IN;
  private double height = 1 + STIRRED_IN;
  private double highest = height;
  private boolean rises;

  /**
   * @param filled share of the cup that the rubber takes before it foams, 0 to 1
   * @param airKPa outside
   */
  Foam(double filled, double airKPa) {
    this.rim = 1 / filled;
    this.airKPa = airKPa;
  }

  /** Time passes at a pressure, kPa absolute. */
  void pass(double kPa, double seconds) {
    double grown = airKPa / kPa;
    air *= Math.exp(-BREAKS * (grown - 1) * seconds);
    double now = 1 + air * grown;
    rises = now > height;
    height = now;
    highest = Math.max(highest, now);
  }

  /** How many times as high as the rubber without air. */
  double height() {
    return height;
  }

  /** Whether it stood over the rim of its cup. */
  boolean ranOver() {
    return highest > rim;
  }

  /** Whether its air is out. */
  boolean fallen() {
    return air < LEFT * STIRRED_IN;
  }

  boolean rises() {
    return rises;
  }
}
