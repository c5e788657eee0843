package ungula.core.workshop;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import ungula.core.days.Hours.Span;
import ungula.core.days.Moments;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.UnreadableQuantity;
import ungula.core.sentence.Kind;
import ungula.core.sentence.WordBook;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.sentence.WordBook.Refused;

/** How the hours of a workshop are typed and said. */
final class WorkHoursWords {

  private static final int MOST_DAYS_OFF = 400;
  private static final double COLDEST_C = -10;
  private static final double WARMEST_C = 50;
  private static final String NONE = "none";

  private WorkHoursWords() {}

  /** What is typed into its words, counted from the day it is typed on, as it is kept. */
  static List<Edit> dated(List<Edit> edits, Moments today) {
    return edits.stream().map(e -> e.text() == null ? e : dated(e, today)).toList();
  }

  private static Edit dated(Edit e, Moments today) {
    try {
      return switch (e.word()) {
        case "hours.off" -> Edit.of(e.word(), days(e.text(), today));
        case "hours.dates" -> Edit.of(e.word(), dates(e.text(), today));
        case "hours.forecast" -> Edit.of(e.word(), forecast(e.text(), today));
        default -> e;
      };
    } catch (UnreadableQuantity refused) {
      throw new Refused(e.word(), refused.getMessage());
    }
  }

  private static List<String> parts(String text) {
    String all = text.strip();
    return all.isEmpty() || all.equalsIgnoreCase(NONE)
        ? List.of()
        : List.of(all.split("\\s*[;\\n]\\s*"));
  }

  /** "24 Dec – 1 Jan; 8 Mar" as days; commas part them too. */
  private static String days(String text, Moments today) {
    SortedSet<LocalDate> all = new TreeSet<>();
    for (String part : parts(text.replace(',', ';'))) {
      String[] ends = part.split("\\s*(?:–|\\bto\\b| - )\\s*");
      LocalDate first = today.day(ends[0]);
      LocalDate last = ends.length == 1 ? first : today.day(ends[1]);
      if (ends.length > 2 || last.isBefore(first) || last.isAfter(first.plusDays(MOST_DAYS_OFF))) {
        throw new UnreadableQuantity("Write days off as 24 Dec – 1 Jan; 8 Mar.");
      }
      first.datesUntil(last.plusDays(1)).forEach(all::add);
    }
    return all.stream().map(LocalDate::toString).collect(Collectors.joining(";"));
  }

  /** "Thu 11 Feb 8–20; Sat 13 Feb 9–12". */
  private static String dates(String text, Moments today) {
    List<String> all = new ArrayList<>();
    for (String part : parts(text)) {
      Matcher m =
          Pattern.compile("^(.*?)[\\s:,]+(\\d{1,2}(?:[:.]\\d\\d)? *(?:–|-|to).*)$")
              .matcher(part.strip());
      if (!m.matches()) {
        throw new UnreadableQuantity("Write a day and its hours: Thu 11 Feb 8:00–20:00.");
      }
      all.add(today.day(m.group(1)) + "=" + text(spans(m.group(2))));
    }
    return String.join(";", all);
  }

  /** "19 °C; Tue 9 18:00 12 °C; Wed 8:00 20 °C". */
  private static String forecast(String text, Moments today) {
    List<String> all = new ArrayList<>();
    for (String part : parts(text.replace(',', ';'))) {
      Matcher m =
          Pattern.compile("^(.*?)\\s*([−-]?\\d+(?:\\.\\d+)?)\\s*(?:°?\\s*([CF]))$")
              .matcher(part.strip());
      if (!m.matches()) {
        throw new UnreadableQuantity(
            "Write from when and how warm, with a semicolon between: Tue 18:00 12 °C; Wed 8:00 20"
                + " °C.");
      }
      double typed = Double.parseDouble(m.group(2).replace('−', '-'));
      double degrees = m.group(3).equals("F") ? (typed - 32) / 1.8 : typed;
      if (!(degrees >= COLDEST_C && degrees <= WARMEST_C)) {
        throw new UnreadableQuantity("A room has from −10 °C to 50 °C: " + part.strip() + ".");
      }
      String when = m.group(1).isBlank() ? "today" : m.group(1);
      all.add(today.moment(when).at() + "=" + degrees);
    }
    return String.join(";", all);
  }

  static <T extends Record> void words(WordBook<T> words) {
    for (DayOfWeek d : DayOfWeek.values()) {
      words.word(
          WorkHours.week(d),
          "hours on a " + WorkHours.name(d),
          Kind.parsed("hours", WorkHoursWords::spans, WorkHoursWords::text));
    }
    words
        .word("hours.people", "people who work at once", Kind.count("person", "people", 1, 20))
        .word(
            "hours.off",
            "days off",
            Kind.parsed("days", WorkHoursWords::offKept, WorkHoursWords::offText))
        .word(
            "hours.dates",
            "days with other hours",
            Kind.parsed("days", WorkHoursWords::datesKept, WorkHoursWords::datesText))
        .word(
            "hours.forecast",
            "how warm the room will be",
            Kind.parsed("forecast", WorkHoursWords::forecastKept, WorkHoursWords::forecastText))
        .open(
            "hours.zone",
            "time zone",
            Kind.parsed("zone", WorkHoursWords::zone, ZoneId::getId),
            "the machine's");
  }

