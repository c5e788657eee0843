package ungula.core.air;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import ungula.core.air.AirTraps.Result;
import ungula.core.field.Grid;
import ungula.core.geometry.Vec3;

/**
 * Air that stays in a room of cells: the filling of depressions known from terrain analysis (R.
 * Barnes et al., Priority-flood, 2014) turned upside down, in three dimensions, over the 26
 * neighbours. For rooms whose surface has gaps or runs into itself, where no surface says exactly
 * where air is sealed; pockets less than a cell deep are left out.
 *
 * <p>Exact on the cells: first every cell that only ever climbs to an opening is found by sweeping
 * from above and going on downwards; then the rest is flooded from the highest spill height down.
 */
final class CellTraps {

  private static final byte OPEN = 1;
  private static final byte FREE = 2;
  private static final byte TRAPPED = 3;

  /** Share of a cell below which two heights count as level. */
  private static final double LEVEL = 1e-9;

  private final Room room;
  private final Grid grid;
  private final byte[] state;
  private final int nx;
  private final int layer;

  /** Height of a cell along up, mm: base + i·stepX + j·stepY + k·stepZ. */
  private final double base;

  private final double stepX;
  private final double stepY;
  private final double stepZ;
  private final double level;

  /** The 26 neighbours, the highest first: how far in the array, and how much higher. */
  private final int[] offset = new int[26];

  private final double[] higher = new double[26];

  /** How many of them are level or higher. */
  private int upper;

  private final Ways ways = new Ways();
  private final Cells stack = new Cells();
  private final Cells trapped = new Cells();
  private float[] spill = new float[1 << 10];

  private CellTraps(Room room, Vec3 up) {
    this.room = room;
    this.grid = room.grid();
    this.state = room.open().clone();
    this.nx = grid.nx();
    this.layer = nx * grid.ny();
    Vec3 u = up.unit();
    this.base = u.dot(grid.origin());
    this.stepX = u.x() * grid.h();
    this.stepY = u.y() * grid.h();
    this.stepZ = u.z() * grid.h();
    this.level = LEVEL * grid.h();
    neighbours();
  }

  /**
   * @param up against gravity; any length
   */
  static Result of(Room room, List<Opening> openings, Vec3 up) {
    return new CellTraps(room, up).run(openings);
  }

  private void neighbours() {
    int[] codes = new int[26];
    int n = 0;
    for (int c = 0; c < 27; c++) {
      if (c != 13) {
        codes[n++] = c;
      }
    }
    Integer[] order = Arrays.stream(codes).boxed().toArray(Integer[]::new);
    Arrays.sort(order, Comparator.comparingDouble(c -> -rise(c)));
    for (int i = 0; i < 26; i++) {
      int c = order[i];
      offset[i] = c % 3 - 1 + (c / 3 % 3 - 1) * nx + (c / 9 - 1) * layer;
      higher[i] = rise(c);
      if (higher[i] >= -level) {
        upper = i + 1;
      }
    }
  }

  private double rise(int code) {
    return (code % 3 - 1) * stepX + (code / 3 % 3 - 1) * stepY + (code / 9 - 1) * stepZ;
  }

  private double height(int cell) {
    return base + cell % nx * stepX + cell / nx % grid.ny() * stepY + cell / layer * stepZ;
  }

  private Result run(List<Opening> openings) {
    for (Opening o : openings) {
      open(o);
    }
    sweep();
    complete();
    trap();
    return pockets();
  }

  private void open(Opening o) {
    switch (o.where()) {
      case WHOLE_TOP -> openLayer(room.topLayer());
      case WHOLE_BASE -> openLayer(room.lowestLayer());
      case TOP_LEVEL -> openTopLevel();
      case HIGHEST -> openHole(Opening.at(grid.centre(highest())));
      case HOLE -> openHole(o);
    }
  }

  private void openLayer(int k) {
    for (int cell = k * layer; cell < (k + 1) * layer; cell++) {
      if (state[cell] == OPEN) {
        state[cell] = FREE;
      }
    }
  }

