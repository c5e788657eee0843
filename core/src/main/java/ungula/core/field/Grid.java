package ungula.core.field;

import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;

/**
 * A regular grid of cubic cells. Cell (i, j, k) has its centre at origin + h·(i, j, k); its index
 * is (k·ny + j)·nx + i.
 *
 * @param origin centre of cell (0, 0, 0), mm
 * @param h side of a cell, mm
 */
public record Grid(Vec3 origin, double h, int nx, int ny, int nz) {

  /** Cells along the longest side of the body unless asked otherwise. */
  public static final int DEFAULT_CELLS = 192;

  /** The spacing never gets finer than this by itself, mm. */
  private static final double FINEST_MM = 0.2;

  /** Most cells a grid may have: 60 million, a gigabyte while a field is made over them. */
  public static final long MOST_CELLS = 60_000_000;

  public Grid {
    if (!(h > 0) || nx < 1 || ny < 1 || nz < 1 || (long) nx * ny * nz > Integer.MAX_VALUE - 8) {
      throw new IllegalArgumentException("No grid of " + nx + " × " + ny + " × " + nz + " × " + h);
    }
  }

  /** Spacing for a body, mm: its longest side in so many cells, not finer than 0.2 mm. */
  public static double spacing(Box3 body, int cells) {
    return Math.max(FINEST_MM, body.longest() / cells);
  }

  /**
   * Cells over a box and so far round it. The box's lower faces lie between two layers of cells, so
   * that what is above its lowest point fills whole layers.
   *
   * @param h wished; made coarser where the grid would pass {@link #MOST_CELLS}
   */
  public static Grid round(Box3 box, double pad, double h) {
    Vec3 s = box.size();
    double room = (s.x() + 2 * pad + 2 * h) * (s.y() + 2 * pad + 2 * h) * (s.z() + 2 * pad + 2 * h);
    double spacing = Math.max(h, Math.cbrt(room / MOST_CELLS));
    int more = (int) Math.ceil(pad / spacing - 1e-9);
    Vec3 origin = box.min().plus(new Vec3(1, 1, 1).times((0.5 - more) * spacing));
    return new Grid(
        origin,
        spacing,
        cells(s.x(), spacing) + 2 * more,
        cells(s.y(), spacing) + 2 * more,
        cells(s.z(), spacing) + 2 * more);
  }

  private static int cells(double length, double h) {
    return Math.max(1, (int) Math.ceil(length / h - 1e-9));
  }

  public int count() {
    return nx * ny * nz;
  }

  public int index(int i, int j, int k) {
    return (k * ny + j) * nx + i;
  }

  public double x(int i) {
    return origin.x() + i * h;
  }

  public double y(int j) {
    return origin.y() + j * h;
  }

  public double z(int k) {
    return origin.z() + k * h;
  }

  /** Centre of a cell by its index. */
  public Vec3 centre(int index) {
    return new Vec3(x(index % nx), y(index / nx % ny), z(index / (nx * ny)));
  }

  /** Index of the cell a point lies in; of the nearest one when it lies outside. */
  public int at(Vec3 p) {
    return at(p.x(), p.y(), p.z());
  }

  /** The same without a point made for it. */
  public int at(double x, double y, double z) {
    return index(
        clamp((x - origin.x()) / h, nx),
        clamp((y - origin.y()) / h, ny),
        clamp((z - origin.z()) / h, nz));
  }

  private static int clamp(double at, int n) {
    return (int) Math.max(0, Math.min(n - 1, Math.rint(at)));
  }

  /** Volume of one cell, mm³. */
  public double cellMm3() {
    return h * h * h;
  }
}
