package ungula.core.diagnose;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import ungula.core.quantity.Numbers;

/**
 * Why something went wrong: each cause begins with how likely it is for what is seen, and each fact
 * that is known adds to it or takes from it, as {@link Rules} say; the sum ranks them. What is not
 * known says nothing, and is asked for where it could turn the order, four things at most. Pure.
 *
 * @param causes the likeliest first
 * @param questions what to ask, what tells most first
 */
public record Diagnosis(List<Ranked> causes, List<Question> questions) {

  private static final int MOST_QUESTIONS = 4;

  /** So many causes are worth asking for. */
  private static final int CONTENDERS = 3;

  /**
   * A cause with its reasons.
   *
   * @param score sum of what it begins with and of all that is known
   * @param begins with so much, before anything is known
   * @param forIt what speaks for it, with its weight
   * @param against it
   */
  public record Ranked(
      Cause cause, double score, double begins, List<String> forIt, List<String> against) {}

  /** What is behind it, as far as can be told, where it never happened before. */
  public static Diagnosis of(Seen seen, Facts facts) {
    return of(seen, facts, Map.of());
  }

  /**
   * How often something that looked alike was of a cause in this workshop, and how often it was not
   * though it was thought so.
   */
  public record Before(int right, int wrong) {

    /** So much a case that was found out turns it, and all of them together. */
    private static final double EACH = 0.5;

    private static final double MOST = 1.5;

    double weight() {
      return Math.max(-MOST, Math.min(MOST, EACH * (right - wrong)));
    }

    String text() {
      if (right == 0) {
        return "here it was thought to be this " + times(wrong) + ", and was not";
      }
      return "here it was this "
          + times(right)
          + (wrong == 0 ? "" : ", and was thought so wrongly " + times(wrong));
    }

    private static String times(int n) {
      return n == 1 ? "once" : n + " times";
    }
  }

  /**
   * What is behind it, as far as can be told.
   *
   * @param before by cause; none where it never was that
   */
  public static Diagnosis of(Seen seen, Facts facts, Map<Cause, Before> before) {
    Map<Cause, Double> begins = Rules.ALL.likely(seen);
    List<Rule> rules =
        Rules.ALL.of(seen).stream().filter(r -> begins.containsKey(r.cause())).toList();
    List<Ranked> causes = new ArrayList<>();
    begins.forEach((cause, likely) -> causes.add(ranked(cause, likely, rules, facts, before)));
    causes.sort(Comparator.comparingDouble((Ranked r) -> -r.score()).thenComparing(Ranked::cause));
    return new Diagnosis(List.copyOf(causes), questions(causes, rules, facts));
  }

  /** Facts that say something of what is seen. */
  public static List<String> facts(Seen seen) {
    Map<Cause, Double> begins = Rules.ALL.likely(seen);
    return Rules.ALL.of(seen).stream()
        .filter(r -> begins.containsKey(r.cause()))
        .map(Rule::fact)
        .distinct()
        .toList();
  }

  private static Ranked ranked(
      Cause cause, double begins, List<Rule> rules, Facts facts, Map<Cause, Before> before) {
    double score = begins;
    List<String> forIt = new ArrayList<>();
    List<String> against = new ArrayList<>();
    for (Rule r : rules) {
      if (r.cause() == cause && r.holds().apply(facts).orElse(false)) {
        score += r.weight();
        (r.weight() > 0 ? forIt : against).add(r.reason() + " (" + signed(r.weight()) + ")");
      }
    }
    Before b = before.get(cause);
    if (b != null && b.weight() != 0) {
      score += b.weight();
      (b.weight() > 0 ? forIt : against).add(b.text() + " (" + signed(b.weight()) + ")");
    }
    return new Ranked(cause, score, begins, List.copyOf(forIt), List.copyOf(against));
  }

  private static String signed(double weight) {
    return (weight > 0 ? "+" : "−") + Numbers.trimmed(Math.abs(weight), 1);
  }

  /** What could turn the order of the first: of each fact the most it could add or take. */
  private static List<Question> questions(List<Ranked> causes, List<Rule> rules, Facts facts) {
    List<Cause> first = causes.stream().limit(CONTENDERS).map(Ranked::cause).toList();
    Map<String, Double> tells = new LinkedHashMap<>();
    for (Rule r : rules) {
      if (first.contains(r.cause()) && r.holds().apply(facts).isEmpty()) {
        tells.merge(r.fact(), Math.abs(r.weight()), Math::max);
      }
    }
    return tells.entrySet().stream()
        .sorted(Map.Entry.<String, Double>comparingByValue().reversed())
        .limit(MOST_QUESTIONS)
        .map(e -> Question.of(e.getKey()))
        .toList();
  }
}
