package ungula.core.mould;

import java.util.Arrays;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mesh.TriangleTree;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * How far it is from each facet of a body straight out to another that looks back; the same
 * whichever way the body stands.
 *
 * @param mm by facet; infinite where nothing looks back
 */
public record FacingFaces(float[] mm) {

  /** A face looks back when the two lean this far or less from facing (cosine). */
  private static final double FACING = -0.8;

  /** How far in front of the surface a ray starts, as a share of the body's diagonal. */
  private static final double START = 4e-6;

  /**
   * @throws java.util.concurrent.CancellationException when the progress says that nobody waits
   */
  public static FacingFaces of(TriangleMesh mesh, Parallel parallel, Progress progress) {
    TriangleTree tree = TriangleTree.of(mesh);
    float[] mm = new float[mesh.triangleCount()];
    Arrays.fill(mm, Float.POSITIVE_INFINITY);
    double start = START * mesh.bounds().diagonal();
    int portions = 64;
    parallel.each(
        portions,
        part -> {
          progress.at("Measuring from face to face", (double) part / portions);
          int from = (int) ((long) mm.length * part / portions);
          int to = (int) ((long) mm.length * (part + 1) / portions);
          for (int t = from; t < to; t++) {
            Vec3 area = mesh.areaVector(t);
            if (area.norm() > 0) {
              mm[t] = (float) across(mesh, tree, t, area.unit(), start);
            }
          }
        });
    return new FacingFaces(mm);
  }

  private static double across(TriangleMesh mesh, TriangleTree tree, int t, Vec3 n, double start) {
    Vec3 from = mesh.middle(t).plus(n.times(start));
    int met = tree.firstMet(from.x(), from.y(), from.z(), n.x(), n.y(), n.z(), t);
    if (met < 0) {
      return Double.POSITIVE_INFINITY;
    }
    Vec3 other = mesh.areaVector(met);
    return other.dot(n) <= FACING * other.norm()
        ? tree.met(met, from.x(), from.y(), from.z(), n.x(), n.y(), n.z())
        : Double.POSITIVE_INFINITY;
  }
}
