package ungula.server.command;

import static ungula.server.command.JsonFile.count;
import static ungula.server.command.JsonFile.fields;
import static ungula.server.command.JsonFile.flag;
import static ungula.server.command.JsonFile.list;
import static ungula.server.command.JsonFile.number;
import static ungula.server.command.JsonFile.of;
import static ungula.server.command.JsonFile.text;
import static ungula.server.command.JsonFile.texts;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import ungula.core.days.Forecast;
import ungula.core.days.Hours;
import ungula.core.days.Network;
import ungula.core.days.Network.After;
import ungula.core.days.Network.Step;
import ungula.server.command.JsonFile.Unreadable;

/** A network of steps as JSON; what each key means is in docs/methods.md, "Days". */
final class NetworkFile {

  private static final Map<String, DayOfWeek> DAYS = days();

  /** Longer than anyone waits: ten years. */
  private static final double MOST_MINUTES = 10 * 366 * 24 * 60.0;

  private static final int FIRST_YEAR = 1970;
  private static final int LAST_YEAR = 2200;

  /** A rate that nothing said. */
  private static final double USUAL_RATE = 2;

  private final ZoneId zone;

  /** How many times faster what is stated at 23 °C goes per 10 °C. */
  private final double perTen;

  private NetworkFile(ZoneId zone, double perTen) {
    this.zone = zone;
    this.perTen = perTen;
  }

  private static Map<String, DayOfWeek> days() {
    Map<String, DayOfWeek> all = new HashMap<>();
    for (DayOfWeek d : DayOfWeek.values()) {
      all.put(d.name().substring(0, 3), d);
    }
    return all;
  }

  static Network read(byte[] json) throws Unreadable {
    JsonNode all = JsonFile.object(json, "A network");
    ZoneId zone = zone(all, "the network");
    JsonNode rate = all.get("rate");
    double times = rate == null ? USUAL_RATE : number(rate, "rate, times faster per 10 °C", 1, 10);
    return new NetworkFile(zone, times).network(all);
  }

  private Network network(JsonNode all) throws Unreadable {
    List<Step> steps = new ArrayList<>();
    String group = "";
    for (JsonNode step : list(all, "steps", "the network")) {
      String number = "step " + (steps.size() + 1);
      group = group(step, group, number);
      steps.add(step(step, group, number));
    }
    Map<String, Integer> resources = new LinkedHashMap<>();
    for (Map.Entry<String, JsonNode> e : fields(all, "resources").entrySet()) {
      resources.put(e.getKey(), count(e.getValue(), "resources, " + e.getKey(), 0, 1_000));
    }
    List<Forecast.From> room = new ArrayList<>();
    for (JsonNode from : list(all, "room", "the network")) {
      double warm = number(from.get("degreesC"), "room, degreesC", -50, 150);
      room.add(new Forecast.From(instant(text(from, "from", "room"), "room, from"), warm));
    }
    return new Network(
        calendar(all),
        instant(text(all, "start", "the network"), "start"),
        flag(all, "pinStart", "the network"),
        resources,
        Forecast.of(room),
        steps,
        List.of());
  }

  /** Hours of work and where: of anything that is done in them. */
  static Hours.Calendar hours(JsonNode all, String what) throws Unreadable {
    return new NetworkFile(zone(all, what), USUAL_RATE).calendar(all);
  }

  static ZoneId zone(JsonNode all, String what) throws Unreadable {
    return of(text(all, "zone", what), "zone", ZoneId::of, "Europe/Berlin");
  }

  private Hours.Calendar calendar(JsonNode all) throws Unreadable {
    Map<DayOfWeek, List<Hours.Span>> week = new EnumMap<>(DayOfWeek.class);
    Map<LocalDate, List<Hours.Span>> dates = new HashMap<>();
    Set<LocalDate> off = new HashSet<>();
    Map<String, JsonNode> fields = fields(all, "calendar");
    for (Map.Entry<String, JsonNode> e : fields.entrySet()) {
      if (e.getKey().equals("off")) {
        for (String day : texts(fields.get("off"), "calendar, off")) {
          off.add(date(day, "calendar, off"));
        }
        continue;
      }
      List<Hours.Span> spans = new ArrayList<>();
      for (String span : texts(e.getValue(), "calendar, " + e.getKey())) {
        spans.add(span(span, "calendar, " + e.getKey()));
      }
      if (DAYS.containsKey(e.getKey())) {
        week.put(DAYS.get(e.getKey()), spans);
      } else {
        dates.put(date(e.getKey(), "calendar"), spans);
      }
    }
    return new Hours.Calendar(zone, week, dates, off);
  }

