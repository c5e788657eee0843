package ungula.core.parting;

import ungula.core.quantity.Choosable;

/** What keeps the lower half free while the upper one is poured. */
public enum Bedding implements Choosable {
  CLAY("oil clay"),
  CLAY_SULPHUR_FREE("sulphur-free clay"),
  CLAY_WATER("water clay"),
  BOARD("a board cut to its outline, on risers");

  private final String text;

  Bedding(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
