package ungula.core.step;

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
import ungula.core.days.Network;
import ungula.core.step.Timeline.Span;

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
   * A window in which a step may begin.
   *
   * @param opens second of the epoch
   * @param closes second of the epoch
   */
  public record Window(long opens, long closes) {}

  /**
   * A step with its time.
   *
   * @param window empty where none closes
   */
  public record Placed(Step step, Span span, List<Piece> pieces, Optional<Window> window) {}

  /**
   * Work by hand at a stretch.
   *
   * @param steps in turn
   */
  public record Block(long begin, long end, List<Step> steps) {

    /** What is done in it, in a few words. */
    public String labels() {
      return steps.stream().map(Step::label).distinct().collect(Collectors.joining(", "));
    }

    /** Minutes of work in it. */
    public double workMin() {
      return steps.stream().mapToDouble(s -> s.takes().minutes()).sum();
    }
  }

  public static DayPlan of(Steps steps) {
    List<Step> all = new ArrayList<>(steps.making());
    all.addAll(steps.casting());
    Timeline line = steps.timeline();
    LocalDate first = line.at(line.begin()).toLocalDate();
    List<Placed> placed = new ArrayList<>();
    for (Step s : all) {
      Span at = line.of(s.key());
      if (at.end() > at.begin()) {
        placed.add(new Placed(s, at, pieces(line, at, first), window(line, s)));
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
      days.add(new Day(d, hours(calendar, d)));
    }
    return List.copyOf(days);
  }

  /** When there is work on a day. */
  public static List<Minutes> hours(Hours.Calendar calendar, LocalDate day) {
    return calendar.of(day).stream()
        .map(
            s -> {
              int to = s.to().toSecondOfDay() / 60;
              return new Minutes(s.from().toSecondOfDay() / 60, to == 0 ? DAY_MIN : to);
            })
        .toList();
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

  /** The window that closes first. */
  private static Optional<Window> window(Timeline line, Step s) {
    return s.after().stream()
        .filter(a -> a.mostMin() != null)
        .map(
            a -> {
              Span other = line.of(a.key());
              long from = a.from() == Step.After.From.BEGIN ? other.begin() : other.end();
              return new Window(
                  from + Math.round(60 * a.leastMin()), from + Math.round(60 * a.mostMin()));
            })
        .min(Comparator.comparingLong(Window::closes));
  }

  private static List<Block> blocks(List<Placed> placed) {
    List<Block> all = new ArrayList<>();
    List<Step> steps = new ArrayList<>();
    long begin = 0;
    long end = 0;
    for (Placed p : placed) {
      if (!p.step.byHand()) {
        continue;
      }
      if (!steps.isEmpty() && p.span.begin() - end > STOOD_BY) {
        all.add(new Block(begin, end, List.copyOf(steps)));
        steps.clear();
      }
      if (steps.isEmpty()) {
        begin = p.span.begin();
      }
      steps.add(p.step);
      end = Math.max(end, p.span.end());
    }
    if (!steps.isEmpty()) {
      all.add(new Block(begin, end, List.copyOf(steps)));
    }
    return List.copyOf(all);
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
      Span other = line.of(a.step());
      long lets = a.fromBegin() ? other.begin() + Math.round(60 * a.least()) : other.end();
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

  /** What is at hand at a time, or next; empty when all of it is over. */
  public Optional<Block> due(long now) {
    return blocks.stream().filter(b -> b.end > now).findFirst();
  }

  /** Work by hand in all, minutes. */
  public double handsMin() {
    return blocks.stream().mapToDouble(Block::workMin).sum();
  }
}
