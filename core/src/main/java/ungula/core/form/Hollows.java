package ungula.core.form;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.TreeMap;
import ungula.core.field.CellDistances;
import ungula.core.field.Grid;
import ungula.core.field.InsideCells;
import ungula.core.geometry.Directions;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.Topology;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * Through-holes and blind holes, found where they are surrounded by the body in sections across
 * them. Sections are looked at along the axes and 36 directions between; so no hole is seen more
 * than 18° aslant, and its section is at most a twentieth too large.
 *
 * <p>An island is a piece of a section outside the body and all surrounded by it. Islands over one
 * another hang together in chains. A chain that opens at both ends goes through: a loop of the body
 * links it; a closed surface of one piece that has no such loop has no holes through it, however
 * thin its plates are. One that opens at one end is a blind hole. The smallest section of a
 * through-hole is the smallest island no way from end to end avoids.
 */
public final class Hollows {

  /** Cells to the longest side. */
  private static final int CELLS = 96;

  /** Islands of fewer cells are no holes. */
  private static final int LEAST = 5;

  /** Blind holes of fewer layers are dents. */
  private static final int LEAST_LAYERS = 4;

  private static final int MOST = 12;

  /** Directions looked along beside the axes. */
  private static final int ASLANT = 36;

  private final Rotation turn;
  private final Grid grid;
  private final BitSet[] inside;
  private final int nx;
  private final int ny;

  /** By cell: 0 the body, 1 open to the side, from 2 on the number of its island. */
  private final int[] island;

  private final List<Island> islands = new ArrayList<>();

  /**
   * @param bounds whether the mesh bounds its inside
   */
  private Hollows(TriangleMesh mesh, boolean bounds, Vec3 along) {
    turn = Rotation.bringing(along, Vec3.UP);
    TriangleMesh turned = mesh.moved(1, turn, Vec3.ZERO);
    double h = Grid.spacing(turned.bounds(), CELLS);
    grid = Grid.round(turned.bounds(), 2 * h, h);
    inside = InsideCells.of(turned, bounds, grid, new Parallel(1), Progress.NONE);
    nx = grid.nx();
    ny = grid.ny();
    island = new int[grid.count()];
  }

  /** One piece of a section. */
  private static final class Island {
    final int layer;

    /** Of the grid. */
    final int[] cells;

    /** Whether it opens to the side in the layer above, below. */
    boolean opensUp;

    boolean opensDown;

    /** Islands it touches in the layer above. */
    final List<Integer> above = new ArrayList<>();

    Island(int layer, int[] cells) {
      this.layer = layer;
      this.cells = cells;
    }
  }

  /**
   * @return through-holes by rising section, then blind holes by falling depth; few
   */
  public static List<Hollow> of(TriangleMesh mesh, Parallel parallel, Progress progress) {
    List<Vec3> along = new ArrayList<>(List.of(Vec3.UP, new Vec3(1, 0, 0), new Vec3(0, 1, 0)));
    for (int i = 0; i < ASLANT; i++) {
      along.add(Directions.onHalf(i, ASLANT));
    }
    boolean bounds = InsideCells.bounds(mesh);
    List<List<Hollow>> all = new ArrayList<>(Collections.nCopies(along.size(), List.of()));
    parallel.each(
        along.size(),
        i -> {
          progress.at("Looking through it", (double) i / along.size());
          all.set(i, new Hollows(mesh, bounds, along.get(i)).find());
        });
    boolean whole = withoutHoles(mesh);
    List<Hollow> found =
        all.stream().flatMap(List::stream).filter(f -> !(whole && f.through())).toList();
    List<Hollow> kept = new ArrayList<>();
    keep(
        found.stream()
            .filter(Hollow::through)
            .sorted(Comparator.comparingDouble(Hollow::areaMm2))
            .toList(),
        kept);
    keep(
        found.stream()
            .filter(f -> !f.through())
            .sorted(Comparator.comparingDouble((Hollow f) -> -f.depthMm() / f.widthMm()))
            .toList(),
        kept);
    return List.copyOf(kept);
  }

