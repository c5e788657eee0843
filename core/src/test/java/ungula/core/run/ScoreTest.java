package ungula.core.run;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.List;
import org.testng.annotations.Test;
import ungula.core.AnyPlan;
import ungula.core.AnyPlans;
import ungula.core.job.JobPlan;
import ungula.core.master.Tessellation;
import ungula.core.run.Entry.Ingredient;
import ungula.core.run.Entry.Part;
import ungula.core.run.RunPlan.Batch;
import ungula.core.run.RunPlan.Task;
import ungula.core.run.Score.Mark;
import ungula.core.run.Score.Subject;

/** What is done right loses nothing; what goes wrong loses what it costs, and is named. */
public class ScoreTest {

  private static final Instant SEVEN = Instant.parse("2027-03-01T07:00:00Z");

  private static RunPlan plan(String... words) {
    return FreezeTest.frozen(AnyPlan.picked(Tessellation.box(80, 55, 42), words).plan());
  }

  private static Maker maker(String... words) {
    return new Maker(plan(words), SEVEN);
  }

  private static Score score(Maker m) {
    return Score.of(m.bench.plan(), m.bench.entries(), m.now);
  }

  private static List<Subject> subjects(Score s) {
    return s.marks().stream().map(Mark::subject).toList();
  }

  @Test
  public void whatIsDoneRightLosesNothing() throws Exception {
    for (AnyPlans.Planned any : AnyPlans.first(40)) {
      JobPlan plan = any.plan();
      if (plan.steps().whole() && fits(FreezeTest.frozen(plan))) {
        Maker m = new Maker(FreezeTest.frozen(plan), SEVEN);
        m.until("no such step");
        assertEquals(score(m), new Score(100, List.of()));
      }
    }
  }

  /** Batches that cannot be poured within most of their pot life are no fault of whoever pours. */
  private static boolean fits(RunPlan plan) {
    for (Batch b : plan.batches()) {
      double minutes =
          plan.tasks().stream()
              .filter(t -> t.batch().equals(b.key()))
              .mapToDouble(Task::minutes)
              .sum();
      if (b.potLifeMin() != null && minutes + 2 > 0.8 * b.potLifeMin()) {
        return false;
      }
    }
    return true;
  }

  @Test
  public void whatIsSkippedCosts() throws Exception {
    Maker m = maker("mould.kind=CUT");
    m.until(".gate.box");
    m.bench.gate(m.now, m.next().key(), true);
    m.until(".level");
    m.bench.gate(m.now, m.next().key(), true);
    m.until(".witness");
    m.bench.gate(m.now, m.next().key(), true);
    m.until("no such step");
    Score s = score(m);
    assertEquals(s.points(), 100 - 5 - 5 - 10);
    assertEquals(subjects(s), List.of(Subject.GATE, Subject.LEVEL, Subject.GATE));
    assertEquals(s.marks().get(0).says(), "Skipped: box sealed and level.");
  }

  @Test
  public void tooMuchHardenerCostsLessThanACupThrownAway() throws Exception {
    Maker m = maker("mould.kind=CUT");
    m.until(".weigh");
    Batch b = m.bench.plan().batches().get(0);
    m.bench.typed(m.now, b.baseG());
    m.bench.typed(m.now, 1.1 * b.baseG() * b.hardenerPerBase());
    m.bench.typed(m.now, 1.1 * b.baseG());
    m.until("no such step");
    assertEquals(score(m).points(), 95);
    Maker thrown = maker("mould.kind=CUT");
    thrown.until(".stir");
    thrown.bench.startOver(thrown.now, b.key());
    thrown.until("no such step");
    assertEquals(score(thrown).points(), 90);
    assertTrue(score(thrown).marks().get(0).says().startsWith("The batch was thrown away: "));
  }

  @Test
  public void potLifeIsKeptLateOrLost() throws Exception {
    for (double[] share : new double[][] {{0.79, 100}, {0.82, 90}, {1.01, 75}}) {
      Maker m = maker("mould.kind=CUT");
      m.until(".stir");
      Progress p = m.bench.state().current().orElseThrow();
      m.until(".pour");
      m.now = p.met().plusMillis((long) (60_000 * p.batch().potLifeMin() * share[0]));
      m.bench.tick(m.now, p.batch().used());
      m.until("no such step");
      assertEquals(score(m).points(), (int) share[1], score(m).toString());
    }
    Maker m = maker("mould.kind=CUT");
    m.until(".stir");
    m.now = m.now.plusSeconds(24 * 3600);
    assertTrue(score(m).marks().get(0).says().contains("stands mixed since"), score(m).toString());
  }

  @Test
  public void aCoatOutOfItsWindowCosts() throws Exception {
    for (int[] minutes : new int[][] {{10, 15}, {120, 0}, {240, 15}, {2000, 5}}) {
      Maker m = maker("mould.kind=SKIN", "skin.recoat=TACKY");
      m.until("coat.2.weigh");
      Instant met = m.bench.state().batches().get(0).met();
      Batch second = m.bench.plan().batch("coat.2").orElseThrow();
      m.now = met.plusSeconds(60L * minutes[0]);
      m.bench.typed(m.now, second.baseG());
      m.bench.typed(
          m.now, m.bench.state().current().orElseThrow().targetG(Ingredient.of(Part.HARDENER)));
      int lost =
          score(m).marks().stream()
              .filter(k -> k.subject() == Subject.WINDOW)
              .mapToInt(Mark::lost)
              .sum();
      assertEquals(lost, minutes[1], minutes[0] + " min: " + score(m));
    }
  }
}
