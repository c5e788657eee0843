package ungula.core.caution;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Golden;
import ungula.core.Modelled;
import ungula.core.PlanCount;
import ungula.core.Shapes;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.choice.Materials;
import ungula.core.days.Diary;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.job.JobPlan;
import ungula.core.master.Tessellation;
import ungula.core.mesh.FillCurve;
import ungula.core.mesh.TriangleMesh;
import ungula.core.plan.MasterFacts;
import ungula.core.plan.Planner;
import ungula.core.quantity.Units;
import ungula.core.record.Recorded;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.core.rubber.ProductWords;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.workshop.Workshop;

/** Each caution on either side of where it begins. */
public class CautionBoundariesTest {

  /** All that is planned here. */
  private static PlanCount planned;

  @BeforeClass
  public void begin() {
    planned = new PlanCount();
  }

  /** After all others. */
  @Test(priority = 1)
  public void theRestOfThesePlansIsAsItWas() throws IOException {
    Golden.same(CautionBoundariesTest.class, "at-boundaries.txt", planned.said());
  }

  private static final Product ADDITION = ExampleProducts.all().get("marram-20");

  private static final Product CONDENSATION = rubber(Product.Chemistry.CONDENSATION);
  private static final Product URETHANE = rubber(Product.Chemistry.URETHANE);

  private static Product rubber(Product.Chemistry chemistry) {
    return ExampleProducts.all().values().stream()
        .filter(p -> p.role() == Product.Role.RUBBER && p.chemistry() == chemistry)
        .findFirst()
        .orElseThrow();
  }

  /** 80 × 55 × 42, on the plate. */
  private static final TriangleMesh BOX = Tessellation.box(80, 55, 42);

  /** Known by its measures only. */
  private static MasterFacts measured() {
    return new MasterFacts(
        new Vec3(80, 55, 42),
        new Vec3(0, 0, 42),
        FillCurve.even(80 * 55 * 42, 0, 42),
        80 * 55,
        null,
        null,
        "made up");
  }

  private static boolean warns(String id, TriangleMesh mesh, Product product, String... edits) {
    return found(id, mesh, product, Recorded.NOTHING, edits).isPresent();
  }

  private static Optional<Caution> found(
      String id, TriangleMesh mesh, Product product, Recorded recorded, String... edits) {
    return plan(mesh, product, recorded, edits).cautions().stream()
        .filter(c -> c.id().equals(id))
        .findFirst();
  }

  private static JobPlan plan(
      TriangleMesh mesh, Product product, Recorded recorded, String... edits) {
    // places belong to a surface: that comes first
    List<Edit> source = List.of(Edit.of("master.source", mesh == null ? "MEASURED" : "FILE"));
    Choices c = ChoiceWords.edit(Choices.fresh(Units.METRIC), source, product);
    List<Edit> all = new ArrayList<>();
    List<Edit> room = new ArrayList<>();
    for (String edit : edits) {
      String[] word = edit.split("=", 2);
      (word[0].matches("roomC|(air|mixing|equipment)\\..*") ? room : all)
          .add(Edit.of(word[0], word[1]));
    }
    c = ChoiceWords.edit(c, all, product);
    Workshop shop = Workshop.words().edit(Workshop.DEFAULT, room, Units.METRIC);
    MasterFacts facts = mesh == null ? measured() : Modelled.facts(mesh, c);
    JobPlan plan =
        JobPlan.of(
            c, recorded, facts, Materials.of(product), shop, Planner.box(c, facts), Diary.PLAIN);
    planned.count(plan);
    return plan;
  }

