package ungula.core.job;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.caution.Caution;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.FillCurve;
import ungula.core.plan.MasterFacts;
import ungula.core.pour.Pace;
import ungula.core.pour.Vessel;
import ungula.core.quantity.Units;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.workshop.Mixing;
import ungula.core.workshop.Mixing.ScaleSize;
import ungula.core.workshop.Mixing.VesselSize;
import ungula.core.workshop.Workshop;

/** Rubber split into batches by what the workshop has. */
public class PourPlanTest {

  private static final Product MARRAM = ExampleProducts.all().get("marram-20");

  /** 300 × 200 × 100, full. */
  private static final MasterFacts LARGE =
      new MasterFacts(
          new Vec3(300, 200, 100),
          new Vec3(0, 0, 100),
          FillCurve.even(300 * 200 * 100, 0, 100),
          60_000,
          null,
          null,
          "made up");

  private static Workshop shop(Double chamberMm) {
    Workshop d = Workshop.DEFAULT;
    return new Workshop(
        d.name(),
        d.currency(),
        d.units(),
        2500,
        d.allowancePct(),
        d.cupLossPct(),
        d.cupLossMm3(),
        23,
        d.paper(),
        new Workshop.Equipment(null, null, chamberMm, chamberMm, null, null, 20_000, 10_000),
        Map.of(),
        new Mixing(
            new VesselSize(84.0, 108.0, 140.0),
            new VesselSize(130.0, 165.0, 200.0),
            VesselSize.UNKNOWN,
            new ScaleSize(500.0, 0.1),
            new ScaleSize(15_000.0, 1.0),
            Pace.USUAL,
            null),
        d.air(),
        d.costs(),
        d.releases(),
        d.lives(),
        d.rates());
  }

  private static JobPlan plan(Workshop shop, String... edits) {
    List<Edit> all = new ArrayList<>();
    all.add(Edit.of("master.source", "MEASURED"));
    for (int i = 0; i < edits.length; i += 2) {
      all.add(Edit.of(edits[i], edits[i + 1]));
    }
    Choices c = ChoiceWords.edit(Choices.fresh(Units.METRIC), all, MARRAM);
    return JobPlan.of(c, LARGE, MARRAM, shop);
  }

  private static double value(JobPlan plan, String key) {
    return plan.figures().get(key).value();
  }

  private static boolean warns(JobPlan plan, String id) {
    return plan.cautions().stream().anyMatch(c -> c.id().equals(id));
  }

  @Test
  public void theFewestBatchesThatEveryLimitLetsThrough() {
    JobPlan plan = plan(shop(null));
    double each = value(plan, "mix.total");
    int n = (int) value(plan, "batch.count");
    assertTrue(n > 1 && each <= 2500 && each * n / (n - 1) > 2500, n + " of " + each);
    assertEquals(plan.plan().batches().each().size(), n);
    Near.relative(n * value(plan, "mix.volume"), value(plan, "rubber.mix"), 1e-9);
    String why = plan.figures().get("batch.count").working().steps().get(0);
    assertTrue(why.contains("stirred"), why);
    assertEquals(plan.plan().batches().reason(), why);
    assertFalse(warns(plan, "batch.heavy"));
  }

  @Test
  public void eachBatchHasItsMarkItsLevelAndItsTime() {
    JobPlan plan = plan(shop(null));
    int n = plan.plan().batches().each().size();
    double poured = value(plan, "batch." + n + ".level");
    Near.absolute(poured, 110, 1e-6);
    double before = 0;
    for (int i = 1; i <= n; i++) {
      double level = value(plan, "batch." + i + ".level");
      assertTrue(level > before, level + " after " + before);
      before = level;
      Near.absolute(
          value(plan, "batch." + i + ".start"), (i - 1) * value(plan, "batch.minutes"), 1e-9);
      Near.absolute(
          value(plan, "batch." + i + ".by"),
          value(plan, "batch." + i + ".start") + 3 + value(plan, "rubber.potLife"),
          1e-9);
    }
    String fill = plan.figures().get("batch.1.fill").text();
    assertTrue(fill.endsWith(" mm, jug"), fill);
    // the first half of the box is poured round the master: it ends below its top
    assertTrue(warns(plan, "batch.seam"));
  }

