package ungula.core.run;

import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * How high rubber stands in a box for its volume, between levels of which both are known in
 * straight lines, above the last by the area of the box.
 *
 * @param levels from below; both numbers of each above those of the one before; the first may be of
 *     no rubber, where something else is below
 * @param areaMm2 of the box inside
 */
public record Rise(List<Level> levels, double areaMm2) {

  private static final Level EMPTY = new Level(0, 0);

  /**
   * A height and the rubber below it.
   *
   * @param mm over the base
   */
  public record Level(double mm, double mm3) {}

  public Rise {
    levels = List.copyOf(levels);
    Level before = EMPTY;
    for (Level at : levels) {
      // what is full below is the floor
      boolean floor = at == levels.get(0) && at.mm3 == 0 && at.mm >= 0;
      if (!floor && !(at.mm > before.mm && at.mm3 > before.mm3)) {
        throw new IllegalArgumentException("Levels have to rise, and the rubber below them.");
      }
      before = at;
    }
    if (!(areaMm2 > 0)) {
      throw new IllegalArgumentException("A box has a length and a width.");
    }
  }

  /** How high a volume stands, mm. */
  public double mm(double volumeMm3) {
    return between(Level::mm3, Level::mm, volumeMm3, 1 / areaMm2);
  }

  /** How much rubber is below a level, mm³. */
  public double mm3(double levelMm) {
    return between(Level::mm, Level::mm3, levelMm, areaMm2);
  }

  private double between(
      ToDoubleFunction<Level> x, ToDoubleFunction<Level> y, double at, double beyond) {
    Level from = EMPTY;
    for (Level to : levels) {
      double x0 = x.applyAsDouble(from);
      double x1 = x.applyAsDouble(to);
      if (at <= x1) {
        double y0 = y.applyAsDouble(from);
        return x1 == x0 ? y0 : y0 + (at - x0) * (y.applyAsDouble(to) - y0) / (x1 - x0);
      }
      from = to;
    }
    return y.applyAsDouble(from) + (at - x.applyAsDouble(from)) * beyond;
  }
}
