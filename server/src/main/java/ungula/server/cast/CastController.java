package ungula.server.cast;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.cast.Made;
import ungula.core.cast.Production.HeldUp;
import ungula.core.cast.Production.Point;
import ungula.core.days.Moments;
import ungula.core.job.CastRun;
import ungula.core.job.CastRun.Row;
import ungula.core.plan.AmountPart;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Timespan;
import ungula.server.job.Jobs;

/** When a job's casts are done. */
@RestController
@RequestMapping("/api/jobs/{id}/casts")
class CastController {

  private final Jobs jobs;
  private final CastsMade made;
  private final Clock clock;

  CastController(Jobs jobs, CastsMade made, Clock clock) {
    this.jobs = jobs;
    this.made = made;
    this.clock = clock;
  }

  /**
   * With so many moulds.
   *
   * @param used moulds that are used up in all
   * @param done half of the time by then, in words
   * @param promise nine times of ten by then, in words
   * @param cost of all moulds; empty while it is not known
   * @param heldUp what would bring it forward most, in words
   * @param chosen whether the job makes as many
   */
  record CastRow(
      int moulds,
      int used,
      String done,
      String promise,
      String cost,
      String heldUp,
      boolean chosen) {}

  /**
   * When so many casts are made.
   *
   * @param soonMs one time of ten by then, since the epoch
   * @param lateMs nine times of ten by then
   */
  record CastPoint(int casts, long soonMs, long ms, long lateMs) {}

  /** A day on the plot's line of time. */
  record CastDay(long ms, String text) {}

  /**
   * @param amount why what to mix is not known; empty when it is
   * @param hold weight that keeps a full mould shut; empty when it needs none
   * @param missing why it is not known when they are done; empty when it is
   * @param startMs when the first mould is open, since the epoch
   * @param start the same in words
   * @param each what one cast takes, in words
   * @param points with as many moulds as the job makes, rising
   * @param days that begin while it goes on
   */
  record CastsResponse(
      String amount,
      String hold,
      String missing,
      long startMs,
      String start,
      String each,
      List<CastRow> rows,
      List<CastPoint> points,
      List<CastDay> days) {

    static CastsResponse without(Jobs.Job job, String why) {
      return new CastsResponse(
          unknown(job), CastController.hold(job), why, 0, "", "", List.of(), List.of(), List.of());
    }
  }

  @GetMapping
  CastsResponse casts(@PathVariable String id) {
    Jobs.Job job = jobs.find(id);
    Optional<String> missing = CastRun.missing(job.plan());
    if (missing.isPresent()) {
      return CastsResponse.without(job, missing.get());
    }
    try {
      int usable = made.of(id).usable();
      if (usable >= job.choices().cast().wanted()) {
        return CastsResponse.without(job, "All casts that are wanted are made.");
      }
      return view(job, CastRun.of(job.plan(), usable, clock.instant().getEpochSecond()));
    } catch (IllegalArgumentException no) {
      return CastsResponse.without(job, no.getMessage());
    }
  }

  /**
   * A cast that was made.
   *
   * @param at in words
   * @param mass it weighed, in words; empty where it was not weighed
   * @param struck why it does not count; empty where it does
   */
  record MadeView(
      int number,
      String at,
      String who,
      int mould,
      Made.Result result,
      String mass,
      String why,
      String struck) {}

  /**
   * What a mould gave.
   *
   * @param casts of it so far
   * @param gives what it gives in all, about; 0 where nobody knows
   */
  record MouldGave(int mould, int casts, int gives) {}

  /**
   * @param casts newest first
   * @param lastG of the newest that was weighed, as it can be typed; empty while none was, and
   *     where a pour gives several
   */
  record MadeResponse(
      int usable,
      int repair,
      int scrap,
      List<MouldGave> moulds,
      List<MadeView> casts,
      String lastG) {}

  /**
   * @param id of the deed: delivered twice it counts once
   * @param mass as typed; empty where it was not weighed
   * @param why it is no good, or does not count
   * @param strikes number of the record that does not count
   */
  record NewMade(
      String id,
      @Nullable String who,
      int mould,
      Made.Result result,
      @Nullable String mass,
      @Nullable String why,
      @Nullable Integer strikes) {}

