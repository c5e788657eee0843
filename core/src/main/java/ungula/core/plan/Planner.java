package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;
import static ungula.core.working.Given.Source.MEASURED;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ungula.core.choice.Choices;
import ungula.core.choice.Materials;
import ungula.core.contact.CastingMaterial;
import ungula.core.cutline.CutLine;
import ungula.core.cutlist.CutList;
import ungula.core.cutlist.Extras;
import ungula.core.geometry.Vec3;
import ungula.core.master.VolumeWays;
import ungula.core.mesh.FillCurve;
import ungula.core.mould.BoxMould;
import ungula.core.mould.BoxShape;
import ungula.core.mould.Inside;
import ungula.core.mould.MouldKind;
import ungula.core.parting.Bedding;
import ungula.core.parting.Parting;
import ungula.core.pour.Batches;
import ungula.core.pour.Batching;
import ungula.core.quantity.Density;
import ungula.core.quantity.Length;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Units;
import ungula.core.quantity.Volume;
import ungula.core.rubber.Mix;
import ungula.core.rubber.Product;
import ungula.core.sprue.Sprue;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;
import ungula.core.workshop.Workshop;

/**
 * From choices to a plan: a pure function. The same inputs give the same plan, and nothing outside
 * them is looked at.
 */
public final class Planner {

  /** Rubber density counted on before a product is picked, g/cm³. */
  private static final double USUAL_DENSITY = 1.1;

  /** A batch after the first is at least so much of it, or it is not worth mixing. */
  private static final double LEAST_REST = 0.05;

  final Choices choices;
  final MasterFacts facts;
  final Materials materials;
  final Product product;

  /** Rubber of a skin's build coats; the other one where none is picked for them. */
  final Product build;

  /** What is cast; null while no product is picked for it. */
  final Product cast;

  final Workshop workshop;
  final Units units;
  final FigureBook figures;
  final List<VolumeWays.Result> ways = new ArrayList<>();

  BoxMould box;

  /** Of a two-part mould; null for any other. */
  Parting parting;

  /** Of a cut mould; null for any other, and while the master's shape is not known. */
  CutLine cut;

  /** A cast is poured in through; null where that is the open base. */
  Sprue sprue;

  CutList cuts;

  /** Of a skin mould; null for any other, and while it is not worked out. */
  SkinPlan skin;

  /** What does not fit the workshop's equipment. */
  List<Caution> unfit = List.of();

  Amounts amounts;

  /** That each pour is split into. */
  int batches = 1;

  /** How the workshop's limits split the largest pour; null while nothing can be weighed. */
  Batching batching;

  /** Of the first batch, when it has to be larger than the rest to cover the master; else null. */
  Double firstMm3;

  Batches planned = Batches.NONE;
  double masterMm3;
  double masterErrorMm3;
  double mixMm3;

  /** A core keeps free of what is cast. */
  double hollowMm3;

  private Planner(Choices choices, MasterFacts facts, Materials materials, Workshop workshop) {
    this.choices = choices;
    this.facts = facts;
    this.materials = materials;
    this.product = materials.rubber();
    this.build = materials.build() == null ? product : materials.build();
    this.cast = materials.cast();
    this.workshop = choices.site().of(workshop);
    this.units = choices.units();
    this.figures = new FigureBook(units, workshop.currency());
  }

  /**
   * @param facts null while the master's size is not known
   * @param product null while no rubber is picked
   */
  public static Plan plan(Choices choices, MasterFacts facts, Product product, Workshop workshop) {
    return plan(choices, facts, Materials.of(product), workshop, box(choices, facts));
  }

