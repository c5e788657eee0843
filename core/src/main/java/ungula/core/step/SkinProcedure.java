package ungula.core.step;

import ungula.core.jacket.JacketKind;
import ungula.core.jacket.JacketNeeds;
import ungula.core.jacket.Locators;
import ungula.core.plan.CoatsPart;
import ungula.core.plan.JacketPart;
import ungula.core.plan.Plan;
import ungula.core.plan.SkinPart;
import ungula.core.plan.Touching.What;
import ungula.core.quantity.Area;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Units;
import ungula.core.rubber.Mix;
import ungula.core.skin.Coat;
import ungula.core.skin.Recoat;
import ungula.core.skin.SkinClock;
import ungula.core.step.Step.After;
import ungula.core.step.Step.Hold;
import ungula.core.step.Step.Noted;
import ungula.core.step.Step.Takes;
import ungula.core.working.Given;
import ungula.core.workshop.Rate;

/** Coats on the master, the jacket over them, and all off again. */
final class SkinProcedure extends Procedure {

  private final SkinPart skin;
  private final CoatsPart coated;

  SkinProcedure(Plan p, StepList steps) {
    super(p, steps);
    this.skin = p.skin().orElseThrow();
    this.coated = skin.coated();
  }

  void steps() {
    master();
    steps.part("Board");
    steps
        .hands(
            "board",
            steps.rate(Rate.BOARD),
            "Fix the master to a board that stands out "
                + b.mm(skin.wallMm() + b.choices().skin().flangeMm())
                + " all round, and close the joint.")
        .holds(Hold.MASTER)
        .add();
    release("release", What.MASTER);
    if (coated.plugged() > 0) {
      steps
          .hands(
              "plugs",
              steps.rate(Rate.PLUG, coated.plugged() / 1e5, b.ml(coated.plugged())),
              "Fill the recesses with clay: " + b.ml(coated.plugged()) + ".")
          .shows("skin.plugs")
          .against("skin.thin")
          .add();
    }
    steps.part("Coats");
    tins("coat");
    for (Coat c : skin.coats()) {
      coat(c);
    }
    locators();
    Coat last = skin.coats().get(skin.coats().size() - 1);
    set(last);
    witness("coat");
    p.jacket().ifPresent(this::jacket);
    steps.part("Open");
    steps
        .hands(
            "open",
            steps.rate(Rate.OPEN),
            "Take the jacket off, then the skin: it "
                + skin.off().text()
                + ". Store the skin in its jacket, closed.")
        .holds(Hold.MOULD, Hold.MASTER)
        .shows("skin.stretch", "skin.cut", "jacket.withSkin")
        .against("skin.sock", "jacket.heavy")
        .add();
    BlockProcedure.wash(p, steps);
  }

  static String key(int coat) {
    return "coat." + coat;
  }

  private SkinPart.Rubber rubber(Coat c) {
    return coated.product(c) == b.build() ? skin.build() : skin.detail();
  }

  /** When a coat may follow the one before. */
  private After[] follows(Coat c) {
    if (c.number() == 1) {
      return null;
    }
    Coat before = skin.coats().get(c.number() - 2);
    SkinPart.Rubber rubber = rubber(before);
    if (rubber == null) {
      return new After[] {After.end(key(before.number()) + ".brush")};
    }
    return follows(
        before.number(),
        rubber.times(),
        b.choices().skin().after(before.number()),
        coated.product(before).factorPerTen());
  }

  /**
   * After a coat of rubber with such times.
   *
   * @param perTen times faster per 10 °C
   */
  static After[] follows(int coat, SkinClock.Times t, Recoat how, double perTen) {
    String weighed = key(coat) + ".weigh";
    return switch (how) {
      case TACKY ->
          new After[] {
            After.end(key(coat) + ".brush"),
            After.within(weighed, t.gelMin(), t.openMin(), t.setMin()).faster(perTen)
          };
      case SET ->
          new After[] {
            After.end(key(coat) + ".brush"), After.begin(weighed, t.setMin()).faster(perTen)
          };
      case NEXT_DAY -> new After[] {After.nextDay(weighed, t.setMin()).faster(perTen)};
    };
  }

  private void coat(Coat c) {
    String key = key(c.number());
    String kind =
        switch (c.kind()) {
          case BUILD -> "build coat";
          default -> c.kind().text() + " coat";
        };
    StepList.Making weigh =
        steps
            .hands(
                key + ".weigh",
                steps.rate(Rate.BRUSH_READY),
                "Coat " + c.number() + ": " + weighed(c))
            .unbroken(key)
            .holds(Hold.SCALE)
            .shows(key + ".base", key + ".hardener", key + ".thickener")
            .against("batch.scale", "batch.heavy", "skin.overdosed", "skin.late", "site.height")
            .notes(Noted.MASS_A, Noted.MASS_B, Noted.BEGUN, Noted.ROOM);
    After[] follows = follows(c);
    if (follows != null) {
      weigh.after(follows);
    }
    weigh.add();
    double area = coated.curve().areaMm2(c.fromMm());
    steps
        .hands(
            key + ".brush",
            steps.rate(Rate.BRUSH, area / 1e6, Area.format(area, Units.METRIC)),
            brushed(c, kind))
        .unbroken(key)
        .holds(Hold.MOULD, Hold.MASTER)
        .shows(key + ".volume", c.cloth() ? "skin.pieces" : "skin.window")
        .against("skin.sag", "skin.cloth")
        .notes(Noted.ENDED)
        .add();
  }

