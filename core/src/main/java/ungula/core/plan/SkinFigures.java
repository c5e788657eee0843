package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;
import static ungula.core.working.Given.Source.SHEET;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import ungula.core.choice.Choices;
import ungula.core.geometry.Vec3;
import ungula.core.jacket.Locators;
import ungula.core.jacket.OutsideStudy;
import ungula.core.jacket.Sections;
import ungula.core.mould.MouldKind;
import ungula.core.plan.Amounts.Stirred;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Volume;
import ungula.core.release.Stretch;
import ungula.core.rubber.Additive;
import ungula.core.rubber.Mix;
import ungula.core.rubber.Product;
import ungula.core.skin.Bridge;
import ungula.core.skin.Coat;
import ungula.core.skin.CoatCurve;
import ungula.core.skin.Skin;
import ungula.core.skin.SkinClock;
import ungula.core.skin.SkinStudy;
import ungula.core.skin.TakenOff;
import ungula.core.skin.Thickener;
import ungula.core.working.Working;

/** The numbers of a skin brushed on in coats. */
final class SkinFigures {

  /** Cloth is laid in pieces overlapping so far, mm. */
  private static final double OVERLAP_MM = 25;

  /** Pieces of cloth drape when no longer than this share of how the surface curves. */
  private static final double DRAPES = 1.2;

  private static final double LEAST_PIECE_MM = 80;
  private static final double MOST_PIECE_MM = 250;

  /** Gel and open limit as shares of pot life and demould time, until the sheet says. */
  private static final double USUAL_GEL = 1.5;

  private static final double USUAL_OPEN = 1 / 3.0;

  /** Less of the surface that is steep is not worth a word. */
  static final double STEEP = 0.02;

  /** While only measures are known. */
  private static final double STEP_MM = 0.25;

  /** Of what the distance field says a coat takes. */
  private static final double FIELD_ERROR = 0.01;

  private final Planner p;
  private final Skin skin;
  private final Vec3 size;
  private final CoatCurve curve;
  private final double areaMm2;

  /** Of the surface, what the shape that is known leaves out. */
  private final double carvedMm2;

  private final double wall;
  private final List<Coat> coats;

  private SkinFigures(Planner p) {
    this.p = p;
    this.skin = p.choices.skin();
    this.size = p.facts.sizeMm();
    SkinStudy study = p.facts.skin() == null ? null : p.facts.skin().study();
    this.curve = study == null ? CoatCurve.ofBlock(size, STEP_MM, Skin.MOST_MM) : study.curve();
    boolean solid = p.choices.master().source() == Choices.Source.SOLID;
    this.carvedMm2 = solid ? p.choices.master().solid().carvedMm2() : 0;
    this.areaMm2 =
        study == null
            ? size.x() * size.y() + 2 * (size.x() + size.y()) * size.z()
            : study.areaMm2() + carvedMm2;
    this.wall = skin.wallMm(size);
    this.coats = skin.coats(size);
  }

  /** Adds the figures; nothing while the master has a shape that is not worked out yet. */
  static SkinPlan add(Planner p) {
    boolean wanted = p.choices.mould().kind() == MouldKind.SKIN;
    boolean open = p.facts.parted() != null && p.facts.skin() == null;
    return wanted && !open ? new SkinFigures(p).work() : null;
  }

  private String mm(double mm) {
    return Length.format(mm, p.units);
  }

  private String ml(double mm3) {
    return Volume.format(mm3, p.units);
  }

  static String m2(double mm2) {
    return mm2 < 1e5 ? Numbers.fixed(mm2 / 100, 0) + " cm²" : Numbers.fixed(mm2 / 1e6, 3) + " m²";
  }

