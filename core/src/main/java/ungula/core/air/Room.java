package ungula.core.air;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import ungula.core.field.Grid;
import ungula.core.field.InsideCells;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mesh.TriangleTree;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * The space a liquid is to fill. Where its surface bounds it, that is what counts; its cells are
 * made when they are asked for: open where the cell's centre lies in it. The outermost cells of the
 * grid are closed, so that every open cell has 26 neighbours. Safe to share between threads.
 */
public final class Room {

  /** Most cells a room may have: 120 million bytes, and as many again for each flood. */
  public static final long MOST_CELLS = 120_000_000;

  /** A hole leads into the room when it is no further from it than this, in cells. */
  static final double REACH_CELLS = 2.5;

  private final Grid grid;

  /** What is met closer than this to where a look begins or ends is there, share of a diagonal. */
  private static final double HAIR = 1e-7;

  /** Along no edge a model is likely to have. */
  private static final Vec3 LOOKS = new Vec3(0.3127, 0.5931, 0.7419).unit();

  private final Optional<RoomSurface> surface;
  private final Supplier<byte[]> fill;

  /** What bounds it, facing out of it as far as it faces anywhere. */
  private final TriangleMesh body;

  private volatile TriangleTree tree;

  /** 1 where open, 0 where closed; null until asked for. */
  private volatile byte[] open;

  private Room(TriangleMesh body, Grid grid, Optional<RoomSurface> surface, Supplier<byte[]> fill) {
    this.body = surface.map(RoomSurface::mesh).orElse(body);
    this.grid = grid;
    this.surface = surface;
    this.fill = fill;
    if (surface.isEmpty()) {
      open();
    }
  }

  /** The inside of a mesh: what a cast fills. */
  public static Room cavity(TriangleMesh mesh, double h, Parallel parallel, Progress progress) {
    Grid grid = Grid.round(mesh.bounds(), h, check(mesh.bounds(), h));
    return new Room(
        mesh,
        grid,
        RoomSurface.cavity(mesh, parallel, progress),
        () -> inside(mesh, grid, parallel, progress));
  }

  /** The same known by its cells alone: quicker where only they are asked for. */
  public static Room cavityInCells(
      TriangleMesh mesh, double h, Parallel parallel, Progress progress) {
    Grid grid = Grid.round(mesh.bounds(), h, check(mesh.bounds(), h));
    return new Room(mesh, grid, Optional.empty(), () -> inside(mesh, grid, parallel, progress));
  }

  /**
   * The inside of a mesh less that of another: a hollow cast. Known by its surface as well where
   * the other lies in it whole.
   */
  public static Room between(
      TriangleMesh outside, TriangleMesh core, double h, Parallel parallel, Progress progress) {
    TriangleMesh both = outside.less(core);
    Optional<RoomSurface> surface = RoomSurface.cavity(both, parallel, progress);
    return between(outside, core, both, h, surface, parallel, progress);
  }

  /** The same known by its cells alone. */
  public static Room betweenInCells(
      TriangleMesh outside, TriangleMesh core, double h, Parallel parallel, Progress progress) {
    return between(outside, core, outside.less(core), h, Optional.empty(), parallel, progress);
  }

  private static Room between(
      TriangleMesh outside,
      TriangleMesh core,
      TriangleMesh both,
      double h,
      Optional<RoomSurface> surface,
      Parallel parallel,
      Progress progress) {
    Grid grid = Grid.round(outside.bounds(), h, check(outside.bounds(), h));
    return new Room(
        both,
        grid,
        surface,
        () -> {
          BitSet[] all = InsideCells.of(outside, grid, parallel, progress.part(0, 0.5));
          BitSet[] kept = InsideCells.of(core, grid, parallel, progress.part(0.5, 1));
          return fill(grid, (k, spot) -> all[k].get(spot) && !kept[k].get(spot), parallel);
        });
  }

  private static byte[] inside(TriangleMesh mesh, Grid grid, Parallel parallel, Progress progress) {
    BitSet[] inside = InsideCells.of(mesh, grid, parallel, progress);
    return fill(grid, (k, spot) -> inside[k].get(spot), parallel);
  }

  /** The inside of a box less the master in it: what the rubber fills. */
  public static Room round(
      TriangleMesh master, Box3 box, double h, Parallel parallel, Progress progress) {
    Grid grid = Grid.round(box, h, check(box, h));
    return new Room(
        master,
        grid,
        RoomSurface.round(master, box, h / 2, parallel, progress),
        () -> round(master, box, grid, parallel, progress));
  }

