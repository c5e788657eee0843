package ungula.core.plate;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Random;
import org.locationtech.jts.geom.Geometry;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Shapes;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.Rings;
import ungula.core.mesh.Topology;
import ungula.core.mesh.TriangleMesh;

/** Footprints on a plate: how they are moved, how far apart they are, and in cells. */
public class OnPlateTest {

  private static double[] rectangle(double x, double y, double wide, double high) {
    return new double[] {x, y, x + wide, y, x + wide, y + high, x, y + high};
  }

  @Test
  public void landIsBetweenTheTwoThatAreClosest() {
    OnPlate three =
        new OnPlate(
            List.of(rectangle(0, 0, 20, 20), rectangle(30, 0, 20, 20), rectangle(0, 60, 20, 20)),
            12);
    assertEquals(three.leastLandMm(), 10, 1e-9);
    assertEquals(three.closest().x(), 25, 1e-9);
    assertEquals(three.sizeMm(7), new Vec3(50, 80, 7));
    assertEquals(three.boxMm2(), 74 * 104, 1e-9);
    assertTrue(three.closeBoxMm2() < three.boxMm2());
    assertEquals(new OnPlate(three.footprints().subList(0, 1), 12).leastLandMm(), 1 / 0.0);
  }

  @Test
  public void copiesLieAtLeastTheLandApart() {
    OnPlate four = OnPlate.of(rectangle(0, 0, 40, 25), new Plate(4, Laying.CLOSE, 15));
    assertEquals(four.masters(), 4);
    assertTrue(four.leastLandMm() >= 15 - Packing.EXACT_MM, four.leastLandMm() + "");
    assertTrue(four.boxMm2() <= (2 * 40 + 3 * 15) * (2 * 25 + 3 * 15) + 1, four.boxMm2() + "");
    assertEquals(OnPlate.of(rectangle(5, 5, 40, 25), Plate.ALONE).footprints().get(0)[0], 5, 0);
  }

  @DataProvider
  Object[][] laid() {
    return new Object[][] {
      {new Laid(90, 0, 0), -3, 2},
      {new Laid(180, 10, 5), 8, 2},
      {new Laid(90, 1, 2).quarter(), -4, -2},
      {new Laid(-90, 1, 1).moved(2, 3), 6, 2},
    };
  }

  /** The point (2, 3) by hand: a quarter turn makes of (x, y) the point (−y, x). */
  @Test(dataProvider = "laid")
  public void laidIsTurnedThenMoved(Laid laid, double x, double y) {
    double[] at = laid.ring(new double[] {2, 3});
    assertEquals(at[0], x, 1e-9);
    assertEquals(at[1], y, 1e-9);
  }

  @Test
  public void placesGoWithTheMasterTheyAreOn() {
    Box3 left = new Box3(new Vec3(0, 0, 0), new Vec3(10, 10, 10));
    Box3 right = new Box3(new Vec3(100, 0, 0), new Vec3(110, 10, 10));
    LaidOut out =
        new LaidOut(
            Shapes.box(), List.of(new Laid(0, 5, 0), new Laid(90, 0, -100)), List.of(left, right));
    assertEquals(out.place(new Vec3(3, 4, 9)), new Vec3(8, 4, 9));
    Vec3 moved = out.place(new Vec3(112, 4, 9));
    assertEquals(moved.minus(new Vec3(-4, 12, 9)).norm(), 0, 1e-9);
    Vec3 turned = out.direction(new Vec3(105, 5, 5), new Vec3(1, 0, 0));
    assertEquals(turned.minus(new Vec3(0, 1, 0)).norm(), 0, 1e-9);
    assertEquals(out.direction(new Vec3(1, 1, 1), Vec3.UP), Vec3.UP);
  }

  /** What cells say of two footprints agrees with their exact shapes. */
  @Test
  public void cellsAreClearOnlyWhereFootprintsAre() {
    double cell = 0.5;
    Random random = new Random(7);
    for (int round = 0; round < 200; round++) {
      Geometry one = Rings.polygon(blob(random)).buffer(0);
      Geometry two = Rings.polygon(blob(random)).buffer(0);
      Raster a = Raster.of(one.buffer(cell / Math.sqrt(2)), cell);
      Raster b = Raster.of(two.buffer(cell / Math.sqrt(2)), cell);
      Raster board = Raster.empty(200, 200);
      int x = random.nextInt(60);
      int y = random.nextInt(60);
      board.add(a, 40, 40);
      assertFalse(board.clear(a, 40, 40));
      Geometry there = moved(one, a, 40, 40, cell);
      Geometry here = moved(two, b, x, y, cell);
      if (there.intersects(here)) {
        assertFalse(board.clear(b, x, y), "round " + round);
      } else if (there.distance(here) > 4 * cell) {
        assertTrue(board.clear(b, x, y), "round " + round);
      }
    }
  }

  private static Geometry moved(Geometry g, Raster r, int x, int y, double cell) {
    return org.locationtech.jts.geom.util.AffineTransformation.translationInstance(
            x * cell - r.x0, y * cell - r.y0)
        .transform(g);
  }

  private static double[] blob(Random random) {
    double[] ring = new double[2 * 9];
    for (int i = 0; i < 9; i++) {
      double r = 3 + 12 * random.nextDouble();
      ring[2 * i] = r * Math.cos(2 * Math.PI * i / 9);
      ring[2 * i + 1] = r * Math.sin(2 * Math.PI * i / 9);
    }
    return ring;
  }

  @Test
  public void aModelPutBesideStandsAsLowHoweverTheFirstIsTurned() {
    Rotation tilted = Rotation.about(new Vec3(1, 0, 0), 90);
    TriangleMesh both = Beside.of(Shapes.box(), tilted, Shapes.sphere());
    assertEquals(Topology.of(both).parts(), 2);
    TriangleMesh first = Shapes.box().moved(1, tilted, Vec3.ZERO);
    TriangleMesh standing = both.moved(1, tilted, Vec3.ZERO);
    assertEquals(standing.bounds().min().z(), first.bounds().min().z(), 1e-6);
    double gap = standing.bounds().size().x() - first.bounds().size().x() - 60;
    assertEquals(gap, 12, 0.1);
    for (int v = 0; v < Shapes.box().vertexCount(); v++) {
      assertEquals(both.vertex(v), Shapes.box().vertex(v));
    }
  }
}
