package ungula.core.run;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.testng.annotations.Test;
import ungula.core.AnyPlan;
import ungula.core.CastPlans;
import ungula.core.Near;
import ungula.core.cast.Amounts;
import ungula.core.cast.Made.Result;
import ungula.core.job.JobPlan;
import ungula.core.master.Tessellation;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Units;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.core.run.Entry.Ingredient;
import ungula.core.run.Entry.Part;
import ungula.core.run.RunPlan.Batch;
import ungula.core.run.RunPlan.Kind;
import ungula.core.run.RunPlan.Task;
import ungula.core.sentence.WordBook.Edit;

/** A cast at the bench, from the mould made ready to what became of it. */
public class CastBenchTest {

  private static final Instant SEVEN = Instant.parse("2027-03-01T07:00:00Z");
  private static final Product OYSTER = ExampleProducts.all().get("oyster-75");

  private static RunPlan frozen(JobPlan plan, List<Integer> moulds, Set<Integer> fresh) {
    return FreezeCast.of(plan.steps(), moulds, fresh, plan.figures(), plan.cautions(), "oyster-75");
  }

  private static RunPlan one(String... edits) {
    return frozen(CastPlans.of(OYSTER, List.of(), edits), List.of(1), Set.of());
  }

  /** Goes to the results. */
  private static Maker atResult(RunPlan plan) throws Exception {
    Maker m = new Maker(plan, SEVEN);
    m.until(plan.tasks().stream().filter(t -> t.kind() == Kind.RESULT).findFirst().get().key());
    return m;
  }

  @Test
  public void aCastIsWeighedPouredAndLookedOver() throws Exception {
    JobPlan job = CastPlans.of(OYSTER, List.of());
    RunPlan plan = frozen(job, List.of(1), Set.of());
    assertEquals(plan.casts(), List.of(1));
    Batch b = plan.batches().get(0);
    assertEquals(b.product(), "oyster-75");
    Amounts a = job.plan().amount().orElseThrow().amounts();
    Near.relative(b.baseG(), a.aG(), 1e-9);
    Near.relative(b.baseG() * b.hardenerPerBase(), a.bG(), 1e-9);
    assertFalse(b.hardenerFirst());
    Maker m = atResult(plan);
    Bench bench = m.bench;
    assertEquals(bench.state().progress(b).phase(), Progress.Phase.POURED);
    String key = "cast.result.1";
    assertEquals(bench.state().next(m.now).orElseThrow().key(), key);
    assertEquals(
        expectThrows(Bench.Refused.class, () -> bench.tick(m.now, key)).getMessage(),
        "Say how the cast came out.");
    assertEquals(
        expectThrows(Bench.Refused.class, () -> bench.came(m.now, key, Result.SCRAP, null, " "))
            .getMessage(),
        "Say why it is not good.");
    expectThrows(Bench.Refused.class, () -> bench.came(m.now, key, Result.GOOD, -1.0, ""));
    expectThrows(Bench.Refused.class, () -> bench.came(m.now, key, Result.STRUCK, null, "no"));
    expectThrows(Bench.Refused.class, () -> bench.came(m.now, key, null, null, ""));
    expectThrows(Bench.Refused.class, () -> bench.came(m.now, key, Result.CLEANING, null, ""));
    expectThrows(Bench.Refused.class, () -> bench.came(m.now, "cast.out", Result.GOOD, null, ""));
    bench.came(m.now, key, Result.GOOD, 66.5, "");
    bench.came(m.now, key, Result.SCRAP, null, "pressed twice");
    assertTrue(bench.state().next(m.now).isEmpty(), "said once it is said");
    Entry last = bench.entries().get(bench.entries().size() - 1);
    assertEquals(Told.of(plan, last), "Mould 1: a good cast, 66.5 g");
    assertEquals(plan.taskOf(last), key);
    assertEquals(Clock.presses(plan, bench.state(), m.now), "the cast is out");
    bench.correct(m.now, bench.entries().size(), "It has a hole after all.");
    bench.came(m.now, key, Result.SCRAP, null, "A hole where it shows.");
    assertEquals(
        Told.of(plan, bench.entries().get(bench.entries().size() - 1)),
        "Mould 1: scrap. A hole where it shows.");
  }

  @Test
  public void itIsNotLookedOverBeforeItIsOut() {
    Bench bench = new Bench(one(), List.of());
    assertTrue(
        expectThrows(
                Bench.Refused.class,
                () -> bench.came(SEVEN, "cast.result.1", Result.GOOD, null, ""))
            .getMessage()
            .startsWith("First: "));
  }

