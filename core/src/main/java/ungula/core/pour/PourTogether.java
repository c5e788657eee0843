package ungula.core.pour;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.SHEET;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import ungula.core.quantity.Length;
import ungula.core.quantity.Units;
import ungula.core.quantity.UnreadableQuantity;
import ungula.core.quantity.Volume;
import ungula.core.rubber.Mix;
import ungula.core.rubber.Product;
import ungula.core.working.Figure;
import ungula.core.working.FigureBook;
import ungula.core.working.FigureKeys;
import ungula.core.working.KeyedBy;
import ungula.core.working.Working;

/**
 * Moulds of several jobs poured of the same batches.
 *
 * @param figures base and hardener of every batch, by its key
 * @param batches in the order they are mixed
 * @param reason why they are no larger; empty when one does
 * @param air how it is got out, to follow "the rubber is"
 */
public record PourTogether(
    @KeyedBy("TogetherFigure") Map<String, Figure> figures,
    List<Batch> batches,
    String reason,
    String air) {

  /** What its figures are called. */
  public static final FigureKeys FIGURES =
      FigureKeys.of("TogetherFigure", "batch.#.base", "batch.#.hardener", "batch.#.fill");

  /**
   * @param key its figures begin so: base, hardener, and fill where a vessel is known
   * @param into where it is poured, in turn, with how much
   */
  public record Batch(String key, List<String> into) {}

  /**
   * @param job by name
   * @param mm3 to be mixed for it
   */
  public record Pour(String job, double mm3) {}

  /**
   * @throws UnreadableQuantity when nothing is to be poured, or the sheet does not allow weighing
   */
  public static PourTogether of(
      List<Pour> pours, Product product, BatchLimits limits, Units units, String currency) {
    Double density =
        product.ratio() == null
            ? null
            : product.mixedDensity(product.hardenerPerBase(product.ratio()));
    if (pours.isEmpty() || density == null) {
      throw new UnreadableQuantity(
          pours.isEmpty()
              ? "Choose a mould to pour."
              : "The sheet of " + product.name() + " gives no ratio or no density.");
    }
    double[] mm3 = pours.stream().mapToDouble(Pour::mm3).toArray();
    double total = pours.stream().mapToDouble(Pour::mm3).sum();
    Batching batching = Batching.of(total, limits.most(density));
    Session session = Session.of(mm3, batching.largestMm3());
    FigureBook figures = new FigureBook(FIGURES, units, currency);
    List<Batch> batches = new ArrayList<>();
    for (int i = 0; i < session.batches().size(); i++) {
      String key = "batch." + (i + 1);
      weighed(key, session.batchMm3(i), product, limits, units, figures);
      batches.add(
          new Batch(
              key,
              session.batches().get(i).stream()
                  .map(p -> Volume.format(p.mm3(), units) + " into " + pours.get(p.mould()).job())
                  .toList()));
    }
    return new PourTogether(
        figures.all(),
        List.copyOf(batches),
        batching.reason() == null ? "" : batching.reason().reason(),
        limits.bubbles().text());
  }

  private static void weighed(
      String key,
      double mm3,
      Product product,
      BatchLimits limits,
      Units units,
      FigureBook figures) {
    Mix mix = Mix.ofVolume(mm3, product, product.ratio(), List.of());
    Working w =
        Working.of("the moulds' volumes to mix, split by the ratio")
            .given("volume", Volume.format(mm3, units), COMPUTED)
            .given("ratio", product.ratio().text(), SHEET)
            .step(product.sentence(product.ratio()))
            .rounded("rounded as shown; right within 2 %")
            .done();
    figures.mass(key + ".base", product.role().first(), mix.baseG(), w);
    figures.mass(key + ".hardener", product.role().second(), mix.hardenerG(), w);
    limits
        .vesselFor(mm3)
        .ifPresent(
            n -> {
              int cups = limits.bubbles().cups();
              double level = n.vessel().levelMm(mm3 / cups);
              figures.put(
                  key + ".fill",
                  "fill mark",
                  level,
                  Length.format(level, units) + ", " + (cups > 1 ? "each of two: " : "") + n.name(),
                  Working.of("height of the volume in the vessel")
                      .given("volume", Volume.format(mm3, units), COMPUTED)
                      .given("mixed in the", n.name(), CHOSEN)
                      .done());
            });
  }
}
