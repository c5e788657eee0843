package ungula.core.quantity;

import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A vacuum as it is read off a gauge or a data sheet. The same one is called −0.95 bar, 28 inHg, 5
 * kPa absolute or 95 %: what it is in the chamber depends on the air outside.
 *
 * @param form what the number means
 * @param value kPa below the air outside, kPa absolute, or percent of the air pulled
 */
public record Vacuum(Form form, double value) {

  public enum Form {
    /** Below the air outside. */
    GAUGE,
    /** Above nothing at all. */
    ABSOLUTE,
    /** Share of the air outside that is gone. */
    SHARE
  }

  private static final Map<String, Double> KPA =
      Map.of(
          "bar", 100.0,
          "mbar", 0.1,
          "hpa", 0.1,
          "kpa", 1.0,
          "pa", 0.001,
          "inhg", 3.386389,
          "mmhg", 0.133322368,
          "torr", 0.133322368,
          "psi", 6.894757);

  private static final Pattern FORM =
      Pattern.compile(
          "([-−]?)\\s*(\\d+(?:[.,]\\d+)?)\\s*(%|[a-z]+)\\s*"
              + "(abs(?:olute)?\\.?|gauge|vacuum|below)?");

  /**
   * Reads "-0.95 bar", "28.5 inHg", "5 kPa abs", "50 mbar absolute", "95 %". Inches of mercury are
   * what a vacuum gauge shows unless it says absolute; any other pressure without a sign has to say
   * which it is.
   *
   * @throws UnreadableQuantity saying what to write
   */
  public static Vacuum parse(String text) {
    String clean = text.strip().toLowerCase(Locale.ROOT);
    Matcher m = FORM.matcher(clean);
    if (!m.matches()) {
      throw unreadable(text);
    }
    double number = Numbers.parse(m.group(2));
    String tail = m.group(4) == null ? "" : m.group(4);
    boolean absolute = tail.startsWith("abs");
    if (m.group(3).equals("%")) {
      if (number > 100 || absolute) {
        throw unreadable(text);
      }
      return new Vacuum(Form.SHARE, number);
    }
    Double kpa = KPA.get(m.group(3));
    boolean below = !m.group(1).isEmpty() || !tail.isEmpty() && !absolute;
    boolean inches = m.group(3).equals("inhg") && !absolute;
    if (kpa == null || below && absolute) {
      throw unreadable(text);
    }
    if (!below && !inches && !absolute) {
      throw new UnreadableQuantity(
          "“"
              + text.strip()
              + "” may be what a gauge shows or what is left in the chamber. Write −"
              + m.group(2)
              + " "
              + m.group(3)
              + ", or "
              + m.group(2)
              + " "
              + m.group(3)
              + " absolute.");
    }
    return new Vacuum(absolute ? Form.ABSOLUTE : Form.GAUGE, number * kpa);
  }

  private static UnreadableQuantity unreadable(String text) {
    return new UnreadableQuantity(
        "“"
            + text.strip()
            + "” is not a vacuum. Write −0.95 bar, 28 inHg, 5 kPa absolute or 95 %.");
  }

  /** As it can be read again. */
  public String text() {
    return switch (form) {
      case GAUGE -> "−" + Numbers.trimmed(value / 100, 3) + " bar";
      case ABSOLUTE -> Numbers.trimmed(value, 2) + " kPa absolute";
      case SHARE -> Share.typed(value);
    };
  }

  /**
   * Pressure of the air at a height above the sea, kPa: 101.325 (1 − 2.25577e-5 h)^5.25588
   * (international standard atmosphere; weather moves it by ± 3 %).
   */
  public static double airKpa(double altitudeM) {
    return 101.325 * Math.pow(1 - 2.25577e-5 * altitudeM, 5.25588);
  }

  /**
   * What is left in the chamber, kPa; less than nothing when a gauge cannot have shown it there.
   *
   * @param airKpa outside
   */
  public double absoluteKpa(double airKpa) {
    return switch (form) {
      case GAUGE -> airKpa - value;
      case ABSOLUTE -> value;
      case SHARE -> airKpa * (1 - value / 100);
    };
  }
}
