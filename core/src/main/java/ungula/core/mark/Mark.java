package ungula.core.mark;

import ungula.core.quantity.Choosable;

/** What a place of the master can be marked as. */
public enum Mark implements Choosable {
  KEEP_CLEAN("keep clean", "no parting, vent, sprue or cut here; not against the plate"),
  BASE("flat base", "what it is to stand on"),
  THREAD("thread", "comes out by unscrewing, or is plugged"),
  PLUG("hole to plug", "filled before the rubber is poured"),
  FRAGILE("fragile", "pull and clamp nowhere near");

  private final String text;
  private final String meaning;

  Mark(String text, String meaning) {
    this.text = text;
    this.meaning = meaning;
  }

  @Override
  public String text() {
    return text;
  }

  /** What follows from it, in a few words. */
  public String meaning() {
    return meaning;
  }
}
