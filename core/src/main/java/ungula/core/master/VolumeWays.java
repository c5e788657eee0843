package ungula.core.master;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.MEASURED;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import ungula.core.quantity.Choosable;
import ungula.core.quantity.Density;
import ungula.core.quantity.Length;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Share;
import ungula.core.quantity.Units;
import ungula.core.quantity.Volume;
import ungula.core.working.Working;

/** The ways to know a master's volume, each with its error, best first. */
public final class VolumeWays {

  public enum Way implements Choosable {
    BEST("the most certain"),
    MODEL("the model"),
    SOLID("its measures"),
    IMMERSION("the water level"),
    OVERFLOW("the water that ran over"),
    HUNG("hanging it under water"),
    WEIGHT("its weight"),
    GRAIN("grain");

    private final String text;

    Way(String text) {
      this.text = text;
    }

    @Override
    public String text() {
      return text;
    }
  }

  /** Water at room temperature, g/cm³. */
  private static final double WATER = 0.998;

  private VolumeWays() {}

  /**
   * @param way which
   * @param volumeMm3 of the master
   * @param errorMm3 ± to carry, k = 2
   * @param advice how to do better; empty when there is nothing to say
   */
  public record Result(
      Way way, double volumeMm3, double errorMm3, String advice, Working working) {}

  /**
   * All ways whose readings are complete, the most certain first.
   *
   * @param boxMm3 room in the box up to the pour line, where none is kept with the grain; null
   *     while there is no box
   */
  public static List<Result> of(Measured m, Double boxMm3, Units units) {
    List<Result> found = new ArrayList<>();
    immersion(m, units, found);
    if (m.overflowG() != null) {
      found.add(water(Way.OVERFLOW, "water run over ÷ density of water", m.overflowG(), m, units));
    }
    if (m.hungG() != null) {
      found.add(water(Way.HUNG, "what the scale gained ÷ density of water", m.hungG(), m, units));
    }
    if (m.castG() != null && m.castDensity() != null) {
      found.add(weight(m, units));
    }
    Double box = m.grainBoxMm3() != null ? m.grainBoxMm3() : boxMm3;
    if (m.grainMm3() != null && (m.grainEmptyMm3() != null || box != null)) {
      found.add(grain(m, box, units));
    }
    found.sort(Comparator.comparingDouble(r -> r.errorMm3 / Math.max(r.volumeMm3, 1e-9)));
    return found;
  }

  private static void immersion(Measured m, Units units, List<Result> into) {
    if (m.levelBeforeMm() == null || m.levelAfterMm() == null) {
      return;
    }
    double low = m.levelBeforeMm();
    double high = m.levelAfterMm();
    Working.Builder w = Working.of("volume = room in the vessel between the two levels");
    double volume;
    double areaLow;
    double areaHigh;
    switch (m.vessel()) {
      case ROUND -> {
        if (m.vesselDiameterMm() == null) {
          return;
        }
        areaLow = disc(m.vesselDiameterMm());
        areaHigh = areaLow;
        volume = areaLow * (high - low);
        w.given("vessel Ø", Length.format(m.vesselDiameterMm(), units), MEASURED);
      }
      case RECTANGLE -> {
        if (m.vesselLengthMm() == null || m.vesselWidthMm() == null) {
          return;
        }
        areaLow = m.vesselLengthMm() * m.vesselWidthMm();
        areaHigh = areaLow;
        volume = areaLow * (high - low);
        w.given("vessel length", Length.format(m.vesselLengthMm(), units), MEASURED)
            .given("vessel width", Length.format(m.vesselWidthMm(), units), MEASURED);
      }
      default -> {
        if (m.vesselDiameterMm() == null
            || m.vesselTopDiameterMm() == null
            || m.vesselHeightMm() == null) {
          return;
        }
        double slope = (m.vesselTopDiameterMm() - m.vesselDiameterMm()) / m.vesselHeightMm();
        double d0 = m.vesselDiameterMm() + slope * low;
        double d1 = m.vesselDiameterMm() + slope * high;
        areaLow = disc(d0);
        areaHigh = disc(d1);
        volume = Math.PI * (high - low) / 12 * (d0 * d0 + d0 * d1 + d1 * d1);
        w.given("pail Ø at the bottom", Length.format(m.vesselDiameterMm(), units), MEASURED)
            .given("pail Ø at the top", Length.format(m.vesselTopDiameterMm(), units), MEASURED)
            .given("between them", Length.format(m.vesselHeightMm(), units), MEASURED)
            .step(
                "Ø "
                    + Length.exact(d0, units)
                    + " at the lower level, "
                    + Length.exact(d1, units)
                    + " at the upper: a frustum");
      }
    }
    double error = m.readingErrorMm() * Math.hypot(areaLow, areaHigh);
    w.given("level before", Length.format(low, units), MEASURED)
        .given("level after", Length.format(high, units), MEASURED)
        .given("each reading ±", Length.format(m.readingErrorMm(), units), CHOSEN)
        .step(
            "± = reading error × root of (lower area² + upper area²) = "
                + Volume.format(error, units))
        .plusMinus("± " + Volume.format(error, units));
    String advice = "";
    if (m.vessel() == Measured.Vessel.ROUND) {
      // a vessel half again as wide as the master still lets it in
      double size = Math.cbrt(volume) * 1.6;
      if (m.vesselDiameterMm() > 1.4 * size) {
        double narrow = Math.max(50, Math.round(size / 10) * 10);
        double error2 = m.readingErrorMm() * Math.sqrt(2) * disc(narrow);
        advice =
            "In a vessel Ø "
                + Length.format(narrow, units)
                + ", if the master fits, the level would rise "
                + Length.format(riseIn(volume, narrow), units)
                + " and the error fall to ± "
                + Volume.format(error2, units)
                + ".";
      }
    }
    into.add(new Result(Way.IMMERSION, volume, error, advice, w.done()));
  }

