package ungula.core.step;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import ungula.core.AnyPlan;
import ungula.core.AnyPlans;
import ungula.core.Near;
import ungula.core.caution.Caution;
import ungula.core.days.Diary;
import ungula.core.job.JobPlan;
import ungula.core.mould.MouldKind;
import ungula.core.record.Recorded;
import ungula.core.rubber.Product;
import ungula.core.step.Step.After;
import ungula.core.step.Timeline.Kept;
import ungula.core.step.Timeline.Span;
import ungula.core.workshop.Rate;
import ungula.core.workshop.Workshop;

/** What holds for the steps of any plan, tried on many, and what each kind of mould asks for. */
public class StepsTest {

  /** Times are whole seconds, work by hand begins on whole minutes. */
  private static final double SECOND = 1 / 30.0;

  private final List<JobPlan> plans = new ArrayList<>();

  @BeforeClass
  public void makePlans() {
    AnyPlans.first(800).forEach(p -> plans.add(p.plan()));
  }

  @Test
  public void stepsOfAnyPlanWaitForWhatIsToldBeforeThem() {
    for (JobPlan plan : plans) {
      Steps steps = plan.steps();
      Set<String> told = new HashSet<>();
      for (Step s : steps.making()) {
        s.after().forEach(a -> assertTrue(told.contains(a.key()), s.key() + " after " + a.key()));
        assertTrue(told.add(s.key()), s.key() + " twice");
        assertTrue(s.what().endsWith("."), s.what());
        assertTrue(Double.isFinite(s.takes().minutes()) && s.takes().minutes() >= 0, s.key());
      }
    }
  }

  /** No rule of any plan is broken by the times worked out. */
  @Test
  public void theTimelineOfAnyPlanKeepsItsRules() {
    int inHours = 0;
    for (JobPlan plan : plans) {
      Steps steps = plan.steps();
      Timeline line = steps.timeline();
      List<Span> hands = new ArrayList<>();
      for (Step s : steps.making()) {
        Span at = line.of(s.key());
        for (After a : s.after()) {
          Span other = line.of(a.key());
          long from = a.from() == After.From.BEGIN ? other.begin() : other.end();
          double waited = Timeline.minutes(from, at.begin());
          // overnight it may still be within its window
          boolean nextDay =
              a.nextDayMin() != null
                  && line.days(from, at.begin()) > 0
                  && (a.mostMin() == null || waited > a.mostMin() + SECOND);
          double least = nextDay ? a.nextDayMin() : a.leastMin();
          String rule = s.key() + " " + waited + " min after " + a + ", kept " + line.kept();
          assertTrue(waited >= least - SECOND, rule);
          assertTrue(a.mostMin() == null || nextDay || waited <= a.mostMin() + SECOND, rule);
        }
        if (s.byHand() && at.end() > at.begin()) {
          hands.add(at);
        }
      }
      hands.sort(Comparator.comparingLong(Span::begin));
      for (int i = 0; i < hands.size(); i++) {
        Span at = hands.get(i);
        assertTrue(i == 0 || at.begin() >= hands.get(i - 1).end(), "two at once: " + at);
        if (line.kept() == Kept.HOURS) {
          assertTrue(works(line, at.begin()) && works(line, at.end() - 1), "out of hours: " + at);
        }
      }
      inHours += line.kept() == Kept.HOURS ? 1 : 0;
    }
    assertTrue(4 * inHours > 3 * plans.size() && inHours < plans.size(), inHours + " in hours");
  }

  /** Monday to Friday from eight to five, but for an hour at noon. */
  private static boolean works(Timeline line, long time) {
    ZonedDateTime at = line.at(time);
    int hour = at.getHour();
    return at.getDayOfWeek().getValue() <= 5 && hour >= 8 && hour < 17 && hour != 12;
  }

