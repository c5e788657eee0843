package ungula.core.mesh;

import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;

public class SurfacePointTest {

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
