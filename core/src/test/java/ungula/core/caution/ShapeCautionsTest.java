package ungula.core.caution;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import ungula.core.Blocks;
import ungula.core.Golden;
import ungula.core.Near;
import ungula.core.PlanCount;
import ungula.core.Shapes;
import ungula.core.air.AirCells;
import ungula.core.air.AirTraps.Pocket;
import ungula.core.air.AirTraps.Result;
import ungula.core.air.Ceilings.Ceiling;
import ungula.core.air.Empties;
import ungula.core.air.Tips.Tip;
import ungula.core.air.VentWay;
import ungula.core.attitude.Attitude;
import ungula.core.attitude.AttitudeSearch.Found;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.field.Grid;
import ungula.core.filling.Levels;
import ungula.core.filling.Passages;
import ungula.core.filling.Passages.Section;
import ungula.core.form.Hollow;
import ungula.core.form.ThinPart;
import ungula.core.geometry.Vec3;
import ungula.core.job.JobPlan;
import ungula.core.mark.FacetSet;
import ungula.core.mark.Mark;
import ungula.core.mark.MarkedPlaces;
import ungula.core.mark.Marks;
import ungula.core.mesh.SurfacePoint;
import ungula.core.plan.MasterFacts;
import ungula.core.plan.ShapeFacts;
import ungula.core.quantity.Units;
import ungula.core.release.Locks;
import ungula.core.release.Stretch;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.sentence.WordBook.Refused;
import ungula.core.study.CastStudy;
import ungula.core.study.FormStudy;
import ungula.core.study.ReleaseStudy;
import ungula.core.study.RubberStudy;
import ungula.core.study.ShapeStudy;
import ungula.core.workshop.Workshop;

/** What a plan makes of what the shape decides. */
public class ShapeCautionsTest {

  /** All that is planned here. */
  private static PlanCount planned;

  @BeforeClass
  public void begin() {
    planned = new PlanCount();
  }

  /** After all others. */
  @Test(priority = 1)
  public void theRestOfThesePlansIsAsItWas() throws IOException {
    Golden.same(ShapeCautionsTest.class, "of-shapes.txt", planned.said());
  }

  private static final Product MARRAM = ExampleProducts.all().get("marram-20");
  private static final Result NONE = air();

  private static Result air(double... volumes) {
    List<Pocket> pockets = new ArrayList<>();
    double total = 0;
    for (double v : volumes) {
      pockets.add(new Pocket(v, new Vec3(3, 4, 20), 7));
      total += v;
    }
    Grid grid = new Grid(Vec3.ZERO, 1, 1, 1, 1);
    return new Result(total, 0, pockets, new AirCells(grid, new int[0]));
  }

  private static VentWay way(Vec3 at, double rubberMm, double castMm) {
    return new VentWay(List.of(at, Vec3.ZERO), rubberMm, 0, castMm);
  }

  private static ShapeStudy study(
      Result poured, List<Tip> tips, Result cast, Result vented, double stretch) {
    List<CastStudy.Vent> vents = new ArrayList<>();
    for (int i = 0; i < cast.pockets().size(); i++) {
      vents.add(new CastStudy.Vent(new SurfacePoint(i, 0.25, 0.5), new Vec3(3, 4, 20)));
    }
    return new ShapeStudy(
        new RubberStudy(
            true,
            0.5,
            poured,
            tips,
            List.of(),
            Empties.NONE,
            new RubberStudy.Thinnest(12, Vec3.ZERO, false),
            40_000),
        new CastStudy(
            CastStudy.Inlet.BASE,
            true,
            0.5,
            Attitude.OVER,
            cast,
            List.of(),
            vents,
            vented,
            List.of(way(new Vec3(3, 4, 20), 5, 15)),
            new Levels(Vec3.UP, 0, 42.0 / Levels.COUNT, evenly()),
            new Passages(List.of()),
            null,
            null,
            List.of(),
            List.of()),
        new ReleaseStudy(
            new ReleaseStudy.LockSums(100, 200, new Locks.LockedVolume(300, 30, 8)),
            new Stretch(stretch, 30, 10)));
  }

  private static double[] evenly() {
    return IntStream.rangeClosed(0, Levels.COUNT).mapToDouble(n -> 1_000 * n).toArray();
  }

