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
import ungula.core.choice.First;
import ungula.core.choice.RatioMeant;
import ungula.core.quantity.Density;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Timespan;
import ungula.core.record.Recorded;
import ungula.core.rubber.Additive;
import ungula.core.rubber.Mix;
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
 * @param pours to mix for each of them over all its batches; of a skin for each of its coats
 * @param stirred what each coat is of; empty for rubber poured round a master
 * @param batches each pour is split into
 * @param verdict the job's own ratio held against the sheet's; null while it is the sheet's
 * @param first one batch of the first pour; null while the sheet or the ratio does not allow
 *     weighing
 * @param rest each batch after the first, where that is larger than they are; else null
 * @param later each batch of every further pour; of a skin further coats, null where their rubber
 *     cannot be weighed
 * @param used base and hardener of each rubber, for all moulds of the job
 */
public record MixPart(
    Brief brief,
    double mouldMm3,
    List<Double> pours,
    List<Stirred> stirred,
    int batches,
    RatioGuard.Verdict verdict,
    Mix first,
    Mix rest,
    List<Mix> later,
    Map<Product, Double> used)
    implements Part {

  /** A coat's rubber, and what is stirred into it. */
  public record Stirred(Product product, Additive additive) {}

  public MixPart {
    pours = List.copyOf(pours);
    stirred = List.copyOf(stirred);
    later = Collections.unmodifiableList(later);
    used = Collections.unmodifiableMap(used);
  }

  /**
   * Of rubber poured round a master.
   *
   * @param inBoxMm3 rubber in the box
   * @param pours to mix for each of them, over all its batches
   * @param batches each is split into
   * @param firstMm3 of the first batch, when it is larger than the rest of its pour; else null
   */
  static MixPart of(Brief b, double inBoxMm3, List<Double> pours, int batches, Double firstMm3) {
    Weighing w = Weighing.of(b, pours.get(0));
    if (!w.weighed()) {
      return unweighed(b, inBoxMm3, pours, List.of(), batches, w.verdict);
    }
    Additive additive = b.choices().rubber().additive();
    Mix first =
        Mix.ofVolume(
            firstMm3 == null ? pours.get(0) / batches : firstMm3, b.product(), w.ratio, additive);
    double g = (first.baseG() + first.hardenerG()) * (firstMm3 == null ? batches : 1);
    Mix rest = null;
    if (firstMm3 != null) {
      rest = each(b, pours.get(0) - firstMm3, batches - 1, w.ratio);
      g += (rest.baseG() + rest.hardenerG()) * (batches - 1);
    }
    List<Mix> later = new ArrayList<>();
    for (double pour : pours.subList(1, pours.size())) {
      Mix next = each(b, pour, batches, w.ratio);
      later.add(next);
      g += (next.baseG() + next.hardenerG()) * batches;
    }
    Map<Product, Double> used = Map.of(b.product(), moulds(b) * g);
    return new MixPart(b, inBoxMm3, pours, List.of(), batches, w.verdict, first, rest, later, used);
  }

  /** Of a skin: each coat is a batch. */
  static MixPart of(CoatsPart coated) {
    Brief b = coated.brief();
    double skinMm3 = coated.onMasterMm3();
    List<Double> each = coated.eachMm3();
    List<Stirred> coats = coated.stirred();
    Weighing w = Weighing.of(b, each.get(0));
    if (!w.weighed()) {
      return unweighed(b, skinMm3, each, coats, 1, w.verdict);
    }
    Mix first = Mix.ofVolume(each.get(0), b.product(), w.ratio, coats.get(0).additive);
    Map<Product, Double> used = new LinkedHashMap<>();
    used.put(b.product(), first.baseG() + first.hardenerG());
    List<Mix> later = new ArrayList<>();
    for (int i = 1; i < each.size(); i++) {
      Mix next = coat(b, each.get(i), coats.get(i));
      later.add(next);
      double g = next == null ? 0 : next.baseG() + next.hardenerG();
      used.merge(coats.get(i).product, g, Double::sum);
    }
    used.replaceAll((of, g) -> moulds(b) * g);
    return new MixPart(b, skinMm3, each, coats, 1, w.verdict, first, null, later, used);
  }

  /** Whether a job's rubber can be weighed, and at what ratio. */
  private record Weighing(Ratio ratio, Double density, RatioGuard.Verdict verdict, boolean some) {

    static Weighing of(Brief b, double firstMm3) {
      Ratio own = b.choices().rubber().ratio();
      Ratio ratio = own != null ? own : b.product().ratio();
      if (ratio == null || firstMm3 <= 0) {
        return new Weighing(ratio, null, null, false);
      }
      Double density = b.product().mixedDensity(b.product().hardenerPerBase(ratio));
      boolean guarded = density != null && own != null && b.product().ratio() != null;
      RatioGuard.Verdict verdict = guarded ? RatioGuard.check(ratio, b.product()) : null;
      boolean meant = b.choices().rubber().ratioMeant() == RatioMeant.YES;
      return new Weighing(ratio, density, verdict, verdict == null || !verdict.stop() || meant);
    }

    boolean weighed() {
      return density != null && some;
    }
  }

  private static MixPart unweighed(
      Brief b,
      double mm3,
      List<Double> pours,
      List<Stirred> stirred,
      int batches,
      RatioGuard.Verdict verdict) {
    return new MixPart(b, mm3, pours, stirred, batches, verdict, null, null, List.of(), Map.of());
  }

  static int moulds(Brief b) {
    Integer asked = b.choices().rubber().moulds();
    return asked == null ? 1 : asked;
  }

  private static Mix each(Brief b, double mm3, int count, Ratio ratio) {
    return Mix.ofVolume(
        Math.max(1, mm3) / count, b.product(), ratio, b.choices().rubber().additive());
  }

  /** Null when the sheet of its rubber does not allow weighing. */
  private static Mix coat(Brief b, double mm3, Stirred coat) {
    Ratio ratio = ratio(b, coat.product);
    boolean weighed =
        ratio != null && coat.product.mixedDensity(coat.product.hardenerPerBase(ratio)) != null;
    return weighed ? Mix.ofVolume(Math.max(1, mm3), coat.product, ratio, coat.additive) : null;
  }

  /** What a rubber of the job is mixed at: the job's own ratio, else the sheet's. */
  private static Ratio ratio(Brief b, Product of) {
    Ratio own = b.choices().rubber().ratio();
    return of == b.product() && own != null ? own : of.ratio();
  }

  Ratio ratio(Product of) {
    return ratio(brief, of);
  }

  private Ratio ratio() {
    return ratio(brief, brief.product());
  }

  /** Of each coat of a skin, null where its rubber cannot be weighed; empty while none can. */
  public List<Mix> coats() {
    if (stirred.isEmpty() || first == null) {
      return List.of();
    }
    List<Mix> coats = new ArrayList<>();
    coats.add(first);
    coats.addAll(later);
    return Collections.unmodifiableList(coats);
  }

  /** The heaviest batch of any pour; 0 while nothing can be weighed. */
  public double heaviestG() {
    double heaviest = first == null ? 0 : first.totalG();
    if (rest != null) {
      heaviest = Math.max(heaviest, rest.totalG());
    }
    return later.stream()
        .filter(Objects::nonNull)
        .mapToDouble(Mix::totalG)
        .reduce(heaviest, Math::max);
  }

  /** Of the first batch poured, what it holds of the pour. */
  public double firstShare() {
    return rest == null ? 1.0 / batches : first.volumeMm3() / pours.get(0);
  }

  /** Of all rubber in the mould; null while nothing can be weighed. */
  public Double mouldG() {
    if (first == null) {
      return null;
    }
    double g = 0;
    double density = densityOf(brief.product());
    double mixed = pours.stream().mapToDouble(Double::doubleValue).sum();
    for (int i = 0; i < pours.size(); i++) {
      Product of = stirred.isEmpty() ? brief.product() : stirred.get(i).product;
      double its = of == brief.product() ? density : densityOf(of);
      g += mouldMm3 * pours.get(i) / mixed / 1000 * its;
    }
    return g;
  }

  /** As its sheet says; another rubber than the job's that does not say is taken to be as that. */
  private double densityOf(Product of) {
    Ratio ratio = of == brief.product() ? ratio() : of.ratio();
    Double its = ratio == null ? null : of.mixedDensity(of.hardenerPerBase(ratio));
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
    return first == null || r.firstG() == null
        ? Optional.empty()
        : Optional.of(
            SecondPart.of(
                brief.choices().rubber().first() == First.BASE,
                r.firstG(),
                r.secondG(),
                brief.product().hardenerPerBase(ratio()),
                Mix.TOLERANCE,
                brief.product().role(),
                brief.units()));
  }

  @Override
  public void show(FigureBook figures) {
    if (first == null) {
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
        "mould opens after",
        "demould time",
        brief.product().demouldMin(),
        figures);
    String batch = batches == 1 ? "" : ", each of " + batches + " batches";
    if (rest != null) {
      String further = batches == 2 ? ", second batch" : ", each of " + (batches - 1) + " more";
      further("rest", further, rest, pours.get(0) - first.volumeMm3(), batches - 1, figures);
    }
    if (stirred.isEmpty()) {
      for (int i = 1; i < pours.size(); i++) {
        further("later", ", second pour" + batch, later.get(i - 1), pours.get(i), batches, figures);
      }
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
        coats ? "rubber in the skin" : "rubber in the box",
        mouldG(),
        weight.done());
  }

  private void firstBatch(FigureBook figures) {
    String pour = !stirred.isEmpty() ? ", first coat" : pours.size() == 1 ? "" : ", first pour";
    String each =
        pour
            + (rest != null
                ? ", first batch"
                : batches == 1 ? "" : ", each of " + batches + " batches");
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
    if (first.additiveG() > 0) {
      figures.mass("mix.additive", additiveName() + each, first.additiveG(), parts);
    }
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
        rest != null
            ? Working.of("what covers the master, so that no line shows, with its share of loss")
                .given("volume to mix in all", brief.ml(pours.get(0)), COMPUTED)
                .done()
            : Working.of("volume to mix ÷ batches")
                .given("volume to mix", brief.ml(pours.get(0)), COMPUTED)
                .given("batches", String.valueOf(batches), CHOSEN)
                .done());
  }

  private Working split() {
    Working.Builder split =
        Working.of(
                "base = total ÷ (1 + hardener per base"
                    + (first.additiveG() > 0 ? " + additive" : "")
                    + "); hardener = base × hardener per base")
            .given("total", Mass.exact(first.totalG(), brief.units()), COMPUTED)
            .given("ratio", ratio().text(), ratioSource())
            .step(Ratio.sentence(brief.product().hardenerPerBase(ratio())));
    if (first.additiveG() > 0) {
      Additive additive = brief.choices().rubber().additive();
      split.step(
          Numbers.trimmed(additive.dosePct(), 2)
              + " % of "
              + additive.of().text()
              + " is "
              + Mass.exact(first.additiveG(), brief.units())
              + " of "
              + additiveName());
    }
    return split.rounded("rounded as shown; right within 2 %").done();
  }

  private Given.Source ratioSource() {
    return brief.choices().rubber().ratio() == null ? SHEET : CHOSEN;
  }

  /** What to weigh for equal batches besides the first; {@code of} follows the name of a part. */
  private void further(
      String keys, String of, Mix each, double mm3, int count, FigureBook figures) {
    Working working =
        Working.of("the volume to mix ÷ batches, split as the first")
            .given("volume to mix", brief.ml(mm3), COMPUTED)
            .given("batches", String.valueOf(count), CHOSEN)
            .rounded("rounded as shown; right within 2 %")
            .done();
    figures.mass(keys + ".base", "base" + of, each.baseG(), working);
    figures.mass(keys + ".hardener", "hardener" + of, each.hardenerG(), working);
    if (each.additiveG() > 0) {
      figures.mass(keys + ".additive", additiveName() + of, each.additiveG(), working);
    }
  }

  private Given.Source density() {
    return brief.product().densityMixed() != null ? SHEET : COMPUTED;
  }

  private String additiveName() {
    Additive additive = brief.choices().rubber().additive();
    String name = additive.name();
    return name == null || name.isBlank() ? additive.kind().text() : name;
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
                      .given("ratio", ratio().text(), ratioSource())
                      .step(Ratio.sentence(brief.product().hardenerPerBase(ratio())))
                      .rounded("right within 2 %")
                      .done());
            });
  }
}
