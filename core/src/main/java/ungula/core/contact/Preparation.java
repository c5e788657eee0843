package ungula.core.contact;

import ungula.core.quantity.Choosable;

/** What was done to a surface before rubber touches it. */
public enum Preparation implements Choosable {
  /** Nobody has said it. */
  UNKNOWN("its surface not known"),
  BARE("bare"),
  SEALED("sealed"),
  CURED("washed and cured through"),
  RELEASED("released"),
  SEALED_RELEASED("sealed and released");

  private final String text;

  Preparation(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }

  public boolean sealed() {
    return this == SEALED || this == SEALED_RELEASED;
  }

  public boolean released() {
    return this == RELEASED || this == SEALED_RELEASED;
  }

  /** This and sealed. */
  public Preparation sealing() {
    return released() ? SEALED_RELEASED : SEALED;
  }

  /** This and released. */
  public Preparation releasing() {
    return sealed() ? SEALED_RELEASED : RELEASED;
  }
}
