package ungula.core.release;

import java.util.BitSet;
import ungula.core.field.Grid;
import ungula.core.field.InsideCells;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * What keeps a stiff mould on its master, for one pull direction. A place of the surface is
 * released by the piece pulled along a direction when it faces that way, or lies along it, and a
 * ray from it meets nothing on its way. Two pieces are pulled apart along the direction and against
 * it; locked is then what neither releases.
 *
 * <p>Surface: one ray from each facet, more from facets larger than a square of a two-hundredth of
 * the body's longest side; so areas are exact but for facets that lie half in the way. Volume:
 * straight columns of cells along the pull, {@link #CELLS} to the longest side. Room closed off in
 * the body counts as rubber.
 */
public final class Locks {

  /** Facets leaning back by no more than this lie along the pull. */
  private static final double ALONG = 1e-6;

  /** How far in front of the surface a ray starts, as a share of the body's diagonal. */
  private static final double START = 4e-6;

  /** One ray to a square of the body's longest side over this. */
  private static final double FINEST = 200;

  private static final int MOST_RAYS = 100_000;

  /** Powers of 1 over the plastic number: M. Roberts, a low-discrepancy sequence, 2018. */
  private static final double EVEN_U = 0.7548776662466927;

  private static final double EVEN_V = 0.5698402909980532;

  private static final int CELLS = 256;

  /**
   * @param releasedMm2 surface the pieces come away from
   * @param lockedMm2 the rest
   * @param volume rubber with master in its way
   * @param lockedShare by triangle, 0 to 1
   */
  public record Result(
      double releasedMm2, double lockedMm2, LockedVolume volume, float[] lockedShare) {}

  /**
   * @param oneMm3 in the way of one piece: all that has master over it, down to the level of the
   *     lowest point
   * @param twoMm3 in the way of two: what has master both over and under it
   * @param deepestMm the longest way up from such rubber to the master over it
   */
  public record LockedVolume(double oneMm3, double twoMm3, double deepestMm) {}

  private Locks() {}

  /**
   * @param pull any length
   * @param two whether a second piece is pulled the other way
   */
  public static Result of(
      TriangleMesh mesh, Vec3 pull, boolean two, Parallel parallel, Progress progress) {
    Vec3 d = pull.unit();
    Columns columns = new Columns(mesh, d);
    double spacing = mesh.bounds().longest() / FINEST;
    double start = START * mesh.bounds().diagonal();
    float[] share = new float[mesh.triangleCount()];
    double[] area = new double[mesh.triangleCount()];
    int portions = 64;
    parallel.each(
        portions,
        part -> {
          progress.at("Looking along the pull", 0.6 * part / portions);
          int from = (int) ((long) share.length * part / portions);
          int to = (int) ((long) share.length * (part + 1) / portions);
          for (int t = from; t < to; t++) {
            Vec3 cross = mesh.areaVector(t);
            area[t] = cross.norm();
            if (area[t] > 0) {
              Vec3 n = cross.unit();
              double facing = n.dot(d);
              int ways = facing >= -ALONG ? Columns.BEFORE : 0;
              ways |= two && facing <= ALONG ? Columns.BEHIND : 0;
              int rays = (int) Math.ceil(Math.min(MOST_RAYS, area[t] / (spacing * spacing)));
              share[t] = ways == 0 ? 1 : locked(mesh, columns, t, n.times(start), ways, rays);
            }
          }
        });
    double released = 0;
    double locked = 0;
    for (int t = 0; t < share.length; t++) {
      released += area[t] * (1 - share[t]);
      locked += area[t] * share[t];
    }
    LockedVolume volume = lockedVolume(mesh, d, parallel, progress.part(0.6, 1));
    return new Result(released, locked, volume, share);
  }

  /**
   * @param off the surface, where a ray starts
   * @param ways that would do
   */
  private static float locked(
      TriangleMesh mesh, Columns columns, int t, Vec3 off, int ways, int rays) {
    Vec3 a = mesh.vertex(mesh.corners()[3 * t]);
    Vec3 ab = mesh.vertex(mesh.corners()[3 * t + 1]).minus(a);
    Vec3 ac = mesh.vertex(mesh.corners()[3 * t + 2]).minus(a);
    Vec3 start = a.plus(off);
    int locked = 0;
    for (int i = 0; i < rays; i++) {
      // evenly spread for any number of them; the first in the middle
      double u = (1 / 3.0 + i * EVEN_U) % 1;
      double v = (1 / 3.0 + i * EVEN_V) % 1;
      boolean beyond = u + v > 1;
      Vec3 p = start.plus(ab.times(beyond ? 1 - u : u)).plus(ac.times(beyond ? 1 - v : v));
      locked += columns.look(p.x(), p.y(), p.z(), ways, t) == ways ? 1 : 0;
    }
    return (float) locked / rays;
  }

  private static LockedVolume lockedVolume(
      TriangleMesh mesh, Vec3 d, Parallel parallel, Progress progress) {
    TriangleMesh turned = mesh.moved(1, Rotation.bringing(d, Vec3.UP), Vec3.ZERO);
    Grid grid = Grid.round(turned.bounds(), 0, Grid.spacing(turned.bounds(), CELLS));
    BitSet[] inside = InsideCells.of(turned, grid, parallel, progress);
    int layer = grid.nx() * grid.ny();
    // open cells since the last of the master, and whether there was any below
    int[] open = new int[layer];
    BitSet over = new BitSet(layer);
    long one = 0;
    long two = 0;
    int deepest = 0;
    for (int k = 0; k < grid.nz(); k++) {
      for (int spot = 0; spot < layer; spot++) {
        if (inside[k].get(spot)) {
          one += open[spot];
          two += over.get(spot) ? open[spot] : 0;
          deepest = Math.max(deepest, open[spot]);
          open[spot] = 0;
          over.set(spot);
        } else {
          open[spot]++;
        }
      }
    }
    double mm3 = grid.cellMm3();
    return new LockedVolume(one * mm3, two * mm3, deepest * grid.h());
  }
}
