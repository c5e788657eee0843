package ungula.core.library;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNull;

import java.time.LocalDate;
import org.testng.annotations.Test;
import ungula.core.library.Wear.State;

/** When a mould has to be made anew. */
public class WearTest {

  private static final LocalDate TODAY = LocalDate.of(2027, 3, 1);

  private static Wear wear(int gave, Integer expects, LocalDate first, LocalDate made, Double y) {
    return Wear.of(gave, expects, first == null ? 0 : gave, first, made, y, TODAY);
  }

  @Test
  public void whatIsLeftLastsAsLongAsItsPace() {
    // 20 casts in 100 days: the 10 that are left take 50
    Wear w = wear(20, 30, TODAY.minusDays(100), null, null);
    assertEquals(w.perYear(), 20 * 365.25 / 100, 1e-9);
    assertEquals(w.left(), Integer.valueOf(10));
    assertEquals(w.wornOn(), TODAY.plusDays(50));
    assertEquals(w.state(TODAY), State.SOON, "within two months");
    assertEquals(wear(20, 33, TODAY.minusDays(100), null, null).state(TODAY), State.FINE);
    assertEquals(wear(20, 31, TODAY.minusDays(100), null, null).state(TODAY), State.SOON);
  }

  @Test
  public void aFewCastsOrDaysHaveNoPace() {
    assertNull(wear(2, 30, TODAY.minusDays(100), null, null).perYear());
    assertNull(wear(20, 30, TODAY.minusDays(29), null, null).perYear());
    Wear w = wear(3, 30, TODAY.minusDays(30), null, null);
    assertEquals(w.perYear(), 36.525, 1e-9);
    assertNull(wear(20, 30, TODAY.minusDays(29), null, null).anewOn());
    // a tenth of what it gives is left, whatever the pace
    assertEquals(wear(27, 30, null, null, null).state(TODAY), State.SOON);
    assertEquals(wear(26, 30, null, null, null).state(TODAY), State.FINE);
  }

  @Test
  public void theEarlierOfWearAndAgeCounts() {
    LocalDate made = TODAY.minusYears(9);
    Wear w = wear(20, 1000, TODAY.minusDays(100), made, 10.0);
    assertEquals(w.agedOn(), made.plusDays(3653));
    assertEquals(w.anewOn(), w.agedOn());
    assertEquals(w.state(TODAY), State.FINE);
    Wear worn = wear(20, 30, TODAY.minusDays(100), made, 10.0);
    assertEquals(worn.anewOn(), worn.wornOn());
    assertEquals(wear(0, null, null, TODAY.minusYears(4), 3.0).state(TODAY), State.OVER);
    assertEquals(wear(30, 30, null, null, null).state(TODAY), State.OVER);
    assertEquals(wear(31, 30, null, null, null).left(), Integer.valueOf(0));
  }

  @Test
  public void whatNobodyKnowsIsNotGuessed() {
    Wear w = wear(12, null, TODAY.minusDays(100), null, 10.0);
    assertEquals(w.state(TODAY), State.UNKNOWN);
    assertNull(w.left());
    assertNull(w.anewOn());
    // one cast a year out of a mould for hundreds: centuries
    assertNull(wear(3, 900, TODAY.minusDays(1100), null, null).wornOn());
  }
}