  @GetMapping("/made")
  MadeResponse made(@PathVariable String id) {
    Jobs.Job job = jobs.find(id);
    ZoneId zone = job.plan().plan().workshop().hours().clock();
    Made all = made.of(id);
    Integer chosen = job.choices().rubber().moulds();
    int moulds = Math.max(chosen == null ? 1 : chosen, last(all));
    boolean alone = job.plan().plan().life().filter(l -> l.castsOfAPour() > 1).isEmpty();
    int gives = job.plan().plan().life().map(l -> (int) l.casts()).orElse(0);
    List<MadeView> views =
        new ArrayList<>(
            all.casts().stream()
                .filter(c -> c.result() != Made.Result.STRUCK)
                .map(c -> view(c, all, job, zone))
                .toList());
    Collections.reverse(views);
    return new MadeResponse(
        all.usable(),
        all.count(Made.Result.REPAIR),
        all.count(Made.Result.SCRAP),
        IntStream.rangeClosed(1, moulds).mapToObj(m -> new MouldGave(m, all.of(m), gives)).toList(),
        views,
        all.lastG().filter(g -> alone).map(g -> g + " g").orElse(""));
  }

  private static int last(Made all) {
    return all.counting().stream().mapToInt(Made.Cast::mould).max().orElse(1);
  }

  private static MadeView view(Made.Cast c, Made all, Jobs.Job job, ZoneId zone) {
    return new MadeView(
        c.number(),
        Moments.text(c.at().atZone(zone).toLocalDateTime()),
        c.who(),
        c.mould(),
        c.result(),
        c.grams() == null ? "" : Mass.format(c.grams(), job.choices().units()),
        c.why(),
        all.strike(c).map(Made.Cast::why).orElse(""));
  }

  /** Records a cast, or strikes one that was. */
  @PostMapping("/made")
  MadeResponse addMade(@PathVariable String id, @RequestBody NewMade body) {
    boolean weighed = body.mass() != null && !body.mass().isBlank();
    made.add(
        id,
        new CastsMade.NewCast(
            body.id(),
            body.who() == null ? "" : body.who().strip(),
            body.mould(),
            body.result(),
            weighed ? (Double) Mass.parseG(body.mass(), jobs.find(id).choices().units()) : null,
            body.why() == null ? "" : body.why().strip(),
            body.strikes() == null ? 0 : body.strikes()));
    return made(id);
  }

  private static String unknown(Jobs.Job job) {
    return job.plan().plan().amount().map(AmountPart::missing).orElse("");
  }

  private static String hold(Jobs.Job job) {
    return job.plan()
        .plan()
        .amount()
        .map(AmountPart::holdG)
        .filter(g -> g > 0)
        .map(g -> Mass.format(g, job.choices().units()))
        .orElse("");
  }

  private static CastsResponse view(Jobs.Job job, CastRun run) {
    ZoneId zone = job.plan().plan().workshop().hours().clock();
    List<Point> made = run.chosen().outcome().made();
    return new CastsResponse(
        unknown(job),
        hold(job),
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
        days(run, made.get(made.size() - 1).p90Min(), zone));
  }

  private static String each(CastRun run) {
    return Timespan.formatMin(run.order().pourMin())
        + " to mix and pour, "
        + Timespan.formatMin(run.order().cureMin())
        + " in the mould, "
        + Timespan.formatMin(run.order().demouldMin())
        + " to take it out and close the mould";
  }

  private static CastRow row(Jobs.Job job, CastRun run, Row r, ZoneId zone) {
    return new CastRow(
        r.moulds(),
        r.used(),
        text(run, r.outcome().medianMin(), zone),
        text(run, r.outcome().p90Min(), zone),
        r.cost() == null ? "" : job.plan().plan().book().money(r.cost()),
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

  /** Midnights, few enough to be written beside each other. */
  private static List<CastDay> days(CastRun run, double minutes, ZoneId zone) {
    LocalDateTime from = Instant.ofEpochSecond(run.start()).atZone(zone).toLocalDateTime();
    int count = (int) Math.ceil(minutes / (24 * 60));
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
