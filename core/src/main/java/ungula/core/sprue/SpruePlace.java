package ungula.core.sprue;

import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import ungula.core.geometry.Vec3;
import ungula.core.mark.Mark;
import ungula.core.mark.Marks;
import ungula.core.mesh.SurfacePoint;
import ungula.core.mesh.TriangleMesh;

/**
 * Where a sprue may go: on the underside, off all that is to stay clean, whole or threaded; in the
 * middle of what is marked as the base, which nobody sees, or else where the master is lowest and a
 * cast, turned over, fills last.
 */
public final class SpruePlace {

  /** A facet looks down enough when its outward direction falls by this much. */
  private static final double DOWN = -0.3;

  /** A base higher up than this share of the master would leave air over the sprue. */
  private static final double LOW = 0.25;

  /** What is marked so bears no sprue. */
  public static final List<Mark> BARRED = List.of(Mark.KEEP_CLEAN, Mark.FRAGILE, Mark.THREAD);

  private SpruePlace() {}

  /**
   * @param mesh as it stands
   * @return empty when nothing below is free
   */
  public static Optional<SurfacePoint> propose(TriangleMesh mesh, Marks marks) {
    BitSet barred = new BitSet();
    for (Mark m : BARRED) {
      barred.or(marks.of(m).facets());
    }
    BitSet base = marks.of(Mark.BASE).facets();
    double low = mesh.bounds().min().z();
    double most = low + LOW * mesh.bounds().size().z();
    Vec3 middle = middle(mesh, base);
    int best = -1;
    double least = Double.POSITIVE_INFINITY;
    for (int t = 0; t < mesh.triangleCount(); t++) {
      Vec3 area = mesh.areaVector(t);
      if (barred.get(t) || !(area.norm() > 0) || area.z() > DOWN * area.norm()) {
        continue;
      }
      Vec3 at = mesh.middle(t);
      // of the base all of it comes before the rest
      boolean hidden = base.get(t) && at.z() <= most;
      double far = hidden ? at.minus(middle).norm() - 1e9 : at.z();
      if (far < least) {
        least = far;
        best = t;
      }
    }
    return best < 0 ? Optional.empty() : Optional.of(new SurfacePoint(best, 1 / 3.0, 1 / 3.0));
  }

  /** Of some facets, by their area; the origin of none. */
  private static Vec3 middle(TriangleMesh mesh, BitSet facets) {
    Vec3 sum = Vec3.ZERO;
    double area = 0;
    for (int t = facets.nextSetBit(0);
        t >= 0 && t < mesh.triangleCount();
        t = facets.nextSetBit(t + 1)) {
      double a = mesh.areaVector(t).norm();
      sum = sum.plus(mesh.middle(t).times(a));
      area += a;
    }
    return area > 0 ? sum.times(1 / area) : Vec3.ZERO;
  }

  /** Whether the lowest point of a mesh is a corner of one of these facets. */
  public static boolean lowestIsOn(TriangleMesh mesh, BitSet facets) {
    double low = mesh.bounds().min().z();
    int[] c = mesh.corners();
    return facets.stream()
        .filter(t -> t < mesh.triangleCount())
        .flatMap(t -> IntStream.of(c[3 * t], c[3 * t + 1], c[3 * t + 2]))
        .anyMatch(v -> mesh.vertex(v).z() <= low + 1e-6);
  }
}
