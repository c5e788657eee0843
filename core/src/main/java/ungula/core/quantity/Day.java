package ungula.core.quantity;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.format.ResolverStyle;
import java.util.List;
import java.util.Locale;

/** A day of the calendar as it is typed and shown. */
public final class Day {

  private static final DateTimeFormatter SHOWN =
      DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH);

  private static final List<DateTimeFormatter> READ =
      List.of(
          DateTimeFormatter.ISO_LOCAL_DATE,
          DateTimeFormatter.ofPattern("d.M.uuuu").withResolverStyle(ResolverStyle.STRICT),
          new DateTimeFormatterBuilder()
              .parseCaseInsensitive()
              .appendPattern("d MMM uuuu")
              .toFormatter(Locale.ENGLISH)
              .withResolverStyle(ResolverStyle.STRICT));

  private Day() {}

  /**
   * Reads "2026-11-28", "28.11.2026" or "28 Nov 2026". A day with slashes is refused: which number
   * is the month depends on where one is.
   */
  public static LocalDate parse(String text) {
    String clean = text.strip().replaceAll("\\s+", " ");
    for (DateTimeFormatter form : READ) {
      try {
        return LocalDate.parse(clean, form);
      } catch (DateTimeException next) {
        // another form may read it
      }
    }
    throw new UnreadableQuantity(
        "“" + clean + "” is not a day. Write 28 Nov 2026, 28.11.2026 or 2026-11-28.");
  }

  public static String format(LocalDate day) {
    return SHOWN.format(day);
  }
}
