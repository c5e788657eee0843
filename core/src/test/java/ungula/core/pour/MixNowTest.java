package ungula.core.pour;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.quantity.Units;
import ungula.core.quantity.UnreadableQuantity;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.core.rubber.ProductWords;
import ungula.core.workshop.Workshop;

public class MixNowTest {

  private static final double ROOM_C = Workshop.DEFAULT.roomC();

  private static final Product MARRAM = ExampleProducts.all().get("marram-20");
  private static final Product SAMPHIRE = ExampleProducts.all().get("samphire-15");

  private static MixNow mix(String amount, String poured, Product product) {
    return MixNow.of(
        new MixNow.Asked(amount, null, false, false, poured), product, ROOM_C, Units.METRIC, "€");
  }

  private static double value(MixNow now, String key) {
    return now.figures().get(key).value();
  }

  /** 1 : 1 by volume, 1.04 and 1.22: 600 mL are 312 g and 366 g. */
  @Test
  public void aVolumeByItsDensities() {
    MixNow now = mix("600 mL", null, SAMPHIRE);
    Near.absolute(value(now, "now.base"), 312, 0.1);
    Near.absolute(value(now, "now.hardener"), 366, 0.1);
    Near.relative(value(now, "now.volume"), 600_000, 1e-9);
    assertTrue(now.sentence().contains("117.3 g of hardener"), now.sentence());
  }

  /** 100 : 10 by weight. */
  @Test
  public void aMassByItsRatio() {
    MixNow now = mix(" 1.1 kg ", "", MARRAM);
    Near.absolute(value(now, "now.base"), 1000, 1e-6);
    Near.absolute(value(now, "now.hardener"), 100, 1e-6);
    assertFalse(now.figures().containsKey("now.second"));
    assertEquals(now.now(), "");
    assertTrue(now.figures().containsKey("now.potLife"));
  }

  /** 1 240 g of base actually poured at 100 : 10: 124.0 g. */
  @Test
  public void theSecondPartFollowsWhatWasReallyPoured() {
    MixNow now = mix("1.3 kg", "1240 g", MARRAM);
    Near.absolute(value(now, "now.second"), 124, 1e-6);
    assertTrue(now.now().contains("124.0 g of hardener"), now.now());
  }

  @DataProvider
  public Object[][] unreadable() {
    return new Object[][] {
      {"2 bananas", "", "neither a mass nor a volume"},
      {"0 g", "", "nothing to mix"},
      {"", "", "neither a mass nor a volume"},
      {"500 g", "some", "a mass"}
    };
  }

  @Test(dataProvider = "unreadable")
  public void whatCannotBeReadIsRefused(String amount, String poured, String words) {
    UnreadableQuantity refused =
        expectThrows(UnreadableQuantity.class, () -> mix(amount, poured, MARRAM));
    assertTrue(refused.getMessage().contains(words), refused.getMessage());
  }

  @Test
  public void withoutARatioNothingIsWeighed() {
    UnreadableQuantity refused =
        expectThrows(
            UnreadableQuantity.class, () -> mix("500 g", "", ProductWords.blank("New rubber")));
    assertTrue(refused.getMessage().contains("Complete the sheet"), refused.getMessage());
  }

  /** 118.0 g of hardener poured first at 100 : 10: 1180 g of base. */
  @Test
  public void hardenerMayGoInFirst() {
    MixNow now =
        MixNow.of(
            new MixNow.Asked("1.3 kg", null, false, true, "118 g"),
            MARRAM,
            ROOM_C,
            Units.METRIC,
            "€");
    Near.absolute(value(now, "now.second"), 1180, 1e-6);
    assertTrue(now.now().contains("of base"), now.now());
  }

  /** "4 : 1" where the sheet says 4 % of base: 25 g against 4 g for 100 g. */
  @Test
  public void aRatioFarOffTheSheetStopsUntilItIsMeant() {
    Product gannet = ExampleProducts.all().get("gannet-25");
    MixNow stopped =
        MixNow.of(
            new MixNow.Asked("500 g", "4 : 1 by weight", false, false, ""),
            gannet,
            ROOM_C,
            Units.METRIC,
            "€");
    assertTrue(
        stopped.stop().contains("25 g of hardener") && stopped.stop().contains(" 4 g of hardener"),
        stopped.stop());
    assertTrue(stopped.figures().isEmpty());
    MixNow meant =
        MixNow.of(
            new MixNow.Asked("500 g", "4 : 1 by weight", true, false, ""),
            gannet,
            ROOM_C,
            Units.METRIC,
            "€");
    assertEquals(meant.stop(), "");
    Near.absolute(value(meant, "now.hardener"), 100, 1e-9);
    UnreadableQuantity bare =
        expectThrows(
            UnreadableQuantity.class,
            () ->
                MixNow.of(
                    new MixNow.Asked("500 g", "4 : 1", false, false, ""),
                    gannet,
                    ROOM_C,
                    Units.METRIC,
                    "€"));
    assertTrue(bare.getMessage().contains("by weight"), bare.getMessage());
  }

  @Test
  public void plasterAndResinGoByTheirOwnNamesAndTimes() {
    MixNow plaster = mix("1.3 kg", "", ExampleProducts.all().get("sanderling"));
    assertEquals(plaster.figures().get("now.hardener").label(), "water");
    assertTrue(plaster.sentence().contains("30 g of water"), plaster.sentence());
    Product resin = ExampleProducts.all().get("oyster-75");
    double little = value(mix("100 g", "", resin), "now.potLife");
    Near.relative(value(mix("1 kg", "", resin), "now.potLife"), little / 2, 1e-9);
  }
}
