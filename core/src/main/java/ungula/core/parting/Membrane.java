package ungula.core.parting;

/**
 * Heights over a raster where some are given: the others as a membrane would lie that is held by
 * those and free at the rim. Laplace's equation, relaxed from the coarsest raster to the finest.
 */
final class Membrane {

  private static final int SWEEPS = 60;
  private static final double RELAX = 1.7;

  private final double[] z;
  private final int nx;
  private final int ny;
  private final boolean[] given;

  private Membrane(double[] z, int nx, int ny) {
    this.z = z;
    this.nx = nx;
    this.ny = ny;
    given = new boolean[z.length];
    for (int i = 0; i < z.length; i++) {
      given[i] = !Double.isNaN(z[i]);
    }
  }

  /**
   * Fills in the heights that are not given; at least one is.
   *
   * @param z by row and column; what is not given is NaN
   */
  static void spread(double[] z, int nx, int ny) {
    new Membrane(z, nx, ny).settle();
  }

  private void settle() {
    int hx = (nx + 1) / 2;
    int hy = (ny + 1) / 2;
    double[] half = new double[hx * hy];
    boolean gaps = false;
    for (int i = 0; i < half.length; i++) {
      half[i] = average(2 * (i % hx), 2 * (i / hx));
      gaps |= Double.isNaN(half[i]);
    }
    if (gaps) {
      spread(half, hx, hy);
    }
    for (int i = 0; i < z.length; i++) {
      if (!given[i]) {
        z[i] = half[i / nx / 2 * hx + i % nx / 2];
      }
    }
    for (int sweep = 0; sweep < SWEEPS; sweep++) {
      relax(0);
      relax(1);
    }
  }

  /** Of what is given of four places. */
  private double average(int x, int y) {
    double sum = 0;
    int n = 0;
    for (int c = 0; c < 4; c++) {
      int at = (y + (c >> 1)) * nx + x + (c & 1);
      if (x + (c & 1) < nx && y + (c >> 1) < ny && given[at]) {
        sum += z[at];
        n++;
      }
    }
    return n == 0 ? Double.NaN : sum / n;
  }

  /** Every other place towards the middle of its neighbours. */
  private void relax(int colour) {
    for (int j = 0; j < ny; j++) {
      for (int i = (j + colour) & 1; i < nx; i += 2) {
        int at = j * nx + i;
        if (!given[at]) {
          double left = i > 0 ? z[at - 1] : i + 1 < nx ? z[at + 1] : z[at];
          double right = i + 1 < nx ? z[at + 1] : left;
          double front = j > 0 ? z[at - nx] : j + 1 < ny ? z[at + nx] : z[at];
          double back = j + 1 < ny ? z[at + nx] : front;
          z[at] += RELAX * ((left + right + front + back) / 4 - z[at]);
        }
      }
    }
  }
}
