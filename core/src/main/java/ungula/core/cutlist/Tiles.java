package ungula.core.cutlist;

import java.util.ArrayList;
import java.util.List;

/**
 * A cut sheet divided over pages that are glued together: neighbours show the same strip, so that
 * one is laid on the other until marks and lines agree.
 *
 * @param columns of pages
 * @param rows of pages, from below
 * @param widthMm of what one page shows
 * @param heightMm of what one page shows
 * @param overlapMm shown by both of two neighbours
 * @param pages those with anything on them, row by row from the top, each from the left
 */
public record Tiles(
    int columns, int rows, double widthMm, double heightMm, double overlapMm, List<Page> pages) {

  /**
   * @param column from the left, from 0
   * @param row from below, from 0
   * @param x of its left edge on the cut sheet, mm
   * @param y of its lower edge on the cut sheet, mm
   */
  public record Page(int column, int row, double x, double y) {

    /** "B2": the second column, the second row from below. */
    public String name() {
      return (char) ('A' + column % 26) + String.valueOf(row + 1);
    }
  }

  /**
   * @param widthMm of what a page shows, more than the overlap
   * @param heightMm of what a page shows, more than the overlap
   */
  public static Tiles of(CutSheet sheet, double widthMm, double heightMm, double overlapMm) {
    int columns = count(sheet.widthMm(), widthMm, overlapMm);
    int rows = count(sheet.heightMm(), heightMm, overlapMm);
    List<Page> pages = new ArrayList<>();
    for (int row = rows - 1; row >= 0; row--) {
      for (int column = 0; column < columns; column++) {
        double x = column * (widthMm - overlapMm);
        double y = row * (heightMm - overlapMm);
        if (anything(sheet, x, y, widthMm, heightMm)) {
          pages.add(new Page(column, row, x, y));
        }
      }
    }
    return new Tiles(columns, rows, widthMm, heightMm, overlapMm, List.copyOf(pages));
  }

  private static int count(double whole, double page, double overlap) {
    return (int) Math.max(1, Math.ceil((whole - overlap) / (page - overlap) - 1e-9));
  }

  /** Whether a line of the sheet goes through a page. */
  private static boolean anything(CutSheet sheet, double x, double y, double wide, double high) {
    for (CutSheet.Line line : sheet.lines()) {
      double[] p = line.points();
      int n = p.length / 2;
      for (int i = 0; i < (line.closed() ? n : n - 1); i++) {
        int j = (i + 1) % n;
        if (meets(p[2 * i] - x, p[2 * i + 1] - y, p[2 * j] - x, p[2 * j + 1] - y, wide, high)) {
          return true;
        }
      }
    }
    return false;
  }

  /** Whether a stretch has a point in (0, 0) to (wide, high): what of it lies in both strips. */
  private static boolean meets(
      double x0, double y0, double x1, double y1, double wide, double high) {
    double from = 0;
    double to = 1;
    double[][] strips = {{x0, x1 - x0, wide}, {y0, y1 - y0, high}};
    for (double[] s : strips) {
      if (s[1] == 0) {
        if (s[0] < 0 || s[0] > s[2]) {
          return false;
        }
      } else {
        double a = -s[0] / s[1];
        double b = (s[2] - s[0]) / s[1];
        from = Math.max(from, Math.min(a, b));
        to = Math.min(to, Math.max(a, b));
      }
    }
    return from <= to;
  }
}
