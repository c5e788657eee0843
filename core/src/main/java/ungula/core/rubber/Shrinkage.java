package ungula.core.rubber;

/**
 * How much smaller a cast is than its master: cast = master × (1 − rubber) × (1 − casting
 * material).
 *
 * @param rubberPct linear, of the mould
 * @param castPct linear, of the casting material; negative when it swells
 */
public record Shrinkage(double rubberPct, double castPct) {

  /** Of a length of the master, what the cast has. */
  public double factor() {
    return (1 - rubberPct / 100) * (1 - castPct / 100);
  }

  /** What the master is multiplied by for a cast of the size wanted. */
  public double scaleUp() {
    return 1 / factor();
  }

  public double lostMm(double masterMm) {
    return masterMm * (1 - factor());
  }
}
