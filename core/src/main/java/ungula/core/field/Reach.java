package ungula.core.field;

/**
 * How far from the surface a field is asked for. Cells further away are given the reach itself,
 * which saves most of the work.
 *
 * @param insideMm below the surface; {@link #UNSEEN} where only which side it is matters
 * @param outsideMm above it; {@link #UNSEEN} likewise
 */
public record Reach(double insideMm, double outsideMm) {

  public static final Reach ALL = new Reach(Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY);

  /** Of a side that is not measured: of its cells only the sign is told, as one cell's width. */
  public static final double UNSEEN = -1;

  /** As far on either side. */
  public static Reach band(double mm) {
    return new Reach(mm, mm);
  }

  /** Whether cells of a side are measured. */
  boolean sees(boolean inside) {
    return (inside ? insideMm : outsideMm) >= 0;
  }
}
