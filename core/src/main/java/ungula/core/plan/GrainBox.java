package ungula.core.plan;

import java.util.Objects;
import java.util.function.Function;
import ungula.core.choice.Choices;
import ungula.core.master.Measured;
import ungula.core.mould.BoxMould;

/**
 * Grain round the master was read in the box there was: its room is kept with the reading, so that
 * another box changes nothing that was read.
 */
public final class GrainBox {

  private GrainBox() {}

  /**
   * Choices after a change, the box of their reading kept.
   *
   * @param facts of the master as choices have it; null while its size is not known
   */
  public static Choices kept(Choices before, Choices after, Function<Choices, MasterFacts> facts) {
    Measured was = before.master().measured();
    Measured is = after.master().measured();
    boolean readAgain = !Objects.equals(was.grainMm3(), is.grainMm3());
    boolean boxSaid = !Objects.equals(was.grainBoxMm3(), is.grainBoxMm3());
    if (is.grainMm3() == null) {
      return is.grainBoxMm3() == null ? after : after.readIn(null);
    }
    if (boxSaid || is.grainBoxMm3() != null && !readAgain) {
      return after;
    }
    // what was read before boxes were kept was read in the box as it was until now
    return after.readIn(roomMm3(readAgain ? after : before, facts));
  }

  private static Double roomMm3(Choices choices, Function<Choices, MasterFacts> facts) {
    return Planner.box(choices, facts.apply(choices)).map(GrainBox::roomMm3).orElse(null);
  }

  /** Up to the pour line. */
  static double roomMm3(BoxMould box) {
    return box.insideAreaMm2() * box.pourLineMm();
  }
}
