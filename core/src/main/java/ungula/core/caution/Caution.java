package ungula.core.caution;

import java.util.List;
import org.jspecify.annotations.Nullable;
import ungula.core.sentence.WordBook.Edit;

/**
 * Something that will go wrong, where, and what can be done about it.
 *
 * @param id names it for the page; one plan has each at most once
 * @param level how bad
 * @param stage it belongs to: master, mould or rubber
 * @param title what happens, in one line
 * @param text why, with the numbers
 * @param place on the drawing it points at; null when it is not a place
 * @param fixes that apply themselves
 */
public record Caution(
    String id,
    Level level,
    String stage,
    String title,
    String text,
    @Nullable Place place,
    List<Fix> fixes) {

  public enum Level {
    STOP,
    CHECK,
    NOTE
  }

  /** A point in the posed frame, mm: x from the middle, y from the middle, z above the plate. */
  public record Place(double x, double y, double z) {}

  /**
   * @param label on the button
   * @param price what it costs or saves, in words; empty when nothing changes
   * @param edits it makes
   */
  public record Fix(String label, String price, List<Edit> edits) {}
}
