package ungula.core.air;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.air.Ceilings.Ceiling;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;

public class CeilingsTest {

  private static final double OPEN = Double.POSITIVE_INFINITY;

  /** The flag that stands for a flat ring: no air is trapped by the letter, but it has to creep. */
  @Test
  public void aLyingRingIsALevelCeilingToItsOneOpening() {
    TriangleMesh ring = Tessellation.torus(40, 12, 200, 100);
    List<Ceiling> found = Ceilings.inside(ring, List.of(ring.furthest(Vec3.UP)), OPEN);
    assertEquals(found.size(), 1);
    // half way round, along the top circle or a little inside of it
    Near.relative(found.get(0).creepMm(), Math.PI * 40, 0.02);
  }

  @Test
  public void moreOpeningsShortenTheWay() {
    TriangleMesh ring = Tessellation.torus(40, 12, 200, 100);
    double z = ring.bounds().max().z();
    List<Vec3> four =
        List.of(new Vec3(40, 0, z), new Vec3(0, 40, z), new Vec3(-40, 0, z), new Vec3(0, -40, z));
    Near.relative(Ceilings.inside(ring, four, OPEN).get(0).creepMm(), Math.PI * 10, 0.05);
  }

  @Test
  public void standingOnEdgeItHasNone() {
    TriangleMesh ring = Shapes.turned(Shapes.torus(), Rotation.about(new Vec3(1, 0, 0), 90));
    assertTrue(Ceilings.inside(ring, List.of(ring.furthest(Vec3.UP)), OPEN).isEmpty());
  }

  @Test
  public void underABoxAirCreepsToTheNearestSide() {
    TriangleMesh box = Tessellation.box(40, 60, 80).moved(1, Rotation.NONE, new Vec3(0, 0, 10));
    List<Ceiling> found = Ceilings.round(box, 0.01);
    assertEquals(found.size(), 1);
    Near.absolute(found.get(0).creepMm(), 20, 0.5);
    Near.absolute(found.get(0).areaMm2(), 2400, 1e-6);
    Near.absolute(found.get(0).place().z(), 10, 1e-9);
  }

  @Test
  public void notOnThePlateNorTippedNorWhenItIsSmall() {
    TriangleMesh box = Tessellation.box(40, 60, 80);
    double low = box.bounds().min().z();
    assertTrue(Ceilings.round(box, low + 0.01).isEmpty(), "on the plate");
    TriangleMesh tipped = Shapes.turned(box, Rotation.about(new Vec3(0, 1, 0), 5));
    assertTrue(Ceilings.round(tipped, -1e9).isEmpty(), "tipped");
    assertTrue(Ceilings.round(Tessellation.box(28, 60, 80), -1e9).isEmpty(), "narrow");
  }

  @Test
  public void aRoofWithoutAWayOutIsFlagged() {
    // inside of a box: the edges lead down all round
    TriangleMesh box = Tessellation.box(40, 60, 80);
    Near.relative(Ceilings.inside(box, List.of(), OPEN).get(0).creepMm(), Math.hypot(40, 60), 0.02);
    Vec3 corner = box.bounds().max();
    Near.relative(
        Ceilings.inside(box, List.of(corner), OPEN).get(0).creepMm(), Math.hypot(40, 60), 0.05);
    assertTrue(Ceilings.inside(box, List.of(), corner.z() - 0.1).isEmpty(), "open on top");
  }
}
