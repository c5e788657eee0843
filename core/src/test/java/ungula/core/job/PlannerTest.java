package ungula.core.job;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertNotNull;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.AnyPlan;
import ungula.core.Blocks;
import ungula.core.Near;
import ungula.core.caution.Caution;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.choice.Materials;
import ungula.core.contact.Patch;
import ungula.core.contact.Preparation;
import ungula.core.cutline.CutPlanes;
import ungula.core.days.Diary;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.master.Tessellation;
import ungula.core.master.VolumeWays;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.BoxMould;
import ungula.core.mould.Dipstick;
import ungula.core.mould.MouldPicture;
import ungula.core.mould.SectionDrawing;
import ungula.core.mould.SectionDrawing.Role;
import ungula.core.parting.PartedMaster;
import ungula.core.plan.GrainBox;
import ungula.core.plan.MasterFacts;
import ungula.core.plan.PlanPart;
import ungula.core.plan.Planner;
import ungula.core.plate.Laying;
import ungula.core.plate.Plate;
import ungula.core.quantity.Units;
import ungula.core.record.Recorded;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.core.rubber.Ratio;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.sentence.WordBook.Refused;
import ungula.core.study.MeshReport;
import ungula.core.work.Progress;
import ungula.core.working.Figure;
import ungula.core.workshop.Workshop;

/** From choices to a plan. The box of 80 × 55 × 42 is the one of the acceptance figures. */
public class PlannerTest {

  private static final Product MARRAM = ExampleProducts.all().get("marram-20");

  private static MasterFacts facts(TriangleMesh mesh, Pose pose) {
    PosedMaster p = PosedMaster.of(mesh, 1, pose);
    return new MasterFacts(
        p.mesh().bounds().size(),
        p.top(),
        p.curve(),
        p.restMm2(),
        MeshReport.of(mesh, Progress.NONE).report(),
        null,
        "test");
  }

  private static final MasterFacts FLAT = facts(Tessellation.box(80, 55, 42), Pose.AS_MODELLED);

  private static Choices choices(String... edits) {
    Choices c =
        ChoiceWords.edit(
            Choices.fresh(Units.METRIC), List.of(Edit.of("master.source", "FILE")), MARRAM);
    for (int i = 0; i < edits.length; i += 2) {
      c = ChoiceWords.edit(c, List.of(Edit.of(edits[i], edits[i + 1])), MARRAM);
    }
    return c;
  }

  private static JobPlan plan(MasterFacts facts, Product product, String... edits) {
    return JobPlan.of(choices(edits), facts, product, Workshop.DEFAULT);
  }

  private static JobPlan after(Choices choices, Recorded recorded) {
    return JobPlan.of(
        choices,
        recorded,
        FLAT,
        Materials.of(MARRAM),
        Workshop.DEFAULT,
        Planner.box(choices, FLAT),
        Diary.PLAIN);
  }

  private static double value(JobPlan plan, String key) {
    return plan.figures().get(key).value();
  }

  private static Optional<Caution> caution(JobPlan plan, String id) {
    return plan.cautions().stream().filter(c -> c.id().equals(id)).findFirst();
  }

  @Test
  public void whatTheFirstMouldWeighsPredictsTheNext() {
    JobPlan planned = plan(FLAT, MARRAM, "rubber.moulds", "4");
    assertEquals(value(planned, "moulds.mass"), 4 * value(plan(FLAT, MARRAM), "mix.total"), 1e-9);
    double byShapeG = value(planned, "rubber.boxMass");
    double density = byShapeG / value(planned, "rubber.box");
    // 23 % heavier than its shape asks for
    double g = 1.23 * byShapeG;
    Recorded weighed = Recorded.of(Map.of("rubber.mouldG", g + " g"));
    JobPlan four = after(choices("rubber.moulds", "4"), weighed);
    assertEquals(value(four, "rubber.boxMass"), g, 1e-6);
    Workshop w = Workshop.DEFAULT;
    double v = g / density;
    double allowance =
        Math.max(w.allowancePct(), w.cupLossPct() + 100 * w.cupLossMm3() / v) / 100 * v;
    assertEquals(value(four, "mix.total"), (v + allowance) * density, 1e-6 * g);
    assertEquals(value(four, "moulds.mass"), 4 * value(four, "mix.total"), 1e-9 * g);
    assertEquals(
        value(four, "rubber.cost") / value(planned, "rubber.cost"),
        value(four, "mix.total") / value(planned, "mix.total"),
        1e-9);
    Caution off = caution(four, "mould.weighed").get();
    assertEquals(off.title(), "The first mould weighs 23 % more than planned");
    // within a tenth nothing is said; of one mould it counts for nothing
    Recorded near = Recorded.of(Map.of("rubber.mouldG", 0.91 * byShapeG + " g"));
    assertTrue(caution(after(choices("rubber.moulds", "4"), near), "mould.weighed").isEmpty());
    Recorded far = Recorded.of(Map.of("rubber.mouldG", 0.89 * byShapeG + " g"));
    assertTrue(caution(after(choices("rubber.moulds", "4"), far), "mould.weighed").isPresent());
    assertEquals(value(after(choices(), weighed), "rubber.boxMass"), byShapeG, 1e-9);
  }

