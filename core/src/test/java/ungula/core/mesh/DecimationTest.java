package ungula.core.mesh;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.work.Progress;

/** Flat parts are drawn together, and what is not flat stays. */
public class DecimationTest {

  /** A block n × n × 4 of squares, each of two triangles, as a surface laid through a grid is. */
  private static TriangleMesh block(int n) {
    TriangleMesh.Builder b = new TriangleMesh.Builder(4 * n * (n + 8));
    int[] sides = {n, n, 4};
    for (int axis = 0; axis < 3; axis++) {
      int u = (axis + 1) % 3;
      int v = (axis + 2) % 3;
      for (int square = 0; square < sides[u] * sides[v]; square++) {
        for (int end = 0; end < 2; end++) {
          int[] c = new int[4];
          for (int k = 0; k < 4; k++) {
            double[] at = new double[3];
            at[axis] = end * sides[axis];
            at[u] = square % sides[u] + (k == 1 || k == 2 ? 1 : 0);
            at[v] = square / sides[u] + (k >= 2 ? 1 : 0);
            c[end == 1 ? k : 3 - k] = b.vertex(at[0], at[1], at[2]);
          }
          b.triangle(c[0], c[1], c[2]);
          b.triangle(c[0], c[2], c[3]);
        }
      }
    }
    return b.build();
  }

  @Test
  public void aBlockKeepsItsShapeInFewTriangles() {
    TriangleMesh block = block(60);
    Near.relative(block.measure().volumeMm3(), 60 * 60 * 4, 1e-12);
    TriangleMesh few = Decimation.flat(block, Progress.NONE);
    assertTrue(few.triangleCount() < 60, few.triangleCount() + " of " + block.triangleCount());
    assertTrue(Topology.of(few).closed());
    Near.relative(few.measure().volumeMm3(), 60 * 60 * 4, 1e-9);
    Near.relative(few.measure().areaMm2(), 2 * 60 * 60 + 4 * 60 * 4, 1e-9);
  }

  /** Or looking at what is round it would take the square of what the part has. */
  @Test
  public void noVertexGathersAllOfAFlatPart() {
    TriangleMesh few = Decimation.flat(block(120), Progress.NONE);
    int[] round = new int[few.vertexCount()];
    for (int corner : few.corners()) {
      round[corner]++;
    }
    int most = Arrays.stream(round).max().orElseThrow();
    assertTrue(most <= 32, most + " triangles round one vertex");
  }

  @Test
  public void whatIsCurvedStays() {
    TriangleMesh ball = Shapes.sphere();
    assertEquals(Decimation.flat(ball, Progress.NONE).triangleCount(), ball.triangleCount());
  }
}