  /** Whether the surface itself says so: plates thinner than a cell look like holes in sections. */
  private static boolean withoutHoles(TriangleMesh mesh) {
    Topology topology = Topology.of(mesh);
    return topology.closed() && topology.parts() == 1 && topology.genus() == 0;
  }

  /** One hole is seen along several directions: the first counts. */
  private static void keep(List<Hollow> sorted, List<Hollow> kept) {
    int before = kept.size();
    for (Hollow f : sorted) {
      boolean other =
          kept.stream()
              .noneMatch(k -> k.place().minus(f.place()).norm() < Math.max(reach(k), reach(f)));
      if (other && kept.size() < before + MOST) {
        kept.add(f);
      }
    }
  }

  /** How far off the same hole's place may be seen from another direction. */
  private static double reach(Hollow f) {
    return 1.2 * Math.sqrt(f.areaMm2() / Math.PI) + (f.through() ? 0 : f.depthMm() / 2);
  }

  private List<Hollow> find() {
    islands.add(null);
    islands.add(null);
    for (int k = 0; k < grid.nz(); k++) {
      layer(k);
    }
    for (int k = 0; k + 1 < grid.nz(); k++) {
      join(k);
    }
    return chains();
  }

  /** Tells what is open to the side of a layer from its islands. */
  private void layer(int k) {
    int begin = k * nx * ny;
    int[] stack = new int[nx * ny];
    int[] cells = new int[nx * ny];
    for (int spot = 0; spot < nx * ny; spot++) {
      if (!inside[k].get(spot) && island[begin + spot] == 0) {
        // the first open cell is in the grid's corner: its piece is what is open to the side
        int number = spot == 0 ? 1 : islands.size();
        int count = 0;
        int depth = 0;
        island[begin + spot] = number;
        stack[depth++] = spot;
        while (depth > 0) {
          int at = stack[--depth];
          cells[count++] = begin + at;
          int i = at % nx;
          depth = push(k, at - 1, i > 0, number, stack, depth);
          depth = push(k, at + 1, i + 1 < nx, number, stack, depth);
          depth = push(k, at - nx, at >= nx, number, stack, depth);
          depth = push(k, at + nx, at + nx < nx * ny, number, stack, depth);
        }
        if (number > 1) {
          islands.add(new Island(k, Arrays.copyOf(cells, count)));
        }
      }
    }
  }

  private int push(int k, int at, boolean there, int number, int[] stack, int depth) {
    int cell = k * nx * ny + at;
    if (!there || inside[k].get(at) || island[cell] != 0) {
      return depth;
    }
    island[cell] = number;
    stack[depth] = at;
    return depth + 1;
  }

  private void join(int k) {
    int layer = nx * ny;
    for (int cell = k * layer; cell < (k + 1) * layer; cell++) {
      int here = island[cell];
      int over = island[cell + layer];
      if (here > 1 && over == 1) {
        islands.get(here).opensUp = true;
      } else if (here == 1 && over > 1) {
        islands.get(over).opensDown = true;
      } else if (here > 1 && over > 1) {
        List<Integer> above = islands.get(here).above;
        if (above.isEmpty() || above.get(above.size() - 1) != over) {
          above.add(over);
        }
      }
    }
  }

