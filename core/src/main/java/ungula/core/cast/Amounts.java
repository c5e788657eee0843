package ungula.core.cast;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import ungula.core.pour.Vessel;
import ungula.core.rubber.Additive;
import ungula.core.rubber.Ratio;

/**
 * What is mixed for a cast, of two parts and what is stirred into them.
 *
 * <p>A mix of a volume is {@code m(1/ρA + h/ρB + Σ fᵢ/ρᵢ)}, where {@code m} is the mass of part A,
 * {@code h} grams of B and {@code fᵢ} grams of a filler go to each gram of it: volumes add.
 *
 * @param mixedMm3 of all that is mixed; null where no density says
 * @param aG part A; null where its parts are measured by volume and no density is known
 * @param bG part B; null likewise
 * @param fillerG each that is stirred in
 * @param linesMm how high part A stands in the cup, and all of it once B is in; empty without a cup
 */
public record Amounts(
    Double mixedMm3, Double aG, Double bG, List<Double> fillerG, List<Double> linesMm) {

  /** Left in cups and on sticks, of all that is mixed. */
  public static final double USUAL_LOSS = 0.06;

  /** More foam than a mould takes, so that it fills it. */
  public static final double USUAL_PACK = 0.2;

  /**
   * What is cast: a room of a known volume, or as much as a master weighs times a factor.
   *
   * @param mm3 of the cavity; null where it goes by mass
   * @param grams of the cast; null where it goes by volume
   */
  public record Cast(Double mm3, Double grams) {

    public static Cast ofCavity(double mm3) {
      return new Cast(mm3, null);
    }

    /**
     * @param factor density of the cast ÷ density of the master
     */
    public static Cast ofMaster(double masterG, double factor) {
      return new Cast(null, masterG * factor);
    }
  }

  /**
   * The two parts.
   *
   * @param densityA g/cm³; null where nobody says
   * @param densityB g/cm³; null where nobody says
   */
  public record Liquid(Ratio ratio, Double densityA, Double densityB) {

    /** Grams of B for each gram of A; null where they are measured and no density is known. */
    Double perA() {
      if (ratio.basis() != Ratio.Basis.VOLUME) {
        return ratio.hardenerPerBase(1, 1);
      }
      return known() ? (Double) ratio.hardenerPerBase(densityA, densityB) : null;
    }

    boolean known() {
      return densityA != null && (densityB != null || ratio.hardener() == 0);
    }
  }

  /** Volume of a rod, mm³. */
  public static double rodMm3(double diameterMm, double lengthMm) {
    return Math.PI / 4 * diameterMm * diameterMm * lengthMm;
  }

  /**
   * @param insertsMm3 what stands in the cast and is none of it
   * @param channelsMm3 sprue and vents
   * @param loss share that does not get into the mould
   * @param fillers what each dose is a percentage of stands with it
   * @param cup the parts are measured in; null where they are weighed
   * @throws IllegalArgumentException when it cannot be known, saying what is missing; or the cup is
   *     too small
   */
  public static Amounts of(
      Cast cast,
      double insertsMm3,
      double channelsMm3,
      double loss,
      Liquid liquid,
      List<Additive> fillers,
      Vessel cup) {
    double moreMm3 = channelsMm3 - insertsMm3;
    Double h = liquid.perA();
    if (h == null) {
      return measured(cast, moreMm3, loss, liquid, fillers, cup);
    }
    List<Double> perA = new ArrayList<>();
    double mm3PerA = liquid.known() ? 1000 / liquid.densityA() : Double.NaN;
    if (h > 0) {
      mm3PerA += liquid.known() ? 1000 * h / liquid.densityB() : Double.NaN;
    }
    for (Additive f : fillers) {
      double grams = f.dosePct() / 100 * f.ofBoth(h) * (1 + h);
      perA.add(grams);
      mm3PerA += f.density() == null ? Double.NaN : 1000 * grams / f.density();
    }
    double gramsPerA = 1 + h + perA.stream().mapToDouble(g -> g).sum();
    double density = gramsPerA / mm3PerA;
    boolean byMassAlone = cast.grams != null && moreMm3 == 0;
    if (Double.isNaN(density) && !byMassAlone) {
      throw new IllegalArgumentException(
          "How much that weighs cannot be known: a density is missing. The sheet says it, or weigh"
              + " 100 mL of each part.");
    }
    double netG =
        cast.grams == null ? (cast.mm3 + moreMm3) * density : cast.grams + more(moreMm3, density);
    if (!(netG > 0)) {
      throw new IllegalArgumentException("What stands in the cast is larger than the cast.");
    }
    double aG = netG * (1 + loss) / gramsPerA;
    return new Amounts(
        Double.isNaN(density) ? null : (Double) (aG * mm3PerA),
        aG,
        aG * h,
        perA.stream().map(g -> aG * g).toList(),
        cup == null ? List.of() : lines(cup, 1000 * aG / need(liquid.densityA()), aG * mm3PerA));
  }

  private static double more(double mm3, double density) {
    return mm3 == 0 ? 0 : mm3 * density;
  }

  private static double need(Double density) {
    if (density == null) {
      throw new IllegalArgumentException(
          "Where its line is cannot be known: the density of part A is missing.");
    }
    return density;
  }

  /** Parts that are measured need no densities, as long as nothing is weighed. */
  private static Amounts measured(
      Cast cast, double moreMm3, double loss, Liquid liquid, List<Additive> fillers, Vessel cup) {
    if (cast.mm3 == null || !fillers.isEmpty() || cup == null) {
      throw new IllegalArgumentException(
          "The ratio is by volume and its densities are missing: what to weigh cannot be known."
              + " Measure the parts, or weigh 100 mL of each and say what they weigh.");
    }
    double mixed = (cast.mm3 + moreMm3) * (1 + loss);
    if (!(mixed > 0)) {
      throw new IllegalArgumentException("What stands in the cast is larger than the cast.");
    }
    double a = liquid.ratio.base() / (liquid.ratio.base() + liquid.ratio.hardener());
    return new Amounts(mixed, null, null, List.of(), lines(cup, mixed * a, mixed));
  }

  private static List<Double> lines(Vessel cup, double aMm3, double allMm3) {
    if (allMm3 > cup.volumeMm3()) {
      throw new IllegalArgumentException(
          String.format(
              Locale.ROOT,
              "The cup holds %.0f mL, and %.0f mL are mixed: take a larger one, or mix twice.",
              cup.volumeMm3() / 1000,
              allMm3 / 1000));
    }
    return List.of(cup.levelMm(aMm3), cup.levelMm(allMm3));
  }

  /** All that is stirred in. */
  public double fillersG() {
    return fillerG.stream().mapToDouble(g -> g).sum();
  }

  /** Of all that is mixed; null where its parts are not weighed. */
  public Double totalG() {
    return aG == null ? null : (Double) (aG + bG + fillersG());
  }

  /** g/cm³ of all that is mixed; null where it is not known. */
  public Double density() {
    return aG == null || mixedMm3 == null ? null : (Double) (1000 * totalG() / mixedMm3);
  }
}