  /**
   * @param facts null while the master's size is not known
   * @param known what {@link #box} says of the same choices and facts
   */
  public static Plan plan(
      Choices choices,
      MasterFacts facts,
      Materials materials,
      Workshop workshop,
      Optional<BoxMould> known) {
    Planner p = new Planner(choices, facts, materials, workshop);
    known.ifPresent(
        box -> {
          p.compute(box.inside());
          p.pours();
          p.hollowMm3 = CoreFigures.add(p);
          p.sprue = SprueFigures.add(p);
          if (p.poured()) {
            p.cuts = CutList.of(p.box, p.extras(), p.units);
            p.unfit = Fits.of(p);
          } else {
            JacketFigures.add(p);
            SiteFigures.add(p);
          }
          Labour.add(p);
          CastFigures.add(p);
        });
    List<Caution> cautions = new CautionFinder(p).find();
    return new Plan(
        p.figures.all(),
        List.copyOf(p.ways),
        cautions,
        Optional.ofNullable(p.box).filter(box -> p.poured()),
        Optional.ofNullable(p.parting),
        Optional.ofNullable(p.cut),
        Optional.ofNullable(p.sprue),
        Optional.ofNullable(facts).map(MasterFacts::core).map(CoreFacts::core),
        Optional.ofNullable(p.skin),
        Optional.ofNullable(p.cuts),
        WorkOrder.of(p),
        Touching.of(p),
        Optional.ofNullable(p.mix()),
        p.amounts == null ? Optional.empty() : p.amounts.second(),
        p.planned,
        p.needs(),
        p.stages(),
        p.undecided(),
        PlanPart.of(choices, facts));
  }

  /** The box and the mix only, without cautions: what other choices would cost. */
  Planner totals(Choices other) {
    Planner p = new Planner(other, facts, materials, workshop);
    Choices.Box before = choices.mould();
    Choices.Box after = other.mould();
    boolean same = before.shape() == after.shape() && before.sidesMm() == after.sidesMm();
    p.compute(same && !after.shape().sided() ? box.inside() : inside(after, after.shape(), facts));
    return p;
  }

  /** The box alone: what a study of the shape is asked about. Empty while no size is known. */
  public static Optional<BoxMould> box(Choices choices, MasterFacts facts) {
    if (facts == null) {
      return Optional.empty();
    }
    Planner p = new Planner(choices, facts, Materials.of(null), Workshop.DEFAULT);
    p.compute(inside(choices.mould(), choices.mould().shape(), facts));
    return Optional.of(p.box);
  }

  private void compute(Inside inside) {
    box = boxRound(choices, facts.sizeMm(), facts.curve(), inside);
    masterVolume();
    if (Math.abs(facts.curve().total() - masterMm3) > 1e-9 * masterMm3) {
      box = boxRound(choices, facts.sizeMm(), facts.curve().scaledTo(masterMm3), inside);
    }
    if (poured()) {
      sizes(choices.mould());
      PlateFigures.add(this);
      rubber();
    } else {
      skin = SkinFigures.add(this);
    }
    ShapeFigures.add(this);
  }

  /** How the rubber is split into pours, and what to weigh for each. */
  private void pours() {
    double[] pours = {mixMm3};
    if (choices.mould().kind() == MouldKind.TWO_PART) {
      parting = PartingFigures.add(this);
      double rubber = box.rubberMm3();
      double first = rubber > 0 ? parting.upperMm3() / rubber : 0.5;
      pours = new double[] {first * mixMm3, (1 - first) * mixMm3};
    }
    if (choices.mould().kind() == MouldKind.CUT && facts.cuts() != null) {
      cut = CutFigures.add(this);
    }
    if (product != null && poured()) {
      batching = PourFigures.split(this, Arrays.stream(pours).max().orElse(0)).orElse(null);
      batches = asked(batching);
      amounts = new Amounts(choices, product, workshop, figures);
      firstMm3 = first(pours);
      amounts.workOut(box.rubberMm3(), pours, batches, firstMm3);
    }
    planned = PourFigures.add(this, pours);
  }

  /**
   * The first batch covers the master, or a line shows on every cast: larger than the others where
   * the limits let it through. Halves are poured against the bedding: of them no batch covers more.
   */
  private Double first(double[] pours) {
    if (batching == null || batches < 2 || pours.length > 1 || !(box.rubberMm3() > 0)) {
      return null;
    }
    double covered = box.rubberBelow(PourCautions.coveredMm(this));
    double mm3 = covered * pours[0] / box.rubberMm3();
    boolean needed = mm3 > pours[0] / batches * (1 + 1e-9);
    boolean rest = pours[0] - mm3 > LEAST_REST * mm3 * (batches - 1);
    return needed && rest && mm3 <= batching.largestMm3() ? mm3 : null;
  }

  /** Of the first batch poured, what it holds of the pour. */
  double firstShare() {
    return firstMm3 == null ? 1.0 / batches : firstMm3 / mixMm3;
  }