  private static ShapeStudy with(ShapeStudy s, List<Ceiling> ceilings, Empties empties) {
    return with(s, s.cast().inlet(), s.cast().ways(), s.cast().passages(), ceilings, empties);
  }

  private static ShapeStudy with(
      ShapeStudy s,
      CastStudy.Inlet inlet,
      List<VentWay> ways,
      List<Ceiling> ceilings,
      Empties empties) {
    return with(s, inlet, ways, s.cast().passages(), ceilings, empties);
  }

  private static ShapeStudy with(
      ShapeStudy s,
      CastStudy.Inlet inlet,
      List<VentWay> ways,
      Passages passages,
      List<Ceiling> ceilings,
      Empties empties) {
    return with(
        s,
        inlet,
        ways,
        passages,
        s.cast().sprueWay(),
        s.cast().seamInlet(),
        ceilings,
        s.cast().attitudes(),
        empties);
  }

  private static ShapeStudy with(
      ShapeStudy s,
      CastStudy.Inlet inlet,
      List<VentWay> ways,
      Passages passages,
      VentWay sprueWay,
      CastStudy.SeamInlet seamInlet,
      List<Ceiling> ceilings,
      List<Found> attitudes,
      Empties empties) {
    RubberStudy r = s.rubber();
    CastStudy c = s.cast();
    return new ShapeStudy(
        new RubberStudy(
            r.exact(),
            r.cellMm(),
            r.air(),
            r.tips(),
            ceilings,
            empties,
            r.thinnest(),
            r.offcutsMm3()),
        new CastStudy(
            inlet,
            c.exact(),
            c.cellMm(),
            c.lies(),
            c.air(),
            c.tips(),
            c.vents(),
            c.vented(),
            ways,
            c.levels(),
            passages,
            sprueWay,
            seamInlet,
            c.ceilings(),
            attitudes),
        s.release());
  }

  private static final FormStudy PLAIN = new FormStudy(List.of(), List.of());
  private static final MarkedPlaces UNMARKED =
      new MarkedPlaces(Shapes.box(), Marks.NONE, Vec3.ZERO);

  private static JobPlan plan(ShapeStudy study, Product product, Edit... edits) {
    return plan(
        study == null ? null : new ShapeFacts(study, PLAIN, UNMARKED), product, List.of(edits));
  }

  private static JobPlan plan(ShapeFacts shape, Product product, List<Edit> edits) {
    MasterFacts facts = Blocks.measured(80, 55, 42).with(shape);
    List<Edit> measured = List.of(Edit.of("master.source", "MEASURED"));
    Choices c = ChoiceWords.edit(Choices.fresh(Units.METRIC), measured, product);
    c = ChoiceWords.edit(c, edits, product);
    JobPlan plan = JobPlan.of(c, facts, product, Workshop.DEFAULT);
    planned.count(plan);
    return plan;
  }

  private static Optional<Caution> caution(JobPlan plan, String id) {
    return plan.cautions().stream().filter(c -> c.id().equals(id)).findFirst();
  }

  @Test
  public void withoutAStudyNothingIsSaid() {
    JobPlan plan = plan(null, MARRAM);
    assertFalse(plan.figures().containsKey("air.poured"));
    assertFalse(plan.cautions().stream().anyMatch(c -> c.id().matches("(air|locks)\\..*")));
  }

  @Test
  public void airIsANumberWithItsPockets() {
    JobPlan plan = plan(study(air(9_000, 3_300), List.of(), NONE, NONE, 0), MARRAM);
    assertEquals(plan.figures().get("air.poured").text(), "12.3 mL");
    List<String> steps = plan.figures().get("air.poured").working().steps();
    assertEquals(steps.size(), 3, "nothing of cells: " + steps);
    // 9.0 mL · 101.3 / 501.3
    assertTrue(steps.get(2).contains("shrinks to 1.8 mL, a ball of 15."), steps.get(2));
    Caution c = caution(plan, "air.poured").orElseThrow();
    assertTrue(c.text().startsWith("2 pockets, the largest 9.0 mL, 7 mm deep."), c.text());
    assertEquals(c.place(), new Caution.Place(3, 4, 20));
    assertFalse(caution(plan, "air.cast").isPresent());
    // half a drop is left alone
    assertFalse(
        caution(plan(study(air(40), List.of(), NONE, NONE, 0), MARRAM), "air.poured").isPresent());
  }

