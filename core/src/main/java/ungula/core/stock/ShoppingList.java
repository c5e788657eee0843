package ungula.core.stock;

import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.SHEET;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Units;
import ungula.core.rubber.Purchase;
import ungula.core.working.Figure;
import ungula.core.working.Working;

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
   * @param needs of each job
   * @param neededG by all jobs
   * @param thereG on the shelf and good, as far as it is needed
   * @param toBuyG what is left
   * @param purchase the packs; empty when nothing is to be bought, or none are known
   */
  public record Line(
      String product,
      String name,
      List<Need> needs,
      double neededG,
      double thereG,
      double toBuyG,
      Optional<Purchase> purchase) {

    /** The jobs it is for, each once. */
    public List<String> jobs() {
      return needs.stream().map(Need::job).distinct().toList();
    }

    /** What all jobs need, with each one's share. */
    public Figure needed(Units units) {
      Working.Builder w = Working.of("what each job takes, less what is mixed already");
      needs.forEach(n -> w.given(n.job, Mass.format(n.massG, units), COMPUTED));
      return mass("needed", neededG, w.done(), units);
    }

    /** What of it is on the shelf. */
    public Figure there(Units units) {
      Working w =
          Working.of("what can be mixed of good packs, as far as the scarcer part goes")
              .given("needed", Mass.format(neededG, units), COMPUTED)
              .step("No more than is needed counts here.")
              .done();
      return mass("on the shelf", thereG, w, units);
    }

    /** What is left to buy. */
    public Figure toBuy(Units units) {
      Working w =
          Working.of("needed − on the shelf")
              .given("needed", Mass.format(neededG, units), COMPUTED)
              .given("on the shelf", Mass.format(thereG, units), COMPUTED)
              .done();
      return mass("to buy", toBuyG, w, units);
    }

    private static Figure mass(String label, double g, Working w, Units units) {
      return new Figure(label, label, g, Mass.format(g, units), Mass.exact(g, units), w);
    }

    /** What the packs cost; empty when nothing is bought. */
    public Optional<Figure> price(Units units, String currency) {
      return purchase.map(
          p -> {
            String text = money(p.price(), currency);
            Working w =
                Working.of("the packs that cover what is to buy for the least money")
                    .given("to buy", Mass.format(toBuyG, units), COMPUTED)
                    .given("packs", p.text(), SHEET)
                    .given("left over", Mass.format(p.leftG(), units), COMPUTED)
                    .done();
            return new Figure("price", "price", p.price(), text, text, w);
          });
    }

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
        List.copyOf(needs),
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
      row.put("for", String.join("; ", l.jobs()));
      rows.add(row);
    }
    return rows;
  }

  /** Of everything, with its working. */
  public Figure price(String currency) {
    Working.Builder w = Working.of("sum of the packs");
    for (Line l : lines) {
      l.purchase.ifPresent(p -> w.given(l.name, money(p.price(), currency), COMPUTED));
    }
    String text = money(price(), currency);
    return new Figure("together", "together", price(), text, text, w.done());
  }

  private static String money(double amount, String currency) {
    return currency + "\u202f" + Numbers.fixed(amount, 2);
  }

  private static String grams(double g) {
    return String.valueOf(Math.round(g));
  }
}