  /** As many batches as are asked for, else as the limits ask for. */
  private int asked(Batching split) {
    Integer chosen = choices.rubber().batches();
    return chosen != null ? chosen : split == null ? 1 : split.count();
  }

  /** What the job takes of each product, as far as it can be weighed. */
  private List<Plan.Need> needs() {
    List<Plan.Need> needs = new ArrayList<>();
    if (amounts != null) {
      amounts.used().forEach((of, g) -> needs.add(new Plan.Need(of, g)));
    }
    Integer casts = choices.cast().wanted();
    if (cast != null && casts != null && figures.has("cast.mass")) {
      double pours = Math.ceil((double) casts / castsOfAPour());
      needs.add(new Plan.Need(cast, cast.soldG(pours * figures.value("cast.mass"))));
    }
    return List.copyOf(needs);
  }

  /** Each master on the plate gives one. */
  int castsOfAPour() {
    return figures.has("plate.masters") ? (int) figures.value("plate.masters") : 1;
  }

  /** Whether rubber is poured round the master in a box. */
  boolean poured() {
    return choices.mould().kind().poured();
  }

  private Extras extras() {
    boolean plate = figures.has("plate.masters");
    boolean board = parting != null && choices.parting().bedding() == Bedding.BOARD;
    Workshop.Equipment e = workshop.equipment();
    return new Extras(
        choices.mould().ribSpacingMm(),
        parting,
        board ? parting.boardCutouts() : null,
        plate ? facts.onPlate().get().footprints() : List.of(),
        e.bedMm());
  }

  /** One batch; null while nothing can be weighed. */
  Mix mix() {
    return amounts == null ? null : amounts.mix();
  }

  /** Of the rubber mixed, g/cm³; a usual one while nothing can be weighed. */
  double density() {
    return mix() == null ? USUAL_DENSITY : mix().density();
  }

  /** Whether a core is wanted that is not worked out yet: what a cast takes is open until then. */
  boolean coreOpen() {
    return choices.hollow().wallMm() != null && facts.parted() != null && facts.core() == null;
  }

  /** What is cast, as far as pouring it goes: the product's sheet, and what was said besides. */
  Sprue.Resin resin() {
    Sprue.Resin said = choices.channels().resin();
    if (cast == null) {
      return said;
    }
    Double density =
        cast.mixedDensity(cast.ratio() == null ? 1 : cast.hardenerPerBase(cast.ratio()));
    return new Sprue.Resin(
        cast.viscosityPas() == null ? said.viscosityPas() : cast.viscosityPas(),
        castPotMin(said, density == null ? said.density() : density),
        density == null ? said.density() : density);
  }

  /** Of what is cast: in the room, and of so much of it in one cup. */
  private double castPotMin(Sprue.Resin said, double density) {
    Double room = Amounts.roomMin(cast.potLifeMin(castMm3() / 1000 * density), cast, workshop);
    return room == null ? said.potLifeMin() : room;
  }

  /** What is cast. */
  CastingMaterial castingMaterial() {
    return cast == null ? choices.cast().material() : CastingMaterial.of(cast);
  }

  /** As hot as a cast gets, °C. */
  double castC() {
    return cast == null || cast.peakC() == null ? castingMaterial().usualC() : cast.peakC();
  }

