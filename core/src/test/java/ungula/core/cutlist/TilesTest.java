package ungula.core.cutlist;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.cutlist.CutSheet.Layer;
import ungula.core.cutlist.CutSheet.Line;

/** A cut sheet over pages of paper: nothing of it is lost, and neighbours can be laid together. */
public class TilesTest {

  private static CutSheet square(double sideMm) {
    double a = 12;
    double b = sideMm - 12;
    return new CutSheet(
        sideMm,
        sideMm,
        List.of(new Line(Layer.CUT, new double[] {a, a, b, a, b, b, a, b}, true)),
        List.of());
  }

  @Test
  public void everyLineIsOnAPageAndEmptyPagesAreLeftOut() {
    Tiles tiles = Tiles.of(square(1000), 190, 269, 10);
    // 1000 = 190 + 4 × 180 + 90; 1000 = 269 + 2 × 259 + 213
    assertEquals(tiles.columns(), 6);
    assertEquals(tiles.rows(), 4);
    assertEquals(tiles.pages().size(), 24 - 4 * 2, "inside the square there is nothing to cut");
    for (double along = 12; along <= 988; along += 0.5) {
      for (double[] p : new double[][] {{along, 12}, {along, 988}, {12, along}, {988, along}}) {
        assertTrue(
            tiles.pages().stream()
                .anyMatch(
                    t ->
                        t.x() <= p[0]
                            && p[0] <= t.x() + tiles.widthMm()
                            && t.y() <= p[1]
                            && p[1] <= t.y() + tiles.heightMm()),
            p[0] + ", " + p[1]);
      }
    }
  }

  @Test
  public void neighboursShowTheSameStrip() {
    Tiles tiles = Tiles.of(square(400), 190, 269, 10);
    List<Tiles.Page> top = tiles.pages().stream().filter(t -> t.row() == 1).toList();
    assertEquals(top.stream().map(Tiles.Page::name).toList(), List.of("A2", "B2", "C2"));
    Near.absolute(top.get(0).x() + tiles.widthMm() - top.get(1).x(), 10, 1e-9);
    Near.absolute(top.get(0).y(), 259, 1e-9);
  }

  @Test
  public void whatFitsIsOnePage() {
    assertEquals(Tiles.of(square(190), 190, 269, 10).pages().size(), 1);
    assertEquals(Tiles.of(square(191), 190, 269, 10).columns(), 2);
  }
}
