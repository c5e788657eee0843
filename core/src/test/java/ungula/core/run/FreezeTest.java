package ungula.core.run;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.testng.annotations.Test;
import ungula.core.AnyPlan;
import ungula.core.AnyPlans;
import ungula.core.Near;
import ungula.core.job.JobPlan;
import ungula.core.master.Tessellation;
import ungula.core.plan.PourPart;
import ungula.core.run.RunPlan.Batch;
import ungula.core.run.RunPlan.Kind;
import ungula.core.run.RunPlan.Task;

/** Plans at random, frozen and gone through to the end. */
public class FreezeTest {

  private static final Instant SEVEN = Instant.parse("2027-03-01T07:00:00Z");

  static RunPlan frozen(JobPlan plan) {
    return Freeze.of(plan.steps(), plan.figures(), plan.cautions(), b -> "rubber");
  }

  private static List<JobPlan> plans() {
    AnyPlan skin =
        AnyPlan.picked(Tessellation.box(80, 55, 42), "mould.kind=SKIN", "skin.recoat=TACKY");
    return Stream.concat(
            Stream.of(skin.plan()), AnyPlans.first(120).stream().map(AnyPlans.Planned::plan))
        .filter(p -> p.steps().whole())
        .toList();
  }

  @Test
  public void everyPlanIsMadeToItsEnd() throws Exception {
    int windows = 0;
    int levels = 0;
    int additives = 0;
    for (JobPlan plan : plans()) {
      RunPlan run = frozen(plan);
      Maker maker = new Maker(run, SEVEN);
      assertNull(maker.until("no such step"), "done");
      RunState end = maker.bench.state();
      for (Task t : run.tasks()) {
        boolean over = t.kind() == Kind.WAIT && end.past(t, maker.now);
        assertTrue(over || !end.ended(t).orElseThrow().skipped(), t.key());
        windows += t.after().stream().anyMatch(a -> a.mostMin() != null) ? 1 : 0;
      }
      for (Batch b : run.batches()) {
        Progress p = end.progress(b);
        assertEquals(p.phase(), Progress.Phase.POURED, b.key());
        Near.relative(p.hardenerG(), b.baseG() * b.hardenerPerBase(), 1e-9);
        additives += p.stirredG().isEmpty() ? 0 : 1;
        levels += end.level(b).isPresent() ? 1 : 0;
      }
      assertTrue(end.alarms().stream().noneMatch(a -> a.at().isAfter(maker.now)));
      // made again of its entries it is the same
      RunState again = RunState.of(run, maker.bench.entries());
      assertEquals(again.next(maker.now), end.next(maker.now));
      assertEquals(again.batches(), end.batches());
    }
    assertTrue(
        windows > 1 && levels > 20 && additives > 10, windows + " " + levels + " " + additives);
  }

  @Test
  public void everyTaskWaitsForTasksThereAre() {
    for (JobPlan plan : plans()) {
      RunPlan run = frozen(plan);
      Set<String> before = new HashSet<>();
      for (Task t : run.tasks()) {
        assertTrue(
            t.after().stream().allMatch(a -> before.contains(a.task())),
            t.key() + " comes before what it waits for");
        assertTrue(before.add(t.key()), t.key() + " stands twice");
        assertTrue(t.batch().isEmpty() || run.batch(t.batch()).isPresent());
        assertFalse(t.label().isEmpty());
      }
      for (Batch b : run.batches()) {
        assertTrue(before.contains(b.weigh()) && before.contains(b.used()), b.key());
      }
      boolean gated = run.tasks().stream().anyMatch(t -> t.key().endsWith(".gate.sheets"));
      assertTrue(gated, "nothing is weighed before the sheets are read");
    }
  }

  /** What is planned is what is expected when all is poured as planned. */
  @Test
  public void levelsAreThoseOfThePlan() throws Exception {
    int read = 0;
    for (JobPlan plan : plans()) {
      PourPart pours = plan.plan().pours().orElse(null);
      if (pours == null || plan.plan().skin().isPresent()) {
        continue;
      }
      RunPlan run = frozen(plan);
      Maker maker = new Maker(run, SEVEN);
      maker.until("no such step");
      for (int i = 0; i < run.batches().size(); i++) {
        Batch b = run.batches().get(i);
        if (b.rise() == null) {
          continue;
        }
        double planned = pours.list().get(i).levelMm();
        double expected = b.rise().mm(maker.bench.state().pouredMm3(b).orElseThrow());
        // between the levels that are kept in straight lines
        Near.absolute(expected, planned, 0.02 * Math.max(10, planned));
        read++;
      }
    }
    assertTrue(read > 40, read + "");
  }
}
