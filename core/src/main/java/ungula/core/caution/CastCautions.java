package ungula.core.caution;

import static ungula.core.caution.Caution.Level.CHECK;

import java.util.List;
import ungula.core.choice.CastAmount;
import ungula.core.plan.AmountPart;
import ungula.core.plan.Plan;
import ungula.core.pour.Pace;
import ungula.core.quantity.Share;
import ungula.core.quantity.Timespan;
import ungula.core.rubber.Product;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.workshop.Rate;

/** What can go wrong with how casts are mixed. */
final class CastCautions extends Finding {

  /** Of mixing, what follows once the parts have met. */
  private static final double STIRRING = 0.5;

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
    return c.found;
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
