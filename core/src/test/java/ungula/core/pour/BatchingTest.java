package ungula.core.pour;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.pour.Batching.Limit;

public class BatchingTest {

  private static final double DENSITY = 1.10;

  /** 8.40 kg of 1.10; a container of 9.0 L; 2.5 kg by hand. */
  private static Batching batches(double rise) {
    Map<Limit, Double> most = new EnumMap<>(Limit.class);
    most.put(Limit.DEGASSING, 9_000_000 / rise);
    most.put(Limit.MIXING, 2_500_000 / DENSITY);
    return Batching.of(8_400_000 / DENSITY, most);
  }

  @Test
  public void pulledStraightThroughFiveOfThem() {
    Batching b = batches(5);
    assertEquals(b.count(), 5);
    assertEquals(b.reason(), Limit.DEGASSING);
    Near.relative(b.eachMm3() * DENSITY / 1e6, 1.68, 1e-9);
    Near.absolute(b.eachMm3() / 1e6, 1.53, 0.005);
    assertEquals(b.without(), List.of(new Batching.Without(Limit.DEGASSING, 4)));
  }

  @Test
  public void withThePumpCycledFour() {
    Batching b = batches(2.5);
    assertEquals(b.count(), 4);
    assertEquals(b.reason(), Limit.MIXING);
    Near.relative(b.eachMm3() * DENSITY / 1e6, 2.10, 1e-9);
  }

  /** Two limits that ask for the same number: lifting one alone helps nobody. */
  @Test
  public void aLimitThatWouldNotHelpIsNotNamed() {
    Map<Limit, Double> most = new EnumMap<>(Limit.class);
    most.put(Limit.MIXING, 100.0);
    most.put(Limit.BUCKET, 110.0);
    Batching b = Batching.of(300, most);
    assertEquals(b.count(), 3);
    assertEquals(b.without(), List.of());
    assertEquals(Batching.of(300, Map.of()).count(), 1);
    assertNull(Batching.of(50, most).reason());
    most.put(Limit.CLOCK, 0.0);
    assertEquals(Batching.of(300, most).count(), Batching.MOST);
  }

  @Test
  public void neverOverALimitAndNeverOneTooMany() {
    Random r = new Random(6);
    Limit[] limits = Limit.values();
    for (int i = 0; i < 10_000; i++) {
      double total = Math.exp(10 + 8 * r.nextDouble());
      Map<Limit, Double> most = new EnumMap<>(Limit.class);
      for (Limit limit : limits) {
        if (r.nextBoolean()) {
          most.put(limit, total / (0.2 + 20 * r.nextDouble()));
        }
      }
      Batching b = Batching.of(total, most);
      Near.relative(b.count() * b.eachMm3(), total, 1e-12);
      double least = most.values().stream().mapToDouble(m -> m).min().orElse(total);
      assertTrue(b.eachMm3() <= least * (1 + 1e-8), b + " over " + most);
      boolean fewer = b.count() > 1 && total / (b.count() - 1) <= least * (1 - 1e-8);
      assertTrue(!fewer, b + " is one too many for " + most);
      if (b.reason() != null) {
        assertTrue(total / (b.count() - 1) > most.get(b.reason()), b + " " + most);
      }
      for (Batching.Without w : b.without()) {
        assertTrue(w.count() < b.count() && most.containsKey(w.limit()));
      }
    }
  }

  @Test
  public void theMarkOfAVolumeInATaperingCup() {
    // pail Ø 200 at the bottom, Ø 250 at 260 mm: 100 → 128 mm is 1083.1 mL
    Vessel pail = new Vessel(200, 250, 260);
    Near.absolute(pail.filledMm3(128) - pail.filledMm3(100), 1_083_100, 100);
    Vessel straight = new Vessel(90, 90, 120);
    Near.relative(straight.volumeMm3(), Math.PI * 45 * 45 * 120, 1e-12);
    for (Vessel v : List.of(pail, straight, new Vessel(120, 80, 150))) {
      for (double mm : new double[] {0, 1, 40, 119}) {
        Near.absolute(v.levelMm(v.filledMm3(mm)), mm, 1e-6);
      }
    }
    assertTrue(pail.fits(250, 260) && !pail.fits(249, 260) && !pail.fits(250, 259));
  }

  /** 3 + 4 + 1 minutes, and a litre at 300 mL a minute. */
  @Test
  public void aBatchAgainstItsPotLife() {
    Pace p = Pace.USUAL;
    Near.relative(p.batchMin(1_000_000, Bubbles.THIN_POUR), 8 + 10 / 3.0, 1e-12);
    Near.relative(p.batchMin(0, Bubbles.VACUUM_CYCLED), 8 + 10, 1e-12);
    double most = p.mostMm3(30, Bubbles.THIN_POUR);
    Near.relative(p.batchMin(most, Bubbles.THIN_POUR), 0.8 * 30, 1e-12);
    Near.relative(p.batchMin(0, Bubbles.VIBRATED), 8 + 15, 1e-12);
    assertTrue(p.mostMm3(15, Bubbles.VACUUM) < 0);
    Scale fine = new Scale(500, 0.1);
    assertTrue(fine.weighs(5) && fine.weighs(500) && !fine.weighs(4.9) && !fine.weighs(501));
  }
}
