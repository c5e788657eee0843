package ungula.core.log;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.time.YearMonth;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import ungula.core.CastPlans;
import ungula.core.Near;
import ungula.core.cast.Made;
import ungula.core.cast.Made.Result;
import ungula.core.job.JobPlan;
import ungula.core.log.LogLine.Kind;
import ungula.core.run.Bench;
import ungula.core.run.Freeze;
import ungula.core.run.Maker;
import ungula.core.run.RunPlan.Task;

/** What a workshop did, month by month. */
public class MonthSumTest {

  private static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");

  private static final Instant MARCH = Instant.parse("2027-03-01T07:00:00Z");

  private static Made.Cast cast(int number, String at, Result result, int strikes) {
    return new Made.Cast(number, Instant.parse(at), "MB", 1, result, null, "", strikes);
  }

  private static LogLine off(String at, String off) {
    return new LogLine(Instant.parse(at), "", Kind.DONE, "", "x", "", "", off, "", "");
  }

  @Test
  public void castsAndDifferencesStandInTheirMonth() {
    Made made =
        new Made(
            List.of(
                // still February in London, March on the wall here
                cast(1, "2027-02-28T23:30:00Z", Result.GOOD, 0),
                cast(2, "2027-03-02T10:00:00Z", Result.SCRAP, 0),
                cast(3, "2027-03-02T10:00:00Z", Result.REPAIR, 0),
                cast(4, "2027-03-02T10:00:00Z", Result.CLEANING, 0),
                cast(5, "2027-03-03T10:00:00Z", Result.GOOD, 0),
                cast(6, "2027-03-03T10:01:00Z", Result.STRUCK, 5),
                cast(7, "2027-01-03T10:00:00Z", Result.SCRAP, 0)));
    List<LogLine> lines =
        List.of(
            off("2027-03-02T10:00:00Z", "7.8 % short"),
            off("2027-03-02T11:00:00Z", "wait cut short by 12 min"),
            off("2027-03-05T11:00:00Z", "wait cut short by 1 h 5 min"),
            off("2027-03-05T11:00:00Z", ""));
    List<MonthSum> months =
        MonthSum.of(List.of(new MonthSum.OfJob(List.of(), made, lines)), BERLIN);
    assertEquals(
        months.stream().map(MonthSum::month).toList(),
        List.of(YearMonth.of(2027, 3), YearMonth.of(2027, 1)),
        "the newest first");
    MonthSum march = months.get(0);
    assertEquals(march.usable(), 2, "mended ones are used, struck ones were none");
    assertEquals(march.scrap(), 1);
    Near.absolute(march.scrapShare(), 1 / 3.0, 1e-12);
    assertEquals(march.otherwise(), Map.of("short", 1, "wait cut short by", 2));
    assertEquals(march.otherwise().keySet().iterator().next(), "wait cut short by");
    assertEquals(months.get(1).scrapShare(), 1.0);
  }

  @Test
  public void whatWasMixedAtTheBenchCounts() throws Exception {
    JobPlan job = CastPlans.of(null, List.of());
    Maker m =
        new Maker(Freeze.of(job.steps(), job.figures(), job.cautions(), b -> "marram-20"), MARCH);
    // the first cup is dropped
    Task weigh = m.until(".weigh");
    m.does(weigh);
    double lost = m.bench.state().batches().get(0).baseG();
    m.bench.startOver(m.now, weigh.batch());
    m.until("no such step");
    Bench bench = m.bench;
    List<MonthSum> months =
        MonthSum.of(
            List.of(new MonthSum.OfJob(List.of(bench), new Made(List.of()), List.of())), BERLIN);
    assertEquals(months.size(), 1);
    MonthSum march = months.get(0);
    assertEquals(march.moulds(), 1);
    double used = bench.state().batches().stream().mapToDouble(p -> p.own().totalG()).sum();
    Near.absolute(march.rubberG(), used, 1e-9);
    Near.absolute(march.thrownG(), lost, 1e-9);
    assertTrue(march.handsMin() > 20 && march.handsMin() < 600, march.handsMin() + " min");
    assertEquals(march.scrapShare(), 0.0);
  }
}
