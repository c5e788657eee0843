package ungula.core.job;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.testng.annotations.Test;
import ungula.core.Blocks;
import ungula.core.Near;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.choice.Materials;
import ungula.core.contact.Contact.Verdict;
import ungula.core.days.Diary;
import ungula.core.offer.RubberOffers;
import ungula.core.plan.MasterFacts;
import ungula.core.plan.Planner;
import ungula.core.plan.Touching;
import ungula.core.quantity.Units;
import ungula.core.record.Recorded;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.workshop.Workshop;

/** What the rubber touches, and what comes of the mould. */
public class CastPlanTest {

  private static final MasterFacts BLOCK = Blocks.measured(180, 100, 60);

  private static final Map<String, Product> PRODUCTS = ExampleProducts.all();

  private static Workshop shop(String... typed) {
    Workshop w = Workshop.DEFAULT;
    for (int i = 0; i < typed.length; i += 2) {
      w = Workshop.words().edit(w, List.of(Edit.of(typed[i], typed[i + 1])), Units.METRIC);
    }
    return w;
  }

  private static JobPlan plan(String rubber, String cast, Workshop shop, String... typed) {
    Product product = PRODUCTS.get(rubber);
    Choices c = Choices.fresh(Units.METRIC);
    for (int i = 0; i < typed.length; i += 2) {
      c = ChoiceWords.edit(c, List.of(Edit.of(typed[i], typed[i + 1])), product);
    }
    Materials all = new Materials(product, null, PRODUCTS.get(cast));
    return JobPlan.of(c, Recorded.NOTHING, BLOCK, all, shop, Planner.box(c, BLOCK), Diary.PLAIN);
  }

  private static Map<Touching.What, Verdict> verdicts(JobPlan plan) {
    return plan.touching().stream()
        .collect(Collectors.toMap(Touching::what, t -> t.contact().verdict()));
  }

  private static boolean warns(JobPlan plan, String id) {
    return plan.cautions().stream().anyMatch(c -> c.id().equals(id));
  }

  @Test
  public void everythingTheRubberTouchesHasAVerdict() {
    JobPlan two = plan("marram-20", "oyster-75", shop(), "mould.kind", "TWO_PART");
    assertEquals(
        verdicts(two),
        Map.of(
            Touching.What.MASTER,
            Verdict.PATCH,
            Touching.What.BEDDING,
            Verdict.PATCH,
            Touching.What.BOX,
            Verdict.FINE,
            Touching.What.GLUE,
            Verdict.PATCH,
            Touching.What.HALVES,
            Verdict.RELEASE,
            Touching.What.CAST,
            Verdict.FINE));
    assertTrue(warns(two, "contact.bedding"));
    JobPlan clean =
        plan(
            "marram-20",
            "oyster-75",
            shop(),
            "mould.kind",
            "TWO_PART",
            "parting.bedding",
            "CLAY_SULPHUR_FREE");
    assertFalse(warns(clean, "contact.bedding"));
    assertFalse(verdicts(plan("marram-20", null, shop())).containsKey(Touching.What.BEDDING));
  }

  @Test
  public void whatIsReleasedIsAHabitWhereItIsNotNeeded() {
    String[] metal = {"master.material", "METAL"};
    String steps = String.join("\n", Told.order(plan("marram-20", null, shop(), metal)));
    assertFalse(steps.contains("Release"), steps);
    steps =
        String.join(
            "\n", Told.order(plan("marram-20", null, shop("releases", "EVERYTHING"), metal)));
    assertTrue(steps.contains("Release the master and the box"), steps);
    steps =
        String.join("\n", Told.order(plan("marram-20", null, shop(), "master.material", "GLASS")));
    assertTrue(steps.contains("Release the master: two thin coats"), steps);
    assertTrue(warns(plan("turnstone-40", null, shop(), metal), "contact.bonds"));
    Workshop habit = shop("releases", "EVERYTHING");
    assertFalse(warns(plan("turnstone-40", null, habit, metal), "contact.bonds"));
    steps = String.join("\n", Told.order(plan("turnstone-40", null, shop(), metal)));
    assertTrue(steps.contains("Release the master and the box"), steps);
  }

