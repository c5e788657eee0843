package ungula.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.plan.Plan;
import ungula.core.quantity.FileUnit;
import ungula.core.quantity.Temperature;
import ungula.core.sentence.Word;

/**
 * Something a plan rests on that nobody has said.
 *
 * @param word of the job that says it; null when it is said of the workshop
 * @param text as it is assumed, in a few words
 * @param confirm written into the word, makes it said; empty when it is the workshop's
 */
public record Assumed(String word, String text, String confirm) {

  /** Of a plan, what weighs most first; empty while there is no master to plan for. */
  static List<Assumed> of(Plan p) {
    List<Assumed> all = new ArrayList<>();
    if (p.facts() == null) {
      return all;
    }
    Choices c = p.choices();
    Map<String, Word.State> words = ChoiceWords.states(c);
    open(all, c, words, "mould.kind", "");
    if (p.facts().guessedUnitMm() != null) {
      String unit = FileUnit.name(p.facts().guessedUnitMm());
      all.add(new Assumed("master.unitMm", "file in " + unit, unit));
    }
    if (c.mould().kind().poured()) {
      open(all, c, words, "mould.sidesMm", " round the sides");
      open(all, c, words, "mould.overTopMm", " over the top");
    }
    if (c.cast().product() == null) {
      open(all, c, words, "cast.material", " casts");
    }
    if (p.workshop().roomAssumed()) {
      all.add(new Assumed(null, Temperature.format(p.workshop().roomC(), p.units()), ""));
    }
    return all;
  }

  private static void open(
      List<Assumed> all, Choices c, Map<String, Word.State> words, String key, String after) {
    if (!c.decided(key)) {
      Word.State word = words.get(key);
      String confirm = word.value().isEmpty() ? word.text() : word.value();
      all.add(new Assumed(key, word.text() + after, confirm));
    }
  }
}
