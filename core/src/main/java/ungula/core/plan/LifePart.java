package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;
import static ungula.core.working.Given.Source.SHEET;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ungula.core.contact.MouldLife;
import ungula.core.contact.Releases;
import ungula.core.geometry.Vec3;
import ungula.core.hollow.HollowCore;
import ungula.core.mould.MouldKind;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Share;
import ungula.core.quantity.Timespan;
import ungula.core.release.Stretch;
import ungula.core.rubber.Product;
import ungula.core.rubber.Product.Chemistry;
import ungula.core.rubber.Shrinkage;
import ungula.core.working.FigureBook;
import ungula.core.working.Given;
import ungula.core.working.Working;

/**
 * What comes of a mould: the size of its casts, and how many it gives.
 *
 * @param stretchPct what the rubber is stretched by as a cast comes out; 0 where nothing is known
 * @param castsOfAPour each master on the plate gives one
 * @param factors its life is multiplied by
 * @param shrinkage of rubber and cast; null while a sheet does not say
 */
public record LifePart(
    Brief brief,
    CastPart cast,
    double stretchPct,
    int castsOfAPour,
    List<Factor> factors,
    Shrinkage shrinkage)
    implements Part {

  static LifePart of(Brief b, CastPart cast, Optional<ShapePart> shape, Optional<PlatePart> plate) {
    double stretch = stretchPct(b, shape);
    Product rubber = b.product();
    boolean shrinks =
        rubber != null
            && b.cast() != null
            && b.cast().shrinkagePct() != null
            && rubber.shrinkagePct() != null;
    return new LifePart(
        b,
        cast,
        stretch,
        plate.map(p -> p.on().masters()).orElse(1),
        factors(b, stretch),
        shrinks ? new Shrinkage(rubber.shrinkagePct(), b.cast().shrinkagePct()) : null);
  }

  private static double stretchPct(Brief b, Optional<ShapePart> shape) {
    double share = shape.flatMap(ShapePart::stretch).map(Stretch::share).orElse(0.0);
    if (!b.poured() && b.facts().skin() != null) {
      share = Math.max(share, b.facts().skin().study().stretch().share());
    }
    if (b.facts().core() != null && b.facts().core().core() != null) {
      HollowCore core = b.facts().core().core();
      share = core.open() ? Math.max(share, core.stretch().share()) : share;
    }
    return 100 * share;
  }

  /**
   * What a mould's life is multiplied by.
   *
   * @param name what it is for
   */
  record Factor(String name, double value, Given.Source source) {}

  private static List<Factor> factors(Brief b, double stretchPct) {
    List<Factor> factors = new ArrayList<>();
    if (stretchPct > 0) {
      Double elongation = b.product() == null ? null : b.product().elongationPct();
      double stands = Stretch.elongationPct(elongation);
      String name =
          "stretch, "
              + Numbers.fixed(stretchPct, 0)
              + " % of the "
              + Share.typed(stands)
              + " it stands";
      factors.add(new Factor(name, MouldLife.stretchFactor(stretchPct, stands), COMPUTED));
    }
    if (b.choices().mould().kind() == MouldKind.CUT) {
      factors.add(new Factor("wear of the cut edge", MouldLife.CUT_EDGE, DEFAULT));
    }
    if (b.product() != null && b.product().heatLimitC() != null) {
      double limit = b.product().heatLimitC();
      String name =
          "heat, " + Numbers.fixed(b.castC(), 0) + " °C against " + Numbers.fixed(limit, 0) + " °C";
      Given.Source source = b.cast() == null ? DEFAULT : SHEET;
      factors.add(new Factor(name, MouldLife.heatFactor(b.castC(), limit), source));
    }
    if (b.workshop().releases() == Releases.EVERYTHING) {
      double factor = MouldLife.releaseFactor(b.castingMaterial());
      factors.add(new Factor("released before every cast", factor, DEFAULT));
    }
    return List.copyOf(factors);
  }

  /** Of addition-cure silicone while no rubber is picked. */
  private static Chemistry chemistry(Brief b) {
    return b.product() == null ? Chemistry.ADDITION : b.product().chemistry();
  }

  /** Casts from each place, before anything wears on it. */
  private int base() {
    return brief.workshop().lives().get(brief.castingMaterial()).of(chemistry(brief));
  }

  /** Pours the mould stands, about. */
  public double pours() {
    double life = base();
    for (Factor f : factors) {
      life *= f.value;
    }
    return Math.floor(life);
  }

  /** That the mould gives, about; 0 where it gives none. */
  public double casts() {
    return pours() * castsOfAPour;
  }

  @Override
  public void show(FigureBook figures) {
    size(figures);
    life(figures);
    potLife(figures);
  }

  /** How long what is cast can be poured: larger masses of resin warm themselves. */
  private void potLife(FigureBook figures) {
    if (brief.cast() == null || brief.cast().potLifeMin() == null || !cast.known()) {
      return;
    }
    double min = cast.resin().potLifeMin();
    Working.Builder w =
        Working.of("pot life = sheet, in your room, × mass factor for every tenfold of 100 g")
            .given("sheet", Timespan.formatMin(brief.cast().potLifeMin()), SHEET)
            .given("room", Numbers.trimmed(brief.workshop().roomC(), 0) + " °C", DEFAULT)
            .given("a cast", figures.get("cast.mass").text(), COMPUTED);
    if (brief.cast().warmsItself()) {
      boolean said = brief.cast().massFactor() != null;
      double factor = said ? brief.cast().massFactor() : Product.USUAL_MASS_FACTOR;
      w.given("mass factor", Numbers.trimmed(factor, 2), said ? SHEET : DEFAULT)
          .step("How a larger mass warms itself is a rule of thumb; a thin cast stays cooler.");
    }
    figures.put("cast.potLife", "pot life of what is cast", min, Timespan.formatMin(min), w.done());
  }

  private void size(FigureBook figures) {
    if (shrinkage == null) {
      return;
    }
    Vec3 master = brief.facts().oneMm();
    double longest = master.longest();
    Working w =
        Working.of("cast = master × (1 − shrinkage of the rubber) × (1 − shrinkage of the cast)")
            .given("master", size(master, 1), COMPUTED)
            .given(brief.product().name(), Share.typed(brief.product().shrinkagePct()), SHEET)
            .given(brief.cast().name(), Share.typed(brief.cast().shrinkagePct()), SHEET)
            .step("Nothing holds it to its size as it cures: a filled or thin cast shrinks less.")
            .done();
    figures.put(
        "size.cast", "size of a cast", shrinkage.factor(), size(master, shrinkage.factor()), w);
    figures.put(
        "size.lost",
        shrinkage.lostMm(longest) < 0 ? "more on the longest side" : "less on the longest side",
        shrinkage.lostMm(longest),
        Numbers.fixed(Math.abs(shrinkage.lostMm(longest)), 2) + " mm",
        w);
    figures.put(
        "size.scaleUp",
        "scale the master by",
        shrinkage.scaleUp(),
        Numbers.fixed(shrinkage.scaleUp(), 5),
        Working.of("1 ÷ ((1 − shrinkage of the rubber) × (1 − shrinkage of the cast))")
            .given(brief.product().name(), Share.typed(brief.product().shrinkagePct()), SHEET)
            .given(brief.cast().name(), Share.typed(brief.cast().shrinkagePct()), SHEET)
            .step(
                "The same along each axis: the master would be "
                    + size(master, shrinkage.scaleUp()))
            .done());
  }

  private String size(Vec3 mm, double by) {
    return Length.format3(by * mm.x(), by * mm.y(), by * mm.z(), brief.units());
  }

  private void life(FigureBook figures) {
    Working.Builder w =
        Working.of("casts by rubber and casting material × stretch × cut × heat × release")
            .given(
                brief.castingMaterial().text() + " in " + chemistry(brief).text(),
                base() + " casts",
                DEFAULT);
    for (Factor f : factors) {
      w.given(f.name, "× " + Numbers.fixed(f.value, 2), f.source);
    }
    if (castsOfAPour > 1) {
      w.given("casts of a pour", String.valueOf(castsOfAPour), COMPUTED);
    }
    double casts = casts();
    figures.put(
        "life.casts",
        "the mould gives about",
        casts,
        casts < 1 ? "no cast" : Numbers.fixed(casts, 0) + (casts == 1 ? " cast" : " casts"),
        w.step("A rule of thumb: the table stands on the Workshop page, to be made your own.")
            .plusMinus("half to double")
            .done());
    Integer wanted = brief.choices().cast().wanted();
    if (wanted != null && casts >= 1 && wanted > casts) {
      double moulds = Math.ceil(wanted / casts);
      figures.put(
          "life.moulds",
          "moulds for them",
          moulds,
          Numbers.fixed(moulds, 0) + " moulds",
          Working.of("casts wanted ÷ casts a mould gives")
              .given("wanted", String.valueOf(wanted), CHOSEN)
              .given("a mould gives", figures.get("life.casts").text(), COMPUTED)
              .done());
    }
  }
}
