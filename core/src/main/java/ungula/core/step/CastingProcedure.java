package ungula.core.step;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import ungula.core.air.AirTraps.Pocket;
import ungula.core.air.Tips.Tip;
import ungula.core.attitude.Attitude;
import ungula.core.attitude.Face;
import ungula.core.cast.Amounts;
import ungula.core.cast.Method;
import ungula.core.choice.CastAmount;
import ungula.core.contact.Contact.Verdict;
import ungula.core.contact.Releases;
import ungula.core.geometry.Vec3;
import ungula.core.mould.MouldKind;
import ungula.core.plan.AmountPart;
import ungula.core.plan.CastPart;
import ungula.core.plan.OpeningPart;
import ungula.core.plan.Plan;
import ungula.core.plan.ShapePart;
import ungula.core.plan.Touching;
import ungula.core.plan.Touching.What;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Pressure;
import ungula.core.quantity.Temperature;
import ungula.core.rubber.Product;
import ungula.core.rubber.Ratio;
import ungula.core.step.Step.Hold;
import ungula.core.step.Step.Noted;
import ungula.core.step.Step.Takes;
import ungula.core.study.ShapeStudy;
import ungula.core.working.Given;
import ungula.core.workshop.Rate;

/** One cast from the mould, as its material is cast. */
final class CastingProcedure extends Procedure {

  /** Of mixing, what is weighing; the rest is stirring. */
  static final double WEIGHING = 0.5;

  private static final double WARMED_MIN = 30;
  private static final double MINUTE = 1;

  private static final String ROCKED =
      "tipping alone does not let it out. Rock the mould to all sides while it fills, and tap it.";

  private final CastPart cast;
  private final AmountPart amount;
  private final Method how;

  CastingProcedure(Plan p, StepList steps) {
    super(p, steps);
    this.cast = p.cast().orElseThrow();
    this.amount = p.amount().orElse(null);
    this.how = Method.of(b.castingMaterial());
  }

  void steps() {
    steps.part("A cast");
    ready();
    close();
    for (int i = 0; i < how.wear().size(); i++) {
      steps
          .gate("cast.gate." + (i + 1), how.wear().get(i))
          .called(i == 0 ? "sheets read, gloves on" : "know its dangers")
          .add();
    }
    mix();
    pour();
    pressure();
    cure();
    out();
  }

  private void ready() {
    if (!how.ready().isEmpty()) {
      steps
          .hands("cast.ready", usual(MINUTE, "a look and a cloth"), how.ready())
          .called("make the mould ready")
          .why(how.because())
          .holds(Hold.MOULD)
          .add();
    }
    if (how.mouldC() != null && how.mouldC() > b.workshop().roomC()) {
      steps
          .hands(
              "cast.oven",
              usual(MINUTE, "carried there"),
              "Put the mould where it is "
                  + Temperature.format(how.mouldC(), p.units())
                  + " warm, such as an oven that holds it.")
          .called("put mould to warm")
          .holds(Hold.MOULD)
          .add();
      steps
          .wait(
              "cast.warm",
              usual(WARMED_MIN, "until it is warm all through"),
              "Let the mould warm to " + Temperature.format(how.mouldC(), p.units()) + ".")
          .called("mould warms")
          .holds(Hold.MOULD)
          .add();
    }
    boolean must =
        Touching.of(b, What.CAST).filter(t -> t.contact().verdict() == Verdict.RELEASE).isPresent();
    if (must || b.workshop().releases() == Releases.EVERYTHING) {
      Integer every = b.choices().cast().series().releaseEvery();
      released(
          "cast.release",
          "Brush release into the mould, twice, thin"
              + (every == null || every == 1 ? "." : "; again after every " + every + " casts."));
    }
    CastAmount a = b.choices().cast().amount();
    if (a.inserts() != null) {
      steps
          .hands(
              "cast.inserts",
              usual(MINUTE * a.inserts(), "a minute each"),
              "Set the "
                  + (a.inserts() == 1 ? "rod" : a.inserts() + " rods")
                  + " in, each "
                  + b.mm(a.insertLongMm())
                  + " deep in the cast, dry and free of grease.")
          .called("set inserts")
          .why("What is loose floats or sinks while it is poured.")
          .add();
    }
  }