  /** Of a skin every coat takes its share of what the first one weighs more. */
  @Test
  public void whatTheFirstSkinWeighsGoesToItsCoats() {
    Choices two = choices("mould.kind", "SKIN", "rubber.moulds", "2");
    JobPlan planned = after(two, Recorded.NOTHING);
    double g = 1.2 * value(planned, "rubber.boxMass");
    JobPlan weighed = after(two, Recorded.of(Map.of("rubber.mouldG", g + " g")));
    assertEquals(value(weighed, "rubber.boxMass"), g, 1e-6);
    for (String key : List.of("coat.1.volume", "coat.2.volume", "skin.flange", "moulds.mass")) {
      assertEquals(value(weighed, key) / value(planned, key), 1.2, 1e-9, key);
    }
    assertTrue(caution(weighed, "mould.weighed").get().text().contains("coats"));
  }

  @Test
  public void aPatchHoldsForOneRubberOnOneSurface() {
    Choices bare =
        ChoiceWords.edit(
            choices(),
            List.of(
                Edit.of("master.material", "PRINT_RESIN"), Edit.of("master.preparation", "BARE")),
            MARRAM);
    Caution stop =
        caution(JobPlan.of(bare, FLAT, MARRAM, Workshop.DEFAULT), "contact.master").get();
    assertEquals(stop.level(), Caution.Level.STOP);
    Choices cured = ChoiceWords.edit(bare, stop.fixes().get(0).edits(), MARRAM);
    JobPlan washed = JobPlan.of(cured, FLAT, MARRAM, Workshop.DEFAULT);
    Caution patch = caution(washed, "contact.master").get();
    assertTrue(patch.title().startsWith("Try a patch"), patch.title());
    assertTrue(
        Told.order(washed).get(0).startsWith("Wash the master"), Told.order(washed).toString());
    Recorded tried = Recorded.NOTHING.edit(patch.fixes().get(0).edits(), Units.METRIC);
    assertEquals(tried.master().patch(), Patch.CURED);
    assertFalse(caution(after(cured, tried), "contact.master").isPresent());
    // another rubber, another surface: the patch no longer counts; of another material nothing is
    // known again
    String about = Recorded.about("master.patch", cured);
    Edit other = Edit.of("rubber.product", "another");
    Choices another = ChoiceWords.edit(cured, List.of(other), MARRAM);
    assertNotEquals(Recorded.about("master.patch", another), about);
    Choices wood = ChoiceWords.edit(cured, List.of(Edit.of("master.material", "WOOD")), MARRAM);
    assertEquals(wood.master().preparation(), Preparation.UNKNOWN);
    assertNotEquals(Recorded.about("master.patch", wood), about);
    // the mould is the same mould however its walls are chosen
    Choices thick = ChoiceWords.edit(cured, List.of(Edit.of("mould.sidesMm", "20 mm")), MARRAM);
    assertEquals(Recorded.about("master.patch", thick), about);
  }

  /** 79 mm wide inside; A 20 stands 3.2 times as high, 252.8 mm. */
  @Test
  public void aSlenderSoftMouldLeans() {
    assertFalse(
        caution(plan(FLAT, MARRAM, "mould.overTopMm", "205 mm"), "mould.leans").isPresent());
    Caution leans = caution(plan(FLAT, MARRAM, "mould.overTopMm", "215 mm"), "mould.leans").get();
    assertTrue(leans.text().contains("3.3 times") && leans.text().contains("3.2"), leans.text());
    assertFalse(caution(plan(FLAT, null, "mould.overTopMm", "215 mm"), "mould.leans").isPresent());
  }

