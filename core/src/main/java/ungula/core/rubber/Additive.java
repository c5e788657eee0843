package ungula.core.rubber;

import ungula.core.quantity.Choosable;

/**
 * Pigment, thickener or thinner stirred into a mix.
 *
 * @param name what it is; empty when none is used
 * @param dosePct percent of {@code of}, by weight
 * @param of what the percentage is of
 * @param density g/cm³; null counts as the mix's own
 */
public record Additive(String name, Double dosePct, Of of, Double density) {

  public static final Additive NONE = new Additive("", null, Of.BASE_AND_HARDENER, null);

  public enum Of implements Choosable {
    BASE("of the base"),
    BASE_AND_HARDENER("of base and hardener together"),
    TOTAL("of the whole mix");

    private final String text;

    Of(String text) {
      this.text = text;
    }

    @Override
    public String text() {
      return text;
    }
  }

  public boolean used() {
    return dosePct != null && dosePct > 0;
  }
}
