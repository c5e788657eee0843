package ungula.core.parting;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static ungula.core.Near.absolute;

import java.util.BitSet;
import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Effort;
import ungula.core.Shapes;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mark.FacetSet;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.master.Tessellation;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.BoxInside;
import ungula.core.mould.BoxMould;
import ungula.core.mould.SheetStock;
import ungula.core.parting.Parting.Wanted;
import ungula.core.release.Locks;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class PartingTest {

  private static PosedMaster posed(TriangleMesh mesh) {
    return PosedMaster.of(mesh, 1, Pose.AS_MODELLED);
  }

  private static PosedMaster turned(TriangleMesh mesh, Vec3 axis, double degrees) {
    return PosedMaster.of(mesh, 1, new Pose(Rotation.about(axis, degrees), 0));
  }

  private static BoxMould box(PosedMaster m, double wall) {
    Vec3 s = m.mesh().bounds().size();
    return new BoxMould(
        s,
        m.curve().raised(10),
        BoxInside.rectangle(s.x(), s.y(), wall, wall, wall, wall),
        10,
        10,
        15,
        SheetStock.FOAM_BOARD_6);
  }

  private static Parting parting(
      PosedMaster m, double wall, PartingLine line, Double up, Keying keying) {
    return Parting.of(
        box(m, wall),
        new PartedMaster(m),
        m.shadow(),
        new Wanted(line, up, keying, SealRing.Form.USUAL, FacetSet.NONE));
  }

  @Test
  public void aBallPartsAtItsEquator() {
    PosedMaster ball = posed(Shapes.sphere());
    Parting p = parting(ball, 15, PartingLine.LEVEL, null, Keying.NONE);
    absolute(p.levelMm(), 40, 0.3);
    absolute(p.seamMm(), 2 * Math.PI * 30, 0.5);
    assertTrue(p.lockedMm3() < 113, "locked " + p.lockedMm3());
    double half = (90.0 * 90 * 80 - 113_097.3) / 2;
    absolute(p.lowerMm3(), half, 0.005 * half);
    absolute(p.lowerMm3() + p.upperMm3(), box(ball, 15).rubberMm3(), 1e-6);
  }

  /** Columns outside the section at h end below it: ∫(10 − √(900 − r²))·2πr dr = 1000π/3. */
  @Test
  public void aboveItsEquatorABallLocksTheLowerHalf() {
    Parting p = parting(posed(Shapes.sphere()), 15, PartingLine.LEVEL, 40.0, Keying.NONE);
    absolute(p.lockedMm3(), 1000 * Math.PI / 3, 20);
  }

  @Test
  public void belowItTheUpperOneByAsMuch() {
    Parting p = parting(posed(Shapes.sphere()), 15, PartingLine.LEVEL, 20.0, Keying.NONE);
    absolute(p.lockedMm3(), 1000 * Math.PI / 3, 20);
  }

  @Test
  public void aRingLyingFlatPartsThroughItsMiddle() {
    Parting p = parting(posed(Shapes.torus()), 15, PartingLine.LEVEL, null, Keying.NONE);
    absolute(p.levelMm(), 22, 0.2);
    absolute(p.seamMm(), 2 * Math.PI * (52 + 28), 2);
    assertTrue(p.lockedMm3() < 150, "locked " + p.lockedMm3());
  }

  @Test
  public void aRingOnEdgeLocksAsMuchAsItsCellsSay() {
    PosedMaster ring = turned(Shapes.torus(), new Vec3(1, 0, 0), 90);
    double cells =
        Locks.of(ring.mesh(), Vec3.UP, true, Parallel.ALL, Progress.NONE).volume().twoMm3();
    Parting p = parting(ring, 15, PartingLine.LEVEL, 52.0, Keying.NONE);
    assertTrue(cells > 10_000);
    absolute(p.lockedMm3(), cells, 0.02 * cells);
  }

  @Test
  public void anUprightBoxPartsWhereTheHalvesAreEven() {
    Parting p = parting(posed(Shapes.box()), 15, PartingLine.LEVEL, null, Keying.NONE);
    absolute(p.lockedMm3(), 0, 30);
    absolute(p.seamMm(), 200, 1e-6);
    absolute(p.levelMm(), 50, 0.5);
  }

  /** Leaning 45°, a cylinder locks at any level, but not along its silhouette. */
  @Test
  public void aLeaningCylinderIsFreeAlongItsSilhouette() {
    PosedMaster leaning = turned(Shapes.cylinder(), new Vec3(0, 1, 0), 45);
    Parting level = parting(leaning, 15, PartingLine.LEVEL, null, Keying.NONE);
    double middle = leaning.mesh().bounds().size().z() / 2;
    Parting curved = parting(leaning, 15, PartingLine.SILHOUETTE, middle, Keying.NONE);
    assertTrue(level.lockedMm3() > 5000, "level locks " + level.lockedMm3());
    assertTrue(curved.lockedMm3() < 100, "curved locks " + curved.lockedMm3());
    assertTrue(curved.highestMm() - curved.lowestMm() > 20);
    absolute(curved.lowerMm3() + curved.upperMm3(), curved.box().rubberMm3(), 1e-6);
    // alike upside down: the halves are the same
    absolute(curved.lowerMm3(), curved.upperMm3(), 0.01 * curved.upperMm3());
  }

  /** The silhouette of a ball is level, so that following it changes nothing. */
  @Test
  public void alongTheSilhouetteOfABallIsLevel() {
    PosedMaster ball = posed(Shapes.sphere());
    Parting p = parting(ball, 15, PartingLine.SILHOUETTE, 30.0, Keying.NONE);
    absolute(p.at(44, 44), 40, 0.5);
    absolute(p.seamMm(), 2 * Math.PI * 30, 3);
    Parting level = parting(ball, 15, PartingLine.LEVEL, 30.0, Keying.NONE);
    absolute(p.lowerMm3(), level.lowerMm3(), 0.01 * level.lowerMm3());
  }

  @Test
  public void seamsKeepOffWhatIsToStayClean() {
    PosedMaster ball = posed(Shapes.sphere());
    BitSet middle = new BitSet();
    for (int t = 0; t < ball.mesh().triangleCount(); t++) {
      double z = ball.mesh().middle(t).z();
      middle.set(t, z > 20 && z < 40);
    }
    FacetSet clean = FacetSet.of(middle);
    PartedMaster master = new PartedMaster(ball);
    double best = master.best(box(ball, 15), clean);
    assertTrue(Math.abs(best - 30) > 9 && Math.abs(best - 30) < 12, "at " + best);
    assertTrue(master.seamOver(clean, 30) > 185);
    assertEquals(master.seamOver(clean, 10), 0.0);
    Parting on =
        Parting.of(
            box(ball, 15),
            master,
            ball.shadow(),
            new Wanted(PartingLine.SILHOUETTE, 30.0, Keying.NONE, SealRing.Form.USUAL, clean));
    assertTrue(on.seamOnCleanMm() > 0.95 * on.seamMm());
  }

  @Test
  public void keysKeepClearOfCavityAndWalls() {
    PosedMaster ball = posed(Shapes.sphere());
    Parting p = parting(ball, 25, PartingLine.LEVEL, null, Keying.DOMES_BOTH);
    assertTrue(p.keys().size() >= 4, p.keys().size() + " keys");
    for (Key k : p.keys()) {
      double rim = k.diameterMm() / 2;
      assertTrue(Math.hypot(k.x(), k.y()) - 30 - rim >= 3.7, "cavity " + k);
      assertTrue(55 - Math.max(Math.abs(k.x()), Math.abs(k.y())) - rim >= 3 - 1e-9, "wall " + k);
      for (Key other : p.keys()) {
        assertTrue(
            k == other || Math.hypot(k.x() - other.x(), k.y() - other.y()) > k.diameterMm(),
            "apart");
      }
    }
    long up = p.keys().stream().filter(Key::up).count();
    absolute(2 * up, p.keys().size(), 1);
    // the largest are in the corners
    Key largest =
        p.keys().stream()
            .max((a, b) -> Double.compare(a.diameterMm(), b.diameterMm()))
            .orElseThrow();
    assertTrue(Math.min(Math.abs(largest.x()), Math.abs(largest.y())) > 30, largest.toString());
    assertTrue(
        parting(ball, 25, PartingLine.LEVEL, null, Keying.DOMES).keys().stream().allMatch(Key::up));
    assertTrue(
        parting(ball, 9, PartingLine.LEVEL, null, Keying.PINS).keys().stream()
            .allMatch(k -> k.diameterMm() == 6 && k.heightMm() == 4));
  }

  @Test
  public void noRoomNoKeys() {
    PosedMaster box = posed(Shapes.box());
    assertEquals(parting(box, 8, PartingLine.LEVEL, null, Keying.DOMES).keys(), List.of());
  }

  /** A cap of r 5, 4 high: π·4·(3·25 + 16)/6. */
  @Test
  public void aDomeIsACapOfABall() {
    Key dome = new Key(1, 2, 10, 4, true, true);
    absolute(dome.volumeMm3(), Math.PI * 4 * 91 / 6, 1e-9);
    absolute(dome.at(1, 2), 4, 1e-9);
    absolute(dome.at(5.999, 2), 0, 0.01);
    absolute(new Key(1, 2, 10, 4, true, false).at(1, 2), -4, 1e-9);
    double sum = 0;
    for (double x = -4; x < 6; x += 0.05) {
      for (double y = -3; y < 7; y += 0.05) {
        sum += dome.at(x + 0.025, y + 0.025) * 0.0025;
      }
    }
    absolute(sum, dome.volumeMm3(), 0.5);
  }

  /** Nine millimetres off a ball's equator runs a circle of r 39. */
  @Test
  public void aSealRingRunsRoundTheSection() {
    Parting p = parting(posed(Shapes.sphere()), 20, PartingLine.LEVEL, 30.0, Keying.RING);
    absolute(p.ring().lengthMm(), 2 * Math.PI * 39, 1);
    absolute(p.at(39, 0), 46, 0.01);
    absolute(p.at(35, 0), 40, 1e-9);
    absolute(p.at(43, 0), 40, 1e-9);
    Parting bare = parting(posed(Shapes.sphere()), 20, PartingLine.LEVEL, 30.0, Keying.NONE);
    absolute(p.lowerMm3() - bare.lowerMm3(), 2 * Math.PI * 39 * 30, 100);
  }

  @Test
  public void aCutShowsThePartingOnlyInTheRubber() {
    Parting p = parting(posed(Shapes.sphere()), 15, PartingLine.LEVEL, 30.0, Keying.NONE);
    List<double[]> runs = p.cut(Cut.FRONT, 0);
    assertEquals(runs.size(), 2);
    absolute(runs.get(0)[0], -45, 1e-9);
    absolute(runs.get(0)[runs.get(0).length - 2], -30, 1);
    assertEquals(p.cut(Cut.FRONT, 40).size(), 1);
  }

  /** Ends of Ø 70 and Ø 86, axis level: the thin end is raised by half the difference. */
  @Test
  public void risersLevelTheAxis() {
    TriangleMesh ends =
        Tessellation.turned(new double[][] {{0, 0}, {43, 0}, {35, 120}, {0, 120}}, 720);
    PosedMaster lying = turned(ends, new Vec3(0, 1, 0), 90);
    PartedMaster m = new PartedMaster(lying);
    absolute(Math.abs(m.undersideMm(-59.999) - m.undersideMm(59.999)), 8.0, 0.01);
  }

  @Test
  public void aLargeMasterIsScannedInTime() {
    PosedMaster nautilus = posed(Harbour.NAUTILUS.mesh());
    nautilus.shadow();
    Effort<Parting> scan =
        Effort.of(() -> parting(nautilus, 15, PartingLine.SILHOUETTE, null, Keying.DOMES_BOTH));
    Parting p = scan.result();
    assertTrue(nautilus.mesh().triangleCount() > 150_000);
    assertTrue(scan.seconds() < 2, scan.seconds() + " s");
    assertTrue(p.lowerMm3() > 0 && p.upperMm3() > 0);
  }
}
