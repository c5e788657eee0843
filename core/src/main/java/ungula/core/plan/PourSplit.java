package ungula.core.plan;

import ungula.core.pour.BatchLimits;
import ungula.core.pour.Batching;
import ungula.core.rubber.Ratio;

/**
 * How a pour is split into batches.
 *
 * @param batching by the workshop's limits; null while no rubber is picked that can be weighed
 * @param batches asked for, else as the limits ask for
 */
record PourSplit(Batching batching, int batches) {

  static PourSplit of(Brief b, double mixMm3) {
    Batching batching = batching(b, mixMm3);
    Integer chosen = b.choices().rubber().batches();
    return new PourSplit(
        batching, chosen != null ? chosen : batching == null ? 1 : batching.count());
  }

  private static Batching batching(Brief b, double mixMm3) {
    Ratio own = b.choices().rubber().ratio();
    Ratio ratio = own != null || b.product() == null ? own : b.product().ratio();
    if (b.product() == null || ratio == null) {
      return null;
    }
    Double density = b.product().mixedDensity(b.product().hardenerPerBase(ratio));
    return density == null ? null : Batching.of(mixMm3, limits(b).most(density));
  }

  static BatchLimits limits(Brief b) {
    return b.workshop().limits(b.product(), b.choices().rubber().bubbles());
  }
}
