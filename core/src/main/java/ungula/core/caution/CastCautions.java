package ungula.core.caution;

import static ungula.core.caution.Caution.Level.CHECK;
import static ungula.core.caution.Caution.Level.STOP;

import java.util.List;
import ungula.core.cast.Method;
import ungula.core.choice.CastAmount;
import ungula.core.plan.AmountPart;
import ungula.core.plan.Plan;
import ungula.core.pour.Bubbles;
import ungula.core.pour.Pace;
import ungula.core.quantity.Pressure;
import ungula.core.quantity.Share;
import ungula.core.quantity.Timespan;
import ungula.core.rubber.Product;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.workshop.Rate;
import ungula.core.workshop.Workshop.Equipment;

/** What can go wrong with how casts are mixed. */
final class CastCautions extends Finding {

  /** Of mixing, what follows once the parts have met. */
  private static final double STIRRING = 0.5;

  private static final double THIN_SHELL_MM = 2;

  private final AmountPart amount;

  private CastCautions(Plan p, Prices prices, AmountPart amount) {
    super(p, prices, "casts");
    this.amount = amount;
  }

  static List<Caution> of(Plan p, Prices prices) {
    if (p.amount().isEmpty()) {
      return List.of();
    }
    CastCautions c = new CastCautions(p, prices, p.amount().get());
    c.amount.more().ifPresent(c::farOff);
    c.late();
    c.pressed();
    c.shell();
    return c.found;
  }

  /** Under pressure: never more than the least of what pot, lid and hose are rated for. */
  private void pressed() {
    Double kpa = p.choices().cast().pressureKpa();
    if (kpa == null) {
      return;
    }
    Equipment equipment = p.workshop().equipment();
    Double rated = equipment.ratedKpa();
    if (rated != null && kpa > rated) {
      String most = Pressure.exact(rated, p.units());
      add(
          "cast.pressure",
          STOP,
          "More pressure than the pot is rated for",
          "The weakest of pot, lid and hose is rated for "
              + Pressure.format(rated, p.units())
              + ". A pot that gives way kills: its own papers and your local rules decide.",
          null,
          fix("Use " + most, Edit.of("cast.pressureKpa", most)));
    } else if (!equipment.rated()) {
      add(
          "cast.unrated",
          CHECK,
          "Nobody has said what pot, lid and hose are rated for",
          "Read it off each of them and write it on the Workshop page. Without a rating, a relief"
              + " valve and papers it is no pressure pot.",
          null);
    }
    boolean soft = Method.of(p.brief().castingMaterial()).air() == Method.Air.VACUUM;
    if (soft) {
      add(
          "cast.soft",
          CHECK,
          "A soft cast springs back from pressure",
          "Its bubbles grow again when the pressure is let off: pull a vacuum on what is mixed"
              + " instead, before it is poured.",
          null,
          fix("Use no pressure", Edit.of("cast.pressureKpa", "")));
    }
    if (p.poured() && !p.choices().rubber().bubbles().vacuum()) {
      add(
          "cast.pimples",
          CHECK,
          "Bubbles in the rubber will show on the cast",
          "This rubber is poured without a vacuum. Under pressure its bubbles give way, and every"
              + " cast gets a small bump there.",
          null,
          fix("Pull a vacuum on the rubber", Edit.of("rubber.bubbles", Bubbles.VACUUM.name())));
    }
  }

  /** What is thinner than one coat is swilled on in one, and tears where it is thin. */
  private void shell() {
    CastAmount a = p.choices().cast().amount();
    if (a.taken() == CastAmount.Way.SHELL && a.shellMm() < THIN_SHELL_MM) {
      add(
          "cast.thin",
          CHECK,
          "A shell this thin breaks as it comes out",
          "Make it " + mm(THIN_SHELL_MM) + " or more, in two coats.",
          null,
          fix(
              "Make it " + mm(THIN_SHELL_MM),
              Edit.of("cast.amount.shellMm", typed(THIN_SHELL_MM))));
    }
  }

  private void farOff(double share) {
    if (Math.abs(share) <= AmountPart.FAR_OFF) {
      return;
    }
    add(
        "cast.farOff",
        CHECK,
        "That is "
            + Share.format(Math.abs(share), 0)
            + (share < 0 ? " less" : " more")
            + " than the model takes",
        "Measure again: a mould that was wet, or spread open, a scale that was not at zero, or a"
            + " model in the wrong unit does that.",
        null,
        fix("Go by the model", Edit.of("cast.amount.way", CastAmount.Way.MODEL.name())));
  }

  /** From when the parts meet. */
  private void late() {
    Product cast = p.brief().cast();
    if (cast == null || cast.potLifeMin() == null || amount.amounts() == null) {
      return;
    }
    Double mm3 = amount.amounts().mixedMm3();
    Double grams = amount.amounts().totalG();
    if (mm3 == null || grams == null) {
      return;
    }
    int moulds = p.choices().cast().series().perMix();
    Pace pace = p.workshop().mixing().pace();
    double takes =
        STIRRING * p.workshop().rates().get(Rate.CAST_MIX) + pace.pouringMin(mm3 * moulds);
    double life = p.brief().inRoomMin(cast, cast.potLifeMin(grams * moulds));
    if (takes <= Pace.POT_SHARE * life) {
      return;
    }
    add(
        "cast.late",
        CHECK,
        "It stiffens before it is poured",
        "From the first stir to the last drop it takes "
            + Timespan.formatMin(takes)
            + ". So much of it can be poured for "
            + Timespan.formatMin(life)
            + ", and a fifth of that should be left. "
            + (moulds > 1
                ? "Fill fewer moulds with a mix."
                : "Mix less at a time, or cool the parts before."),
        null,
        moulds > 1
            ? new Caution.Fix[] {
              fix("Fill one mould with a mix", Edit.of("cast.series.perMix", "1"))
            }
            : new Caution.Fix[0]);
  }
}
