package ungula.core.sprue;

import java.util.ArrayList;
import java.util.List;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.Slicer.Cut;

/**
 * A round channel through a mould: a sprue or a vent.
 *
 * @param path from the cast to the outside, straight from each place to the next
 * @param diameterMm across it
 */
public record Channel(List<Vec3> path, double diameterMm) {

  private static final int AROUND = 24;

  /** Viscosity of air at 20 °C, Pa·s. */
  private static final double AIR_PAS = 1.82e-5;

  public Channel {
    path = List.copyOf(path);
  }

  /**
   * How much air a round channel lets out, mm³/s: Hagen–Poiseuille, as a {@link Sprue} lets in what
   * is cast.
   *
   * @param headMm of water that presses it
   */
  public static double airMm3PerS(double diameterMm, double lengthMm, double headMm) {
    double pa = 9.81 * headMm;
    return Math.PI * pa * Math.pow(diameterMm, 4) / (128 * AIR_PAS * lengthMm);
  }

  /** How far a place is from its middle line, mm. */
  public double distance(Vec3 p) {
    double best = Double.POSITIVE_INFINITY;
    for (int i = 1; i < path.size(); i++) {
      Vec3 a = path.get(i - 1);
      Vec3 way = path.get(i).minus(a);
      double long2 = way.dot(way);
      double t = long2 > 0 ? Math.max(0, Math.min(1, p.minus(a).dot(way) / long2)) : 0;
      best = Math.min(best, p.minus(a.plus(way.times(t))).norm());
    }
    return best;
  }

  /** Round all of it, with so much to spare. */
  public Box3 bounds(double spareMm) {
    Vec3 low = path.get(0);
    Vec3 high = low;
    for (Vec3 p : path) {
      low = new Vec3(Math.min(low.x(), p.x()), Math.min(low.y(), p.y()), Math.min(low.z(), p.z()));
      high =
          new Vec3(Math.max(high.x(), p.x()), Math.max(high.y(), p.y()), Math.max(high.z(), p.z()));
    }
    double by = diameterMm / 2 + spareMm;
    Vec3 round = new Vec3(by, by, by);
    return new Box3(low.minus(round), high.plus(round));
  }

  /**
   * Its outlines in a view, whatever lies before it: a ring of right, up pairs for each stretch.
   */
  public List<double[]> seen(Cut view) {
    double r = diameterMm / 2;
    List<double[]> rings = new ArrayList<>();
    for (int i = 1; i < path.size(); i++) {
      double[] a = flat(path.get(i - 1), view);
      double[] b = flat(path.get(i), view);
      double dx = b[0] - a[0];
      double dy = b[1] - a[1];
      double d = Math.hypot(dx, dy);
      if (d > r) {
        double px = -dy / d * r;
        double py = dx / d * r;
        rings.add(
            new double[] {
              a[0] + px, a[1] + py, b[0] + px, b[1] + py, b[0] - px, b[1] - py, a[0] - px, a[1] - py
            });
      } else {
        rings.add(circle(b, r));
      }
    }
    return rings;
  }

  private static double[] flat(Vec3 p, Cut view) {
    return switch (view) {
      case FRONT -> new double[] {p.x(), p.z()};
      case SIDE -> new double[] {p.y(), p.z()};
      case TOP -> new double[] {p.x(), p.y()};
    };
  }

  private static double[] circle(double[] middle, double r) {
    double[] ring = new double[2 * AROUND];
    for (int i = 0; i < AROUND; i++) {
      ring[2 * i] = middle[0] + r * Math.cos(2 * Math.PI * i / AROUND);
      ring[2 * i + 1] = middle[1] + r * Math.sin(2 * Math.PI * i / AROUND);
    }
    return ring;
  }
}
