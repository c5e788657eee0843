package ungula.core.device;

import java.util.Locale;
import java.util.Random;

/** A gauge on a vacuum chamber with its pump. */
public final class StandInGauge implements StandIn {

  private static final double AIR_KPA = 101.325;

  private static final double WAVERS_KPA = 0.03;

  private final Random chance;
  private final Chamber chamber;
  private double kPa = AIR_KPA;
  private boolean pumping;
  private double leakLMin;

  public StandInGauge(long seed, Chamber chamber) {
    this.chance = new Random(seed);
    this.chamber = chamber;
  }

  /** On an eleven litre chamber with a pump of 40 L/min. */
  public static StandInGauge usual(long seed) {
    return new StandInGauge(seed, new Chamber(11, 40, 2));
  }

  @Override
  public void pass(double seconds) {
    if (pumping) {
      kPa = chamber.pumped(kPa, leakLMin, AIR_KPA, seconds);
    } else {
      kPa = Math.min(AIR_KPA, kPa + leakLMin * AIR_KPA / chamber.volumeL() * seconds / 60);
    }
  }

  @Override
  public String line() {
    double shown = Math.max(0, kPa + WAVERS_KPA * chance.nextGaussian());
    return String.format(Locale.ROOT, "P %.1f kPa abs", shown);
  }

  @Override
  public String hand(String deed) {
    String told = deed.strip();
    if (told.matches("leak \\d{1,3}(\\.\\d+)?")) {
      leakLMin = Double.parseDouble(told.substring(5));
    } else if (told.equals("pump") || told.equals("close")) {
      pumping = told.equals("pump");
    } else if (told.equals("open")) {
      pumping = false;
      kPa = AIR_KPA;
    } else {
      return "pump, close, open, or leak LITRES of air a minute";
    }
    return "done: " + told;
  }

  @Override
  public double everySeconds() {
    return 0.5;
  }
}
