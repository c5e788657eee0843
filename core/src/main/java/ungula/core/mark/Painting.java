package ungula.core.mark;

import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import ungula.core.field.TriangleDistances;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.SurfacePoint;
import ungula.core.mesh.Topology;
import ungula.core.mesh.TriangleMesh;

/** Which facets a brush or a click means. Whole facets are marked. */
public final class Painting {

  private final TriangleMesh mesh;
  private final Topology topology;

  public Painting(TriangleMesh mesh) {
    this.mesh = mesh;
    this.topology = Topology.of(mesh);
  }

  /**
   * What a round brush covers along its stroke: facets with a point within its radius, joined to
   * where it touches by facets that have one too. So it does not paint through a wall.
   *
   * @param stroke places the brush was at, in turn
   */
  public FacetSet brush(List<SurfacePoint> stroke, double radiusMm) {
    TriangleDistances distances = new TriangleDistances(mesh);
    BitSet painted = new BitSet();
    for (SurfacePoint at : stroke) {
      Vec3 p = at.on(mesh);
      painted.or(
          joined(
              at.facet(),
              (from, to) -> distances.squared(to, p.x(), p.y(), p.z()) <= radiusMm * radiusMm));
    }
    return FacetSet.of(painted);
  }

  /**
   * A face: every facet that can be reached without crossing an edge bent by more than an angle.
   *
   * @param from where it begins
   */
  public FacetSet face(SurfacePoint from, double degrees) {
    double cos = Math.cos(Math.toRadians(degrees));
    return FacetSet.of(joined(from.facet(), (a, b) -> normal(a).dot(normal(b)) >= cos));
  }

  private Vec3 normal(int t) {
    Vec3 n = mesh.areaVector(t);
    double area = n.norm();
    return area > 0 ? n.times(1 / area) : n;
  }

  private interface Step {
    boolean goes(int from, int to);
  }

  private BitSet joined(int seed, Step step) {
    BitSet in = new BitSet();
    int[] stack = new int[64];
    int depth = 0;
    in.set(seed);
    stack[depth++] = seed;
    while (depth > 0) {
      int t = stack[--depth];
      for (int k = 0; k < 3; k++) {
        int next = topology.neighbour(t, k);
        if (next >= 0 && !in.get(next) && step.goes(t, next)) {
          in.set(next);
          if (depth == stack.length) {
            stack = Arrays.copyOf(stack, 2 * depth);
          }
          stack[depth++] = next;
        }
      }
    }
    return in;
  }
}
