package ungula.core.run;

import java.time.Instant;

/**
 * Something that happened at the bench. Entries are appended in the order they happen and never
 * changed; what was wrong is corrected by a further one.
 */
public sealed interface Entry {

  Instant at();

  /** What is weighed of a batch. */
  enum Part {
    BASE,
    HARDENER
  }

  /**
   * Something that has to be seen to before the first batch.
   *
   * @param skipped whether it was passed without being seen to
   */
  record Gated(Instant at, String gate, boolean skipped) implements Entry {}

  /** The scale was set to nothing, with what stands on it. */
  record Tared(Instant at) implements Entry {}

  /**
   * What a part of a batch weighs in the cup, all of it.
   *
   * @param shownG on the scale then; null for what was typed
   */
  record Weighed(Instant at, String batch, Part part, double grams, Double shownG)
      implements Entry {}

  /** The first of the second part fell onto the first: the pot life of a batch begins. */
  record Met(Instant at, String batch) implements Entry {}

  /** A step is done. */
  record Done(Instant at, String step) implements Entry {}

  /**
   * How high the rubber stands.
   *
   * @param batch the last that is in the box
   */
  record LevelRead(Instant at, String batch, double mm) implements Entry {}

  /** A device was lost, or is heard again. */
  record Heard(Instant at, String device, boolean heard) implements Entry {}

  /**
   * An earlier entry does not count.
   *
   * @param number of it, from 1
   */
  record Corrected(Instant at, int number, String why) implements Entry {}
}
