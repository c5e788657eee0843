package ungula.server.stock;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.quantity.Day;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Units;
import ungula.core.rubber.Pack;
import ungula.core.rubber.Product;
import ungula.core.sentence.Word;
import ungula.core.sentence.WordBook;
import ungula.core.stock.Lot;
import ungula.core.stock.ShoppingList.Need;
import ungula.core.stock.Stock;
import ungula.core.table.Csv;
import ungula.core.working.Figure;
import ungula.core.working.KeyedBy;
import ungula.server.job.JobLists;
import ungula.server.product.Products;
import ungula.server.web.Json;
import ungula.server.web.Named;
import ungula.server.web.Problem;
import ungula.server.workshop.Habits;

/** Packs on the shelf, product by product. */
@RestController
@RequestMapping("/api/stock")
class StockController {

  private static final WordBook<Lot> WORDS = Lot.words();

  /** A pack of what is sold in none. */
  private static final double USUAL_PACK_G = 1000;

  private final StockMapper mapper;
  private final Stocks stocks;
  private final Products products;
  private final JobLists lists;
  private final Habits workshop;
  private final Json json;

  StockController(
      StockMapper mapper,
      Stocks stocks,
      Products products,
      JobLists lists,
      Habits workshop,
      Json json) {
    this.mapper = mapper;
    this.stocks = stocks;
    this.products = products;
    this.lists = lists;
    this.workshop = workshop;
    this.json = json;
  }

  /**
   * @param version to send back with an edit
   * @param keeping whether it is still good
   * @param until when that ends, in words; empty when nothing is known
   * @param drift what the parts' use points to; empty when they run out together
   */
  record LotView(
      String id,
      int version,
      @KeyedBy("LotWord") Map<String, Word.State> words,
      Lot.Keeping keeping,
      String until,
      String drift) {}

  /**
   * @param usable what can be mixed of it
   * @param low whether little is left, or less than the open jobs need
   * @param needed by the open jobs, in words; empty when none does
   */
  record StockView(
      String product, String name, Figure usable, boolean low, String needed, List<LotView> lots) {}

  /**
   * @param missing what is not counted among the needs and why, as sentences
   */
  record StockShelf(List<StockView> products, List<String> missing) {}

  /** Every product there is some of, or that an open job needs. */
  @GetMapping
  StockShelf stock() {
    JobLists.Open open = lists.open();
    Units units = workshop.current().units();
    Map<String, Double> needed = new LinkedHashMap<>();
    for (Need need : stocks.needs(open.jobs())) {
      needed.merge(need.product(), need.parts().totalG(), Double::sum);
    }
    Map<String, List<StockMapper.LotRow>> lots = new LinkedHashMap<>();
    mapper.lots().forEach(r -> lots.computeIfAbsent(r.productId(), id -> new ArrayList<>()).add(r));
    Set<String> all = new LinkedHashSet<>(lots.keySet());
    all.addAll(needed.keySet());
    return new StockShelf(
        all.stream()
            .map(
                id ->
                    view(id, lots.getOrDefault(id, List.of()), needed.getOrDefault(id, 0.0), units))
            .toList(),
        open.missing());
  }

  /** All packs as a table. RFC 4180, UTF-8. */
  @GetMapping(value = "/table.csv", produces = "text/csv;charset=UTF-8")
  ResponseEntity<String> stockCsv() {
    List<Map<String, String>> rows = new ArrayList<>();
    for (StockView of : stock().products()) {
      for (LotView lot : of.lots()) {
        Map<String, String> row = new LinkedHashMap<>();
        row.put("product", of.name());
        lot.words()
            .forEach((word, state) -> row.put(state.label(), state.unset() ? "" : state.text()));
        row.put("good until", lot.until());
        rows.add(row);
      }
    }
    return Named.attachment("Stock.csv").body(Csv.write(rows));
  }

  private StockView view(String id, List<StockMapper.LotRow> rows, double neededG, Units units) {
    Stock stock = stocks.of(id, rows);
    LocalDate today = stocks.today();
    return new StockView(
        id,
        stock.product().name(),
        stock.usable(today, units),
        stock.low(neededG, today),
        neededG > 0 ? Mass.format(neededG, units) : "",
        rows.stream()
            .map(row -> lot(row, stock.lots().get(row.id()), stock.product(), units))
            .toList());
  }

  private LotView lot(StockMapper.LotRow row, Lot lot, Product product, Units units) {
    LocalDate until = lot.goodUntil(product);
    Double drift = lot.drift(product.soldHardenerPerBase());
    return new LotView(
        row.id(),
        row.version(),
        WORDS.states(lot, units),
        lot.keeping(product, stocks.today()),
        until == null ? "" : Day.format(until),
        drift == null ? "" : drift(drift, product));
  }

  private static String drift(double share, Product product) {
    return Numbers.fixed(100 * Math.abs(share), 0)
        + " % "
        + (share > 0 ? "more " : "less ")
        + product.role().second()
        + " than "
        + product.role().first()
        + " was used: something was misdosed, or spilt.";
  }

  /**
   * @param mass as typed, "of hardener" after it for one part; null for a pack it is sold in
   */
  record NewLot(String product, @Nullable String mass) {}

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  void addLot(@RequestBody NewLot body) {
    Product product = products.find(body.product()).orElseThrow(() -> Problem.gone("This product"));
    Pack usual = product.packs().stream().findFirst().orElseGet(() -> new Pack(USUAL_PACK_G, 0));
    boolean said = body.mass() != null && !body.mass().isBlank();
    Units units = workshop.current().units();
    stocks.add(body.product(), said ? Pack.unpriced(body.mass(), units) : usual);
  }

  /**
   * @param version the edits were made on
   */
  record LotEdits(int version, List<WordBook.Edit> edits) {}

  @PostMapping("/{id}/edits")
  @Transactional
  public void editLot(@PathVariable String id, @RequestBody LotEdits body) {
    StockMapper.LotRow row = row(id);
    if (row.version() != body.version()) {
      throw Problem.conflict("This pack");
    }
    Lot changed = WORDS.edit(stocks.lot(row), body.edits(), workshop.current().units());
    if (mapper.saveLot(id, body.version(), json.write(changed)) == 0) {
      throw Problem.conflict("This pack");
    }
  }

  /** Takes a pack that is used up or thrown away off the shelf, or puts it back. */
  @PostMapping("/{id}/gone")
  @Transactional
  public void goneLot(@PathVariable String id, @RequestParam boolean gone) {
    row(id);
    mapper.gone(id, gone);
  }

  private StockMapper.LotRow row(String id) {
    StockMapper.LotRow row = mapper.lot(id);
    if (row == null) {
      throw Problem.gone("This pack");
    }
    return row;
  }
}