  /** The hours shown are those of the steps, whatever is shown of them. */
  @Test
  public void hoursAndCostComeFromTheSteps() {
    int whole = 0;
    for (JobPlan plan : plans) {
      if (plan.steps().whole()) {
        whole++;
        double hands =
            plan.steps().making().stream()
                .filter(Step::byHand)
                .mapToDouble(s -> s.takes().minutes())
                .sum();
        Near.relative(plan.figures().get("job.hands").value(), hands / 60, 1e-9);
        Timeline line = plan.steps().timeline();
        long last =
            plan.steps().making().stream()
                .mapToLong(step -> line.of(step.key()).end())
                .max()
                .orElseThrow();
        long first = line.of(plan.steps().making().get(0).key()).begin();
        Near.relative(plan.figures().get("job.open").value(), (last - first) / 3600.0, 1e-9);
      }
    }
    assertTrue(2 * whole > plans.size(), whole + " of " + plans.size());
  }

  /** A caution named at a step exists: it came up in one plan or another. */
  @Test
  public void cautionsAtStepsAreCautionsOfPlans() {
    Set<String> known = new HashSet<>();
    Set<String> named = new TreeSet<>();
    for (JobPlan plan : plans) {
      plan.cautions().stream().map(Caution::id).forEach(known::add);
      List<Step> all = new ArrayList<>(plan.steps().making());
      all.addAll(plan.steps().casting());
      all.forEach(s -> named.addAll(s.cautions()));
    }
    named.removeAll(known);
    named.removeAll(OF_A_SHAPE);
    assertEquals(named, Set.of());
  }

  /** Of a mesh, the air of the room or equipment, which plans at random do not have. */
  private static final Set<String> OF_A_SHAPE =
      Set.of(
          "air.cast",
          "air.castlevel",
          "cast.pressure",
          "core.loose",
          "core.shut",
          "core.stretch",
          "core.thin",
          "sprue.aside",
          "sprue.low",
          "batch.pump",
          "batch.scale",
          "batch.shallow",
          "bed.small",
          "board.short",
          "board.small",
          "cut.clean",
          "cut.locked",
          "jacket.buttons",
          "jacket.locked",
          "jacket.heavy",
          "locks.stretch",
          "parting.clean",
          "parting.locked",
          "plate.land",
          "plate.wide",
          "pot.small",
          "ratio.off",
          "room.damp",
          "room.dry",
          "site.height",
          "skin.cloth",
          "skin.late",
          "skin.overdosed",
          "skin.sock");

  /** A figure named at a step exists: one plan or another shows it. */
  @Test
  public void figuresAtStepsAreFiguresOfPlans() {
    Set<String> known = new HashSet<>();
    Set<String> named = new TreeSet<>();
    for (JobPlan plan : plans) {
      plan.figures().keySet().forEach(key -> known.add(unnumbered(key)));
      Stream.concat(plan.steps().making().stream(), plan.steps().casting().stream())
          .flatMap(s -> s.figures().stream())
          .forEach(key -> named.add(unnumbered(key)));
    }
    named.removeAll(known);
    named.removeAll(FIGURES_OF_A_SHAPE);
    assertEquals(named, Set.of());
  }

  private static String unnumbered(String key) {
    return key.replaceAll("\\.\\d+\\.", ".n.");
  }

  /** Of a mesh, of several masters, or of vessels and a pump, which plans at random do not have. */
  private static final Set<String> FIGURES_OF_A_SHAPE =
      Set.of(
          "batch.n.fill",
          "cut.area",
          "cut.towards",
          "jacket.withSkin",
          "parting.riserLeft",
          "parting.riserRight",
          "plate.land",
          "plate.masters",
          "pump.left",
          "skin.cut",
          "skin.stretch");

  /** The time a step takes is the sum of what it is said to come from. */
  @Test
  public void aStepShowsWhereItsTimeComesFrom() {
    for (JobPlan plan : plans) {
      for (Step s : plan.steps().making()) {
        assertEquals(s.time().isPresent(), s.takes().minutes() > 0, s.key());
        s.time().ifPresent(t -> assertFalse(t.working().givens().isEmpty(), s.key()));
      }
    }
    StepList list = new StepList(Workshop.DEFAULT);
    Step.Takes box = list.rate(Rate.BOX).and(list.rate(Rate.JOINT, 0.9048, "904.8 mm"));
    assertEquals(box.minutes(), 24 + 15 * 0.9048, 1e-9);
    assertEquals(
        box.from().stream().map(g -> g.name() + ": " + g.text()).toList(),
        List.of(
            "to cut and set up a box: 24 min",
            "to seal joints: 15 min a metre",
            "of it: 904.8 mm"));
  }