  private String weighed(Coat c) {
    Mix mix =
        p.mix()
            .filter(m -> !m.coats().isEmpty())
            .map(m -> m.coats().get(c.number() - 1))
            .orElse(null);
    if (mix == null) {
      return "weigh and stir its rubber.";
    }
    if (!(mix.hardenerG() > 0)) {
      String sealant = "take " + Mass.format(mix.baseG(), p.units()) + " of sealant";
      return mix.additiveG() > 0
          ? sealant + " and knead in " + Mass.format(mix.additiveG(), p.units()) + " of starch."
          : sealant + ".";
    }
    String base = Mass.format(mix.baseG(), p.units()) + " of base";
    String hardener = Mass.format(mix.hardenerG(), p.units()) + " of hardener";
    return mix.additiveG() > 0
        ? "weigh "
            + base
            + ", "
            + hardener
            + " and "
            + Mass.format(mix.additiveG(), p.units())
            + " of thickener, and stir."
        : "weigh " + base + " and " + hardener + ", and stir.";
  }

  private String brushed(Coat c, String kind) {
    String cloth =
        c.cloth() && skin.cloth().isPresent()
            ? " Bed cloth in, wetted with rubber first: "
                + Math.round(skin.cloth().get().pieces())
                + " pieces of "
                + b.mm(skin.cloth().get().sideMm())
                + " square."
            : "";
    return switch (c.kind()) {
      case DETAIL -> "Brush the detail coat into every corner, and chase the bubbles out." + cloth;
      case SMOOTHING -> "Brush the last coat over it, smooth, so that the jacket seats." + cloth;
      default -> "Brush the " + kind + " on, " + b.mm(c.mm()) + " thick." + cloth;
    };
  }

  private void locators() {
    int count = coated.locators();
    if (count == 0) {
      return;
    }
    boolean buttons = b.choices().jacket().locators() == Locators.BUTTONS;
    steps
        .hands(
            "locators",
            steps.rate(Rate.KEYS, count, count + " locators"),
            buttons
                ? "Set "
                    + count
                    + " buttons of stiff rubber on the last coat while it is tacky, a hand's"
                    + " breadth and a half apart."
                : "Cut "
                    + count
                    + " shallow hollows into the last coat, a hand's breadth and a half apart.")
        .called(buttons ? "set buttons" : "cut hollows")
        .why(buttons ? "" : "The jacket fills them, and the skin finds its place in it.")
        .shows("jacket.locators")
        .against("jacket.buttons")
        .add();
  }

  private void set(Coat last) {
    SkinPart.Rubber rubber = rubber(last);
    String weighed = key(last.number()) + ".weigh";
    if (rubber == null) {
      cure("coat", "Let the skin cure.");
      return;
    }
    steps
        .wait(
            "coat.cure",
            Takes.of(
                    rubber.times().setMin(),
                    Given.Source.SHEET,
                    "demould time, from when the last coat was mixed")
                .faster(coated.product(last).factorPerTen()),
            "Let the skin cure.")
        .after(After.begin(weighed, 0))
        .shows("skin.cured")
        .holds(Hold.MOULD, Hold.MASTER)
        .notes(Noted.ROOM)
        .add();
  }

  private void jacket(JacketPart jacket) {
    steps.part("Jacket");
    JacketNeeds needs = jacket.needs();
    int count = jacket.sections().count();
    String of = b.choices().jacket().kind().text();
    for (int n = 1; n <= count; n++) {
      String key = "jacket." + n;
      String flange = count > 1 ? ", against a clay or shim flange" : "";
      steps
          .hands(
              key + ".lay",
              usual(needs.handsMin() / count, "by its sections and surface, a rule of thumb"),
              (count > 1 ? "Lay up section " + n + " of the jacket" : "Lay up the jacket")
                  + " of "
                  + of
                  + flange
                  + ".")
          .holds(Hold.MOULD, Hold.MASTER)
          .shows("jacket.thick", "jacket.sections")
          .against("jacket.locked", "jacket.safety", "site.wind")
          .add();
      if (n < count) {
        steps.wait(key + ".set", usual(needs.betweenMin(), "until it holds"), "Let it set.").add();
        steps
            .gate(key + ".release", "Release its flange before the next section.")
            .why("Bare flanges bond.")
            .add();
      }
    }
    steps
        .wait(
            "jacket.ready",
            usual(needs.readyMin(), "until it can be handled"),
            "Let the jacket set.")
        .shows("jacket.ready")
        .add();
    if (b.choices().jacket().kind() != JacketKind.PUTTY) {
      steps
          .wait(
              "jacket.dry",
              usual(needs.dryMin(), "with air all round it"),
              "Let the jacket dry before it is stored closed.")
          .after(After.end("jacket.ready"))
          .add();
    }
  }
}
