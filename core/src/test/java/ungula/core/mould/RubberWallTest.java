package ungula.core.mould;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.RubberWall.Result;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class RubberWallTest {

  /** Walls at 50, at the back at 42. */
  private static final double[] RING = {-50, -50, 50, -50, 50, 42, -50, 42};

  private static Result of(TriangleMesh mesh, boolean standing) {
    return of(mesh, 75, standing);
  }

  private static Result of(TriangleMesh mesh, double topMm, boolean standing) {
    FacingFaces across = FacingFaces.of(mesh, new Parallel(2), Progress.NONE);
    return RubberWall.of(mesh, across, RING, topMm, standing);
  }

  private static TriangleMesh sphereAt(double z) {
    TriangleMesh s = Shapes.sphere();
    Vec3 c = s.bounds().centre();
    return s.moved(1, Rotation.NONE, new Vec3(-c.x(), -c.y(), z - c.z()));
  }

  @Test
  public void theNearestWallCounts() {
    // r 30 in the middle: 20, 12 at the back, 5 below, 10 to the pour line
    Result lifted = of(sphereAt(35), false);
    Near.absolute(lifted.thinnestMm(), 5, 0.1);
    assertFalse(lifted.facing());
    assertTrue(lifted.place().z() < 6);
    Result standing = of(sphereAt(35), true);
    Near.absolute(standing.thinnestMm(), 10, 0.1);
    assertTrue(standing.place().z() > 64);
  }

  @Test
  public void aFaceThatLooksBackCountsToo() {
    TriangleMesh two = Shapes.both(sphereAt(35), sphereAt(35), new Vec3(0, 0, 0));
    TriangleMesh apart =
        Shapes.both(
            sphereAt(20).moved(0.3, Rotation.NONE, new Vec3(-11, 0, 25)),
            sphereAt(20).moved(0.3, Rotation.NONE, new Vec3(11, 0, 25)),
            Vec3.ZERO);
    assertEquals(two.triangleCount(), apart.triangleCount());
    Result r = of(apart, false);
    Near.absolute(r.thinnestMm(), 22 - 18, 0.1);
    assertTrue(r.facing());
    Near.absolute(Math.abs(r.place().x()), 2, 0.1);
  }

  /** Rubber ends at the line where the master stands out of it: that is no wall over it. */
  @Test
  public void whereTheMasterStandsOutThereIsNoWallOverIt() {
    Result out = of(sphereAt(35), 50, true);
    Near.absolute(out.thinnestMm(), 12, 0.1);
    Near.absolute(out.place().y(), 30, 0.5);
  }

  @Test
  public void byFacetItIsInTenthsOfAMillimetre() {
    TriangleMesh s = sphereAt(35);
    Result r = of(s, false);
    for (int t = 0; t < s.triangleCount(); t += 97) {
      Vec3 p = s.middle(t);
      double mm =
          Math.min(
              Math.min(50 - Math.abs(p.x()), Math.min(42 - p.y(), 50 + p.y())),
              Math.min(75 - p.z(), p.z()));
      Near.absolute((r.steps()[t] & 255) * RubberWall.STEP_MM, Math.min(25.5, mm), 0.051);
    }
  }
}
