package ungula.core.skin;

import java.util.List;
import ungula.core.quantity.Timespan;

/**
 * When each coat of a skin goes on, in minutes from the morning of the first.
 *
 * @param coats in turn
 * @param curedMin when the last has cured
 */
public record SkinClock(List<Brushing> coats, double curedMin) {

  /**
   * One coat on the clock.
   *
   * @param number of the coat
   * @param fromMin its rubber is mixed
   * @param toMin it is on
   * @param next how the next follows; null after the last
   * @param opensMin from when the next may go on
   * @param closesMin until when
   * @param missed what is done once that is over
   */
  public record Brushing(
      int number,
      double fromMin,
      double toMin,
      Recoat next,
      double opensMin,
      double closesMin,
      String missed) {

    /**
     * When the next may go on, such as "1:39 to 3:18" or "from day 2, 0:00"; empty after the last.
     */
    public String window() {
      if (next == null) {
        return "";
      }
      return next == Recoat.NEXT_DAY
          ? "from " + Timespan.clock(opensMin)
          : Timespan.clock(opensMin) + " to " + Timespan.clock(closesMin);
    }
  }

  /**
   * What the rubber takes, in the room it is in.
   *
   * @param gelMin after mixing: it no longer runs and is sticky
   * @param openMin after mixing: it is no longer sticky
   * @param setMin after mixing: it can be handled
   */
  public record Times(double gelMin, double openMin, double setMin) {}

  /** Whether a coat goes on after the last has stopped being sticky, though it was to stick. */
  public boolean tooLate(int coat) {
    Brushing b = coats.get(coat - 1);
    return b.next == Recoat.TACKY && b.toMin > b.closesMin;
  }

  /** Days on which there is work. */
  public int days() {
    return 1 + (int) coats.stream().filter(b -> b.next == Recoat.NEXT_DAY).count();
  }
}
