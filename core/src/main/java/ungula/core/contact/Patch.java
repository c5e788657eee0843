package ungula.core.contact;

import ungula.core.quantity.Choosable;

/** How a test patch of the rubber on the surface came out. */
public enum Patch implements Choosable {
  NONE("not tried"),
  CURED("cured clean"),
  TACKY("stayed tacky or stuck");

  private final String text;

  Patch(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
