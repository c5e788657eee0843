package ungula.server.command;

import static ungula.server.command.JsonFile.flag;
import static ungula.server.command.JsonFile.list;
import static ungula.server.command.JsonFile.maybe;
import static ungula.server.command.JsonFile.number;
import static ungula.server.command.JsonFile.of;
import static ungula.server.command.JsonFile.or;
import static ungula.server.command.JsonFile.part;
import static ungula.server.command.JsonFile.text;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tools.jackson.databind.JsonNode;
import ungula.core.quantity.Units;
import ungula.core.quantity.UnreadableQuantity;
import ungula.core.rubber.Mix;
import ungula.core.rubber.Product;
import ungula.core.rubber.Ratio;
import ungula.core.run.Gates;
import ungula.core.run.Rehearsal.Event;
import ungula.core.run.Rise;
import ungula.core.run.Rise.Level;
import ungula.core.run.RunPlan;
import ungula.core.run.RunPlan.After;
import ungula.core.run.RunPlan.Batch;
import ungula.core.run.RunPlan.Kind;
import ungula.core.run.RunPlan.Task;
import ungula.server.command.JsonFile.Unreadable;

/** A rehearsal's script as JSON; what each key means is in docs/methods.md, "Bench". */
record ScriptFile(RunPlan plan, List<Event> events) {

  private static final DateTimeFormatter CLOCK =
      DateTimeFormatter.ofPattern("HH:mm:ss", Locale.ROOT);

  private static final double MOST_G = 1e6;
  private static final double MOST_MM = 1e5;
  private static final double USUAL_C = 23;
  private static final double USUAL_PER_TEN = 2;

  /** A script has no date: the clock of any day. */
  private static final LocalDate DAY = LocalDate.EPOCH;

  static ScriptFile read(byte[] json) throws Unreadable {
    JsonNode all = JsonFile.object(json, "A script");
    return new ScriptFile(plan(all), events(list(all, "events", "the script")));
  }

  /** The clock a time of it shows, to the nearest second. */
  static String clock(Instant at) {
    return CLOCK.format(at.plusMillis(500).atOffset(ZoneOffset.UTC));
  }

  private static RunPlan plan(JsonNode all) throws Unreadable {
    JsonNode product = part(all, "product", "the script");
    Double density = maybe(product, "density", "product", 0.1, 25);
    double hardenerPerBase = ratio(product);
    double tolerance =
        or(maybe(product, "tolerancePct", "product", 0, 50), 100 * Mix.TOLERANCE) / 100;
    Double potLife = maybe(product, "potLifeMin", "product", 0, 1e5);
    double atC = or(maybe(product, "atC", "product", -50, 150), USUAL_C);
    double perTen = or(maybe(product, "ratePer10", "product", 1, 10), USUAL_PER_TEN);
    double roomC = or(maybe(all, "roomC", "the script", -50, 150), atC);
    Double inRoom = potLife == null ? null : potLife * Math.pow(perTen, (atC - roomC) / 10);
    JsonNode box = all.get("box");
    Rise rise = box == null || box.isNull() ? null : rise(part(all, "box", "the script"));
    List<Task> tasks = new ArrayList<>(Gates.of("gate", "Pour", List.of(), Gates.Before.ANY));
    List<Batch> batches = new ArrayList<>();
    for (JsonNode batch : list(all, "batches", "the script")) {
      int number = batches.size() + 1;
      String key = "pour.1." + number;
      double baseG = number(batch.get("baseG"), "batch " + number + ", baseG", 0.001, MOST_G);
      batches.add(
          new Batch(
              key,
              1,
              number,
              "batch " + number,
              "",
              baseG,
              hardenerPerBase,
              false,
              List.of(),
              tolerance,
              density,
              inRoom,
              roomC,
              perTen,
              key + ".pour",
              rise));
      tasks(key, tasks);
    }
    if (batches.isEmpty()) {
      throw new Unreadable("the script: \"batches\" names none; one is [{\"baseG\": 1192}].");
    }
    return new RunPlan(tasks, batches, Product.Role.RUBBER, Units.METRIC, false);
  }

