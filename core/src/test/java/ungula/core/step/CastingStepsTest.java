package ungula.core.step;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.CastPlans;
import ungula.core.Near;
import ungula.core.cast.Method;
import ungula.core.caution.Caution;
import ungula.core.contact.CastingMaterial;
import ungula.core.job.JobPlan;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.core.sentence.WordBook.Edit;

/** What there is to do for a cast, by what it is cast of. */
public class CastingStepsTest {

  private static final Product OYSTER = ExampleProducts.all().get("oyster-75");

  private static Optional<Step> step(JobPlan plan, String key) {
    return plan.steps().casting().stream().filter(s -> s.key().equals(key)).findFirst();
  }

  private static String what(JobPlan plan, String key) {
    return step(plan, key).orElseThrow(() -> new AssertionError(key)).what();
  }

  private static boolean warns(JobPlan plan, String id, Caution.Level level) {
    return plan.cautions().stream().anyMatch(c -> c.id().equals(id) && c.level() == level);
  }

  private static JobPlan of(CastingMaterial material, String... more) {
    String[] edits = Arrays.copyOf(more, more.length + 1);
    edits[more.length] = "cast.material=" + material.name();
    return CastPlans.of(null, List.of(), edits);
  }

  @DataProvider
  public Object[][] materials() {
    return Arrays.stream(CastingMaterial.values())
        .map(m -> new Object[] {m})
        .toArray(Object[][]::new);
  }

  /** Each is told from the mould made ready to the cast looked over, with what to put on first. */
  @Test(dataProvider = "materials")
  public void eachMaterialIsCastInItsOwnWay(CastingMaterial material) {
    JobPlan plan = of(material);
    Method how = Method.of(material);
    List<String> keys = plan.steps().casting().stream().map(Step::key).toList();
    for (String key :
        new String[] {
          "cast.close",
          "cast.gate.1",
          "cast.weigh",
          "cast.stir",
          "cast.pour",
          "cast.cure",
          "cast.set",
          "cast.out"
        }) {
      assertTrue(keys.contains(key), key + " of " + keys);
    }
    assertTrue(keys.indexOf("cast.gate.1") < keys.indexOf("cast.weigh"), "gloves come first");
    assertTrue(
        keys.indexOf("cast.set") < keys.indexOf("cast.out"), "looked at before it is opened");
    assertEquals(new HashSet<>(keys).size(), keys.size());
    assertEquals(step(plan, "cast.warm").isPresent(), how.mouldC() != null);
    assertEquals(step(plan, "cast.ready").isPresent(), !how.ready().isEmpty());
    assertEquals(step(plan, "cast.cure").orElseThrow().takes().minutes(), how.waitMin());
    assertTrue(what(plan, "cast.stir").contains(how.blend()));
    if (how.pourC() != null) {
      assertTrue(what(plan, "cast.stir").contains("Pour it at"), what(plan, "cast.stir"));
    }
    for (Step s : plan.steps().casting()) {
      assertTrue(s.what().matches("(?s)[A-Z].*\\."), s.what());
    }
  }

  @Test
  public void noTwoAreTheSame() {
    Set<Method> all = new HashSet<>();
    for (CastingMaterial m : CastingMaterial.values()) {
      Method how = Method.of(m);
      assertTrue(all.add(how), m.name());
      assertTrue(how.wear().get(0).contains("data sheets"), "the sheet comes first");
      assertEquals(how.rise() > 1, m == CastingMaterial.FOAM);
    }
  }

  /** Resins of the urethane kind, by what their sheets say of them. */
  @Test
  public void aProductIsCastAsItsSheetSays() {
    assertEquals(CastingMaterial.of(OYSTER), CastingMaterial.URETHANE);
    assertEquals(
        CastingMaterial.of(ExampleProducts.all().get("eelgrass-60")), CastingMaterial.FLEXIBLE);
    assertEquals(CastingMaterial.of(ExampleProducts.all().get("puffin-wax")), CastingMaterial.WAX);
    assertEquals(
        CastingMaterial.of(ExampleProducts.all().get("sanderling")), CastingMaterial.PLASTER);
  }

  @Test
  public void bothPartsAreSaidAndPigmentGoesIntoThePartThatWaits() {
    JobPlan plain = CastPlans.of(OYSTER, List.of());
    assertTrue(
        what(plain, "cast.weigh").matches("Weigh .* g of Oyster.*: .* of part A, .* of part B\\."));
    assertTrue(
        step(plain, "cast.weigh").orElseThrow().why().startsWith("For every 100 g of part A"));
    JobPlan pigment =
        CastPlans.of(
            OYSTER, List.of(), "cast.amount.also.dosePct=2 %", "cast.amount.also.density=2");
    assertTrue(what(pigment, "cast.stir").startsWith("Blend pigment into part B first"));
    JobPlan rods = CastPlans.of(OYSTER, List.of(), "cast.amount.inserts=3");
    assertTrue(what(rods, "cast.inserts").startsWith("Set the 3 rods in"));
    assertFalse(step(plain, "cast.inserts").isPresent());
  }