  @Test
  public void aTipIsOfferedAndTipsTheMaster() {
    Tip tip = new Tip(14, 90, 10);
    JobPlan plan = plan(study(air(500), List.of(tip, new Tip(30, 0, 0)), NONE, NONE, 0), MARRAM);
    Caution.Fix fix = caution(plan, "air.poured").orElseThrow().fixes().get(0);
    assertEquals(fix.label(), "Tip it 14°");
    assertEquals(fix.price(), "no air");
    Choices tipped = ChoiceWords.edit(Choices.fresh(Units.METRIC), fix.edits(), MARRAM);
    // the top goes towards +y, as the tip was computed
    Vec3 top = tipped.pose().turn().apply(Vec3.UP);
    Near.absolute(top.y(), Math.sin(Math.toRadians(14)), 1e-12);
    Near.absolute(top.minus(tip.turn().apply(Vec3.UP)).norm(), 0, 1e-12);
    Near.absolute(tip.turn().apply(tip.up()).minus(Vec3.UP).norm(), 0, 1e-12);
  }

  @Test
  public void aThreadIsTurnedNotPulled() {
    ShapeStudy s = study(NONE, List.of(), NONE, NONE, 0);
    JobPlan plain = plan(s, MARRAM, Edit.of("mould.kind", "OPEN"));
    assertFalse(caution(plain, "locks.thread").isPresent());
    assertTrue(said(plain, "open").endsWith("and pull the mould off."), said(plain, "open"));
    JobPlan bolt =
        plan(s, MARRAM, Edit.of("mould.kind", "OPEN"), Edit.of("marks.add", "THREAD 0+4"));
    assertTrue(caution(bolt, "locks.thread").orElseThrow().text().startsWith("Turn the mould"));
    assertTrue(said(bolt, "open").endsWith("turn it, do not pull."), said(bolt, "open"));
  }

  private static String said(JobPlan plan, String step) {
    return plan.steps().making().stream()
        .filter(s -> s.key().equals(step))
        .findFirst()
        .orElseThrow()
        .what();
  }

  @Test
  public void ventsAreOfferedAndPlaced() {
    JobPlan plan = plan(study(NONE, List.of(), air(800, 700), air(100), 0), MARRAM);
    Caution.Fix fix = caution(plan, "air.cast").orElseThrow().fixes().get(0);
    assertEquals(fix.label(), "Add 2 vents");
    assertEquals(fix.price(), "0.1 mL of air");
    Choices vented = ChoiceWords.edit(Choices.fresh(Units.METRIC), fix.edits(), MARRAM);
    assertEquals(
        vented.casting().vents(),
        List.of(new SurfacePoint(0, 0.25, 0.5), new SurfacePoint(1, 0.25, 0.5)));
    Choices none = ChoiceWords.edit(vented, List.of(Edit.of("casting.noVents", "")), MARRAM);
    assertTrue(none.casting().vents().isEmpty());
    Choices sprue =
        ChoiceWords.edit(vented, List.of(Edit.of("casting.sprue", "7 0.1 0.2")), MARRAM);
    assertEquals(sprue.casting().sprue(), new SurfacePoint(7, 0.1, 0.2));
    assertEquals(sprue.casting().vents().size(), 2);
    assertThrows(
        Refused.class,
        () -> ChoiceWords.edit(vented, List.of(Edit.of("casting.vent", "7 0.9 0.9")), MARRAM));
  }

