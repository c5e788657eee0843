package ungula.core.air;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import ungula.core.field.Grid;
import ungula.core.field.InsideCells;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.SurfacePoint;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mesh.TriangleTree;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * The surface that bounds a room, its facets facing out of the room, with what looking for air in
 * any direction needs of it. There is one only where it bounds the room: closed, and winding round
 * every place once or not at all, and of no more than so many facets. Safe to share between
 * threads.
 */
final class RoomSurface {

  /** Rows along each side that are looked along for places wound round more than once. */
  private static final int ROWS = 96;

  /** More take a surface too much room: a hundred bytes a facet, and two of them at a time. */
  private static final int MOST_FACETS = 1_500_000;

  /** A body may reach past its box by this share of the diagonal. */
  private static final double TOUCHES = 1e-7;

  /** What is nearer to the surface than this share of the diagonal is on it. */
  private static final double ON_SURFACE = 1e-6;

  private final TriangleMesh mesh;

  /** Per vertex where its neighbours begin; one more at the end. */
  private final int[] start;

  /** Neighbours of each vertex, some of them twice. */
  private final int[] neighbours;

  /** Vertices that lie on the floor of the room: nothing passes between them and it. */
  private final BitSet onFloor;

  private final boolean floored;

  /** Of each facet its outward direction, as long as its area: stride 3. */
  private final double[] areas;

  private final TriangleTree tree;

  private RoomSurface(TriangleMesh mesh, BitSet onFloor) {
    this.mesh = mesh;
    this.onFloor = onFloor;
    this.floored = !onFloor.isEmpty();
    int[] c = mesh.corners();
    int n = mesh.vertexCount();
    start = new int[n + 1];
    for (int corner : c) {
      start[corner + 1] += 1;
    }
    for (int v = 0; v < n; v++) {
      start[v + 1] += start[v];
    }
    // a closed surface runs through each edge both ways: one neighbour a corner is enough
    neighbours = new int[c.length];
    int[] fill = Arrays.copyOf(start, n);
    for (int h = 0; h < c.length; h++) {
      neighbours[fill[c[h]]++] = c[h % 3 == 2 ? h - 2 : h + 1];
    }
    areas = new double[c.length];
    for (int t = 0; t < c.length / 3; t++) {
      Vec3 area = mesh.areaVector(t);
      areas[3 * t] = area.x();
      areas[3 * t + 1] = area.y();
      areas[3 * t + 2] = area.z();
    }
    tree = TriangleTree.of(mesh);
  }

  /** Of the inside of a mesh; empty where the mesh does not bound one. */
  static Optional<RoomSurface> cavity(TriangleMesh mesh, Parallel parallel, Progress progress) {
    return once(mesh, parallel, progress).map(turned -> new RoomSurface(turned, new BitSet()));
  }

  /**
   * Of the inside of a box less a body in it.
   *
   * @param lyingMm what is no further from the box's floor lies on it
   */
  static Optional<RoomSurface> round(
      TriangleMesh body, Box3 box, double lyingMm, Parallel parallel, Progress progress) {
    double slack = TOUCHES * box.diagonal();
    Vec3 low = body.bounds().min().minus(box.min());
    Vec3 high = box.max().minus(body.bounds().max());
    boolean within =
        low.x() > slack
            && low.y() > slack
            && low.z() > -slack
            && high.x() > slack
            && high.y() > slack
            && high.z() > slack;
    return within
        ? once(body, parallel, progress).map(turned -> boxed(turned, box, lyingMm))
        : Optional.empty();
  }

  private static RoomSurface boxed(TriangleMesh body, Box3 box, double lyingMm) {
    int n = body.vertexCount();
    double[] xyz = Arrays.copyOf(body.xyz(), 3 * n + 24);
    int[] out = body.corners();
    int[] corners = Arrays.copyOf(out, out.length + 36);
    for (int h = 0; h < out.length; h += 3) {
      corners[h + 1] = out[h + 2];
      corners[h + 2] = out[h + 1];
    }
    for (int v = 0; v < 8; v++) {
      xyz[3 * (n + v)] = ((v & 1) == 0 ? box.min() : box.max()).x();
      xyz[3 * (n + v) + 1] = ((v & 2) == 0 ? box.min() : box.max()).y();
      xyz[3 * (n + v) + 2] = ((v & 4) == 0 ? box.min() : box.max()).z();
    }
    int[] faces = {
      0, 2, 1, 1, 2, 3, 4, 5, 6, 5, 7, 6, 0, 1, 4, 1, 5, 4, 2, 6, 3, 3, 6, 7, 0, 4, 2, 2, 4, 6, 1,
      3, 5, 3, 7, 5
    };
    for (int i = 0; i < faces.length; i++) {
      corners[out.length + i] = n + faces[i];
    }
    BitSet onFloor = new BitSet();
    for (int v = 0; v < n; v++) {
      onFloor.set(v, xyz[3 * v + 2] <= box.min().z() + lyingMm);
    }
    return new RoomSurface(new TriangleMesh(xyz, corners), onFloor);
  }

