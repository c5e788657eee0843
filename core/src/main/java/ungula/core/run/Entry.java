package ungula.core.run;

import java.time.Instant;
import java.util.List;
import ungula.core.cast.Made.Result;

/**
 * Something that happened at the bench. Entries are appended in the order they are heard of and
 * never changed; what was wrong is corrected by a further one.
 */
public sealed interface Entry {

  Instant at();

  /** Whether it may be found wrong: what became of a scale is so whatever anybody thinks. */
  default boolean correctable() {
    return !(this instanceof Corrected || this instanceof ZeroLost || this instanceof Replanned);
  }

  /** What is weighed of a batch. */
  enum Part {
    BASE,
    HARDENER,
    ADDITIVE
  }

  /**
   * One thing that is weighed.
   *
   * @param which of what is stirred in, from 0
   */
  record Ingredient(Part part, int which) {

    /** Base or hardener. */
    public static Ingredient of(Part part) {
      return new Ingredient(part, 0);
    }

    public static Ingredient stirred(int which) {
      return new Ingredient(Part.ADDITIVE, which);
    }
  }

  /** What the foam of a batch does in the chamber. */
  enum Foam {
    RISES,
    FALLEN,
    OVER_THE_RIM
  }

  /**
   * Something that has to be seen to.
   *
   * @param skipped whether it was passed without being seen to
   */
  record Gated(Instant at, String gate, boolean skipped) implements Entry {}

  /** The scale was set to nothing, with what stands on it. */
  record Tared(Instant at) implements Entry {}

  /**
   * What a part of a batch weighs in the cup, all of it.
   *
   * @param which of what is stirred in, from 0
   * @param shownG on the scale then; null for what was typed
   */
  record Weighed(Instant at, String batch, Part part, int which, double grams, Double shownG)
      implements Entry {

    Ingredient what() {
      return new Ingredient(part, which);
    }
  }

  /**
   * A batch is weighed for another mould as well: its share comes on top.
   *
   * @param run in which the other mould is made
   * @param mould what that is called
   * @param other batch of that run
   * @param firstG more of the part that goes in first
   */
  record Shared(Instant at, String batch, String run, String mould, String other, double firstG)
      implements Entry {}

  /**
   * A batch was mixed in the cup of another mould's: what is weighed of it next is its share.
   *
   * @param run in which that is made
   * @param mould what that is called
   */
  record FedBy(Instant at, String batch, String run, String mould) implements Entry {}

  /**
   * The first of the second part fell onto the first: the pot life of a batch begins.
   *
   * @param roomC as warm as it was then; null where nobody heard
   */
  record Met(Instant at, String batch, Double roomC) implements Entry {}

  /** What was in the cup of a batch is thrown away; it is weighed anew in a clean one. */
  record StartedOver(Instant at, String batch) implements Entry {}

  /** A step is done; of a wait, it is over. */
  record Done(Instant at, String step) implements Entry {}

  /** A step is not done, and not going to be. */
  record LeftOut(Instant at, String step, String why) implements Entry {}

  /**
   * Whether something is as it should be.
   *
   * @param good while it is not, it is looked at again
   */
  record Judged(Instant at, String step, boolean good) implements Entry {}

  /**
   * A cast came out.
   *
   * @param mould it came out of, from 1
   * @param grams it weighs, with what it was poured through; null where it was not weighed
   * @param why it is not good; empty where it is
   */
  record Came(Instant at, String step, int mould, Result result, Double grams, String why)
      implements Entry {}

  /**
   * How high the rubber stands.
   *
   * @param batch the last that is in the box
   */
  record LevelRead(Instant at, String batch, double mm) implements Entry {}

  record Foamed(Instant at, String batch, Foam foam) implements Entry {}

  /**
   * A picture was taken.
   *
   * @param picture what it is called where it is kept
   */
  record Pictured(Instant at, String step, String picture) implements Entry {}

  /**
   * What the scale was set to nothing with counts no more.
   *
   * @param scale that is read in place of the one before; empty where the same was set to nothing
   *     for another mould
   */
  record ZeroLost(Instant at, String scale) implements Entry {}

  /**
   * A pack was picked that rubber is taken from, from here on.
   *
   * @param product as its rubber is called where it is kept
   * @param lot what the pack is called there
   * @param number of the lot, as it is printed on the pack; empty without one
   */
  record Picked(Instant at, String product, String lot, String number) implements Entry {}

  /** A device was lost, or is heard again. */
  record Heard(Instant at, String device, boolean heard) implements Entry {}

  /**
   * From here on it goes by a plan that was made anew.
   *
   * @param says what is another in it, in sentences
   */
  record Replanned(Instant at, List<String> says) implements Entry {

    public Replanned {
      says = List.copyOf(says);
    }
  }

  /**
   * An earlier entry does not count.
   *
   * @param number of it, from 1
   */
  record Corrected(Instant at, int number, String why) implements Entry {}
}
