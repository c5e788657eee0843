package ungula.core.cutlist;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * How many boards a cut list takes: first fit by falling width in strips across the board, each
 * part lying along it where it can. What is found is enough, not proven to be fewest.
 *
 * @param count of boards for all that fits one
 * @param tooLarge parts that fit no board, by name
 */
public record Boards(int count, List<String> tooLarge) {

  /** What a saw or knife takes between two parts. */
  public static final double KERF_MM = 3;

  private static final class Strip {
    final double wide;
    double used;

    Strip(double wide) {
      this.wide = wide;
    }
  }

  private record Lying(double along, double across) {}

  /**
   * @param longer side of a board, mm
   * @param shorter side of it
   */
  public static Boards of(CutList list, double longer, double shorter) {
    List<Lying> parts = new ArrayList<>();
    List<String> tooLarge = new ArrayList<>();
    for (CutPart p : list.parts()) {
      double along = Math.max(p.lengthMm(), p.widthMm());
      double across = Math.min(p.lengthMm(), p.widthMm());
      if (along > longer || across > shorter) {
        tooLarge.add(p.name());
        continue;
      }
      for (int n = 0; n < p.count(); n++) {
        parts.add(new Lying(along, across));
      }
    }
    parts.sort(
        Comparator.comparingDouble(Lying::across).thenComparingDouble(Lying::along).reversed());
    List<Strip> strips = new ArrayList<>();
    List<Double> filled = new ArrayList<>();
    for (Lying p : parts) {
      strip(p, strips, filled, longer, shorter).used += p.along + KERF_MM;
    }
    return new Boards(filled.size(), List.copyOf(tooLarge));
  }

  /** The first strip with room, or a new one on the first board with room, or on a new board. */
  private static Strip strip(
      Lying p, List<Strip> strips, List<Double> filled, double longer, double shorter) {
    for (Strip s : strips) {
      if (p.across <= s.wide && s.used + p.along <= longer) {
        return s;
      }
    }
    int board = 0;
    while (board < filled.size() && filled.get(board) + p.across > shorter) {
      board++;
    }
    if (board == filled.size()) {
      filled.add(0.0);
    }
    filled.set(board, filled.get(board) + p.across + KERF_MM);
    Strip s = new Strip(p.across);
    strips.add(s);
    return s;
  }
}