  private static ZoneId zone(String text) {
    try {
      return ZoneId.of(text.strip());
    } catch (DateTimeException e) {
      throw new UnreadableQuantity(
          "Write a time zone such as Europe/Berlin or America/New_York: “"
              + text.strip()
              + "” is none.");
    }
  }

  /** "8–12, 13–17" or "8:00-12:30"; "none" is a day off. */
  static List<Span> spans(String text) {
    if (text.isBlank() || text.strip().equalsIgnoreCase(NONE)) {
      return List.of();
    }
    List<Span> all = new ArrayList<>();
    for (String part : text.split("[,;]| and ")) {
      String[] ends = part.strip().split("\\s*(?:–|-|\\bto\\b)\\s*");
      if (ends.length != 2) {
        throw unreadable(text);
      }
      Span span = new Span(time(ends[0], text), time(ends[1], text));
      boolean overnight = !span.to().isAfter(span.from()) && !span.to().equals(LocalTime.MIDNIGHT);
      if (overnight || !all.isEmpty() && !span.from().isAfter(all.get(all.size() - 1).to())) {
        throw new UnreadableQuantity("Hours follow each other within a day: 8–12, 13–17.");
      }
      all.add(span);
    }
    return all;
  }

  private static UnreadableQuantity unreadable(String text) {
    return new UnreadableQuantity(
        "Write hours as 8–12, 13–17, or none: “" + text.strip() + "” is not understood.");
  }

  private static LocalTime time(String text, String all) {
    Matcher m = Pattern.compile("(\\d{1,2})(?:[:.](\\d\\d))?").matcher(text.strip());
    if (!m.matches()) {
      throw unreadable(all);
    }
    int hour = Integer.parseInt(m.group(1));
    int minute = m.group(2) == null ? 0 : Integer.parseInt(m.group(2));
    if (hour == 24 && minute == 0) {
      return LocalTime.MIDNIGHT;
    }
    if (hour > 23 || minute > 59) {
      throw unreadable(all);
    }
    return LocalTime.of(hour, minute);
  }

  static String text(List<Span> spans) {
    return spans.isEmpty()
        ? NONE
        : spans.stream()
            .map(
                s ->
                    Moments.clock(s.from())
                        + "–"
                        + (s.to().equals(LocalTime.MIDNIGHT) ? "24:00" : Moments.clock(s.to())))
            .collect(Collectors.joining(", "));
  }

  private static SortedSet<LocalDate> offKept(String kept) {
    SortedSet<LocalDate> all = new TreeSet<>();
    parts(kept).forEach(d -> all.add(LocalDate.parse(d)));
    return all;
  }

  /** Days that follow each other as one stretch. */
  private static String offText(SortedSet<LocalDate> off) {
    List<LocalDate[]> stretches = new ArrayList<>();
    for (LocalDate d : off) {
      LocalDate[] last = stretches.isEmpty() ? null : stretches.get(stretches.size() - 1);
      if (last != null && last[1].plusDays(1).equals(d)) {
        last[1] = d;
      } else {
        stretches.add(new LocalDate[] {d, d});
      }
    }
    return stretches.isEmpty()
        ? NONE
        : stretches.stream()
            .map(
                s ->
                    Moments.dayOfYear(s[0])
                        + (s[0].equals(s[1]) ? "" : " – " + Moments.dayOfYear(s[1])))
            .collect(Collectors.joining("; "));
  }

  private static SortedMap<LocalDate, List<Span>> datesKept(String kept) {
    SortedMap<LocalDate, List<Span>> all = new TreeMap<>();
    for (String part : parts(kept)) {
      String[] of = part.split("=");
      all.put(LocalDate.parse(of[0]), spans(of[1]));
    }
    return all;
  }

  static String datesText(SortedMap<LocalDate, List<Span>> dates) {
    return dates.isEmpty()
        ? NONE
        : dates.entrySet().stream()
            .map(e -> Moments.dayOfYear(e.getKey()) + " " + text(e.getValue()))
            .collect(Collectors.joining("; "));
  }

  private static SortedMap<LocalDateTime, Double> forecastKept(String kept) {
    SortedMap<LocalDateTime, Double> all = new TreeMap<>();
    for (String part : parts(kept)) {
      String[] of = part.split("=");
      all.put(LocalDateTime.parse(of[0]), Double.valueOf(of[1]));
    }
    return all;
  }

  private static String forecastText(SortedMap<LocalDateTime, Double> forecast) {
    return forecast.isEmpty()
        ? NONE
        : forecast.entrySet().stream()
            .map(e -> Moments.text(e.getKey()) + " " + Numbers.trimmed(e.getValue(), 1) + " °C")
            .collect(Collectors.joining("; "));
  }
}