  @Test
  public void whatWouldBondToTheMasterIsAStopUntilItIsReleased() {
    Choices silicone =
        ChoiceWords.edit(
            choices(), List.of(Edit.of("master.material", "ADDITION_SILICONE")), MARRAM);
    JobPlan bare = JobPlan.of(silicone, FLAT, MARRAM, Workshop.DEFAULT);
    Caution stop = caution(bare, "contact.bonds").get();
    assertEquals(stop.level(), Caution.Level.STOP);
    assertTrue(stop.text().startsWith("Silicone bonds to silicone."), stop.text());
    String release = "Release the master: two thin coats";
    assertTrue(
        Told.order(bare).stream().anyMatch(t -> t.startsWith(release)), "" + Told.order(bare));
    Choices released = ChoiceWords.edit(silicone, stop.fixes().get(0).edits(), MARRAM);
    JobPlan mended = JobPlan.of(released, FLAT, MARRAM, Workshop.DEFAULT);
    assertFalse(caution(mended, "contact.bonds").isPresent());
    assertTrue(Told.order(mended).stream().anyMatch(t -> t.startsWith(release)));
    // sealed stays sealed, and is sealed before it is released
    Choices wood =
        ChoiceWords.edit(
            silicone,
            List.of(Edit.of("master.material", "WOOD"), Edit.of("master.preparation", "SEALED")),
            MARRAM);
    assertFalse(
        caution(JobPlan.of(wood, FLAT, MARRAM, Workshop.DEFAULT), "contact.bonds").isPresent());
    Product urethane = ExampleProducts.all().get("turnstone-40");
    JobPlan stuck = JobPlan.of(wood, FLAT, urethane, Workshop.DEFAULT);
    Caution bonds = caution(stuck, "contact.bonds").get();
    assertEquals(
        bonds.fixes().get(0).edits(), List.of(Edit.of("master.preparation", "SEALED_RELEASED")));
  }

  @Test
  public void severalMastersOfOneSizeWeighAndLiftTogether() {
    PosedMaster laid =
        PosedMaster.of(
            Tessellation.box(80, 55, 42), 1, Pose.AS_MODELLED, new Plate(3, Laying.CLOSE, 12));
    MasterFacts three =
        MasterFacts.of(
            laid, new PartedMaster(laid), new CutPlanes(laid.mesh()), FLAT.report(), null, "three");
    JobPlan plan =
        plan(
            three,
            MARRAM,
            "plate.copies",
            "3",
            "plate.laying",
            "CLOSE",
            "master.material",
            "METAL",
            "master.preparation",
            "BARE");
    assertEquals(value(plan, "plate.masters"), 3, 0);
    // every pour gives three
    assertEquals(value(plan, "life.casts"), 3 * value(plan(FLAT, MARRAM), "life.casts"), 0);
    assertEquals(value(plan, "master.volume"), 3 * 80 * 55 * 42, 1e-6);
    assertEquals(value(plan, "master.mass"), 3 * 80 * 55 * 42 * 7.8e-3, 1e-6);
    // side by side along their short sides: 3 × 55 + 2 × 12 long, 80 wide, walls of 12, 52 high
    double room = (3 * 55 + 2 * 12 + 24) * (80 + 24) * 52.0;
    assertEquals(value(plan, "rubber.box"), room - 3 * 80 * 55 * 42, 0.003 * room);
    assertTrue(
        Told.order(plan).get(0).startsWith("Fix the 3 masters to the base"),
        Told.order(plan).get(0));
    JobPlan weighed = plan(three, MARRAM, "plate.copies", "3", "master.massG", "100 g");
    assertEquals(value(weighed, "master.mass"), 300, 1e-9);
  }

  @Test
  public void theBoxOfTheAcceptanceFigures() {
    JobPlan plan = plan(FLAT, MARRAM, "rubber.product", "marram-20", "rubber.allowancePct", "0");
    BoxMould box = plan.plan().inBox().orElseThrow();
    Near.absolute(box.insideLengthMm(), 104, 1e-9);
    Near.absolute(box.insideWidthMm(), 79, 1e-9);
    Near.absolute(box.pourLineMm(), 52, 1e-9);
    Near.absolute(value(plan, "rubber.box") / 1000, 242.4, 0.05);
    Near.absolute(value(plan, "mix.total"), 261.8, 0.05);
    Near.absolute(value(plan, "mix.base"), 238.0, 0.05);
    Near.absolute(value(plan, "mix.hardener"), 23.8, 0.05);
    assertEquals(plan.figures().get("box.inside").text(), "104 × 79 × 52 mm");
    assertEquals(plan.figures().get("rubber.box").text(), "242.4 mL");
  }

