package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;
import static ungula.core.working.Given.Source.MEASURED;
import static ungula.core.working.Given.Source.SHEET;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ungula.core.geometry.Vec3;
import ungula.core.master.VolumeWays;
import ungula.core.mesh.FillCurve;
import ungula.core.mould.BoxMould;
import ungula.core.quantity.Density;
import ungula.core.quantity.Length;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Timespan;
import ungula.core.quantity.Units;
import ungula.core.quantity.Volume;
import ungula.core.rubber.Mix;
import ungula.core.rubber.Pack;
import ungula.core.rubber.Product;
import ungula.core.rubber.Ratio;
import ungula.core.rubber.RatioGuard;
import ungula.core.rubber.SecondPart;
import ungula.core.working.Figure;
import ungula.core.working.Working;

/**
 * From choices to a plan: a pure function. The same inputs give the same plan, and nothing outside
 * them is looked at.
 */
public final class Planner {

  final Choices choices;
  final MasterFacts facts;
  final Product product;
  final Workshop workshop;
  final Units units;
  final Map<String, Figure> figures = new LinkedHashMap<>();
  private final List<VolumeWays.Result> ways = new ArrayList<>();

  BoxMould box;
  Mix mix;
  RatioGuard.Verdict ratioVerdict;
  double masterMm3;
  double masterErrorMm3;
  double mixMm3;

  private Planner(Choices choices, MasterFacts facts, Product product, Workshop workshop) {
    this.choices = choices;
    this.facts = facts;
    this.product = product;
    this.workshop = workshop;
    this.units = choices.units();
  }

  /**
   * @param facts null while the master's size is not known
   * @param product null while no rubber is picked
   */
  public static Plan plan(Choices choices, MasterFacts facts, Product product, Workshop workshop) {
    Planner p = new Planner(choices, facts, product, workshop);
    p.compute();
    List<Caution> cautions = new CautionFinder(p).find();
    return new Plan(
        p.figures,
        List.copyOf(p.ways),
        cautions,
        Optional.ofNullable(p.box),
        Optional.ofNullable(p.mix),
        p.second(),
        p.stages(),
        p.undecided());
  }

  /** The box and the mix only, without cautions: what a fix would cost. */
  static Planner totals(Choices choices, MasterFacts facts, Product product, Workshop workshop) {
    Planner p = new Planner(choices, facts, product, workshop);
    p.compute();
    return p;
  }

  private void compute() {
    if (facts == null) {
      return;
    }
    box = boxRound(facts.curve());
    masterVolume();
    if (Math.abs(facts.curve().total() - masterMm3) > 1e-9 * masterMm3) {
      box = boxRound(facts.curve().scaledTo(masterMm3));
    }
    sizes(choices.mould());
    rubber();
    if (product != null) {
      amounts();
    }
  }

  private void put(String key, String label, double value, String text, String exact, Working w) {
    figures.put(key, new Figure(key, label, value, text, exact, w));
  }

  private void length(String key, String label, double mm, Working w) {
    put(key, label, mm, Length.format(mm, units), Length.exact(mm, units), w);
  }

  private void volume(String key, String label, double mm3, Working w) {
    put(key, label, mm3, Volume.format(mm3, units), Volume.exact(mm3, units), w);
  }

  private void mass(String key, String label, double g, Working w) {
    put(key, label, g, Mass.format(g, units), Mass.exact(g, units), w);
  }

  private String mm(double mm) {
    return Length.format(mm, units);
  }

  private String ml(double mm3) {
    return Volume.format(mm3, units);
  }

