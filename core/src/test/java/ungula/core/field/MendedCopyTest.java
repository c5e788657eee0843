package ungula.core.field;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.study.MeshReport;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class MendedCopyTest {

  @DataProvider
  public Object[][] broken() {
    TriangleMesh sphere = Shapes.sphere();
    TriangleMesh finial = Harbour.FINIAL.mesh();
    return new Object[][] {
      {"whole", sphere, 113_097.0},
      {"torn", Shapes.torn(sphere, 40), 113_097.0},
      {"inside out", Shapes.insideOut(sphere), 113_097.0},
      {"one in another", Shapes.both(sphere, finial, new Vec3(0, 0, -500)), 0.0},
      {
        "overlapping",
        Shapes.both(sphere, sphere, new Vec3(30, 0, 0)),
        2 * 113_097.3 - 2 * Math.PI * 15 * 15 * 25
      },
    };
  }

  @Test(dataProvider = "broken")
  public void theCopyIsClosedAndHoldsTheSame(String name, TriangleMesh mesh, double volume) {
    TriangleMesh copy = MendedCopy.of(mesh, 96, Parallel.ALL, Progress.NONE);
    MeshReport r = MeshReport.of(copy, Progress.NONE).report();
    assertTrue(r.closed() && !r.insideOut() && !r.overlapping(), name + " " + r);
    if (volume > 0) {
      assertEquals(r.parts(), 1, name);
      Near.relative(r.volumeMm3(), volume, 0.01);
    } else {
      assertEquals(r.parts(), 2, name);
    }
  }

  @Test
  public void itLiesWhereTheMeshDoes() {
    TriangleMesh mesh = Harbour.NAUTILUS.mesh();
    TriangleMesh copy = MendedCopy.of(mesh, 128, Parallel.ALL, Progress.NONE);
    double h = mesh.bounds().longest() / 128;
    Near.absolute(copy.bounds().min().minus(mesh.bounds().min()).norm(), 0, h);
    Near.absolute(copy.bounds().max().minus(mesh.bounds().max()).norm(), 0, h);
    Near.relative(copy.measure().volumeMm3(), mesh.measure().volumeMm3(), 0.01);
  }
}