  /** Where silicone meets silicone, or by habit: again after so many casts. */
  @Test
  public void theMouldIsReleasedWhereItHasToBe() {
    assertFalse(step(CastPlans.of(OYSTER, List.of()), "cast.release").isPresent());
    JobPlan silicone = of(CastingMaterial.SILICONE);
    assertEquals(what(silicone, "cast.release"), "Brush release into the mould, twice, thin.");
    JobPlan fifth = of(CastingMaterial.SILICONE, "cast.series.releaseEvery=5");
    assertTrue(what(fifth, "cast.release").endsWith("again after every 5 casts."));
    double all = CastTimes.of(silicone.steps()).pourMin();
    double release = step(silicone, "cast.release").orElseThrow().takes().minutes();
    Near.relative(CastTimes.of(fifth.steps()).pourMin(), all - 0.8 * release, 1e-9);
  }

  /** The simulation goes by the same minutes as the days. */
  @Test
  public void whatOneMixTakesIsWhatItsStepsTake() {
    JobPlan one = CastPlans.of(OYSTER, List.of());
    CastTimes times = CastTimes.of(one.steps());
    double hands =
        one.steps().casting().stream()
            .filter(Step::byHand)
            .mapToDouble(s -> s.takes().minutes())
            .sum();
    Near.relative(times.pourMin() + times.demouldMin(), hands, 1e-9);
    Near.relative(times.cureMin(), step(one, "cast.cure").orElseThrow().takes().minutes(), 1e-9);
    CastTimes three = CastTimes.of(CastPlans.of(OYSTER, List.of(), "cast.series.perMix=3").steps());
    double each =
        step(one, "cast.pour").orElseThrow().takes().minutes()
            + step(one, "cast.ready").orElseThrow().takes().minutes();
    Near.relative(three.pourMin(), times.pourMin() + 2 * each, 1e-9);
    assertEquals(three.demouldMin(), times.demouldMin());
  }

  @Test
  public void underPressureItIsUpBeforeItGelsAndLetOffBeforeItIsOpened() {
    JobPlan plan = CastPlans.of(OYSTER, List.of(), "cast.pressureKpa=400 kPa");
    List<String> keys = plan.steps().casting().stream().map(Step::key).toList();
    int up = keys.indexOf("cast.press");
    assertEquals(keys.get(up - 1), "cast.gate.pot");
    assertEquals(keys.subList(up, up + 3), List.of("cast.press", "cast.cure", "cast.vent"));
    assertEquals(step(plan, "cast.press").orElseThrow().unbroken(), "cast", "within its pot life");
    // a ball of air at 400 kPa over 101.325
    Near.absolute(plan.figures().get("cast.bubble").value(), 0.587, 0.0005);
    assertTrue(warns(plan, "cast.unrated", Caution.Level.CHECK));
    assertTrue(warns(plan, "cast.pimples", Caution.Level.CHECK), "it was poured without vacuum");
    List<Edit> rated =
        List.of(
            Edit.of("equipment.potKpa", "6 bar"),
            Edit.of("equipment.lidKpa", "400 kPa"),
            Edit.of("equipment.hoseKpa", "8 bar"));
    JobPlan right = CastPlans.of(OYSTER, rated, "cast.pressureKpa=4 bar", "rubber.bubbles=VACUUM");
    assertTrue(
        right.cautions().stream()
            .noneMatch(c -> c.id().matches("cast\\.(pressure|unrated|soft|pimples)")));
    JobPlan over = CastPlans.of(OYSTER, rated, "cast.pressureKpa=401 kPa");
    assertTrue(warns(over, "cast.pressure", Caution.Level.STOP), "the lid is the weakest");
    JobPlan soft =
        CastPlans.of(ExampleProducts.all().get("eelgrass-60"), rated, "cast.pressureKpa=200 kPa");
    assertTrue(warns(soft, "cast.soft", Caution.Level.CHECK));
    assertNotEquals(plan.steps().casting(), CastPlans.of(OYSTER, List.of()).steps().casting());
  }

  /** What is left goes into small moulds while it can still be poured. */
  @Test
  public void whatIsLeftInTheCupFillsSmallMoulds() {
    JobPlan plan = CastPlans.of(OYSTER, List.of(), "cast.series.spareMm3=8 mL");
    Step spare = step(plan, "cast.spare").orElseThrow();
    assertTrue(spare.what().endsWith("they take 8.0 mL."), spare.what());
    assertEquals(spare.unbroken(), "cast");
    List<String> keys = plan.steps().casting().stream().map(Step::key).toList();
    assertTrue(keys.indexOf("cast.spare") > keys.indexOf("cast.pour"));
    assertTrue(keys.indexOf("cast.spare") < keys.indexOf("cast.cure"));
    assertFalse(step(CastPlans.of(OYSTER, List.of()), "cast.spare").isPresent());
  }

  @Test
  public void softCastsAreDegassedWhereThereIsAChamber() {
    Product soft = ExampleProducts.all().get("eelgrass-60");
    assertFalse(step(CastPlans.of(soft, List.of()), "cast.degas").isPresent());
    List<Edit> chamber =
        List.of(
            Edit.of("equipment.chamberDiameterMm", "250 mm"),
            Edit.of("equipment.chamberHeightMm", "250 mm"));
    assertTrue(step(CastPlans.of(soft, chamber), "cast.degas").isPresent());
    assertFalse(step(CastPlans.of(OYSTER, chamber), "cast.degas").isPresent());
  }
}
