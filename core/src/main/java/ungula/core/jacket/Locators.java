package ungula.core.jacket;

import ungula.core.quantity.Choosable;

/** What lets a skin find its place in its jacket again. */
public enum Locators implements Choosable {
  NONE("no locators", 0),
  BUTTONS("buttons of rubber set on the last coat", cap(15, 10)),
  CUT_IN("hollows cut into the last coat", 0);

  /**
   * One for so much of the outside, mm²: about a hand's breadth and a half from one to the next.
   */
  private static final double EACH_MM2 = 150 * 150;

  /** A section with fewer can still turn. */
  private static final int LEAST = 3;

  private final String text;
  private final double eachMm3;

  Locators(String text, double eachMm3) {
    this.text = text;
    this.eachMm3 = eachMm3;
  }

  /** Volume of a spherical cap, π h (3 a² + h²) ÷ 6. */
  private static double cap(double radiusMm, double highMm) {
    return Math.PI * highMm * (3 * radiusMm * radiusMm + highMm * highMm) / 6;
  }

  @Override
  public String text() {
    return text;
  }

  /** Rubber in each, mm³. */
  public double eachMm3() {
    return eachMm3;
  }

  /** How many a skin with an outside so large gets. */
  public int count(double areaMm2) {
    return this == NONE ? 0 : Math.max(LEAST, (int) Math.ceil(areaMm2 / EACH_MM2));
  }
}
