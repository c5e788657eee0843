package ungula.core.job;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.caution.Caution;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.choice.Materials;
import ungula.core.cutline.CutPlanes;
import ungula.core.days.Diary;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.jacket.OutsideStudy;
import ungula.core.master.PosedMaster;
import ungula.core.master.Solid;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;
import ungula.core.parting.PartedMaster;
import ungula.core.plan.MasterFacts;
import ungula.core.plan.Planner;
import ungula.core.plan.SkinFacts;
import ungula.core.plan.SkinPart;
import ungula.core.quantity.Units;
import ungula.core.quantity.UnreadableQuantity;
import ungula.core.record.Recorded;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.sentence.WordBook.Refused;
import ungula.core.skin.Bridge;
import ungula.core.skin.SkinField;
import ungula.core.skin.SkinStudy;
import ungula.core.skin.TakenOff;
import ungula.core.step.CoatClock;
import ungula.core.study.MeshReport;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;
import ungula.core.workshop.Workshop;

/** Skins and their jackets in a plan. */
public class SkinPlanTest {

  private static final Product ADDITION = ExampleProducts.all().get("marram-20");
  private static final Product OTHER_ADDITION = ExampleProducts.all().get("samphire-15");
  private static final Product CONDENSATION =
      ExampleProducts.all().values().stream()
          .filter(p -> p.chemistry() == Product.Chemistry.CONDENSATION)
          .findFirst()
          .orElseThrow();

  /** A master with the room round it, so that many skins can be planned on it. */
  private static final class Master {

    private final TriangleMesh mesh;
    private final MeshReport report;
    private final Map<Object, MasterFacts> known = new HashMap<>();
    private SkinField field;

    Master(TriangleMesh mesh) {
      this.mesh = mesh;
      this.report = MeshReport.of(mesh, Progress.NONE).report();
    }

    Choices choices(String... edits) {
      List<Edit> all = new ArrayList<>();
      all.add(Edit.of("master.source", "FILE"));
      all.add(Edit.of("mould.kind", "SKIN"));
      for (int i = 0; i < edits.length; i += 2) {
        all.add(Edit.of(edits[i], edits[i + 1]));
      }
      return ChoiceWords.edit(Choices.fresh(Units.METRIC), all, ADDITION);
    }

    /** The same of all skins as thick, over the same plugs. */
    private MasterFacts facts(Choices c) {
      double wall = c.skin().wallMm(mesh.bounds().size());
      return known.computeIfAbsent(
          List.of(c.pose(), c.laid(), c.skin().plugs(), wall), looked -> look(c, wall));
    }

    private MasterFacts look(Choices c, double wall) {
      PosedMaster posed = PosedMaster.of(mesh, 1, c.pose(), c.laid());
      if (field == null) {
        field = SkinField.of(posed.mesh(), 96, Parallel.ALL, Progress.NONE);
      }
      SkinField room =
          c.skin().plugs().isEmpty()
              ? field
              : field.plugged(c.skin().plugs(), Parallel.ALL, Progress.NONE);
      return MasterFacts.of(
              posed, new PartedMaster(posed), new CutPlanes(posed.mesh()), report, null, "test")
          .with(
              new SkinFacts(
                  SkinStudy.of(posed, room, Parallel.ALL),
                  OutsideStudy.of(field, wall, Parallel.ALL, Progress.NONE)));
    }

    JobPlan plan(Product product, Product build, Choices c) {
      MasterFacts facts = facts(c);
      return JobPlan.of(
          c,
          Recorded.NOTHING,
          facts,
          new Materials(product, build, null),
          Workshop.DEFAULT,
          Planner.box(c, facts),
          Diary.PLAIN);
    }

    JobPlan plan(String... edits) {
      return plan(ADDITION, null, choices(edits));
    }
  }

  private Master post;
  private Master slot;

