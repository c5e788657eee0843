package ungula.core.step;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import ungula.core.step.Step.Kind;

/** Steps in a few words, taken from the sentences they are told by. */
final class Labels {

  private static final int WORDS = 3;

  /** What a mould does while one waits. */
  private static final Map<String, String> DOES =
      Map.of(
          "dry", "dries", "cure", "cures", "set", "sets", "cool", "cools", "turn", "turns tacky");

  private Labels() {}

  /**
   * @param unbroken its group, which is one piece of work; empty for none
   */
  static String of(Kind kind, String unbroken, String what) {
    if (kind == Kind.WAIT) {
      return does(what);
    }
    return unbroken.isEmpty() ? done(what) : unbroken.replace('.', ' ');
  }

  /** "Let the sealer dry." is "the sealer dries". */
  private static String does(String what) {
    String[] words = what.replaceFirst("^Let ", "").replaceFirst("[,.:].*$", "").split(" ");
    StringBuilder said = new StringBuilder();
    for (String word : words) {
      String does = DOES.get(word);
      said.append(said.isEmpty() ? "" : " ").append(does == null ? word : does);
      if (does != null) {
        break;
      }
    }
    return said.toString();
  }

  /** What is done to what: "Seal the master: two thin coats" is "seal master". */
  private static String done(String what) {
    String[] words =
        what.replaceFirst("[,.:;].*$", "")
            .replaceFirst(
                " (and|to|with|round|from|in|into|against|between|level|that|on|of|for|through) .*$",
                "")
            .toLowerCase(Locale.ROOT)
            .replaceAll("\\b(the|a|its|all|up|\\d+) ", "")
            .split(" ");
    return String.join(" ", List.of(words).subList(0, Math.min(WORDS, words.length)));
  }
}
