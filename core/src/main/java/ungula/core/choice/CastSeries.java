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
 * @param warmMin minutes after which a cast is out of a mould that is warm from the one before;
 *     null: as long as out of a cold one
 * @param spareMm3 what small moulds kept ready take of what is left in the cup; null: none are
 */
public record CastSeries(
    int perMix,
    double scrapPct,
    double spreadPct,
    Integer releaseEvery,
    Integer gaveBefore,
    Double marginPct,
    Double warmMin,
    Double spareMm3) {

  /**
   * Moulds that one mix fills, from one of them on; after the last it begins again.
   *
   * @param moulds there are, by number
   */
  public List<Integer> filled(int first, List<Integer> moulds) {
    int from = Math.max(0, moulds.indexOf(first));
    return IntStream.range(from, from + Math.min(perMix, moulds.size()))
        .mapToObj(i -> moulds.get(i % moulds.size()))
        .toList();
  }

  static final CastSeries USUAL = new CastSeries(1, 5, 20, null, null, null, null, null);
}
