package ungula.core.library;

import ungula.core.quantity.Choosable;

/** What a mould looks like. */
public enum Condition implements Choosable {
  GOOD("good"),
  WORN("worn"),
  TORN("torn"),
  /** Somebody is to look before it is used. */
  LOOK("to be looked at");

  private final String text;

  Condition(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