  @Test
  public void degassedByTheFoamInTheLargestVesselThatFits() {
    JobPlan plan = plan(shop(210.0), "rubber.bubbles", "VACUUM");
    double jug = new Vessel(130, 165, 200).volumeMm3();
    assertTrue(5 * value(plan, "mix.volume") <= jug * (1 + 1e-9));
    int straight = (int) value(plan, "batch.count");
    int cycled = (int) value(plan(shop(210.0), "rubber.bubbles", "VACUUM_CYCLED"), "batch.count");
    assertTrue(cycled < straight && cycled >= straight / 2, cycled + " of " + straight);
    assertTrue(
        plan.plan().batches().fewer().toString().contains("with a larger chamber"),
        plan.plan().batches().fewer().toString());
    assertTrue(warns(plan(shop(null), "rubber.bubbles", "VACUUM"), "batch.chamber"));
  }

  @Test
  public void fewerThanTheLimitsAskForIsWarnedOf() {
    JobPlan plan = plan(shop(null), "rubber.batches", "1");
    Caution heavy =
        plan.cautions().stream()
            .filter(c -> c.id().equals("batch.heavy"))
            .findFirst()
            .orElseThrow();
    assertEquals(heavy.fixes().get(0).edits(), List.of(Edit.of("rubber.batches", "")));
    assertEquals(plan.plan().batches().each().size(), 1);
    // so many that hardener can no longer be weighed
    JobPlan many = plan(shop(null), "rubber.batches", "99", "mould.overTopMm", "-90 mm");
    assertTrue(warns(many, "batch.scale"));
  }

  @Test
  public void withoutVesselsOrScalesOnlyWhatIsKnownCounts() {
    JobPlan plan =
        JobPlan.of(
            ChoiceWords.edit(
                Choices.fresh(Units.METRIC), List.of(Edit.of("master.source", "MEASURED")), MARRAM),
            LARGE,
            MARRAM,
            Workshop.DEFAULT);
    assertTrue(plan.plan().batches().each().size() > 1);
    assertFalse(plan.figures().containsKey("batch.1.fill"));
    assertFalse(warns(plan, "batch.scale"));
  }

  /** High in its box: the first batch has to be larger than the others to cover it. */
  @Test
  public void theFirstBatchCoversTheMaster() {
    JobPlan plan =
        plan(
            shop(null),
            "mould.overTopMm",
            "15 mm",
            "mould.sidesMm",
            "10 mm",
            "rubber.batches",
            "3",
            "rubber.allowancePct",
            "5");
    double first = value(plan, "mix.base") + value(plan, "mix.hardener");
    double rest = value(plan, "rest.base") + value(plan, "rest.hardener");
    Near.absolute(value(plan, "batch.1.level"), 105, 1e-6);
    Near.absolute(value(plan, "batch.3.level"), 115, 1e-6);
    assertTrue(rest < first && first <= 2500, first + " and " + rest);
    double density = first / value(plan, "mix.volume");
    Near.relative((first + 2 * rest) / density, value(plan, "rubber.mix"), 1e-9);
    assertEquals(plan.plan().batches().each().get(0).base(), "mix.base");
    assertEquals(plan.plan().batches().each().get(2).base(), "rest.base");
    assertTrue(plan.figures().get("batch.count").text().endsWith("the first larger"));
    assertFalse(warns(plan, "batch.seam"));
    assertFalse(plan(shop(null)).figures().containsKey("rest.base"), "more than a batch holds");
  }

  @Test
  public void aBatchBeginsBeforeTheOneUnderItHasGelled() {
    JobPlan plan = plan(shop(null));
    // gels 75 min after its parts met, 3 min after it began; at 23 °C as on the sheet
    Near.absolute(value(plan, "batch.2.latest"), 3 + 75 - value(plan, "batch.minutes"), 1e-9);
    assertFalse(plan.figures().containsKey("batch.1.latest"));
    assertFalse(warns(plan, "batch.late"));
    Workshop slow =
        Workshop.words()
            .edit(shop(null), List.of(Edit.of("mixing.pace.measureMin", "60 min")), Units.METRIC);
    assertTrue(warns(plan(slow), "batch.late"));
  }

