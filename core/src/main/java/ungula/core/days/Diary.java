package ungula.core.days;

import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;

/**
 * What a workshop has before it when a job is planned.
 *
 * @param morning the next one of work, where a job begins of which nobody says when; second of the
 *     epoch
 * @param taken what other jobs use, and when
 */
public record Diary(long morning, List<Network.Busy> taken) {

  /** A Monday at eight with nothing else to do: for times by themselves. */
  public static final Diary PLAIN =
      new Diary(LocalDateTime.of(2027, 3, 1, 8, 0).toEpochSecond(ZoneOffset.UTC), List.of());
}
