package ungula.core.pour;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.MEASURED;
import static ungula.core.working.Given.Source.SHEET;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Timespan;
import ungula.core.quantity.Units;
import ungula.core.quantity.UnreadableQuantity;
import ungula.core.quantity.Volume;
import ungula.core.rubber.Mix;
import ungula.core.rubber.Product;
import ungula.core.rubber.Ratio;
import ungula.core.rubber.RatioGuard;
import ungula.core.rubber.SecondPart;
import ungula.core.working.Figure;
import ungula.core.working.FigureBook;
import ungula.core.working.FigureKeys;
import ungula.core.working.Given;
import ungula.core.working.KeyedBy;
import ungula.core.working.Working;

/**
 * A bare mass or volume of something that is mixed, split into its parts without a job.
 *
 * @param figures first and second part, their sum and its volume, and the part that is weighed last
 *     once the other is poured; empty while the ratio is stopped
 * @param sentence the ratio in plain words
 * @param now what to do once one part is poured; empty before
 * @param stop both readings of a ratio far off the sheet, until it is meant; else empty
 */
public record MixNow(
    @KeyedBy("MixFigure") Map<String, Figure> figures, String sentence, String now, String stop) {

  /** What its figures are called. */
  public static final FigureKeys FIGURES =
      FigureKeys.of(
          "MixFigure",
          "now.base",
          "now.hardener",
          "now.total",
          "now.volume",
          "now.potLife",
          "now.second");

  /**
   * What is asked, as typed; blank or null where nothing is.
   *
   * @param amount "350 g", "1.2 kg", "600 mL": a mass or a volume, with its unit
   * @param ratio another than the sheet's
   * @param meant whether that is meant, however far off the sheet it is
   * @param secondFirst whether the second part goes into the cup first
   * @param poured of the part that goes in first, as really weighed
   */
  public record Asked(
      String amount, String ratio, boolean meant, boolean secondFirst, String poured) {}

  /**
   * @throws UnreadableQuantity when the amount is neither mass nor volume, or the sheet does not
   *     allow weighing
   */
  public static MixNow of(
      Asked asked, Product product, double roomC, Units units, String currency) {
    Ratio ratio = ratio(asked, product);
    double h = product.hardenerPerBase(ratio);
    if (product.mixedDensity(h) == null) {
      throw new UnreadableQuantity(
          "The sheet of "
              + product.name()
              + " gives no density: nothing can be weighed. Complete the sheet.");
    }
    String sentence = product.sentence(ratio);
    if (product.ratio() != null && !asked.meant) {
      RatioGuard.Verdict verdict = RatioGuard.check(ratio, product);
      if (verdict.stop()) {
        return new MixNow(Map.of(), sentence, "", verdict.words());
      }
    }
    Mix mix = mix(asked.amount, product, ratio, units);
    FigureBook figures = new FigureBook(FIGURES, units, currency);
    Given.Source source = blank(asked.ratio) ? SHEET : CHOSEN;
    Working parts =
        Working.of("first part = total ÷ (1 + second per first); second = first × second per first")
            .given("asked for", asked.amount.strip(), CHOSEN)
            .given("total", Mass.exact(mix.totalG(), units), COMPUTED)
            .given("ratio", ratio.text(), source)
            .step(sentence)
            .rounded("rounded as shown; right within 2 %")
            .done();
    figures.mass("now.base", product.role().first(), mix.baseG(), parts);
    figures.mass("now.hardener", product.role().second(), mix.hardenerG(), parts);
    Working whole =
        Working.of("mass = volume × mixed density")
            .given("mixed density", Numbers.fixed(mix.density(), 2) + " g/cm³", SHEET)
            .done();
    figures.mass("now.total", "in the cup", mix.totalG(), whole);
    figures.volume("now.volume", "its volume", mix.volumeMm3(), whole);
    potLife(mix, product, roomC, figures);
    String now = blank(asked.poured) ? "" : second(asked, h, product, figures, units);
    return new MixNow(figures.all(), sentence, now, "");
  }

  private static boolean blank(String text) {
    return text == null || text.isBlank();
  }

  private static Ratio ratio(Asked asked, Product product) {
    if (!blank(asked.ratio)) {
      return Ratio.parse(asked.ratio);
    }
    if (product.ratio() == null) {
      throw new UnreadableQuantity(
          "The sheet of "
              + product.name()
              + " gives no ratio: nothing can be weighed. Complete the sheet.");
    }
    return product.ratio();
  }

  private static void potLife(Mix mix, Product product, double roomC, FigureBook figures) {
    Double sheet = product.potLifeMin(mix.totalG());
    Double pot = product.inRoomMin(sheet, roomC);
    if (pot == null) {
      return;
    }
    Working.Builder w =
        Working.of("pot life = sheet × rate factor ^ ((sheet temperature − room) ÷ 10)")
            .given("sheet", Timespan.formatMin(product.potLifeMin()), SHEET)
            .given("room", Numbers.trimmed(roomC, 0) + " °C", CHOSEN);
    if (product.warmsItself()) {
      w.step(
          "So much of it in one cup warms itself: "
              + Timespan.formatMin(sheet)
              + " at the sheet's temperature, by rule of thumb.");
    }
    figures.put("now.potLife", "pot life in your room", pot, Timespan.formatMin(pot), w.done());
  }

  private static String second(
      Asked asked, double h, Product product, FigureBook figures, Units units) {
    double firstG = positive(Mass.parseG(asked.poured, units), asked.poured);
    SecondPart second =
        SecondPart.of(!asked.secondFirst, firstG, null, h, Mix.TOLERANCE, product.role(), units);
    String first = asked.secondFirst ? product.role().second() : product.role().first();
    String other = asked.secondFirst ? product.role().first() : product.role().second();
    figures.mass(
        "now.second",
        other + ", now",
        second.targetG(),
        Working.of(other + " = " + first + " as really poured, by the ratio")
            .given(first + " really poured", Mass.exact(firstG, units), MEASURED)
            .step(product.sentence(ratio(asked, product)))
            .rounded("right within 2 %")
            .done());
    return second.words();
  }

  /** A mass if it reads as one, else a volume. */
  private static Mix mix(String typed, Product product, Ratio ratio, Units units) {
    String amount = typed == null ? "" : typed;
    Optional<Double> g = read(() -> Mass.parseG(amount, units));
    if (g.isPresent()) {
      return Mix.ofMass(positive(g.get(), amount), product, ratio, List.of());
    }
    double mm3 =
        read(() -> Volume.parseMm3(amount, units))
            .orElseThrow(
                () ->
                    new UnreadableQuantity(
                        "“"
                            + amount.strip()
                            + "” is neither a mass nor a volume. Write 350 g, 1.2 kg, 600 mL or"
                            + " 1 US gal."));
    return Mix.ofVolume(positive(mm3, amount), product, ratio, List.of());
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