  /** Shape first: the model or solid; then every measured way; the one that counts is taken. */
  private void masterVolume() {
    if (facts.report() != null) {
      ways.add(shapeVolume());
    }
    ways.addAll(
        VolumeWays.of(choices.master().measured(), box.insideAreaMm2() * box.pourLineMm(), units));
    for (VolumeWays.Result w : ways) {
      String name = w.way().name().toLowerCase();
      volume("master.volume." + name, "by " + w.way().text(), w.volumeMm3(), w.working());
    }
    VolumeWays.Result best =
        ways.stream()
            .filter(w -> w.way() == choices.master().way())
            .findFirst()
            .orElseGet(
                () ->
                    ways.stream()
                        .min(
                            (a, b) ->
                                Double.compare(
                                    a.errorMm3() / a.volumeMm3(), b.errorMm3() / b.volumeMm3()))
                        .orElse(null));
    Vec3 s = facts.sizeMm();
    if (best == null) {
      masterMm3 = facts.curve().total();
      masterErrorMm3 = 0.3 * masterMm3;
      volume(
          "master.volume",
          "master",
          masterMm3,
          Working.of("volume = outer length × width × height, as if it filled them")
              .given("outer size", Length.format3(s.x(), s.y(), s.z(), units), MEASURED)
              .step("The master's own volume is not measured yet; the rubber will be more.")
              .plusMinus("± " + ml(masterErrorMm3))
              .done());
    } else {
      masterMm3 = best.volumeMm3();
      masterErrorMm3 = best.errorMm3();
      volume("master.volume", "master", masterMm3, best.working());
    }
    put(
        "master.size",
        "outer size",
        s.z(),
        Length.format3(s.x(), s.y(), s.z(), units),
        Length.format3(s.x(), s.y(), s.z(), units),
        Working.of("longest reach of the master along each direction, as it stands")
            .given("shape", facts.titled(), MEASURED)
            .done());
    double density = choices.master().material().density();
    boolean weighed = choices.master().massG() != null;
    mass(
        "master.mass",
        "mass of the master",
        weighed ? choices.master().massG() : masterMm3 / 1000 * density,
        weighed
            ? Working.of("as weighed")
                .given("master", Mass.format(choices.master().massG(), units), MEASURED)
                .done()
            : Working.of("mass = volume × density of its material")
                .given("volume", ml(masterMm3), COMPUTED)
                .given(choices.master().material().text(), Density.format(density), DEFAULT)
                .step("A hollow master weighs less: weigh it and say so.")
                .done());
  }

  private VolumeWays.Result shapeVolume() {
    var report = facts.report();
    boolean solid = choices.master().source() == Choices.Source.SOLID;
    if (solid) {
      double v = choices.master().solid().volumeMm3();
      double error = choices.master().solid().volumeErrorMm3();
      return new VolumeWays.Result(
          VolumeWays.Way.SOLID,
          v,
          error,
          "",
          Working.of("volume of a " + choices.master().solid().kind().text() + ", by formula")
              .given("shape", facts.titled(), MEASURED)
              .given("each measure ±", mm(choices.master().solid().toleranceMm()), CHOSEN)
              .plusMinus("± " + ml(error))
              .done());
    }
    Working.Builder w =
        Working.of(
                report.estimate()
                    ? "volume by straight columns through the surface, shared room once"
                    : "volume enclosed by the facets: sum of a · (b × c) ÷ 6")
            .given("model", facts.titled(), MEASURED)
            .given("facets", Numbers.fixed(report.triangles(), 0), MEASURED);
    if (facts.guessedUnitMm() != null) {
      w.given("unit of the file", unitName(facts.guessedUnitMm()) + ", guessed", DEFAULT);
    }
    if (report.estimate()) {
      w.plusMinus("± " + ml(report.volumeErrorMm3()));
    } else {
      w.plusMinus("exact for the model; the piece itself may differ from it");
    }
    return new VolumeWays.Result(
        VolumeWays.Way.MODEL, report.volumeMm3(), report.volumeErrorMm3(), "", w.done());
  }

  static String unitName(double mm) {
    if (mm == 25.4) {
      return "inches";
    }
    return mm == 1000 ? "metres" : mm == 1 ? "millimetres" : Numbers.trimmed(mm, 4) + " mm";
  }

  private BoxMould boxRound(FillCurve master) {
    Choices.Box c = choices.mould();
    Vec3 s = facts.sizeMm();
    double below = choices.pose().liftMm();
    return new BoxMould(
        s,
        master.raised(below),
        side(c.leftMm(), c.insideLengthMm(), s.x()),
        side(c.rightMm(), c.insideLengthMm(), s.x()),
        side(c.frontMm(), c.insideWidthMm(), s.y()),
        side(c.backMm(), c.insideWidthMm(), s.y()),
        below,
        c.overTopMm(),
        c.freeboardMm(),
        c.sheet());
  }

  private double side(Double own, Double inside, double master) {
    if (inside != null) {
      return (inside - master) / 2;
    }
    return own == null ? choices.mould().sidesMm() : own;
  }

