package ungula.core.mesh;

import java.util.Arrays;
import java.util.function.IntPredicate;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;

/**
 * Triangles over shared vertices, in millimetres. Corners run counter-clockwise seen from outside.
 *
 * <p>Guaranteed: at least one triangle, finite coordinates, corner indices in range. Not checked:
 * whether the surface is closed, consistently turned or free of self-intersection; {@link Topology}
 * and {@link ungula.core.study.MeshReport} tell.
 */
public final class TriangleMesh {

  /** Coordinates x, y, z per vertex: stride 3. */
  private final double[] xyz;

  /** Vertex indices per triangle: stride 3. */
  private final int[] corners;

  private final Box3 bounds;

  /**
   * Takes the arrays over; the caller no longer touches them.
   *
   * @throws IllegalArgumentException when something guaranteed above does not hold
   */
  public TriangleMesh(double[] xyz, int[] corners) {
    if (corners.length == 0 || corners.length % 3 != 0 || xyz.length % 3 != 0) {
      throw new IllegalArgumentException("A mesh needs whole triangles and whole vertices");
    }
    int vertices = xyz.length / 3;
    for (int c : corners) {
      if (c < 0 || c >= vertices) {
        throw new IllegalArgumentException("Corner " + c + " of " + vertices + " vertices");
      }
    }
    this.xyz = xyz;
    this.corners = corners;
    this.bounds = bounds(xyz);
  }

  private static Box3 bounds(double[] xyz) {
    double[] lo = {xyz[0], xyz[1], xyz[2]};
    double[] hi = lo.clone();
    double finite = 0;
    for (int i = 0; i < xyz.length; i += 3) {
      for (int a = 0; a < 3; a++) {
        double v = xyz[i + a];
        finite += v * 0;
        if (v < lo[a]) {
          lo[a] = v;
        } else if (v > hi[a]) {
          hi[a] = v;
        }
      }
    }
    if (finite != 0) {
      throw new IllegalArgumentException("A coordinate is not a finite number");
    }
    return new Box3(new Vec3(lo[0], lo[1], lo[2]), new Vec3(hi[0], hi[1], hi[2]));
  }

  public int triangleCount() {
    return corners.length / 3;
  }

  public int vertexCount() {
    return xyz.length / 3;
  }

  /** Vertex coordinates, stride 3. The mesh's own array: read only. */
  public double[] xyz() {
    return xyz;
  }

  /** Triangle corners, stride 3. The mesh's own array: read only. */
  public int[] corners() {
    return corners;
  }

  public Box3 bounds() {
    return bounds;
  }

  public Vec3 vertex(int v) {
    return new Vec3(xyz[3 * v], xyz[3 * v + 1], xyz[3 * v + 2]);
  }

  /** The bounds of a facet. */
  public Box3 bounds(int t) {
    double[] low = new double[3];
    double[] high = new double[3];
    for (int k = 0; k < 3; k++) {
      double a = xyz[3 * corners[3 * t] + k];
      double b = xyz[3 * corners[3 * t + 1] + k];
      double c = xyz[3 * corners[3 * t + 2] + k];
      low[k] = Math.min(a, Math.min(b, c));
      high[k] = Math.max(a, Math.max(b, c));
    }
    return new Box3(new Vec3(low[0], low[1], low[2]), new Vec3(high[0], high[1], high[2]));
  }

  /** The middle of a facet. */
  public Vec3 middle(int t) {
    Vec3 sum = vertex(corners[3 * t]).plus(vertex(corners[3 * t + 1]));
    return sum.plus(vertex(corners[3 * t + 2])).times(1 / 3.0);
  }

  /** A facet's outward direction, as long as its area. */
  public Vec3 areaVector(int t) {
    Vec3 a = vertex(corners[3 * t]);
    Vec3 b = vertex(corners[3 * t + 1]);
    return b.minus(a).cross(vertex(corners[3 * t + 2]).minus(a)).times(0.5);
  }

