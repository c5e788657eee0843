package ungula.core.mould;

/**
 * The force that lifts a master when rubber gets under it: (ρ_rubber·V − m)·g.
 *
 * @param forceN upwards; zero or less when the master is heavy enough
 */
public record Lift(double forceN) {

  public static Lift of(double volumeMm3, double rubberDensity, double masterG) {
    return new Lift((volumeMm3 / 1000 * rubberDensity - masterG) / 1000 * Bowing.GRAVITY);
  }

  /** The mass that would just hold it, g. */
  public double holdDownG() {
    return forceN / Bowing.GRAVITY * 1000;
  }
}
