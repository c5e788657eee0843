package ungula.core.fit;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static ungula.core.Near.absolute;

import java.util.List;
import org.testng.annotations.Test;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.FillCurve;
import ungula.core.mould.BoxInside;
import ungula.core.mould.BoxMould;
import ungula.core.mould.BoxShape;
import ungula.core.mould.SheetStock;

public class PotTest {

  /** A block of 120 × 90 × 60. */
  private static BoxMould block(BoxShape shape) {
    BoxInside rectangle = BoxInside.rectangle(96, 66, 12, 12, 12, 12);
    double[] outline = {-48, -33, 48, -33, 48, 33, -48, 33};
    return new BoxMould(
        new Vec3(96, 66, 40),
        FillCurve.even(1000, 10, 50),
        BoxInside.of(shape, rectangle, List.of(outline), 12),
        10,
        10,
        15,
        SheetStock.FOAM_BOARD_6);
  }

  private static Pot.Stood over(Pot pot, BoxMould mould, boolean strapped) {
    return pot.lying(
        "turned over", mould.inside().ring(), mould.pourLineMm(), new Vec3(0, 0, -1), strapped);
  }

  /** On any side, and tipped as its corners say. */
  @Test
  public void aBlockLiesAnyWay() {
    Pot pot = new Pot(200, 200);
    double[] ring = {-60, -45, 60, -45, 60, 45, -60, 45};
    Pot.Stood over = pot.lying("turned over", ring, 60, new Vec3(0, 0, -1), false);
    absolute(over.circleMm(), 150, 0.01);
    absolute(over.highMm(), 60, 1e-9);
    Pot.Stood side = pot.lying("on its side", ring, 60, new Vec3(0, 1, 0), true);
    // boards of 12 on its top and base
    absolute(side.circleMm(), Math.hypot(120, 84) + 6, 0.01);
    absolute(side.highMm(), 90, 1e-9);
    // one end raised by 30°
    Vec3 raised = new Vec3(0.5, 0, -Math.sqrt(0.75));
    Pot.Stood tipped = pot.lying("tipped", ring, 60, raised, false);
    absolute(tipped.highMm(), 120 * 0.5 + 60 * Math.sqrt(0.75), 1e-9);
    absolute(tipped.circleMm(), Math.hypot(120 * Math.sqrt(0.75) + 60 * 0.5, 90), 0.01);
  }

  /** Four circles of 60 take one of 144.9 (radius 1 + √2), five one of 162.1. */
  @Test
  public void severalStandSideBySideAndOnEachOther() {
    Pot.Stood each = new Pot.Stood("upright", 60, 40, -1);
    assertEquals(new Pot(144.8 + 20, 60).holds(each), 3);
    assertEquals(new Pot(144.9 + 20, 60).holds(each), 4);
    assertEquals(new Pot(162 + 20, 60).holds(each), 4);
    assertEquals(new Pot(162.1 + 20, 60).holds(each), 5);
    assertEquals(new Pot(162.1 + 20, 99).holds(each), 5);
    assertEquals(new Pot(162.1 + 20, 100).holds(each), 10, "in two layers");
    assertEquals(new Pot(1000, 60).holds(each), 12, "no more is known of");
    assertEquals(new Pot(80, 60).holds(new Pot.Stood("upright", 61, 40, 1)), 0);
  }

  @Test
  public void boardsAndBandsTakeRoom() {
    Pot pot = new Pot(172, 82);
    Pot.Stood bare = over(pot, block(BoxShape.RECTANGLE), false);
    assertTrue(bare.fits());
    absolute(bare.overMm(), -2, 0.01);
    Pot.Stood strapped = over(pot, block(BoxShape.RECTANGLE), true);
    assertFalse(strapped.fits());
    absolute(strapped.highMm(), 84, 0.01);
    absolute(strapped.circleMm(), 156, 0.01);
    absolute(strapped.overMm(), 22, 0.01);
  }

  @Test
  public void aRoundBlockIsAsWideAsItIs() {
    BoxMould tube = block(BoxShape.TUBE);
    Pot.Stood stood = over(new Pot(500, 100), tube, false);
    absolute(stood.circleMm(), tube.insideLengthMm(), 0.1);
  }

  /** π/4 · 300² · 400. */
  @Test
  public void holds() {
    absolute(new Pot(300, 400).volumeMm3(), 28_274_334, 1);
  }
}
