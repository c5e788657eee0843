package ungula.core.cast;

import java.util.Arrays;

/** What is to happen, the earliest in front, at one moment the lowest kind: a heap of numbers. */
final class Events {

  private double[] at = new double[16];
  private int[] kind = new int[16];
  private int[] of = new int[16];
  private int size;

  boolean any() {
    return size > 0;
  }

  double nextAt() {
    return at[0];
  }

  int nextKind() {
    return kind[0];
  }

  void add(double when, int what, int whose) {
    if (size == at.length) {
      at = Arrays.copyOf(at, 2 * size);
      kind = Arrays.copyOf(kind, 2 * size);
      of = Arrays.copyOf(of, 2 * size);
    }
    int i = size++;
    while (i > 0 && before(when, what, (i - 1) / 2)) {
      move((i - 1) / 2, i);
      i = (i - 1) / 2;
    }
    put(i, when, what, whose);
  }

  /** Takes the next away; whose it is. */
  int poll() {
    int whose = of[0];
    size--;
    int i = 0;
    for (int child = 1; child < size; child = 2 * i + 1) {
      child += child + 1 < size && before(at[child + 1], kind[child + 1], child) ? 1 : 0;
      if (!before(at[child], kind[child], size)) {
        break;
      }
      move(child, i);
      i = child;
    }
    move(size, i);
    return whose;
  }

  private boolean before(double when, int what, int j) {
    return when < at[j] || when == at[j] && what < kind[j];
  }

  private void move(int from, int to) {
    put(to, at[from], kind[from], of[from]);
  }

  private void put(int i, double when, int what, int whose) {
    at[i] = when;
    kind[i] = what;
    of[i] = whose;
  }
}
