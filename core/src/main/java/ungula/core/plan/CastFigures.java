package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;
import static ungula.core.working.Given.Source.SHEET;

import java.util.Map;
import ungula.core.contact.CastingMaterial;
import ungula.core.contact.MouldLife;
import ungula.core.contact.Releases;
import ungula.core.geometry.Vec3;
import ungula.core.mould.MouldKind;
import ungula.core.quantity.Length;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.release.Stretch;
import ungula.core.rubber.Pack;
import ungula.core.rubber.Product;
import ungula.core.rubber.Product.Chemistry;
import ungula.core.rubber.Shrinkage;
import ungula.core.working.Figure;
import ungula.core.working.Working;
import ungula.core.workshop.Workshop;

/** What comes of a mould: the size of its casts, how many it gives, and what each costs. */
final class CastFigures {

  private final Planner p;

  private CastFigures(Planner p) {
    this.p = p;
  }

  static void add(Planner p) {
    CastFigures f = new CastFigures(p);
    f.size();
    f.life();
    f.potLife();
    f.cost();
  }

  /** How long what is cast can be poured: larger masses of resin warm themselves. */
  private void potLife() {
    if (p.cast == null || p.cast.potLifeMin() == null || !p.figures.has("cast.mass")) {
      return;
    }
    double min = p.resin().potLifeMin();
    Working.Builder w =
        Working.of("pot life = sheet, in your room, × mass factor for every tenfold of 100 g")
            .given("sheet", Amounts.minutes(p.cast.potLifeMin()), SHEET)
            .given("room", Numbers.trimmed(p.workshop.roomC(), 0) + " °C", DEFAULT)
            .given("a cast", p.figures.get("cast.mass").text(), COMPUTED);
    if (p.cast.warmsItself()) {
      boolean said = p.cast.massFactor() != null;
      double factor = said ? p.cast.massFactor() : Product.USUAL_MASS_FACTOR;
      w.given("mass factor", Numbers.trimmed(factor, 2), said ? SHEET : DEFAULT)
          .step("How a larger mass warms itself is a rule of thumb; a thin cast stays cooler.");
    }
    p.figures.put("cast.potLife", "pot life of what is cast", min, Amounts.minutes(min), w.done());
  }

  private void size() {
    if (p.product == null
        || p.cast == null
        || p.cast.shrinkagePct() == null
        || p.product.shrinkagePct() == null) {
      return;
    }
    Shrinkage shrinkage = new Shrinkage(p.product.shrinkagePct(), p.cast.shrinkagePct());
    Vec3 master = p.facts.sizeMm();
    double longest = Math.max(master.x(), Math.max(master.y(), master.z()));
    Working w =
        Working.of("cast = master × (1 − shrinkage of the rubber) × (1 − shrinkage of the cast)")
            .given("master", size(master, 1), COMPUTED)
            .given(p.product.name(), percent(p.product.shrinkagePct()), SHEET)
            .given(p.cast.name(), percent(p.cast.shrinkagePct()), SHEET)
            .step("Nothing holds it to its size as it cures: a filled or thin cast shrinks less.")
            .done();
    p.figures.put(
        "size.cast", "size of a cast", shrinkage.factor(), size(master, shrinkage.factor()), w);
    p.figures.put(
        "size.lost",
        "lost on the longest side",
        shrinkage.lostMm(longest),
        Numbers.fixed(shrinkage.lostMm(longest), 2) + " mm",
        w);
    p.figures.put(
        "size.scaleUp",
        "scale the master by",
        shrinkage.scaleUp(),
        Numbers.fixed(shrinkage.scaleUp(), 5),
        Working.of("1 ÷ ((1 − shrinkage of the rubber) × (1 − shrinkage of the cast))")
            .given(p.product.name(), percent(p.product.shrinkagePct()), SHEET)
            .given(p.cast.name(), percent(p.cast.shrinkagePct()), SHEET)
            .step(
                "The same along each axis: the master would be "
                    + size(master, shrinkage.scaleUp()))
            .done());
  }

  private String size(Vec3 mm, double by) {
    return Length.format3(by * mm.x(), by * mm.y(), by * mm.z(), p.units);
  }

  private static String percent(double pct) {
    return Numbers.trimmed(pct, 2) + " %";
  }

