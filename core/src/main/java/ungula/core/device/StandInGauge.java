package ungula.core.device;

import java.util.Locale;
import java.util.Random;

/**
 * A gauge on a vacuum chamber with its pump, and the cup in it. While the lid is open the next cup
 * is put in.
 */
public final class StandInGauge implements StandIn {

  private static final double AIR_KPA = 101.325;

  private static final double WAVERS_KPA = 0.03;

  /** Let in by a short turn of the valve, kPa. */
  private static final double A_LITTLE_KPA = 8;

  /** Foam is followed in steps no longer than this, s. */
  private static final double STEP_S = 0.25;

  /** A cup as it should be: the foam has room for five times the rubber. */
  private static final double FILLED = 0.2;

  private final Random chance;
  private final Chamber chamber;
  private double filled = FILLED;
  private Foam foam = new Foam(FILLED, AIR_KPA);
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
    for (double left = seconds; left > 0; left -= STEP_S) {
      step(Math.min(left, STEP_S));
    }
  }

  private void step(double seconds) {
    if (pumping) {
      kPa = chamber.pumped(kPa, leakLMin, AIR_KPA, seconds);
    } else {
      kPa = Math.min(AIR_KPA, kPa + leakLMin * AIR_KPA / chamber.volumeL() * seconds / 60);
    }
    foam.pass(kPa, seconds);
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
    } else if (told.matches("fill (0\\.\\d{1,2}|1)") && !told.matches("fill 0\\.0+")) {
      filled = Double.parseDouble(told.substring(5));
      foam = new Foam(filled, AIR_KPA);
    } else if (told.equals("pump") || told.equals("close")) {
      pumping = told.equals("pump");
    } else if (told.equals("bleed")) {
      kPa = Math.min(AIR_KPA, kPa + A_LITTLE_KPA);
    } else if (told.equals("open")) {
      pumping = false;
      kPa = AIR_KPA;
      foam = new Foam(filled, AIR_KPA);
    } else if (told.equals("look")) {
      return seen();
    } else {
      return "pump, close, bleed, open, look, fill SHARE of the cup, or leak LITRES of air a minute";
    }
    return "done: " + told;
  }

  /** What is seen through the lid. */
  private String seen() {
    if (foam.ranOver()) {
      return "It ran over the rim.";
    }
    if (foam.fallen()) {
      return "It has fallen. A large bubble breaks now and then.";
    }
    String high =
        String.format(Locale.ROOT, "It stands %.1f times as high as poured", foam.height());
    return high + (foam.rises() ? ", and rises." : ".");
  }

  @Override
  public double everySeconds() {
    return 0.5;
  }
}
