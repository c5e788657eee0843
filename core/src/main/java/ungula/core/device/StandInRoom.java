package ungula.core.device;

import java.util.Locale;
import java.util.Random;

/** A thermometer in a room that is warmest in the afternoon, and damper when it is colder. */
public final class StandInRoom implements StandIn {

  private static final double DAY_S = 24 * 3600;

  private static final double WARMEST_S = 15 * 3600;

  private static final double WAVERS_C = 0.05;

  private final Random chance;
  private double meanC;
  private final double swingC;
  private double clockS;

  /**
   * @param clockS seconds of the day
   * @param swingC warmer in the afternoon than on the average
   */
  public StandInRoom(long seed, double clockS, double meanC, double swingC) {
    this.chance = new Random(seed);
    this.clockS = clockS;
    this.meanC = meanC;
    this.swingC = swingC;
  }

  public static StandInRoom usual(long seed) {
    return new StandInRoom(seed, 8 * 3600, 20, 2.5);
  }

  @Override
  public void pass(double seconds) {
    clockS = (clockS + seconds) % DAY_S;
  }

  @Override
  public String line() {
    double warmer = swingC * Math.cos(2 * Math.PI * (clockS - WARMEST_S) / DAY_S);
    double degrees = meanC + warmer + WAVERS_C * chance.nextGaussian();
    // the same air holds less of what it could as it warms
    double humidity = Math.max(15, Math.min(95, 55 - 2.5 * (degrees - 20)));
    return String.format(Locale.ROOT, "R %.1f C %.0f %%", degrees, humidity);
  }

  @Override
  public String hand(String deed) {
    String told = deed.strip();
    if (!told.matches("warm -?\\d{1,2}(\\.\\d+)?")) {
      return "warm DEGREES: on the average of the day";
    }
    meanC = Double.parseDouble(told.substring(5));
    return "done: " + told;
  }

  @Override
  public double everySeconds() {
    return 1;
  }
}
