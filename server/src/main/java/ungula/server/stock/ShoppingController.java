package ungula.server.stock;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.quantity.Units;
import ungula.core.rubber.Purchase;
import ungula.core.stock.ShoppingList;
import ungula.core.stock.Stock;
import ungula.core.table.Csv;
import ungula.core.working.Figure;
import ungula.core.workshop.Workshop;
import ungula.server.job.JobLists;
import ungula.server.sheet.ShoppingSheet;
import ungula.server.web.Named;
import ungula.server.workshop.Habits;

/** What to buy, for one job or all that are open. */
@RestController
@RequestMapping("/api/shopping")
class ShoppingController {

  private final JobLists lists;
  private final Stocks stocks;
  private final Habits workshop;

  ShoppingController(JobLists lists, Stocks stocks, Habits workshop) {
    this.lists = lists;
    this.stocks = stocks;
    this.workshop = workshop;
  }

  /**
   * @param packs to buy; empty when nothing is, or the sheet names none
   * @param price of them; null as well
   * @param left over; empty as well
   * @param unknown which packs are not known, as a sentence; empty when all are
   */
  record LineView(
      String product,
      String name,
      List<String> jobs,
      Figure needed,
      Figure there,
      Figure toBuy,
      String packs,
      @Nullable Figure price,
      String left,
      String unknown) {}

  /**
   * @param price of everything
   * @param missing what is left out and why, as sentences
   * @param working whether some of that is being worked out now: look again
   */
  record ShoppingView(List<LineView> lines, Figure price, List<String> missing, boolean working) {}

  /**
   * @param job id of the one; all open jobs when left out
   */
  @GetMapping
  ShoppingView shopping(@RequestParam(required = false) String job) {
    Workshop shop = workshop.current();
    JobLists.Open open = open(job);
    ShoppingList list = list(open);
    return new ShoppingView(
        list.lines().stream().map(l -> line(l, shop)).toList(),
        list.price(shop.currency()),
        open.missing(),
        open.working());
  }

  private static LineView line(ShoppingList.Line l, Workshop shop) {
    Units units = shop.units();
    return new LineView(
        l.product(),
        l.name(),
        l.jobs(),
        l.needed(units),
        l.there(units),
        l.toBuy(units),
        l.purchase().map(Purchase::text).orElse(""),
        l.price(units, shop.currency()).orElse(null),
        l.leftOver(units),
        l.unknown());
  }

  @GetMapping(value = "/list.csv", produces = "text/csv")
  ResponseEntity<String> shoppingCsv(@RequestParam(required = false) String job) {
    JobLists.Open open = open(job);
    List<Map<String, String>> rows = new ArrayList<>(list(open).rows());
    open.missing().forEach(m -> rows.add(Map.of("product", m)));
    return Named.attachment("shopping-list.csv").body(Csv.write(rows));
  }

  @GetMapping(value = "/list.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> shoppingPdf(@RequestParam(required = false) String job)
      throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    JobLists.Open open = open(job);
    ShoppingSheet.write(list(open), open.missing(), workshop.current(), stocks.today(), out);
    return Named.inline("shopping-list.pdf").body(out.toByteArray());
  }

  private JobLists.Open open(String job) {
    return job == null || job.isBlank() ? lists.open() : lists.open(job);
  }

  private ShoppingList list(JobLists.Open open) {
    List<ShoppingList.Need> needs = stocks.needs(open.jobs());
    Map<String, Stock> stock = new HashMap<>();
    needs.forEach(n -> stock.computeIfAbsent(n.product(), stocks::of));
    return ShoppingList.of(needs, stock, stocks.today());
  }
}
