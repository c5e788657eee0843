package ungula.core.air;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import ungula.core.air.AirTraps.Needed;
import ungula.core.air.AirTraps.Pocket;
import ungula.core.air.AirTraps.Result;
import ungula.core.air.RoomSurface.Mouth;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.SurfacePoint;
import ungula.core.mesh.TriangleMesh;

/**
 * Air that stays in a room, exactly, from its surface. What of the room lies above a level falls
 * into regions; going down, one begins wherever the room peaks, and two become one where they touch
 * first ({@link JoinTree}). A region keeps its air down to the level at which it meets one that is
 * open.
 *
 * <p>The regions are told by the surface alone: two of its vertices lie on one region when a way
 * along edges leads from one to the other without going below them, or when that over one of them
 * does. Only edges between vertices that rise to different peaks can join two. Volumes are sums
 * over facets (divergence theorem), cut at the level.
 *
 * <p>Guaranteed: turning surface and direction together changes nothing but rounding; more mouths
 * never keep more air. Not looked for: a place where the surface touches itself, which lets
 * through.
 */
final class SurfaceTraps {

  /** Less is no pocket but what facets leave, mm³. */
  private static final double LEAST_MM3 = 1;

  /** Heights no further apart, as a share of the diagonal, are level. */
  private static final double LEVEL = 1e-9;

  /** A look upwards begins so far over a vertex, as a share of the diagonal, and aside of it. */
  private static final double OVER = 1e-7;

  private static final double ASIDE_X = 0.3 * 0.7548;
  private static final double ASIDE_Y = 0.3 * 0.5698;

  private static final int NONE = JoinTree.NONE;

  private final RoomSurface surface;
  private final TriangleMesh mesh;
  private final Vec3 up;
  private final double[] height;

  /**
   * Of each vertex the number of the peak it comes to when it always goes on to its highest
   * neighbour; {@link #NONE} where it lies on the floor.
   */
  private final int[] peakOf;

  /** Vertices no neighbour is above of. */
  private int[] peaks = new int[64];

  private int count;
  private final List<Meeting> meetings = new ArrayList<>();
  private JoinTree branches;

  private SurfaceTraps(RoomSurface surface, Vec3 up) {
    this.surface = surface;
    this.mesh = surface.mesh();
    this.up = up.unit();
    this.height = heights(mesh.vertexCount());
    this.peakOf = new int[height.length];
  }

  /**
   * Two regions become one, or one is opened.
   *
   * @param at mm
   * @param peak in one of them
   * @param other in the other; {@link #NONE} for an opening
   */
  private record Meeting(double at, int peak, int other) {}

  /**
   * @param up against gravity; any length
   */
  static SurfaceTraps of(RoomSurface surface, List<Mouth> mouths, Vec3 up) {
    SurfaceTraps traps = new SurfaceTraps(surface, up);
    traps.climb();
    traps.touch();
    traps.goOnOver();
    traps.open(mouths);
    traps.branches =
        new JoinTree(
            IntStream.range(0, traps.count)
                .mapToDouble(n -> traps.height[traps.peaks[n]])
                .toArray());
    traps.meet();
    traps.measure();
    return traps;
  }

  private double[] heights(int n) {
    double[] xyz = mesh.xyz();
    double[] h = new double[n];
    for (int v = 0; v < n; v++) {
      h[v] = up.x() * xyz[3 * v] + up.y() * xyz[3 * v + 1] + up.z() * xyz[3 * v + 2];
    }
    return h;
  }

  /** Of level ones the first. */
  private boolean higher(int v, int w) {
    return height[v] > height[w] || height[v] == height[w] && v < w;
  }

