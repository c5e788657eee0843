package ungula.core.quantity;

import java.text.Normalizer;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads a quantity as people write it: one number with a unit, or a compound of falling units ("2
 * ft 3 in"). Numbers may be whole, decimal (point or comma), grouped by spaces ("1 240"), a
 * fraction ("3/8") or mixed ("5 3/16", "11-1/4").
 *
 * <p>A comma before exactly three digits could mean either a thousand or a decimal sign and is
 * refused with both readings. Negative numbers are read; whether they make sense is the caller's to
 * say.
 */
final class QuantityText {

  private static final String DIGITS = "\\d{1,3}(?: \\d{3})+(?:[.,]\\d+)?(?![\\d/])";
  private static final Pattern TERM =
      Pattern.compile(
          "\\s*(?:(?<whole>\\d+)(?: +|-)(?<n1>\\d+)/(?<d1>\\d+)"
              + "|(?<n2>\\d+)/(?<d2>\\d+)"
              + "|(?<grouped>"
              + DIGITS
              + ")|(?<plain>\\d+(?:[.,]\\d+)*|[.,]\\d+))"
              + "\\s*(?<unit>[^\\d\\s.,/+-][^\\d,/+-]*)?");

  private QuantityText() {}

  /**
   * @param factors lower-case unit → size in the base unit
   * @param bare unit assumed when only a number is written; null when a unit must be given
   * @param examples ends the message of a refusal: what would be understood
   * @return the value in the base unit of {@code factors}
   */
  static double parse(String text, Map<String, Double> factors, String bare, String examples) {
    if (text == null || text.isBlank()) {
      throw new UnreadableQuantity("Nothing is written here. Write " + examples + ".");
    }
    String clean = clean(text);
    double sign = 1;
    if (clean.startsWith("-") || clean.startsWith("+")) {
      sign = clean.startsWith("-") ? -1 : 1;
      clean = clean.substring(1);
    }
    Matcher m = TERM.matcher(clean);
    double sum = 0;
    double last = Double.POSITIVE_INFINITY;
    int at = 0;
    while (at < clean.length()) {
      if (!m.find(at) || m.start() != at) {
        throw refuse(text, examples);
      }
      String unit = m.group("unit") == null ? null : m.group("unit").strip();
      boolean only = at == 0 && m.end() == clean.length();
      if (unit == null && (bare == null || !only)) {
        throw new UnreadableQuantity(
            "“" + text.strip() + "” needs a unit. Write " + examples + ".");
      }
      Double factor = factors.get(unit == null ? bare : unit);
      if (factor == null) {
        throw new UnreadableQuantity(
            "“" + unit + "” is not a unit that fits here. Write " + examples + ".");
      }
      if (factor >= last) {
        throw refuse(text, examples);
      }
      last = factor;
      sum += number(m, text) * factor;
      at = m.end();
    }
    return sign * sum;
  }

  private static UnreadableQuantity refuse(String text, String examples) {
    return new UnreadableQuantity(
        "“" + text.strip() + "” is not understood. Write " + examples + ".");
  }

  private static String clean(String text) {
    String spaced = text.replaceAll("(\\d)(?=[¼½¾⅛⅜⅝⅞])", "$1 ");
    return Normalizer.normalize(spaced, Normalizer.Form.NFKC)
        .replace('\u2044', '/')
        .replace('\u2212', '-')
        .replaceAll("[\u2032\u2019]", "'")
        .replaceAll("[\u2033\u201d\u201c]|''", "\"")
        .replaceAll("\\s+", " ")
        .strip()
        .toLowerCase(Locale.ROOT);
  }

  private static double number(Matcher m, String text) {
    if (m.group("whole") != null) {
      return Long.parseLong(m.group("whole")) + fraction(m.group("n1"), m.group("d1"), text);
    }
    if (m.group("n2") != null) {
      return fraction(m.group("n2"), m.group("d2"), text);
    }
    if (m.group("grouped") != null) {
      return Double.parseDouble(m.group("grouped").replace(" ", "").replace(',', '.'));
    }
    return decimal(m.group("plain"), text);
  }

  private static double fraction(String numerator, String denominator, String text) {
    double d = Double.parseDouble(denominator);
    if (d == 0) {
      throw new UnreadableQuantity("“" + text.strip() + "” divides by zero.");
    }
    return Double.parseDouble(numerator) / d;
  }

  private static double decimal(String digits, String text) {
    int commas = (int) digits.chars().filter(c -> c == ',').count();
    int points = (int) digits.chars().filter(c -> c == '.').count();
    if (commas + points <= 1) {
      int comma = digits.indexOf(',');
      boolean thousand = comma > 0 && digits.length() - comma - 1 == 3 && digits.charAt(0) != '0';
      if (thousand) {
        throw new UnreadableQuantity(
            "“"
                + text.strip()
                + "” could be "
                + digits.replace(',', '.')
                + " or "
                + digits.replace(",", "")
                + ". Write it as one of them.");
      }
      return Double.parseDouble(digits.replace(',', '.'));
    }
    // both signs: the last one is the decimal sign, the others group thousands
    char decimalSign = digits.charAt(Math.max(digits.lastIndexOf(','), digits.lastIndexOf('.')));
    char groupSign = decimalSign == ',' ? '.' : ',';
    boolean once = digits.indexOf(decimalSign) == digits.lastIndexOf(decimalSign);
    boolean mixed = commas > 0 && points > 0;
    if (!once || !mixed) {
      throw new UnreadableQuantity(
          "“" + text.strip() + "” has more than one decimal sign. Write it with one.");
    }
    return Double.parseDouble(digits.replace(String.valueOf(groupSign), "").replace(',', '.'));
  }
}