  private void sizes(Choices.Box c) {
    Vec3 s = facts.sizeMm();
    double l = box.insideLengthMm();
    double w = box.insideWidthMm();
    double h = box.pourLineMm();
    String inside = Length.format3(l, w, h, units);
    put(
        "box.inside",
        "inside, to the pour line",
        l,
        inside,
        inside,
        Working.of("inside = wall + master + wall; height = below + master + over the top")
            .given("master", Length.format3(s.x(), s.y(), s.z(), units), MEASURED)
            .given("left, right", mm(box.leftMm()) + ", " + mm(box.rightMm()), CHOSEN)
            .given("front, back", mm(box.frontMm()) + ", " + mm(box.backMm()), CHOSEN)
            .given("below, over the top", mm(box.belowMm()) + ", " + mm(box.overTopMm()), CHOSEN)
            .done());
    String outside =
        Length.format3(box.outsideLengthMm(), box.outsideWidthMm(), box.wallHeightMm(), units);
    put(
        "box.outside",
        "outside, walls up to",
        box.outsideLengthMm(),
        outside,
        outside,
        Working.of("outside = inside + 2 × sheet; height = pour line + wall above it")
            .given("inside", Length.format3(l, w, h, units), COMPUTED)
            .given("sheet", c.sheet().text(), CHOSEN)
            .given("above the pour line", mm(c.freeboardMm()), CHOSEN)
            .done());
    length(
        "box.thinnest",
        "thinnest wall, " + box.thinnestPlace(),
        box.thinnestWallMm(),
        Working.of("least of the rubber left, right, front, back, over and below")
            .step(
                mm(box.leftMm())
                    + ", "
                    + mm(box.rightMm())
                    + ", "
                    + mm(box.frontMm())
                    + ", "
                    + mm(box.backMm())
                    + ", "
                    + mm(box.overTopMm())
                    + (box.belowMm() > 0 ? ", " + mm(box.belowMm()) : ""))
            .done());
    double area = box.sheetAreaMm2();
    double cost = area / 1e6 * c.sheet().pricePerM2();
    put(
        "box.cost",
        "sheet for the box",
        cost,
        money(cost),
        money(cost),
        Working.of("area of four walls and a base that stands out 20 mm × price")
            .given("area", Numbers.fixed(area / 1e6, 3) + " m²", COMPUTED)
            .given(c.sheet().text(), money(c.sheet().pricePerM2()) + " per m²", DEFAULT)
            .done());
  }

  private void rubber() {
    double line = box.pourLineMm();
    double below = box.curve().below(line);
    double v = box.rubberMm3();
    volume(
        "rubber.box",
        "rubber in the box",
        v,
        Working.of("rubber = inside length × inside width × pour line − master below the line")
            .given("inside length", mm(box.insideLengthMm()), COMPUTED)
            .given("inside width", mm(box.insideWidthMm()), COMPUTED)
            .given("pour line", mm(line), COMPUTED)
            .given("master below the line", ml(below), COMPUTED)
            .step(
                "box "
                    + Volume.exact(box.insideAreaMm2() * line, units)
                    + " − master "
                    + Volume.exact(below, units))
            .plusMinus(masterErrorMm3 > 0 ? "± " + ml(masterErrorMm3) + ", from the master" : "")
            .done());
    int batches = choices.rubber().batches();
    double least = workshop.allowancePct() / 100 * v;
    double loss = workshop.cupLossPct() / 100 * v + workshop.cupLossMm3() * batches;
    Double chosen = choices.rubber().allowancePct();
    double allowance =
        chosen != null ? chosen / 100 * v : Math.max(least, Math.max(masterErrorMm3, loss));
    volume(
        "rubber.allowance",
        "allowance",
        allowance,
        chosen != null
            ? Working.of("allowance = share of the rubber in the box")
                .given("share", Numbers.trimmed(chosen, 1) + " %", CHOSEN)
                .done()
            : Working.of("allowance = the largest of three")
                .given(
                    Numbers.trimmed(workshop.allowancePct(), 1) + " % of the rubber",
                    ml(least),
                    DEFAULT)
                .given("± of the master's volume", ml(masterErrorMm3), COMPUTED)
                .given(
                    "left on cup and stick, "
                        + Numbers.trimmed(workshop.cupLossPct(), 1)
                        + " % + "
                        + ml(workshop.cupLossMm3())
                        + " a batch",
                    ml(loss),
                    DEFAULT)
                .done());
    mixMm3 = v + allowance;
    volume(
        "rubber.mix",
        "rubber to mix",
        mixMm3,
        Working.of("to mix = rubber in the box + allowance")
            .given("in the box", ml(v), COMPUTED)
            .given("allowance", ml(allowance), COMPUTED)
            .done());
  }

