package ungula.core.master;

/** Which unit a model file without one was probably drawn in. */
public final class UnitGuess {

  /** A longest side under this, in file units, is taken for metres. */
  private static final double METRES_UNDER = 1;

  /** A longest side under this, in file units, is taken for inches. */
  private static final double INCHES_UNDER = 12;

  private UnitGuess() {}

  /**
   * @return millimetres per file unit: 1000, 25.4 or 1
   */
  public static double mmPerUnit(double longestSide) {
    if (longestSide < METRES_UNDER) {
      return 1000;
    }
    return longestSide < INCHES_UNDER ? 25.4 : 1;
  }
}
