package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.MEASURED;
import static ungula.core.working.Given.Source.SHEET;

import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Timespan;
import ungula.core.quantity.UnreadableQuantity;
import ungula.core.quantity.Volume;
import ungula.core.rubber.Additive;
import ungula.core.rubber.Mix;
import ungula.core.rubber.Product;
import ungula.core.rubber.Ratio;
import ungula.core.rubber.SecondPart;
import ungula.core.working.Figure;
import ungula.core.working.Working;

/**
 * A bare mass or volume of rubber, split into its parts without a job.
 *
 * @param figures base, hardener, their sum and its volume, and the second part once the first is
 *     poured
 * @param sentence the ratio in plain words
 * @param now what to do once the first part is poured; empty before
 */
public record MixNow(Map<String, Figure> figures, String sentence, String now) {

  /**
   * @param amount "350 g", "1.2 kg", "600 mL": a mass or a volume, with its unit
   * @param firstPoured of the base, as really weighed; blank before
   * @throws UnreadableQuantity when the amount is neither, or the sheet does not allow weighing
   */
  public static MixNow of(String amount, String firstPoured, Product product, Workshop workshop) {
    Ratio ratio = product.ratio();
    if (ratio == null || product.mixedDensity(product.hardenerPerBase(ratio)) == null) {
      throw new UnreadableQuantity(
          "The sheet of "
              + product.name()
              + " gives no ratio, or no density: nothing can be weighed. Complete the sheet.");
    }
    Mix mix = mix(amount, product, ratio, workshop);
    FigureBook figures = new FigureBook(workshop.units(), workshop.currency());
    double h = product.hardenerPerBase(ratio);
    Working parts =
        Working.of("base = total ÷ (1 + hardener per base); hardener = base × hardener per base")
            .given("asked for", amount.strip(), CHOSEN)
            .given("total", Mass.exact(mix.totalG(), workshop.units()), COMPUTED)
            .given("ratio", ratio.text(), SHEET)
            .step(Ratio.sentence(h))
            .rounded("rounded as shown; right within 2 %")
            .done();
    figures.mass("now.base", "base", mix.baseG(), parts);
    figures.mass("now.hardener", "hardener", mix.hardenerG(), parts);
    Working whole =
        Working.of("mass = volume × mixed density")
            .given("mixed density", Numbers.fixed(mix.density(), 2) + " g/cm³", SHEET)
            .done();
    figures.mass("now.total", "in the cup", mix.totalG(), whole);
    figures.volume("now.volume", "its volume", mix.volumeMm3(), whole);
    Double pot = Amounts.roomMin(product.potLifeMin(), product, workshop);
    if (pot != null) {
      figures.put(
          "now.potLife",
          "pot life in your room",
          pot,
          Amounts.minutes(pot),
          Working.of("pot life = sheet × rate factor ^ ((sheet temperature − room) ÷ 10)")
              .given("sheet", Timespan.format(minutes(product.potLifeMin())), SHEET)
              .given("room", Numbers.trimmed(workshop.roomC(), 0) + " °C", CHOSEN)
              .done());
    }
    boolean poured = firstPoured != null && !firstPoured.isBlank();
    String now = poured ? second(firstPoured, h, figures, workshop) : "";
    return new MixNow(figures.all(), Ratio.sentence(h), now);
  }

  private static Duration minutes(double minutes) {
    return Duration.ofSeconds(Math.round(60 * minutes));
  }

  private static String second(String poured, double h, FigureBook figures, Workshop workshop) {
    double baseG = Mass.parseG(poured, workshop.units());
    SecondPart second =
        SecondPart.of(true, positive(baseG, poured), null, h, Mix.TOLERANCE, workshop.units());
    figures.mass(
        "now.second",
        "hardener, now",
        second.targetG(),
        Working.of("hardener = base as really poured × hardener per base")
            .given("base really poured", Mass.exact(baseG, workshop.units()), MEASURED)
            .step(Ratio.sentence(h))
            .rounded("right within 2 %")
            .done());
    return second.words();
  }

  /** A mass if it reads as one, else a volume. */
  private static Mix mix(String amount, Product product, Ratio ratio, Workshop workshop) {
    Optional<Double> g = read(() -> Mass.parseG(amount, workshop.units()));
    if (g.isPresent()) {
      return Mix.ofMass(positive(g.get(), amount), product, ratio, Additive.NONE);
    }
    double mm3 =
        read(() -> Volume.parseMm3(amount, workshop.units()))
            .orElseThrow(
                () ->
                    new UnreadableQuantity(
                        "“"
                            + amount.strip()
                            + "” is neither a mass nor a volume. Write 350 g, 1.2 kg, 600 mL or"
                            + " 1 US gal."));
    return Mix.ofVolume(positive(mm3, amount), product, ratio, Additive.NONE);
  }

  private static Optional<Double> read(Supplier<Double> parse) {
    try {
      return Optional.of(parse.get());
    } catch (UnreadableQuantity other) {
      return Optional.empty();
    }
  }

  private static double positive(double amount, String text) {
    if (!(amount > 0)) {
      throw new UnreadableQuantity("“" + text.strip() + "” is nothing to mix.");
    }
    return amount;
  }
}
