package ungula.core.pour;

import java.util.List;

/**
 * One batch of rubber, by the keys of its figures.
 *
 * @param number in the order they are mixed, from 1
 * @param pour it belongs to, from 1; of a skin its coat
 * @param batch of that pour, from 1: re-planning one pour does not renumber another
 * @param of what it is for, when they are for different things; else empty
 * @param key its own figures begin so: fill, level, start, by
 * @param base what to weigh of the base
 * @param hardener what to weigh of the hardener
 * @param additives what is stirred in, one after the other
 * @param build whether it is of the rubber picked for build coats
 */
public record PlannedBatch(
    int number,
    int pour,
    int batch,
    String of,
    String key,
    String base,
    String hardener,
    List<String> additives,
    boolean build) {

  public PlannedBatch {
    additives = List.copyOf(additives);
  }

  /** What a figure of it is called. */
  public String figure(String what) {
    return "batch " + number + ", " + what;
  }
}
