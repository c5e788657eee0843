package ungula.core.air;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.Topology;
import ungula.core.mesh.TriangleMesh;

/**
 * Level ceilings: faces so nearly level that air under them has to creep sideways before it can
 * rise. A model says that none stays; at the bench it does.
 *
 * <p>A ceiling is a patch of facets within 3° of level that the liquid lies under. Air leaves it
 * over an edge beyond which the surface goes on rising, and through openings in it. How far it has
 * to creep is measured on a raster over the patch, round corners, to half a raster step.
 */
public final class Ceilings {

  /** Leaning less from level counts as level. */
  private static final double LEVEL_DEGREES = 3;

  /** Air creeps this far without harm. */
  public static final double CREEPS_MM = 15;

  private static final double FINEST_MM = 0.4;
  private static final int MOST_STEPS = 600;

  private final TriangleMesh mesh;
  private final Topology topology;
  private final boolean under;
  private final List<Vec3> openings;

  private Ceilings(TriangleMesh mesh, boolean under, List<Vec3> openings) {
    this.mesh = mesh;
    this.topology = Topology.of(mesh);
    this.under = under;
    this.openings = openings;
  }

  /**
   * A level ceiling air has to creep along.
   *
   * @param place where air has furthest to go
   * @param creepMm from there
   * @param areaMm2 of the ceiling
   */
  public record Ceiling(Vec3 place, double creepMm, double areaMm2) {}

  /**
   * Ceilings of what fills a cavity, up being z.
   *
   * @param openings places on its wall
   * @param openFromMm what is as high as this is open altogether
   * @return those air creeps further along than {@link #CREEPS_MM}, the furthest first
   */
  public static List<Ceiling> inside(TriangleMesh mesh, List<Vec3> openings, double openFromMm) {
    return new Ceilings(mesh, false, openings).find(Double.NEGATIVE_INFINITY, openFromMm);
  }

  /**
   * Ceilings of what is filled in round a body, up being z.
   *
   * @param aboveMm what is no higher than this lies on the plate
   * @return those air creeps further along than {@link #CREEPS_MM}, the furthest first
   */
  public static List<Ceiling> round(TriangleMesh mesh, double aboveMm) {
    return new Ceilings(mesh, true, List.of()).find(aboveMm, Double.POSITIVE_INFINITY);
  }

  private List<Ceiling> find(double aboveMm, double belowMm) {
    double cos = Math.cos(Math.toRadians(LEVEL_DEGREES));
    BitSet level = new BitSet();
    for (int t = 0; t < mesh.triangleCount(); t++) {
      Vec3 v = mesh.areaVector(t);
      double facing = under ? -v.z() : v.z();
      double z = mesh.middle(t).z();
      if (facing > 0 && facing >= cos * v.norm() && z > aboveMm && z < belowMm) {
        level.set(t);
      }
    }
    List<Ceiling> found = new ArrayList<>();
    for (int seed = level.nextSetBit(0); seed >= 0; seed = level.nextSetBit(seed)) {
      Ceiling c = new Patch(joined(seed, level)).ceiling();
      if (c != null && c.creepMm > CREEPS_MM) {
        found.add(c);
      }
    }
    found.sort(Comparator.comparingDouble((Ceiling c) -> -c.creepMm));
    return List.copyOf(found);
  }

  private Vec3 corner(int t, int k) {
    return mesh.vertex(mesh.corners()[3 * t + k]);
  }

  /** Takes a facet and all that hang together with it from a set. */
  private int[] joined(int seed, BitSet from) {
    int[] facets = new int[16];
    int count = 0;
    from.clear(seed);
    facets[count++] = seed;
    for (int n = 0; n < count; n++) {
      for (int k = 0; k < 3; k++) {
        int next = topology.neighbour(facets[n], k);
        if (next >= 0 && from.get(next)) {
          from.clear(next);
          if (count == facets.length) {
            facets = Arrays.copyOf(facets, 2 * count);
          }
          facets[count++] = next;
        }
      }
    }
    return Arrays.copyOf(facets, count);
  }

  /** One ceiling on a raster. */
  private final class Patch {
    private final int[] facets;
    private double x0 = Double.POSITIVE_INFINITY;
    private double y0 = Double.POSITIVE_INFINITY;
    private double x1 = Double.NEGATIVE_INFINITY;
    private double y1 = Double.NEGATIVE_INFINITY;
    private double z = 0;
    private double area;
    private double step;
    private int nx;
    private int ny;

    Patch(int[] facets) {
      this.facets = facets;
      for (int t : facets) {
        area += mesh.areaVector(t).norm();
        for (int k = 0; k < 3; k++) {
          Vec3 p = corner(t, k);
          x0 = Math.min(x0, p.x());
          y0 = Math.min(y0, p.y());
          x1 = Math.max(x1, p.x());
          y1 = Math.max(y1, p.y());
          z += p.z() / (3.0 * facets.length);
        }
      }
    }

