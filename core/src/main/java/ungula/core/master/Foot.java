package ungula.core.master;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.DoubleFunction;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Point;
import ungula.core.mesh.Rings;

/**
 * Where what lies on a master meets the plate under it: wherever the master is no further from the
 * plate than that is thick. Under a belly it is the foot, not the shadow. Safe to share between
 * threads; what was asked once is known.
 */
public final class Foot {

  /** Heights up to the thickness the master is cut at. */
  private static final int LEVELS = 12;

  /** The lowest cut, a hair above the plate. */
  private static final double LOWEST_MM = 0.01;

  /** Sides to a quarter of a round corner. */
  private static final int QUARTER = 24;

  private static final int MOST_KNOWN = 64;

  private final DoubleFunction<List<double[]>> at;
  private final Map<Asked, Double> known = new ConcurrentHashMap<>();

  private record Asked(double thickMm, double widthMm) {}

  /**
   * @param at rings the master is cut in at a height above the plate, mm
   */
  public Foot(DoubleFunction<List<double[]>> at) {
    this.at = at;
  }

  /** The middle of the area the master is cut in at a height above the plate; x and y, mm. */
  public double[] middle(double z) {
    Point middle = Rings.area(at.apply(z)).getCentroid();
    return middle.isEmpty() ? new double[2] : new double[] {middle.getX(), middle.getY()};
  }

  /**
   * Of the plate, what a flange takes round something so thick on the master, mm².
   *
   * @param widthMm of the flange, from the outside of it
   */
  public double flangeMm2(double thickMm, double widthMm) {
    if (known.size() > MOST_KNOWN) {
      known.clear();
    }
    return known.computeIfAbsent(new Asked(thickMm, widthMm), this::flangeMm2);
  }

  private double flangeMm2(Asked asked) {
    Geometry covered = Rings.JTS.createPolygon();
    for (int n = 0; n < LEVELS; n++) {
      double z = Math.max(LOWEST_MM, asked.thickMm * n / LEVELS);
      double reach = Math.sqrt(Math.max(0, asked.thickMm * asked.thickMm - z * z));
      covered = covered.union(Rings.filled(at.apply(z)).buffer(reach, QUARTER));
    }
    // what it encloses of the plate is no flange
    Geometry outline = Rings.filled(Rings.of(covered));
    return outline.buffer(asked.widthMm, QUARTER).getArea() - outline.getArea();
  }
}
