package ungula.core.skin;

import ungula.core.quantity.Choosable;

/** When a coat goes over the one before. */
public enum Recoat implements Choosable {
  TACKY("while the last is still tacky"),
  SET("over set rubber the same day"),
  NEXT_DAY("the next day");

  private final String text;

  Recoat(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
