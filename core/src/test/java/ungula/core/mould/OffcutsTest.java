package ungula.core.mould;

import static org.testng.Assert.assertEquals;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class OffcutsTest {

  private static final double C = Offcuts.CLEAR_MM;

  /** A ball in a roomy box, and a box whose coat is cut off by walls as near as that. */
  @DataProvider
  Object[][] boxes() {
    double ball = 4 / 3.0 * Math.PI * Math.pow(30 + C, 3);
    TriangleMesh sphere =
        Tessellation.turned(half(30), 180).moved(1, Rotation.NONE, new Vec3(0, 0, 30));
    TriangleMesh block = Tessellation.box(60, 40, 50);
    double low = block.bounds().min().z();
    return new Object[][] {
      {sphere, 60.0, 60.0, 120.0, 120 * 120 * 120.0 - ball},
      {block.moved(1, Rotation.NONE, new Vec3(0, 0, -low)), 40.0, 30.0, 60.0, 0.0 + corners()}
    };
  }

  /** Outside ten millimetres of a block's upright edges and upper corners, in the box round it. */
  private static double corners() {
    double edges = (4 - Math.PI) * C * C * 50;
    double rims = 2 * (60 + 40) * (1 - Math.PI / 4) * C * C;
    double tips = (8 - 4 * Math.PI / 3) / 2 * C * C * C;
    return edges + rims + tips;
  }

  private static double[][] half(double r) {
    double[][] points = new double[91][];
    for (int i = 0; i <= 90; i++) {
      double a = Math.PI * i / 90 - Math.PI / 2;
      points[i] = new double[] {i == 0 || i == 90 ? 0 : r * Math.cos(a), 30 + r * Math.sin(a)};
    }
    return points;
  }

  @Test(dataProvider = "boxes")
  public void roomIsWhatTheCoatLeaves(
      TriangleMesh master, double x, double y, double top, double expected) {
    double[] ring = {-x, -y, x, -y, x, y, -x, y};
    Box3 inside = new Box3(new Vec3(-x, -y, 0), new Vec3(x, y, top));
    double room = Offcuts.roomMm3(master, inside, ring, Parallel.ALL, Progress.NONE);
    // half a cell along the walls is what it may be off
    assertEquals(room, expected, 0.005 * inside.volume());
  }
}
