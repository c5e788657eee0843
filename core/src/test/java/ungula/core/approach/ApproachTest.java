package ungula.core.approach;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static ungula.core.Near.absolute;
import static ungula.core.Near.relative;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Effort;
import ungula.core.Shapes;
import ungula.core.approach.Approach.Worth;
import ungula.core.approach.Ranking.Ranked;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.choice.Materials;
import ungula.core.choice.Weights;
import ungula.core.days.Diary;
import ungula.core.days.Forecast;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Rotation;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.MouldKind;
import ungula.core.plan.PlanFigures;
import ungula.core.quantity.Units;
import ungula.core.record.Recorded;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.step.Timeline;
import ungula.core.study.MeshReport;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;
import ungula.core.working.Figure;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;
import ungula.core.workshop.Workshop;

public class ApproachTest {

  private static final Product MARRAM = ExampleProducts.all().get("marram-20");

  private static final TriangleMesh BLOCK = Shapes.box();

  /** What several tests ask is worked out once. */
  private static final Map<List<Object>, List<Approach>> ASKED = new ConcurrentHashMap<>();

  private static List<Approach> of(TriangleMesh mesh, Edit... edits) {
    return ASKED.computeIfAbsent(
        List.of(mesh, List.of(edits)), asked -> of(Workshop.DEFAULT, mesh, edits));
  }

  private static List<Approach> of(Workshop workshop, TriangleMesh mesh, Edit... edits) {
    MeshReport report = MeshReport.of(mesh, Progress.NONE).report();
    Choices c = ChoiceWords.edit(Choices.fresh(Units.METRIC), List.of(edits), MARRAM);
    return new ApproachSearch(
            mesh, report, c, Recorded.NOTHING, Materials.of(MARRAM), workshop, Parallel.ALL)
        .run(Progress.NONE).stream().map(a -> a.timed(begun(c, workshop))).toList();
  }

  /** A job that begins on a plain Monday. */
  private static Timeline begun(Choices c, Workshop w) {
    return Timeline.of(List.of(), w.hours(), Forecast.of(w.roomC()), c.days(), Diary.PLAIN);
  }

  private static Approach one(List<Approach> all, MouldKind kind) {
    return all.stream().filter(a -> a.kind() == kind).findFirst().orElseThrow();
  }

  private static double value(Approach a, String key) {
    return a.figures().get(key).value();
  }

  /** 40 × 60 × 80 in 12 mm of rubber, 10 over the top: least lying on its largest face. */
  @Test
  public void aBoxIsCastOpen() {
    // on metal no patch has to cure first
    List<Approach> all = of(BLOCK, Edit.of("master.material", "METAL"));
    Ranked ranked = Ranking.of(all, new Weights(5, 5, 5, 5));
    Approach first = ranked.approaches().get(0);
    assertEquals(first.kind(), MouldKind.OPEN);
    relative(value(first, "rubber"), 84.0 * 104 * 50 - 192_000, 0.001);
    assertEquals(value(first, "seam"), 0.0);
    absolute(value(first, "stretch"), 0, 1e-9);
    assertTrue(ranked.says().startsWith("Choose the open mould, laid on its "), ranked.says());
    Approach halves = one(all, MouldKind.TWO_PART);
    assertTrue(halves.works(), halves.reason());
    assertEquals(value(halves, "pieces"), 2.0);
    assertTrue(value(halves, "rubber") > value(first, "rubber"));
    assertTrue(value(halves, "open") > 1.8 * value(first, "open"));
  }

