package ungula.core.air;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import ungula.core.field.Grid;
import ungula.core.mesh.Slicer.Cut;

/**
 * The cells air stays in, as runs along x.
 *
 * @param grid they belong to
 * @param runs first cell and how many, in turn, by rising cell
 */
public record AirCells(Grid grid, int[] runs) {

  /** Runs of cells given by rising number. */
  static AirCells of(Grid grid, int[] sorted) {
    int[] runs = new int[2 * sorted.length];
    int used = 0;
    for (int i = 0; i < sorted.length; i++) {
      boolean on = i > 0 && sorted[i] == sorted[i - 1] + 1 && sorted[i] % grid.nx() != 0;
      if (on) {
        runs[used - 1]++;
      } else {
        runs[used++] = sorted[i];
        runs[used++] = 1;
      }
    }
    return new AirCells(grid, Arrays.copyOf(runs, used));
  }

  /** By their numbers in the grid. */
  BitSet set() {
    BitSet all = new BitSet();
    for (int r = 0; r < runs.length; r += 2) {
      all.set(runs[r], runs[r] + runs[r + 1]);
    }
    return all;
  }

  /**
   * What a plane cuts of them: rectangles in the cut's right and up axes, each as a ring of four
   * corners.
   */
  public List<double[]> at(Cut cut, double at) {
    double h = grid.h();
    double[] origin = {grid.origin().x(), grid.origin().y(), grid.origin().z()};
    long plane = Math.round((at - origin[cut.axis()]) / h);
    List<double[]> rectangles = new ArrayList<>();
    for (int r = 0; r < runs.length; r += 2) {
      int[] cell = {
        runs[r] % grid.nx(), runs[r] / grid.nx() % grid.ny(), runs[r] / (grid.nx() * grid.ny())
      };
      int length = runs[r + 1];
      if (cut.axis() == 0) {
        if (plane < cell[0] || plane >= cell[0] + length) {
          continue;
        }
        length = 1;
      } else if (cell[cut.axis()] != plane) {
        continue;
      }
      double x = origin[cut.right()] + (cell[cut.right()] - 0.5) * h;
      double y = origin[cut.up()] + (cell[cut.up()] - 0.5) * h;
      double w = length * h;
      rectangles.add(new double[] {x, y, x + w, y, x + w, y + h, x, y + h});
    }
    return rectangles;
  }
}