  /** What a cast takes, without what stays in its channels. */
  double castMm3() {
    return masterMm3 - hollowMm3;
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
      figures.volume("master.volume." + name, "by " + w.way().text(), w.volumeMm3(), w.working());
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
      figures.volume(
          "master.volume",
          "master",
          masterMm3,
          Working.of("volume = outer length × width × height, as if it filled them")
              .given("outer size", Length.format3(s.x(), s.y(), s.z(), units), MEASURED)
              .step("The master's own volume is not measured yet; the rubber will be more.")
              .plusMinus("± " + ml(masterErrorMm3))
              .done());
    } else {
      int copies = choices.laid().copies();
      masterMm3 = copies * best.volumeMm3();
      masterErrorMm3 = copies * best.errorMm3();
      figures.volume(
          "master.volume",
          copies > 1 ? copies + " masters" : "master",
          masterMm3,
          copies > 1
              ? Working.of("all = copies on the plate × volume of one")
                  .given("copies", copies + "", CHOSEN)
                  .given("one, by " + best.way().text(), ml(best.volumeMm3()), COMPUTED)
                  .plusMinus(masterErrorMm3 > 0 ? "± " + ml(masterErrorMm3) : "")
                  .done()
              : best.working());
    }
    figures.put(
        "master.size",
        "outer size",
        s.z(),
        Length.format3(s.x(), s.y(), s.z(), units),
        Working.of("longest reach of the master along each direction, as it stands")
            .given("shape", facts.titled(), MEASURED)
            .done());
    double density = choices.master().material().density();
    boolean weighed = choices.master().massG() != null;
    int copies = choices.laid().copies();
    figures.mass(
        "master.mass",
        copies > 1 ? "mass of the masters" : "mass of the master",
        weighed ? copies * choices.master().massG() : masterMm3 / 1000 * density,
        weighed
            ? Working.of(copies > 1 ? "copies on the plate × as weighed" : "as weighed")
                .given("master", Mass.format(choices.master().massG(), units), MEASURED)
                .given("copies", copies + "", CHOSEN)
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
                    ? "volume by the distance field: cells inside the surface, shared room once"
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

  /** The box the choices make round any master with so much inside. */
  static BoxMould boxRound(Choices choices, Vec3 masterMm, FillCurve master, Inside inside) {
    double below = choices.pose().liftMm();
    return new BoxMould(
        masterMm,
        master.raised(below),
        inside,
        below,
        choices.mould().overTopMm(),
        choices.mould().freeboardMm(),
        choices.mould().sheet());
  }

  /** The inside of a box of a shape with the walls chosen. */
  static Inside inside(Choices.Box c, BoxShape shape, MasterFacts facts) {
    return shape == BoxShape.RECTANGLE
        ? rectangle(c, facts.sizeMm())
        : Inside.of(shape, rectangle(c, facts.sizeMm()), facts.shadow().get(), c.sidesMm());
  }

  /** Of a rectangular one, where each side may have its own wall. */
  static Inside rectangle(Choices.Box c, Vec3 s) {
    return Inside.rectangle(
        s.x(),
        s.y(),
        side(c.leftMm(), c.sidesMm(), c.insideLengthMm(), s.x()),
        side(c.rightMm(), c.sidesMm(), c.insideLengthMm(), s.x()),
        side(c.frontMm(), c.sidesMm(), c.insideWidthMm(), s.y()),
        side(c.backMm(), c.sidesMm(), c.insideWidthMm(), s.y()));
  }

  private static double side(Double own, double sides, Double inside, double master) {
    if (inside != null) {
      return (inside - master) / 2;
    }
    return own == null ? sides : own;
  }

  private void sizes(Choices.Box c) {
    Vec3 s = facts.sizeMm();
    double l = box.insideLengthMm();
    double w = box.insideWidthMm();
    double h = box.pourLineMm();
    boolean round = box.inside().shape().ofPipe();
    String inside = round ? "Ø " + mm(l) + ", " + mm(h) + " high" : Length.format3(l, w, h, units);
    figures.put(
        "box.inside",
        "inside, to the pour line",
        l,
        inside,
        Working.of("inside = wall + master + wall; height = below + master + over the top")
            .given("master", Length.format3(s.x(), s.y(), s.z(), units), MEASURED)
            .given("left, right", mm(box.leftMm()) + ", " + mm(box.rightMm()), CHOSEN)
            .given("front, back", mm(box.frontMm()) + ", " + mm(box.backMm()), CHOSEN)
            .given("below, over the top", mm(box.belowMm()) + ", " + mm(box.overTopMm()), CHOSEN)
            .done());
    String outside =
        Length.format3(box.outsideLengthMm(), box.outsideWidthMm(), box.wallHeightMm(), units);
    figures.put(
        "box.outside",
        "outside, walls up to",
        box.outsideLengthMm(),
        outside,
        Working.of("outside = inside + 2 × wall; height = pour line + wall above it")
            .given("inside", inside, COMPUTED)
            .given("wall", round ? "pipe, " + mm(box.wallMm()) : c.sheet().text(), CHOSEN)
            .given("above the pour line", mm(c.freeboardMm()), CHOSEN)
            .done());
    figures.length(
        "box.thinnest",
        "thinnest wall, " + box.thinnestPlace(),
        box.thinnestWallMm(),
        Working.of("least of the rubber round the sides, over and below")
            .given("round the sides, seen from above", mm(box.inside().thinnestMm()), COMPUTED)
            .given("over the top", mm(box.overTopMm()), CHOSEN)
            .given("below", box.belowMm() > 0 ? mm(box.belowMm()) : "on the plate", CHOSEN)
            .done());
    double area = box.sheetAreaMm2();
    double cost = area / 1e6 * c.sheet().pricePerM2();
    figures.cost(
        "box.cost",
        "sheet for the box",
        cost,
        Working.of("area of walls with their laps, and a base that stands out 20 mm, × price")
            .given("area", Numbers.fixed(area / 1e6, 3) + " m²", COMPUTED)
            .given(c.sheet().text(), figures.money(c.sheet().pricePerM2()) + " per m²", DEFAULT)
            .step(round ? "The pipe itself is not in it." : "")
            .done());
    figures.length(
        "box.seal",
        "joints to seal",
        box.sealMm(),
        Working.of("joints = round the base + upright ones × wall height")
            .given("round the base", mm(box.inside().perimeterMm()), COMPUTED)
            .given("wall height", mm(box.wallHeightMm()), COMPUTED)
            .done());
  }

  private void rubber() {
    double line = box.pourLineMm();
    double below = box.curve().below(line);
    double v = box.rubberMm3();
    figures.volume(
        "rubber.box",
        "rubber in the box",
        v,
        insideArea()
            .given("pour line", mm(line), COMPUTED)
            .given("master below the line", ml(below), COMPUTED)
            .step(
                "box "
                    + Volume.exact(box.insideAreaMm2() * line, units)
                    + " − master "
                    + Volume.exact(below, units))
            .plusMinus(masterErrorMm3 > 0 ? "± " + ml(masterErrorMm3) + ", from the master" : "")
            .done());
    double least = workshop.allowancePct() / 100 * v;
    int cups = asked(PourFigures.split(this, v + least).orElse(null));
    double loss = workshop.cupLossPct() / 100 * v + workshop.cupLossMm3() * cups;
    Double chosen = choices.rubber().allowancePct();
    double allowance =
        chosen != null ? chosen / 100 * v : Math.max(least, Math.max(masterErrorMm3, loss));
    figures.volume(
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
    Double put = choices.rubber().offcutsMm3();
    double offcuts = put == null ? 0 : Math.min(put, v);
    mixMm3 = v - offcuts + allowance;
    Working.Builder mix =
        Working.of(
                offcuts > 0
                    ? "to mix = rubber in the box − offcuts + allowance"
                    : "to mix = rubber in the box + allowance")
            .given("in the box", ml(v), COMPUTED)
            .given("allowance", ml(allowance), COMPUTED);
    if (offcuts > 0) {
      mix.given("offcuts", ml(offcuts), CHOSEN);
    }
    figures.volume("rubber.mix", "rubber to mix", mixMm3, mix.done());
  }

  /** The rubber's formula, as far as the inside of the box. */
  private Working.Builder insideArea() {
    return box.inside().shape() == BoxShape.RECTANGLE
        ? Working.of("rubber = inside length × inside width × pour line − master below the line")
            .given("inside length", mm(box.insideLengthMm()), COMPUTED)
            .given("inside width", mm(box.insideWidthMm()), COMPUTED)
        : Working.of("rubber = inside area × pour line − master below the line")
            .given("inside area", Numbers.fixed(box.insideAreaMm2() / 100, 1) + " cm²", COMPUTED);
  }

  private Map<String, Looked.Basis> stages() {
    Map<String, Looked.Basis> stages = new LinkedHashMap<>();
    stages.put("master", new Looked.Basis(facts != null, null));
    stages.put("approach", new Looked.Basis(facts != null, choices.beforeApproach()));
    stages.put("mould", new Looked.Basis(box != null, choices.beforeMould()));
    stages.put("rubber", new Looked.Basis(mix() != null, choices.beforeRubber()));
    stages.put("pours", new Looked.Basis(mix() != null, choices.beforePours()));
    return stages;
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