  @Test
  public void heatDampAndAShallowVacuumAreWarnedOf() {
    List<Edit> weather =
        List.of(
            Edit.of("roomC", "34 °C"),
            Edit.of("air.humidityPct", "20 %"),
            Edit.of("mixing.vacuum", "-0.8 bar"));
    Workshop hot = Workshop.words().edit(shop(210.0), weather, Units.METRIC);
    JobPlan plan = plan(hot, "rubber.bubbles", "VACUUM");
    assertTrue(warns(plan, "room.hot"));
    assertFalse(warns(plan, "room.dry"), "addition-cure rubber does not mind");
    assertTrue(warns(plan, "batch.shallow"));
    Near.absolute(value(plan, "pump.left"), 101.325 - 80, 1e-9);
    Workshop high =
        Workshop.words()
            .edit(
                shop(210.0),
                List.of(Edit.of("air.altitudeM", "2000 m"), Edit.of("mixing.vacuum", "-0.95 bar")),
                Units.METRIC);
    Caution impossible =
        plan(high, "rubber.bubbles", "VACUUM").cautions().stream()
            .filter(c -> c.id().equals("batch.shallow"))
            .findFirst()
            .orElseThrow();
    assertTrue(impossible.title().startsWith("No gauge shows"), impossible.title());
    assertFalse(plan(hot).figures().containsKey("pump.left"), "nothing is pulled");
  }

  private static Workshop with(Workshop shop, String word, String text) {
    return Workshop.words().edit(shop, List.of(Edit.of(word, text)), Units.METRIC);
  }

  /** Four fifths of the pot life, at 23 °C as on the sheet, are safe: not a moment more. */
  @Test
  public void aBatchLongerThanFourFifthsOfThePotLifeIsTooFast() {
    double pot = value(plan(shop(null)), "rubber.potLife");
    double usual = value(plan(shop(null), "rubber.batches", "4"), "batch.minutes");
    double spare = 0.8 * pot - usual + Pace.USUAL.measureMin();
    Workshop within = with(shop(null), "mixing.pace.measureMin", spare - 0.01 + " min");
    Workshop past = with(shop(null), "mixing.pace.measureMin", spare + 0.01 + " min");
    assertFalse(warns(plan(within, "rubber.batches", "4"), "batch.clock"));
    assertTrue(warns(plan(past, "rubber.batches", "4"), "batch.clock"));
  }

  @Test
  public void aPumpThatTakesOverAThirdOfThePotLifeIsTooSlow() {
    double third = value(plan(shop(null)), "rubber.potLife") / 3;
    Workshop within = with(shop(210.0), "mixing.pace.degasMin", third - 0.01 + " min");
    Workshop past = with(shop(210.0), "mixing.pace.degasMin", third + 0.01 + " min");
    assertFalse(warns(plan(within, "rubber.bubbles", "VACUUM"), "batch.pump"));
    JobPlan slow = plan(past, "rubber.bubbles", "VACUUM");
    assertTrue(warns(slow, "batch.pump"));
    assertFalse(warns(plan(past), "batch.pump"), "nothing is pulled");
  }

  @Test
  public void weatherIsWarnedOfPastItsLimitAndNotOnIt() {
    assertFalse(warns(plan(with(shop(null), "roomC", "30 °C")), "room.hot"));
    assertTrue(warns(plan(with(shop(null), "roomC", "30.5 °C")), "room.hot"));
    Workshop deep = with(shop(210.0), "mixing.vacuum", "10 kPa abs");
    Workshop shallow = with(shop(210.0), "mixing.vacuum", "10.1 kPa abs");
    assertFalse(warns(plan(deep, "rubber.bubbles", "VACUUM"), "batch.shallow"));
    assertTrue(warns(plan(shallow, "rubber.bubbles", "VACUUM"), "batch.shallow"));
  }

  @Test
  public void theSecondHalfHasAClockOfItsOwn() {
    JobPlan plan = plan(shop(null), "mould.kind", "TWO_PART", "rubber.batches", "2");
    assertEquals(plan.plan().batches().each().get(2).of(), "lower half");
    Near.relative(value(plan, "pour.first"), 2 * value(plan, "mix.volume"), 1e-9);
    Near.absolute(value(plan, "batch.3.start"), 0, 0);
    assertTrue(value(plan, "batch.4.start") > 0);
  }
}
