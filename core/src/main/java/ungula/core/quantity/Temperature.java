package ungula.core.quantity;

import java.util.Locale;
import java.util.Map;
import ungula.core.quantity.Units.Display;

/** Temperatures in text and in °C. */
public final class Temperature {

  private static final Map<String, Double> MARKS =
      Map.of("c", 1.0, "°c", 1.0, "° c", 1.0, "°", 1.0, "f", 1.0, "°f", 1.0, "° f", 1.0);

  private Temperature() {}

  /** A bare number is °C, or °F in a job that shows inches. */
  public static double parseC(String text, Units units) {
    boolean inch = units.display() == Display.INCH;
    String examples = inch ? "a temperature, such as 73 °F" : "a temperature, such as 23 °C";
    boolean fahrenheit =
        text != null
            && (text.strip().toLowerCase(Locale.ROOT).endsWith("f") || inch && !endsWithC(text));
    double value = QuantityText.parse(text, MARKS, "°", examples);
    return fahrenheit ? (value - 32) / 1.8 : value;
  }

  private static boolean endsWithC(String text) {
    return text.strip().toLowerCase(Locale.ROOT).endsWith("c");
  }

  public static String format(double c, Units units) {
    return units.display() == Display.INCH
        ? Numbers.trimmed(c * 1.8 + 32, 0) + " °F"
        : Numbers.trimmed(c, 1) + " °C";
  }

  /** How much warmer one thing is than another. */
  public static String difference(double c, Units units) {
    return units.display() == Display.INCH
        ? Numbers.trimmed(c * 1.8, 0) + " °F"
        : Numbers.trimmed(c, 1) + " °C";
  }
}
