package ungula.core.mould;

/** Where round a master the rubber is, as it is said and pointed at. */
public enum WallPlace {
  LEFT("on the left"),
  RIGHT("on the right"),
  FRONT("at the front"),
  BACK("at the back"),
  /** Seen from above, at no one side. */
  SIDES("round the sides"),
  TOP("over the top"),
  BELOW("underneath");

  private final String text;

  WallPlace(String text) {
    this.text = text;
  }

  public String text() {
    return text;
  }
}
