package ungula.core.release;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import ungula.core.geometry.Directions;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.quantity.Share;
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
  public static final int PLACES = 3000;

  private static final double ENOUGH = 0.985;

  /** A piece that frees less is not worth making. */
  private static final double WORTH = 0.01;

  private static final Pulls EXACT = Pulls.EXACT;

  private static final int PORTIONS = 32;

  /** More pieces are not worth making. */
  public static final int MOST = 3;

  /** Stands for no piece. */
  public static final byte NONE = (byte) 255;

  /** Changes when the same body comes out otherwise: old answers are made again. */
  public static final int VERSION = 1;

  public static PieceCover of(TriangleMesh mesh, Parallel parallel) {
    int[] places = Pulls.places(mesh, PLACES);
    List<Vec3> ways = new ArrayList<>(List.of(new Vec3(1, 0, 0), new Vec3(0, 1, 0), Vec3.UP));
    for (int i = 0; i < PAIRS - 3; i++) {
      ways.add(Directions.onHalf(i, PAIRS - 3));
    }
    BitSet[] seen = new BitSet[2 * ways.size()];
    parallel.each(
        ways.size(),
        w -> {
          Columns columns = new Columns(mesh, ways.get(w));
          seen[2 * w] = EXACT.freed(mesh, columns, places, ways.get(w), Columns.BEFORE);
          seen[2 * w + 1] =
              EXACT.freed(mesh, columns, places, ways.get(w).times(-1), Columns.BEHIND);
        });
    return cover(ways, seen);
  }

  /**
   * The piece that frees each facet: the first that does.
   *
   * @param mesh the same
   * @return its number from 0; {@link #NONE} where none does
   */
  public byte[] byFacet(TriangleMesh mesh, Parallel parallel) {
    byte[] piece = new byte[mesh.triangleCount()];
    Arrays.fill(piece, NONE);
    for (int k = 0; k < pulls.size(); k++) {
      Vec3 pull = pulls.get(k);
      Columns columns = new Columns(mesh, pull);
      byte number = (byte) k;
      parallel.each(
          PORTIONS,
          part -> {
            int to = (int) ((long) piece.length * (part + 1) / PORTIONS);
            for (int t = (int) ((long) piece.length * part / PORTIONS); t < to; t++) {
              if (piece[t] == NONE && EXACT.free(mesh, columns, t, pull, Columns.BEFORE)) {
                piece[t] = number;
              }
            }
          });
    }
    return piece;
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

  /** Whether to make so many, and what else to do. */
  public String says() {
    String share = Share.format(freedByAll());
    if (pieces() <= 2) {
      return "Two pieces, pulled apart as shown, free " + share + " of its surface.";
    }
    return pieces() == MOST
        ? "Three pieces, each pulled its own way, free " + share + " of its surface."
        : "It would take "
            + pieces()
            + " pieces to free "
            + share
            + " of its surface, more than is worth making: plug what only the last of them frees,"
            + " give it slope, or cut that limb off.";
  }

  public int pieces() {
    return pulls.size();
  }

  /** Share of the surface free with all of them. */
  public double freedByAll() {
    return freed.isEmpty() ? 0 : freed.get(freed.size() - 1);
  }
}
