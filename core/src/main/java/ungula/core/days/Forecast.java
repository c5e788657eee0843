package ungula.core.days;

import java.util.List;

/**
 * How warm the room is, by time. What is stated at 23 °C goes faster or slower by a factor for each
 * 10 °C (van 't Hoff's rule): in a room at T it takes {@code t = t₂₃ / rate^((T − 23) / 10)}.
 */
public final class Forecast {

  private static final double SHEET_C = 23;

  private final long[] from;

  /** How much faster than at 23 °C, in each stretch of time. */
  private final double[] speed;

  private Forecast(long[] from, double[] speed) {
    this.from = from;
    this.speed = speed;
  }

  /**
   * @param from second of the epoch
   */
  public record From(long from, double degreesC) {}

  /**
   * @param rate times faster per 10 °C
   * @param all by time; before the first it is as warm as then; without any, 23 °C
   */
  public static Forecast of(double rate, List<From> all) {
    List<From> sorted = all.stream().sorted((a, b) -> Long.compare(a.from, b.from)).toList();
    List<From> warm = sorted.isEmpty() ? List.of(new From(0, SHEET_C)) : sorted;
    double[] speed =
        warm.stream().mapToDouble(f -> Math.pow(rate, (f.degreesC - SHEET_C) / 10)).toArray();
    return new Forecast(warm.stream().mapToLong(From::from).toArray(), speed);
  }

  /** From when on it stays as warm; 0 when it always is. */
  long last() {
    return from[from.length - 1];
  }

  /**
   * When what is begun at a time is done, to the second.
   *
   * @param seconds it takes at 23 °C
   */
  long after(long begin, double seconds) {
    int i = from.length - 1;
    while (i > 0 && from[i] > begin) {
      i--;
    }
    double at = begin;
    double left = seconds;
    while (i + 1 < from.length && left > (from[i + 1] - at) * speed[i]) {
      left -= (from[i + 1] - at) * speed[i];
      at = from[i + 1];
      i++;
    }
    return Math.round(at + left / speed[i]);
  }
}