  /** One mix for three moulds is three times as much, gels sooner, and each is looked over. */
  @Test
  public void oneMixFillsSeveralMoulds() throws Exception {
    JobPlan job = CastPlans.of(OYSTER, List.of(), "cast.series.perMix=3");
    RunPlan three = frozen(job, List.of(1, 2, 4), Set.of());
    Batch b = three.batches().get(0);
    Near.relative(b.baseG(), 3 * one().batches().get(0).baseG(), 1e-9);
    assertTrue(b.potLifeMin() < one().batches().get(0).potLifeMin());
    List<String> results =
        three.tasks().stream().filter(t -> t.kind() == Kind.RESULT).map(Task::key).toList();
    assertEquals(results, List.of("cast.result.1", "cast.result.2", "cast.result.4"));
    assertTrue(three.task("cast.pour").orElseThrow().what().startsWith("Into moulds 1, 2, 4"));
    String weigh = three.task("cast.weigh").orElseThrow().what();
    double total = 3 * job.plan().amount().orElseThrow().amounts().totalG();
    assertTrue(weigh.startsWith("Weigh " + Mass.format(total, Units.METRIC)), weigh);
    assertTrue(weigh.contains("for moulds 1, 2, 4"), weigh);
    Maker m = atResult(three);
    m.bench.came(m.now, "cast.result.4", Result.REPAIR, null, "A bubble to fill.");
    m.bench.came(m.now, "cast.result.1", Result.GOOD, null, "");
    m.bench.came(m.now, "cast.result.2", Result.GOOD, null, "");
    assertTrue(m.bench.state().next(m.now).isEmpty());
  }

  /** Pigment goes into part B, which is weighed first then; powder goes into water. */
  @Test
  public void whatIsBlendedIntoOnePartIsWeighedWithIt() throws Exception {
    RunPlan plan =
        one(
            "cast.amount.also.dosePct=2 %",
            "cast.amount.also.density=2",
            "cast.amount.filler.dosePct=10 %",
            "cast.amount.filler.density=0.3");
    Maker m = new Maker(plan, SEVEN);
    m.until("cast.weigh");
    List<Ingredient> order = new ArrayList<>();
    while (m.bench.state().next(m.now).orElseThrow().kind() == Kind.WEIGH) {
      order.add(m.bench.state().pouring().orElseThrow());
      m.does(m.next());
    }
    assertEquals(
        order,
        List.of(
            Ingredient.of(Part.HARDENER),
            Ingredient.stirred(0),
            Ingredient.stirred(1),
            Ingredient.of(Part.BASE)));
    Batch b = plan.batches().get(0);
    Progress p = m.bench.state().progress(b);
    Near.relative(p.baseG(), b.baseG(), 1e-9);
    assertEquals(p.met(), m.now, "the pot life begins with part A");
    JobPlan plaster = CastPlans.of(ExampleProducts.all().get("sanderling"), List.of());
    assertTrue(frozen(plaster, List.of(1), Set.of()).batches().get(0).hardenerFirst());
  }

  /** The first of a cut mould takes its crumbs along. */
  @Test
  public void theFirstOfACutMouldIsACleanOut() throws Exception {
    JobPlan cut = CastPlans.of(OYSTER, List.of(), "mould.kind=CUT");
    RunPlan first = frozen(cut, List.of(1, 2), Set.of(2));
    Maker m = atResult(first);
    m.bench.came(m.now, "cast.result.1", Result.GOOD, null, "");
    m.bench.came(m.now, "cast.clean.2", Result.CLEANING, null, "");
    List<Entry> all = m.bench.entries();
    assertEquals(Told.of(first, all.get(all.size() - 1)), "Mould 2: its clean-out");
    assertTrue(
        frozen(CastPlans.of(OYSTER, List.of()), List.of(1), Set.of(1))
            .task("cast.clean.1")
            .isEmpty(),
        "nothing is cut");
  }

  /** What no product says cannot be weighed against: it is poured all the same. */
  @Test
  public void withoutAProductItIsCastByHand() throws Exception {
    RunPlan plan =
        frozen(CastPlans.of(null, List.<Edit>of(), "cast.material=WAX"), List.of(1), Set.of());
    assertEquals(plan.batches(), List.of());
    assertEquals(plan.task("cast.weigh").orElseThrow().kind(), Kind.HANDS);
    Maker m = atResult(plan);
    m.bench.came(m.now, "cast.result.1", Result.GOOD, null, "");
    assertNull(m.bench.state().next(m.now).orElse(null));
  }

  /** Several masters on a plate give a cast each: every one of them is looked over. */
  @Test
  public void everyCastOfAPlateIsLookedOver() throws Exception {
    RunPlan plan =
        FreezeCast.of(
            AnyPlan.picked(Tessellation.box(30, 30, 20), "plate.copies=3").plan().steps(),
            List.of(2),
            Set.of(),
            Map.of(),
            List.of(),
            "");
    List<String> results =
        plan.tasks().stream().filter(t -> t.kind() == Kind.RESULT).map(Task::key).toList();
    assertEquals(results, List.of("cast.result.1.2", "cast.result.2.2", "cast.result.3.2"));
    Maker m = atResult(plan);
    m.bench.came(m.now, "cast.result.1.2", Result.GOOD, null, "");
    m.bench.came(m.now, "cast.result.2.2", Result.GOOD, null, "");
    m.bench.came(m.now, "cast.result.3.2", Result.SCRAP, null, "It was not filled.");
    assertTrue(m.bench.state().next(m.now).isEmpty());
    assertTrue(
        m.bench.entries().stream()
            .filter(e -> e instanceof Entry.Came)
            .allMatch(e -> ((Entry.Came) e).mould() == 2));
  }
}
