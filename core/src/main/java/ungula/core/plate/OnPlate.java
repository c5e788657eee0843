package ungula.core.plate;

import java.util.Collections;
import java.util.List;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.distance.DistanceOp;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.Rings;

/** The masters as they lie on a plate, seen from above. Safe to share between threads. */
public final class OnPlate {

  private final int masters;
  private final Supplier<List<double[]>> footprints;
  private final double landMm;
  private Land land;
  private double closeMm2 = -1;

  /**
   * @param footprints a ring for each, x and y in turn, mm
   * @param landMm asked for between any two
   */
  public OnPlate(List<double[]> footprints, double landMm) {
    this(footprints.size(), () -> footprints, landMm);
  }

  /**
   * @param footprints told when asked for
   */
  OnPlate(int masters, Supplier<List<double[]>> footprints, double landMm) {
    this.masters = masters;
    this.footprints = footprints;
    this.landMm = landMm;
  }

  /** Copies of one footprint, laid on a plate; the middle of what they take up over the origin. */
  public static OnPlate of(double[] footprint, Plate plate) {
    List<double[]> all = Collections.nCopies(plate.copies(), footprint);
    return new OnPlate(
        plate.moves() ? laid(all, Packing.of(all, plate.landMm())) : all, plate.landMm());
  }

  static List<double[]> laid(List<double[]> footprints, List<Laid> laid) {
    return IntStream.range(0, laid.size())
        .mapToObj(i -> laid.get(i).ring(footprints.get(i % footprints.size())))
        .toList();
  }

  public int masters() {
    return masters;
  }

  public List<double[]> footprints() {
    return footprints.get();
  }

  /** Between the two that are closest; infinite when there is one. */
  public double leastLandMm() {
    return land().mm;
  }

  /** Half way between those two; the middle when there is one. */
  public Vec3 closest() {
    return land().at;
  }

  private record Land(double mm, Vec3 at) {}

  private synchronized Land land() {
    if (land == null) {
      land = leastLand();
    }
    return land;
  }

  private Land leastLand() {
    List<Geometry> all = footprints().stream().map(r -> (Geometry) Rings.polygon(r)).toList();
    Land least = new Land(Double.POSITIVE_INFINITY, Vec3.ZERO);
    for (int i = 0; i < all.size(); i++) {
      for (int j = 0; j < i; j++) {
        DistanceOp between = new DistanceOp(all.get(i), all.get(j));
        if (between.distance() < least.mm) {
          Coordinate[] ends = between.nearestPoints();
          Vec3 at = new Vec3((ends[0].x + ends[1].x) / 2, (ends[0].y + ends[1].y) / 2, 0);
          least = new Land(between.distance(), at);
        }
      }
    }
    return least;
  }

  /** Outer size of all, when each is so high. */
  public Vec3 sizeMm(double heightMm) {
    Envelope e = envelope(footprints());
    return new Vec3(e.getWidth(), e.getHeight(), heightMm);
  }

  /** Inside of a rectangular box round them with walls as thick as the land, mm². */
  public double boxMm2() {
    return boxMm2(footprints());
  }

  /** The same, were they laid close together. */
  public synchronized double closeBoxMm2() {
    if (closeMm2 < 0) {
      closeMm2 = boxMm2(laid(footprints(), Packing.of(footprints(), landMm)));
    }
    return closeMm2;
  }

  private static Envelope envelope(List<double[]> all) {
    Envelope e = new Envelope();
    all.forEach(r -> e.expandToInclude(Rings.closed(r).getEnvelopeInternal()));
    return e;
  }

  private double boxMm2(List<double[]> all) {
    Envelope e = envelope(all);
    return (e.getWidth() + 2 * landMm) * (e.getHeight() + 2 * landMm);
  }
}
