package ungula.core.release;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import ungula.core.geometry.Directions;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;

/**
 * How many pieces of a stiff mould a body takes: the pull that frees most of its surface, then the
 * one that frees most of the rest, and so on (greedy cover). A place is freed by a pull when it
 * faces that way and a ray from it meets nothing.
 *
 * @param pulls of the pieces, unit vectors, in the order found
 * @param freed share of the surface that is free with as many of them
 */
public record PieceCover(List<Vec3> pulls, List<Double> freed) {

  /** Pulls tried, each with its opposite. */
  private static final int PAIRS = 20;

  /** Places looked at, each for as much of the surface. */
  private static final int PLACES = 3000;

  private static final double ENOUGH = 0.985;

  /** A piece that frees less is not worth making. */
  private static final double WORTH = 0.01;

  private static final double START = 4e-6;

  public static PieceCover of(TriangleMesh mesh, Parallel parallel) {
    int[] places = places(mesh);
    List<Vec3> ways = new ArrayList<>(List.of(new Vec3(1, 0, 0), new Vec3(0, 1, 0), Vec3.UP));
    for (int i = 0; i < PAIRS - 3; i++) {
      ways.add(Directions.onHalf(i, PAIRS - 3));
    }
    BitSet[] seen = new BitSet[2 * ways.size()];
    parallel.each(
        ways.size(),
        w -> {
          Columns columns = new Columns(mesh, ways.get(w));
          seen[2 * w] = seen(mesh, columns, places, ways.get(w), Columns.BEFORE);
          seen[2 * w + 1] = seen(mesh, columns, places, ways.get(w).times(-1), Columns.BEHIND);
        });
    return cover(ways, seen);
  }

  /** Facets evenly spread over the surface. */
  private static int[] places(TriangleMesh mesh) {
    double[] area = new double[mesh.triangleCount()];
    double all = 0;
    for (int t = 0; t < area.length; t++) {
      area[t] = mesh.areaVector(t).norm();
      all += area[t];
    }
    int[] places = new int[PLACES];
    int t = 0;
    double before = 0;
    for (int i = 0; i < PLACES; i++) {
      double at = (i + 0.5) * all / PLACES;
      while (t + 1 < area.length && before + area[t] < at) {
        before += area[t++];
      }
      places[i] = t;
    }
    return places;
  }

  private static BitSet seen(TriangleMesh mesh, Columns columns, int[] places, Vec3 pull, int way) {
    double start = START * mesh.bounds().diagonal();
    BitSet seen = new BitSet(places.length);
    for (int i = 0; i < places.length; i++) {
      Vec3 n = mesh.areaVector(places[i]);
      if (n.norm() > 0 && n.unit().dot(pull) >= -1e-6) {
        Vec3 p = mesh.middle(places[i]).plus(n.unit().times(start));
        seen.set(i, columns.look(p.x(), p.y(), p.z(), way, places[i]) == 0);
      }
    }
    return seen;
  }

  private static PieceCover cover(List<Vec3> ways, BitSet[] seen) {
    List<Vec3> pulls = new ArrayList<>();
    List<Double> freed = new ArrayList<>();
    BitSet free = new BitSet(PLACES);
    while (free.cardinality() < ENOUGH * PLACES) {
      int best = 0;
      int most = 0;
      for (int w = 0; w < seen.length; w++) {
        BitSet more = (BitSet) seen[w].clone();
        more.andNot(free);
        if (more.cardinality() > most) {
          most = more.cardinality();
          best = w;
        }
      }
      if (most < WORTH * PLACES) {
        break;
      }
      free.or(seen[best]);
      pulls.add(ways.get(best / 2).times(best % 2 == 0 ? 1 : -1));
      freed.add((double) free.cardinality() / PLACES);
    }
    return new PieceCover(List.copyOf(pulls), List.copyOf(freed));
  }

  public int pieces() {
    return pulls.size();
  }

  /** Share of the surface free with all of them. */
  public double freedByAll() {
    return freed.isEmpty() ? 0 : freed.get(freed.size() - 1);
  }
}
