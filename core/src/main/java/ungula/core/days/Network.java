package ungula.core.days;

import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Steps, what each waits on, and who and what there is to do them. Instants are seconds of the
 * epoch, times minutes.
 *
 * @param start nothing begins before it
 * @param pinStart whether the first step begins just then
 * @param resources how many there are of each; of one that is not named one
 * @param busy when something is used by others
 */
public record Network(
    Hours.Calendar calendar,
    long start,
    boolean pinStart,
    Map<String, Integer> resources,
    Forecast room,
    List<Step> steps,
    List<Busy> busy) {

  /** Works by hand; there is one unless it is said. */
  public static final String PERSON = "person";

  ZoneId zone() {
    return calendar.zone();
  }

  int capacity(String resource) {
    return resources.getOrDefault(resource, 1);
  }

  /**
   * Something to do, or to wait for.
   *
   * @param hands whether somebody works at it; a wait goes on by itself
   * @param perTen how many times faster it goes per 10 °C: its time is stated for 23 °C, and
   *     follows the room; null when it does not
   * @param after what it waits on
   * @param unbroken name of the group it runs with, one after the other in the order they are given
   *     (or wait on each other), without a gap inside one span of hours; empty for none
   * @param holds what it uses; by hand always a person
   * @param pinned when it begins; null when that is free
   * @param done when it was done, whatever the rules say; null while it was not
   */
  public record Step(
      String key,
      boolean hands,
      double minutes,
      Double perTen,
      List<After> after,
      String unbroken,
      Set<String> holds,
      Long pinned,
      Done done) {

    public Step(
        String key,
        boolean hands,
        double minutes,
        Double perTen,
        List<After> after,
        String unbroken,
        Set<String> holds,
        Long pinned) {
      this(key, hands, minutes, perTen, after, unbroken, holds, pinned, null);
    }

    public Step waitingOn(List<After> others) {
      return new Step(key, hands, minutes, perTen, others, unbroken, holds, pinned, done);
    }

    public Step pinnedTo(Long at) {
      return new Step(key, hands, minutes, perTen, after, unbroken, holds, at, done);
    }

    boolean holds(String resource) {
      return holds.contains(resource) || hands && resource.equals(PERSON);
    }
  }

  /**
   * What a step waits on. A step begins no sooner than the least lag after the other; a wait begins
   * just then.
   *
   * @param least minutes
   * @param greatest minutes; null when no window closes
   * @param fromBegin whether the lags are counted from where the other begins, not where it ends
   * @param perTen how many times faster it goes per 10 °C: the lags follow the room; null when they
   *     do not
   * @param nextDay minutes after which it may also begin on a later day, whatever the window; null
   *     when it may not
   */
  public record After(
      String step,
      double least,
      Double greatest,
      boolean fromBegin,
      Double perTen,
      Double nextDay) {

    public After(String step, double least, Double greatest, boolean fromBegin, Double perTen) {
      this(step, least, greatest, fromBegin, perTen, null);
    }
  }

  /** When a step was begun and ended. */
  public record Done(long from, long to) {}

  /** Something used by others meanwhile. */
  public record Busy(String resource, long from, long to) {}

  /**
   * When so long after a time has passed, to the second.
   *
   * @param perTen how many times faster it goes per 10 °C, of what is stated at 23 °C; null for
   *     what does not follow the room
   */
  public long later(long from, double minutes, Double perTen) {
    return perTen == null
        ? from + Math.round(60 * minutes)
        : room.after(from, 60 * minutes, perTen);
  }

  /** The same in other hours. */
  public Network in(Hours.Calendar other) {
    return new Network(other, start, pinStart, resources, room, steps, busy);
  }

  /** The same beside what others use. */
  public Network beside(List<Busy> others) {
    return new Network(calendar, start, pinStart, resources, room, steps, others);
  }

  public Network with(List<Step> others) {
    return new Network(calendar, start, pinStart, resources, room, others, busy);
  }

  public Network from(long other, boolean pin) {
    return new Network(calendar, other, pin, resources, room, steps, busy);
  }
}
