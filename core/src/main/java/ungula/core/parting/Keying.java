package ungula.core.parting;

import ungula.core.quantity.Choosable;

/** What registers the halves of a mould. */
public enum Keying implements Choosable {
  DOMES_BOTH("domes, both ways"),
  DOMES("domes, one way"),
  PINS("pins"),
  RING("a seal ring"),
  NONE("nothing");

  private final String text;

  Keying(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }

  /** Whether it is keys, one by one. */
  public boolean single() {
    return this == DOMES_BOTH || this == DOMES || this == PINS;
  }
}
