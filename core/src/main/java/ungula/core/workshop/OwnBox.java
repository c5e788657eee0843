package ungula.core.workshop;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import ungula.core.quantity.Length;
import ungula.core.quantity.Units;
import ungula.core.quantity.UnreadableQuantity;

/**
 * A box, frame or pipe a workshop has and moulds are poured in, by its inside.
 *
 * @param lengthMm of a pipe across
 * @param widthMm of a pipe the same
 */
public record OwnBox(boolean pipe, double lengthMm, double widthMm, double heightMm) {

  private static final double LEAST_MM = 10;
  private static final double MOST_MM = 5000;

  private static final Pattern UNIT = Pattern.compile("[\\p{L}\"']+$");

  /** Reads "300 × 200 × 150 mm; pipe 110 × 200 mm", with x or ×; a bare number is in the units. */
  static List<OwnBox> parse(String text, Units units) {
    return Arrays.stream(text.split(";"))
        .map(String::strip)
        .filter(t -> !t.isEmpty())
        .map(t -> one(t, units))
        .toList();
  }

  private static OwnBox one(String text, Units units) {
    String sizes = text.replaceFirst("(?i)^(pipe|box|frame)\\s+", "").replace("Ø", "").strip();
    boolean pipe = text.toLowerCase(Locale.ROOT).startsWith("pipe");
    Matcher unit = UNIT.matcher(sizes);
    String tail = unit.find() ? " " + unit.group() : "";
    double[] mm =
        Arrays.stream(sizes.split("\\s*[x×]\\s*"))
            .mapToDouble(t -> inRange(UNIT.matcher(t.strip()).find() ? t : t + tail, units))
            .toArray();
    if (mm.length != (pipe ? 2 : 3)) {
      throw new UnreadableQuantity(
          "Write the inside of each, with a semicolon between: 300 × 200 × 150 mm; pipe 110 × 200"
              + " mm.");
    }
    return pipe ? new OwnBox(true, mm[0], mm[0], mm[1]) : new OwnBox(false, mm[0], mm[1], mm[2]);
  }

  private static double inRange(String text, Units units) {
    double mm = Length.parseMm(text, units);
    if (!(mm >= LEAST_MM && mm <= MOST_MM)) {
      throw new UnreadableQuantity(
          text.strip()
              + " is outside "
              + Length.format(LEAST_MM, units)
              + " to "
              + Length.format(MOST_MM, units)
              + ".");
    }
    return mm;
  }

  static String text(List<OwnBox> boxes, Units units) {
    return boxes.stream()
        .map(b -> (b.pipe ? "pipe " : "") + b.text(units))
        .collect(Collectors.joining("; "));
  }

  /** "300 × 200 × 150 mm", of a pipe "Ø 110 × 200 mm". */
  public String text(Units units) {
    return pipe
        ? "Ø\u00a0" + Length.format2(lengthMm, heightMm, units)
        : Length.format3(lengthMm, widthMm, heightMm, units);
  }

  /** The same, the other way round. */
  public OwnBox turned() {
    return new OwnBox(pipe, widthMm, lengthMm, heightMm);
  }
}
