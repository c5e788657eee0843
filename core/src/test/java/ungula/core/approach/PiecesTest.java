package ungula.core.approach;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.release.PieceCover;
import ungula.core.working.Figure;

public class PiecesTest {

  private static final PieceCover THREE =
      new PieceCover(
          List.of(Vec3.UP, new Vec3(-1, 0, 0), new Vec3(0.6, -0.8, 0)), List.of(0.55, 0.8, 0.991));

  @Test
  public void pullsAreSaidAsTheMasterStands() {
    assertEquals(
        pulls(Rotation.NONE), List.of("pulled up", "pulled left", "pulled right and forward"));
    assertEquals(
        pulls(Rotation.about(new Vec3(0, 1, 0), 90)),
        List.of("pulled right", "pulled up", "pulled forward and down"));
  }

  private static List<String> pulls(Rotation turn) {
    return Pieces.of(THREE, turn).stream().map(Pieces.Piece::pull).toList();
  }

  @Test
  public void sharesAddUpAndSayWhatEachBrings() {
    List<Figure> freed = Pieces.of(THREE, Rotation.NONE).stream().map(Pieces.Piece::freed).toList();
    assertEquals(freed.stream().map(Figure::text).toList(), List.of("55 %", "80 %", "99 %"));
    assertEquals(freed.get(0).label(), "freed by it");
    assertEquals(freed.get(1).label(), "freed with it");
    assertTrue(freed.get(1).working().givens().stream().anyMatch(g -> g.text().equals("25 %")));
  }
}