  @Test
  public void allowanceIsTheLargestOfThree() {
    // 2 % + 10 mL of 242.4 mL is 14.8 mL, more than 5 %
    Near.absolute(value(plan(FLAT, MARRAM), "rubber.allowance") / 1000, 14.85, 0.01);
    // three batches lose 10 mL each
    Near.absolute(
        value(plan(FLAT, MARRAM, "rubber.batches", "3"), "rubber.allowance") / 1000, 34.85, 0.01);
    Near.absolute(
        value(plan(FLAT, MARRAM, "rubber.allowancePct", "8 %"), "rubber.allowance") / 1000,
        19.39,
        0.01);
  }

  @Test
  public void everyFigureShowsItsWorking() {
    JobPlan plan =
        after(
            choices("rubber.product", "marram-20"), Recorded.of(Map.of("rubber.firstG", "240 g")));
    assertTrue(plan.figures().size() > 15);
    for (Figure f : plan.figures().values()) {
      assertFalse(f.working().formula().isBlank(), f.key());
      assertTrue(
          f.working().givens().size() + f.working().steps().size() > 0, f.key() + " shows nothing");
      assertFalse(f.text().isBlank(), f.key());
    }
    Near.absolute(value(plan, "mix.second"), 24.0, 1e-9);
  }

  @Test
  public void theSameChoicesGiveTheSamePlan() {
    assertEquals(plan(FLAT, MARRAM).figures(), plan(FLAT, MARRAM).figures());
    assertEquals(plan(FLAT, MARRAM).cautions(), plan(FLAT, MARRAM).cautions());
  }

  @Test
  public void withoutAMasterThereIsNothingButWhatIsOpen() {
    JobPlan plan = plan(null, null);
    assertTrue(plan.figures().isEmpty() && plan.plan().inBox().isEmpty());
    assertEquals(
        plan.undecided().stream().map(Undecided::word).toList(),
        List.of("master.source", "rubber.product"));
  }

  @DataProvider
  public Object[][] cautions() {
    return new Object[][] {
      {"wall.thin", new String[] {"mould.insideLengthMm", "95 mm"}},
      {"wall.none", new String[] {"mould.insideLengthMm", "70 mm"}},
      {"wall.tears", new String[] {"mould.sidesMm", "3 mm"}},
      {"wall.tears", new String[] {"mould.overTopMm", "2 mm"}},
      {"pour.low", new String[] {"mould.overTopMm", "-6 mm"}},
      {
        "box.bows",
        new String[] {
          "mould.sheet", "STYRENE_2", "mould.sidesMm", "40 mm", "mould.overTopMm", "90 mm"
        }
      },
      {"master.floats", new String[] {"master.material", "WOOD", "mould.fixing", "NONE"}},
      {"box.seal", new String[] {"mould.sheet", "MDF_18"}},
      {"batch.heavy", new String[] {"mould.sidesMm", "120 mm", "rubber.batches", "1"}},
      {"ratio.off", new String[] {"rubber.ratio", "4 : 1 by weight"}},
    };
  }

  @Test(dataProvider = "cautions")
  public void cautionsAppearAndTheirFixesRemoveThem(String id, String[] edits) {
    Choices c = choices(edits);
    JobPlan plan = JobPlan.of(c, FLAT, MARRAM, Workshop.DEFAULT);
    Caution caution = caution(plan, id).orElseThrow(() -> new AssertionError(plan.cautions()));
    assertFalse(caution.title().isBlank() || caution.text().isBlank());
    for (Caution.Fix fix : caution.fixes()) {
      Choices after = ChoiceWords.edit(c, fix.edits(), MARRAM);
      JobPlan fixed = JobPlan.of(after, FLAT, MARRAM, Workshop.DEFAULT);
      boolean worse =
          caution(fixed, id).filter(left -> left.level() == caution.level()).isPresent();
      assertFalse(worse, fix.label() + " does not help: " + fixed.cautions());
    }
    assertTrue(id.equals("box.seal") || !caution.fixes().isEmpty(), id);
    assertTrue(caution(plan(FLAT, MARRAM), id).isEmpty() || id.equals("box.seal"));
  }

  @Test
  public void aFixNamesItsPrice() {
    JobPlan plan = plan(FLAT, MARRAM, "mould.overTopMm", "-6 mm");
    // 16 mm more over 104 × 79, less the 6 mm of master above the old line
    double more = 104 * 79 * 16 - 80 * 55 * 6;
    String price = caution(plan, "pour.low").orElseThrow().fixes().get(0).price();
    assertTrue(price.startsWith("+" + Math.round(more / 100) / 10.0 + " mL rubber"), price);
  }

