package ungula.core.run;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.testng.annotations.Test;
import ungula.core.AnyPlan;
import ungula.core.demo.HarbourShapes;
import ungula.core.mesh.TriangleMesh;
import ungula.core.run.RunPlan.After;
import ungula.core.run.RunPlan.Batch;
import ungula.core.run.RunPlan.Kind;
import ungula.core.run.RunPlan.Task;

/** A run that goes on by another plan loses nothing that happened, and is finished. */
public class TakenOverTest {

  private static final TriangleMesh FINIAL = HarbourShapes.FINE.finial();

  private static final Instant SEVEN = Instant.parse("2027-03-01T07:00:00Z");

  private Instant now = SEVEN;

  private static RunPlan frozen(String... words) {
    return FreezeTest.frozen(AnyPlan.picked(FINIAL, words).plan());
  }

  private static RunPlan halves(String... words) {
    String[] all = new String[words.length + 2];
    all[0] = "mould.kind=TWO_PART";
    all[1] = "rubber.batches=3";
    System.arraycopy(words, 0, all, 2, words.length);
    return frozen(all);
  }

  private Bench begun(RunPlan plan) {
    now = SEVEN;
    return new Bench(plan, List.of());
  }

  /** Does what is next; whether there was something. */
  private boolean does(Bench b) throws Bench.Refused {
    Task t = b.state().next(now).orElse(null);
    if (t == null) {
      return false;
    }
    now = now.plusSeconds(60);
    switch (t.kind()) {
      case WEIGH -> {
        Progress p = b.state().current().orElseThrow();
        b.typed(now, p.targetG(b.state().pouring().orElseThrow()));
      }
      case LEVEL ->
          b.level(
              now,
              t.batch(),
              b.plan().batch(t.batch()).orElseThrow().rise().mm(pouredMm3(b, t.batch())));
      case VERDICT -> b.judge(now, t.key(), true);
      default -> b.tick(now, t.key());
    }
    return true;
  }

  private static double pouredMm3(Bench b, String batch) {
    return b.state().pouredMm3(b.plan().batch(batch).orElseThrow()).orElseThrow();
  }

  private void until(Bench b, String key) throws Bench.Refused {
    while (b.state().next(now).filter(t -> t.key().equals(key)).isEmpty()) {
      assertTrue(does(b), key);
    }
  }

  private static List<Batch> pour(RunPlan plan, int pour) {
    return plan.batches().stream().filter(b -> b.pour() == pour).toList();
  }

  /** Nothing waits for what is not there, and what is waited for stands before. */
  private static void assertSound(RunPlan plan) {
    Set<String> before = new HashSet<>();
    for (Task t : plan.tasks()) {
      for (After a : t.after()) {
        assertTrue(plan.task(a.task()).isPresent(), t.key() + " waits for " + a.task());
      }
      assertTrue(before.add(t.key()), "twice: " + t.key());
      assertTrue(t.batch().isEmpty() || plan.batch(t.batch()).isPresent(), t.key());
    }
  }

  @Test
  public void ofTheSamePlanNothingIsAnother() throws Exception {
    Bench b = begun(halves());
    until(b, "pour.1.2.weigh");
    assertEquals(b.goneOn(halves()), b.plan());
    b.goOn(now, halves());
    assertTrue(b.entries().stream().noneMatch(e -> e instanceof Entry.Replanned));
  }

  @Test
  public void beforeAnythingIsMixedAllOfTheNewPlanIsTaken() throws Exception {
    Bench b = begun(halves());
    until(b, "pour.1.1.weigh");
    RunPlan other = halves("rubber.batches=4");
    b.goOn(now, other);
    assertEquals(b.plan().batches(), other.batches());
    assertEquals(b.finishedAsBegun(halves()), List.of());
    assertEquals(
        ((Entry.Replanned) b.entries().get(b.entries().size() - 1)).says(),
        Replanned.says(halves(), other));
    // what was done before is not asked for again
    assertEquals(b.state().next(now).orElseThrow().kind(), Kind.WEIGH);
    assertSound(b.plan());
  }

