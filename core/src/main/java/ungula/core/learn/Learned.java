package ungula.core.learn;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What several jobs teach of one number: its middle and how far it strays, which a few odd ones
 * hardly move. All of them count in both; those far off are named, and nothing is averaged.
 *
 * @param median of all
 * @param mad median of how far each is off the median
 * @param outOfLine which of them, from 0, are more than 3.5 standard deviations off; a deviation is
 *     1.4826 × MAD, and not under what can be read
 * @param jobs it is learned from
 */
public record Learned(double median, double mad, List<Integer> outOfLine, int jobs) {

  /** Fewer teach nothing yet. */
  public static final int LEAST_JOBS = 3;

  /** A standard deviation in median deviations, of what strays normally. */
  private static final double SIGMA = 1.4826;

  private static final double FAR = 3.5;

  /** What is planned with is over the median by so many standard deviations. */
  private static final double SAFE = 2;

  /**
   * @param values one of each job
   * @param readingError what one can be wrong by because nobody reads closer
   * @return empty while there are too few
   */
  public static Optional<Learned> of(List<Double> values, double readingError) {
    if (values.size() < LEAST_JOBS) {
      return Optional.empty();
    }
    double median = median(values);
    double mad = median(values.stream().map(v -> Math.abs(v - median)).toList());
    double far = FAR * SIGMA * Math.max(mad, readingError);
    List<Integer> out =
        IntStream.range(0, values.size())
            .filter(i -> Math.abs(values.get(i) - median) > far)
            .boxed()
            .toList();
    return Optional.of(new Learned(median, mad, out, values.size()));
  }

  /** A standard deviation of what strays normally. */
  public double deviation() {
    return SIGMA * mad;
  }

  /** What to allow for next time. */
  public double allowance() {
    return median + SAFE * deviation();
  }

  private static double median(List<Double> values) {
    double[] sorted = values.stream().mapToDouble(v -> v).sorted().toArray();
    int half = sorted.length / 2;
    return sorted.length % 2 == 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
  }
}