  @Test
  public void aRatioFarOffTheSheetStopsUntilItIsMeant() {
    JobPlan stopped = plan(FLAT, MARRAM, "rubber.ratio", "4 : 1 by weight");
    assertTrue(stopped.stopped() && stopped.plan().firstMix().isEmpty());
    String words = caution(stopped, "ratio.off").orElseThrow().text();
    assertTrue(words.contains("25 g of hardener") && words.contains("10 g of hardener"), words);
    JobPlan meant =
        plan(FLAT, MARRAM, "rubber.ratio", "4 : 1 by weight", "rubber.ratioMeant", "YES");
    Near.relative(value(meant, "mix.hardener"), value(meant, "mix.base") / 4, 1e-9);
    assertTrue(
        plan(FLAT, MARRAM, "rubber.ratio", "100 : 11 by weight").plan().firstMix().isPresent());
  }

  @Test
  public void aBareRatioIsRefusedWithTheSheetBesideIt() {
    Refused refused = expectThrows(Refused.class, () -> choices("rubber.ratio", "4 : 1"));
    assertEquals(refused.word(), "rubber.ratio");
    assertTrue(refused.getMessage().contains("25 g of hardener"), refused.getMessage());
    assertTrue(refused.getMessage().contains("100 : 10 by weight"), refused.getMessage());
    expectThrows(Refused.class, () -> choices("rubber.ratio", "4 %"));
  }

  @Test
  public void aSheetWithGapsSaysWhatItCannotCheck() {
    Product bare = ungula.core.rubber.ProductWords.blank("Bare");
    JobPlan plan = plan(FLAT, bare, "rubber.product", "bare");
    Caution gaps = caution(plan, "sheet.gaps").orElseThrow();
    assertEquals(gaps.level(), Caution.Level.STOP);
    assertTrue(gaps.text().contains("nothing can be weighed"), gaps.text());
    assertTrue(plan.plan().firstMix().isEmpty());
  }

  @Test
  public void anOpenModelIsSaid() {
    TriangleMesh box = Tessellation.box(80, 55, 42);
    int[] open = java.util.Arrays.copyOf(box.corners(), box.corners().length - 6);
    JobPlan plan = plan(facts(new TriangleMesh(box.xyz(), open), Pose.AS_MODELLED), MARRAM);
    assertTrue(caution(plan, "mesh.open").orElseThrow().text().contains("±"));
  }

  @Test
  public void aGuessedUnitIsAQuestionWithSizes() {
    MasterFacts guessed =
        new MasterFacts(
            FLAT.sizeMm(), FLAT.topMm(), FLAT.curve(), FLAT.restMm2(), FLAT.report(), 1.0, "test");
    Caution doubt = caution(plan(guessed, MARRAM), "unit.doubt").orElseThrow();
    assertEquals(doubt.fixes().size(), 4);
    assertTrue(doubt.fixes().get(1).price().contains("2\u202f032 mm"), doubt.fixes().toString());
  }

  @Test
  public void measuredByHandWorksWithoutAShape() {
    MasterFacts even = Blocks.measured(80, 55, 42);
    JobPlan rough = plan(even, MARRAM, "master.source", "MEASURED");
    Near.relative(value(rough, "master.volume"), 184_800, 1e-9);
    JobPlan weighed =
        plan(
            even,
            MARRAM,
            "master.source",
            "MEASURED",
            "master.measured.castG",
            "120 g",
            "master.measured.castDensity",
            "1.2");
    Near.relative(value(weighed, "master.volume"), 100_000, 1e-9);
    Near.absolute(value(weighed, "rubber.box"), 104 * 79 * 52 - 100_000, 1);
    assertNull(weighed.figures().get("master.volume.model"));
  }

  @Test
  public void grainRoundTheMasterTellsTheRubberDirectly() {
    JobPlan plan = plan(FLAT, MARRAM, "master.measured.grainMm3", "240 mL", "master.way", "GRAIN");
    // whatever the master holds, the grain that went round it is the rubber
    Near.relative(value(plan, "rubber.box"), 240_000, 1e-9);
    Near.relative(value(plan, "master.volume"), 104 * 79 * 52 - 240_000, 1e-9);
    assertTrue(plan.figures().get("master.volume").working().plusMinus().contains("9.6 mL"));
  }

  private static Choices kept(Choices before, String word, String text) {
    return GrainBox.kept(
        before, ChoiceWords.edit(before, List.of(Edit.of(word, text)), null), c -> FLAT);
  }

