package ungula.core.mesh;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Cuts a mesh by planes across one axis. Triangles are filed once by the slab they begin in, so
 * that a cut looks only at those that can reach it.
 *
 * <p>A vertex exactly in the plane counts as above it, consistently, so that every cut through a
 * closed mesh closes. Cuts through open edges give open chains.
 */
public final class Slicer {

  /** Across which axis the planes lie, and which two axes (right, up) a cut is drawn in. */
  public enum Cut {
    /** Across y, seen from the front: x to the right, z up. */
    FRONT(1, 0, 2),
    /** Across x, seen from the right: y to the right, z up. */
    SIDE(0, 1, 2),
    /** Across z, seen from above: x to the right, y up. */
    TOP(2, 0, 1);

    private final int axis;
    private final int right;
    private final int up;

    Cut(int axis, int right, int up) {
      this.axis = axis;
      this.right = right;
      this.up = up;
    }

    public int axis() {
      return axis;
    }

    public int right() {
      return right;
    }

    public int up() {
      return up;
    }

    /** +1 where looking at the cut keeps turning sense, −1 where it mirrors it. */
    private int sense() {
      return this == FRONT ? -1 : 1;
    }
  }

  private static final int SLABS = 512;

  private final TriangleMesh mesh;
  private final Cut cut;
  private final double origin;
  private final double slab;
  private final int[] start;
  private final int[] byStart;

  /** Triangles longer than this many slabs would make every cut look far back; kept apart. */
  private static final int LONG = 8;

  private final int[] tall;

  public Slicer(TriangleMesh mesh, Cut cut) {
    this.mesh = mesh;
    this.cut = cut;
    double[] p = mesh.xyz();
    int[] c = mesh.corners();
    int axis = cut.axis;
    double[] lo = {mesh.bounds().min().x(), mesh.bounds().min().y(), mesh.bounds().min().z()};
    double[] hi = {mesh.bounds().max().x(), mesh.bounds().max().y(), mesh.bounds().max().z()};
    origin = lo[axis];
    slab = Math.max((hi[axis] - lo[axis]) / SLABS, Double.MIN_NORMAL);
    int n = mesh.triangleCount();
    int[] count = new int[SLABS + 2];
    short[] begins = new short[n];
    int tallCount = 0;
    for (int t = 0; t < n; t++) {
      double a = p[3 * c[3 * t] + axis];
      double b = p[3 * c[3 * t + 1] + axis];
      double d = p[3 * c[3 * t + 2] + axis];
      double least = Math.min(a, Math.min(b, d));
      double most = Math.max(a, Math.max(b, d));
      if (most - least > LONG * slab) {
        begins[t] = -1;
        tallCount++;
      } else {
        begins[t] = (short) Math.min(SLABS, (int) ((least - origin) / slab));
        count[begins[t] + 1]++;
      }
    }
    for (int s = 0; s <= SLABS; s++) {
      count[s + 1] += count[s];
    }
    start = count.clone();
    byStart = new int[n - tallCount];
    tall = new int[tallCount];
    int[] fill = count;
    int tallAt = 0;
    for (int t = 0; t < n; t++) {
      if (begins[t] < 0) {
        tall[tallAt++] = t;
      } else {
        byStart[fill[begins[t]]++] = t;
      }
    }
  }

  /** The outline of the body in the plane at a place along the cut's axis. */
  public Section at(double place) {
    Chains chains = new Chains();
    int last = (int) Math.floor((place - origin) / slab);
    int from = Math.max(0, last - LONG - 1);
    int to = Math.min(SLABS, last + 1);
    if (to >= 0 && from <= SLABS) {
      for (int i = start[from]; i < start[to + 1]; i++) {
        chains.cross(byStart[i], place);
      }
    }
    for (int t : tall) {
      chains.cross(t, place);
    }
    return chains.section();
  }

  /**
   * @param loops closed outlines as right, up pairs in mm; bodies counter-clockwise as drawn, holes
   *     clockwise
   * @param openChains chains that do not close, where the mesh has gaps
   * @param areaMm2 signed area of the loops
   */
  public record Section(List<double[]> loops, List<double[]> openChains, double areaMm2) {}

