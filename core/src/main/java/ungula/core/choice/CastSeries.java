package ungula.core.choice;

/**
 * How many casts are made one after the other.
 *
 * @param perMix moulds that one mix fills
 * @param scrapPct casts that are no good
 * @param spreadPct how much times vary
 */
public record CastSeries(int perMix, double scrapPct, double spreadPct) {
  static final CastSeries USUAL = new CastSeries(1, 5, 20);
}
