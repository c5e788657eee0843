package ungula.core.step;

import ungula.core.contact.Releases;
import ungula.core.mould.MouldKind;
import ungula.core.plan.CastPart;
import ungula.core.plan.Plan;
import ungula.core.quantity.Mass;
import ungula.core.rubber.Product;
import ungula.core.step.Step.Hold;
import ungula.core.step.Step.Noted;
import ungula.core.step.Step.Takes;
import ungula.core.working.Given;
import ungula.core.workshop.Rate;

/** One cast from the mould. */
final class CastingProcedure extends Procedure {

  private final CastPart cast;

  CastingProcedure(Plan p, StepList steps) {
    super(p, steps);
    this.cast = p.cast().orElseThrow();
  }

  void steps() {
    steps.part("A cast");
    boolean cut = b.choices().mould().kind() == MouldKind.CUT;
    if (b.workshop().releases() == Releases.EVERYTHING) {
      released("cast.release", "Brush release into the mould, twice, thin.");
    }
    steps
        .hands(
            "cast.close",
            steps.rate(Rate.CLOSE),
            b.choices().mould().kind().onPlate()
                ? "Stand the mould level, its opening up, boards round it where it leans."
                : "Close the mould between boards, with bands just tight enough to hold it.")
        .why(
            cut
                ? "The first cast out of a cut mould cleans it: it is not kept."
                : "The first cast shows what dust was left.")
        .holds(Hold.MOULD)
        .against("mould.leans", "pot.small")
        .add();
    steps
        .hands(
            "cast.weigh",
            usual(b.workshop().mixing().pace().measureMin(), "as on the Workshop page"),
            weighed())
        .unbroken("cast")
        .holds(Hold.SCALE)
        .shows("cast.mass", "cast.volume", "cast.potLife")
        .notes(Noted.MASS_A, Noted.MASS_B, Noted.ROOM)
        .add();
    steps
        .hands(
            "cast.pour",
            usual(b.workshop().mixing().pace().mixMin(), "stirring and pouring, as on the page"),
            cast.sprue() == null
                ? "Stir it, and pour it into the open mould; tip and tap it so that air gets out."
                : "Stir it, and pour it in through the sprue without a break; tap the mould, and"
                    + " close vents as they fill.")
        .unbroken("cast")
        .holds(Hold.MOULD)
        .against("sprue.slow", "air.cast", "contact.cast", "room.damp")
        .notes(Noted.BEGUN)
        .add();
    Product of = b.cast();
    Double min = of == null ? null : of.inRoomMin(of.demouldMin(), b.workshop().roomC());
    if (min != null) {
      steps
          .wait(
              "cast.cure",
              Takes.of(min, Given.Source.SHEET, "demould time, at the room's temperature")
                  .faster(of.factorPerTen()),
              "Let the cast cure.")
          .holds(Hold.MOULD)
          .add();
    }
    steps
        .hands(
            "cast.out",
            steps.rate(Rate.CAST_OUT),
            (threaded()
                    ? "Unscrew the cast: turn it, do not pull. Trim"
                    : "Take the cast out, and trim")
                + " what it was poured through.")
        .holds(Hold.MOULD)
        .notes(Noted.VERDICT)
        .add();
  }

  private String weighed() {
    String of = b.cast() == null ? b.castingMaterial().text() : b.cast().name();
    return cast.known()
        ? "Weigh " + Mass.format(cast.massG(), p.units()) + " of " + of + ", all parts together."
        : "Weigh the " + of + ".";
  }
}
