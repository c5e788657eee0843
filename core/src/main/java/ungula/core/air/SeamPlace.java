package ungula.core.air;

import java.util.Optional;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.SurfacePoint;
import ungula.core.mesh.TriangleMesh;

/** Where a seam meets a cast: a sprue there lies in both sides of the mould. */
public final class SeamPlace {

  private SeamPlace() {}

  /**
   * The highest place of the surface that lies in a seam, to where its edges cross that.
   *
   * @param mesh the cast's surface
   * @param up of length one
   * @return empty where the seam does not reach it
   */
  public static Optional<SurfacePoint> highest(TriangleMesh mesh, Seam seam, Vec3 up) {
    double[] off = new double[mesh.vertexCount()];
    for (int v = 0; v < off.length; v++) {
      Vec3 at = mesh.vertex(v);
      off[v] = seam.from(at).map(in -> seam.normal().dot(at.minus(in))).orElse(Double.NaN);
    }
    SurfacePoint best = null;
    double most = Double.NEGATIVE_INFINITY;
    int[] corners = mesh.corners();
    for (int t = 0; t < mesh.triangleCount(); t++) {
      for (int c = 0; c < 3; c++) {
        int a = corners[3 * t + c];
        int b = corners[3 * t + (c + 1) % 3];
        // each edge once, from its lower vertex; what the seam does not reach crosses nothing
        if (a < b && off[a] * off[b] <= 0 && off[a] != off[b]) {
          double share = off[a] / (off[a] - off[b]);
          double high = mesh.vertex(a).dot(up) * (1 - share) + mesh.vertex(b).dot(up) * share;
          if (high > most) {
            most = high;
            best = onEdge(t, c, share);
          }
        }
      }
    }
    return Optional.ofNullable(best);
  }

  /** So far along an edge of a facet. */
  private static SurfacePoint onEdge(int facet, int edge, double share) {
    return switch (edge) {
      case 0 -> new SurfacePoint(facet, share, 0);
      case 1 -> new SurfacePoint(facet, 1 - share, share);
      default -> new SurfacePoint(facet, 0, 1 - share);
    };
  }
}