  /** Walls of 12 mm and 10 over the top: 104 × 79 × 52; with 20 mm all round another box. */
  @Test
  public void grainIsKeptWithTheBoxItWasReadIn() {
    Choices read = kept(Choices.fresh(Units.METRIC), "master.measured.grainMm3", "240 mL");
    Near.relative(read.master().measured().grainBoxMm3(), 104 * 79 * 52, 1e-9);
    Choices wider = kept(read, "mould.sidesMm", "20 mm");
    assertEquals(wider.master(), read.master());
    Near.relative(
        VolumeWays.of(wider.master().measured(), 1e6, Units.METRIC).get(0).volumeMm3(),
        104 * 79 * 52 - 240_000,
        1e-9);
    // read before boxes were kept: in the box as it was until then
    Choices after = kept(wider.readIn(null), "mould.sidesMm", "12 mm");
    Near.relative(after.master().measured().grainBoxMm3(), 120 * 95 * 52, 1e-9);
    // and what is not read any more was read in none
    Choices none = kept(read, "master.measured.grainMm3", "");
    assertNull(none.master().measured().grainBoxMm3());
  }

  @Test
  public void aVolumeThatCannotBeIsStopped() {
    String[] readings = {
      "master.measured.castG",
      "1000 g",
      "master.measured.castDensity",
      "1.2",
      "master.way",
      "WEIGHT"
    };
    Caution wrong = caution(plan(FLAT, MARRAM, readings), "volume.impossible").orElseThrow();
    assertEquals(wrong.level(), Caution.Level.STOP);
    assertTrue(
        wrong.text().contains("833.3 mL") && wrong.text().contains("184.8 mL"), wrong.text());
    assertEquals(wrong.fixes().get(0).edits(), List.of(Edit.of("master.way", "MODEL")));
    JobPlan none = plan(FLAT, MARRAM, "master.measured.grainMm3", "500 mL", "master.way", "GRAIN");
    Caution grain = caution(none, "volume.impossible").orElseThrow();
    assertTrue(grain.text().startsWith("By grain nothing is left for the master."), grain.text());
    // nothing is counted by what cannot be
    Near.relative(value(none, "master.volume"), 184_800, 1e-9);
    assertEquals(none.figures().get("master.volume.grain").text(), "cannot be");
    JobPlan other = plan(FLAT, MARRAM, "master.measured.grainMm3", "500 mL");
    assertEquals(caution(other, "volume.impossible").orElseThrow().level(), Caution.Level.CHECK);
    assertTrue(caution(plan(FLAT, MARRAM), "volume.impossible").isEmpty());
  }

  /** Whatever was read, and by whichever way it is to count. */
  @Test
  public void noFigureIsNegative() {
    Random random = new Random(51);
    Set<String> negative = new TreeSet<>();
    for (int i = 0; i < 400; i++) {
      AnyPlan any = AnyPlan.any(random);
      List<Edit> readings =
          List.of(
              Edit.of("master.measured.grainMm3", random.nextInt(20_000) + 1 + " mL"),
              Edit.of("master.measured.castG", random.nextInt(20_000) + 1 + " g"),
              Edit.of("master.measured.castDensity", "1.2"),
              Edit.of("master.way", List.of("GRAIN", "WEIGHT", "BEST").get(random.nextInt(3))));
      any.with(readings).plan().figures().values().stream()
          .filter(f -> f.value() < 0 && !f.key().equals("size.lost") || f.text().startsWith("-"))
          .forEach(f -> negative.add(f.key() + " " + f.text()));
    }
    assertEquals(negative, Set.of());
  }

  @Test
  public void theMoreCertainWayCounts() {
    JobPlan plan =
        plan(FLAT, MARRAM, "master.measured.castG", "200 g", "master.measured.castDensity", "1.2");
    Near.relative(value(plan, "master.volume"), 184_800, 1e-9);
    JobPlan other =
        plan(
            FLAT,
            MARRAM,
            "master.measured.castG",
            "200 g",
            "master.measured.castDensity",
            "1.2",
            "master.way",
            "WEIGHT");
    Near.relative(value(other, "master.volume"), 200 / 1.2 * 1000, 1e-9);
    assertTrue(value(other, "rubber.box") > value(plan, "rubber.box"));
  }

