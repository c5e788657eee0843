package ungula.core.field;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.mesh.Rings;

public class ContourTest {

  private static final int N = 81;
  private static final double H = 0.5;

  /** Values at the crossings of a lattice of ±20 mm. */
  private interface Value {
    double at(double u, double v);
  }

  private static double[] lattice(Value value) {
    double[] all = new double[N * N];
    for (int j = 0; j < N; j++) {
      for (int i = 0; i < N; i++) {
        all[j * N + i] = value.at(-20 + H * i, -20 + H * j);
      }
    }
    return all;
  }

  private static List<double[]> within(double[] value, double level) {
    return Contour.within(value, N, level, -20, -20, H);
  }

  private static double signed(double[] ring) {
    double sum = 0;
    for (int i = 0; i < ring.length; i += 2) {
      int j = (i + 2) % ring.length;
      sum += ring[i] * ring[j + 1] - ring[j] * ring[i + 1];
    }
    return sum / 2;
  }

  @Test
  public void aCircleByItsDistance() {
    double[] round = lattice(Math::hypot);
    for (double r : new double[] {5, 7.3, 15}) {
      List<double[]> rings = within(round, r);
      assertEquals(rings.size(), 1);
      Near.relative(signed(rings.get(0)), Math.PI * r * r, 0.005);
      Near.relative(Contour.length(round, N, r, H), 2 * Math.PI * r, 0.005);
      for (int i = 0; i < rings.get(0).length; i += 2) {
        Near.absolute(Math.hypot(rings.get(0)[i], rings.get(0)[i + 1]), r, 0.02);
      }
    }
  }

  /** What is within lies to the left: the outer ring runs round it, a hole the other way. */
  @Test
  public void aRingHasAHole() {
    double[] band = lattice((u, v) -> Math.abs(Math.hypot(u, v) - 10));
    List<double[]> rings = within(band, 2);
    assertEquals(rings.size(), 2);
    Near.relative(Rings.area(rings).getArea(), Math.PI * (144 - 64), 0.01);
    double sum = rings.stream().mapToDouble(ContourTest::signed).sum();
    Near.relative(sum, Math.PI * (144 - 64), 0.01);
  }

  @Test
  public void whatReachesTheRimIsClosedAlongIt() {
    double[] half = lattice((u, v) -> v);
    List<double[]> rings = within(half, 0.25);
    assertEquals(rings.size(), 1);
    // the frame adds less than a lattice step
    Near.relative(signed(rings.get(0)), 40 * 20.25, 0.03);
    // and its length is that of the line alone
    Near.relative(Contour.length(half, N, 0.25, H), 40, 1e-9);
  }

  @Test
  public void twoThatTouchStayApartAndNothingIsNothing() {
    double[] two = lattice((u, v) -> Math.min(Math.hypot(u - 6, v - 6), Math.hypot(u + 6, v + 6)));
    assertEquals(within(two, 5).size(), 2);
    assertEquals(within(two, 30).size(), 1);
    assertEquals(within(two, -1).size(), 0);
    assertEquals(Contour.length(two, N, -1, H), 0.0);
    double[] saddle = {0, 1, 1, 0};
    assertTrue(Contour.within(saddle, 2, 0.5, 0, 0, 1).size() >= 1);
  }
}