    /** Null when it is too small to hold air anywhere. */
    Ceiling ceiling() {
      double across = Math.hypot(x1 - x0, y1 - y0);
      if (across < CREEPS_MM / 2) {
        return null;
      }
      step = Math.max(FINEST_MM, across / MOST_STEPS);
      nx = (int) ((x1 - x0) / step) + 2;
      ny = (int) ((y1 - y0) / step) + 2;
      boolean[] within = new boolean[nx * ny];
      for (int t : facets) {
        fill(t, within);
      }
      double[] way = new double[nx * ny];
      Arrays.fill(way, Double.POSITIVE_INFINITY);
      exits(way);
      creep(within, way);
      int furthest = -1;
      for (int at = 0; at < way.length; at++) {
        if (within[at]
            && way[at] < Double.POSITIVE_INFINITY
            && (furthest < 0 || way[at] > way[furthest])) {
          furthest = at;
        }
      }
      if (furthest < 0) {
        // no way out of it at all
        return new Ceiling(new Vec3((x0 + x1) / 2, (y0 + y1) / 2, z), across, area);
      }
      Vec3 place = new Vec3(x0 + furthest % nx * step, y0 + furthest / nx * step, z);
      return new Ceiling(place, way[furthest], area);
    }

    /** Marks the raster points a facet covers, and those its corners and edges lie on. */
    private void fill(int t, boolean[] within) {
      Vec3 a = corner(t, 0);
      Vec3 b = corner(t, 1);
      Vec3 c = corner(t, 2);
      double det = (b.x() - a.x()) * (c.y() - a.y()) - (b.y() - a.y()) * (c.x() - a.x());
      int i0 = column(Math.min(a.x(), Math.min(b.x(), c.x())));
      int i1 = column(Math.max(a.x(), Math.max(b.x(), c.x())));
      int j0 = row(Math.min(a.y(), Math.min(b.y(), c.y())));
      int j1 = row(Math.max(a.y(), Math.max(b.y(), c.y())));
      for (int j = j0; j <= j1; j++) {
        for (int i = i0; i <= i1; i++) {
          double px = x0 + i * step - a.x();
          double py = y0 + j * step - a.y();
          double u = (px * (c.y() - a.y()) - py * (c.x() - a.x())) / det;
          double v = (py * (b.x() - a.x()) - px * (b.y() - a.y())) / det;
          within[j * nx + i] |= u >= 0 && v >= 0 && u + v <= 1;
        }
      }
      along(a, b, within);
      along(b, c, within);
      along(c, a, within);
    }

    private void along(Vec3 from, Vec3 to, boolean[] within) {
      int steps = 1 + (int) (to.minus(from).norm() / (0.7 * step));
      for (int n = 0; n <= steps; n++) {
        within[at(from.plus(to.minus(from).times((double) n / steps)))] = true;
      }
    }

    private int column(double x) {
      return (int) Math.max(0, Math.min(nx - 1, Math.rint((x - x0) / step)));
    }

    private int row(double y) {
      return (int) Math.max(0, Math.min(ny - 1, Math.rint((y - y0) / step)));
    }

    private int at(Vec3 p) {
      return row(p.y()) * nx + column(p.x());
    }

    private void exits(double[] way) {
      BitSet own = new BitSet();
      for (int t : facets) {
        own.set(t);
      }
      boolean[] open = new boolean[way.length];
      for (int t : facets) {
        for (int k = 0; k < 3; k++) {
          int next = topology.neighbour(t, k);
          if (next < 0 || !own.get(next) && rises(next, corner(t, k), corner(t, (k + 1) % 3))) {
            along(corner(t, k), corner(t, (k + 1) % 3), open);
          }
        }
      }
      for (Vec3 o : openings) {
        boolean here =
            o.x() > x0 - step && o.x() < x1 + step && o.y() > y0 - step && o.y() < y1 + step;
        if (here && o.z() > z - 1) {
          open[at(o)] = true;
        }
      }
      for (int at = 0; at < way.length; at++) {
        way[at] = open[at] ? 0 : way[at];
      }
    }

    /** Whether a facet goes on upwards from an edge. */
    private boolean rises(int t, Vec3 a, Vec3 b) {
      double third = corner(t, 0).z() + corner(t, 1).z() + corner(t, 2).z() - a.z() - b.z();
      return third > (a.z() + b.z()) / 2 + 1e-6;
    }

    private record Step(double way, int at) {}

    private void creep(boolean[] within, double[] way) {
      PriorityQueue<Step> open =
          new PriorityQueue<>(Comparator.comparingDouble(Step::way).thenComparingInt(Step::at));
      for (int at = 0; at < way.length; at++) {
        if (way[at] == 0) {
          open.add(new Step(0, at));
        }
      }
      while (!open.isEmpty()) {
        Step s = open.poll();
        if (s.way > way[s.at]) {
          continue;
        }
        for (int dj = -2; dj <= 2; dj++) {
          for (int di = -2; di <= 2; di++) {
            int i = s.at % nx + di;
            int j = s.at / nx + dj;
            if (i < 0 || j < 0 || i >= nx || j >= ny || !within[j * nx + i]) {
              continue;
            }
            double w = s.way + step * Math.hypot(di, dj);
            if (w < way[j * nx + i]) {
              way[j * nx + i] = w;
              open.add(new Step(w, j * nx + i));
            }
          }
        }
      }
    }
  }
}