  @BeforeClass
  public void make() {
    post = new Master(Harbour.MOORING_POST.mesh());
    slot =
        new Master(
            Shapes.both(
                Tessellation.box(60, 60, 100).moved(1, Rotation.NONE, new Vec3(-35, 0, 0)),
                Tessellation.box(60, 60, 100),
                new Vec3(35, 0, 0)));
  }

  private static double value(JobPlan plan, String key) {
    return plan.figures().get(key).value();
  }

  private static Stream<String> ids(JobPlan plan) {
    return plan.cautions().stream().map(Caution::id);
  }

  private static Caution caution(JobPlan plan, String id) {
    return plan.cautions().stream().filter(c -> c.id().equals(id)).findFirst().orElseThrow();
  }

  @Test
  public void whatIsMixedIsAllCoatsWithFlangeAndLoss() {
    JobPlan plan = post.plan();
    double coats = 0;
    double mixed = 0;
    double volume = 0;
    for (int n = 1; n <= plan.plan().skin().orElseThrow().coats().size(); n++) {
      coats += value(plan, "coat." + n + ".volume");
      mixed += value(plan, "coat." + n + ".mass");
      volume += value(plan, "coat." + n + ".flat");
    }
    Near.relative(value(plan, "rubber.box"), coats + value(plan, "skin.flange"), 1e-9);
    Near.relative(value(plan, "rubber.mix"), 1.08 * value(plan, "rubber.box"), 1e-9);
    Near.relative(value(plan, "skin.area") * plan.plan().skin().get().wallMm(), volume, 1e-9);
    assertTrue(coats > volume, "outer corners take more than area × thickness");
    // 1.08 g/cm³ or so, with a hundredth of thickener in most of it
    Near.relative(mixed / value(plan, "rubber.mix") * 1000, 1.085, 0.02);
    assertNull(plan.figures().get("air.poured"), "nothing is poured round the master");
  }

  @Test
  public void buttonsTakeRubberAndCutHollowsDoNot() {
    JobPlan cut = post.plan();
    JobPlan buttons = post.plan("jacket.locators", "BUTTONS");
    double count = value(cut, "jacket.locators");
    assertEquals(value(buttons, "jacket.locators"), count);
    double each = Math.PI * 10 * (3 * 225 + 100) / 6;
    Near.absolute(value(buttons, "rubber.box") - value(cut, "rubber.box"), count * each, 1e-6);
    assertTrue(ids(buttons).anyMatch("jacket.buttons"::equals), "most of a post is upright");
    assertTrue(Told.order(buttons).stream().anyMatch(s -> s.startsWith("Set ")));
    assertTrue(Told.order(cut).stream().anyMatch(s -> s.startsWith("Cut ")));
  }

  @Test
  public void buildCoatsMayBeOfAnotherRubber() {
    Choices c = post.choices("skin.buildProduct", "other");
    JobPlan one = post.plan();
    JobPlan two = post.plan(ADDITION, OTHER_ADDITION, c);
    assertEquals(value(two, "coat.1.base"), value(one, "coat.1.base"));
    double build = value(two, "coat.2.base");
    double hardener = value(two, "coat.2.hardener");
    double h = OTHER_ADDITION.hardenerPerBase(OTHER_ADDITION.ratio());
    Near.relative(hardener / build, h, 1e-9);
    assertTrue(Math.abs(h - value(one, "coat.2.hardener") / value(one, "coat.2.base")) > 0.1);
    assertTrue(two.figures().containsKey("skin.buildWindow"));
    assertFalse(ids(two).anyMatch("skin.chemistry"::equals));
    String cost = two.figures().get("rubber.cost").working().givens().toString();
    assertTrue(cost.contains(ADDITION.name()) && cost.contains(OTHER_ADDITION.name()), cost);
    double each = value(one, "rubber.cost");
    assertTrue(value(two, "rubber.cost") > 0 && value(two, "rubber.cost") != each);
  }

