package ungula.server.cast;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.cast.Made;
import ungula.core.cast.Production.Deed;
import ungula.core.cast.Production.HeldUp;
import ungula.core.cast.Production.Point;
import ungula.core.days.Moments;
import ungula.core.job.CastRun;
import ungula.core.job.CastRun.Row;
import ungula.core.learn.CastFactor;
import ungula.core.plan.AmountPart;
import ungula.core.plan.OpeningPart;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Timespan;
import ungula.server.job.Job;
import ungula.server.job.Jobs;
import ungula.server.mould.Moulds;
import ungula.server.stock.Stocks;

/** When a job's casts are done. */
@RestController
@RequestMapping("/api/jobs/{id}/casts")
class CastController {

  /** What takes no longer is drawn by the hour. */
  private static final double FEW_HOURS_MIN = 30 * 60;

  /** So much of a day's work is told. */
  private static final int MOST_DEEDS = 40;

  private final Jobs jobs;
  private final CastsMade made;
  private final Moulds moulds;
  private final Factors factors;
  private final Stocks stocks;
  private final Clock clock;

  CastController(
      Jobs jobs, CastsMade made, Moulds moulds, Factors factors, Stocks stocks, Clock clock) {
    this.jobs = jobs;
    this.made = made;
    this.moulds = moulds;
    this.factors = factors;
    this.stocks = stocks;
    this.clock = clock;
  }

  /**
   * With so many moulds.
   *
   * @param used moulds that are used up in all
   * @param done half of the time by then, in words
   * @param promise nine times of ten by then, in words
   * @param cost of all moulds; empty while it is not known
   * @param each what a cast comes to; empty while it is not known
   * @param heldUp what would bring it forward most, in words
   * @param chosen whether the job makes as many
   */
  record CastRow(
      int moulds,
      int used,
      String done,
      String promise,
      String cost,
      String each,
      String heldUp,
      boolean chosen) {}

  /** What is done at a time, in words. */
  record CastDeed(String at, String what) {}

  /**
   * What the shop's own casts say of the factor for this master and material.
   *
   * @param factor as it can be typed
   * @param said from how many, how far they stray and which are out of line
   */
  record OwnFactor(String factor, String said) {}

  /**
   * When so many casts are made.
   *
   * @param soonMs one time of ten by then, since the epoch
   * @param lateMs nine times of ten by then
   */
  record CastPoint(int casts, long soonMs, long ms, long lateMs) {}

  /** A day, or an hour, on the line of time of the plot. */
  record CastDay(long ms, String text) {}

  /**
   * @param amount why what to mix is not known; empty when it is
   * @param closing how a full mould is kept shut; empty where it is in one part
   * @param packs of what is cast that are over, or soon will be, in sentences
   * @param missing why it is not known when they are done; empty when it is
   * @param startMs when the first mould is open, since the epoch
   * @param start the same in words
   * @param each what one cast takes, in words
   * @param points with as many moulds as the job makes, rising
   * @param days that begin while it goes on
   * @param deedsOn the day on which work begins
   * @param deeds what is done on it, as planned
   * @param factor of the shop's own casts; null while too few were weighed
   */
  record CastsResponse(
      String amount,
      String closing,
      List<String> packs,
      String missing,
      long startMs,
      String start,
      String each,
      List<CastRow> rows,
      List<CastPoint> points,
      List<CastDay> days,
      String deedsOn,
      List<CastDeed> deeds,
      @Nullable OwnFactor factor) {}

  private CastsResponse without(Job job, String why) {
    return new CastsResponse(
        unknown(job),
        closing(job),
        packs(job),
        why,
        0,
        "",
        "",
        List.of(),
        List.of(),
        List.of(),
        "",
        List.of(),
        factor(job));
  }

  private @Nullable OwnFactor factor(Job job) {
    return factors.of(job).map(CastController::said).orElse(null);
  }

  private static OwnFactor said(CastFactor f) {
    String out =
        f.outOfLine().isEmpty() ? "" : "; out of line: " + String.join(", ", f.outOfLine());
    return new OwnFactor(
        Numbers.trimmed(f.factor(), 3),
        "by " + f.jobs() + " jobs of your own, give or take " + Numbers.fixed(f.spread(), 3) + out);
  }

  @GetMapping
  CastsResponse casts(@PathVariable String id) {
    Job job = jobs.find(id);
    Optional<String> missing = CastRun.missing(job.plan());
    if (missing.isPresent()) {
      return without(job, missing.get());
    }
    try {
      Made so = made.of(id);
      if (so.usable() >= job.choices().cast().wanted()) {
        return without(job, "All casts that are wanted are made.");
      }
      Integer chosen = job.choices().rubber().moulds();
      int many = chosen == null ? 1 : chosen;
      List<Integer> gave =
          moulds.standing(id, many).stream().limit(many).map(Moulds.Standing::gave).toList();
      return view(job, CastRun.of(job.plan(), so, gave, clock.instant().getEpochSecond()));
    } catch (IllegalArgumentException no) {
      return without(job, no.getMessage());
    }
  }

  private static String unknown(Job job) {
    return job.plan().plan().amount().map(AmountPart::missing).orElse("");
  }

