package ungula.core.field;

import java.util.ArrayList;
import java.util.List;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * Volumes of even coats on a body, from a distance field that reaches at least as far.
 *
 * <p>A cell counts for the share of it that lies within, taken as linear in the distance at its
 * centre: v = h³ · Σ clamp(½ + (t − d)/h). The error is estimated from the same sum over every
 * second cell of a layer, in its four positions: their spread is what the position of the grid
 * does; to which comes h²/12 of the second derivative of the volume, what the share being linear
 * leaves out.
 */
public final class Coats {

  /** What the body stands on. */
  public enum On {
    /** Coated all round. */
    FREE,
    /** On a plate at its lowest point: no coat below. */
    PLATE
  }

  /**
   * @param tMm thickness
   * @param volumeMm3 of the points outside the body no further than that from it
   * @param errorMm3 estimated, k = 2
   */
  public record Coat(double tMm, double volumeMm3, double errorMm3) {}

  /** Steps to a cell in which distances are told apart for a curve. */
  private static final int FINE = 100;

  private final DistanceField field;
  private final Grid grid;
  private final int firstLayer;

  private Coats(DistanceField field, On on, double lowestMm) {
    this.field = field;
    this.grid = field.grid();
    int first = 0;
    while (on == On.PLATE && first < grid.nz() && grid.z(first) < lowestMm) {
      first++;
    }
    this.firstLayer = first;
  }

  /**
   * Coats of the default spacing, or of a coarser one when the grid would not fit in memory.
   *
   * @param thicknesses mm, above 0
   * @throws java.util.concurrent.CancellationException when the progress says that nobody waits
   */
  public static List<Coat> of(
      TriangleMesh mesh, On on, List<Double> thicknesses, Parallel parallel, Progress progress) {
    double most = thicknesses.stream().mapToDouble(t -> t).max().orElse(0);
    double wished = Grid.spacing(mesh.bounds(), Grid.DEFAULT_CELLS);
    Grid grid = Grid.round(mesh.bounds(), most + 2 * wished, wished);
    DistanceField field =
        DistanceField.of(mesh, grid, new Reach(0, most + 2 * grid.h()), parallel, progress);
    return of(field, on, mesh.bounds().min().z(), thicknesses);
  }

  /**
   * @param lowestMm height of the body's lowest point, between two layers of the grid as {@link
   *     Grid#round} lays them
   * @param thicknesses mm, above 0, within the field's reach
   */
  public static List<Coat> of(
      DistanceField field, On on, double lowestMm, List<Double> thicknesses) {
    Coats coats = new Coats(field, on, lowestMm);
    List<Coat> out = new ArrayList<>();
    double[] body = coats.body();
    for (double t : thicknesses) {
      out.add(coats.coat(t, body));
    }
    return out;
  }

  /**
   * Volumes of coats of every thickness: entry i is what lies no further than i · step from the
   * body, mm³. As {@link #of} gives them, from distances told apart by a hundredth of a cell.
   *
   * @param lowestMm as for the others
   */
  public static double[] curve(
      DistanceField field, On on, double lowestMm, double stepMm, int steps) {
    Coats coats = new Coats(field, on, lowestMm);
    Grid grid = field.grid();
    double h = grid.h();
    double fine = h / FINE;
    // cells within reach of a coat, by distance
    int[] at = new int[(int) Math.ceil((steps * stepMm + 2 * h) / fine) + 1];
    for (int k = coats.firstLayer; k < grid.nz(); k++) {
      for (int i = grid.index(0, 0, k); i < grid.index(0, 0, k + 1); i++) {
        int bin = (int) Math.max(0, Math.rint((field.at(i) + h) / fine));
        if (bin < at.length) {
          at[bin]++;
        }
      }
    }
    double body = sum(coats.body());
    double[] curve = new double[steps + 1];
    for (int n = 1; n <= steps; n++) {
      double cells = 0;
      for (int bin = 0; bin < at.length; bin++) {
        double share = 0.5 + (n * stepMm - (bin * fine - h)) / h;
        cells += at[bin] * Math.max(0, Math.min(1, share));
      }
      curve[n] = Math.max(curve[n - 1], cells * grid.cellMm3() - body);
    }
    return curve;
  }

  private Coat coat(double t, double[] body) {
    double h = grid.h();
    double[] shares = within(t);
    double mean = 0;
    for (int c = 0; c < 4; c++) {
      shares[c] -= body[c];
      mean += shares[c] / 4;
    }
    double spread = 0;
    for (double s : shares) {
      spread += (s - mean) * (s - mean) / 3;
    }
    double bend = sum(within(t + h)) - 2 * sum(within(t)) + sum(within(t - h));
    // each position has four times the weight: its sum over, the mean of four is half as uncertain
    double position = Math.sqrt(spread) * 4 / 2;
    return new Coat(t, 4 * mean, 2 * position + Math.abs(bend) / 12);
  }

  private static double sum(double[] parts) {
    return parts[0] + parts[1] + parts[2] + parts[3];
  }

  /** A share of a cell. */
  @FunctionalInterface
  private interface Share {
    double of(int i, int j, int k);
  }

  /** Volume no further than t from the body, the body included. */
  private double[] within(double t) {
    double h = grid.h();
    return positions(
        (i, j, k) -> Math.max(0, Math.min(1, 0.5 + (t - field.at(grid.index(i, j, k))) / h)));
  }

  private double[] body() {
    return positions(field::bodyShare);
  }

  /**
   * Volume of the shares above the plate, by the four positions of every second cell in a layer.
   */
  private double[] positions(Share share) {
    double[] sums = new double[4];
    for (int k = firstLayer; k < grid.nz(); k++) {
      for (int j = 0; j < grid.ny(); j++) {
        for (int i = 0; i < grid.nx(); i++) {
          sums[(j & 1) << 1 | i & 1] += share.of(i, j, k);
        }
      }
    }
    for (int c = 0; c < 4; c++) {
      sums[c] *= grid.cellMm3();
    }
    return sums;
  }
}
