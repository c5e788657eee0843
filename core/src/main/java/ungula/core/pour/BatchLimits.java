package ungula.core.pour;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ungula.core.pour.Batching.Limit;

/**
 * What lets only so much of a rubber through in one batch.
 *
 * @param handMixG stirred evenly by hand in time
 * @param bucketG carried and poured from one bucket
 * @param vessels it is mixed in, smallest first; empty while none is measured
 * @param scales it is weighed on; empty while none is known
 * @param chamber it is degassed in; null while its size is not known
 * @param pace of work
 * @param bubbles how air is got out
 * @param potMin pot life in the room; null while it is not known
 */
public record BatchLimits(
    double handMixG,
    double bucketG,
    List<NamedVessel> vessels,
    List<Scale> scales,
    Chamber chamber,
    Pace pace,
    Bubbles bubbles,
    Double potMin) {

  /** A vessel is not filled to the brim. */
  private static final double BRIM = 0.9;

  /** The inside of a vacuum chamber. */
  public record Chamber(double diameterMm, double heightMm) {

    double volumeMm3() {
      return Math.PI / 4 * diameterMm * diameterMm * heightMm;
    }

    /** Whether one, or two alike side by side, go in: two circles in a circle of twice as wide. */
    boolean takes(Vessel vessel, int cups) {
      return vessel.fits(diameterMm / cups, heightMm);
    }
  }

  /**
   * Largest batch by volume that each limit lets through, mm³; only limits that are known.
   *
   * @param density of the mix, g/cm³
   */
  public Map<Limit, Double> most(double density) {
    Map<Limit, Double> most = new EnumMap<>(Limit.class);
    most.put(Limit.MIXING, 1000 * handMixG / density);
    most.put(Limit.BUCKET, 1000 * bucketG / density);
    vessels.stream()
        .mapToDouble(n -> BRIM * n.vessel().volumeMm3())
        .max()
        .ifPresent(mm3 -> most.put(Limit.VESSEL, mm3));
    if (bubbles.vacuum()) {
      degassedMm3().ifPresent(mm3 -> most.put(Limit.DEGASSING, mm3));
    }
    scales.stream()
        .mapToDouble(s -> 1000 * s.capacityG() / density)
        .max()
        .ifPresent(mm3 -> most.put(Limit.SCALE, mm3));
    if (potMin != null && pace.mostMm3(potMin, bubbles) > 0) {
      most.put(Limit.CLOCK, pace.mostMm3(potMin, bubbles));
    }
    return most;
  }

  /**
   * What foams up in the largest vessel that goes into the vacuum chamber, or in all of the chamber
   * while no vessel is measured; empty while the chamber is not, or none goes in.
   */
  private Optional<Double> degassedMm3() {
    if (chamber == null) {
      return Optional.empty();
    }
    if (vessels.isEmpty()) {
      return Optional.of(chamber.volumeMm3() / bubbles.rise());
    }
    return vessels.stream()
        .filter(n -> chamber.takes(n.vessel(), bubbles.cups()))
        .reduce((smaller, larger) -> larger)
        .map(n -> foamed(n.vessel()));
  }

  private double foamed(Vessel vessel) {
    return bubbles.cups() * vessel.volumeMm3() / bubbles.rise();
  }

  /**
   * The smallest vessel that holds a batch; when it is degassed with its foam, in the chamber, and
   * its share of it where it is divided between two.
   */
  public Optional<NamedVessel> vesselFor(double mm3) {
    return vessels.stream()
        .filter(
            n ->
                bubbles.vacuum()
                    ? foamed(n.vessel()) >= mm3 - 1e-6
                        && (chamber == null || chamber.takes(n.vessel(), bubbles.cups()))
                    : BRIM * n.vessel().volumeMm3() >= mm3 - 1e-6)
        .findFirst();
  }
}