  @Test
  public void theDipstickReadsBothWays() {
    MasterFacts nautilus = facts(Harbour.NAUTILUS.mesh(), Pose.AS_MODELLED);
    BoxMould box = plan(nautilus, MARRAM, "pose.liftMm", "15 mm").plan().inBox().orElseThrow();
    double before = -1;
    for (double z = 0; z <= box.wallHeightMm(); z += 3.7) {
      double v = box.rubberBelow(z);
      assertTrue(v > before || z == 0);
      before = v;
      if (v > 0) {
        Near.absolute(box.levelOf(v), z, 0.01);
      }
    }
    Near.relative(box.rubberBelow(15), box.insideAreaMm2() * 15, 1e-9);
    assertEquals(
        Dipstick.snapped(box, box.belowMm() + box.masterMm().z() + 9, Units.METRIC),
        box.belowMm() + box.masterMm().z() + 10,
        1e-9);
  }

  @Test
  public void restingOnAFacePutsItDown() {
    Pose tipped = Pose.AS_MODELLED.restOn("1 0 0");
    MasterFacts f = facts(Tessellation.box(80, 55, 42), tipped);
    Near.absolute(f.sizeMm().z(), 80, 1e-9);
    Near.absolute(f.restMm2(), 55 * 42, 1e-6);
    Pose turned = Pose.AS_MODELLED.turned("z 90");
    Near.absolute(facts(Tessellation.box(80, 55, 42), turned).sizeMm().x(), 55, 1e-9);
    expectThrows(RuntimeException.class, () -> Pose.AS_MODELLED.turned("w 90"));
    Rotation there = Rotation.about(new Vec3(1, 1, 0), 70);
    Vec3 v = new Vec3(3, -2, 5);
    Near.absolute(there.apply(v).norm(), v.norm(), 1e-12);
    Near.absolute(Rotation.bringing(v, Vec3.UP.times(-1)).apply(v).z(), -v.norm(), 1e-9);
  }

  @Test
  public void theSectionIsDrawnToScale() {
    JobPlan plan = plan(FLAT, MARRAM);
    PosedMaster p = PosedMaster.of(Tessellation.box(80, 55, 42), 1, Pose.AS_MODELLED);
    for (Cut cut : Cut.values()) {
      SectionDrawing d =
          SectionDrawing.of(
              plan.plan().inBox().orElseThrow(),
              p.slicer(cut),
              cut,
              false,
              cut == Cut.TOP ? 20 : 0,
              Units.METRIC);
      double[] ring =
          d.shapes().stream()
              .filter(s -> s.role() == Role.MASTER)
              .findFirst()
              .orElseThrow()
              .rings()
              .get(0);
      double wide = 0;
      for (int i = 0; i < ring.length; i += 2) {
        wide = Math.max(wide, ring[i]);
      }
      Near.absolute(wide, cut == Cut.SIDE ? 27.5 : 40, 1e-3);
      assertTrue(d.dimensions().stream().anyMatch(x -> x.text().equals("12 mm")));
      assertTrue(d.from() < d.to());
    }
  }

  @Test
  public void thePictureShowsSomething() {
    JobPlan plan = plan(FLAT, MARRAM);
    TriangleMesh mesh = Pose.AS_MODELLED.setDown(Tessellation.box(80, 55, 42), 1);
    int[] argb = MouldPicture.of(mesh, plan.plan().inBox().orElseThrow(), 120, 90);
    long opaque = Arrays.stream(argb).filter(p -> p >>> 24 > 250).count();
    long clear = Arrays.stream(argb).filter(p -> p >>> 24 == 0).count();
    assertTrue(opaque > 1000 && clear > 2000, opaque + " opaque, " + clear + " clear");
  }

  /** Rubber that is brushed on stands round the master, and lets it be seen. */
  @Test
  public void aSkinIsSeenRoundItsMaster() {
    TriangleMesh mesh = Pose.AS_MODELLED.setDown(Tessellation.box(80, 55, 42), 1);
    int[] skin = MouldPicture.inSkin(mesh, 12, 120, 90);
    int[] bare = MouldPicture.of(mesh, null, 120, 90);
    long through = Arrays.stream(skin).filter(p -> p >>> 24 > 100 && p >>> 24 < 200).count();
    long solid = Arrays.stream(skin).filter(p -> p >>> 24 == 255).count();
    long master = Arrays.stream(bare).filter(p -> p >>> 24 == 255).count();
    assertTrue(through > 500, through + " of rubber alone");
    assertTrue(solid > 1000 && solid < master, solid + " of " + master);
  }

