package ungula.core.air;

/**
 * What air rises into, as a tree of branches: each goes from a peak down to where it meets a higher
 * one, and goes on in that, or an open one (the join tree of the height: H. Carr, J. Snoeyink, U.
 * Axen, Computing contour trees in all dimensions, 2003). Told of meetings from the highest down.
 */
final class JoinTree {

  /** No branch: open, or none to go on in. */
  static final int NONE = -1;

  final int count;

  /** Height of its peak, mm. */
  final double[] top;

  /** Where it ends, mm; −∞ where it never does. */
  final double[] spill;

  /** The higher one it goes on in; {@link #NONE} at an open one. */
  final int[] elder;

  /** Of all above where it ends, mm³. */
  final double[] volume;

  /** Those that end, in turn. */
  final int[] ended;

  int ends;

  /** Of each one it hangs together with by now; itself at the root. */
  private final int[] parent;

  /** Of each root the branch that has not ended; {@link #NONE} where it is open. */
  private final int[] branch;

  /**
   * @param height of each peak, mm
   */
  JoinTree(double[] height) {
    count = height.length;
    top = height;
    spill = new double[count];
    elder = new int[count];
    volume = new double[count];
    ended = new int[count];
    parent = new int[count];
    branch = new int[count];
    for (int b = 0; b < count; b++) {
      spill[b] = Double.NEGATIVE_INFINITY;
      elder[b] = NONE;
      parent[b] = b;
      branch[b] = b;
    }
  }

  private int root(int b) {
    int at = b;
    while (parent[at] != at) {
      parent[at] = parent[parent[at]];
      at = parent[at];
    }
    return at;
  }

  void open(int peak, double at) {
    int root = root(peak);
    if (branch[root] != NONE) {
      end(branch[root], at);
      branch[root] = NONE;
    }
  }

  void join(int one, int other, double at) {
    int a = root(one);
    int b = root(other);
    if (a == b) {
      return;
    }
    if (branch[a] == NONE || branch[b] == NONE) {
      open(a, at);
      open(b, at);
    } else {
      boolean first = top[branch[a]] >= top[branch[b]];
      int stays = first ? branch[a] : branch[b];
      int lower = first ? branch[b] : branch[a];
      end(lower, at);
      elder[lower] = stays;
      branch[a] = stays;
    }
    parent[b] = a;
  }

  private void end(int b, double at) {
    spill[b] = at;
    ended[ends++] = b;
  }

  /** Whether it never meets anything open. */
  boolean closed(int b) {
    return spill[b] == Double.NEGATIVE_INFINITY;
  }

  /** The one a place under a peak belongs to; {@link #NONE} where air can leave it. */
  int at(int peak, double height) {
    int b = peak;
    while (b != NONE && height <= spill[b]) {
      b = elder[b];
    }
    return b;
  }

  /** The last one that a branch goes on in. */
  int last(int b) {
    int at = b;
    while (elder[at] != NONE) {
      at = elder[at];
    }
    return at;
  }
}
