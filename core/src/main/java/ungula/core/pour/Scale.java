package ungula.core.pour;

/**
 * A scale.
 *
 * @param capacityG the most it carries
 * @param readG the least it tells apart
 */
public record Scale(double capacityG, double readG) {

  /** An amount is so many readings at least, so that a reading is 2 % of it. */
  public static final double READINGS = 50;

  /** Whether an amount can be weighed on it well enough. */
  public boolean weighs(double g) {
    return g <= capacityG && g >= READINGS * readG;
  }
}
