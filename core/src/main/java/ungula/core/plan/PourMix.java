package ungula.core.plan;

import java.util.Optional;
import ungula.core.pour.BatchLimits;
import ungula.core.pour.Batching;
import ungula.core.rubber.Mix;
import ungula.core.rubber.Parts;

/**
 * One pour of rubber, planned by itself; of a skin one coat.
 *
 * @param mm3 to mix for it, over all its batches
 * @param batching how the workshop's limits split it; null while no rubber is picked that can be
 *     weighed, and for a coat
 * @param batches asked for, else as the limits ask for
 * @param first batch; null while its rubber cannot be weighed
 * @param rest each batch after the first, where that is larger than they are; else null
 */
public record PourMix(double mm3, Batching batching, int batches, Mix first, Mix rest) {

  /** A batch after the first is at least so much of it, or it is not worth mixing. */
  private static final double LEAST_REST = 0.05;

  /**
   * Rubber that is poured, before it is weighed.
   *
   * @param mixMm3 to mix for it
   * @param coverShare of it the first batch has to be, so that it covers the master; 0 where that
   *     is not known
   */
  record Wanted(double mixMm3, double coverShare) {}

  /** A coat of a skin: one batch. */
  static PourMix coat(double mm3, Mix mix) {
    return new PourMix(mm3, null, 1, mix, null);
  }

  /**
   * Fewest equal batches; but the first covers the master, or a line shows on every cast: larger
   * than the others where the limits let it through.
   *
   * @param weighed whether its rubber can be
   */
  static PourMix of(Brief b, Wanted w, boolean weighed) {
    Batching batching = batching(b, w.mixMm3).orElse(null);
    int batches = batches(b, batching);
    if (!weighed) {
      return new PourMix(w.mixMm3, batching, batches, null, null);
    }
    double coverMm3 = w.coverShare * w.mixMm3;
    double restMm3 = w.mixMm3 - coverMm3;
    boolean larger =
        batching != null
            && batches > 1
            && coverMm3 > w.mixMm3 / batches * (1 + 1e-9)
            && restMm3 > LEAST_REST * coverMm3 * (batches - 1)
            && coverMm3 <= batching.largestMm3();
    return larger
        ? new PourMix(
            w.mixMm3, batching, batches, mix(b, coverMm3), mix(b, restMm3 / (batches - 1)))
        : new PourMix(w.mixMm3, batching, batches, mix(b, w.mixMm3 / batches), null);
  }

  private static Mix mix(Brief b, double mm3) {
    return Mix.ofVolume(Math.max(1, mm3), b.product(), b.ratio(), b.choices().rubber().additive());
  }

  /**
   * How the workshop's limits split so much; empty while no rubber is picked that can be weighed.
   */
  static Optional<Batching> batching(Brief b, double mixMm3) {
    Double density = b.density(b.product());
    return density == null
        ? Optional.empty()
        : Optional.of(Batching.of(mixMm3, limits(b).most(density)));
  }

  /** As asked for, else as the limits ask for. */
  static int batches(Brief b, Batching batching) {
    Integer chosen = b.choices().rubber().batches();
    return chosen != null ? chosen : batching == null ? 1 : batching.count();
  }

  static BatchLimits limits(Brief b) {
    return b.workshop().limits(b.product(), b.choices().rubber().bubbles());
  }

  /**
   * @param number from 1
   */
  public Mix batch(int number) {
    return number > 1 && rest != null ? rest : first;
  }

  /** Base and hardener of all its batches; nothing while it cannot be weighed. */
  Parts parts() {
    Parts all = Parts.NONE;
    for (int i = 1; first != null && i <= batches; i++) {
      all = all.plus(new Parts(batch(i).baseG(), batch(i).hardenerG()));
    }
    return all;
  }

  /** Of the pour, what its first batch is. */
  public double firstShare() {
    return rest == null ? 1.0 / batches : first.volumeMm3() / mm3;
  }

  /** Whether fewer were asked for than the limits let through. */
  public boolean tooFew() {
    return batching != null && batches < batching.count();
  }
}
