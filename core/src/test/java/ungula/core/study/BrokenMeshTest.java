package ungula.core.study;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Tessellation;
import ungula.core.mesh.Outline;
import ungula.core.mesh.Slicer;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Progress;

/** Meshes as they come from the world: torn, doubled, overlapping, turned inside out. */
public class BrokenMeshTest {

  private static MeshReport report(TriangleMesh mesh) {
    return MeshReport.of(mesh, Progress.NONE).report();
  }

  private static TriangleMesh without(TriangleMesh mesh, int from, int to) {
    int[] c = mesh.corners();
    int[] left = new int[c.length - 3 * (to - from)];
    System.arraycopy(c, 0, left, 0, 3 * from);
    System.arraycopy(c, 3 * to, left, 3 * from, c.length - 3 * to);
    return new TriangleMesh(mesh.xyz(), left);
  }

  private static TriangleMesh torus() {
    return Tessellation.torus(40, 12, 200, 100);
  }

  @DataProvider
  public Object[][] torn() {
    TriangleMesh torus = torus();
    TriangleMesh finial = Harbour.FINIAL.mesh();
    double ring = torus.measure().volumeMm3();
    double turned = finial.measure().volumeMm3();
    return new Object[][] {
      {without(torus, 4000, 5000), ring},
      {without(torus, 100, 2500), ring},
      {without(finial, 20_000, 24_000), turned},
      {
        without(finial.moved(1, Rotation.about(new Vec3(1, 1, 0), 40), Vec3.ZERO), 9000, 12_000),
        turned
      },
    };
  }

  @Test(dataProvider = "torn")
  public void theEstimateCarriesAnErrorThatCoversTheTruth(TriangleMesh mesh, double truth) {
    MeshReport r = report(mesh);
    assertTrue(r.estimate() && !r.closed());
    assertTrue(r.openEdges() > 0 && r.openLoops() >= 1);
    assertTrue(
        Math.abs(r.volumeMm3() - truth) <= r.volumeErrorMm3(),
        r.volumeMm3() + " ± " + r.volumeErrorMm3() + " is not " + truth);
    assertTrue(r.defects().stream().anyMatch(d -> d.contains("open in")), r.defects().toString());
  }

  @Test
  public void overlapsOfAnyKindCountOnce() {
    Random random = new Random(9);
    TriangleMesh box = Tessellation.box(40, 40, 40);
    for (int i = 0; i < 6; i++) {
      double by = 5 + 30 * random.nextDouble();
      TriangleMesh two = Shapes.both(box, box, new Vec3(by, 0, 0));
      TriangleMesh turned =
          two.moved(1, Rotation.about(new Vec3(1, 2, 3), 360 * random.nextDouble()), Vec3.ZERO);
      MeshReport r = report(turned);
      assertTrue(r.overlapping() && r.estimate());
      double truth = 40 * 40 * (40 + by);
      assertTrue(
          Math.abs(r.volumeMm3() - truth) <= r.volumeErrorMm3() + 0.005 * truth, r.toString());
    }
  }

  @Test
  public void partsApartAreExactHoweverTheyStand() {
    TriangleMesh two = Shapes.both(torus(), torus(), new Vec3(0, 0, 30));
    MeshReport r = report(two.moved(1, Rotation.about(new Vec3(0, 1, 0), 90), Vec3.ZERO));
    assertFalse(r.overlapping());
    Near.relative(r.volumeMm3(), 2 * torus().measure().volumeMm3(), 1e-9);
  }

  @Test
  public void mixedUpFacetsAreTurnedBack() {
    Random random = new Random(4);
    TriangleMesh torus = torus();
    int[] c = torus.corners().clone();
    int turned = 0;
    for (int t = 0; t < c.length; t += 3) {
      if (random.nextInt(5) == 0) {
        int swap = c[t];
        c[t] = c[t + 1];
        c[t + 1] = swap;
        turned++;
      }
    }
    MeshReport r = report(new TriangleMesh(torus.xyz(), c));
    assertEquals(r.flippedFacets(), turned);
    assertTrue(r.closed() && !r.estimate());
    Near.relative(r.volumeMm3(), torus.measure().volumeMm3(), 1e-12);
    assertEquals(r.genus(), 1);
  }

  @Test
  public void anEdgeOfThreeFacetsIsSaid() {
    TriangleMesh box = Tessellation.box(40, 60, 80);
    double[] xyz = Arrays.copyOf(box.xyz(), box.xyz().length + 3);
    xyz[xyz.length - 1] = 200;
    int[] c = Arrays.copyOf(box.corners(), box.corners().length + 3);
    c[c.length - 3] = c[0];
    c[c.length - 2] = c[1];
    c[c.length - 1] = box.vertexCount();
    MeshReport r = report(new TriangleMesh(xyz, c));
    assertEquals(r.nonManifoldEdges(), 1);
    assertTrue(r.estimate());
    assertTrue(r.defects().stream().anyMatch(d -> d.contains("more than two facets")));
  }

  @Test
  public void aSheetOfNoThicknessHoldsNothing() {
    TriangleMesh sheet =
        new TriangleMesh(
            new double[] {0, 0, 0, 50, 0, 0, 50, 50, 0, 0, 50, 0}, new int[] {0, 1, 2, 0, 2, 3});
    MeshReport r = report(sheet);
    assertTrue(r.estimate());
    assertEquals(r.volumeMm3(), 0.0);
    Near.relative(r.areaMm2(), 2500, 1e-12);
  }

  @Test
  public void aCutThroughATornMeshShowsTheGap() {
    Slicer.Section s = new Slicer(without(torus(), 0, 2500), Cut.TOP).at(12);
    assertTrue(s.openChains().size() > 0);
    for (double[] chain : s.openChains()) {
      assertTrue(chain.length >= 4);
    }
  }

  @Test
  public void outlinesOfBodiesAndHolesTurnOppositeWays() {
    Slicer.Section ring = new Slicer(torus(), Cut.TOP).at(12);
    assertEquals(ring.loops().size(), 2);
    double[] areas = ring.loops().stream().mapToDouble(Outline::area).sorted().toArray();
    Near.relative(areas[0], -Math.PI * 28 * 28, 2e-3);
    Near.relative(areas[1], Math.PI * 52 * 52, 2e-3);
    for (Cut cut : new Cut[] {Cut.FRONT, Cut.SIDE}) {
      Slicer.Section across = new Slicer(torus(), cut).at(0);
      assertEquals(across.loops().size(), 2);
      across.loops().forEach(loop -> Near.relative(Outline.area(loop), Math.PI * 144, 3e-3));
    }
  }

  @Test
  public void whatCannotBeAMeshIsRefused() {
    double[] three = {0, 0, 0, 1, 0, 0, 0, 1, 0};
    for (int[] corners : new int[][] {{}, {0, 1}, {0, 1, 3}, {0, 1, -1}}) {
      try {
        new TriangleMesh(three, corners);
        throw new AssertionError("took " + Arrays.toString(corners));
      } catch (IllegalArgumentException expected) {
        assertTrue(!expected.getMessage().isBlank());
      }
    }
    try {
      new TriangleMesh(new double[] {0, 0, 0, 1, 0, 0, 0, Double.NaN, 0}, new int[] {0, 1, 2});
      throw new AssertionError("took NaN");
    } catch (IllegalArgumentException expected) {
      assertTrue(expected.getMessage().contains("finite"));
    }
  }
}
