package ungula.core.field;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Lines along which values at the crossings of a square lattice reach a level: marching squares,
 * linear along the sides of each square. Where two corners over the level face each other across a
 * square the lines keep them apart.
 */
public final class Contour {

  private final double[] value;
  private final int nu;
  private final double level;

  private Contour(double[] value, int nu, double level) {
    this.value = value;
    this.nu = nu;
    this.level = level;
  }

  /** What lies round the lattice counts as far above any level. */
  private static final double FAR = 1e12;

  /**
   * Outlines of what is at or below the level, closed along the rim of the lattice.
   *
   * @param value by crossing, nu to a row
   * @param u0 of the first crossing
   * @param v0 of the first crossing
   * @param h between crossings
   * @return rings, u and v in turn; what is within lies to the left
   */
  public static List<double[]> within(
      double[] value, int nu, double level, double u0, double v0, double h) {
    int nv = value.length / nu;
    double[] framed = new double[(nu + 2) * (nv + 2)];
    Arrays.fill(framed, FAR);
    for (int j = 0; j < nv; j++) {
      System.arraycopy(value, j * nu, framed, (j + 1) * (nu + 2) + 1, nu);
    }
    List<double[]> rings = new Contour(framed, nu + 2, level).rings();
    for (double[] ring : rings) {
      for (int i = 0; i < ring.length; i += 2) {
        ring[i] = u0 + h * (ring[i] - 1);
        ring[i + 1] = v0 + h * (ring[i + 1] - 1);
      }
    }
    return rings;
  }

  /** Length of the lines, without what would close them along the rim. */
  public static double length(double[] value, int nu, double level, double h) {
    double length = 0;
    for (double[] s : new Contour(value, nu, level).segments()) {
      length += Math.hypot(s[2] - s[0], s[3] - s[1]);
    }
    return length * h;
  }

  /** From, to: sides of squares by number, then where. */
  private List<double[]> segments() {
    List<double[]> all = new ArrayList<>();
    int nv = value.length / nu;
    for (int j = 0; j + 1 < nv; j++) {
      for (int i = 0; i + 1 < nu; i++) {
        square(i, j, all);
      }
    }
    return all;
  }

  private boolean in(int i, int j) {
    return value[j * nu + i] <= level;
  }

  private void square(int i, int j, List<double[]> all) {
    int code =
        (in(i, j) ? 1 : 0)
            | (in(i + 1, j) ? 2 : 0)
            | (in(i + 1, j + 1) ? 4 : 0)
            | (in(i, j + 1) ? 8 : 0);
    switch (code) {
      case 1 -> line(i, j, 0, 3, all);
      case 2 -> line(i, j, 1, 0, all);
      case 3 -> line(i, j, 1, 3, all);
      case 4 -> line(i, j, 2, 1, all);
      case 5 -> {
        line(i, j, 0, 3, all);
        line(i, j, 2, 1, all);
      }
      case 6 -> line(i, j, 2, 0, all);
      case 7 -> line(i, j, 2, 3, all);
      case 8 -> line(i, j, 3, 2, all);
      case 9 -> line(i, j, 0, 2, all);
      case 10 -> {
        line(i, j, 1, 0, all);
        line(i, j, 3, 2, all);
      }
      case 11 -> line(i, j, 1, 2, all);
      case 12 -> line(i, j, 3, 1, all);
      case 13 -> line(i, j, 0, 1, all);
      case 14 -> line(i, j, 3, 0, all);
      default -> {}
    }
  }

  /** From one side of a square to another: 0 below, 1 right, 2 above, 3 left. */
  private void line(int i, int j, int from, int to, List<double[]> all) {
    double[] a = met(i, j, from);
    double[] b = met(i, j, to);
    all.add(new double[] {a[0], a[1], b[0], b[1], a[2], b[2]});
  }

  /** Where a side meets the level, and the side's number. */
  private double[] met(int i, int j, int side) {
    int x = side == 1 ? i + 1 : i;
    int y = side == 2 ? j + 1 : j;
    boolean horizontal = side == 0 || side == 2;
    double a = value[y * nu + x];
    double b = horizontal ? value[y * nu + x + 1] : value[(y + 1) * nu + x];
    double at = (level - a) / (b - a);
    int number = 2 * (y * nu + x) + (horizontal ? 0 : 1);
    return new double[] {horizontal ? x + at : x, horizontal ? y : y + at, number};
  }

  private List<double[]> rings() {
    Map<Integer, double[]> from = new HashMap<>();
    for (double[] s : segments()) {
      from.put((int) s[4], s);
    }
    List<double[]> rings = new ArrayList<>();
    while (!from.isEmpty()) {
      int first = from.keySet().iterator().next();
      List<double[]> chain = new ArrayList<>();
      for (double[] s = from.remove(first); s != null; s = from.remove((int) s[5])) {
        chain.add(s);
      }
      double[] ring = new double[2 * chain.size()];
      for (int n = 0; n < chain.size(); n++) {
        ring[2 * n] = chain.get(n)[0];
        ring[2 * n + 1] = chain.get(n)[1];
      }
      rings.add(ring);
    }
    return rings;
  }
}
