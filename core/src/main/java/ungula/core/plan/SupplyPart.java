package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;
import static ungula.core.working.Given.Source.MEASURED;
import static ungula.core.working.Given.Source.SHEET;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.rubber.Pack;
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
    if (mix.first() == null || mix.used().keySet().stream().anyMatch(of -> of.packs().isEmpty())) {
      return null;
    }
    double cost = 0;
    for (Map.Entry<Product, Double> e : mix.used().entrySet()) {
      Pack opened = opened(e.getKey(), one(e.getValue()));
      cost += one(e.getValue()) * opened.price() / opened.massG();
    }
    return cost;
  }

  /** Of what all moulds take, one. */
  private double one(double allG) {
    return allG / MixPart.moulds(brief);
  }

  /** The pack one would open for it: what is used is paid for at its price. */
  private static Pack opened(Product of, double g) {
    return of.packs().stream()
        .filter(p -> p.massG() >= g)
        .findFirst()
        .orElseGet(
            () ->
                of.packs().stream()
                    .min(Comparator.comparingDouble(p -> p.price() / p.massG()))
                    .orElseThrow());
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
              double need = one(all);
              String of = mix.used().size() == 1 ? "" : " of " + product.name();
              w.given("mass mixed" + of, Mass.format(need, brief.units()), COMPUTED)
                  .given("pack", pack(opened(product, need), figures), SHEET)
                  .step("smallest pack" + of + " " + pack(product.packs().get(0), figures));
            });
    figures.cost("rubber.cost", "rubber used", cost, w.done());
  }

  private static String pack(Pack pack, FigureBook figures) {
    return Numbers.trimmed(pack.massG() / 1000, 3) + " kg at " + figures.money(pack.price());
  }

  /** What to buy of each rubber for all moulds of the job. */
  private void buy(FigureBook figures) {
    int n = 0;
    for (Map.Entry<Product, Double> e : mix.used().entrySet()) {
      List<Pack> packs = e.getKey().packs();
      double need = e.getValue();
      Optional<Purchase> bought = Purchase.cheapest(need, packs);
      if (bought.isEmpty()) {
        continue;
      }
      Working.Builder w =
          Working.of("the packs that cover the need for the least money")
              .given("base and hardener", Mass.format(need, brief.units()), COMPUTED)
              .given("sold as", Pack.text(packs), SHEET);
      bought
          .get()
          .inLargerPacks(need, packs, DEARER)
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
          mix.used().size() == 1 ? "to buy" : "to buy of " + e.getKey().name(),
          bought.get().price(),
          bought.get().text()
              + " for "
              + figures.money(bought.get().price())
              + ", "
              + Mass.format(bought.get().leftG(), brief.units())
              + " left over",
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
    double g = mix.used().values().stream().mapToDouble(Double::doubleValue).sum() / moulds;
    figures.mass(
        "moulds.mass",
        "base and hardener for all",
        moulds * g,
        Working.of("moulds × mixed for one")
            .given("moulds", count, CHOSEN)
            .given("for one", Mass.format(g, brief.units()), COMPUTED)
            .done());
    Double weighed = brief.recorded().rubber().mouldG();
    if (weighed != null) {
      double all = mix.stirred().isEmpty() ? mix.batches() : 1;
      double density = mix.first().totalG() / mix.first().volumeMm3();
      double cup =
          brief.workshop().cupLossPct() / 100 * weighed
              + all * brief.workshop().cupLossMm3() * density;
      figures.mass(
          "moulds.next",
          "to mix for the next",
          weighed + cup,
          Working.of("what the first weighs + what stays on cup and stick")
              .given("the first", Mass.format(weighed, brief.units()), MEASURED)
              .given("cup and stick", Mass.format(cup, brief.units()), DEFAULT)
              .done());
    }
  }
}
