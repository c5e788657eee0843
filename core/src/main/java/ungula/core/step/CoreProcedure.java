package ungula.core.step;

import ungula.core.hollow.HollowCore;
import ungula.core.plan.CorePart;
import ungula.core.plan.Plan;
import ungula.core.pour.Pace;
import ungula.core.step.Step.Hold;
import ungula.core.step.Step.Takes;
import ungula.core.working.Given;
import ungula.core.workshop.Rate;

/** A core poured into the finished mould, round a lining as thick as the cast's wall. */
final class CoreProcedure extends Procedure {

  CoreProcedure(Plan p, StepList steps) {
    super(p, steps);
  }

  void steps(CorePart part) {
    HollowCore core = part.core();
    steps.part("Core");
    steps
        .hands(
            "core.line",
            steps.rate(Rate.LINING),
            "Line the mould with clay or wax sheet, "
                + b.mm(core.wallMm())
                + " thick, and set "
                + part.pins()
                + " pins of that length into the lining.")
        .holds(Hold.MOULD)
        .shows("core.pins")
        .against("core.thin", "core.loose", "core.shut")
        .add();
    released("core.release", "Release the lining: two thin coats.");
    tins("core");
    Pace pace = b.workshop().mixing().pace();
    steps
        .hands(
            "core.pour",
            Takes.of(
                pace.batchMin(core.volumeMm3(), b.choices().rubber().bubbles()),
                Given.Source.DEFAULT,
                "weighing, stirring and pouring, as on the Workshop page"),
            "Mix and pour "
                + b.ml(core.volumeMm3())
                + " of rubber into it"
                + (core.open()
                    ? ", up to a board over the opening and "
                        + b.mm(HollowCore.PRINT_MM)
                        + " on: that holds it."
                    : "."))
        .holds(Hold.MOULD, Hold.SCALE)
        .shows("core.volume")
        .add();
    cure("core", "Let the core cure.");
    steps
        .hands("core.out", steps.rate(Rate.OPEN), "Open it and take the lining out.")
        .against("core.stretch")
        .add();
  }
}
