package ungula.core.air;

import java.util.stream.IntStream;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;

/**
 * What a straight vent goes through from its place on the cast to the outside, which is the plate
 * before the mould is turned over.
 *
 * @param at its place
 * @param rubberMm of its length lie in rubber
 * @param castMm of its length lie in the cast itself: it leads back into it on its way
 */
public record VentWay(Vec3 at, double rubberMm, double castMm) {

  /** A way through an edge is moved aside by this share of the body's diagonal. */
  private static final double ASIDE = 1e-7;

  /**
   * @param master as it stands in the box, the plate at z = 0
   * @param place on it
   */
  public static VentWay to(TriangleMesh master, Vec3 place) {
    double aside = ASIDE * master.bounds().diagonal();
    double x = place.x() + 0.7548 * aside;
    double y = place.y() + 0.5698 * aside;
    double least = place.z() - 10 * aside;
    int[] c = master.corners();
    double[] met =
        IntStream.range(0, c.length / 3)
            .mapToDouble(t -> heightAt(master, t, x, y))
            .filter(z -> z < least)
            .sorted()
            .toArray();
    double cast = 0;
    for (int i = 0; i < met.length; i += 2) {
      cast += (i + 1 < met.length ? met[i + 1] : place.z()) - met[i];
    }
    return new VentWay(place, Math.max(0, place.z() - cast), cast);
  }

  /** Where the upright through a point of the plate meets a facet; NaN where it does not. */
  private static double heightAt(TriangleMesh mesh, int t, double x, double y) {
    double[] p = mesh.xyz();
    int a = 3 * mesh.corners()[3 * t];
    int b = 3 * mesh.corners()[3 * t + 1];
    int c = 3 * mesh.corners()[3 * t + 2];
    double overA = (p[b] - x) * (p[c + 1] - y) - (p[b + 1] - y) * (p[c] - x);
    double overB = (p[c] - x) * (p[a + 1] - y) - (p[c + 1] - y) * (p[a] - x);
    double overC = (p[a] - x) * (p[b + 1] - y) - (p[a + 1] - y) * (p[b] - x);
    boolean within = overA > 0 && overB > 0 && overC > 0 || overA < 0 && overB < 0 && overC < 0;
    return within
        ? (overA * p[a + 2] + overB * p[b + 2] + overC * p[c + 2]) / (overA + overB + overC)
        : Double.NaN;
  }
}
