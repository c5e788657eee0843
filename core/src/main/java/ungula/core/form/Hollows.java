package ungula.core.form;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.TreeMap;
import ungula.core.field.CellDistances;
import ungula.core.field.Grid;
import ungula.core.field.InsideCells;
import ungula.core.form.Islands.Island;
import ungula.core.geometry.Directions;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.Clustering;
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

  /** Facets much smaller than a cell are drawn together, in cells. */
  private static final double CLUSTER = 0.75;

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

  /**
   * @param bounds whether the mesh bounds its inside
   */
  private Hollows(TriangleMesh mesh, boolean bounds, Vec3 along) {
    turn = Rotation.bringing(along, Vec3.UP);
    TriangleMesh turned = mesh.moved(1, turn, Vec3.ZERO);
    double h = Grid.spacing(turned.bounds(), CELLS);
    grid = Grid.round(turned.bounds(), 2 * h, h);
    inside = InsideCells.of(turned, bounds, grid, new Parallel(1), Progress.NONE);
  }

  /**
   * @return through-holes by rising section, then blind holes by falling depth; few
   */
  public static List<Hollow> of(TriangleMesh mesh, Parallel parallel, Progress progress) {
    List<Vec3> along = new ArrayList<>(List.of(Vec3.UP, new Vec3(1, 0, 0), new Vec3(0, 1, 0)));
    for (int i = 0; i < ASLANT; i++) {
      along.add(Directions.onHalf(i, ASLANT));
    }
    TriangleMesh body = Clustering.of(mesh, CLUSTER * Grid.spacing(mesh.bounds(), CELLS));
    boolean bounds = InsideCells.bounds(body);
    List<List<Hollow>> all = new ArrayList<>(Collections.nCopies(along.size(), List.of()));
    parallel.each(
        along.size(),
        i -> {
          progress.at("Looking through it", (double) i / along.size());
          all.set(i, new Hollows(body, bounds, along.get(i)).find());
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
    List<Island> islands = Islands.of(inside, grid.nx(), grid.ny());
    List<Island> byArea = new ArrayList<>(islands);
    byArea.sort(Comparator.comparingInt((Island s) -> -s.cells()));
    // joining from the largest down, the one that first leads from end to end is the neck
    int[] parent = new int[islands.size()];
    boolean[] up = new boolean[islands.size()];
    boolean[] down = new boolean[islands.size()];
    for (Island s : islands) {
      parent[s.number] = s.number;
      up[s.number] = s.opensUp;
      down[s.number] = s.opensDown;
    }
    List<Hollow> found = new ArrayList<>();
    boolean[] in = new boolean[islands.size()];
    for (Island s : byArea) {
      in[s.number] = true;
      boolean before = s.opensUp && s.opensDown;
      for (Island other : s.beside) {
        int a = Islands.root(parent, s.number);
        int b = Islands.root(parent, other.number);
        if (in[other.number] && a != b) {
          before |= up[b] && down[b];
          parent[b] = a;
          up[a] |= up[b];
          down[a] |= down[b];
        }
      }
      int r = Islands.root(parent, s.number);
      boolean through = up[r] && down[r];
      if (through && (!before || s.opensUp && s.opensDown) && s.cells() >= LEAST) {
        found.add(through(s));
      }
    }
    TreeMap<Integer, List<Island>> chains = new TreeMap<>();
    for (Island s : islands) {
      int r = Islands.root(parent, s.number);
      if (up[r] != down[r]) {
        chains.computeIfAbsent(r, n -> new ArrayList<>()).add(s);
      }
    }
    chains.forEach((r, chain) -> blind(chain, up[r], found));
    return found;
  }

  private Hollow through(Island neck) {
    double h = grid.h();
    return new Hollow(
        true, turn.inverse().apply(Vec3.UP), middle(neck), neck.cells() * h * h, width(neck), 0);
  }

  private void blind(List<Island> chain, boolean up, List<Hollow> found) {
    int low = chain.stream().mapToInt(s -> s.layer).min().orElseThrow();
    int high = chain.stream().mapToInt(s -> s.layer).max().orElseThrow();
    Island mouth =
        chain.stream()
            .filter(s -> up ? s.opensUp : s.opensDown)
            .max(Comparator.comparingInt(s -> s.cells()))
            .orElseThrow();
    // as deep as it goes from where it is open
    int layers = up ? mouth.layer - low + 1 : high - mouth.layer + 1;
    int half = up ? mouth.layer - layers / 2 : mouth.layer + layers / 2;
    Island midway =
        chain.stream()
            .filter(s -> s.layer == half)
            .max(Comparator.comparingInt(s -> s.cells()))
            .orElse(mouth);
    if (layers >= LEAST_LAYERS && midway.cells() >= LEAST) {
      found.add(
          new Hollow(
              false,
              turn.inverse().apply(up ? Vec3.UP : Vec3.UP.times(-1)),
              middle(mouth),
              mouth.cells() * grid.h() * grid.h(),
              width(midway),
              layers * grid.h()));
    }
  }

  /** Of its cells the one nearest their middle. */
  private Vec3 middle(Island s) {
    int[] cells = s.set().stream().toArray();
    int begin = s.layer * grid.nx() * grid.ny();
    Vec3 sum = Vec3.ZERO;
    for (int cell : cells) {
      sum = sum.plus(grid.centre(begin + cell));
    }
    Vec3 mean = sum.times(1.0 / cells.length);
    Vec3 nearest = null;
    for (int cell : cells) {
      Vec3 p = grid.centre(begin + cell);
      if (nearest == null || p.minus(mean).norm() < nearest.minus(mean).norm()) {
        nearest = p;
      }
    }
    return turn.inverse().apply(nearest);
  }

  /** Of the largest circle in it. */
  private double width(Island s) {
    BitSet within = s.set();
    float[] d =
        CellDistances.squared(grid.nx(), grid.ny(), 1, spot -> !within.get(spot), new Parallel(1));
    float most = 0;
    for (int cell = within.nextSetBit(0); cell >= 0; cell = within.nextSetBit(cell + 1)) {
      most = Math.max(most, d[cell]);
    }
    // to the middle of the first cell that is not in it: half a cell too far, which makes up for
    // the circle's middle lying between cells; a round hole's own area tells better
    double round = 2 * Math.sqrt(s.cells() / Math.PI);
    return Math.min(round, 2 * Math.sqrt(most)) * grid.h();
  }
}
