package ungula.core.orient;

import java.util.Arrays;
import org.locationtech.jts.algorithm.ConvexHull;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import ungula.core.geometry.Directions;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;

/**
 * The smallest rectangle a body's shadow fits in, for any way up. A side of it lies along a side of
 * the shadow's hull (H. Freeman and R. Shapira, 1975).
 */
final class Footprint {

  /** Corners of the hull beyond this many are thinned out: 0.03 % of a ball's size. */
  private static final int MOST = 2000;

  private final double[] points;

  private Footprint(double[] points) {
    this.points = points;
  }

  /**
   * @param hull of the body
   */
  static Footprint of(TriangleMesh hull) {
    double[] p = hull.xyz();
    if (p.length <= 3 * MOST) {
      return new Footprint(p);
    }
    double[] kept = new double[3 * MOST];
    for (int n = 0; n < MOST; n++) {
      Vec3 d = Directions.onSphere(n, MOST);
      double most = Double.NEGATIVE_INFINITY;
      for (int i = 0; i < p.length; i += 3) {
        double at = d.x() * p[i] + d.y() * p[i + 1] + d.z() * p[i + 2];
        if (at > most) {
          most = at;
          System.arraycopy(p, i, kept, 3 * n, 3);
        }
      }
    }
    return new Footprint(kept);
  }

  /**
   * How the body stands on its smallest rectangle, and the size it takes up.
   *
   * @param turn brings the direction upright, then the rectangle's longer side along x
   */
  record Fit(Rotation turn, Vec3 sizeMm) {}

  Fit fit(Vec3 up) {
    Rotation upright = Rotation.bringing(up, Vec3.UP);
    double[] m = upright.matrix();
    Coordinate[] shadow = new Coordinate[points.length / 3];
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < points.length; i += 3) {
      double x = points[i];
      double y = points[i + 1];
      double z = points[i + 2];
      shadow[i / 3] =
          new Coordinate(m[0] * x + m[1] * y + m[2] * z, m[3] * x + m[4] * y + m[5] * z);
      double at = m[6] * x + m[7] * y + m[8] * z;
      low = Math.min(low, at);
      high = Math.max(high, at);
    }
    Coordinate[] ring =
        new ConvexHull(shadow, new GeometryFactory()).getConvexHull().getCoordinates();
    double least = Double.POSITIVE_INFINITY;
    double[] best = {0, 0, 0};
    for (int i = 0; i + 1 < ring.length; i++) {
      double along = Math.atan2(ring[i + 1].y - ring[i].y, ring[i + 1].x - ring[i].x);
      double cos = Math.cos(along);
      double sin = Math.sin(along);
      double length = span(ring, cos, sin);
      double width = span(ring, -sin, cos);
      // of equal ones the first
      if (length * width < least * (1 - 1e-9)) {
        least = length * width;
        best = new double[] {along, length, width};
      }
    }
    boolean longer = best[1] >= best[2];
    double degrees = -Math.toDegrees(best[0]) + (longer ? 0 : 90);
    Rotation turn = Rotation.about(Vec3.UP, degrees).after(upright);
    return new Fit(
        turn, new Vec3(Math.max(best[1], best[2]), Math.min(best[1], best[2]), high - low));
  }

  private static double span(Coordinate[] ring, double x, double y) {
    double[] at = Arrays.stream(ring).mapToDouble(c -> x * c.x + y * c.y).toArray();
    return Arrays.stream(at).max().orElse(0) - Arrays.stream(at).min().orElse(0);
  }
}
