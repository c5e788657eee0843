package ungula.core.air;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import ungula.core.field.Grid;
import ungula.core.geometry.Vec3;
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

  /** How far down the air over a place stays, mm along up; NaN where it leaves. */
  interface Seal {
    double at(Vec3 place);
  }

  /**
   * The cells whose centre lies in a pocket: of each column along the axis nearest to up, the seal
   * over its end counts for all that hang together below it.
   *
   * @param open 1 where a cell is
   * @param lowest height at which no air stays any more, along up, mm
   */
  static AirCells under(Grid grid, byte[] open, Vec3 up, double lowest, Seal seal) {
    int[] counts = {grid.nx(), grid.ny(), grid.nz()};
    int[] steps = {1, grid.nx(), grid.nx() * grid.ny()};
    double[] along = {up.x(), up.y(), up.z()};
    int axis = 0;
    for (int a = 1; a < 3; a++) {
      axis = Math.abs(along[a]) > Math.abs(along[axis]) ? a : axis;
    }
    int right = (axis + 1) % 3;
    int on = (axis + 2) % 3;
    int down = along[axis] > 0 ? -steps[axis] : steps[axis];
    int first = along[axis] > 0 ? (counts[axis] - 1) * steps[axis] : 0;
    BitSet cells = new BitSet();
    for (int i = 0; i < counts[right]; i++) {
      for (int j = 0; j < counts[on]; j++) {
        int cell = first + i * steps[right] + j * steps[on];
        boolean before = false;
        double spill = Double.NaN;
        for (int n = 0; n < counts[axis]; n++, cell += down) {
          if (open[cell] != 0) {
            Vec3 at = grid.centre(cell);
            double height = at.dot(up);
            if (height <= lowest) {
              break;
            }
            spill = before ? spill : seal.at(at);
            // NaN is never passed
            if (height > spill) {
              cells.set(cell);
            }
          }
          before = open[cell] != 0;
        }
      }
    }
    return of(grid, cells.stream().toArray());
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
   * The air nearest to a place.
   *
   * @param mm from there to it
   * @param volumeMm3 of all that hangs together with it
   */
  public record Near(double mm, double volumeMm3) {}

  /** Empty where there is none at all. Accurate to half a cell. */
  public Optional<Near> near(Vec3 place) {
    int nearest = -1;
    double least = Double.POSITIVE_INFINITY;
    for (int r = 0; r < runs.length; r += 2) {
      double middle = (place.x() - grid.x(0)) / grid.h() - runs[r] % grid.nx();
      int along = (int) Math.max(0, Math.min(runs[r + 1] - 1, Math.round(middle)));
      double mm = middle(runs[r] + along).minus(place).norm();
      if (mm < least) {
        least = mm;
        nearest = runs[r] + along;
      }
    }
    return nearest < 0
        ? Optional.empty()
        : Optional.of(
            new Near(Math.max(0, least - grid.h() / 2), together(nearest) * Math.pow(grid.h(), 3)));
  }

  private Vec3 middle(int cell) {
    int layer = grid.nx() * grid.ny();
    Vec3 at = new Vec3(cell % grid.nx(), cell / grid.nx() % grid.ny(), cell / layer);
    return grid.origin().plus(at.times(grid.h()));
  }

  /** How many cells touch one, and each other, be it at a corner. */
  private long together(int from) {
    BitSet left = set();
    Deque<Integer> next = new ArrayDeque<>(List.of(from));
    left.clear(from);
    long count = 0;
    while (!next.isEmpty()) {
      int cell = next.pop();
      count++;
      int x = cell % grid.nx();
      int y = cell / grid.nx() % grid.ny();
      int z = cell / (grid.nx() * grid.ny());
      for (int c = 0; c < 27; c++) {
        int i = x + c % 3 - 1;
        int j = y + c / 3 % 3 - 1;
        int k = z + c / 9 - 1;
        boolean in = i >= 0 && i < grid.nx() && j >= 0 && j < grid.ny() && k >= 0;
        int other = (k * grid.ny() + j) * grid.nx() + i;
        if (in && left.get(other)) {
          left.clear(other);
          next.push(other);
        }
      }
    }
    return count;
  }

  /**
   * How much of them lies below each of some heights along a direction, mm³.
   *
   * @param up of length one
   * @param from the first height, mm
   */
  public double[] below(Vec3 up, double from, double step, int levels) {
    double[] below = new double[levels];
    double cell = grid.cellMm3();
    for (int r = 0; r < runs.length; r += 2) {
      for (int c = runs[r]; c < runs[r] + runs[r + 1]; c++) {
        int level = (int) Math.ceil((middle(c).dot(up) - from) / step);
        if (level < levels) {
          below[Math.max(0, level)] += cell;
        }
      }
    }
    for (int n = 1; n < levels; n++) {
      below[n] += below[n - 1];
    }
    return below;
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
