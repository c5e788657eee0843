package ungula.core.mesh;

import java.util.Arrays;

/** Gives equal coordinates one index. Open addressing over primitive arrays; −0 equals 0. */
final class VertexWelder {

  private static final int EMPTY = -1;

  /** Coordinates x, y, z in the order of their indices: stride 3. */
  private double[] xyz;

  private int count;
  private int[] table;
  private int mask;

  VertexWelder(int expectedVertices) {
    int room = Math.max(16, expectedVertices);
    xyz = new double[3 * room];
    allocate(Integer.highestOneBit(room) * 4);
  }

  int index(double x, double y, double z) {
    double cx = x + 0.0;
    double cy = y + 0.0;
    double cz = z + 0.0;
    int slot = hash(cx, cy, cz) & mask;
    while (table[slot] != EMPTY) {
      int at = 3 * table[slot];
      if (xyz[at] == cx && xyz[at + 1] == cy && xyz[at + 2] == cz) {
        return table[slot];
      }
      slot = (slot + 1) & mask;
    }
    if (3 * count == xyz.length) {
      xyz = Arrays.copyOf(xyz, xyz.length * 2);
    }
    xyz[3 * count] = cx;
    xyz[3 * count + 1] = cy;
    xyz[3 * count + 2] = cz;
    table[slot] = count;
    if (++count * 2 > mask) {
      rehash();
    }
    return count - 1;
  }

  int count() {
    return count;
  }

  double[] coordinates() {
    return Arrays.copyOf(xyz, 3 * count);
  }

  private void allocate(int slots) {
    table = new int[slots];
    Arrays.fill(table, EMPTY);
    mask = slots - 1;
  }

  private void rehash() {
    allocate(2 * (mask + 1));
    for (int v = 0; v < count; v++) {
      int slot = hash(xyz[3 * v], xyz[3 * v + 1], xyz[3 * v + 2]) & mask;
      while (table[slot] != EMPTY) {
        slot = (slot + 1) & mask;
      }
      table[slot] = v;
    }
  }

  private static int hash(double x, double y, double z) {
    long h = Double.doubleToRawLongBits(x) * 0x9E3779B97F4A7C15L;
    h = (h ^ (h >>> 32) ^ Double.doubleToRawLongBits(y)) * 0xC2B2AE3D27D4EB4FL;
    h = (h ^ (h >>> 29) ^ Double.doubleToRawLongBits(z)) * 0x165667B19E3779F9L;
    return (int) (h ^ (h >>> 32));
  }
}
