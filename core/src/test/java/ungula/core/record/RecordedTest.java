package ungula.core.record;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.contact.Patch;
import ungula.core.quantity.Units;
import ungula.core.sentence.WordBook;
import ungula.core.sentence.WordBook.Edit;

public class RecordedTest {

  private static Recorded typed(Recorded at, String word, String text) {
    return at.edit(List.of(Edit.of(word, text)), Units.METRIC);
  }

  @Test
  public void whatIsKeptGivesTheSameBack() {
    Recorded now = Recorded.NOTHING;
    for (String[] e :
        new String[][] {
          {"master.patch", "TACKY"},
          {"master.where", "in the store, shelf 4"},
          {"rubber.firstG", "1.2064 kg"},
          {"rubber.secondG", "120.6 g"},
          {"rubber.mouldG", "2 lb"}
        }) {
      now = typed(now, e[0], e[1]);
    }
    Map<String, String> kept = Recorded.NOTHING.changedIn(now);
    assertEquals(kept.keySet(), new HashSet<>(Recorded.WORDS));
    assertEquals(Recorded.of(kept), now);
    assertEquals(now.master().patch(), Patch.TACKY);
    assertEquals(now.rubber().firstG(), 1206.4, 1e-9);
    assertEquals(now.changedIn(now), Map.of());
  }

  /** A further record corrects one; one that takes it back leaves nothing of it. */
  @Test
  public void aWeighingIsCorrectedAndTakenBack() {
    Recorded first = typed(Recorded.NOTHING, "rubber.firstG", "240 g");
    Recorded right = typed(first, "rubber.firstG", "242 g");
    Map<String, String> kept = new HashMap<>(Recorded.NOTHING.changedIn(first));
    kept.putAll(first.changedIn(right));
    assertEquals(Recorded.of(kept), right);
    Recorded none = typed(right, "rubber.firstG", "");
    kept.putAll(right.changedIn(none));
    assertEquals(Recorded.of(kept), Recorded.NOTHING);
  }

  @Test
  public void wordsOfWhatHappenedAreNotAmongTheDecisions() {
    Map<String, ?> decided = ChoiceWords.states(Choices.fresh(Units.METRIC));
    for (String word : Recorded.WORDS) {
      assertTrue(Recorded.has(word));
      assertFalse(decided.containsKey(word), word);
      assertFalse(Recorded.label(word).equals(word));
      assertTrue(Recorded.NOTHING.states(Units.METRIC).containsKey(word));
    }
    assertEquals(Recorded.NOTHING.states(Units.METRIC).size(), Recorded.WORDS.size());
    assertFalse(Recorded.has("rubber.first"));
  }

  /** A master lies where it lies, whatever is decided. */
  @Test
  public void whereAMasterIsHoldsForItsJob() {
    Choices c = Choices.fresh(Units.METRIC);
    Choices wood = ChoiceWords.edit(c, List.of(Edit.of("master.material", "WOOD")), null);
    String about = Recorded.about("master.where", c);
    assertTrue(Recorded.counts("master.where", about, wood));
    assertFalse(Recorded.counts("master.patch", Recorded.about("master.patch", c), wood));
  }

  /** What was weighed is of one rubber, whatever it is poured round. */
  @Test
  public void aWeighingHoldsForOneRubber() {
    Choices c = Choices.fresh(Units.METRIC);
    Choices picked = ChoiceWords.edit(c, List.of(Edit.of("rubber.product", "marram-20")), null);
    Choices wood = ChoiceWords.edit(picked, List.of(Edit.of("master.material", "WOOD")), null);
    for (String word : List.of("rubber.firstG", "rubber.secondG")) {
      assertNotEquals(Recorded.about(word, c), Recorded.about(word, picked));
      assertEquals(Recorded.about(word, picked), Recorded.about(word, wood));
    }
    assertNotEquals(Recorded.about("master.patch", picked), Recorded.about("master.patch", wood));
  }

  /** What a mould weighs is of one mould: other walls or another master are another. */
  @Test
  public void whatAMouldWeighsHoldsForThatMould() {
    Choices c = Choices.fresh(Units.METRIC);
    String about = Recorded.about("rubber.mouldG", c);
    for (Edit other :
        List.of(
            Edit.of("rubber.product", "marram-20"),
            Edit.of("mould.sidesMm", "31 mm"),
            Edit.of("mould.overTopMm", "31 mm"),
            Edit.of("pose.liftMm", "31 mm"),
            Edit.of("master.source", "MEASURED"))) {
      Choices changed = ChoiceWords.edit(c, List.of(other), null);
      assertFalse(Recorded.counts("rubber.mouldG", about, changed), other.word());
    }
    Choices cost = ChoiceWords.edit(c, List.of(Edit.of("mould.fixing", "SCREWS")), null);
    assertTrue(Recorded.counts("rubber.mouldG", about, cost));
    // as it was recorded before: of its rubber alone
    String before = Choices.fingerprint(c.rubber().product());
    Choices wider = ChoiceWords.edit(c, List.of(Edit.of("mould.sidesMm", "31 mm")), null);
    assertTrue(Recorded.counts("rubber.mouldG", before, wider));
  }

  @Test
  public void whatCannotBeReadIsRefused() {
    assertThrows(
        WordBook.Refused.class, () -> typed(Recorded.NOTHING, "rubber.firstG", "a cupful"));
  }
}
