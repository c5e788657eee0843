package ungula.core;

import static org.testng.Assert.assertTrue;

/** Comparisons with the tolerance said at each use. */
public final class Near {

  private Near() {}

  public static void relative(double actual, double expected, double share) {
    assertTrue(
        Math.abs(actual - expected) <= share * Math.abs(expected),
        actual + " is not within " + 100 * share + " % of " + expected);
  }

  public static void absolute(double actual, double expected, double within) {
    assertTrue(
        Math.abs(actual - expected) <= within,
        actual + " is not within " + within + " of " + expected);
  }
}
