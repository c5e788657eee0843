package ungula.core.mould;

import ungula.core.quantity.Choosable;

/** What is filled first where a master is hollow from above. */
public enum Filling implements Choosable {
  ROUND_FIRST("round the master first"),
  INSIDE_FIRST("inside the master first");

  private final String text;

  Filling(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
