package ungula.core.field;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.Random;
import java.util.concurrent.CancellationException;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mesh.TriangleTree;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class DistanceFieldTest {

  /** A lid and a tip that thousands of triangles meet at, as simple solids have them. */
  private static final TriangleMesh CONE =
      Tessellation.turned(new double[][] {{0, 0}, {30, 0}, {0, 50}}, 4096);

  private static DistanceField field(TriangleMesh mesh, double pad, double h, Reach reach) {
    return DistanceField.of(
        mesh, Grid.round(mesh.bounds(), pad, h), reach, Parallel.ALL, Progress.NONE);
  }

  @DataProvider
  public Object[][] bodies() {
    Rotation turn = Rotation.about(new Vec3(1, 2, 3), 37);
    return new Object[][] {
      {"sphere", Shapes.sphere()},
      {"box", Shapes.box()},
      {"turned box", Shapes.turned(Shapes.box(), turn)},
      {"torus", Shapes.turned(Shapes.torus(), turn)},
      {"cup", Shapes.cup()},
      {"cone of slivers", CONE},
      {"nautilus", Harbour.NAUTILUS.mesh()},
      {"finial", Harbour.FINIAL.mesh()},
    };
  }

  /** Against an independent ray test in another direction than the one the signs are made along. */
  @Test(dataProvider = "bodies")
  public void signsAgreeWithRays(String name, TriangleMesh mesh) {
    DistanceField f = field(mesh, 3, Grid.spacing(mesh.bounds(), 96), Reach.band(2));
    TriangleTree tree = TriangleTree.of(mesh);
    Random random = new Random(11);
    int n = 10_000;
    int[] cells = random.ints(n, 0, f.grid().count()).toArray();
    Vec3 d = new Vec3(0.3, 0.5, 0.81).unit();
    long wrong =
        IntStream.range(0, n)
            .parallel()
            .filter(i -> (f.at(cells[i]) < 0) != oddCrossings(tree, f.grid().centre(cells[i]), d))
            .count();
    assertTrue(wrong <= n / 10_000, name + ": " + wrong + " of " + n);
  }

  private static boolean oddCrossings(TriangleTree tree, Vec3 p, Vec3 d) {
    boolean odd = false;
    Vec3 at = p;
    double step = tree.firstHit(at.x(), at.y(), at.z(), d.x(), d.y(), d.z(), -1);
    while (step < Double.POSITIVE_INFINITY) {
      odd = !odd;
      at = at.plus(d.times(step + 1e-7));
      step = tree.firstHit(at.x(), at.y(), at.z(), d.x(), d.y(), d.z(), -1);
    }
    return odd;
  }

  @Test(dataProvider = "bodies")
  public void distancesAgreeWithBruteForce(String name, TriangleMesh mesh) {
    double h = Grid.spacing(mesh.bounds(), 128);
    DistanceField f = field(mesh, 10, h, Reach.band(10));
    double[] balls = balls(mesh);
    Random random = new Random(5);
    int n = 300;
    double[] off =
        IntStream.generate(() -> random.nextInt(f.grid().count()))
            .filter(c -> Math.abs(f.at(c)) < 9.9)
            .limit(n)
            .boxed()
            .toList()
            .parallelStream()
            .mapToDouble(c -> (Math.abs(f.at(c)) - brute(mesh, balls, f.grid().centre(c))) / h)
            .sorted()
            .toArray();
    assertTrue(off[0] > -1e-4, name + " is too near by " + off[0]);
    assertTrue(off[n - 1] < 0.02, name + " is too far by " + off[n - 1]);
  }

  @Test(dataProvider = "bodies")
  public void ofASideThatIsNotMeasuredOnlyTheSignIsTold(String name, TriangleMesh mesh) {
    double h = Grid.spacing(mesh.bounds(), 48);
    DistanceField both = field(mesh, 8, h, Reach.band(8));
    DistanceField in = field(mesh, 8, h, new Reach(8, Reach.UNSEEN));
    DistanceField out = field(mesh, 8, h, new Reach(Reach.UNSEEN, 8));
    double worst = 0;
    for (int c = 0; c < both.grid().count(); c++) {
      float d = both.at(c);
      worst = Math.max(worst, Math.abs((d < 0 ? in : out).at(c) - d));
      assertEquals((d < 0 ? out : in).at(c), (float) (d < 0 ? -h : h));
    }
    assertTrue(worst < 0.02 * h, name + ": off by " + worst / h + " cells");
  }

  /** Looking at all of them for each cell beside it took a minute. */
  @Test
  public void ofATipOnlySomeTrianglesAreTold() {
    VertexRings rings = new VertexRings(CONE);
    int most = 0;
    int all = 0;
    for (int v = 0; v < CONE.vertexCount(); v++) {
      int told = rings.from[v + 1] - rings.from[v];
      most = Math.max(most, told);
      all += told >= 48 ? 1 : 0;
    }
    assertEquals(most, 48);
    assertEquals(all, 2, "the tip and the middle of the lid");
  }

  /** Middle and radius of a ball about each triangle. */
  private static double[] balls(TriangleMesh m) {
    int[] c = m.corners();
    double[] balls = new double[c.length / 3 * 4];
    for (int t = 0; t < c.length / 3; t++) {
      Vec3 a = m.vertex(c[3 * t]);
      Vec3 b = m.vertex(c[3 * t + 1]);
      Vec3 d = m.vertex(c[3 * t + 2]);
      Vec3 o = a.plus(b).plus(d).times(1 / 3.0);
      balls[4 * t] = o.x();
      balls[4 * t + 1] = o.y();
      balls[4 * t + 2] = o.z();
      balls[4 * t + 3] =
          Math.max(a.minus(o).norm(), Math.max(b.minus(o).norm(), d.minus(o).norm()));
    }
    return balls;
  }

  /** To every triangle but those whose ball is further than what was found already. */
  private static double brute(TriangleMesh m, double[] balls, Vec3 p) {
    double best = Double.MAX_VALUE;
    int[] c = m.corners();
    for (int t = 0; t < c.length / 3; t++) {
      double x = balls[4 * t] - p.x();
      double y = balls[4 * t + 1] - p.y();
      double z = balls[4 * t + 2] - p.z();
      double least = best + balls[4 * t + 3] + 1e-9;
      if (best == Double.MAX_VALUE || x * x + y * y + z * z <= least * least) {
        Vec3 a = m.vertex(c[3 * t]);
        best = Math.min(best, toTriangle(p, a, m.vertex(c[3 * t + 1]), m.vertex(c[3 * t + 2])));
      }
    }
    return best;
  }

  private static double toTriangle(Vec3 p, Vec3 a, Vec3 b, Vec3 c) {
    double best = Math.min(toSegment(p, a, b), Math.min(toSegment(p, b, c), toSegment(p, c, a)));
    Vec3 n = b.minus(a).cross(c.minus(a));
    if (n.norm() > 0) {
      Vec3 u = n.unit();
      double d = p.minus(a).dot(u);
      Vec3 q = p.minus(u.times(d));
      boolean over =
          b.minus(a).cross(q.minus(a)).dot(n) >= 0
              && c.minus(b).cross(q.minus(b)).dot(n) >= 0
              && a.minus(c).cross(q.minus(c)).dot(n) >= 0;
      best = over ? Math.min(best, Math.abs(d)) : best;
    }
    return best;
  }

  private static double toSegment(Vec3 p, Vec3 a, Vec3 b) {
    Vec3 ab = b.minus(a);
    double along = Math.max(0, Math.min(1, p.minus(a).dot(ab) / ab.dot(ab)));
    return p.minus(a.plus(ab.times(along))).norm();
  }

  @Test
  public void farFromTheSurfaceItIsStillADistance() {
    TriangleMesh sphere = Shapes.sphere();
    DistanceField f = field(sphere, 60, 2, Reach.ALL);
    Vec3 middle = sphere.bounds().centre();
    for (int c = 0; c < f.grid().count(); c += 97) {
      Near.absolute(f.at(c), f.grid().centre(c).minus(middle).norm() - 30, 0.02);
    }
    Near.absolute(f.at(middle.plus(new Vec3(50, 0, 0))), 20, 0.05);
    Near.absolute(f.at(new Vec3(1e6, 0, 0)), f.at(new Vec3(120, 0, 0)), 1e-6);
  }

  @Test
  public void beyondTheReachItIsTheReach() {
    DistanceField f = field(Shapes.sphere(), 30, 1, new Reach(4, 10));
    float least = Float.MAX_VALUE;
    float most = -Float.MAX_VALUE;
    for (int c = 0; c < f.grid().count(); c++) {
      least = Math.min(least, f.at(c));
      most = Math.max(most, f.at(c));
    }
    assertEquals(least, -4f);
    assertEquals(most, 10f);
  }

  @Test
  public void theNumberOfThreadsDoesNotShow() {
    TriangleMesh mesh = Harbour.FINIAL.mesh();
    for (TriangleMesh m : new TriangleMesh[] {mesh, Shapes.torn(mesh, 50)}) {
      Grid grid = Grid.round(m.bounds(), 5, 2);
      DistanceField one = DistanceField.of(m, grid, Reach.ALL, new Parallel(1), Progress.NONE);
      DistanceField two = DistanceField.of(m, grid, Reach.ALL, new Parallel(2), Progress.NONE);
      DistanceField five = DistanceField.of(m, grid, Reach.ALL, new Parallel(5), Progress.NONE);
      for (int c = 0; c < grid.count(); c++) {
        assertEquals(two.at(c), one.at(c));
        assertEquals(five.at(c), one.at(c));
      }
    }
  }

  @Test
  public void stopsWhenNobodyWaits() {
    Progress impatient =
        (doing, fraction) -> {
          if (fraction > 0.4) {
            throw new CancellationException();
          }
        };
    TriangleMesh m = Shapes.torus();
    assertThrows(
        CancellationException.class,
        () ->
            DistanceField.of(m, Grid.round(m.bounds(), 5, 1), Reach.ALL, Parallel.ALL, impatient));
  }

  @DataProvider
  public Object[][] broken() {
    TriangleMesh sphere = Shapes.sphere();
    TriangleMesh cylinder = Shapes.plainCylinder();
    // two spheres r 30, d apart: each loses a cap of height 30 − d/2
    double cap = Math.PI * 15 * 15 * (30 - 5);
    return new Object[][] {
      {"inside out", Shapes.insideOut(sphere), 113_097},
      {"torn", Shapes.torn(sphere, 40), 113_097},
      {"doubled", Shapes.both(sphere, sphere, Vec3.ZERO), 113_097},
      {"doubled a hair apart", Shapes.both(sphere, sphere, new Vec3(0.05, 0, 0)), 113_097},
      {
        "one inside out in a torn other",
        Shapes.both(Shapes.torn(cylinder, 60), Shapes.insideOut(sphere), new Vec3(200, 0, 0)),
        137_445 + 113_097
      },
      {"overlapping", Shapes.both(sphere, sphere, new Vec3(30, 0, 0)), 2 * 113_097.3 - 2 * cap},
    };
  }

  @Test(dataProvider = "broken")
  public void brokenMeshesHaveAVolume(String name, TriangleMesh mesh, double volume) {
    EnclosedVolume enclosed = EnclosedVolume.of(mesh, Parallel.ALL, Progress.NONE);
    Near.relative(enclosed.volumeMm3(), volume, 0.005);
    // beside the facets cut off round bodies
    double off = Math.abs(enclosed.volumeMm3() - volume) - 0.001 * volume;
    assertTrue(off <= enclosed.errorMm3(), name + ": " + enclosed);
  }

  @Test
  public void aGapIsBridged() {
    // a cylinder without its lid: the middle of the opening belongs to the surface
    TriangleMesh whole = Shapes.plainCylinder();
    int[] c = whole.corners();
    int[] kept = new int[c.length];
    int used = 0;
    for (int t = 0; t < c.length; t += 3) {
      boolean lid = true;
      for (int k = 0; k < 3; k++) {
        lid &= whole.vertex(c[t + k]).z() > 70 - 1e-9;
      }
      if (!lid) {
        System.arraycopy(c, t, kept, used, 3);
        used += 3;
      }
    }
    TriangleMesh open = new TriangleMesh(whole.xyz(), Arrays.copyOf(kept, used));
    DistanceField f = field(open, 20, 1, Reach.ALL);
    Vec3 axis = whole.bounds().centre();
    double above = f.at(new Vec3(axis.x(), axis.y(), 82));
    double below = f.at(new Vec3(axis.x(), axis.y(), 45));
    assertTrue(above > 5 && above < 25, "above " + above);
    assertTrue(below < -5, "below " + below);
    // not as far as the rim, which is 25 to the side
    assertTrue(Math.abs(f.at(new Vec3(axis.x(), axis.y(), 64))) < 18);
  }

  @Test
  public void aGridTooFineForMemoryIsMadeCoarser() {
    Grid g = Grid.round(Shapes.box().bounds(), 10, 0.01);
    assertTrue(g.h() > 0.1 && (long) g.nx() * g.ny() * g.nz() < 1.1 * Grid.MOST_CELLS);
    assertThrows(IllegalArgumentException.class, () -> new Grid(Vec3.ZERO, 1, 5000, 5000, 5000));
  }
}
