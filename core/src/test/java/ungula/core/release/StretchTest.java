package ungula.core.release;

import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;
import ungula.core.plate.Laying;
import ungula.core.plate.Plate;
import ungula.core.work.Parallel;

/** Figures by hand: cords round circles are as their diameters. */
public class StretchTest {

  private static final Pose UPRIGHT = new Pose(Rotation.NONE, 0);

  /** A head of Ø 13 on a shank of Ø 3. */
  private static final TriangleMesh PEG =
      Tessellation.turned(
          new double[][] {{0, 0}, {1.5, 0}, {1.5, 20}, {6.5, 20}, {6.5, 28}, {0, 28}}, 90);

  private static Stretch stretch(PosedMaster posed) {
    return Stretch.pulledUp(posed.bodies(), Parallel.ALL);
  }

  /** A peg beside others. */
  private static TriangleMesh with(TriangleMesh others, double mm) {
    return Shapes.both(others, PEG, new Vec3(mm, 0, 0));
  }

  @Test
  public void aPegAloneStretchesTheRubberByItsHeadOverItsShank() {
    Stretch one = stretch(PosedMaster.of(PEG, 1, UPRIGHT));
    Near.relative(one.share(), 13 / 3.0 - 1, 1e-6);
    assertTrue(one.throatMm() < 20 && one.wideMm() > 20, one.toString());
  }

  @Test
  public void severalOnAPlateStretchItByNoLess() {
    PosedMaster copies = PosedMaster.of(PEG, 1, UPRIGHT, new Plate(3, Laying.CLOSE, 12));
    Near.relative(stretch(copies).share(), 13 / 3.0 - 1, 1e-6);
    TriangleMesh three = with(with(PEG, 30), 60);
    Near.relative(stretch(PosedMaster.of(three, 1, UPRIGHT)).share(), 13 / 3.0 - 1, 1e-6);
  }

  @Test
  public void theBodyThatAsksForMostDecides() {
    TriangleMesh block =
        Tessellation.turned(new double[][] {{0, 0}, {20, 0}, {15, 40}, {0, 40}}, 60);
    TriangleMesh both = with(block, 40);
    Near.relative(stretch(PosedMaster.of(both, 1, UPRIGHT)).share(), 13 / 3.0 - 1, 1e-6);
  }

  @Test
  public void aFlangeThinnerThanALevelIsNotMissed() {
    // 0.1 mm of rim on a staff of 100 mm
    TriangleMesh staff =
        Tessellation.turned(
            new double[][] {
              {0, 0}, {4, 0}, {4, 60.01}, {8, 60.01}, {8, 60.11}, {4, 60.11}, {4, 100}, {0, 100}
            },
            60);
    Near.relative(stretch(PosedMaster.of(staff, 1, UPRIGHT)).share(), 1, 1e-6);
  }
}
