package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;
import static ungula.core.working.Given.Source.MEASURED;
import static ungula.core.working.Given.Source.SHEET;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ungula.core.choice.Choices;
import ungula.core.quantity.Density;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Timespan;
import ungula.core.quantity.Units;
import ungula.core.quantity.Volume;
import ungula.core.rubber.Additive;
import ungula.core.rubber.Mix;
import ungula.core.rubber.Pack;
import ungula.core.rubber.Product;
import ungula.core.rubber.Purchase;
import ungula.core.rubber.Ratio;
import ungula.core.rubber.RatioGuard;
import ungula.core.rubber.SecondPart;
import ungula.core.working.FigureBook;
import ungula.core.working.Given;
import ungula.core.working.Working;
import ungula.core.workshop.Workshop;

/** What to weigh of a picked rubber, how long it can be poured, and what it costs. */
final class Amounts {

  /** Larger packs are worth a word when they cost no more than so much of the cheapest. */
  private static final double DEARER = 0.1;

  private final Choices choices;
  private final Product product;
  private final Workshop workshop;
  private final FigureBook figures;
  private final Units units;

  private final List<Mix> coatMixes = new ArrayList<>();
  private final Map<Product, Double> used = new LinkedHashMap<>();
  private int batches = 1;
  private Double largerMm3;
  private Mix mix;
  private double heaviestG;
  private RatioGuard.Verdict verdict;

  Amounts(Choices choices, Product product, Workshop workshop, FigureBook figures) {
    this.choices = choices;
    this.product = product;
    this.workshop = workshop;
    this.figures = figures;
    this.units = choices.units();
  }

  /** One batch; null while the sheet or the ratio does not allow weighing. */
  Mix mix() {
    return mix;
  }

  /** Of each coat of a skin, null where its rubber cannot be weighed; empty while none can. */
  List<Mix> coats() {
    return Collections.unmodifiableList(coatMixes);
  }

  /** The heaviest batch of any pour; 0 while nothing can be weighed. */
  double heaviestG() {
    return heaviestG;
  }

  /** The job's own ratio held against the sheet's; null while it is the sheet's. */
  RatioGuard.Verdict verdict() {
    return verdict;
  }

  /** Base and hardener of each rubber, for all moulds of the job. */
  Map<Product, Double> used() {
    return Collections.unmodifiableMap(used);
  }

  private int moulds() {
    Integer asked = choices.rubber().moulds();
    return asked == null ? 1 : asked;
  }

  /** The ratio that counts: the job's own, else the sheet's. */
  Ratio ratio() {
    return choices.rubber().ratio() != null ? choices.rubber().ratio() : product.ratio();
  }

  /**
   * @param mouldMm3 rubber in the mould
   * @param pours rubber to mix for each of them, over all batches
   * @param batchesOfEach that each is split into
   * @param firstMm3 of the first batch, when it is larger than the rest of its pour; else null
   */
  void workOut(double mouldMm3, double[] pours, int batchesOfEach, Double firstMm3) {
    batches = batchesOfEach;
    largerMm3 = firstMm3;
    workOut(mouldMm3, pours, List.of());
  }

  /**
   * @param skinMm3 rubber on the master
   * @param each rubber to mix for each coat
   * @param coats what each is of, and what is stirred in
   */
  void workOutCoats(double skinMm3, double[] each, List<Stirred> coats) {
    workOut(skinMm3, each, coats);
  }

  /** A coat's rubber, and what is stirred into it. */
  record Stirred(Product product, Additive additive) {}