  /** 64 × 84 × 90, turned over: a circle of 105.6 and 90 high, 10 clear all round. */
  @Test
  public void whetherEachFitsThePotIsSaid() {
    assertFalse(of(BLOCK).get(0).figures().containsKey("pot"));
    Workshop pot =
        Workshop.words()
            .edit(
                Workshop.DEFAULT,
                List.of(
                    Edit.of("equipment.potDiameterMm", "160 mm"),
                    Edit.of("equipment.potHeightMm", "111 mm")),
                Units.METRIC);
    List<Approach> all = of(pot, BLOCK);
    String open = one(all, MouldKind.OPEN).figures().get("pot").text();
    assertTrue(open.startsWith("fits"), open);
    String halves = one(all, MouldKind.TWO_PART).figures().get("pot").text();
    assertTrue(halves.startsWith("too large by "), halves);
  }

  /** Two blocks in one box take less than two boxes. */
  @Test
  public void anOpenMouldIsComparedWithAllItsMasters() {
    Approach one = one(of(BLOCK), MouldKind.OPEN);
    Approach two = one(of(BLOCK, Edit.of("plate.copies", "2")), MouldKind.OPEN);
    double rubber = value(two, "rubber");
    assertTrue(rubber > 1.5 * value(one, "rubber") && rubber < 2 * value(one, "rubber"));
  }

  /** Beside a plate of two stand two moulds of each other kind, for the same two masters. */
  @Test
  public void whatIsComparedIsForAsManyMasters() {
    Approach one = one(of(BLOCK), MouldKind.TWO_PART);
    Approach two = one(of(BLOCK, Edit.of("plate.copies", "2")), MouldKind.TWO_PART);
    assertTrue(two.title().startsWith("2 two-part moulds, one master each, "), two.title());
    for (String sum : new String[] {"rubber", "mass", "cast", "money", "work"}) {
      relative(value(two, sum), 2 * value(one, sum), 1e-9);
    }
    assertEquals(two.figures().get("open").label(), "until the first is open");
    assertEquals(value(two, "open"), value(one, "open"));
    assertEquals(value(two, "seam"), value(one, "seam"));
    relative(two.worth().work(), 2 * one.worth().work(), 1e-9);
  }

  /** 34 × 54 × 37 of the box laid on its largest face is left for a core behind walls of 3 mm. */
  @Test
  public void hollowCastsAreComparedToo() {
    Approach core = hollow(of(BLOCK));
    assertTrue(core.works() && core.title().startsWith("open mould with a core, "), core.title());
    relative(value(core, "cast"), 192_000 - 54.0 * 74 * 37, 0.01);
    absolute(value(core, "core"), 0, 0.5);
    Choices chosen = ChoiceWords.edit(Choices.fresh(Units.METRIC), core.edits(), MARRAM);
    assertEquals(chosen.hollow().wallMm(), 3.0);
    Approach thin = hollow(of(Harbour.WAVE_TILE.mesh()));
    assertTrue(thin.works() || thin.reason().contains("core"), thin.reason());
    List<Approach> asked = of(BLOCK, Edit.of("hollow.wallMm", "5 mm"));
    assertTrue(asked.stream().noneMatch(Approach::hollow));
    relative(value(one(asked, MouldKind.OPEN), "cast"), 192_000 - 30.0 * 50 * 75, 0.01);
  }

  private static Approach hollow(List<Approach> all) {
    return all.stream().filter(Approach::hollow).findFirst().orElseThrow();
  }

  @Test
  public void aBallHasNothingToStandOn() {
    List<Approach> all = of(Shapes.sphere());
    assertFalse(one(all, MouldKind.OPEN).works());
    Approach halves = one(all, MouldKind.TWO_PART);
    relative(value(halves, "seam"), 2 * Math.PI * 30, 0.01);
    assertTrue(value(halves, "locked") < 200);
    Approach cut = one(all, MouldKind.CUT);
    relative(value(cut, "seam"), Math.PI * 30, 0.01);
    // all it takes to choose it is in its edits
    Choices chosen = ChoiceWords.edit(Choices.fresh(Units.METRIC), halves.edits(), MARRAM);
    assertEquals(chosen.mould().kind(), MouldKind.TWO_PART);
    assertTrue(chosen.pose().liftMm() > 0 && chosen.mould().sidesMm() >= 16);
  }

