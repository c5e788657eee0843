package ungula.core.mesh.io;

import java.util.Arrays;
import ungula.core.mesh.TriangleMesh;

/** Faces of many corners, cut into triangles by clipping ears in the face's own plane. */
final class Polygons {

  /** Of one face: cutting more into triangles takes longer than anybody waits. */
  static final int MOST_CORNERS = 20_000;

  /** Corners looked at for ears over a whole file: about ten seconds. */
  private static final long MOST_WORK = 4_000_000_000L;

  /** Corners looked at between two looks at whether anybody still waits. */
  private static final long TICK = 10_000_000;

  private final ByteSource in;
  private long work;

  // coordinates of the vertices read so far, x, y, z: stride 3
  private double[] xyz = new double[3 * 1024];
  private int[] welded = new int[1024];
  private int count;
  private final TriangleMesh.Builder builder;

  Polygons(int expectedTriangles, ByteSource in) {
    this.in = in;
    builder = new TriangleMesh.Builder(expectedTriangles);
  }

  TriangleMesh.Builder builder() {
    return builder;
  }

  int vertexCount() {
    return count;
  }

  void vertex(double x, double y, double z) {
    if (count == welded.length) {
      xyz = Arrays.copyOf(xyz, 6 * count);
      welded = Arrays.copyOf(welded, 2 * count);
    }
    xyz[3 * count] = x;
    xyz[3 * count + 1] = y;
    xyz[3 * count + 2] = z;
    welded[count++] = builder.vertex(x, y, z);
  }

  /**
   * @param face vertex numbers in file order, from 0
   * @param n how many of them count
   * @param where names the face for a message
   */
  void face(int[] face, int n, String where) throws ModelUnreadable {
    for (int i = 0; i < n; i++) {
      if (face[i] < 0 || face[i] >= count) {
        throw new ModelUnreadable(
            where
                + " uses vertex "
                + (face[i] + 1L)
                + ", but "
                + count
                + " are there. The file is damaged or cut off; export it again.");
      }
    }
    if (n == 3) {
      builder.triangle(welded[face[0]], welded[face[1]], welded[face[2]]);
    } else if (n > 3) {
      clip(face, n, where);
    }
    ModelReader.checkCount(builder.triangleCount());
  }

  private void clip(int[] face, int n, String where) throws ModelUnreadable {
    double nx = 0;
    double ny = 0;
    double nz = 0;
    for (int i = 0, j = n - 1; i < n; j = i++) {
      int a = 3 * face[j];
      int b = 3 * face[i];
      nx += (xyz[a + 1] - xyz[b + 1]) * (xyz[a + 2] + xyz[b + 2]);
      ny += (xyz[a + 2] - xyz[b + 2]) * (xyz[a] + xyz[b]);
      nz += (xyz[a] - xyz[b]) * (xyz[a + 1] + xyz[b + 1]);
    }
    double ax = Math.abs(nx);
    double ay = Math.abs(ny);
    double az = Math.abs(nz);
    // drawn in the two axes the face is widest in, turned so that it runs counter-clockwise
    int u = ax >= ay && ax >= az ? 1 : ay >= az ? 2 : 0;
    int v = (u + 1) % 3;
    double lead = u == 1 ? nx : u == 2 ? ny : nz;
    double sense = lead < 0 ? -1 : 1;
    int[] ring = Arrays.copyOf(face, n);
    int left = n;
    int at = 0;
    int tried = 0;
    while (left > 3) {
      if ((work + left) / TICK > work / TICK) {
        in.tick();
      }
      work += left;
      if (work > MOST_WORK) {
        throw new ModelUnreadable(
            where
                + " has "
                + n
                + " corners that run in and out too often to be cut into triangles. Export the"
                + " model as triangles.");
      }
      int i0 = ring[(at + left - 1) % left];
      int i1 = ring[at % left];
      int i2 = ring[(at + 1) % left];
      if (tried >= left || ear(ring, left, i0, i1, i2, u, v, sense)) {
        builder.triangle(welded[i0], welded[i1], welded[i2]);
        int gone = at % left;
        System.arraycopy(ring, gone + 1, ring, gone, left - gone - 1);
        left--;
        at = gone % left;
        tried = 0;
      } else {
        at = (at + 1) % left;
        tried++;
      }
    }
    builder.triangle(welded[ring[0]], welded[ring[1]], welded[ring[2]]);
  }

  private boolean ear(int[] ring, int left, int i0, int i1, int i2, int u, int v, double sense) {
    if (sense * turn(i0, i1, i2, u, v) <= 0) {
      return false;
    }
    for (int k = 0; k < left; k++) {
      int p = ring[k];
      if (p != i0
          && p != i1
          && p != i2
          && sense * turn(i0, i1, p, u, v) >= 0
          && sense * turn(i1, i2, p, u, v) >= 0
          && sense * turn(i2, i0, p, u, v) >= 0) {
        return false;
      }
    }
    return true;
  }

  private double turn(int a, int b, int c, int u, int v) {
    return (xyz[3 * b + u] - xyz[3 * a + u]) * (xyz[3 * c + v] - xyz[3 * a + v])
        - (xyz[3 * b + v] - xyz[3 * a + v]) * (xyz[3 * c + u] - xyz[3 * a + u]);
  }
}
