package ungula.server.model;

import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import ungula.core.mesh.TriangleMesh;

/** Meshes as they are kept: vertex count, triangle count, coordinates, corners; big-endian. */
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

  public static TriangleMesh mesh(ByteBuffer all) {
    double[] xyz = new double[3 * all.getInt()];
    int[] corners = new int[3 * all.getInt()];
    all.asDoubleBuffer().get(xyz);
    all.position(all.position() + 8 * xyz.length);
    all.asIntBuffer().get(corners);
    return new TriangleMesh(xyz, corners);
  }
}
