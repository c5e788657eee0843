package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;
import static ungula.core.working.Given.Source.MEASURED;

import ungula.core.choice.BoxChoice;
import ungula.core.choice.Choices;
import ungula.core.choice.Materials;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.FillCurve;
import ungula.core.mould.BoxInside;
import ungula.core.mould.BoxMould;
import ungula.core.mould.BoxShape;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Units;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;
import ungula.core.workshop.Workshop;

/** The box rubber is poured into, and the sheet it is cut from. */
public record BoxPart(Brief brief, BoxMould mould) implements Part {

  /** The box the choices make round the master's shape as it is known. */
  static BoxMould of(Choices choices, MasterFacts facts) {
    BoxInside inside = inside(choices.mould(), choices.mould().shape(), facts);
    BoxMould box = round(choices, facts.sizeMm(), facts.curve(), inside);
    Brief b = Brief.of(choices, facts, Materials.of(null), Workshop.DEFAULT);
    return of(b, box, MasterPart.of(b, box)).mould;
  }

  /**
   * The box the choices make, with the master as large as it turned out to be.
   *
   * @param box round the master's shape as it is known
   */
  static BoxPart of(Brief b, BoxMould box, MasterPart master) {
    double volume = master.volumeMm3();
    FillCurve curve = b.facts().curve();
    return Math.abs(curve.total() - volume) > 1e-9 * volume
        ? new BoxPart(
            b, round(b.choices(), b.facts().sizeMm(), curve.scaledTo(volume), box.inside()))
        : new BoxPart(b, box);
  }

  /** The box the choices make round any master with so much inside. */
  public static BoxMould round(Choices choices, Vec3 masterMm, FillCurve master, BoxInside inside) {
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
  public static BoxInside inside(BoxChoice c, BoxShape shape, MasterFacts facts) {
    if (shape == BoxShape.RECTANGLE) {
      return rectangle(c, facts.sizeMm());
    }
    if (shape == BoxShape.TUBE && c.shape() == shape && c.insideLengthMm() != null) {
      return BoxInside.pipe(facts.shadow().get(), c.insideLengthMm());
    }
    return BoxInside.of(shape, rectangle(c, facts.sizeMm()), facts.shadow().get(), c.sidesMm());
  }

  /** Of a rectangular one, where each side may have its own wall. */
  public static BoxInside rectangle(BoxChoice c, Vec3 s) {
    return BoxInside.rectangle(
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

  /** What the sheet costs, with its laps. */
  public double sheetCost() {
    return mould.sheetAreaMm2() / 1e6 * brief.choices().mould().sheet().pricePerM2();
  }

  @Override
  public void show(FigureBook figures) {
    BoxChoice c = brief.choices().mould();
    Units units = brief.units();
    Vec3 s = brief.facts().sizeMm();
    double l = mould.insideLengthMm();
    double w = mould.insideWidthMm();
    double h = mould.pourLineMm();
    boolean round = mould.inside().shape().ofPipe();
    boolean own = mould.inside().shape() == BoxShape.OWN;
    String inside =
        round ? "Ø " + brief.mm(l) + ", " + brief.mm(h) + " high" : Length.format3(l, w, h, units);
    figures.put(
        "box.inside",
        "inside, to the pour line",
        l,
        inside,
        Working.of("inside = wall + master + wall; height = below + master + over the top")
            .given("master", Length.format3(s.x(), s.y(), s.z(), units), MEASURED)
            .given(
                "left, right", brief.mm(mould.leftMm()) + ", " + brief.mm(mould.rightMm()), CHOSEN)
            .given(
                "front, back", brief.mm(mould.frontMm()) + ", " + brief.mm(mould.backMm()), CHOSEN)
            .given(
                "below, over the top",
                brief.mm(mould.belowMm()) + ", " + brief.mm(mould.overTopMm()),
                CHOSEN)
            .done());
    double span = mould.inside().spanMm();
    figures.length(
        "box.level",
        "one degree out of level",
        mould.slopeMm(1),
        Working.of("rubber over the top at one end, less at the other = tan 1° × longest inside")
            .given("longest inside", brief.mm(span), COMPUTED)
            .done());
    String outside =
        Length.format3(
            mould.outsideLengthMm(), mould.outsideWidthMm(), mould.wallHeightMm(), units);
    figures.put(
        "box.outside",
        "outside, walls up to",
        mould.outsideLengthMm(),
        outside,
        Working.of("outside = inside + 2 × wall; height = pour line + wall above it")
            .given("inside", inside, COMPUTED)
            .given("wall", round ? "pipe, " + brief.mm(mould.wallMm()) : c.sheet().text(), CHOSEN)
            .given("above the pour line", brief.mm(c.freeboardMm()), CHOSEN)
            .done());
    double error = brief.measuredErrorMm();
    Working thinnest =
        Working.of("least of the rubber round the sides, over and below")
            .given(
                "round the sides, seen from above", brief.mm(mould.inside().thinnestMm()), COMPUTED)
            .given("over the top", brief.mm(mould.overTopMm()), CHOSEN)
            .given(
                "below", mould.belowMm() > 0 ? brief.mm(mould.belowMm()) : "on the plate", CHOSEN)
            .plusMinus(error > 0 ? "± " + brief.mm(error) + ", from the master" : "")
            .done();
    String label = "thinnest wall, " + mould.thinnestPlace().text();
    if (mould.thinnestWallMm() > 0) {
      figures.length("box.thinnest", label, mould.thinnestWallMm(), thinnest);
    } else {
      figures.put("box.thinnest", label, 0, "none", thinnest);
    }
    double area = mould.sheetAreaMm2();
    figures.cost(
        "box.cost",
        "sheet for the box",
        sheetCost(),
        Working.of(
                own
                    ? "area of a base that stands out 20 mm × price"
                    : "area of walls with their laps, and a base that stands out 20 mm, × price")
            .given("area", Numbers.fixed(area / 1e6, 3) + " m²", COMPUTED)
            .given(c.sheet().text(), figures.money(c.sheet().pricePerM2()) + " per m²", DEFAULT)
            .step(round ? "The pipe itself is not in it." : "")
            .step(own ? "The walls are your own: only the base is cut." : "")
            .done());
    figures.run(
        "box.seal",
        "joints to seal",
        mould.sealMm(),
        Working.of("joints = round the base + upright ones × wall height")
            .given("round the base", brief.mm(mould.inside().perimeterMm()), COMPUTED)
            .given("wall height", brief.mm(mould.wallHeightMm()), COMPUTED)
            .done());
  }
}
