package ungula.core.hollow;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Vec3;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.master.Tessellation;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.SurfacePoint;
import ungula.core.mesh.Topology;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class HollowCoreTest {

  private static HollowCore core(TriangleMesh master, boolean open, double wall) {
    TriangleMesh down = PosedMaster.of(master, 1, Pose.AS_MODELLED).mesh();
    return HollowCore.of(down, open, wall, Parallel.ALL, Progress.NONE).orElseThrow();
  }

  private static TriangleMesh turned(double[][] profile) {
    return Tessellation.turned(profile, 180);
  }

  private static final double[][] DRUM = {{0, 0}, {25, 0}, {25, 70}, {0, 70}};

  @DataProvider
  Object[][] solids() {
    TriangleMesh sphere = turned(arc(30));
    return new Object[][] {
      {"ball, closed", sphere, false, 3.0, 4 / 3.0 * Math.PI * 27 * 27 * 27},
      {"ball, closed, thick", sphere, false, 10.0, 4 / 3.0 * Math.PI * 20 * 20 * 20},
      {"box, closed", Tessellation.box(40, 60, 80), false, 3.0, 34.0 * 54 * 74},
      {"box, open below", Tessellation.box(40, 60, 80), true, 3.0, 34.0 * 54 * 77},
      {"drum, closed", turned(DRUM), false, 2.5, Math.PI * 22.5 * 22.5 * 65},
      {"drum, open below", turned(DRUM), true, 2.5, Math.PI * 22.5 * 22.5 * 67.5},
    };
  }

  private static double[][] arc(double r) {
    double[][] points = new double[91][];
    for (int i = 0; i <= 90; i++) {
      double a = Math.PI * i / 90 - Math.PI / 2;
      points[i] = new double[] {i == 0 || i == 90 ? 0 : r * Math.cos(a), r + r * Math.sin(a)};
    }
    return points;
  }

  @Test(dataProvider = "solids")
  public void theCoreOfASolidIsTheSolidLessItsWall(
      String name, TriangleMesh master, boolean open, double wall, double mm3) {
    HollowCore core = core(master, open, wall);
    assertEquals(core.volumeMm3(), mm3, 0.01 * mm3, name);
    assertEquals(core.loose().mm3(), 0, 1e-6, name);
    assertTrue(Topology.of(core.mesh()).closed(), name);
    double low = core.mesh().bounds().min().z();
    assertEquals(low, open ? -HollowCore.PRINT_MM : wall, 0.5, name);
  }

  @Test
  public void theOpeningIsTheBaseLessItsWall() {
    assertEquals(core(turned(DRUM), true, 2.5).openingMm2(), Math.PI * 22.5 * 22.5, 20);
    assertEquals(core(turned(DRUM), false, 2.5).openingMm2(), 0, 0);
  }

  @Test
  public void aNeckStretchesTheCoreByWhatIsWiderAboveIt() {
    // inside: a neck of radius 12 − 2 below a belly of radius 30 − 2, edges rounded by the wall
    double[][] bottle = {{0, 0}, {12, 0}, {12, 20}, {30, 40}, {30, 70}, {0, 70}};
    assertEquals(core(turned(bottle), true, 2).stretch().share(), 28 / 10.0 - 1, 0.06);
    assertEquals(core(turned(DRUM), true, 2).stretch().share(), 0, 0.01);
  }

  @Test
  public void whatDoesNotReachTheOpeningStaysSolid() {
    // two drums, the upper on a stalk too thin to be hollow
    double[][] drums = {{0, 0}, {20, 0}, {20, 30}, {3, 30}, {3, 46}, {15, 46}, {15, 75}, {0, 75}};
    HollowCore core = core(turned(drums), true, 4);
    double lower = Math.PI * 16 * 16 * 26;
    assertEquals(core.volumeMm3(), lower, 0.01 * lower);
    double upper = Math.PI * 11 * 11 * 21;
    assertEquals(core.loose().mm3(), upper, 0.01 * upper);
  }

  @Test
  public void nothingIsLeftOfAThinMaster() {
    TriangleMesh sheet = PosedMaster.of(Tessellation.box(60, 40, 5), 1, Pose.AS_MODELLED).mesh();
    assertTrue(HollowCore.of(sheet, false, 3, Parallel.ALL, Progress.NONE).isEmpty());
  }

  @DataProvider
  Object[][] demoMasters() {
    return new Object[][] {
      {Harbour.FINIAL.mesh(), true},
      {Harbour.SEAL_PUP.mesh(), true},
      {Harbour.NAUTILUS.mesh(), false}
    };
  }

  @Test(dataProvider = "demoMasters")
  public void theCoreKeepsTheWallEverywhere(TriangleMesh master, boolean open) {
    double wall = 3;
    TriangleMesh down = PosedMaster.of(master, 1, Pose.AS_MODELLED).mesh();
    HollowCore core = core(master, open, wall);
    double whole = down.measure().volumeMm3();
    assertTrue(core.volumeMm3() > 0 && core.volumeMm3() < whole);
    // against distances from point to triangle, one by one
    TriangleMesh inner = core.mesh();
    for (int v = 0; v < inner.vertexCount(); v += inner.vertexCount() / 40) {
      Vec3 p = inner.vertex(v);
      if (open && p.z() < 2 * wall) {
        continue;
      }
      Vec3 foot = SurfacePoint.nearest(down, p).on(down);
      assertEquals(foot.minus(p).norm(), wall, 0.25, "at " + p);
    }
  }

  @Test
  public void aCutThroughItIsWhereTheCoreIs() {
    HollowCore core = core(Tessellation.box(40, 60, 80), true, 3);
    double[] ring = core.at(Cut.TOP, 40).get(0);
    double most = 0;
    for (int i = 0; i < ring.length; i += 2) {
      most = Math.max(most, Math.abs(ring[i]));
    }
    assertEquals(most, 17, 0.1);
  }
}
