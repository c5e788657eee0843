package ungula.core.air;

import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;

public class SeamPlaceTest {

  private static final Vec3 X = new Vec3(1, 0, 0);

  /** Of a ball of r 30 a plane 10 mm off its middle cuts a circle of r 28.28. */
  @Test
  public void aBallIsHighestAboveItsMiddle() {
    TriangleMesh ball = Shapes.sphere();
    FlatSeam seam = new FlatSeam(X, 10, null);
    Vec3 top = SeamPlace.highest(ball, seam, Vec3.UP).orElseThrow().on(ball);
    Near.absolute(top.x(), 10, 1e-9);
    Near.absolute(top.z(), 30 + Math.sqrt(800), 0.02);
    Vec3 low = SeamPlace.highest(ball, seam, Vec3.UP.times(-1)).orElseThrow().on(ball);
    Near.absolute(low.z(), 30 - Math.sqrt(800), 0.02);
    assertTrue(SeamPlace.highest(ball, new FlatSeam(X, 31, null), Vec3.UP).isEmpty());
  }

  /** Half a plane reaches half of the ball. */
  @Test
  public void aSeamOnOneSideIsLookedForThere() {
    TriangleMesh ball = Shapes.sphere();
    Vec3 towards = new Vec3(0, 1, 0);
    FlatSeam seam = new FlatSeam(X, 0.2, towards);
    Vec3 most = SeamPlace.highest(ball, seam, towards).orElseThrow().on(ball);
    Near.absolute(most.y(), 30, 0.02);
    Vec3 least = SeamPlace.highest(ball, seam, towards.times(-1)).orElseThrow().on(ball);
    Near.absolute(least.y(), 0, 0.7);
    assertTrue(least.y() >= 0);
  }
}
