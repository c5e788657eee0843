package ungula.core.skin;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.Collections;
import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.geometry.Vec3;
import ungula.core.skin.SkinClock.Brushing;
import ungula.core.skin.SkinClock.Times;

public class SkinClockTest {

  /** Gels in an hour, sticky until two, set in five. */
  private static final Times RUBBER = new Times(60, 120, 300);

  private static SkinClock clock(Skin skin, Times rubber, double... brushMin) {
    return SkinClock.of(skin, brushMin, Collections.nCopies(brushMin.length, rubber));
  }

  @Test
  public void whileItIsTackyTheNextGoesOnFromGelToOpenLimit() {
    SkinClock c = clock(Skin.USUAL, RUBBER, 20, 20, 20);
    Brushing first = c.coats().get(0);
    assertEquals(first.toMin(), 20.0);
    assertEquals(first.opensMin(), 60.0);
    assertEquals(first.closesMin(), 120.0);
    assertEquals(first.window(), "1:00 to 2:00");
    assertEquals(c.coats().get(1).fromMin(), 60.0);
    assertEquals(c.coats().get(2).window(), "");
    assertEquals(c.handsMin(), 60.0);
    assertEquals(c.curedMin(), 120.0 + 300);
    assertEquals(c.days(), 1);
    assertFalse(c.tooLate(1));
  }

  /** A coat that takes longer than the rubber stays sticky is missed. */
  @Test
  public void brushedTooSlowlyTheNextComesTooLate() {
    SkinClock c = clock(Skin.USUAL, RUBBER, 150, 20);
    assertEquals(c.coats().get(1).fromMin(), 150.0);
    assertTrue(c.tooLate(1));
    assertTrue(c.coats().get(0).missed().contains("massage"));
    assertFalse(clock(Skin.USUAL.after(1, Recoat.SET), RUBBER, 150, 20).tooLate(1));
  }

  @Test
  public void overSetRubberItWaitsUntilThatCanBeHandled() {
    SkinClock c = clock(Skin.USUAL.after(1, Recoat.SET), RUBBER, 20, 20, 20);
    assertEquals(c.coats().get(1).fromMin(), 300.0);
    // the gap after it is as all others
    assertEquals(c.coats().get(1).next(), Recoat.TACKY);
    assertEquals(c.coats().get(2).fromMin(), 360.0);
  }

  @Test
  public void aNightBeginsTheNextDayInTheMorning() {
    SkinClock c = clock(Skin.USUAL.after(2, Recoat.NEXT_DAY), RUBBER, 20, 20, 20, 20);
    assertEquals(c.coats().get(2).fromMin(), 24 * 60.0);
    assertEquals(c.coats().get(1).window(), "from day 2, 0:00");
    assertEquals(c.coats().get(3).fromMin(), 24 * 60 + 60.0);
    assertEquals(c.days(), 2);
    assertEquals(c.curedMin(), 24 * 60 + 60 + 300.0);
  }

  /** What no longer fits into a day waits for the next without being told to. */
  @Test
  public void aDayHasNineHours() {
    SkinClock c = clock(Skin.USUAL, RUBBER, 20, 20, 20, 20, 20, 20, 20, 20, 20, 20);
    for (Brushing b : c.coats()) {
      assertTrue(b.toMin() % (24 * 60) <= SkinClock.WORKING_MIN, b.toString());
    }
    assertEquals(c.days(), 2);
  }

  /** In the cold rubber may take more than a night to set. */
  @Test
  public void nobodyGoesOnOverRubberThatHasNotSet() {
    Times cold = new Times(600, 1200, 2000);
    SkinClock c = clock(Skin.USUAL.after(1, Recoat.NEXT_DAY), cold, 20, 20);
    assertEquals(c.coats().get(1).fromMin(), 2 * 24 * 60.0);
  }

  @Test
  public void eachCoatKeepsTheTimesOfItsOwnRubber() {
    Times fast = new Times(10, 30, 60);
    SkinClock c = SkinClock.of(Skin.USUAL, new double[] {5, 5, 5}, List.of(RUBBER, fast, RUBBER));
    assertEquals(c.coats().get(1).fromMin(), 60.0);
    assertEquals(c.coats().get(2).fromMin(), 70.0);
    assertEquals(c.curedMin(), 70 + 300.0);
  }

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
