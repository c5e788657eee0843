package ungula.core.learn;

import java.util.List;
import java.util.Optional;

/**
 * How much a cast weighs for each gram of its master, by a shop's own casts of one material from
 * masters of one material: density of the cast ÷ density of the master, with what sprue and vents
 * usually add.
 *
 * @param factor their middle
 * @param spread how far they stray, as a standard deviation
 * @param jobs it is learned from
 * @param outOfLine jobs that are far off, by name
 */
public record CastFactor(double factor, double spread, int jobs, List<String> outOfLine) {

  /** Two factors that differ by less were weighed alike. */
  private static final double READ = 0.002;

  /** What one job's casts weigh for each gram of its master. */
  public record Own(String job, double factor) {}

  /** Empty while too few jobs were weighed. */
  public static Optional<CastFactor> of(List<Own> own) {
    return Learned.of(own.stream().map(Own::factor).toList(), READ)
        .map(
            l ->
                new CastFactor(
                    l.median(),
                    l.deviation(),
                    l.jobs(),
                    l.outOfLine().stream().map(i -> own.get(i).job()).toList()));
  }
}
