package ungula.core.mesh;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;

public class ClusteringTest {

  /** A ball of r 30: a cube's diagonal is the furthest a place moves, a smooth one hardly does. */
  @Test
  public void aBallKeepsItsShapeWithFewerFacets() {
    TriangleMesh ball = Shapes.sphere();
    TriangleMesh coarse = Clustering.of(ball, 2);
    assertTrue(coarse.triangleCount() < ball.triangleCount() / 5, coarse.triangleCount() + "");
    assertEquals(OpenEdges.of(coarse).count(), 0);
    Near.relative(coarse.measure().volumeMm3(), ball.measure().volumeMm3(), 0.01);
    for (int v = 0; v < coarse.vertexCount(); v++) {
      double r = coarse.vertex(v).minus(ball.bounds().centre()).norm();
      assertTrue(r > 29.8 && r <= 30 + 1e-9, r + " from the middle");
    }
  }

  @Test
  public void cornersFurtherApartThanACubeStay() {
    TriangleMesh box = Shapes.box();
    TriangleMesh coarse = Clustering.of(box, 10);
    assertEquals(coarse.triangleCount(), box.triangleCount());
    Near.relative(coarse.measure().volumeMm3(), box.measure().volumeMm3(), 1e-12);
  }

  @Test
  public void whatWouldVanishIsLeftAsItIs() {
    TriangleMesh box = Shapes.box();
    assertSame(Clustering.of(box, 1_000), box);
  }
}
