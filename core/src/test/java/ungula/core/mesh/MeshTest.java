package ungula.core.mesh;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Solid;
import ungula.core.master.Solid.Shape;
import ungula.core.master.Tessellation;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.study.MeshReport;
import ungula.core.work.Progress;

public class MeshTest {

  private static MeshReport report(TriangleMesh mesh) {
    return MeshReport.of(mesh, Progress.NONE).report();
  }

  private static TriangleMesh torus() {
    return Tessellation.torus(40, 12, 256, 128);
  }

  private static TriangleMesh ball(double r) {
    Solid s = Solid.DEFAULT;
    return new Solid(Shape.SPHERE, 1, 1, 1, 2 * r, 1, 1, s.profile(), null, null, 0).mesh();
  }

  @Test
  public void aBoxIsReportedExactly() {
    MeshReport r = report(Tessellation.box(40, 60, 80));
    assertEquals(r.triangles(), 12);
    assertEquals(r.vertices(), 8);
    assertEquals(r.parts(), 1);
    assertTrue(r.closed());
    assertFalse(r.estimate());
    assertEquals(r.euler(), 2);
    assertEquals(r.genus(), 0);
    Near.relative(r.volumeMm3(), 192_000, 1e-12);
    Near.relative(r.areaMm2(), 20_800, 1e-12);
    Near.relative(r.hullVolumeMm3(), 192_000, 1e-9);
    assertEquals(r.defects().size(), 0);
  }

  @Test
  public void throughHolesAreCounted() {
    assertEquals(report(torus()).genus(), 1);
    assertEquals(report(torus()).euler(), 0);
    TriangleMesh two = joined(torus(), torus().moved(1, Rotation.NONE, new Vec3(200, 0, 0)));
    MeshReport r = report(two);
    assertEquals(r.parts(), 2);
    assertEquals(r.genus(), 2);
    assertFalse(r.estimate());
  }

  @Test
  public void theHullOfATorusIsItsRollingDisc() {
    // hull of a torus: cylinder R, 2r, with a half-torus rim: πR²·2r + π²r²R + 4/3πr³
    double expected =
        Math.PI * 40 * 40 * 24 + Math.PI * Math.PI * 144 * 40 + 4.0 / 3 * Math.PI * 12 * 12 * 12;
    Near.relative(report(torus()).hullVolumeMm3(), expected, 2e-3);
  }

  @Test
  public void theHullHoldsEveryPoint() {
    Random random = new Random(5);
    for (int round = 0; round < 20; round++) {
      TriangleMesh.Builder b = new TriangleMesh.Builder(100);
      int n = 30 + random.nextInt(400);
      int[] v = new int[n];
      for (int i = 0; i < n; i++) {
        v[i] = b.vertex(random.nextGaussian(), random.nextGaussian() * 3, random.nextDouble());
      }
      for (int i = 2; i < n; i++) {
        b.triangle(v[i - 2], v[i - 1], v[i]);
      }
      TriangleMesh cloud = b.build();
      TriangleMesh hull = ConvexHull.of(cloud);
      assertTrue(Topology.of(hull).closed());
      assertEquals(Topology.of(hull).euler(), 2);
      double slack = 3e-5 * cloud.bounds().diagonal();
      int[] c = hull.corners();
      for (int t = 0; t < c.length; t += 3) {
        Vec3 a = hull.vertex(c[t]);
        Vec3 normal = hull.vertex(c[t + 1]).minus(a).cross(hull.vertex(c[t + 2]).minus(a)).unit();
        for (int p = 0; p < cloud.vertexCount(); p++) {
          assertTrue(cloud.vertex(p).minus(a).dot(normal) <= slack);
        }
      }
    }
  }

  @Test
  public void flatFacesOfABoxAreItsSixSides() {
    TriangleMesh hull = ConvexHull.of(Tessellation.box(40, 60, 80));
    var faces = ConvexHull.flatFaces(hull, 1);
    assertEquals(faces.size(), 6);
    Near.relative(faces.get(0).areaMm2(), 4800, 1e-9);
    Near.absolute(Math.abs(faces.get(0).normal().x()), 1, 1e-9);
  }

  @Test
  public void turningChangesNothing() {
    TriangleMesh mesh = Harbour.FINIAL.mesh();
    MeshReport before = report(mesh);
    Rotation turn = Rotation.about(new Vec3(1, 2, 3), 37);
    MeshReport after = report(mesh.moved(1, turn, new Vec3(5, -7, 11)));
    Near.relative(after.volumeMm3(), before.volumeMm3(), 1e-9);
    Near.relative(after.areaMm2(), before.areaMm2(), 1e-9);
    assertEquals(after.genus(), before.genus());
    MeshReport doubled = report(mesh.moved(2, Rotation.NONE, Vec3.ZERO));
    Near.relative(doubled.volumeMm3(), 8 * before.volumeMm3(), 1e-9);
  }

