package ungula.core.days;

import java.util.List;

/**
 * How warm the room is, by time. What is stated at 23 °C goes faster or slower by a factor for each
 * 10 °C (van 't Hoff's rule): in a room at T it takes {@code t = t₂₃ / rate^((T − 23) / 10)}.
 */
public final class Forecast {

  private static final double SHEET_C = 23;

  private final long[] from;
  private final double[] degreesC;

  private Forecast(long[] from, double[] degreesC) {
    this.from = from;
    this.degreesC = degreesC;
  }

  /**
   * @param from second of the epoch
   */
  public record From(long from, double degreesC) {}

  /**
   * @param all by time; before the first it is as warm as then; without any, 23 °C
   */
  public static Forecast of(List<From> all) {
    List<From> sorted = all.stream().sorted((a, b) -> Long.compare(a.from, b.from)).toList();
    List<From> warm = sorted.isEmpty() ? List.of(new From(0, SHEET_C)) : sorted;
    return new Forecast(
        warm.stream().mapToLong(From::from).toArray(),
        warm.stream().mapToDouble(From::degreesC).toArray());
  }

  /** Always as warm. */
  public static Forecast of(double degreesC) {
    return of(List.of(new From(0, degreesC)));
  }

  /** What takes so long in a room takes so long at 23 °C. */
  public static double at23(double time, double roomC, double perTen) {
    return time * speed(perTen, roomC);
  }

  private static double speed(double perTen, double degreesC) {
    return Math.pow(perTen, (degreesC - SHEET_C) / 10);
  }

  /** From when on it stays as warm; 0 when it always is. */
  long last() {
    return from[from.length - 1];
  }

  /** How warm it is at a time. */
  public double at(long time) {
    return degreesC[stretch(time)];
  }

  private int stretch(long time) {
    int i = from.length - 1;
    while (i > 0 && from[i] > time) {
      i--;
    }
    return i;
  }

  /**
   * When what is begun at a time is done, to the second.
   *
   * @param seconds it takes at 23 °C
   * @param perTen how many times faster it goes per 10 °C
   */
  long after(long begin, double seconds, double perTen) {
    int i = stretch(begin);
    double at = begin;
    double left = seconds;
    double speed = speed(perTen, degreesC[i]);
    while (i + 1 < from.length && left > (from[i + 1] - at) * speed) {
      left -= (from[i + 1] - at) * speed;
      at = from[i + 1];
      i++;
      speed = speed(perTen, degreesC[i]);
    }
    return Math.round(at + left / speed);
  }
}
