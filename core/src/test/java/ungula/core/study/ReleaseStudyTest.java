package ungula.core.study;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mark.FacetSet;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class ReleaseStudyTest {

  private static ReleaseStudy.Made made(PosedMaster master, Parallel parallel) {
    return ReleaseStudy.of(master, FacetSet.NONE, parallel, Progress.NONE);
  }

  private static ReleaseStudy study(PosedMaster master) {
    return made(master, Parallel.ALL).study();
  }

  private static PosedMaster posed(TriangleMesh mesh) {
    return PosedMaster.of(mesh, 1, Pose.AS_MODELLED);
  }

  /** The rubber in it cannot be pulled up. */
  @Test
  public void aCupMouthDownLocksWhatIsInIt() {
    double locked = study(posed(Shapes.cup())).locks().volume().oneMm3();
    Near.relative(locked, 97_690, 0.15);
  }

  @Test
  public void aMouldStretchesOverWhatIsWiderAboveAThroat() {
    // waist r 10 under a head r 15
    TriangleMesh mushroom =
        Tessellation.turned(
            new double[][] {{0, 0}, {20, 0}, {10, 10}, {10, 30}, {15, 35}, {15, 45}, {0, 45}}, 200);
    PosedMaster master = posed(mushroom);
    ReleaseStudy s = study(master);
    Near.relative(s.stretch().share(), 0.5, 1e-6);
    assertTrue(s.stretch().throatMm() < s.stretch().wideMm());
    // upside down the foot is the widest: 20 over 10
    PosedMaster over =
        PosedMaster.of(mushroom, 1, new Pose(Rotation.about(new Vec3(1, 0, 0), 180), 0));
    Near.relative(study(over).stretch().share(), 1.0, 1e-4);
    // nothing to pass: straight or tapering
    PosedMaster box = posed(Shapes.box());
    Near.absolute(study(box).stretch().share(), 0, 1e-6);
  }

  @Test
  public void theNumberOfThreadsDoesNotShow() {
    PosedMaster master = posed(Harbour.SEAL_PUP.mesh());
    ReleaseStudy.Made one = made(master, new Parallel(1));
    ReleaseStudy.Made two = made(master, new Parallel(2));
    assertEquals(two.study().locks(), one.study().locks());
    assertTrue(Arrays.equals(two.lockedShare(), one.lockedShare()));
  }
}
