package ungula.core.quantity;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Map;

/** Plain numbers in and out. Groups of thousands are set apart by a narrow no-break space. */
public final class Numbers {

  private static final char GROUP = '\u202f';
  private static final MathContext MEANT = new MathContext(13);

  private Numbers() {}

  /** A bare number without a unit, read like any quantity. */
  public static double parse(String text) {
    return QuantityText.parse(text, Map.of("", 1.0), "", "a number, such as 12 or 0.5");
  }

  /** A number that may carry a percent sign; 5 and 5 % are the same. */
  public static double parsePercent(String text) {
    return QuantityText.parse(
        text, Map.of("%", 1.0, "percent", 1.0), "%", "a percentage, such as 5 %");
  }

  /** Rounded half up to so many decimals, all of them shown. */
  public static String fixed(double value, int decimals) {
    if (!Double.isFinite(value)) {
      return "–";
    }
    // 0.75 × 25.4 is a hair under 19.05 in binary: what was meant is rounded, not the hair
    String plain =
        BigDecimal.valueOf(value)
            .round(MEANT)
            .setScale(decimals, RoundingMode.HALF_UP)
            .toPlainString();
    boolean negative = plain.startsWith("-");
    String digits = negative ? plain.substring(1) : plain;
    int point = digits.indexOf('.');
    String whole = point < 0 ? digits : digits.substring(0, point);
    StringBuilder out = new StringBuilder(plain.length() + 4);
    if (negative && digits.chars().anyMatch(c -> c >= '1' && c <= '9')) {
      out.append('\u2212');
    }
    for (int i = 0; i < whole.length(); i++) {
      if (i > 0 && (whole.length() - i) % 3 == 0) {
        out.append(GROUP);
      }
      out.append(whole.charAt(i));
    }
    return point < 0 ? out.toString() : out.append(digits, point, digits.length()).toString();
  }

  /** Rounded to at most so many decimals, trailing zeros dropped. */
  public static String trimmed(double value, int decimals) {
    String fixed = fixed(value, decimals);
    return fixed.indexOf('.') < 0 ? fixed : fixed.replaceAll("0+$", "").replaceAll("\\.$", "");
  }

  /** So many significant figures, without an exponent. */
  public static String significant(double value, int figures) {
    if (value == 0 || !Double.isFinite(value)) {
      return fixed(value, 0);
    }
    int magnitude = (int) Math.floor(Math.log10(Math.abs(value)));
    return fixed(value, Math.max(0, figures - 1 - magnitude));
  }
}
