package ungula.core.device;

/**
 * Takes a device's place: says its lines and hears what it is told. Time passes only by {@link
 * #pass}, and chance is seeded: two that are treated alike say the same.
 */
public interface StandIn {

  /** Lets time pass, s. */
  void pass(double seconds);

  /** What it says now, without the line's end; empty while it says nothing. */
  String line();

  /**
   * What it is sent.
   *
   * @return its answer; empty when it has none
   */
  default String hear(String command) {
    return "";
  }

  /**
   * What a hand does to it, such as {@code put 45}.
   *
   * @return what was done, or what could be
   */
  String hand(String deed);

  /** Seconds between two lines. */
  double everySeconds();
}
