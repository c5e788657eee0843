package ungula.core.choice;

import ungula.core.quantity.Choosable;

/** What the shape of a master is known from. */
public enum MasterSource implements Choosable {
  NONE("not known yet"),
  FILE("a model file"),
  SOLID("a simple solid"),
  MEASURED("its measures");

  private final String text;

  MasterSource(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
