package ungula.core.choice;

import ungula.core.quantity.Choosable;

/** Whether a ratio far off the sheet is meant. */
public enum RatioMeant implements Choosable {
  NO("no"),
  YES("yes");

  private final String text;

  RatioMeant(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
