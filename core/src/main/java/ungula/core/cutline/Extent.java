package ungula.core.cutline;

import ungula.core.quantity.Choosable;

/** How far round a block is cut. */
public enum Extent implements Choosable {
  HINGE("the other side stays whole as a hinge"),
  ROUND("right round, into two pieces");

  private final String text;

  Extent(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
