package ungula.core.jacket;

import ungula.core.quantity.Choosable;

/** What a jacket is made of. Figures are usual ones until the product's sheet says. */
public enum JacketKind implements Choosable {
  BANDAGE("plaster bandage"),
  PLASTER("plaster and fibre"),
  LAMINATE("resin and mat"),
  PUTTY("filled fast resin");

  private final String text;

  JacketKind(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }

  /** Whether it is built of sheets laid over each other; else it is as thick as it is made. */
  public boolean layered() {
    return this == BANDAGE || this == LAMINATE;
  }
}
