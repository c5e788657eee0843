package ungula.server.model;

import java.nio.ByteBuffer;
import java.nio.ShortBuffer;
import ungula.core.field.DistanceField;
import ungula.core.field.Grid;
import ungula.core.geometry.Vec3;

/**
 * Distance fields as they are kept: the grid, the step, then a distance in steps for every cell;
 * big-endian. Told apart by less than two thousandths of a millimetre, as far as they reach.
 */
public final class FieldBytes {

  private static final int HEAD = 5 * Double.BYTES + 3 * Integer.BYTES;

  private FieldBytes() {}

  public static byte[] of(DistanceField field) {
    Grid g = field.grid();
    double most = 0;
    for (int i = 0; i < g.count(); i++) {
      most = Math.max(most, Math.abs(field.at(i)));
    }
    double step = Math.max(1e-9, most / Short.MAX_VALUE);
    ByteBuffer bytes = ByteBuffer.allocate(HEAD + Short.BYTES * g.count());
    bytes.putDouble(g.origin().x()).putDouble(g.origin().y()).putDouble(g.origin().z());
    bytes.putDouble(g.h()).putInt(g.nx()).putInt(g.ny()).putInt(g.nz()).putDouble(step);
    for (int i = 0; i < g.count(); i++) {
      bytes.putShort((short) Math.round(field.at(i) / step));
    }
    return bytes.array();
  }

  public static DistanceField field(byte[] kept) {
    ByteBuffer bytes = ByteBuffer.wrap(kept);
    Vec3 origin = new Vec3(bytes.getDouble(), bytes.getDouble(), bytes.getDouble());
    Grid grid = new Grid(origin, bytes.getDouble(), bytes.getInt(), bytes.getInt(), bytes.getInt());
    double step = bytes.getDouble();
    ShortBuffer steps = bytes.asShortBuffer();
    float[] mm = new float[grid.count()];
    for (int i = 0; i < mm.length; i++) {
      mm[i] = (float) (step * steps.get(i));
    }
    return DistanceField.kept(grid, mm);
  }
}
