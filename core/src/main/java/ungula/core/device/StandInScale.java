package ungula.core.device;

import java.util.Locale;
import java.util.Random;

/**
 * A scale that settles slowly, wavers while it moves, drifts, carries so much and no more, refuses
 * to be tared while it moves, and can be lost for a while.
 */
public final class StandInScale implements StandIn {

  /** What it shows follows the load, to a third after so long. */
  private static final double SETTLES_S = 0.35;

  /** It is still once it moves less than it can show for so long. */
  private static final double STILL_S = 0.8;

  /** Of what falls onto it, so much shows as unrest. */
  private static final double UNREST = 0.04;

  private static final double DRIFT_G_PER_MIN = 0.004;

  private static final String DEEDS =
      "put GRAMS, take GRAMS, pour GRAMS a second, stop, or lose it for SECONDS";

  private final Random chance;
  private final double readG;
  private final double capacityG;
  private double loadG;
  private double shownG;
  private double zeroG;
  private double pouringGs;
  private double stillS = STILL_S;
  private double lostS;

  /**
   * @param readG smallest step it shows
   * @param capacityG it carries
   */
  public StandInScale(long seed, double readG, double capacityG) {
    this.chance = new Random(seed);
    this.readG = readG;
    this.capacityG = capacityG;
  }

  /** An ordinary bench scale: 6 kg by 0.1 g. */
  public static StandInScale usual(long seed) {
    return new StandInScale(seed, 0.1, 6_000);
  }

  @Override
  public void pass(double seconds) {
    double left = seconds;
    while (left > 0) {
      double dt = Math.min(0.05, left);
      left -= dt;
      lostS = Math.max(0, lostS - dt);
      loadG += pouringGs * dt;
      double to = loadG + UNREST * pouringGs * chance.nextGaussian();
      double before = shownG;
      shownG += (to - shownG) * (1 - Math.exp(-dt / SETTLES_S));
      shownG += DRIFT_G_PER_MIN * dt / 60;
      loadG += DRIFT_G_PER_MIN * dt / 60;
      boolean moves = pouringGs != 0 || Math.abs(shownG - before) > readG / 20;
      stillS = moves ? 0 : stillS + dt;
    }
  }

  private boolean settled() {
    return stillS >= STILL_S;
  }

  @Override
  public String line() {
    if (lostS > 0) {
      return "";
    }
    if (loadG > capacityG) {
      return "OL";
    }
    double net = Math.round((shownG - zeroG) / readG) * readG;
    int decimals = Math.max(0, (int) Math.ceil(-Math.log10(readG) - 1e-9));
    String number = String.format(Locale.ROOT, "%8." + decimals + "f", Math.abs(net));
    return (settled() ? "S " : "D ") + (net < -readG / 2 ? "-" : "+") + number + " g";
  }

  @Override
  public String hear(String command) {
    String told = command.strip();
    if (lostS > 0 || !told.equals("T") && !told.equals("Z")) {
      return "";
    }
    if (!settled()) {
      return told + " NO";
    }
    zeroG = shownG;
    return told + " OK";
  }

  @Override
  public String hand(String deed) {
    String[] said = deed.strip().split(" +");
    double number =
        said.length == 2 && said[1].matches("\\d{1,6}(\\.\\d+)?")
            ? Double.parseDouble(said[1])
            : -1;
    if (number >= 0 || said[0].equals("stop")) {
      switch (said[0]) {
        case "put" -> loadG += number;
        case "take" -> loadG = Math.max(0, loadG - number);
        case "pour" -> pouringGs = number;
        case "stop" -> pouringGs = 0;
        case "lose" -> lostS = number;
        default -> {
          return DEEDS;
        }
      }
      stillS = said[0].equals("lose") ? stillS : 0;
      return "done: " + deed.strip();
    }
    return DEEDS;
  }

  @Override
  public double everySeconds() {
    return 0.1;
  }
}
