package ungula.core.mesh.io;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;

/** Binary STL out, in millimetres. */
public final class StlWriter {

  private StlWriter() {}

  /** The stream is flushed, not closed. */
  public static void write(TriangleMesh mesh, OutputStream to) throws IOException {
    OutputStream out = new BufferedOutputStream(to, 1 << 16);
    ByteBuffer head = ByteBuffer.allocate(84).order(ByteOrder.LITTLE_ENDIAN);
    head.put("binary STL, millimetres".getBytes(StandardCharsets.US_ASCII));
    head.putInt(80, mesh.triangleCount());
    out.write(head.array());
    ByteBuffer facet = ByteBuffer.allocate(50).order(ByteOrder.LITTLE_ENDIAN);
    int[] c = mesh.corners();
    for (int t = 0; t < c.length; t += 3) {
      Vec3 p = mesh.vertex(c[t]);
      Vec3 q = mesh.vertex(c[t + 1]);
      Vec3 r = mesh.vertex(c[t + 2]);
      Vec3 cross = q.minus(p).cross(r.minus(p));
      facet.clear();
      put(facet, cross.norm() > 0 ? cross.unit() : Vec3.ZERO);
      put(facet, p);
      put(facet, q);
      put(facet, r);
      facet.putShort((short) 0);
      out.write(facet.array());
    }
    out.flush();
  }

  private static void put(ByteBuffer b, Vec3 v) {
    b.putFloat((float) v.x()).putFloat((float) v.y()).putFloat((float) v.z());
  }
}
