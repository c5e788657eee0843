package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.SHEET;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import ungula.core.quantity.Mass;
import ungula.core.rubber.Pack;
import ungula.core.rubber.Parts;
import ungula.core.rubber.Product;
import ungula.core.rubber.Purchase;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;

/**
 * What the rubber of a job costs, what to buy for it, and what several moulds of one master take.
 */
public record SupplyPart(Brief brief, MixPart mix) implements Part {

  /** Larger packs are worth a word when they cost no more than so much of the cheapest. */
  private static final double DEARER = 0.1;

  @Override
  public void show(FigureBook figures) {
    cost(figures);
    buy(figures);
    alike(figures);
  }

  /** For what is used of each rubber; null while the sheet of one of them names no packs. */
  public Double cost() {
    if (mix.first() == null) {
      return null;
    }
    double cost = 0;
    for (Map.Entry<Product, Parts> e : mix.used().entrySet()) {
      List<Opened> opened = opened(e.getKey(), one(e.getValue()));
      if (opened.isEmpty()) {
        return null;
      }
      cost += opened.stream().mapToDouble(Opened::price).sum();
    }
    return cost;
  }

  /** Of what all moulds take, one. */
  private Parts one(Parts all) {
    return all.times(1.0 / MixPart.moulds(brief));
  }

  /**
   * A pack one would open: what is used is paid for at its price.
   *
   * @param g used of it
   */
  private record Opened(Pack pack, double g) {

    double price() {
      return g * pack.price() / pack.massG();
    }

    static Opened of(List<Pack> offered, double g) {
      return new Opened(
          offered.stream()
              .filter(p -> p.massG() >= g)
              .findFirst()
              .orElseGet(
                  () ->
                      offered.stream()
                          .min(Comparator.comparingDouble(p -> p.price() / p.massG()))
                          .orElseThrow()),
          g);
    }
  }

  /** Of both parts together where they are sold so, else of each; empty where one has no pack. */
  private static List<Opened> opened(Product of, Parts need) {
    Map<Pack.Holds, List<Pack>> packs =
        of.packs().stream().collect(Collectors.groupingBy(p -> p.holds(of)));
    List<Pack> both = packs.get(Pack.Holds.BOTH);
    List<Pack> first = packs.get(Pack.Holds.FIRST);
    List<Pack> second = packs.get(Pack.Holds.SECOND);
    if (both != null) {
      return List.of(Opened.of(both, need.totalG()));
    }
    return first == null || second == null
        ? List.of()
        : List.of(Opened.of(first, need.firstG()), Opened.of(second, need.secondG()));
  }

  private void cost(FigureBook figures) {
    Double cost = cost();
    if (cost == null) {
      return;
    }
    Working.Builder w = Working.of("cost = mass mixed × price per mass of the pack opened for it");
    mix.used()
        .forEach(
            (product, all) -> {
              String of = mix.used().size() == 1 ? "" : " of " + product.name();
              for (Opened o : opened(product, one(all))) {
                String part = o.pack.of().isEmpty() ? "" : ", " + o.pack.of();
                w.given("mass mixed" + of + part, Mass.format(o.g, brief.units()), COMPUTED)
                    .given("pack", pack(o.pack, figures), SHEET);
              }
              w.given("sold" + of + " as", Pack.text(product.packs()), SHEET);
            });
    figures.cost("rubber.cost", "rubber used", cost, w.done());
  }

  private static String pack(Pack pack, FigureBook figures) {
    return pack.text() + " at " + figures.money(pack.price());
  }

  /** What to buy of each rubber for all moulds of the job. */
  private void buy(FigureBook figures) {
    int n = 0;
    for (Map.Entry<Product, Parts> e : mix.used().entrySet()) {
      Product product = e.getKey();
      Parts need = e.getValue();
      Optional<Purchase> bought = Purchase.cheapest(need, product);
      if (bought.isEmpty()) {
        continue;
      }
      Working.Builder w =
          Working.of("the packs that cover the need for the least money")
              .given(product.role().first(), Mass.format(need.firstG(), brief.units()), COMPUTED)
              .given(product.role().second(), Mass.format(need.secondG(), brief.units()), COMPUTED)
              .given("sold as", Pack.text(product.packs()), SHEET);
      bought
          .get()
          .inLargerPacks(need.totalG(), product.packs(), DEARER)
          .ifPresent(
              other ->
                  w.step(
                      other.text()
                          + " costs "
                          + figures.money(other.price() - bought.get().price())
                          + " more and leaves "
                          + Mass.format(other.leftG(), brief.units())
                          + "."));
      figures.put(
          "buy." + n++,
          mix.used().size() == 1 ? "to buy" : "to buy of " + product.name(),
          bought.get().price(),
          bought.get().text()
              + " for "
              + figures.money(bought.get().price())
              + ", "
              + bought.get().leftText(product, brief.units())
              + " left over"
              + (bought.get().missing().isEmpty()
                  ? ""
                  : "; no pack of " + bought.get().missing() + " is known"),
          w.done());
    }
  }

  /** Several moulds of one master. */
  private void alike(FigureBook figures) {
    Integer moulds = brief.choices().rubber().moulds();
    if (moulds == null || moulds < 2) {
      return;
    }
    String count = String.valueOf(moulds);
    double g = mix.used().values().stream().mapToDouble(Parts::totalG).sum() / moulds;
    figures.mass(
        "moulds.mass",
        "base and hardener for all",
        moulds * g,
        Working.of("moulds × mixed for one")
            .given("moulds", count, CHOSEN)
            .given("for one", Mass.format(g, brief.units()), COMPUTED)
            .done());
  }
}
