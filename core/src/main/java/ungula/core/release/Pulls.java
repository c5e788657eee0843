package ungula.core.release;

import java.util.BitSet;
import org.jspecify.annotations.Nullable;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mesh.TriangleTree;

/**
 * What straight pulls free of a surface: a place is freed when it faces along the pull and a ray
 * from it meets nothing.
 *
 * @param backwards how far a place may face against the pull, as a cosine
 * @param startMm rays begin so far off the surface: what catches less does not count; null is as
 *     close as arithmetic allows
 */
public record Pulls(double backwards, Double startMm) {

  /** For surfaces that do not give. */
  static final Pulls EXACT = new Pulls(1e-6, null);

  /** For the outside of rubber, which gives a little. */
  public static final Pulls SOFT = new Pulls(0.06, 0.5);

  /** Of the surface's size. */
  private static final double START = 4e-6;

  /** Facets evenly spread over the surface. */
  public static int[] places(TriangleMesh mesh, int count) {
    double[] area = new double[mesh.triangleCount()];
    double all = 0;
    for (int t = 0; t < area.length; t++) {
      area[t] = mesh.areaVector(t).norm();
      all += area[t];
    }
    int[] places = new int[count];
    int t = 0;
    double before = 0;
    for (int i = 0; i < count; i++) {
      double at = (i + 0.5) * all / count;
      while (t + 1 < area.length && before + area[t] < at) {
        before += area[t++];
      }
      places[i] = t;
    }
    return places;
  }

  /**
   * Which of a few of the facets a pull frees: few rays each find their way down the tree.
   *
   * @param tree of the mesh
   */
  public BitSet freed(TriangleMesh mesh, TriangleTree tree, int[] facets, Vec3 pull) {
    BitSet freed = new BitSet(facets.length);
    for (int i = 0; i < facets.length; i++) {
      Vec3 from = start(mesh, facets[i], pull);
      freed.set(
          i,
          from != null
              && !tree.meets(
                  from.x(), from.y(), from.z(), pull.x(), pull.y(), pull.z(), facets[i]));
    }
    return freed;
  }

  BitSet freed(TriangleMesh mesh, Columns columns, int[] facets, Vec3 pull, int way) {
    BitSet freed = new BitSet(facets.length);
    for (int i = 0; i < facets.length; i++) {
      freed.set(i, free(mesh, columns, facets[i], pull, way));
    }
    return freed;
  }

  boolean free(TriangleMesh mesh, Columns columns, int t, Vec3 pull, int way) {
    Vec3 p = start(mesh, t, pull);
    return p != null && columns.look(p.x(), p.y(), p.z(), way, t) == 0;
  }

  /** Where a ray from a facet begins; null where the facet faces against the pull. */
  private @Nullable Vec3 start(TriangleMesh mesh, int t, Vec3 pull) {
    Vec3 n = mesh.areaVector(t);
    if (!(n.norm() > 0) || n.unit().dot(pull) < -backwards) {
      return null;
    }
    double start = startMm == null ? START * mesh.bounds().diagonal() : startMm;
    return mesh.middle(t).plus(n.unit().times(start));
  }
}