  /** A caution, a mould, and what is decided just this side of it and just beyond. */
  @DataProvider
  public Object[][] boundaries() {
    return new Object[][] {
      // a block is hard to open with more than 20 mm round it
      {"cut.thick", "mould.kind=CUT", "mould.sidesMm=20 mm", "mould.sidesMm=20.1 mm"},
      // a key of 5 mm keeps 4 mm off the cavity and 3 mm off the wall; in corners it has more room
      {"parting.room", "mould.kind=TWO_PART", "mould.sidesMm=12 mm", "mould.sidesMm=6 mm"},
      {
        "parting.room",
        "mould.kind=TWO_PART,parting.keying=RING",
        "mould.sidesMm=16 mm",
        "mould.sidesMm=11 mm"
      },
      // 9 mm off the cavity, 6 mm wide, 3 mm to the wall: 15 mm, unless the ring is another
      {
        "parting.room",
        "mould.kind=TWO_PART,parting.keying=RING,mould.sidesMm=15 mm",
        "",
        "parting.ring.offsetMm=9.1 mm"
      },
      {
        "parting.room",
        "mould.kind=TWO_PART,parting.keying=RING,mould.sidesMm=15 mm",
        "parting.ring.heightMm=12 mm",
        "parting.ring.widthMm=6.2 mm"
      },
      // 5 mm for one degree: the longest inside is 286.4 mm, 80 of them the master's
      {"box.level", "mould.kind=OPEN", "mould.sidesMm=103 mm", "mould.sidesMm=103.5 mm"},
      {"parting.room", "mould.kind=TWO_PART,mould.sidesMm=11 mm", "parting.keying=NONE", ""},
      // 8 mm of rubber over a parting: the box is poured 5 mm over the 42 mm of the master
      {
        "parting.thin",
        "mould.kind=TWO_PART,mould.overTopMm=5 mm",
        "parting.upMm=39 mm",
        "parting.upMm=39.1 mm"
      },
      {"parting.bonds", "mould.kind=CUT", "", "mould.kind=TWO_PART"},
      // a skin tears under 5 mm; on a hand's size 9 mm are usual, and one less is not said
      {"skin.thin", "mould.kind=SKIN", "skin.wallMm=5 mm", "skin.wallMm=4.9 mm"},
      {"skin.wall", "mould.kind=SKIN", "skin.wallMm=8 mm", "skin.wallMm=7.9 mm"},
      // a poured wall tears under 5 mm
      {"wall.tears", "mould.kind=OPEN", "mould.sidesMm=5 mm", "mould.sidesMm=4.9 mm"},
      {
        "wall.tears",
        "mould.kind=OPEN,master.source=SOLID,mould.sidesMm=6 mm",
        "master.solid.toleranceMm=1 mm",
        "master.solid.toleranceMm=1.1 mm"
      },
      // 184.8 mL of solid wood weigh 120.1 g: a tenth more or less is said
      {
        "weight.master",
        "mould.kind=OPEN,master.material=WOOD",
        "master.massG=132 g",
        "master.massG=132.3 g"
      },
      {
        "weight.master",
        "mould.kind=OPEN,master.material=WOOD",
        "master.massG=108.2 g",
        "master.massG=108 g"
      },
      // of a material that is only assumed nothing is said
      {"weight.master", "master.massG=300 g", "mould.kind=OPEN", "master.material=PRINT_RESIN"},
      // a sprue carries 300 g without a core
      {"sprue.heavy", "mould.kind=CUT", "master.massG=300 g", "master.massG=301 g"},
      {"core.unknown", "mould.kind=OPEN", "", "hollow.wallMm=4 mm"},
    };
  }

  @Test(dataProvider = "boundaries")
  public void itBeginsWhereItShould(String id, String mould, String without, String with) {
    TriangleMesh mesh = id.equals("core.unknown") ? null : BOX;
    assertEquals(warns(id, mesh, ADDITION, words(mould, without)), false, without);
    assertEquals(warns(id, mesh, ADDITION, words(mould, with)), true, with);
  }

  /** A caution, whose rubber, and the room just this side of it and just beyond. */
  @DataProvider
  public Object[][] rooms() {
    return new Object[][] {
      {"room.hot", ADDITION, "roomC=30 °C", "roomC=30.5 °C"},
      {"room.dry", CONDENSATION, "air.humidityPct=30 %", "air.humidityPct=29 %"},
      {"room.damp", URETHANE, "air.humidityPct=70 %", "air.humidityPct=71 %"},
      {"site.degrees", ADDITION, "site.degreesC=12 °C", "site.degreesC=11.5 °C"},
      {"site.degrees", ADDITION, "site.degreesC=30 °C", "site.degreesC=30.5 °C"},
    };
  }

  @Test(dataProvider = "rooms")
  public void theRoomDecides(String id, Product product, String without, String with) {
    String mould = id.startsWith("site") ? "mould.kind=SKIN,site.place=OUTDOORS" : "";
    assertEquals(warns(id, BOX, product, words(mould, without)), false, without);
    assertEquals(warns(id, BOX, product, words(mould, with)), true, with);
  }

