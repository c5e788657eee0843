package ungula.core.quantity;

import java.util.Map;
import ungula.core.quantity.Units.Display;

/** Masses in text and in grams. */
public final class Mass {

  public static final double OUNCE_G = 28.349523125;
  public static final double POUND_G = 16 * OUNCE_G;

  private static final Map<String, Double> FACTORS =
      Map.ofEntries(
          Map.entry("g", 1.0),
          Map.entry("gram", 1.0),
          Map.entry("grams", 1.0),
          Map.entry("kg", 1000.0),
          Map.entry("oz", OUNCE_G),
          Map.entry("ounce", OUNCE_G),
          Map.entry("ounces", OUNCE_G),
          Map.entry("lb", POUND_G),
          Map.entry("lbs", POUND_G),
          Map.entry("pound", POUND_G),
          Map.entry("pounds", POUND_G));

  private Mass() {}

  /** A bare number is grams, or ounces in a job that shows inches. */
  public static double parseG(String text, Units units) {
    boolean inch = units.display() == Display.INCH;
    return QuantityText.parse(
        text,
        FACTORS,
        inch ? "oz" : "g",
        inch ? "a mass, such as 9 oz, 1 lb 6 oz or 350 g" : "a mass, such as 350 g or 1.5 kg");
  }

  /** Grams to a tenth below 1 kg, whole grams to 10 kg, then kg; or ounces, then pounds. */
  public static String format(double g, Units units) {
    double size = Math.abs(g);
    if (units.display() == Display.INCH) {
      if (size < POUND_G) {
        return Numbers.fixed(g / OUNCE_G, 2) + " oz";
      }
      long tenths = Math.round(g / OUNCE_G * 10);
      return tenths / 160 + " lb " + Numbers.trimmed(tenths % 160 / 10.0, 1) + " oz";
    }
    if (size < 999.95) {
      return Numbers.fixed(g, 1) + " g";
    }
    return size < 9_999.5 ? Numbers.fixed(g, 0) + " g" : Numbers.fixed(g / 1000, 2) + " kg";
  }

  /** As {@link #format}, to a hundredth of a gram. */
  public static String exact(double g, Units units) {
    return units.display() == Display.INCH
        ? format(g, units) + " (" + Numbers.fixed(g, 1) + " g)"
        : Numbers.fixed(g, 2) + " g";
  }
}