  private void close() {
    boolean cut = b.choices().mould().kind() == MouldKind.CUT;
    OpeningPart opening = p.opening().orElse(null);
    double hold = opening == null ? 0 : opening.holdG();
    boolean sideways = opening != null && opening.opensSideways();
    boolean laden = hold > 0 && !cut;
    String closed =
        sideways
            ? "Close the mould, boards against both sides of the "
                + opening.seam()
                + ", and clamps or bands round them that hold against "
                + Mass.format(hold, p.units())
                + "."
            : laden
                ? "Close the mould between boards, and lay "
                    + Mass.format(hold, p.units())
                    + " on the upper one, or hold it with bands."
                : "Close the mould between boards, with bands just tight enough to hold it.";
    steps
        .hands(
            "cast.close",
            steps.rate(Rate.CLOSE),
            b.choices().mould().kind().onPlate()
                ? "Stand the mould level, its opening up, boards round it where it leans."
                : closed)
        .why(
            cut
                ? (sideways ? "Full, it presses the cut open; too tight, it opens elsewhere. " : "")
                    + "The first cast out of a cut mould cleans it: it is not kept."
                : laden
                    ? "Full, it presses its halves apart; too tight, it opens elsewhere."
                    : "The first cast shows what dust was left.")
        .holds(Hold.MOULD)
        .shows("cast.opens")
        .against("mould.leans", "pot.small")
        .add();
    if (!cast.lies().equals(Attitude.OVER)) {
      steps
          .hands(
              "cast.lay",
              usual(MINUTE, "turned and propped"),
              "Lay it to be cast in: "
                  + cast.lies().text()
                  + ". "
                  + p.equipment().map(e -> e.propped(cast.lies())).orElse(""))
          .called("lay the mould")
          .why("So its air leaves by the way that was chosen for it.")
          .holds(Hold.MOULD)
          .against("air.cast")
          .add();
    }
  }

  private void mix() {
    Takes all = steps.rate(Rate.CAST_MIX);
    steps
        .hands("cast.weigh", all.times(WEIGHING), weighed())
        .why(b.cast() == null || b.cast().ratio() == null ? "" : said(b.cast()))
        .unbroken("cast")
        .holds(Hold.SCALE)
        .shows(
            "cast.first",
            "cast.second",
            "cast.filler",
            "cast.also",
            "cast.mixed",
            "cast.total",
            "cast.potLife")
        .against("cast.late", "cast.farOff")
        .notes(Noted.MASS_A, Noted.MASS_B, Noted.ROOM)
        .add();
    boolean melts = how.pourC() != null;
    steps
        .hands(
            "cast.stir",
            all.times(1 - WEIGHING),
            blended()
                + how.blend()
                + (melts ? " Pour it at " + Temperature.format(how.pourC(), p.units()) + "." : ""))
        .unbroken("cast")
        .add();
    if (how.air() == Method.Air.VACUUM && b.workshop().equipment().chamber() != null) {
      steps
          .hands(
              "cast.degas",
              usual(b.workshop().mixing().pace().degasMin(), "as on the Workshop page"),
              "Degas it until the foam has gone down.")
          .unbroken("cast")
          .holds(Hold.CHAMBER)
          .notes(Noted.GAUGE)
          .add();
    }
  }

  private static String said(Product product) {
    Ratio ratio = product.ratio();
    String sentence = product.sentence(ratio);
    return sentence.substring(0, 1).toUpperCase(Locale.ROOT) + sentence.substring(1) + ".";
  }

  /** What is stirred into part B before part A follows. */
  private String blended() {
    List<String> names = AmountPart.names(b);
    boolean two = b.cast() != null && b.cast().role() == Product.Role.RESIN;
    return names.isEmpty()
        ? ""
        : "Blend "
            + String.join(" and ", names)
            + (two ? " into part B first, unless its sheet says otherwise. " : " in. ");
  }