  /** What is dry for one rubber and damp for another is neither for a third. */
  @Test
  public void airMattersToSomeRubbersOnly() {
    assertEquals(warns("room.dry", BOX, ADDITION, "air.humidityPct=10 %"), false);
    assertEquals(warns("room.damp", BOX, ADDITION, "air.humidityPct=90 %"), false);
  }

  private static String[] words(String mould, String more) {
    return Stream.of(mould, more)
        .filter(list -> !list.isEmpty())
        .flatMap(list -> Stream.of(list.split(",")))
        .toArray(String[]::new);
  }

  @Test
  public void ventsAreFineButNotTooFine() {
    String[] vented = {"mould.kind=CUT", "casting.vent=0 0.3 0.3"};
    String[] widths = {"1.4 mm", "1.5 mm", "3 mm", "3.1 mm"};
    boolean[] said = {true, false, false, true};
    for (int i = 0; i < widths.length; i++) {
      assertEquals(
          warns("vents.width", BOX, ADDITION, vented[0], vented[1], "channels.ventMm=" + widths[i]),
          said[i],
          widths[i]);
    }
    assertEquals(warns("vents.width", BOX, ADDITION, vented[0], "channels.ventMm=1.4 mm"), false);
  }

  /** Over 10 mm condensation-cure rubber stays soft inside; other rubber does not. */
  @Test
  public void thickWallsCureSlowly() {
    String skin = "mould.kind=SKIN";
    assertEquals(warns("skin.slow", BOX, CONDENSATION, skin, "skin.wallMm=10 mm"), false);
    assertEquals(warns("skin.slow", BOX, CONDENSATION, skin, "skin.wallMm=10.1 mm"), true);
    assertEquals(warns("skin.slow", BOX, ADDITION, skin, "skin.wallMm=10.1 mm"), false);
  }

  /** Thickened stiff takes 2 %; what a sealant is kneaded with is nothing to a rubber. */
  @Test
  public void aRubberTakesAsMuchThickenerAsItsSheetSays() {
    for (String thickener : List.of("STIFF", "PUTTY")) {
      String[] skin = {"mould.kind=SKIN", "skin.thickener=" + thickener};
      assertEquals(warns("skin.overdosed", BOX, thickened("2 %"), skin), false, thickener);
      assertEquals(warns("skin.overdosed", BOX, thickened("1.9 %"), skin), true, thickener);
    }
  }

  private static Product thickened(String most) {
    return ProductWords.book().edit(ADDITION, List.of(Edit.of("thickenPct", most)), Units.METRIC);
  }

  /**
   * 0.11 m² take 5 min to brush: rubber that sticks for 15 min is still wet then, for 4 min not.
   */
  @Test
  public void aCoatDriesAsItIsBrushed() {
    TriangleMesh large = Tessellation.box(150, 150, 150);
    String[] skin = {"mould.kind=SKIN", "skin.recoat=TACKY"};
    assertEquals(warns("skin.late", large, sticky(15), skin), false);
    assertEquals(warns("skin.late", large, sticky(4), skin), true);
    // where each coat sets before the next, none is late
    String[] set = {"mould.kind=SKIN", "skin.recoat=SET"};
    assertEquals(warns("skin.late", large, sticky(4), set), false);
  }

  /** At the room's temperature, so that its sheet's times hold. */
  private static Product sticky(int minutes) {
    return ProductWords.book()
        .edit(
            ADDITION,
            List.of(
                Edit.of("potLifeMin", "2 min"),
                Edit.of("gelMin", "3 min"),
                Edit.of("openMin", minutes + " min"),
                Edit.of("atC", Workshop.DEFAULT.roomC() + " °C")),
            Units.METRIC);
  }

  /** By weight and by volume a sheet says the same to 3 %, with the densities it gives. */
  @Test
  public void aSheetContradictsItself() {
    Product sheet =
        ProductWords.book()
            .edit(
                ADDITION,
                List.of(
                    Edit.of("densityBase", "1.1 g/cm3"),
                    Edit.of("densityHardener", "1.1 g/cm3"),
                    Edit.of("ratio", "100 : 10 by weight"),
                    Edit.of("ratioAlso", "100 : 10.2 by volume")),
                Units.METRIC);
    assertEquals(warns("ratio.contradicts", BOX, sheet), false);
    Product other =
        ProductWords.book()
            .edit(sheet, List.of(Edit.of("ratioAlso", "100 : 10.4 by volume")), Units.METRIC);
    assertEquals(warns("ratio.contradicts", BOX, other), true);
  }

