package ungula.core.choice;

import ungula.core.cutline.Extent;

/**
 * How a cut mould is opened.
 *
 * @param towardsDegrees the cut runs this way from the middle, seen from above: 0 to the right, 90
 *     to the back; null is where it is best
 * @param extent how far round it goes
 */
public record CutChoice(Double towardsDegrees, Extent extent) {
  static final CutChoice BEST = new CutChoice(null, Extent.HINGE);

  /** What was kept before it could go right round leaves a hinge. */
  public CutChoice {
    extent = extent == null ? Extent.HINGE : extent;
  }

  /** Of a master that stands otherwise. */
  CutChoice best() {
    return new CutChoice(null, extent);
  }
}
