package ungula.server.days;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import ungula.core.days.Hours;
import ungula.core.days.Moments;
import ungula.core.days.Network;
import ungula.core.quantity.Timespan;
import ungula.core.quantity.UnreadableQuantity;
import ungula.core.rubber.Product;
import ungula.core.step.DayPlan;
import ungula.core.step.DayPlan.Block;
import ungula.core.step.DayPlan.Placed;
import ungula.core.step.Timeline;
import ungula.core.step.Timeline.Kept;
import ungula.core.workshop.WorkHours;
import ungula.server.days.BenchResponse.Alarm;
import ungula.server.days.BenchResponse.AlarmsResponse;
import ungula.server.days.BenchResponse.BenchBar;
import ungula.server.days.BenchResponse.BenchJob;
import ungula.server.days.BenchResponse.Between;
import ungula.server.days.BenchResponse.Share;
import ungula.server.days.BenchResponse.Tool;
import ungula.server.days.BenchResponse.WaitingJob;
import ungula.server.days.DaysResponse.DayHours;
import ungula.server.days.DaysResponse.DayView;
import ungula.server.job.Jobs;
import ungula.server.workshop.Habits;

/** What several jobs do to each other's days. */
final class BenchDays {

  /** Nobody looks further ahead at once. */
  private static final int MOST_DAYS = 366;

  /** A wait that is over sooner does not ring. */
  private static final long LONG = 10 * 60;

  private static final long AHEAD = 2 * 24 * 3600;

  private static final List<String> TOOLS = List.of("scale", "chamber", "pot");

  private final Jobs jobs;
  private final Habits workshop;
  private final ZoneId zone;
  private final Map<Jobs.Job, DayPlan> plans = new LinkedHashMap<>();

  BenchDays(Jobs jobs, Habits workshop) {
    this.jobs = jobs;
    this.workshop = workshop;
    this.zone = workshop.current().hours().clock();
    for (Jobs.Job job : jobs.onBench()) {
      if (!job.plan().steps().making().isEmpty()) {
        plans.put(job, DayPlan.of(job.plan().steps()));
      }
    }
  }

  BenchResponse view() {
    List<DayView> days = days();
    return new BenchResponse(
        days,
        plans.entrySet().stream().map(e -> job(e.getKey(), e.getValue(), days)).toList(),
        waiting().entrySet().stream()
            .map(
                e ->
                    new WaitingJob(
                        e.getKey().row().id(),
                        e.getKey().row().name(),
                        DaysViews.told(e.getValue())))
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
        plans.values().stream().map(p -> date(p.line().begin())).min(LocalDate::compareTo).get();
    LocalDate last =
        plans.values().stream().map(p -> date(p.line().end() - 1)).max(LocalDate::compareTo).get();
    LocalDate end = last.isAfter(first.plusDays(MOST_DAYS)) ? first.plusDays(MOST_DAYS) : last;
    Hours.Calendar calendar = workshop.current().hours().calendar();
    LocalDate today = workshop.today().today();
    return first
        .datesUntil(end.plusDays(1))
        .map(
            d ->
                new DayView(
                    d.toString(),
                    Moments.weekday(d),
                    Moments.day(d).replaceFirst("^\\S+ ", ""),
                    d.equals(today),
                    DayPlan.hours(calendar, d).stream()
                        .map(h -> new DayHours(h.from(), h.to()))
                        .toList(),
                    List.of()))
        .toList();
  }

  private BenchJob job(Jobs.Job job, DayPlan plan, List<DayView> days) {
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
        line.kept() == Kept.HOURS,
        bars);
  }

  /** How much the jobs before it cost this one. */
  private static String later(Timeline line) {
    double later = Timeline.minutes(line.alone().end(), line.end());
    return later < 1 ? "" : Timespan.formatMin(later);
  }

  /** Jobs nobody has said the beginning of, with the first thing to do. */
  private Map<Jobs.Job, Block> waiting() {
    Map<Jobs.Job, Block> all = new LinkedHashMap<>();
    for (Jobs.Job job : jobs.undated()) {
      if (!job.plan().steps().making().isEmpty()) {
        DayPlan.of(job.plan().steps()).blocks().stream()
            .findFirst()
            .ifPresent(first -> all.put(job, first));
      }
    }
    return all;
  }

