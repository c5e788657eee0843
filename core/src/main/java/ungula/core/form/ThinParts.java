package ungula.core.form;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;
import ungula.core.field.CellDistances;
import ungula.core.field.DistanceField;
import ungula.core.field.Grid;
import ungula.core.field.Reach;
import ungula.core.form.ThinPart.Kind;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * Thin limbs, walls and necks: what no ball of 4 mm fits in, and that reaches further than five
 * times its thickness.
 *
 * <p>Thickness is twice the medial distance. The thick part of a body is every place such a ball
 * reaches (its opening, in the sense of mathematical morphology: J. Serra, Image Analysis and
 * Mathematical Morphology, 1982); what is left falls into pieces. Pieces along sharp edges reach
 * less than a ball's width and drop out. Thickness comes out up to 1.4 cells too small, length up
 * to a twelfth too large.
 */
public final class ThinParts {

  /** Thicker than this is not thin. */
  public static final double THIN_MM = 4;

  /** Thin parts reach at least so many times their thickness. */
  public static final double SLENDER = 5;

  /** Wider than this many times its thickness it is a wall. */
  private static final double WIDE = 3;

  /** Cells at most as large as this, so that a thin part is several of them thick. */
  private static final double CELL_MM = 0.8;

  private static final double MOST_CELLS = 16_000_000;

  private static final int MOST = 12;

  private final DistanceField field;
  private final Grid grid;
  private final int nx;
  private final int layer;

  /** Squared distance to the middles of balls, in cells. */
  private final float[] toBall;

  /** Balls' radius, in cells. */
  private final double radius;

  /** 0 outside, 1 thick, 2 left over, then the numbers of pieces. */
  private final int[] piece;

  private static final int THICK = 1;
  private static final int LEFT = 2;
  private static final int FIRST = 3;

  private ThinParts(DistanceField field, Parallel parallel) {
    this.field = field;
    this.grid = field.grid();
    this.nx = grid.nx();
    this.layer = nx * grid.ny();
    // the middle of what is just thick enough may lie half a cell from a cell's middle
    double deep = grid.h() / 2 - THIN_MM / 2;
    this.radius = -deep / grid.h();
    this.toBall =
        CellDistances.squared(nx, grid.ny(), grid.nz(), cell -> field.at(cell) <= deep, parallel);
    this.piece = new int[grid.count()];
    double reached = (radius + 1) * (radius + 1);
    for (int cell = 0; cell < piece.length; cell++) {
      if (field.at(cell) < 0) {
        piece[cell] = toBall[cell] <= reached ? THICK : LEFT;
      }
    }
  }

  /**
   * @return the longest first; few
   */
  public static List<ThinPart> of(TriangleMesh mesh, Parallel parallel, Progress progress) {
    Box3 b = mesh.bounds();
    double h =
        Math.max(
            Math.min(CELL_MM, Grid.spacing(b, Grid.DEFAULT_CELLS)),
            Math.cbrt(b.volume() / MOST_CELLS));
    Grid grid = Grid.round(b, 1.5 * h, h);
    DistanceField field =
        DistanceField.of(
            mesh, grid, new Reach(THIN_MM / 2 + h, Reach.UNSEEN), parallel, progress.part(0, 0.7));
    progress.at("Looking for thin limbs", 0.75);
    return new ThinParts(field, parallel).find();
  }

  private List<ThinPart> find() {
    List<ThinPart> found = new ArrayList<>();
    int next = FIRST;
    for (int cell = 0; cell < piece.length; cell++) {
      if (piece[cell] == LEFT) {
        int[] cells = flood(cell, LEFT, next++);
        ThinPart part = part(cells);
        if (part != null) {
          found.add(part);
        }
      }
    }
    found.sort(Comparator.comparingDouble((ThinPart p) -> -p.lengthMm()));
    return List.copyOf(found.subList(0, Math.min(MOST, found.size())));
  }

  private int[] flood(int seed, int from, int to) {
    int[] cells = new int[64];
    int count = 0;
    piece[seed] = to;
    cells[count++] = seed;
    for (int n = 0; n < count; n++) {
      for (int c = 0; c < 27; c++) {
        int at = beside(cells[n], c);
        if (piece[at] == from) {
          piece[at] = to;
          if (count == cells.length) {
            cells = Arrays.copyOf(cells, 2 * count);
          }
          cells[count++] = at;
        }
      }
    }
    return Arrays.copyOf(cells, count);
  }

