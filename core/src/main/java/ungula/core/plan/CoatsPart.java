package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;
import static ungula.core.working.Given.Source.LEARNED;
import static ungula.core.working.Given.Source.MEASURED;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ungula.core.choice.MasterSource;
import ungula.core.geometry.Vec3;
import ungula.core.jacket.OutsideStudy;
import ungula.core.jacket.Sections;
import ungula.core.mould.MouldKind;
import ungula.core.plan.MixPart.Stirred;
import ungula.core.quantity.Share;
import ungula.core.rubber.Additive;
import ungula.core.rubber.Product;
import ungula.core.skin.Bridge;
import ungula.core.skin.Coat;
import ungula.core.skin.CoatCurve;
import ungula.core.skin.Skin;
import ungula.core.skin.SkinStudy;
import ungula.core.skin.TakenOff;
import ungula.core.skin.Thickener;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;

/**
 * Rubber brushed on a master in coats, with its flange and what is set on it.
 *
 * @param wallMm of all coats
 * @param list of coats, from the master outwards
 * @param curve room within each distance of the master
 * @param areaMm2 of the surface that is brushed
 * @param carvedMm2 of that, what the shape that is known leaves out
 * @param flange round the base, and along the seams of a skin in sections
 * @param locators set on the last coat
 * @param plugged clay in the recesses, mm³
 * @param share of what the shape says, by what the first of several skins weighs; 1 before that is
 *     weighed
 * @param bridges recesses that close up solid and are not plugged; empty while not worked out
 */
