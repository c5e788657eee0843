package ungula.core.pour;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * Into how many equal batches a mix is split: the fewest that keep within every limit. Equal,
 * because a big first one and an awkward rest is the classic regret.
 *
 * @param count of equal batches; {@link #MOST} when a limit lets nothing through
 * @param eachMm3 volume of each
 * @param largestMm3 that every limit lets through; infinite while none is known
 * @param reason the limit that decided; null when one batch keeps within all of them
 * @param without how many there would be if a limit were lifted, for those that would help
 */
public record Batching(
    int count, double eachMm3, double largestMm3, Limit reason, List<Without> without) {

  /** More batches than this is no plan. */
  public static final int MOST = 99;

  /** Shares of a batch this small are rounding. */
  private static final double ROUNDING = 1e-9;

  /** What a batch must keep within. */
  public enum Limit {
    /** Stirred by hand, evenly, in time. */
    MIXING("More cannot be stirred evenly by hand in time.", "with a mixer on a drill"),
    /** Rubber in one bucket. */
    BUCKET("More cannot be carried and poured from one bucket.", "with two who pour"),
    /** The largest vessel there is. */
    VESSEL("The largest vessel holds no more.", "in a larger vessel"),
    /** Foam in the largest vessel that fits the vacuum chamber. */
    DEGASSING(
        "Its foam fills the largest vessel that goes into the vacuum chamber.",
        "with a larger chamber and vessel"),
    /** What the scale carries. */
    SCALE("The scale cannot weigh more.", "on a larger scale"),
    /** Four fifths of the pot life. */
    CLOCK(
        "More cannot be weighed, mixed and poured within four fifths of the pot life.",
        "with a slower grade, or a helper");

    private final String reason;
    private final String lifted;

    Limit(String reason, String lifted) {
      this.reason = reason;
      this.lifted = lifted;
    }

    /** Why a batch is no larger, as a sentence. */
    public String reason() {
      return reason;
    }

    /** What lifting it would take, as a phrase. */
    public String lifted() {
      return lifted;
    }
  }

  /**
   * @param limit that is lifted
   * @param count of batches then
   */
  public record Without(Limit limit, int count) {}

  /**
   * @param totalMm3 to be mixed
   * @param mostMm3 volume of the largest batch each limit lets through; limits that are not known
   *     are left out
   */
  public static Batching of(double totalMm3, Map<Limit, Double> mostMm3) {
    int count = 1;
    Limit reason = null;
    for (Map.Entry<Limit, Double> e : mostMm3.entrySet()) {
      int needed = needed(totalMm3, e.getValue());
      if (needed > count) {
        count = needed;
        reason = e.getKey();
      }
    }
    List<Without> without = new ArrayList<>();
    for (Limit lifted : mostMm3.keySet()) {
      Map<Limit, Double> rest = new EnumMap<>(mostMm3);
      rest.remove(lifted);
      int then = rest.values().stream().mapToInt(m -> needed(totalMm3, m)).max().orElse(1);
      if (then < count) {
        without.add(new Without(lifted, then));
      }
    }
    without.sort(Comparator.comparingInt(Without::count));
    double largest =
        mostMm3.values().stream().mapToDouble(m -> m).min().orElse(Double.POSITIVE_INFINITY);
    return new Batching(count, totalMm3 / count, largest, reason, List.copyOf(without));
  }

  private static int needed(double totalMm3, double mostMm3) {
    if (!(mostMm3 > 0)) {
      return MOST;
    }
    return (int) Math.max(1, Math.min(MOST, Math.ceil(totalMm3 / mostMm3 - ROUNDING)));
  }
}