  private String weighed() {
    String of = b.cast() == null ? b.castingMaterial().text() : b.cast().name();
    Amounts a = amount == null ? null : amount.amounts();
    if (a != null && a.totalG() != null) {
      List<String> parts = new ArrayList<>();
      if (b.cast() != null && a.bG() > 0) {
        parts.add(grams(a.aG()) + " of " + b.cast().role().first());
        parts.add(grams(a.bG()) + " of " + b.cast().role().second());
        List<String> stirred = AmountPart.names(b);
        for (int i = 0; i < stirred.size(); i++) {
          parts.add(grams(a.fillerG().get(i)) + " of " + stirred.get(i));
        }
      }
      String said =
          parts.isEmpty() ? ", all parts together." : ": " + String.join(", ", parts) + ".";
      return "Weigh " + grams(a.totalG()) + " of " + of + said;
    }
    return cast.known()
        ? "Weigh " + grams(cast.massG()) + " of " + of + ", all parts together."
        : "Weigh the " + of + ".";
  }

  private String grams(double g) {
    return Mass.format(g, p.units());
  }

  private void pour() {
    boolean shell = b.choices().cast().amount().taken() == CastAmount.Way.SHELL;
    String in =
        shell
            ? "Pour it in and swill it round until all of the surface is covered; turn the mould"
                + " until it no longer runs."
            : cast.sprue() == null
                ? "Pour it into the open mould in a thin stream, at one place; tip and tap it so"
                    + " that air gets out."
                : "Pour it in through the sprue without a break; tap the mould.";
    double mm3 =
        amount == null || amount.amounts() == null || amount.amounts().mixedMm3() == null
            ? cast.volumeMm3()
            : amount.amounts().mixedMm3();
    steps
        .hands(
            "cast.pour",
            usual(b.workshop().mixing().pace().pouringMin(mm3), "poured as on the Workshop page"),
            (brushes() ? "Brush some into the corners first. " : "")
                + in
                + (how.fill().isEmpty() ? "" : " " + how.fill()))
        .unbroken("cast")
        .holds(Hold.MOULD)
        .shows("sprue.fill", "cast.fill")
        .against(
            "sprue.slow", "sprue.low", "air.cast", "air.castlevel", "contact.cast", "room.damp")
        .notes(Noted.BEGUN)
        .add();
    List<String> traps = traps();
    for (int i = 0; i < traps.size() && !shell; i++) {
      steps.gate("cast.trap." + (i + 1), traps.get(i)).called("let air out").unbroken("cast").add();
    }
    int vents = b.choices().casting().vents().size();
    if (vents > 0) {
      steps
          .gate(
              "cast.vents",
              vents == 1
                  ? "Close the vent once it runs without bubbles."
                  : "Close each of the " + vents + " vents once it runs without bubbles.")
          .called("close vents")
          .unbroken("cast")
          .add();
    }
    Double spare = b.choices().cast().series().spareMm3();
    if (spare != null) {
      steps
          .hands(
              "cast.spare",
              usual(MINUTE, "a minute"),
              "Pour what is left in the cup into the small moulds kept ready: they take "
                  + b.ml(spare)
                  + ".")
          .called("fill small moulds")
          .unbroken("cast")
          .add();
    }
  }

  /** Of a hollow cast once it is known how that runs in round its core. */
  private Optional<ShapeStudy> shape() {
    return p.shape().filter(s -> !b.roundOpen()).map(ShapePart::study);
  }

  /** Where air stays or corners are to be reached, what is brushed in reaches them first. */
  private boolean brushes() {
    return shape().map(s -> !s.cast().air().worth().isEmpty()).orElse(false)
        && how.air() != Method.Air.NONE
        && how.pourC() == null;
  }

