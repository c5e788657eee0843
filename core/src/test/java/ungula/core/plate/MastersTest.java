package ungula.core.plate;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.master.Solid;
import ungula.core.mesh.Outline;
import ungula.core.mesh.Shadow;
import ungula.core.mesh.Topology;
import ungula.core.mesh.TriangleMesh;

public class MastersTest {

  @DataProvider
  Object[][] models() {
    return new Object[][] {
      {Harbour.CHESS_SET.mesh(), 3}, {Harbour.FINIAL.mesh(), 1}, {Harbour.BELL.mesh(), 1}
    };
  }

  @Test(dataProvider = "models")
  public void bodiesApartAreMasters(TriangleMesh model, int count) {
    assertEquals(Masters.of(model).count(), count);
  }

  @Test
  public void whatIsLooseInsideGoesWithItsBody() {
    TriangleMesh outer = Solid.DEFAULT.mesh();
    TriangleMesh inner = outer.moved(0.4, Rotation.NONE, new Vec3(0, 0, 5));
    TriangleMesh.Builder both = new TriangleMesh.Builder(1000);
    for (TriangleMesh one : List.of(outer, inner)) {
      int[] c = one.corners();
      int[] at = new int[one.vertexCount()];
      for (int v = 0; v < at.length; v++) {
        Vec3 p = one.vertex(v);
        at[v] = both.vertex(p.x(), p.y(), p.z());
      }
      for (int t = 0; t < c.length; t += 3) {
        both.triangle(at[c[t]], at[c[t + 1]], at[c[t + 2]]);
      }
    }
    TriangleMesh mesh = both.build();
    assertEquals(Topology.of(mesh).parts(), 2);
    assertEquals(Masters.of(mesh).count(), 1);
  }

  @DataProvider
  Object[][] plates() {
    return new Object[][] {
      {Harbour.CHESS_SET.mesh(), new Plate(1, Laying.CLOSE, 12), 3},
      {Harbour.CHESS_SET.mesh(), new Plate(2, Laying.CLOSE, 15), 6},
      {Harbour.WAVE_TILE.mesh(), new Plate(2, Laying.CLOSE, 20), 2},
    };
  }

  @Test(dataProvider = "plates")
  public void laidOutTheyAreTheSameBodiesApart(TriangleMesh model, Plate plate, int masters) {
    PosedMaster alone = PosedMaster.of(model, 1, Pose.AS_MODELLED);
    PosedMaster laid = PosedMaster.of(model, 1, Pose.AS_MODELLED, plate);
    double volume = plate.copies() * model.measure().volumeMm3();
    assertEquals(laid.mesh().measure().volumeMm3(), volume, 1e-9 * volume);
    assertEquals(laid.curve().total(), volume, 1e-6 * volume);
    assertEquals(laid.restMm2(), plate.copies() * alone.restMm2(), 1e-6 * laid.restMm2());
    assertEquals(laid.onPlate().masters(), masters);
    assertTrue(laid.onPlate().leastLandMm() >= plate.landMm() - Packing.EXACT_MM);
    Vec3 c = laid.mesh().bounds().centre();
    assertEquals(Math.hypot(c.x(), c.y()), 0, 1e-9);
    // the outlines are of the very bodies: what each covers agrees with the mesh seen from above
    double shadow = Shadow.of(laid.mesh()).stream().mapToDouble(Outline::area).sum();
    double outlines = laid.onPlate().footprints().stream().mapToDouble(Outline::area).sum();
    assertEquals(outlines, shadow, 0.01 * shadow);
  }

  @Test
  public void copiesAreLaidCloseAndAsModelledThereIsOne() {
    Plate more = new Plate(3, Laying.AS_MODELLED, 12).consistentAfter(Plate.ALONE);
    assertEquals(more, new Plate(3, Laying.CLOSE, 12));
    assertEquals(new Plate(3, Laying.AS_MODELLED, 12).consistentAfter(more), Plate.ALONE);
    assertEquals(
        new Plate(2, Laying.CLOSE, 9).consistentAfter(more), new Plate(2, Laying.CLOSE, 9));
  }

  @Test
  public void placesAndDirectionsGoWithTheirMaster() {
    TriangleMesh model = Harbour.CHESS_SET.mesh();
    Pose pose = new Pose(Rotation.about(Vec3.UP, 30), 0);
    PosedMaster laid = PosedMaster.of(model, 1, pose, new Plate(2, Laying.CLOSE, 12));
    for (int v = 0; v < model.vertexCount(); v += 997) {
      // the first copy's vertices are the model's own
      Vec3 off = laid.place(model.vertex(v)).minus(laid.mesh().vertex(v));
      assertEquals(off.norm(), 0, 1e-6);
    }
    int[] c = model.corners();
    for (int t = 0; t < model.triangleCount(); t += 499) {
      Vec3 at = model.vertex(c[3 * t]);
      Vec3 off = laid.direction(at, model.areaVector(t)).minus(laid.mesh().areaVector(t));
      assertEquals(off.norm(), 0, 1e-6);
    }
  }

  @Test
  public void facesToRestOnAreTheModelsHoweverItIsLaid() {
    TriangleMesh tile = Harbour.WAVE_TILE.mesh();
    PosedMaster alone = PosedMaster.of(tile, 1, Pose.AS_MODELLED);
    PosedMaster laid = PosedMaster.of(tile, 1, Pose.AS_MODELLED, new Plate(3, Laying.CLOSE, 12));
    assertEquals(laid.flatFaces(), alone.flatFaces());
  }
}
