package ungula.core.filling;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import ungula.core.air.Room;
import ungula.core.field.CellDistances;
import ungula.core.field.Grid;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;

/**
 * A cavity by cells twice as large as those it is known by: how much of each lies within, and how
 * wide it is there, the radius of the largest ball within that reaches the cell (local thickness:
 * T. Hildebrand and P. Rüegsegger, 1997).
 *
 * <p>Where it is wide the balls' radii are distances between cells, right to half a cell; where it
 * is thin, half of what lies between a place on the surface and the one opposite, so that they are
 * those of a plate or a tube however coarse the cells.
 *
 * @param filled share of each cell that lies within; 0 outside
 * @param width radius, mm; 0 outside
 */
record CavityCells(Grid grid, float[] filled, float[] width) {

  /** Wide is what a ball of so many cells fits in. */
  private static final double WIDE = 5;

  /** Of balls about as large whose middles are no further apart, in radii, one is enough. */
  private static final double NEAR = 0.25;

  /** Cells tell a thin place's radius to so much, in cells. */
  private static final double UNTOLD = 1.25;

  static CavityCells of(Room cavity, Parallel parallel) {
    return new Measuring(cavity, parallel).cells();
  }

  /** Whether a cell lies within. */
  boolean has(int cell) {
    return width[cell] > 0;
  }

  private static final class Measuring {
    private final Room cavity;
    private final Parallel parallel;
    private final Grid grid;
    private final float[] filled;

    /** How deep within each cell's middle is, mm; 0 outside. */
    private final float[] depth;

    private final float[] width;

    /** About how large, and where, balls are already. */
    private final Set<List<Long>> added = new HashSet<>();

    Measuring(Room cavity, Parallel parallel) {
      this.cavity = cavity;
      this.parallel = parallel;
      Grid fine = cavity.grid();
      double h = 2 * fine.h();
      Vec3 first = fine.origin().plus(new Vec3(1, 1, 1).times(-1.5 * fine.h()));
      // a cell more on every side: each within has 26 neighbours
      this.grid = new Grid(first, h, fine.nx() / 2 + 3, fine.ny() / 2 + 3, fine.nz() / 2 + 3);
      this.filled = new float[grid.count()];
      share(fine);
      this.depth = new float[filled.length];
      this.width = new float[filled.length];
    }

    /** Eighths of the larger cells. */
    private void share(Grid fine) {
      int layer = grid.nx() * grid.ny();
      for (int k = 0; k < fine.nz(); k++) {
        for (int j = 0; j < fine.ny(); j++) {
          int row = fine.index(0, j, k);
          int into = (k + 2) / 2 * layer + (j + 2) / 2 * grid.nx();
          for (int i = 0; i < fine.nx(); i++) {
            if (cavity.open(row + i)) {
              filled[into + (i + 2) / 2] += 0.125f;
            }
          }
        }
      }
    }

    CavityCells cells() {
      float[] squared =
          CellDistances.squared(
              grid.nx(), grid.ny(), grid.nz(), cell -> !(filled[cell] > 0.5), parallel);
      for (int cell = 0; cell < depth.length; cell++) {
        // the surface lies half a cell before the next middle outside
        depth[cell] = (float) (Math.max(0, Math.sqrt(squared[cell]) - 0.5) * grid.h());
      }
      wide();
      thin();
      float[] reached = width.clone();
      for (int cell = 0; cell < width.length; cell++) {
        float least = (float) Math.max(depth[cell], grid.h() / 4);
        width[cell] = filled[cell] > 0 ? Math.max(beside(reached, cell), least) : 0;
      }
      return new CavityCells(grid, filled, width);
    }

    /** What reaches a cell; one at the surface whose middle nothing reaches, its neighbours. */
    private float beside(float[] reached, int cell) {
      float most = reached[cell];
      if (most == 0) {
        for (int c = 0; c < 27; c++) {
          most = Math.max(most, reached[neighbour(cell, c)]);
        }
      }
      return most;
    }

    private int neighbour(int cell, int c) {
      return cell + c % 3 - 1 + (c / 3 % 3 - 1) * grid.nx() + (c / 9 - 1) * grid.nx() * grid.ny();
    }

    /** Balls where it is deepest. */
    private void wide() {
      List<double[]> balls = new ArrayList<>();
      for (int cell = 0; cell < depth.length; cell++) {
        if (depth[cell] >= WIDE * grid.h() && deepest(cell)) {
          Vec3 at = grid.centre(cell);
          balls.add(new double[] {at.x(), at.y(), at.z(), depth[cell]});
        }
      }
      add(balls);
    }

    /** Whether no neighbour is deeper by about as much as it is further in. */
    private boolean deepest(int cell) {
      for (int c = 0; c < 27; c++) {
        int x = c % 3 - 1;
        int y = c / 3 % 3 - 1;
        int z = c / 9 - 1;
        double apart = Math.sqrt(x * x + y * y + z * z) * grid.h();
        if (depth[neighbour(cell, c)] - depth[cell] > 0.7 * apart) {
          return false;
        }
      }
      return true;
    }

