package ungula.core.stock;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.quantity.Units;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.core.stock.Lot.Keeping;

/** Where the rules of the stock turn over: just on a limit, and just past it. */
public class StockLimitsTest {

  private static final LocalDate TODAY = LocalDate.of(2026, 11, 28);

  /** 100 : 10 by weight; the smallest pack is 1.1 kg. */
  private static final Product MARRAM = ExampleProducts.all().get("marram-20");

  private static Lot lot(
      double baseG, double hardenerG, double baseLeft, double hardenerLeft, LocalDate useBy) {
    return new Lot("L", baseG, hardenerG, baseLeft, hardenerLeft, null, null, useBy);
  }

  private static Lot lot(double baseLeft, double hardenerLeft, LocalDate useBy) {
    return lot(1000, 100, baseLeft, hardenerLeft, useBy);
  }

  private static Stock stock(Lot... lots) {
    Map<String, Lot> all = new LinkedHashMap<>();
    for (Lot lot : lots) {
      all.put("lot " + (all.size() + 1), lot);
    }
    return new Stock(MARRAM, all);
  }

  @Test
  public void aPackIsSoonOverForThirtyDaysAndGoodOnItsLast() {
    assertEquals(lot(1, 1, TODAY.plusDays(31)).keeping(MARRAM, TODAY), Keeping.FINE);
    assertEquals(lot(1, 1, TODAY.plusDays(30)).keeping(MARRAM, TODAY), Keeping.SOON);
    assertEquals(lot(1, 1, TODAY).keeping(MARRAM, TODAY), Keeping.SOON);
    assertEquals(lot(1, 1, TODAY.minusDays(1)).keeping(MARRAM, TODAY), Keeping.OVER);
    assertEquals(lot(1, 1, null).keeping(MARRAM, TODAY), Keeping.FINE);
  }

  @Test
  public void driftIsToldOnceAFifthIsUsedAndAboveFivePercent() {
    // a fifth of the base used; of the hardener 5 % more than belongs to it, and a little more
    assertNull(lot(1000, 100, 800, 79.01, null).drift(0.1));
    Near.absolute(lot(1000, 100, 800, 78.9, null).drift(0.1), 0.055, 1e-9);
    Near.absolute(lot(1000, 100, 800, 82, null).drift(0.1), -0.1, 1e-9);
    assertNull(lot(1000, 100, 801, 50, null).drift(0.1), "too little used to tell");
    assertNull(lot(1000, 0, 500, 0, null).drift(0.1), "it comes ready");
  }

  @Test
  public void thePartThatRunsOutFirstDecides() {
    Near.absolute(lot(500, 100, null).usableG(0.1), 550, 1e-9);
    Near.absolute(lot(1000, 20, null).usableG(0.1), 220, 1e-9);
    Near.absolute(lot(300, 0, null).usableG(0), 300, 1e-9);
    Near.absolute(stock(lot(500, 100, null), lot(500, 0, null)).usableG(TODAY), 1100, 1e-9);
  }

  @Test
  public void whatIsTakenComesOffAndNeverBelowNothing() {
    Lot taken = lot(100, 10, null).taken(40, 4, TODAY);
    Near.absolute(taken.baseLeftG(), 60, 1e-9);
    Near.absolute(taken.hardenerLeftG(), 6, 1e-9);
    assertEquals(taken.opened(), TODAY);
    assertEquals(taken.taken(1, 1, TODAY.plusDays(3)).opened(), TODAY, "opened once");
    Lot more = lot(100, 10, null).taken(400, 40, TODAY);
    Near.absolute(more.baseLeftG(), 0, 0);
    Near.absolute(more.hardenerLeftG(), 0, 0);
    Lot back = taken.givenBack(40, 4, false);
    Near.absolute(back.baseLeftG(), 100, 1e-9);
    Near.absolute(back.hardenerLeftG(), 10, 1e-9);
    assertEquals(back.opened(), TODAY);
    assertNull(taken.givenBack(40, 4, true).opened());
  }

  @Test
  public void packsAreDrawnInTurnTheEmptyAndTheOldAreNot() {
    Stock.Drawn drawn =
        stock(
                lot(500, 50, TODAY.plusDays(90)),
                lot(200, 20, TODAY.plusDays(10)),
                lot(900, 90, TODAY.minusDays(1)),
                lot(0.5, 0.4, TODAY.plusDays(5)))
            .draw(600, 60, TODAY);
    assertEquals(
        drawn.taken(),
        List.of(new Stock.Taken("lot 2", 200, 20, true), new Stock.Taken("lot 1", 400, 40, true)));
    assertEquals(drawn.shortBaseG(), 0.0);
    Stock.Drawn little = stock(lot(100, 4, null)).draw(100, 10, TODAY);
    assertEquals(little.shortBaseG(), 0.0);
    assertEquals(little.shortHardenerG(), 6.0);
    assertEquals(stock(lot(100, 10, null)).draw(0, 0, TODAY).taken(), List.of());
    // exactly a gram is something
    assertEquals(stock(lot(1, 0, null)).draw(1, 0, TODAY).taken().size(), 1);
    assertEquals(stock(lot(0.99, 0, null)).draw(1, 0, TODAY).taken().size(), 0);
  }

  @Test
  public void anOpenedPackGoesBeforeAClosedOne() {
    Lot opened = new Lot("a", 1000, 100, 500, 50, null, TODAY.minusDays(1), TODAY.plusDays(60));
    Lot closed = lot(500, 50, TODAY.plusDays(60));
    Stock.Taken taken = stock(closed, opened).draw(100, 10, TODAY).taken().get(0);
    assertEquals(taken.lot(), "lot 2");
    assertFalse(taken.opened(), "it was open");
  }

  @Test
  public void stockIsLowUnderWhatIsNeededAndUnderAQuarterOfThePack() {
    // a quarter of 1.1 kg is 275 g: 250 g and 25 g
    assertFalse(stock(lot(250, 25, null)).low(0, TODAY));
    assertTrue(stock(lot(249, 24.9, null)).low(0, TODAY));
    assertFalse(stock(lot(500, 50, null)).low(550, TODAY));
    assertTrue(stock(lot(500, 50, null)).low(551, TODAY));
    assertFalse(stock().low(0, TODAY), "nothing is there, and nothing is wanted");
    assertTrue(stock().low(1, TODAY));
  }

  @Test
  public void theWorkingNamesPacksAndTheirParts() {
    var figure = stock(lot(500, 50, null)).usable(TODAY, Units.METRIC);
    Near.absolute(figure.value(), 550, 1e-9);
    assertEquals(figure.working().givens().get(0).name(), "L");
    assertTrue(figure.working().givens().get(0).text().contains(" + "));
    assertEquals(figure.working().givens().get(1).text(), "100 : 10 by weight");
    Lot ready = new Lot("", 300, 0, 300, 0, null, null, null);
    var plain = stock(ready).usable(TODAY, Units.METRIC);
    assertEquals(plain.working().givens().get(0).name(), "a pack");
    assertFalse(plain.working().givens().get(0).text().contains("+"));
  }
}
