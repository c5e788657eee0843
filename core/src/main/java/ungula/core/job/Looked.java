package ungula.core.job;

import java.util.Map;

/**
 * What each stage of a job was last looked at against: it is no decision and no part of a job's
 * history.
 *
 * @param seen by stage: the basis it was looked at on
 */
public record Looked(Map<String, String> seen) {

  public static final Looked NOTHING = new Looked(Map.of());

  /** How far a stage is. */
  public enum State {
    OPEN,
    DONE,
    /** Something before it changed since it was last looked at. */
    LOOK_AGAIN
  }

  /**
   * What a stage builds on.
   *
   * @param ready whether there is something to look at
   * @param before fingerprint of everything before it; null for the first, which nothing precedes
   */
  public record Basis(boolean ready, String before) {}

  public State state(String stage, Basis basis) {
    String last = seen.get(stage);
    if (!basis.ready || basis.before != null && last == null) {
      return State.OPEN;
    }
    return basis.before == null || basis.before.equals(last) ? State.DONE : State.LOOK_AGAIN;
  }
}