  /** The highest open cell; of level ones the first. */
  private int highest() {
    int best = 0;
    double top = Double.NEGATIVE_INFINITY;
    for (int cell = 0; cell < state.length; cell++) {
      if (state[cell] == OPEN && height(cell) > top) {
        top = height(cell);
        best = cell;
      }
    }
    return best;
  }

  private void openTopLevel() {
    double top = height(highest());
    double oneCell = Math.abs(stepX) + Math.abs(stepY) + Math.abs(stepZ);
    for (int cell = 0; cell < state.length; cell++) {
      if (state[cell] == OPEN && height(cell) > top - oneCell + level) {
        state[cell] = FREE;
      }
    }
  }

  private void openHole(Opening o) {
    // air gets out as soon as it is as high as the hole, wherever the cells' centres happen to be
    double least = heightOf(o.at());
    for (int cell : room.cellsAt(o)) {
      if (height(cell) <= least + level) {
        if (state[cell] == OPEN) {
          state[cell] = FREE;
        }
      } else {
        ways.add(least, cell);
      }
    }
  }

  private double heightOf(Vec3 p) {
    Vec3 q = p.minus(grid.origin());
    return base + (q.x() * stepX + q.y() * stepY + q.z() * stepZ) / grid.h();
  }

  /** One pass through the room from above: frees what climbs to an opening in the pass's order. */
  private void sweep() {
    int nz = grid.nz();
    int ny = grid.ny();
    for (int n = 1; n < nz - 1; n++) {
      int k = stepZ >= 0 ? nz - 1 - n : n;
      for (int m = 1; m < ny - 1; m++) {
        sweepRow(grid.index(0, stepY >= 0 ? ny - 1 - m : m, k));
      }
      for (int m = 1; m < ny - 1; m++) {
        sweepRow(grid.index(0, stepY >= 0 ? m : ny - 1 - m, k));
      }
    }
  }

  private void sweepRow(int begin) {
    for (int i = 1; i < nx - 1; i++) {
      int cell = begin + i;
      if (state[cell] == OPEN && canClimb(cell)) {
        state[cell] = FREE;
      }
    }
    for (int i = nx - 2; i > 0; i--) {
      int cell = begin + i;
      if (state[cell] == OPEN && canClimb(cell)) {
        state[cell] = FREE;
      }
    }
  }

  private boolean canClimb(int cell) {
    for (int n = 0; n < upper; n++) {
      if (state[cell + offset[n]] == FREE) {
        return true;
      }
    }
    return false;
  }

  /**
   * Frees what the sweep's order missed, and finds where air would have to go down to a free cell.
   */
  private void complete() {
    Cells freed = new Cells();
    for (int cell = 0; cell < state.length; cell++) {
      if (state[cell] == OPEN && canClimb(cell)) {
        freed.count = 0;
        free(cell, freed);
      }
    }
    for (int cell = 0; cell < state.length; cell++) {
      if (state[cell] == OPEN) {
        for (int n = upper; n < 26; n++) {
          if (state[cell + offset[n]] == FREE) {
            ways.add(height(cell) + higher[n], cell);
            break;
          }
        }
      }
    }
  }

  /** Frees a cell and everything open that climbs to it; adds those to a list. */
  private void free(int first, Cells freed) {
    stack.count = 0;
    state[first] = FREE;
    stack.add(first);
    while (stack.count > 0) {
      int cell = stack.take();
      freed.add(cell);
      for (int n = 0; n < 26; n++) {
        // downwards or level: from there it climbs to here
        int next = cell + offset[n];
        if (higher[n] <= level && state[next] == OPEN) {
          state[next] = FREE;
          stack.add(next);
        }
      }
    }
  }

