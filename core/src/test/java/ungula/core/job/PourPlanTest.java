package ungula.core.job;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import ungula.core.Blocks;
import ungula.core.Near;
import ungula.core.caution.Caution;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.mould.BoxMould;
import ungula.core.plan.MasterFacts;
import ungula.core.plan.PourPart;
import ungula.core.plan.SkinPart;
import ungula.core.pour.Pace;
import ungula.core.pour.PlannedBatch;
import ungula.core.pour.Vessel;
import ungula.core.quantity.Length;
import ungula.core.quantity.Units;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.step.Timeline;
import ungula.core.workshop.Mixing;
import ungula.core.workshop.Mixing.ScaleSize;
import ungula.core.workshop.Mixing.VesselSize;
import ungula.core.workshop.Workshop;

/** Rubber split into batches by what the workshop has. */
public class PourPlanTest {

  /** Each step is scheduled in whole seconds. */
  private static final double WHOLE_SECONDS = 5 / 120.0;

  private static final Product MARRAM = ExampleProducts.all().get("marram-20");

  /** 300 × 200 × 100, full. */
  private static final MasterFacts LARGE = Blocks.measured(300, 200, 100);

  private static Workshop shop(Double chamberMm) {
    Workshop d = Workshop.DEFAULT;
    return new Workshop(
        d.name(),
        d.currency(),
        d.units(),
        2500,
        d.allowancePct(),
        d.coatsPct(),
        d.cupLossPct(),
        d.cupLossMm3(),
        23,
        d.paper(),
        new Workshop.Equipment(
            null, null, chamberMm, chamberMm, null, null, 20_000, 10_000, null, null, null, null),
        Map.of(),
        null,
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
        d.keeps(),
        d.rates(),
        d.hours(),
        null,
        d.learned(),
        false,
        false);
  }

  private static JobPlan plan(Workshop shop, String... edits) {
    Choices measured =
        ChoiceWords.edit(
            Choices.fresh(Units.METRIC), List.of(Edit.of("master.source", "MEASURED")), MARRAM);
    List<Edit> all = new ArrayList<>();
    for (int i = 0; i < edits.length; i += 2) {
      all.add(Edit.of(edits[i], edits[i + 1]));
    }
    Choices c = ChoiceWords.edit(measured, all, MARRAM);
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
          value(plan, "batch." + i + ".start"),
          (i - 1) * value(plan, "batch.minutes"),
          i * WHOLE_SECONDS);
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

  /** 324 × 224 mm inside and nothing under 6 mm but the master: 6 × (324 × 224 − 300 × 200). */
  @Test
  public void aSealingPourIsABatchOfItsOwnThatTheRestBondsTo() {
    JobPlan none = plan(shop(null));
    JobPlan plan = plan(shop(null), "rubber.sealingMm", "6 mm");
    List<PlannedBatch> each = plan.plan().batches().each();
    assertEquals(each.get(0).of(), "sealing pour");
    assertEquals(List.of(each.get(0).pour(), each.get(0).batch()), List.of(1, 0));
    // what was recorded of a batch stays with it
    assertEquals(List.of(each.get(1).pour(), each.get(1).batch()), List.of(1, 1));
    double of = value(plan, "rubber.mix") / value(plan, "rubber.box");
    double mm3 = plan.plan().pours().orElseThrow().list().get(0).mm3();
    Near.relative(mm3, 6 * (324 * 224 - 300 * 200) * of, 1e-9);
    Near.absolute(value(plan, "batch.1.level"), 6, 1e-6);
    double mixed =
        plan.plan().pours().orElseThrow().list().stream().mapToDouble(PourPart.Batch::mm3).sum();
    Near.relative(mixed, value(plan, "rubber.mix"), 1e-9);
    assertEquals(
        plan.figures().get("batch.count").text(),
        "a sealing pour, then " + none.figures().get("batch.count").text());
    Near.relative(
        value(plan, "sealing.base") + value(plan, "sealing.hardener"),
        mm3 / 1000 * MARRAM.densityMixed(),
        0.005);
    // the rest is weighed once it is tacky, and before it has set
    SkinPart.Rubber times = plan.plan().pours().orElseThrow().times();
    long met = plan.steps().timeline().of("pour.1.0.stir").begin();
    long weighed = plan.steps().timeline().of("pour.1.1.weigh").begin();
    Near.absolute(Timeline.minutes(met, weighed), times.times().gelMin(), 0.02);
    double latest = value(plan, "batch.2.latest");
    assertTrue(value(plan, "batch.2.start") < latest && latest < times.times().openMin());
    assertFalse(warns(plan, "batch.late"));
    assertTrue(warns(plan, "batch.sealed"));
  }

