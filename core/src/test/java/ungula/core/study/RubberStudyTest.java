package ungula.core.study;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.air.Tips;
import ungula.core.air.Vents;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.master.Tessellation;
import ungula.core.mesh.Outline;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.BoxInside;
import ungula.core.mould.FacingFaces;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class RubberStudyTest {

  private static RubberStudy.Made made(PosedMaster master, double lift, Parallel parallel) {
    Box3 b = master.mesh().bounds();
    Vec3 wall = new Vec3(12, 12, 0);
    RubberStudy.Question q =
        new RubberStudy.Question(
            new Box3(b.min().minus(wall), b.max().plus(wall).plus(new Vec3(0, 0, lift + 10))),
            BoxInside.rectangle(b.size().x(), b.size().y(), 12, 12, 12, 12).ring(),
            lift,
            master.restMm2() > 0 && lift == 0);
    FacingFaces across = FacingFaces.of(master.mesh(), parallel, Progress.NONE);
    return RubberStudy.of(master, across, q, parallel, Progress.NONE);
  }

  private static RubberStudy study(PosedMaster master, double lift) {
    return made(master, lift, Parallel.ALL).study();
  }

  private static PosedMaster posed(TriangleMesh mesh) {
    return PosedMaster.of(mesh, 1, Pose.AS_MODELLED);
  }

  @Test
  public void aCupMouthDownClearOfThePlate() {
    RubberStudy s = study(posed(Shapes.cup()), 5);
    Near.relative(s.air().totalMm3(), 97_690, 0.01);
    // as deep as it is, no tip of 30° lets the air out; less stays
    assertTrue(s.tips().isEmpty() || s.tips().get(0).airMm3() > 10_000);
  }

  @Test
  public void aCupOnThePlateKeepsTheRubberOut() {
    RubberStudy s = study(posed(Shapes.cup()), 0);
    assertEquals(s.air().totalMm3(), 0.0);
    Near.relative(s.air().unreachedMm3(), 97_690, 0.01);
  }

  @Test
  public void aShallowDishIsTipped() {
    // hollow underneath like a hat, sides rising at 11.3°: tipped further, air runs out along them
    TriangleMesh dish =
        Tessellation.turned(
            new double[][] {{0, 8}, {0, 8}, {30, 2}, {33, 2}, {33, 11}, {0, 11}}, 200);
    PosedMaster master = posed(dish);
    RubberStudy s = study(master, 8);
    Near.relative(s.air().totalMm3(), Math.PI * 900 * 6 / 3, 0.03);
    Tips.Tip best = s.tips().get(0);
    assertTrue(best.airMm3() < Vents.WORTH_MM3, "left " + best);
    assertTrue(best.degrees() <= 21, "tipped further than need be: " + best);
    // the same tip as a pose of the master gives the same answer
    Pose tipped = Pose.AS_MODELLED.tipped(best.degrees() + " " + best.towardsDegrees());
    PosedMaster again = PosedMaster.of(dish, 1, tipped);
    Near.absolute(study(again, 8).air().totalMm3(), 0, Vents.WORTH_MM3);
  }

  @Test
  public void theSectionShowsTheAirWhereItIs() {
    RubberStudy s = study(posed(Shapes.cup()), 5);
    // the cup's inside, seen in the middle: 52 wide from its rim to its ceiling
    List<double[]> cut = s.airAt(Cut.FRONT, 0);
    double area = cut.stream().mapToDouble(r -> Math.abs(Outline.area(r))).sum();
    Near.relative(area, 52 * 46, 0.03);
    double top = cut.stream().flatMapToDouble(Arrays::stream).max().orElseThrow();
    Near.absolute(top, 5 + 46, 1);
    double across = s.airAt(Cut.TOP, 30).stream().mapToDouble(r -> Math.abs(Outline.area(r))).sum();
    Near.relative(across, Math.PI * 26 * 26, 0.03);
    Near.relative(
        s.airAt(Cut.SIDE, 0).stream().mapToDouble(r -> Math.abs(Outline.area(r))).sum(),
        52 * 46,
        0.03);
    assertTrue(s.airAt(Cut.FRONT, 40).isEmpty());
  }

  @Test
  public void theNumberOfThreadsDoesNotShow() {
    PosedMaster master = posed(Harbour.SEAL_PUP.mesh());
    RubberStudy.Made one = made(master, 0, new Parallel(1));
    RubberStudy.Made two = made(master, 0, new Parallel(2));
    assertEquals(two.study().air().totalMm3(), one.study().air().totalMm3());
    assertEquals(two.study().offcutsMm3(), one.study().offcutsMm3());
    assertTrue(Arrays.equals(two.wallSteps(), one.wallSteps()));
  }
}
