package ungula.core.mould;

import ungula.core.quantity.Choosable;

/** How a mould comes off its master. */
public enum MouldKind implements Choosable {
  OPEN("open mould"),
  CUT("cut mould"),
  TWO_PART("two-part mould"),
  SKIN("skin mould");

  private final String text;

  MouldKind(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }

  /** Whether the master stands on the plate; in any other mould rubber goes all round it. */
  public boolean onPlate() {
    return this == OPEN || this == SKIN;
  }

  /** Whether rubber is poured round the master in a box; else it is brushed on. */
  public boolean poured() {
    return this != SKIN;
  }
}
