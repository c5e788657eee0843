package ungula.core.work;

import java.util.concurrent.CancellationException;

/** Where long work says how far it is and learns that nobody waits for it any more. */
public interface Progress {

  /** For work nobody watches. */
  Progress NONE = (doing, fraction) -> {};

  /**
   * Called now and then from the working threads, from several at once when they share the work.
   *
   * @param doing a few words for the person waiting
   * @param fraction 0 to 1 of the whole work
   * @throws CancellationException when the work is no longer wanted; let it through
   */
  void at(String doing, double fraction);

  /** The part of this progress that runs between two fractions. */
  default Progress part(double from, double to) {
    return (doing, fraction) -> at(doing, from + (to - from) * fraction);
  }
}