  /** It comes ready, and cures 2.5 mm a day by the damp of the air. */
  @Test
  public void buildCoatsMayBeOfSealantAsItComesOrAsPutty() {
    Product sealant = ExampleProducts.all().get("limpet");
    JobPlan plan = post.plan(ADDITION, sealant, post.choices("skin.buildProduct", "limpet"));
    assertFalse(plan.figures().containsKey("coat.2.hardener"));
    assertFalse(plan.figures().containsKey("coat.2.thickener"));
    assertEquals(value(plan, "coat.2.base"), value(plan, "coat.2.mass"));
    double share = value(plan, "coat.2.volume") / value(plan, "coat.1.volume");
    Near.relative(
        value(plan, "coat.2.mass") / value(plan, "coat.1.mass"),
        share * 1.03 / ADDITION.densityMixed(),
        1e-9);
    assertEquals(plan.plan().batches().each().get(1).hardener(), "");
    assertTrue(Told.order(plan).stream().anyMatch(t -> t.matches("Coat 2: take .* of sealant\\.")));
    Caution caution = caution(plan, "skin.sealant");
    assertEquals(caution.level(), Caution.Level.CHECK);
    assertFalse(ids(plan).anyMatch("skin.chemistry"::equals));
    assertTrue(value(plan, "rubber.cost") < value(post.plan(), "rubber.cost"));
    // 2.5 mm take what the sheet says for a cooler room, 4 mm longer
    Near.relative(secondSetMin(plan), 24 * 60 * Math.pow(2, 0.2), 1e-9);
    Choices thick = post.choices("skin.buildProduct", "limpet", "skin.buildMm", "4 mm");
    Near.relative(secondSetMin(post.plan(ADDITION, sealant, thick)), 4 / 2.5 * 1440, 1e-9);
    JobPlan putty =
        post.plan(
            ADDITION,
            sealant,
            post.choices("skin.buildProduct", "limpet", "skin.thickener", "PUTTY"));
    Near.relative(value(putty, "coat.2.thickener"), value(putty, "coat.2.base") / 2, 1e-9);
    assertTrue(Told.order(putty).stream().anyMatch(t -> t.contains("of sealant and knead in")));
    assertTrue(putty.figures().get("coat.2.thickener").label().startsWith("starch"));
    // a paste stays up where the same rubber would run
    assertFalse(ids(plan).anyMatch("skin.sag"::equals));
  }

  private static double secondSetMin(JobPlan plan) {
    SkinPart skin = plan.plan().skin().orElseThrow();
    return skin.times(skin.coats().get(1)).setMin();
  }

  @Test
  public void coatsOfTwoChemistriesAreStopped() {
    JobPlan plan = post.plan(ADDITION, CONDENSATION, post.choices("skin.buildProduct", "other"));
    Caution stop = caution(plan, "skin.chemistry");
    assertEquals(stop.level(), Caution.Level.STOP);
    Choices fixed =
        ChoiceWords.edit(
            post.choices("skin.buildProduct", "other"), stop.fixes().get(0).edits(), ADDITION);
    assertNull(fixed.skin().buildProduct());
  }

  @Test
  public void aRecessThatClosesUpIsPlugged() {
    JobPlan open = slot.plan();
    Caution bridge = caution(open, "skin.bridge.1");
    assertTrue(Math.abs(bridge.place().x()) < 2, "in the slot");
    Choices plugged =
        ChoiceWords.edit(
            slot.choices(),
            bridge.fixes().stream()
                .filter(f -> f.label().startsWith("Plug"))
                .findFirst()
                .orElseThrow()
                .edits(),
            ADDITION);
    JobPlan after = slot.plan(ADDITION, null, plugged);
    assertFalse(ids(after).anyMatch(id -> id.startsWith("skin.bridge")));
    double clay = value(after, "skin.plugs");
    List<Bridge> bridges = open.plan().skin().orElseThrow().bridges();
    Near.relative(clay, bridges.get(0).mm3(), 1e-9);
    double less = value(open, "rubber.box") - value(after, "rubber.box");
    Near.relative(less, clay, 0.05);
    assertTrue(
        Told.order(after).stream().anyMatch(t -> t.startsWith("Fill the recesses with clay")));
    // turned over it is another surface: nothing stays plugged
    Choices turned = ChoiceWords.edit(plugged, List.of(Edit.of("pose.turned", "x 90")), ADDITION);
    assertTrue(turned.skin().plugs().isEmpty());
  }

