package ungula.core.mesh;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import ungula.core.geometry.Vec3;

/**
 * The convex hull of a cloud of points, by Quickhull (Barber, Dobkin, Huhdanpaa: The Quickhull
 * Algorithm for Convex Hulls, ACM TOMS 22(4), 1996), in three dimensions, with the outside sets as
 * linked lists over the points.
 *
 * <p>Points closer to the hull than {@link #TOLERANCE} times the cloud's diagonal are treated as
 * lying on it, which bounds the hull volume's error by hull area × that distance.
 */
public final class ConvexHull {

  /** Buys robustness and half the facets of a dense ball; costs under 1e-4 of its volume. */
  private static final double TOLERANCE = 2e-5;

  private static final int NONE = -1;

  private final double[] xyz;
  private final double eps;
  private final int[] nextPoint;

  // per face: stride 3 for corners and neighbours (across the edge corner k → k+1), 4 for the plane
  private int[] corner = new int[3 * 256];
  private int[] neighbour = new int[3 * 256];
  private double[] plane = new double[4 * 256];
  private int[] outside = new int[256];
  private int[] farthest = new int[256];
  private double[] farthestBy = new double[256];
  private boolean[] dead = new boolean[256];
  private int faces;

  private int[] horizon = new int[64];
  private int horizonLength;
  private final List<Integer> visible = new ArrayList<>();

  private ConvexHull(double[] xyz, double diagonal) {
    this.xyz = xyz;
    this.eps = TOLERANCE * diagonal;
    this.nextPoint = new int[xyz.length / 3];
  }

  /**
   * @return the hull as a closed mesh, or the mesh's own triangles when it is too flat to have one
   */
  public static TriangleMesh of(TriangleMesh mesh) {
    ConvexHull hull = new ConvexHull(mesh.xyz(), mesh.bounds().diagonal());
    return hull.run() ? hull.result() : mesh;
  }

  /**
   * Flat faces of a hull large enough to rest on, by falling area.
   *
   * @param hull as made by {@link #of}
   * @param degrees how far the normals in one flat face may lean apart
   */
  public static List<FlatFace> flatFaces(TriangleMesh hull, double degrees) {
    double cos = Math.cos(Math.toRadians(degrees));
    Topology topology = Topology.of(hull);
    int n = hull.triangleCount();
    Vec3[] normal = new Vec3[n];
    double[] area = new double[n];
    Integer[] order = new Integer[n];
    for (int t = 0; t < n; t++) {
      Vec3 vector = hull.areaVector(t);
      area[t] = vector.norm();
      normal[t] = area[t] > 0 ? vector.unit() : Vec3.ZERO;
      order[t] = t;
    }
    Arrays.sort(order, (p, q) -> Double.compare(area[q], area[p]));
    boolean[] taken = new boolean[n];
    List<FlatFace> found = new ArrayList<>();
    int[] stack = new int[n];
    for (int seed : order) {
      if (taken[seed] || area[seed] == 0) {
        continue;
      }
      double sum = 0;
      Vec3 lean = Vec3.ZERO;
      int depth = 0;
      stack[depth++] = seed;
      taken[seed] = true;
      while (depth > 0) {
        int t = stack[--depth];
        sum += area[t];
        lean = lean.plus(normal[t].times(area[t]));
        for (int k = 0; k < 3; k++) {
          int g = topology.neighbour(t, k);
          if (g >= 0 && !taken[g] && normal[g].dot(normal[seed]) >= cos) {
            taken[g] = true;
            stack[depth++] = g;
          }
        }
      }
      found.add(new FlatFace(lean.unit(), sum));
    }
    found.sort((p, q) -> Double.compare(q.areaMm2(), p.areaMm2()));
    return found;
  }

  /** A face of a hull: which way it faces and how large it is. */
  public record FlatFace(Vec3 normal, double areaMm2) {}

  private boolean run() {
    if (!firstTetrahedron()) {
      return false;
    }
    for (int f = 0; f < faces; f++) {
      while (!dead[f] && outside[f] != NONE) {
        addPoint(f);
      }
    }
    return true;
  }

