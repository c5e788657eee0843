package ungula.core.library;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import ungula.core.quantity.Units;
import ungula.core.sentence.WordBook;
import ungula.core.sentence.WordBook.Edit;

/** What is said of a mould. */
public class MouldTest {

  private static Mould said(Mould m, String word, String text) {
    return m.edit(List.of(Edit.of(word, text)), Units.METRIC);
  }

  @Test
  public void whatIsSaidIsReadAndTold() {
    Mould m = said(Mould.UNKNOWN, "made", "28.11.2026");
    assertEquals(m.made(), LocalDate.of(2026, 11, 28));
    m = said(said(said(m, "expects", "40 casts"), "condition", "torn"), "place", " shelf 3 ");
    assertEquals(m.expects(), Integer.valueOf(40));
    assertEquals(m.condition(), Condition.TORN);
    assertEquals(m.place(), "shelf 3");
    assertEquals(
        Mould.UNKNOWN.changedIn(m),
        Map.of(
            "made", "28 Nov 2026",
            "expects", "40 casts",
            "condition", "torn",
            "place", "shelf 3"));
    assertEquals(m.changedIn(said(m, "place", "")), Map.of("place", "nobody said where"));
    assertEquals(m.changedIn(m), Map.of());
  }

  @Test
  public void whatCannotBeIsRefused() {
    for (String[] e :
        new String[][] {
          {"expects", "0"}, {"made", "1/2/2026"}, {"lasts", "0"}, {"condition", "?"}
        }) {
      assertThrows(WordBook.Refused.class, () -> said(Mould.UNKNOWN, e[0], e[1]));
    }
  }
}
