package ungula.core.library;

import static org.testng.Assert.assertEquals;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import ungula.core.quantity.Units;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.working.Figure;
import ungula.core.working.Working;

/** What stands on a label. */
public class LabelTest {

  private static final LocalDate DAY = LocalDate.of(2027, 3, 1);

  private static Figure figure(String key, String label, String text) {
    return new Figure(key, label, 0, text, text, Working.of("").done());
  }

  private static Label label(String address, Map<String, Figure> figures, int gave, Edit... said) {
    Mould m = Mould.UNKNOWN.edit(List.of(said), Units.METRIC);
    return Label.of("Bell", "K7Q2M", address, m, figures, gave, DAY);
  }

  @Test
  public void whatIsKnownIsSaidAndNothingElse() {
    Label none = label(null, Map.of(), 0);
    assertEquals(none.lines(), List.of());
    assertEquals(none.link(), "K7Q2M", "without an address the code alone");
    Label all =
        label(
            "http://here:1",
            Map.of(
                "cast.volume", figure("cast.volume", "a cast takes", "60 mL"),
                "cast.first", figure("cast.first", "part A", "35 g"),
                "cast.second", figure("cast.second", "part B", "31 g"),
                "cast.sprue", figure("cast.sprue", "sprue", "8 mm")),
            21,
            Edit.of("place", "rack 2"),
            Edit.of("expects", "55"),
            Edit.of("made", "2026-11-28"),
            Edit.of("rubber", "Marram 20"),
            Edit.of("lot", "L7"),
            Edit.of("jacket", "plaster"));
    assertEquals(all.link(), "http://here:1/moulds/K7Q2M");
    assertEquals(
        all.lines(),
        List.of(
            "rack 2 · gave 21 of about 55 by 1 Mar 2027",
            "28 Nov 2026 · Marram 20 · lot L7",
            "a cast takes 60 mL · 35 g part A + 31 g part B",
            "poured through a hole of 8 mm",
            "lies in its jacket: plaster"));
    assertEquals(all.onJacket(2, 3).part(), "jacket, part 2 of 3");
    assertEquals(all.onJacket(1, 1).part(), "jacket");
    assertEquals(all.onJacket(1, 1).code(), all.code(), "the pair has one code");
  }

  @Test
  public void anOpenMouldIsPouredWhereItIsOpen() {
    Map<String, Figure> open = Map.of("cast.volume", figure("cast.volume", "takes", "60 mL"));
    assertEquals(
        label(null, open, 1).lines(),
        List.of("gave 1 by 1 Mar 2027", "a cast takes 60 mL", "poured in where it is open"));
  }
}
