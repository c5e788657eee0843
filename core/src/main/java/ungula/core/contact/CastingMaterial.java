package ungula.core.contact;

import ungula.core.quantity.Choosable;
import ungula.core.rubber.Product;
import ungula.core.rubber.Product.Chemistry;

/** What is cast in a mould, and what it does to the rubber. */
public enum CastingMaterial implements Choosable {
  URETHANE("urethane resin", 80, true),
  FLEXIBLE("flexible urethane", 50, true),
  FOAM("urethane foam", 90, true),
  EPOXY("epoxy", 70, true),
  POLYESTER("polyester", 100, true),
  PLASTER("plaster", 45, false),
  CONCRETE("concrete", 50, false),
  WAX("wax, poured", 75, false),
  INJECTED_WAX("wax, injected", 68, false),
  METAL("low-melting metal", 180, false),
  SILICONE("silicone", 25, false),
  APPLIANCE("silicone appliance", 25, false),
  SOAP("soap", 65, false);

  private final String text;
  private final double usualC;
  private final boolean attacks;

  CastingMaterial(String text, double usualC, boolean attacks) {
    this.text = text;
    this.usualC = usualC;
    this.attacks = attacks;
  }

  @Override
  public String text() {
    return text;
  }

  /** As hot as it usually gets in the mould, °C. */
  public double usualC() {
    return usualC;
  }

  /** Whether it draws into rubber and hardens it, so that release lengthens the mould's life. */
  public boolean attacks() {
    return attacks;
  }

  /** What a casting product is of. */
  public static CastingMaterial of(Product product) {
    return switch (product.chemistry()) {
      case EPOXY -> EPOXY;
      case POLYESTER -> POLYESTER;
      case GYPSUM -> PLASTER;
      case CEMENT -> CONCRETE;
      case WAX -> WAX;
      case ADDITION, CONDENSATION -> SILICONE;
      default ->
          product.riseTimes() != null
              ? FOAM
              : product.scale() == Product.Scale.SHORE_A && product.hardness() != null
                  ? FLEXIBLE
                  : URETHANE;
    };
  }

  /**
   * Whether it may be cast in a rubber.
   *
   * @param peakC as hot as it gets in the mould
   * @param limitC as hot as the rubber stands; null when its sheet does not say
   */
  public Contact in(Chemistry rubber, double peakC, Double limitC) {
    if (limitC != null && peakC > limitC) {
      return new Contact(
          Contact.Verdict.DO_NOT,
          "It gets hotter than the rubber stands.",
          "Use a rubber for more heat, or cast it cooler or in layers.");
    }
    if ((this == SILICONE || this == APPLIANCE) && rubber.silicone()) {
      return Contact.release("Silicone bonds to silicone");
    }
    if (this == FOAM) {
      return Contact.release("Foam bonds to what it rises against");
    }
    if (rubber == Chemistry.URETHANE && attacks) {
      return Contact.release("Resin bonds to urethane rubber");
    }
    if (rubber == Chemistry.LATEX && (this == POLYESTER || this == METAL)) {
      return new Contact(Contact.Verdict.DO_NOT, "It destroys latex.", "Use a silicone rubber.");
    }
    return Contact.FINE;
  }
}
