package ungula.core.cast;

import java.util.ArrayList;
import java.util.List;
import ungula.core.days.Hours;

/** When hands are there, in seconds from a start; read from the calendar as far as it is needed. */
final class Shifts {

  private static final long FIRST_S = 60L * 24 * 3600;

  /** A calendar without hours for so long has none. */
  private static final long MOST_S = 20L * 366 * 24 * 3600;

  private final Hours.Calendar calendar;
  private final long start;
  private final List<double[]> spans = new ArrayList<>();
  private long readS;

  /**
   * @param calendar null: day and night
   * @param start second of the epoch
   */
  Shifts(Hours.Calendar calendar, long start) {
    this.calendar = calendar;
    this.start = start;
  }

  /** The first moment from one on at which work of a length is begun and done in one go. */
  double fits(double from, double seconds) {
    if (calendar == null) {
      return from;
    }
    for (int i = first(from); ; i++) {
      while (i >= spans.size()) {
        read();
      }
      double at = Math.max(from, spans.get(i)[0]);
      if (at + seconds <= spans.get(i)[1]) {
        return at;
      }
    }
  }

  /** The first span that ends after a moment. */
  private int first(double from) {
    int low = 0;
    int high = spans.size();
    while (low < high) {
      int mid = (low + high) >>> 1;
      if (spans.get(mid)[1] > from) {
        high = mid;
      } else {
        low = mid + 1;
      }
    }
    return low;
  }

  private void read() {
    if (readS >= MOST_S) {
      throw new IllegalArgumentException(
          "It cannot be done in these hours: pouring or opening takes longer than any of them, or"
              + " it takes more than twenty years.");
    }
    long to = Math.max(FIRST_S, 2 * readS);
    for (Hours.Work w : calendar.between(start + readS, start + to)) {
      double from = w.from() - start;
      double until = w.to() - start;
      double[] before = spans.isEmpty() ? null : spans.get(spans.size() - 1);
      if (before != null && before[1] == from) {
        before[1] = until;
      } else {
        spans.add(new double[] {from, until});
      }
    }
    readS = to;
  }
}
