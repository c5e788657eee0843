package ungula.core.air;

import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mesh.TriangleTree;

public class VentWayTest {

  /** A ball r 30 with its middle 50 above the plate, and a smaller one r 9 straight under it. */
  private static TriangleMesh balls() {
    TriangleMesh ball = Shapes.sphere();
    Vec3 c = ball.bounds().centre();
    TriangleMesh big = ball.moved(1, Rotation.NONE, new Vec3(-c.x(), -c.y(), 50 - c.z()));
    TriangleMesh small = ball.moved(0.3, Rotation.NONE, c.times(-0.3).plus(new Vec3(0, 0, 10)));
    return Shapes.both(big, small, Vec3.ZERO);
  }

  /** Turned over, out to where the plate was. */
  private static VentWay straight(Vec3 place) {
    TriangleMesh balls = balls();
    Vec3 wall = new Vec3(12, 12, 12);
    Box3 b = balls.bounds();
    Box3 block = new Box3(new Vec3(b.min().x() - 12, b.min().y() - 12, 0), b.max().plus(wall));
    return VentWay.straight(TriangleTree.of(balls), balls, place, new Vec3(0, 0, -1), block);
  }

  private static void is(VentWay way, double rubber, double cast) {
    Near.absolute(way.rubberMm(), rubber, 0.05);
    Near.absolute(way.castMm(), cast, 0.05);
  }

  @Test
  public void whatIsUnderItsPlaceIsPassed() {
    is(straight(new Vec3(0, 0, 1)), 1, 0);
    // from under the big ball, through the small one
    is(straight(new Vec3(0, 0, 20)), 2, 18);
    // from its top, through both
    is(straight(new Vec3(0, 0, 80)), 2, 78);
    // from its side, past the small one
    is(straight(new Vec3(30, 0, 50)), 50, 0);
  }
}