  /** The mesh facing outwards, where it winds round every place once or not at all. */
  private static Optional<TriangleMesh> once(
      TriangleMesh mesh, Parallel parallel, Progress progress) {
    if (mesh.triangleCount() > MOST_FACETS || !InsideCells.bounds(mesh)) {
      return Optional.empty();
    }
    Grid grid = Grid.round(mesh.bounds(), 0, mesh.bounds().longest() / ROWS);
    return switch (InsideCells.wound(mesh, grid, parallel, progress)) {
      case OUTWARDS -> Optional.of(mesh);
      case INWARDS -> Optional.of(turned(mesh));
      case OTHERWISE -> Optional.empty();
    };
  }

  private static TriangleMesh turned(TriangleMesh mesh) {
    int[] corners = mesh.corners().clone();
    for (int h = 0; h < corners.length; h += 3) {
      int swap = corners[h + 1];
      corners[h + 1] = corners[h + 2];
      corners[h + 2] = swap;
    }
    return new TriangleMesh(mesh.xyz(), corners);
  }

  /**
   * A way out.
   *
   * @param facet it is in; −1 for one in the middle of the room or for whole levels
   * @param at mm; null for whole levels
   * @param vertices that are open; null where those are that are highest
   * @param layerMm what is no further below the highest vertex is open with it
   */
  record Mouth(int facet, Vec3 at, BitSet vertices, double layerMm) {}

  /** The openings on this surface; those that lead nowhere are left out. */
  List<Mouth> mouths(Room room, List<Opening> openings) {
    List<Mouth> all = new ArrayList<>();
    for (Opening o : openings) {
      switch (o.where()) {
        case WHOLE_TOP -> all.add(new Mouth(-1, null, layer(Vec3.UP, room.grid().h()), 0));
        case WHOLE_BASE ->
            all.add(new Mouth(-1, null, layer(Vec3.UP.times(-1), room.grid().h()), 0));
        case TOP_LEVEL -> all.add(new Mouth(-1, null, null, room.grid().h()));
        case HIGHEST -> all.add(new Mouth(-1, null, null, ON_SURFACE * mesh.bounds().diagonal()));
        case HOLE -> hole(o.at(), room.grid().h()).ifPresent(all::add);
      }
    }
    return all;
  }

  /** Vertices less than a layer from the one furthest in a direction. */
  private BitSet layer(Vec3 to, double thickMm) {
    double least = mesh.furthest(to).dot(to) - thickMm;
    BitSet all = new BitSet();
    for (int v = 0; v < mesh.vertexCount(); v++) {
      all.set(v, mesh.vertex(v).dot(to) > least);
    }
    return all;
  }

  /** On the surface, or where it is in the room; else on the surface when it is near. */
  private Optional<Mouth> hole(Vec3 at, double cellMm) {
    SurfacePoint nearest = SurfacePoint.nearest(mesh, at);
    Vec3 on = nearest.on(mesh);
    double off = on.minus(at).norm();
    if (off > ON_SURFACE * mesh.bounds().diagonal() && holds(at, Vec3.UP)) {
      return Optional.of(new Mouth(-1, at, null, 0));
    }
    return off > Room.REACH_CELLS * cellMm
        ? Optional.empty()
        : Optional.of(new Mouth(nearest.facet(), on, null, 0));
  }

  /** Whether a place is in the room, looking from there in a direction. */
  private boolean holds(Vec3 at, Vec3 along) {
    return over(at.x(), at.y(), at.z(), along) >= 0;
  }

  /** The facet over a place in the room; −1 where the place is outside of it. */
  int over(double x, double y, double z, Vec3 up) {
    int met = tree.firstMet(x, y, z, up.x(), up.y(), up.z(), -1);
    return met >= 0 && towards(met, up) > 0 ? met : -1;
  }

  TriangleTree tree() {
    return tree;
  }

  /** A facet's area, mm², as seen from a direction (of length one): less than 0 from behind. */
  double towards(int facet, Vec3 d) {
    int a = 3 * facet;
    return areas[a] * d.x() + areas[a + 1] * d.y() + areas[a + 2] * d.z();
  }

  TriangleMesh mesh() {
    return mesh;
  }

  /** Where the neighbours of a vertex begin. */
  int first(int vertex) {
    return start[vertex];
  }

  int neighbour(int n) {
    return neighbours[n];
  }

  /** Whether a vertex lies on the floor of the room: nothing passes between it and that. */
  boolean onFloor(int vertex) {
    return floored && onFloor.get(vertex);
  }
}
