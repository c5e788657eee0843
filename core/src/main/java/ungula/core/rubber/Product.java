package ungula.core.rubber;

import java.util.ArrayList;
import java.util.List;
import ungula.core.quantity.Choosable;
import ungula.core.quantity.Density;

/**
 * A mould rubber as its data sheet gives it. What the sheet does not say is null and stays so.
 *
 * @param name as on the tin
 * @param chemistry how it cures
 * @param hardness on {@code scale}
 * @param scale the 00 and A scales are different scales
 * @param colour in words
 * @param clear whether one can see the master through it
 * @param densityBase g/cm³
 * @param densityHardener g/cm³
 * @param densityMixed g/cm³; when null, volumes are taken to add
 * @param ratio of hardener to base
 * @param ratioAlso a second way the sheet states it, to check the first against
 * @param viscosityPas mixed, Pa·s
 * @param potLifeMin minutes at {@code atC}
 * @param demouldMin minutes at {@code atC}
 * @param gelMin minutes at {@code atC} until it no longer runs and is sticky
 * @param openMin minutes at {@code atC} until it is no longer sticky: a next coat sticks before
 * @param atC temperature the times hold for
 * @param rateFactor how many times faster per 10 °C
 * @param elongationPct at break
 * @param tearKnPerM tear strength, kN/m
 * @param shrinkagePct linear
 * @param heatLimitC hottest casting material
 * @param packs sold in, by rising mass; empty when not known
 * @param notes anything else
 */
public record Product(
    String name,
    Chemistry chemistry,
    Double hardness,
    Scale scale,
    String colour,
    Clarity clear,
    Double densityBase,
    Double densityHardener,
    Double densityMixed,
    Ratio ratio,
    Ratio ratioAlso,
    Double viscosityPas,
    Double potLifeMin,
    Double demouldMin,
    Double gelMin,
    Double openMin,
    Double atC,
    Double rateFactor,
    Double elongationPct,
    Double tearKnPerM,
    Double shrinkagePct,
    Double heatLimitC,
    List<Pack> packs,
    String notes) {

  public enum Chemistry implements Choosable {
    ADDITION("addition-cure silicone"),
    CONDENSATION("condensation-cure silicone");

    private final String text;

    Chemistry(String text) {
      this.text = text;
    }

    @Override
    public String text() {
      return text;
    }
  }

  public enum Scale implements Choosable {
    SHORE_00("00"),
    SHORE_A("A");

    private final String text;

    Scale(String text) {
      this.text = text;
    }

    @Override
    public String text() {
      return text;
    }
  }

  public enum Clarity implements Choosable {
    OPAQUE("opaque"),
    TRANSLUCENT("translucent"),
    CLEAR("clear");

    private final String text;

    Clarity(String text) {
      this.text = text;
    }

    @Override
    public String text() {
      return text;
    }
  }

  public Product {
    packs = packs == null ? List.of() : List.copyOf(packs);
  }

  /** Grams of hardener for every gram of base, at a ratio. Densities missing count as equal. */
  public double hardenerPerBase(Ratio at) {
    boolean known = densityBase != null && densityHardener != null;
    return at.hardenerPerBase(known ? densityBase : 1, known ? densityHardener : 1);
  }

  /**
   * Density of the mix, g/cm³: as the sheet says, else as volumes add, else null.
   *
   * @param hardenerPerBase grams for every gram of base
   */
  public Double mixedDensity(double hardenerPerBase) {
    if (densityMixed != null) {
      return densityMixed;
    }
    return densityBase == null || densityHardener == null
        ? null
        : (1 + hardenerPerBase) / (1 / densityBase + hardenerPerBase / densityHardener);
  }

  /** "20 A", "00-50": the scale with the number, as the trade says it. */
  public String hardnessText() {
    if (hardness == null) {
      return "hardness not stated";
    }
    String number = ungula.core.quantity.Numbers.trimmed(hardness, 0);
    return scale == Scale.SHORE_00 ? "00-" + number : number + " A";
  }

  /** What the sheet should say and does not, in words that name what cannot be checked. */
  public List<String> gaps() {
    List<String> gaps = new ArrayList<>();
    if (ratio == null) {
      gaps.add("the ratio: nothing can be weighed");
    }
    if (mixedDensity(ratio == null ? 1 : hardenerPerBase(ratio)) == null) {
      gaps.add("the mixed density: volume cannot become mass");
    }
    if (ratio != null
        && ratio.basis() == Ratio.Basis.VOLUME
        && (densityBase == null || densityHardener == null)) {
      gaps.add("the densities of base and hardener: a ratio by volume cannot be weighed safely");
    }
    if (potLifeMin == null) {
      gaps.add("the pot life: whether the pour fits into it");
    }
    if (demouldMin == null) {
      gaps.add("the demould time: when the mould can be opened");
    }
    if (elongationPct == null) {
      gaps.add("the elongation at break: whether it stretches over the master's locks");
    }
    if (shrinkagePct == null) {
      gaps.add("the shrinkage: the size of the cast");
    }
    return gaps;
  }

  /** Whether the two ratios on the sheet contradict each other. */
  public boolean contradictsItself() {
    return ratio != null
        && ratioAlso != null
        && densityBase != null
        && densityHardener != null
        && !RatioGuard.agree(ratio, ratioAlso, densityBase, densityHardener);
  }

  /** One line: what it is. */
  public String summary() {
    return hardnessText()
        + ", "
        + chemistry.text()
        + (densityMixed == null ? "" : ", " + Density.format(densityMixed));
  }
}
