package ungula.core.contact;

import ungula.core.quantity.Choosable;

/** What was done to a surface before rubber touches it. */
public enum Preparation implements Choosable {
  BARE("bare"),
  SEALED("sealed"),
  CURED("washed and cured through");

  private final String text;

  Preparation(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
