package ungula.core.days;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.Month;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import ungula.core.quantity.UnreadableQuantity;

/**
 * Days and times as people write them: "Tue 9", "tomorrow 8:30", "24 Dec", "in 3 days at 14", "when
 * the rubber comes, Thursday". What is typed is counted from the day it is typed on.
 */
public final class Moments {

  private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("H:mm", Locale.ROOT);
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);
  private static final DateTimeFormatter DAY_OF_MONTH =
      DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
  private static final DateTimeFormatter DAY_OF_YEAR =
      DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.ENGLISH);
  private static final DateTimeFormatter WEEKDAY =
      DateTimeFormatter.ofPattern("EEE", Locale.ENGLISH);

  /** How far ahead the next one of a month is looked for: over a leap day. */
  private static final int MOST_YEARS = 8;

  private static final Pattern REASON =
      Pattern.compile("(?i)^(when|once|after|as soon as|because|if)\\b(.*)$");

  private static final String MONTHS =
      "(jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*\\.?";
  private static final String WEEKDAYS =
      "(mon|tue|wed|thu|fri|sat|sun)(?:days?|sday|nesday|rsday|urday|s|rs|r)?\\.?";

  private final LocalDateTime now;
  private final UnaryOperator<LocalDateTime> morning;

  /**
   * @param now when it is typed, by the clock on the wall
   * @param morning when work begins on the day of a time
   */
  public Moments(LocalDateTime now, UnaryOperator<LocalDateTime> morning) {
    this.now = now;
    this.morning = morning;
  }

  /**
   * A time somebody named, and why then.
   *
   * @param because what it waits for, as it was written; empty without
   */
  public record Moment(LocalDateTime at, String because) {

    /** Nobody names seconds. */
    public Moment {
      at = at.truncatedTo(ChronoUnit.MINUTES);
    }

    private static final Pattern KEPT =
        Pattern.compile("(\\d{4,5}-\\d\\d-\\d\\dT\\d\\d:\\d\\d)(?: (.*))?");

    /** As it is kept: "2027-02-09T08:30", with its reason behind. */
    public String kept() {
      return at + (because.isEmpty() ? "" : " " + because);
    }

    /** Reads what {@link #kept} wrote. */
    public static Moment of(String kept) {
      Matcher m = KEPT.matcher(kept.strip());
      if (!m.matches()) {
        throw unreadable(kept);
      }
      return new Moment(
          LocalDateTime.parse(m.group(1)), m.group(2) == null ? "" : m.group(2).strip());
    }

    /** "Tue 9 Feb 8:30, when the rubber comes". */
    public String text() {
      return Moments.text(at) + (because.isEmpty() ? "" : ", " + because);
    }

    /** The same with its year, as it can be typed again. */
    public String exact() {
      String day = at.format(DAY_OF_YEAR) + " " + clock(at.toLocalTime());
      return because.isEmpty() ? day : because + ", " + day;
    }
  }

  /** "8:30". */
  public static String clock(LocalTime time) {
    return time.format(CLOCK);
  }

  /** "Tue 9 Feb". */
  public static String day(LocalDate day) {
    return day.format(DAY);
  }

  /** "9 Feb". */
  public static String dayOfMonth(LocalDate day) {
    return day.format(DAY_OF_MONTH);
  }

  /** "Tue 9 Feb 2027". */
  public static String dayOfYear(LocalDate day) {
    return day.format(DAY_OF_YEAR);
  }

  /** "Tue". */
  public static String weekday(LocalDate day) {
    return day.format(WEEKDAY);
  }

  /** "Tue 9 Feb 8:30". */
  public static String text(LocalDateTime at) {
    return day(at.toLocalDate()) + " " + clock(at.toLocalTime());
  }

  private static UnreadableQuantity unreadable(String text) {
    return new UnreadableQuantity(
        "Write a day, a time or both, such as Tue 9, tomorrow 8:30 or 24 Dec 13:00: “"
            + text.strip()
            + "” is not understood.");
  }

  /** The day it is typed on. */
  public LocalDate today() {
    return now.toLocalDate();
  }

  /** A day, a time or both, and why then. */
  public Moment moment(String text) {
    Taken left = new Taken(text);
    String because = "";
    List<String> parts = new ArrayList<>(List.of(text.split(",")));
    for (String part : List.copyOf(parts)) {
      if (parts.size() > 1 && REASON.matcher(part.strip()).matches()) {
        because = part.strip();
        parts.remove(part);
        left = new Taken(String.join(" ", parts));
        break;
      }
    }
    LocalTime time = time(left);
    LocalDate day = day(left);
    if (!left.isEmpty() || time == null && day == null) {
      throw unreadable(text);
    }
    if (day == null) {
      boolean past = !now.toLocalTime().isBefore(time);
      day = past ? now.toLocalDate().plusDays(1) : now.toLocalDate();
    }
    return new Moment(time == null ? morning.apply(day.atStartOfDay()) : day.atTime(time), because);
  }

  /** A day alone. */
  public LocalDate day(String text) {
    Taken left = new Taken(text);
    LocalDate day = day(left);
    if (day == null || !left.isEmpty()) {
      throw new UnreadableQuantity(
          "Write a day, such as 24 Dec or Tue 9: “" + text.strip() + "” is not understood.");
    }
    return day;
  }

  /** Text from which what was understood is taken out. */
  private static final class Taken {
    private String text;

    Taken(String text) {
      this.text = " " + text.strip().toLowerCase(Locale.ENGLISH).replaceAll("\\s+", " ") + " ";
    }

    /** Null where it is not in it. */
    Matcher take(String pattern) {
      Matcher m = Pattern.compile("(?<=[\\s,])" + pattern + "(?=[\\s,])").matcher(text);
      if (!m.find()) {
        return null;
      }
      text = text.substring(0, m.start()) + text.substring(m.end());
      return m;
    }

    boolean isEmpty() {
      return text.replaceAll("[\\s,]|\\b(at|on|the|from|begin)\\b", "").isEmpty();
    }
  }

  private static LocalTime time(Taken left) {
    Matcher m = left.take("\\d{4}-\\d\\d-\\d\\dt(\\d\\d):(\\d\\d)");
    if (m != null) {
      left.text = m.group().substring(0, 10) + " " + left.text;
      left.text = " " + left.text;
      return time(m.group(1), m.group(2), "");
    }
    m = left.take("(\\d{1,2})[:.](\\d\\d) ?(am|pm)?");
    if (m != null) {
      return time(m.group(1), m.group(2), m.group(3));
    }
    m = left.take("(\\d{1,2}) ?(am|pm|h|o'clock|uhr)");
    if (m != null) {
      return time(m.group(1), "0", m.group(2));
    }
    m = left.take("at (\\d{1,2})");
    if (m != null) {
      return time(m.group(1), "0", "");
    }
    if (left.take("(noon|midday)") != null) {
      return LocalTime.NOON;
    }
    return left.take("midnight") == null ? null : LocalTime.MIDNIGHT;
  }

  private static LocalTime time(String hour, String minute, String half) {
    int h = Integer.parseInt(hour);
    boolean twelve = "am".equals(half) || "pm".equals(half);
    if (twelve && (h < 1 || h > 12)) {
      throw new UnreadableQuantity("There is no " + hour + " " + half + ".");
    }
    int of24 = twelve ? h % 12 + ("pm".equals(half) ? 12 : 0) : h;
    try {
      return LocalTime.of(of24, Integer.parseInt(minute));
    } catch (DateTimeException e) {
      throw new UnreadableQuantity("There is no " + hour + ":" + minute + " on a clock.");
    }
  }

  private LocalDate day(Taken left) {
    LocalDate today = now.toLocalDate();
    Matcher m = left.take("(\\d{4})-(\\d\\d)-(\\d\\d)");
    if (m != null) {
      return date(m.group(3), m.group(2), m.group(1));
    }
    String weekday = "(?:" + WEEKDAYS + " )?";
    m = left.take(weekday + "(\\d{1,2})\\. ?" + MONTHS + "?(?: (\\d{4}))?");
    if (m == null) {
      m = left.take(weekday + "(\\d{1,2})(?:st|nd|rd|th)? " + MONTHS + "(?: (\\d{4}))?");
    }
    if (m != null && m.group(3) != null) {
      return of(m.group(1), date(m.group(2), month(m.group(3)), m.group(4)));
    }
    m = left.take(weekday + MONTHS + " (\\d{1,2})(?:st|nd|rd|th)?(?:,? (\\d{4}))?");
    if (m != null) {
      return of(m.group(1), date(m.group(3), month(m.group(2)), m.group(4)));
    }
    m = left.take("(\\d{1,2})[./](\\d{1,2})[./]?(\\d{4})?");
    if (m != null) {
      return date(m.group(1), m.group(2), m.group(3));
    }
    m = left.take(WEEKDAYS + " (?:the )?(\\d{1,2})(?:st|nd|rd|th|\\.)?");
    if (m != null) {
      return of(m.group(1), inMonth(m.group(2)));
    }
    if (left.take("the day after tomorrow") != null || left.take("day after tomorrow") != null) {
      return today.plusDays(2);
    }
    if (left.take("tomorrow") != null) {
      return today.plusDays(1);
    }
    if (left.take("today") != null) {
      return today;
    }
    m = left.take("in (\\d{1,3}) (day|week)s?");
    if (m != null) {
      return today.plusDays(Long.parseLong(m.group(1)) * (m.group(2).equals("week") ? 7 : 1));
    }
    m = left.take("(next )?" + WEEKDAYS);
    if (m != null) {
      int ahead = Math.floorMod(weekday(m.group(2)).compareTo(today.getDayOfWeek()), 7);
      return today.plusDays(ahead == 0 && m.group(1) != null ? 7 : ahead);
    }
    return null;
  }

  private static DayOfWeek weekday(String start) {
    for (DayOfWeek d : DayOfWeek.values()) {
      if (d.name().toLowerCase(Locale.ENGLISH).startsWith(start)) {
        return d;
      }
    }
    throw new IllegalStateException(start);
  }

  private static String month(String start) {
    for (Month month : Month.values()) {
      if (month.name().toLowerCase(Locale.ENGLISH).startsWith(start)) {
        return String.valueOf(month.getValue());
      }
    }
    throw new IllegalStateException(start);
  }

  /** Of no year, the next such day. */
  private LocalDate date(String day, String month, String year) {
    int d = Integer.parseInt(day);
    int m = Integer.parseInt(month);
    int first = year == null ? now.getYear() : Integer.parseInt(year);
    for (int y = first; y <= first + MOST_YEARS; y++) {
      try {
        LocalDate date = LocalDate.of(y, m, d);
        if (year != null || !date.isBefore(now.toLocalDate())) {
          return date;
        }
      } catch (DateTimeException e) {
        if (year != null) {
          break;
        }
      }
    }
    throw new UnreadableQuantity("There is no day " + day + " in month " + month + ".");
  }

  /** The next such day of a month. */
  private LocalDate inMonth(String day) {
    int d = Integer.parseInt(day);
    LocalDate at = now.toLocalDate();
    for (int i = 0; i < 62; i++) {
      if (at.plusDays(i).getDayOfMonth() == d) {
        return at.plusDays(i);
      }
    }
    throw new UnreadableQuantity("There is no day " + day + " in a month.");
  }

  private static LocalDate of(String weekday, LocalDate date) {
    if (weekday != null && date.getDayOfWeek() != weekday(weekday)) {
      throw new UnreadableQuantity(
          dayOfYear(date)
              + " is what “"
              + date.getDayOfMonth()
              + "” would be: not a "
              + weekday
              + ". Write the day with its month.");
    }
    return date;
  }
}
