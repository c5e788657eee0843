package ungula.core.quantity;

import java.util.HashMap;
import java.util.Map;
import ungula.core.quantity.Units.Display;
import ungula.core.quantity.Units.Gallon;

/** Volumes in text and in cubic millimetres (1 mL = 1000 mm³). */
public final class Volume {

  public static final double ML_MM3 = 1000;
  public static final double LITRE_MM3 = 1_000_000;

  private Volume() {}

  /**
   * A bare number is millilitres, or fluid ounces in a job that shows inches. "US" and "imp" before
   * or after gal, qt and fl oz are obeyed; without them the job's gallon counts.
   */
  public static double parseMm3(String text, Units units) {
    boolean inch = units.display() == Display.INCH;
    return QuantityText.parse(
        prefixAfterUnit(text),
        factors(units.gallon()),
        inch ? "fl oz" : "ml",
        inch ? "a volume, such as 12 fl oz or 350 mL" : "a volume, such as 350 mL or 1.5 L");
  }

  private static Map<String, Double> factors(Gallon job) {
    Map<String, Double> all = new HashMap<>();
    for (String s : new String[] {"ml", "cc", "cm3", "cm³"}) {
      all.put(s, ML_MM3);
    }
    for (String s : new String[] {"l", "litre", "litres", "liter", "liters"}) {
      all.put(s, LITRE_MM3);
    }
    all.put("mm3", 1.0);
    all.put("in3", Math.pow(Length.INCH_MM, 3));
    all.put("cu in", Math.pow(Length.INCH_MM, 3));
    gallons(all, "", job);
    gallons(all, " us", Gallon.US);
    gallons(all, " imp", Gallon.IMPERIAL);
    gallons(all, " imperial", Gallon.IMPERIAL);
    return all;
  }

  private static void gallons(Map<String, Double> all, String mark, Gallon gallon) {
    for (String s : new String[] {"gal", "gallon", "gallons"}) {
      all.put(s + mark, gallon.mm3());
    }
    for (String s : new String[] {"qt", "quart", "quarts"}) {
      all.put(s + mark, gallon.quartMm3());
    }
    for (String s : new String[] {"fl oz", "floz", "fl. oz"}) {
      all.put(s + mark, gallon.fluidOunceMm3());
    }
  }

  private static String prefixAfterUnit(String text) {
    return text == null
        ? null
        : text.replaceAll(
            "(?i)\\b(US|imp|imperial)\\.?\\s+(gal\\w*|qt|quarts?|fl\\.? ?oz)", "$2 $1");
  }

  /** mL below a litre, litres above; or fluid ounces and quarts, with their kind. */
  public static String format(double mm3, Units units) {
    if (units.display() == Display.INCH) {
      Gallon g = units.gallon();
      return Math.abs(mm3) < g.quartMm3()
          ? Numbers.fixed(mm3 / g.fluidOunceMm3(), decimals(mm3 / g.fluidOunceMm3()))
              + " "
              + g.mark()
              + " fl oz"
          : Numbers.fixed(mm3 / g.quartMm3(), 2) + " " + g.mark() + " qt";
    }
    return Math.abs(mm3) < 0.99995 * LITRE_MM3
        ? Numbers.fixed(mm3 / ML_MM3, 1) + " mL"
        : Numbers.fixed(mm3 / LITRE_MM3, mm3 < 10 * LITRE_MM3 ? 3 : 2) + " L";
  }

  /**
   * A fluid ounce is thirty millilitres: what is less keeps two figures, as a tenth of one does.
   */
  private static int decimals(double ounces) {
    double some = Math.abs(ounces);
    return some == 0 || some >= 0.995 ? 1 : some >= 0.0995 ? 2 : 3;
  }

  /** As {@link #format}, with the millilitres beside it where that says more. */
  public static String exact(double mm3, Units units) {
    return units.display() == Display.INCH
        ? format(mm3, units) + " (" + Numbers.fixed(mm3 / ML_MM3, 1) + " mL)"
        : Numbers.fixed(mm3 / ML_MM3, 2) + " mL";
  }
}
