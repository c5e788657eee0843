package ungula.core.caution;

import static ungula.core.caution.Caution.Level.CHECK;
import static ungula.core.caution.Caution.Level.NOTE;
import static ungula.core.caution.Caution.Level.STOP;

import java.util.ArrayList;
import java.util.List;
import ungula.core.caution.Caution.Fix;
import ungula.core.caution.Caution.Place;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.choice.Site;
import ungula.core.geometry.Vec3;
import ungula.core.jacket.Jacket;
import ungula.core.jacket.JacketKind;
import ungula.core.jacket.Locators;
import ungula.core.jacket.Sections;
import ungula.core.plan.JacketPart;
import ungula.core.plan.MixPart;
import ungula.core.plan.Plan;
import ungula.core.plan.SkinPart;
import ungula.core.quantity.Length;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Timespan;
import ungula.core.quantity.Volume;
import ungula.core.release.Stretch;
import ungula.core.rubber.Product;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.skin.Bridge;
import ungula.core.skin.Coat;
import ungula.core.skin.Recoat;
import ungula.core.skin.Skin;
import ungula.core.skin.SkinClock;
import ungula.core.skin.TakenOff;
import ungula.core.skin.Thickener;
import ungula.core.step.CoatClock;
import ungula.core.step.Steps;

/** What can go wrong with a skin and its jacket. */
final class SkinCautions {

  /** From here on a skin tears under its own weight unless cloth holds it, mm². */
  private static final double HANGS_MM2 = 0.5e6;

  /** Condensation-cure rubber cures slowly where it is thicker. */
  private static final double SLOW_MM = 10;

  private static final int MOST_BRIDGES = 3;

  private static final double STEEP_DEGREES = 60;

  /** Share of the surface that is most of it. */
  private static final double MOSTLY = 0.5;

  /** Colder or warmer, sheets say little of how rubber cures. */
  private static final double COLDEST_C = 12;

  private static final double WARMEST_C = 30;

  /** Higher than one reaches from the ground. */
  private static final double LADDER_MM = 1800;

  private final Plan p;
  private final Steps steps;
  private final Prices prices;
  private final Skin asked;
  private final SkinPart skin;
  private final List<Caution> found = new ArrayList<>();

  private SkinCautions(Steps steps, Prices prices) {
    this.p = steps.plan();
    this.steps = steps;
    this.prices = prices;
    this.asked = p.choices().skin();
    this.skin = p.skin().orElse(null);
  }

  static List<Caution> of(Steps steps, Prices prices) {
    SkinCautions c = new SkinCautions(steps, prices);
    if (c.skin != null) {
      c.wall();
      c.detail();
      c.sag();
      c.overdosed();
      c.cloth();
      c.bridges();
      c.late();
      c.chemistry();
      c.slow();
      c.sock();
      c.locked();
      c.buttons();
      c.heavy();
      c.jacketing();
      c.site();
    }
    return c.found;
  }

  private void add(String id, Caution.Level level, String title, String text, Vec3 at, Fix... f) {
    Place place = at == null ? null : new Place(at.x(), at.y(), at.z());
    found.add(new Caution(id, level, "mould", title, text, place, List.of(f)));
  }

  private String mm(double mm) {
    return Length.format(mm, p.units());
  }

  private static String percent(double share) {
    return Numbers.fixed(100 * share, 0) + " %";
  }

  private Fix wallFix(double mm) {
    return prices.fix("Make it " + mm(mm), Edit.of("skin.wallMm", mm + " mm"));
  }

  private void wall() {
    double usual = Skin.usualWallMm(p.facts().sizeMm());
    if (skin.wallMm() < Skin.THIN_MM) {
      add(
          "skin.thin",
          CHECK,
          "A wall of " + mm(skin.wallMm()) + " tears",
          "Under " + mm(Skin.THIN_MM) + " a skin tears at the first edge it is pulled over.",
          null,
          wallFix(usual));
    } else if (skin.wallMm() < usual - 1) {
      add(
          "skin.wall",
          NOTE,
          "The wall is thin for a master of this size",
          "About "
              + mm(usual)
              + " keeps its shape in the jacket and stands being pulled for many casts.",
          null,
          wallFix(usual));
    }
  }