    /** Balls under the facets no wide one reaches. */
    private void thin() {
      TriangleMesh mesh = cavity.body();
      boolean[] seen = seen(mesh);
      int shares = 64;
      List<List<double[]>> found = new ArrayList<>();
      for (int n = 0; n < shares; n++) {
        found.add(new ArrayList<>());
      }
      parallel.each(
          shares,
          n -> {
            int to = (int) ((long) seen.length * (n + 1) / shares);
            for (int t = (int) ((long) seen.length * n / shares); t < to; t++) {
              if (seen[t]) {
                onFacet(mesh, t, found.get(n));
              }
            }
          });
      add(found.stream().flatMap(List::stream).toList());
    }

    /** Facets smaller than a cell are looked at where enough of them have gone by. */
    private boolean[] seen(TriangleMesh mesh) {
      boolean[] seen = new boolean[mesh.triangleCount()];
      double place = grid.h() * grid.h();
      double area = 0;
      for (int t = 0; t < seen.length; t++) {
        area += mesh.areaVector(t).norm();
        seen[t] = area >= place;
        area = seen[t] ? area % place : area;
      }
      return seen;
    }

    /** In rows along the longest side of a facet. */
    private void onFacet(TriangleMesh mesh, int t, List<double[]> balls) {
      Vec3[] corner = new Vec3[3];
      for (int c = 0; c < 3; c++) {
        corner[c] = mesh.vertex(mesh.corners()[3 * t + c]);
      }
      int first = 0;
      double length = 0;
      for (int c = 0; c < 3; c++) {
        double side = corner[(c + 1) % 3].minus(corner[c]).norm();
        first = side > length ? c : first;
        length = Math.max(length, side);
      }
      Vec3 a = corner[first];
      Vec3 along = corner[(first + 1) % 3].minus(a);
      Vec3 up = corner[(first + 2) % 3].minus(a);
      Vec3 in = up.cross(along);
      Vec3 down = in.unit();
      int rows = (int) Math.ceil(in.norm() / length / grid.h());
      for (int row = 0; row < rows; row++) {
        double high = (row + 0.5) / rows;
        int places = (int) Math.ceil((1 - high) * length / grid.h());
        for (int n = 0; n < places; n++) {
          double on = (1 - high) * (n + 0.5) / places;
          ball(a.plus(along.times(on)).plus(up.times(high)), down, t, balls);
        }
      }
    }

    private void ball(Vec3 at, Vec3 down, int t, List<double[]> balls) {
      if (width[grid.at(at.plus(down.times(grid.h())))] > 0) {
        return;
      }
      double half = cavity.through(at, down, t) / 2;
      Vec3 middle = at.plus(down.times(half));
      // as near as cells can tell, it is bounded by the two places opposite each other
      if (half <= depth[grid.at(middle)] + UNTOLD * grid.h()) {
        balls.add(new double[] {middle.x(), middle.y(), middle.z(), half});
      }
    }

    private void add(List<double[]> balls) {
      double[][] largest = balls.toArray(double[][]::new);
      Arrays.sort(largest, Comparator.comparingDouble(b -> -b[3]));
      for (double[] ball : largest) {
        double r = ball[3];
        int size = Math.getExponent(r);
        double near = NEAR * Math.scalb(1.0, size);
        boolean alone =
            added.add(
                List.of(
                    (long) size,
                    Math.round(ball[0] / near),
                    Math.round(ball[1] / near),
                    Math.round(ball[2] / near)));
        if (alone) {
          add(ball, r);
        }
      }
    }

    private void add(double[] middle, double r) {
      double h = grid.h();
      int k0 = (int) Math.max(0, Math.ceil((middle[2] - r - grid.z(0)) / h));
      int k1 = (int) Math.min(grid.nz() - 1, Math.floor((middle[2] + r - grid.z(0)) / h));
      for (int k = k0; k <= k1; k++) {
        double dz = grid.z(k) - middle[2];
        double slice = Math.sqrt(Math.max(0, r * r - dz * dz));
        int j0 = (int) Math.max(0, Math.ceil((middle[1] - slice - grid.y(0)) / h));
        int j1 = (int) Math.min(grid.ny() - 1, Math.floor((middle[1] + slice - grid.y(0)) / h));
        for (int j = j0; j <= j1; j++) {
          double dy = grid.y(j) - middle[1];
          double half = Math.sqrt(Math.max(0, slice * slice - dy * dy));
          int i0 = (int) Math.max(0, Math.ceil((middle[0] - half - grid.x(0)) / h));
          int i1 = (int) Math.min(grid.nx() - 1, Math.floor((middle[0] + half - grid.x(0)) / h));
          int row = grid.index(0, j, k);
          for (int cell = row + i0; cell <= row + i1; cell++) {
            width[cell] = Math.max(width[cell], (float) r);
          }
        }
      }
    }
  }
}
