package ungula.core.quantity;

import java.util.List;
import java.util.Locale;

/** The unit of length a model file is written in, by its millimetres. */
public final class FileUnit {

  private static final double LEAST_MM = 1e-6;
  private static final double MOST_MM = 1e6;

  private record Named(double mm, String name, List<String> marks) {}

  private static final List<Named> NAMED =
      List.of(
          new Named(1, "millimetres", List.of("mm", "millimetre")),
          new Named(10, "centimetres", List.of("cm", "centimetre")),
          new Named(1000, "metres", List.of("m", "metre")),
          new Named(Length.INCH_MM, "inches", List.of("in", "inch", "\"")),
          new Named(12 * Length.INCH_MM, "feet", List.of("ft", "foot", "'")));

  private FileUnit() {}

  /** "millimetres"; "units of 3 mm" where it has no name. */
  public static String name(double mm) {
    return NAMED.stream()
        .filter(n -> n.mm == mm)
        .findFirst()
        .map(Named::name)
        .orElseGet(() -> "units of " + Numbers.trimmed(mm, 4) + " mm");
  }

  /** Reads a name, a mark or a number of millimetres: "inches", "cm", "2.54 mm". */
  public static double parseMm(String text) {
    String given = text.strip().toLowerCase(Locale.ROOT).replaceFirst("^units of ", "");
    for (Named n : NAMED) {
      if (n.name.equals(given) || n.marks.contains(given)) {
        return n.mm;
      }
    }
    double mm = Numbers.parse(given.replaceFirst("\\s*mm$", ""));
    if (!(mm >= LEAST_MM && mm <= MOST_MM)) {
      throw new UnreadableQuantity(
          "Write a unit, such as mm or inches, or how many millimetres one of it is.");
    }
    return mm;
  }
}