  /** What to do for each place where air stays, the largest first. */
  private List<String> traps() {
    List<String> all = new ArrayList<>();
    ShapeStudy study = shape().orElse(null);
    for (int i = 0; study != null && i < study.cast().tips().size(); i++) {
      Pocket k = study.cast().air().pockets().get(i);
      String side = side(k.top().x(), k.top().y());
      all.add(
          "Air stays "
              + (side.isEmpty() ? "in the middle" : "at the " + side)
              + ", "
              + b.mm(k.top().z())
              + " above the plate ("
              + b.ml(k.volumeMm3())
              + "): "
              + study.cast().tips().get(i).map(t -> tipped(t, study.cast().lies())).orElse(ROCKED));
    }
    // two that lie alike are seen to at once
    return all.stream().distinct().toList();
  }

  /** Its top goes towards the side that then lies lowest. */
  private static String tipped(Tip tip, Attitude lies) {
    double a = Math.toRadians(tip.towardsDegrees());
    Vec3 low = lies.turn().inverse().apply(new Vec3(Math.cos(a), Math.sin(a), 0));
    return "tip the mould "
        + Numbers.trimmed(tip.degrees(), 0)
        + "° so that its "
        + Face.towards(low)
        + " lies lowest until that has filled, then set it "
        + (lies.flat() ? "level again." : "back.");
  }

  /** Of the master as it is drawn from the front; empty for its middle. */
  private String side(double x, double y) {
    double w = b.facts().sizeMm().x() / 6;
    double d = b.facts().sizeMm().y() / 6;
    String depth = y < -d ? "front" : y > d ? "back" : "";
    String across = x < -w ? "left" : x > w ? "right" : "";
    return (depth + " " + across).strip();
  }

  private void pressure() {
    Double kpa = b.choices().cast().pressureKpa();
    if (kpa == null) {
      return;
    }
    steps
        .gate(
            "cast.gate.pot",
            "Look at pot, lid, hose and relief valve: rated for "
                + Pressure.format(kpa, p.units())
                + " and more, without a dent or a crack.")
        .called("pot rated")
        .why("A pot that gives way kills. Its own papers and your local rules decide.")
        .unbroken("cast")
        .against("cast.pressure", "cast.unrated", "cast.soft", "cast.pimples")
        .add();
    steps
        .hands(
            "cast.press",
            usual(2 * MINUTE, "closing the lid, letting air in slowly"),
            "Close the lid, and bring the pot up to "
                + Pressure.format(kpa, p.units())
                + " before it gels.")
        .called("pressure up")
        .unbroken("cast")
        .holds(Hold.POT)
        .shows("cast.bubble", "cast.potLife")
        .notes(Noted.GAUGE)
        .add();
  }

  private void cure() {
    Product of = b.cast();
    Double min = of == null ? null : of.inRoomMin(of.demouldMin(), b.workshop().roomC());
    Takes takes =
        min == null
            ? usual(
                how.waitMin(), "as usual of " + b.castingMaterial().text() + ", until a sheet says")
            : Takes.of(min, Given.Source.SHEET, "demould time, at the room's temperature")
                .faster(of.factorPerTen());
    boolean pot = b.choices().cast().pressureKpa() != null;
    if (pot) {
      steps.wait("cast.cure", takes, "Let the cast cure.").holds(Hold.MOULD, Hold.POT).add();
      steps
          .hands(
              "cast.vent",
              usual(2 * MINUTE, "slowly"),
              "Let the pressure off slowly. The gauge stands at nothing before the lid is opened.")
          .called("let pressure off")
          .holds(Hold.POT)
          .add();
    } else {
      steps.wait("cast.cure", takes, "Let the cast cure.").holds(Hold.MOULD).add();
    }
    steps.gate("cast.set", how.cue()).called("look whether it has set").notes(Noted.VERDICT).add();
  }

  private void out() {
    steps
        .hands(
            "cast.out",
            steps.rate(Rate.CAST_OUT),
            (threaded()
                    ? "Unscrew the cast: turn it, do not pull. Trim"
                    : "Take the cast out, and trim")
                + " what it was poured through.")
        .why((how.after() + " " + how.mould()).strip())
        .holds(Hold.MOULD)
        .add();
  }
}