  /** Adds those of a batch: each after the one before, the first after all gates. */
  private static void tasks(String batch, List<Task> to) {
    boolean first = to.get(to.size() - 1).kind() == Kind.GATE;
    List<After> gates = to.stream().map(t -> After.end(t.key())).toList();
    task(batch, "weigh", Kind.WEIGH, "Weigh its parts.", first ? gates : last(to), to);
    task(batch, "stir", Kind.HANDS, "Stir slowly, scraping sides and bottom.", last(to), to);
    task(
        batch,
        "cup",
        Kind.HANDS,
        "Scrape it over into a second cup, and stir again.",
        last(to),
        to);
    task(batch, "pour", Kind.HANDS, "Pour it.", last(to), to);
  }

  private static List<After> last(List<Task> to) {
    return List.of(After.end(to.get(to.size() - 1).key()));
  }

  private static void task(
      String batch, String key, Kind kind, String what, List<After> after, List<Task> to) {
    to.add(
        new Task(
            batch + "." + key, kind, "Pour", key, what, "", 0, batch, after, List.of(), List.of()));
  }

  /** Grams of hardener for each gram of base; a bare "100 : 10" is by weight. */
  private static double ratio(JsonNode product) throws Unreadable {
    JsonNode ratio = product.get("ratio");
    if (ratio != null && ratio.isArray() && ratio.size() == 2) {
      return number(ratio.get(1), "product, ratio", 0.001, MOST_G)
          / number(ratio.get(0), "product, ratio", 0.001, MOST_G);
    }
    String text = text(product, "ratio", "product").strip();
    try {
      return Ratio.parse(text.matches("[\\d.]+ *: *[\\d.]+") ? text + " by weight" : text)
          .hardenerPerBase(1, 1);
    } catch (UnreadableQuantity e) {
      throw new Unreadable("product, ratio: " + e.getMessage());
    }
  }

  private static Rise rise(JsonNode box) throws Unreadable {
    double area =
        number(box.get("lengthMm"), "box, lengthMm", 0.1, MOST_MM)
            * number(box.get("widthMm"), "box, widthMm", 0.1, MOST_MM);
    List<Level> levels = new ArrayList<>();
    for (JsonNode level : list(box, "levels", "box")) {
      String where = "box, level " + (levels.size() + 1);
      if (!level.isArray() || level.size() != 2) {
        throw new Unreadable(where + ": a height and a volume are asked for, [mm, mL].");
      }
      levels.add(
          new Level(
              number(level.get(0), where + ", mm", 0, MOST_MM),
              1000 * number(level.get(1), where + ", mL", 0, 1e9)));
    }
    try {
      return new Rise(levels, area);
    } catch (IllegalArgumentException e) {
      throw new Unreadable("box, levels: " + e.getMessage());
    }
  }

  private static List<Event> events(JsonNode list) throws Unreadable {
    List<Event> all = new ArrayList<>();
    Instant before = Instant.MIN;
    for (JsonNode event : list) {
      String where = "event " + (all.size() + 1);
      LocalTime time = of(text(event, "t", where), where + ", t", LocalTime::parse, "10:00:00");
      Instant at = DAY.atTime(time).toInstant(ZoneOffset.UTC);
      if (at.isBefore(before)) {
        throw new Unreadable(where + ": events are told in the order they happen.");
      }
      before = at;
      all.add(event(event, at, where));
    }
    return all;
  }

  private static Event event(JsonNode e, Instant at, String where) throws Unreadable {
    if (e.has("line")) {
      return new Event.Line(at, text(e, "line", where));
    } else if (e.has("tick")) {
      return new Event.Tick(at, text(e, "tick", where));
    } else if (e.has("gate")) {
      return new Event.Gate(at, text(e, "gate", where), flag(e, "skipped", where));
    } else if (e.has("readMm")) {
      return new Event.ReadLevel(at, number(e.get("readMm"), where + ", readMm", 0, MOST_MM));
    } else if (e.has("grams")) {
      return new Event.Typed(at, number(e.get("grams"), where + ", grams", 0, MOST_G));
    } else if (e.has("correct")) {
      int number = (int) number(e.get("correct"), where + ", correct", 1, 1e6);
      return new Event.Correct(at, number, text(e, "why", where));
    } else if (e.has("lost")) {
      return new Event.Lost(at, text(e, "lost", where));
    } else if (flag(e, "tare", where)) {
      return new Event.Tare(at);
    } else if (flag(e, "kill", where)) {
      return new Event.Kill(at);
    }
    throw new Unreadable(
        where
            + ": it says line, tick, gate, readMm, grams, correct, lost, tare or kill; "
            + e
            + " says none.");
  }
}
