package ungula.core.parting;

/**
 * Carries one end of the master while its upper half is poured, under a board cut to its outline.
 *
 * @param side "left" or "right"
 * @param inMm from that end of the master to the riser's middle
 * @param xMm of its middle, from the middle of the master
 * @param heightMm from the plate to the underside of the master there
 */
public record Riser(String side, double inMm, double xMm, double heightMm) {

  /** As thick along the master as it is cut. */
  public static final double THICK_MM = 12;

  /** As wide across the master as it is cut. */
  public static final double WIDE_MM = 40;
}
