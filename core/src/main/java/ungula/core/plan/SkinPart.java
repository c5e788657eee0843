package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;
import static ungula.core.working.Given.Source.SHEET;

import java.util.List;
import java.util.Optional;
import ungula.core.jacket.OutsideStudy;
import ungula.core.jacket.Sections;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Share;
import ungula.core.quantity.Timespan;
import ungula.core.release.Stretch;
import ungula.core.rubber.Product;
import ungula.core.skin.Bridge;
import ungula.core.skin.Coat;
import ungula.core.skin.CoatCurve;
import ungula.core.skin.SkinClock;
import ungula.core.skin.TakenOff;
import ungula.core.skin.Thickener;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;

/**
 * How a skin is built up over the hours, and how it comes off again.
 *
 * @param coated what it is brushed of
 * @param density of the rubber mixed for its first coat, g/cm³; a usual one while nothing can be
 *     weighed
 * @param off how it comes off
 * @param cutDegrees the way a skin is cut open, seen from above; null for one that is not, and
 *     while its outside is not worked out
 * @param sections of the jacket; null while not worked out
 * @param detail times of its rubber in the room; null while the sheet does not say
 * @param build times of the rubber of its build coats
 */
public record SkinPart(
    Brief brief,
    CoatsPart coated,
    double density,
    TakenOff off,
    Double cutDegrees,
    Sections sections,
    Rubber detail,
    Rubber build)
    implements Part {

  /** Cloth is laid in pieces overlapping so far, mm. */
  private static final double OVERLAP_MM = 25;

  /** Pieces of cloth drape when no longer than this share of how the surface curves. */
  private static final double DRAPES = 1.2;

  private static final double LEAST_PIECE_MM = 80;
  private static final double MOST_PIECE_MM = 250;

  /** Gel and open limit as shares of pot life and demould time, until the sheet says. */
  private static final double USUAL_GEL = 1.5;

  private static final double USUAL_OPEN = 1 / 3.0;

  /** Of a sealant, from where the air gets at it: 2 to 3. */
  private static final double CURES_MM_A_DAY = 2.5;

  private static final double DAY_MIN = 24 * 60;

  /** Less of the surface that is steep is not worth a word. */
  public static final double STEEP = 0.02;

  /**
   * Times of a rubber in the room.
   *
   * @param gelSaid whether the sheet says when it gels
   * @param openSaid whether the sheet says how long it stays sticky
   */
  public record Rubber(SkinClock.Times times, boolean gelSaid, boolean openSaid) {

    /** Null while no rubber is picked, and while its sheet does not say. */
    static Rubber of(Brief b, Product product) {
      Double pot = product == null ? null : b.inRoomMin(product, product.potLifeMin());
      Double set = product == null ? null : b.inRoomMin(product, product.demouldMin());
      if (pot == null || set == null) {
        return null;
      }
      if (product.role() == Product.Role.SEALANT) {
        // it cures from outside inwards, and the next coat would keep the air from this one
        double through = b.choices().skin().buildMm() / CURES_MM_A_DAY * DAY_MIN;
        double cured = Math.max(set, through);
        return new Rubber(new SkinClock.Times(cured, 2 * cured, cured), true, true);
      }
      Double gelSheet = b.inRoomMin(product, product.gelMin());
      Double openSheet = b.inRoomMin(product, product.openMin());
      double gel = gelSheet != null ? gelSheet : USUAL_GEL * pot;
      double open = openSheet != null ? openSheet : gel + USUAL_OPEN * (set - gel);
      return new Rubber(new SkinClock.Times(gel, open, set), gelSheet != null, openSheet != null);
    }
  }

  /** Pieces of cloth that drape, overlapping all round. */
  public record Cloth(double areaMm2, double radiusMm, double sideMm, double pieces) {

    double cutMm2() {
      return pieces * sideMm * sideMm;
    }
  }

  /**
   * @param density of the first coat's mix, g/cm³
   */
  static SkinPart of(Brief b, CoatsPart coated, double density) {
    OutsideStudy outside = b.facts().skin() == null ? null : b.facts().skin().outside();
    TakenOff off = off(b);
    Double chosen = b.choices().cut().towardsDegrees();
    Double cut =
        off != TakenOff.CUT || outside == null
            ? null
            : chosen == null ? Double.valueOf(outside.scan().shortestDegrees()) : chosen;
    Sections sections = outside == null ? null : Sections.of(outside.scan(), b.choices().jacket());
    Rubber detail = Rubber.of(b, b.product());
    Rubber build = b.build() == b.product() ? detail : Rubber.of(b, b.build());
    return new SkinPart(b, coated, density, off, cut, sections, detail, build);
  }

  /** How the skin comes off: by what it must stretch to be pulled up, unless it is said. */
  private static TakenOff off(Brief b) {
    TakenOff said = b.choices().skin().opening();
    if (said != null) {
      return said;
    }
    if (b.facts().skin() == null) {
      return TakenOff.CUT;
    }
    Double elongation = b.product() == null ? null : b.product().elongationPct();
    double share = b.facts().skin().study().stretch().share();
    return share <= Stretch.allowed(elongation) ? TakenOff.SOCK : TakenOff.CUT;
  }

  /** Times of a coat's rubber in the room; for those whose sheet says. */
  public SkinClock.Times times(Coat c) {
    return (coated.product(c) == brief.build() ? build : detail).times;
  }

  public double wallMm() {
    return coated.wallMm();
  }

  /** From the master outwards. */
  public List<Coat> coats() {
    return coated.list();
  }

  /** Recesses that close up solid and are not plugged; empty while not worked out. */
  public List<Bridge> bridges() {
    return coated.bridges();
  }

  /** Empty for a skin without. */
  public Optional<Cloth> cloth() {
    return coats().stream().filter(Coat::cloth).findFirst().map(this::cloth);
  }

  private Cloth cloth(Coat c) {
    CoatCurve curve = coated.curve();
    double exact = curve.areaMm2(c.toMm());
    // mean radius of curvature: the area of a ball grows by 2 A / R
    double grows = (curve.areaMm2(c.toMm() + 2) - exact) / 2;
    double radius = grows > 0 ? 2 * exact / grows : MOST_PIECE_MM;
    double area = exact * (1 + coated.errorShare());
    double side = Math.max(LEAST_PIECE_MM, Math.min(MOST_PIECE_MM, Math.round(radius * DRAPES)));
    double covers = (side - OVERLAP_MM) * (side - OVERLAP_MM);
    return new Cloth(area, radius, side, Math.ceil(area / covers));
  }

  /** The thickest coat that stays on an upright wall. */
  public double mostMm(Thickener t) {
    return t == Thickener.NONE ? Thickener.FILM_MM : t.mostMm(density, 90);
  }

  @Override
  public void show(FigureBook figures) {
    sag(figures);
    cloth(figures);
    windows(figures);
    stretch(figures);
    cut(figures);
  }

  /** The thickest coat of the build rubber that stays on an upright wall. */
  private void sag(FigureBook figures) {
    Thickener t = brief.choices().skin().thickener();
    thinnest(figures);
    if (t == Thickener.NONE) {
      return;
    }
    figures.length(
        "skin.most",
        "most that stays on an upright wall",
        mostMm(t),
        Working.of("thickest coat = yield stress ÷ (density × 9.81 × sin slope)")
            .given("yield stress, " + t.text(), Numbers.fixed(t.yieldPa(), 0) + " Pa", DEFAULT)
            .given("density", Numbers.fixed(density, 2) + " g/cm³", COMPUTED)
            .given("slope", "90°", COMPUTED)
            .done());
    if (brief.facts().skin() != null) {
      double steep = brief.facts().skin().study().steeper(60);
      figures.share(
          "skin.steep",
          "steeper than 60°",
          steep,
          0,
          Working.of("share of the surface by the slope of its facets, overhangs included")
              .given("steeper than 30°", share(30), COMPUTED)
              .given("steeper than 60°", share(60), COMPUTED)
              .given("overhanging", share(90), COMPUTED)
              .done());
    }
  }

  /** What is left of all coats where they run off: on upright walls and overhangs. */
  private void thinnest(FigureBook figures) {
    double left = 0;
    for (Coat c : coats()) {
      left += Math.min(c.mm(), mostMm(c.thickener()));
    }
    boolean steep =
        brief.facts().skin() == null || brief.facts().skin().study().steeper(60) >= STEEP;
    double thinnest = steep ? left : wallMm();
    figures.length(
        "skin.thinnest",
        thinnest < wallMm() ? "thinnest, on upright walls" : "thinnest",
        thinnest,
        Working.of("sum over the coats of what is brushed, or of what stays if that is less")
            .given("brushed", brief.mm(wallMm()), COMPUTED)
            .given(
                "stays of a coat that is " + brief.choices().skin().thickener().text(),
                brief.mm(mostMm(brief.choices().skin().thickener())),
                DEFAULT)
            .given("stays of one that is not", brief.mm(Thickener.FILM_MM), DEFAULT)
            .done());
  }

  private String share(double degrees) {
    return Share.format(brief.facts().skin().study().steeper(degrees));
  }

  private void cloth(FigureBook figures) {
    cloth()
        .ifPresent(
            c -> {
              Working w =
                  Working.of("pieces = surface ÷ (side − overlap)²; cloth = pieces × side²")
                      .given("surface there, with its ±", brief.area(c.areaMm2), COMPUTED)
                      .given("side, so that it drapes", brief.mm(c.sideMm), COMPUTED)
                      .given("overlap", brief.mm(OVERLAP_MM), DEFAULT)
                      .given("mean radius of the surface", brief.mm(c.radiusMm), COMPUTED)
                      .done();
              String text = Numbers.fixed(c.pieces, 0) + " of " + brief.mm(c.sideMm) + " square";
              figures.put("skin.pieces", "pieces of cloth", c.pieces, text, w);
              figures.put("skin.cloth", "cloth to cut", c.cutMm2(), brief.area(c.cutMm2()), w);
            });
  }

  private void windows(FigureBook figures) {
    if (detail != null) {
      window("skin.window", "a next coat sticks", detail, figures);
    }
    if (build != null && brief.build() != brief.product()) {
      window("skin.buildWindow", "a next coat sticks to a build coat", build, figures);
    }
  }

  private void window(String key, String label, Rubber rubber, FigureBook figures) {
    double gel = rubber.times.gelMin();
    double open = rubber.times.openMin();
    figures.put(
        key,
        label,
        open,
        "after " + Timespan.formatMin(gel) + ", until " + Timespan.formatMin(open),
        Working.of("from the gel time to the open limit, at the room's temperature")
            .given("gels after", Timespan.formatMin(gel), rubber.gelSaid ? SHEET : DEFAULT)
            .given("sticky until", Timespan.formatMin(open), rubber.openSaid ? SHEET : DEFAULT)
            .given("room", Numbers.trimmed(brief.workshop().roomC(), 0) + " °C", DEFAULT)
            .step(rubber.gelSaid ? "" : "Until the sheet says: 1.5 × pot life.")
            .step(rubber.openSaid ? "" : "Until the sheet says: a third of the way to set.")
            .done());
  }

  private void stretch(FigureBook figures) {
    if (brief.facts().skin() == null) {
      return;
    }
    Double elongation = brief.product() == null ? null : brief.product().elongationPct();
    Stretch stretch = brief.facts().skin().study().stretch();
    figures.share(
        "skin.stretch",
        "to be pulled off",
        stretch.share(),
        0,
        Working.of("cord round the widest part ÷ cord round the throat below it − 1")
            .given("widest at", brief.mm(stretch.wideMm()), COMPUTED)
            .given("throat at", brief.mm(stretch.throatMm()), COMPUTED)
            .given(
                "the rubber allows",
                Share.format(Stretch.allowed(elongation)),
                elongation == null ? DEFAULT : SHEET)
            .done());
  }

  /** From the base to the top on one side, the other left as a hinge. */
  private void cut(FigureBook figures) {
    if (cutDegrees == null) {
      return;
    }
    boolean chosen = brief.choices().cut().towardsDegrees() != null;
    figures.length(
        "skin.cut",
        "to cut",
        brief.facts().skin().outside().scan().seamMm(cutDegrees),
        Working.of("outside of the skin from the base to the top")
            .given("towards", Numbers.trimmed(cutDegrees, 0) + "°", chosen ? CHOSEN : COMPUTED)
            .given("through", brief.mm(wallMm()), COMPUTED)
            .step("Cut in a V, so that it finds its place again; leave the other side whole.")
            .done());
  }
}
