package ungula.server.days;

import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import ungula.core.days.Moments;
import ungula.core.days.Network;
import ungula.core.offer.DaysOffers;
import ungula.core.quantity.Timespan;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.skin.Recoat;
import ungula.core.skin.SkinClock;
import ungula.core.step.CoatClock;
import ungula.core.step.DayPlan;
import ungula.core.step.DayPlan.Block;
import ungula.core.step.Timeline;
import ungula.core.step.Timeline.Span;
import ungula.server.days.DaysResponse.DayHours;
import ungula.server.days.DaysResponse.DayPiece;
import ungula.server.days.DaysResponse.DayTaken;
import ungula.server.days.DaysResponse.DayView;
import ungula.server.days.DaysResponse.DaysBack;
import ungula.server.days.DaysResponse.DaysNote;
import ungula.server.days.DaysResponse.DaysOffer;
import ungula.server.days.DaysResponse.DaysTold;
import ungula.server.days.DaysResponse.PlacedStep;
import ungula.server.days.DaysResponse.SchoolView;
import ungula.server.job.Job;
import ungula.server.job.Jobs;
import ungula.server.web.Problem;
import ungula.server.workshop.Habits;

/** Puts a job's timeline into the words and numbers of the page. */
@Component
class DaysViews {

  private final Jobs jobs;
  private final Habits workshop;

  DaysViews(Jobs jobs, Habits workshop) {
    this.jobs = jobs;
    this.workshop = workshop;
  }

  /** For what cannot be shown while nothing is to be done. */
  static void check(Job job) {
    if (job.plan().steps().making().isEmpty()) {
      throw new Problem(
          HttpStatus.CONFLICT,
          "No days yet",
          "What is to be done is not known yet: say what the master is, and its mould.");
    }
  }

  DaysResponse view(Job job) {
    check(job);
    Timeline line = job.plan().steps().timeline();
    Optional<DayPlan> plan = DayPlan.of(job.plan().steps());
    DaysOffers offers = DaysOffers.of(job.plan().steps(), workshop.now());
    return new DaysResponse(
        offers.rule(),
        text(line, plan.isPresent() ? line.begin() : line.network().start()),
        plan.isPresent() && line.alone().begin() < line.begin(),
        plan.map(p -> new DaysTold(p.hands(), p.waits(), p.finish())).orElse(null),
        plan.flatMap(p -> p.back(workshop.now())).map(b -> back(line, b)).orElse(null),
        plan.map(this::days).orElse(List.of()),
        plan.map(p -> p.steps().stream().map(s -> placed(job, p, s)).toList()).orElse(List.of()),
        plan.map(DayPlan::chain).orElse(List.of()),
        offers.notes().stream().map(n -> new DaysNote(n.title(), n.text(), n.step())).toList(),
        offers.offers().stream()
            .map(o -> new DaysOffer(o.text(), o.button(), o.edits(), o.hours()))
            .toList(),
        schools(job));
  }

  static String text(Timeline line, long time) {
    return Moments.text(line.at(time).toLocalDateTime());
  }

  static String clock(Timeline line, long time) {
    return Moments.clock(line.at(time).toLocalTime());
  }

  static DaysBack back(Timeline line, Block b) {
    return new DaysBack(text(line, b.begin()), told(b));
  }

  /** What is done in a stretch of work, such as "turn, release, then pour 2: 1 h 5 min". */
  static String told(Block b) {
    return b.labels() + ": " + Timespan.formatMin(b.workMin());
  }

  private List<DayView> days(DayPlan plan) {
    return plan.days().stream()
        .map(d -> day(d, workshop.today().today(), taken(plan.line(), d.date())))
        .toList();
  }

  static DayView day(DayPlan.Day d, LocalDate today, List<DayTaken> taken) {
    return new DayView(
        d.date().toString(),
        Moments.weekday(d.date()),
        Moments.dayOfMonth(d.date()),
        d.date().equals(today),
        d.hours().stream().map(h -> new DayHours(h.from(), h.to())).toList(),
        taken);
  }

  private static List<DayTaken> taken(Timeline line, LocalDate day) {
    return line.network().busy().stream()
        .filter(b -> b.resource().equals(Network.PERSON))
        .filter(b -> line.at(b.from()).toLocalDate().equals(day))
        .map(b -> new DayTaken(minute(line, b.from()), minute(line, b.to())))
        .toList();
  }

  private static int minute(Timeline line, long time) {
    LocalTime at = line.at(time).toLocalTime();
    return at.toSecondOfDay() / 60;
  }

  private static PlacedStep placed(Job job, DayPlan plan, DayPlan.Placed p) {
    Timeline line = plan.line();
    Span span = p.span();
    LocalDate first = plan.days().get(0).date();
    return new PlacedStep(
        p.step().key(),
        p.step().part(),
        p.step().label(),
        p.step().what(),
        p.step().kind(),
        p.step().unbroken(),
        clock(line, span.begin()),
        text(line, span.begin()),
        text(line, span.end()),
        line.at(span.begin()).toOffsetDateTime().toString(),
        line.at(span.end()).toOffsetDateTime().toString(),
        plan.takes(p),
        p.pieces().stream()
            .map(x -> new DayPiece(x.day(), x.minutes().from(), x.minutes().to()))
            .toList(),
        p.window()
            .filter(
                w ->
                    line.days(w.opens(), w.closes()) == 0
                        && line.days(w.opens(), span.begin()) == 0)
            .map(
                w ->
                    new DayPiece(
                        (int) ChronoUnit.DAYS.between(first, line.at(w.opens()).toLocalDate()),
                        minute(line, w.opens()),
                        minute(line, w.closes())))
            .orElse(null),
        job.choices().days().pins().containsKey(p.step().key()));
  }

  /** What each school of recoating comes to, all gaps alike. */
  private List<SchoolView> schools(Job job) {
    if (CoatClock.of(job.plan().steps()).isEmpty()) {
      return List.of();
    }
    Recoat chosen = job.choices().skin().recoat();
    return Arrays.stream(Recoat.values())
        .map(
            r -> {
              List<Edit> edits = List.of(Edit.of("skin.recoat", r.name()));
              Job with = r == chosen ? job : jobs.with(job, edits);
              SkinClock clock = CoatClock.of(with.plan().steps()).orElseThrow().clock();
              return new SchoolView(
                  r.text(),
                  with.plan().figures().get("skin.cured"),
                  Moments.text(clock.at(clock.cured()).toLocalDateTime()),
                  clock.days(),
                  r == chosen,
                  edits);
            })
        .toList();
  }
}
