package ungula.core.field;

/**
 * How far from the surface a field is asked for. Cells further away are given the reach itself,
 * which saves most of the work.
 *
 * @param insideMm below the surface
 * @param outsideMm above it
 */
public record Reach(double insideMm, double outsideMm) {

  public static final Reach ALL = new Reach(Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY);

  /** As far on either side. */
  public static Reach band(double mm) {
    return new Reach(mm, mm);
  }
}
