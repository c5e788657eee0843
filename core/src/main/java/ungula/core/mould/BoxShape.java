package ungula.core.mould;

import ungula.core.quantity.Choosable;

/** How a box runs round its master, seen from above. */
public enum BoxShape implements Choosable {
  RECTANGLE("rectangular box"),
  BLOCKS("rectangular box with corner blocks"),
  OUTLINE("box that follows the outline"),
  ROUND_ENDED("round-ended box"),
  TUBE("round tube"),
  OWN("box or frame you have");

  private final String text;

  BoxShape(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }

  /** Whether each side has a wall of its own. */
  public boolean sided() {
    return this == RECTANGLE || this == BLOCKS || this == OWN;
  }

  /** Whether its wall is bought as pipe; else walls are cut from sheet. */
  public boolean ofPipe() {
    return this == TUBE;
  }
}
