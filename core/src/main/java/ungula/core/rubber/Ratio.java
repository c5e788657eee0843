package ungula.core.rubber;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.UnreadableQuantity;

/**
 * How much hardener goes to how much base, with what the numbers are parts of. There is no ratio
 * without that.
 *
 * @param basis what the numbers are
 * @param base parts of base; 100 when the hardener is a percentage
 * @param hardener parts of hardener, or percent of the base's weight
 */
public record Ratio(Basis basis, double base, double hardener) {

  public enum Basis {
    WEIGHT,
    VOLUME,
    PERCENT_OF_BASE,
    /** Nothing goes to it. */
    READY
  }

  /** Of what comes in one part. */
  public static final Ratio READY = new Ratio(Basis.READY, 100, 0);

  private static final String NUMBER = "(\\d+(?:[.,]\\d+)?)";
  private static final Pattern PARTS =
      Pattern.compile(NUMBER + "\\s*(?::|/|to|zu)\\s*" + NUMBER + "\\s*(.*)");
  private static final Pattern PERCENT = Pattern.compile(NUMBER + "\\s*(?:%|percent)\\s*(.*)");

  public Ratio {
    boolean some = hardener > 0 || basis == Basis.READY && hardener == 0;
    if (!(base > 0) || !some || !Double.isFinite(base) || !Double.isFinite(hardener)) {
      throw new UnreadableQuantity("Both parts of a ratio must be more than nothing.");
    }
  }

  /**
   * Reads "100 : 10 by weight", "1 : 1 by volume" or "4 % of base".
   *
   * @throws UnreadableQuantity when the text does not say what the numbers are parts of; the
   *     message spells the readings out
   */
  public static Ratio parse(String text) {
    String clean = text == null ? "" : text.strip().toLowerCase(Locale.ROOT);
    Matcher percent = PERCENT.matcher(clean);
    if (percent.matches()) {
      String of = percent.group(2);
      if (of.matches("of (the )?base( by weight)?|by weight of base")) {
        return new Ratio(Basis.PERCENT_OF_BASE, 100, Numbers.parse(percent.group(1)));
      }
      throw new UnreadableQuantity(
          "“"
              + text.strip()
              + "” does not say of what. Write “"
              + percent.group(1)
              + " % of base”.");
    }
    Matcher parts = PARTS.matcher(clean);
    if (parts.matches()) {
      double a = Numbers.parse(parts.group(1));
      double b = Numbers.parse(parts.group(2));
      String by = parts.group(3);
      if (by.matches("(parts )?by weight|w|wt|pbw|by mass")) {
        return new Ratio(Basis.WEIGHT, a, b);
      }
      if (by.matches("(parts )?by volume|v|vol|pbv")) {
        return new Ratio(Basis.VOLUME, a, b);
      }
      String bare = parts.group(1) + " : " + parts.group(2);
      throw new UnreadableQuantity(
          "“"
              + text.strip()
              + "” could be weighed or measured: "
              + bare
              + " by weight is "
              + grams(100 * b / a)
              + " of hardener for every 100 g of base; by volume it depends on the densities."
              + " Write “"
              + bare
              + " by weight” or “"
              + bare
              + " by volume”, whichever the sheet says.");
    }
    throw new UnreadableQuantity(
        "“"
            + (text == null ? "" : text.strip())
            + "” is not a ratio. Write “100 : 10 by weight”, “1 : 1 by volume” or “4 % of base”.");
  }

  /** Grams of hardener for every gram of base. */
  public double hardenerPerBase(double densityBase, double densityHardener) {
    return basis == Basis.VOLUME
        ? hardener * densityHardener / (base * densityBase)
        : hardener / base;
  }

  /** As on a data sheet, never without what the numbers are. */
  public String text() {
    return switch (basis) {
      case WEIGHT -> plain(base) + " : " + plain(hardener) + " by weight";
      case VOLUME -> plain(base) + " : " + plain(hardener) + " by volume";
      case PERCENT_OF_BASE -> plain(hardener) + " % of base";
      case READY -> "as it comes";
    };
  }

  /** The plain sentence that is always echoed. */
  public static String sentence(double hardenerPerBase) {
    return sentence(hardenerPerBase, "base", "hardener");
  }

  /** The same of parts that go by other names. */
  public static String sentence(double secondPerFirst, String first, String second) {
    return "for every 100 g of " + first + ", " + grams(100 * secondPerFirst) + " of " + second;
  }

  private static String grams(double g) {
    return Numbers.trimmed(g, g < 10 ? 2 : 1) + " g";
  }

  private static String plain(double v) {
    return Numbers.trimmed(v, 3);
  }
}