  @Test
  public void stretchIsHeldAgainstTheSheet() {
    double elongation = MARRAM.elongationPct() / 100;
    JobPlan fine = plan(study(NONE, List.of(), NONE, NONE, elongation / 8), MARRAM);
    assertEquals(caution(fine, "locks.stretch").orElseThrow().level(), Caution.Level.NOTE);
    JobPlan worn = plan(study(NONE, List.of(), NONE, NONE, elongation / 5), MARRAM);
    assertEquals(caution(worn, "locks.stretch").orElseThrow().level(), Caution.Level.CHECK);
    JobPlan tears = plan(study(NONE, List.of(), NONE, NONE, elongation / 3), MARRAM);
    Caution stop = caution(tears, "locks.stretch").orElseThrow();
    assertEquals(stop.title(), "The mould tears coming off");
    assertEquals(stop.level(), Caution.Level.STOP);
    assertEquals(stop.fixes().get(0).edits().get(0), Edit.of("mould.kind", "CUT"));
    assertEquals(stop.fixes().get(1).edits().get(0), Edit.of("mould.kind", "TWO_PART"));
    // a quarter of it, and not more, is allowed
    JobPlan just = plan(study(NONE, List.of(), NONE, NONE, elongation / 4.01), MARRAM);
    assertEquals(caution(just, "locks.stretch").orElseThrow().level(), Caution.Level.CHECK);
    JobPlan thick =
        plan(
            study(NONE, List.of(), NONE, NONE, 0.2),
            MARRAM,
            Edit.of("mould.sidesMm", "25 mm"),
            Edit.of("mould.overTopMm", "25 mm"));
    assertTrue(caution(thick, "locks.stretch").orElseThrow().text().contains("pare the wall"));
    // closed all round, it is cut and need not stretch
    JobPlan hung =
        plan(study(NONE, List.of(), NONE, NONE, 0.5), MARRAM, Edit.of("pose.liftMm", "10 mm"));
    assertFalse(caution(hung, "locks.stretch").isPresent());
    JobPlan bare = plan(study(NONE, List.of(), NONE, NONE, 0.5), null);
    assertTrue(
        caution(bare, "locks.stretch").orElseThrow().text().contains("no rubber is chosen yet"));
  }

  /** Of a block of 184.8 mL, lifted off the plate, over half stays air: no pocket to vent. */
  @Test
  public void aSprueOnTheWrongSideIsSaid() {
    ShapeStudy some = study(NONE, List.of(), air(90_000), NONE, 0);
    assertTrue(caution(poured(some), "air.cast").isPresent());
    assertFalse(caution(poured(some), "sprue.low").isPresent());
    JobPlan plan = poured(study(NONE, List.of(), air(93_000), NONE, 0));
    assertFalse(caution(plan, "air.cast").isPresent());
    Caution c = caution(plan, "sprue.low").orElseThrow();
    assertEquals(c.title(), "The sprue is on the wrong side: 93.0 mL of 184.8 mL would stay air");
    assertTrue(c.text().startsWith("As the mould lies, turned over, most of"), c.text());
    assertEquals(c.place(), new Caution.Place(3, 4, 20));
    // through the base that is not the sprue's fault
    JobPlan base = plan(study(NONE, List.of(), air(93_000), NONE, 0), MARRAM);
    assertTrue(caution(base, "air.cast").isPresent());
  }

  /** Through 24 mm of rubber, or from the seam through so much with so many vents of 4 mm. */
  private static boolean besideSeam(double rubberMm, int vents, boolean enough) {
    return besideSeam("TWO_PART", rubberMm, vents, enough);
  }

  private static boolean besideSeam(String kind, double rubberMm, int vents, boolean enough) {
    Vec3 at = new Vec3(3, 4, 20);
    List<VentWay> more = new ArrayList<>();
    for (int i = 0; i < vents; i++) {
      more.add(way(at, 4, 0));
    }
    ShapeStudy s = study(NONE, List.of(), NONE, NONE, 0);
    Found now = new Found(Attitude.OVER, 0, List.of(), 0, true);
    Found there = new Found(Attitude.OVER, 900, more, 0, enough);
    CastStudy.SeamInlet in =
        new CastStudy.SeamInlet(
            new SurfacePoint(5, 0.25, 0.5), way(new Vec3(0, 0, 15), rubberMm, 0), there);
    ShapeStudy beside =
        with(
            s,
            CastStudy.Inlet.HIGHEST,
            s.cast().ways(),
            s.cast().passages(),
            way(at, 24, 0),
            in,
            s.rubber().ceilings(),
            List.of(now),
            s.rubber().empties());
    Optional<Caution> said =
        caution(plan(beside, MARRAM, Edit.of("mould.kind", kind)), "sprue.aside");
    said.ifPresent(
        c -> {
          assertEquals(c.title(), "The sprue passes 24 mm of rubber beside the seam");
          assertEquals(c.text().endsWith(" asks for one vent instead of none."), vents == 1);
          Caution.Fix fix = c.fixes().get(0);
          assertEquals(fix.edits(), List.of(Edit.of("casting.sprue", "5 0.25 0.5")));
          assertTrue(fix.price().endsWith(" of rubber for sprue and vents, now 24 mm"));
        });
    return said.isPresent();
  }

