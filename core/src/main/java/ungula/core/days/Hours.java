package ungula.core.days;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * When somebody works: spans of hours between two dates, in seconds of the epoch. Right over the
 * change of summer time: a span begins and ends when the clock on the wall says so.
 */
public final class Hours {

  private final long[] from;
  private final long[] to;
  private final long longest;

  private Hours(long[] from, long[] to) {
    this.from = from;
    this.to = to;
    long most = 0;
    for (int i = 0; i < from.length; i++) {
      most = Math.max(most, to[i] - from[i]);
    }
    this.longest = most;
  }

  /**
   * Hours of the day, as a clock says them.
   *
   * @param to midnight ends the day; earlier than {@code from} it is on the day after
   */
  public record Span(LocalTime from, LocalTime to) {}

  /** From one second of the epoch to another. */
  public record Work(long from, long to) {}

  /**
   * The hours of every day.
   *
   * @param week of weekdays; of one that is missing none
   * @param dates of single days, in place of their weekday's
   * @param off days without any
   */
  public record Calendar(
      ZoneId zone,
      Map<DayOfWeek, List<Span>> week,
      Map<LocalDate, List<Span>> dates,
      Set<LocalDate> off) {

    /** Of a day; none where nobody works. */
    public List<Span> of(LocalDate day) {
      return off.contains(day)
          ? List.of()
          : dates.getOrDefault(day, week.getOrDefault(day.getDayOfWeek(), List.of()));
    }

    /** Seconds of work between two times, each a second of the epoch. */
    public long worked(long from, long to) {
      return between(from, to).stream().mapToLong(w -> w.to - w.from).sum();
    }

    /** When there is work between two times, seconds of the epoch. */
    public List<Work> between(long from, long to) {
      Hours hours = Hours.of(this, day(from).minusDays(1), day(to));
      List<Work> all = new ArrayList<>();
      for (int i = hours.after(from); i < hours.count() && hours.from[i] < to; i++) {
        all.add(new Work(Math.max(from, hours.from[i]), Math.min(to, hours.to[i])));
      }
      return all;
    }

    private LocalDate day(long time) {
      return Instant.ofEpochSecond(time).atZone(zone).toLocalDate();
    }

    /** When work ends on a day, second of the epoch; empty where there is none. */
    public Optional<Long> ends(LocalDate day) {
      return Hours.of(this, day, day).last();
    }

    /** The last of a day and those that are not like others of the week. */
    LocalDate last(LocalDate day) {
      return Stream.concat(Stream.of(day), Stream.concat(dates.keySet().stream(), off.stream()))
          .max(LocalDate::compareTo)
          .orElseThrow();
    }

    private long at(LocalDate day, LocalTime time) {
      return day.atTime(time).atZone(zone).toEpochSecond();
    }
  }

  /** The hours of all days from one to another, both with it; spans that touch are one. */
  static Hours of(Calendar calendar, LocalDate first, LocalDate last) {
    List<long[]> all = new ArrayList<>();
    for (LocalDate day = first; !day.isAfter(last); day = day.plusDays(1)) {
      for (Span s : calendar.of(day)) {
        LocalDate end = s.to.isAfter(s.from) ? day : day.plusDays(1);
        all.add(new long[] {calendar.at(day, s.from), calendar.at(end, s.to)});
      }
    }
    all.removeIf(s -> s[1] <= s[0]);
    all.sort((a, b) -> Long.compare(a[0], b[0]));
    List<long[]> apart = new ArrayList<>();
    for (long[] s : all) {
      long[] before = apart.isEmpty() ? null : apart.get(apart.size() - 1);
      if (before != null && s[0] <= before[1]) {
        before[1] = Math.max(before[1], s[1]);
      } else {
        apart.add(s);
      }
    }
    return new Hours(
        apart.stream().mapToLong(s -> s[0]).toArray(),
        apart.stream().mapToLong(s -> s[1]).toArray());
  }

  private Optional<Long> last() {
    return to.length == 0 ? Optional.empty() : Optional.of(to[to.length - 1]);
  }

  /** The longest span, s; 0 without any. */
  long longest() {
    return longest;
  }

  int count() {
    return from.length;
  }

  long from(int span) {
    return from[span];
  }

  long to(int span) {
    return to[span];
  }

  /** The first span that ends after a time; {@link #count()} after the last. */
  int after(long t) {
    int low = 0;
    int high = to.length;
    while (low < high) {
      int mid = (low + high) >>> 1;
      if (to[mid] > t) {
        high = mid;
      } else {
        low = mid + 1;
      }
    }
    return low;
  }

  /** When work begun at a time is done, going on after each break; {@link Long#MAX_VALUE} never. */
  long worked(long begin, long seconds) {
    long left = seconds;
    for (int i = after(begin); i < count(); i++) {
      long at = Math.max(begin, from[i]);
      if (left <= to[i] - at) {
        return at + left;
      }
      left -= to[i] - at;
    }
    return Long.MAX_VALUE;
  }

  /** Seconds of work between two times. */
  long between(long begin, long end) {
    long sum = 0;
    for (int i = after(begin); i < count() && from[i] < end; i++) {
      sum += Math.min(end, to[i]) - Math.max(begin, from[i]);
    }
    return sum;
  }
}