  private static byte[] round(
      TriangleMesh master, Box3 box, Grid grid, Parallel parallel, Progress progress) {
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

  private static byte[] fill(Grid grid, Filled filled, Parallel parallel) {
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
    return open;
  }

  public Grid grid() {
    return grid;
  }

  /** What bounds it; empty where it is only known by its cells. */
  Optional<RoomSurface> surface() {
    return surface;
  }

  /**
   * What a straight way up from a place on its surface passes through until it leaves a block round
   * the room.
   *
   * @param up of length one
   */
  public VentWay straightUp(Vec3 place, Vec3 up, Box3 block) {
    return VentWay.straight(tree(), body, place, up, block);
  }

  private TriangleTree tree() {
    TriangleTree made = tree;
    if (made == null) {
      made = surface.map(RoomSurface::tree).orElseGet(() -> TriangleTree.of(body));
      tree = made;
    }
    return made;
  }

  /** What bounds it, facing out of it as far as it faces anywhere. */
  public TriangleMesh body() {
    return body;
  }

  /** Whether a cell's middle lies in it. */
  public boolean open(int cell) {
    return open()[cell] != 0;
  }

  /** How far it is from a place on a facet, that way, to what bounds it next, mm. */
  public double through(Vec3 place, Vec3 way, int facet) {
    return tree().firstHit(place.x(), place.y(), place.z(), way.x(), way.y(), way.z(), facet);
  }

  /** Whether a straight way from a place on its surface to another meets that nowhere between. */
  public boolean clear(Vec3 from, Vec3 to) {
    Vec3 way = to.minus(from);
    double hair = HAIR * body.bounds().diagonal() / Math.max(way.norm(), 1e-9);
    Vec3 p = from.plus(way.times(hair));
    return tree().firstHit(p.x(), p.y(), p.z(), way.x(), way.y(), way.z(), -1) > 1 - hair;
  }

  /** How far it reaches in a direction of length one, mm. */
  double highest(Vec3 up) {
    return body.furthest(up).dot(up);
  }

  /** Whether a place is in it: by what bounds it next in one direction. */
  boolean holds(Vec3 p) {
    int met = tree().firstMet(p.x(), p.y(), p.z(), LOOKS.x(), LOOKS.y(), LOOKS.z(), -1);
    return met >= 0 && body.areaVector(met).dot(LOOKS) > 0;
  }

  /** Whether air in it is known by its surface, not cell by cell. */
  public boolean exact() {
    return surface.isPresent();
  }

  /** 1 where open, 0 where closed, by cell. The room's own array: read only. */
  byte[] open() {
    byte[] made = open;
    if (made == null) {
      synchronized (this) {
        made = open;
        if (made == null) {
          made = fill.get();
          open = made;
        }
      }
    }
    return made;
  }

  /** Of its cells. */
  public double volumeMm3() {
    int count = 0;
    for (byte cell : open()) {
      count += cell;
    }
    return count * grid.cellMm3();
  }

  /** The lowest layer with an open cell. */
  int lowestLayer() {
    byte[] cells = open();
    int low = 0;
    while (low < cells.length - 1 && cells[low] == 0) {
      low++;
    }
    return low / (grid.nx() * grid.ny());
  }

  /** The highest layer with an open cell. */
  int topLayer() {
    byte[] cells = open();
    int top = cells.length - 1;
    while (top > 0 && cells[top] == 0) {
      top--;
    }
    return top / (grid.nx() * grid.ny());
  }

  /**
   * Whether a hole leads into the room: it is in it, or no further off than two cells and a half.
   */
  public boolean opensAt(Opening o) {
    return o.where() != Opening.Where.HOLE
        || surface
            .map(s -> !s.mouths(this, List.of(o)).isEmpty())
            .orElseGet(() -> !cellsAt(o).isEmpty());
  }

  /** Open cells within a cell of a hole; the nearest one within two cells when there is none. */
  List<Integer> cellsAt(Opening o) {
    byte[] cells = open();
    List<Integer> within = new ArrayList<>();
    double reach = grid.h();
    double look = REACH_CELLS * grid.h();
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
          if (cells[cell] == 0) {
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