  /** For no more than two thirds of the rubber, and one vent more. */
  @Test
  public void aSprueInTheSeamIsOfferedWhereItDoesAsWell() {
    assertTrue(besideSeam(0, 0, true));
    assertTrue(besideSeam(16, 0, true));
    assertFalse(besideSeam(16.1, 0, true));
    assertTrue(besideSeam(12, 1, true));
    assertFalse(besideSeam(12.1, 1, true));
    assertFalse(besideSeam(0, 2, true));
    assertFalse(besideSeam(0, 0, false));
    assertFalse(besideSeam("CUT", 0, 0, true), "the master stands on it");
  }

  private static JobPlan poured(ShapeStudy s) {
    return plan(
        with(
            s, CastStudy.Inlet.SPRUE, s.cast().ways(), s.rubber().ceilings(), s.rubber().empties()),
        MARRAM,
        Edit.of("pose.liftMm", "10 mm"));
  }

  /** What fills a branch of 2 mL of so much ease, 37 mm below the pour line, with usual resin. */
  private static JobPlan branched(double easeMm4) {
    Section body = new Section(-1, new Vec3(0, 0, 30), 100_000, 2, 40, 1e6);
    Section branch = new Section(0, new Vec3(10, 0, 5), 2_000, 2, 0.6, easeMm4);
    ShapeStudy s = study(NONE, List.of(), NONE, NONE, 0);
    Passages ways = new Passages(List.of(body, branch));
    return plan(
        with(
            s,
            s.cast().inlet(),
            s.cast().ways(),
            ways,
            s.rubber().ceilings(),
            s.rubber().empties()),
        MARRAM);
  }

  /**
   * At worst 2 ÷ (e ÷ 8) × 1000 of it have to pass 399 Pa ÷ 0.15 Pa·s × 360 s × 0.9 ÷ ln 10, at
   * best 2 ÷ (e ÷ 3) × 1000 as much without thickening: e = 0.043 and 0.0063 are just in time.
   */
  @Test
  public void aBranchThatGelsBeforeItIsFullIsSaid() {
    assertFalse(caution(branched(0.05), "cast.late").isPresent());
    for (double may : new double[] {0.038, 0.0072}) {
      Caution c = caution(branched(may), "cast.late").orElseThrow();
      assertEquals(c.title(), "A thin branch may gel before it is full");
      assertEquals(c.level(), Caution.Level.CHECK);
      assertTrue(
          c.text().startsWith("2.0 mL of the cast lie behind a passage 0.6 mm wide."), c.text());
      assertTrue(c.text().contains("; at best it is there after"), c.text());
      assertEquals(c.place(), new Caution.Place(10, 0, 5));
    }
    Caution c = caution(branched(0.0055), "cast.late").orElseThrow();
    assertEquals(c.title(), "A thin branch gels before it is full");
    assertEquals(c.level(), Caution.Level.STOP);
    String last = branched(0.0055).figures().get("cast.last").text();
    assertEquals(last, "more than 6 min, when it gels");
    assertTrue(branched(0.05).figures().get("cast.last").text().matches(".* s to \\d+ min"));
  }

  @Test
  public void aVentThatLeadsBackIntoTheCastIsSaid() {
    JobPlan plan = plan(study(NONE, List.of(), NONE, NONE, 0), MARRAM);
    Caution c = caution(plan, "vent.back").orElseThrow();
    assertTrue(c.text().contains("passes 5 mm of rubber and 15 mm of the cast"), c.text());
    assertEquals(c.place(), new Caution.Place(3, 4, 20));
    assertEquals(plan.figures().get("vents.rubber").text(), "5 mm");
  }

  /** Through 3 mm of the cast it only grazes it; of several the first is shown. */
  @Test
  public void severalVentsThatLeadBackAreCounted() {
    assertFalse(caution(vented(way(Vec3.ZERO, 5, 3)), "vent.back").isPresent());
    JobPlan two =
        vented(
            way(new Vec3(9, 9, 9), 5, 2.9),
            way(new Vec3(1, 2, 3), 4, 3.1),
            way(new Vec3(4, 5, 6), 7, 8));
    Caution c = caution(two, "vent.back").orElseThrow();
    assertEquals(c.title(), "2 vents lead back into the cast");
    assertTrue(c.text().contains("passes 4 mm of rubber and 3.1 mm of the cast"), c.text());
    assertEquals(c.place(), new Caution.Place(1, 2, 3));
  }

