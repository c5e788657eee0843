package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;

import ungula.core.choice.Site;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.working.Working;

/** What has to be carried to where a skin and its jacket are built. */
final class SiteFigures {

  private SiteFigures() {}

  /** Adds them to the plan's; nothing in the workshop, or while nothing can be weighed. */
  static void add(Planner p) {
    Site site = p.choices.site();
    if (!site.away() || p.skin == null || p.mix() == null) {
      return;
    }
    double rubber = 0;
    for (int coat = 1; coat <= p.skin.coats().size(); coat++) {
      String mass = "coat." + coat + ".mass";
      rubber += p.figures.has(mass) ? p.figures.value(mass) : 0;
    }
    double jacket = p.figures.has("jacket.mass") ? p.figures.value("jacket.mass") : 0;
    double trips = Math.ceil((rubber + jacket) / site.tripG());
    p.figures.mass(
        "site.bucket",
        "heaviest bucket",
        p.amounts.heaviestG(),
        Working.of("rubber of the heaviest coat").done());
    p.figures.put(
        "site.trips",
        "trips with rubber and jacket",
        trips,
        trips == 1 ? "one trip" : Numbers.fixed(trips, 0) + " trips",
        Working.of("trips = (rubber of all coats + jacket) ÷ carried at a time")
            .given("rubber", Mass.format(rubber, p.units), COMPUTED)
            .given("jacket", Mass.format(jacket, p.units), COMPUTED)
            .given("carried at a time", Mass.format(site.tripG(), p.units), CHOSEN)
            .step("Tools, water and board come on top.")
            .done());
  }
}