  @Test
  public void aSealingPourWithoutRoomOverItIsNotPlanned() {
    JobPlan plan = plan(shop(null), "rubber.sealingMm", "8 mm", "mould.overTopMm", "-88 mm");
    Caution caution =
        plan.cautions().stream().filter(c -> c.id().equals("batch.sealing")).findFirst().get();
    assertEquals(caution.title(), "A sealing pour of 8 mm leaves no mould over it");
    assertFalse(plan.figures().containsKey("sealing.base"));
    JobPlan room = plan(shop(null), "rubber.sealingMm", "8 mm", "mould.overTopMm", "-87 mm");
    assertFalse(warns(room, "batch.sealing"));
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
  public void partsMeasuredByVolumeHaveLinesOnTheVessel() {
    JobPlan plan = plan(shop(null), "rubber.ratio", "10 : 1 by volume");
    Vessel jug = new Vessel(130, 165, 200);
    double base = value(plan, "mix.baseVolume");
    Near.absolute(value(plan, "batch.1.line"), jug.levelMm(base), 1e-9);
    String text = plan.figures().get("batch.1.line").text();
    assertEquals(text, "base to " + Length.format(jug.levelMm(base), Units.METRIC));
    JobPlan hardener =
        plan(shop(null), "rubber.ratio", "10 : 1 by volume", "rubber.first", "HARDENER");
    Near.absolute(value(hardener, "batch.1.line"), jug.levelMm(base / 10), 1e-9);
    assertFalse(plan(shop(null)).figures().containsKey("batch.1.line"), "weighed");
  }

  @Test
  public void dividedBetweenTwoCupsEachHasItsMark() {
    JobPlan one = plan(shop(400.0), "rubber.bubbles", "VACUUM");
    JobPlan two = plan(shop(400.0), "rubber.bubbles", "VACUUM_TWO_CUPS");
    assertTrue(value(two, "batch.count") < value(one, "batch.count"));
    Vessel jug = new Vessel(130, 165, 200);
    Near.absolute(value(two, "batch.1.fill"), jug.levelMm(value(two, "mix.volume") / 2), 1e-9);
    String fill = two.figures().get("batch.1.fill").text();
    assertTrue(fill.endsWith("each of two: jug"), fill);
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
    Near.absolute(
        value(plan, "batch.2.latest"), 3 + 75 - value(plan, "batch.minutes"), WHOLE_SECONDS);
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
    // past the pot life itself it cannot be done at all
    for (double over : new double[] {-0.01, 0.01}) {
      double min = pot - usual + Pace.USUAL.measureMin() + over;
      Workshop slow = with(shop(null), "mixing.pace.measureMin", min + " min");
      Caution clock =
          plan(slow, "rubber.batches", "4").cautions().stream()
              .filter(c -> c.id().equals("batch.clock"))
              .findFirst()
              .orElseThrow();
      assertEquals(clock.level(), over > 0 ? Caution.Level.STOP : Caution.Level.CHECK);
    }
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

  /** Parted 25 mm up: a wide upper half and a low one, without keys. */
  private static JobPlan halves(Workshop shop, String... edits) {
    List<String> all = new ArrayList<>(List.of("mould.kind", "TWO_PART", "parting.upMm", "25 mm"));
    all.addAll(List.of("parting.keying", "NONE", "pose.liftMm", "20 mm"));
    all.addAll(List.of("mould.overTopMm", "80 mm"));
    all.addAll(List.of(edits));
    return plan(shop, all.toArray(String[]::new));
  }

  private static List<PourPart.Batch> of(JobPlan plan, int pour) {
    return plan.plan().pours().orElseThrow().list().stream()
        .filter(b -> b.batch().pour() == pour)
        .toList();
  }

  /**
   * 2 500 g may be stirred: each half takes the fewest batches of that, whatever the other does.
   */
  @Test
  public void eachHalfIsSplitByItself() {
    JobPlan plan = halves(shop(null));
    int[] counts = new int[2];
    for (int pour = 1; pour <= 2; pour++) {
      List<PourPart.Batch> batches = of(plan, pour);
      double g = batches.stream().mapToDouble(b -> b.mix().totalG()).sum();
      double largest =
          plan.plan().mix().orElseThrow().pours().get(pour - 1).batching().largestMm3();
      counts[pour - 1] = batches.size();
      assertEquals(
          batches.size(), (int) Math.ceil(g / (largest * batches.get(0).mix().density() / 1000)));
    }
    assertTrue(counts[0] > counts[1], counts[0] + " and " + counts[1]);
    assertEquals(
        plan.figures().get("batch.count").text(),
        counts[0] + " for the upper half, " + counts[1] + " for the lower");
    assertEquals(value(plan, "batch.count"), (double) counts[0] + counts[1]);
    // what is bought is what is mixed
    double all =
        plan.plan().pours().orElseThrow().list().stream()
            .mapToDouble(b -> b.mix().baseG() + b.mix().hardenerG())
            .sum();
    Near.relative(
        plan.plan().mix().orElseThrow().used().values().iterator().next().totalG(), all, 1e-9);
  }

  /**
   * Beside the master, 20 mm clear of the base and 100 high, the box holds the same at each level.
   */
  @Test
  public void eachBatchOfAHalfHasItsLevel() {
    JobPlan plan = halves(shop(null), "rubber.batches", "4");
    BoxMould box = plan.plan().mould();
    double beside = box.insideAreaMm2() - 60_000;
    double upper = beside * 75 + box.insideAreaMm2() * box.overTopMm();
    double lower = beside * 25 + box.insideAreaMm2() * 20;
    Near.relative(value(plan, "parting.upper"), upper, 1e-6);
    Near.relative(value(plan, "parting.lower"), lower, 1e-6);
    List<PourPart.Batch> first = of(plan, 1);
    List<PourPart.Batch> second = of(plan, 2);
    double a = upper * share(first);
    double b = lower * share(second);
    assertTrue(a > beside * 75 && b > beside * 25, "both cover the master");
    Near.absolute(first.get(0).levelMm(), 120 + (a - beside * 75) / box.insideAreaMm2(), 0.01);
    Near.absolute(first.get(3).levelMm(), box.pourLineMm(), 0.01);
    // turned over the first half fills what is above the parting, at 45 mm
    Near.absolute(
        second.get(0).levelMm(),
        box.pourLineMm() - 20 + (b - beside * 25) / box.insideAreaMm2(),
        0.01);
    Near.absolute(second.get(3).levelMm(), box.pourLineMm(), 0.01);
    Near.absolute(value(plan, "batch.5.level"), second.get(0).levelMm(), 1e-9);
  }

  /** What the first of some batches is of all. */
  private static double share(List<PourPart.Batch> batches) {
    return batches.get(0).mm3() / batches.stream().mapToDouble(PourPart.Batch::mm3).sum();
  }

  @Test
  public void theFirstBatchOfAHalfIsToCoverTheMaster() {
    // 600 g do not: some 0.68 L of the lower half cover it, 1.31 L of the upper
    JobPlan bare = halves(with(shop(null), "handMixG", "600 g"));
    assertTrue(warns(bare, "batch.seam") && warns(bare, "batch.seam.2"));
    Caution upper =
        bare.cautions().stream().filter(c -> c.id().equals("batch.seam")).findFirst().orElseThrow();
    assertEquals(upper.title(), "The first batch of the upper half does not cover the master");
    assertTrue(upper.text().contains("the master reaches 120 mm"), upper.text());
    // 1 kg of the lower half do, so it is larger than the others
    JobPlan lower = halves(with(shop(null), "handMixG", "1 kg"));
    assertTrue(warns(lower, "batch.seam") && !warns(lower, "batch.seam.2"));
    PourPart.Batch first = of(lower, 2).get(0);
    Near.absolute(first.levelMm(), lower.plan().mould().pourLineMm() - 20 + 5, 0.01);
    assertEquals(first.batch().base(), "later.base");
    assertEquals(of(lower, 2).get(1).batch().base(), "laterRest.base");
    assertTrue(value(lower, "later.base") > value(lower, "laterRest.base"));
    JobPlan one = halves(shop(null), "rubber.batches", "1");
    assertFalse(warns(one, "batch.seam") || warns(one, "batch.seam.2"));
  }

  @Test
  public void theSecondHalfIsPouredInItsOwnTime() {
    JobPlan plan = plan(shop(null), "mould.kind", "TWO_PART", "rubber.batches", "2");
    assertEquals(plan.plan().batches().each().get(2).of(), "lower half");
    Near.relative(
        value(plan, "pour.first"),
        of(plan, 1).stream().mapToDouble(PourPart.Batch::mm3).sum(),
        1e-9);
    Timeline line = plan.steps().timeline();
    double cured =
        Timeline.minutes(line.of("pour.1.1.weigh").begin(), line.of("pour.1.cure").end());
    assertTrue(value(plan, "batch.3.start") >= cured, "the first half cures first");
    assertTrue(value(plan, "batch.4.start") > value(plan, "batch.3.start"));
    String begins = plan.figures().get("batch.3.start").text();
    assertTrue(begins.matches("day \\d, 0:00"), begins);
    assertEquals(plan.figures().get("batch.1.start").text(), "0:00");
    assertTrue(plan.figures().get("batch.4.by").text().startsWith(begins.substring(0, 7)));
  }
}