  private void workOut(double boxMm3, double[] pours, List<Stirred> stirred) {
    boolean coats = !stirred.isEmpty();
    Ratio ratio = ratio();
    double mixMm3 = pours[0];
    if (ratio == null || mixMm3 <= 0) {
      return;
    }
    double h = product.hardenerPerBase(ratio);
    Double density = product.mixedDensity(h);
    if (density == null) {
      return;
    }
    if (choices.rubber().ratio() != null && product.ratio() != null) {
      verdict = RatioGuard.check(ratio, product);
      if (verdict.stop() && choices.rubber().ratioMeant() != Choices.RatioMeant.YES) {
        return;
      }
    }
    double boxG = 0;
    Working.Builder weight =
        Working.of("mass = volume × mixed density")
            .given("volume", Volume.format(boxMm3, units), COMPUTED)
            .given("mixed density", Density.format(density), density());
    double mixed = Arrays.stream(pours).sum();
    for (int i = 0; i < pours.length; i++) {
      Product of = coats ? stirred.get(i).product : product;
      double its = of == product ? density : densityOf(of, density);
      boxG += boxMm3 * pours[i] / mixed / 1000 * its;
      if (of != product && stirred.get(i - 1).product == product) {
        weight.given("of " + of.name(), Density.format(its), SHEET);
      }
    }
    figures.mass(
        "rubber.boxMass", coats ? "rubber in the skin" : "rubber in the box", boxG, weight.done());
    Additive first = coats ? stirred.get(0).additive : choices.rubber().additive();
    mix = Mix.ofVolume(largerMm3 == null ? mixMm3 / batches : largerMm3, product, ratio, first);
    coatMixes.add(mix);
    heaviestG = mix.totalG();
    String pour = coats ? ", first coat" : pours.length == 1 ? "" : ", first pour";
    String each =
        pour
            + (largerMm3 != null
                ? ", first batch"
                : batches == 1 ? "" : ", each of " + batches + " batches");
    figures.mass(
        "mix.total",
        "to mix" + each,
        mix.totalG(),
        Working.of("mass = volume of the batch × density of the mix")
            .given("volume of the batch", Volume.format(mix.volumeMm3(), units), COMPUTED)
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
    Working parts = split.rounded("rounded as shown; right within 2 %").done();
    figures.mass("mix.base", "base" + each, mix.baseG(), parts);
    figures.mass("mix.hardener", "hardener" + each, mix.hardenerG(), parts);
    if (mix.additiveG() > 0) {
      figures.mass("mix.additive", additiveName() + each, mix.additiveG(), parts);
    }
    partVolume(
        "mix.baseVolume", "base by volume", mix.baseMm3(), mix.baseG(), product.densityBase());
    partVolume(
        "mix.hardenerVolume",
        "hardener by volume",
        mix.hardenerMm3(),
        mix.hardenerG(),
        product.densityHardener());
    figures.volume(
        "mix.volume",
        "in the cup" + each,
        mix.volumeMm3(),
        largerMm3 != null
            ? Working.of("what covers the master, so that no line shows, with its share of loss")
                .given("volume to mix in all", Volume.format(mixMm3, units), COMPUTED)
                .done()
            : Working.of("volume to mix ÷ batches")
                .given("volume to mix", Volume.format(mixMm3, units), COMPUTED)
                .given("batches", String.valueOf(batches), CHOSEN)
                .done());
    inTheRoom("rubber.potLife", "pot life in your room", "pot life", product.potLifeMin());
    inTheRoom("rubber.demould", "mould opens after", "demould time", product.demouldMin());
    used.put(product, (mix.baseG() + mix.hardenerG()) * (largerMm3 == null ? batches : 1));
    if (largerMm3 != null) {
      String further = batches == 2 ? ", second batch" : ", each of " + (batches - 1) + " more";
      double g = batchesOf("rest", further, mixMm3 - largerMm3, batches - 1, ratio);
      used.merge(product, g, Double::sum);
    }
    for (int i = 1; i < pours.length; i++) {
      Product of = coats ? stirred.get(i).product : product;
      double g = coats ? coat(pours[i], stirred.get(i)) : later(pours[i], ratio);
      used.merge(of, g, Double::sum);
    }
    cost();
    used.replaceAll((of, g) -> moulds() * g);
    buy();
    double g = used.values().stream().mapToDouble(Double::doubleValue).sum();
    alike(g / moulds(), coats ? 1 : pours.length);
  }

  /** Of another rubber than the job's, as its sheet says; else as the job's. */
  private static double densityOf(Product other, double usual) {
    Double its =
        other.ratio() == null ? null : other.mixedDensity(other.hardenerPerBase(other.ratio()));
    return its == null ? usual : its;
  }

  /** Several moulds of one master: it is free for the next when the last has opened. */
  private void alike(double g, int pours) {
    Integer moulds = choices.rubber().moulds();
    if (moulds == null || moulds < 2) {
      return;
    }
    String count = String.valueOf(moulds);
    figures.mass(
        "moulds.mass",
        "base and hardener for all",
        moulds * g,
        Working.of("moulds × mixed for one")
            .given("moulds", count, CHOSEN)
            .given("for one", Mass.format(g, units), COMPUTED)
            .done());
    if (figures.has("rubber.demould")) {
      double minutes = moulds * pours * figures.value("rubber.demould");
      figures.put(
          "moulds.elapsed",
          "until the last opens",
          minutes,
          minutes(minutes),
          Working.of("moulds × pours of each × time until one opens: one master, one at a time")
              .given("moulds", count, CHOSEN)
              .given("pours of each", String.valueOf(pours), COMPUTED)
              .given("opens after", figures.get("rubber.demould").text(), COMPUTED)
              .done());
    }
    Double weighed = choices.rubber().mouldG();
    if (weighed != null) {
      double all = (double) pours * batches;
      double density = mix.totalG() / mix.volumeMm3();
      double cup = workshop.cupLossPct() / 100 * weighed + all * workshop.cupLossMm3() * density;
      figures.mass(
          "moulds.next",
          "to mix for the next",
          weighed + cup,
          Working.of("what the first weighs + what stays on cup and stick")
              .given("the first", Mass.format(weighed, units), MEASURED)
              .given("cup and stick", Mass.format(cup, units), DEFAULT)
              .done());
    }
  }

  /**
   * What to weigh for a pour after the first.
   *
   * @return base and hardener over all its batches
   */
  private double later(double mm3, Ratio ratio) {
    String of = ", second pour" + (batches == 1 ? "" : ", each of " + batches + " batches");
    return batchesOf("later", of, mm3, batches, ratio);
  }

  /**
   * What to weigh for equal batches besides the first.
   *
   * @param keys of their figures begin so
   * @param of what they are, after the name of a part
   * @param mm3 of all of them
   * @return base and hardener over all of them
   */
  private double batchesOf(String keys, String of, double mm3, int count, Ratio ratio) {
    Mix next = Mix.ofVolume(Math.max(1, mm3) / count, product, ratio, choices.rubber().additive());
    Working working =
        Working.of("the volume to mix ÷ batches, split as the first")
            .given("volume to mix", Volume.format(mm3, units), COMPUTED)
            .given("batches", String.valueOf(count), CHOSEN)
            .rounded("rounded as shown; right within 2 %")
            .done();
    heaviestG = Math.max(heaviestG, next.totalG());
    figures.mass(keys + ".base", "base" + of, next.baseG(), working);
    figures.mass(keys + ".hardener", "hardener" + of, next.hardenerG(), working);
    if (next.additiveG() > 0) {
      figures.mass(keys + ".additive", additiveName() + of, next.additiveG(), working);
    }
    return (next.baseG() + next.hardenerG()) * count;
  }

  /**
   * @return base and hardener of a coat; 0 when the sheet of its rubber does not allow weighing
   */
  private double coat(double mm3, Stirred coat) {
    Ratio ratio = ratio(coat.product);
    boolean weighed =
        ratio != null && coat.product.mixedDensity(coat.product.hardenerPerBase(ratio)) != null;
    Mix next = weighed ? Mix.ofVolume(Math.max(1, mm3), coat.product, ratio, coat.additive) : null;
    coatMixes.add(next);
    if (next == null) {
      return 0;
    }
    heaviestG = Math.max(heaviestG, next.totalG());
    return next.baseG() + next.hardenerG();
  }

  /** What a coat's rubber is mixed at. */
  Ratio ratio(Product of) {
    return of == product ? ratio() : of.ratio();
  }

  private Given.Source density() {
    return product.densityMixed() != null ? SHEET : COMPUTED;
  }

  private String additiveName() {
    String name = choices.rubber().additive().name();
    return name == null || name.isBlank() ? choices.rubber().additive().kind().text() : name;
  }

  private void partVolume(String key, String label, Double mm3, double g, Double density) {
    if (mm3 != null) {
      figures.volume(
          key,
          label,
          mm3,
          Working.of("volume = mass ÷ density")
              .given("mass", Mass.format(g, units), COMPUTED)
              .given("density", Density.format(density), SHEET)
              .done());
    }
  }

  /** A time off the sheet at the room's temperature, t · f^((T₀ − T)/10); null without one. */
  static Double roomMin(Double sheetMin, Product product, Workshop workshop) {
    return sheetMin == null || product.atC() == null
        ? null
        : sheetMin * Math.pow(factor(product), (product.atC() - workshop.roomC()) / 10);
  }

  private static double factor(Product product) {
    return product.rateFactor() == null ? 2 : product.rateFactor();
  }

  private void inTheRoom(String key, String label, String name, Double sheetMinutes) {
    Double minutes = roomMin(sheetMinutes, product, workshop);
    if (minutes == null) {
      return;
    }
    String text = minutes(minutes);
    figures.put(
        key,
        label,
        minutes,
        text,
        Working.of(name + " = sheet × rate factor ^ ((sheet temperature − room) ÷ 10)")
            .given(
                "sheet",
                minutes(sheetMinutes) + " at " + Numbers.trimmed(product.atC(), 0) + " °C",
                SHEET)
            .given("room", Numbers.trimmed(workshop.roomC(), 0) + " °C", DEFAULT)
            .given(
                "rate factor per 10 °C",
                Numbers.trimmed(factor(product), 2),
                product.rateFactor() == null ? DEFAULT : SHEET)
            .done());
  }

  static String minutes(double minutes) {
    return Timespan.format(Duration.ofSeconds(Math.round(minutes * 60)));
  }

  /** Nothing while the sheet of one of them names no packs. */
  private void cost() {
    double cost = 0;
    Working.Builder w = Working.of("cost = mass mixed × price per mass of the pack opened for it");
    for (Map.Entry<Product, Double> e : used.entrySet()) {
      List<Pack> packs = e.getKey().packs();
      double need = e.getValue();
      if (packs.isEmpty()) {
        return;
      }
      // what is used is paid for at the price of the pack one would open for it
      Pack opened =
          packs.stream()
              .filter(p -> p.massG() >= need)
              .findFirst()
              .orElseGet(
                  () ->
                      packs.stream()
                          .min(Comparator.comparingDouble(p -> p.price() / p.massG()))
                          .orElseThrow());
      cost += need * opened.price() / opened.massG();
      String of = used.size() == 1 ? "" : " of " + e.getKey().name();
      w.given("mass mixed" + of, Mass.format(need, units), COMPUTED)
          .given("pack", pack(opened), SHEET)
          .step("smallest pack" + of + " " + pack(packs.get(0)));
    }
    figures.cost("rubber.cost", "rubber used", cost, w.done());
  }

  /** What to buy of each rubber for all moulds of the job. */
  private void buy() {
    int n = 0;
    for (Map.Entry<Product, Double> e : used.entrySet()) {
      List<Pack> packs = e.getKey().packs();
      double need = e.getValue();
      Optional<Purchase> bought = Purchase.cheapest(need, packs);
      if (bought.isEmpty()) {
        continue;
      }
      Working.Builder w =
          Working.of("the packs that cover the need for the least money")
              .given("base and hardener", Mass.format(need, units), COMPUTED)
              .given("sold as", Pack.text(packs), SHEET);
      bought
          .get()
          .inLargerPacks(need, packs, DEARER)
          .ifPresent(
              other ->
                  w.step(
                      other.text()
                          + " costs "
                          + figures.money(other.price() - bought.get().price())
                          + " more and leaves "
                          + Mass.format(other.leftG(), units)
                          + "."));
      figures.put(
          "buy." + n++,
          used.size() == 1 ? "to buy" : "to buy of " + e.getKey().name(),
          bought.get().price(),
          bought.get().text()
              + " for "
              + figures.money(bought.get().price())
              + ", "
              + Mass.format(bought.get().leftG(), units)
              + " left over",
          w.done());
    }
  }

  private String pack(Pack pack) {
    return Numbers.trimmed(pack.massG() / 1000, 3) + " kg at " + figures.money(pack.price());
  }

  /** The second part, once the first was weighed. */
  Optional<SecondPart> second() {
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
            product.role(),
            units);
    figures.mass(
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
}
