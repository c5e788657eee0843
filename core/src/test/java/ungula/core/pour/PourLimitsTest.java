package ungula.core.pour;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.pour.Batching.Limit;
import ungula.core.pour.Session.Portion;

/** Where the rules of batches turn over: just on a limit, and just past it. */
public class PourLimitsTest {

  @Test
  public void aMixRisesInVacuumAndLessWhenThePumpIsCycled() {
    assertEquals(Bubbles.VACUUM.rise(), 5.0);
    assertEquals(Bubbles.VACUUM_CYCLED.rise(), 2.5);
    assertEquals(Bubbles.THIN_POUR.rise(), 1.0);
    assertEquals(Bubbles.VIBRATED.rise(), 1.0);
    assertTrue(Bubbles.VACUUM.vacuum() && Bubbles.VACUUM_CYCLED.vacuum());
    assertFalse(Bubbles.THIN_POUR.vacuum() || Bubbles.VIBRATED.vacuum());
  }

  @Test
  public void anExactFitIsOneBatchAndAHairMoreIsTwo() {
    assertEquals(Batching.of(1000, Map.of(Limit.MIXING, 1000.0)).count(), 1);
    assertEquals(Batching.of(1000.01, Map.of(Limit.MIXING, 1000.0)).count(), 2);
    assertNull(Batching.of(1000, Map.of(Limit.MIXING, 1000.0)).reason());
    assertEquals(Batching.of(1000, Map.of()).count(), 1);
    assertEquals(Batching.of(1000, Map.of()).largestMm3(), Double.POSITIVE_INFINITY);
  }

  @Test
  public void whatALimitLetsThroughNotAtAllIsNinetyNineBatches() {
    for (double most : new double[] {0, -5, 1e-9}) {
      Batching none = Batching.of(1000, Map.of(Limit.CLOCK, most));
      assertEquals(none.count(), 99);
      assertEquals(none.reason(), Limit.CLOCK);
      assertEquals(none.without(), List.of(new Batching.Without(Limit.CLOCK, 1)));
    }
  }

  @Test
  public void onlyALimitThatAloneDecidesHelpsWhenItIsLifted() {
    Batching two = Batching.of(1000, Map.of(Limit.MIXING, 300.0, Limit.BUCKET, 600.0));
    assertEquals(two.count(), 4);
    assertEquals(two.without(), List.of(new Batching.Without(Limit.MIXING, 2)));
    Batching same = Batching.of(1000, Map.of(Limit.MIXING, 300.0, Limit.BUCKET, 300.0));
    assertEquals(same.without(), List.of());
  }

  @Test
  public void aVesselsLevelIsOfACylinderOrACone() {
    Near.absolute(new Vessel(100, 100, 120).levelMm(Math.PI * 2500 * 50), 50, 1e-9);
    // acceptance: a cup 84 to 108 across, 140 high, 100 mL and 200 mL
    Vessel cup = new Vessel(84, 108, 140);
    Near.absolute(cup.levelMm(100_000), 17.4, 0.05);
    Near.absolute(cup.levelMm(200_000), 33.7, 0.05);
    assertEquals(cup.levelMm(0), 0.0, 1e-9);
  }

  @Test
  public void aVesselFitsARoomOfItsOwnSize() {
    Vessel cup = new Vessel(84, 108, 140);
    assertTrue(cup.fits(108, 140));
    assertFalse(cup.fits(107.9, 140));
    assertFalse(cup.fits(108, 139.9));
    assertTrue(new Vessel(108, 84, 140).fits(108, 140), "wider at the bottom");
  }

  private static BatchLimits degassed(Bubbles bubbles, double chamberMm) {
    NamedVessel cup = new NamedVessel("cup", new Vessel(84, 108, 140));
    return new BatchLimits(
        2500,
        9000,
        List.of(cup),
        List.of(),
        new BatchLimits.Chamber(chamberMm, 200),
        Pace.USUAL,
        bubbles,
        null);
  }

  /** Two circles of 108 lie side by side in one of 216, and hold twice as much foam. */
  @Test
  public void twoCupsSideBySideLetTwiceAsMuchThrough() {
    double one = degassed(Bubbles.VACUUM, 216).most(1.1).get(Limit.DEGASSING);
    double two = degassed(Bubbles.VACUUM_TWO_CUPS, 216).most(1.1).get(Limit.DEGASSING);
    Near.relative(one, new Vessel(84, 108, 140).volumeMm3() / 5, 1e-12);
    Near.relative(two, 2 * one, 1e-12);
    assertTrue(degassed(Bubbles.VACUUM_TWO_CUPS, 216).vesselFor(two).isPresent());
    assertFalse(degassed(Bubbles.VACUUM, 216).vesselFor(two).isPresent());
    assertFalse(degassed(Bubbles.VACUUM_TWO_CUPS, 215.9).vesselFor(one).isPresent());
  }

  @Test
  public void mouldsThatFitWholeAreFilledFromOneBatch() {
    Session two = Session.of(new double[] {400, 600, 500, 500}, 1000);
    assertEquals(
        two.batches(),
        List.of(
            List.of(new Portion(1, 600), new Portion(0, 400)),
            List.of(new Portion(2, 500), new Portion(3, 500))));
    assertEquals(two.batchMm3(0), 1000.0);
  }

  /** Three of 600 cannot be whole in two batches of 900: the second mould is gone on with. */
  @Test
  public void elseBatchesAreEqualAndAMouldIsGoneOnWith() {
    Session split = Session.of(new double[] {600, 600, 600}, 900);
    assertEquals(
        split.batches(),
        List.of(
            List.of(new Portion(0, 600), new Portion(1, 300)),
            List.of(new Portion(1, 300), new Portion(2, 600))));
  }

  /** A batch that ends with a mould leaves no empty portion of the next. */
  @Test
  public void aBatchThatEndsWithAMouldBeginsTheNextAnew() {
    Session even = Session.of(new double[] {700, 300, 700, 300, 250, 750}, 1000);
    for (List<Portion> batch : even.batches()) {
      assertTrue(batch.stream().allMatch(p -> p.mm3() > 0), batch.toString());
    }
    Session big = Session.of(new double[] {2500}, 1000);
    assertEquals(big.batches().size(), 3);
    for (int i = 0; i < 3; i++) {
      Near.relative(big.batchMm3(i), 2500.0 / 3, 1e-9);
    }
    assertEquals(Session.of(new double[] {1000}, 1000).batches().size(), 1);
    assertEquals(Session.of(new double[] {1000.1}, 1000).batches().size(), 2);
  }
}
