package ungula.core.approach;

import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;

import java.util.ArrayList;
import java.util.List;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.quantity.Share;
import ungula.core.release.PieceCover;
import ungula.core.working.Figure;
import ungula.core.working.Working;

/** What each piece of a mould in several would do, in words and numbers. */
public final class Pieces {

  /** A pull that leans less than this towards an axis (its cosine) is not said to. */
  private static final double LEANS = 0.38;

  private Pieces() {}

  /**
   * @param pull which way it comes off, as the master stands
   * @param freed share of the surface free with it and those before
   */
  public record Piece(String pull, Figure freed) {}

  /**
   * @param turn the master stands in
   */
  public static List<Piece> of(PieceCover cover, Rotation turn) {
    List<Piece> all = new ArrayList<>();
    for (int k = 0; k < cover.pieces(); k++) {
      double freed = cover.freed().get(k);
      double before = k == 0 ? 0 : cover.freed().get(k - 1);
      String text = Share.format(freed);
      Working working =
          Working.of("places that face along its pull with nothing in the way, or an earlier one’s")
              .given("places, evenly over the surface", PieceCover.PLACES + "", DEFAULT)
              .given("free before it", Share.format(before), COMPUTED)
              .given("by it", Share.format(freed - before), COMPUTED)
              .done();
      String label = k == 0 ? "freed by it" : "freed with it";
      String pull = "pulled " + way(turn.apply(cover.pulls().get(k)));
      all.add(new Piece(pull, new Figure("freed", label, freed, text, text, working)));
    }
    return List.copyOf(all);
  }

  private static String way(Vec3 d) {
    List<String> words = new ArrayList<>();
    if (Math.abs(d.x()) > LEANS) {
      words.add(d.x() > 0 ? "right" : "left");
    }
    if (Math.abs(d.y()) > LEANS) {
      words.add(d.y() > 0 ? "back" : "forward");
    }
    if (Math.abs(d.z()) > LEANS) {
      words.add(d.z() > 0 ? "up" : "down");
    }
    return String.join(" and ", words);
  }
}
