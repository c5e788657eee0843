package ungula.core.choice;

import java.util.List;
import java.util.stream.IntStream;

/**
 * How many casts are made one after the other.
 *
 * @param perMix moulds that one mix fills
 * @param scrapPct casts that are no good
 * @param spreadPct how much times vary
 * @param releaseEvery casts after which the mould is released again; null: before each, where it
 *     has to be
 * @param gaveBefore casts the first mould gave before they were counted here; null: none
 * @param marginPct asked on top of what a cast costs; null: no price is asked for
 */
public record CastSeries(
    int perMix,
    double scrapPct,
    double spreadPct,
    Integer releaseEvery,
    Integer gaveBefore,
    Double marginPct) {
  /** Moulds that one mix fills, from one of so many on; after the last it begins again. */
  public List<Integer> filled(int first, int moulds) {
    return IntStream.range(0, Math.min(perMix, moulds))
        .map(i -> (first - 1 + i) % moulds + 1)
        .boxed()
        .toList();
  }

  static final CastSeries USUAL = new CastSeries(1, 5, 20, null, null, null);
}