  @Test
  public void anInsideOutSurfaceIsTurnedRound() {
    TriangleMesh box = Tessellation.box(40, 60, 80);
    int[] c = box.corners().clone();
    for (int t = 0; t < c.length; t += 3) {
      int swap = c[t];
      c[t] = c[t + 1];
      c[t + 1] = swap;
    }
    MeshReport r = report(new TriangleMesh(box.xyz(), c));
    assertTrue(r.insideOut());
    Near.relative(r.volumeMm3(), 192_000, 1e-12);
    assertTrue(r.defects().get(0).contains("turned round"));
  }

  @Test
  public void aFlippedFacetIsTurnedBack() {
    TriangleMesh ball = ball(30);
    double right = ball.measure().volumeMm3();
    int[] c = ball.corners().clone();
    for (int t : new int[] {300, 6000, 9000}) {
      int swap = c[t];
      c[t] = c[t + 1];
      c[t + 1] = swap;
    }
    MeshReport r = report(new TriangleMesh(ball.xyz(), c));
    assertEquals(r.flippedFacets(), 3);
    assertTrue(r.closed());
    Near.relative(r.volumeMm3(), right, 1e-12);
  }

  @Test
  public void aSmallFlatHoleIsClosed() {
    TriangleMesh ball = ball(30);
    double whole = ball.measure().volumeMm3();
    // the cap round one pole is nearly flat: its ring of facets goes
    int[] c = Arrays.copyOfRange(ball.corners(), 3 * 768, ball.corners().length);
    MeshReport r = report(new TriangleMesh(ball.xyz(), c));
    assertEquals(r.openLoops(), 1);
    assertEquals(r.closedLoops(), 1);
    assertTrue(r.closed());
    assertFalse(r.estimate());
    Near.relative(r.volumeMm3(), whole, 1e-4);
  }

  @Test
  public void anOpenModelIsEstimatedWithItsError() {
    TriangleMesh box = Tessellation.box(40, 60, 80);
    // without its two top facets: a large opening, not closed by itself
    int[] c = Arrays.copyOfRange(box.corners(), 0, box.corners().length);
    int[] open = new int[c.length - 6];
    int n = 0;
    for (int t = 0; t < c.length; t += 3) {
      boolean top =
          box.vertex(c[t]).z() == 80
              && box.vertex(c[t + 1]).z() == 80
              && box.vertex(c[t + 2]).z() == 80;
      if (!top) {
        open[n++] = c[t];
        open[n++] = c[t + 1];
        open[n++] = c[t + 2];
      }
    }
    MeshReport r = report(new TriangleMesh(box.xyz(), open));
    assertTrue(r.estimate());
    assertFalse(r.closed());
    assertEquals(r.openEdges(), 4);
    assertTrue(Math.abs(r.volumeMm3() - 192_000) <= r.volumeErrorMm3(), r.toString());
  }

  @Test
  public void partsThatOverlapCountOnce() {
    TriangleMesh a = Tessellation.box(40, 40, 40);
    TriangleMesh two = joined(a, a.moved(1, Rotation.NONE, new Vec3(20, 0, 0)));
    MeshReport r = report(two);
    assertTrue(r.overlapping());
    Near.relative(r.volumeMm3(), 60 * 40 * 40, 0.005);
    MeshReport apart = report(joined(a, a.moved(1, Rotation.NONE, new Vec3(50, 0, 0))));
    assertFalse(apart.overlapping());
    Near.relative(apart.volumeMm3(), 2 * 64_000, 1e-12);
  }

  @Test
  public void aCavityIsNotAnOverlap() {
    TriangleMesh outer = Tessellation.box(40, 40, 40);
    TriangleMesh inner = Tessellation.box(20, 20, 20).moved(1, Rotation.NONE, new Vec3(0, 0, 10));
    int[] c = inner.corners().clone();
    for (int t = 0; t < c.length; t += 3) {
      int swap = c[t];
      c[t] = c[t + 1];
      c[t + 1] = swap;
    }
    MeshReport r = report(joined(outer, new TriangleMesh(inner.xyz(), c)));
    assertFalse(r.overlapping());
    Near.relative(r.volumeMm3(), 64_000 - 8_000, 1e-12);
  }