  private static String closing(Job job) {
    return job.plan().plan().opening().map(OpeningPart::closing).orElse("");
  }

  private List<String> packs(Job job) {
    String product = job.choices().cast().product();
    return product == null ? List.of() : stocks.of(product).ages(stocks.today());
  }

  private CastsResponse view(Job job, CastRun run) {
    ZoneId zone = job.plan().plan().workshop().hours().clock();
    List<Point> made = run.chosen().outcome().made();
    return new CastsResponse(
        unknown(job),
        closing(job),
        packs(job),
        "",
        1000 * run.start(),
        text(run, 0, zone),
        each(run),
        run.rows().stream().map(r -> row(job, run, r, zone)).toList(),
        made.stream()
            .map(
                p ->
                    new CastPoint(
                        run.casts(p.casts()),
                        at(run, p.p10Min()),
                        at(run, p.medianMin()),
                        at(run, p.p90Min())))
            .toList(),
        days(run, made.get(made.size() - 1).p90Min(), zone),
        run.deeds().isEmpty() ? "" : Moments.dayOfMonth(when(run, run.deeds().get(0), zone)),
        deeds(run, zone),
        factor(job));
  }

  private static LocalDate when(CastRun run, Deed d, ZoneId zone) {
    return Instant.ofEpochMilli(at(run, d.atMin())).atZone(zone).toLocalDate();
  }

  /** Of the first day on which there is work. */
  private static List<CastDeed> deeds(CastRun run, ZoneId zone) {
    return run.deeds().stream()
        .filter(d -> when(run, d, zone).equals(when(run, run.deeds().get(0), zone)))
        .limit(MOST_DEEDS)
        .map(
            d ->
                new CastDeed(
                    Moments.clock(
                        Instant.ofEpochMilli(at(run, d.atMin())).atZone(zone).toLocalTime()),
                    (d.pours() ? "fill mould " : "open mould ")
                        + d.moulds().stream()
                            .map(String::valueOf)
                            .collect(Collectors.joining(" and "))
                        + (d.pours() ? "" : " and close it again")))
        .toList();
  }

  private static String each(CastRun run) {
    return Timespan.formatMin(run.order().pourMin())
        + " to mix and pour, "
        + Timespan.formatMin(run.order().cureMin())
        + " in the mould"
        + (run.order().warmCureMin() == null
            ? ", "
            : ", " + Timespan.formatMin(run.order().warmCureMin()) + " in a warm one, ")
        + Timespan.formatMin(run.order().demouldMin())
        + " to take it out and close the mould";
  }

  private static CastRow row(Job job, CastRun run, Row r, ZoneId zone) {
    return new CastRow(
        r.moulds(),
        r.used(),
        text(run, r.outcome().medianMin(), zone),
        text(run, r.outcome().p90Min(), zone),
        r.cost() == null ? "" : job.plan().plan().book().money(r.cost()),
        r.each() == null ? "" : job.plan().plan().book().money(r.each()),
        heldUp(r.outcome().heldUpBy()),
        r.moulds() == run.order().moulds());
  }

  private static String heldUp(HeldUp by) {
    return switch (by) {
      case HANDS -> "hands";
      case MOULDS -> "moulds";
      case POT -> "the pot";
      case NOTHING -> "nothing";
    };
  }

  private static long at(CastRun run, double minutes) {
    return 1000 * run.start() + Math.round(60_000 * minutes);
  }

  private static String text(CastRun run, double minutes, ZoneId zone) {
    LocalDateTime at = Instant.ofEpochMilli(at(run, minutes)).atZone(zone).toLocalDateTime();
    return Moments.text(at);
  }

  /** Of a run that ends soon, every so many full hours. */
  private static List<CastDay> hours(LocalDateTime from, double minutes, ZoneId zone) {
    int every = (int) Math.max(1, Math.ceil(minutes / 60 / 6));
    LocalDateTime first = from.truncatedTo(ChronoUnit.HOURS).plusHours(1);
    return Stream.iterate(first, h -> h.plusHours(every))
        .limit(8)
        .filter(h -> h.isBefore(from.plusMinutes((long) minutes)))
        .map(
            h ->
                new CastDay(
                    h.atZone(zone).toInstant().toEpochMilli(), Moments.clock(h.toLocalTime())))
        .toList();
  }

  /** Midnights, few enough to be written beside each other. */
  private static List<CastDay> days(CastRun run, double minutes, ZoneId zone) {
    LocalDateTime from = Instant.ofEpochSecond(run.start()).atZone(zone).toLocalDateTime();
    int count = (int) Math.ceil(minutes / (24 * 60));
    if (minutes < FEW_HOURS_MIN) {
      return hours(from, minutes, zone);
    }
    int every = Math.max(1, (count + 5) / 6);
    return IntStream.rangeClosed(1, count)
        .filter(d -> d % every == 0)
        .mapToObj(d -> from.toLocalDate().plusDays(d))
        .map(
            d ->
                new CastDay(d.atStartOfDay(zone).toInstant().toEpochMilli(), Moments.dayOfMonth(d)))
        .toList();
  }
}
