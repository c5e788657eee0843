package ungula.core.choice;

import ungula.core.parting.Bedding;
import ungula.core.parting.Keying;
import ungula.core.parting.PartingLine;

/**
 * How a two-part mould comes apart.
 *
 * @param line how the halves meet
 * @param upMm level above the master's lowest point; null is where it is best
 * @param keying what registers the halves
 * @param bedding of the master while the upper half is poured
 */
public record PartingChoice(PartingLine line, Double upMm, Keying keying, Bedding bedding) {
  static final PartingChoice USUAL =
      new PartingChoice(PartingLine.LEVEL, null, Keying.DOMES_BOTH, Bedding.CLAY);
}
