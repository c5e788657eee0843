package ungula.core.castlabel;

import ungula.core.quantity.Choosable;

/** Where a cast-in label is set. */
public enum LabelPlace implements Choosable {
  NONE("no label"),
  PROPOSED("where there is most rubber"),
  BASE("on the base"),
  WALL("on a wall");

  private final String text;

  LabelPlace(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