  @Test
  public void aRingCannotBePulledOutOfOnePiece() {
    List<Approach> all = of(Shapes.torus());
    Approach open = one(all, MouldKind.OPEN);
    assertFalse(open.works());
    assertTrue(one(all, MouldKind.TWO_PART).works());
  }

  @DataProvider
  Object[][] masters() {
    return new Object[][] {
      {"bell", Harbour.BELL.mesh(), Set.of(MouldKind.values())},
      {"finial", Harbour.FINIAL.mesh(), Set.of(MouldKind.CUT, MouldKind.TWO_PART, MouldKind.SKIN)},
      {"tile", Harbour.WAVE_TILE.mesh(), Set.of(MouldKind.values())},
      {"knot", Harbour.ROPE_KNOT.mesh(), Set.of(MouldKind.CUT, MouldKind.TWO_PART)},
      {"octopus", Harbour.COARSE_OCTOPUS.mesh(), Set.of(MouldKind.CUT, MouldKind.SKIN)},
    };
  }

  @Test(dataProvider = "masters")
  public void whatWorksForTheDemoMasters(String name, TriangleMesh mesh, Set<MouldKind> works) {
    List<Approach> all = of(mesh);
    Set<MouldKind> found =
        all.stream().filter(Approach::works).map(Approach::kind).collect(Collectors.toSet());
    assertEquals(found, works, name);
    for (Approach a : all) {
      a.figures().values().forEach(f -> assertTrue(Double.isFinite(f.value()), f.key()));
      assertTrue(a.works() || a.reason().endsWith("."), a.reason());
    }
    // what works comes first
    assertEquals(all.get(0).works(), true);
  }

  @Test
  public void everyDemoMasterIsComparedInTime() {
    TriangleMesh mesh = Harbour.NAUTILUS.mesh();
    MeshReport report = MeshReport.of(mesh, Progress.NONE).report();
    Choices c = Choices.fresh(Units.METRIC);
    ApproachSearch search =
        new ApproachSearch(
            mesh,
            report,
            c,
            Recorded.NOTHING,
            Materials.of(MARRAM),
            Workshop.DEFAULT,
            Parallel.ALL);
    Effort<List<Approach>> all = Effort.of(() -> search.run(Progress.NONE));
    assertTrue(all.result().size() >= 3);
    assertTrue(all.seconds() < 8, all.seconds() + " s");
  }

  private static Approach made(String title, String reason, double... w) {
    FigureBook book = new FigureBook(Approach.FIGURES, Units.METRIC, "€");
    book.cost("money", "", w[0], Working.of("").done());
    book.put("open", "", w[1], w[1] + " h", Working.of("").done());
    book.put("work", "", w[2], w[2] + " h", Working.of("").done());
    book.length("seam", "", w[3], Working.of("").done());
    return new Approach(
        MouldKind.CUT,
        title,
        Rotation.NONE,
        false,
        title.startsWith("hollow"),
        reason,
        List.of(),
        book.all(),
        new Worth(w[0], w[1], w[2], w[3]),
        List.of(),
        1);
  }

