package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;
import static ungula.core.working.Given.Source.MEASURED;
import static ungula.core.working.Given.Source.SHEET;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import ungula.core.choice.First;
import ungula.core.choice.RatioMeant;
import ungula.core.quantity.Density;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Timespan;
import ungula.core.record.Recorded;
import ungula.core.rubber.Additive;
import ungula.core.rubber.Mix;
import ungula.core.rubber.Parts;
import ungula.core.rubber.Product;
import ungula.core.rubber.Ratio;
import ungula.core.rubber.RatioGuard;
import ungula.core.rubber.SecondPart;
import ungula.core.working.FigureBook;
import ungula.core.working.Given;
import ungula.core.working.Working;

/**
 * What to weigh of a picked rubber, how long it can be poured, what to buy and what it costs.
 *
 * @param mouldMm3 rubber in the mould
 * @param pours each planned by itself; of a skin its coats
 * @param stirred what each coat is of; empty for rubber poured round a master
 * @param verdict the job's own ratio held against the sheet's; null while it is the sheet's
 * @param used base and hardener of each rubber, for all moulds of the job; empty while the sheet or
 *     the ratio does not allow weighing
 */
public record MixPart(
    Brief brief,
    double mouldMm3,
    List<PourMix> pours,
    List<Stirred> stirred,
    RatioGuard.Verdict verdict,
    Map<Product, Parts> used)
    implements Part {

  private static final List<String> ADDITIVES = List.of(".additive", ".also");

  /** A coat's rubber, and what is stirred into it. */
  public record Stirred(Product product, Additive additive) {}

  public MixPart {
    pours = List.copyOf(pours);
    stirred = List.copyOf(stirred);
    used = Collections.unmodifiableMap(used);
  }

  /**
   * Of rubber poured round a master.
   *
   * @param inBoxMm3 rubber in the box
   */
  static MixPart of(Brief b, double inBoxMm3, List<PourMix.Wanted> wanted) {
    Weighing w = Weighing.of(b, wanted.get(0).mixMm3());
    List<PourMix> pours = wanted.stream().map(pour -> PourMix.of(b, pour, w.weighed())).toList();
    Parts all = pours.stream().map(PourMix::parts).reduce(Parts.NONE, Parts::plus);
    Map<Product, Parts> used = w.weighed() ? Map.of(b.product(), all.times(moulds(b))) : Map.of();
    return new MixPart(b, inBoxMm3, pours, List.of(), w.verdict, used);
  }

  /** Of a skin: each coat is a batch. */
  static MixPart of(CoatsPart coated) {
    Brief b = coated.brief();
    List<Double> each = coated.eachMm3();
    List<Stirred> coats = coated.stirred();
    Weighing w = Weighing.of(b, each.get(0));
    List<PourMix> pours = new ArrayList<>();
    Map<Product, Parts> used = new LinkedHashMap<>();
    for (int i = 0; i < each.size(); i++) {
      Mix mix = w.weighed() ? coat(b, each.get(i), coats.get(i)) : null;
      pours.add(PourMix.coat(each.get(i), mix));
      if (w.weighed()) {
        Parts its = pours.get(i).parts().times(moulds(b));
        used.merge(coats.get(i).product, its, Parts::plus);
      }
    }
    return new MixPart(b, coated.onMasterMm3(), pours, coats, w.verdict, used);
  }

  /** Whether a job's rubber can be weighed, and at what ratio. */
  private record Weighing(Ratio ratio, Double density, RatioGuard.Verdict verdict, boolean some) {

    static Weighing of(Brief b, double firstMm3) {
      Ratio own = b.choices().rubber().ratio();
      Ratio ratio = b.ratio();
      if (ratio == null || firstMm3 <= 0) {
        return new Weighing(ratio, null, null, false);
      }
      Double density = b.density(b.product());
      boolean guarded = density != null && own != null && b.product().ratio() != null;
      RatioGuard.Verdict verdict = guarded ? RatioGuard.check(ratio, b.product()) : null;
      boolean meant = b.choices().rubber().ratioMeant() == RatioMeant.YES;
      return new Weighing(ratio, density, verdict, verdict == null || !verdict.stop() || meant);
    }

    boolean weighed() {
      return density != null && some;
    }
  }

  static int moulds(Brief b) {
    Integer asked = b.choices().rubber().moulds();
    return asked == null ? 1 : asked;
  }

  /** Null when the sheet of its rubber does not allow weighing. */
  private static Mix coat(Brief b, double mm3, Stirred coat) {
    return b.density(coat.product) == null
        ? null
        : Mix.ofVolume(
            Math.max(1, mm3),
            coat.product,
            b.ratio(coat.product),
            coat.additive.used() ? List.of(coat.additive) : List.of());
  }

  /** One batch of the first pour; null while nothing can be weighed. */
  public Mix first() {
    return pours.get(0).first();
  }

  /** How many are mixed in all, a sealing pour among them. */
  public int batches() {
    return pours.stream().mapToInt(pour -> pour.batches() + 1 - pour.firstNumber()).sum();
  }

  /** Of each coat of a skin, null where its rubber cannot be weighed; empty while none can. */
  public List<Mix> coats() {
    return stirred.isEmpty() || first() == null
        ? List.of()
        : Collections.unmodifiableList(
            pours.stream().map(PourMix::first).collect(Collectors.toList()));
  }

  /** The heaviest batch of any pour; 0 while nothing can be weighed. */
  public double heaviestG() {
    return pours.stream()
        .map(PourMix::first)
        .filter(Objects::nonNull)
        .mapToDouble(Mix::totalG)
        .max()
        .orElse(0);
  }

  /** Of all rubber in the mould; null while nothing can be weighed. */
  public Double mouldG() {
    if (first() == null) {
      return null;
    }
    double g = 0;
    double density = densityOf(brief.product());
    double mixed = pours.stream().mapToDouble(PourMix::mm3).sum();
    for (int i = 0; i < pours.size(); i++) {
      Product of = stirred.isEmpty() ? brief.product() : stirred.get(i).product;
      double its = of == brief.product() ? density : densityOf(of);
      g += mouldMm3 * pours.get(i).mm3() / mixed / 1000 * its;
    }
    return g;
  }

  /** As its sheet says; another rubber than the job's that does not say is taken to be as that. */
  private double densityOf(Product of) {
    Double its = brief.density(of);
    return its != null ? its : densityOf(brief.product());
  }

  /** Pot life in the room; null while the sheet does not say. */
  public Double potMin() {
    return brief.inRoomMin(brief.product(), brief.product().potLifeMin());
  }

  /** Until a pour may be opened, in the room; null while the sheet does not say. */
  public Double demouldMin() {
    return brief.inRoomMin(brief.product(), brief.product().demouldMin());
  }

  /** The second part, once the first was weighed. */
  public Optional<SecondPart> second() {
    Recorded.Rubber r = brief.recorded().rubber();
    return first() == null || r.firstG() == null
        ? Optional.empty()
        : Optional.of(
            SecondPart.of(
                brief.choices().rubber().first() == First.BASE,
                r.firstG(),
                r.secondG(),
                brief.product().hardenerPerBase(brief.ratio()),
                Mix.TOLERANCE,
                brief.product().role(),
                brief.units()));
  }

  @Override
  public void show(FigureBook figures) {
    if (first() == null) {
      return;
    }
    inMould(figures);
    firstBatch(figures);
    inTheRoom(
        "rubber.potLife",
        "pot life in your room",
        "pot life",
        brief.product().potLifeMin(),
        figures);
    inTheRoom(
        "rubber.demould",
        "demould time in your room",
        "demould time",
        brief.product().demouldMin(),
        figures);
    for (int i = 0; i < pours.size() && stirred.isEmpty(); i++) {
      further(i, figures);
    }
    second(figures);
  }

  private void inMould(FigureBook figures) {
    boolean coats = !stirred.isEmpty();
    Working.Builder weight =
        Working.of("mass = volume × mixed density")
            .given("volume", brief.ml(mouldMm3), COMPUTED)
            .given("mixed density", Density.format(densityOf(brief.product())), density());
    for (int i = 1; i < stirred.size(); i++) {
      Product of = stirred.get(i).product;
      if (of != brief.product() && stirred.get(i - 1).product == brief.product()) {
        weight.given("of " + of.name(), Density.format(densityOf(of)), SHEET);
      }
    }
    figures.mass(
        "rubber.boxMass",
        coats ? "mass of the skin's rubber" : "mass of the rubber in the box",
        mouldG(),
        weight.done());
  }

  private void firstBatch(FigureBook figures) {
    String pour = !stirred.isEmpty() ? ", first coat" : pours.size() == 1 ? "" : ", first pour";
    PourMix one = pours.get(0);
    Mix first = one.first();
    String each = pour + batch(one);
    figures.mass(
        "mix.total",
        "to mix" + each,
        first.totalG(),
        Working.of("mass = volume of the batch × density of the mix")
            .given("volume of the batch", brief.ml(first.volumeMm3()), COMPUTED)
            .given("density of the mix", Density.format(first.density()), density())
            .done());
    Working parts = split();
    figures.mass("mix.base", "base" + each, first.baseG(), parts);
    figures.mass("mix.hardener", "hardener" + each, first.hardenerG(), parts);
    additives("mix", each, first, parts, figures);
    Product p = brief.product();
    byVolume(
        "mix.baseVolume",
        "base by volume",
        first.baseMm3(),
        first.baseG(),
        p.densityBase(),
        figures);
    byVolume(
        "mix.hardenerVolume",
        "hardener by volume",
        first.hardenerMm3(),
        first.hardenerG(),
        p.densityHardener(),
        figures);
    figures.volume(
        "mix.volume",
        "in the cup" + each,
        first.volumeMm3(),
        one.rest() != null
            ? afterSealing(
                Working.of("what covers the master, so that no line shows, with its share of loss")
                    .given("volume to mix in all", brief.ml(one.mm3()), COMPUTED),
                one)
            : afterSealing(
                Working.of(
                        one.sealing() == null
                            ? "volume to mix ÷ batches"
                            : "(volume to mix − sealing pour) ÷ batches")
                    .given("volume to mix", brief.ml(one.mm3()), COMPUTED)
                    .given("batches", String.valueOf(one.batches()), CHOSEN),
                one));
  }

  private Working afterSealing(Working.Builder w, PourMix pour) {
    if (pour.sealing() != null) {
      w.given("sealing pour", brief.ml(pour.sealing().volumeMm3()), COMPUTED);
    }
    return w.done();
  }

  /** Which of a pour's batches its first stands for. */
  private static String batch(PourMix pour) {
    String after = pour.sealing() == null ? "" : ", after the sealing pour";
    return after
        + (pour.rest() != null
            ? ", first batch"
            : pour.batches() == 1 ? "" : ", each of " + pour.batches() + " batches");
  }

  private Working split() {
    Mix first = first();
    Working.Builder split =
        Working.of(
                "base = total ÷ (1 + hardener per base"
                    + (first.additiveG() > 0 ? " + additive".repeat(first.additivesG().size()) : "")
                    + "); hardener = base × hardener per base")
            .given("total", Mass.exact(first.totalG(), brief.units()), COMPUTED)
            .given("ratio", brief.ratio().text(), ratioSource())
            .step(Ratio.sentence(brief.product().hardenerPerBase(brief.ratio())));
    for (int i = 0; i < first.additivesG().size() && stirred.isEmpty(); i++) {
      Additive additive = additives().get(i);
      split.step(
          Numbers.trimmed(additive.dosePct(), 2)
              + " % of "
              + additive.of().text()
              + " is "
              + Mass.exact(first.additivesG().get(i), brief.units())
              + " of "
              + additive.called());
    }
    return split.rounded("rounded as shown; right within 2 %").done();
  }

  private Given.Source ratioSource() {
    return brief.choices().rubber().ratio() == null ? SHEET : CHOSEN;
  }

  /** What to weigh besides the first batch of the first pour. */
  private void further(int pour, FigureBook figures) {
    PourMix its = pours.get(pour);
    String of = pour == 0 ? "" : ", second pour";
    if (its.sealing() != null) {
      each("sealing", ", sealing pour", its.sealing(), its, figures);
    }
    if (pour > 0) {
      each("later", of + batch(its), its.first(), its, figures);
    }
    if (its.rest() != null) {
      String more =
          its.batches() == 2 ? ", second batch" : ", each of " + (its.batches() - 1) + " more";
      each(pour == 0 ? "rest" : "laterRest", of + more, its.rest(), its, figures);
    }
  }

  /** What to weigh for a batch; {@code of} follows the name of a part. */
  private void each(String keys, String of, Mix each, PourMix pour, FigureBook figures) {
    Working working =
        Working.of("the volume of the batch, split as the first")
            .given("volume of the batch", brief.ml(each.volumeMm3()), COMPUTED)
            .given("volume to mix for the pour", brief.ml(pour.mm3()), COMPUTED)
            .given("batches", String.valueOf(pour.batches()), CHOSEN)
            .rounded("rounded as shown; right within 2 %")
            .done();
    figures.mass(keys + ".base", "base" + of, each.baseG(), working);
    figures.mass(keys + ".hardener", "hardener" + of, each.hardenerG(), working);
    additives(keys, of, each, working, figures);
  }

  /** What is stirred into rubber that is poured. */
  private void additives(String keys, String of, Mix mix, Working working, FigureBook figures) {
    List<String> all = additiveKeys(keys, mix);
    for (int i = 0; i < all.size() && stirred.isEmpty(); i++) {
      String label = additives().get(i).called() + of;
      figures.mass(all.get(i), label, mix.additivesG().get(i), working);
    }
  }

  private List<Additive> additives() {
    return brief.choices().rubber().stirredIn();
  }

  /** Keys of what is stirred in, one for each. */
  static List<String> additiveKeys(String keys, Mix mix) {
    return ADDITIVES.subList(0, mix.additivesG().size()).stream().map(a -> keys + a).toList();
  }

  private Given.Source density() {
    return brief.product().densityMixed() != null ? SHEET : COMPUTED;
  }

  private void byVolume(
      String key, String label, Double mm3, double g, Double density, FigureBook figures) {
    if (mm3 != null) {
      figures.volume(
          key,
          label,
          mm3,
          Working.of("volume = mass ÷ density")
              .given("mass", Mass.format(g, brief.units()), COMPUTED)
              .given("density", Density.format(density), SHEET)
              .done());
    }
  }

  private void inTheRoom(
      String key, String label, String name, Double sheetMin, FigureBook figures) {
    Product p = brief.product();
    Double minutes = brief.inRoomMin(p, sheetMin);
    if (minutes == null) {
      return;
    }
    figures.put(
        key,
        label,
        minutes,
        Timespan.formatMin(minutes),
        Working.of(name + " = sheet × rate factor ^ ((sheet temperature − room) ÷ 10)")
            .given(
                "sheet",
                Timespan.formatMin(sheetMin) + " at " + Numbers.trimmed(p.atC(), 0) + " °C",
                SHEET)
            .given("room", Numbers.trimmed(brief.workshop().roomC(), 0) + " °C", DEFAULT)
            .given(
                "rate factor per 10 °C",
                Numbers.trimmed(p.factorPerTen(), 2),
                p.rateFactor() == null ? DEFAULT : SHEET)
            .done());
  }

  private void second(FigureBook figures) {
    second()
        .ifPresent(
            second -> {
              boolean base = brief.choices().rubber().first() == First.BASE;
              double firstG = brief.recorded().rubber().firstG();
              figures.mass(
                  "mix.second",
                  base ? "hardener, now" : "base, now",
                  second.targetG(),
                  Working.of("second part = first part as really poured × ratio")
                      .given(
                          base ? "base really poured" : "hardener really poured",
                          Mass.exact(firstG, brief.units()),
                          MEASURED)
                      .given("ratio", brief.ratio().text(), ratioSource())
                      .step(Ratio.sentence(brief.product().hardenerPerBase(brief.ratio())))
                      .rounded("right within 2 %")
                      .done());
            });
  }
}
