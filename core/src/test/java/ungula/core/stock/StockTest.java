package ungula.core.stock;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.quantity.Units;
import ungula.core.quantity.UnreadableQuantity;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Pack;
import ungula.core.rubber.Parts;
import ungula.core.rubber.Product;
import ungula.core.rubber.ProductWords;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.stock.Lot.Keeping;

public class StockTest {

  private static final LocalDate TODAY = LocalDate.of(2026, 11, 28);

  /** 100 : 10 by weight; a year closed, 120 days once opened. */
  private static final Product MARRAM = ExampleProducts.all().get("marram-20");

  private static Lot lot(double massG, String... typed) {
    Lot lot = Lot.full(MARRAM, massG, TODAY.minusDays(10));
    for (int i = 0; i < typed.length; i += 2) {
      lot = Lot.words().edit(lot, List.of(Edit.of(typed[i], typed[i + 1])), Units.METRIC);
    }
    return lot;
  }

  private static Stock stock(Lot... lots) {
    Map<String, Lot> all = new LinkedHashMap<>();
    for (Lot lot : lots) {
      all.put("lot " + (all.size() + 1), lot);
    }
    return new Stock(MARRAM, all);
  }

  /** Who casts is told of what is opened long, and of urethane why that matters. */
  @Test
  public void packsThatAreOverAreSaidWithWhatToDo() {
    Product oyster = ExampleProducts.all().get("oyster-75");
    Lot fresh = Lot.full(oyster, 2000, TODAY.minusDays(1));
    Lot opened = Lot.words().edit(fresh, List.of(Edit.of("number", "A7")), Units.METRIC);
    int keeps = oyster.openedDays();
    Lot soon = opened.taken(1, 1, TODAY.minusDays(keeps - 10));
    Lot over = fresh.taken(1, 1, TODAY.minusDays(keeps + 1));
    Map<String, Lot> all = new LinkedHashMap<>();
    all.put("a", fresh);
    all.put("b", soon);
    all.put("c", over);
    List<String> said = new Stock(oyster, all).ages(TODAY);
    assertEquals(said.size(), 2);
    assertTrue(said.get(0).startsWith("A pack of " + oyster.name() + ", opened "), said.get(0));
    assertTrue(said.get(0).contains(" was good until 27 Nov 2026. Opened, its part B takes"));
    assertTrue(said.get(0).endsWith("try a small cup first, or open another."), said.get(0));
    assertTrue(said.get(1).startsWith("Lot A7 of "), said.get(1));
    assertTrue(said.get(1).contains(" is good until 8 Dec 2026. "), said.get(1));
    assertEquals(
        stock(lot(1100, "opened", "1 May 2026")).ages(TODAY),
        List.of(
            "A pack of "
                + MARRAM.name()
                + ", opened 1 May 2026, was good until 29 Aug 2026."
                + " Try a small cup first, or open another."));
    assertEquals(stock(lot(1100)).ages(TODAY), List.of());
  }

  @Test
  public void aFullPackIsSplitAsItIsMixed() {
    Near.absolute(lot(1100).baseG(), 1000, 1e-9);
    Near.absolute(lot(1100).hardenerG(), 100, 1e-9);
    Lot filler = Lot.full(ExampleProducts.all().get("fulmar"), 250, TODAY);
    Near.absolute(filler.baseG(), 250, 0);
    Near.absolute(filler.hardenerG(), 0, 0);
    // of plaster the powder is sold, not the water
    Product plaster = ExampleProducts.all().get("sanderling");
    Near.absolute(Lot.full(plaster, 5000, TODAY).baseG(), 5000, 0);
    Near.absolute(plaster.soldG(1300), 1000, 1e-9);
    Near.absolute(MARRAM.soldG(1300), 1300, 0);
  }

  @Test
  public void theEarliestOfPrintedShelfAndOpenedCounts() {
    assertEquals(lot(1).goodUntil(MARRAM), TODAY.minusDays(10).plusDays(365));
    assertEquals(lot(1, "opened", "2026-11-20").goodUntil(MARRAM), LocalDate.of(2027, 3, 20));
    assertEquals(lot(1, "useBy", "1 Dec 2026").goodUntil(MARRAM), LocalDate.of(2026, 12, 1));
    assertEquals(lot(1, "useBy", "1.12.2026").keeping(MARRAM, TODAY), Keeping.SOON);
    assertEquals(lot(1, "useBy", "27.11.2026").keeping(MARRAM, TODAY), Keeping.OVER);
    assertEquals(lot(1, "useBy", "28.11.2026").keeping(MARRAM, TODAY), Keeping.SOON);
    assertEquals(lot(1).keeping(MARRAM, TODAY), Keeping.FINE);
    assertNull(lot(1, "received", "").goodUntil(MARRAM));
  }

