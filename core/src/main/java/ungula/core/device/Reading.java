package ungula.core.device;

import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** One line of a device: a scale, a vacuum gauge, or a thermometer of the room. */
public sealed interface Reading {

  /** Longer lines are none of a device's. */
  int MOST_BYTES = 64;

  /**
   * Of a scale.
   *
   * @param settled whether it stands still
   * @param readG smallest step it shows
   */
  record Weight(boolean settled, double grams, double readG) implements Reading {}

  /** Of a scale with more on it than it carries. */
  record Overload() implements Reading {}

  /**
   * Of a vacuum gauge.
   *
   * @param kPa absolute, or over the air's pressure
   */
  record Pressure(double kPa, boolean absolute) implements Reading {}

  /**
   * Of the room.
   *
   * @param humidityPct relative
   */
  record Room(double degreesC, double humidityPct) implements Reading {}

  /** Of one line, without its end; empty for what no device says. */
  static Optional<Reading> of(String line) {
    if (line.length() > MOST_BYTES) {
      return Optional.empty();
    }
    String said = line.strip();
    if (said.equals("OL")) {
      return Optional.of(new Overload());
    }
    Matcher m = Lines.WEIGHT.matcher(said);
    if (m.matches()) {
      double each = Lines.GRAMS.get(m.group(4));
      double sign = m.group(2).equals("-") ? -1 : 1;
      return Optional.of(
          new Weight(
              m.group(1).equals("S"),
              sign * Double.parseDouble(m.group(3)) * each,
              each * Math.pow(10, -decimals(m.group(3)))));
    }
    m = Lines.PRESSURE.matcher(said);
    if (m.matches()) {
      double kPa = Double.parseDouble(m.group(1)) * Lines.KPA.get(m.group(2));
      return Optional.of(new Pressure(kPa, m.group(3).equals("abs")));
    }
    m = Lines.ROOM.matcher(said);
    return m.matches()
        ? Optional.of(new Room(Double.parseDouble(m.group(1)), Double.parseDouble(m.group(2))))
        : Optional.empty();
  }

  private static int decimals(String number) {
    int point = number.indexOf('.');
    return point < 0 ? 0 : number.length() - point - 1;
  }

  /** How lines are written. */
  final class Lines {
    private static final String NUMBER = "(\\d{1,9}(?:\\.\\d{1,6})?)";
    private static final Pattern WEIGHT =
        Pattern.compile("([SD]) +([+-]) *" + NUMBER + " *(g|kg|oz|lb)");
    private static final Pattern PRESSURE =
        Pattern.compile("P +(-?\\d{1,9}(?:\\.\\d{1,6})?) *(kPa|mbar|bar|inHg|psi) +(abs|rel)");
    private static final Pattern ROOM =
        Pattern.compile("R +(-?\\d{1,3}(?:\\.\\d{1,6})?) *C +(\\d{1,3}(?:\\.\\d{1,6})?) *%");
    private static final Map<String, Double> GRAMS =
        Map.of("g", 1.0, "kg", 1000.0, "oz", 28.349523125, "lb", 453.59237);
    private static final Map<String, Double> KPA =
        Map.of("kPa", 1.0, "mbar", 0.1, "bar", 100.0, "inHg", 3.386389, "psi", 6.894757293);

    private Lines() {}
  }
}
