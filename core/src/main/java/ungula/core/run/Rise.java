package ungula.core.run;

import java.util.List;

/**
 * How high rubber stands in a box for its volume, between levels of which both are known in
 * straight lines, above the last by the area of the box.
 */
public final class Rise {

  private final double[] mm;
  private final double[] mm3;
  private final double areaMm2;

  /**
   * A height and the rubber below it.
   *
   * @param mm over the base
   */
  public record Level(double mm, double mm3) {}

  /**
   * @param levels from below; both numbers of each above those of the one before
   * @param areaMm2 of the box inside
   */
  public Rise(List<Level> levels, double areaMm2) {
    this.mm = new double[levels.size() + 1];
    this.mm3 = new double[mm.length];
    this.areaMm2 = areaMm2;
    for (int i = 1; i < mm.length; i++) {
      Level at = levels.get(i - 1);
      boolean first = i == 1 && at.mm == 0 && at.mm3 == 0;
      if (!first && !(at.mm > mm[i - 1] && at.mm3 > mm3[i - 1])) {
        throw new IllegalArgumentException("Levels have to rise, and the rubber below them.");
      }
      mm[i] = at.mm;
      mm3[i] = at.mm3;
    }
    if (!(areaMm2 > 0)) {
      throw new IllegalArgumentException("A box has a length and a width.");
    }
  }

  /** How high a volume stands, mm. */
  public double mm(double volumeMm3) {
    return between(mm3, mm, volumeMm3, 1 / areaMm2);
  }

  /** How much rubber is below a level, mm³. */
  public double mm3(double levelMm) {
    return between(mm, mm3, levelMm, areaMm2);
  }

  private static double between(double[] x, double[] y, double at, double beyond) {
    int last = x.length - 1;
    for (int i = 1; i <= last; i++) {
      if (at <= x[i]) {
        return x[i] == x[i - 1]
            ? y[i]
            : y[i - 1] + (at - x[i - 1]) * (y[i] - y[i - 1]) / (x[i] - x[i - 1]);
      }
    }
    return y[last] + (at - x[last]) * beyond;
  }
}
