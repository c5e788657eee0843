package ungula.core.contact;

import java.util.Optional;
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
    FINE("fine"),
    RELEASE("release"),
    SEAL("seal first"),
    PATCH("try a patch"),
    DO_NOT("do not");

    private final String text;

    Verdict(String text) {
      this.text = text;
    }

    public String text() {
      return text;
    }
  }

  static final Contact FINE = new Contact(Verdict.FINE, "", "");

  private static final String RELEASED = "Two thin coats of release, five minutes apart.";
  private static final String SEALED =
      "Two thin coats of shellac, PVA or wax, each dry before the next.";

  static Contact release(String reason) {
    return new Contact(Verdict.RELEASE, reason + ".", RELEASED);
  }

  /**
   * @param chemistry of the rubber
   * @param patch of this rubber on this surface as it is
   */
  public static Contact of(
      Surface surface, Preparation preparation, Chemistry chemistry, Patch patch) {
    if (patch == Patch.TACKY) {
      return new Contact(
          Verdict.DO_NOT,
          "The patch stayed tacky or stuck: the whole mould would too.",
          surface.remedy().isEmpty() ? "Seal it, and try again." : surface.remedy());
    }
    Optional<Trait> inhibitor =
        surface.traits().stream().filter(t -> t.inhibits(chemistry)).findFirst();
    if (inhibitor.isPresent() && patch != Patch.CURED) {
      boolean bare = preparation == Preparation.BARE || preparation == Preparation.RELEASED;
      boolean surely = bare && inhibitor.get() == Trait.UNCURED;
      return new Contact(
          surely ? Verdict.DO_NOT : Verdict.PATCH,
          inhibitor.get().reason() + ".",
          surface.remedy());
    }
    if (!preparation.sealed()) {
      for (Trait trait : surface.traits()) {
        if (sealed(trait, chemistry)) {
          return new Contact(Verdict.SEAL, trait.reason() + ".", SEALED);
        }
      }
    }
    return bonding(surface, preparation, chemistry).orElse(FINE);
  }

  /** Whether a trait of a surface has to be kept away from a rubber. */
  private static boolean sealed(Trait trait, Chemistry chemistry) {
    return switch (trait) {
      case POROUS -> chemistry != Chemistry.LATEX;
      case MOIST -> chemistry == Chemistry.URETHANE;
      case OILS -> chemistry == Chemistry.LATEX;
      default -> false;
    };
  }

  /** That a rubber bonds to a surface as it is, and what keeps it from that; empty otherwise. */
  public static Optional<Contact> bonding(
      Surface surface, Preparation preparation, Chemistry chemistry) {
    if (preparation.released() || surface.is(Trait.UNKNOWN)) {
      return Optional.empty();
    }
    if (surface.is(Trait.BONDS)) {
      return Optional.of(release(Trait.BONDS.reason()));
    }
    return switch (chemistry) {
      case URETHANE ->
          surface.is(Trait.SLIPPERY)
              ? Optional.empty()
              : Optional.of(release("Urethane rubber bonds to everything that is not released"));
      case LATEX -> Optional.empty();
      default -> {
        if (surface.is(Trait.SILICONE)) {
          yield Optional.of(release(Trait.SILICONE.reason()));
        }
        boolean coated = preparation == Preparation.SEALED || preparation == Preparation.CURED;
        yield surface.is(Trait.GLASSY) && !coated
            ? Optional.of(release(Trait.GLASSY.reason()))
            : Optional.empty();
      }
    };
  }
}
