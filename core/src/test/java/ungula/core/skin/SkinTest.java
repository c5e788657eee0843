package ungula.core.skin;

import static org.testng.Assert.assertEquals;

import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.geometry.Vec3;

public class SkinTest {

  @Test
  public void theWallIsReachedInEqualBuildCoats() {
    Vec3 hand = new Vec3(100, 80, 200);
    List<Coat> coats = Skin.USUAL.coats(hand);
    // 9 mm: 1 of detail, 7 in three, 1 of smoothing
    assertEquals(coats.size(), 5);
    Near.absolute(coats.get(1).mm(), 7 / 3.0, 1e-9);
    assertEquals(coats.get(4).toMm(), 9.0, 1e-9);
    for (int i = 1; i < coats.size(); i++) {
      assertEquals(coats.get(i).fromMm(), coats.get(i - 1).toMm());
    }
    assertEquals(coats.get(0).thickener(), Thickener.NONE);
    assertEquals(coats.get(4).kind(), Coat.Kind.SMOOTHING);
    assertEquals(Skin.usualWallMm(new Vec3(1, 1, 250)), 9.0);
    assertEquals(Skin.usualWallMm(new Vec3(1, 1, 500)), 12.0);
    assertEquals(Skin.usualWallMm(new Vec3(1, 1, 1800)), 16.0);
  }

  @Test
  public void onASlopeMoreStays() {
    double upright = Thickener.NORMAL.mostMm(1.1, 90);
    Near.relative(Thickener.NORMAL.mostMm(1.1, 30), 2 * upright, 1e-9);
    assertEquals(Thickener.NORMAL.mostMm(1.1, 120), upright);
    assertEquals(Thickener.NORMAL.mostMm(1.1, 0), Double.POSITIVE_INFINITY);
    Near.relative(Thickener.STIFF.mostMm(1.1, 90), 2 * upright, 1e-9);
  }
}