  @Test
  public void whatIsOverSoonestIsTakenFirst() {
    Stock stock =
        stock(
            lot(1100),
            lot(1100, "useBy", "2027-01-31"),
            lot(1100, "useBy", "2026-11-01"),
            lot(1100, "opened", "2026-11-01", "baseLeftG", "300"));
    Stock.Drawn drawn = stock.draw(1500, 150, TODAY);
    assertEquals(
        drawn.taken().stream().map(Stock.Taken::lot).toList(),
        List.of("lot 2", "lot 4", "lot 1"),
        "and nothing of the one that is over");
    Near.absolute(drawn.taken().get(1).baseG(), 300, 1e-9);
    Near.absolute(drawn.taken().get(1).hardenerG(), 50, 1e-9);
    Near.absolute(drawn.taken().get(2).hardenerG(), 0, 1e-9);
    Near.absolute(drawn.shortBaseG(), 0, 1e-9);
    Near.absolute(stock.draw(5000, 0, TODAY).shortBaseG(), 5000 - 2300, 1e-9);
    // one that somebody picked comes before, even one that is over
    Stock.Drawn picked = stock.draw(1500, 150, TODAY, "lot 3");
    assertEquals(picked.taken().stream().map(Stock.Taken::lot).toList(), List.of("lot 3", "lot 2"));
    Near.absolute(picked.taken().get(1).baseG(), 1500 - picked.taken().get(0).baseG(), 1e-9);
    assertEquals(stock.draw(1500, 150, TODAY, "gone"), drawn);
  }

  @Test
  public void takingAndGivingBackLosesNothing() {
    Random random = new Random(4);
    for (int n = 0; n < 500; n++) {
      Map<String, Lot> lots = new LinkedHashMap<>();
      for (int i = random.nextInt(5); i >= 0; i--) {
        lots.put("lot " + i, lot(100 + random.nextInt(3000)));
      }
      double base = random.nextInt(4000);
      double hardener = random.nextInt(400);
      Stock.Drawn drawn = new Stock(MARRAM, lots).draw(base, hardener, TODAY);
      double taken = drawn.taken().stream().mapToDouble(Stock.Taken::baseG).sum();
      Near.absolute(taken + drawn.shortBaseG(), base, 1e-6);
      for (Stock.Taken t : drawn.taken()) {
        Lot before = lots.get(t.lot());
        Lot after = before.taken(t.baseG(), t.hardenerG(), TODAY);
        assertEquals(after.opened(), TODAY);
        assertTrue(after.baseLeftG() >= 0 && after.hardenerLeftG() >= 0);
        Lot again = after.givenBack(t.baseG(), t.hardenerG(), t.opened());
        assertEquals(again.opened(), before.opened());
        Near.absolute(again.baseLeftG(), before.baseLeftG(), 1e-9);
        Near.absolute(again.hardenerLeftG(), before.hardenerLeftG(), 1e-9);
      }
    }
  }

  @Test
  public void theScarcerPartSaysHowMuchCanBeMixed() {
    Near.absolute(stock(lot(1100, "hardenerLeftG", "40")).usableG(TODAY), 440, 1e-9);
    Near.absolute(stock(lot(1100), lot(1100, "baseLeftG", "0")).usableG(TODAY), 1100, 1e-9);
    assertTrue(stock(lot(1100)).low(1200, TODAY));
    assertFalse(stock(lot(1100)).low(1000, TODAY));
    assertTrue(stock(lot(1100, "baseLeftG", "200")).low(0, TODAY));
    assertFalse(stock().low(0, TODAY), "what one never had is not running low");
  }

  @Test
  public void partsThatDriftApartPointToMisdosing() {
    assertNull(lot(1100, "baseLeftG", "900", "hardenerLeftG", "50").drift(0.1), "too little used");
    assertNull(lot(1100, "baseLeftG", "500", "hardenerLeftG", "49").drift(0.1));
    Near.absolute(lot(1100, "baseLeftG", "500", "hardenerLeftG", "40").drift(0.1), 0.2, 1e-9);
    Near.absolute(lot(1100, "baseLeftG", "500", "hardenerLeftG", "60").drift(0.1), -0.2, 1e-9);
  }