  /** A model put right without doubt about its volume is said to be; a whole one is not. */
  @Test
  public void whatWasMendedIsSaid() {
    assertEquals(warns("mesh.mended", BOX, ADDITION), false);
    int[] corners = BOX.corners().clone();
    int turned = corners[0];
    corners[0] = corners[1];
    corners[1] = turned;
    TriangleMesh flipped = new TriangleMesh(BOX.xyz(), corners).moved(1, Rotation.NONE, Vec3.ZERO);
    assertEquals(warns("mesh.mended", flipped, ADDITION), true);
  }

  private static Caution said(String id, String... edits) {
    return found(id, BOX, ADDITION, Recorded.NOTHING, edits).orElseThrow();
  }

  /** Too fine and too wide are told apart, and so are too heavy and too light. */
  @Test
  public void whichWayItIsOffIsSaid() {
    String[] vented = {"mould.kind=CUT", "casting.vent=0 0.3 0.3", ""};
    vented[2] = "channels.ventMm=1 mm";
    assertEquals(said("vents.width", vented).title(), "Vents of 1 mm are too fine");
    assertTrue(said("vents.width", vented).text().startsWith("They fill with a skin"));
    vented[2] = "channels.ventMm=4 mm";
    assertEquals(said("vents.width", vented).title(), "Vents of 4 mm are too wide");
    assertTrue(said("vents.width", vented).text().startsWith("They leave a stub"));
    assertEquals(said("vents.width", vented).fixes().get(0).label(), "Make them 3 mm");

    String[] wood = {"mould.kind=OPEN", "master.material=WOOD", "master.massG=150 g"};
    assertEquals(
        said("weight.master", wood).title(), "The master is 25 % heavier than its volume says");
    assertEquals(said("weight.master", wood).level(), Caution.Level.CHECK);
    wood[2] = "master.massG=90 g";
    assertEquals(
        said("weight.master", wood).title(), "The master is 25 % lighter than its volume says");
    assertEquals(said("weight.master", wood).level(), Caution.Level.NOTE);
  }

  /** What the first mould weighs is held against what was planned, within a tenth. */
  @Test
  public void theFirstMouldIsHeldAgainstItsPlan() {
    for (String mould : List.of("mould.kind=OPEN", "mould.kind=SKIN")) {
      double planned =
          1000 / plan(BOX, ADDITION, firstMould(1000), mould, TWO).plan().firstMouldShare();
      boolean skin = mould.endsWith("SKIN");
      String off = weighed(mould, planned * 1.2);
      assertTrue(off.contains("20 % more than planned"), off);
      assertTrue(off.contains(skin ? "laid on thicker" : "is it larger"), off);
      off = weighed(mould, planned * 0.8);
      assertTrue(off.contains("20 % less than planned"), off);
      assertTrue(off.contains(skin ? "laid on thinner" : "did rubber leak"), off);
      assertEquals(weighed(mould, planned * 1.09), "");
      assertEquals(weighed(mould, planned * 0.91), "");
    }
  }

  private static final String TWO = "rubber.moulds=2";

  private static Recorded firstMould(double grams) {
    return Recorded.NOTHING.edit(List.of(Edit.of("rubber.mouldG", grams + " g")), Units.METRIC);
  }

  private static String weighed(String mould, double grams) {
    return found("mould.weighed", BOX, ADDITION, firstMould(grams), mould, TWO)
        .map(c -> c.title() + " " + c.text())
        .orElse("");
  }

