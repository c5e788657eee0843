package ungula.core.jacket;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mesh.TriangleTree;
import ungula.core.release.Pulls;
import ungula.core.skin.SkinField;
import ungula.core.work.Parallel;

/**
 * What the outside of a skin lets go of: places evenly over it, and the pulls that free each. From
 * this every division of the jacket is judged without another look at the surface.
 *
 * @param places x, y and z of each in turn, mm
 * @param free by pull as in {@link #PULLS}, the places it frees
 * @param areaMm2 of the outside
 * @param seamMm length of the outside along upright half planes, one every {@link #STEP_DEGREES}
 */
public record JacketScan(double[] places, List<long[]> free, double areaMm2, double[] seamMm) {

  /** Between the ways a jacket may part, and may be pulled. */
  public static final int STEP_DEGREES = 15;

  private static final int WAYS = 360 / STEP_DEGREES;

  private static final int PLACES = 3000;

  /** Slantwise pulls are tried every so many steps. */
  private static final int SLANT_EVERY = 2;

  /** Level ones by rising angle, then straight up, then half way up by rising angle. */
  public static final List<Vec3> PULLS = pulls();

  private static List<Vec3> pulls() {
    List<Vec3> all = new ArrayList<>();
    for (int w = 0; w < WAYS; w++) {
      all.add(level(w));
    }
    all.add(Vec3.UP);
    for (int w = 0; w < WAYS; w += SLANT_EVERY) {
      all.add(level(w).plus(Vec3.UP).unit());
    }
    return List.copyOf(all);
  }

  private static Vec3 level(int way) {
    double a = Math.toRadians(way * STEP_DEGREES);
    return new Vec3(Math.cos(a), Math.sin(a), 0);
  }

  /**
   * @param outside of the skin, going on below the plate at z = 0
   */
  public static JacketScan of(
      SkinField skin, TriangleMesh outside, double wallMm, Parallel parallel) {
    TriangleMesh above = outside.only(t -> outside.middle(t).z() > 0);
    int[] at = Pulls.places(above, PLACES);
    double[] places = new double[3 * at.length];
    for (int i = 0; i < at.length; i++) {
      Vec3 p = above.middle(at[i]);
      places[3 * i] = p.x();
      places[3 * i + 1] = p.y();
      places[3 * i + 2] = p.z();
    }
    TriangleTree tree = TriangleTree.of(above);
    long[][] free = new long[PULLS.size()][];
    parallel.each(
        PULLS.size(), w -> free[w] = Pulls.SOFT.freed(above, tree, at, PULLS.get(w)).toLongArray());
    double[] seam = new double[WAYS];
    parallel.each(WAYS, w -> seam[w] = skin.alongMm(wallMm, w * STEP_DEGREES));
    return new JacketScan(places, List.of(free), above.measure().areaMm2(), seam);
  }

  int count() {
    return places.length / 3;
  }

  BitSet freedBy(int pull) {
    return BitSet.valueOf(free.get(pull));
  }

  /** Where the outside is shortest from base to top, degrees. */
  public double shortestDegrees() {
    int best = 0;
    for (int w = 1; w < WAYS; w++) {
      best = seamMm[w] < seamMm[best] ? w : best;
    }
    return best * (double) STEP_DEGREES;
  }

  Vec3 place(int i) {
    return new Vec3(places[3 * i], places[3 * i + 1], places[3 * i + 2]);
  }

  /** Length of the outside of the skin along a parting, mm; between those measured linear. */
  public double seamMm(double degrees) {
    double at = (degrees % 360 + 360) % 360 / STEP_DEGREES;
    int i = (int) at;
    double next = seamMm[(i + 1) % seamMm.length];
    return seamMm[i % seamMm.length] + (at - i) * (next - seamMm[i % seamMm.length]);
  }

  /** The way a place lies from the middle, degrees from 0 up to 360. */
  double towards(int place) {
    double a = Math.toDegrees(Math.atan2(places[3 * place + 1], places[3 * place]));
    return a < 0 ? a + 360 : a;
  }
}
