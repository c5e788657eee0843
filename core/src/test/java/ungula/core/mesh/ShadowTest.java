package ungula.core.mesh;

import static org.testng.Assert.assertEquals;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Tessellation;
import ungula.core.mesh.Slicer.Cut;

public class ShadowTest {

  @DataProvider
  public Object[][] sides() {
    return new Object[][] {
      {Cut.FRONT, 80 * 42.0, 40, 52},
      {Cut.SIDE, 55 * 42.0, 27.5, 52},
      {Cut.TOP, 80 * 55.0, 40, 27.5},
    };
  }

  /** As wide and high as it is seen, to a pixel on each side; lifted by ten it lies so high. */
  @Test(dataProvider = "sides")
  public void aBoxIsSeenAlongEachAxis(Cut seen, double area, double right, double up) {
    TriangleMesh box = Tessellation.box(80, 55, 42).moved(1, Rotation.NONE, new Vec3(0, 0, 10));
    List<double[]> outline = Shadow.of(box, seen);
    assertEquals(outline.size(), 1);
    Near.relative(Outline.area(outline.get(0)), area, 6e-3);
    double mostRight = Double.NEGATIVE_INFINITY;
    double mostUp = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < outline.get(0).length; i += 2) {
      mostRight = Math.max(mostRight, outline.get(0)[i]);
      mostUp = Math.max(mostUp, outline.get(0)[i + 1]);
    }
    Near.absolute(mostRight, right, 0.1);
    Near.absolute(mostUp, up, 0.1);
  }
}
