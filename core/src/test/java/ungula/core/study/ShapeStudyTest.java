package ungula.core.study;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.air.FlatSeam;
import ungula.core.air.Seam;
import ungula.core.air.Tips;
import ungula.core.air.Vents;
import ungula.core.attitude.Attitude;
import ungula.core.attitude.Face;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mark.FacetSet;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.master.Tessellation;
import ungula.core.mesh.Outline;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.SurfacePoint;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.BoxInside;
import ungula.core.mould.FacingFaces;
import ungula.core.study.ShapeStudy.Question;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class ShapeStudyTest {

  private static Question question(PosedMaster master, double lift, SurfacePoint... vents) {
    Box3 b = master.mesh().bounds();
    Vec3 wall = new Vec3(12, 12, 0);
    double x = b.size().x();
    double y = b.size().y();
    return new Question(
        new Box3(b.min().minus(wall), b.max().plus(wall).plus(new Vec3(0, 0, lift + 10))),
        BoxInside.rectangle(x, y, 12, 12, 12, 12).ring(),
        lift,
        master.restMm2() > 0 && lift == 0,
        null,
        List.of(vents),
        Attitude.OVER,
        List.of(Face.TOP),
        FacetSet.NONE,
        null);
  }

  private static ShapeStudy.Made made(PosedMaster master, Question q, Parallel parallel) {
    FacingFaces across = FacingFaces.of(master.mesh(), parallel, Progress.NONE);
    return ShapeStudy.of(master, across, null, q, parallel, Progress.NONE);
  }

  private static ShapeStudy study(PosedMaster master, Question q) {
    return made(master, q, Parallel.ALL).study();
  }

  private static PosedMaster posed(TriangleMesh mesh) {
    return PosedMaster.of(mesh, 1, Pose.AS_MODELLED);
  }

  @Test
  public void aCupMouthDownClearOfThePlate() {
    PosedMaster cup = posed(Shapes.cup());
    ShapeStudy s = study(cup, question(cup, 5));
    Near.relative(s.poured().totalMm3(), 97_690, 0.01);
    // as deep as it is, no tip of 30° lets the air out; less stays
    assertTrue(s.tips().isEmpty() || s.tips().get(0).airMm3() > 10_000);
    // turned over, it is filled through its rim, its highest place: level all round
    assertEquals(s.cast().totalMm3(), 0.0);
    Near.relative(s.locks().volume().oneMm3(), 97_690 + 5 * Math.PI * 900, 0.15);
  }

  @Test
  public void aCupOnThePlateKeepsTheRubberOut() {
    PosedMaster cup = posed(Shapes.cup());
    ShapeStudy s = study(cup, question(cup, 0));
    assertEquals(s.poured().totalMm3(), 0.0);
    Near.relative(s.poured().unreachedMm3(), 97_690, 0.01);
  }

  /** A leaning cylinder is highest off its middle; in the seam it is so on the slope of its end. */
  @Test
  public void aPlaceForTheSprueInTheSeamIsFound() {
    PosedMaster leaning =
        PosedMaster.of(
            Shapes.plainCylinder(), 1, new Pose(Rotation.about(new Vec3(0, 1, 0), 20), 0));
    Question q = question(leaning, 5);
    Seam seam = new FlatSeam(new Vec3(1, 0, 0), 0, null);
    FacingFaces across = FacingFaces.of(leaning.mesh(), Parallel.ALL, Progress.NONE);
    ShapeStudy s = ShapeStudy.of(leaning, across, seam, q, Parallel.ALL, Progress.NONE).study();
    ShapeStudy.SeamInlet in = s.seamInlet();
    Vec3 at = in.way().at();
    Near.absolute(at.x(), 0, 1e-6);
    Vec3 lowest = s.sprueWay().at();
    Near.absolute(at.z(), lowest.z() + lowest.x() * Math.tan(Math.toRadians(20)), 0.01);
    Near.absolute(in.way().rubberMm(), 0, 0.1);
    assertEquals(in.found().vents().size(), 1, "the rim above it keeps air");
    assertNull(study(leaning, q).seamInlet(), "without a seam there is none");
  }

  @Test
  public void aShallowDishIsTipped() {
    // hollow underneath like a hat, sides rising at 11.3°: tipped further, air runs out along them
    TriangleMesh dish =
        Tessellation.turned(
            new double[][] {{0, 8}, {0, 8}, {30, 2}, {33, 2}, {33, 11}, {0, 11}}, 200);
    PosedMaster master = posed(dish);
    ShapeStudy s = study(master, question(master, 8));
    Near.relative(s.poured().totalMm3(), Math.PI * 900 * 6 / 3, 0.03);
    Tips.Tip best = s.tips().get(0);
    assertTrue(best.airMm3() < Vents.WORTH_MM3, "left " + best);
    assertTrue(best.degrees() <= 21, "tipped further than need be: " + best);
    // the same tip as a pose of the master gives the same answer
    Pose tipped = Pose.AS_MODELLED.tipped(best.degrees() + " " + best.towardsDegrees());
    PosedMaster again = PosedMaster.of(dish, 1, tipped);
    Near.absolute(study(again, question(again, 8)).poured().totalMm3(), 0, Vents.WORTH_MM3);
  }

  @Test
  public void ventsProposedForTheOctopusLetItsAirOut() {
    PosedMaster octopus = posed(Harbour.COARSE_OCTOPUS.mesh());
    ShapeStudy before = study(octopus, question(octopus, 0));
    assertTrue(before.cast().totalMm3() > 5_000, "air " + before.cast().totalMm3());
    assertTrue(before.vented().totalMm3() < 10 * Vents.WORTH_MM3);
    assertFalse(before.vents().isEmpty());
    SurfacePoint[] vents =
        before.vents().stream().map(ShapeStudy.Vent::at).toArray(SurfacePoint[]::new);
    ShapeStudy after = study(octopus, question(octopus, 0, vents));
    assertTrue(after.cast().totalMm3() < 0.1 * before.cast().totalMm3());
    // vents let air out of casts, not out of the rubber
    assertEquals(after.poured().totalMm3(), before.poured().totalMm3());
  }

  @Test
  public void theSectionShowsTheAirWhereItIs() {
    PosedMaster cup = posed(Shapes.cup());
    ShapeStudy s = study(cup, question(cup, 5));
    // the cup's inside, seen in the middle: 52 wide from its rim to its ceiling
    List<double[]> cut = s.pouredAt(Cut.FRONT, 0);
    double area = cut.stream().mapToDouble(r -> Math.abs(Outline.area(r))).sum();
    Near.relative(area, 52 * 46, 0.03);
    double top = cut.stream().flatMapToDouble(Arrays::stream).max().orElseThrow();
    Near.absolute(top, 5 + 46, 1);
    double across =
        s.pouredAt(Cut.TOP, 30).stream().mapToDouble(r -> Math.abs(Outline.area(r))).sum();
    Near.relative(across, Math.PI * 26 * 26, 0.03);
    Near.relative(
        s.pouredAt(Cut.SIDE, 0).stream().mapToDouble(r -> Math.abs(Outline.area(r))).sum(),
        52 * 46,
        0.03);
    assertTrue(s.pouredAt(Cut.FRONT, 40).isEmpty());
  }

  @Test
  public void airInACastIsShownAsItLiesInTheMould() {
    // an arm that hangs: turned over, its end stands up and keeps its air
    TriangleMesh arm =
        Shapes.both(Tessellation.box(20, 20, 40), Tessellation.box(60, 10, 10), Vec3.ZERO);
    TriangleMesh hook = Shapes.both(arm, Tessellation.box(10, 10, 25), new Vec3(25, 0, 0));
    double[] p = hook.xyz();
    for (int v = 8; v < 16; v++) {
      p[3 * v + 2] += 28;
    }
    for (int v = 16; v < 24; v++) {
      p[3 * v + 2] += 10;
    }
    PosedMaster master = posed(new TriangleMesh(p, hook.corners()));
    ShapeStudy s = study(master, question(master, 0));
    assertTrue(s.cast().totalMm3() > 1_000, "air " + s.cast().totalMm3());
    Vec3 top = s.cast().pockets().get(0).top();
    Near.absolute(top.z(), 10, 1);
    double area = 0;
    for (double[] r : s.castAt(Cut.FRONT, top.y())) {
      area += Math.abs(Outline.area(r));
      for (int i = 0; i < r.length; i += 2) {
        assertTrue(r[i] > master.mesh().bounds().max().x() - 12 && r[i + 1] > 9);
      }
    }
    assertTrue(area > 50, "area " + area);
    Near.absolute(s.vents().get(0).point().z(), 10, 1.5);
  }

  @Test
  public void aMouldStretchesOverWhatIsWiderAboveAThroat() {
    // waist r 10 under a head r 15
    TriangleMesh mushroom =
        Tessellation.turned(
            new double[][] {{0, 0}, {20, 0}, {10, 10}, {10, 30}, {15, 35}, {15, 45}, {0, 45}}, 200);
    PosedMaster master = posed(mushroom);
    ShapeStudy s = study(master, question(master, 0));
    Near.relative(s.stretch().share(), 0.5, 1e-6);
    assertTrue(s.stretch().throatMm() < s.stretch().wideMm());
    // upside down the foot is the widest: 20 over 10
    PosedMaster over =
        PosedMaster.of(mushroom, 1, new Pose(Rotation.about(new Vec3(1, 0, 0), 180), 0));
    Near.relative(study(over, question(over, 0)).stretch().share(), 1.0, 1e-4);
    // nothing to pass: straight or tapering
    PosedMaster box = posed(Shapes.box());
    Near.absolute(study(box, question(box, 0)).stretch().share(), 0, 1e-6);
  }

  @Test
  public void theNumberOfThreadsDoesNotShow() {
    PosedMaster master = posed(Harbour.SEAL_PUP.mesh());
    Question q = question(master, 0);
    ShapeStudy.Made one = made(master, q, new Parallel(1));
    ShapeStudy.Made two = made(master, q, new Parallel(2));
    assertEquals(two.study().cast().totalMm3(), one.study().cast().totalMm3());
    assertEquals(two.study().vents(), one.study().vents());
    assertEquals(two.study().locks(), one.study().locks());
    assertTrue(Arrays.equals(two.study().cast().cells().runs(), one.study().cast().cells().runs()));
    assertTrue(Arrays.equals(two.lockedShare(), one.lockedShare()));
    assertTrue(Arrays.equals(two.wallSteps(), one.wallSteps()));
  }

  @Test
  public void aPlaceStaysOnItsFacetHoweverTheMasterIsTurned() {
    TriangleMesh mesh = Harbour.FINIAL.mesh();
    Vec3 wanted = mesh.vertex(777).plus(new Vec3(0.01, 0.02, 0));
    SurfacePoint at = SurfacePoint.nearest(mesh, wanted);
    Near.absolute(at.on(mesh).minus(wanted).norm(), 0, 0.03);
    Rotation turn = Rotation.about(new Vec3(1, 2, 3), 50);
    Vec3 there = at.on(Shapes.turned(mesh, turn));
    Near.absolute(there.minus(turn.apply(at.on(mesh))).norm(), 0, 1e-9);
  }
}
