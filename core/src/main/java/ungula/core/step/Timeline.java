package ungula.core.step;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ungula.core.choice.DaysChoice;
import ungula.core.days.Diary;
import ungula.core.days.Forecast;
import ungula.core.days.Hours;
import ungula.core.days.Network;
import ungula.core.days.Schedule;
import ungula.core.days.Scheduler;
import ungula.core.workshop.WorkHours;

/**
 * When each step of a job is done: the earliest schedule in the hours of its workshop (handbook
 * 6.2). Made when it is first asked for.
 *
 * <p>Where it does not fit into those hours, {@link #kept} says so, and the times are those of days
 * without breaks, or without nights: only what lies between steps is to be told by them.
 */
public final class Timeline {

  /** In what a schedule was found. */
  public enum Kept {
    /** In the hours of work. */
    HOURS,
    /** Through their breaks. */
    BREAKS_WORKED,
    /** Day and night. */
    DAY_AND_NIGHT
  }

  /** Seconds of the epoch. */
  public record Span(long begin, long end) {}

  private final Network network;
  private Map<String, Span> spans;
  private Kept kept;

  private Timeline(Network network) {
    this.network = network;
  }

  /**
   * @param room by time
   */
  public static Timeline of(
      List<Network.Step> steps, WorkHours hours, Forecast room, DaysChoice days, Diary diary) {
    ZoneId zone = hours.clock();
    long start =
        days.begin() == null ? diary.morning() : days.begin().at().atZone(zone).toEpochSecond();
    List<Network.Step> pinned =
        steps.stream()
            .map(
                s ->
                    days.pins().containsKey(s.key())
                        ? s.pinnedTo(days.pins().get(s.key()).atZone(zone).toEpochSecond())
                        : s)
            .toList();
    return new Timeline(
        new Network(
            hours.calendar(),
            start,
            false,
            Map.of(Network.PERSON, hours.people()),
            room,
            pinned,
            diary.taken()));
  }

  /** What is scheduled. */
  public Network network() {
    return network;
  }

  private synchronized Map<String, Span> made() {
    if (spans == null) {
      Schedule s = Scheduler.earliest(network);
      kept = Kept.HOURS;
      if (!s.feasible()) {
        s = Scheduler.earliest(in(dayLong(network.calendar())));
        kept = Kept.BREAKS_WORKED;
      }
      if (!s.feasible()) {
        s = Scheduler.earliest(in(always(network.calendar())));
        kept = Kept.DAY_AND_NIGHT;
      }
      Map<String, Span> all = new LinkedHashMap<>();
      s.steps().forEach(p -> all.put(p.key(), new Span(p.from(), p.to())));
      spans = all;
    }
    return spans;
  }

  /** In longer hours, without pins and what others use: nobody is told to keep it. */
  private Network in(Hours.Calendar calendar) {
    return network
        .in(calendar)
        .beside(List.of())
        .with(network.steps().stream().map(s -> s.pinnedTo(null)).toList());
  }

  /** From the first hour of each day to its last. */
  private static Hours.Calendar dayLong(Hours.Calendar c) {
    Map<DayOfWeek, List<Hours.Span>> week = new EnumMap<>(DayOfWeek.class);
    c.week().forEach((day, spans) -> week.put(day, joined(spans)));
    Map<LocalDate, List<Hours.Span>> dates = new LinkedHashMap<>();
    c.dates().forEach((day, spans) -> dates.put(day, joined(spans)));
    return new Hours.Calendar(c.zone(), week, dates, c.off());
  }

  private static List<Hours.Span> joined(List<Hours.Span> spans) {
    return spans.isEmpty()
        ? spans
        : List.of(new Hours.Span(spans.get(0).from(), spans.get(spans.size() - 1).to()));
  }

  private static Hours.Calendar always(Hours.Calendar c) {
    List<Hours.Span> day = List.of(new Hours.Span(LocalTime.MIDNIGHT, LocalTime.MIDNIGHT));
    Map<DayOfWeek, List<Hours.Span>> week = new EnumMap<>(DayOfWeek.class);
    for (DayOfWeek d : DayOfWeek.values()) {
      week.put(d, day);
    }
    return new Hours.Calendar(c.zone(), week, Map.of(), Set.of());
  }

