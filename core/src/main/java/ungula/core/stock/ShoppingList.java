package ungula.core.stock;

import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.SHEET;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Units;
import ungula.core.rubber.Parts;
import ungula.core.rubber.Product;
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
   * @param grade of catalyst picked for it; empty for the sheet's own
   */
  public record Need(String job, String product, String grade, Parts parts) {}

  /**
   * @param product by id
   * @param of it, with the grade of catalyst picked
   * @param needs of each job
   * @param needed by all jobs
   * @param there on the shelf and good, as far as it is needed
   * @param purchase the packs for the rest; empty when nothing is to be bought, or none are known
   */
  public record Line(
      String product,
      Product of,
      List<Need> needs,
      Parts needed,
      Parts there,
      Optional<Purchase> purchase) {

    /** Of the product, and of its catalyst where one is picked. */
    public String name() {
      return of.grade().isEmpty() ? of.name() : of.name() + ", " + of.grade();
    }

    private Parts buy() {
      return needed.less(there);
    }

    public double toBuyG() {
      return buy().totalG();
    }

    /** Each part by itself where they are bought apart: "1 285 g + 128 g". */
    private String grams(Parts p, Units units) {
      boolean apart = purchase.filter(b -> b.left() != null).isPresent();
      return apart
          ? Mass.format(p.firstG(), units) + " + " + Mass.format(p.secondG(), units)
          : Mass.format(p.totalG(), units);
    }

    /** What the packs leave over, in the same way; empty when none are bought. */
    public String leftOver(Units units) {
      return purchase
          .map(b -> b.left() == null ? Mass.format(b.leftG(), units) : grams(b.left(), units))
          .orElse("");
    }

    /** The jobs it is for, each once. */
    public List<String> jobs() {
      return needs.stream().map(Need::job).distinct().toList();
    }

    /** What all jobs need, with each one's share. */
    public Figure needed(Units units) {
      Working.Builder w = Working.of("what each job takes, less what is mixed already");
      needs.forEach(n -> w.given(n.job, grams(n.parts, units), COMPUTED));
      return mass("needed", needed, w.done(), units);
    }

    /** What of it is on the shelf. */
    public Figure there(Units units) {
      Working w =
          Working.of("what good packs hold of each part")
              .given("needed", grams(needed, units), COMPUTED)
              .step("No more than is needed counts here.")
              .done();
      return mass("on the shelf", there, w, units);
    }

    /** What is left to buy. */
    public Figure toBuy(Units units) {
      Working w =
          Working.of("needed − on the shelf")
              .given("needed", grams(needed, units), COMPUTED)
              .given("on the shelf", grams(there, units), COMPUTED)
              .done();
      return mass("to buy", buy(), w, units);
    }

    private Figure mass(String label, Parts parts, Working w, Units units) {
      double g = parts.totalG();
      return new Figure(label, label, g, grams(parts, units), Mass.exact(g, units), w);
    }

    /** What the packs cost; empty when nothing is bought. */
    public Optional<Figure> price(Units units, String currency) {
      return purchase.map(
          p -> {
            String text = money(p.price(), currency);
            Working w =
                Working.of("the packs that cover what is to buy for the least money")
                    .given("to buy", grams(buy(), units), COMPUTED)
                    .given("packs", p.text(), SHEET)
                    .given("left over", leftOver(units), COMPUTED)
                    .done();
            return new Figure("price", "price", p.price(), text, text, w);
          });
    }

    /** What cannot be bought because no pack of it is known, as a sentence; else empty. */
    public String unknown() {
      if (toBuyG() <= 0) {
        return "";
      }
      String missing = purchase.map(Purchase::missing).orElse(null);
      return missing == null
          ? "its sheet names no packs"
          : missing.isEmpty() ? "" : "its sheet names no pack of " + missing;
    }
  }

  /**
   * @param stock of every product that is needed, by its id
   */
  public static ShoppingList of(List<Need> needs, Map<String, Stock> stock, LocalDate today) {
    Map<List<String>, List<Need>> byProduct = new LinkedHashMap<>();
    for (Need need : needs) {
      List<String> same = List.of(need.product, need.grade);
      byProduct.computeIfAbsent(same, id -> new ArrayList<>()).add(need);
    }
    Map<String, Parts> there = new HashMap<>();
    stock.forEach((id, s) -> there.put(id, s.good(today)));
    List<Line> lines = new ArrayList<>();
    for (List<Need> all : byProduct.values()) {
      Need one = all.get(0);
      Product product = stock.get(one.product).product().with(one.grade);
      Line line = line(product, all, there.get(one.product));
      there.computeIfPresent(one.product, (id, left) -> left.less(line.there));
      lines.add(line);
    }
    return new ShoppingList(List.copyOf(lines));
  }

  private static Line line(Product product, List<Need> needs, Parts stock) {
    Parts needed = needs.stream().map(Need::parts).reduce(Parts.NONE, Parts::plus);
    Parts there =
        new Parts(
            Math.min(needed.firstG(), stock.firstG()), Math.min(needed.secondG(), stock.secondG()));
    Parts buy = needed.less(there);
    return new Line(
        needs.get(0).product,
        product,
        List.copyOf(needs),
        needed,
        there,
        buy.totalG() > 0 ? Purchase.cheapest(buy, product) : Optional.empty());
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
      row.put("product", l.name());
      row.put("needed, g", grams(l.needed.totalG()));
      row.put("on the shelf, g", grams(l.there.totalG()));
      row.put("to buy, g", grams(l.toBuyG()));
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
      l.purchase.ifPresent(p -> w.given(l.name(), money(p.price(), currency), COMPUTED));
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
