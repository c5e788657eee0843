package ungula.core.mesh;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.field.Grid;
import ungula.core.field.IsoSurface;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.work.Progress;

public class DecimationTest {

  /** Each triangle cut into four, so many times. */
  private static TriangleMesh fine(TriangleMesh mesh, int times) {
    TriangleMesh at = mesh;
    for (int n = 0; n < times; n++) {
      TriangleMesh.Builder b = new TriangleMesh.Builder(4 * at.triangleCount());
      for (int t = 0; t < at.triangleCount(); t++) {
        Vec3[] v = new Vec3[6];
        for (int k = 0; k < 3; k++) {
          v[k] = at.vertex(at.corners()[3 * t + k]);
        }
        for (int k = 0; k < 3; k++) {
          v[3 + k] = v[k].plus(v[(k + 1) % 3]).times(0.5);
        }
        for (int[] s : new int[][] {{0, 3, 5}, {3, 1, 4}, {5, 4, 2}, {3, 4, 5}}) {
          b.triangle(vertex(b, v[s[0]]), vertex(b, v[s[1]]), vertex(b, v[s[2]]));
        }
      }
      at = b.build();
    }
    return at;
  }

  private static int vertex(TriangleMesh.Builder b, Vec3 v) {
    return b.vertex(v.x(), v.y(), v.z());
  }

  @DataProvider
  public Object[][] bodies() {
    Rotation turn = Rotation.about(new Vec3(1, 2, 3), 37);
    return new Object[][] {
      {"box", fine(Shapes.box(), 4), 12},
      {"turned box", fine(Shapes.turned(Shapes.box(), turn), 4), 12},
      // two lids of 240 corners, the wall between them of 480
      {"cylinder", fine(Shapes.plainCylinder(), 2), 4 * 240 - 4},
    };
  }

  @Test(dataProvider = "bodies")
  public void flatPartsAreDrawnTogether(String name, TriangleMesh mesh, int least) {
    TriangleMesh few = Decimation.flat(mesh, Progress.NONE);
    same(few, mesh, 1e-9);
    // what is left where the order of drawing was not the best is little
    assertTrue(
        few.triangleCount() >= least && few.triangleCount() <= 1.3 * least,
        few.triangleCount() + " for " + least);
  }

  @Test
  public void whatIsCurvedStaysAsItIs() {
    TriangleMesh torus = Shapes.torus();
    TriangleMesh few = Decimation.flat(torus, Progress.NONE);
    assertEquals(few.triangleCount(), torus.triangleCount());
  }

  /** Laid through a grid: a block with a ball hollowed out of its top. */
  @Test
  public void ofASurfaceLaidThroughAGridTheFlatSidesGo() {
    TriangleMesh block = Shapes.box();
    Grid grid = Grid.round(block.bounds(), 2, 1);
    Vec3 top = new Vec3(0, 0, block.bounds().max().z());
    Vec3 middle = block.bounds().centre();
    Vec3 half = block.bounds().size().times(0.5);
    TriangleMesh all =
        IsoSurface.of(
            grid,
            cell -> {
              Vec3 p = grid.centre(cell);
              Vec3 off = p.minus(middle);
              double d =
                  Math.max(
                      Math.abs(off.x()) - half.x(),
                      Math.max(Math.abs(off.y()) - half.y(), Math.abs(off.z()) - half.z()));
              return Math.max(d, 15 - p.minus(top).norm());
            });
    TriangleMesh few = Decimation.flat(all, Progress.NONE);
    same(few, all, 1e-6);
    assertTrue(
        4 * few.triangleCount() < all.triangleCount(),
        few.triangleCount() + " of " + all.triangleCount());
  }

  private static void same(TriangleMesh few, TriangleMesh all, double within) {
    Topology t = Topology.of(few);
    assertTrue(t.closed() && t.consistentSense());
    assertEquals(t.genus(), Topology.of(all).genus());
    Near.relative(few.measure().volumeMm3(), all.measure().volumeMm3(), within);
    Near.relative(few.measure().areaMm2(), all.measure().areaMm2(), within);
  }
}
