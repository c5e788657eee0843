package ungula.server.days;

import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
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
import ungula.core.step.Steps;
import ungula.core.step.Timeline;
import ungula.core.step.Timeline.Kept;
import ungula.core.step.Timeline.Span;
import ungula.server.days.DaysResponse.DayHours;
import ungula.server.days.DaysResponse.DayPiece;
import ungula.server.days.DaysResponse.DayTaken;
import ungula.server.days.DaysResponse.DayView;
import ungula.server.days.DaysResponse.DaysBack;
import ungula.server.days.DaysResponse.DaysFinish;
import ungula.server.days.DaysResponse.DaysNote;
import ungula.server.days.DaysResponse.DaysOffer;
import ungula.server.days.DaysResponse.PlacedStep;
import ungula.server.days.DaysResponse.SchoolView;
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

  /** A job's days, for what cannot be shown without them. */
  static DayPlan planned(Jobs.Job job) {
    Steps steps = job.plan().steps();
    if (steps.making().isEmpty()) {
      throw new Problem(
          HttpStatus.CONFLICT,
          "No days yet",
          "What is to be done is not known yet: say what the master is, and its mould.");
    }
    return DayPlan.of(steps);
  }

  DaysResponse view(Jobs.Job job) {
    DayPlan plan = planned(job);
    Steps steps = job.plan().steps();
    Timeline line = plan.line();
    DaysOffers offers = DaysOffers.of(steps, workshop.now());
    return new DaysResponse(
        line.kept() == Kept.HOURS,
        offers.rule(),
        text(line, line.begin()),
        new DaysFinish(
            text(line, line.end()), steps.casting().isEmpty() ? "open" : "first cast out"),
        plan.back(workshop.now()).map(b -> back(line, b)).orElse(null),
        Timespan.formatMin(plan.handsMin()),
        Timespan.formatMin(waitsMin(plan)),
        days(plan),
        plan.steps().stream().map(p -> placed(job, plan, p)).toList(),
        plan.chain(),
        offers.notes().stream().map(n -> new DaysNote(n.title(), n.text())).toList(),
        offers.offers().stream()
            .map(o -> new DaysOffer(o.text(), o.button(), o.edits(), o.hours()))
            .toList(),
        schools(job));
  }

  static String text(Timeline line, long time) {
    return Moments.text(line.at(time).toLocalDateTime());
  }

  static DaysBack back(Timeline line, Block b) {
    return new DaysBack(
        text(line, b.begin()), line.at(b.begin()).toOffsetDateTime().toString(), told(b));
  }

  /** What is done in a stretch of work, such as "turn, release, then pour 2: 1 h 5 min". */
  static String told(Block b) {
    return b.labels() + ": " + Timespan.formatMin(b.workMin());
  }

  /** Time in which somebody waits and does nothing. */
  private static double waitsMin(DayPlan plan) {
    double all = Timeline.minutes(plan.line().begin(), plan.line().end());
    return Math.max(0, all - plan.handsMin());
  }

  private List<DayView> days(DayPlan plan) {
    LocalDate today = workshop.today().today();
    Timeline line = plan.line();
    List<DayView> all = new ArrayList<>();
    for (DayPlan.Day d : plan.days()) {
      all.add(
          new DayView(
              d.date().toString(),
              Moments.weekday(d.date()),
              Moments.day(d.date()).replaceFirst("^\\S+ ", ""),
              d.date().equals(today),
              d.hours().stream().map(h -> new DayHours(h.from(), h.to())).toList(),
              taken(line, d.date())));
    }
    return all;
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

  private static PlacedStep placed(Jobs.Job job, DayPlan plan, DayPlan.Placed p) {
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
        text(line, span.begin()),
        text(line, span.end()),
        line.at(span.begin()).toOffsetDateTime().toString(),
        line.at(span.end()).toOffsetDateTime().toString(),
        Timespan.formatMin(Timeline.minutes(span.begin(), span.end())),
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
  private List<SchoolView> schools(Jobs.Job job) {
    if (CoatClock.of(job.plan().steps()).isEmpty()) {
      return List.of();
    }
    Recoat chosen = job.choices().skin().recoat();
    return Arrays.stream(Recoat.values())
        .map(
            r -> {
              List<Edit> edits = List.of(Edit.of("skin.recoat", r.name()));
              Jobs.Job with = r == chosen ? job : jobs.with(job, edits);
              SkinClock clock = CoatClock.of(with.plan().steps()).orElseThrow().clock();
              return new SchoolView(
                  r.text(),
                  Moments.text(clock.at(clock.cured()).toLocalDateTime()),
                  clock.days(),
                  r == chosen,
                  edits);
            })
        .toList();
  }
}
