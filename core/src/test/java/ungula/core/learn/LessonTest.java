package ungula.core.learn;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import ungula.core.CastPlans;
import ungula.core.Near;
import ungula.core.job.JobPlan;
import ungula.core.quantity.Units;
import ungula.core.run.Bench;
import ungula.core.run.Freeze;
import ungula.core.run.Maker;
import ungula.core.run.RunPlan.Batch;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.working.Given;
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
    Near.absolute(FromRun.of(Lesson.ALLOWANCE, made(0)).orElseThrow(), 0, 1e-9);
    Bench b = made(2);
    Batch last = b.plan().batches().get(0);
    double below = last.rise().mm3(b.plan().pourLineMm());
    // two millimetres of the whole box are missing
    double share = 100 * 2 * last.rise().areaMm2() / below;
    Near.absolute(FromRun.of(Lesson.ALLOWANCE, b).orElseThrow(), share, 1e-6);
    assertEquals(FromRun.of(Lesson.ROOM, b), Optional.empty(), "nobody heard how warm it was");
    assertEquals(
        FromRun.of(Lesson.ALLOWANCE, new Bench(b.plan(), List.of())),
        Optional.empty(),
        "nothing was read yet");
  }

  @Test
  public void theAllowanceIsWhatNearlyAllStayUnder() {
    Learned l = Learned.of(OVER, Lesson.ALLOWANCE.readingError()).orElseThrow();
    assertEquals(Lesson.ALLOWANCE.offered(l, Workshop.DEFAULT), 8.5);
    assertEquals(l.outOfLine(), List.of(3), "the 18.0 is named");
    assertTrue(Lesson.ALLOWANCE.differs(l, Workshop.DEFAULT));
    Learned low = Learned.of(List.of(0.1, 0.2, 0.1), 0.5).orElseThrow();
    double cup = Workshop.DEFAULT.cupLossPct();
    assertEquals(Lesson.ALLOWANCE.offered(low, Workshop.DEFAULT), cup, "never under what is lost");
    Learned room = Learned.of(List.of(18.1, 18.6, 30.0), 0.5).orElseThrow();
    assertEquals(Lesson.ROOM.offered(room, Workshop.DEFAULT), 18.5);
    assertFalse(Lesson.ROOM.differs(room, Workshop.DEFAULT.at(18)));
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
    assertEquals(Lesson.ALLOWANCE.said(8.5, Units.METRIC), "8.5 %");
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
}
