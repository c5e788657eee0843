package ungula.server.sheet;

import java.io.IOException;
import java.io.OutputStream;
import java.time.LocalDate;
import java.util.List;
import ungula.core.quantity.Day;
import ungula.core.quantity.Numbers;
import ungula.core.stock.ShoppingList;
import ungula.core.workshop.Workshop;

/** A shopping list on paper, with a box to tick for every product. */
public final class ShoppingSheet {

  private ShoppingSheet() {}

  /**
   * @param missing what the list lacks and why, as sentences
   */
  public static void write(
      ShoppingList list, List<String> missing, Workshop shop, LocalDate day, OutputStream to)
      throws IOException {
    try (SheetPen pen = new SheetPen(shop.paper(), shop.name() + " · " + Day.format(day))) {
      pen.line("To buy", 20, true, SheetPen.INK);
      pen.down(6);
      for (String m : missing) {
        pen.line(m, 11, true, SheetPen.CLAY);
      }
      boolean any = false;
      for (ShoppingList.Line l : list.lines()) {
        if (l.toBuyG() > 0) {
          any = true;
          line(l, shop, pen);
        }
      }
      if (!any) {
        pen.line("Everything the open jobs need is on the shelf.", 11, false, SheetPen.INK);
      } else {
        pen.line(
            "Together " + shop.currency() + " " + Numbers.fixed(list.price(), 2),
            13,
            true,
            SheetPen.INK);
      }
      pen.save(to);
    }
  }

  private static void line(ShoppingList.Line l, Workshop shop, SheetPen pen) throws IOException {
    pen.room(60);
    pen.box(pen.left(), pen.y() - 15, 11);
    pen.line("      " + l.name(), 12, true, SheetPen.INK);
    String packs =
        l.purchase()
            .map(p -> p.text() + ", " + shop.currency() + " " + Numbers.fixed(p.price(), 2))
            .orElse(l.toBuy(shop.units()).text());
    packs = l.unknown().isEmpty() ? packs : packs + "; " + l.unknown();
    pen.line("        " + packs, 12, false, SheetPen.INK);
    pen.line(
        "        for "
            + String.join(", ", l.jobs())
            + ": "
            + l.needed(shop.units()).text()
            + ", on the shelf "
            + l.there(shop.units()).text(),
        9,
        false,
        SheetPen.QUIET);
    pen.down(8);
  }
}
