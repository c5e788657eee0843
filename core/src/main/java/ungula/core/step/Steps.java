package ungula.core.step;

import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ungula.core.days.Diary;
import ungula.core.days.Moments;
import ungula.core.days.Network;
import ungula.core.plan.Plan;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Timespan;
import ungula.core.working.Figure;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;
import ungula.core.workshop.Rate;
import ungula.core.workshop.Workshop;

/**
 * The network of steps a plan asks for, made by the procedure of its kind of mould. The order of
 * work, hours and cost, and when a mould is open all come from it.
 *
 * @param making of the mould, each after all that it waits for; empty while it is not known
 * @param casting one cast from it
 * @param timeline of both, in the hours of the workshop
 */
public record Steps(Plan plan, List<Step> making, List<Step> casting, Timeline timeline) {

  /**
   * @param diary what else there is to do
   */
  public static Steps of(Plan p, Diary diary) {
    StepList making = new StepList(p.workshop());
    StepList casting = new StepList(p.workshop());
    if (known(p)) {
      if (p.skin().isPresent()) {
        new SkinProcedure(p, making).steps();
      } else if (p.parting().isPresent()) {
        new TwoPartProcedure(p, making).steps();
      } else {
        new BlockProcedure(p, making).steps();
      }
      p.core().ifPresent(core -> new CoreProcedure(p, making).steps(core));
      new CastingProcedure(p, casting).steps();
    }
    return new Steps(
        p, making.all(), casting.all(), timeline(p, making.all(), casting.all(), diary));
  }

  /** Of the mould, and of the first cast from it. */
  private static Timeline timeline(Plan p, List<Step> making, List<Step> casting, Diary diary) {
    Workshop w = p.workshop();
    List<Step> all = new ArrayList<>(making);
    for (Step s : casting) {
      boolean first = s.after().isEmpty() && !making.isEmpty();
      String open = first ? making.get(making.size() - 1).key() : "";
      all.add(first ? s.again(s.key(), List.of(Step.After.end(open)), "") : s);
    }
    return Timeline.of(
        StepNetwork.of(all, w.roomC()),
        w.hours(),
        w.hours().room(w.roomC()),
        p.choices().days(),
        diary);
  }

  /** Of the mould and of the first cast from it, in the order they are told. */
  public List<Step> all() {
    return Stream.concat(making.stream(), casting.stream()).toList();
  }

  /** Whether the mould is known; of a skin not before its coats are worked out. */
  private static boolean known(Plan p) {
    return p.box().isPresent() && (p.poured() || p.skin().isPresent());
  }

  /**
   * What a step waits for besides the one told before it, such as "99 min to 3 h after coat 1 was
   * mixed"; empty where that is all.
   */
  public String waits(Step step) {
    boolean nextDay =
        step.after().stream().anyMatch(a -> a.nextDayMin() != null && overnight(step, a));
    return timeline.after(step.key()).stream()
        .filter(a -> a.fromBegin() && a.least() > 0)
        .map(a -> waits(step, a, nextDay))
        .collect(Collectors.joining(", "));
  }

  /** Whether a step comes on a later day, after its window. */
  private boolean overnight(Step step, Step.After a) {
    long other = timeline.of(a.key()).begin();
    long begin = timeline.of(step.key()).begin();
    boolean within = a.mostMin() != null && Timeline.minutes(other, begin) <= a.mostMin() + 1;
    return timeline.days(other, begin) > 0 && !within;
  }

  private String waits(Step step, Network.After a, boolean nextDay) {
    String other = a.step().replace(".weigh", "").replace('.', ' ');
    if (nextDay) {
      return "on the next day, once " + other + " has set";
    }
    long mixed = timeline.of(a.step()).begin();
    String opens = Timespan.formatMin(Timeline.minutes(mixed, timeline.lets(a)));
    return opens
        + timeline
            .window(step.key())
            .map(w -> " to " + Timespan.formatMin(Timeline.minutes(mixed, w.closes())))
            .orElse("")
        + " after "
        + other
        + " was mixed";
  }

  /** Work by hand on the mould, minutes. */
  public double handsMin() {
    return making.stream().filter(Step::byHand).mapToDouble(s -> s.takes().minutes()).sum();
  }

