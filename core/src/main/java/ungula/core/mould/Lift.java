package ungula.core.mould;

import java.util.stream.DoubleStream;
import ungula.core.air.Empties;
import ungula.core.mesh.FillCurve;

/**
 * The force that lifts a master when rubber gets under it: (ρ_rubber·V − m)·g. V is what the rubber
 * keeps out at a level, the empty inside of a cup included until it runs in over the rim; of all
 * levels of the pour the one that lifts most counts.
 *
 * @param keptOutMm3 V
 * @param levelMm the rubber stands at then, above the plate
 * @param emptyMm3 of V what is not the master itself
 * @param forceN upwards; zero or less when the master is heavy enough
 */
public record Lift(double keptOutMm3, double levelMm, double emptyMm3, double forceN) {

  private static final Lift NONE = new Lift(0, 0, 0, Double.NEGATIVE_INFINITY);

  /**
   * @param body of the master by height above the plate
   * @param empties that fill when rubber runs in; {@link Empties#NONE} where they are filled first
   * @param pourLineMm above the plate
   */
  public static Lift of(
      FillCurve body, Empties empties, double pourLineMm, double rubberDensity, double masterG) {
    DoubleStream rims = empties.cups().stream().mapToDouble(Empties.Cup::rimMm);
    return DoubleStream.concat(DoubleStream.of(pourLineMm), rims.filter(z -> z < pourLineMm))
        .mapToObj(z -> at(body.below(z), z, empties.keptOutMm3(z), rubberDensity, masterG))
        .reduce(NONE, (a, b) -> b.forceN > a.forceN ? b : a);
  }

  private static Lift at(
      double body, double level, double empty, double rubberDensity, double masterG) {
    double mm3 = body + empty;
    double force = (mm3 / 1000 * rubberDensity - masterG) / 1000 * Bowing.GRAVITY;
    return new Lift(mm3, level, empty, force);
  }

  /** The mass that would just hold it, g. */
  public double holdDownG() {
    return forceN / Bowing.GRAVITY * 1000;
  }
}
