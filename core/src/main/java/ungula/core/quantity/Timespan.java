package ungula.core.quantity;

import java.time.Duration;
import java.util.Map;

/** Spans of time in text. A bare number is minutes. */
public final class Timespan {

  private static final Map<String, Double> FACTORS =
      Map.ofEntries(
          Map.entry("s", 1.0),
          Map.entry("sec", 1.0),
          Map.entry("min", 60.0),
          Map.entry("minutes", 60.0),
          Map.entry("m", 60.0),
          Map.entry("h", 3600.0),
          Map.entry("hr", 3600.0),
          Map.entry("hour", 3600.0),
          Map.entry("hours", 3600.0),
          Map.entry("d", 86_400.0),
          Map.entry("day", 86_400.0),
          Map.entry("days", 86_400.0));

  private Timespan() {}

  public static Duration parse(String text) {
    double seconds =
        QuantityText.parse(text, FACTORS, "min", "a time, such as 30 min, 4 h or 1 h 20 min");
    return Duration.ofMillis(Math.round(seconds * 1000));
  }

  public static String formatMin(double minutes) {
    return format(Duration.ofSeconds(Math.round(minutes * 60)));
  }

  /** Minutes as a clock that began at 0:00 reads: "1:30", after a night "day 2, 0:10". */
  public static String clock(double min) {
    long all = Math.round(min);
    long day = all / (24 * 60);
    long left = all % (24 * 60);
    String time = left / 60 + (left % 60 < 10 ? ":0" : ":") + left % 60;
    return day == 0 ? time : "day " + (day + 1) + ", " + time;
  }

  public static String format(Duration span) {
    if (span.compareTo(Duration.ofSeconds(90)) < 0 && span.toSeconds() != 60) {
      return span.toSeconds() + " s";
    }
    long minutes = (span.toSeconds() + 30) / 60;
    if (minutes < 120) {
      return minutes + " min";
    }
    long hours = minutes / 60;
    long rest = minutes % 60;
    return rest == 0 ? hours + " h" : hours + " h " + rest + " min";
  }
}
