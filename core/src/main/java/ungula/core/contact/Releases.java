package ungula.core.contact;

import ungula.core.quantity.Choosable;

/** What a workshop releases. Where rubber would bond, it is released under either. */
public enum Releases implements Choosable {
  RUBBER_ONLY("only where rubber would bond"),
  EVERYTHING("everything, two thin coats five minutes apart");

  private final String text;

  Releases(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