  /** Of addition-cure silicone while no rubber is picked. */
  private void life() {
    CastingMaterial cast = p.castingMaterial();
    Chemistry rubber = p.product == null ? Chemistry.ADDITION : p.product.chemistry();
    int base = p.workshop.lives().get(cast).of(rubber);
    double life = base;
    Working.Builder w =
        Working.of("casts by rubber and casting material × stretch × cut × heat × release")
            .given(cast.text() + " in " + rubber.text(), base + " casts", DEFAULT);
    double stretch = stretchPct(p.figures.all());
    if (stretch > 0) {
      double stands = Stretch.elongationPct(p.product == null ? null : p.product.elongationPct());
      double factor = MouldLife.stretchFactor(stretch, stands);
      life *= factor;
      w.given(
          "stretch, " + Numbers.fixed(stretch, 0) + " % of the " + percent(stands) + " it stands",
          "× " + Numbers.fixed(factor, 2),
          COMPUTED);
    }
    if (p.choices.mould().kind() == MouldKind.CUT) {
      life *= MouldLife.CUT_EDGE;
      w.given("wear of the cut edge", "× " + Numbers.fixed(MouldLife.CUT_EDGE, 2), DEFAULT);
    }
    if (p.product != null && p.product.heatLimitC() != null) {
      double factor = MouldLife.heatFactor(p.castC(), p.product.heatLimitC());
      life *= factor;
      w.given(
          "heat, "
              + Numbers.fixed(p.castC(), 0)
              + " °C against "
              + Numbers.fixed(p.product.heatLimitC(), 0)
              + " °C",
          "× " + Numbers.fixed(factor, 2),
          p.cast == null ? DEFAULT : SHEET);
    }
    if (p.workshop.releases() == Releases.EVERYTHING) {
      double factor = MouldLife.releaseFactor(cast);
      life *= factor;
      w.given("released before every cast", "× " + Numbers.fixed(factor, 2), DEFAULT);
    }
    if (p.castsOfAPour() > 1) {
      w.given("casts of a pour", String.valueOf(p.castsOfAPour()), COMPUTED);
    }
    double casts = Math.floor(life) * p.castsOfAPour();
    p.figures.put(
        "life.casts",
        "the mould gives about",
        casts,
        casts < 1 ? "no cast" : Numbers.fixed(casts, 0) + (casts == 1 ? " cast" : " casts"),
        w.step("A rule of thumb: the table stands on the Workshop page, to be made your own.")
            .plusMinus("half to double")
            .done());
    Integer wanted = p.choices.cast().wanted();
    if (wanted != null && casts >= 1 && wanted > casts) {
      double moulds = Math.ceil(wanted / casts);
      p.figures.put(
          "life.moulds",
          "moulds for them",
          moulds,
          Numbers.fixed(moulds, 0) + " moulds",
          Working.of("casts wanted ÷ casts a mould gives")
              .given("wanted", String.valueOf(wanted), CHOSEN)
              .given("a mould gives", p.figures.get("life.casts").text(), COMPUTED)
              .done());
    }
  }

  /** What the rubber is stretched by as a cast comes out, %; 0 where nothing is known of it. */
  static double stretchPct(Map<String, Figure> figures) {
    return Math.max(
        100 * Math.max(value(figures, "locks.stretch"), value(figures, "skin.stretch")),
        value(figures, "core.stretch"));
  }

  private static double value(Map<String, Figure> figures, String key) {
    return figures.containsKey(key) ? figures.get(key).value() : 0;
  }

  private void cost() {
    String box = p.poured() ? "box.cost" : "jacket.cost";
    if (!p.figures.has("rubber.cost") || !p.figures.has(box) || !p.figures.has("job.hands")) {
      return;
    }
    Workshop.Costs costs = p.workshop.costs();
    double hours = p.figures.value("job.hands");
    double job =
        p.figures.value("rubber.cost")
            + p.figures.value(box)
            + costs.consumables()
            + hours * costs.hour();
    p.figures.cost(
        "cost.job",
        "the mould costs",
        job,
        Working.of("rubber + box or jacket + consumables + work by hand × an hour's price")
            .given("rubber", p.figures.get("rubber.cost").text(), COMPUTED)
            .given(p.poured() ? "sheet for the box" : "jacket", p.figures.get(box).text(), COMPUTED)
            .given("consumables", p.figures.money(costs.consumables()), DEFAULT)
            .given("work by hand", p.figures.get("job.hands").text(), COMPUTED)
            .given("an hour", p.figures.money(costs.hour()), DEFAULT)
            .done());
    if (p.figures.has("life.casts") && p.figures.value("life.casts") >= 1) {
      each(job);
    }
  }

  /** What one cast costs: its share of the mould, and what it is made of. */
  private void each(double job) {
    double life = p.figures.value("life.casts");
    Integer wanted = p.choices.cast().wanted();
    double moulds = wanted == null ? 1 : Math.ceil(wanted / life);
    double casts = wanted == null ? life : wanted;
    Working.Builder w =
        Working.of("moulds × the mould ÷ casts + what is cast")
            .given("the mould", p.figures.money(job), COMPUTED)
            .given("moulds", Numbers.fixed(moulds, 0), COMPUTED)
            .given("casts", Numbers.fixed(casts, 0), wanted == null ? COMPUTED : CHOSEN);
    double material = 0;
    if (p.cast != null && !p.cast.packs().isEmpty() && p.figures.has("cast.mass")) {
      Pack pack = p.cast.packs().get(p.cast.packs().size() / 2);
      double g = p.cast.soldG(p.figures.value("cast.mass")) / p.castsOfAPour();
      material = g * pack.price() / pack.massG();
      w.given(
          p.cast.name(), Mass.format(g, p.units) + " for " + p.figures.money(material), COMPUTED);
    } else {
      w.step("What is cast is not in it: no product with packs is picked for it.");
    }
    p.figures.cost("cost.cast", "a cast costs", moulds * job / casts + material, w.done());
  }
}
