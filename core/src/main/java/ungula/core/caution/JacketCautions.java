package ungula.core.caution;

import static ungula.core.caution.Caution.Level.CHECK;
import static ungula.core.caution.Caution.Level.NOTE;

import java.util.ArrayList;
import java.util.List;
import ungula.core.caution.Caution.Fix;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.choice.Site;
import ungula.core.jacket.Jacket;
import ungula.core.jacket.JacketKind;
import ungula.core.jacket.Locators;
import ungula.core.jacket.Sections;
import ungula.core.plan.JacketPart;
import ungula.core.plan.MixPart;
import ungula.core.plan.Plan;
import ungula.core.plan.SkinPart;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Share;
import ungula.core.sentence.WordBook.Edit;

/** What can go wrong with a jacket, and where a skin is built. */
final class JacketCautions extends Finding {

  private static final double STEEP_DEGREES = 60;

  /** Share of the surface that is most of it. */
  private static final double MOSTLY = 0.5;

  /** Colder or warmer, sheets say little of how rubber cures. */
  private static final double COLDEST_C = 12;

  private static final double WARMEST_C = 30;

  /** Higher than one reaches from the ground. */
  private static final double LADDER_MM = 1800;

  private final SkinPart skin;

  private JacketCautions(Plan p, Prices prices) {
    super(p, prices, "mould");
    this.skin = p.skin().orElse(null);
  }

  static List<Caution> of(Plan p, Prices prices) {
    JacketCautions c = new JacketCautions(p, prices);
    if (c.skin != null) {
      c.locked();
      c.buttons();
      c.heavy();
      c.jacketing();
      c.site();
    }
    return c.found;
  }

  private void locked() {
    Sections sections = skin.sections();
    if (sections == null || sections.lockedShare() <= Sections.ACCEPTED) {
      return;
    }
    List<Fix> fixes = new ArrayList<>();
    int count = sections.sections().size();
    for (int n = count + 1; n <= Jacket.MOST_SECTIONS; n++) {
      Choices more =
          ChoiceWords.edit(p.choices(), List.of(Edit.of("jacket.sections", n + "")), p.product());
      double left = Sections.of(p.facts().skin().outside().scan(), more.jacket()).lockedShare();
      if (left < sections.lockedShare() / 2) {
        fixes.add(
            new Fix(
                "Make it in " + n + " sections",
                Share.format(left) + " stay locked",
                List.of(Edit.of("jacket.sections", n + ""))));
        break;
      }
    }
    sections
        .reliefFor(p.facts().skin().outside().scan())
        .ifPresent(
            r ->
                fixes.add(
                    new Fix(
                        "Add a relief section there",
                        Share.format(r.lockedShare()) + " stay locked",
                        List.of(Edit.of("jacket.relief", Jacket.Relief.YES.name())))));
    add(
        "jacket.locked",
        CHECK,
        Share.format(sections.lockedShare()) + " of the jacket stays locked",
        "Pulled straight off, "
            + (count == 1 ? "the jacket" : "its sections")
            + " would drag over the skin there: the rubber behind it tears or the jacket breaks."
            + " Fill the place with rubber, or divide the jacket otherwise.",
        place(sections.lockedAt()),
        fixes.toArray(Fix[]::new));
  }

  /** Buttons slide off upright walls before they have cured. */
  private void buttons() {
    if (p.choices().jacket().locators() == Locators.BUTTONS
        && p.facts().skin() != null
        && p.facts().skin().study().steeper(STEEP_DEGREES) > MOSTLY) {
      add(
          "jacket.buttons",
          CHECK,
          "Buttons slide off upright walls",
          Share.format(p.facts().skin().study().steeper(STEEP_DEGREES))
              + " of the surface is steeper than "
              + STEEP_DEGREES
              + "°: what is set on there falls off before it has cured.",
          null,
          prices.fix("Cut hollows in instead", Edit.of("jacket.locators", Locators.CUT_IN.name())));
    }
  }

  /** What the jacket's own materials can do to those who build it. */
  private void jacketing() {
    if (skin.sections() == null) {
      return;
    }
    String first = "Follow the product's own safety sheet and your local rules. ";
    switch (p.choices().jacket().kind()) {
      case BANDAGE, PLASTER ->
          add(
              "jacket.safety",
              NOTE,
              "Plaster heats as it sets",
              first
                  + "Thick plaster burns skin: never enclose a hand or limb. Keep its dust out of"
                  + " the air; warm water makes it set faster.",
              null);
      case LAMINATE ->
          add(
              "jacket.safety",
              CHECK,
              "Resin and mat: fumes, fire and dust",
              first
                  + "Styrene and peroxide only outdoors or under extraction, away from flames, with"
                  + " gloves and a mask the sheet names; never sand mat without one.",
              null,
              prices.fix("Use plaster bandage", Edit.of("jacket.kind", JacketKind.BANDAGE.name())));
      default ->
          add(
              "jacket.safety",
              NOTE,
              "Filled resin: fumes and heat",
              first
                  + "Amines and isocyanates sensitise: gloves, and air that moves. It heats in thick"
                  + " places: build it in layers.",
              null);
    }
  }

  /** What the weather and the way there do to the work. */
  private void site() {
    Site site = p.choices().site();
    if (site.windy()) {
      add(
          "site.wind",
          site.wind() == Site.Wind.WIND ? CHECK : NOTE,
          "Wind on a skin that cures",
          "It dries a coat's face before the next sticks, lifts cloth, and carries dust onto tacky"
              + " rubber. Put a screen up, touch-test before each coat, and massage the first"
              + " brushful in.",
          null);
    }
    if (site.away()
        && (p.workshop().roomC() < COLDEST_C || p.workshop().roomC() > WARMEST_C)
        && p.product() != null) {
      boolean cold = p.workshop().roomC() < COLDEST_C;
      add(
          "site.degrees",
          NOTE,
          cold ? "It is cold there" : "It is hot there",
          cold
              ? "Times off the sheet are stretched for it here; rubber that is cold brushes stiffly"
                  + " and may not cure. Warm base and hardener before they go out."
              : "Times off the sheet are shortened for it here. Mix small amounts, keep them in the"
                  + " shade, and brush before noon.",
          null);
    }
    if (site.away() && p.facts().sizeMm().z() > LADDER_MM) {
      add(
          "site.height",
          NOTE,
          "Work on a ladder, with pails",
          "It is "
              + mm(p.facts().sizeMm().z())
              + " high: a firm scaffold rather than a ladder, a second person below, small pails"
              + " tied on. Rubber on the floor is slippery.",
          null);
    }
    double bucket = p.workshop().equipment().bucketG();
    double heaviest = p.mix().map(MixPart::heaviestG).orElse(0.0);
    if (heaviest > bucket) {
      add(
          "weight.bucket",
          NOTE,
          "A coat takes " + Mass.format(heaviest, p.units()) + " of rubber",
          "Over "
              + Mass.format(bucket, p.units())
              + " one does not mix and carry it in a bucket: split it between two who brush.",
          null);
    }
  }

  private void heavy() {
    double lift = p.workshop().equipment().liftG();
    Double carried = p.jacket().map(JacketPart::withSkinG).orElse(null);
    if (carried != null && carried > lift) {
      add(
          "jacket.heavy",
          NOTE,
          "Skin and jacket weigh " + Mass.format(carried, p.units()),
          "One person lifts "
              + Mass.format(lift, p.units())
              + " here: have a second pair of hands.",
          null);
    }
  }
}