  private SkinPlan work() {
    OutsideStudy outside = p.facts.skin() == null ? null : p.facts.skin().outside();
    p.figures.length(
        "skin.wall",
        "wall of the skin",
        wall,
        Working.of("all coats together")
            .given(
                skin.wallMm() == null ? "for a master of this size" : "asked for",
                mm(wall),
                skin.wallMm() == null ? DEFAULT : CHOSEN)
            .given("longest side", mm(longest()), COMPUTED)
            .step("9 mm to the size of a hand, 12 mm to half a metre, 16 mm to life size.")
            .done());
    p.figures.put("skin.area", "surface to be brushed", areaMm2, m2(areaMm2), surface());
    List<Bridge> bridges = outside == null ? List.of() : outside.bridges();
    double plugged = 0;
    List<Bridge> left = new ArrayList<>();
    for (Bridge b : bridges) {
      if (skin.plugs().stream().anyMatch(plug -> b.fills(plug.at(), plug.wallMm()))) {
        plugged += b.mm3();
      } else {
        left.add(b);
      }
    }
    double flange = flange(outside);
    double coated = coats();
    double located = locators();
    double onMaster = coated + flange + located;
    Working.Builder all =
        Working.of(located > 0 ? "all coats + flange + locators" : "all coats + flange")
            .given("coats", ml(coated), COMPUTED)
            .given("flange", ml(flange), COMPUTED);
    if (located > 0) {
      all.given("locators", ml(located), COMPUTED);
    }
    p.figures.volume("rubber.box", "rubber in the skin", onMaster, all.done());
    double loss = skin.lossPct() / 100 * onMaster;
    p.figures.volume(
        "rubber.allowance",
        "left in brush, pot and drips",
        loss,
        Working.of("share of what is on the master")
            .given("share", Numbers.trimmed(skin.lossPct(), 1) + " %", CHOSEN)
            .done());
    p.mixMm3 = onMaster + loss;
    p.figures.volume(
        "rubber.mix",
        "rubber to mix",
        p.mixMm3,
        Working.of("rubber in the skin + what is lost")
            .given("in the skin", ml(onMaster), COMPUTED)
            .given("lost", ml(loss), COMPUTED)
            .done());
    if (plugged > 0) {
      p.figures.volume(
          "skin.plugs",
          "clay in the recesses",
          plugged,
          Working.of("what lies deeper below the skin's outside than the wall, there")
              .step("The coats go over the clay as over the master.")
              .done());
    }
    mixes(onMaster);
    sag();
    cloth();
    TakenOff opening = opening();
    Double cut = opening == TakenOff.CUT && outside != null ? cut(outside) : null;
    return new SkinPlan(wall, coats, clock(), opening, cut, List.copyOf(left), sections(outside));
  }

  private double longest() {
    return Math.max(size.x(), Math.max(size.y(), size.z()));
  }

  private Sections sections(OutsideStudy outside) {
    return outside == null ? null : Sections.of(outside.scan(), p.choices.jacket());
  }

  /** From the base to the top on one side, the other left as a hinge. */
  private double cut(OutsideStudy outside) {
    Double chosen = p.choices.cut().towardsDegrees();
    double degrees = chosen == null ? outside.scan().shortestDegrees() : chosen;
    double length = outside.scan().seamMm(degrees);
    p.figures.length(
        "skin.cut",
        "to cut",
        length,
        Working.of("outside of the skin from the base to the top")
            .given("towards", Numbers.trimmed(degrees, 0) + "°", chosen == null ? COMPUTED : CHOSEN)
            .given("through", mm(wall), COMPUTED)
            .step("Cut in a V, so that it finds its place again; leave the other side whole.")
            .done());
    return degrees;
  }

  /** How the skin comes off: by what it must stretch to be pulled up, unless it is said. */
  private TakenOff opening() {
    if (p.facts.skin() == null) {
      return skin.opening() == null ? TakenOff.CUT : skin.opening();
    }
    Double elongation = p.product == null ? null : p.product.elongationPct();
    Stretch stretch = p.facts.skin().study().stretch();
    p.figures.put(
        "skin.stretch",
        "to be pulled off",
        stretch.share(),
        Numbers.fixed(100 * stretch.share(), 0) + " %",
        Working.of("cord round the widest part ÷ cord round the throat below it − 1")
            .given("widest at", mm(stretch.wideMm()), COMPUTED)
            .given("throat at", mm(stretch.throatMm()), COMPUTED)
            .given(
                "the rubber allows",
                Numbers.fixed(100 * Stretch.allowed(elongation), 0) + " %",
                elongation == null ? DEFAULT : SHEET)
            .done());
    if (skin.opening() != null) {
      return skin.opening();
    }
    return stretch.share() <= Stretch.allowed(elongation) ? TakenOff.SOCK : TakenOff.CUT;
  }