public record CoatsPart(
    Brief brief,
    double wallMm,
    List<Coat> list,
    CoatCurve curve,
    double areaMm2,
    double carvedMm2,
    Flange flange,
    int locators,
    double plugged,
    double share,
    List<Bridge> bridges)
    implements Part {

  /** While only measures are known. */
  private static final double STEP_MM = 0.25;

  /** Of what the distance field says a coat takes. */
  private static final double FIELD_ERROR = 0.01;

  /**
   * As thick as the wall.
   *
   * @param baseMm2 of the board under it, round the base
   * @param baseMm3 rubber in it there
   * @param seamsMm3 along the seams of a skin in sections
   */
  record Flange(double baseMm2, double baseMm3, double seamsMm3) {}

  /** Empty for any other mould, and while the master has a shape that is not worked out yet. */
  static Optional<CoatsPart> of(Brief b) {
    boolean wanted = b.choices().mould().kind() == MouldKind.SKIN;
    boolean open = b.facts().parted() != null && b.facts().skin() == null;
    return wanted && !open ? Optional.of(made(b)) : Optional.empty();
  }

  private static CoatsPart made(Brief b) {
    Skin skin = b.choices().skin();
    Vec3 size = b.facts().sizeMm();
    SkinStudy study = b.facts().skin() == null ? null : b.facts().skin().study();
    OutsideStudy outside = b.facts().skin() == null ? null : b.facts().skin().outside();
    CoatCurve curve =
        study == null ? CoatCurve.ofBlock(size, STEP_MM, Skin.MOST_MM) : study.curve();
    boolean solid = b.choices().master().source() == MasterSource.SOLID;
    double carved = solid ? b.choices().master().solid().carvedMm2() : 0;
    double area =
        study == null
            ? size.x() * size.y() + 2 * (size.x() + size.y()) * size.z()
            : study.areaMm2() + carved;
    double wall = skin.wallMm(b.facts().oneMm());
    double plugged = 0;
    List<Bridge> left = new ArrayList<>();
    for (Bridge bridge : outside == null ? List.<Bridge>of() : outside.bridges()) {
      if (skin.plugs().stream().anyMatch(plug -> bridge.fills(plug.at(), plug.wallMm()))) {
        plugged += bridge.mm3();
      } else {
        left.add(bridge);
      }
    }
    CoatsPart byShape =
        new CoatsPart(
            b,
            wall,
            coats(b),
            curve,
            area,
            carved,
            flange(b, wall, outside),
            b.choices().jacket().locators().count(curve.areaMm2(wall)),
            plugged,
            1,
            List.copyOf(left));
    Double plannedG = b.firstMouldG() == null ? null : MixPart.of(byShape).mouldG();
    return plannedG == null ? byShape : byShape.times(b.firstMouldG() / plannedG);
  }

  /** As they are asked for, of a sealant as it is thickened. */
  private static List<Coat> coats(Brief b) {
    return b.choices().skin().coats(b.facts().oneMm()).stream()
        .map(c -> c.kind() == Coat.Kind.BUILD ? c.with(thickener(b)) : c)
        .toList();
  }

  /** How the build coats are thickened. */
  static Thickener thickener(Brief b) {
    boolean sealant = b.build() != null && b.build().role() == Product.Role.SEALANT;
    return b.choices().skin().thickener().of(sealant);
  }

  /** With so much of the rubber its shape asks for. */
  private CoatsPart times(double by) {
    return new CoatsPart(
        brief, wallMm, list, curve, areaMm2, carvedMm2, flange, locators, plugged, by, bridges);
  }

  private static Flange flange(Brief b, double wall, OutsideStudy outside) {
    Skin skin = b.choices().skin();
    double board = b.facts().foot().flangeMm2(wall, skin.flangeMm());
    double seams = 0;
    if (skin.opening() == TakenOff.SECTIONS && outside != null) {
      Sections sections = Sections.of(outside.scan(), b.choices().jacket());
      seams = 2 * sections.seamMm(outside.scan()) * skin.flangeMm() * wall;
    }
    return new Flange(board, board * wall, seams);
  }

  /** Of the board under its flange. */
  double flangeMm2() {
    return flange.baseMm2;
  }

  /** Of one coat, by the room between two distances from the master. */
  public double mm3(Coat c) {
    return share * (curve.between(c.fromMm(), c.toMm()) + carvedMm2 * c.mm());
  }

  private double coatsMm3() {
    return list.stream().mapToDouble(this::mm3).sum();
  }

  private double locatorsMm3() {
    return share * locators * brief.choices().jacket().locators().eachMm3();
  }

  /** All rubber on the master. */
  public double onMasterMm3() {
    return coatsMm3() + flangeMm3() + locatorsMm3();
  }

  private double flangeMm3() {
    return share * (flange.baseMm3 + flange.seamsMm3);
  }

  private double lostMm3() {
    return brief.choices().skin().lossPct() / 100 * onMasterMm3();
  }

  /** What coats go on thicker by here; nothing once the first of several skins is weighed. */
  private double thickerMm3() {
    return brief.firstMouldG() == null ? brief.workshop().coatsPct() / 100 * coatsMm3() : 0;
  }

  /** On top of what is on the master: what is lost, and no less than what is not certain. */
  private double allowanceMm3() {
    return Math.max(lostMm3() + thickerMm3(), errorMm3());
  }

  /** ± of what is on the master; none once the first of several skins is weighed. */
  private double errorMm3() {
    return brief.firstMouldG() == null ? errorShare() * onMasterMm3() : 0;
  }

  /** To be mixed, over all coats. */
  public double mixMm3() {
    return onMasterMm3() + allowanceMm3();
  }

  /** To be mixed for each coat: the flange and what is lost are shared by all as they are. */
  List<Double> eachMm3() {
    double all = coatsMm3();
    return list.stream().map(c -> mixMm3() * mm3(c) / all).toList();
  }

  /** What each coat is of, and what is stirred in. */
  List<Stirred> stirred() {
    return list.stream().map(c -> new Stirred(product(c), thickener(c.thickener()))).toList();
  }

  private static Additive thickener(Thickener t) {
    return t.dosePct() == 0
        ? Additive.NONE
        : new Additive(
            "", Additive.Kind.THICKENER, t.dosePct(), Additive.Of.BASE_AND_HARDENER, null);
  }

  /** The rubber of a coat. */
  public Product product(Coat c) {
    return c.kind() == Coat.Kind.BUILD ? brief.build() : brief.product();
  }

  @Override
  public void show(FigureBook figures) {
    wall(figures);
    figures.put("skin.area", "surface to be brushed", areaMm2, brief.area(areaMm2), surface());
    flange(figures);
    coats(figures);
    locators(figures);
    rubber(figures);
    if (plugged > 0) {
      figures.volume(
          "skin.plugs",
          "clay in the recesses",
          plugged,
          Working.of("what lies deeper below the skin's outside than the wall, there")
              .step("The coats go over the clay as over the master.")
              .done());
    }
  }

  private void wall(FigureBook figures) {
    Vec3 size = brief.facts().oneMm();
    Double asked = brief.choices().skin().wallMm();
    figures.length(
        "skin.wall",
        "wall of the skin",
        wallMm,
        Working.of("all coats together")
            .given(
                asked == null ? "for a master of this size" : "asked for",
                brief.mm(wallMm),
                asked == null ? DEFAULT : CHOSEN)
            .given("longest side", brief.mm(size.longest()), COMPUTED)
            .step("9 mm to the size of a hand, 12 mm to half a metre, 16 mm to life size.")
            .done());
  }

  private void rubber(FigureBook figures) {
    Working.Builder all =
        Working.of(locatorsMm3() > 0 ? "all coats + flange + locators" : "all coats + flange")
            .given("coats", brief.ml(coatsMm3()), COMPUTED)
            .given("flange", brief.ml(flangeMm3()), COMPUTED);
    if (locatorsMm3() > 0) {
      all.given("locators", brief.ml(locatorsMm3()), COMPUTED);
    }
    figures.volume("rubber.box", "rubber in the skin", onMasterMm3(), all.done());
    figures.volume("rubber.allowance", "allowance", allowanceMm3(), allowance());
    figures.volume(
        "rubber.mix",
        "rubber to mix",
        mixMm3(),
        Working.of("rubber in the skin + allowance")
            .given("in the skin", brief.ml(onMasterMm3()), COMPUTED)
            .given("allowance", brief.ml(allowanceMm3()), COMPUTED)
            .done());
  }

  private Working allowance() {
    Working.Builder w =
        Working.of("allowance = the larger of two, of what is on the master")
            .given(
                "left in brush, pot and drips, " + Share.typed(brief.choices().skin().lossPct()),
                brief.ml(lostMm3()),
                CHOSEN);
    if (thickerMm3() != 0) {
      w.given(
          "and coats go on thicker here, " + Share.typed(brief.workshop().coatsPct()),
          brief.ml(thickerMm3()),
          brief.workshop().learned("coatsPct") ? LEARNED : CHOSEN);
    }
    return w.given(
            "± of the skin, " + Share.format(errorMm3() / onMasterMm3()),
            errorMm3() > 0 ? brief.ml(errorMm3()) : "none, weighed",
            COMPUTED)
        .done();
  }

  private void flange(FigureBook figures) {
    Skin skin = brief.choices().skin();
    Working.Builder w =
        Working.of("flange = what it covers of the board × wall")
            .given("width, round where the skin meets the board", brief.mm(skin.flangeMm()), CHOSEN)
            .given("of the board", brief.area(flange.baseMm2), COMPUTED)
            .given("as thick as the wall", brief.mm(wallMm), COMPUTED)
            .step("It reaches " + brief.mm(wallMm + skin.flangeMm()) + " from the master.");
    if (flange.seamsMm3 > 0) {
      w.step("Along the seams, on both sides of each: " + brief.ml(flange.seamsMm3));
    }
    figures.volume("skin.flange", "flange", flangeMm3(), weighed(w).done());
  }

  /** Says so where what the first skin weighs counts, and not the shape alone. */
  private Working.Builder weighed(Working.Builder w) {
    return brief.firstMouldG() == null
        ? w
        : w.given(
            "the first skin weighs of what its shape asks for", Share.format(share), MEASURED);
  }

  private void coats(FigureBook figures) {
    for (Coat c : list) {
      double v = mm3(c);
      double flat = areaMm2 * c.mm();
      figures.volume(
          key(c, "volume"),
          name(c),
          v,
          weighed(
                  Working.of("room between two distances from the master, above the plate")
                      .given("from", brief.mm(c.fromMm()), COMPUTED)
                      .given("to", brief.mm(c.toMm()), COMPUTED))
              .step("Surface × thickness would be " + brief.ml(flat) + ".")
              .plusMinus(error())
              .done());
      figures.volume(
          key(c, "flat"),
          name(c) + ", surface × thickness",
          flat,
          Working.of("surface of the master × thickness of the coat")
              .given("surface", brief.area(areaMm2), COMPUTED)
              .given("thickness", brief.mm(c.mm()), COMPUTED)
              .step("Outer corners take more than that, recesses less.")
              .done());
    }
  }

  static String key(Coat c, String what) {
    return "coat." + c.number() + "." + what;
  }

  static String name(Coat c) {
    return "coat " + c.number() + ", " + c.kind().text();
  }

  /**
   * How far what it takes may be off, either way, as a share: of the shape that is known, and of
   * what it is known from; 0 while its shape is not worked out.
   */
  double errorShare() {
    if (brief.facts().skin() == null) {
      return 0;
    }
    boolean solid = brief.choices().master().source() == MasterSource.SOLID;
    double measured = solid ? brief.choices().master().solid().surfaceErrorShare() : 0;
    return Math.ceil(100 * Math.hypot(FIELD_ERROR, measured)) / 100;
  }

  private String error() {
    return brief.facts().skin() == null
        ? "as round a block of its size"
        : "± " + Share.format(errorShare());
  }

  private Working surface() {
    Working.Builder w = Working.of("facets a brush gets to, without what stands on the plate");
    if (carvedMm2 > 0) {
      w.given("by which its carved face is larger than flat", brief.area(carvedMm2), CHOSEN);
    }
    return w.plusMinus(error()).done();
  }

  /** So that the skin finds its place in the jacket. */
  private void locators(FigureBook figures) {
    if (locators > 0) {
      Working.Builder w =
          Working.of("one to a hand's breadth and a half, three at the least")
              .given("outside of the skin", brief.area(curve.areaMm2(wallMm)), COMPUTED);
      if (locatorsMm3() > 0) {
        w.given("rubber in each", brief.ml(brief.choices().jacket().locators().eachMm3()), DEFAULT);
      }
      figures.put("jacket.locators", "locators", locators, locators + " locators", w.done());
    }
  }
}