  @Test
  public void whatIsDoneByHandHoldsAPersonAndWaitsDoNot() {
    for (JobPlan plan : plans) {
      for (Step s : plan.steps().making()) {
        assertEquals(s.holds().contains(Step.Hold.PERSON), s.byHand(), s.key());
        s.time()
            .ifPresent(
                t ->
                    assertEquals(
                        t.working().formula().startsWith("time by hand"), s.byHand(), s.key()));
      }
    }
  }

  /** Two coats of a sealer, a tin for each part that settles. */
  @Test
  public void timesFollowTheRatesOfTheWorkshop() {
    Map<Rate, Double> rates = Workshop.DEFAULT.rates();
    Set<String> met = new HashSet<>();
    for (JobPlan plan : plans) {
      for (Step s : plan.steps().making()) {
        if (s.key().endsWith(".seal")) {
          assertEquals(s.takes().minutes(), 2 * rates.get(Rate.SEALER), 1e-9);
          met.add("seal");
        } else if (s.key().endsWith(".tin")) {
          boolean both = plan.plan().product().shake() == Product.Shake.BOTH;
          assertEquals(s.takes().minutes(), (both ? 2 : 1) * rates.get(Rate.TIN), 1e-9);
          met.add("tin " + both);
        }
      }
    }
    assertTrue(met.contains("seal") && met.contains("tin false"), met.toString());
  }

  @Test
  public void partsOfAMouldThatAreThereHaveTheirSteps() {
    Set<Object> met = new HashSet<>();
    for (JobPlan plan : plans) {
      plan.plan()
          .parting()
          .ifPresent(
              parting -> {
                boolean ring = parting.ring() != null;
                assertEquals(keys(plan.steps()).contains("bed.ring"), ring);
                met.add("ring " + ring);
              });
      plan.plan()
          .skin()
          .ifPresent(
              skin ->
                  skin.coats()
                      .forEach(
                          c -> {
                            Step brush =
                                plan.steps().making().stream()
                                    .filter(t -> t.key().equals("coat." + c.number() + ".brush"))
                                    .findFirst()
                                    .orElseThrow();
                            assertEquals(brush.figures().contains("skin.pieces"), c.cloth());
                            met.add("cloth " + c.cloth());
                          }));
    }
    assertEquals(met, Set.of("ring true", "ring false", "cloth true", "cloth false"));
  }

  /** When a batch begins, by what comes before it; none is to begin before its pour does. */
  @Test
  public void batchesBeginAsTheirFiguresSay() {
    Set<String> met = new TreeSet<>();
    for (JobPlan plan : plans) {
      for (PourClock.Turn t : PourClock.of(plan.steps()).turns()) {
        String key = t.batch().batch().key();
        String why = plan.figures().get(key + ".start").working().formula();
        boolean turned = t.batch().batch().pour() == 2 && t.batch().batch().batch() == 1;
        assertEquals(why.startsWith("when the half before has cured"), turned, key);
        assertEquals(why.equals("when the sealing pour is tacky"), t.onSealing(), key);
        met.add(why);
        if (t.latestMin() != null) {
          double latest = plan.figures().get(key + ".latest").value();
          assertEquals(latest, t.pourMin() + Math.max(0, t.latestMin()), 1e-9);
          assertTrue(latest >= t.pourMin(), key);
          met.add(t.late() ? "late" : "in time");
          assertEquals(t.late(), t.startMin() - t.latestMin() > 1e-9, key);
        }
      }
    }
    assertEquals(met.size(), 5, met.toString());
  }

  /** Before a rubber is picked coats have no times, and nothing is weighed. */
  @Test
  public void withoutARubberCoatsFollowEachOther() {
    JobPlan picked =
        plans.stream()
            .filter(p -> p.plan().choices().mould().kind() == MouldKind.SKIN)
            .filter(p -> p.plan().skin().orElseThrow().coats().size() > 1)
            .findFirst()
            .orElseThrow();
    Steps open =
        new AnyPlan(picked.plan().choices(), Recorded.NOTHING, picked.plan().facts(), null)
            .plan()
            .steps();
    Step second =
        open.making().stream().filter(t -> t.key().equals("coat.2.weigh")).findFirst().get();
    assertEquals(second.what(), "Coat 2: weigh and stir its rubber.");
    assertEquals(second.after(), List.of(After.end("coat.1.brush")));
  }

