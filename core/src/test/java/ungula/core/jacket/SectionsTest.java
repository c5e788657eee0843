package ungula.core.jacket;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;
import ungula.core.plate.Plate;
import ungula.core.skin.Bridging;
import ungula.core.skin.Skin;
import ungula.core.skin.SkinField;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class SectionsTest {

  private Outer post;
  private Outer octopus;

  /** A master's skin: its outside, and what its jacket can be pulled off along. */
  private record Outer(TriangleMesh outside, JacketScan scan) {

    static Outer of(TriangleMesh master) {
      TriangleMesh mesh = PosedMaster.of(master, 1, Pose.AS_MODELLED, Plate.ALONE).mesh();
      SkinField field = SkinField.of(mesh, 72, Parallel.ALL, Progress.NONE);
      double wall = Skin.usualWallMm(mesh.bounds().size());
      TriangleMesh outside = Bridging.outside(field, wall);
      return new Outer(
          outside.only(t -> outside.middle(t).z() > 0),
          JacketScan.of(field, outside, wall, Parallel.ALL));
    }

    /** Of so many facets in a sector, the share by area that a pull does not free, by rays. */
    double locked(Vec3 pull, double from, double wide) {
      double all = 0;
      double held = 0;
      for (int t = 0; t < outside.triangleCount(); t += 41) {
        Vec3 p = outside.middle(t);
        double turn = (Math.toDegrees(Math.atan2(p.y(), p.x())) - from + 720) % 360;
        if (turn < wide) {
          double mm2 = outside.areaVector(t).norm();
          all += mm2;
          held += leaves(p, pull) ? 0 : mm2;
        }
      }
      return all == 0 ? 0 : held / all;
    }

    /** Whether a ray meets the outside again, a little way off: what gives way is let pass. */
    private boolean leaves(Vec3 p, Vec3 d) {
      Vec3 from = p.plus(d.times(SOFT_MM));
      for (int t = 0; t < outside.triangleCount(); t++) {
        Vec3 a = corner(t, 0);
        Vec3 e1 = corner(t, 1).minus(a);
        Vec3 e2 = corner(t, 2).minus(a);
        Vec3 h = d.cross(e2);
        double det = e1.dot(h);
        if (Math.abs(det) < 1e-12) {
          continue;
        }
        Vec3 s = from.minus(a);
        double u = s.dot(h) / det;
        Vec3 q = s.cross(e1);
        double v = d.dot(q) / det;
        if (u >= 0 && v >= 0 && u + v <= 1 && e2.dot(q) / det > 0) {
          return false;
        }
      }
      return true;
    }

    private Vec3 corner(int t, int c) {
      return outside.vertex(outside.corners()[3 * t + c]);
    }
  }

  private static final double SOFT_MM = 2;

  @BeforeClass
  public void make() {
    post = Outer.of(Harbour.MOORING_POST.mesh());
    octopus = Outer.of(Harbour.COARSE_OCTOPUS.mesh());
  }

  @Test
  public void aDomeComesOffInOnePulledUp() {
    Sections one = Sections.of(Outer.of(Shapes.dome()).scan, Jacket.USUAL);
    assertEquals(one.count(), 1);
    assertEquals(one.sections().get(0).pull(), Vec3.UP);
    Near.absolute(one.lockedShare(), 0, 1e-9);
    assertNull(one.lockedAt());
  }

  /** A ball on a plate overhangs below its middle: halves are pulled off to the sides. */
  @Test
  public void aBallTakesTwo() {
    Outer ball = Outer.of(Shapes.sphere());
    Sections two = Sections.of(ball.scan, Jacket.USUAL);
    assertEquals(two.count(), 2);
    assertTrue(two.sections().get(0).pull().z() < 0.8, two.toString());
    assertTrue(two.lockedShare() <= Sections.ACCEPTED);
    // on both sides from the plate round a ball of 39 mm, 30 mm up, to its top
    double each = 39 * (Math.PI / 2 + Math.asin(30.0 / 39));
    Near.relative(two.seamMm(ball.scan), 2 * each, 0.02);
  }

  @DataProvider
  public Object[][] ways() {
    return new Object[][] {{null}, {2}, {3}, {4}};
  }

  /** What each section is said to lock is what rays from other places of it meet. */
  @Test(dataProvider = "ways")
  public void sectionsAreFreeAlongTheirPulls(Integer asked) {
    Jacket jacket = asked(asked, Jacket.Relief.NO);
    Sections all = Sections.of(post.scan, jacket);
    int n = all.sections().size();
    double locked = 0;
    for (int i = 0; i < n; i++) {
      Sections.Section s = all.sections().get(i);
      double from = all.partings().isEmpty() ? 0 : all.partings().get(i);
      double wide = n == 1 ? 360 : (all.partings().get((i + 1) % n) - from + 360) % 360;
      double rays = post.locked(s.pull(), from, wide);
      Near.absolute(rays, s.lockedShare() / s.share(), 0.03);
      locked += rays * s.share();
    }
    Near.absolute(locked, all.lockedShare(), 0.02);
    if (asked == null) {
      assertEquals(n, 3);
      assertTrue(locked < 2 * Sections.ACCEPTED, locked + " stay locked");
    }
  }

  private static Jacket asked(Integer sections, Jacket.Relief relief) {
    return asked(sections, null, relief);
  }

  private static Jacket asked(Integer sections, Double turn, Jacket.Relief relief) {
    Jacket u = Jacket.USUAL;
    return new Jacket(
        u.kind(),
        sections,
        turn,
        List.of(),
        relief,
        null,
        null,
        u.flangeMm(),
        u.boltMm(),
        u.locators());
  }

  @Test
  public void moreSectionsNeverLockMore() {
    double before = 1;
    for (int n = 1; n <= Jacket.MOST_SECTIONS; n++) {
      double locked = Sections.of(octopus.scan, asked(n, Jacket.Relief.NO)).lockedShare();
      assertTrue(locked <= before + 0.02, n + " sections lock " + locked + ", fewer " + before);
      before = locked;
    }
  }

  @Test
  public void aReliefSectionTakesInWhatStaysLocked() {
    Sections two = Sections.of(octopus.scan, asked(2, 30.0, Jacket.Relief.NO));
    Sections with = Sections.of(octopus.scan, asked(2, 30.0, Jacket.Relief.YES));
    assertTrue(two.lockedShare() > Sections.ACCEPTED, "an octopus locks everywhere");
    assertTrue(two.reliefFor(octopus.scan).isPresent());
    assertEquals(with.count(), 3);
    assertTrue(with.lockedShare() < two.lockedShare());
    Near.relative(with.relief().share(), two.lockedShare(), 1e-9);
    Near.relative(with.relief().lockedShare(), with.lockedShare(), 1e-9);
    assertFalse(with.reliefFor(octopus.scan).isPresent());
  }

  @Test
  public void partingsStayWhereTheyAreMoved() {
    Jacket moved = Jacket.USUAL.moved(List.of(10.0, 100.0, 250.0));
    Sections three = Sections.of(post.scan, moved);
    assertEquals(three.partings(), List.of(10.0, 100.0, 250.0));
    Near.absolute(three.sections().get(0).share(), 0.25, 0.03);
    Near.absolute(three.sections().get(1).share(), 150 / 360.0, 0.03);
    double all = three.sections().stream().mapToDouble(Sections.Section::share).sum();
    Near.absolute(all, 1, 1e-9);
    // asked for even ones, the moved are given up
    Jacket even =
        new Jacket(
            moved.kind(),
            2,
            null,
            moved.ownDegrees(),
            moved.relief(),
            null,
            null,
            40,
            120,
            moved.locators());
    assertEquals(even.consistentAfter(moved).ownDegrees(), List.of());
    assertTrue(moved.divided() && !moved.unturned().divided());
  }

  /** Up the side, round the edge and in to the middle. */
  @Test
  public void seamsAreMeasuredAlongTheOutside() {
    TriangleMesh block = Tessellation.box(80, 40, 60);
    JacketScan scan = Outer.of(block).scan;
    Near.relative(scan.seamMm(0), 60 + Math.PI / 2 * 9 + 40, 0.04);
    Near.relative(scan.seamMm(90), 60 + Math.PI / 2 * 9 + 20, 0.04);
    Near.absolute(scan.shortestDegrees() % 180, 90, 15.1);
    TriangleMesh turned = block.moved(1, Rotation.about(Vec3.UP, 90), Vec3.ZERO);
    Near.relative(Outer.of(turned).scan.seamMm(0), scan.seamMm(90), 0.02);
  }
}
