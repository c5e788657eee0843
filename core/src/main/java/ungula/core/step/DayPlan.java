package ungula.core.step;

import static ungula.core.working.Given.Source.COMPUTED;

import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import ungula.core.days.Hours;
import ungula.core.days.Moments;
import ungula.core.days.Network;
import ungula.core.quantity.Timespan;
import ungula.core.step.Timeline.Span;
import ungula.core.step.Timeline.Window;
import ungula.core.working.Figure;
import ungula.core.working.Working;

/**
 * A job's timeline day by day, as it is shown and told: by the clock on the wall.
 *
 * @param days from the first on which something is done or waited for to the last
 * @param steps that take time, in the order they begin
 * @param blocks of work by hand with no long wait in between
 * @param chain steps that decide the finish, from the first to the last
 */
public record DayPlan(
    Timeline line, List<Day> days, List<Placed> steps, List<Block> blocks, List<String> chain) {

  /** A wait so short is stood by. */
  private static final long STOOD_BY = 20 * 60;

  private static final int DAY_MIN = 24 * 60;

  /**
   * A day and when there is work on it.
   *
   * @param hours minutes of the clock
   */
  public record Day(LocalDate date, List<Minutes> hours) {}

  /** From one minute of a day's clock to another; a day ends at 24 × 60. */
  public record Minutes(int from, int to) {}

  /**
   * A part of a step that lies on one day.
   *
   * @param day from 0
   */
  public record Piece(int day, Minutes minutes) {}

  /**
   * A step with its time.
   *
   * @param stretches of work at it, with the breaks left out; of a wait all of it
   * @param window empty where none closes
   */
  public record Placed(
      Step step, Span span, List<Span> stretches, List<Piece> pieces, Optional<Window> window) {}

  /**
   * Work by hand at a stretch.
   *
   * @param steps in turn
   * @param again how often its first step was gone on with before, after a break
   * @param workMin minutes of work in it
   */
  public record Block(long begin, long end, List<Step> steps, int again, double workMin) {

    /** What is done in it, in a few words. */
    public String labels() {
      return steps.stream().map(Step::label).distinct().collect(Collectors.joining(", "));
    }
  }

  /** Empty while nothing is to be done, and where it does not fit in the hours of work. */
  public static Optional<DayPlan> of(Steps steps) {
    return steps.making().isEmpty() || steps.timeline().kept() != Timeline.Kept.HOURS
        ? Optional.empty()
        : Optional.of(planned(steps));
  }

  private static DayPlan planned(Steps steps) {
    List<Step> all = steps.all();
    Timeline line = steps.timeline();
    LocalDate first = line.at(line.begin()).toLocalDate();
    List<Placed> placed = new ArrayList<>();
    for (Step s : all) {
      Span at = line.of(s.key());
      if (at.end() > at.begin()) {
        List<Span> stretches = line.stretches(s.key());
        placed.add(
            new Placed(
                s,
                at,
                stretches,
                stretches.stream().flatMap(w -> pieces(line, w, first).stream()).toList(),
                line.window(s.key())));
      }
    }
    placed.sort(Comparator.comparingLong((Placed p) -> p.span.begin()));
    return new DayPlan(line, days(line), List.copyOf(placed), blocks(placed), chain(line));
  }

  private static List<Day> days(Timeline line) {
    List<Day> days = new ArrayList<>();
    LocalDate last = line.at(Math.max(line.begin(), line.end() - 1)).toLocalDate();
    Hours.Calendar calendar = line.network().calendar();
    for (LocalDate d = line.at(line.begin()).toLocalDate(); !d.isAfter(last); d = d.plusDays(1)) {
      days.add(day(calendar, d));
    }
    return List.copyOf(days);
  }

  /** A day with its hours of work. */
  public static Day day(Hours.Calendar calendar, LocalDate date) {
    return new Day(
        date,
        calendar.of(date).stream()
            .map(
                s -> {
                  int to = s.to().toSecondOfDay() / 60;
                  return new Minutes(s.from().toSecondOfDay() / 60, to == 0 ? DAY_MIN : to);
                })
            .toList());
  }

  private static List<Piece> pieces(Timeline line, Span span, LocalDate first) {
    List<Piece> all = new ArrayList<>();
    ZonedDateTime from = line.at(span.begin());
    ZonedDateTime to = line.at(span.end());
    int begin = (int) ChronoUnit.DAYS.between(first, from.toLocalDate());
    int end = (int) ChronoUnit.DAYS.between(first, to.toLocalDate());
    for (int day = begin; day <= end; day++) {
      int a = day == begin ? from.toLocalTime().toSecondOfDay() / 60 : 0;
      int b = day == end ? to.toLocalTime().toSecondOfDay() / 60 : DAY_MIN;
      if (b > a || begin == end) {
        all.add(new Piece(day, new Minutes(a, b)));
      }
    }
    return all;
  }

  /** A step at a stretch. */
  private record Work(Step step, Span span, int again) {}

  private static List<Block> blocks(List<Placed> placed) {
    List<Work> work = new ArrayList<>();
    for (Placed p : placed) {
      for (int i = 0; p.step.byHand() && i < p.stretches.size(); i++) {
        work.add(new Work(p.step, p.stretches.get(i), i));
      }
    }
    work.sort(Comparator.comparingLong(w -> w.span.begin()));
    List<Block> all = new ArrayList<>();
    List<Work> block = new ArrayList<>();
    long end = 0;
    for (Work w : work) {
      if (!block.isEmpty() && w.span.begin() - end > STOOD_BY) {
        all.add(block(block, end));
        block.clear();
        end = 0;
      }
      block.add(w);
      end = Math.max(end, w.span.end());
    }
    if (!block.isEmpty()) {
      all.add(block(block, end));
    }
    return List.copyOf(all);
  }

  private static Block block(List<Work> work, long end) {
    Work first = work.get(0);
    return new Block(
        first.span.begin(),
        end,
        work.stream().map(Work::step).toList(),
        first.again,
        work.stream().mapToDouble(w -> Timeline.minutes(w.span.begin(), w.span.end())).sum());
  }

  /** Of each step in turn, the one that let it begin no sooner, back from the last. */
  private static List<String> chain(Timeline line) {
    Map<String, Network.Step> steps = new LinkedHashMap<>();
    line.network().steps().forEach(s -> steps.put(s.key(), s));
    List<String> chain = new ArrayList<>();
    Set<String> seen = new HashSet<>();
    String at =
        line.spans().entrySet().stream()
            .max(Comparator.comparingLong(e -> e.getValue().end()))
            .map(Map.Entry::getKey)
            .orElse(null);
    while (at != null && seen.add(at)) {
      chain.add(0, at);
      at = held(line, steps, at);
    }
    return List.copyOf(chain);
  }

  /** The step that held another up; null for the first. */
  private static String held(Timeline line, Map<String, Network.Step> steps, String key) {
    Network.Step step = steps.get(key);
    long begin = line.of(key).begin();
    String by = null;
    long latest = Long.MIN_VALUE;
    for (Network.After a : step.after()) {
      long lets = line.lets(a);
      if (lets > latest) {
        latest = lets;
        by = a.step();
      }
    }
    for (Network.Step other : steps.values()) {
      long end = line.of(other.key()).end();
      boolean shares = step.hands() && other.hands() && other.minutes() > 0;
      if (shares && end <= begin && end > latest && !other.key().equals(key)) {
        latest = end;
        by = other.key();
      }
    }
    return by;
  }

  /**
   * When to be back after what is done first, or after a time; empty when no more is to be done.
   */
  public Optional<Block> back(long now) {
    boolean begun = !blocks.isEmpty() && now >= blocks.get(0).begin;
    return blocks.stream().skip(begun ? 0 : 1).filter(b -> b.begin > now).findFirst();
  }

  /** Work by hand in all. */
  public Figure hands() {
    Map<String, Double> parts = new LinkedHashMap<>();
    steps.stream()
        .filter(p -> p.step.byHand())
        .forEach(p -> parts.merge(p.step.part(), p.step.takes().minutes(), Double::sum));
    Working.Builder w = Working.of("sum of the steps by hand, the first cast with them");
    parts.forEach((part, min) -> w.given(part, Timespan.formatMin(min), COMPUTED));
    double all = parts.values().stream().mapToDouble(Double::doubleValue).sum();
    return figure("days.hands", "your hands, to the first cast", all, Timespan.formatMin(all), w);
  }

  /** Time in which nobody works at it. */
  public Figure waits() {
    double all = Timeline.minutes(line.begin(), line.end());
    double left = Math.max(0, all - hands().value());
    return figure(
        "days.waits",
        "waiting, to the first cast",
        left,
        Timespan.formatMin(left),
        Working.of("from the beginning to the finish − your hands")
            .given("from the beginning to the finish", Timespan.formatMin(all), COMPUTED)
            .given("your hands", hands().text(), COMPUTED));
  }

  /** When all of it is done, with what decides it. */
  public Figure finish() {
    Working.Builder w =
        Working.of("each step as early as it can be, in your hours of work")
            .given("begun", text(line.begin()), COMPUTED);
    for (Placed p : steps) {
      if (chain.contains(p.step.key())) {
        w.given(p.step.label() + ", until", text(p.span.end()), COMPUTED);
      }
    }
    return figure("days.finish", "first cast out", line.end(), text(line.end()), w);
  }

  /** How long a step takes: by hand without the breaks in it, a wait as warm as it will be. */
  public Figure takes(Placed p) {
    double min = Timeline.minutes(p.span.begin(), p.span.end());
    double planned = p.step.takes().minutes();
    if (p.step.byHand() || Math.abs(min - planned) < 1) {
      return p.step.time().orElseThrow();
    }
    return figure(
        "step." + p.step.key(),
        "this step takes",
        min,
        Timespan.formatMin(min),
        Working.of("time to wait, as warm as the room will be")
            .given("in the room as it usually is", Timespan.formatMin(planned), COMPUTED));
  }

  private static Figure figure(
      String key, String label, double value, String text, Working.Builder w) {
    return new Figure(key, label, value, text, text, w.done());
  }

  private String text(long time) {
    return Moments.text(line.at(time).toLocalDateTime());
  }
}