  /**
   * Round the base over the plate, and along the seams of a skin in sections, as thick as the wall.
   */
  private double flange(OutsideStudy outside) {
    double low = wall + skin.flangeMm();
    double round = 0;
    for (double[] ring : p.facts.shadow().get()) {
      round += length(ring);
    }
    // the outline set out: its length grows by 2π a millimetre; the flange lies beyond the skin
    double perimeter = round + 2 * Math.PI * (wall + skin.flangeMm() / 2);
    double base = perimeter * skin.flangeMm() * wall;
    double seams = 0;
    if (skin.opening() == TakenOff.SECTIONS && outside != null) {
      seams = 2 * sections(outside).seamMm(outside.scan()) * skin.flangeMm() * wall;
    }
    Working.Builder w =
        Working.of("flange = length × width × wall")
            .given("round the base, in its middle", mm(perimeter), COMPUTED)
            .given("width", mm(skin.flangeMm()), CHOSEN)
            .given("as thick as the wall", mm(wall), COMPUTED)
            .step("It reaches " + mm(low) + " from the master.");
    if (seams > 0) {
      w.step("Along the seams, on both sides of each: " + ml(seams));
    }
    p.figures.volume("skin.flange", "flange", base + seams, w.done());
    return base + seams;
  }

  private static double length(double[] ring) {
    double sum = 0;
    for (int i = 0; i < ring.length; i += 2) {
      int j = (i + 2) % ring.length;
      sum += Math.hypot(ring[j] - ring[i], ring[j + 1] - ring[i + 1]);
    }
    return sum;
  }

  /**
   * Each coat by the room between two distances from the master.
   *
   * @return all of them, mm³
   */
  private double coats() {
    double all = 0;
    for (Coat c : coats) {
      double v = curve.between(c.fromMm(), c.toMm()) + carvedMm2 * c.mm();
      double flat = areaMm2 * c.mm();
      all += v;
      p.figures.volume(
          key(c, "volume"),
          name(c),
          v,
          Working.of("room between two distances from the master, above the plate")
              .given("from", mm(c.fromMm()), COMPUTED)
              .given("to", mm(c.toMm()), COMPUTED)
              .step("Surface × thickness would be " + ml(flat) + ".")
              .plusMinus(error())
              .done());
      p.figures.volume(
          key(c, "flat"),
          "surface × thickness",
          flat,
          Working.of("surface of the master × thickness of the coat")
              .given("surface", m2(areaMm2), COMPUTED)
              .given("thickness", mm(c.mm()), COMPUTED)
              .step("Outer corners take more than that, recesses less.")
              .done());
    }
    return all;
  }

  static String key(Coat c, String what) {
    return "coat." + c.number() + "." + what;
  }

  private static String name(Coat c) {
    return "coat " + c.number() + ", " + c.kind().text();
  }

  /** Of what the coats take: of the shape that is known, and of what it is known from. */
  private String error() {
    if (p.facts.skin() == null) {
      return "as round a block of its size";
    }
    boolean solid = p.choices.master().source() == Choices.Source.SOLID;
    double measured = solid ? p.choices.master().solid().surfaceErrorShare() : 0;
    return "± " + Numbers.fixed(Math.ceil(100 * Math.hypot(FIELD_ERROR, measured)), 0) + " %";
  }

  private Working surface() {
    Working.Builder w = Working.of("facets a brush gets to, without what stands on the plate");
    if (carvedMm2 > 0) {
      w.given("by which its carved face is larger than flat", m2(carvedMm2), CHOSEN);
    }
    return w.plusMinus(error()).done();
  }

  /** Rubber in what is set on the last coat, so that the skin finds its place in the jacket. */
  private double locators() {
    Locators locators = p.choices.jacket().locators();
    double outsideMm2 = curve.areaMm2(wall);
    int count = locators.count(outsideMm2);
    double mm3 = count * locators.eachMm3();
    if (count > 0) {
      Working.Builder w =
          Working.of("one to a hand's breadth and a half, three at the least")
              .given("outside of the skin", m2(outsideMm2), COMPUTED);
      if (mm3 > 0) {
        w.given("rubber in each", ml(locators.eachMm3()), DEFAULT);
      }
      p.figures.put("jacket.locators", "locators", count, count + " locators", w.done());
    }
    return mm3;
  }

  private static Additive thickener(Thickener t) {
    return t == Thickener.NONE
        ? Additive.NONE
        : new Additive(
            "", Additive.Kind.THICKENER, t.dosePct(), Additive.Of.BASE_AND_HARDENER, null);
  }

