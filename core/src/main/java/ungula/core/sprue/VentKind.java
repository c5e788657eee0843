package ungula.core.sprue;

import ungula.core.quantity.Choosable;

/** What makes a vent. */
public enum VentKind implements Choosable {
  KNIFE("cut in once it is open"),
  WIRE("left by wires"),
  STRAW("left by straws"),
  TAPE("left by the edge of a tape"),
  SLIT("slits that close again");

  /** A tape laid double leaves a gap so wide, mm. */
  public static final double TAPE_MM = 0.2;

  private final String text;

  VentKind(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }

  /** Whether it is in place while the rubber is poured. */
  public boolean poured() {
    return this == WIRE || this == STRAW || this == TAPE;
  }

  /** Whether it is round, as wide as is said. */
  public boolean round() {
    return this == KNIFE || this == WIRE || this == STRAW;
  }

  /**
   * What a cast fills of it, mm².
   *
   * @param acrossMm how wide it is
   */
  public double sectionMm2(double acrossMm) {
    return switch (this) {
      case KNIFE, WIRE, STRAW -> Math.PI / 4 * acrossMm * acrossMm;
      case TAPE -> TAPE_MM * acrossMm;
      case SLIT -> 0;
    };
  }
}
