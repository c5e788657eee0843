package ungula.server.days;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;
import ungula.core.days.Hours;
import ungula.core.days.Moments;
import ungula.core.days.Moments.Moment;
import ungula.core.days.Network;
import ungula.core.quantity.Timespan;
import ungula.core.quantity.UnreadableQuantity;
import ungula.core.rubber.Product;
import ungula.core.step.DayPlan;
import ungula.core.step.DayPlan.Block;
import ungula.core.step.DayPlan.Placed;
import ungula.core.step.Timeline;
import ungula.core.workshop.WorkHours;
import ungula.core.workshop.Workshop;
import ungula.server.days.BenchResponse.Alarm;
import ungula.server.days.BenchResponse.AlarmsResponse;
import ungula.server.days.BenchResponse.BenchBar;
import ungula.server.days.BenchResponse.BenchJob;
import ungula.server.days.BenchResponse.Between;
import ungula.server.days.BenchResponse.Share;
import ungula.server.days.BenchResponse.Tool;
import ungula.server.days.BenchResponse.WaitingJob;
import ungula.server.days.DaysResponse.DayView;
import ungula.server.job.Job;
import ungula.server.job.JobLists;
import ungula.server.workshop.Habits;

/** What several jobs do to each other's days. */
final class BenchDays {

  /** Nobody looks further ahead at once. */
  private static final int MOST_DAYS = 366;

  /** A wait that is over sooner does not ring. */
  private static final long LONG = 10 * 60;

  private static final long AHEAD = 2 * 24 * 3600;

  private final JobLists lists;
  private final Habits workshop;
  private final ZoneId zone;
  private final List<Job> onBench;
  private final List<Planned> plans = new ArrayList<>();

  /** A job whose days are known. */
  private record Planned(Job job, DayPlan plan) {}

  /** A job that could be begun, and what is done first. */
  private record Waiting(Job job, Block first) {}

  BenchDays(JobLists lists, Habits workshop) {
    this.lists = lists;
    this.workshop = workshop;
    this.zone = workshop.current().hours().clock();
    this.onBench = lists.onBench();
    for (Job job : onBench) {
      DayPlan.of(job.plan().steps()).ifPresent(plan -> plans.add(new Planned(job, plan)));
    }
  }

  BenchResponse view() {
    List<DayView> days = days();
    return new BenchResponse(
        days,
        onBench.stream()
            .map(
                j ->
                    plans.stream()
                        .filter(p -> p.job == j)
                        .findFirst()
                        .map(p -> job(p, days))
                        .orElseGet(() -> without(j)))
            .toList(),
        waiting().stream()
            .map(w -> new WaitingJob(w.job.row().id(), w.job.row().name(), DaysViews.told(w.first)))
            .toList(),
        shares(),
        tools());
  }

  private LocalDate date(long time) {
    return Instant.ofEpochSecond(time).atZone(zone).toLocalDate();
  }

  private List<DayView> days() {
    if (plans.isEmpty()) {
      return List.of();
    }
    LocalDate first =
        plans.stream().map(p -> date(p.plan.line().begin())).min(LocalDate::compareTo).get();
    LocalDate last =
        plans.stream().map(p -> date(p.plan.line().end() - 1)).max(LocalDate::compareTo).get();
    LocalDate end = last.isAfter(first.plusDays(MOST_DAYS)) ? first.plusDays(MOST_DAYS) : last;
    Hours.Calendar calendar = workshop.current().hours().calendar();
    LocalDate today = workshop.today().today();
    return first
        .datesUntil(end.plusDays(1))
        .map(d -> DaysViews.day(DayPlan.day(calendar, d), today, List.of()))
        .toList();
  }

  /** A job whose days are not known: its steps are not, or it does not fit in the hours. */
  private static BenchJob without(Job job) {
    Moment begin = job.choices().days().begin();
    return new BenchJob(
        job.row().id(),
        job.row().name(),
        Moments.text(begin.at()),
        "",
        null,
        "",
        job.plan().steps().making().isEmpty(),
        List.of());
  }

  private BenchJob job(Planned planned, List<DayView> days) {
    Job job = planned.job;
    DayPlan plan = planned.plan;
    Timeline line = plan.line();
    LocalDate first = LocalDate.parse(days.get(0).date());
    int offset = (int) ChronoUnit.DAYS.between(first, plan.days().get(0).date());
    List<BenchBar> bars = new ArrayList<>();
    for (Placed p : plan.steps()) {
      for (DayPlan.Piece piece : p.pieces()) {
        if (piece.day() + offset < days.size()) {
          bars.add(
              new BenchBar(
                  p.step().label(),
                  p.step().byHand(),
                  piece.day() + offset,
                  piece.minutes().from(),
                  piece.minutes().to()));
        }
      }
    }
    return new BenchJob(
        job.row().id(),
        job.row().name(),
        DaysViews.text(line, line.begin()),
        DaysViews.text(line, line.end()),
        plan.back(workshop.now()).map(b -> DaysViews.back(line, b)).orElse(null),
        later(line),
        true,
        bars);
  }

  /** How much the jobs before it cost this one. */
  private static String later(Timeline line) {
    double later = Timeline.minutes(line.alone().end(), line.end());
    return later < 1 ? "" : Timespan.formatMin(later);
  }

