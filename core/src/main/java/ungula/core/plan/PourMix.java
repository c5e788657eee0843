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
 * @param sealing poured first and left until tacky, besides the batches; null for none, and while
 *     its rubber cannot be weighed
 * @param batches asked for, else as the limits ask for
 * @param first batch; null while its rubber cannot be weighed
 * @param rest each batch after the first, where that is larger than they are; else null
 */
public record PourMix(
    double mm3, Batching batching, Mix sealing, int batches, Mix first, Mix rest) {

  /** Less than this over a sealing pour is no mould. */
  private static final double LEAST_OVER_SEALING_MM = 5;

  /** A batch after the first is at least so much of it, or it is not worth mixing. */
  private static final double LEAST_REST = 0.05;

  /**
   * Rubber that is poured, before it is weighed.
   *
   * @param mixMm3 to mix for it
   * @param sealingShare of it that is poured first and left until tacky; 0 for none
   * @param coverShare of it that has to be in with the first batch, so that the master is covered;
   *     0 where that is not known
   */
  record Wanted(double mixMm3, double sealingShare, double coverShare) {}

  /** How high a sealing pour stands; null for none, and where it would leave too little over it. */
  public static Double sealingMm(Brief b, double deepMm) {
    Double mm = b.choices().rubber().sealingMm();
    return mm == null || mm > deepMm - LEAST_OVER_SEALING_MM ? null : mm;
  }

  /** A coat of a skin: one batch. */
  static PourMix coat(double mm3, Mix mix) {
    return new PourMix(mm3, null, null, 1, mix, null);
  }

  /**
   * Fewest equal batches; but the first covers the master, or a line shows on every cast: larger
   * than the others where the limits let it through.
   *
   * @param weighed whether its rubber can be
   */
  static PourMix of(Brief b, Wanted w, boolean weighed) {
    double sealingMm3 = w.sealingShare * w.mixMm3;
    double leftMm3 = w.mixMm3 - sealingMm3;
    Batching batching = batching(b, leftMm3).orElse(null);
    int batches = batches(b, batching);
    if (!weighed) {
      return new PourMix(w.mixMm3, batching, null, batches, null, null);
    }
    Mix sealing = sealingMm3 > 0 ? mix(b, sealingMm3) : null;
    double coverMm3 = w.coverShare * w.mixMm3 - sealingMm3;
    double restMm3 = leftMm3 - coverMm3;
    boolean larger =
        batching != null
            && batches > 1
            && coverMm3 > leftMm3 / batches * (1 + 1e-9)
            && restMm3 > LEAST_REST * coverMm3 * (batches - 1)
            && coverMm3 <= batching.largestMm3();
    return larger
        ? new PourMix(
            w.mixMm3, batching, sealing, batches, mix(b, coverMm3), mix(b, restMm3 / (batches - 1)))
        : new PourMix(w.mixMm3, batching, sealing, batches, mix(b, leftMm3 / batches), null);
  }

  private static Mix mix(Brief b, double mm3) {
    return Mix.ofVolume(Math.max(1, mm3), b.product(), b.ratio(), b.choices().rubber().stirredIn());
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

  /** Number of the first of its batches: 0 for a sealing pour, else 1. */
  int firstNumber() {
    return sealing == null ? 1 : 0;
  }

  /**
   * @param number from {@link #firstNumber}
   */
  Mix batch(int number) {
    return number == 0 ? sealing : number > 1 && rest != null ? rest : first;
  }

  /** Base and hardener of all its batches; nothing while it cannot be weighed. */
  Parts parts() {
    Parts all = Parts.NONE;
    for (int i = firstNumber(); first != null && i <= batches; i++) {
      all = all.plus(new Parts(batch(i).baseG(), batch(i).hardenerG()));
    }
    return all;
  }

  /** Of the pour, what is in with its first batch. */
  double firstShare() {
    double before = sealing == null ? 0 : sealing.volumeMm3();
    return (before + first.volumeMm3()) / mm3;
  }

  /** Whether fewer were asked for than the limits let through. */
  public boolean tooFew() {
    return batching != null && batches < batching.count();
  }
}
