package ungula.core.learn;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;
import ungula.core.Blocks;
import ungula.core.CastPlans;
import ungula.core.Near;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.job.JobPlan;
import ungula.core.plan.MasterFacts;
import ungula.core.quantity.Units;
import ungula.core.rubber.Product;
import ungula.core.run.Bench;
import ungula.core.run.Entry;
import ungula.core.run.Freeze;
import ungula.core.run.Maker;
import ungula.core.run.RunPlan;
import ungula.core.run.RunPlan.Batch;
import ungula.core.run.RunPlan.Kind;
import ungula.core.run.RunPlan.Task;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.working.Given;
import ungula.core.workshop.Rate;
import ungula.core.workshop.Workshop;

/** What jobs teach, and what follows from it. */
public class LessonTest {

  private static final List<Double> OVER = List.of(4.1, 6.0, 5.2, 18.0, 3.9);

  /** Made to the end, its level read so far under what was poured. */
  private static Bench made(double underMm) throws Exception {
    JobPlan job = CastPlans.of(null, List.of());
    Maker m =
        new Maker(
            Freeze.of(job.steps(), job.figures(), job.cautions(), b -> "marram-20"),
            Instant.parse("2027-03-01T07:00:00Z"));
    m.until(".level");
    Batch b = m.bench.plan().batches().get(0);
    double expected = b.rise().mm(m.bench.state().pouredMm3(b).orElseThrow());
    m.bench.level(m.now, expected - underMm);
    return m.bench;
  }

  @Test
  public void whatAMouldTookIsWhatWasMixedLessWhatStandsOver() throws Exception {
    Near.absolute(FromRun.of(Lesson.Share.ALLOWANCE, made(0)).orElseThrow(), 0, 1e-9);
    Bench b = made(2);
    Batch last = b.plan().batches().get(0);
    double below = last.rise().mm3(b.plan().pourLineMm());
    // two millimetres of the whole box are missing
    double share = 100 * 2 * last.rise().areaMm2() / below;
    Near.absolute(FromRun.of(Lesson.Share.ALLOWANCE, b).orElseThrow(), share, 1e-6);
    assertEquals(
        FromRun.of(new Lesson.Room(), b), Optional.empty(), "nobody heard how warm it was");
    assertEquals(
        FromRun.of(Lesson.Share.ALLOWANCE, new Bench(b.plan(), List.of())),
        Optional.empty(),
        "nothing was read yet");
  }

  @Test
  public void theAllowanceIsWhatNearlyAllStayUnder() {
    Learned l = Learned.of(OVER, Lesson.Share.ALLOWANCE.readingError()).orElseThrow();
    assertEquals(Lesson.Share.ALLOWANCE.offered(l, Workshop.DEFAULT), 8.5);
    assertEquals(l.outOfLine(), List.of(3), "the 18.0 is named");
    assertTrue(Lesson.Share.ALLOWANCE.differs(l, Workshop.DEFAULT));
    Learned low = Learned.of(List.of(0.1, 0.2, 0.1), 0.5).orElseThrow();
    double cup = Workshop.DEFAULT.cupLossPct();
    assertEquals(
        Lesson.Share.ALLOWANCE.offered(low, Workshop.DEFAULT), cup, "never under what is lost");
    Learned room = Learned.of(List.of(18.1, 18.6, 30.0), 0.5).orElseThrow();
    assertEquals(new Lesson.Room().offered(room, Workshop.DEFAULT), 18.5);
    assertFalse(new Lesson.Room().differs(room, Workshop.DEFAULT.at(18)));
  }

  /** A plan says where it goes by what was learned; written by hand it is so no longer. */
  @Test
  public void aPlanSaysWhatWasLearned() {
    Workshop taught = Workshop.DEFAULT.taught("allowancePct", "8.5 %");
    assertTrue(taught.learned("allowancePct"));
    assertEquals(taught.allowancePct(), 8.5);
    assertTrue(taught.roomAssumed(), "of the room nothing was said");
    assertFalse(taught.taught("roomC", "19 °C").roomAssumed());
    assertFalse(taught.untaught("allowancePct").learned("allowancePct"));
    Workshop typed = taught.edited(List.of(Edit.of("allowancePct", "7 %")), null);
    assertFalse(typed.learned("allowancePct"));
    assertTrue(taught.at(25).learned("allowancePct"));
    assertEquals(sourceOfShare(List.of()), Given.Source.DEFAULT);
    assertEquals(Lesson.Share.ALLOWANCE.said(8.5, Units.METRIC), "8.5 %");
  }

  private static Given.Source sourceOfShare(List<Edit> workshop) {
    return CastPlans.of(null, workshop)
        .figures()
        .get("rubber.allowance")
        .working()
        .givens()
        .get(0)
        .source();
  }

  /** So many minutes after what came before it, each step of a run is done. */
  private static Bench workedIn(double... minutes) {
    Map<Rate, Double> open = Map.of(Rate.OPEN, 15.0);
    Map<Rate, Double> wash = Map.of(Rate.WASH, 10.0);
    List<Task> tasks =
        List.of(step("first", 5, Map.of()), step("open", 30, open), step("wash", 10, wash));
    List<Entry> entries = new ArrayList<>();
    Instant at = Instant.parse("2027-03-01T07:00:00Z");
    for (int i = 0; i < minutes.length; i++) {
      at = at.plusSeconds(Math.round(60 * minutes[i]));
      entries.add(new Entry.Done(at, tasks.get(i).key()));
    }
    return new Bench(
        new RunPlan(tasks, List.of(), Product.Role.RUBBER, Units.METRIC, true), entries);
  }