  @Test
  public void aCastHotterThanTheRubberStandsStops() {
    assertTrue(warns(plan("turnstone-40", "puffin-wax", shop()), "contact.cast"));
    assertFalse(warns(plan("marram-20", "puffin-wax", shop()), "contact.cast"));
    assertTrue(
        warns(plan("marram-20", null, shop(), "cast.material", "METAL"), "contact.cast")
            == (180 > PRODUCTS.get("marram-20").heatLimitC()));
    assertTrue(warns(plan("marram-20", null, shop(), "cast.material", "SOAP"), "contact.skin"));
    assertTrue(warns(plan("gannet-25", "plover-clear", shop()), "contact.residue"));
    assertFalse(warns(plan("marram-20", "plover-clear", shop()), "contact.residue"));
  }

  @Test
  public void castsAreSmallerAsBothSheetsSay() {
    JobPlan plan = plan("marram-20", "oyster-75", shop());
    // 0.1 % and 0.4 % of 180 mm
    Near.absolute(plan.figures().get("size.lost").value(), 180 * (1 - 0.999 * 0.996), 1e-9);
    Near.absolute(plan.figures().get("size.scaleUp").value(), 1 / (0.999 * 0.996), 1e-12);
    assertFalse(plan("marram-20", null, shop()).figures().containsKey("size.scaleUp"));
    assertTrue(plan("marram-20", "sanderling", shop()).figures().get("size.lost").value() < 0);
  }

  @Test
  public void aMouldGivesWhatTheTableSaysLessHeatAndMoreRelease() {
    Near.absolute(casts(plan("marram-20", "oyster-75", shop())), 60, 0);
    Near.absolute(casts(plan("gannet-25", "oyster-75", shop())), 45, 0);
    Workshop own = shop("lives.URETHANE.addition", "33");
    Near.absolute(casts(plan("marram-20", "oyster-75", own)), 33, 0);
    Workshop released = shop("releases", "EVERYTHING");
    Near.absolute(casts(plan("marram-20", "oyster-75", released)), 90, 0);
    // metal at 180 °C in a rubber for 180 °C: half of 30
    Near.absolute(casts(plan("marram-20", null, shop(), "cast.material", "METAL")), 15, 0);
    // the edge of a cut wears first
    Near.absolute(casts(plan("marram-20", "oyster-75", shop(), "mould.kind", "CUT")), 48, 0);
    Near.absolute(casts(plan(null, "oyster-75", shop())), 60, 0);
    JobPlan many = plan("marram-20", "oyster-75", shop(), "cast.wanted", "130");
    Near.absolute(many.figures().get("life.moulds").value(), 3, 0);
  }

  private static double casts(JobPlan plan) {
    return plan.figures().get("life.casts").value();
  }

  @Test
  public void theCostOfAJobAndOfACastAddUp() {
    Workshop shop = shop("costs.hour", "20", "costs.consumables", "6");
    JobPlan plan = plan("marram-20", "oyster-75", shop, "cast.wanted", "130");
    var f = plan.figures();
    double job =
        f.get("rubber.cost").value()
            + f.get("box.cost").value()
            + 6
            + 20 * f.get("job.hands").value();
    Near.relative(f.get("cost.job").value(), job, 1e-12);
    double resin = f.get("cast.total").value() * 62 / 3800;
    // of three moulds of one master two spare the box, and making the master ready and fast
    double once =
        plan.steps().making().stream()
            .filter(s -> s.byHand() && s.key().matches("(master|fix)(\\..*)?"))
            .mapToDouble(s -> s.takes().minutes() / 60)
            .sum();
    double spared = f.get("box.cost").value() + 20 * once;
    Near.relative(f.get("cost.cast").value(), (3 * job - 2 * spared) / 130 + resin, 1e-12);
  }

