package ungula.core.rubber;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.quantity.Units;
import ungula.core.sentence.WordBook.Edit;

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

  private static Product sold(String ratio, String packs) {
    return ProductWords.book()
        .edit(
            ExampleProducts.all().get("gannet-25"),
            List.of(Edit.of("packs", packs), Edit.of("ratio", ratio)),
            Units.METRIC);
  }

  /** The masses alone cover it: of the hardener 3.1 kg would be missing. */
  @Test
  public void neitherPartEverComesShort() {
    Product own = sold("10 % of base", "20 kg of base at 300, 1 kg of hardener at 40");
    Purchase p = Purchase.cheapest(new Parts(39_500, 3950), own).orElseThrow();
    assertEquals(p.text(), "2 × 20 kg of base + 4 × 1 kg of hardener");
    assertEquals(p.price(), 760.0);
    assertEquals(
        p.leftText(own, Units.METRIC),
        "500.0 g of base and 50.0 g of hardener",
        "of each by itself");
    Random r = new Random(3);
    for (int i = 0; i < 200; i++) {
      Product any =
          sold(
              1 + r.nextInt(20) + " % of base",
              "1 kg at 30, 5 kg of base at 90, 18 kg of base at 260, 0.1 kg of hardener at 12");
      Parts need = new Parts(100 + r.nextInt(60_000), 10 + r.nextInt(6000));
      Purchase bought = Purchase.cheapest(need, any).orElseThrow();
      Parts there = Parts.NONE;
      for (Pack pack : bought.packs()) {
        there =
            there.plus(
                switch (pack.holds(any)) {
                  case BOTH -> Parts.of(any, pack.massG());
                  case FIRST -> new Parts(pack.massG(), 0);
                  case SECOND -> new Parts(0, pack.massG());
                  case ANOTHER -> throw new AssertionError(pack);
                });
      }
      assertTrue(there.firstG() > need.firstG() - 1e-6, need + " by " + bought);
      assertTrue(there.secondG() > need.secondG() - 1e-6, need + " by " + bought);
      assertEquals(bought.missing(), "");
    }
  }

  @Test
  public void partsTogetherAreTakenWhereTheyAreCheaper() {
    Product kits = sold("10 % of base", "1.1 kg at 20, 1 kg of base at 40, 1 kg of hardener at 50");
    assertEquals(Purchase.cheapest(new Parts(1900, 190), kits).orElseThrow().text(), "2 × 1.1 kg");
    // twice the hardener of what the packs hold: a bottle more, or packs for it alone
    assertEquals(
        Purchase.cheapest(new Parts(5000, 1400), kits).orElseThrow().text(),
        "5 × 1.1 kg + 1 kg of hardener");
  }

  @Test
  public void packsOfAnotherGradeDoNotCount() {
    String packs = "20 kg of base at 300, 0.5 kg of fast at 25, 0.5 kg of slow at 20";
    Product own = sold("4 % of base", packs);
    Parts need = new Parts(19_000, 700);
    assertEquals(
        Purchase.cheapest(need, own.with("slow")).orElseThrow().text(),
        "20 kg of base + 2 × 0.5 kg of slow");
    assertEquals(
        Purchase.cheapest(need, own.with("fast")).orElseThrow().text(),
        "20 kg of base + 2 × 0.5 kg of fast");
    Purchase without = Purchase.cheapest(need, own).orElseThrow();
    assertEquals(without.text(), "20 kg of base");
    assertEquals(without.missing(), "hardener");
    assertTrue(Purchase.cheapest(need, sold("4 % of base", "1 kg of fast at 9")).isEmpty());
    // nor does the usual hardener for a grade that has packs of its own, however cheap
    Product both = sold("4 % of base", packs + ", 1 kg of hardener at 1");
    assertEquals(
        Purchase.cheapest(need, both.with("fast")).orElseThrow().text(),
        "20 kg of base + 2 × 0.5 kg of fast");
    assertEquals(
        Purchase.cheapest(need, both).orElseThrow().text(), "20 kg of base + 1 kg of hardener");
  }

  @Test
  public void packsAreReadAsTheyAreWritten() {
    String text = "1.1 kg at 38, 20 kg of base at 300, 1 kg of fast at 45.5";
    List<Pack> packs = Pack.parse(text);
    assertEquals(packs.get(1), new Pack(20_000, 300, "base"));
    assertEquals(Pack.parse(Pack.text(packs)), packs);
  }
}
