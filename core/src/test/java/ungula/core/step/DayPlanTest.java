package ungula.core.step;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.testng.annotations.Test;
import ungula.core.AnyPlans;
import ungula.core.days.Diary;
import ungula.core.days.Hours;
import ungula.core.days.Mondays;
import ungula.core.days.Network;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.step.DayPlan.Block;
import ungula.core.step.DayPlan.Piece;
import ungula.core.step.DayPlan.Placed;
import ungula.core.step.Timeline.Span;
import ungula.core.workshop.Workshop;

/** Days of many plans, as they are shown. */
public class DayPlanTest {

  /** So short that much is gone on with after a break. */
  private static final Workshop BRIEF =
      Workshop.DEFAULT.edited(
          Stream.of(DayOfWeek.values())
              .map(day -> Edit.of("hours.week." + day, "8:00–8:40, 10:00–10:20"))
              .toList(),
          Mondays.MORNING);

  private static List<DayPlan> plans() {
    return AnyPlans.first(150).stream()
        .flatMap(p -> DayPlan.of(p.plan().steps()).stream())
        .limit(80)
        .toList();
  }

  /** What is longer than any span is done in several; nothing is shown outside the hours. */
  @Test
  public void nobodyWorksInABreak() {
    int cut = 0;
    List<DayPlan> brief =
        AnyPlans.first(150).stream()
            .flatMap(p -> DayPlan.of(p.any().plan(BRIEF).steps()).stream())
            .limit(20)
            .toList();
    for (DayPlan plan : brief) {
      Hours.Calendar calendar = plan.line().network().calendar();
      for (Placed p : plan.steps()) {
        if (p.step().byHand()) {
          double worked = 0;
          for (Span w : p.stretches()) {
            assertEquals(calendar.worked(w.begin(), w.end()), w.end() - w.begin());
            worked += Timeline.minutes(w.begin(), w.end());
          }
          assertEquals(worked, p.step().takes().minutes(), 0.01, p.step().key());
          assertEquals(plan.takes(p).value(), worked, 0.01);
          assertEquals(p.pieces().size(), p.stretches().size());
          cut += p.stretches().size() > 1 ? 1 : 0;
        }
      }
      for (Block b : plan.blocks()) {
        assertTrue(b.end() - b.begin() <= 40 * 60 && b.workMin() <= 40 + 1e-9, b.toString());
      }
      assertEquals(
          plan.blocks().stream().map(b -> b.steps().get(0).key() + b.again()).distinct().count(),
          plan.blocks().size(),
          "each block has a name of its own");
      for (Network.Busy b : plan.line().taken()) {
        if (b.resource().equals(Network.PERSON)) {
          assertEquals(calendar.worked(b.from(), b.to()), b.to() - b.from());
        }
      }
    }
    assertTrue(cut >= 5, cut + " were cut");
  }

  /** Cut at midnight, the pieces of a step are as long as it is. */
  @Test
  public void piecesOfAStepAreTheStep() {
    for (DayPlan plan : plans()) {
      for (Placed p : plan.steps()) {
        int minutes = 0;
        for (Piece piece : p.pieces()) {
          minutes += piece.minutes().to() - piece.minutes().from();
          assertTrue(piece.day() >= 0 && piece.day() < plan.days().size(), p.toString());
        }
        double takes = plan.takes(p).value();
        assertTrue(Math.abs(minutes - takes) <= 1, p.step().key() + " " + minutes + " " + takes);
      }
    }
  }

  /** Every step by hand is in one stretch of work, and between two there is time to leave. */
  @Test
  public void stretchesOfWorkLieApart() {
    for (DayPlan plan : plans()) {
      List<String> told = new ArrayList<>();
      Block before = null;
      for (Block b : plan.blocks()) {
        b.steps().forEach(s -> told.add(s.key()));
        assertTrue(before == null || b.begin() - before.end() > 20 * 60, b.toString());
        before = b;
      }
      assertEquals(
          told,
          plan.steps().stream().filter(p -> p.step().byHand()).map(p -> p.step().key()).toList());
    }
  }