  private void climb() {
    int n = height.length;
    int[] next = new int[n];
    for (int v = 0; v < n; v++) {
      if (surface.onFloor(v)) {
        next[v] = v;
        continue;
      }
      int best = v;
      double most = height[v];
      int end = surface.first(v + 1);
      for (int i = surface.first(v); i < end; i++) {
        int w = surface.neighbour(i);
        double h = height[w];
        if ((h > most || h == most && w < best) && !surface.onFloor(w)) {
          best = w;
          most = h;
        }
      }
      next[v] = best;
    }
    for (int v = 0; v < n; v++) {
      if (surface.onFloor(v)) {
        peakOf[v] = NONE;
      } else if (next[v] == v) {
        if (count == peaks.length) {
          peaks = Arrays.copyOf(peaks, 2 * count);
        }
        peakOf[v] = count;
        peaks[count++] = v;
      }
    }
    for (int v = 0; v < n; v++) {
      int peak = v;
      while (next[peak] != peak) {
        peak = next[peak];
      }
      for (int w = v; next[w] != peak; ) {
        int on = next[w];
        next[w] = peak;
        w = on;
      }
      peakOf[v] = peakOf[peak];
    }
  }

  /** Where an edge leads from what rises to one peak to what rises to another. */
  private void touch() {
    for (int v = 0; v < height.length; v++) {
      int its = peakOf[v];
      int end = surface.first(v + 1);
      for (int i = surface.first(v); i < end; i++) {
        int w = surface.neighbour(i);
        if (w < v && peakOf[w] != its && peakOf[w] != NONE && its != NONE) {
          meetings.add(new Meeting(Math.min(height[v], height[w]), its, peakOf[w]));
        }
      }
    }
  }

  /** Over a peak the room ends, or it goes on up to a facet. */
  private void goOnOver() {
    double hair = OVER * mesh.bounds().diagonal();
    double[] p = mesh.xyz();
    for (int n = 0; n < count; n++) {
      int v = peaks[n];
      int facet =
          surface.over(
              p[3 * v] + hair * (up.x() + ASIDE_X),
              p[3 * v + 1] + hair * (up.y() + ASIDE_Y),
              p[3 * v + 2] + hair * up.z(),
              up);
      int w = facet < 0 ? v : highest(facet);
      if (higher(w, v) && peakOf[w] != NONE) {
        meetings.add(new Meeting(height[v], n, peakOf[w]));
      }
    }
  }

  private int highest(int facet) {
    int[] c = mesh.corners();
    int a = c[3 * facet];
    int b = c[3 * facet + 1];
    int d = c[3 * facet + 2];
    int ab = higher(a, b) ? a : b;
    return higher(ab, d) ? ab : d;
  }

  private void open(List<Mouth> mouths) {
    double[] from = new double[count];
    Arrays.fill(from, Double.NEGATIVE_INFINITY);
    for (Mouth m : mouths) {
      Vec3 at = m.at();
      if (at != null) {
        int facet = m.facet() >= 0 ? m.facet() : surface.over(at.x(), at.y(), at.z(), up);
        int its = facet < 0 ? NONE : peakOf[highest(facet)];
        if (its != NONE) {
          from[its] = Math.max(from[its], at.dot(up));
        }
      } else {
        openLevel(m, from);
      }
    }
    for (int n = 0; n < count; n++) {
      if (from[n] > Double.NEGATIVE_INFINITY) {
        meetings.add(new Meeting(Math.min(from[n], height[peaks[n]]), n, NONE));
      }
    }
  }

  private void openLevel(Mouth m, double[] from) {
    double thick = m.layerMm() * (Math.abs(up.x()) + Math.abs(up.y()) + Math.abs(up.z()));
    double least = Arrays.stream(height).max().orElseThrow() - thick;
    for (int v = 0; v < height.length; v++) {
      boolean open = m.vertices() == null ? height[v] > least : m.vertices().get(v);
      if (open && peakOf[v] != NONE) {
        from[peakOf[v]] = Math.max(from[peakOf[v]], height[v]);
      }
    }
  }