  @Test
  public void aStageIsDoneWhenItIsDecidedAndLookedAtAgainWhenSomethingBeforeItChanged() {
    Choices fresh = choices("rubber.product", "marram-20");
    JobPlan open = JobPlan.of(fresh, FLAT, MARRAM, Workshop.DEFAULT);
    Map<String, String> never = Map.of();
    assertEquals(state(never, open, "master"), Stage.State.DONE);
    assertEquals(state(never, open, "approach"), Stage.State.OPEN, "an open mould is only assumed");
    assertEquals(state(never, open, "mould"), Stage.State.OPEN);
    assertEquals(state(never, open, "rubber"), Stage.State.DONE);
    assertEquals(state(never, open, "pours"), Stage.State.OPEN);

    Choices seen = ChoiceWords.edit(fresh, List.of(Edit.of("mould.kind", "OPEN")), MARRAM);
    JobPlan before = JobPlan.of(seen, FLAT, MARRAM, Workshop.DEFAULT);
    assertEquals(state(never, before, "approach"), Stage.State.DONE);
    assertEquals(state(never, before, "mould"), Stage.State.DONE);
    Map<String, String> looked =
        Map.of(
            "mould", before.stages().get("mould").restsOn(),
            "rubber", before.stages().get("rubber").restsOn());
    assertEquals(state(looked, before, "rubber"), Stage.State.DONE);
    Choices changed = ChoiceWords.edit(seen, List.of(Edit.of("mould.sidesMm", "20 mm")), MARRAM);
    JobPlan again = JobPlan.of(changed, FLAT, MARRAM, Workshop.DEFAULT);
    assertEquals(state(looked, again, "mould"), Stage.State.DONE);
    assertEquals(state(looked, again, "rubber"), Stage.State.LOOK_AGAIN);
    JobPlan bare = JobPlan.of(changed, FLAT, (Product) null, Workshop.DEFAULT);
    assertEquals(state(looked, bare, "rubber"), Stage.State.OPEN);
  }

  private static Stage.State state(Map<String, String> looked, JobPlan plan, String stage) {
    return plan.stages().get(stage).state(looked.get(stage));
  }

  @Test
  public void aPlanSaysOfEachPartWhetherItIsKnown() {
    JobPlan measured = plan(FLAT, MARRAM);
    assertEquals(
        measured.parts().stream().map(PlanPart::state).distinct().toList(),
        List.of(PlanPart.State.CANNOT_BE_KNOWN));
    assertEquals(
        PlanPart.missing(measured.parts()),
        List.of(
            "Not known: air that stays, what locks the master.",
            "Only measures are known of this master. Drop a model file, or describe it as a"
                + " solid."));
    assertEquals(JobPlan.of(choices(), null, (Product) null, Workshop.DEFAULT).parts(), List.of());
  }

  @Test
  public void wordsAreWrittenClearedNudgedAndRefused() {
    Choices c = choices("mould.sidesMm", "1/2\"");
    Near.absolute(c.mould().sidesMm(), 12.7, 1e-9);
    c = ChoiceWords.edit(c, List.of(new Edit("mould.sidesMm", null, 10)), null);
    Near.absolute(c.mould().sidesMm(), 22.7, 1e-9);
    c = ChoiceWords.edit(c, List.of(Edit.of("mould.leftMm", "9")), null);
    assertNotNull(c.mould().leftMm());
    c = ChoiceWords.edit(c, List.of(Edit.of("mould.leftMm", " ")), null);
    assertNull(c.mould().leftMm());
    Choices same = c;
    Refused refused =
        expectThrows(
            Refused.class,
            () ->
                ChoiceWords.edit(
                    same,
                    List.of(Edit.of("mould.sidesMm", "5"), Edit.of("mould.overTopMm", "lots")),
                    null));
    assertEquals(refused.word(), "mould.overTopMm");
    expectThrows(
        Refused.class,
        () -> ChoiceWords.edit(same, List.of(Edit.of("mould.sidesMm", "-3 mm")), null));
    expectThrows(
        Refused.class, () -> ChoiceWords.edit(same, List.of(Edit.of("mould.nothing", "3")), null));
    ChoiceWords.states(c).forEach((key, state) -> assertFalse(state.label().isBlank(), key));
  }

  @Test
  public void ratiosReadAndWrite() {
    for (String text : new String[] {"100 : 10 by weight", "1 : 1 by volume", "4 % of base"}) {
      assertEquals(Ratio.parse(text).text(), text);
    }
    assertEquals(Ratio.parse("100:10 w").text(), "100 : 10 by weight");
    for (String bad : new String[] {"10:1", "5 to 1", "4 %", "ten to one", "1 : 0 by weight", ""}) {
      expectThrows(RuntimeException.class, () -> Ratio.parse(bad));
    }
  }
}