  /** Floods the rest from the highest spill height down. */
  private void trap() {
    Cells rim = new Cells();
    Cells freed = new Cells();
    while (ways.count > 0) {
      double spillAt = ways.height[0];
      int first = ways.cell[0];
      ways.drop();
      if (state[first] != OPEN) {
        continue;
      }
      rim.count = 0;
      freed.count = 0;
      flood(first, spillAt, rim);
      // past the pocket, air from below climbs to it
      for (int n = 0; n < rim.count; n++) {
        if (state[rim.at[n]] == OPEN) {
          free(rim.at[n], freed);
        }
      }
      for (int n = 0; n < freed.count; n++) {
        waysUpFrom(freed.at[n]);
      }
    }
  }

  /** Traps what is higher than a spill height and connected above it; notes the cells below. */
  private void flood(int first, double spillAt, Cells rim) {
    stack.count = 0;
    mark(first, spillAt);
    stack.add(first);
    while (stack.count > 0) {
      int cell = stack.take();
      double here = height(cell);
      for (int n = 0; n < 26; n++) {
        int next = cell + offset[n];
        if (state[next] == OPEN) {
          if (here + higher[n] > spillAt + level) {
            mark(next, spillAt);
            stack.add(next);
          } else {
            rim.add(next);
          }
        }
      }
    }
  }

  private void waysUpFrom(int cell) {
    for (int n = 0; n < upper; n++) {
      int next = cell + offset[n];
      if (state[next] == OPEN) {
        ways.add(height(cell), next);
      }
    }
  }

  private void mark(int cell, double spillAt) {
    state[cell] = TRAPPED;
    if (trapped.count == spill.length) {
      spill = Arrays.copyOf(spill, 2 * spill.length);
    }
    spill[trapped.count] = (float) spillAt;
    trapped.add(cell);
  }

  /** A list of cells that grows. */
  private static final class Cells {
    int[] at = new int[1 << 10];
    int count;

    void add(int cell) {
      if (count == at.length) {
        at = Arrays.copyOf(at, 2 * count);
      }
      at[count++] = cell;
    }

    int take() {
      return at[--count];
    }
  }

  /**
   * Cells waiting to be flooded, the highest spill height on top; of equal ones the lowest cell.
   */
  private static final class Ways {
    double[] height = new double[64];
    int[] cell = new int[64];
    int count;

    private boolean before(int a, int b) {
      return height[a] > height[b] || height[a] == height[b] && cell[a] < cell[b];
    }

    private void swap(int a, int b) {
      double h = height[a];
      height[a] = height[b];
      height[b] = h;
      int c = cell[a];
      cell[a] = cell[b];
      cell[b] = c;
    }

    void add(double at, int where) {
      if (count == cell.length) {
        height = Arrays.copyOf(height, 2 * count);
        cell = Arrays.copyOf(cell, 2 * count);
      }
      height[count] = at;
      cell[count] = where;
      int i = count++;
      while (i > 0 && before(i, (i - 1) / 2)) {
        swap(i, (i - 1) / 2);
        i = (i - 1) / 2;
      }
    }

    void drop() {
      swap(0, --count);
      int i = 0;
      while (true) {
        int least = i;
        for (int child = 2 * i + 1; child <= 2 * i + 2; child++) {
          if (child < count && before(child, least)) {
            least = child;
          }
        }
        if (least == i) {
          return;
        }
        swap(i, least);
        i = least;
      }
    }
  }

  private Result pockets() {
    long unreached = 0;
    for (byte s : state) {
      unreached += s == OPEN ? 1 : 0;
    }
    long[] order = new long[trapped.count];
    for (int i = 0; i < order.length; i++) {
      order[i] = (long) trapped.at[i] << 32 | i;
    }
    Arrays.sort(order);
    int[] cells = new int[order.length];
    double[] height = new double[order.length];
    float[] spills = new float[order.length];
    for (int i = 0; i < order.length; i++) {
      cells[i] = (int) (order[i] >>> 32);
      height[i] = height(cells[i]);
      spills[i] = spill[(int) order[i]];
    }
    double oneCell = Math.abs(stepX) + Math.abs(stepY) + Math.abs(stepZ);
    return new Pockets(grid, cells, height, spills)
        .result(1.001 * oneCell, level, unreached * grid.cellMm3());
  }
}