  /** The segments of one cut, linked where two triangles share the crossed edge. */
  private final class Chains {

    private final Map<Long, Integer> startingAt = new HashMap<>();
    private long[] from = new long[64];
    private long[] to = new long[64];
    // right, up of the segment's start and end: stride 4
    private double[] ends = new double[256];
    private int count;

    void cross(int t, double place) {
      double[] p = mesh.xyz();
      int[] c = mesh.corners();
      int a = c[3 * t];
      int b = c[3 * t + 1];
      int d = c[3 * t + 2];
      boolean upA = p[3 * a + cut.axis] >= place;
      boolean upB = p[3 * b + cut.axis] >= place;
      boolean upD = p[3 * d + cut.axis] >= place;
      if (upA == upB && upB == upD) {
        return;
      }
      // turn the triangle so that corner a stands alone on its side
      if (upA == upB) {
        int lone = d;
        d = b;
        b = a;
        a = lone;
        upA = upD;
      } else if (upA == upD) {
        int lone = b;
        b = d;
        d = a;
        a = lone;
        upA = upB;
      }
      // looking along the axis the body lies to the left of the segment
      if (upA) {
        add(a, b, a, d, place);
      } else {
        add(a, d, a, b, place);
      }
    }

    private void add(int a0, int b0, int a1, int b1, double place) {
      if (count == from.length) {
        from = Arrays.copyOf(from, 2 * count);
        to = Arrays.copyOf(to, 2 * count);
        ends = Arrays.copyOf(ends, 8 * count);
      }
      boolean keep = cut.sense() > 0;
      from[count] = keep ? key(a0, b0) : key(a1, b1);
      to[count] = keep ? key(a1, b1) : key(a0, b0);
      point(keep ? a0 : a1, keep ? b0 : b1, place, 4 * count);
      point(keep ? a1 : a0, keep ? b1 : b0, place, 4 * count + 2);
      startingAt.put(from[count], count);
      count++;
    }

    /** Of an edge. Side by side in 64 bits, near vertices would all be filed in the same place. */
    private long key(int a, int b) {
      return (long) Math.min(a, b) * mesh.vertexCount() + Math.max(a, b);
    }

    private void point(int a, int b, double place, int into) {
      double[] p = mesh.xyz();
      int low = Math.min(a, b);
      int high = Math.max(a, b);
      double za = p[3 * low + cut.axis];
      double zb = p[3 * high + cut.axis];
      double u = (place - za) / (zb - za);
      ends[into] = p[3 * low + cut.right] + u * (p[3 * high + cut.right] - p[3 * low + cut.right]);
      ends[into + 1] = p[3 * low + cut.up] + u * (p[3 * high + cut.up] - p[3 * low + cut.up]);
    }

    Section section() {
      List<double[]> loops = new ArrayList<>();
      List<double[]> openChains = new ArrayList<>();
      boolean[] used = new boolean[count];
      boolean[] entered = new boolean[count];
      for (int s = 0; s < count; s++) {
        Integer following = startingAt.get(to[s]);
        if (following != null) {
          entered[following] = true;
        }
      }
      // chains that begin at a gap first, so that rings are what is left
      for (int s = 0; s < count; s++) {
        if (!entered[s] && !used[s]) {
          openChains.add(follow(s, used, true));
        }
      }
      double area = 0;
      for (int s = 0; s < count; s++) {
        if (!used[s]) {
          double[] loop = follow(s, used, false);
          loops.add(loop);
          area += Outline.area(loop);
        }
      }
      return new Section(loops, openChains, area);
    }

    private double[] follow(int s, boolean[] used, boolean withEnd) {
      double[] line = new double[32];
      int length = 0;
      int at = s;
      int last = s;
      while (at >= 0 && !used[at]) {
        used[at] = true;
        if (length + 4 > line.length) {
          line = Arrays.copyOf(line, 2 * line.length);
        }
        line[length++] = ends[4 * at];
        line[length++] = ends[4 * at + 1];
        last = at;
        at = startingAt.getOrDefault(to[at], -1);
      }
      if (withEnd) {
        line[length++] = ends[4 * last + 2];
        line[length++] = ends[4 * last + 3];
      }
      return Arrays.copyOf(line, length);
    }
  }
}