  /**
   * A neighbour by its number. The outermost cells lie outside the body, so there always is one.
   */
  private int beside(int cell, int c) {
    return cell + c % 3 - 1 + (c / 3 % 3 - 1) * nx + (c / 9 - 1) * layer;
  }

  private ThinPart part(int[] cells) {
    double thickest = 0;
    float furthest = 0;
    for (int cell : cells) {
      thickest = Math.max(thickest, -2 * field.at(cell));
      furthest = Math.max(furthest, toBall[cell]);
    }
    boolean thickBody = furthest < 1e19f;
    if (thickBody && Math.sqrt(furthest) < 2 * radius) {
      return null;
    }
    Along along = new Along(cells);
    double length = along.length() * grid.h();
    if (length < SLENDER * thickest) {
      return null;
    }
    double volume = cells.length * grid.cellMm3();
    boolean wall = volume > WIDE * length * thickest * thickest;
    Kind kind = wall ? Kind.WALL : along.ends() > 1 ? Kind.NECK : Kind.LIMB;
    return new ThinPart(kind, thickest, length, along.tip(), along.root());
  }

  /** Ways along a piece from where it leaves the thick body, or from one of its ends. */
  private final class Along {
    private final int[] cells;
    private final double[] way;
    private int last;
    private int first;
    private final int ends;

    Along(int[] cells) {
      this.cells = cells.clone();
      Arrays.sort(this.cells);
      this.way = new double[cells.length];
      List<List<Integer>> roots = roots();
      ends = roots.size();
      if (ends > 0) {
        first = roots.get(0).get(0);
        measure(roots.get(0));
      } else {
        // from anywhere to one end, from there to the other
        measure(List.of(0));
        first = last;
        measure(List.of(first));
      }
    }

    /** Cells next to the thick body, one list for each place they hang together in. */
    private List<List<Integer>> roots() {
      boolean[] root = new boolean[cells.length];
      for (int n = 0; n < cells.length; n++) {
        for (int c = 0; c < 27; c++) {
          root[n] |= piece[beside(cells[n], c)] == THICK;
        }
      }
      List<List<Integer>> places = new ArrayList<>();
      for (int seed = 0; seed < cells.length; seed++) {
        if (!root[seed]) {
          continue;
        }
        List<Integer> place = new ArrayList<>(List.of(seed));
        root[seed] = false;
        for (int i = 0; i < place.size(); i++) {
          for (int c = 0; c < 27; c++) {
            int m = Arrays.binarySearch(cells, beside(cells[place.get(i)], c));
            if (m >= 0 && root[m]) {
              root[m] = false;
              place.add(m);
            }
          }
        }
        places.add(place);
      }
      return places;
    }

    private record Step(double way, int n) {}

    private void measure(List<Integer> from) {
      Arrays.fill(way, Double.POSITIVE_INFINITY);
      PriorityQueue<Step> open =
          new PriorityQueue<>(Comparator.comparingDouble(Step::way).thenComparingInt(Step::n));
      for (int n : from) {
        way[n] = 0;
        open.add(new Step(0, n));
      }
      while (!open.isEmpty()) {
        Step s = open.poll();
        if (s.way > way[s.n]) {
          continue;
        }
        last = s.n;
        for (int c = 0; c < 27; c++) {
          int m = Arrays.binarySearch(cells, beside(cells[s.n], c));
          if (m >= 0) {
            int steps = Math.abs(c % 3 - 1) + Math.abs(c / 3 % 3 - 1) + Math.abs(c / 9 - 1);
            double w = s.way + Math.sqrt(steps);
            if (w < way[m]) {
              way[m] = w;
              open.add(new Step(w, m));
            }
          }
        }
      }
    }

    double length() {
      return way[last];
    }

    /** In how many separate places it touches the thick body: two for a neck. */
    int ends() {
      return ends;
    }

    Vec3 tip() {
      return grid.centre(cells[last]);
    }

    Vec3 root() {
      return grid.centre(cells[first]);
    }
  }
}
