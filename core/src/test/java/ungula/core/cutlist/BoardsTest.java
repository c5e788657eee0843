package ungula.core.cutlist;

import static org.testng.Assert.assertEquals;

import java.util.List;
import org.testng.annotations.Test;

public class BoardsTest {

  private static CutPart part(String name, int count, double length, double width) {
    return new CutPart(name, count, "", CutPart.rectangle(length, width), List.of(), List.of(), "");
  }

  private static Boards of(double longer, double shorter, CutPart... parts) {
    return Boards.of(new CutList(List.of(parts), List.of()), longer, shorter);
  }

  @Test
  public void fourQuartersFillABoardWithTheirKerf() {
    CutPart quarter = part("wall", 4, 298, 198);
    assertEquals(of(600, 400, quarter).count(), 1);
    // no room for the kerf between two along it
    assertEquals(of(600, 400, part("wall", 4, 299, 198)).count(), 2);
  }

  @Test
  public void narrowPartsShareAStripWithWideOnes() {
    // 200 + 3 + 100 + 3 + 90 across; the second strip of 100 takes both walls, one after the other
    Boards one =
        of(700, 400, part("base", 1, 300, 200), part("wall", 2, 300, 100), part("rib", 4, 90, 90));
    assertEquals(one.count(), 1);
    assertEquals(one.tooLarge(), List.of());
  }

  @Test
  public void partsAreTurnedToLieAlong() {
    assertEquals(of(1000, 300, part("strip", 1, 280, 950)).count(), 1);
  }

  @Test
  public void whatFitsNoBoardIsNamedAndNotCounted() {
    Boards b = of(600, 400, part("Wall strip", 1, 700, 90), part("Base", 1, 300, 300));
    assertEquals(b.tooLarge(), List.of("Wall strip"));
    assertEquals(b.count(), 1);
    assertEquals(of(600, 400, part("Base", 1, 500, 410)).tooLarge(), List.of("Base"));
  }
}
