package ungula.server.run;

import org.jspecify.annotations.Nullable;
import ungula.core.cast.Made;
import ungula.core.run.Entry;

/**
 * Something somebody does at the bench.
 *
 * @param id made where it is done: delivered twice it happens once
 * @param key of the step, gate or batch it is done to
 * @param part that was weighed
 * @param which of what is stirred in, from 0
 * @param value as typed: grams, or a level
 * @param yes of a gate whether it was seen to, of a verdict whether it is good
 * @param number of the entry it corrects
 * @param why it is corrected or left out
 * @param foam what it does
 * @param result how a cast came out
 * @param who does it, in a few letters
 * @param agoMs how long ago that was, when it is delivered late
 */
record Act(
    String id,
    Kind kind,
    @Nullable String key,
    Entry.@Nullable Part part,
    @Nullable Integer which,
    @Nullable String value,
    @Nullable Boolean yes,
    @Nullable Integer number,
    @Nullable String why,
    Entry.@Nullable Foam foam,
    Made.@Nullable Result result,
    @Nullable String who,
    long agoMs) {

  enum Kind {
    /** A step is done. */
    TICK,
    /** A question before a pour. */
    GATE,
    VERDICT,
    /** Grams, by hand. */
    GRAMS,
    TARE,
    LEVEL,
    FOAM,
    /** What was taken for the second part was still the first. */
    STILL_BASE,
    START_OVER,
    /** A cast came out: its weight is the value. */
    RESULT,
    /** The batch is weighed for another mould as well: the run in which that is made. */
    SHARE,
    /** It goes on by the job's plan as it is now. */
    REPLAN,
    LEAVE_OUT,
    CORRECT,
    /** Rubber is taken from a pack: its key. */
    LOT,
    /** The scale is read for this run from now on; where a key says which, that one. */
    SCALE
  }
}
