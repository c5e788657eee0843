package ungula.core.workshop;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import ungula.core.days.Forecast;
import ungula.core.days.Hours;
import ungula.core.days.Hours.Span;

/**
 * When somebody works in a workshop, how many do, and how warm it will be.
 *
 * @param zone of its clock; null while it is the machine's
 * @param week hours of each weekday
 * @param dates hours of single days, in place of their weekday's
 * @param off days without any
 * @param people who work at once
 * @param forecast of the room, by time; empty while it is as warm as usual
 */
public record WorkHours(
    ZoneId zone,
    Map<DayOfWeek, List<Span>> week,
    SortedMap<LocalDate, List<Span>> dates,
    SortedSet<LocalDate> off,
    int people,
    SortedMap<LocalDateTime, Double> forecast) {

  private static final List<Span> USUAL_DAY =
      List.of(
          new Span(LocalTime.of(8, 0), LocalTime.NOON),
          new Span(LocalTime.of(13, 0), LocalTime.of(17, 0)));

  /** Weekdays from eight to five with an hour at noon, by one person. */
  public static final WorkHours USUAL = new WorkHours(null, null, null, null, 1, null);

  /** What was kept before something was asked about is as usual. */
  public WorkHours {
    Map<DayOfWeek, List<Span>> all = new EnumMap<>(DayOfWeek.class);
    for (DayOfWeek d : DayOfWeek.values()) {
      boolean weekend = d == DayOfWeek.SATURDAY || d == DayOfWeek.SUNDAY;
      List<Span> own = week == null ? null : week.get(d);
      all.put(d, own != null ? List.copyOf(own) : weekend ? List.of() : USUAL_DAY);
    }
    week = Collections.unmodifiableMap(all);
    dates = Collections.unmodifiableSortedMap(dates == null ? new TreeMap<>() : dates);
    off = Collections.unmodifiableSortedSet(off == null ? new TreeSet<>() : off);
    forecast = Collections.unmodifiableSortedMap(forecast == null ? new TreeMap<>() : forecast);
  }

  WorkHours withoutForecast() {
    return new WorkHours(zone, week, dates, off, people, null);
  }

  /** The same but for a day. */
  public WorkHours on(LocalDate day, List<Span> spans) {
    SortedMap<LocalDate, List<Span>> other = new TreeMap<>(dates);
    other.put(day, spans);
    return new WorkHours(zone, week, other, off, people, forecast);
  }

  /** The same with other hours on each weekday of work, made of those it has. */
  public WorkHours each(UnaryOperator<List<Span>> other) {
    Map<DayOfWeek, List<Span>> all = new EnumMap<>(DayOfWeek.class);
    week.forEach((day, spans) -> all.put(day, other.apply(spans)));
    return new WorkHours(zone, all, dates, off, people, forecast);
  }

  /** Hours of a day as they are said: "8:00–12:00, 13:00–17:00". */
  public static String text(List<Span> spans) {
    return WorkHoursWords.text(spans);
  }

  /** Days with other hours, as they are typed. */
  public String datesText() {
    return WorkHoursWords.datesText(dates);
  }

  /** The same by a machine's clock, where no other is said. */
  public WorkHours in(ZoneId machine) {
    return zone == null ? new WorkHours(machine, week, dates, off, people, forecast) : this;
  }

  public ZoneId clock() {
    return zone == null ? ZoneOffset.UTC : zone;
  }

  public Hours.Calendar calendar() {
    return new Hours.Calendar(clock(), week, dates, off);
  }

  /** How warm the room is by time; as usual without a forecast. */
  public Forecast room(double usualC) {
    List<Forecast.From> all = new ArrayList<>();
    forecast.forEach(
        (at, degrees) -> all.add(new Forecast.From(at.atZone(clock()).toEpochSecond(), degrees)));
    return all.isEmpty() ? Forecast.of(usualC) : Forecast.of(all);
  }

  /** When work begins on the day of a time; when nobody works, as on other days. */
  public LocalDateTime morning(LocalDateTime at) {
    LocalTime usual = USUAL_DAY.get(0).from();
    LocalTime first =
        calendar().of(at.toLocalDate()).stream()
            .map(Span::from)
            .min(LocalTime::compareTo)
            .orElse(usual);
    return at.toLocalDate().atTime(first);
  }

  /** The first morning of work that is not past; now, where there is none within a year. */
  public long nextMorning(long now) {
    ZonedDateTime at = Instant.ofEpochSecond(now).atZone(clock());
    for (int i = 0; i <= 366; i++) {
      LocalDateTime morning = morning(at.toLocalDateTime().plusDays(i));
      long time = morning.atZone(clock()).toEpochSecond();
      if (!calendar().of(morning.toLocalDate()).isEmpty() && time >= now) {
        return time;
      }
    }
    return now;
  }

  /** The word of a weekday's hours. */
  public static String week(DayOfWeek day) {
    return "hours.week." + day.name();
  }

  /** "Monday". */
  public static String name(DayOfWeek d) {
    return d.name().charAt(0) + d.name().substring(1).toLowerCase(Locale.ROOT);
  }
}
