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
import ungula.core.air.Vents;
import ungula.core.attitude.Attitude;
import ungula.core.attitude.Face;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.master.Tessellation;
import ungula.core.mesh.Outline;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.SurfacePoint;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class CastStudyTest {

  private static CastStudy.Question question(
      PosedMaster master, double lift, SurfacePoint... vents) {
    Box3 b = master.mesh().bounds();
    Vec3 wall = new Vec3(12, 12, 0);
    return new CastStudy.Question(
        new Box3(b.min().minus(wall), b.max().plus(wall).plus(new Vec3(0, 0, lift + 10))),
        lift,
        master.restMm2() > 0 && lift == 0,
        null,
        List.of(vents),
        Attitude.OVER,
        List.of(Face.TOP),
        null);
  }

  private static CastStudy study(PosedMaster master, double lift, SurfacePoint... vents) {
    return CastStudy.of(master, null, question(master, lift, vents), Parallel.ALL, Progress.NONE);
  }

  private static PosedMaster posed(TriangleMesh mesh) {
    return PosedMaster.of(mesh, 1, Pose.AS_MODELLED);
  }

  /** Turned over, it is filled through its rim, its highest place: level all round. */
  @Test
  public void aCupTurnedOverKeepsNone() {
    assertEquals(study(posed(Shapes.cup()), 5).air().totalMm3(), 0.0);
  }

  /** A leaning cylinder is highest off its middle; in the seam it is so on the slope of its end. */
  @Test
  public void aPlaceForTheSprueInTheSeamIsFound() {
    PosedMaster leaning =
        PosedMaster.of(
            Shapes.plainCylinder(), 1, new Pose(Rotation.about(new Vec3(0, 1, 0), 20), 0));
    Seam seam = new FlatSeam(new Vec3(1, 0, 0), 0, null);
    CastStudy s = CastStudy.of(leaning, seam, question(leaning, 5), Parallel.ALL, Progress.NONE);
    CastStudy.SeamInlet in = s.seamInlet();
    Vec3 at = in.way().at();
    Near.absolute(at.x(), 0, 1e-6);
    Vec3 lowest = s.sprueWay().at();
    Near.absolute(at.z(), lowest.z() + lowest.x() * Math.tan(Math.toRadians(20)), 0.01);
    Near.absolute(in.way().rubberMm(), 0, 0.1);
    assertEquals(in.found().vents().size(), 1, "the rim above it keeps air");
    assertNull(study(leaning, 5).seamInlet(), "without a seam there is none");
  }

  @Test
  public void ventsProposedForTheOctopusLetItsAirOut() {
    PosedMaster octopus = posed(Harbour.COARSE_OCTOPUS.mesh());
    CastStudy before = study(octopus, 0);
    assertTrue(before.air().totalMm3() > 5_000, "air " + before.air().totalMm3());
    assertTrue(before.vented().totalMm3() < 10 * Vents.WORTH_MM3);
    assertFalse(before.vents().isEmpty());
    SurfacePoint[] vents =
        before.vents().stream().map(CastStudy.Vent::at).toArray(SurfacePoint[]::new);
    CastStudy after = study(octopus, 0, vents);
    assertTrue(after.air().totalMm3() < 0.1 * before.air().totalMm3());
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
    CastStudy s = study(master, 0);
    assertTrue(s.air().totalMm3() > 1_000, "air " + s.air().totalMm3());
    Vec3 top = s.air().pockets().get(0).top();
    Near.absolute(top.z(), 10, 1);
    double area = 0;
    for (double[] r : s.airAt(Cut.FRONT, top.y())) {
      area += Math.abs(Outline.area(r));
      for (int i = 0; i < r.length; i += 2) {
        assertTrue(r[i] > master.mesh().bounds().max().x() - 12 && r[i + 1] > 9);
      }
    }
    assertTrue(area > 50, "area " + area);
    Near.absolute(s.vents().get(0).point().z(), 10, 1.5);
  }

  @Test
  public void theNumberOfThreadsDoesNotShow() {
    PosedMaster master = posed(Harbour.SEAL_PUP.mesh());
    CastStudy.Question q = question(master, 0);
    CastStudy one = CastStudy.of(master, null, q, new Parallel(1), Progress.NONE);
    CastStudy two = CastStudy.of(master, null, q, new Parallel(2), Progress.NONE);
    assertEquals(two.air().totalMm3(), one.air().totalMm3());
    assertEquals(two.vents(), one.vents());
    assertTrue(Arrays.equals(two.air().cells().runs(), one.air().cells().runs()));
  }
}
