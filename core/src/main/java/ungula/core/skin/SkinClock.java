package ungula.core.skin;

import java.util.ArrayList;
import java.util.List;

/**
 * When each coat of a skin goes on, in minutes from the first.
 *
 * @param coats in turn
 * @param handsMin at work
 * @param curedMin when the last has cured
 */
public record SkinClock(List<Brushing> coats, double handsMin, double curedMin) {

  private static final double DAY_MIN = 24 * 60;

  /** Nobody brushes longer in a day. */
  public static final double WORKING_MIN = 9 * 60;

  /** Mixing and getting ready, each coat. */
  public static final double READY_MIN = 10;

  /** Brushing, for every square metre of a coat. */
  public static final double MIN_PER_M2 = 40;

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
          ? "from " + at(opensMin)
          : at(opensMin) + " to " + at(closesMin);
    }
  }

  /** Minutes from the first coat as a clock reads: "1:30", after a night "day 2, 0:10". */
  public static String at(double min) {
    long all = Math.round(min);
    long day = all / (24 * 60);
    long left = all % (24 * 60);
    String time = left / 60 + (left % 60 < 10 ? ":0" : ":") + left % 60;
    return day == 0 ? time : "day " + (day + 1) + ", " + time;
  }

  /**
   * What the rubber takes, in the room it is in.
   *
   * @param gelMin after mixing: it no longer runs and is sticky
   * @param openMin after mixing: it is no longer sticky
   * @param setMin after mixing: it can be handled
   */
  public record Times(double gelMin, double openMin, double setMin) {}

  /** How long a coat takes to mix and brush on. */
  public static double brushMin(double areaMm2) {
    return READY_MIN + MIN_PER_M2 * areaMm2 / 1e6;
  }

  /**
   * @param brushMin for each coat
   * @param rubber of each coat
   */
  public static SkinClock of(Skin skin, double[] brushMin, List<Times> rubber) {
    List<Brushing> all = new ArrayList<>();
    double start = 0;
    double day = 0;
    double hands = 0;
    for (int i = 0; i < brushMin.length; i++) {
      Times times = rubber.get(i);
      double on = start + brushMin[i];
      hands += brushMin[i];
      if (i + 1 == brushMin.length) {
        all.add(new Brushing(i + 1, start, on, null, on, on, ""));
        return new SkinClock(List.copyOf(all), hands, start + times.setMin);
      }
      Recoat how = skin.after(i + 1);
      double opens = how == Recoat.SET ? start + times.setMin : start + times.gelMin;
      double next = Math.max(on, opens);
      if (how != Recoat.NEXT_DAY && next + brushMin[i + 1] > day + WORKING_MIN) {
        how = Recoat.NEXT_DAY;
      }
      double closes = start + times.openMin;
      if (how == Recoat.SET) {
        closes = Math.max(opens, day + WORKING_MIN);
      }
      if (how == Recoat.NEXT_DAY) {
        do {
          day += DAY_MIN;
        } while (day < start + times.setMin);
        opens = day;
        closes = day + WORKING_MIN;
        next = day;
      }
      all.add(new Brushing(i + 1, start, on, how, opens, closes, missed(how)));
      start = next;
    }
    throw new IllegalArgumentException("A skin without coats");
  }

  private static String missed(Recoat how) {
    return switch (how) {
      case TACKY -> "let it cure, and go on the next day: dust off, massage a thin layer in first";
      case SET -> "go on the next day: dust off, massage a thin layer in first";
      case NEXT_DAY -> "the longer it waits, the more it must be wiped down and massaged in";
    };
  }

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
