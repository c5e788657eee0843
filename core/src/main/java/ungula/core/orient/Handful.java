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
    VENTS("asks for the fewest vents"),
    BARGAIN("leaves little air for little more rubber"),
    LOCKED("has the least rubber under overhangs"),
    HEIGHT("stands lowest"),
    CLEAN("keeps what is marked clean off the plate"),
    BASE("stands on its flat base"),
    FLAT("takes the least rubber of those that stand by themselves"),
    ALL("is best by what counts");

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

  /** How much each counts, none less than 0. */
  public record Counts(double rubber, double casts, double work) {}

  /** A hundredth of a cast that is air is worth so many hundredths of the rubber. */
  private static final double SPOILS = 2;

  public static final Counts EVEN = new Counts(1, 1, 1);

  /**
   * @param rubberMm3 in the box round it
   * @param castMm3 air in a cast
   * @param vents a cast asks for
   * @param uncleanMm2 of what is marked clean that faces the plate
   * @param onBaseMm2 of what is marked as its base that faces the plate
   * @param masterMm3 volume of the master
   * @param worthMm3 volumes closer than this count as equal
   * @param counts how much rubber, air, vents and clean faces, and overhangs and height count
   */
  public record Scores(
      ToDoubleFunction<Stand> rubberMm3,
      ToDoubleFunction<Stand> castMm3,
      ToDoubleFunction<Stand> vents,
      ToDoubleFunction<Stand> uncleanMm2,
      ToDoubleFunction<Stand> onBaseMm2,
      double masterMm3,
      double worthMm3,
      Counts counts) {}

  public static List<Pick> of(List<Stand> stands, Scores scores) {
    if (stands.isEmpty()) {
      return List.of();
    }
    double worth = scores.worthMm3;
    Counts counts = scores.counts;
    Score rubber = new Score(stands, scores.rubberMm3, worth);
    ToDoubleFunction<Stand> airMm3 = s -> s.pouredMm3() + scores.castMm3.applyAsDouble(s);
    Score air = new Score(stands, airMm3, worth);
    Score vents = new Score(stands, scores.vents, 0.5);
    Score locked = new Score(stands, Stand::lockedMm3, worth);
    Score height = new Score(stands, s -> s.sizeMm().z(), 0.1);
    Score clean = new Score(stands, scores.uncleanMm2, 1);
    Map<Best, Score> by = new EnumMap<>(Best.class);
    by.put(Best.RUBBER, rubber);
    by.put(Best.AIR, air);
    by.put(Best.VENTS, vents);
    by.put(Best.LOCKED, locked);
    by.put(Best.HEIGHT, height);
    by.put(Best.CLEAN, clean);
    if (rubber.tells() && air.tells()) {
      ToDoubleFunction<Stand> both =
          s ->
              counts.rubber * scores.rubberMm3.applyAsDouble(s) / Math.max(1, rubber.least)
                  + counts.casts * SPOILS * airMm3.applyAsDouble(s) / scores.masterMm3;
      by.put(Best.BARGAIN, new Score(stands, both, 0));
    }
    ToDoubleFunction<Stand> together =
        s ->
            counts.rubber * rubber.of(s)
                + counts.casts * (air.of(s) + vents.of(s) + clean.of(s))
                + counts.work * (locked.of(s) + height.of(s));
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
    picks.sort(Comparator.comparingDouble(p -> together.applyAsDouble(p.stand)));
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