  private static JobPlan vented(VentWay... ways) {
    ShapeStudy s = study(NONE, List.of(), NONE, NONE, 0);
    return plan(
        with(s, s.cast().inlet(), List.of(ways), s.rubber().ceilings(), s.rubber().empties()),
        MARRAM);
  }

  /** The largest pocket comes first, and is where it is shown. */
  @Test
  public void airInTheCastIsShownAtItsLargestPocket() {
    AirCells cells = new AirCells(new Grid(Vec3.ZERO, 1, 1, 1, 1), new int[0]);
    Result pockets =
        new Result(
            900,
            0,
            List.of(
                new Pocket(600, new Vec3(7, 8, 21), 5), new Pocket(300, new Vec3(-3, 2, 30), 4)),
            cells);
    Caution c =
        caution(plan(study(NONE, List.of(), pockets, pockets, 0), MARRAM), "air.cast")
            .orElseThrow();
    assertEquals(c.place(), new Caution.Place(7, 8, 21));
    assertTrue(c.text().contains("2 pockets, the largest 0.6 mL, 5 mm deep"), c.text());
  }

  @Test
  public void whatIsClosedByThePlateIsSaid() {
    Result closed =
        new Result(0, 5_000, List.of(), new AirCells(new Grid(Vec3.ZERO, 1, 1, 1, 1), new int[0]));
    JobPlan plan = plan(study(closed, List.of(), NONE, NONE, 0), MARRAM);
    assertTrue(caution(plan, "air.closed").orElseThrow().title().contains("5.0 mL"));
  }

  private static ShapeFacts form(FormStudy form, MarkedPlaces marked) {
    return new ShapeFacts(study(NONE, List.of(), NONE, NONE, 0), form, marked);
  }

  private static Hollow hole(boolean through, double width, double depth) {
    return new Hollow(through, Vec3.UP, new Vec3(1, 2, 12), 44, width, depth);
  }

  /** The box with a few facets round a place marked. */
  private static MarkedPlaces marked(Mark mark, Vec3 place) {
    Vec3 shift = place.minus(Shapes.box().middle(0));
    return new MarkedPlaces(Shapes.box(), Marks.NONE.with(mark, new FacetSet("0+1")), shift);
  }

  @Test
  public void aWebIsCutOrTheHolePlugged() {
    FormStudy two = new FormStudy(List.of(hole(true, 7, 0), hole(true, 7, 0)), List.of());
    Caution c = caution(plan(form(two, UNMARKED), MARRAM, List.of()), "locks.web").orElseThrow();
    assertEquals(c.title(), "2 webs of rubber run through the master");
    assertTrue(c.text().contains("smallest section is 0.4 cm², 7 mm wide, 12 mm above"), c.text());
    assertEquals(c.place(), new Caution.Place(1, 2, 12));
    MarkedPlaces plugged = marked(Mark.PLUG, new Vec3(1, 2, 18));
    assertFalse(caution(plan(form(two, plugged), MARRAM, List.of()), "locks.web").isPresent());
  }

  @Test
  public void aBlindHoleBindsWhenItIsDeep() {
    FormStudy deep = new FormStudy(List.of(hole(false, 6, 13)), List.of());
    FormStudy shallow = new FormStudy(List.of(hole(false, 6, 11)), List.of());
    Caution c = caution(plan(form(deep, UNMARKED), MARRAM, List.of()), "locks.blind").orElseThrow();
    assertTrue(c.text().startsWith("13 mm deep and 6 mm wide, 12 mm above the plate."), c.text());
    assertEquals(c.level(), Caution.Level.CHECK);
    assertFalse(
        caution(plan(form(shallow, UNMARKED), MARRAM, List.of()), "locks.blind").isPresent());
    JobPlan thread = plan(form(deep, marked(Mark.THREAD, new Vec3(1, 2, 12))), MARRAM, List.of());
    assertTrue(caution(thread, "locks.blind").orElseThrow().text().contains("unscrew"));
  }

