package ungula.core.plan;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import ungula.core.pour.Batching.Limit;
import ungula.core.pour.Bubbles;
import ungula.core.pour.Vessel;
import ungula.core.rubber.Product;
import ungula.core.workshop.Mixing;
import ungula.core.workshop.Workshop;

/** What a workshop lets through in one batch of a rubber. */
record BatchLimits(Product product, Workshop workshop, Bubbles bubbles) {

  /** A vessel is not filled to the brim. */
  private static final double BRIM = 0.9;

  /** Largest batch by volume that each limit lets through, mm³; only limits that are known. */
  Map<Limit, Double> most(double density) {
    Map<Limit, Double> most = new EnumMap<>(Limit.class);
    most.put(Limit.MIXING, 1000 * workshop.handMixG() / density);
    most.put(Limit.BUCKET, 1000 * workshop.equipment().bucketG() / density);
    Mixing mixing = workshop.mixing();
    mixing.vessels().stream()
        .mapToDouble(n -> BRIM * n.vessel().volumeMm3())
        .max()
        .ifPresent(mm3 -> most.put(Limit.VESSEL, mm3));
    if (bubbles.vacuum()) {
      degassedMm3().ifPresent(mm3 -> most.put(Limit.DEGASSING, mm3));
    }
    mixing.scales().stream()
        .mapToDouble(s -> 1000 * s.capacityG() / density)
        .max()
        .ifPresent(mm3 -> most.put(Limit.SCALE, mm3));
    Double pot = Amounts.roomMin(product.potLifeMin(), product, workshop);
    if (pot != null && workshop.mixing().pace().mostMm3(pot, bubbles) > 0) {
      most.put(Limit.CLOCK, workshop.mixing().pace().mostMm3(pot, bubbles));
    }
    return most;
  }

  /**
   * What foams up in the largest vessel that goes into the vacuum chamber, or in all of the chamber
   * while no vessel is measured; empty while the chamber is not, or none goes in.
   */
  private Optional<Double> degassedMm3() {
    Workshop.Equipment e = workshop.equipment();
    if (e.chamber() == null) {
      return Optional.empty();
    }
    if (workshop.mixing().vessels().isEmpty()) {
      return Optional.of(e.chamber().volumeMm3() / bubbles.rise());
    }
    return workshop.mixing().vessels().stream()
        .filter(n -> n.vessel().fits(e.chamberDiameterMm(), e.chamberHeightMm()))
        .reduce((smaller, larger) -> larger)
        .map(n -> foamed(n.vessel()));
  }

  private double foamed(Vessel vessel) {
    return vessel.volumeMm3() / bubbles.rise();
  }

  /** The smallest vessel that holds a batch, with its foam in the chamber when it is degassed. */
  Optional<Mixing.Named> vesselFor(double mm3) {
    Workshop.Equipment e = workshop.equipment();
    return workshop.mixing().vessels().stream()
        .filter(
            n ->
                bubbles.vacuum()
                    ? foamed(n.vessel()) >= mm3 - 1e-6
                        && (e.chamber() == null
                            || n.vessel().fits(e.chamberDiameterMm(), e.chamberHeightMm()))
                    : BRIM * n.vessel().volumeMm3() >= mm3 - 1e-6)
        .findFirst();
  }
}