  /** The vertex furthest in a direction; of equal ones the first. */
  public Vec3 furthest(Vec3 d) {
    int best = 0;
    double most = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < xyz.length; i += 3) {
      double at = d.x() * xyz[i] + d.y() * xyz[i + 1] + d.z() * xyz[i + 2];
      if (at > most) {
        most = at;
        best = i / 3;
      }
    }
    return vertex(best);
  }

  /** This mesh scaled about the origin, turned, then moved. */
  public TriangleMesh moved(double scale, Rotation turn, Vec3 shift) {
    double[] m = turn.matrix();
    double[] out = new double[xyz.length];
    for (int i = 0; i < xyz.length; i += 3) {
      double x = xyz[i] * scale;
      double y = xyz[i + 1] * scale;
      double z = xyz[i + 2] * scale;
      out[i] = m[0] * x + m[1] * y + m[2] * z + shift.x();
      out[i + 1] = m[3] * x + m[4] * y + m[5] * z + shift.y();
      out[i + 2] = m[6] * x + m[7] * y + m[8] * z + shift.z();
    }
    return new TriangleMesh(out, corners);
  }

  /** With another inside it, turned inside out: what is between the two. */
  public TriangleMesh less(TriangleMesh other) {
    double[] places = Arrays.copyOf(xyz, xyz.length + other.xyz.length);
    System.arraycopy(other.xyz, 0, places, xyz.length, other.xyz.length);
    int[] all = Arrays.copyOf(corners, corners.length + other.corners.length);
    for (int c = 0; c < other.corners.length; c++) {
      all[all.length - 1 - c] = other.corners[c] + vertexCount();
    }
    return new TriangleMesh(places, all);
  }

  /** The facets that pass, with the vertices they use. */
  public TriangleMesh only(IntPredicate facets) {
    int[] index = new int[vertexCount()];
    Arrays.fill(index, -1);
    double[] kept = new double[xyz.length];
    int[] used = new int[corners.length];
    int vertices = 0;
    int n = 0;
    for (int k = 0; k < corners.length; k++) {
      if (!facets.test(k / 3)) {
        continue;
      }
      int v = corners[k];
      if (index[v] < 0) {
        System.arraycopy(xyz, 3 * v, kept, 3 * vertices, 3);
        index[v] = vertices++;
      }
      used[n++] = index[v];
    }
    return new TriangleMesh(Arrays.copyOf(kept, 3 * vertices), Arrays.copyOf(used, n));
  }

  /** Volume enclosed and area, signed volume by the divergence theorem: Σ a·(b×c)/6. */
  public Measure measure() {
    Vec3 o = bounds.centre();
    double volume6 = 0;
    double area2 = 0;
    double mx = 0;
    double my = 0;
    double mz = 0;
    for (int t = 0; t < corners.length; t += 3) {
      int a = 3 * corners[t];
      int b = 3 * corners[t + 1];
      int c = 3 * corners[t + 2];
      double ax = xyz[a] - o.x();
      double ay = xyz[a + 1] - o.y();
      double az = xyz[a + 2] - o.z();
      double bx = xyz[b] - o.x();
      double by = xyz[b + 1] - o.y();
      double bz = xyz[b + 2] - o.z();
      double cx = xyz[c] - o.x();
      double cy = xyz[c + 1] - o.y();
      double cz = xyz[c + 2] - o.z();
      double det = ax * (by * cz - bz * cy) + ay * (bz * cx - bx * cz) + az * (bx * cy - by * cx);
      volume6 += det;
      mx += det * (ax + bx + cx);
      my += det * (ay + by + cy);
      mz += det * (az + bz + cz);
      double ux = bx - ax;
      double uy = by - ay;
      double uz = bz - az;
      double vx = cx - ax;
      double vy = cy - ay;
      double vz = cz - az;
      double nx = uy * vz - uz * vy;
      double ny = uz * vx - ux * vz;
      double nz = ux * vy - uy * vx;
      area2 += Math.sqrt(nx * nx + ny * ny + nz * nz);
    }
    Vec3 centroid =
        Math.abs(volume6) < 1e-12 * bounds.diagonal() * area2
            ? o
            : o.plus(new Vec3(mx, my, mz).times(0.25 / volume6));
    return new Measure(volume6 / 6, area2 / 2, centroid);
  }

  /**
   * @param volumeMm3 negative when the surface faces inwards
   * @param areaMm2 of all triangles
   * @param centroidMm of the enclosed volume; the middle of the bounds when nothing is enclosed
   */
  public record Measure(double volumeMm3, double areaMm2, Vec3 centroidMm) {}

  /** Collects triangles, welding equal vertices; freezes once. */
  public static final class Builder {

    private final VertexWelder welder;
    private int[] corners;
    private int used;
    private int collapsed;

    /**
     * @param expectedTriangles a guess that saves growing; any value works
     */
    public Builder(int expectedTriangles) {
      int room = Math.max(16, Math.min(expectedTriangles, 1 << 20));
      this.welder = new VertexWelder(room / 2 + 8);
      this.corners = new int[3 * room];
    }

    /**
     * @return the index of this vertex, the same for equal coordinates
     */
    public int vertex(double x, double y, double z) {
      return welder.index(x, y, z);
    }

    /**
     * Adds a triangle over vertex indices; one that collapsed in welding is counted and dropped.
     */
    public void triangle(int a, int b, int c) {
      if (a == b || b == c || c == a) {
        collapsed++;
        return;
      }
      if (used + 3 > corners.length) {
        corners = Arrays.copyOf(corners, (int) Math.min(Integer.MAX_VALUE - 8, used * 2L));
      }
      corners[used++] = a;
      corners[used++] = b;
      corners[used++] = c;
    }

    public int triangleCount() {
      return used / 3;
    }

    /** Triangles dropped because two corners fell together. */
    public int collapsed() {
      return collapsed;
    }

    public TriangleMesh build() {
      return new TriangleMesh(welder.coordinates(), Arrays.copyOf(corners, used));
    }
  }
}
