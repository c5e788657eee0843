package ungula.core.plate;

import ungula.core.quantity.Choosable;

/** How several masters lie on one plate. */
public enum Laying implements Choosable {
  AS_MODELLED("as they are modelled"),
  CLOSE("close together");

  private final String text;

  Laying(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
