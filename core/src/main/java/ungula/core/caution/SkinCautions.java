package ungula.core.caution;

import static ungula.core.caution.Caution.Level.CHECK;
import static ungula.core.caution.Caution.Level.NOTE;
import static ungula.core.caution.Caution.Level.STOP;

import java.util.ArrayList;
import java.util.List;
import ungula.core.caution.Caution.Fix;
import ungula.core.caution.Caution.Place;
import ungula.core.geometry.Vec3;
import ungula.core.plan.SkinPart;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Share;
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
import ungula.core.step.Timeline;

/** What can go wrong with a skin. */
final class SkinCautions extends Finding {

  /** From here on a skin tears under its own weight unless cloth holds it, mm². */
  private static final double HANGS_MM2 = 0.5e6;

  /** Condensation-cure rubber cures slowly where it is thicker. */
  private static final double SLOW_MM = 10;

  private static final int MOST_BRIDGES = 3;

  private final Steps steps;
  private final Skin asked;
  private final SkinPart skin;

  private SkinCautions(Steps steps, Prices prices) {
    super(steps.plan(), prices, "mould");
    this.steps = steps;
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
    }
    return c.found;
  }

  private Fix wallFix(double mm) {
    return prices.fix("Make it " + mm(mm), Edit.of("skin.wallMm", mm + " mm"));
  }

  private void wall() {
    double usual = Skin.usualWallMm(p.facts().oneMm());
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
          "Without thickener at most "
              + mm(Thickener.FILM_MM)
              + " stays on; the rest runs off and pools at the base.",
          null,
          prices.fix("Make it 1 mm", Edit.of("skin.detailMm", "1 mm")));
    }
  }

  /** More thickener than the rubber takes. */
  private void overdosed() {
    Product build = p.brief().build();
    Double most = build == null ? null : build.thickenPct();
    if (most == null || build.role() == Product.Role.SEALANT) {
      return;
    }
    double dose = asked.thickener().of(false).dosePct();
    if (dose <= most) {
      return;
    }
    Thickener less = Thickener.NONE;
    for (Thickener t : Thickener.offered(false)) {
      less = t.dosePct() <= most ? t : less;
    }
    add(
        "skin.overdosed",
        CHECK,
        "More thickener than the sheet allows",
        build.name()
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
    double most = skin.mostMm(build.thickener());
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
            + Share.format(share)
            + " of the surface is too steep for it.",
        null,
        fixes.toArray(Fix[]::new));
  }

  /** From which slope on a coat runs. */
  private static double slope(double mostUpright, Coat coat) {
    return Math.toDegrees(Math.asin(Math.min(1, mostUpright / coat.mm())));
  }

  private Thickener stiffer(double mm) {
    for (Thickener t : Thickener.offered(false)) {
      if (t.dosePct() > 0 && skin.mostMm(t) >= mm) {
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
          place(at),
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
      if (b.late()) {
        add(
            "skin.late",
            CHECK,
            "Coat " + b.number() + " is no longer tacky when the next goes on",
            "Brushing it takes "
                + Timespan.formatMin(Timeline.minutes(b.from(), b.to()))
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
    if (p.product() == null || p.product().chemistry() == p.brief().build().chemistry()) {
      return;
    }
    Fix same =
        new Fix(
            "Build with " + p.product().name() + " too",
            "",
            List.of(Edit.of("skin.buildProduct", "")));
    if (p.brief().build().role() == Product.Role.SEALANT && p.product().chemistry().silicone()) {
      add(
          "skin.sealant",
          CHECK,
          "The build coats are of sealant: try a patch first",
          p.brief().build().name()
              + " has to hold to "
              + p.product().name()
              + ". It cures by the damp of the air, 2 to 3 mm a day from outside inwards; it"
              + " stretches little, smells of vinegar and corrodes metal.",
          null,
          same);
    } else {
      add(
          "skin.chemistry",
          STOP,
          "The build coats are of another chemistry",
          p.brief().build().name()
              + " does not bond to "
              + p.product().name()
              + ", and one may keep the other from curing: the skin comes apart in layers.",
          null,
          same);
    }
  }

  private void slow() {
    if (p.product() != null
        && p.product().chemistry() == Product.Chemistry.CONDENSATION
        && skin.wallMm() > SLOW_MM) {
      add(
          "skin.slow",
          NOTE,
          "This rubber cures slowly in a wall this thick",
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
              + Share.format(s.share())
              + " over the part "
              + mm(s.wideMm())
              + " up; the rubber may by "
              + Share.format(allowed)
              + ".",
          new Place(0, 0, s.throatMm()),
          prices.fix("Cut it open on one side", Edit.of("skin.opening", TakenOff.CUT.name())));
    }
  }
}
