package ungula.core.quantity;

import java.util.Map;
import ungula.core.quantity.Units.Display;

/** Lengths in text and in millimetres. */
public final class Length {

  public static final double INCH_MM = 25.4;

  private static final Map<String, Double> FACTORS =
      Map.ofEntries(
          Map.entry("mm", 1.0),
          Map.entry("cm", 10.0),
          Map.entry("m", 1000.0),
          Map.entry("in", INCH_MM),
          Map.entry("inch", INCH_MM),
          Map.entry("inches", INCH_MM),
          Map.entry("\"", INCH_MM),
          Map.entry("ft", 12 * INCH_MM),
          Map.entry("foot", 12 * INCH_MM),
          Map.entry("feet", 12 * INCH_MM),
          Map.entry("'", 12 * INCH_MM));

  private Length() {}

  /** A bare number is millimetres, or inches in a job that shows inches. */
  public static double parseMm(String text, Units units) {
    boolean inch = units.display() == Display.INCH;
    return QuantityText.parse(
        text,
        FACTORS,
        inch ? "in" : "mm",
        inch ? "a length, such as 1/2\", 5 3/16 in or 12 mm" : "a length, such as 12 mm or 3/8\"");
  }

  /** Millimetres to a tenth, or inches to the nearest sixteenth. */
  public static String format(double mm, Units units) {
    return units.display() == Display.INCH
        ? sixteenths(mm / INCH_MM)
        : Numbers.trimmed(mm, 1) + " mm";
  }

  /** A length run along, such as a seam: whole millimetres, metres from one on; inches, feet. */
  public static String run(double mm, Units units) {
    if (units.display() == Display.INCH) {
      double inches = mm / INCH_MM;
      return Math.abs(inches) < 36
          ? Numbers.fixed(inches, 1) + " in"
          : Numbers.fixed(inches / 12, 1) + " ft";
    }
    return Math.abs(mm) < 999.5 ? Numbers.fixed(mm, 0) + " mm" : Numbers.fixed(mm / 1000, 2) + " m";
  }

  /** The same length with its decimals, for where {@link #format} rounds to a fraction. */
  public static String exact(double mm, Units units) {
    return units.display() == Display.INCH
        ? Numbers.fixed(mm / INCH_MM, 3) + " in (" + Numbers.trimmed(mm, 2) + " mm)"
        : Numbers.trimmed(mm, 2) + " mm";
  }

  /** Length × width × height, with the unit once. */
  public static String format3(double aMm, double bMm, double cMm, Units units) {
    if (units.display() == Display.INCH) {
      return format(aMm, units) + " × " + format(bMm, units) + " × " + format(cMm, units);
    }
    return Numbers.trimmed(aMm, 1)
        + " × "
        + Numbers.trimmed(bMm, 1)
        + " × "
        + Numbers.trimmed(cMm, 1)
        + " mm";
  }

  /** Length × width, with the unit once. */
  public static String format2(double aMm, double bMm, Units units) {
    return units.display() == Display.INCH
        ? format(aMm, units) + " × " + format(bMm, units)
        : Numbers.trimmed(aMm, 1) + " × " + Numbers.trimmed(bMm, 1) + " mm";
  }

  private static String sixteenths(double inches) {
    long n = Math.round(Math.abs(inches) * 16);
    String sign = inches < 0 && n > 0 ? "\u2212" : "";
    long whole = n / 16;
    long part = n % 16;
    if (part == 0) {
      return sign + whole + " in";
    }
    long divisor = Long.lowestOneBit(part);
    String fraction = part / divisor + "/" + 16 / divisor;
    return sign + (whole == 0 ? fraction : whole + " " + fraction) + " in";
  }
}
