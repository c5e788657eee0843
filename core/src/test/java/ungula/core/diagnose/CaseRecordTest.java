package ungula.core.diagnose;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.testng.annotations.Test;
import ungula.core.CastPlans;
import ungula.core.Near;
import ungula.core.cast.Made.Result;
import ungula.core.diagnose.Diagnosis.Before;
import ungula.core.job.JobPlan;
import ungula.core.quantity.Units;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.core.run.Bench;
import ungula.core.run.Entry;
import ungula.core.run.Freeze;
import ungula.core.run.FreezeCast;
import ungula.core.run.Maker;
import ungula.core.run.RunPlan;
import ungula.core.run.RunPlan.Task;

/** What a job's record says of what went wrong in it. */
public class CaseRecordTest {

  private static final Product OYSTER = ExampleProducts.all().get("oyster-75");

  private static final Instant SEVEN = Instant.parse("2027-03-01T07:00:00Z");

  private static JobPlan job(String... edits) {
    return CastPlans.of(OYSTER, List.of(), edits);
  }

  private static RunPlan mould(JobPlan job) {
    return Freeze.of(job.steps(), job.figures(), job.cautions(), b -> "marram-20");
  }

  private static Map<String, Object> record(Seen seen, JobPlan job, Bench mould, Bench cast) {
    return CaseRecord.of(
        seen, job, Optional.ofNullable(mould), Optional.ofNullable(cast), List.of(), null);
  }

  private static Diagnosis diagnosed(Seen seen, Map<String, Object> record) {
    return Diagnosis.of(seen, new Facts(record, Map.of()));
  }

  /** Nothing that nobody recorded is made up. */
  @Test
  public void aPlanAloneSaysNoMoreThanItKnows() {
    Map<String, Object> r = record(Seen.SOFT, job(), null, null);
    assertEquals(r.get("chemistry"), "addition");
    assertEquals(r.get("castAtKPa"), 0.0);
    for (String fact : List.of("patch", "roomC", "hardenerG", "witness", "trapMl", "degassed")) {
      assertFalse(r.containsKey(fact), fact);
    }
  }

  @Test
  public void whatWasReallyWeighedIsOnRecord() throws Exception {
    JobPlan job = job();
    Maker m = new Maker(mould(job), SEVEN);
    Task weigh = m.until(".weigh");
    m.does(weigh);
    double base = m.bench.state().batches().get(0).baseG();
    double right = base * m.bench.state().batches().get(0).batch().hardenerPerBase();
    // within what is right: the bench lets nothing else pass
    m.bench.typed(m.now, weigh.batch(), Entry.Ingredient.of(Entry.Part.HARDENER), 0.985 * right);
    m.until(".cup");
    m.bench.leaveOut(m.now, m.next().key(), "no cup");
    Task witness = m.until(".witness");
    m.bench.judge(m.now, witness.key(), false);
    Map<String, Object> r = record(Seen.SOFT, job, m.bench, null);
    assertEquals(r.get("baseG"), base);
    Near.absolute((double) r.get("hardenerG"), 0.985 * right, 1e-9);
    assertEquals(r.get("secondCup"), false);
    assertEquals(r.get("witness"), "soft");
    assertEquals(diagnosed(Seen.TACKY_ALL, r).causes().get(0).cause(), Cause.NOT_MIXED);
    Map<String, Object> byHand =
        CaseRecord.of(
            Seen.TACKY_ALL,
            job,
            Optional.of(m.bench),
            Optional.empty(),
            List.of(new CaseRecord.Batch(100, 8, 0.1)),
            null);
    assertEquals(byHand.get("hardenerG"), 8.0, "the one that is furthest off");
    Diagnosis d = diagnosed(Seen.TACKY_ALL, byHand);
    assertEquals(d.causes().get(0).cause(), Cause.SHORT_OF_HARDENER);
    assertFalse(d.questions().stream().anyMatch(q -> q.fact().equals("hardenerG")), "it is known");
    String said = CaseRecord.text("hardenerG", r, Units.METRIC);
    assertTrue(said.startsWith("weighed ") && said.endsWith(", to be 1 : 0.1"), said);
    // of a cast the mould's rubber says nothing
    assertFalse(record(Seen.CAST_TACKY, job, m.bench, null).containsKey("hardenerG"));
  }

  @Test
  public void aMouldMadeAsItShouldIsOnRecordAsThat() throws Exception {
    JobPlan job = job();
    Maker m = new Maker(mould(job), SEVEN);
    m.until("no such step");
    Map<String, Object> r = record(Seen.TACKY_AT_MASTER, job, m.bench, null);
    assertEquals(r.get("secondCup"), true);
    assertEquals(r.get("witness"), "hard");
    assertEquals(diagnosed(Seen.TACKY_AT_MASTER, r).causes().get(0).cause(), Cause.INHIBITED);
    assertEquals(CaseRecord.text("secondCup", r, Units.METRIC), "a second cup");
  }

  @Test
  public void howLongACastWasInIsOnRecord() throws Exception {
    JobPlan job = job("cast.wanted=5");
    RunPlan plan =
        FreezeCast.of(
            job.steps(), List.of(1), Set.of(), job.figures(), job.cautions(), "oyster-75");
    Maker m = new Maker(plan, SEVEN);
    Task t = m.next();
    while (t.kind() != RunPlan.Kind.RESULT) {
      m.does(t);
      t = m.next();
    }
    m.bench.came(m.now, t.key(), Result.SCRAP, null, "bent");
    Map<String, Object> r = record(Seen.CAST_BENT, job, null, m.bench);
    assertEquals(r.get("sheetDemouldMin"), OYSTER.demouldMin());
    double share = (double) r.get("demouldMin") / OYSTER.demouldMin();
    assertTrue(share >= 0.9, "after its time: " + share);
    assertEquals(r.get("degassed"), false, "nothing in its plan does");
  }

  /** What a cause turned out to be here turns the order, and by no more than one and a half. */
  @Test
  public void whatItWasBeforeTurnsTheOrder() {
    Facts none = new Facts(Map.of(), Map.of());
    assertEquals(Diagnosis.of(Seen.PEELING, none).causes().get(0).cause(), Cause.WINDOW_MISSED);
    Diagnosis dusty = Diagnosis.of(Seen.PEELING, none, Map.of(Cause.DUSTY, new Before(3, 0)));
    assertEquals(dusty.causes().get(0).cause(), Cause.DUSTY);
    assertEquals(dusty.causes().get(0).score(), 2.5);
    assertEquals(dusty.causes().get(0).forIt(), List.of("here it was this 3 times (+1.5)"));
    assertEquals(new Before(40, 0).weight(), 1.5);
    assertEquals(new Before(0, 40).weight(), -1.5);
    assertEquals(new Before(2, 2).weight(), 0.0);
    Diagnosis wrongly =
        Diagnosis.of(Seen.PEELING, none, Map.of(Cause.WINDOW_MISSED, new Before(0, 3)));
    assertEquals(
        wrongly.causes().stream()
            .filter(c -> c.cause() == Cause.WINDOW_MISSED)
            .findFirst()
            .orElseThrow()
            .against(),
        List.of("here it was thought to be this 3 times, and was not (−1.5)"));
  }
}
