package ungula.core.pour;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * Several moulds poured of the same batches: the fewest batches that hold them all. Where it can be
 * without one more batch, every mould is filled from a single one; else the batches are equal, and
 * a mould that one does not fill is gone on with from the next at once.
 *
 * @param batches in the order they are mixed
 */
public record Session(List<List<Portion>> batches) {

  /** Shares of a batch this small are rounding. */
  private static final double ROUNDING = 1e-9;

  /**
   * What of a batch goes into a mould.
   *
   * @param mould by its number
   */
  public record Portion(int mould, double mm3) {}

  /**
   * @param pours to be mixed for each mould, mm³
   * @param mostMm3 largest batch
   */
  public static Session of(double[] pours, double mostMm3) {
    double total = Arrays.stream(pours).sum();
    int count = (int) Math.max(1, Math.ceil(total / mostMm3 - ROUNDING));
    List<List<Portion>> whole = whole(pours, mostMm3, count);
    return new Session(whole != null ? whole : equal(pours, total / count, count));
  }

  /** Largest first into the first batch with room; null when they do not fit so. */
  private static List<List<Portion>> whole(double[] pours, double mostMm3, int count) {
    List<List<Portion>> batches = new ArrayList<>();
    double[] room = new double[count];
    for (int i = 0; i < count; i++) {
      batches.add(new ArrayList<>());
      room[i] = mostMm3 * (1 + ROUNDING);
    }
    Integer[] order = new Integer[pours.length];
    Arrays.setAll(order, i -> i);
    Arrays.sort(order, Comparator.comparingDouble(i -> -pours[i]));
    for (int mould : order) {
      int at = 0;
      while (at < count && room[at] < pours[mould]) {
        at++;
      }
      if (at == count) {
        return null;
      }
      batches.get(at).add(new Portion(mould, pours[mould]));
      room[at] -= pours[mould];
    }
    return batches;
  }

  private static List<List<Portion>> equal(double[] pours, double each, int count) {
    List<List<Portion>> batches = new ArrayList<>();
    int mould = 0;
    double left = pours[0];
    for (int i = 0; i < count; i++) {
      List<Portion> batch = new ArrayList<>();
      double room = each;
      while (room > ROUNDING * each && mould < pours.length) {
        double mm3 = i == count - 1 ? left : Math.min(room, left);
        if (mm3 > 0) {
          batch.add(new Portion(mould, mm3));
        }
        room -= mm3;
        left -= mm3;
        if (left <= ROUNDING * each) {
          mould++;
          left = mould < pours.length ? pours[mould] : 0;
        }
      }
      batches.add(batch);
    }
    return batches;
  }

  public double batchMm3(int batch) {
    return batches.get(batch).stream().mapToDouble(Portion::mm3).sum();
  }
}
