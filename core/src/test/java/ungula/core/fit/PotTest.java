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

  /**
   * Upright it needs a circle of 150, on its side one of √(120² + 60²) = 134.2 and 90 of height.
   */
  @Test
  public void aBlockIsStoodAnyWay() {
    Pot.Stood upright = new Pot(200, 100).best(block(BoxShape.RECTANGLE), false);
    assertEquals(upright.text(), "upright");
    absolute(upright.circleMm(), 150, 0.01);
    absolute(upright.overMm(), -20, 0.01);
    Pot.Stood side = new Pot(155, 200).best(block(BoxShape.RECTANGLE), false);
    assertTrue(side.fits());
    // on end: √(90² + 60²) = 108.2 across and 120 high
    assertEquals(side.text(), "on end");
    absolute(side.circleMm(), 108.17, 0.01);
  }

  /** The same as it lies: on a side alike, tipped as its corners say. */
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
    assertTrue(pot.best(block(BoxShape.RECTANGLE), false).fits());
    Pot.Stood strapped = pot.best(block(BoxShape.RECTANGLE), true);
    assertFalse(strapped.fits());
    absolute(strapped.highMm(), 84, 0.01);
    absolute(strapped.circleMm(), 156, 0.01);
    absolute(strapped.overMm(), 22, 0.01);
  }

  @Test
  public void aRoundBlockIsAsWideAsItIs() {
    BoxMould tube = block(BoxShape.TUBE);
    Pot.Stood stood = new Pot(500, 100).best(tube, false);
    absolute(stood.circleMm(), tube.insideLengthMm(), 0.1);
  }

  /** π/4 · 300² · 400. */
  @Test
  public void holds() {
    absolute(new Pot(300, 400).volumeMm3(), 28_274_334, 1);
  }
}
