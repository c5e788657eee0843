package ungula.core.plate;

import java.util.List;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;

/**
 * Masters laid out on a plate.
 *
 * @param mesh of all, the middle of what they take up over the origin; the facets of the model
 *     itself come first, then those of each copy in the same order
 * @param laid where each footprint went, all of the first copy first, then those of each copy
 * @param before bounds of each master of the first copy, before it was laid
 */
public record LaidOut(TriangleMesh mesh, List<Laid> laid, List<Box3> before) {

  /** Where a place on or near a master went with it, in the first copy. */
  public Vec3 place(Vec3 p) {
    Laid to = at(p);
    double[] moved = to.ring(new double[] {p.x(), p.y()});
    return new Vec3(moved[0], moved[1], p.z());
  }

  /** How a direction at such a place was turned. */
  public Vec3 direction(Vec3 p, Vec3 d) {
    return Rotation.about(Vec3.UP, at(p).degrees()).apply(d);
  }

  private Laid at(Vec3 p) {
    int nearest = 0;
    double least = Double.POSITIVE_INFINITY;
    for (int g = 0; g < before.size(); g++) {
      Box3 b = before.get(g);
      double dx = Math.max(0, Math.max(b.min().x() - p.x(), p.x() - b.max().x()));
      double dy = Math.max(0, Math.max(b.min().y() - p.y(), p.y() - b.max().y()));
      if (Math.hypot(dx, dy) < least) {
        least = Math.hypot(dx, dy);
        nearest = g;
      }
    }
    return laid.get(nearest);
  }
}
