package ungula.core.demo;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.geometry.Vec3;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.TriangleMesh;
import ungula.core.study.MeshReport;
import ungula.core.work.Progress;

/** The made-up masters are what the demo says they are. */
public class HarbourShapesTest {

  private static MeshReport report(TriangleMesh mesh) {
    return MeshReport.of(mesh, Progress.NONE).report();
  }

  @Test
  public void theNautilusIsOneShellWithOneMouth() {
    MeshReport r = report(HarbourShapes.FINE.nautilus());
    assertEquals(r.parts(), 1);
    assertEquals(r.genus(), 0);
    Vec3 size = r.bounds().size();
    assertTrue(size.z() > 110 && size.z() < 130, size.toString());
    Near.absolute(r.bounds().min().z(), 0, 1e-9);
    // hollow: much less than half of what it is wrapped in
    assertTrue(r.volumeMm3() < 0.5 * r.hullVolumeMm3(), r.toString());
  }

  @Test
  public void theFinialIsRoundAndStandsOnItsFoot() {
    TriangleMesh mesh = HarbourShapes.FINE.finial();
    PosedMaster p = PosedMaster.of(mesh, 1, Pose.AS_MODELLED);
    Near.absolute(mesh.bounds().size().z(), 128, 1e-9);
    // a foot of radius 26
    Near.relative(p.restMm2(), Math.PI * 26 * 26, 1e-3);
    for (double z : new double[] {5, 48, 80, 110}) {
      double[] ring = p.slicer(Cut.TOP).at(z).loops().get(0);
      double least = Double.POSITIVE_INFINITY;
      double most = 0;
      for (int i = 0; i < ring.length; i += 2) {
        double r = Math.hypot(ring[i], ring[i + 1]);
        least = Math.min(least, r);
        most = Math.max(most, r);
      }
      assertTrue(most / least < 1.002, z + ": " + least + " to " + most);
    }
  }

  @Test
  public void theTileIsFlatAtTheBack() {
    TriangleMesh mesh = HarbourShapes.FINE.waveTile();
    PosedMaster p = PosedMaster.of(mesh, 1, Pose.AS_MODELLED);
    Near.relative(p.restMm2(), 150 * 150, 1e-9);
    double height = mesh.bounds().size().z();
    assertTrue(height > 15 && height < 25, "relief " + height);
    assertEquals(report(mesh).parts(), 1);
  }

  @Test
  public void theChessSetIsThreePiecesApart() {
    MeshReport r = report(HarbourShapes.FINE.chessSet());
    assertEquals(r.parts(), 3);
    assertTrue(!r.overlapping() && !r.estimate());
    Near.absolute(r.bounds().size().z(), 82, 1e-9);
  }

  @Test
  public void theOthersAreClosedAndOfOnePiece() {
    record Shape(TriangleMesh mesh, int holes, double least, double most) {}
    Shape[] all = {
      new Shape(HarbourShapes.FINE.ropeKnot(), 1, 35, 45),
      new Shape(HarbourShapes.FINE.bell(), 0, 119, 121),
      new Shape(HarbourShapes.FINE.sealPup(), 0, 50, 70),
      new Shape(HarbourShapes.FINE.octopus(), 1, 90, 100),
      new Shape(HarbourShapes.FINE.mooringPost(), 0, 480, 520)
    };
    for (Shape s : all) {
      MeshReport r = report(s.mesh());
      assertTrue(r.closed() && !r.insideOut() && !r.estimate(), r.toString());
      assertEquals(r.parts(), 1, r.toString());
      assertEquals(r.genus(), s.holes(), r.toString());
      double height = r.bounds().size().z();
      assertTrue(height > s.least() && height < s.most(), r.toString());
      Near.absolute(r.bounds().min().z(), 0, 1e-9);
    }
  }

  @Test
  public void theBellIsHollow() {
    MeshReport r = report(HarbourShapes.FINE.bell());
    assertTrue(r.volumeMm3() < 0.5 * r.hullVolumeMm3(), r.toString());
  }
}