  private static TriangleMesh joined(TriangleMesh a, TriangleMesh b) {
    double[] xyz = Arrays.copyOf(a.xyz(), a.xyz().length + b.xyz().length);
    System.arraycopy(b.xyz(), 0, xyz, a.xyz().length, b.xyz().length);
    int[] c = Arrays.copyOf(a.corners(), a.corners().length + b.corners().length);
    for (int i = 0; i < b.corners().length; i++) {
      c[a.corners().length + i] = b.corners()[i] + a.vertexCount();
    }
    return new TriangleMesh(xyz, c);
  }

  @DataProvider
  public Object[][] masters() {
    return new Object[][] {
      {Harbour.NAUTILUS.mesh()},
      {Harbour.FINIAL.mesh()},
      {Harbour.WAVE_TILE.mesh()},
      {Harbour.CHESS_SET.mesh()},
      {torus()}
    };
  }

  @Test(dataProvider = "masters")
  public void demoMastersAreClosed(TriangleMesh mesh) {
    MeshReport r = report(mesh);
    assertTrue(r.closed(), r.toString());
    assertFalse(r.estimate());
    assertFalse(r.insideOut());
    assertEquals(r.flippedFacets(), 0);
    assertTrue(r.hullVolumeMm3() >= r.volumeMm3());
  }

  @Test(dataProvider = "masters")
  public void sectionsIntegrateToTheVolume(TriangleMesh mesh) {
    double whole = mesh.measure().volumeMm3();
    for (Cut cut : Cut.values()) {
      Slicer slicer = new Slicer(mesh, cut);
      double[] lo = {mesh.bounds().min().x(), mesh.bounds().min().y(), mesh.bounds().min().z()};
      double[] size = {
        mesh.bounds().size().x(), mesh.bounds().size().y(), mesh.bounds().size().z()
      };
      int n = 300;
      double sum = 0;
      for (int i = 0; i < n; i++) {
        Slicer.Section s = slicer.at(lo[cut.axis()] + (i + 0.5) / n * size[cut.axis()]);
        assertEquals(s.openChains().size(), 0);
        sum += s.areaMm2() * size[cut.axis()] / n;
      }
      Near.relative(sum, whole, 1e-3);
    }
  }

  @Test(dataProvider = "masters")
  public void theFillCurveAgreesWithSections(TriangleMesh mesh) {
    FillCurve curve = FillCurve.of(mesh, 512);
    double whole = mesh.measure().volumeMm3();
    Near.relative(curve.total(), whole, 1e-9);
    Slicer slicer = new Slicer(mesh, Cut.TOP);
    double lo = mesh.bounds().min().z();
    double height = mesh.bounds().size().z();
    int n = 600;
    double sum = 0;
    double before = 0;
    for (int i = 0; i < n; i++) {
      double z = lo + (i + 0.5) * height / n;
      sum += slicer.at(z).areaMm2() * height / n;
      double below = curve.below(lo + (i + 1) * height / n);
      Near.absolute(below, sum, 2e-3 * whole);
      assertTrue(below >= before);
      before = below;
    }
    assertEquals(curve.below(lo - 1), 0.0);
    Near.relative(curve.below(lo + height + 1), whole, 1e-9);
  }

  @Test
  public void aBallsFillCurveIsTheCapFormula() {
    FillCurve curve = FillCurve.of(ball(30), 512);
    for (double h : new double[] {3, 12, 30, 47.3}) {
      Near.relative(curve.below(h), Math.PI * h * h / 3 * (90 - h), 2e-3);
    }
    Near.relative(curve.areaAt(30), Math.PI * 900, 1e-3);
  }

  @Test
  public void cutsThroughVerticesClose() {
    Slicer slicer = new Slicer(Tessellation.box(40, 60, 80), Cut.TOP);
    assertEquals(slicer.at(0).areaMm2(), 0.0);
    Near.relative(slicer.at(1e-9).areaMm2(), 2400, 1e-9);
    Near.relative(slicer.at(80).areaMm2(), 2400, 1e-9);
    assertEquals(slicer.at(80.001).loops().size(), 0);
  }

  @Test
  public void thinningStaysWithinItsDistance() {
    double[] ring = new double[2000];
    for (int i = 0; i < 1000; i++) {
      ring[2 * i] = 50 * Math.cos(i * Math.PI / 500);
      ring[2 * i + 1] = 50 * Math.sin(i * Math.PI / 500);
    }
    double[] thin = Outline.thinned(ring, 0.05);
    assertTrue(thin.length < 300 && thin.length > 60, thin.length + " numbers");
    Near.relative(Outline.area(thin), Outline.area(ring), 2e-3);
  }
}
