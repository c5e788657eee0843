package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;

import java.util.Optional;
import ungula.core.hollow.HollowCore;
import ungula.core.quantity.Share;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;

/**
 * The core that makes a cast hollow.
 *
 * @param pins that hold it off the mould while it is poured
 */
public record CorePart(Brief brief, MasterPart master, HollowCore core, int pins) implements Part {

  /** A pin of the wall's thickness keeps so much of a core's surface off the mould. */
  private static final double MM2_PER_PIN = 6000;

  private static final int LEAST_PINS = 3;

  /** Empty where casts are solid, and while the core is not worked out. */
  static Optional<CorePart> of(Brief b, MasterPart master) {
    if (b.facts().core() == null || b.facts().core().core() == null) {
      return Optional.empty();
    }
    HollowCore core = b.facts().core().core();
    int pins = Math.max(LEAST_PINS, (int) Math.ceil(core.areaMm2() / MM2_PER_PIN));
    return Optional.of(new CorePart(b, master, core, pins));
  }

  @Override
  public void show(FigureBook figures) {
    String wall = brief.mm(core.wallMm());
    figures.volume(
        "core.volume",
        "core",
        core.volumeMm3(),
        Working.of("all of the master deeper than the wall, by its distance field")
            .given("wall", wall, CHOSEN)
            .given("master", brief.ml(master.volumeMm3()), COMPUTED)
            .step(
                core.open()
                    ? "It goes on through the base by "
                        + brief.mm(HollowCore.PRINT_MM)
                        + ": the print that holds it is not counted."
                    : "")
            .plusMinus("± 1 %")
            .done());
    if (core.open()) {
      figures.put(
          "core.opening",
          "opening in the cast",
          core.openingMm2(),
          brief.area(core.openingMm2()),
          Working.of("section of the core at the base").given("wall", wall, CHOSEN).done());
      figures.put(
          "core.stretch",
          "to draw the core",
          100 * core.stretch().share(),
          Share.format(core.stretch().share()),
          Working.of("most of P(above) ÷ P(below) − 1, P the cord round the core’s section")
              .given("throat at", brief.mm(core.stretch().throatMm()), COMPUTED)
              .given("widest above at", brief.mm(core.stretch().wideMm()), COMPUTED)
              .done());
    }
    figures.put(
        "core.pins",
        "pins round the core",
        pins,
        pins + " pins",
        Working.of("one for so much of its surface, three at the least: a rule of thumb")
            .given("surface", brief.area(core.areaMm2()), COMPUTED)
            .given("for each pin", brief.area(MM2_PER_PIN), DEFAULT)
            .given("as long as the wall", wall, CHOSEN)
            .done());
  }
}
