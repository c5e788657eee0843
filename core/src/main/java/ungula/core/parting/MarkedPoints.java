package ungula.core.parting;

import java.util.HashSet;
import java.util.Set;
import ungula.core.geometry.Vec3;
import ungula.core.mark.FacetSet;
import ungula.core.mesh.TriangleMesh;

/** Where a surface is marked, to within {@link #NEAR_MM}. */
final class MarkedPoints {

  private static final double NEAR_MM = 2;

  private final Set<Long> cells = new HashSet<>();

  MarkedPoints(TriangleMesh mesh, FacetSet marked) {
    marked.facets().stream()
        .filter(t -> t < mesh.triangleCount())
        .forEach(
            t -> {
              Vec3 a = mesh.vertex(mesh.corners()[3 * t]);
              Vec3 ab = mesh.vertex(mesh.corners()[3 * t + 1]).minus(a);
              Vec3 ac = mesh.vertex(mesh.corners()[3 * t + 2]).minus(a);
              int steps = 1 + (int) (Math.max(ab.norm(), ac.norm()) / NEAR_MM);
              for (int i = 0; i <= steps; i++) {
                for (int j = 0; i + j <= steps; j++) {
                  Vec3 p = a.plus(ab.times((double) i / steps)).plus(ac.times((double) j / steps));
                  cells.add(cell(p.x(), p.y(), p.z(), 0, 0, 0));
                }
              }
            });
  }

  private static long cell(double x, double y, double z, int di, int dj, int dk) {
    long i = (long) Math.floor(x / NEAR_MM) + di + 0x80000;
    long j = (long) Math.floor(y / NEAR_MM) + dj + 0x80000;
    long k = (long) Math.floor(z / NEAR_MM) + dk + 0x80000;
    return i << 42 | j << 21 | k;
  }

  boolean near(double x, double y, double z) {
    for (int n = 0; n < 27; n++) {
      if (cells.contains(cell(x, y, z, n % 3 - 1, n / 3 % 3 - 1, n / 9 - 1))) {
        return true;
      }
    }
    return false;
  }
}