  /** The ratio that counts: the job's own, else the sheet's. */
  Ratio ratio() {
    return choices.rubber().ratio() != null ? choices.rubber().ratio() : product.ratio();
  }

  private void amounts() {
    Ratio ratio = ratio();
    if (ratio == null || mixMm3 <= 0) {
      return;
    }
    double h = product.hardenerPerBase(ratio);
    Double density = product.mixedDensity(h);
    if (density == null) {
      return;
    }
    if (choices.rubber().ratio() != null && product.ratio() != null) {
      ratioVerdict = RatioGuard.check(ratio, product);
      if (ratioVerdict.stop() && choices.rubber().ratioMeant() != Choices.RatioMeant.YES) {
        return;
      }
    }
    double boxG = box.rubberMm3() / 1000 * density;
    mass(
        "rubber.boxMass",
        "rubber in the box",
        boxG,
        Working.of("mass = volume × mixed density")
            .given("volume", ml(box.rubberMm3()), COMPUTED)
            .given("mixed density", Density.format(density), density())
            .done());
    int batches = choices.rubber().batches();
    mix = Mix.ofVolume(mixMm3 / batches, product, ratio, choices.rubber().additive());
    String each = batches == 1 ? "" : ", each of " + batches + " batches";
    mass(
        "mix.total",
        "to mix" + each,
        mix.totalG(),
        Working.of("mass = volume to mix ÷ batches × density of the mix")
            .given("volume to mix", ml(mixMm3), COMPUTED)
            .given("batches", String.valueOf(batches), CHOSEN)
            .given("density of the mix", Density.format(mix.density()), density())
            .done());
    Working.Builder split =
        Working.of(
                "base = total ÷ (1 + hardener per base"
                    + (mix.additiveG() > 0 ? " + additive" : "")
                    + "); hardener = base × hardener per base")
            .given("total", Mass.exact(mix.totalG(), units), COMPUTED)
            .given("ratio", ratio.text(), choices.rubber().ratio() == null ? SHEET : CHOSEN)
            .step(Ratio.sentence(h));
    if (mix.additiveG() > 0) {
      split.step(
          Numbers.trimmed(choices.rubber().additive().dosePct(), 2)
              + " % "
              + choices.rubber().additive().of().text()
              + " is "
              + Mass.exact(mix.additiveG(), units)
              + " of "
              + additiveName());
    }
    Working parts = split.rounded("shown to 0.1 g; weigh to 2 %").done();
    mass("mix.base", "base" + each, mix.baseG(), parts);
    mass("mix.hardener", "hardener" + each, mix.hardenerG(), parts);
    if (mix.additiveG() > 0) {
      mass("mix.additive", additiveName() + each, mix.additiveG(), parts);
    }
    partVolume(
        "mix.baseVolume", "base by volume", mix.baseMm3(), mix.baseG(), product.densityBase());
    partVolume(
        "mix.hardenerVolume",
        "hardener by volume",
        mix.hardenerMm3(),
        mix.hardenerG(),
        product.densityHardener());
    volume(
        "mix.volume",
        "in the cup" + each,
        mix.volumeMm3(),
        Working.of("volume to mix ÷ batches")
            .given("volume to mix", ml(mixMm3), COMPUTED)
            .given("batches", String.valueOf(batches), CHOSEN)
            .done());
    inTheRoom("rubber.potLife", "pot life in your room", "pot life", product.potLifeMin());
    inTheRoom("rubber.demould", "mould opens after", "demould time", product.demouldMin());
    cost(batches);
  }

  private ungula.core.working.Given.Source density() {
    return product.densityMixed() != null ? SHEET : COMPUTED;
  }

  private String additiveName() {
    String name = choices.rubber().additive().name();
    return name == null || name.isBlank() ? "additive" : name;
  }

  private void partVolume(String key, String label, Double mm3, double g, Double density) {
    if (mm3 != null) {
      volume(
          key,
          label,
          mm3,
          Working.of("volume = mass ÷ density")
              .given("mass", Mass.format(g, units), COMPUTED)
              .given("density", Density.format(density), SHEET)
              .done());
    }
  }

