package ungula.core.contact;

import ungula.core.rubber.Product.Chemistry;

/** What a surface does to fresh rubber. */
enum Trait {
  UNKNOWN("Nobody has said what it is made of", true),
  SULPHUR("Sulphur keeps addition-cure rubber from curing", true),
  AMINES(
      "Fresh epoxy and urethane give off amines, which keep addition-cure rubber from curing",
      true),
  TIN("Tin in it keeps addition-cure rubber from curing", true),
  UNCURED("Resin that has not cured through keeps addition-cure rubber tacky against it", true),
  TACKIFIERS(
      "Some glues, tapes and paints keep addition-cure rubber tacky where it touches them", true),
  POROUS("It soaks up rubber, which then tears as it is pulled off", false),
  MOIST("Its water makes urethane rubber foam", false),
  GLASSY("Silicone bonds to it", false),
  SILICONE("Silicone bonds to silicone", false),
  BONDS("Rubber bonds to its own kind", false),
  OILS("Its oils soften latex", false),
  /** Urethane does not stick to it. */
  SLIPPERY("", false);

  private final String reason;
  private final boolean inhibits;

  Trait(String reason, boolean inhibits) {
    this.reason = reason;
    this.inhibits = inhibits;
  }

  /** As the beginning of a sentence, without its end. */
  String reason() {
    return reason;
  }

  boolean inhibits(Chemistry chemistry) {
    return inhibits && (chemistry == Chemistry.ADDITION || this == UNKNOWN);
  }
}
