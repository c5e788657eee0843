package ungula.core.approach;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import ungula.core.approach.Approach.Worth;
import ungula.core.choice.Weights;

/** Approaches that work, best first, by what counts for the user. */
public final class Ranking {

  private final List<Criterion> criteria;
  private final List<Approach> works;

  private Ranking(List<Approach> works, Weights w) {
    this.works = works;
    criteria =
        List.of(
            new Criterion(
                w.money(), Worth::money, "money", "rubber", " for rubber and sheet", "costs less"),
            new Criterion(
                w.time(), Worth::hours, "open", "open", " until it is open", "is open sooner"),
            new Criterion(
                w.ease(), Worth::work, "work", "work", " of work by hand", "takes less work"),
            new Criterion(
                w.finish(),
                Worth::flaws,
                "seam",
                "air",
                " of seam on every cast",
                "leaves less to clean up on casts"));
  }

  /**
   * One thing that counts.
   *
   * @param key of the figure that tells it
   * @param instead the figure while there is no such
   * @param unit to follow the figure
   * @param better what a mould does that is better at it
   */
  private record Criterion(
      int weight,
      ToDoubleFunction<Worth> value,
      String key,
      String instead,
      String unit,
      String better) {

    double of(Approach a) {
      return value.applyAsDouble(a.worth());
    }

    String text(Approach a) {
      boolean known = a.figures().containsKey(key);
      return a.figures().get(known ? key : instead).text() + (known ? unit : " of " + instead);
    }
  }

  /**
   * @param approaches best first; what cannot work last
   * @param says which to take and why, with the numbers; empty when nothing works
   * @param brief the same without them, for where another rubber changes them
   */
  public record Ranked(List<Approach> approaches, String says, String brief) {}

  public static Ranked of(List<Approach> all, Weights weights) {
    List<Approach> works = all.stream().filter(Approach::works).toList();
    Ranking ranking = new Ranking(works, weights);
    List<Approach> best = new ArrayList<>(works);
    best.sort(Comparator.comparing(Approach::hollow).thenComparingDouble(ranking::score));
    List<Approach> solid = best.stream().filter(a -> !a.hollow()).toList();
    all.stream().filter(a -> !a.works()).forEach(best::add);
    return new Ranked(List.copyOf(best), ranking.says(solid), ranking.brief(solid));
  }

  /** 0 is best at everything that counts; each counts by its weight, from the best to the worst. */
  private double score(Approach a) {
    return criteria.stream().mapToDouble(c -> c.weight * behind(c, a)).sum();
  }

  private double behind(Criterion c, Approach a) {
    double least = works.stream().mapToDouble(c::of).min().orElseThrow();
    double most = works.stream().mapToDouble(c::of).max().orElseThrow();
    return most > least ? (c.of(a) - least) / (most - least) : 0;
  }

  private String says(List<Approach> best) {
    if (best.isEmpty()) {
      return "";
    }
    Approach first = best.get(0);
    String choose = "Choose the " + first.title();
    if (best.size() == 1) {
      return choose
          + ": "
          + criteria.get(0).text(first)
          + ", "
          + criteria.get(1).text(first)
          + ". Nothing else works.";
    }
    Approach next = best.get(1);
    List<Criterion> deciding = deciding(first, next);
    return choose
        + ". Compared with the "
        + (next.now() ? "present mould" : next.title())
        + ": "
        + against(deciding.get(0), first, next)
        + "; "
        + against(deciding.get(1), first, next)
        + ".";
  }

  private String brief(List<Approach> best) {
    if (best.isEmpty()) {
      return "";
    }
    Approach first = best.get(0);
    if (best.size() == 1) {
      return "Choose the " + first.title() + ". Nothing else works.";
    }
    Approach next = best.get(1);
    List<String> better =
        deciding(first, next).stream()
            .filter(c -> behind(c, first) < behind(c, next))
            .map(c -> c.better)
            .toList();
    return "Choose the "
        + first.title()
        + "."
        + (better.isEmpty()
            ? " The " + next.title() + " is as good."
            : " It " + String.join(" and ", better) + " than the " + next.title() + ".");
  }

  /** The two things that count most for the first of two. */
  private List<Criterion> deciding(Approach first, Approach next) {
    return criteria.stream()
        .sorted(Comparator.comparingDouble(c -> -c.weight * (behind(c, next) - behind(c, first))))
        .limit(2)
        .toList();
  }

  private static String against(Criterion c, Approach first, Approach next) {
    String a = c.text(first);
    String b = c.text(next);
    return a.equals(b) ? "the same " + a : a + " against " + b.replace(c.unit, "");
  }
}