  /** When the mould is open and washed; second of the epoch. */
  public long open() {
    return making.stream()
        .mapToLong(s -> timeline.of(s.key()).end())
        .max()
        .orElse(timeline.begin());
  }

  /** Until the mould is open and washed, minutes from when it is begun. */
  public double openMin() {
    return Timeline.minutes(timeline.begin(), open());
  }

  /** Whether all of the mould's making is known: a skin's jacket may still be worked out. */
  public boolean whole() {
    return !making.isEmpty() && (plan.poured() || plan.jacket().isPresent());
  }

  /** All moulds the master gives, where several are asked for. */
  Optional<Series> series() {
    Integer moulds = plan.choices().rubber().moulds();
    return moulds == null || moulds < 2 || !whole()
        ? Optional.empty()
        : Optional.of(Series.of(this, moulds));
  }

  /** Adds the figures of its times; of the whole work none before all of it is known. */
  public void show(FigureBook figures) {
    if (whole()) {
      work(figures);
    }
    if (plan.skin().isPresent() && !making.isEmpty()) {
      brush(figures);
    }
    PourClock.of(this).show(figures);
    CoatClock.of(this).ifPresent(c -> c.show(figures));
  }

  private void work(FigureBook figures) {
    Map<String, Double> parts = new LinkedHashMap<>();
    making.stream()
        .filter(Step::byHand)
        .forEach(s -> parts.merge(s.part(), s.takes().minutes(), Double::sum));
    Working.Builder w = Working.of("work by hand = sum of the steps");
    parts.forEach((part, min) -> w.given(part, hours(min), COMPUTED));
    figures.put(
        "job.hands",
        "work by hand",
        handsMin() / 60,
        hours(handsMin()),
        w.step("By the times on the Workshop page: make them your own.").done());
    Figure open = opened("job.open", "until it is open", timeline, open());
    figures.put(open.key(), open.label(), open.value(), open.text(), open.working());
    series().ifPresent(all -> all.show(figures));
  }

  private void brush(FigureBook figures) {
    double min =
        making.stream()
            .filter(s -> s.byHand() && s.key().startsWith("coat."))
            .mapToDouble(s -> s.takes().minutes())
            .sum();
    figures.put(
        "skin.hands",
        "at the brush",
        min,
        Timespan.formatMin(min),
        Working.of("tins stirred up, and for each coat: getting ready + brushing its surface")
            .given("getting ready", rate(Rate.BRUSH_READY), DEFAULT)
            .given("for each m²", rate(Rate.BRUSH), DEFAULT)
            .given("coats", plan.skin().orElseThrow().coats().size() + "", COMPUTED)
            .done());
  }

  private String rate(Rate rate) {
    return Timespan.formatMin(plan.workshop().rates().get(rate));
  }

  /** Of work, to a tenth. */
  public static String hours(double min) {
    return Numbers.fixed(min / 60, 1) + " h";
  }

  /** Hours from when it is begun, and the day on which it is reached. */
  public static String elapsed(Timeline line, long time) {
    int day = 1 + line.day(time);
    return Numbers.fixed(Timeline.minutes(line.begin(), time) / 60, 0)
        + " h"
        + (day > 1 ? ", day " + day : "")
        + (line.kept() == Timeline.Kept.HOURS ? "" : ", not in your hours");
  }

  /**
   * Until a mould is open.
   *
   * @param open when it is
   */
  public static Figure opened(String key, String label, Timeline line, long open) {
    Working working =
        Working.of("each step as early as it can be, in your hours of work")
            .given("begun", said(line, line.begin()), COMPUTED)
            .given("open", said(line, open), COMPUTED)
            .step("Waits run through nights and days off." + strained(line))
            .done();
    String text = elapsed(line, open);
    return new Figure(key, label, Timeline.minutes(line.begin(), open) / 60, text, text, working);
  }

  private static String said(Timeline line, long time) {
    return Moments.text(line.at(time).toLocalDateTime());
  }

  private static String strained(Timeline line) {
    return switch (line.kept()) {
      case HOURS -> "";
      case BREAKS_WORKED -> " It does not fit in your hours: breaks are worked through.";
      case DAY_AND_NIGHT -> " It does not fit in your hours: nights are worked through.";
    };
  }
}
