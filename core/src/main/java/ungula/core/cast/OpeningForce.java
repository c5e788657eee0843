package ungula.core.cast;

/**
 * What a liquid in a mould presses its halves apart with: {@code F = ρ g h A}, where {@code h} is
 * the depth of the parting's middle below the surface of the liquid, and {@code A} its area seen
 * along the way it opens. Right for a flat parting at any tilt (the pressure on a flat face is that
 * at its middle).
 *
 * @param newtons that press it open
 */
public record OpeningForce(double newtons) {

  private static final double G = 9.80665;

  /**
   * @param density of what is cast, g/cm³
   * @param depthMm of the middle of the parting's area below the surface of the liquid
   * @param areaMm2 of the cast, seen along the way the mould opens
   */
  public static OpeningForce of(double density, double depthMm, double areaMm2) {
    return new OpeningForce(density * 1e-6 * G * depthMm * areaMm2);
  }

  /** Less what a weight on top holds down, as far as it lies on the parting. */
  public OpeningForce less(double grams) {
    return new OpeningForce(Math.max(0, newtons - grams / 1000 * G));
  }

  /** The weight that holds it shut, g. */
  public double grams() {
    return 1000 * newtons / G;
  }
}
