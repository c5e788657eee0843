package ungula.core.sprue;

import ungula.core.quantity.Choosable;

/** How the sprue opens to the outside. */
public enum Spout implements Choosable {
  STRAIGHT("straight"),
  FUNNEL("with a funnel cut into the rubber");

  private final String text;

  Spout(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
