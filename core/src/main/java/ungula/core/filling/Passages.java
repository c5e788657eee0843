package ungula.core.filling;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.IntStream;
import ungula.core.air.Opening;
import ungula.core.air.Room;
import ungula.core.field.Grid;
import ungula.core.geometry.Vec3;
import ungula.core.work.Parallel;

/**
 * The ways through a cavity from where it is poured in, cut across into sections: each follows one
 * that is nearer to where it is poured in.
 *
 * <p>Distance is along the shortest way inside (fast marching: J. A. Sethian, 1996; a few per cent
 * too long). What is as far, to a section's length, and hangs together is a section; where branches
 * meet again the last one counts as following the branch it touches most. What is thinner than a
 * cell is not seen.
 *
 * @param sections each after the one it follows
 */
public record Passages(List<Section> sections) {

  /**
   * @param before number of the section it follows; −1 where it is poured in
   * @param middle of it
   * @param volumeMm3 of it
   * @param lengthMm along the way
   * @param acrossMm of the largest ball that fits in
   * @param easeMm4 half the width squared, summed over the area it is passed through
   */
  public record Section(
      int before,
      Vec3 middle,
      double volumeMm3,
      double lengthMm,
      double acrossMm,
      double easeMm4) {}

  /** A section is so many cells long. */
  private static final int LONG = 2;

  /** Cells are gone through by their distance in such parts of a cell. */
  private static final int PARTS = 4;

  /**
   * @param cavity with cells half as large as those looked at here
   * @param from where it is poured in: a hole, or the whole base
   */
  public static Passages of(Room cavity, Opening from, Parallel parallel) {
    return new Cutting(CavityCells.of(cavity, parallel)).cut(from);
  }

  /** Cells with their distances on the way to being sections. */
  private static final class Cutting {
    private final CavityCells cells;
    private final Grid grid;
    private final int[] step;
    private final float[] way;
    private final boolean[] known;

    /** Number of the section a cell is in; −1 before it is known. */
    private final int[] section;

    private final List<Section> sections = new ArrayList<>();

    Cutting(CavityCells cells) {
      this.cells = cells;
      this.grid = cells.grid();
      this.step = new int[] {1, grid.nx(), grid.nx() * grid.ny()};
      this.way = new float[grid.count()];
      this.known = new boolean[grid.count()];
      this.section = new int[grid.count()];
      Arrays.fill(way, Float.POSITIVE_INFINITY);
      Arrays.fill(section, -1);
    }

    Passages cut(Opening from) {
      List<Cells> slices = march(begin(from));
      for (int n = 0; n < slices.size(); n++) {
        sections(slices.get(n), n);
      }
      return new Passages(List.copyOf(sections));
    }

    /** The cells it is poured in at. */
    private int[] begin(Opening from) {
      return switch (from.where()) {
        case WHOLE_BASE -> lowest();
        case HOLE -> nearest(from.at());
        default -> throw new IllegalArgumentException("Not poured in at " + from.where());
      };
    }

    private int[] lowest() {
      for (int k = 0; k < grid.nz(); k++) {
        int[] layer = open(k * step[2], (k + 1) * step[2], Double.POSITIVE_INFINITY, Vec3.ZERO);
        if (layer.length > 0) {
          return layer;
        }
      }
      return new int[0];
    }

    /** As far round a hole as it is wide there. */
    private int[] nearest(Vec3 hole) {
      double least = Double.POSITIVE_INFINITY;
      double wide = 0;
      for (int cell = 0; cell < way.length; cell++) {
        double mm = cells.has(cell) ? far(cell, hole) : least;
        if (mm < least) {
          least = mm;
          wide = cells.width()[cell];
        }
      }
      return open(0, way.length, Math.max(least, wide), hole);
    }

    private int[] open(int from, int to, double within, Vec3 of) {
      return IntStream.range(from, to)
          .filter(c -> cells.has(c) && !(far(c, of) > within))
          .toArray();
    }

    private double far(int cell, Vec3 from) {
      double x = grid.x(cell % grid.nx()) - from.x();
      double y = grid.y(cell / grid.nx() % grid.ny()) - from.y();
      double z = grid.z(cell / step[2]) - from.z();
      return Math.sqrt(x * x + y * y + z * z);
    }

