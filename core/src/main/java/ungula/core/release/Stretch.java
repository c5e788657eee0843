package ungula.core.release;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;
import org.locationtech.jts.algorithm.ConvexHull;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import ungula.core.geometry.Box3;
import ungula.core.mesh.Slicer;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;

/**
 * How far a one-piece mould must stretch to be pulled up off a master standing on a plate: rubber
 * at a throat has to pass over every part above it that is wider.
 *
 * <p>With P(z) the length of a cord round the section at height z: stretch = max over z₁ &lt; z₂ of
 * P(z₂)/P(z₁) − 1, over {@link #LEVELS} levels and at each step. Sections under a tenth of the
 * widest do not count as throats: rubber that thin gives way.
 *
 * @param share 0.2 is 20 % longer; 0 when nothing is wider above
 * @param wideMm height of the wide part
 * @param throatMm height of the throat
 */
public record Stretch(double share, double wideMm, double throatMm) {

  /** New rubber may be stretched to this share of its elongation at break. */
  public static final double FRESH = 1 / 4.0;

  /** At break: taken while no sheet says. */
  private static final double USUAL_ELONGATION_PCT = 300;

  private static final int LEVELS = 160;

  /** A body with more heights of vertices is round: levels spread evenly see all of it. */
  private static final int MOST_STEPS = 60;

  /** Facets this share of the height apart are of one thread. */
  private static final double TOUCHING = 0.001;

  private static final double LEAST_THROAT = 0.1;

  /**
   * How much longer new rubber may get, as a share.
   *
   * @param elongationPct at break, as its sheet says; null takes a usual one
   */
  public static double allowed(Double elongationPct) {
    return FRESH * elongationPct(elongationPct) / 100;
  }

  /** Elongation at break, %, as the sheet says; a usual one while it does not. */
  public static double elongationPct(Double stated) {
    return stated == null ? USUAL_ELONGATION_PCT : stated;
  }

  /**
   * The most that any of several bodies asks for: each is pulled out of rubber of its own.
   *
   * @param bodies as they stand, z up; what lies below the plate, z = 0, does not count
   */
  public static Stretch pulledUp(List<TriangleMesh> bodies, Parallel parallel) {
    return pulledUp(bodies, List.of(), parallel);
  }

  /**
   * The same with threads, which are unscrewed: no rubber has to pass their ridges.
   *
   * @param threads bounds of each facet of a thread, as they stand
   */
  public static Stretch pulledUp(List<TriangleMesh> bodies, List<Box3> threads, Parallel parallel) {
    return bodies.stream()
        .map(body -> pulledUp(body, threads, parallel))
        .max(Comparator.comparingDouble(Stretch::share))
        .orElseThrow();
  }

  private static Stretch pulledUp(TriangleMesh body, List<Box3> threads, Parallel parallel) {
    Slicer sections = new Slicer(body, Cut.TOP);
    double[] z = levels(body);
    double[] cord = new double[z.length];
    parallel.each(z.length, i -> cord[i] = cord(sections, z[i]));
    unscrewed(z, cord, threads.stream().filter(f -> body.bounds().contains(f.centre())).toList());
    double widest = Arrays.stream(cord).max().orElseThrow();
    Stretch most = new Stretch(0, 0, 0);
    int wide = z.length - 1;
    for (int i = z.length - 2; i >= 0; i--) {
      double share = cord[i] > LEAST_THROAT * widest ? cord[wide] / cord[i] - 1 : 0;
      if (share > most.share) {
        most = new Stretch(share, z[wide], z[i]);
      }
      wide = cord[i] > cord[wide] ? i : wide;
    }
    return most;
  }

  /** From end to end of a thread the cord is as long as over its ridges. */
  private static void unscrewed(double[] z, double[] cord, List<Box3> thread) {
    double touching = TOUCHING * (z[z.length - 1] - z[0]);
    List<Box3> up = thread.stream().sorted(Comparator.comparingDouble(f -> f.min().z())).toList();
    for (int from = 0; from < up.size(); ) {
      double low = up.get(from).min().z() - touching;
      double high = low;
      int next = from;
      while (next < up.size() && up.get(next).min().z() - touching <= high) {
        high = Math.max(high, up.get(next++).max().z() + touching);
      }
      level(z, cord, low, high);
      from = next;
    }
  }

  private static void level(double[] z, double[] cord, double low, double high) {
    double most = 0;
    for (int i = 0; i < z.length; i++) {
      most = z[i] >= low && z[i] <= high ? Math.max(most, cord[i]) : most;
    }
    for (int i = 0; i < z.length; i++) {
      cord[i] = z[i] >= low && z[i] <= high ? most : cord[i];
    }
  }

  /** Evenly spread, and at both sides of each step of a body that has few. */
  private static double[] levels(TriangleMesh body) {
    double low = Math.max(0, body.bounds().min().z());
    double high = body.bounds().max().z();
    double apart = (high - low) / LEVELS;
    double beside = apart / 1000;
    SortedSet<Double> z = new TreeSet<>();
    for (int v = 0; v < body.vertexCount() && z.size() <= 2 * MOST_STEPS; v++) {
      double step = low + beside * Math.round((body.vertex(v).z() - low) / beside);
      z.add(step - beside);
      z.add(step + beside);
    }
    if (z.size() > 2 * MOST_STEPS) {
      z.clear();
    }
    for (int i = 0; i < LEVELS; i++) {
      z.add(low + (i + 0.5) * apart);
    }
    return z.stream().filter(at -> at > low && at < high).mapToDouble(at -> at).toArray();
  }

  private static double cord(Slicer levels, double z) {
    List<Coordinate> points = new ArrayList<>();
    for (double[] ring : levels.at(z).loops()) {
      for (int i = 0; i < ring.length; i += 2) {
        points.add(new Coordinate(ring[i], ring[i + 1]));
      }
    }
    Coordinate[] all = points.toArray(Coordinate[]::new);
    return new ConvexHull(all, new GeometryFactory()).getConvexHull().getLength();
  }
}
