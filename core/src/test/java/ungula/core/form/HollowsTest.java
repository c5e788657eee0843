package ungula.core.form;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class HollowsTest {

  private static List<Hollow> of(TriangleMesh mesh) {
    return Hollows.of(mesh, new Parallel(2), Progress.NONE);
  }

  @Test
  public void theHoleOfARingGoesThrough() {
    List<Hollow> found = of(Shapes.torus());
    assertEquals(found.size(), 1);
    Hollow web = found.get(0);
    assertTrue(web.through());
    Near.relative(web.areaMm2(), Math.PI * 28 * 28, 0.01);
    Near.absolute(web.widthMm(), 56, 2.5);
    Vec3 middle = Shapes.torus().bounds().centre();
    Near.absolute(web.place().minus(middle).norm(), 0, 1.5);
  }

  @Test
  public void howeverItIsTurned() {
    Rotation turn = Rotation.about(new Vec3(3, 1, 0.4), 37);
    TriangleMesh ring = Shapes.turned(Shapes.torus(), turn);
    List<Hollow> found = of(ring);
    assertEquals(found.size(), 1);
    // seen up to 17° aslant
    double area = found.get(0).areaMm2();
    assertTrue(area > 0.97 * Math.PI * 28 * 28 && area < 1.08 * Math.PI * 28 * 28, "area " + area);
    Near.absolute(found.get(0).place().minus(ring.bounds().centre()).norm(), 0, 4);
  }

  @Test
  public void twoHolesAreTwoWebs() {
    TriangleMesh two = Shapes.both(Shapes.torus(), Shapes.torus(), new Vec3(110, 0, 0));
    assertEquals(of(two).stream().filter(Hollow::through).count(), 2);
  }

  /** A plate of 1 mm, half way up a rim, between two layers of cells 2 mm high. */
  @Test
  public void aThinPlateIsNoHole() {
    TriangleMesh tray =
        Tessellation.turned(
            new double[][] {
              {0, 20}, {90, 20}, {90, 0}, {100, 0}, {100, 40}, {90, 40}, {90, 21}, {0, 21}
            },
            120);
    assertTrue(of(tray).stream().noneMatch(Hollow::through), of(tray).toString());
  }

  @Test
  public void aCupIsABlindHole() {
    // outside r 30, inside r 6, 40 deep
    TriangleMesh block =
        Tessellation.turned(
            new double[][] {{0, 0}, {30, 0}, {30, 50}, {6, 50}, {6, 10}, {0, 10}}, 120);
    List<Hollow> found = of(block);
    assertEquals(found.size(), 1);
    Hollow hole = found.get(0);
    assertTrue(!hole.through());
    Near.absolute(hole.depthMm(), 40, 1.2);
    Near.absolute(hole.widthMm(), 12, 1.3);
    Near.absolute(hole.along().minus(Vec3.UP).norm(), 0, 1e-9);
    Near.absolute(hole.place().minus(new Vec3(0, 0, 50)).norm(), 0, 1.5);
  }

  @Test
  public void plainBodiesHaveNone() {
    assertTrue(of(Shapes.sphere()).isEmpty());
    assertTrue(of(Shapes.box()).isEmpty());
  }

  @Test
  public void theKnotHasTheOneHoleItsSurfaceTells() {
    assertEquals(of(Harbour.ROPE_KNOT.mesh()).stream().filter(Hollow::through).count(), 1);
  }
}
