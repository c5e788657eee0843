package ungula.core.rubber;

import ungula.core.quantity.Mass;
import ungula.core.quantity.Units;

/**
 * What the second part must be, from what was really poured of the first, and what is still
 * possible when the second went over.
 *
 * @param firstIsBase which part went into the cup first
 * @param targetG of the second part
 * @param state of the second part, once it is weighed
 * @param words what to do now
 */
public record SecondPart(boolean firstIsBase, double targetG, State state, String words) {

  public enum State {
    TO_POUR,
    RIGHT,
    UNDER,
    OVER
  }

  /**
   * @param firstIsBase which part went into the cup first
   * @param firstG what was really poured of it
   * @param secondG what was really poured of the second; null while it is still to come
   * @param hardenerPerBase grams for every gram of base
   * @param toleranceShare how far off counts as right
   * @param role what is mixed, for what its parts are called
   */
  public static SecondPart of(
      boolean firstIsBase,
      double firstG,
      Double secondG,
      double hardenerPerBase,
      double toleranceShare,
      Product.Role role,
      Units units) {
    double target = firstIsBase ? firstG * hardenerPerBase : firstG / hardenerPerBase;
    String second = firstIsBase ? role.second() : role.first();
    String first = firstIsBase ? role.first() : role.second();
    if (secondG == null) {
      return new SecondPart(
          firstIsBase,
          target,
          State.TO_POUR,
          "Now pour " + Mass.format(target, units) + " of " + second + ".");
    }
    double off = secondG / target - 1;
    if (Math.abs(off) <= toleranceShare) {
      return new SecondPart(firstIsBase, target, State.RIGHT, "That is right: mix.");
    }
    if (off < 0) {
      return new SecondPart(
          firstIsBase,
          target,
          State.UNDER,
          "Pour " + Mass.format(target - secondG, units) + " more of " + second + ".");
    }
    double more = (firstIsBase ? secondG / hardenerPerBase : secondG * hardenerPerBase) - firstG;
    return new SecondPart(
        firstIsBase,
        target,
        State.OVER,
        "Too much "
            + second
            + ". Before mixing, add "
            + Mass.format(more, units)
            + " of "
            + first
            + " if the cup holds it and the parts have not met, or start again in a clean cup.");
  }
}