  @Test
  public void aThinLimbIsSaidUntilItIsMarkedFragile() {
    Vec3 tip = new Vec3(0, 0, 40);
    ThinPart limb = new ThinPart(ThinPart.Kind.LIMB, 3, 24, tip, new Vec3(0, 0, 16));
    FormStudy form = new FormStudy(List.of(), List.of(limb));
    Caution c = caution(plan(form(form, UNMARKED), MARRAM, List.of()), "master.thin").orElseThrow();
    assertEquals(c.title(), "A thin limb");
    assertTrue(c.text().contains("In a cast it points down"), c.text());
    JobPlan fragile = plan(form(form, marked(Mark.FRAGILE, tip)), MARRAM, List.of());
    assertFalse(caution(fragile, "master.thin").isPresent());
  }

  @Test
  public void levelCeilingsSayHowFarAirCreeps() {
    ShapeStudy s = study(NONE, List.of(), NONE, NONE, 0);
    ShapeStudy level = with(s, List.of(new Ceiling(new Vec3(1, 2, 3), 22, 450)), Empties.NONE);
    JobPlan plan = plan(level, MARRAM);
    Caution c = caution(plan, "air.level").orElseThrow();
    assertTrue(c.text().contains("4.5 cm² lie within 3° of level"), c.text());
    assertTrue(c.text().contains("air has to go 22 mm sideways"), c.text());
    assertFalse(caution(plan, "air.castlevel").isPresent());
  }

  @Test
  public void aCupIsFilledFirstSoThatItFloatsLess() {
    ShapeStudy s = study(NONE, List.of(), NONE, NONE, 0);
    Empties.Cup cup = new Empties.Cup(new Vec3(0, 0, 2), 42, 200_000);
    ShapeStudy hollow = with(s, List.of(), new Empties(List.of(cup), 0));
    Edit loose = Edit.of("mould.fixing", "NONE");
    Edit wood = Edit.of("master.material", "WOOD");
    Caution c = caution(plan(hollow, MARRAM, loose, wood), "master.floats").orElseThrow();
    assertTrue(
        c.text()
            .contains("With the rubber at 42 mm it keeps out 384.8 mL, of which 200.0 mL is air."),
        c.text());
    String filled = caution(plan(s, MARRAM, loose, wood), "master.floats").orElseThrow().title();
    String pulls = filled.replaceAll(".*: (.* N), .*", "$1");
    assertEquals(
        c.fixes().get(0).label(), "Hold it with double-sided tape", "what ends it stands first");
    assertTrue(
        c.fixes().get(1).label().startsWith("Fill the inside first: " + pulls + " pulls up"),
        c.fixes().get(1).label() + " after " + filled);
    Edit inside = Edit.of("mould.filling", "INSIDE_FIRST");
    JobPlan first = plan(hollow, MARRAM, loose, wood, inside);
    assertEquals(caution(first, "master.floats").orElseThrow().title(), filled);
    assertTrue(
        first.steps().making().stream()
            .anyMatch(t -> t.what().startsWith("Fill the inside of the")),
        "the order of work says so");
  }

  @Test
  public void aCupThatLiftsNothingIsNotOfferedToBeFilled() {
    ShapeStudy s = study(NONE, List.of(), NONE, NONE, 0);
    Empties.Cup low = new Empties.Cup(new Vec3(0, 0, 2), 5, 2_000);
    JobPlan plan =
        plan(
            with(s, List.of(), new Empties(List.of(low), 0)),
            MARRAM,
            Edit.of("mould.fixing", "NONE"),
            Edit.of("master.material", "WOOD"));
    Caution c = caution(plan, "master.floats").orElseThrow();
    assertEquals(
        c.fixes().stream().map(Caution.Fix::label).toList(),
        List.of("Hold it with double-sided tape"));
  }

  /** Tape holds 15 kPa: on 6.7 mm² that is a tenth of a newton. */
  @Test
  public void whatHoldsNextToNothingIsNotGivenANumber() {
    for (double restMm2 : new double[] {6.6, 6.7}) {
      MasterFacts m = Blocks.measured(80, 55, 42);
      MasterFacts standing =
          new MasterFacts(m.sizeMm(), m.topMm(), m.curve(), restMm2, null, null, "measured");
      Choices c = Choices.fresh(Units.METRIC);
      for (Edit e :
          List.of(
              Edit.of("master.source", "MEASURED"),
              Edit.of("master.material", "WOOD"),
              Edit.of("mould.fixing", "TAPE"))) {
        c = ChoiceWords.edit(c, List.of(e), MARRAM);
      }
      JobPlan plan = JobPlan.of(c, standing, MARRAM, Workshop.DEFAULT);
      String text = caution(plan, "master.floats").orElseThrow().text();
      String holds =
          restMm2 < 6.65 ? "tape barely holds." : "tape holds about 0.1 N; count on half.";
      assertTrue(text.endsWith(holds), text);
    }
  }