  private void meet() {
    meetings.sort(Comparator.comparingDouble(m -> -m.at));
    for (Meeting m : meetings) {
      if (m.other == NONE) {
        branches.open(m.peak, m.at);
      } else {
        branches.join(m.peak, m.other, m.at);
      }
    }
  }

  /**
   * Volumes of all branches: of each facet what is above where a branch ends, and of those wholly
   * above it their sums, handed on to what the branch goes on in.
   */
  private void measure() {
    int n = branches.count;
    // facets wholly above where a branch ends: area towards up, and that times its mean height
    double[] area = new double[n];
    double[] moment = new double[n];
    Vec3 low = mesh.bounds().min();
    boolean[] keeps = new boolean[n];
    for (int b = 0; b < n; b++) {
      keeps[b] = branches.at(b, branches.top[b]) != NONE;
    }
    int[] c = mesh.corners();
    for (int t = 0; t < mesh.triangleCount(); t++) {
      // what rises to a peak that is open leaves
      int any = peakOf[c[3 * t]];
      if (any != NONE
          && !keeps[any]
          && any == peakOf[c[3 * t + 1]]
          && any == peakOf[c[3 * t + 2]]) {
        continue;
      }
      int b = under(t);
      if (b != NONE) {
        int last = branches.last(b);
        if (branches.closed(last)) {
          branches.volume[last] += mesh.areaVector(t).dot(mesh.middle(t).minus(low)) / 3;
        } else {
          add(t, b, area, moment);
        }
      }
    }
    // in the order they end: each is whole when it hands on
    for (int i = 0; i < branches.ends; i++) {
      int b = branches.ended[i];
      branches.volume[b] += moment[b] - branches.spill[b] * area[b];
      if (branches.elder[b] != NONE) {
        area[branches.elder[b]] += area[b];
        moment[branches.elder[b]] += moment[b];
      }
    }
  }

  private void add(int t, int first, double[] area, double[] moment) {
    int[] c = mesh.corners();
    double g0 = height[c[3 * t]];
    double g1 = height[c[3 * t + 1]];
    double g2 = height[c[3 * t + 2]];
    double most = Math.max(g0, Math.max(g1, g2));
    double least = Math.min(g0, Math.min(g1, g2));
    double mid = g0 + g1 + g2 - most - least;
    double a = surface.towards(t, up);
    int b = first;
    while (b != NONE && least < branches.spill[b]) {
      double s = branches.spill[b];
      branches.volume[b] += a * above(most - s, mid - s, least - s);
      b = branches.elder[b];
    }
    if (b != NONE) {
      area[b] += a;
      moment[b] += a * (most + mid + least) / 3;
    }
  }

  /** Mean over a facet of its height above a level, what is below it counting nothing. */
  private static double above(double most, double mid, double least) {
    if (most <= 0) {
      return 0;
    }
    if (mid <= 0) {
      return most / (most - mid) * (most / (most - least)) * most / 3;
    }
    double below = least / (least - mid) * (least / (least - most)) * least / 3;
    return (most + mid + least) / 3 - below;
  }

  /**
   * What stays, with its cells.
   *
   * @param room of this surface
   */
  Result result(Room room) {
    List<Integer> found = new ArrayList<>();
    double total = 0;
    double unreached = 0;
    for (int b = 0; b < branches.count; b++) {
      double volume = branches.volume[b];
      if (branches.elder[b] == NONE && volume > LEAST_MM3) {
        if (branches.closed(b)) {
          unreached += volume;
        } else {
          total += volume;
          found.add(b);
        }
      }
    }
    found.sort(Comparator.comparingDouble(b -> -branches.volume[b]));
    List<Pocket> pockets = new ArrayList<>();
    for (int b : found) {
      double deep = branches.top[b] - branches.spill[b];
      pockets.add(new Pocket(branches.volume[b], top(b), deep));
    }
    return new Result(total, unreached, List.copyOf(pockets), cells(room, found));
  }