  /** A caution few plans come to, whose rubber, and what is decided there. */
  @DataProvider
  public Object[][] seldom() {
    String label = "mould.kind=OPEN,label.place=WALL,label.code=K7F3M,label.letterMm=";
    String slow = "rubber.bubbles=VACUUM,mixing.pace.degasMin=";
    return new Object[][] {
      {"contact.residue", CONDENSATION, "mould.kind=OPEN,cast.material=SILICONE"},
      {"ratio.off", ADDITION, "mould.kind=OPEN,rubber.ratio=4 : 1 by weight"},
      {"ratio.off", ADDITION, "mould.kind=OPEN,rubber.ratio=4 : 1 by weight,rubber.ratioMeant=YES"},
      {"batch.shallow", ADDITION, "rubber.bubbles=VACUUM,mixing.vacuum=-0.8 bar"},
      {
        "batch.shallow",
        ADDITION,
        "rubber.bubbles=VACUUM,mixing.vacuum=-0.95 bar,air.altitudeM=2000 m"
      },
      {"batch.pump", sticky(20), slow + "5 min"},
      {"label.fine", ADDITION, label + "2.5 mm"},
      {"label.fine", ADDITION, label + "3.2 mm"},
      {
        "box.bows",
        ADDITION,
        "mould.kind=OPEN,mould.sheet=STYRENE_2,mould.sidesMm=40 mm,mould.overTopMm=90 mm"
      },
      {"jacket.heavy", ADDITION, "mould.kind=SKIN,skin.wallMm=20 mm,equipment.liftG=1 kg"},
    };
  }

  @Test(dataProvider = "seldom")
  public void whatIsSeldomSaidIsSaid(String id, Product product, String words) {
    assertTrue(warns(id, BOX, product, words.split(",")), words);
  }

  /** Masters 30 mm apart; a fifth of a millimetre less than the land asked for is not said. */
  @Test
  public void landBetweenMastersIsTooLittle() {
    TriangleMesh cube = Tessellation.box(30, 30, 40);
    TriangleMesh pair = Shapes.both(cube, cube, new Vec3(60, 0, 0));
    String[] land = {"mould.kind=OPEN", ""};
    boolean[] said = {false, false, true};
    String[] asked = {"30 mm", "30.1 mm", "30.3 mm"};
    for (int i = 0; i < asked.length; i++) {
      land[1] = "plate.landMm=" + asked[i];
      assertEquals(warns("plate.land", pair, ADDITION, land), said[i], asked[i]);
    }
  }

  /** 80 mm long if read as millimetres: each other unit is offered with what it comes to. */
  @Test
  public void eachUnitIsOfferedWithWhatItComesTo() {
    Choices c =
        ChoiceWords.edit(
            Choices.fresh(Units.METRIC), List.of(Edit.of("master.source", "FILE")), ADDITION);
    MasterFacts facts = Modelled.guessed(BOX, c, 25.4);
    JobPlan plan =
        JobPlan.of(
            c,
            Recorded.NOTHING,
            facts,
            Materials.of(ADDITION),
            Workshop.DEFAULT,
            Planner.box(c, facts),
            Diary.PLAIN);
    planned.count(plan);
    Caution doubt =
        plan.cautions().stream().filter(k -> k.id().equals("unit.doubt")).findFirst().orElseThrow();
    assertEquals(
        doubt.fixes().stream().map(Caution.Fix::price).toList(),
        List.of("3.15 mm, 0.124 in", "80.0 mm, 3.15 in", "3 150 mm, 124 in", "31.5 mm, 1.24 in"));
  }

  /** Fewer batches are offered only where more are asked for than the limits need. */
  @Test
  public void fewerBatchesAreOfferedWhereTheyAreEnough() {
    Caution four = small("4");
    assertEquals(four.fixes().size(), 1, four.toString());
    assertEquals(four.fixes().get(0).label(), "Mix one batch");
    assertEquals(four.fixes().get(0).edits(), List.of(Edit.of("rubber.batches", "")));
    assertEquals(small("").fixes(), List.of());
    assertEquals(small("1").fixes(), List.of());
  }

  /** On a scale that shows tens of grams, what is weighed is too little. */
  private static Caution small(String batches) {
    return found(
            "batch.scale",
            BOX,
            ADDITION,
            Recorded.NOTHING,
            Stream.of(
                    "mould.kind=OPEN",
                    "mixing.coarse.capacityG=6 kg",
                    "mixing.coarse.readG=10 g",
                    batches.isEmpty() ? "" : "rubber.batches=" + batches)
                .filter(edit -> !edit.isEmpty())
                .toArray(String[]::new))
        .orElseThrow();
  }
}
