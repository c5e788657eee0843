package ungula.core.skin;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import ungula.core.field.DistanceField;
import ungula.core.field.Grid;
import ungula.core.field.IsoSurface;
import ungula.core.field.Reach;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.Topology;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * Where a skin closes up solid: what no ball as thick as the wall, rolled over the master, gets
 * into (the master's morphological closing, less the master). Every inner corner has a fillet of
 * it; a recess is bridged where rubber lies deeper below the skin's outside than half as much again
 * as the wall, so that the surfaces on both its sides are closer than two walls. Volumes are good
 * to about 15 %: where the outside has a crease, the grid puts it up to half a cell off.
 */
public final class Bridging {

  /** Deeper than so many walls below the outside is no fillet of an inner corner. */
  private static final double DEEP = 1.5;

  /** Depths are not told apart beyond so many walls. */
  private static final double DEEPEST = 4;

  /** Rubber that is not worth a word, mm³. */
  private static final double WORTH_MM3 = 300;

  private static final int MOST = 8;

  /** Cells round a recess that it shares with what is round it. */
  private static final int SHARED = 1;

  /** What fills a recess goes on so many cells into the master. */
  private static final int INTO_MASTER = 2;

  private final DistanceField field;
  private final Grid grid;
  private final double wall;
  private final DistanceField outside;
  private final int first;

  private Bridging(DistanceField field, DistanceField outside, double wall) {
    this.field = field;
    this.grid = field.grid();
    this.outside = outside;
    this.wall = wall;
    this.first = SkinField.first(grid);
  }

  /** The outside of a skin, going on below the plate; rooms closed off within are left out. */
  public static TriangleMesh outside(SkinField skin, double wallMm) {
    DistanceField field = skin.field();
    Grid grid = field.grid();
    int below = grid.nx() * grid.ny();
    // closed at the grid's floor: its lowest layer counts as outside
    TriangleMesh all =
        IsoSurface.of(grid, cell -> cell < below ? grid.h() : field.at(cell) - wallMm);
    Topology topology = Topology.of(all);
    int[] part = topology.partOf();
    double[] volume = new double[topology.parts()];
    for (int t = 0; t < part.length; t++) {
      Vec3 a = all.vertex(all.corners()[3 * t]);
      Vec3 b = all.vertex(all.corners()[3 * t + 1]);
      Vec3 c = all.vertex(all.corners()[3 * t + 2]);
      volume[part[t]] += a.dot(b.cross(c)) / 6;
    }
    return all.only(t -> volume[part[t]] > 0);
  }

  /**
   * @param outside of the skin, as {@link #outside} gives it
   * @return largest first; few
   */
  public static List<Bridge> of(
      SkinField skin, TriangleMesh outside, double wallMm, Parallel parallel, Progress progress) {
    DistanceField from = from(skin, outside, wallMm, parallel, progress);
    return new Bridging(skin.field(), from, wallMm).find();
  }

  private static DistanceField from(
      SkinField skin, TriangleMesh outside, double wallMm, Parallel parallel, Progress progress) {
    Grid grid = skin.field().grid();
    return DistanceField.of(
        outside, grid, new Reach(DEEPEST * wallMm, grid.h()), parallel, progress);
  }

  /** How much of a cell is deeper below the outside than the wall, and not master. */
  private double share(int cell) {
    double h = grid.h();
    double deep = 0.5 + (-outside.at(cell) - wall) / h;
    double free = 0.5 + field.at(cell) / h;
    return Math.max(0, Math.min(1, deep)) * Math.max(0, Math.min(1, free));
  }

  private List<Bridge> find() {
    List<Bridge> all = new ArrayList<>();
    grow(
        (cells, bridge) -> {
          if (bridge.mm3() > WORTH_MM3) {
            all.add(bridge);
          }
        });
    all.sort(Comparator.comparingDouble(Bridge::mm3).reversed());
    return List.copyOf(all.subList(0, Math.min(MOST, all.size())));
  }

  /** What takes each recess in turn, with its cells. */
  @FunctionalInterface
  private interface Found {
    void take(BitSet cells, Bridge bridge);
  }

  private void grow(Found found) {
    BitSet seen = new BitSet(grid.count());
    int[] stack = new int[grid.count()];
    int floor = first * grid.nx() * grid.ny();
    for (int cell = floor; cell < grid.count(); cell++) {
      if (!seen.get(cell) && -outside.at(cell) > DEEP * wall && field.at(cell) > 0) {
        BitSet cells = new BitSet();
        Bridge bridge = grown(cell, seen, cells, stack, floor);
        found.take(cells, bridge);
      }
    }
  }

  /**
   * The distance to what fills recesses: to all that is deeper below the outside of a skin than its
   * wall, in each recess near a place. It reaches into the master, so that no gap is left.
   *
   * @param at in the recesses
   * @return null when there is no recess there
   */
  static DistanceField filled(
      SkinField skin, double wallMm, List<Vec3> at, Parallel parallel, Progress progress) {
    TriangleMesh outside = outside(skin, wallMm);
    Bridging bridging =
        new Bridging(
            skin.field(), from(skin, outside, wallMm, parallel, progress.part(0, 0.5)), wallMm);
    BitSet plug = new BitSet();
    bridging.grow(
        (cells, bridge) -> {
          if (at.stream().anyMatch(p -> bridge.fills(p, wallMm))) {
            plug.or(cells);
          }
        });
    return plug.isEmpty() ? null : bridging.around(plug, parallel, progress.part(0.5, 1));
  }

  /** Distances to a body made of cells and, next to them, of the master. */
  private DistanceField around(BitSet plug, Parallel parallel, Progress progress) {
    double h = grid.h();
    BitSet near = (BitSet) plug.clone();
    for (int ring = 0; ring < INTO_MASTER; ring++) {
      BitSet inner = (BitSet) near.clone();
      for (int cell = inner.nextSetBit(0); cell >= 0; cell = inner.nextSetBit(cell + 1)) {
        for (int step : steps()) {
          int next = cell + step;
          if (next >= 0 && next < grid.count()) {
            near.set(next);
          }
        }
      }
    }
    TriangleMesh body =
        IsoSurface.of(
            grid,
            cell ->
                near.get(cell)
                    ? Math.max(outside.at(cell) + wall, -field.at(cell) - INTO_MASTER * h)
                    : h);
    return DistanceField.of(body, grid, new Reach(2 * h, Skin.MOST_MM + 2 * h), parallel, progress);
  }

  private int[] steps() {
    int layer = grid.nx() * grid.ny();
    return new int[] {1, -1, grid.nx(), -grid.nx(), layer, -layer};
  }

  /** Whether a cell is so much deeper than the wall that it is no part of an even skin. */
  private boolean deeper(int cell) {
    return -outside.at(cell) > wall + grid.h() / 2 && field.at(cell) > 0;
  }

  /**
   * All that hangs together with a deep cell, and the cells round it that the recess shares with
   * the skin over it and with the master.
   */
  private Bridge grown(int from, BitSet seen, BitSet cells, int[] stack, int floor) {
    int top = 0;
    stack[top++] = from;
    seen.set(from);
    double deepest = 0;
    int[] steps = steps();
    while (top > 0) {
      int cell = stack[--top];
      cells.set(cell);
      deepest = Math.max(deepest, -outside.at(cell));
      for (int step : steps) {
        int next = cell + step;
        if (next >= floor && next < grid.count() && !seen.get(next) && deeper(next)) {
          seen.set(next);
          stack[top++] = next;
        }
      }
    }
    for (int ring = 0; ring < SHARED; ring++) {
      BitSet inner = (BitSet) cells.clone();
      for (int cell = inner.nextSetBit(0); cell >= 0; cell = inner.nextSetBit(cell + 1)) {
        for (int step : steps) {
          int next = cell + step;
          if (next >= floor && next < grid.count() && share(next) > 0) {
            cells.set(next);
          }
        }
      }
    }
    double sum = 0;
    Vec3 middle = Vec3.ZERO;
    for (int cell = cells.nextSetBit(0); cell >= 0; cell = cells.nextSetBit(cell + 1)) {
      double s = share(cell);
      sum += s;
      middle = middle.plus(grid.centre(cell).times(s));
    }
    return new Bridge(
        sum > 0 ? middle.times(1 / sum) : grid.centre(from), sum * grid.cellMm3(), deepest);
  }
}
