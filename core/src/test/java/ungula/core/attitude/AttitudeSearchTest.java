package ungula.core.attitude;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.air.AirTraps;
import ungula.core.air.FlatSeam;
import ungula.core.air.Opening;
import ungula.core.air.Room;
import ungula.core.air.Seam;
import ungula.core.air.VentWay;
import ungula.core.air.Vents;
import ungula.core.attitude.AttitudeSearch.Found;
import ungula.core.attitude.AttitudeSearch.Mould;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/** How a mould is best laid to be cast in. */
public class AttitudeSearchTest {

  private static Mould mould(TriangleMesh mesh, List<Opening> openings, Seam seam) {
    Room room =
        Room.cavity(mesh, Math.cbrt(mesh.bounds().volume() / 150_000), Parallel.ALL, Progress.NONE);
    Vec3 wall = new Vec3(12, 12, 12);
    Box3 block = new Box3(mesh.bounds().min().minus(wall), mesh.bounds().max().plus(wall));
    return new Mould(room, block, openings, seam);
  }

  private static List<Found> search(Mould mould, List<Attitude> also) {
    return AttitudeSearch.of(
        mould, AttitudeSearch.SIDES, also, a -> true, Parallel.ALL, Progress.NONE);
  }

  @Test
  public void anAttitudeSaysWhichWayIsUp() {
    assertEquals(Attitude.OVER.up(), new Vec3(0, 0, -1));
    assertEquals(Attitude.OVER.text(), "turned over");
    Attitude side = new Attitude(Face.LEFT, List.of(Face.FRONT), 30);
    Near.absolute(side.up().minus(new Vec3(Math.sqrt(0.75), -0.5, 0)).norm(), 0, 1e-12);
    assertEquals(side.text(), "lying on its left side, its front raised 30°");
    Attitude corner = new Attitude(Face.TOP, List.of(Face.RIGHT, Face.BACK), 14);
    assertEquals(corner.raisedText(), "its right back corner raised 14°");
    assertTrue(corner.up().x() > 0 && corner.up().y() > 0 && corner.up().z() < -0.9);
    assertThrows(
        IllegalArgumentException.class, () -> new Attitude(Face.TOP, List.of(Face.BASE), 5));
    assertThrows(IllegalArgumentException.class, () -> new Attitude(Face.TOP, List.of(), 5));
    assertThrows(
        IllegalArgumentException.class,
        () -> new Attitude(Face.TOP, List.of(Face.LEFT, Face.RIGHT), 5));
    assertEquals(Attitude.tipped(Face.LEFT, 14).distinct().count(), 8);
  }

  @Test
  public void aHoleInTheSideIsTurnedUp() {
    Mould ball = mould(Shapes.sphere(), List.of(Opening.at(new Vec3(30, 0, 30))), null);
    List<Found> found = search(ball, List.of(Attitude.OVER));
    assertEquals(found.get(0).attitude(), Attitude.level(Face.LEFT));
    assertEquals(found.get(0).vents().size(), 0);
    Found over =
        found.stream().filter(f -> f.attitude().equals(Attitude.OVER)).findFirst().orElseThrow();
    Near.relative(over.airMm3(), 56_550, 0.002);
    // a vent where it is highest, straight up through the wall
    Near.absolute(over.vents().get(0).at().minus(new Vec3(0, 0, 0)).norm(), 0, 1e-6);
    Near.absolute(over.vents().get(0).rubberMm(), 12, 1e-6);
    assertTrue(over.enough());
  }

  @DataProvider
  public Object[][] masters() {
    return new Object[][] {
      {Harbour.NAUTILUS}, {Harbour.OCTOPUS}, {Harbour.SEAL_PUP}, {Harbour.FINIAL}, {Harbour.BELL}
    };
  }

  /** What is said is what filling the mould with those vents says. */
  @Test(dataProvider = "masters")
  public void withItsVentsNothingWorthOneStays(Harbour shape) {
    TriangleMesh mesh = shape.mesh();
    Opening sprue = Opening.at(mesh.furthest(new Vec3(0.3, 1, 0.2)));
    Mould mould = mould(mesh, List.of(sprue), null);
    List<Found> found = search(mould, List.of(Attitude.OVER));
    Found best = found.get(0);
    assertTrue(best.enough(), best.toString());
    assertTrue(best.vents().size() <= AttitudeSearch.MOST_VENTS);
    for (Found f : List.of(best, found.get(found.size() / 2))) {
      List<Opening> open = new ArrayList<>(List.of(sprue));
      f.vents().forEach(v -> open.add(Opening.at(v.at())));
      AirTraps.Result left = AirTraps.of(mould.cavity(), open, f.attitude().up());
      if (f.enough()) {
        assertTrue(
            left.pockets().stream().allMatch(p -> p.volumeMm3() < Vents.WORTH_MM3),
            f + " " + left.pockets());
      }
      Near.absolute(left.totalMm3(), f.leftMm3(), 5);
      double sealed = AirTraps.of(mould.cavity(), List.of(sprue), f.attitude().up()).totalMm3();
      Near.absolute(sealed, f.airMm3(), 5);
    }
    Found present =
        found.stream().filter(f -> f.attitude().equals(Attitude.OVER)).findFirst().orElseThrow();
    assertTrue(AttitudeSearch.BEST.compare(best, present) <= 0);
    assertTrue(!present.enough() || best.leftMm3() < AttitudeSearch.MOST_VENTS * 50 + 500);
  }

  /** Along an upright seam vents pass less rubber, and no cast. */
  @Test
  public void ventsFollowAnUprightSeam() {
    TriangleMesh mesh = Harbour.OCTOPUS.mesh();
    Vec3 normal = new Vec3(1, 0, 0);
    double middle = mesh.bounds().centre().x();
    Seam seam = new FlatSeam(normal, middle, null);
    Mould parted = mould(mesh, List.of(), seam);
    Mould whole = mould(mesh, List.of(), null);
    Attitude front = Attitude.level(Face.FRONT);
    Found along = found(parted, front);
    Found through = found(whole, front);
    assertEquals(along.vents().size(), through.vents().size());
    boolean some = false;
    for (int i = 0; i < along.vents().size(); i++) {
      VentWay a = along.vents().get(i);
      VentWay t = through.vents().get(i);
      assertEquals(a.at(), t.at());
      assertTrue(a.rubberMm() <= t.rubberMm() + 1e-9);
      if (a.rubberMm() < t.rubberMm()) {
        some = true;
        assertTrue(a.rubberMm() >= Math.abs(a.at().x() - middle) - 1, a.toString());
        assertTrue(a.lengthMm() >= t.lengthMm() - 1e-6, a + " " + t);
      }
    }
    assertTrue(some, along.toString());
    // lying on the seam's side air does not rise along it
    Attitude left = Attitude.level(Face.LEFT);
    assertEquals(found(parted, left).vents(), found(whole, left).vents());
  }

  private static Found found(Mould mould, Attitude lies) {
    return AttitudeSearch.of(
            mould, List.of(), List.of(lies), a -> true, Parallel.ALL, Progress.NONE)
        .stream()
        .filter(f -> f.attitude().equals(lies))
        .findFirst()
        .orElseThrow();
  }
}
