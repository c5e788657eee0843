package ungula.core.diagnose;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Something that is not on record and would help to know.
 *
 * @param fact that is not known
 * @param text to ask for it
 * @param answers to choose from; empty where it is typed
 * @param unit of what is typed; empty without one
 */
public record Question(String fact, String text, List<Answer> answers, String unit) {

  /**
   * @param facts that are known by it
   */
  public record Answer(String text, Map<String, String> facts) {}

  private static final Map<String, Question> ALL = new LinkedHashMap<>();

  static {
    chosen(
        "witness",
        "Is the witness cup of the same batch hard or soft?",
        answer("hard", "witness", "hard"),
        answer("soft", "witness", "soft"),
        answer("there is none", "witness", "none"));
    chosen(
        "hardenerG",
        "How much hardener went in, against what the sheet asks for?",
        answer("much less", "baseG", "1", "hardenerG", "0.8", "ratio", "1 : 1"),
        answer("a little less", "baseG", "1", "hardenerG", "0.96", "ratio", "1 : 1"),
        answer("as much", "baseG", "1", "hardenerG", "1", "ratio", "1 : 1"),
        answer("much more", "baseG", "1", "hardenerG", "1.2", "ratio", "1 : 1"));
    chosen(
        "patch",
        "Was a patch of the rubber tried on the master, and did it cure?",
        answer("it cured", "patch", "cured"),
        answer("it stayed tacky", "patch", "tacky"),
        answer("none was tried", "patch", "none"));
    typed("roomC", "How warm was the room while it cured?", "\u00b0C");
    yesOrNo("secondCup", "Was it poured over into a second cup and stirred again?");
    typed("stirredByHandG", "How much was stirred by hand in one pot?", "g");
    chosen(
        "trapMl",
        "Does air stay at that place, as the drawing shows it?",
        answer("yes", "trapMl", "1"),
        answer("no", "trapMl", "0"));
    typed("vents", "How many vents does the mould have?", "");
    yesOrNo("degassed", "Was the mix degassed?");
    typed("castAtKPa", "Under what pressure was it cast?", "kPa");
    typed("curedAtKPa", "Under what pressure did the rubber cure?", "kPa");
    yesOrNo("webCut", "Was the web through the master cut before it was opened?");
    typed("elongationPct", "How far does the rubber stretch, as its sheet says?", "%");
    chosen(
        "bands",
        "How was it held shut?",
        answer("by tight bands", "bands", "tight"),
        answer("by boards and clamps", "bands", "boards"),
        answer("just closed", "bands", "loose"));
    typed("keys", "How many keys does the parting have?", "");
    typed("hoursBetweenCoats", "How many hours lay between the two coats?", "h");
    yesOrNo("massaged", "Was anything brushed in between?");
    yesOrNo("releaseSkipped", "Was release on the first half skipped?");
    yesOrNo("filledWithWater", "Was the mould filled with water before?");
    chosen(
        "demouldMin",
        "Was it taken out before the time the sheet gives?",
        answer("before it", "demouldMin", "0.5", "sheetDemouldMin", "1"),
        answer("after it", "demouldMin", "1.2", "sheetDemouldMin", "1"));
    typed("masterMaterial", "What is the master of?", "");
    chosen(
        "chemistry",
        "Does the rubber cure by addition or by condensation?",
        answer("addition", "chemistry", "addition"),
        answer("condensation", "chemistry", "condensation"));
    typed("preparation", "How was the master made ready?", "");
    typed("castMaterial", "What was cast?", "");
  }

  private static Answer answer(String text, String... facts) {
    Map<String, String> all = new LinkedHashMap<>();
    for (int i = 0; i < facts.length; i += 2) {
      all.put(facts[i], facts[i + 1]);
    }
    return new Answer(text, all);
  }

  private static void chosen(String fact, String text, Answer... answers) {
    ALL.put(fact, new Question(fact, text, List.of(answers), ""));
  }

  private static void yesOrNo(String fact, String text) {
    chosen(fact, text, answer("yes", fact, "yes"), answer("no", fact, "no"));
  }

  private static void typed(String fact, String text, String unit) {
    ALL.put(fact, new Question(fact, text, List.of(), unit));
  }

  /** How a fact is asked for. */
  static Question of(String fact) {
    return ALL.get(fact);
  }
}