  /** What to weigh for each coat: the flange and what is lost are shared by all as they are. */
  private void mixes(double onMaster) {
    if (p.product == null) {
      return;
    }
    double[] each = new double[coats.size()];
    double sum = 0;
    for (Coat c : coats) {
      sum += p.figures.value(key(c, "volume"));
    }
    for (Coat c : coats) {
      each[c.number() - 1] = p.mixMm3 * p.figures.value(key(c, "volume")) / sum;
    }
    p.amounts = new Amounts(p.choices, p.product, p.workshop, p.figures);
    p.amounts.workOutCoats(
        onMaster,
        each,
        coats.stream().map(c -> new Stirred(product(c), thickener(c.thickener()))).toList());
    List<Mix> mixes = p.amounts.coats();
    for (int i = 0; i < mixes.size(); i++) {
      if (mixes.get(i) != null) {
        weighed(coats.get(i), mixes.get(i), each[i]);
      }
    }
  }

  private Product product(Coat c) {
    return c.kind() == Coat.Kind.BUILD ? p.build : p.product;
  }

  private void weighed(Coat c, Mix mix, double mm3) {
    Working.Builder w =
        Working.of("share of all that is mixed, as its rubber is of all coats; split by the ratio")
            .given("volume to mix", ml(mm3), COMPUTED)
            .given("ratio", p.amounts.ratio(product(c)).text(), SHEET);
    if (p.build != p.product) {
      w.given("rubber", product(c).name(), CHOSEN);
    }
    if (mix.additiveG() > 0) {
      w.given(
          c.thickener().text(),
          Numbers.trimmed(c.thickener().dosePct(), 1) + " % of base and hardener",
          DEFAULT);
    }
    Working done = w.rounded("rounded as shown; right within 2 %").done();
    p.figures.mass(key(c, "base"), "base, " + name(c), mix.baseG(), done);
    p.figures.mass(key(c, "hardener"), "hardener, " + name(c), mix.hardenerG(), done);
    if (mix.additiveG() > 0) {
      p.figures.mass(key(c, "thickener"), "thickener, " + name(c), mix.additiveG(), done);
    }
    p.figures.mass(key(c, "mass"), "to mix, " + name(c), mix.totalG(), done);
  }

  /** The thickest coat of the build rubber that stays on an upright wall. */
  private void sag() {
    Thickener t = skin.thickener();
    thinnest();
    if (t == Thickener.NONE) {
      return;
    }
    p.figures.length(
        "skin.most",
        "most that stays on an upright wall",
        t.mostMm(p.density(), 90),
        Working.of("thickest coat = yield stress ÷ (density × 9.81 × sin slope)")
            .given("yield stress, " + t.text(), Numbers.fixed(t.yieldPa(), 0) + " Pa", DEFAULT)
            .given("density", Numbers.fixed(p.density(), 2) + " g/cm³", COMPUTED)
            .given("slope", "90°", COMPUTED)
            .done());
    if (p.facts.skin() != null) {
      double steep = p.facts.skin().study().steeper(60);
      p.figures.put(
          "skin.steep",
          "steeper than 60°",
          steep,
          Numbers.fixed(100 * steep, 0) + " %",
          Working.of("share of the surface by the slope of its facets, overhangs included")
              .given("steeper than 30°", share(30), COMPUTED)
              .given("steeper than 60°", share(60), COMPUTED)
              .given("overhanging", share(90), COMPUTED)
              .done());
    }
  }

  /** What is left of all coats where they run off: on upright walls and overhangs. */
  private void thinnest() {
    double left = 0;
    for (Coat c : coats) {
      left += Math.min(c.mm(), most(c.thickener()));
    }
    boolean steep = p.facts.skin() == null || p.facts.skin().study().steeper(60) >= STEEP;
    double thinnest = steep ? left : wall;
    p.figures.length(
        "skin.thinnest",
        thinnest < wall ? "thinnest, on upright walls" : "thinnest",
        thinnest,
        Working.of("sum over the coats of what is brushed, or of what stays if that is less")
            .given("brushed", mm(wall), COMPUTED)
            .given(
                "stays of a coat that is " + skin.thickener().text(),
                mm(most(skin.thickener())),
                DEFAULT)
            .given("stays of one that is not", mm(Thickener.FILM_MM), DEFAULT)
            .done());
  }

  private double most(Thickener t) {
    return t == Thickener.NONE ? Thickener.FILM_MM : t.mostMm(p.density(), 90);
  }

  private String share(double degrees) {
    return Numbers.fixed(100 * p.facts.skin().study().steeper(degrees), 0) + " %";
  }

