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
import ungula.core.sentence.WordBook.Edit;

/**
 * Something a plan rests on that nobody has said.
 *
 * @param word of the job that says it; null when it is said of the workshop
 * @param stage the word stands on; null with it
 * @param text as it is assumed, in a few words
 * @param confirm makes it said; null when it is the workshop's
 */
public record Assumed(String word, Stage stage, String text, Edit confirm) {

  /** Of a plan, what weighs most first; empty while there is no master to plan for. */
  static List<Assumed> of(Plan p) {
    List<Assumed> all = new ArrayList<>();
    if (p.facts() == null) {
      return all;
    }
    Choices c = p.choices();
    Map<String, Word.State> words = ChoiceWords.states(c);
    open(all, c, words, "mould.kind", Stage.MOULD, "");
    if (p.facts().guessedUnitMm() != null) {
      String unit = FileUnit.name(p.facts().guessedUnitMm());
      Edit say = Edit.of("master.unitMm", unit);
      all.add(new Assumed(say.word(), Stage.MASTER, "file in " + unit, say));
    }
    if (c.mould().kind().poured()) {
      open(all, c, words, "mould.sidesMm", Stage.MOULD, " round the sides");
      open(all, c, words, "mould.overTopMm", Stage.MOULD, " over the top");
    }
    if (c.cast().product() == null) {
      open(all, c, words, "cast.material", Stage.RUBBER, " casts");
    }
    if (p.workshop().roomAssumed()) {
      String room = Temperature.format(p.workshop().roomC(), p.units());
      all.add(new Assumed(null, null, room, null));
    }
    return all;
  }

  private static void open(
      List<Assumed> all,
      Choices c,
      Map<String, Word.State> words,
      String key,
      Stage stage,
      String after) {
    if (!c.decided(key)) {
      all.add(new Assumed(key, stage, words.get(key).text() + after, Edit.asItStands(key)));
    }
  }
}
