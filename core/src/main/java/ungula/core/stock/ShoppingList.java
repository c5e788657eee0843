package ungula.core.stock;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ungula.core.quantity.Numbers;
import ungula.core.rubber.Purchase;

/**
 * What to buy for one job or several: for each product the cheapest packs that cover what the stock
 * does not.
 *
 * @param lines by product, as the jobs need them
 */
public record ShoppingList(List<Line> lines) {

  /**
   * What a job still needs of a product.
   *
   * @param job by name
   * @param product by id
   * @param massG first and second part together
   */
  public record Need(String job, String product, double massG) {}

  /**
   * @param product by id
   * @param neededG by all jobs
   * @param thereG on the shelf and good, as far as it is needed
   * @param toBuyG what is left
   * @param purchase the packs; empty when nothing is to be bought, or none are known
   */
  public record Line(
      String product,
      String name,
      List<String> jobs,
      double neededG,
      double thereG,
      double toBuyG,
      Optional<Purchase> purchase) {

    /** Whether something is to be bought and the sheet names no packs. */
    public boolean packsUnknown() {
      return toBuyG > 0 && purchase.isEmpty();
    }
  }

  /**
   * @param stock of every product that is needed, by its id
   */
  public static ShoppingList of(List<Need> needs, Map<String, Stock> stock, LocalDate today) {
    Map<String, List<Need>> byProduct = new LinkedHashMap<>();
    for (Need need : needs) {
      byProduct.computeIfAbsent(need.product, id -> new ArrayList<>()).add(need);
    }
    List<Line> lines = new ArrayList<>();
    byProduct.forEach((id, all) -> lines.add(line(id, all, stock.get(id), today)));
    return new ShoppingList(List.copyOf(lines));
  }

  private static Line line(String id, List<Need> needs, Stock stock, LocalDate today) {
    double needed = needs.stream().mapToDouble(Need::massG).sum();
    double there = Math.min(needed, stock.usableG(today));
    double toBuy = Math.max(0, needed - there);
    return new Line(
        id,
        stock.product().name(),
        needs.stream().map(Need::job).distinct().toList(),
        needed,
        there,
        toBuy,
        toBuy > 0 ? Purchase.cheapest(toBuy, stock.product().packs()) : Optional.empty());
  }

  /** Of everything that is to be bought. */
  public double price() {
    return lines.stream().flatMap(l -> l.purchase.stream()).mapToDouble(Purchase::price).sum();
  }

  /** One row a line, for a table: plain numbers, grams, and prices without their currency. */
  public List<Map<String, String>> rows() {
    List<Map<String, String>> rows = new ArrayList<>();
    for (Line l : lines) {
      Map<String, String> row = new LinkedHashMap<>();
      row.put("product", l.name);
      row.put("needed, g", grams(l.neededG));
      row.put("on the shelf, g", grams(l.thereG));
      row.put("to buy, g", grams(l.toBuyG));
      row.put("packs", l.purchase.map(Purchase::text).orElse(""));
      row.put("price", l.purchase.map(p -> Numbers.fixed(p.price(), 2)).orElse(""));
      row.put("left over, g", l.purchase.map(p -> grams(p.leftG())).orElse(""));
      row.put("for", String.join("; ", l.jobs));
      rows.add(row);
    }
    return rows;
  }

  private static String grams(double g) {
    return String.valueOf(Math.round(g));
  }
}
