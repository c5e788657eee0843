package ungula.core.filling;

import java.util.ArrayList;
import java.util.List;
import ungula.core.filling.Filling.Point;
import ungula.core.sprue.Sprue.Resin;

/** What drives the material on, summed over time as it is poured, then as it stands full. */
final class Head {

  /** Pascals to a millimetre of a density of 1 g/cm³. */
  private static final double PA = 9.81;

  /** Steps it is summed in once it is full, up to when it gels. */
  private static final int STANDING = 200;

  private final double[] at;
  private final double[] level;

  /** Sums of 1 ÷ viscosity, and of pressure above height 0 ÷ viscosity, up to each time. */
  private final double[] thin;

  private final double[] pressed;
  private final double paPerMm;

  private Head(double[] at, double[] level, double[] thin, double[] pressed, double paPerMm) {
    this.at = at;
    this.level = level;
    this.thin = thin;
    this.pressed = pressed;
    this.paPerMm = paPerMm;
  }

  static Head of(Filling filling, double drivenMm, Resin resin, boolean thickening) {
    List<double[]> points = new ArrayList<>();
    double gelS = 60 * resin.potLifeMin();
    // it begins empty, at once
    for (Point p : filling.course()) {
      double s = thickening ? p.thickeningS() : p.freshS();
      if (s <= gelS) {
        points.add(new double[] {s, p.levelMm()});
      }
    }
    boolean full = points.size() == filling.course().size();
    double[] last = points.get(points.size() - 1);
    double stands = full ? drivenMm : last[1];
    for (int n = 0; n <= STANDING; n++) {
      points.add(new double[] {last[0] + (gelS - last[0]) * n / STANDING, stands});
    }
    double paPerMm = PA * resin.density();
    double grows = thickening ? Math.log(Flow.THICKER) / gelS : 0;
    int count = points.size();
    double[] at = new double[count];
    double[] level = new double[count];
    double[] thin = new double[count];
    double[] pressed = new double[count];
    for (int n = 0; n < count; n++) {
      at[n] = points.get(n)[0];
      level[n] = points.get(n)[1];
      if (n > 0) {
        double middle = (at[n] + at[n - 1]) / 2;
        double fluid = (at[n] - at[n - 1]) / resin.viscosityPas() / Math.exp(grows * middle);
        thin[n] = thin[n - 1] + fluid;
        pressed[n] = pressed[n - 1] + fluid * paPerMm * (level[n] + level[n - 1]) / 2;
      }
    }
    return new Head(at, level, thin, pressed, paPerMm);
  }

  /** When a place is reached, s; infinite where it is not before it gels. */
  double reaches(double height, double need) {
    int n = 0;
    while (n < at.length && level[n] < height) {
      n++;
    }
    if (n == at.length) {
      return Double.POSITIVE_INFINITY;
    }
    double thinBefore = thin[n];
    double pressedBefore = pressed[n];
    double before = 0;
    for (int m = n; m < at.length; m++) {
      double done = pressed[m] - pressedBefore - height * paPerMm * (thin[m] - thinBefore);
      if (done >= need) {
        double share = m == n || done == before ? 1 : (need - before) / (done - before);
        return m == n ? at[m] : at[m - 1] + share * (at[m] - at[m - 1]);
      }
      before = done;
    }
    return Double.POSITIVE_INFINITY;
  }
}