  @Test
  public void theSiteCountsTripsAndItsTemperature() {
    JobPlan here = post.plan();
    assertNull(here.figures().get("site.trips"));
    JobPlan there =
        post.plan(
            "site.place",
            "OUTDOORS",
            "site.wind",
            "WIND",
            "site.degreesC",
            "8",
            "site.tripG",
            "3 kg");
    double carried = value(there, "jacket.mass");
    for (int n = 1; n <= there.plan().skin().orElseThrow().coats().size(); n++) {
      carried += value(there, "coat." + n + ".mass");
    }
    assertEquals(value(there, "site.trips"), Math.ceil(carried / 3000));
    // 13 °C colder than the workshop
    double factor = ADDITION.rateFactor() == null ? 2 : ADDITION.rateFactor();
    Near.relative(
        value(there, "skin.window"), value(here, "skin.window") * Math.pow(factor, 1.3), 1e-9);
    assertTrue(ids(there).toList().containsAll(List.of("site.wind", "site.degrees")));
    assertFalse(ids(here).anyMatch(id -> id.startsWith("site.")));
    JobPlan inside = post.plan("site.place", "INDOORS", "site.wind", "WIND");
    assertFalse(ids(inside).anyMatch("site.wind"::equals), "no wind blows indoors");
  }

  @DataProvider
  public Object[][] jackets() {
    return new Object[][] {
      {"BANDAGE", "never enclose a hand"},
      {"PLASTER", "never enclose a hand"},
      {"LAMINATE", "outdoors or under extraction"},
      {"PUTTY", "sensitise"}
    };
  }

  @Test(dataProvider = "jackets")
  public void whatAJacketIsOfIsWarnedOf(String kind, String words) {
    Caution safety = caution(post.plan("jacket.kind", kind), "jacket.safety");
    assertTrue(safety.text().contains(words), safety.text());
    assertTrue(safety.text().contains("own safety sheet"), safety.text());
  }

  @DataProvider
  public Object[][] unreadable() {
    return new Object[][] {
      {"skin.plug", "1 2 3"},
      {"skin.plug", "1 2 3 0"},
      {"skin.gap", "two SET"},
      {"skin.gap", "2 SOMEHOW"},
      {"jacket.partings", "10"},
      {"jacket.partings", "10 370"},
      {"skin.wallMm", "400 mm"}
    };
  }

  @Test(dataProvider = "unreadable")
  public void whatCannotBeReadIsRefused(String word, String text) {
    Refused refused = expectThrows(Refused.class, () -> post.choices(word, text));
    assertEquals(refused.word(), word);
    assertTrue(refused.getMessage().length() > 10);
  }

  @Test
  public void aGapOfItsOwnIsKeptAndGivenUp() {
    Choices c = post.choices("skin.gap", "2 NEXT_DAY", "skin.gap", "3 SET");
    assertEquals(c.skin().after(2).name(), "NEXT_DAY");
    assertEquals(c.skin().after(4), c.skin().recoat());
    Choices back = ChoiceWords.edit(c, List.of(Edit.of("skin.gap", "2")), ADDITION);
    assertEquals(back.skin().after(2), c.skin().recoat());
    assertEquals(back.skin().after(3).name(), "SET");
    assertEquals(
        CoatClock.of(post.plan(ADDITION, null, c).steps()).orElseThrow().clock().days(), 2);
  }

