package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;

import ungula.core.hollow.HollowCore;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Volume;
import ungula.core.working.Working;

/** The numbers of the core that makes a cast hollow. */
final class CoreFigures {

  /** A pin of the wall's thickness keeps so much of a core's surface off the mould. */
  private static final double MM2_PER_PIN = 6000;

  private static final int LEAST_PINS = 3;

  private CoreFigures() {}

  /**
   * Adds the figures to the plan's.
   *
   * @return its volume; 0 where casts are solid
   */
  static double add(Planner p) {
    if (p.facts.core() == null || p.facts.core().core() == null) {
      return 0;
    }
    HollowCore core = p.facts.core().core();
    String wall = Length.format(core.wallMm(), p.units);
    p.figures.volume(
        "core.volume",
        "core",
        core.volumeMm3(),
        Working.of("all of the master deeper than the wall, by its distance field")
            .given("wall", wall, CHOSEN)
            .given("master", Volume.format(p.masterMm3, p.units), COMPUTED)
            .step(
                core.open()
                    ? "It goes on through the base by "
                        + Length.format(HollowCore.PRINT_MM, p.units)
                        + ": the print that holds it is not counted."
                    : "")
            .plusMinus("± 1 %")
            .done());
    if (core.open()) {
      p.figures.put(
          "core.opening",
          "opening in the cast",
          core.openingMm2(),
          Numbers.fixed(core.openingMm2() / 100, 1) + " cm²",
          Working.of("section of the core at the base").given("wall", wall, CHOSEN).done());
      p.figures.put(
          "core.stretch",
          "to draw the core",
          100 * core.stretch().share(),
          Numbers.fixed(100 * core.stretch().share(), 0) + " %",
          Working.of("most of P(above) ÷ P(below) − 1, P the cord round the core’s section")
              .given("throat at", Length.format(core.stretch().throatMm(), p.units), COMPUTED)
              .given("widest above at", Length.format(core.stretch().wideMm(), p.units), COMPUTED)
              .done());
    }
    int pins = Math.max(LEAST_PINS, (int) Math.ceil(core.areaMm2() / MM2_PER_PIN));
    p.figures.put(
        "core.pins",
        "pins round the core",
        pins,
        pins + " pins",
        Working.of("one for so much of its surface, three at the least: a rule of thumb")
            .given("surface", Numbers.fixed(core.areaMm2() / 100, 0) + " cm²", COMPUTED)
            .given("for each pin", Numbers.fixed(MM2_PER_PIN / 100, 0) + " cm²", DEFAULT)
            .given("as long as the wall", wall, CHOSEN)
            .done());
    return core.volumeMm3();
  }
}
