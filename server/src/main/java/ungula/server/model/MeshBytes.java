package ungula.server.model;

import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.List;
import ungula.core.mesh.TriangleMesh;

/**
 * Meshes as they are kept, vertex count, triangle count, coordinates, corners, big-endian; and as
 * the page draws them.
 */
public final class MeshBytes {

  private MeshBytes() {}

  static void write(TriangleMesh mesh, OutputStream to) throws IOException {
    DataOutputStream out = new DataOutputStream(to);
    out.writeInt(mesh.vertexCount());
    out.writeInt(mesh.triangleCount());
    for (double v : mesh.xyz()) {
      out.writeDouble(v);
    }
    for (int c : mesh.corners()) {
      out.writeInt(c);
    }
    out.flush();
  }

  public static byte[] of(TriangleMesh mesh) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      write(mesh, out);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  /**
   * For drawing, little-endian: vertex count, triangle count, open edge count as int32; x, y, z per
   * vertex as float32 mm; three corners per triangle, then two per open edge, as uint32.
   *
   * @param loops of open edges to draw
   */
  public static byte[] drawn(TriangleMesh mesh, List<int[]> loops) {
    int edges = loops.stream().mapToInt(l -> l.length).sum();
    ByteBuffer b =
        ByteBuffer.allocate(12 + 4 * mesh.xyz().length + 4 * mesh.corners().length + 8 * edges)
            .order(ByteOrder.LITTLE_ENDIAN);
    b.putInt(mesh.vertexCount()).putInt(mesh.triangleCount()).putInt(edges);
    for (double v : mesh.xyz()) {
      b.putFloat((float) v);
    }
    for (int c : mesh.corners()) {
      b.putInt(c);
    }
    for (int[] loop : loops) {
      for (int i = 0; i < loop.length; i++) {
        b.putInt(loop[i]).putInt(loop[(i + 1) % loop.length]);
      }
    }
    return b.array();
  }

  public static TriangleMesh mesh(ByteBuffer all) {
    double[] xyz = new double[3 * all.getInt()];
    int[] corners = new int[3 * all.getInt()];
    all.asDoubleBuffer().get(xyz);
    all.position(all.position() + 8 * xyz.length);
    all.asIntBuffer().get(corners);
    return new TriangleMesh(xyz, corners);
  }
}
