package ungula.core.contact;

import ungula.core.rubber.Product;
import ungula.core.rubber.Product.Chemistry;

/**
 * Whether a rubber may touch a surface.
 *
 * @param verdict what to do
 * @param reason why, as a sentence; empty when nothing speaks against it
 * @param remedy what helps, as a sentence; empty when nothing is needed
 */
public record Contact(Verdict verdict, String reason, String remedy) {

  /** From the best to the worst. */
  public enum Verdict {
    FINE,
    RELEASE,
    SEAL,
    PATCH,
    DO_NOT
  }

  private static final Contact FINE = new Contact(Verdict.FINE, "", "");

  /**
   * @param chemistry of the rubber
   * @param patch of this rubber on this surface as it is
   */
  public static Contact of(
      Surface surface, Preparation preparation, Chemistry chemistry, Patch patch) {
    boolean bare = preparation == Preparation.BARE;
    if (patch == Patch.TACKY) {
      return new Contact(
          Verdict.DO_NOT,
          "The patch stayed tacky or stuck: the whole mould would too.",
          surface.remedy().isEmpty() ? "Seal it, and try again." : surface.remedy());
    }
    boolean inhibits = chemistry == Product.Chemistry.ADDITION && surface.inhibits() != null;
    if (inhibits && patch != Patch.CURED) {
      boolean surely = bare && surface.surely();
      return new Contact(
          surely ? Verdict.DO_NOT : Verdict.PATCH, surface.inhibits() + ".", surface.remedy());
    }
    if (surface.porous() && preparation != Preparation.SEALED) {
      return new Contact(
          Verdict.SEAL,
          "It drinks rubber, which then tears as it is pulled off.",
          "Two thin coats of shellac, PVA or wax, each dry before the next.");
    }
    if (surface.bonds() && bare) {
      return new Contact(
          Verdict.RELEASE,
          "Silicone bonds to it.",
          "Two thin coats of release, five minutes apart.");
    }
    return FINE;
  }
}
