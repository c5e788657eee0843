package ungula.server.command;

import static ungula.server.command.JsonFile.count;
import static ungula.server.command.JsonFile.maybe;
import static ungula.server.command.JsonFile.maybeCount;
import static ungula.server.command.JsonFile.number;
import static ungula.server.command.JsonFile.or;
import static ungula.server.command.JsonFile.text;

import java.io.PrintStream;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import ungula.core.cast.Production.Order;
import ungula.core.cast.Production.Outcome;
import ungula.core.days.Hours;
import ungula.server.command.JsonFile.Unreadable;

/**
 * {@code production FILE}: when many casts are done, no server; keys in docs/methods.md, "Casts".
 */
public final class Production implements FileCommand.Answer {

  private static final String USAGE = "production FILE.json [--json]";
  private static final String FILE = "the file";

  private static final DateTimeFormatter WRITTEN =
      DateTimeFormatter.ofPattern("EEE d MMM HH:mm", Locale.ENGLISH);

  private static final int MOST_CASTS = 100_000;
  private static final int MOST_MOULDS = 1000;
  private static final int MOST_REPEATS = 10_000;

  /** Ten years. */
  private static final double MOST_MIN = 10 * 366 * 24 * 60.0;

  private static final int USUAL_REPEATS = 200;

  private final Outcome outcome;
  private final long start;
  private final ZoneId zone;

  private Production(Outcome outcome, long start, ZoneId zone) {
    this.outcome = outcome;
    this.start = start;
    this.zone = zone;
  }

  /**
   * @return exit status: 0, 2 for bad arguments, 3 for a file that cannot be read, or casts that
   *     cannot be made so
   */
  public static int run(List<String> args, PrintStream out, PrintStream err) {
    return FileCommand.run(
        USAGE, "One production is worked out at a time.", args, out, err, Production::answer);
  }

  private static double minutes(JsonNode all, String key) throws Unreadable {
    return number(all.get(key), key, 0, MOST_MIN);
  }

  private static Production answer(byte[] json) throws Unreadable {
    JsonNode all = JsonFile.object(json, "A production");
    JsonNode calendar = all.get("calendar");
    boolean hours = calendar != null && !calendar.isNull();
    ZoneId zone = all.get("zone") == null && !hours ? ZoneOffset.UTC : NetworkFile.zone(all, FILE);
    Hours.Calendar when = hours ? NetworkFile.hours(all, FILE) : null;
    boolean dated = hours || all.get("start") != null;
    long start = dated ? NetworkFile.instant(text(all, "start", FILE), "start", zone) : 0;
    Order order =
        new Order(
            count(all.get("casts"), "casts", 1, MOST_CASTS),
            count(all.get("moulds"), "moulds", 1, MOST_MOULDS),
            minutes(all, "pourMin"),
            minutes(all, "cureMin"),
            minutes(all, "demouldMin"),
            or(maybeCount(all, "people", FILE, 1, 1000), 1),
            or(maybeCount(all, "perMix", FILE, 1, MOST_MOULDS), 1),
            or(maybe(all, "scrapPct", FILE, 0, 95), 0) / 100,
            or(maybe(all, "spreadPct", FILE, 0, 300), 0) / 100,
            maybeCount(all, "mouldLife", FILE, 1, MOST_CASTS),
            or(maybe(all, "remakeMin", FILE, 0, MOST_MIN), 0),
            maybeCount(all, "potHolds", FILE, 1, MOST_MOULDS));
    Outcome outcome =
        ungula.core.cast.Production.of(
            order,
            when,
            start,
            or(maybeCount(all, "seed", FILE, Integer.MIN_VALUE, Integer.MAX_VALUE), 1),
            or(maybeCount(all, "repeats", FILE, 1, MOST_REPEATS), USUAL_REPEATS));
    return new Production(outcome, start, dated ? zone : null);
  }

  private Optional<LocalDateTime> at(double minutes) {
    return Optional.ofNullable(zone)
        .map(
            z ->
                Instant.ofEpochSecond(start + Math.round(60 * minutes))
                    .atZone(z)
                    .toLocalDateTime());
  }

  private static double rounded(double minutes) {
    return Math.round(100 * minutes) / 100.0;
  }

  @Override
  public Map<String, Object> fields() {
    return FileCommand.row(
        "medianMin",
        rounded(outcome.medianMin()),
        "p90Min",
        rounded(outcome.p90Min()),
        "median",
        at(outcome.medianMin()).map(LocalDateTime::toString).orElse(null),
        "p90",
        at(outcome.p90Min()).map(LocalDateTime::toString).orElse(null),
        "perMould",
        outcome.perMould(),
        "heldUpBy",
        outcome.heldUpBy().name().toLowerCase(Locale.ROOT));
  }

  private String done(double minutes) {
    return String.format(Locale.ROOT, "%.0f min", minutes)
        + at(minutes).map(t -> ", " + WRITTEN.format(t)).orElse("");
  }

  @Override
  public void print(PrintStream out) {
    out.println("Done half of the time within " + done(outcome.medianMin()) + ".");
    out.println("Nine times of ten within " + done(outcome.p90Min()) + ".");
    out.println("Casts of each mould: " + outcome.perMould());
    out.println(
        switch (outcome.heldUpBy()) {
          case HANDS -> "One more person would bring it forward most.";
          case MOULDS -> "One more mould would bring it forward most.";
          case POT -> "Room for one more in the pot would bring it forward most.";
          case NOTHING -> "Neither hands nor moulds hold it up.";
        });
  }
}
