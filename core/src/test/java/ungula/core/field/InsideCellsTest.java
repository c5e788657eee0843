package ungula.core.field;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.BitSet;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Shapes;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mesh.WindingNumber;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class InsideCellsTest {

  @DataProvider
  public Object[][] surfacesWithGaps() {
    Rotation turn = Rotation.about(new Vec3(1, 2, 3), 37);
    TriangleMesh sphere = Shapes.sphere();
    TriangleMesh torus = Shapes.turned(Shapes.torus(), turn);
    return new Object[][] {
      {"sphere with a few triangles missing", Shapes.torn(sphere, 97)},
      {"half a sphere", sphere.only(t -> sphere.middle(t).z() > 0)},
      {"every third triangle of a torus missing", Shapes.torn(torus, 3)},
      {"torus with a bite", torus.only(t -> torus.middle(t).x() < 10)},
      {"box of triangles that do not hang together", loose(Shapes.turned(Shapes.box(), turn))},
      {"inside out, a gap", Shapes.insideOut(torus.only(t -> t > 3))},
      {
        "two over another, one with a gap",
        Shapes.both(torus, sphere.only(t -> t > 5), new Vec3(20, 0, 0))
      },
    };
  }

  /** Where it winds round a cell at least half way, asked cell by cell of the surface as it is. */
  @Test(dataProvider = "surfacesWithGaps")
  public void aSurfaceWithGapsCountsWhereItWindsHalfWay(String name, TriangleMesh mesh) {
    Grid grid = Grid.round(mesh.bounds(), 4, mesh.bounds().longest() / 32);
    BitSet[] inside = InsideCells.of(mesh, grid, Parallel.ALL, Progress.NONE);
    WindingNumber winding = WindingNumber.of(mesh);
    int wrong = 0;
    int open = 0;
    int in = 0;
    for (int c = 0; c < grid.count(); c++) {
      Vec3 p = grid.centre(c);
      double w = Math.abs(winding.at(p.x(), p.y(), p.z()));
      int layer = grid.nx() * grid.ny();
      boolean found = inside[c / layer].get(c % layer);
      in += found ? 1 : 0;
      if (Math.abs(w - 0.5) < 0.03) {
        open++;
      } else if (found != w > 0.5) {
        wrong++;
      }
    }
    assertEquals(wrong, 0, name + " of " + in);
    assertTrue(in > 200 && open < in, in + " inside, " + open + " open");
  }

  private static TriangleMesh loose(TriangleMesh mesh) {
    double[] xyz = new double[3 * mesh.corners().length];
    int[] corners = new int[mesh.corners().length];
    for (int i = 0; i < corners.length; i++) {
      System.arraycopy(mesh.xyz(), 3 * mesh.corners()[i], xyz, 3 * i, 3);
      corners[i] = i;
    }
    return new TriangleMesh(xyz, corners);
  }
}