  private boolean firstTetrahedron() {
    int n = xyz.length / 3;
    int[] ends = new int[6];
    for (int p = 0; p < n; p++) {
      for (int a = 0; a < 3; a++) {
        if (xyz[3 * p + a] < xyz[3 * ends[2 * a] + a]) {
          ends[2 * a] = p;
        }
        if (xyz[3 * p + a] > xyz[3 * ends[2 * a + 1] + a]) {
          ends[2 * a + 1] = p;
        }
      }
    }
    int p0 = 0;
    int p1 = 0;
    double best = 0;
    for (int i : ends) {
      for (int j : ends) {
        double d = at(i).minus(at(j)).norm();
        if (d > best) {
          best = d;
          p0 = i;
          p1 = j;
        }
      }
    }
    if (best <= eps) {
      return false;
    }
    Vec3 base = at(p0);
    Vec3 along = at(p1).minus(base).unit();
    int p2 = NONE;
    best = eps;
    for (int p = 0; p < n; p++) {
      Vec3 d = at(p).minus(base);
      double off = d.minus(along.times(d.dot(along))).norm();
      if (off > best) {
        best = off;
        p2 = p;
      }
    }
    if (p2 == NONE) {
      return false;
    }
    Vec3 normal = at(p1).minus(base).cross(at(p2).minus(base)).unit();
    int p3 = NONE;
    best = eps;
    for (int p = 0; p < n; p++) {
      double off = Math.abs(at(p).minus(base).dot(normal));
      if (off > best) {
        best = off;
        p3 = p;
      }
    }
    if (p3 == NONE) {
      return false;
    }
    if (at(p3).minus(base).dot(normal) > 0) {
      int swap = p1;
      p1 = p2;
      p2 = swap;
    }
    int f0 = face(p0, p1, p2);
    int f1 = face(p0, p3, p1);
    int f2 = face(p1, p3, p2);
    int f3 = face(p2, p3, p0);
    link(f0, f1, f2, f3);
    link(f1, f3, f2, f0);
    link(f2, f1, f3, f0);
    link(f3, f2, f1, f0);
    for (int p = 0; p < n; p++) {
      give(p, 0, faces);
    }
    return true;
  }

  private Vec3 at(int p) {
    return new Vec3(xyz[3 * p], xyz[3 * p + 1], xyz[3 * p + 2]);
  }

  private void link(int f, int n0, int n1, int n2) {
    neighbour[3 * f] = n0;
    neighbour[3 * f + 1] = n1;
    neighbour[3 * f + 2] = n2;
  }

  private int face(int a, int b, int c) {
    if (faces == outside.length) {
      int room = 2 * faces;
      corner = Arrays.copyOf(corner, 3 * room);
      neighbour = Arrays.copyOf(neighbour, 3 * room);
      plane = Arrays.copyOf(plane, 4 * room);
      outside = Arrays.copyOf(outside, room);
      farthest = Arrays.copyOf(farthest, room);
      farthestBy = Arrays.copyOf(farthestBy, room);
      dead = Arrays.copyOf(dead, room);
    }
    int f = faces++;
    corner[3 * f] = a;
    corner[3 * f + 1] = b;
    corner[3 * f + 2] = c;
    outside[f] = NONE;
    farthest[f] = NONE;
    farthestBy[f] = eps;
    double ux = xyz[3 * b] - xyz[3 * a];
    double uy = xyz[3 * b + 1] - xyz[3 * a + 1];
    double uz = xyz[3 * b + 2] - xyz[3 * a + 2];
    double vx = xyz[3 * c] - xyz[3 * a];
    double vy = xyz[3 * c + 1] - xyz[3 * a + 1];
    double vz = xyz[3 * c + 2] - xyz[3 * a + 2];
    double nx = uy * vz - uz * vy;
    double ny = uz * vx - ux * vz;
    double nz = ux * vy - uy * vx;
    double s = Math.sqrt(nx * nx + ny * ny + nz * nz);
    double k = s > 0 ? 1 / s : 0;
    plane[4 * f] = nx * k;
    plane[4 * f + 1] = ny * k;
    plane[4 * f + 2] = nz * k;
    plane[4 * f + 3] = (nx * xyz[3 * a] + ny * xyz[3 * a + 1] + nz * xyz[3 * a + 2]) * k;
    return f;
  }

