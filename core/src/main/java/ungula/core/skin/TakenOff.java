package ungula.core.skin;

import ungula.core.quantity.Choosable;

/** How a skin comes off its master. */
public enum TakenOff implements Choosable {
  SOCK("is pulled off like a sock"),
  CUT("is cut open on one side, with a hinge left"),
  SECTIONS("is made in sections that meet at flanges");

  private final String text;

  TakenOff(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
