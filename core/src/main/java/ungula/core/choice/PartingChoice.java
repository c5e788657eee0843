package ungula.core.choice;

import ungula.core.parting.Bedding;
import ungula.core.parting.Keying;
import ungula.core.parting.PartingLine;
import ungula.core.parting.SealRing;

/**
 * How a two-part mould comes apart.
 *
 * @param line how the halves meet
 * @param upMm level above the master's lowest point; null is where it is best
 * @param keying what registers the halves
 * @param bedding of the master while the upper half is poured
 * @param ring what a seal ring is like
 * @param riserLeftMm from the left end of the master to its riser; null is a tenth of its length
 * @param riserRightMm from the right end of the master to its riser; null is a tenth of its length
 */
public record PartingChoice(
    PartingLine line,
    Double upMm,
    Keying keying,
    Bedding bedding,
    SealRing.Form ring,
    Double riserLeftMm,
    Double riserRightMm) {

  static final PartingChoice USUAL =
      new PartingChoice(PartingLine.LEVEL, null, Keying.DOMES_BOTH, Bedding.CLAY, null, null, null);

  public PartingChoice {
    ring = ring == null ? SealRing.Form.USUAL : ring;
  }

  /** Of a master that stands otherwise: what was read off it no longer holds. */
  PartingChoice open() {
    return new PartingChoice(line, null, keying, bedding, ring, null, null);
  }
}
