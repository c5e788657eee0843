package ungula.core.study;

import ungula.core.geometry.Vec3;
import ungula.core.mark.FacetSet;
import ungula.core.master.PosedMaster;
import ungula.core.release.Locks;
import ungula.core.release.Locks.LockedVolume;
import ungula.core.release.Stretch;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * What keeps a block mould on its master, and what it needs to come off.
 *
 * @param locks against pulling it up
 * @param stretch a one-piece mould needs
 */
public record ReleaseStudy(LockSums locks, Stretch stretch) {

  /** Changes when a study of the same question comes out otherwise: old ones are made again. */
  public static final int VERSION = 1;

  /**
   * @param releasedMm2 surface the mould comes off freely
   * @param lockedMm2 the rest of the surface
   * @param volume rubber with master in its way
   */
  public record LockSums(double releasedMm2, double lockedMm2, LockedVolume volume) {}

  /**
   * @param lockedShare of each facet, 0 to 255: for the picture
   */
  public record Made(ReleaseStudy study, byte[] lockedShare) {}

  /**
   * @param threads marked facets: what they lock is unscrewed
   * @throws java.util.concurrent.CancellationException when the progress says that nobody waits
   */
  public static Made of(
      PosedMaster master, FacetSet threads, Parallel parallel, Progress progress) {
    Locks.Result locks = Locks.of(master.mesh(), Vec3.UP, false, parallel, progress.part(0, 0.7));
    progress.at("Pulling the mould off", 0.7);
    Stretch stretch = Stretch.pulledUp(master.bodies(), master.bounds(threads), parallel);
    byte[] share = new byte[locks.lockedShare().length];
    for (int t = 0; t < share.length; t++) {
      share[t] = (byte) Math.round(255 * locks.lockedShare()[t]);
    }
    LockSums sums = new LockSums(locks.releasedMm2(), locks.lockedMm2(), locks.volume());
    return new Made(new ReleaseStudy(sums, stretch), share);
  }
}
