package ungula.core.choice;

import ungula.core.quantity.Choosable;

/** Which part goes into the cup first. */
public enum First implements Choosable {
  BASE("base"),
  HARDENER("hardener");

  private final String text;

  First(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