  private static ShoppingList.Need need(String job, String product, double g) {
    return new ShoppingList.Need(job, product, "", Parts.of(ExampleProducts.all().get(product), g));
  }

  /** Ten per cent of catalyst: 2 kg for 20 kg of base, half a kilogram of them there. */
  @Test
  public void partsSoldApartAreEachBoughtInFull() {
    Product sold = apart("20 kg of base at 300, 1 kg of hardener at 40, 5 kg of hardener at 150");
    Lot hardener = new Lot("", 0, 1000, 0, 500, TODAY, TODAY, null);
    ShoppingList list =
        ShoppingList.of(
            List.of(new ShoppingList.Need("post", "own", "", Parts.of(sold, 22_000))),
            Map.of("own", new Stock(sold, Map.of("a", hardener))),
            TODAY);
    ShoppingList.Line line = list.lines().get(0);
    assertEquals(line.purchase().orElseThrow().text(), "20 kg of base + 2 × 1 kg of hardener");
    assertEquals(line.unknown(), "");
    assertEquals(line.toBuy(Units.METRIC).text(), "20.00 kg + 1\u202f500 g");
    Product half = apart("20 kg of base at 300");
    ShoppingList short_ =
        ShoppingList.of(
            List.of(new ShoppingList.Need("post", "own", "", Parts.of(half, 22_000))),
            Map.of("own", new Stock(half, Map.of())),
            TODAY);
    assertEquals(short_.lines().get(0).unknown(), "its sheet names no pack of hardener");
  }

  @Test
  public void aPackOfOnePartHoldsNothingOfTheOther() {
    Product sold = apart("20 kg of base at 300, 1 kg of hardener at 40");
    Lot hardener = Lot.full(sold, Pack.unpriced("1 kg of hardener", Units.METRIC), TODAY);
    assertEquals(hardener.baseG(), 0.0);
    assertEquals(hardener.hardenerLeftG(), 1000.0);
    assertEquals(Lot.full(sold, sold.packs().get(0), TODAY).baseLeftG(), 20_000.0);
    Near.relative(Lot.full(sold, 1100, TODAY).hardenerG(), 100, 1e-9);
    assertEquals(
        Lot.full(sold, Pack.unpriced("0.5 kg of fast", Units.METRIC), TODAY).hardenerG(), 500.0);
    assertThrows(
        UnreadableQuantity.class,
        () -> Lot.full(sold, Pack.unpriced("1 kg of sand", Units.METRIC), TODAY));
  }

  private static Product apart(String packs) {
    return ProductWords.book()
        .edit(
            ExampleProducts.all().get("gannet-25"),
            List.of(Edit.of("packs", packs), Edit.of("ratio", "10 % of base")),
            Units.METRIC);
  }

  @Test
  public void theListCoversWhatTheShelfDoesNot() {
    Product dulse = ExampleProducts.all().get("dulse-30");
    Map<String, Stock> shelf =
        Map.of("marram-20", stock(lot(1100)), "dulse-30", new Stock(dulse, Map.of()));
    ShoppingList list =
        ShoppingList.of(
            List.of(
                need("tile", "marram-20", 900),
                need("bell", "dulse-30", 3000),
                need("post", "marram-20", 1500)),
            shelf,
            TODAY);
    ShoppingList.Line marram = list.lines().get(0);
    assertEquals(marram.jobs(), List.of("tile", "post"));
    Near.absolute(marram.toBuyG(), 1300, 1e-9);
    // 2 × 1.1 kg at 38 against 5.5 kg at 152
    assertEquals(marram.purchase().orElseThrow().text(), "2 × 1.1 kg");
    Near.absolute(list.price(), 76 + 96, 1e-9);
    Map<String, String> row = list.rows().get(0);
    assertEquals(row.get("on the shelf, g"), "1100");
    assertEquals(row.get("price"), "76.00");
    assertEquals(row.get("for"), "tile; post");
    ShoppingList nothing = ShoppingList.of(List.of(need("tile", "marram-20", 900)), shelf, TODAY);
    assertTrue(nothing.lines().get(0).purchase().isEmpty());
    assertEquals(nothing.lines().get(0).unknown(), "");
  }
}
