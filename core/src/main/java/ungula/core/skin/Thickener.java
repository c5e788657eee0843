package ungula.core.skin;

import java.util.Arrays;
import java.util.List;
import ungula.core.quantity.Choosable;

/** How stiff a rubber is made for brushing, and how well it then stays where it is put. */
public enum Thickener implements Choosable {
  NONE("not thickened", 0, 0),
  LIGHT("lightly thickened", 25, 0.5),
  NORMAL("thickened", 60, 1),
  STIFF("thickened stiff", 120, 2),
  /** Of a sealant, which is a paste. */
  PASTE("as it comes", 300, 0),
  PUTTY("kneaded with starch to a putty", 400, 50);

  /** Most of a coat without thickener that stays on a steep wall, mm. */
  public static final double FILM_MM = 1.5;

  private final String text;
  private final double yieldPa;
  private final double dosePct;

  Thickener(String text, double yieldPa, double dosePct) {
    this.text = text;
    this.yieldPa = yieldPa;
    this.dosePct = dosePct;
  }

  @Override
  public String text() {
    return text;
  }

  /** Those there are for a sealant, or for a rubber. */
  public static List<Thickener> offered(boolean sealant) {
    return Arrays.stream(values()).filter(t -> t.of(sealant) == t).toList();
  }

  /** The same for a sealant, which is a paste, or for a rubber, which is not. */
  public Thickener of(boolean sealant) {
    if (sealant) {
      return this == STIFF || this == PUTTY ? PUTTY : PASTE;
    }
    return this == PASTE ? NONE : this == PUTTY ? STIFF : this;
  }

  /** What is stirred in. */
  public String adds() {
    return this == PUTTY ? "starch" : "thickener";
  }

  /** Yield stress, Pa, until the product's sheet says. */
  public double yieldPa() {
    return yieldPa;
  }

  /** Of base and hardener, by weight, until the product's sheet says. */
  public double dosePct() {
    return dosePct;
  }

  /**
   * The thickest coat of a paste that stays on a slope: t = τ / (ρ g sin θ). On an overhang as on
   * an upright wall.
   *
   * @param density g/cm³
   * @param degrees of the slope, 90 upright
   * @return mm; infinite on the level
   */
  public double mostMm(double density, double degrees) {
    double sin = degrees >= 90 ? 1 : Math.sin(Math.toRadians(degrees));
    return sin <= 0 ? Double.POSITIVE_INFINITY : 1000 * yieldPa / (1000 * density * G * sin);
  }

  private static final double G = 9.81;
}
