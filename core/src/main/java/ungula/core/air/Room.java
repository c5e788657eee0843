package ungula.core.air;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import ungula.core.field.Grid;
import ungula.core.field.InsideCells;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * The space a liquid is to fill, in cells: open where the cell's centre lies in it. The outermost
 * cells of the grid are closed, so that every open cell has 26 neighbours. Safe to share between
 * threads.
 */
public final class Room {

  /** Most cells a room may have: 120 million bytes, and as many again for each flood. */
  public static final long MOST_CELLS = 120_000_000;

  private final Grid grid;

  /** 1 where open, 0 where closed. */
  private final byte[] open;

  private final int openCells;
  private final int topLayer;

  private Room(Grid grid, byte[] open) {
    this.grid = grid;
    this.open = open;
    int count = 0;
    int top = 0;
    for (int i = 0; i < open.length; i++) {
      if (open[i] != 0) {
        count++;
        top = i;
      }
    }
    this.openCells = count;
    this.topLayer = top / (grid.nx() * grid.ny());
  }

  /** The inside of a mesh: what a cast fills. */
  public static Room cavity(TriangleMesh mesh, double h, Parallel parallel, Progress progress) {
    Grid grid = Grid.round(mesh.bounds(), h, check(mesh.bounds(), h));
    BitSet[] inside = InsideCells.of(mesh, grid, parallel, progress);
    return fill(grid, (k, spot) -> inside[k].get(spot), parallel);
  }

  /** The inside of a box less the master in it: what the rubber fills. */
  public static Room round(
      TriangleMesh master, Box3 box, double h, Parallel parallel, Progress progress) {
    Grid grid = Grid.round(box, h, check(box, h));
    BitSet[] inside = InsideCells.of(master, grid, parallel, progress);
    int nx = grid.nx();
    int last = grid.ny() - 1;
    return fill(
        grid,
        (k, spot) -> {
          int i = spot % nx;
          int j = spot / nx;
          boolean wall = i == 0 || j == 0 || k == 0 || i == nx - 1 || j == last;
          return !wall
              && grid.x(i) < box.max().x()
              && grid.y(j) < box.max().y()
              && grid.z(k) < box.max().z()
              && !inside[k].get(spot);
        },
        parallel);
  }

  private static double check(Box3 box, double h) {
    double cells = cells(box, h);
    if (cells > MOST_CELLS) {
      throw new IllegalArgumentException("Too many cells: " + cells);
    }
    return h;
  }

  /** How many cells of a size a room in a box needs. */
  public static double cells(Box3 box, double h) {
    Vec3 s = box.size();
    return (s.x() / h + 3) * (s.y() / h + 3) * (s.z() / h + 3);
  }

  private interface Filled {
    boolean at(int layer, int spot);
  }

  private static Room fill(Grid grid, Filled filled, Parallel parallel) {
    int layer = grid.nx() * grid.ny();
    byte[] open = new byte[grid.count()];
    parallel.each(
        grid.nz(),
        k -> {
          for (int spot = 0; spot < layer; spot++) {
            if (filled.at(k, spot)) {
              open[k * layer + spot] = 1;
            }
          }
        });
    return new Room(grid, open);
  }

  public Grid grid() {
    return grid;
  }

  /** 1 where open, 0 where closed, by cell. The room's own array: read only. */
  byte[] open() {
    return open;
  }

  public double volumeMm3() {
    return openCells * grid.cellMm3();
  }

  /** The highest layer with an open cell. */
  int topLayer() {
    return topLayer;
  }

  /** Whether a hole leads into the room: its cells are open, or some within two cells of it. */
  public boolean opensAt(Opening o) {
    return o.where() != Opening.Where.HOLE || !cellsAt(o).isEmpty();
  }

  /** Open cells within a cell of a hole; the nearest one within two cells when there is none. */
  List<Integer> cellsAt(Opening o) {
    List<Integer> within = new ArrayList<>();
    double reach = grid.h();
    double look = 2.5 * grid.h();
    int steps = (int) Math.ceil(look / grid.h());
    int middle = grid.at(o.at());
    int ci = middle % grid.nx();
    int cj = middle / grid.nx() % grid.ny();
    int ck = middle / (grid.nx() * grid.ny());
    int nearest = -1;
    double best = look;
    for (int k = Math.max(0, ck - steps); k <= Math.min(grid.nz() - 1, ck + steps); k++) {
      for (int j = Math.max(0, cj - steps); j <= Math.min(grid.ny() - 1, cj + steps); j++) {
        for (int i = Math.max(0, ci - steps); i <= Math.min(grid.nx() - 1, ci + steps); i++) {
          int cell = grid.index(i, j, k);
          if (open[cell] == 0) {
            continue;
          }
          double d = grid.centre(cell).minus(o.at()).norm();
          if (d <= reach) {
            within.add(cell);
          }
          if (d < best) {
            best = d;
            nearest = cell;
          }
        }
      }
    }
    if (within.isEmpty() && nearest >= 0) {
      within.add(nearest);
    }
    return within;
  }
}
