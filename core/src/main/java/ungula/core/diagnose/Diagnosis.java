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

  /**
   * @param fact that is not known
   * @param text to ask for it
   */
  public record Question(String fact, String text) {}

  private static final Map<String, String> ASKED = new LinkedHashMap<>();

  static {
    ASKED.put("witness", "Is the witness cup of the same batch hard or soft?");
    ASKED.put("hardenerG", "How much of each part was weighed, and what does the sheet say?");
    ASKED.put("patch", "Was a patch of the rubber tried on the master, and did it cure?");
    ASKED.put("roomC", "How warm was the room while it cured?");
    ASKED.put("secondCup", "Was it poured over into a second cup and stirred again?");
    ASKED.put("stirredByHandG", "How much was stirred by hand in one pot?");
    ASKED.put("trapMl", "Does air stay at that place, as the drawing shows it?");
    ASKED.put("vents", "How many vents does the mould have?");
    ASKED.put("degassed", "Was the mix degassed?");
    ASKED.put("castAtKPa", "Under what pressure was it cast?");
    ASKED.put("curedAtKPa", "Under what pressure did the rubber cure?");
    ASKED.put("webCut", "Was the web through the master cut before it was opened?");
    ASKED.put("elongationPct", "How far does the rubber stretch, as its sheet says?");
    ASKED.put("bands", "How was it held shut?");
    ASKED.put("keys", "How many keys does the parting have?");
    ASKED.put("hoursBetweenCoats", "How many hours lay between the two coats?");
    ASKED.put("massaged", "Was anything brushed in between?");
    ASKED.put("releaseSkipped", "Was release on the first half skipped?");
    ASKED.put("filledWithWater", "Was the mould filled with water before?");
    ASKED.put("demouldMin", "After how long was it taken out, and what does the sheet say?");
    ASKED.put("masterMaterial", "What is the master of?");
    ASKED.put("chemistry", "Does the rubber cure by addition or by condensation?");
    ASKED.put("preparation", "How was the master made ready?");
    ASKED.put("castMaterial", "What was cast?");
  }

  /** What is behind it, as far as can be told. */
  public static Diagnosis of(Seen seen, Facts facts) {
    Map<Cause, Double> begins = Rules.ALL.likely(seen);
    List<Rule> rules =
        Rules.ALL.of(seen).stream().filter(r -> begins.containsKey(r.cause())).toList();
    List<Ranked> causes = new ArrayList<>();
    begins.forEach((cause, likely) -> causes.add(ranked(cause, likely, rules, facts)));
    causes.sort(Comparator.comparingDouble((Ranked r) -> -r.score()).thenComparing(Ranked::cause));
    return new Diagnosis(List.copyOf(causes), questions(causes, rules, facts));
  }

  private static Ranked ranked(Cause cause, double begins, List<Rule> rules, Facts facts) {
    double score = begins;
    List<String> forIt = new ArrayList<>();
    List<String> against = new ArrayList<>();
    for (Rule r : rules) {
      if (r.cause() == cause && r.holds().apply(facts).orElse(false)) {
        score += r.weight();
        (r.weight() > 0 ? forIt : against).add(r.reason() + " (" + signed(r.weight()) + ")");
      }
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
        .map(e -> new Question(e.getKey(), ASKED.get(e.getKey())))
        .toList();
  }
}
