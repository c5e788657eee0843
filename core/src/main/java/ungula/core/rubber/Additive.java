package ungula.core.rubber;

import ungula.core.quantity.Choosable;

/**
 * Pigment, thickener or thinner stirred into a mix.
 *
 * @param name what it is called; empty when nobody says
 * @param kind what it is for
 * @param dosePct percent of {@code of}, by weight
 * @param of what the percentage is of
 * @param density g/cm³; null counts as the mix's own
 */
public record Additive(String name, Kind kind, Double dosePct, Of of, Double density) {

  public static final Additive NONE =
      new Additive("", Kind.PIGMENT, null, Of.BASE_AND_HARDENER, null);

  /** Pigment up to this cures as well as without, until a sheet says otherwise, %. */
  private static final double MOST_PIGMENT_PCT = 5;

  public enum Kind implements Choosable {
    PIGMENT("pigment"),
    THICKENER("thickener"),
    THINNER("thinner"),
    FILLER("filler");

    private final String text;

    Kind(String text) {
      this.text = text;
    }

    @Override
    public String text() {
      return text;
    }
  }

  public enum Of implements Choosable {
    BASE("of the base", "of part A"),
    HARDENER("of the hardener", "of part B"),
    BASE_AND_HARDENER("of base and hardener together", "of both parts together"),
    TOTAL("of the whole mix", "of the whole mix");

    private final String text;
    private final String inCast;

    Of(String text, String inCast) {
      this.text = text;
      this.inCast = inCast;
    }

    @Override
    public String text() {
      return text;
    }

    /** The same of what is cast, whose parts go by other names. */
    public String inCast() {
      return inCast;
    }
  }

  /** What was kept before kinds were asked about is pigment. */
  public Additive {
    kind = kind == null ? Kind.PIGMENT : kind;
  }

  /** The most of it a rubber takes, %; null where its sheet does not say. */
  public Double mostPct(Product rubber) {
    return switch (kind) {
      case PIGMENT -> Double.valueOf(MOST_PIGMENT_PCT);
      case THICKENER -> rubber.thickenPct();
      case THINNER -> rubber.thinPct();
      case FILLER -> rubber.fillPct();
    };
  }

  /**
   * How many percent of base and hardener a percent of its dose is.
   *
   * @param hardenerPerBase grams for every gram of base
   */
  public double ofBoth(double hardenerPerBase) {
    return switch (of) {
      case BASE -> 1 / (1 + hardenerPerBase);
      case HARDENER -> hardenerPerBase / (1 + hardenerPerBase);
      case BASE_AND_HARDENER -> 1;
      case TOTAL -> used() ? 1 / (1 - dosePct / 100) : 1;
    };
  }

  /** Its name, or what it is for where nobody gave it one. */
  public String called() {
    return name == null || name.isBlank() ? kind.text() : name;
  }

  public boolean used() {
    return dosePct != null && dosePct > 0;
  }
}
