package ungula.core.step;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;

import java.util.Optional;
import ungula.core.cast.Amounts;
import ungula.core.plan.AmountPart;
import ungula.core.plan.LifePart;
import ungula.core.plan.Plan;
import ungula.core.plan.SupplyPart;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Share;
import ungula.core.rubber.Pack;
import ungula.core.rubber.Product;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;
import ungula.core.workshop.Workshop;

/**
 * What a mould costs, and each of its casts: the plan's materials, and the hours of its steps.
 *
 * @param rubber used for one mould
 * @param shell sheet for its box, or its jacket
 * @param hours of work by hand
 * @param spared of each further mould of the same master: the box is used again, and the master is
 *     ready
 */
public record Cost(Plan plan, double rubber, double shell, double hours, double spared) {

  /** Empty while a price is missing. */
  public static Optional<Cost> of(Steps steps) {
    Plan plan = steps.plan();
    Double rubber = plan.supply().map(SupplyPart::cost).orElse(null);
    return rubber == null || !steps.whole()
        ? Optional.empty()
        : plan.shellCost().map(shell -> of(steps, rubber, shell));
  }

  private static Cost of(Steps steps, double rubber, double shell) {
    Plan plan = steps.plan();
    double once = Series.onceMin(steps) / 60 * plan.workshop().costs().hour();
    double box = plan.poured() ? shell : 0;
    return new Cost(plan, rubber, shell, steps.handsMin() / 60, once + box);
  }

  private Workshop.Costs costs() {
    return plan.workshop().costs();
  }

  /** Of a mould. */
  public double mould() {
    return rubber + shell + costs().consumables() + hours * costs().hour();
  }

  /** Of so many moulds of one master. */
  public double moulds(double count) {
    return count * mould() - (count - 1) * spared;
  }

  /** Adds its figures; what is shown of hours is quoted. */
  public void show(FigureBook figures) {
    figures.cost(
        "cost.job",
        "the mould costs",
        mould(),
        Working.of("rubber + box or jacket + consumables + work by hand × an hour's price")
            .given("rubber", figures.money(rubber), COMPUTED)
            .given(plan.poured() ? "sheet for the box" : "jacket", figures.money(shell), COMPUTED)
            .given("consumables", figures.money(costs().consumables()), DEFAULT)
            .given("work by hand", figures.get("job.hands").text(), COMPUTED)
            .given("an hour", figures.money(costs().hour()), DEFAULT)
            .done());
    Integer moulds = plan.choices().rubber().moulds();
    if (moulds != null && moulds > 1) {
      figures.cost(
          "moulds.cost",
          "all moulds cost",
          moulds(moulds),
          Working.of("moulds × the mould − what is spared on each after the first")
              .given("moulds", String.valueOf(moulds), CHOSEN)
              .given("the mould", figures.money(mould()), COMPUTED)
              .given(sparedFor(), figures.money(spared), COMPUTED)
              .done());
    }
    LifePart life = plan.life().orElseThrow();
    if (life.casts() >= 1) {
      each(life, figures);
    }
  }

  private String sparedFor() {
    return plan.poured()
        ? "spared: its box, and the master made ready"
        : "spared: the master made ready";
  }

  /** What one cast costs: its share of the mould, and what it is made of. */
  private void each(LifePart life, FigureBook figures) {
    Integer wanted = plan.choices().cast().wanted();
    double moulds = wanted == null ? 1 : Math.ceil(wanted / life.casts());
    double casts = wanted == null ? life.casts() : wanted;
    Working.Builder w =
        Working.of(
                moulds > 1
                    ? "(moulds × the mould − what each further one spares) ÷ casts + what is cast"
                    : "the mould ÷ casts + what is cast")
            .given("the mould", figures.money(mould()), COMPUTED)
            .given("moulds", Numbers.fixed(moulds, 0), COMPUTED)
            .given("casts", Numbers.fixed(casts, 0), wanted == null ? COMPUTED : CHOSEN);
    if (moulds > 1) {
      w.given(sparedFor(), figures.money(spared), COMPUTED);
    }
    double material = ofAPour().orElse(0.0) / life.castsOfAPour();
    if (ofAPour().isPresent()) {
      Product cast = plan.brief().cast();
      double g = soldG(cast) / life.castsOfAPour();
      w.given(
          cast.name(), Mass.format(g, plan.units()) + " for " + figures.money(material), COMPUTED);
    } else {
      w.step("What is cast is not in it: no product with packs is chosen for it.");
    }
    double each = moulds(moulds) / casts + material;
    figures.cost("cost.cast", "a cast costs", each, w.done());
    Double margin = plan.choices().cast().series().marginPct();
    if (margin != null) {
      figures.cost(
          "cast.price",
          "price of a cast",
          each * (1 + margin / 100),
          Working.of("what a cast costs × (1 + margin)")
              .given("a cast costs", figures.money(each), COMPUTED)
              .given("margin", Share.typed(margin), CHOSEN)
              .done());
    }
  }

  /** What is mixed for a pour of casts, as far as it is sold. */
  private double soldG(Product cast) {
    Double mixed = plan.amount().map(AmountPart::amounts).map(Amounts::totalG).orElse(null);
    return cast.soldG(mixed == null ? plan.cast().orElseThrow().massG() : mixed);
  }

  /** What is poured for the casts of one pour; empty while no product with packs is cast. */
  public Optional<Double> ofAPour() {
    Product cast = plan.brief().cast();
    if (cast == null || cast.packs().isEmpty() || !plan.cast().orElseThrow().known()) {
      return Optional.empty();
    }
    Pack pack = cast.packs().get(cast.packs().size() / 2);
    return Optional.of(soldG(cast) * pack.price() / pack.massG());
  }
}