  /** A time off the sheet at the room's temperature: t · f^((T₀ − T)/10). */
  private void inTheRoom(String key, String label, String name, Double sheetMinutes) {
    if (sheetMinutes == null || product.atC() == null) {
      return;
    }
    double factor = product.rateFactor() == null ? 2 : product.rateFactor();
    double minutes = sheetMinutes * Math.pow(factor, (product.atC() - workshop.roomC()) / 10);
    String text = minutes(minutes);
    put(
        key,
        label,
        minutes,
        text,
        text,
        Working.of(name + " = sheet × rate factor ^ ((sheet temperature − room) ÷ 10)")
            .given(
                "sheet",
                minutes(sheetMinutes) + " at " + Numbers.trimmed(product.atC(), 0) + " °C",
                SHEET)
            .given("room", Numbers.trimmed(workshop.roomC(), 0) + " °C", DEFAULT)
            .given(
                "rate factor per 10 °C",
                Numbers.trimmed(factor, 2),
                product.rateFactor() == null ? DEFAULT : SHEET)
            .done());
  }

  static String minutes(double minutes) {
    return Timespan.format(Duration.ofSeconds(Math.round(minutes * 60)));
  }

  private void cost(int batches) {
    Pack best =
        product.packs().stream()
            .min((a, b) -> Double.compare(a.price() / a.massG(), b.price() / b.massG()))
            .orElse(null);
    if (best == null) {
      return;
    }
    Pack smallest = product.packs().get(0);
    double need = (mix.baseG() + mix.hardenerG()) * batches;
    // what is used is paid for at the price of the pack one would open for it
    Pack opened = product.packs().stream().filter(p -> p.massG() >= need).findFirst().orElse(best);
    double cost = need * opened.price() / opened.massG();
    put(
        "rubber.cost",
        "rubber used",
        cost,
        money(cost),
        money(cost),
        Working.of("cost = mass mixed × price per mass of the pack opened for it")
            .given("mass mixed", Mass.format(need, units), COMPUTED)
            .given(
                "pack",
                Numbers.trimmed(opened.massG() / 1000, 3) + " kg at " + money(opened.price()),
                SHEET)
            .step(
                "smallest pack "
                    + Numbers.trimmed(smallest.massG() / 1000, 3)
                    + " kg at "
                    + money(smallest.price()))
            .done());
  }

  String money(double amount) {
    return workshop.currency() + "\u202f" + Numbers.fixed(amount, 2);
  }

  private Optional<SecondPart> second() {
    if (mix == null || choices.rubber().firstG() == null) {
      return Optional.empty();
    }
    boolean base = choices.rubber().first() == Choices.First.BASE;
    SecondPart second =
        SecondPart.of(
            base,
            choices.rubber().firstG(),
            choices.rubber().secondG(),
            product.hardenerPerBase(ratio()),
            Mix.TOLERANCE,
            units);
    mass(
        "mix.second",
        base ? "hardener, now" : "base, now",
        second.targetG(),
        Working.of("second part = first part as really poured × ratio")
            .given(
                base ? "base really poured" : "hardener really poured",
                Mass.exact(choices.rubber().firstG(), units),
                MEASURED)
            .given("ratio", ratio().text(), choices.rubber().ratio() == null ? SHEET : CHOSEN)
            .step(Ratio.sentence(product.hardenerPerBase(ratio())))
            .rounded("right within 2 %")
            .done());
    return Optional.of(second);
  }

  private Map<String, Plan.Stage> stages() {
    Map<String, Plan.Stage> stages = new LinkedHashMap<>();
    stages.put("master", facts == null ? Plan.Stage.OPEN : Plan.Stage.DONE);
    stages.put("mould", stage(box != null, choices.looked().mould(), choices.beforeMould()));
    stages.put("rubber", stage(mix != null, choices.looked().rubber(), choices.beforeRubber()));
    return stages;
  }

  private static Plan.Stage stage(boolean ready, String looked, String now) {
    if (!ready || looked.isEmpty()) {
      return Plan.Stage.OPEN;
    }
    return looked.equals(now) ? Plan.Stage.DONE : Plan.Stage.LOOK_AGAIN;
  }

  private List<String> undecided() {
    List<String> open = new ArrayList<>();
    if (facts == null) {
      open.add("the master's shape and size");
    }
    if (choices.rubber().product() == null) {
      open.add("the rubber");
    }
    return open;
  }
}
