package ungula.core.run;

import java.time.Instant;

/**
 * A level held against what was really poured.
 *
 * @param at when it was read
 * @param expectedMm for what was really poured
 * @param shortShare of its volume; negative where it stands higher
 */
public record Level(
    Instant at, double readMm, double expectedMm, double shortShare, Verdict verdict) {

  /** So far off in volume, either way, is looked into. */
  public static final double OFF = 0.05;

  public enum Verdict {
    WITHIN,
    /** It leaks, or the master has lifted. */
    SHORT,
    /** More was poured than weighed, or the box bows. */
    LONG
  }

  /**
   * @param mm3 that was poured
   */
  public static Level of(Instant at, double readMm, Rise rise, double mm3) {
    double off = 1 - rise.mm3(readMm) / mm3;
    return new Level(
        at,
        readMm,
        rise.mm(mm3),
        off,
        off > OFF ? Verdict.SHORT : off < -OFF ? Verdict.LONG : Verdict.WITHIN);
  }
}
