package ungula.core.form;

import ungula.core.geometry.Vec3;

/**
 * A part of a body that is thin for its length.
 *
 * @param kind what it is like
 * @param thicknessMm where it is thickest
 * @param lengthMm along it, from where it leaves the thicker body
 * @param tip furthest along it
 * @param root where it leaves the thicker body; as the tip when there is none
 */
public record ThinPart(Kind kind, double thicknessMm, double lengthMm, Vec3 tip, Vec3 root) {

  /** Shapes of thin parts. */
  public enum Kind {
    /** As thick as wide, with a free end. */
    LIMB("limb"),
    /** Wide and thin. */
    WALL("wall"),
    /** Joins thicker parts. */
    NECK("neck");

    private final String text;

    Kind(String text) {
      this.text = text;
    }

    public String text() {
      return text;
    }
  }
}