  private void detail() {
    if (asked.detailMm() > Thickener.FILM_MM) {
      add(
          "skin.detail",
          NOTE,
          "The detail coat is thick",
          "Without thickener "
              + mm(Thickener.FILM_MM)
              + " stay on at most; more runs off and pools at the base.",
          null,
          prices.fix("Make it 1 mm", Edit.of("skin.detailMm", "1 mm")));
    }
  }

  /** More thickener than the rubber takes. */
  private void overdosed() {
    Double most = p.brief().build() == null ? null : p.brief().build().thickenPct();
    double dose = asked.thickener().dosePct();
    if (most == null || dose <= most) {
      return;
    }
    Thickener less = Thickener.NONE;
    for (Thickener t : Thickener.values()) {
      less = t.dosePct() <= most ? t : less;
    }
    add(
        "skin.overdosed",
        CHECK,
        "More thickener than the sheet allows",
        p.brief().build().name()
            + " takes up to "
            + Numbers.trimmed(most, 1)
            + " %; with "
            + Numbers.trimmed(dose, 1)
            + " % it may cure badly or tear.",
        null,
        prices.fix("Make it " + less.text(), Edit.of("skin.thickener", less.name())));
  }

  /** The steepest share of the surface that sheds a coat of the build rubber. */
  private void sag() {
    Coat build =
        skin.coats().stream().filter(c -> c.kind() == Coat.Kind.BUILD).findFirst().orElse(null);
    if (build == null) {
      return;
    }
    double most = skin.mostMm(asked.thickener());
    double share =
        p.facts().skin() == null ? 1 : p.facts().skin().study().steeper(slope(most, build));
    if (build.mm() <= most || share < SkinPart.STEEP) {
      return;
    }
    // a coat a little under what stays, in steps of a quarter
    double stays = Math.max(0.5, Math.floor(most * 4) / 4);
    List<Fix> fixes = new ArrayList<>();
    fixes.add(
        prices.fix("Brush coats of up to " + mm(stays), Edit.of("skin.buildMm", stays + " mm")));
    Thickener stiffer = stiffer(build.mm());
    if (stiffer != null) {
      fixes.add(prices.fix("Make it " + stiffer.text(), Edit.of("skin.thickener", stiffer.name())));
    }
    add(
        "skin.sag",
        CHECK,
        "Build coats run off",
        "A coat of "
            + mm(build.mm())
            + " is "
            + build.thickener().text()
            + "; no more than "
            + mm(most)
            + " stays on an upright wall, and "
            + percent(share)
            + " of the surface is too steep for it.",
        null,
        fixes.toArray(Fix[]::new));
  }

  /** From which slope on a coat runs. */
  private static double slope(double mostUpright, Coat coat) {
    return Math.toDegrees(Math.asin(Math.min(1, mostUpright / coat.mm())));
  }

  private Thickener stiffer(double mm) {
    for (Thickener t : Thickener.values()) {
      if (t != Thickener.NONE && skin.mostMm(t) >= mm) {
        return t;
      }
    }
    return null;
  }

  private void cloth() {
    double area = skin.coated().areaMm2();
    boolean laid = skin.coats().stream().anyMatch(Coat::cloth);
    int build = (int) skin.coats().stream().filter(c -> c.kind() == Coat.Kind.BUILD).count();
    if (area >= HANGS_MM2 && !laid && build > 0) {
      add(
          "skin.cloth",
          CHECK,
          "So large a skin needs cloth in it",
          "From half a square metre on a skin stretches and tears under its own weight as it is"
              + " lifted.",
          null,
          prices.fix("Bed cloth in after 2 coats", Edit.of("skin.clothAfter", "2")));
    }
  }