  @Test
  public void aPourThatIsBegunIsFinishedAsItWasAndTheOtherIsTheNewPlans() throws Exception {
    RunPlan was = halves();
    RunPlan other = halves("rubber.batches=6");
    assertFalse(pour(was, 1).equals(pour(other, 1)));
    assertFalse(pour(was, 2).equals(pour(other, 2)));
    Bench b = begun(was);
    until(b, "pour.1.2.weigh");
    List<Entry> before = b.entries();
    List<Progress> progress = b.state().batches();
    b.goOn(now, other);
    assertEquals(b.entries().subList(0, before.size()), before);
    assertEquals(pour(b.plan(), 1), pour(was, 1));
    assertEquals(pour(b.plan(), 2), pour(other, 2));
    assertEquals(b.state().batches().get(0), progress.get(0));
    assertEquals(b.finishedAsBegun(other), List.of("the upper half"));
    assertEquals(b.finishedAsBegun(was), List.of());
    assertEquals(b.state().next(now).orElseThrow().key(), "pour.1.2.weigh");
    assertSound(b.plan());
    // made again of what is kept it is the same
    assertEquals(new Bench(b.plan(), b.entries()).state().batches(), b.state().batches());
    while (does(b)) {
      now = now.plusSeconds(1);
    }
    assertEquals(b.state().current(), Optional.empty());
    assertTrue(b.plan().tasks().stream().noneMatch(b.state()::open));
    assertTrue(
        Told.of(b.plan(), b.entries().get(before.size())).startsWith("Gone on by the new plan. "));
  }

  @Test
  public void whatCannotBeFinishedInTheNewMouldIsRefused() throws Exception {
    Bench b = begun(halves());
    until(b, "pour.1.2.weigh");
    assertEquals(
        refused(b, frozen("rubber.batches=3", "mould.overTopMm=25")),
        "The upper half is begun, and the new plan has a box of another size. Plan that as it was,"
            + " or finish this mould as it was begun.");
    assertTrue(
        refused(b, frozen("mould.kind=SKIN")).startsWith("The upper half is begun, and there is"));
    List<Entry> kept = b.entries();
    expectThrows(Bench.Refused.class, () -> b.goOn(now, frozen("mould.kind=SKIN")));
    assertEquals(b.entries(), kept);
    assertEquals(b.plan(), halves());
  }

  private static String refused(Bench b, RunPlan plan) {
    return expectThrows(Bench.Refused.class, () -> b.goneOn(plan)).getMessage();
  }

  /**
   * Whenever and by whatever it goes on: nothing that happened is another, and it comes to an end.
   */
  @Test
  public void atAnyMomentByAnyPlanItComesToAnEnd() throws Exception {
    List<RunPlan> plans =
        List.of(
            halves(),
            halves("rubber.batches=5"),
            halves("mould.fixing=SCREWS"),
            halves("rubber.batches=2", "mould.fixing=SCREWS"),
            frozen(),
            frozen("rubber.batches=3"),
            frozen("mould.kind=SKIN"));
    Random r = new Random(18);
    int taken = 0;
    for (int i = 0; i < 60; i++) {
      Bench b = begun(plans.get(r.nextInt(plans.size())));
      int moments = 3;
      while (does(b)) {
        if (moments > 0 && r.nextInt(12) == 0) {
          moments--;
          List<Entry> before = b.entries();
          List<Progress> mixed = b.state().batches().stream().filter(p -> p.grams() > 0).toList();
          try {
            b.goOn(now, plans.get(r.nextInt(plans.size())));
            taken++;
          } catch (Bench.Refused no) {
            assertTrue(no.getMessage().contains(" is begun, and "), no.getMessage());
          }
          assertEquals(b.entries().subList(0, before.size()), before);
          assertTrue(b.state().batches().containsAll(mixed));
          assertSound(b.plan());
          b.entries().forEach(e -> Told.of(b.plan(), e));
        }
      }
      assertTrue(b.plan().tasks().stream().noneMatch(b.state()::open), "run " + i);
    }
    assertTrue(taken > 30, "taken " + taken);
  }
}
