package ungula.core.days;

import java.time.LocalDateTime;
import java.time.ZoneOffset;

/** Times typed on the Monday plain plans begin on. */
public final class Mondays {

  /** The plain Monday, before work. */
  public static final Moments MORNING =
      new Moments(
          LocalDateTime.ofEpochSecond(Diary.PLAIN.morning(), 0, ZoneOffset.UTC).minusHours(1),
          day -> day.withHour(8));

  private Mondays() {}
}
