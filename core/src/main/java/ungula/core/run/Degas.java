package ungula.core.run;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import ungula.core.device.Reading;

/**
 * What to do at the vacuum chamber, from what the gauge shows and what the foam does.
 *
 * @param headline what to do
 * @param text why, and what comes next
 * @param enough whether it is to stop
 */
public record Degas(String headline, String text, boolean enough) {

  /** Above this share of the air outside the chamber is open. */
  private static final double OPEN = 0.89;

  /** Below this rubber foams, and above it hardly. */
  private static final double FOAMS_KPA = 10;

  /** Once the foam has fallen, so long takes out what is left. */
  private static final Duration ENOUGH = Duration.ofMinutes(2);

  /** A pump that has not come further for so long does not come further. */
  private static final Duration STAYS = Duration.ofSeconds(45);

  private static final double COMES_FURTHER = 0.97;

  /** Absolute pressure at a time. */
  public record Point(Instant at, double kPa) {}

  /**
   * @param airKpa outside, which a gauge may show the difference to
   */
  public static double absoluteKpa(Reading.Pressure p, double airKpa) {
    return p.absolute() ? p.kPa() : airKpa + p.kPa();
  }

  /**
   * @param trend of the pressure, the oldest first; empty without a gauge
   * @param foam what it did last; null before it did anything
   * @param airKpa outside
   */
  public static Degas of(List<Point> trend, Entry.Foamed foam, Instant now, double airKpa) {
    boolean gauge = !trend.isEmpty();
    double kPa = gauge ? trend.get(trend.size() - 1).kPa() : 0;
    if (foam != null && foam.foam() == Entry.Foam.OVER_THE_RIM) {
      return new Degas(
          "Let air in now, slowly.",
          "The cup is too full for its foam: divide it between two cups, then go on.",
          false);
    }
    if (foam != null && foam.foam() == Entry.Foam.FALLEN) {
      Duration past = Duration.between(foam.at(), now);
      return past.compareTo(ENOUGH) < 0
          ? new Degas(
              "It has fallen: hold the vacuum.",
              "Two minutes more take out what is left. Longer only costs pot life.",
              false)
          : new Degas(
              "Enough: stop the pump, and let the air in slowly.",
              "Half a minute or more: air that rushes in is stirred into the rubber.",
              true);
    }
    if (gauge && kPa > OPEN * airKpa) {
      return new Degas(
          "Close the lid and start the pump.",
          "Stand so that the guard is between you and the vessel.",
          false);
    }
    if (gauge && kPa > FOAMS_KPA && stays(trend, now)) {
      return new Degas(
          "The pressure does not fall any further.",
          "Press the lid down and look at its seal, the valve and the hose: there is a leak, or the"
              + " pump is too small.",
          false);
    }
    return foam == null
        ? new Degas(
            "Watch it rise.",
            "It foams up to four times its height. Near the rim, let a little air in.",
            false)
        : new Degas(
            "It rises: wait until it falls by itself.",
            "Near the rim, let a little air in, and pump again.",
            false);
  }

  private static boolean stays(List<Point> trend, Instant now) {
    List<Point> last = trend.stream().filter(p -> p.at().isAfter(now.minus(STAYS))).toList();
    boolean longEnough = !trend.get(0).at().isAfter(now.minus(STAYS));
    double newest = trend.get(trend.size() - 1).kPa();
    return longEnough && last.size() > 1 && newest > COMES_FURTHER * last.get(0).kPa();
  }
}
