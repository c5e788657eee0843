package ungula.core.rubber;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;
import ungula.core.Near;

public class PurchaseTest {

  private static final List<Pack> PACKS =
      List.of(new Pack(1000, 34), new Pack(5000, 139), new Pack(20_000, 498));

  private static Purchase cheapest(double g, List<Pack> packs) {
    return Purchase.cheapest(g, packs).orElseThrow();
  }

  @Test
  public void theCheapestPacksOfTheAcceptanceFigures() {
    Purchase six = cheapest(6300, PACKS);
    assertEquals(six.text(), "5 kg + 2 × 1 kg");
    assertEquals(six.price(), 207.0);
    assertEquals(six.leftG(), 700.0);
    Purchase eight = cheapest(8600, PACKS);
    assertEquals(eight.text(), "5 kg + 4 × 1 kg");
    assertEquals(eight.price(), 275.0);
    assertEquals(eight.leftG(), 400.0);
    Purchase larger = eight.inLargerPacks(8600, PACKS, 0.1).orElseThrow();
    assertEquals(larger.text(), "2 × 5 kg");
    assertEquals(larger.price() - eight.price(), 3.0);
    assertEquals(larger.leftG(), 1400.0);
    assertFalse(six.inLargerPacks(6300, PACKS, 0.1).isPresent(), "two of 5 kg cost a third more");
  }

  /** Every combination that could be cheapest, tried one by one. */
  private static double brute(double need, List<Pack> packs, int at) {
    if (need <= 0) {
      return 0;
    }
    if (at == packs.size()) {
      return Double.POSITIVE_INFINITY;
    }
    double best = Double.POSITIVE_INFINITY;
    Pack pack = packs.get(at);
    for (int n = 0; n <= Math.ceil(need / pack.massG()); n++) {
      best = Math.min(best, n * pack.price() + brute(need - n * pack.massG(), packs, at + 1));
    }
    return best;
  }

  @Test
  public void noCombinationOfUpToSixPacksIsCheaper() {
    Random r = new Random(58);
    for (int i = 0; i < 400; i++) {
      List<Pack> packs = new ArrayList<>();
      int n = 1 + r.nextInt(6);
      for (int p = 0; p < n; p++) {
        double g = 200 + 100 * r.nextInt(60);
        packs.add(new Pack(g, 5 + Math.round(g * (0.02 + 0.02 * r.nextDouble()))));
      }
      double need = 100 + r.nextInt(9000);
      Purchase bought = cheapest(need, packs);
      Near.absolute(bought.price(), brute(need, packs, 0), 1e-6);
      assertTrue(bought.leftG() >= -1e-9, "it covers the need");
      double sum = bought.packs().stream().mapToDouble(Pack::massG).sum();
      Near.absolute(sum, bought.massG(), 1e-9);
    }
  }

  @Test
  public void ofEquallyCheapOnesThatLeaveLeast() {
    List<Pack> packs = List.of(new Pack(1000, 10), new Pack(3000, 20), new Pack(2000, 20));
    assertEquals(cheapest(1900, packs).massG(), 2000.0);
  }

  @Test
  public void tonsAreBoughtInWhatIsCheapestByMass() {
    Purchase ton = cheapest(1_000_000, PACKS);
    assertTrue(ton.massG() >= 1_000_000 && ton.leftG() < 20_000);
    Near.relative(ton.price(), 50 * 498, 1e-9);
    assertTrue(Purchase.cheapest(100, List.of()).isEmpty());
    assertEquals(cheapest(0, PACKS).packs(), List.of());
  }
}