  /**
   * A vent for each branch that keeps more than is worth one, the largest first: what has a larger
   * one beside it that goes on lower is a pocket of its own once that is let out at its peak.
   *
   * @param middles whether a level ceiling is vented in its middle, which takes a look at all
   *     facets
   */
  Needed needed(int most, boolean middles) {
    double air = 0;
    double unreached = 0;
    List<Integer> reached = new ArrayList<>();
    for (int b = 0; b < branches.count; b++) {
      if (!branches.closed(branches.last(b))) {
        reached.add(b);
        air += branches.elder[b] == NONE ? branches.volume[b] : 0;
      } else if (branches.closed(b)) {
        unreached += branches.volume[b];
      }
    }
    List<Integer> worth =
        reached.stream()
            .filter(b -> branches.volume[b] > Vents.WORTH_MM3)
            .sorted(Comparator.comparingDouble(b -> -branches.volume[b]))
            .toList();
    // what an elder branch holds it holds with those that go on in it: it comes before them
    Set<Integer> open = new HashSet<>(worth.subList(0, Math.min(most, worth.size())));
    double left =
        reached.stream()
            .filter(b -> !open.contains(b))
            .filter(b -> branches.elder[b] == NONE || open.contains(branches.elder[b]))
            .mapToDouble(b -> branches.volume[b])
            .sum();
    List<Vec3> vents =
        worth.stream()
            .filter(open::contains)
            .map(b -> middles ? top(b) : mesh.vertex(peaks[b]))
            .toList();
    return new Needed(air, vents, left, unreached, worth.size() <= most);
  }

  /** The branch air at the top of a facet stays in; {@link #NONE} where it can leave. */
  private int under(int facet) {
    int v = highest(facet);
    return peakOf[v] == NONE ? NONE : branches.at(peakOf[v], height[v]);
  }

  /** The last one that goes on in. */
  private int lastUnder(int facet) {
    int b = under(facet);
    return b == NONE ? NONE : branches.last(b);
  }

  /** The peak of a branch; the place nearest the middle of its level ceiling where it has one. */
  private Vec3 top(int b) {
    double least = branches.top[b] - LEVEL * mesh.bounds().diagonal();
    List<Integer> level = new ArrayList<>();
    Vec3 sum = Vec3.ZERO;
    double area = 0;
    int[] c = mesh.corners();
    for (int t = 0; t < mesh.triangleCount(); t++) {
      boolean ceiling =
          height[c[3 * t]] >= least
              && height[c[3 * t + 1]] >= least
              && height[c[3 * t + 2]] >= least
              && under(t) == b;
      if (ceiling) {
        double a = mesh.areaVector(t).norm();
        level.add(t);
        sum = sum.plus(mesh.middle(t).times(a));
        area += a;
      }
    }
    if (!(area > 0)) {
      return mesh.vertex(peaks[b]);
    }
    Vec3 middle = sum.times(1 / area);
    return level.stream()
        .map(t -> SurfacePoint.nearest(mesh, t, middle).on(mesh))
        .min(Comparator.comparingDouble(p -> p.minus(middle).norm()))
        .orElseThrow();
  }

  private AirCells cells(Room room, List<Integer> pockets) {
    double lowest =
        pockets.stream().mapToDouble(b -> branches.spill[b]).min().orElse(Double.POSITIVE_INFINITY);
    return pockets.isEmpty()
        ? AirCells.of(room.grid(), new int[0])
        : AirCells.under(room.grid(), room.open(), up, lowest, this::seal);
  }

  /** How far down the air over a place stays; {@link Double#NaN} where it leaves. */
  private double seal(Vec3 at) {
    int facet = surface.over(at.x(), at.y(), at.z(), up);
    int b = facet < 0 ? NONE : lastUnder(facet);
    return b == NONE || branches.closed(b) || branches.volume[b] <= LEAST_MM3
        ? Double.NaN
        : branches.spill[b];
  }
}
