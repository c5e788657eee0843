package ungula.core.quantity;

import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Densities in text and in g/cm³ (the same number as g/mL and kg/L). */
public final class Density {

  private static final Map<String, Double> FACTORS =
      Map.of(
          "g/cm3", 1.0, "g/cm³", 1.0, "g/cc", 1.0, "g/ml", 1.0, "kg/l", 1.0, "kg/m3", 0.001,
          "kg/m³", 0.001);
  private static final Pattern VALUE_UNIT = Pattern.compile("\\s*([\\d.,\\s]+?)\\s*(\\p{L}.*)?");

  private Density() {}

  /** A bare number is g/cm³. */
  public static double parse(String text) {
    String examples = "a density, such as 1.08 g/cm³ or 1080 kg/m³";
    Matcher m = VALUE_UNIT.matcher(text == null ? "" : text.strip());
    if (!m.matches()) {
      throw new UnreadableQuantity("“" + text + "” is not a density. Write " + examples + ".");
    }
    String unit = m.group(2) == null ? "g/cm3" : m.group(2).strip().toLowerCase(Locale.ROOT);
    Double factor = FACTORS.get(unit);
    if (factor == null) {
      throw new UnreadableQuantity("“" + unit + "” is not a density unit. Write " + examples + ".");
    }
    return Numbers.parse(m.group(1)) * factor;
  }

  public static String format(double gPerCm3) {
    return Numbers.trimmed(gPerCm3, 3) + " g/cm³";
  }
}