  /** Jobs that pour the same rubber on the same day. */
  private List<Share> shares() {
    Map<String, List<Jobs.Job>> same = new TreeMap<>();
    for (Map.Entry<Jobs.Job, DayPlan> e : plans.entrySet()) {
      Jobs.Job job = e.getKey();
      String product = job.choices().rubber().product();
      e.getValue().steps().stream()
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

  private static Share share(LocalDate day, List<Jobs.Job> of) {
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
    List<Tool> all = new ArrayList<>();
    for (String name : TOOLS) {
      List<String> used =
          plans.values().stream()
              .flatMap(p -> p.line().taken().stream())
              .filter(b -> b.resource().equals(name))
              .sorted(Comparator.comparingLong(Network.Busy::from))
              .map(b -> text(b.from()))
              .toList();
      boolean there = !name.equals("chamber") || workshop.current().equipment().chamber() != null;
      if (there && (!used.isEmpty() || !name.equals("pot"))) {
        all.add(new Tool(name, used.isEmpty() ? "idle" : String.join(", ", used)));
      }
    }
    return all;
  }

  private String text(long time) {
    return Moments.text(LocalDateTime.ofInstant(Instant.ofEpochSecond(time), zone));
  }

  AlarmsResponse alarms() {
    long now = workshop.now();
    List<Alarm> all = new ArrayList<>();
    plans.forEach(
        (job, plan) ->
            plan.steps().stream()
                .filter(p -> !p.step().byHand())
                .filter(p -> p.span().end() - p.span().begin() >= LONG)
                .filter(p -> p.span().end() > now - LONG && p.span().end() < now + AHEAD)
                .forEach(
                    p ->
                        all.add(
                            new Alarm(
                                iso(p.span().end()),
                                job.row().id(),
                                job.row().name(),
                                p.step().label()))));
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
    List<String> planned = new ArrayList<>();
    long taken = 0;
    for (Map.Entry<Jobs.Job, DayPlan> e : plans.entrySet()) {
      for (Placed p : e.getValue().steps()) {
        boolean then = p.span().begin() < b && p.span().end() > a;
        if (then && p.step().byHand()) {
          taken += Math.min(b, p.span().end()) - Math.max(a, p.span().begin());
          planned.add(
              text(p.span().begin()).replaceFirst(".* ", "")
                  + " "
                  + e.getKey().row().name()
                  + ": "
                  + p.step().what());
        }
      }
    }
    planned.sort(
        Comparator.comparing((String s) -> s.length() < 5 || s.charAt(1) == ':' ? "0" + s : s));
    int free = (int) Math.max(0, (worked(begin, end) - taken) / 60);
    List<String> could =
        waiting().entrySet().stream()
            .filter(e -> e.getValue().workMin() <= free)
            .map(e -> e.getKey().row().name() + ": " + DaysViews.told(e.getValue()))
            .toList();
    return new Between(Moments.text(begin), Moments.text(end), planned, free, could);
  }

  /** A bare time is of that day. */
  private static LocalDateTime today(Moments now, String text, LocalDate day) {
    return text.strip().matches("\\d{1,2}")
        ? now.moment(day + " " + text.strip() + ":00").at()
        : text.strip().matches("\\d{1,2}[:.]\\d\\d")
            ? now.moment(day + " " + text.strip()).at()
            : now.moment(text).at();
  }

  /** Seconds of work between two times. */
  private long worked(LocalDateTime begin, LocalDateTime end) {
    WorkHours hours = workshop.current().hours();
    long sum = 0;
    for (Hours.Span s : hours.calendar().of(begin.toLocalDate())) {
      LocalTime from = s.from().isAfter(begin.toLocalTime()) ? s.from() : begin.toLocalTime();
      LocalTime to = s.to().isBefore(end.toLocalTime()) ? s.to() : end.toLocalTime();
      sum += Math.max(0, to.toSecondOfDay() - from.toSecondOfDay());
    }
    return sum * hours.people();
  }
}
