package ungula.core.skin;

import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.List;
import ungula.core.days.Moments;

/**
 * When each coat of a skin goes on. Times are seconds of the epoch.
 *
 * @param coats in turn
 * @param cured when the last has cured
 * @param zone of the clock on the wall
 */
public record SkinClock(List<Brushing> coats, long cured, ZoneId zone) {

  /**
   * One coat on the clock.
   *
   * @param number of the coat
   * @param from its rubber is mixed
   * @param to it is on
   * @param next how the next follows; null after the last
   * @param opens from when the next may go on
   * @param closes until when
   * @param missed what is done once that is over
   * @param late whether it takes longer to brush on than the rubber stays sticky, though the next
   *     was to stick
   */
  public record Brushing(
      int number,
      long from,
      long to,
      Recoat next,
      long opens,
      long closes,
      String missed,
      boolean late) {}

  /**
   * What the rubber takes, in the room it is in.
   *
   * @param gelMin after mixing: it no longer runs and is sticky
   * @param openMin after mixing: it is no longer sticky
   * @param setMin after mixing: it can be handled
   */
  public record Times(double gelMin, double openMin, double setMin) {}

  public ZonedDateTime at(long time) {
    return Instant.ofEpochSecond(time).atZone(zone);
  }

  private String clock(long time) {
    return Moments.clock(at(time).toLocalTime());
  }

  private String day(long time) {
    return Moments.weekday(at(time).toLocalDate()) + " " + clock(time);
  }

  /** When a coat goes on, such as "Tue 8:00 to 8:20". */
  public String brushed(Brushing b) {
    return day(b.from) + " to " + clock(b.to);
  }

  /** When the next may go on, such as "9:39 to 11:18" or "from Wed 8:00"; empty after the last. */
  public String window(Brushing b) {
    if (b.next == null) {
      return "";
    }
    if (b.next == Recoat.NEXT_DAY) {
      return "from " + day(b.opens);
    }
    boolean sameDay = at(b.opens).toLocalDate().equals(at(b.closes).toLocalDate());
    return clock(b.opens) + " to " + (sameDay ? clock(b.closes) : day(b.closes));
  }

  /** Days on which there is work. */
  public int days() {
    return (int) coats.stream().map(b -> at(b.from).toLocalDate()).distinct().count();
  }
}
