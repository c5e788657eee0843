package ungula.core.plate;

import java.util.Arrays;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;

/**
 * A footprint in square cells, a bit each. A cell is set when its middle is within the footprint;
 * one set out by a cell's half diagonal therefore never shares a cell with another it touches.
 */
final class Raster {

  /** Lower left corner of the first cell, mm. */
  final double x0;

  final double y0;
  final int wide;
  final int high;

  /** By row from the bottom, 64 cells a word. */
  private final long[][] rows;

  private Raster(double x0, double y0, int wide, int high) {
    this.x0 = x0;
    this.y0 = y0;
    this.wide = wide;
    this.high = high;
    this.rows = new long[high][wide / 64 + 1];
  }

  /**
   * @param cell side of the cells, mm
   */
  static Raster of(Geometry footprint, double cell) {
    Envelope e = footprint.getEnvelopeInternal();
    Raster r =
        new Raster(
            e.getMinX(),
            e.getMinY(),
            (int) Math.ceil(e.getWidth() / cell),
            (int) Math.ceil(e.getHeight() / cell));
    Coordinate[] c = footprint.getCoordinates();
    double[] met = new double[c.length];
    for (int j = 0; j < r.high; j++) {
      double y = r.y0 + (j + 0.5) * cell;
      int n = 0;
      for (int i = 0; i + 1 < c.length; i++) {
        if (c[i].y <= y != c[i + 1].y <= y) {
          met[n++] = c[i].x + (y - c[i].y) / (c[i + 1].y - c[i].y) * (c[i + 1].x - c[i].x);
        }
      }
      Arrays.sort(met, 0, n);
      for (int k = 0; k + 1 < n; k += 2) {
        int from = (int) Math.ceil((met[k] - r.x0) / cell - 0.5);
        int to = (int) Math.floor((met[k + 1] - r.x0) / cell - 0.5);
        for (int i = Math.max(0, from); i <= Math.min(r.wide - 1, to); i++) {
          r.rows[j][i >> 6] |= 1L << i;
        }
      }
    }
    return r;
  }

  /** An empty plate. */
  static Raster empty(int wide, int high) {
    return new Raster(0, 0, wide, high);
  }

  /** Whether another, its corner on a cell of this, has no cell in common with it. */
  boolean clear(Raster other, int x, int y) {
    int word = x >> 6;
    int shift = x & 63;
    for (int j = 0; j < other.high; j++) {
      long[] mine = rows[y + j];
      long[] its = other.rows[j];
      for (int i = 0; i < its.length; i++) {
        long bits = its[i];
        if (bits == 0) {
          continue;
        }
        if ((mine[word + i] & bits << shift) != 0) {
          return false;
        }
        if (shift > 0
            && word + i + 1 < mine.length
            && (mine[word + i + 1] & bits >>> 64 - shift) != 0) {
          return false;
        }
      }
    }
    return true;
  }

  /** Sets the cells of another, its corner on a cell of this. */
  void add(Raster other, int x, int y) {
    int word = x >> 6;
    int shift = x & 63;
    for (int j = 0; j < other.high; j++) {
      long[] mine = rows[y + j];
      long[] its = other.rows[j];
      for (int i = 0; i < its.length; i++) {
        mine[word + i] |= its[i] << shift;
        if (shift > 0 && word + i + 1 < mine.length) {
          mine[word + i + 1] |= its[i] >>> 64 - shift;
        }
      }
    }
  }
}
