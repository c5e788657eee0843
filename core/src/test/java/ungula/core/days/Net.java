package ungula.core.days;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import ungula.core.days.Hours.Span;
import ungula.core.days.Network.After;
import ungula.core.days.Network.Busy;
import ungula.core.days.Network.Step;

/** Networks for tests, written as one would tell them. */
final class Net {

  static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");

  private final Map<DayOfWeek, List<Span>> week = new HashMap<>();
  private final Map<LocalDate, List<Span>> dates = new HashMap<>();
  private final Set<LocalDate> off = new HashSet<>();
  private final Map<String, Integer> resources = new LinkedHashMap<>();
  private final List<Step> steps = new ArrayList<>();
  private final List<Busy> busy = new ArrayList<>();
  private Forecast room = Forecast.of(List.of());
  private LocalDateTime start;
  private boolean pinStart;

  /** Monday to Friday, 8 to 12 and 13 to 17, one person. */
  static Net week(String start) {
    Net n = new Net();
    for (DayOfWeek d : DayOfWeek.values()) {
      if (d.getValue() <= 5) {
        n.week.put(d, List.of(span("08:00-12:00"), span("13:00-17:00")));
      }
    }
    n.start = LocalDateTime.parse(start);
    return n;
  }

  static Net noHours(String start) {
    Net n = week(start);
    n.week.clear();
    return n;
  }

  private static Span span(String text) {
    return new Span(LocalTime.parse(text.substring(0, 5)), LocalTime.parse(text.substring(6)));
  }

  Net on(DayOfWeek day, String... spans) {
    week.put(day, List.of(spans).stream().map(Net::span).toList());
    return this;
  }

  Net on(String date, String... spans) {
    dates.put(LocalDate.parse(date), List.of(spans).stream().map(Net::span).toList());
    return this;
  }

  Net off(String date) {
    off.add(LocalDate.parse(date));
    return this;
  }

  Net has(String resource, int many) {
    resources.put(resource, many);
    return this;
  }

  Net pinStart() {
    pinStart = true;
    return this;
  }

  Net room(Forecast.From... all) {
    room = Forecast.of(List.of(all));
    return this;
  }

  Net busy(String resource, String from, String to) {
    busy.add(new Busy(resource, at(from), at(to)));
    return this;
  }

  static After end(String step) {
    return new After(step, 0, null, false, null);
  }

  /** Within a window after another began. */
  static After window(String step, double least, double greatest) {
    return new After(step, least, greatest, true, null);
  }

  Net add(Step step) {
    steps.add(step);
    return this;
  }

  Net hands(String key, double minutes, After... after) {
    return add(new Step(key, true, minutes, null, List.of(after), "", Set.of(), null));
  }

  Net group(String key, String group, double minutes, After... after) {
    return add(new Step(key, true, minutes, null, List.of(after), group, Set.of(), null));
  }

  Net wait(String key, double minutes, After... after) {
    return add(new Step(key, false, minutes, null, List.of(after), "", Set.of(), null));
  }

  static long at(String local) {
    return LocalDateTime.parse(local).atZone(BERLIN).toEpochSecond();
  }

  static String local(Long at) {
    return at == null
        ? "never"
        : LocalDateTime.ofInstant(java.time.Instant.ofEpochSecond(at), BERLIN).toString();
  }

  Network network() {
    return new Network(
        new Hours.Calendar(BERLIN, week, dates, off),
        start.atZone(BERLIN).toEpochSecond(),
        pinStart,
        resources,
        room,
        steps,
        busy);
  }

  Schedule schedule() {
    return Scheduler.of(network());
  }
}
