package ungula.core.rubber;

import java.util.ArrayList;
import java.util.List;

/**
 * What goes into the cup: base, hardener and what is stirred in, by mass and volume.
 *
 * <p>Everything is proportional to the base, so one number, the base's mass, follows from the total
 * wanted: hardener = h × base; each additive by its own basis; volume of base and hardener from the
 * mixed density when the sheet gives it, else from their own densities (volumes add).
 *
 * @param baseG grams
 * @param hardenerG grams
 * @param additivesG grams of each that is stirred in, in the order they were named
 * @param baseMm3 volume of the base; null when its density is not known
 * @param hardenerMm3 volume of the hardener; null when its density is not known
 * @param volumeMm3 of the whole mix
 */
public record Mix(
    double baseG,
    double hardenerG,
    List<Double> additivesG,
    Double baseMm3,
    Double hardenerMm3,
    double volumeMm3) {

  public Mix {
    additivesG = List.copyOf(additivesG);
  }

  /** A weighing within this share of its target is right. */
  public static final double TOLERANCE = 0.02;

  /**
   * A mix of a given volume.
   *
   * @throws IllegalArgumentException when the product's density cannot be known
   */
  public static Mix ofVolume(
      double volumeMm3, Product product, Ratio ratio, List<Additive> additives) {
    Mix one = ofBase(1, product, ratio, additives);
    return ofBase(volumeMm3 / one.volumeMm3, product, ratio, additives);
  }

  /** A mix of a given total mass. */
  public static Mix ofMass(double grams, Product product, Ratio ratio, List<Additive> additives) {
    Mix one = ofBase(1, product, ratio, additives);
    return ofBase(grams / one.totalG(), product, ratio, additives);
  }

  /** A mix round a given mass of base. */
  public static Mix ofBase(double baseG, Product product, Ratio ratio, List<Additive> additives) {
    double h = product.hardenerPerBase(ratio);
    Double mixed = product.mixedDensity(h);
    if (mixed == null) {
      throw new IllegalArgumentException("The density of " + product.name() + " is not known");
    }
    double both = baseG * (1 + h);
    List<Double> extras = new ArrayList<>();
    double extraCm3 = 0;
    for (Additive a : additives) {
      double extra = a.used() ? a.dosePct() / 100 * a.ofBoth(h) * both : 0;
      extras.add(extra);
      extraCm3 += extra / (a.density() == null ? mixed : a.density());
    }
    return new Mix(
        baseG,
        baseG * h,
        extras,
        product.densityBase() == null ? null : 1000 * baseG / product.densityBase(),
        product.densityHardener() == null ? null : 1000 * baseG * h / product.densityHardener(),
        1000 * (both / mixed + extraCm3));
  }

  /** All that is stirred in. */
  public double additiveG() {
    return additivesG.stream().mapToDouble(g -> g).sum();
  }

  public double totalG() {
    return baseG + hardenerG + additiveG();
  }

  /** g/cm³ of the whole mix. */
  public double density() {
    return 1000 * totalG() / volumeMm3;
  }
}
