package ungula.core.filling;

import java.util.function.DoubleUnaryOperator;
import ungula.core.air.AirTraps;
import ungula.core.geometry.Vec3;

/**
 * How high a room stands after so much was poured, less the air that stays in it.
 *
 * @param up against gravity meanwhile, of length one
 * @param bottomMm lowest height of the room, along up
 * @param stepMm from each height to the next
 * @param mm3 poured at each height, {@link #COUNT} steps of them; never falling
 */
public record Levels(Vec3 up, double bottomMm, double stepMm, double[] mm3) {

  /** Heights looked at, above the lowest. */
  public static final int COUNT = 96;

  /**
   * @param to up to there it is filled, along up
   * @param below volume of the room below a height, mm³
   * @param air that stays in it
   */
  public static Levels of(
      Vec3 up, double bottom, double to, DoubleUnaryOperator below, AirTraps.Result air) {
    double step = (to - bottom) / COUNT;
    double[] kept = air.cells().below(up, bottom, step, COUNT + 1);
    double cells = kept[COUNT];
    double share = cells > 0 ? air.totalMm3() / cells : 0;
    double[] mm3 = new double[COUNT + 1];
    for (int n = 0; n <= COUNT; n++) {
      double poured = below.applyAsDouble(bottom + n * step) - share * kept[n];
      mm3[n] = Math.max(n == 0 ? 0 : mm3[n - 1], poured);
    }
    return new Levels(up, bottom, step, mm3);
  }

  double height(int n) {
    return bottomMm + n * stepMm;
  }

  /** Up to there it is filled, along up. */
  public double topMm() {
    return height(COUNT);
  }

  /** The same of a room that holds so many times as much at every height. */
  public Levels times(double factor) {
    double[] more = mm3.clone();
    for (int n = 0; n < more.length; n++) {
      more[n] *= factor;
    }
    return new Levels(up, bottomMm, stepMm, more);
  }
}
