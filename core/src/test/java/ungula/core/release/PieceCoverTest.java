package ungula.core.release;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static ungula.core.Near.absolute;

import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Shapes;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Vec3;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.MouldPicture;
import ungula.core.work.Parallel;

public class PieceCoverTest {

  @Test
  public void aBallComesOutOfTwoHalves() {
    PieceCover ball = PieceCover.of(Shapes.sphere(), Parallel.ALL);
    assertEquals(ball.pieces(), 2);
    absolute(ball.freed().get(0), 0.5, 0.02);
    absolute(ball.pulls().get(0).dot(ball.pulls().get(1)), -1, 0.05);
  }

  /** Upright sides face neither way and are free both ways: all but the bottom by one pull. */
  @Test
  public void aBoxIsNearlyFreeByOnePull() {
    PieceCover box = PieceCover.of(Shapes.box(), Parallel.ALL);
    assertEquals(box.pieces(), 2);
    double largest = 60.0 * 80 / 20_800;
    absolute(box.freed().get(0), 1 - 40.0 * 60 / 20_800, 0.01 + largest);
    absolute(box.freedByAll(), 1, 1e-9);
  }

  @Test
  public void aRingLyingFlatIsFreeUpAndDown() {
    PieceCover ring = PieceCover.of(Shapes.torus(), Parallel.ALL);
    assertEquals(ring.pieces(), 2);
    assertTrue(Math.abs(ring.pulls().get(0).dot(Vec3.UP)) > 0.95);
  }

  /** A reel, wide at both ends: its waist is reached from the sides only, half from each. */
  @Test
  public void aReelComesOutSideways() {
    PieceCover reel =
        PieceCover.of(
            Tessellation.turned(
                new double[][] {
                  {0, 0}, {30, 0}, {30, 8}, {12, 8}, {12, 52}, {30, 52}, {30, 60}, {0, 60}
                },
                180),
            Parallel.ALL);
    assertEquals(reel.pieces(), 2);
    assertTrue(Math.abs(reel.pulls().get(0).dot(Vec3.UP)) < 0.1, reel.pulls().toString());
    absolute(reel.freedByAll(), 1, 0.02);
  }

  @Test
  public void anOctopusTakesMany() {
    PieceCover octopus = PieceCover.of(Harbour.COARSE_OCTOPUS.mesh(), Parallel.ALL);
    assertTrue(octopus.pieces() > 2, octopus.pieces() + " pieces");
    for (int i = 1; i < octopus.pieces(); i++) {
      assertTrue(octopus.freed().get(i) > octopus.freed().get(i - 1));
    }
  }

  /** By facets all of the surface is looked at, by places 3 000 of it: they agree. */
  @Test
  public void whatEachFacetIsFreedByAddsUpToTheShares() {
    for (TriangleMesh mesh : List.of(Harbour.COARSE_OCTOPUS.mesh(), Shapes.torus())) {
      PieceCover cover = PieceCover.of(mesh, Parallel.ALL);
      byte[] by = cover.byFacet(mesh, Parallel.ALL);
      double[] area = new double[cover.pieces() + 1];
      double all = 0;
      for (int t = 0; t < by.length; t++) {
        double mm2 = mesh.areaVector(t).norm();
        area[by[t] == PieceCover.NONE ? cover.pieces() : by[t]] += mm2;
        all += mm2;
      }
      double sum = 0;
      for (int k = 0; k < cover.pieces(); k++) {
        sum += area[k];
        absolute(sum / all, cover.freed().get(k), 0.03);
      }
    }
  }

  /** Seen along its pull a ball shows its half, all of it freed: green, and round. */
  @Test
  public void aPieceSeesAllItFrees() {
    TriangleMesh ball = Shapes.sphere();
    PieceCover cover = PieceCover.of(ball, Parallel.ALL);
    byte[] by = cover.byFacet(ball, Parallel.ALL);
    int[] picture = MouldPicture.seenBy(ball, cover.pulls().get(0), by, 0, 60, 60);
    int drawn = 0;
    int green = 0;
    for (int argb : picture) {
      if (argb >>> 24 > 200) {
        drawn++;
        green += (argb >> 8 & 255) > (argb >> 16 & 255) ? 1 : 0;
      }
    }
    absolute(drawn, Math.PI / 4 * Math.pow(0.92 * 60, 2), 80);
    assertTrue(green > 0.97 * drawn, green + " of " + drawn);
  }
}
