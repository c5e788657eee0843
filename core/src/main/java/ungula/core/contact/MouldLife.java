package ungula.core.contact;

import ungula.core.rubber.Product.Chemistry;

/**
 * Casts a mould gives before it is worn out, by its rubber: rules of thumb a workshop makes its
 * own.
 *
 * @param addition of addition-cure silicone
 * @param condensation of condensation-cure silicone
 * @param urethane of urethane rubber
 * @param latex of latex
 */
public record MouldLife(int addition, int condensation, int urethane, int latex) {

  /** Up to this share of what it stands, stretching costs nothing. */
  private static final double EASY_STRETCH = 1 / 3.0;

  /** At the very end of what it stands, so much of the life is left. */
  private static final double LEFT_AT_BREAK = 0.2;

  /** Within so many degrees of what it stands, heat takes half. */
  private static final double NEAR_LIMIT_C = 20;

  private static final double RELEASED = 1.5;

  /** What the edge of a cut leaves of it: it wears first. */
  public static final double CUT_EDGE = 0.8;

  /** Before a workshop says otherwise. */
  public static MouldLife usual(CastingMaterial cast) {
    return switch (cast) {
      case URETHANE -> new MouldLife(60, 45, 20, 5);
      case FLEXIBLE -> new MouldLife(60, 45, 20, 5);
      case FOAM -> new MouldLife(40, 30, 15, 5);
      case EPOXY -> new MouldLife(50, 35, 15, 5);
      case POLYESTER -> new MouldLife(20, 15, 5, 1);
      case PLASTER -> new MouldLife(200, 150, 300, 100);
      case CONCRETE -> new MouldLife(80, 60, 250, 60);
      case WAX -> new MouldLife(250, 200, 80, 60);
      case INJECTED_WAX -> new MouldLife(250, 200, 80, 60);
      case METAL -> new MouldLife(30, 35, 1, 1);
      case SILICONE -> new MouldLife(80, 60, 60, 30);
      case APPLIANCE -> new MouldLife(80, 60, 60, 30);
      case SOAP -> new MouldLife(300, 250, 150, 80);
    };
  }

  public int of(Chemistry rubber) {
    return switch (rubber) {
      case CONDENSATION -> condensation;
      case URETHANE -> urethane;
      case LATEX -> latex;
      default -> addition;
    };
  }

  /** What stretching leaves of it: all up to a third of what the rubber stands, then in a line. */
  public static double stretchFactor(double neededPct, double elongationPct) {
    double share = neededPct / elongationPct;
    double over = Math.max(0, Math.min(1, (share - EASY_STRETCH) / (1 - EASY_STRETCH)));
    return 1 - (1 - LEFT_AT_BREAK) * over;
  }

  public static double heatFactor(double peakC, double limitC) {
    return peakC > limitC - NEAR_LIMIT_C ? 0.5 : 1;
  }

  /** What releasing before every cast makes of it. */
  public static double releaseFactor(CastingMaterial cast) {
    return cast.attacks() ? RELEASED : 1;
  }
}
