package ungula.core.quantity;

import ungula.core.quantity.Units.Display;

/** Areas in text. */
public final class Area {

  /** mm² to a square inch. */
  public static final double IN2_MM2 = Length.INCH_MM * Length.INCH_MM;

  /** mm² to a square foot. */
  public static final double FT2_MM2 = 144 * IN2_MM2;

  private static final double CM2_MM2 = 100;
  private static final double M2_MM2 = 1e6;

  private Area() {}

  /** "62.8 cm²", "450 cm²", "0.220 m²"; in inches "9.7 in²", "2.37 ft²". */
  public static String format(double mm2, Units units) {
    return units.display() == Display.INCH
        ? written(mm2, IN2_MM2, " in²", FT2_MM2, " ft²", 2)
        : written(mm2, CM2_MM2, " cm²", M2_MM2, " m²", 3);
  }

  /** In the large unit from a tenth of it on, where that is 200 small ones or more. */
  private static String written(
      double mm2, double small, String smallName, double large, String largeName, int digits) {
    if (mm2 >= large / 10 && mm2 >= 200 * small) {
      return Numbers.fixed(mm2 / large, digits) + largeName;
    }
    return Numbers.fixed(mm2 / small, mm2 < 100 * small ? 1 : 0) + smallName;
  }
}
