package ungula.core.parting;

import ungula.core.quantity.Choosable;

/** How the halves of a mould meet. */
public enum PartingLine implements Choosable {
  LEVEL("level"),
  SILHOUETTE("along the silhouette");

  private final String text;

  PartingLine(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
