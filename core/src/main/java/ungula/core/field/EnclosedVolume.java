package ungula.core.field;

import java.util.Arrays;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mesh.WindingNumber;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * What a surface encloses that has no exact volume: open, doubled or overlapping. Room that several
 * parts share counts once.
 *
 * <p>From the distance field: each cell inside, and each beside one, counts for the share of it
 * that lies within, taken as linear in the distance at its centre. The error is what the position
 * of the grid does, and the room near gaps that the surface winds round by more than a quarter and
 * less than three quarters.
 *
 * @param volumeMm3 in the mesh's unit cubed
 * @param errorMm3 to carry, k = 2
 */
public record EnclosedVolume(double volumeMm3, double errorMm3) {

  /** Cells along the longest side: this is estimated while a dropped file is read. */
  private static final int CELLS = 128;

  /** Cells along the longest side to look into gaps. */
  private static final int DOUBT_CELLS = 64;

  /**
   * @param mesh in any unit
   * @throws java.util.concurrent.CancellationException when the progress says that nobody waits
   */
  public static EnclosedVolume of(TriangleMesh mesh, Parallel parallel, Progress progress) {
    double h = mesh.bounds().longest() / CELLS;
    Grid grid = Grid.round(mesh.bounds(), 2 * h, h);
    DistanceField field =
        DistanceField.of(mesh, grid, Reach.band(2 * grid.h()), parallel, progress.part(0, 0.7));
    double[] parts = within(field);
    double volume = Arrays.stream(parts).sum();
    double spread = 0;
    for (double part : parts) {
      double off = part - volume / parts.length;
      spread += off * off / (parts.length - 1);
    }
    // the sum of eight, each the volume of a body sampled at its own position of the grid
    double position = 2 * Math.sqrt(parts.length * spread);
    double doubt = InsideCells.bounds(mesh) ? 0 : doubtful(mesh, parallel, progress.part(0.7, 1));
    return new EnclosedVolume(volume, position + doubt);
  }

  /** Volume by the eight positions of every second cell. */
  private static double[] within(DistanceField field) {
    Grid g = field.grid();
    double[] sums = new double[8];
    for (int k = 0; k < g.nz(); k++) {
      for (int j = 0; j < g.ny(); j++) {
        for (int i = 0; i < g.nx(); i++) {
          sums[(k & 1) << 2 | (j & 1) << 1 | i & 1] += field.bodyShare(i, j, k);
        }
      }
    }
    for (int s = 0; s < sums.length; s++) {
      sums[s] *= g.cellMm3();
    }
    return sums;
  }

  /** Room that the surface winds round neither clearly nor hardly: by a gap, inside or outside. */
  private static double doubtful(TriangleMesh mesh, Parallel parallel, Progress progress) {
    WindingNumber winding = WindingNumber.of(mesh);
    double h = mesh.bounds().longest() / DOUBT_CELLS;
    Grid g = Grid.round(mesh.bounds(), 0, h);
    int[] found = new int[g.nz()];
    parallel.each(
        g.nz(),
        k -> {
          progress.at("Looking into the gaps", (double) k / g.nz());
          for (int j = 0; j < g.ny(); j++) {
            for (int i = 0; i < g.nx(); i++) {
              double w = Math.abs(winding.at(g.x(i), g.y(j), g.z(k)));
              found[k] += w > 0.25 && w < 0.75 ? 1 : 0;
            }
          }
        });
    return Arrays.stream(found).sum() * g.cellMm3();
  }
}
