package ungula.core.quantity;

import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Pressures over that of the air outside, as the gauge of a pot shows them; kPa. */
public final class Pressure {

  private static final Map<String, Double> KPA =
      Map.of("kpa", 1.0, "bar", 100.0, "mpa", 1000.0, "psi", 6.894757);

  private static final Pattern FORM = Pattern.compile("(\\d+(?:[.,]\\d+)?)\\s*([a-z]*)");

  private Pressure() {}

  /**
   * Reads "400 kPa", "4 bar", "60 psi"; a bare number is in the units shown.
   *
   * @throws UnreadableQuantity saying what to write
   */
  public static double parseKpa(String text, Units units) {
    Matcher m = FORM.matcher(text.strip().toLowerCase(Locale.ROOT));
    boolean inch = units.display() == Units.Display.INCH;
    Double kpa =
        !m.matches()
            ? null
            : m.group(2).isEmpty() ? KPA.get(inch ? "psi" : "kpa") : KPA.get(m.group(2));
    if (kpa == null) {
      throw new UnreadableQuantity(
          "“" + text.strip() + "” is not a pressure. Write 400 kPa, 4 bar or 60 psi.");
    }
    return Numbers.parse(m.group(1)) * kpa;
  }

  public static String format(double kpa, Units units) {
    return units.display() == Units.Display.INCH
        ? Numbers.fixed(kpa / KPA.get("psi"), 0) + " psi"
        : Numbers.fixed(kpa, 0) + " kPa";
  }

  /** As it is edited. */
  public static String exact(double kpa, Units units) {
    return units.display() == Units.Display.INCH
        ? Numbers.trimmed(kpa / KPA.get("psi"), 1) + " psi"
        : Numbers.trimmed(kpa, 1) + " kPa";
  }
}
