package ungula.core.cutlist;

import java.util.List;

/**
 * A piece to cut out of flat stock.
 *
 * @param name what it is
 * @param count how many alike
 * @param size in words
 * @param outline to cut along: x and y in turn, mm, closed
 * @param cutouts closed lines to cut out of it
 * @param scores lines to score or to mark, not to cut through
 * @param note what to do with it; empty when nothing
 */
public record CutPart(
    String name,
    int count,
    String size,
    double[] outline,
    List<double[]> cutouts,
    List<double[]> scores,
    String note) {

  public double lengthMm() {
    return reach(0);
  }

  public double widthMm() {
    return reach(1);
  }

  /** Outlines begin at 0 both ways. */
  private double reach(int axis) {
    double most = 0;
    for (int i = axis; i < outline.length; i += 2) {
      most = Math.max(most, outline[i]);
    }
    return most;
  }

  static double[] rectangle(double length, double width) {
    return new double[] {0, 0, length, 0, length, width, 0, width};
  }
}
