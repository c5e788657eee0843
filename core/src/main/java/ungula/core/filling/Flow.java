package ungula.core.filling;

import ungula.core.sprue.Sprue;
import ungula.core.sprue.Sprue.Resin;

/**
 * How fast a mould is poured: as fast as a hand pours, and no faster than a sprue kept full lets
 * through while what runs in it thickens.
 *
 * @param handMm3PerS poured by hand
 * @param sprue it runs in through; null where the mould is open
 * @param resin what runs in it; null without a sprue
 */
public record Flow(double handMm3PerS, Sprue sprue, Resin resin) {

  /** By the end of its pot life so many times as thick as when it was mixed. */
  public static final double THICKER = 10;

  /** Poured into what is open. */
  public static Flow open(double handMm3PerS) {
    return new Flow(handMm3PerS, null, null);
  }

  /** How long so much takes while it is as thin as when it was mixed, s: no less than this. */
  public double freshS(double mm3) {
    return mm3 / (sprue == null ? handMm3PerS : Math.min(handMm3PerS, sprue.flowMm3PerS(resin)));
  }

  /**
   * How long it takes while it thickens from the moment it is poured, {@link #THICKER} times by the
   * end of its pot life T, each moment by the same share: by hand until the sprue lets less
   * through, then V = q T ÷ ln k × (1 − k^(−t/T)).
   *
   * @return s; infinite where it never gets so far
   */
  public double thickeningS(double mm3) {
    if (sprue == null) {
      return freshS(mm3);
    }
    double grows = Math.log(THICKER) / (60 * resin.potLifeMin());
    double first = sprue.flowMm3PerS(resin);
    double byHand = Math.max(0, Math.log(first / handMm3PerS) / grows);
    double most = Math.min(first, handMm3PerS);
    double left = mm3 - byHand * most;
    if (left <= 0) {
      return mm3 / most;
    }
    double share = left * grows / most;
    return share >= 1 ? Double.POSITIVE_INFINITY : byHand - Math.log(1 - share) / grows;
  }
}
