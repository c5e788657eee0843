package ungula.core.choice;

import java.time.LocalDateTime;
import java.util.Collections;
import java.util.SortedMap;
import java.util.TreeMap;
import ungula.core.days.Moments.Moment;
import ungula.core.quantity.UnreadableQuantity;

/**
 * When a job is done, by the clock of the workshop.
 *
 * @param begin nothing of it begins before; null for the next morning of work
 * @param pins steps that begin just then, by key
 */
public record DaysChoice(Moment begin, SortedMap<String, LocalDateTime> pins) {

  static final DaysChoice OPEN = new DaysChoice(null, new TreeMap<>());

  public DaysChoice {
    pins = Collections.unmodifiableSortedMap(pins == null ? new TreeMap<>() : pins);
  }

  /**
   * With a step pinned.
   *
   * @param text its key and when, such as "unbox 2027-02-09T08:30"; the key alone lets it go
   */
  DaysChoice pinned(String text) {
    String[] words = text.strip().split(" ", 2);
    if (words[0].isEmpty()) {
      throw new UnreadableQuantity("Say which step, and when it begins.");
    }
    SortedMap<String, LocalDateTime> changed = new TreeMap<>(pins);
    if (words.length == 1) {
      changed.remove(words[0]);
    } else {
      changed.put(words[0], Moment.of(words[1]).at());
    }
    return new DaysChoice(begin, changed);
  }
}