  /** Pieces that drape, overlapping all round. */
  private void cloth() {
    coats.stream()
        .filter(Coat::cloth)
        .findFirst()
        .ifPresent(
            c -> {
              double area = curve.areaMm2(c.toMm());
              // mean radius of curvature: the area of a ball grows by 2 A / R
              double grows = (curve.areaMm2(c.toMm() + 2) - area) / 2;
              double radius = grows > 0 ? 2 * area / grows : MOST_PIECE_MM;
              double side =
                  Math.max(LEAST_PIECE_MM, Math.min(MOST_PIECE_MM, Math.round(radius * DRAPES)));
              double covers = (side - OVERLAP_MM) * (side - OVERLAP_MM);
              double pieces = Math.ceil(area / covers);
              Working w =
                  Working.of("pieces = surface ÷ (side − overlap)²; cloth = pieces × side²")
                      .given("surface there", m2(area), COMPUTED)
                      .given("side, so that it drapes", mm(side), COMPUTED)
                      .given("overlap", mm(OVERLAP_MM), DEFAULT)
                      .given("mean radius of the surface", mm(radius), COMPUTED)
                      .done();
              String text = Numbers.fixed(pieces, 0) + " of " + mm(side) + " square";
              p.figures.put("skin.pieces", "pieces of cloth", pieces, text, w);
              double cut = pieces * side * side;
              p.figures.put("skin.cloth", "cloth to cut", cut, m2(cut), w);
            });
  }

  /** Null while the rubber's times are not known. */
  private SkinClock clock() {
    double[] brush =
        coats.stream().mapToDouble(c -> SkinClock.brushMin(curve.areaMm2(c.fromMm()))).toArray();
    double hands = Arrays.stream(brush).sum();
    p.figures.put(
        "skin.hands",
        "at the brush",
        hands,
        Amounts.minutes(hands),
        Working.of("each coat: getting ready + brushing its surface")
            .given("getting ready", Amounts.minutes(SkinClock.READY_MIN), DEFAULT)
            .given("for each m²", Amounts.minutes(SkinClock.MIN_PER_M2), DEFAULT)
            .given("coats", coats.size() + "", COMPUTED)
            .done());
    if (p.product == null) {
      return null;
    }
    SkinClock.Times times = times(p.product, "skin.window", "a next coat sticks");
    SkinClock.Times build =
        p.build == p.product
            ? times
            : times(p.build, "skin.buildWindow", "a next coat sticks to a build coat");
    if (times == null || build == null) {
      return null;
    }
    SkinClock clock =
        SkinClock.of(
            skin, brush, coats.stream().map(c -> product(c) == p.build ? build : times).toList());
    p.figures.put(
        "skin.cured",
        "until the skin has cured",
        clock.curedMin(),
        Amounts.minutes(clock.curedMin()),
        Working.of("last coat mixed + time until it has set")
            .given("days with work", clock.days() + "", COMPUTED)
            .given("sets in", Amounts.minutes(last(times, build).setMin()), SHEET)
            .done());
    return clock;
  }

  private SkinClock.Times last(SkinClock.Times times, SkinClock.Times build) {
    return coats.get(coats.size() - 1).kind() == Coat.Kind.BUILD ? build : times;
  }

  /** Null while the sheet does not say. */
  private SkinClock.Times times(Product rubber, String key, String label) {
    Double pot = Amounts.roomMin(rubber.potLifeMin(), rubber, p.workshop);
    Double set = Amounts.roomMin(rubber.demouldMin(), rubber, p.workshop);
    if (pot == null || set == null) {
      return null;
    }
    Double gelSheet = Amounts.roomMin(rubber.gelMin(), rubber, p.workshop);
    Double openSheet = Amounts.roomMin(rubber.openMin(), rubber, p.workshop);
    double gel = gelSheet != null ? gelSheet : USUAL_GEL * pot;
    double open = openSheet != null ? openSheet : gel + USUAL_OPEN * (set - gel);
    p.figures.put(
        key,
        label,
        open,
        "after " + Amounts.minutes(gel) + ", until " + Amounts.minutes(open),
        Working.of("from the gel time to the open limit, at the room's temperature")
            .given("gels after", Amounts.minutes(gel), gelSheet != null ? SHEET : DEFAULT)
            .given("sticky until", Amounts.minutes(open), openSheet != null ? SHEET : DEFAULT)
            .given("room", Numbers.trimmed(p.workshop.roomC(), 0) + " °C", DEFAULT)
            .step(gelSheet == null ? "Until the sheet says: 1.5 × pot life." : "")
            .step(openSheet == null ? "Until the sheet says: a third of the way to set." : "")
            .done());
    return new SkinClock.Times(gel, open, set);
  }
}