  private List<Hollow> chains() {
    Integer[] byArea = new Integer[islands.size() - 2];
    for (int i = 0; i < byArea.length; i++) {
      byArea[i] = i + 2;
    }
    Arrays.sort(byArea, Comparator.comparingInt((Integer i) -> -islands.get(i).cells.length));
    // joining from the largest down, the one that first leads from end to end is the neck
    int[] parent = new int[islands.size()];
    boolean[] up = new boolean[islands.size()];
    boolean[] down = new boolean[islands.size()];
    List<List<Integer>> below = new ArrayList<>();
    for (int i = 0; i < islands.size(); i++) {
      parent[i] = i;
      below.add(new ArrayList<>());
      if (i > 1) {
        up[i] = islands.get(i).opensUp;
        down[i] = islands.get(i).opensDown;
      }
    }
    for (int i = 2; i < islands.size(); i++) {
      for (int a : islands.get(i).above) {
        below.get(a).add(i);
      }
    }
    List<Hollow> found = new ArrayList<>();
    boolean[] in = new boolean[islands.size()];
    for (int i : byArea) {
      in[i] = true;
      boolean before = up[i] && down[i];
      List<Integer> next = new ArrayList<>(islands.get(i).above);
      next.addAll(below.get(i));
      for (int j : next) {
        if (in[j] && root(parent, i) != root(parent, j)) {
          int a = root(parent, i);
          int b = root(parent, j);
          before |= up[b] && down[b];
          parent[b] = a;
          up[a] |= up[b];
          down[a] |= down[b];
        }
      }
      int r = root(parent, i);
      boolean through = up[r] && down[r];
      if (through && (!before || up[i] && down[i]) && islands.get(i).cells.length >= LEAST) {
        found.add(through(islands.get(i)));
      }
    }
    TreeMap<Integer, List<Island>> chains = new TreeMap<>();
    for (int i = 2; i < islands.size(); i++) {
      int r = root(parent, i);
      if (up[r] != down[r]) {
        chains.computeIfAbsent(r, n -> new ArrayList<>()).add(islands.get(i));
      }
    }
    chains.forEach((r, chain) -> blind(chain, up[r], found));
    return found;
  }

  private static int root(int[] parent, int i) {
    int r = i;
    while (parent[r] != r) {
      parent[r] = parent[parent[r]];
      r = parent[r];
    }
    return r;
  }

  private Hollow through(Island neck) {
    double h = grid.h();
    return new Hollow(
        true,
        turn.inverse().apply(Vec3.UP),
        middle(neck),
        neck.cells.length * h * h,
        width(neck),
        0);
  }

  private void blind(List<Island> chain, boolean up, List<Hollow> found) {
    int low = chain.stream().mapToInt(s -> s.layer).min().orElseThrow();
    int high = chain.stream().mapToInt(s -> s.layer).max().orElseThrow();
    Island mouth =
        chain.stream()
            .filter(s -> up ? s.opensUp : s.opensDown)
            .max(Comparator.comparingInt(s -> s.cells.length))
            .orElseThrow();
    // as deep as it goes from where it is open
    int layers = up ? mouth.layer - low + 1 : high - mouth.layer + 1;
    int half = up ? mouth.layer - layers / 2 : mouth.layer + layers / 2;
    Island midway =
        chain.stream()
            .filter(s -> s.layer == half)
            .max(Comparator.comparingInt(s -> s.cells.length))
            .orElse(mouth);
    if (layers >= LEAST_LAYERS && midway.cells.length >= LEAST) {
      found.add(
          new Hollow(
              false,
              turn.inverse().apply(up ? Vec3.UP : Vec3.UP.times(-1)),
              middle(mouth),
              mouth.cells.length * grid.h() * grid.h(),
              width(midway),
              layers * grid.h()));
    }
  }

  /** Of its cells the one nearest their middle. */
  private Vec3 middle(Island s) {
    Vec3 sum = Vec3.ZERO;
    for (int cell : s.cells) {
      sum = sum.plus(grid.centre(cell));
    }
    Vec3 mean = sum.times(1.0 / s.cells.length);
    Vec3 nearest = null;
    for (int cell : s.cells) {
      Vec3 p = grid.centre(cell);
      if (nearest == null || p.minus(mean).norm() < nearest.minus(mean).norm()) {
        nearest = p;
      }
    }
    return turn.inverse().apply(nearest);
  }

  /** Of the largest circle in it. */
  private double width(Island s) {
    int begin = s.layer * nx * ny;
    BitSet within = new BitSet();
    for (int cell : s.cells) {
      within.set(cell - begin);
    }
    float[] d = CellDistances.squared(nx, ny, 1, spot -> !within.get(spot), new Parallel(1));
    float most = 0;
    for (int cell : s.cells) {
      most = Math.max(most, d[cell - begin]);
    }
    // to the middle of the first cell that is not in it: half a cell too far, which makes up for
    // the circle's middle lying between cells; a round hole's own area tells better
    double round = 2 * Math.sqrt(s.cells.length / Math.PI);
    return Math.min(round, 2 * Math.sqrt(most)) * grid.h();
  }
}