    /** Distances inside, in order but for a part of a cell; the cells of each section's length. */
    private List<Cells> march(int[] begin) {
      List<Cells> next = new ArrayList<>();
      for (int cell : begin) {
        way[cell] = 0;
        at(next, 0).add(cell);
      }
      List<Cells> slices = new ArrayList<>();
      for (int now = 0; now < next.size(); now++) {
        Cells waiting = next.get(now);
        // it grows while it is gone through
        for (int n = 0; n < waiting.count; n++) {
          int cell = waiting.at[n];
          if (!known[cell]) {
            known[cell] = true;
            at(slices, slice(cell)).add(cell);
            handOn(cell, now, next);
          }
        }
        next.set(now, null);
      }
      return slices;
    }

    private void handOn(int cell, int now, List<Cells> next) {
      for (int n = 0; n < 6; n++) {
        int beside = cell + (n % 2 == 0 ? step[n / 2] : -step[n / 2]);
        if (cells.has(beside) && !known[beside]) {
          float mm = (float) arrival(beside);
          if (mm < way[beside]) {
            way[beside] = mm;
            at(next, Math.max(now, (int) (mm / grid.h() * PARTS))).add(beside);
          }
        }
      }
    }

    private static Cells at(List<Cells> lists, int n) {
      while (lists.size() <= n) {
        lists.add(new Cells());
      }
      return lists.get(n);
    }

    /** Where the three nearest neighbours, one along each axis, are known: |∇ way| = 1. */
    private double arrival(int cell) {
      double h = grid.h();
      double x = Math.min(way[cell - step[0]], way[cell + step[0]]);
      double y = Math.min(way[cell - step[1]], way[cell + step[1]]);
      double z = Math.min(way[cell - step[2]], way[cell + step[2]]);
      double a = Math.min(x, Math.min(y, z));
      double c = Math.max(x, Math.max(y, z));
      double b = Math.max(Math.min(x, y), Math.min(Math.max(x, y), z));
      double at = a + h;
      if (b < at) {
        at = (a + b + Math.sqrt(Math.max(0, 2 * h * h - (a - b) * (a - b)))) / 2;
      }
      if (c < at) {
        double sum = a + b + c;
        double root = sum * sum - 3 * (a * a + b * b + c * c - h * h);
        at = (sum + Math.sqrt(Math.max(0, root))) / 3;
      }
      return at;
    }

    private int slice(int cell) {
      return (int) (way[cell] / (LONG * grid.h()));
    }

    /** What of a slice hangs together, each a section. */
    private void sections(Cells slice, int of) {
      Cells stack = new Cells();
      for (int n = 0; n < slice.count; n++) {
        if (section[slice.at[n]] < 0) {
          int number = sections.size();
          Sum sum = new Sum();
          section[slice.at[n]] = number;
          stack.add(slice.at[n]);
          while (stack.count > 0) {
            int cell = stack.at[--stack.count];
            sum.add(cell);
            for (int side = 0; side < 6; side++) {
              int beside = cell + (side % 2 == 0 ? step[side / 2] : -step[side / 2]);
              if (section[beside] >= 0) {
                sum.touches(section[beside], number);
              } else if (known[beside] && slice(beside) == of) {
                section[beside] = number;
                stack.add(beside);
              }
            }
          }
          sections.add(sum.section());
        }
      }
    }

    /** Over the cells of a section. */
    private final class Sum {
      private double x;
      private double y;
      private double z;
      private int count;
      private double widest;
      private double filled;
      private double squares;
      private final Map<Integer, Integer> touched = new TreeMap<>();

      void add(int cell) {
        x += cell % grid.nx();
        y += cell / grid.nx() % grid.ny();
        z += cell / step[2];
        count++;
        double half = cells.width()[cell];
        widest = Math.max(widest, half);
        filled += cells.filled()[cell];
        squares += cells.filled()[cell] * half * half;
      }

      void touches(int other, int self) {
        if (other != self) {
          touched.merge(other, 1, Integer::sum);
        }
      }

      Section section() {
        int before =
            touched.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .orElse(-1);
        double volume = filled * grid.cellMm3();
        double length = LONG * grid.h();
        return new Section(
            before,
            grid.origin().plus(new Vec3(x, y, z).times(grid.h() / count)),
            volume,
            length,
            2 * widest,
            grid.cellMm3() * squares / length);
      }
    }
  }

  /** A list of cells that grows. */
  private static final class Cells {
    private int[] at = new int[16];
    private int count;

    void add(int cell) {
      if (count == at.length) {
        at = Arrays.copyOf(at, 2 * count);
      }
      at[count++] = cell;
    }
  }
}