  /** The rise a volume would cause in a round vessel, mm. */
  public static double riseIn(double volumeMm3, double diameterMm) {
    return volumeMm3 / disc(diameterMm);
  }

  private static double disc(double diameter) {
    return Math.PI * diameter * diameter / 4;
  }

  private static Result water(Way way, String formula, double grams, Measured m, Units units) {
    double volume = grams / WATER * 1000;
    double error = m.scaleErrorG() / WATER * 1000;
    return new Result(
        way,
        volume,
        error,
        "",
        Working.of("volume = " + formula)
            .given("water", Mass.format(grams, units), MEASURED)
            .given("weighing ±", Mass.format(m.scaleErrorG(), units), CHOSEN)
            .step(Numbers.fixed(grams, 1) + " g ÷ " + WATER + " g/cm³")
            .plusMinus("± " + Volume.format(error, units))
            .done());
  }

  private static Result weight(Measured m, Units units) {
    double volume = m.castG() / m.castDensity() * 1000;
    double error =
        Math.hypot(volume * m.densityErrorPct() / 100, m.scaleErrorG() / m.castDensity() * 1000);
    return new Result(
        Way.WEIGHT,
        volume,
        error,
        "",
        Working.of("volume = mass ÷ density of what was weighed")
            .given("mass", Mass.format(m.castG(), units), MEASURED)
            .given("density", Density.format(m.castDensity()), CHOSEN)
            .given("density ±", Share.typed(m.densityErrorPct()), CHOSEN)
            .plusMinus("± " + Volume.format(error, units))
            .done());
  }

  private static Result grain(Measured m, Double boxMm3, Units units) {
    boolean poured = m.grainEmptyMm3() != null;
    double empty = poured ? m.grainEmptyMm3() : boxMm3;
    double volume = empty - m.grainMm3();
    double share = m.packingPct() / 100;
    double error = Math.hypot(poured ? empty * share : 0, m.grainMm3() * share);
    return new Result(
        Way.GRAIN,
        volume,
        error,
        "Grain tells the rubber round the master better than the master itself: its own error is"
            + " a share of the whole box.",
        Working.of("volume = room in the empty box − grain round the master")
            .given(
                poured
                    ? "grain in the empty box"
                    : m.grainBoxMm3() == null ? "box to the pour line" : "box it was read in",
                Volume.format(empty, units),
                poured ? MEASURED : COMPUTED)
            .given("round the master", Volume.format(m.grainMm3(), units), MEASURED)
            .given("packing ±", Share.typed(m.packingPct()), CHOSEN)
            .plusMinus("± " + Volume.format(error, units))
            .done());
  }
}