  private static LocalDate date(String text, String where) throws Unreadable {
    LocalDate day = of(text, where, LocalDate::parse, "2027-03-08 (or MON to SUN)");
    near(day.getYear(), where);
    return day;
  }

  private static void near(int year, String where) throws Unreadable {
    if (year < FIRST_YEAR || year > LAST_YEAR) {
      throw new Unreadable(where + ": a year from " + FIRST_YEAR + " to " + LAST_YEAR + ".");
    }
  }

  private static Hours.Span span(String text, String where) throws Unreadable {
    String[] ends = text.split("-", -1);
    if (ends.length != 2) {
      throw new Unreadable(where + ": hours look like 08:00-12:00, “" + text + "” does not.");
    }
    LocalTime from = of(ends[0].strip(), where, LocalTime::parse, "08:00-12:00");
    String to = ends[1].strip();
    return new Hours.Span(
        from,
        to.equals("24:00") ? LocalTime.MIDNIGHT : of(to, where, LocalTime::parse, "08:00-12:00"));
  }

  private Step step(JsonNode step, String group, String number) throws Unreadable {
    String key = text(step, "key", number);
    String kind = text(step, "kind", key);
    if (!kind.equals("hands") && !kind.equals("wait")) {
      throw new Unreadable(key + ", kind: hands or wait, “" + kind + "” is neither.");
    }
    List<After> after = new ArrayList<>();
    for (JsonNode a : list(step, "after", key)) {
      after.add(after(a, key));
    }
    Set<String> holds = new HashSet<>(texts(list(step, "holds", key), key + ", holds"));
    JsonNode pinned = step.get("pinned");
    boolean free = pinned == null || pinned.isNull();
    return new Step(
        key,
        kind.equals("hands"),
        minutes(step.get("minutes"), key + ", minutes"),
        flag(step, "at23", key) ? (Double) perTen : null,
        after,
        group,
        holds,
        free
            ? null
            : (Long)
                instant(
                    pinned.isString() ? pinned.asString() : pinned.toString(), key + ", pinned"));
  }

  /** The name of its group; one after the other that only say "true" are one. */
  private static String group(JsonNode step, String before, String number) throws Unreadable {
    JsonNode group = step.get("unbroken");
    if (group == null || group.isNull() || group.isBoolean() && !group.asBoolean()) {
      return "";
    }
    if (group.isBoolean()) {
      return before.isEmpty() ? number + " on" : before;
    }
    return text(step, "unbroken", number);
  }

  private After after(JsonNode after, String key) throws Unreadable {
    if (after.isString()) {
      return new After(after.asString(), 0, null, false, null);
    }
    String of = text(after, "step", key + ", after");
    String where = key + ", after " + of;
    JsonNode from = after.get("from");
    String counted = from == null ? "end" : text(after, "from", where);
    if (!counted.equals("begin") && !counted.equals("end")) {
      throw new Unreadable(where + ", from: begin or end, “" + counted + "” is neither.");
    }
    JsonNode least = after.get("least");
    JsonNode greatest = after.get("greatest");
    return new After(
        of,
        least == null || least.isNull() ? 0 : minutes(least, where + ", least"),
        greatest == null || greatest.isNull()
            ? null
            : (Double) minutes(greatest, where + ", greatest"),
        counted.equals("begin"),
        flag(after, "at23", where) ? (Double) perTen : null);
  }

  private long instant(String text, String where) throws Unreadable {
    return instant(text, where, zone);
  }

  /** A second of the epoch. */
  static long instant(String text, String where, ZoneId zone) throws Unreadable {
    LocalDateTime at = of(text, where, LocalDateTime::parse, "2027-03-08T08:00");
    near(at.getYear(), where);
    return at.atZone(zone).toEpochSecond();
  }

  private static double minutes(JsonNode n, String where) throws Unreadable {
    return number(n, where, 0, MOST_MINUTES);
  }
}
