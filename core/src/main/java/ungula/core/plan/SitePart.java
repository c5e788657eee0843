package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;

import java.util.Objects;
import java.util.Optional;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.rubber.Mix;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;

/**
 * What has to be carried to where a skin and its jacket are built.
 *
 * @param bucketG the heaviest coat
 * @param rubberG of all coats
 * @param jacketG of the jacket; 0 while it is not worked out
 */
public record SitePart(Brief brief, double bucketG, double rubberG, double jacketG)
    implements Part {

  /** Empty in the workshop, and while nothing can be weighed. */
  static Optional<SitePart> of(Brief b, MixPart mix, Optional<JacketPart> jacket) {
    if (!b.choices().site().away() || mix == null || mix.first() == null) {
      return Optional.empty();
    }
    double rubber = mix.coats().stream().filter(Objects::nonNull).mapToDouble(Mix::totalG).sum();
    return Optional.of(
        new SitePart(b, mix.heaviestG(), rubber, jacket.map(j -> j.needs().massG()).orElse(0.0)));
  }

  @Override
  public void show(FigureBook figures) {
    double trips = Math.ceil((rubberG + jacketG) / brief.choices().site().tripG());
    figures.mass(
        "site.bucket",
        "heaviest bucket",
        bucketG,
        Working.of("rubber of the heaviest coat").done());
    figures.put(
        "site.trips",
        "trips with rubber and jacket",
        trips,
        trips == 1 ? "one trip" : Numbers.fixed(trips, 0) + " trips",
        Working.of("trips = (rubber of all coats + jacket) ÷ carried at a time")
            .given("rubber", Mass.format(rubberG, brief.units()), COMPUTED)
            .given("jacket", Mass.format(jacketG, brief.units()), COMPUTED)
            .given(
                "carried at a time",
                Mass.format(brief.choices().site().tripG(), brief.units()),
                CHOSEN)
            .step("Tools, water and board come on top.")
            .done());
  }
}