  private static Task step(String key, double minutes, Map<Rate, Double> rates) {
    return new Task(
        key, Kind.HANDS, "Open", key, key, "", minutes, "", List.of(), List.of(), List.of(), rates);
  }

  private static final Lesson OPEN = new Lesson.Pace(Rate.OPEN);

  /** Thirty minutes were planned at a rate of fifteen: forty-five make it 22.5. */
  @Test
  public void aRateIsWhatItTookAgainstWhatWasPlanned() {
    Near.absolute(FromRun.of(OPEN, workedIn(5, 45, 10)).orElseThrow(), 22.5, 1e-9);
    Near.absolute(
        FromRun.of(new Lesson.Pace(Rate.WASH), workedIn(5, 45, 8)).orElseThrow(), 8, 1e-9);
    assertEquals(FromRun.of(new Lesson.Pace(Rate.BOX), workedIn(5, 45, 8)), Optional.empty());
    assertEquals(FromRun.of(OPEN, workedIn(5)), Optional.empty(), "not done yet");
  }

  /** Under a tenth of its time, or over four times it, a step says nothing. */
  @Test
  public void whatWasTickedTogetherOrLeftLyingSaysNothing() {
    assertTrue(FromRun.of(OPEN, workedIn(5, 3)).isPresent());
    assertEquals(FromRun.of(OPEN, workedIn(5, 2.98)), Optional.empty());
    assertTrue(FromRun.of(OPEN, workedIn(5, 120)).isPresent());
    assertEquals(FromRun.of(OPEN, workedIn(5, 120.1)), Optional.empty());
  }

  /** The minutes stand in the step's own time, and its working says that they were learned. */
  @Test
  public void aRateThatWasTakenIsGoneBy() {
    Learned l = Learned.of(List.of(22.4, 24.0, 22.5), OPEN.readingError()).orElseThrow();
    assertEquals(OPEN.offered(l, Workshop.DEFAULT), 22.5);
    assertTrue(OPEN.differs(l, Workshop.DEFAULT));
    Learned near = Learned.of(List.of(17.4, 17.4, 17.4), OPEN.readingError()).orElseThrow();
    assertFalse(OPEN.differs(near, Workshop.DEFAULT), "a fifth is no other pace");
    Workshop taught = Workshop.DEFAULT.taught(OPEN.word(), OPEN.typed(22.5));
    JobPlan job =
        JobPlan.of(Choices.fresh(Units.METRIC), Blocks.measured(80, 55, 42), null, taught);
    String open =
        job.steps().making().stream()
            .filter(s -> s.key().equals("open"))
            .findFirst()
            .orElseThrow()
            .takes()
            .toString();
    assertTrue(open.contains("22.5") && open.contains("LEARNED"), open);
  }

  @Test
  public void coatsThatGoOnThickerAreMixedFor() {
    Choices skin =
        ChoiceWords.edit(Choices.fresh(Units.METRIC), List.of(Edit.of("mould.kind", "SKIN")), null);
    MasterFacts facts = Blocks.measured(200, 150, 100);
    JobPlan plain = JobPlan.of(skin, facts, null, Workshop.DEFAULT);
    JobPlan thick = JobPlan.of(skin, facts, null, Workshop.DEFAULT.taught("coatsPct", "10 %"));
    double coats = plain.plan().coated().orElseThrow().onMasterMm3();
    double more =
        thick.figures().get("rubber.allowance").value()
            - plain.figures().get("rubber.allowance").value();
    assertTrue(more > 0 && more < 0.1 * coats, more + " of " + coats);
    assertTrue(thick.figures().get("rubber.allowance").working().toString().contains("LEARNED"));
    Learned l = Learned.of(List.of(9.8, 10.4, 10.2), 1).orElseThrow();
    assertEquals(Lesson.Share.COATS.offered(l, Workshop.DEFAULT), 10.0);
  }

  @Test
  public void whatAScaleShowsIsTold() {
    Learned low = Learned.of(List.of(-0.4, -0.41, -0.39), 0.02).orElseThrow();
    assertTrue(Lesson.Share.SCALE.told(low).contains("0.4 % too little"));
    assertTrue(Lesson.Share.SCALE.told(low).endsWith("every mix comes out 0.4 % over."));
    Learned high = Learned.of(List.of(0.2, 0.2, 0.2), 0.02).orElseThrow();
    assertTrue(Lesson.Share.SCALE.told(high).endsWith("0.2 % short."));
    Learned right = Learned.of(List.of(0.19, 0.19, 0.19), 0.02).orElseThrow();
    assertEquals(Lesson.Share.SCALE.told(right), "It can be believed.");
  }

  @Test
  public void eachLessonIsFoundByItsKey() {
    for (Lesson l : Lesson.all()) {
      assertEquals(Lesson.of(l.key()), Optional.of(l));
      assertTrue(l.key().length() <= 20, l.key());
    }
    assertEquals(Lesson.of("ELSE"), Optional.empty());
  }
}