  /** 40 mL lie far enough off: three tenths of it, 12 mL, may be offcuts. */
  @Test
  public void offcutsTakeThePlaceOfNewRubberAsFarAsThereIsRoom() {
    ShapeStudy s = study(NONE, List.of(), NONE, NONE, 0);
    JobPlan without = plan(s, MARRAM);
    assertEquals(without.figures().get("offcuts.most").value(), 12_000, 1e-6);
    JobPlan some = plan(s, MARRAM, Edit.of("rubber.offcutsMm3", "10 mL"));
    double saved =
        without.figures().get("rubber.mix").value() - some.figures().get("rubber.mix").value();
    assertEquals(saved, 10_000, 1e-6);
    assertEquals(
        some.figures().get("rubber.box").value(), without.figures().get("rubber.box").value());
    assertFalse(caution(some, "offcuts.many").isPresent());
    JobPlan many = plan(s, MARRAM, Edit.of("rubber.offcutsMm3", "50 mL"));
    Edit fix = caution(many, "offcuts.many").orElseThrow().fixes().get(0).edits().get(0);
    assertFalse(caution(plan(s, MARRAM, fix), "offcuts.many").isPresent());
  }

  @Test
  public void nothingEndsOnACleanFace() {
    ShapeFacts shape = form(PLAIN, UNMARKED);
    List<Edit> placed =
        List.of(Edit.of("casting.vent", "5 0.2 0.2"), Edit.of("casting.sprue", "7 0.2 0.2"));
    assertFalse(caution(plan(shape, MARRAM, placed), "clean.vent").isPresent());
    List<Edit> clean = new ArrayList<>(placed);
    clean.add(Edit.of("marks.add", "KEEP_CLEAN 5+3"));
    JobPlan plan = plan(shape, MARRAM, clean);
    assertEquals(
        caution(plan, "clean.vent").orElseThrow().fixes().get(0).edits(),
        List.of(Edit.of("casting.noVents", "")));
    assertEquals(caution(plan, "clean.vent").orElseThrow().place(), new Caution.Place(3, 4, 20));
    assertTrue(caution(plan, "clean.sprue").isPresent());
    assertThrows(
        Refused.class, () -> plan(shape, MARRAM, List.of(Edit.of("marks.add", "SHINY 5+3"))));
    assertThrows(
        Refused.class, () -> plan(shape, MARRAM, List.of(Edit.of("marks.add", "PLUG 5-3"))));
  }

  @Test
  public void airAgainstACleanFaceIsSaid() {
    ShapeStudy s = study(air(900), List.of(), NONE, NONE, 0);
    MarkedPlaces clean = marked(Mark.KEEP_CLEAN, new Vec3(3, 4, 21));
    JobPlan plan = plan(new ShapeFacts(s, PLAIN, clean), MARRAM, List.of());
    assertTrue(caution(plan, "air.poured").orElseThrow().text().contains("marked keep clean"));
    assertFalse(caution(plan(s, MARRAM), "air.poured").orElseThrow().text().contains("keep clean"));
  }

  @Test
  public void whatStandsOnASurfaceGoesWithIt() {
    Choices c = Choices.fresh(Units.METRIC);
    c = ChoiceWords.edit(c, List.of(Edit.of("master.source", "SOLID")), null);
    c =
        ChoiceWords.edit(
            c,
            List.of(Edit.of("marks.add", "BASE 0+4"), Edit.of("casting.vent", "5 0.2 0.2")),
            null);
    assertEquals(c.marks().of(Mark.BASE).facets().cardinality(), 4);
    Choices turned = ChoiceWords.edit(c, List.of(Edit.of("pose.turned", "x 90")), null);
    assertEquals(turned.marks(), c.marks());
    Choices other = ChoiceWords.edit(c, List.of(Edit.of("master.solid.kind", "SPHERE")), null);
    assertEquals(other.marks(), Marks.NONE);
    assertTrue(other.casting().vents().isEmpty());
  }
}
