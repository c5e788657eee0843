package ungula.core.log;

import java.time.Duration;
import java.time.Instant;
import java.time.YearMonth;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import ungula.core.cast.Made;
import ungula.core.cast.Made.Result;
import ungula.core.rubber.Parts;
import ungula.core.run.Bench;
import ungula.core.run.Entry;
import ungula.core.run.Progress;
import ungula.core.run.RunPlan.Kind;

/**
 * What a workshop did in a month.
 *
 * @param rubberG that was poured or brushed on at the bench
 * @param thrownG of rubber and of what is cast, thrown away in the cup
 * @param moulds made to the end
 * @param usable casts to use
 * @param scrap casts
 * @param handsMin work at the bench: from each entry to the next, where that is less than four
 *     hours and no wait
 * @param otherwise what went otherwise than planned, each with how often, the most often first
 */
public record MonthSum(
    YearMonth month,
    double rubberG,
    double thrownG,
    int moulds,
    int usable,
    int scrap,
    double handsMin,
    Map<String, Integer> otherwise) {

  /** Nobody stands at the bench for longer without a press. */
  private static final Duration NEXT = Duration.ofHours(4);

  /**
   * What is on record of one job.
   *
   * @param lines of its log
   */
  public record OfJob(List<Bench> runs, Made casts, List<LogLine> lines) {}

  private static final class Sum {
    private double rubberG;
    private double thrownG;
    private int moulds;
    private int usable;
    private int scrap;
    private double handsMin;
    private final Map<String, Integer> otherwise = new LinkedHashMap<>();

    private MonthSum of(YearMonth month) {
      Map<String, Integer> often = new LinkedHashMap<>();
      otherwise.entrySet().stream()
          .sorted(Map.Entry.<String, Integer>comparingByValue().reversed())
          .forEach(e -> often.put(e.getKey(), e.getValue()));
      return new MonthSum(
          month,
          rubberG,
          thrownG,
          moulds,
          usable,
          scrap,
          handsMin,
          Collections.unmodifiableMap(often));
    }
  }

  /** Months in which something happened, the newest first. */
  public static List<MonthSum> of(Collection<OfJob> jobs, ZoneId zone) {
    TreeMap<YearMonth, Sum> all = new TreeMap<>();
    for (OfJob job : jobs) {
      job.runs.forEach(r -> run(r, zone, all));
      for (Made.Cast c : job.casts.counting()) {
        Sum sum = at(c.at(), zone, all);
        sum.usable += c.result() == Result.GOOD || c.result() == Result.REPAIR ? 1 : 0;
        sum.scrap += c.result() == Result.SCRAP ? 1 : 0;
      }
      job.lines.stream()
          .filter(LogLine::differs)
          .forEach(l -> at(l.at(), zone, all).otherwise.merge(told(l), 1, Integer::sum));
    }
    List<MonthSum> months = new ArrayList<>();
    all.descendingMap().forEach((month, sum) -> months.add(sum.of(month)));
    return List.copyOf(months);
  }

  /** Without its numbers: what is off by this much and by that much is one thing. */
  private static String told(LogLine l) {
    return l.off().replaceAll("\\d[\\d.,]*\\s*(%|g|kg|mm|min|h|s|°C)?\\s*", "").strip();
  }

  private static Sum at(Instant at, ZoneId zone, Map<YearMonth, Sum> all) {
    return all.computeIfAbsent(YearMonth.from(at.atZone(zone)), m -> new Sum());
  }

  private static void run(Bench run, ZoneId zone, Map<YearMonth, Sum> all) {
    boolean mould = run.plan().casts().isEmpty();
    for (Progress p : run.state().batches()) {
      if (p.used() != null) {
        Sum sum = at(p.used(), zone, all);
        sum.rubberG += mould ? p.own().totalG() : 0;
      }
    }
    thrown(run, zone, all);
    if (mould) {
      run.state().finished().ifPresent(end -> at(end, zone, all).moulds++);
    }
    Instant before = null;
    for (Entry e : run.entries()) {
      boolean wait =
          e instanceof Entry.Done d
              && run.plan().task(d.step()).filter(t -> t.kind() == Kind.WAIT).isPresent();
      if (before != null && !wait) {
        Duration took = Duration.between(before, e.at());
        if (!took.isNegative() && took.compareTo(NEXT) < 0) {
          at(e.at(), zone, all).handsMin += took.toSeconds() / 60.0;
        }
      }
      before = e.at();
    }
  }

  /** In the month it was thrown away last. */
  private static void thrown(Bench run, ZoneId zone, Map<YearMonth, Sum> all) {
    for (Progress p : run.state().batches()) {
      Parts thrown = run.state().thrownAway(p.batch());
      if (thrown.totalG() > 0) {
        run.entries().stream()
            .filter(e -> e instanceof Entry.StartedOver s && s.batch().equals(p.batch().key()))
            .map(Entry::at)
            .max(Instant::compareTo)
            .ifPresent(last -> at(last, zone, all).thrownG += thrown.totalG());
      }
    }
  }

  /** Of all that were to be casts, those that are scrap; 0 where there were none. */
  public double scrapShare() {
    return usable + scrap == 0 ? 0 : scrap / (double) (usable + scrap);
  }
}