  @Test
  public void aTallBodyWithAWaistIsCutOpenOrPulledAsItsRubberAllows() {
    JobPlan soft = post.plan();
    assertTrue(value(soft, "skin.stretch") > 0.3);
    JobPlan cut = post.plan("skin.opening", "CUT");
    assertEquals(cut.plan().skin().orElseThrow().off(), TakenOff.CUT);
    // along the outside from the plate to the top: more than the post is high
    assertTrue(value(cut, "skin.cut") > 505 && value(cut, "skin.cut") < 800);
    JobPlan sections = post.plan("skin.opening", "SECTIONS");
    double flanges = value(sections, "skin.flange") - value(soft, "skin.flange");
    Near.relative(flanges, 2 * value(sections, "jacket.seam") * 30 * 12, 1e-6);
  }

  /** A body measured with a tape: a girth of 2π r all the way is a drum. */
  @Test
  public void bodiesMeasuredByTapeAndReliefs() {
    double girth = 2 * Math.PI * 50;
    Solid d = Solid.DEFAULT;
    Solid drum = taped(girth + " at 0; " + girth + " at 120");
    Near.relative(drum.volumeMm3(), Math.PI * 2500 * 120, 1e-9);
    Near.relative(drum.mesh().measure().volumeMm3(), Math.PI * 2500 * 120, 1e-4);
    assertTrue(drum.volumeErrorMm3() > 0.08 * drum.volumeMm3(), "bodies are not round");
    assertTrue(drum.surfaceErrorShare() < 0.1);
    Solid relief =
        new Solid(Solid.Shape.RELIEF, 400, 300, 12, 1, 1, 1, d.profile(), d.girths(), 25.0, 0.5);
    Near.relative(relief.volumeMm3(), 400 * 300 * 12, 1e-12);
    Near.relative(relief.carvedMm2(), 0.25 * 400 * 300, 1e-12);
    assertTrue(relief.surfaceErrorShare() > 0.1);
    expectThrows(UnreadableQuantity.class, () -> taped("300 at 0").volumeMm3());
  }

  private static Solid taped(String girths) {
    return new Solid(Solid.Shape.GIRTHS, 1, 1, 1, 1, 1, 1, "", girths, null, 0.5);
  }

  /** The carved face takes more than a flat one: a quarter more area, times the wall. */
  @Test
  public void theFaceOfAReliefTakesMoreRubber() {
    Master block = new Master(Tessellation.box(400, 300, 12));
    List<String> relief =
        List.of(
            "master.source", "SOLID",
            "master.solid.kind", "RELIEF",
            "master.solid.lengthMm", "400 mm",
            "master.solid.widthMm", "300 mm",
            "master.solid.heightMm", "12 mm",
            "skin.wallMm", "10 mm");
    JobPlan flat = block.plan(with(relief, "0 %"));
    JobPlan carved = block.plan(with(relief, "25 %"));
    double more = value(carved, "rubber.box") - value(flat, "rubber.box");
    Near.relative(more, 0.25 * 400 * 300 * 10, 1e-6);
    Near.relative(value(carved, "skin.area") - value(flat, "skin.area"), 30_000, 1e-6);
    String error = carved.figures().get("coat.1.volume").working().plusMinus();
    assertTrue(error.matches("± 1\\d %"), error);
    // more is not certain than stays in brush, pot and drips: so much is mixed on top
    double share = Double.parseDouble(error.replaceAll("\\D", "")) / 100;
    assertTrue(share > 0.08, error);
    Near.relative(value(carved, "rubber.allowance"), share * value(carved, "rubber.box"), 1e-9);
    Near.relative(value(carved, "rubber.mix"), (1 + share) * value(carved, "rubber.box"), 1e-9);
  }

  private static String[] with(List<String> edits, String carved) {
    List<String> all = new ArrayList<>(edits);
    all.addAll(List.of("master.solid.carvedPct", carved));
    return all.toArray(String[]::new);
  }
}