  @Test
  public void whatCountsDecides() {
    Approach cheap = made("cheap", "", 10, 30, 4, 200);
    Approach quick = made("quick", "", 30, 10, 2, 300);
    Approach clean = made("clean", "", 40, 40, 5, 0);
    Approach hollow = made("hollow", "", 1, 1, 1, 1);
    Approach none = made("none", "It cannot.", 1, 1, 1, 1);
    List<Approach> all = List.of(none, hollow, clean, quick, cheap);
    Map<String, Weights> by =
        Map.of(
            "cheap", new Weights(10, 1, 0, 0),
            "quick", new Weights(0, 10, 5, 0),
            "clean", new Weights(1, 0, 0, 10));
    by.forEach(
        (title, weights) -> {
          Ranked r = Ranking.of(all, weights);
          assertEquals(r.approaches().get(0).title(), title);
          assertEquals(r.approaches().subList(3, 5), List.of(hollow, none));
          assertTrue(r.says().startsWith("Choose the " + title + ". Compared with the "), r.says());
        });
    Ranked quickest = Ranking.of(all, new Weights(0, 10, 5, 0));
    assertTrue(quickest.says().contains("10.0 h until it is open against 30.0 h"), quickest.says());
    assertTrue(quickest.says().contains(". Compared with the cheap: "), quickest.says());
    assertEquals(
        quickest.brief(),
        "Choose the quick. It is open sooner and takes less work than the cheap.");
    Ranked cheapest = Ranking.of(List.of(cheap, made("dear", "", 20, 10, 2, 300)), by.get("cheap"));
    assertEquals(cheapest.brief(), "Choose the cheap. It costs less than the dear.");
    Ranked alike = Ranking.of(List.of(cheap, made("twin", "", 10, 30, 4, 200)), by.get("cheap"));
    assertEquals(alike.brief(), "Choose the cheap. The twin is as good.");
    Ranked lonely = Ranking.of(List.of(none, cheap), by.get("clean"));
    assertTrue(lonely.says().endsWith("else works."));
    assertEquals(lonely.brief(), "Choose the cheap. Nothing else works.");
    assertEquals(Ranking.of(List.of(none), by.get("clean")).says(), "");
    assertEquals(Ranking.of(List.of(none), by.get("clean")).brief(), "");
  }

  /** Sixty urethane casts, all of them up to a third of the elongation and a fifth at its end. */
  @Test
  public void stretchWearsAMould() {
    Approach bell = one(of(Harbour.BELL.mesh()), MouldKind.OPEN);
    double share = 100 * value(bell, "stretch") / MARRAM.elongationPct();
    double left = 1 - 0.8 * Math.max(0, Math.min(1, 1.5 * share - 0.5));
    absolute(value(bell, "casts"), 60 * left, 1e-9);
  }

  /**
   * An open mould that is only assumed can still be taken; once it is, there is nothing to take.
   */
  /** One thing, one figure: a plan looks more closely than the comparison. */
  @Test
  public void whatIsChosenSaysWhatItsPlanSays() {
    FigureBook rough = new FigureBook(Approach.FIGURES, Units.METRIC, "€");
    rough.put("air", "air in a cast", 0, "none found", Working.of("").done());
    rough.length("seam", "seam", 300, Working.of("").done());
    FigureBook close = new FigureBook(PlanFigures.KEYS, Units.METRIC, "€");
    close.volume("air.cast", "air in a cast", 120, Working.of("").done());
    for (boolean now : new boolean[] {true, false}) {
      Approach a =
          new Approach(
              MouldKind.CUT,
              "",
              Rotation.NONE,
              now,
              false,
              "",
              List.of(),
              rough.all(),
              new Worth(0, 0, 0, 0),
              List.of(),
              1);
      Map<String, Figure> said = a.asPlanned(close.all()).figures();
      assertEquals(said.get("air").text(), now ? "0.1 mL" : "none found");
      assertEquals(said.get("seam").text(), "300 mm");
      // before its shape is worked out nothing else is known
      assertEquals(a.asPlanned(Map.of()).figures().get("air").text(), "none found");
    }
  }

  @Test
  public void whatIsAssumedCanBeTaken() {
    Approach stands =
        new Approach(
            MouldKind.OPEN,
            "open mould",
            Rotation.NONE,
            true,
            false,
            "",
            List.of(),
            Map.of(),
            new Worth(0, 0, 0, 0),
            List.of(),
            1);
    Choices fresh = Choices.fresh(Units.METRIC);
    Approach offered = stands.offered(fresh);
    assertFalse(offered.now());
    Choices taken = ChoiceWords.edit(fresh, offered.edits(), MARRAM);
    assertTrue(stands.offered(taken).now());
    assertEquals(stands.offered(taken).edits(), List.of());
  }
}