  @Test
  public void theResinsSheetCountsForItsChannel() {
    JobPlan thick = plan("marram-20", "eelgrass-60", shop(), "pose.liftMm", "20 mm");
    JobPlan thin = plan("marram-20", "puffin-wax", shop(), "pose.liftMm", "20 mm");
    assertTrue(
        thick.figures().get("sprue.diameter").value()
            > thin.figures().get("sprue.diameter").value());
  }

  private static final Map<String, Product> RUBBERS =
      PRODUCTS.entrySet().stream()
          .filter(e -> e.getValue().role() == Product.Role.RUBBER)
          .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));

  private static Map<String, RubberOffers.Candidate> candidates(
      Map<String, Double> usableG, String cast, String... typed) {
    Choices c = Choices.fresh(Units.METRIC);
    for (int i = 0; i < typed.length; i += 2) {
      c = ChoiceWords.edit(c, List.of(Edit.of(typed[i], typed[i + 1])), null);
    }
    Materials m = new Materials(null, null, PRODUCTS.get(cast));
    List<RubberOffers.Candidate> all =
        RubberOffers.of(c, Recorded.NOTHING, BLOCK, m, shop("costs.hour", "20"), RUBBERS, usableG);
    for (int i = 1; i < all.size(); i++) {
      assertTrue(all.get(i - 1).score() >= all.get(i).score());
    }
    return all.stream()
        .collect(Collectors.toMap(RubberOffers.Candidate::product, candidate -> candidate));
  }

  @Test
  public void everyRubberIsWeighedWithItsReasons() {
    var wood = candidates(Map.of("marram-20", 1e6), null, "master.material", "METAL");
    assertEquals(wood.keySet(), RUBBERS.keySet());
    String marram = wood.get("marram-20").text();
    assertTrue(marram.contains("bout 60 casts") && marram.contains("on the shelf"), marram);
    assertTrue(wood.get("gannet-25").text().contains(" to buy"), wood.get("gannet-25").text());
    String soft = wood.get("kelp-00-30").text();
    assertTrue(soft.contains("softer than it needs"), soft);
    assertTrue(wood.get("cormorant-45").text().contains("harder than it needs"));
    assertTrue(wood.get("marram-20").costOfCast().value() > 0);
    // urethane casts get hotter than this rubber stands
    assertFalse(wood.get("turnstone-40").fits());
    assertEquals(wood.values().stream().filter(RubberOffers.Candidate::fits).count(), 8);
  }

  @Test
  public void whatCannotBeIsOutAndSaysWhy() {
    var unknown = candidates(Map.of(), null);
    assertEquals(
        unknown.entrySet().stream()
            .filter(e -> !e.getValue().fits())
            .map(Map.Entry::getKey)
            .toList(),
        List.of("turnstone-40"),
        "for the heat of the cast, not for the master");
    var print = candidates(Map.of(), null, "master.material", "PRINT_RESIN");
    assertTrue(print.get("marram-20").fits(), "nobody has said that it is bare");
    assertTrue(print.get("marram-20").text().contains("a patch on the master first"));
    var resin =
        candidates(Map.of(), null, "master.material", "PRINT_RESIN", "master.preparation", "BARE");
    assertFalse(resin.get("marram-20").fits());
    assertTrue(
        resin.get("marram-20").text().contains("does not cure against printed resin, bare"),
        resin.get("marram-20").text());
    assertTrue(resin.get("gannet-25").fits());
    var wax = candidates(Map.of(), "puffin-wax", "master.material", "METAL");
    assertFalse(wax.get("turnstone-40").fits());
    assertTrue(wax.get("turnstone-40").text().contains("not for Puffin wax"));
    assertEquals(
        RubberOffers.of(
            Choices.fresh(Units.METRIC),
            Recorded.NOTHING,
            null,
            Materials.of(null),
            shop(),
            RUBBERS,
            Map.of()),
        List.of());
  }

  @Test
  public void oneSeesThroughAClearRubberWhereToCut() {
    String[] metal = {"master.material", "METAL", "mould.kind", "CUT"};
    assertTrue(candidates(Map.of(), null, metal).get("samphire-15").text().contains("to cut"));
    String[] open = {"master.material", "METAL"};
    assertFalse(candidates(Map.of(), null, open).get("samphire-15").text().contains("to cut"));
  }

  @Test
  public void dampAndDryAirMatterToSomeRubbersOnly() {
    String[] metal = {"master.material", "METAL"};
    Workshop dry = shop("air.humidityPct", "20 %");
    Workshop damp = shop("air.humidityPct", "80 %");
    assertTrue(warns(plan("gannet-25", null, dry, metal), "room.dry"));
    assertFalse(warns(plan("gannet-25", null, damp, metal), "room.dry"));
    assertTrue(warns(plan("turnstone-40", null, damp, metal), "room.damp"));
    assertTrue(warns(plan("marram-20", "oyster-75", damp, metal), "room.damp"));
    assertFalse(warns(plan("marram-20", "plover-clear", damp, metal), "room.damp"));
    // on the limit the air is neither
    assertTrue(warns(plan("gannet-25", null, shop("air.humidityPct", "29 %"), metal), "room.dry"));
    assertFalse(warns(plan("gannet-25", null, shop("air.humidityPct", "30 %"), metal), "room.dry"));
    assertFalse(
        warns(plan("turnstone-40", null, shop("air.humidityPct", "70 %"), metal), "room.damp"));
    assertTrue(
        warns(plan("turnstone-40", null, shop("air.humidityPct", "71 %"), metal), "room.damp"));
  }

  @Test
  public void whatSettlesIsStirredUpFirst() {
    String steps = String.join("\n", Told.order(plan("gannet-25", null, shop())));
    assertTrue(steps.contains("Stir up the base and hardener in the tin"), steps);
    assertFalse(steps.contains("gloves"), "condensation-cure rubber does not mind");
    steps = String.join("\n", Told.order(plan("samphire-15", null, shop())));
    assertFalse(steps.contains("Stir up"), steps);
    assertTrue(steps.contains("nitrile gloves"), steps);
  }

  @Test
  public void ofWhatIsCastALargeMassIsPouredInLessTime() {
    JobPlan plan = plan("marram-20", "oyster-75", shop());
    Product resin = PRODUCTS.get("oyster-75");
    double mass = plan.figures().get("cast.mass").value();
    double expected = 5 * Math.pow(0.5, Math.log10(mass / 100)) * Math.pow(2, (23 - 21) / 10.0);
    Near.relative(plan.figures().get("cast.potLife").value(), expected, 1e-9);
    assertTrue(expected < resin.potLifeMin());
  }

  @Test
  public void whatIsStirredInIsHeldAgainstTheSheet() {
    String[] thick = {"rubber.additive.kind", "THICKENER", "rubber.additive.dosePct", "4 %"};
    assertTrue(warns(plan("marram-20", null, shop(), thick), "additive.much"), "3 % at most");
    assertTrue(warns(plan("samphire-15", null, shop(), thick), "additive.unknown"));
    String[] thin = {"rubber.additive.kind", "THINNER", "rubber.additive.dosePct", "4 %"};
    assertFalse(warns(plan("marram-20", null, shop(), thin), "additive.much"), "5 % at most");
    String[] pigment = {"rubber.additive.dosePct", "6 %"};
    assertTrue(warns(plan("marram-20", null, shop(), pigment), "additive.much"));
    assertFalse(warns(plan("marram-20", null, shop()), "additive.unknown"));
  }

  @Test
  public void anotherGradeOfTheSameRubberIsWeighedAgainstTheShelfToo() {
    String[] slow = {
      "master.material", "METAL", "rubber.product", "gannet-25", "rubber.catalyst", "slow"
    };
    String text = candidates(Map.of("gannet-25", 1e6), null, slow).get("gannet-25").text();
    assertTrue(text.contains("enough on the shelf"), text);
  }
}
