package ungula.core.skin;

import ungula.core.quantity.Choosable;

/**
 * One coat of a skin.
 *
 * @param number from 1, counted from the master outwards
 * @param fromMm where it begins, from the master's surface
 * @param toMm where it ends
 * @param thickener in its rubber
 * @param cloth whether open-weave cloth is bedded in it
 */
public record Coat(
    Kind kind, int number, double fromMm, double toMm, Thickener thickener, boolean cloth) {

  /** What a coat is for. */
  public enum Kind implements Choosable {
    DETAIL("detail"),
    BUILD("build"),
    SMOOTHING("smoothing");

    private final String text;

    Kind(String text) {
      this.text = text;
    }

    @Override
    public String text() {
      return text;
    }
  }

  public Coat with(Thickener other) {
    return new Coat(kind, number, fromMm, toMm, other, cloth);
  }

  public double mm() {
    return toMm - fromMm;
  }
}