  /** Jobs nobody has said the beginning of. */
  private List<Waiting> waiting() {
    List<Waiting> all = new ArrayList<>();
    for (Job job : lists.undated()) {
      DayPlan.of(job.plan().steps()).stream()
          .flatMap(plan -> plan.blocks().stream())
          .findFirst()
          .ifPresent(first -> all.add(new Waiting(job, first)));
    }
    return all;
  }

  /** Jobs that pour the same rubber on the same day. */
  private List<Share> shares() {
    Map<String, List<Job>> same = new TreeMap<>();
    for (Planned planned : plans) {
      Job job = planned.job;
      String product = job.choices().rubber().product();
      planned.plan.steps().stream()
          .filter(p -> p.step().key().startsWith("pour."))
          .filter(p -> p.step().byHand() && product != null)
          .findFirst()
          .ifPresent(
              p ->
                  same.computeIfAbsent(
                          date(p.span().begin()) + " " + product, k -> new ArrayList<>())
                      .add(job));
    }
    return same.entrySet().stream()
        .filter(e -> e.getValue().size() > 1)
        .map(e -> share(LocalDate.parse(e.getKey().substring(0, 10)), e.getValue()))
        .toList();
  }

  private static Share share(LocalDate day, List<Job> of) {
    Product rubber = of.get(0).product();
    return new Share(
        of.stream().map(j -> j.row().name()).collect(Collectors.joining(" and "))
            + " are poured of "
            + rubber.name()
            + " on "
            + Moments.day(day)
            + ": they can share a batch.",
        of.get(0).choices().rubber().product());
  }

  /** When what there is one of is used. */
  private List<Tool> tools() {
    Workshop.Equipment there = workshop.current().equipment();
    List<Tool> all = new ArrayList<>();
    all.add(tool("scale"));
    if (there.chamber() != null) {
      all.add(tool("chamber"));
    }
    if (there.pot() != null) {
      all.add(tool("pot"));
    }
    return all;
  }

  private Tool tool(String name) {
    String used =
        plans.stream()
            .flatMap(p -> p.plan.line().taken().stream())
            .filter(b -> b.resource().equals(name))
            .sorted(Comparator.comparingLong(Network.Busy::from))
            .map(b -> text(b.from()))
            .collect(Collectors.joining(", "));
    return new Tool(name, used.isEmpty() ? "idle" : used);
  }

  private String text(long time) {
    return Moments.text(LocalDateTime.ofInstant(Instant.ofEpochSecond(time), zone));
  }

  AlarmsResponse alarms() {
    long now = workshop.now();
    List<Alarm> all = new ArrayList<>();
    for (Planned of : plans) {
      for (Placed p : of.plan.steps()) {
        Timeline.Span at = p.span();
        boolean longer = !p.step().byHand() && at.end() - at.begin() >= LONG;
        if (longer && at.end() > now - LONG && at.end() < now + AHEAD) {
          all.add(
              new Alarm(iso(at.end()), of.job.row().id(), of.job.row().name(), p.step().label()));
        }
      }
    }
    all.sort(Comparator.comparing(Alarm::at));
    return new AlarmsResponse(iso(now), all);
  }

  private static String iso(long time) {
    return Instant.ofEpochSecond(time).toString();
  }

  Between between(String from, String to) {
    Moments now = workshop.today();
    LocalDateTime begin = today(now, from, now.today());
    LocalDateTime end = today(now, to, begin.toLocalDate());
    if (!end.isAfter(begin)) {
      throw new UnreadableQuantity("It has to end after it begins.");
    }
    long a = begin.atZone(zone).toEpochSecond();
    long b = end.atZone(zone).toEpochSecond();
    SortedMap<Long, List<String>> planned = new TreeMap<>();
    long taken = 0;
    for (Planned of : plans) {
      Timeline line = of.plan.line();
      for (Placed p : of.plan.steps()) {
        for (Timeline.Span at : p.stretches()) {
          if (p.step().byHand() && at.begin() < b && at.end() > a) {
            taken += Math.min(b, at.end()) - Math.max(a, at.begin());
            planned
                .computeIfAbsent(at.begin(), t -> new ArrayList<>())
                .add(
                    DaysViews.clock(line, at.begin())
                        + " "
                        + of.job.row().name()
                        + ": "
                        + p.step().what());
          }
        }
      }
    }
    WorkHours hours = workshop.current().hours();
    long worked = hours.people() * hours.calendar().worked(a, b);
    int free = (int) Math.max(0, (worked - taken) / 60);
    List<String> could =
        waiting().stream()
            .filter(w -> w.first.workMin() <= free)
            .map(w -> w.job.row().name() + ": " + DaysViews.told(w.first))
            .toList();
    return new Between(
        Moments.text(begin),
        Moments.text(end),
        planned.values().stream().flatMap(List::stream).toList(),
        free,
        could);
  }

  /** A bare time is of that day. */
  private static LocalDateTime today(Moments now, String text, LocalDate day) {
    return text.strip().matches("\\d{1,2}")
        ? now.moment(day + " " + text.strip() + ":00").at()
        : text.strip().matches("\\d{1,2}[:.]\\d\\d")
            ? now.moment(day + " " + text.strip()).at()
            : now.moment(text).at();
  }
}