  private void bridges() {
    int n = 0;
    for (Bridge b : skin.bridges()) {
      if (n++ == MOST_BRIDGES) {
        return;
      }
      String ml = Volume.format(b.mm3(), p.units());
      Vec3 at = b.at();
      add(
          "skin.bridge." + n,
          CHECK,
          "A recess closes up solid: " + ml,
          "Its sides are closer than two walls, so the coats meet in it; "
              + mm(b.deepMm())
              + " from the outside to the deepest. A solid lump does not give as the skin is pulled"
              + " off, and wastes rubber.",
          at,
          new Fix(
              "Plug it with clay first",
              "−" + ml + " rubber",
              List.of(
                  Edit.of(
                      "skin.plug", at.x() + " " + at.y() + " " + at.z() + " " + skin.wallMm()))));
    }
  }

  private void late() {
    SkinClock clock = CoatClock.of(steps).map(CoatClock::clock).orElse(null);
    if (clock == null) {
      return;
    }
    for (SkinClock.Brushing b : clock.coats()) {
      if (clock.tooLate(b.number())) {
        add(
            "skin.late",
            CHECK,
            "Coat " + b.number() + " is no longer tacky when the next goes on",
            "Brushing it takes "
                + Timespan.formatMin(b.toMin() - b.fromMin())
                + ", and the rubber stays sticky until "
                + Timespan.formatMin(skin.detail().times().openMin())
                + ". Brush with two, or let each coat set.",
            null,
            new Fix(
                "Let coat " + b.number() + " set first",
                "",
                List.of(Edit.of("skin.gap", b.number() + " " + Recoat.SET.name()))));
        return;
      }
    }
  }

  /** Coats of two chemistries do not hold together. */
  private void chemistry() {
    if (p.product() != null && p.product().chemistry() != p.brief().build().chemistry()) {
      add(
          "skin.chemistry",
          STOP,
          "The build coats are of another chemistry",
          p.brief().build().name()
              + " does not bond to "
              + p.product().name()
              + ", and one may keep the other from curing: the skin comes apart in layers.",
          null,
          new Fix(
              "Build with " + p.product().name() + " too",
              "",
              List.of(Edit.of("skin.buildProduct", ""))));
    }
  }

  private void slow() {
    if (p.product() != null
        && p.product().chemistry() == Product.Chemistry.CONDENSATION
        && skin.wallMm() > SLOW_MM) {
      add(
          "skin.slow",
          NOTE,
          "This rubber cures slowly in so thick a wall",
          "Condensation-cure rubber needs air and damp to cure: over "
              + mm(SLOW_MM)
              + " its inside stays soft for days. Let each coat set before the next.",
          null);
    }
  }

  private void sock() {
    if (skin.off() != TakenOff.SOCK || p.facts().skin() == null) {
      return;
    }
    Stretch s = p.facts().skin().study().stretch();
    Double elongation = p.product() == null ? null : p.product().elongationPct();
    double allowed = Stretch.allowed(elongation);
    if (s.share() > allowed) {
      add(
          "skin.sock",
          CHECK,
          "The skin does not come off like a sock",
          "It would have to stretch by "
              + percent(s.share())
              + " over the part "
              + mm(s.wideMm())
              + " up; the rubber may by "
              + percent(allowed)
              + ".",
          new Vec3(0, 0, s.throatMm()),
          prices.fix("Cut it open on one side", Edit.of("skin.opening", TakenOff.CUT.name())));
    }
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
                percent(left) + " stay locked",
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
                        percent(r.lockedShare()) + " stay locked",
                        List.of(Edit.of("jacket.relief", Jacket.Relief.YES.name())))));
    add(
        "jacket.locked",
        CHECK,
        percent(sections.lockedShare()) + " of the jacket stays locked",
        "Pulled straight off, "
            + (count == 1 ? "the jacket" : "its sections")
            + " would drag over the skin there: the rubber behind it tears or the jacket breaks."
            + " Fill the place with rubber, or divide the jacket otherwise.",
        sections.lockedAt(),
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
          percent(p.facts().skin().study().steeper(STEEP_DEGREES))
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
              prices.fix(
                  "Take plaster bandage", Edit.of("jacket.kind", JacketKind.BANDAGE.name())));
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