  /** What decides runs from the first step to the last, each waiting for the one before. */
  @Test
  public void theChainLeadsFromTheBeginningToTheFinish() {
    for (DayPlan plan : plans()) {
      Timeline line = plan.line();
      List<String> chain = plan.chain();
      assertEquals(line.of(chain.get(chain.size() - 1)).end(), line.end());
      assertEquals(line.of(chain.get(0)).begin(), line.begin());
      for (int i = 1; i < chain.size(); i++) {
        assertTrue(line.of(chain.get(i)).begin() >= line.of(chain.get(i - 1)).begin());
      }
    }
  }

  @Test
  public void oneIsBackAtTheNextStretch() {
    DayPlan plan = plans().stream().filter(p -> p.blocks().size() > 2).findFirst().orElseThrow();
    List<Block> blocks = plan.blocks();
    assertEquals(blocks.get(0).begin(), Diary.PLAIN.morning());
    long before = blocks.get(0).begin() - 60;
    // before it is begun, when to be back after the first
    assertEquals(plan.back(before).orElseThrow(), blocks.get(1));
    assertEquals(plan.back(blocks.get(0).begin()).orElseThrow(), blocks.get(1));
    assertEquals(plan.back(blocks.get(1).begin()).orElseThrow(), blocks.get(2));
    assertTrue(plan.back(plan.line().end()).isEmpty());
  }

  /** What others need to know of it is the same work, and what it uses. */
  @Test
  public void whatIsDueIsAtHandOrNext() {
    AnyPlans.Planned any =
        AnyPlans.first(150).stream()
            .filter(p -> DayPlan.of(p.plan().steps()).stream().anyMatch(d -> d.blocks().size() > 2))
            .findFirst()
            .orElseThrow();
    DayPlan plan = DayPlan.of(any.plan().steps()).orElseThrow();
    List<Block> blocks = plan.blocks();
    JobDays days = JobDays.of(any.plan().steps());
    assertEquals(days.taken(), plan.line().taken());
    assertEquals(days.work().size(), blocks.size());
    JobDays.Work first = days.work().get(0);
    assertEquals(first.what(), blocks.get(0).labels());
    assertEquals(days.due(blocks.get(0).begin() - 60).orElseThrow(), first);
    assertEquals(days.due(blocks.get(0).end() - 1).orElseThrow(), first);
    assertEquals(days.due(blocks.get(0).end()).orElseThrow(), days.work().get(1));
    assertTrue(days.due(plan.line().end()).isEmpty());
  }

  /** A few words each. */
  @Test
  public void stepsHaveShortNames() {
    for (DayPlan plan : plans()) {
      for (Placed p : plan.steps()) {
        String label = p.step().label();
        assertTrue(label.matches("[\\p{Ll}\\d][\\p{Ll}\\d’'/-]*( [\\p{Ll}\\d’'/-]+){0,3}"), label);
      }
    }
  }

  /**
   * Hands and waits are all the time there is; what is told of the finish names what decides it.
   */
  @Test
  public void whatIsToldOfAllDaysHasItsWorking() {
    for (DayPlan plan : plans()) {
      Timeline line = plan.line();
      double all = Timeline.minutes(line.begin(), line.end());
      assertEquals(plan.hands().value() + plan.waits().value(), all, 1e-6);
      int decide =
          (int) plan.steps().stream().filter(p -> plan.chain().contains(p.step().key())).count();
      assertEquals(plan.finish().working().givens().size(), decide + 1);
      for (Placed p : plan.steps()) {
        Span at = p.span();
        if (!p.step().byHand()) {
          assertEquals(plan.takes(p).value(), Timeline.minutes(at.begin(), at.end()), 1);
        }
      }
    }
  }

  /** What does not fit in the hours has no days. */
  @Test
  public void whatDoesNotFitIsNotShown() {
    int none = 0;
    for (AnyPlans.Planned p : AnyPlans.first(150)) {
      Steps steps = p.plan().steps();
      boolean fits = steps.timeline().kept() == Timeline.Kept.HOURS && !steps.making().isEmpty();
      assertEquals(DayPlan.of(steps).isPresent(), fits);
      if (steps.timeline().kept() != Timeline.Kept.HOURS) {
        none++;
        assertTrue(steps.timeline().taken().isEmpty());
      }
    }
    assertTrue(none > 5, none + " do not fit");
  }
}
