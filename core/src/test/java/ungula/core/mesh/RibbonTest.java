package ungula.core.mesh;

import static org.testng.Assert.assertEquals;

import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Near;

public class RibbonTest {

  @Test
  public void itStandsOnItsLines() {
    double[] bent = {0, 0, 30, 0, 30, 40};
    double[] straight = {50, 0, 50, 10};
    TriangleMesh m = Ribbon.upright(List.of(bent, straight), 5, 25);
    assertEquals(m.triangleCount(), 6);
    double area = 0;
    for (int t = 0; t < m.triangleCount(); t++) {
      area += m.areaVector(t).norm();
      assertEquals(m.areaVector(t).z(), 0.0, "upright");
    }
    Near.absolute(area, (30 + 40 + 10) * 20, 1e-9);
    assertEquals(m.bounds().min().z(), 5.0);
    assertEquals(m.bounds().max().z(), 25.0);
  }
}
