package ungula.core.release;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.geometry.Box3;
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

  /** Ridges of Ø 20 over roots of Ø 16 on a shank of Ø 20, a pitch of 4 mm. */
  private static TriangleMesh bolt(double headMm) {
    List<double[]> profile = new ArrayList<>(List.of(new double[] {0, 0}, new double[] {10, 0}));
    profile.add(new double[] {10, 20});
    for (double z = 20; z < 60; z += 4) {
      profile.add(new double[] {8, z + 2});
      profile.add(new double[] {10, z + 4});
    }
    profile.add(new double[] {headMm / 2, 60});
    profile.add(new double[] {headMm / 2, 68});
    profile.add(new double[] {0, 68});
    return Tessellation.turned(profile.toArray(double[][]::new), 90);
  }

  private static List<Box3> thread(TriangleMesh bolt) {
    return IntStream.range(0, bolt.triangleCount())
        .mapToObj(bolt::bounds)
        .filter(f -> f.min().z() >= 20 && f.max().z() <= 60.001 && f.min().z() < f.max().z())
        .toList();
  }

  @Test
  public void aThreadIsUnscrewedAndAsksForNoStretch() {
    TriangleMesh bolt = PosedMaster.of(bolt(20), 1, UPRIGHT).mesh();
    List<TriangleMesh> body = List.of(bolt);
    // as it is, a root of Ø 16 has to pass a ridge of Ø 20
    Near.relative(Stretch.pulledUp(body, Parallel.ALL).share(), 20 / 16.0 - 1, 0.01);
    assertEquals(Stretch.pulledUp(body, thread(bolt), Parallel.ALL).share(), 0, 1e-3);
    // its head still has to pass, over the ridges
    TriangleMesh headed = PosedMaster.of(bolt(30), 1, UPRIGHT).mesh();
    Near.relative(
        Stretch.pulledUp(List.of(headed), thread(headed), Parallel.ALL).share(),
        30 / 20.0 - 1,
        0.01);
  }
}
