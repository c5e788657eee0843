package ungula.core.choice;

import ungula.core.castlabel.LabelPlace;

/**
 * A label cast into the rubber.
 *
 * @param letterMm height of a capital
 * @param text what it says, "/" between lines; null for code, date and amount of a cast
 * @param code the mould is found by; null while there is no label
 */
public record LabelChoice(LabelPlace place, double letterMm, String text, String code) {

  public static final LabelChoice NONE = new LabelChoice(LabelPlace.NONE, 5, null, null);

  /** The same with no code yet. */
  LabelChoice uncoded() {
    return new LabelChoice(place, letterMm, text, null);
  }
}
