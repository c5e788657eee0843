package ungula.core.choice;

import java.util.ArrayList;
import java.util.List;
import ungula.core.attitude.Attitude;
import ungula.core.attitude.AttitudeSearch;
import ungula.core.attitude.Face;
import ungula.core.mould.MouldKind;
import ungula.core.sentence.WordBook.Edit;

/**
 * How the mould lies while it is cast in.
 *
 * @param on the side it lies on
 * @param raised a side next to that; null is level
 * @param also another, so that it is the corner between the two; null for none
 * @param degrees it is raised by
 */
public record LyingChoice(Face on, Face raised, Face also, double degrees) {

  public static final LyingChoice USUAL = new LyingChoice(Face.TOP, null, null, 14);

  /** A side that cannot be raised beside the others is not. */
  LyingChoice consistent() {
    Face first = raised != null && raised.isBeside(on) ? raised : null;
    boolean corner = first != null && also != null && also.isBeside(on) && also.isBeside(first);
    return new LyingChoice(on, first, corner ? also : null, degrees);
  }

  /**
   * As it is taken for this mould: one that is open at its base lies with that up.
   *
   * @param baseOpen whether it is
   */
  public Attitude of(MouldKind kind, boolean baseOpen) {
    if (baseOpen || !sides(kind, false).contains(on)) {
      return Attitude.OVER;
    }
    List<Face> up = new ArrayList<>();
    if (raised != null) {
      up.add(raised);
    }
    if (also != null) {
      up.add(also);
    }
    return new Attitude(on, up, up.isEmpty() ? 0 : degrees);
  }

  /** The sides a mould can lie on: its sprue stands on the base, but in a parting. */
  public static List<Face> sides(MouldKind kind, boolean baseOpen) {
    return kind == MouldKind.TWO_PART && !baseOpen ? AttitudeSearch.SIDES : List.of(Face.TOP);
  }

  /** What makes it lie so. */
  public static List<Edit> edits(Attitude a) {
    List<Face> up = a.raised();
    return List.of(
        Edit.of("lying.on", a.on().name()),
        Edit.of("lying.raised", up.isEmpty() ? "" : up.get(0).name()),
        Edit.of("lying.also", up.size() < 2 ? "" : up.get(1).name()),
        Edit.of("lying.degrees", String.valueOf(up.isEmpty() ? USUAL.degrees : a.degrees())));
  }
}
