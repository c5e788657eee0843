package ungula.core.orient;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToDoubleFunction;

/**
 * Of all ways to stand the few that are best at something. None of them is beaten by another way in
 * everything (Pareto).
 */
public final class Handful {

  /** As good as the best: within this share of the range. */
  private static final double SLACK = 0.01;

  private Handful() {}

  /** What a way can be best at; the least counts. */
  public enum Best {
    RUBBER("takes the least rubber"),
    AIR("leaves the least air"),
    LOCKED("has the least rubber under overhangs"),
    HEIGHT("stands lowest"),
    CLEAN("keeps what is marked clean off the plate"),
    BASE("stands on its flat base"),
    FLAT("takes the least rubber of those that stand by themselves"),
    ALL("is good at all of it");

    private final String text;

    Best(String text) {
      this.text = text;
    }

    /** To follow the name of the way. */
    public String text() {
      return text;
    }
  }

  /**
   * @param best at what; not empty
   */
  public record Pick(Stand stand, Set<Best> best) {}

  /**
   * @param rubberMm3 in the box round it
   * @param uncleanMm2 of what is marked clean that faces the plate
   * @param onBaseMm2 of what is marked as its base that faces the plate
   * @param worthMm3 volumes closer than this count as equal
   */
  public record Scores(
      ToDoubleFunction<Stand> rubberMm3,
      ToDoubleFunction<Stand> uncleanMm2,
      ToDoubleFunction<Stand> onBaseMm2,
      double worthMm3) {}

  public static List<Pick> of(List<Stand> stands, Scores scores) {
    if (stands.isEmpty()) {
      return List.of();
    }
    double worth = scores.worthMm3;
    Map<Best, Score> by = new EnumMap<>(Best.class);
    by.put(Best.RUBBER, new Score(stands, scores.rubberMm3, worth));
    by.put(Best.AIR, new Score(stands, Stand::airMm3, worth));
    by.put(Best.LOCKED, new Score(stands, Stand::lockedMm3, worth));
    by.put(Best.HEIGHT, new Score(stands, s -> s.sizeMm().z(), 0.1));
    by.put(Best.CLEAN, new Score(stands, scores.uncleanMm2, 1));
    List<Score> all = List.copyOf(by.values());
    ToDoubleFunction<Stand> together = s -> all.stream().mapToDouble(score -> score.of(s)).sum();
    by.put(Best.ALL, new Score(stands, together, 0));
    List<Stand> flat = stands.stream().filter(Stand::flat).toList();
    if (!flat.isEmpty()) {
      by.put(Best.BASE, new Score(flat, s -> -scores.onBaseMm2.applyAsDouble(s), 1));
      by.put(Best.FLAT, new Score(flat, scores.rubberMm3, worth));
    }
    List<Pick> picks = new ArrayList<>();
    by.forEach(
        (best, score) -> {
          if (score.tells() || best == Best.FLAT) {
            choose(best, score.leading(), together, picks);
          }
        });
    return picks;
  }

  private static void choose(
      Best best, List<Stand> leading, ToDoubleFunction<Stand> together, List<Pick> picks) {
    for (Pick p : picks) {
      if (leading.contains(p.stand)) {
        p.best.add(best);
        return;
      }
    }
    Stand first = leading.stream().min(Comparator.comparingDouble(together)).orElseThrow();
    picks.add(new Pick(first, EnumSet.of(best)));
  }

  /** One way of looking at some ways to stand: 0 is the best of them, 1 the worst. */
  private static final class Score {
    private final List<Stand> stands;
    private final ToDoubleFunction<Stand> value;
    private final double least;
    private final double range;
    private final double worth;

    Score(List<Stand> stands, ToDoubleFunction<Stand> value, double worth) {
      this.stands = stands;
      this.value = value;
      this.worth = worth;
      this.least = stands.stream().mapToDouble(value).min().orElseThrow();
      this.range = stands.stream().mapToDouble(value).max().orElseThrow() - least;
    }

    double of(Stand s) {
      return range > 0 ? (value.applyAsDouble(s) - least) / range : 0;
    }

    /** Whether they differ at all. */
    boolean tells() {
      return range > worth;
    }

    /** Those as good as the best. */
    List<Stand> leading() {
      double slack = Math.max(SLACK * range, worth);
      return stands.stream().filter(s -> value.applyAsDouble(s) <= least + slack).toList();
    }
  }
}
