package ungula.core.master;

import ungula.core.quantity.Choosable;

/**
 * What was read off tape, vessel, jug and scale. Anything not measured is null.
 *
 * @param outline outer shape
 * @param lengthMm outer length of a rectangular master
 * @param widthMm outer width
 * @param heightMm outer height
 * @param diameterMm outer diameter of a round master
 * @param vessel shape of the vessel it was put under water in
 * @param vesselDiameterMm of a round vessel, or of a pail at its bottom
 * @param vesselTopDiameterMm of a pail at its top
 * @param vesselHeightMm of a pail, between the two diameters
 * @param vesselLengthMm of a rectangular vessel
 * @param vesselWidthMm of a rectangular vessel
 * @param levelBeforeMm water level without the master
 * @param levelAfterMm water level with it under
 * @param readingErrorMm ± of one level reading, k = 2
 * @param overflowG mass of the water that ran over
 * @param hungG what a scale under the vessel gained while the master hung under water
 * @param scaleErrorG ± of a weighing, k = 2
 * @param castG mass of an earlier, identical cast or of the master itself
 * @param castDensity g/cm³ of what was weighed
 * @param densityErrorPct ± of that density
 * @param grainMm3 grain that filled the box round the master to the pour line
 * @param grainEmptyMm3 grain that filled the empty box to the pour line
 * @param grainBoxMm3 room, to the pour line, of the box the grain round the master was read in;
 *     null when that is the box as planned
 * @param packingPct ± of measuring by grain
 */
public record Measured(
    Outline outline,
    Double lengthMm,
    Double widthMm,
    Double heightMm,
    Double diameterMm,
    Vessel vessel,
    Double vesselDiameterMm,
    Double vesselTopDiameterMm,
    Double vesselHeightMm,
    Double vesselLengthMm,
    Double vesselWidthMm,
    Double levelBeforeMm,
    Double levelAfterMm,
    double readingErrorMm,
    Double overflowG,
    Double hungG,
    double scaleErrorG,
    Double castG,
    Double castDensity,
    double densityErrorPct,
    Double grainMm3,
    Double grainEmptyMm3,
    Double grainBoxMm3,
    double packingPct) {

  /** Of a round outline. */
  private static final int CHORDS = 180;

  public static final Measured NOTHING =
      new Measured(
          Outline.RECTANGULAR,
          null,
          null,
          null,
          null,
          Vessel.ROUND,
          null,
          null,
          null,
          null,
          null,
          null,
          null,
          1,
          null,
          null,
          1,
          null,
          null,
          3,
          null,
          null,
          null,
          4);

  /** The same, the grain read in such a box. */
  public Measured readIn(Double boxMm3) {
    return new Measured(
        outline,
        lengthMm,
        widthMm,
        heightMm,
        diameterMm,
        vessel,
        vesselDiameterMm,
        vesselTopDiameterMm,
        vesselHeightMm,
        vesselLengthMm,
        vesselWidthMm,
        levelBeforeMm,
        levelAfterMm,
        readingErrorMm,
        overflowG,
        hungG,
        scaleErrorG,
        castG,
        castDensity,
        densityErrorPct,
        grainMm3,
        grainEmptyMm3,
        boxMm3,
        packingPct);
  }

  public enum Outline implements Choosable {
    RECTANGULAR("rectangular"),
    ROUND("round");

    private final String text;

    Outline(String text) {
      this.text = text;
    }

    @Override
    public String text() {
      return text;
    }
  }

  public enum Vessel implements Choosable {
    ROUND("round vessel"),
    RECTANGLE("rectangular vessel"),
    PAIL("tapering pail");

    private final String text;

    Vessel(String text) {
      this.text = text;
    }

    @Override
    public String text() {
      return text;
    }
  }

  /** Its outline seen from above, the middle over the origin: x and y in turn, mm. */
  public double[] footprint() {
    if (outline != Outline.ROUND) {
      double x = lengthMm / 2;
      double y = widthMm / 2;
      return new double[] {-x, -y, x, -y, x, y, -x, y};
    }
    double[] ring = new double[2 * CHORDS];
    for (int i = 0; i < CHORDS; i++) {
      double angle = 2 * Math.PI * i / CHORDS;
      ring[2 * i] = diameterMm / 2 * Math.cos(angle);
      ring[2 * i + 1] = diameterMm / 2 * Math.sin(angle);
    }
    return ring;
  }

  /** Whether the outer size is known, so that a box can be put round it. */
  public boolean hasSize() {
    return heightMm != null
        && (outline == Outline.ROUND ? diameterMm != null : lengthMm != null && widthMm != null);
  }
}