  private double above(int f, int p) {
    return plane[4 * f] * xyz[3 * p]
        + plane[4 * f + 1] * xyz[3 * p + 1]
        + plane[4 * f + 2] * xyz[3 * p + 2]
        - plane[4 * f + 3];
  }

  /** Puts a point into the outside set of the first face in a range that it is above. */
  private void give(int p, int from, int to) {
    for (int f = from; f < to; f++) {
      double d = above(f, p);
      if (d > eps) {
        nextPoint[p] = outside[f];
        outside[f] = p;
        if (d > farthestBy[f]) {
          farthestBy[f] = d;
          farthest[f] = p;
        }
        return;
      }
    }
  }

  private void addPoint(int start) {
    int apex = farthest[start];
    visible.clear();
    horizonLength = 0;
    walk(start, 0, 3, apex);
    int first = faces;
    int count = horizonLength / 3;
    for (int i = 0; i < count; i++) {
      int f = face(horizon[3 * i], horizon[3 * i + 1], apex);
      int beyond = horizon[3 * i + 2];
      neighbour[3 * f] = beyond;
      for (int k = 0; k < 3; k++) {
        if (corner[3 * beyond + k] == horizon[3 * i + 1]
            && corner[3 * beyond + (k + 1) % 3] == horizon[3 * i]) {
          neighbour[3 * beyond + k] = f;
        }
      }
      neighbour[3 * f + 1] = first + (i + 1) % count;
      neighbour[3 * f + 2] = first + (i + count - 1) % count;
    }
    for (int f : visible) {
      int p = outside[f];
      while (p != NONE) {
        int following = nextPoint[p];
        if (p != apex) {
          give(p, first, faces);
        }
        p = following;
      }
      outside[f] = NONE;
    }
  }

  /**
   * Marks the faces the apex can see, and lists the edges beyond which it cannot, in order round
   * the opening: from, to, face beyond.
   */
  private void walk(int face, int entry, int edges, int apex) {
    // an explicit stack: face and how many of its edges are still to look over
    int[] stack = {face, entry, edges};
    int depth = 3;
    dead[face] = true;
    visible.add(face);
    while (depth > 0) {
      int f = stack[depth - 3];
      int k = stack[depth - 2];
      int left = stack[depth - 1];
      if (left == 0) {
        depth -= 3;
        continue;
      }
      stack[depth - 2] = (k + 1) % 3;
      stack[depth - 1] = left - 1;
      int g = neighbour[3 * f + k];
      if (dead[g]) {
        continue;
      }
      if (above(g, apex) > eps * 1e-3) {
        dead[g] = true;
        visible.add(g);
        int back = 0;
        while (neighbour[3 * g + back] != f
            || corner[3 * g + back] != corner[3 * f + (k + 1) % 3]) {
          back++;
        }
        if (depth + 3 > stack.length) {
          stack = Arrays.copyOf(stack, 2 * stack.length + 3);
        }
        stack[depth] = g;
        stack[depth + 1] = (back + 1) % 3;
        stack[depth + 2] = 2;
        depth += 3;
      } else {
        if (horizonLength + 3 > horizon.length) {
          horizon = Arrays.copyOf(horizon, 2 * horizon.length);
        }
        horizon[horizonLength++] = corner[3 * f + k];
        horizon[horizonLength++] = corner[3 * f + (k + 1) % 3];
        horizon[horizonLength++] = g;
      }
    }
  }

  private TriangleMesh result() {
    TriangleMesh.Builder b = new TriangleMesh.Builder(faces);
    for (int f = 0; f < faces; f++) {
      if (!dead[f]) {
        b.triangle(
            vertex(b, corner[3 * f]), vertex(b, corner[3 * f + 1]), vertex(b, corner[3 * f + 2]));
      }
    }
    return b.build();
  }

  private int vertex(TriangleMesh.Builder b, int p) {
    return b.vertex(xyz[3 * p], xyz[3 * p + 1], xyz[3 * p + 2]);
  }
}
