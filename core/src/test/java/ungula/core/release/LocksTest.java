package ungula.core.release;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.Random;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class LocksTest {

  private static final Vec3 ACROSS = new Vec3(1, 0, 0);

  private static Locks.Result locks(TriangleMesh mesh, Vec3 pull, boolean two) {
    return Locks.of(mesh, pull, two, Parallel.ALL, Progress.NONE);
  }

  @Test
  public void aSphereComesOutOfTwoHalvesAndLocksHalfOfOne() {
    Locks.Result one = locks(Shapes.sphere(), Vec3.UP, false);
    Near.relative(one.releasedMm2(), 5_654.9, 0.002);
    Near.relative(one.lockedMm2(), 5_654.9, 0.002);
    // under it: a cylinder of its radius less half a sphere, πr³/3
    Near.relative(one.volume().oneMm3(), Math.PI * 27_000 / 3, 0.003);
    Locks.Result two = locks(Shapes.sphere(), new Vec3(1, -2, 0.5), true);
    assertEquals(two.lockedMm2(), 0.0);
    assertEquals(two.volume().twoMm3(), 0.0);
  }

  @Test
  public void sidesAlongThePullAreReleased() {
    Locks.Result one = locks(Shapes.box(), Vec3.UP, false);
    Near.absolute(one.releasedMm2(), 18_400, 1e-6);
    Near.absolute(one.lockedMm2(), 2_400, 1e-6);
    assertEquals(locks(Shapes.cylinder(), Vec3.UP, true).lockedMm2(), 0.0);
  }

  @Test
  public void aRingLocksAcrossAndNotAlongItsAxis() {
    assertEquals(locks(Shapes.torus(), Vec3.UP, true).lockedMm2(), 0.0);
    Locks.Result across = locks(Shapes.torus(), ACROSS, true);
    assertTrue(across.lockedMm2() > 5_000, "locked " + across.lockedMm2());
    // what has ring on both sides of it: the hole as seen, ∫ 2(R·cos…) by fine columns
    Near.relative(across.volume().twoMm3(), ringHole(), 0.01);
  }

  /** Room between the two limbs of the ring along x, by its own fine sum. */
  private static double ringHole() {
    double sum = 0;
    int n = 2000;
    double step = 104.0 / n;
    for (int j = 0; j < n; j++) {
      double y = -52 + (j + 0.5) * step;
      for (int k = 0; k < n; k++) {
        double z = -12 + (k + 0.5) * 24.0 / n;
        double half = Math.sqrt(144 - z * z);
        double in = (40 - half) * (40 - half) - y * y;
        sum += in > 0 ? 2 * Math.sqrt(in) * step * 24.0 / n : 0;
      }
    }
    return sum;
  }

  @Test
  public void aCupLocksItsCoreWhenPulledTheWrongWay() {
    // pulled up, the room under the ceiling and the ring of the rim are held
    Locks.Result up = locks(Shapes.cup(), Vec3.UP, false);
    Near.relative(up.volume().oneMm3(), 97_690, 0.005);
    Near.absolute(up.volume().deepestMm(), 46, 0.4);
    assertEquals(up.volume().twoMm3(), 0.0);
    assertEquals(locks(Shapes.cup(), Vec3.UP, true).lockedMm2(), 0.0);
  }

  @Test
  public void largeFacetsHalfInTheWayCountHalf() {
    // two plates 40 × 60 × 5, the upper one to the side by half
    TriangleMesh plate = Shapes.box();
    double[] p = plate.xyz().clone();
    for (int i = 0; i < p.length; i += 3) {
      p[i + 2] = p[i + 2] / 80 * 5;
    }
    TriangleMesh flat = new TriangleMesh(p, plate.corners());
    TriangleMesh both = Shapes.both(flat, flat, new Vec3(20, 0, 30));
    Locks.Result r = locks(both, Vec3.UP, false);
    // both undersides, half of the lower plate's top, its one side under the upper plate
    Near.relative(r.lockedMm2(), 2 * 2400 + 1200 + 5 * 60, 0.001);
  }

  @Test
  public void twoPiecesReleaseNoLessThanOne() {
    TriangleMesh mesh = Harbour.NAUTILUS.mesh();
    Random random = new Random(2);
    for (int i = 0; i < 4; i++) {
      Vec3 d = new Vec3(random.nextGaussian(), random.nextGaussian(), random.nextGaussian());
      Locks.Result one = locks(mesh, d, false);
      Locks.Result two = locks(mesh, d, true);
      Locks.Result back = locks(mesh, d.times(-3), true);
      assertTrue(two.releasedMm2() >= one.releasedMm2());
      assertTrue(two.volume().twoMm3() <= one.volume().oneMm3());
      Near.relative(back.lockedMm2(), two.lockedMm2(), 1e-6);
      Near.relative(two.releasedMm2() + two.lockedMm2(), mesh.measure().areaMm2(), 1e-6);
    }
  }

  @Test
  public void theNumberOfThreadsDoesNotShow() {
    TriangleMesh mesh = Harbour.NAUTILUS.mesh();
    Locks.Result one = Locks.of(mesh, ACROSS, true, new Parallel(1), Progress.NONE);
    Locks.Result two = Locks.of(mesh, ACROSS, true, new Parallel(2), Progress.NONE);
    assertEquals(two.lockedMm2(), one.lockedMm2());
    assertEquals(two.volume(), one.volume());
    assertTrue(Arrays.equals(two.lockedShare(), one.lockedShare()));
  }

  @Test
  public void heightFieldsSeeTheBodyFromBothSides() {
    HeightFields cup = new HeightFields(Shapes.cup(), 512);
    HeightFields.View v = cup.along(Rotation.NONE);
    Near.absolute(v.heightMm(), 50, 1e-3);
    Near.relative(v.shadowMm2(), Math.PI * 900, 0.005);
    Near.relative(v.overMm3(), Math.PI * 900 * 50, 0.005);
    // from below one looks into it
    Near.relative(v.underMm3(), Math.PI * (900 * 50 - 26 * 26 * 46), 0.01);
    Near.relative(v.betweenMm3(), Shapes.cup().measure().volumeMm3(), 0.02);
    // one object serves many directions
    HeightFields.View side = cup.along(Rotation.bringing(ACROSS, Vec3.UP));
    Near.absolute(side.heightMm(), 60, 0.05);
    Near.relative(side.shadowMm2(), 60 * 50, 0.005);
  }
}