  /** In what hours it could be done. */
  public Kept kept() {
    made();
    return kept;
  }

  /** Of each step, by its key. */
  public Map<String, Span> spans() {
    return made();
  }

  /** Null for a step that is not there. */
  public Span of(String key) {
    return made().get(key);
  }

  /** When the first step begins; the start wanted where there is none. */
  public long begin() {
    return made().values().stream().mapToLong(Span::begin).min().orElse(network.start());
  }

  /** When the last step is done; the start wanted where there is none. */
  public long end() {
    return made().values().stream().mapToLong(Span::end).max().orElse(network.start());
  }

  public ZonedDateTime at(long time) {
    return Instant.ofEpochSecond(time).atZone(network.calendar().zone());
  }

  /** How many days a time is after the day it is begun, by the clock on the wall. */
  public int day(long time) {
    return days(begin(), time);
  }

  /** How many midnights lie between two times. */
  public int days(long from, long to) {
    return (int) ChronoUnit.DAYS.between(at(from).toLocalDate(), at(to).toLocalDate());
  }

  /** When work ends on the day of a time; midnight where nobody works. */
  public long endOfDay(long time) {
    LocalDate day = at(time).toLocalDate();
    long midnight = day.plusDays(1).atStartOfDay(network.calendar().zone()).toEpochSecond();
    return network.calendar().ends(day).orElse(midnight);
  }

  /** Minutes between two times. */
  public static double minutes(long from, long to) {
    return (to - from) / 60.0;
  }

  /** The same workshop, with other steps that begin no earlier than a time, and more taken. */
  public Timeline then(List<Network.Step> steps, long start, List<Network.Busy> more) {
    List<Network.Busy> taken = new ArrayList<>(network.busy());
    taken.addAll(more);
    return new Timeline(network.with(steps).from(start, false).beside(taken));
  }

  /** The same with nothing else to do. */
  public Timeline alone() {
    return new Timeline(network.beside(List.of()));
  }

  /** What a step waits on. */
  List<Network.After> after(String key) {
    return step(key).after();
  }

  private Network.Step step(String key) {
    return network.steps().stream().filter(s -> s.key().equals(key)).findFirst().orElseThrow();
  }

  /** From when on what a step waits on lets it begin. */
  long lets(Network.After a) {
    return lag(a, a.least());
  }

  private long lag(Network.After a, double minutes) {
    Span other = of(a.step());
    return network.later(a.fromBegin() ? other.begin : other.end, minutes, a.perTen());
  }

  /**
   * A window in which a step is to begin. Seconds of the epoch.
   *
   * @param opens from when on
   * @param closes until when
   */
  public record Window(long opens, long closes) {}

  /** The window of a step that closes first; empty where none closes. */
  Optional<Window> window(String key) {
    return after(key).stream()
        .filter(a -> a.greatest() != null)
        .map(a -> new Window(lets(a), lag(a, a.greatest())))
        .min(Comparator.comparingLong(Window::closes));
  }

  /** When somebody works at a step, with the breaks left out; of a wait all of it. */
  List<Span> stretches(String key) {
    Network.Step step = step(key);
    Span at = of(key);
    boolean cut = step.hands() && minutes(at.begin, at.end) > step.minutes() + 1;
    return cut && step.done() == null
        ? network.calendar().between(at.begin, at.end).stream()
            .map(w -> new Span(w.from(), w.to()))
            .toList()
        : List.of(at);
  }

  /** What it uses, and when; nothing where it does not fit in the hours. */
  public List<Network.Busy> taken() {
    List<Network.Busy> all = new ArrayList<>();
    if (kept() != Kept.HOURS) {
      return all;
    }
    for (Network.Step s : network.steps()) {
      Span at = of(s.key());
      if (at != null && at.end > at.begin) {
        if (s.hands()) {
          stretches(s.key())
              .forEach(w -> all.add(new Network.Busy(Network.PERSON, w.begin, w.end)));
        }
        s.holds().forEach(h -> all.add(new Network.Busy(h, at.begin, at.end)));
      }
    }
    return all;
  }
}