  @Test
  public void aDayIsOverWhenItIsOver() {
    Timeline empty = NineHours.line(List.of());
    long eight = empty.begin();
    assertEquals(eight, Diary.PLAIN.morning());
    assertEquals(empty.end(), eight);
    assertEquals(Steps.elapsed(empty, eight + 16 * 3600 - 60), "16 h");
    assertEquals(Steps.elapsed(empty, eight + 16 * 3600), "16 h, day 2");
  }

  private Steps of(MouldKind kind) {
    return plans.stream()
        .filter(p -> p.plan().choices().mould().kind() == kind)
        .filter(p -> p.plan().firstMix().isPresent() && !p.steps().making().isEmpty())
        .findFirst()
        .orElseThrow()
        .steps();
  }

  private static List<String> keys(Steps steps) {
    return steps.making().stream().map(Step::key).toList();
  }

  @Test
  public void halvesAreReleasedBetweenTheirPours() {
    List<String> keys = keys(of(MouldKind.TWO_PART));
    int first = keys.indexOf("pour.1.cure");
    int release = keys.indexOf("turn.release");
    int second = keys.indexOf("pour.2.1.weigh");
    assertTrue(first >= 0 && first < release && release < second, keys.toString());
    assertTrue(keys.indexOf("pour.2.witness") < keys.indexOf("open"));
  }

  @Test
  public void aBlockIsOpenedOnceItsCupIsFirm() {
    for (MouldKind kind : List.of(MouldKind.OPEN, MouldKind.CUT)) {
      List<String> keys = keys(of(kind));
      assertTrue(keys.indexOf("box") < keys.indexOf("pour.1.1.weigh"), keys.toString());
      assertTrue(keys.indexOf("pour.1.cure") < keys.indexOf("pour.1.witness"));
      assertTrue(keys.indexOf("pour.1.witness") < keys.indexOf("open"));
      assertFalse(keys.contains("turn"));
    }
  }

  @Test
  public void coatsGoOnInTurnEachWeighedBeforeItIsBrushed() {
    Steps steps = of(MouldKind.SKIN);
    List<String> keys = keys(steps);
    int coats = steps.plan().skin().orElseThrow().coats().size();
    for (int n = 1; n <= coats; n++) {
      assertEquals(keys.indexOf("coat." + n + ".brush"), keys.indexOf("coat." + n + ".weigh") + 1);
    }
    assertTrue(keys.indexOf("coat.cure") > keys.indexOf("coat." + coats + ".brush"));
  }

  /** The first cast of a cut mould is not kept. */
  @Test
  public void castingEndsWithTheCastOut() {
    for (MouldKind kind : MouldKind.values()) {
      List<Step> casting = of(kind).casting();
      assertEquals(casting.get(casting.size() - 1).key(), "cast.out");
      assertEquals(
          casting.stream().anyMatch(s -> s.why().contains("not kept")), kind == MouldKind.CUT);
    }
  }

  /** A window as it is kept; and what is done instead when it falls into the night. */
  @Test
  public void whatACoatWaitsForIsSaid() {
    Set<String> said = new HashSet<>();
    for (JobPlan plan : plans) {
      Steps steps = plan.steps();
      for (Step s : steps.making()) {
        String waits = steps.waits(s);
        boolean nextDay = waits.startsWith("on the next day, once coat ");
        Timeline line = steps.timeline();
        for (After a : s.after()) {
          long from = line.of(a.key()).begin();
          long begin = line.of(s.key()).begin();
          boolean within = a.mostMin() != null && Timeline.minutes(from, begin) <= a.mostMin() + 1;
          boolean later = line.days(from, begin) > 0 && !within;
          assertTrue(a.nextDayMin() == null || later == nextDay, s.key());
        }
        if (!waits.isEmpty() && !nextDay) {
          assertTrue(
              waits.matches("[\\d smhin]+( to [\\d smhin]+)? after coat \\d+ was mixed"), waits);
        }
        said.add(waits);
      }
    }
    assertTrue(said.size() > 10, said.toString());
  }
}
