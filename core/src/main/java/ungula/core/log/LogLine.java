package ungula.core.log;

import java.time.Instant;
import ungula.core.quantity.Share;

/**
 * One thing that happened in a job, with what was planned of it beside it.
 *
 * @param who did it, in a few letters; empty where a device said it, or nobody said who
 * @param part of the work it belongs to: a batch, a step's heading; empty for none
 * @param planned in words; empty where nothing was
 * @param actual in words; empty where what says it
 * @param off what is beyond tolerance, in words; empty where all is as it should be
 * @param struck why it does not count; empty where it does
 * @param picture what it is called where it is kept; empty for none
 */
public record LogLine(
    Instant at,
    String who,
    Kind kind,
    String part,
    String what,
    String planned,
    String actual,
    String off,
    String struck,
    String picture) {

  /** What it is about. */
  public enum Kind {
    WEIGHED("weighed"),
    DONE("done"),
    CHECKED("looked at"),
    CAST("casts"),
    NOTED("noted"),
    DECIDED("decided"),
    DEVICE("devices");

    private final String text;

    Kind(String text) {
      this.text = text;
    }

    public String text() {
      return text;
    }
  }

  /** Whether it went otherwise than it should. */
  public boolean differs() {
    return !off.isEmpty() && struck.isEmpty();
  }

  /** What is more or less than it should be, a share: "3.5 % more than planned". */
  static String beyond(double share, String than) {
    return Share.format(Math.abs(share), 1) + (share > 0 ? " more" : " less") + than;
  }

  /** The same, as it does not count. */
  LogLine struck(String why) {
    return new LogLine(at, who, kind, part, what, planned, actual, off, why, picture);
  }
}
