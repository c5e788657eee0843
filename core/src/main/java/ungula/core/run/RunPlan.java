package ungula.core.run;

import java.util.List;
import ungula.core.quantity.Units;
import ungula.core.rubber.Product;

/**
 * What of a plan is frozen when a run is begun: planned again, it stays what this run went by.
 *
 * @param gates to be seen to before the first batch is weighed
 * @param batches in the order they are mixed
 * @param rise of the box they go into; null without one
 * @param role of what is mixed, for what its parts are called
 */
public record RunPlan(
    List<Gate> gates, List<Batch> batches, Rise rise, Product.Role role, Units units) {

  /**
   * @param what to see to, in a sentence
   */
  public record Gate(String key, String what) {}

  /**
   * A batch as it was planned.
   *
   * @param key such as {@code pour.1.2}; those of its steps begin with it
   * @param baseG of the first part
   * @param hardenerPerBase grams of the second part for each gram of the first
   * @param tolerance share of the second part's target that is still right
   * @param density of the mix, g/cm³; null where it is not known
   * @param potLifeMin in the room as it is, from when its parts meet; null where it is not known
   * @param tasks once it is weighed, in turn; the last pours it
   */
  public record Batch(
      String key,
      double baseG,
      double hardenerPerBase,
      double tolerance,
      Double density,
      Double potLifeMin,
      List<Task> tasks) {

    /** The first part as it is, though it is not what was planned. */
    public String base() {
      return key + ".base";
    }

    /** What pours it. */
    public String pour() {
      return tasks.get(tasks.size() - 1).key();
    }
  }

  /**
   * @param what is done, in a sentence
   */
  public record Task(String key, String what) {}
}
