package ungula.core.choice;

/**
 * How a cut mould is opened.
 *
 * @param towardsDegrees the cut runs this way from the middle, seen from above: 0 to the right, 90
 *     to the back; null is where it is best
 */
public record CutChoice(Double towardsDegrees) {
  static final CutChoice BEST = new CutChoice(null);
}
