package ungula.core.choice;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNull;

import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.Test;
import ungula.core.quantity.Units;
import ungula.core.rubber.Ratio;
import ungula.core.sentence.WordBook.Edit;

/** What belongs to one rubber does not go on with the next. */
public class RubberChoiceTest {

  private static final Ratio TYPED = Ratio.parse("100 : 12 by weight");

  /** Edits one after the other, each pair a word and what it is set to. */
  private static RubberChoice after(String... words) {
    Choices c = Choices.fresh(Units.METRIC);
    for (int i = 0; i < words.length; i += 2) {
      c = edited(c, words[i], words[i + 1]);
    }
    return c.rubber();
  }

  private static Choices edited(Choices c, String... words) {
    List<Edit> edits = new ArrayList<>();
    for (int i = 0; i < words.length; i += 2) {
      edits.add(Edit.of(words[i], words[i + 1]));
    }
    return ChoiceWords.edit(c, edits, null);
  }

  @Test
  public void aTypedRatioGoesWithTheRubberItWasTypedFor() {
    String[] typed = {"rubber.product", "dulse-30", "rubber.ratio", "100 : 12 by weight"};
    assertEquals(after(typed).ratio(), TYPED);
    RubberChoice other = after(typed[0], typed[1], typed[2], typed[3], typed[0], "marram-20");
    assertNull(other.ratio());
    assertNull(after(typed[0], typed[1], typed[2], typed[3], "rubber.catalyst", "slow").ratio());
    assertEquals(
        after(typed[0], typed[1], typed[2], typed[3], "rubber.moulds", "2").ratio(), TYPED);
  }

  @Test
  public void oneWrittenWithTheRubberStays() {
    Choices c = edited(Choices.fresh(Units.METRIC), "rubber.product", "dulse-30");
    c = edited(c, "rubber.product", "marram-20", "rubber.ratio", "100 : 12 by weight");
    assertEquals(c.rubber().ratio(), TYPED);
    assertEquals(
        after("rubber.ratio", "100 : 12 by weight", "rubber.product", "dulse-30").ratio(), TYPED);
  }

  @Test
  public void thatARatioIsMeantIsSaidOfThatRatioOnly() {
    String[] meant = {
      "rubber.product", "dulse-30", "rubber.ratio", "100 : 40 by weight", "rubber.ratioMeant", "YES"
    };
    assertEquals(after(meant).ratioMeant(), RatioMeant.YES);
    Choices c = Choices.fresh(Units.METRIC);
    for (int i = 0; i < meant.length; i += 2) {
      c = edited(c, meant[i], meant[i + 1]);
    }
    assertEquals(
        edited(c, "rubber.ratio", "100 : 50 by weight").rubber().ratioMeant(), RatioMeant.NO);
    assertEquals(edited(c, "rubber.product", "marram-20").rubber().ratioMeant(), RatioMeant.NO);
    assertEquals(edited(c, "rubber.moulds", "2").rubber().ratioMeant(), RatioMeant.YES);
  }
}
