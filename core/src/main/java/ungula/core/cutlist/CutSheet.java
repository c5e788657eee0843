package ungula.core.cutlist;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Pieces laid out side by side at 1:1, with a line to check the scale by. Millimetres, y upwards,
 * everything within (0, 0) and (width, height).
 */
public record CutSheet(double widthMm, double heightMm, List<Line> lines, List<Text> texts) {

  /** Rows get no longer than this unless a piece is. */
  private static final double ROW_MM = 800;

  private static final double GAP_MM = 12;
  private static final double LETTER_MM = 5;

  /** What printing to scale is checked by. */
  public static final double CHECK_MM = 100;

  public enum Layer {
    CUT,
    SCORE,
    CHECK
  }

  /**
   * @param points x and y in turn
   */
  public record Line(Layer layer, double[] points, boolean closed) {}

  /**
   * @param x of its beginning
   * @param y of its foot
   */
  public record Text(double x, double y, double heightMm, String text) {}

  public static CutSheet of(CutList list) {
    List<Line> lines = new ArrayList<>();
    List<Text> texts = new ArrayList<>();
    double x = GAP_MM;
    double row = GAP_MM + 2 * LETTER_MM + GAP_MM;
    lines.add(
        new Line(Layer.CHECK, new double[] {GAP_MM, GAP_MM, GAP_MM + CHECK_MM, GAP_MM}, false));
    texts.add(
        new Text(
            GAP_MM,
            GAP_MM + LETTER_MM / 2,
            LETTER_MM,
            "this line is 100 mm long when printed 1:1"));
    double high = 0;
    double wide = GAP_MM + CHECK_MM;
    List<CutPart> parts = new ArrayList<>(list.parts());
    parts.sort(Comparator.comparingDouble((CutPart p) -> -p.widthMm()));
    for (CutPart part : parts) {
      for (int n = 1; n <= part.count(); n++) {
        double length = part.lengthMm();
        if (x > GAP_MM && x + length > ROW_MM) {
          row += high + GAP_MM;
          x = GAP_MM;
          high = 0;
        }
        lines.add(new Line(Layer.CUT, moved(part.outline(), x, row), true));
        for (double[] cutout : part.cutouts()) {
          lines.add(new Line(Layer.CUT, moved(cutout, x, row), true));
        }
        for (double[] score : part.scores()) {
          lines.add(new Line(Layer.SCORE, moved(score, x, row), false));
        }
        String which = part.count() == 1 ? "" : " " + n + " of " + part.count();
        texts.add(
            new Text(
                x + LETTER_MM,
                row + LETTER_MM / 2,
                LETTER_MM * Math.min(1, length / 90),
                part.name() + which + ", " + part.size()));
        x += length + GAP_MM;
        wide = Math.max(wide, x - GAP_MM);
        high = Math.max(high, part.widthMm());
      }
    }
    return new CutSheet(wide + GAP_MM, row + high + GAP_MM, List.copyOf(lines), List.copyOf(texts));
  }

  private static double[] moved(double[] points, double x, double y) {
    double[] out = new double[points.length];
    for (int i = 0; i < points.length; i += 2) {
      out[i] = points[i] + x;
      out[i + 1] = points[i + 1] + y;
    }
    return out;
  }
}
