package ungula.core.sprue;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.Outline;
import ungula.core.mesh.Slicer.Cut;

public class ChannelTest {

  /** Up by 10, then 30 aside and 40 up. */
  private static final Channel BENT =
      new Channel(List.of(Vec3.ZERO, new Vec3(0, 0, 10), new Vec3(30, 0, 50)), 2);

  @Test
  public void itsDistanceIsToItsNearestStretch() {
    Near.absolute(BENT.distance(new Vec3(3, 4, 5)), 5, 1e-12);
    Near.absolute(BENT.distance(new Vec3(0, 0, -7)), 7, 1e-12);
    Near.absolute(BENT.distance(new Vec3(30 + 3, 0, 50 + 4)), 5, 1e-12);
    // off the middle of the second stretch, square to it
    Near.absolute(BENT.distance(new Vec3(15 + 8, 0, 30 - 6)), 10, 1e-12);
    Box3 round = BENT.bounds(1);
    assertEquals(round.min(), new Vec3(-2, -2, -2));
    assertEquals(round.max(), new Vec3(32, 2, 52));
  }

  @Test
  public void eachStretchIsSeenAsWideAsItIs() {
    List<double[]> front = BENT.seen(Cut.FRONT);
    Near.relative(Math.abs(Outline.area(front.get(0))), 20, 1e-9);
    Near.relative(Math.abs(Outline.area(front.get(1))), 100, 1e-9);
    // from above the first is looked at end on
    List<double[]> top = BENT.seen(Cut.TOP);
    Near.relative(Math.abs(Outline.area(top.get(0))), Math.PI, 0.02);
    Near.relative(Math.abs(Outline.area(top.get(1))), 60, 1e-9);
    Near.relative(Math.abs(Outline.area(BENT.seen(Cut.SIDE).get(1))), 80, 1e-9);
  }

  @Test
  public void whatACastFillsOfAVentDependsOnWhatMakesIt() {
    Near.relative(VentKind.WIRE.sectionMm2(2), Math.PI, 1e-12);
    Near.relative(VentKind.TAPE.sectionMm2(6), 1.2, 1e-12);
    assertEquals(VentKind.SLIT.sectionMm2(2), 0.0);
    assertTrue(VentKind.STRAW.poured() && !VentKind.KNIFE.poured() && !VentKind.SLIT.poured());
    assertFalse(VentKind.TAPE.round() || VentKind.SLIT.round());
  }

  /** Through 1.5 mm over 50 mm, pressed by 50 mm of water: π p d⁴ ÷ 128 µ L by hand. */
  @Test
  public void airLeavesThroughAVentAsHagenAndPoiseuilleSay() {
    double q = Math.PI * 490.5 * Math.pow(1.5e-3, 4) / (128 * 1.82e-5 * 0.05) * 1e9;
    Near.relative(Channel.airMm3PerS(1.5, 50, 50), q, 1e-9);
    Near.relative(q, 66_975, 0.001);
    Near.relative(Channel.airMm3PerS(3, 50, 50), 16 * q, 1e-9);
  }
}
