package ungula.core.sprue;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static ungula.core.Near.relative;

import org.testng.annotations.Test;
import ungula.core.sprue.Sprue.Resin;

public class SprueTest {

  private static final Resin THIN = new Resin(0.1, 6, 1.1);

  /** π · 1100 · 9.81 · 0.006⁴ ÷ (128 · 0.1) = 3.4325e-6 m³/s. */
  @Test
  public void flowsAsThroughATube() {
    relative(new Sprue(6, 30).flowMm3PerS(THIN), 3432.5, 0.001);
    // twice as wide, sixteen times as fast; as thick again, half as fast
    relative(new Sprue(12, 30).flowMm3PerS(THIN), 16 * 3432.5, 0.001);
    relative(new Sprue(6, 30).flowMm3PerS(new Resin(0.2, 6, 1.1)), 3432.5 / 2, 0.001);
  }

  @Test
  public void nobodyPoursFasterThanAHandDoes() {
    relative(new Sprue(20, 30).fillS(400_000, THIN), 10, 1e-9);
  }

  /** 132 mL in a third of six minutes needs 1100 mm³/s: 4 mm gives 678, 6 mm 3433. */
  @Test
  public void theNarrowestThatIsInTimeIsProposed() {
    assertEquals(Sprue.proposed(132_000, 30, THIN).diameterMm(), 6.0);
    assertEquals(Sprue.proposed(50_000, 30, THIN).diameterMm(), 4.0);
    assertFalse(new Sprue(4, 30).inTime(132_000, THIN));
    assertTrue(new Sprue(6, 30).inTime(132_000, THIN));
    // too much for any: the widest
    assertEquals(Sprue.proposed(1e8, 30, THIN).diameterMm(), 20.0);
  }

  @Test
  public void itIsCastToo() {
    relative(new Sprue(10, 30).volumeMm3(), Math.PI * 25 * 30, 1e-12);
  }
}
